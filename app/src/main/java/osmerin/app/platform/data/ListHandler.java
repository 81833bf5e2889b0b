package osmerin.app.platform.data;

import java.sql.Array;
import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.apache.ibatis.type.MappedTypes;
import org.jspecify.annotations.Nullable;

/** {@code text[]} and {@code int[]} as lists of their Java values. */
@MappedTypes(List.class)
public class ListHandler extends BaseTypeHandler<List<?>> {
  @Override
  public void setNonNullParameter(
      PreparedStatement statement, int i, List<?> list, JdbcType jdbcType) throws SQLException {
    boolean numbers = !list.isEmpty() && list.get(0) instanceof Integer;
    String type = numbers ? "int4" : "text";
    statement.setArray(i, statement.getConnection().createArrayOf(type, list.toArray()));
  }

  @Override
  public @Nullable List<?> getNullableResult(ResultSet result, String column) throws SQLException {
    return list(result.getArray(column));
  }

  @Override
  public @Nullable List<?> getNullableResult(ResultSet result, int column) throws SQLException {
    return list(result.getArray(column));
  }

  @Override
  public @Nullable List<?> getNullableResult(CallableStatement statement, int column)
      throws SQLException {
    return list(statement.getArray(column));
  }

  private static @Nullable List<?> list(@Nullable Array array) throws SQLException {
    return array == null ? null : List.of((Object[]) array.getArray());
  }
}
