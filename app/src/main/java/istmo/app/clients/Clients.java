package istmo.app.clients;

import istmo.app.accounts.CurrentCoach;
import istmo.app.clients.persistence.ClientEntity;
import istmo.app.clients.persistence.ClientRepository;
import istmo.app.platform.Conflict;
import istmo.app.platform.Names;
import istmo.app.platform.NotFound;
import istmo.core.body.Intake;
import istmo.core.body.PainFlag;
import istmo.core.quantity.InvalidInput;
import java.time.Clock;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The signed-in coach's clients. */
@Service
public class Clients {
  private final ClientRepository repository;
  private final CurrentCoach coach;
  private final Clock clock;

  Clients(ClientRepository repository, CurrentCoach coach, Clock clock) {
    this.repository = repository;
    this.coach = coach;
    this.clock = clock;
  }

  @Transactional(readOnly = true)
  public List<Client> all() {
    return repository.findByCoachIdOrderByName(coach.id()).stream().map(Clients::view).toList();
  }

  @Transactional(readOnly = true)
  public Client get(UUID id) {
    return view(entity(id));
  }

  @Transactional
  public Client add(String name, Intake intake, Set<PainFlag> pain) {
    String trimmed = checkName(name, null);
    ClientEntity e = new ClientEntity(UUID.randomUUID(), coach.id(), clock.instant());
    e.write(trimmed, intake, pain);
    return view(repository.saveAndFlush(e));
  }

  /** Changes a client; {@code version} is the one that the coach saw, so that a change made elsewhere meanwhile is not lost. */
  @Transactional
  public Client change(UUID id, int version, String name, Intake intake, Set<PainFlag> pain) {
    ClientEntity e = entity(id);
    if (e.getVersion() != version) {
      throw new Conflict(e.getName() + " was changed elsewhere meanwhile. Load again; nothing was overwritten.");
    }
    e.write(checkName(name, e.getName()), intake, pain);
    return view(repository.saveAndFlush(e));
  }

  private ClientEntity entity(UUID id) {
    return repository.findByIdAndCoachId(id, coach.id()).orElseThrow(() -> new NotFound("client"));
  }

  private String checkName(String name, String before) {
    String trimmed = Names.checked(name);
    if (!trimmed.equals(before) && repository.existsByCoachIdAndName(coach.id(), trimmed)) {
      throw new InvalidInput("name", "another client is called " + trimmed + " already");
    }
    return trimmed;
  }

  private static Client view(ClientEntity e) {
    return new Client(e.getId(), e.getVersion(), e.getName(), e.intake(), e.pain());
  }
}
