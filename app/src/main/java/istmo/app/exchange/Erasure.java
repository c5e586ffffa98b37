package istmo.app.exchange;

import istmo.app.clients.Clients;
import istmo.app.plans.PlanStore;
import istmo.app.sessions.Sessions;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Everything that is kept of a client, erased for good. */
@Service
public class Erasure {
  private final Clients clients;
  private final Sessions sessions;
  private final PlanStore plans;

  Erasure(Clients clients, Sessions sessions, PlanStore plans) {
    this.clients = clients;
    this.sessions = sessions;
    this.plans = plans;
  }

  /**
   * Client, readings, lifts, sessions and sets, and planned weeks with their links. Nothing of it
   * is left, and there is no way back.
   */
  @Transactional
  public void erase(UUID clientId) {
    clients.check(clientId);
    plans.erase(clientId);
    sessions.erase(clientId);
    clients.erase(clientId);
  }
}
