package istmo.app.platform;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DatabaseAwayTest {
  /** SQL states as PostgreSQL's manual lists them (appendix A, error codes). */
  @ParameterizedTest
  @CsvSource({
    "08001, true", // cannot connect
    "08006, true", // connection failure
    "57P01, true", // admin shutdown
    "57P03, true", // cannot connect now: starting up
    "23505, false", // unique violation
    "40001, false" // serialisation failure
  })
  void theStateTells(String state, boolean away) {
    Exception thrown = new IllegalStateException(new SQLException("said", state));
    assertThat(DatabaseAway.says(thrown)).isEqualTo(away);
  }

  @Test
  void noFreeConnectionTellsToo() {
    assertThat(DatabaseAway.says(new RuntimeException(new SQLTransientConnectionException())))
        .isTrue();
    assertThat(DatabaseAway.says(new RuntimeException("anything"))).isFalse();
  }
}
