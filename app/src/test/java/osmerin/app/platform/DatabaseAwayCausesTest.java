package osmerin.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import org.junit.jupiter.api.Test;
import org.postgresql.util.PSQLException;
import org.postgresql.util.PSQLState;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.transaction.TransactionSystemException;
import osmerin.app.platform.data.DatabaseAway;

class DatabaseAwayCausesTest {
  private static final PSQLException BROKEN =
      new PSQLException("I/O error", PSQLState.CONNECTION_FAILURE);

  @Test
  void a_connection_that_breaks_or_cannot_be_had_is_the_database_away() {
    assertThat(DatabaseAway.isAway(new DataAccessResourceFailureException("", BROKEN))).isTrue();
    assertThat(DatabaseAway.isAway(new SQLTransientConnectionException())).isTrue();
    assertThat(DatabaseAway.isAway(new IllegalStateException())).isFalse();
    assertThat(DatabaseAway.isAway(null)).isFalse();
  }

  @Test
  void so_is_a_transaction_that_cannot_be_rolled_back_since_its_connection_broke() {
    TransactionSystemException end =
        new TransactionSystemException(
            "JDBC rollback failed", new SQLException("Connection is closed"));
    assertThat(DatabaseAway.isAway(end)).isFalse();

    end.initApplicationException(new DataAccessResourceFailureException("", BROKEN));
    assertThat(DatabaseAway.isAway(end)).isTrue();
  }
}
