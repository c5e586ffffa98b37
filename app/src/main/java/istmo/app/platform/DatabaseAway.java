package istmo.app.platform;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;

/** How a database that is away shows in what is thrown. */
final class DatabaseAway {
  static final String WORDS =
      "The database does not answer now; nothing was changed. Try again in a moment.";

  private DatabaseAway() {}

  /**
   * Whether a connection was lost or refused (SQL states 08), the server is going down or coming up
   * (57P), or none became free in time.
   */
  static boolean says(Throwable thrown) {
    for (Throwable cause = thrown; cause != null; cause = cause.getCause()) {
      if (cause instanceof SQLTransientConnectionException) {
        return true;
      }
      if (cause instanceof SQLException sql
          && sql.getSQLState() != null
          && (sql.getSQLState().startsWith("08") || sql.getSQLState().startsWith("57P"))) {
        return true;
      }
      if (cause instanceof SQLException sql && "Connection is closed".equals(sql.getMessage())) {
        return true;
      }
    }
    return false;
  }
}
