package istmo.app.sessions;

import istmo.app.clients.Client;
import istmo.app.clients.Reports;
import istmo.core.record.Experience;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
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
    Instant from = clock.instant().minus(Experience.COUNTS_FOR);
    // most clients were asked nothing: then their sets need not be read
    return client.learns() && history.told(client.id(), from)
        ? Experience.of(history.since(client.id(), from, List.of()).values())
        : Experience.NONE;
  }
}
