package istmo.app.clients;

import istmo.app.accounts.CurrentCoach;
import istmo.app.clients.persistence.ClientEntity;
import istmo.app.clients.persistence.ClientRepository;
import istmo.app.clients.persistence.MeasurementEntity;
import istmo.app.clients.persistence.MeasurementRepository;
import istmo.app.platform.Conflict;
import istmo.app.platform.Names;
import istmo.app.platform.NotFound;
import istmo.core.body.Cautions;
import istmo.core.body.Intake;
import istmo.core.body.Measurement;
import istmo.core.body.PainFlag;
import istmo.core.body.Readings;
import istmo.core.quantity.InvalidInput;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The signed-in coach's clients. */
@Service
public class Clients {
  private final ClientRepository repository;
  private final MeasurementRepository measurements;
  private final CurrentCoach coach;
  private final Clock clock;

  Clients(ClientRepository repository, MeasurementRepository measurements, CurrentCoach coach, Clock clock) {
    this.repository = repository;
    this.measurements = measurements;
    this.coach = coach;
    this.clock = clock;
  }

  @Transactional(readOnly = true)
  public List<Client> all() {
    Map<UUID, List<MeasurementEntity>> readings = measurements.findByCoachIdOrderByTakenOnAscCreatedAtAsc(coach.id()).stream().collect(Collectors.groupingBy(MeasurementEntity::getClientId));
    return repository.findByCoachIdOrderByName(coach.id()).stream().map(e -> view(e, readings.getOrDefault(e.getId(), List.of()))).toList();
  }

  @Transactional(readOnly = true)
  public Client get(UUID id) {
    return view(entity(id));
  }

  @Transactional
  public Client add(String name, Intake intake, Set<PainFlag> pain, Cautions cautions) {
    String trimmed = checkName(name, null);
    ClientEntity e = new ClientEntity(UUID.randomUUID(), coach.id(), clock.instant());
    e.write(trimmed, intake, pain, cautions);
    return view(repository.saveAndFlush(e));
  }

  /** Changes a client; {@code version} is the one that the coach saw, so that a change made elsewhere meanwhile is not lost. */
  @Transactional
  public Client change(UUID id, int version, String name, Intake intake, Set<PainFlag> pain, Cautions cautions) {
    ClientEntity e = entity(id);
    if (e.getVersion() != version) {
      throw new Conflict(e.getName() + " was changed elsewhere meanwhile. Load again; nothing was overwritten.");
    }
    e.write(checkName(name, e.getName()), intake, pain, cautions);
    return view(repository.saveAndFlush(e));
  }

  /** A reading with its id, for lists. */
  public record Reading(UUID id, Measurement measurement) {}

  @Transactional(readOnly = true)
  public List<Reading> readings(UUID clientId) {
    return readingsOf(entity(clientId)).stream().map(m -> new Reading(m.getId(), m.measurement())).toList();
  }

  /** Adds a reading; one that is not believable for this client's stature is refused, and so is a day to come. */
  @Transactional
  public Client measure(UUID clientId, Measurement m) {
    ClientEntity e = entity(clientId);
    m.kind().check(m.value(), view(e).body().statureM());
    if (m.on().isAfter(LocalDate.now(clock).plusDays(1))) { // a day of grace for clocks east of here
      throw new InvalidInput("on", "is a day to come");
    }
    measurements.saveAndFlush(new MeasurementEntity(UUID.randomUUID(), coach.id(), e.getId(), m, clock.instant()));
    return view(e);
  }

  @Transactional
  public Client removeReading(UUID clientId, UUID readingId) {
    ClientEntity e = entity(clientId);
    measurements.delete(measurements.findByIdAndClientIdAndCoachId(readingId, e.getId(), coach.id()).orElseThrow(() -> new NotFound("reading")));
    measurements.flush();
    return view(e);
  }

  /** Erases a client with every reading; sessions must be gone. */
  @Transactional
  public void erase(UUID clientId) {
    ClientEntity e = entity(clientId);
    measurements.deleteAllInBatch(readingsOf(e));
    repository.delete(e);
    repository.flush();
  }

  private List<MeasurementEntity> readingsOf(ClientEntity e) {
    return measurements.findByCoachIdAndClientIdOrderByTakenOnAscCreatedAtAsc(coach.id(), e.getId());
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

  private Client view(ClientEntity e) {
    return view(e, readingsOf(e));
  }

  private static Client view(ClientEntity e, List<MeasurementEntity> readings) {
    return new Client(e.getId(), e.getVersion(), e.getName(), e.intake(), e.pain(), e.cautions(), new Readings(readings.stream().map(MeasurementEntity::measurement).toList()));
  }
}
