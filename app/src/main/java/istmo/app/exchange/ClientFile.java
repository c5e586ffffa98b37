package istmo.app.exchange;

import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.plans.Plans;
import istmo.app.plans.Session;
import istmo.app.weeks.Weeks;
import istmo.app.weeks.PlanFile;
import java.util.List;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Everything that is kept of one client: taken out as one document, or erased for good. */
@Service
public class ClientFile {
  private final Clients clients;
  private final Plans plans;
  private final Weeks weeks;

  ClientFile(Clients clients, Plans plans, Weeks weeks) {
    this.clients = clients;
    this.plans = plans;
    this.weeks = weeks;
  }

  /** @param sessions oldest first */
  public record Contents(Client client, List<Clients.Reading> readings, List<Clients.Lift> lifts, List<Session> sessions, List<PlanFile> weeks) {}

  @Transactional(readOnly = true)
  public Contents contents(UUID clientId) {
    return new Contents(clients.get(clientId), clients.readings(clientId), clients.lifts(clientId), plans.history(clientId), weeks.files(clientId));
  }

  /** Client, readings, lifts, sessions and sets, and planned weeks with their links. Nothing of it is left, and there is no way back. */
  @Transactional
  public void erase(UUID clientId) {
    clients.get(clientId);
    weeks.erase(clientId);
    plans.erase(clientId);
    clients.erase(clientId);
  }
}
