package osmerin.app.platform.data;

import de.siegmar.fastcsv.writer.CsvWriter;
import de.siegmar.fastcsv.writer.QuoteStrategies;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import javax.sql.DataSource;
import org.jspecify.annotations.Nullable;
import org.postgresql.PGConnection;
import org.postgresql.copy.PGCopyOutputStream;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.datasource.DataSourceUtils;
import org.springframework.jdbc.support.SQLErrorCodeSQLExceptionTranslator;
import org.springframework.stereotype.Component;

/** Loads many rows at once with PostgreSQL's COPY, in the transaction that is open. */
@Component
public class CopyIn {
  private final DataSource dataSource;

  private final JdbcTemplate jdbc;

  CopyIn(DataSource dataSource) {
    this.dataSource = dataSource;
    this.jdbc = new JdbcTemplate(dataSource);
  }

  /**
   * Loads rows.
   *
   * @param target table and columns, as in "keyword (site_id, text)"; never from outside
   * @param fields the fields of a row in the order of the columns; null is SQL's null
   */
  public <T> void rows(
      String target, Collection<T> rows, Function<T, List<@Nullable Object>> fields) {
    Connection connection = DataSourceUtils.getConnection(dataSource);
    String sql = "copy " + target + " from stdin with (format csv)";
    try (PGCopyOutputStream out =
            new PGCopyOutputStream(connection.unwrap(PGConnection.class), sql);
        BufferedWriter writer =
            new BufferedWriter(new OutputStreamWriter(out, StandardCharsets.UTF_8));
        // An empty text is quoted and null is not, so that they stay apart.
        CsvWriter csv = CsvWriter.builder().quoteStrategy(QuoteStrategies.EMPTY).build(writer)) {
      rows.forEach(row -> csv.writeRecord(fields.apply(row).stream().map(CopyIn::field).toList()));
    } catch (SQLException e) {
      throw new SQLErrorCodeSQLExceptionTranslator(dataSource).translate("copy", sql, e);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } finally {
      DataSourceUtils.releaseConnection(connection, dataSource);
    }
  }

  /**
   * Ids for rows that are about to be loaded, ascending.
   *
   * @param table whose ids are generated; never from outside
   */
  public List<Long> ids(String table, int count) {
    return jdbc.queryForList(
        """
        select nextval(ids) from (select pg_get_serial_sequence(?, 'id')::regclass as ids offset 0) s
        cross join generate_series(1, ?)
        """,
        Long.class,
        table,
        count);
  }

  /** The fields of a row; the list may grow, and null stands for SQL's null. */
  public static List<@Nullable Object> fields(@Nullable Object... fields) {
    return new ArrayList<>(Arrays.asList(fields));
  }

  private static @Nullable String field(@Nullable Object value) {
    if (value == null) {
      return null;
    }
    // The null character is the one character that text in PostgreSQL cannot hold.
    return value instanceof Collection<?> list ? array(list) : value.toString().replace("\0", "");
  }

  private static String array(Collection<?> list) {
    return list.stream()
        .map(e -> "\"" + e.toString().replace("\\", "\\\\").replace("\"", "\\\"") + "\"")
        .collect(Collectors.joining(",", "{", "}"));
  }
}
