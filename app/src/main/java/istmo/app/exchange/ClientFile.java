package istmo.app.exchange;

import istmo.app.clients.Client;
import istmo.app.clients.Clients;
import istmo.app.floor.Floor;
import istmo.app.gyms.Gym;
import istmo.app.gyms.Gyms;
import istmo.app.plans.Plans;
import istmo.app.plans.Session;
import istmo.app.record.Answers;
import istmo.app.weeks.Weeks;
import istmo.app.weeks.PlanFile;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Everything that is kept of one client: taken out as one document, or erased for good. */
@Service
public class ClientFile {
  private final Clients clients;
  private final Plans plans;
  private final Weeks weeks;
  private final Floor floor;
  private final Answers answers;
  private final Gyms gyms;

  ClientFile(Clients clients, Plans plans, Weeks weeks, Floor floor, Answers answers, Gyms gyms) {
    this.floor = floor;
    this.answers = answers;
    this.gyms = gyms;
    this.clients = clients;
    this.plans = plans;
    this.weeks = weeks;
  }

  /**
   * @param sessions oldest first
   * @param gyms names by id
   */
  public record Contents(Client client, List<Clients.Reading> readings, List<Clients.Lift> lifts, List<Session> sessions, List<PlanFile> weeks, List<Floor.Mark> marks, List<Answers.Answer> answers, Map<UUID, String> gyms) {}

  @Transactional(readOnly = true)
  public Contents contents(UUID clientId) {
    return new Contents(clients.get(clientId), clients.readings(clientId), clients.lifts(clientId), plans.history(clientId), weeks.files(clientId), floor.marks(clientId), answers.of(clientId), gyms.all().stream().collect(Collectors.toMap(Gym::id, Gym::name)));
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
