package istmo.app.sessions;

import istmo.app.clients.Client;
import istmo.app.clients.Reports;
import istmo.core.record.Experience;
import java.time.Clock;
import org.springframework.stereotype.Service;

/** A client's reports as they stand in the logged sets. */
@Service
class LoggedReports implements Reports {
  private final History history;
  private final Clock clock;

  LoggedReports(History history, Clock clock) {
    this.history = history;
    this.clock = clock;
  }

  @Override
  public Experience of(Client client) {
    return client.learns()
        ? history.experience(client.id(), clock.instant().minus(Experience.COUNTS_FOR))
        : Experience.NONE;
  }
}
