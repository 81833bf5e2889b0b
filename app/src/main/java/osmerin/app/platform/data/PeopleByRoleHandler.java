package osmerin.app.platform.data;

import java.sql.Array;
import java.sql.CallableStatement;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.apache.ibatis.type.BaseTypeHandler;
import org.apache.ibatis.type.JdbcType;
import org.jspecify.annotations.Nullable;
import osmerin.core.runup.StepRole;

/** A {@code text[]} of "12 second reader" as the people by their roles; it is only read. */
public class PeopleByRoleHandler extends BaseTypeHandler<Map<StepRole, List<Long>>> {
  @Override
  public void setNonNullParameter(
      PreparedStatement statement, int i, Map<StepRole, List<Long>> people, JdbcType jdbcType) {
    throw new UnsupportedOperationException("people are written one by one");
  }

  @Override
  public Map<StepRole, List<Long>> getNullableResult(ResultSet result, String column)
      throws SQLException {
    return people(result.getArray(column));
  }

  @Override
  public Map<StepRole, List<Long>> getNullableResult(ResultSet result, int column)
      throws SQLException {
    return people(result.getArray(column));
  }

  @Override
  public Map<StepRole, List<Long>> getNullableResult(CallableStatement statement, int column)
      throws SQLException {
    return people(statement.getArray(column));
  }

  private static Map<StepRole, List<Long>> people(@Nullable Array array) throws SQLException {
    Map<StepRole, List<Long>> people = new HashMap<>();
    if (array != null) {
      for (String text : (String[]) array.getArray()) {
        int gap = text.indexOf(' ');
        people
            .computeIfAbsent(new StepRole(text.substring(gap + 1)), role -> new ArrayList<>())
            .add(Long.valueOf(text.substring(0, gap)));
      }
    }
    return people;
  }
}
