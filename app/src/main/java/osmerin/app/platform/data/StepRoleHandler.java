package osmerin.app.platform.data;

import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.apache.ibatis.type.MappedTypes;
import org.jspecify.annotations.Nullable;
import osmerin.core.runup.StepRole;

/** A step role is kept as its name. */
@MappedTypes(StepRole.class)
public class StepRoleHandler extends BaseTypeHandler<StepRole> {
  @Override
  public void setNonNullParameter(
      PreparedStatement statement, int i, StepRole role, JdbcType jdbcType) throws SQLException {
    statement.setString(i, role.name());
  }

  @Override
  public @Nullable StepRole getNullableResult(ResultSet result, String column) throws SQLException {
    return role(result.getString(column));
  }

  @Override
  public @Nullable StepRole getNullableResult(ResultSet result, int column) throws SQLException {
    return role(result.getString(column));
  }

  @Override
  public @Nullable StepRole getNullableResult(CallableStatement statement, int column)
      throws SQLException {
    return role(statement.getString(column));
  }

  private static @Nullable StepRole role(@Nullable String name) {
    return name == null ? null : new StepRole(name);
  }
}
