package istmo.app.clients;

import istmo.app.accounts.CoachDays;
import istmo.app.accounts.CurrentCoach;
import istmo.app.clients.persistence.ClientEntity;
import istmo.app.clients.persistence.ClientRepository;
import istmo.app.clients.persistence.KnownLiftEntity;
import istmo.app.platform.Conflict;
import istmo.app.platform.Names;
import istmo.app.platform.NotFound;
import istmo.app.platform.Transactions;
import istmo.core.body.Body;
import istmo.core.body.BodyEstimate;
import istmo.core.body.Cautions;
import istmo.core.body.Intake;
import istmo.core.body.Measurement;
import istmo.core.body.Profile;
import istmo.core.body.Readings;
import istmo.core.catalogue.Catalogue;
import istmo.core.computing.Kept;
import istmo.core.quantity.InvalidInput;
import istmo.core.training.Calibration;
import istmo.core.training.KnownLift;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The signed-in coach's clients. */
@Service
public class Clients {
  private static final int KEPT_STRENGTHS = 500;

  private final ClientRepository repository;
  private final ClientTables tables;
  private final CurrentCoach coach;
  private final CoachDays days;
  private final Transactions transactions;

  /** What a body and its known lifts say of strength; may be lost at any time. */
  private final Kept<StrengthKey, Optional<Calibration>> strengths = Kept.atMost(KEPT_STRENGTHS);

  private record StrengthKey(Body usual, List<KnownLift> lifts) {}

  Clients(
      ClientRepository repository,
      ClientTables tables,
      CurrentCoach coach,
      CoachDays days,
      Transactions transactions) {
    this.transactions = transactions;
    this.repository = repository;
    this.tables = tables;
    this.coach = coach;
    this.days = days;
  }

  /** Every client of the coach, by name. */
  public List<Client> all() {
    return transactions.read(() -> tables.all(coach.id())).stream().map(this::view).toList();
  }

  /** The names of all clients by their ids, in the order of names. */
  @Transactional(readOnly = true)
  public Map<UUID, String> namesById() {
    Map<UUID, String> names = new LinkedHashMap<>();
    repository
        .findByCoachIdOrderByName(coach.id())
        .forEach(entity -> names.put(entity.getId(), entity.getName()));
    return names;
  }

  /** One client; throws {@link NotFound} for what is not this coach's. */
  public Client get(UUID id) {
    return view(transactions.read(() -> tables.of(entity(id))));
  }

  /** Throws {@link NotFound} where there is no such client of this coach. */
  @Transactional(readOnly = true)
  public void check(UUID id) {
    entity(id);
  }

  /**
   * Throws {@link InvalidInput} where a client cannot be called so.
   *
   * @param own the client who may keep the name; empty for a new one
   */
  @Transactional(readOnly = true)
  public void checkName(String name, Optional<UUID> own) {
    freeName(name, own.orElse(null));
  }

  /**
   * Adds a client; throws {@link InvalidInput} for a name that is taken or a profile that names
   * unknown exercises.
   */
  public Client add(String name, Intake intake, Profile profile, Cautions cautions) {
    return view(
        transactions.write(
            () -> {
              ClientEntity entity = tables.begun(coach.id());
              check(profile);
              entity.write(freeName(name, null), intake, profile, cautions);
              return tables.of(repository.saveAndFlush(entity));
            }));
  }

  /**
   * Changes a client; {@code version} is the one that the coach saw, so that a change made
   * elsewhere meanwhile is not lost.
   */
  public Client change(
      UUID id, int version, String name, Intake intake, Profile profile, Cautions cautions) {
    return view(
        transactions.write(
            () -> {
              ClientEntity entity = entity(id);
              if (entity.getVersion() != version) {
                throw new Conflict(
                    entity.getName()
                        + " was changed elsewhere meanwhile. Load again; nothing was overwritten.");
              }
              check(profile);
              entity.write(freeName(name, entity.getId()), intake, profile, cautions);
              return tables.of(repository.saveAndFlush(entity));
            }));
  }

  /** Throws where this could not be brought in. */
  public void check(ClientRecord record) {
    record.check(days.today());
  }

  /** Everything that is kept of a client here, for a file. */
  @Transactional(readOnly = true)
  public ClientRecord recordOf(UUID clientId) {
    return tables.of(entity(clientId)).kept();
  }

  /** The same for every client, by id, in the order of their names. */
  @Transactional(readOnly = true)
  public Map<UUID, ClientRecord> records() {
    Map<UUID, ClientRecord> all = new LinkedHashMap<>();
    tables.all(coach.id()).forEach(rows -> all.put(rows.client().getId(), rows.kept()));
    return all;
  }

  /**
   * Adds a client from elsewhere, with readings and lifts; all or nothing. It must have passed
   * {@link #check(ClientRecord)}.
   */
  @Transactional
  public UUID bringIn(ClientRecord record) {
    ClientEntity entity = tables.begun(coach.id());
    entity.write(
        freeName(record.name(), null), record.intake(), record.profile(), record.cautions());
    entity.setLearns(record.learns());
    repository.saveAndFlush(entity);
    tables.add(entity, record);
    return entity.getId();
  }

  /** Lets what was felt and what hurt count in this client's order, or not. */
  public Client learn(UUID id, boolean on) {
    return view(
        transactions.write(
            () -> {
              ClientEntity entity = entity(id);
              entity.setLearns(on);
              return tables.of(repository.saveAndFlush(entity));
            }));
  }

  /** A reading with its id, for lists. */
  public record Reading(UUID id, Measurement measurement) {}

  /** Readings of a client, each with its id. */
  @Transactional(readOnly = true)
  public List<Reading> readings(UUID clientId) {
    return tables.readings(entity(clientId)).stream()
        .map(entity -> new Reading(entity.getId(), entity.measurement()))
        .toList();
  }

  /**
   * Adds a reading; one that is not believable for this client's stature is refused, and so is a
   * day to come.
   */
  public Client measure(UUID clientId, Measurement measurement) {
    return view(
        transactions.write(
            () -> {
              ClientEntity entity = entity(clientId);
              double statureM = tables.of(entity).estimate().body().statureM();
              InvalidInput.together(
                  () -> measurement.kind().check(measurement.value(), statureM),
                  () -> checkDay(measurement.on()));
              tables.add(entity, measurement);
              return tables.of(entity);
            }));
  }

  /** Takes a reading back. */
  public Client removeReading(UUID clientId, UUID readingId) {
    return view(
        transactions.write(
            () -> {
              ClientEntity entity = entity(clientId);
              tables.removeReading(entity, readingId);
              return tables.of(entity);
            }));
  }

  /** A lift with its id, for lists. */
  public record Lift(UUID id, KnownLift lift) {}

  /** Known lifts of a client. */
  @Transactional(readOnly = true)
  public List<Lift> lifts(UUID clientId) {
    return tables.liftsOf(entity(clientId)).stream()
        .map(entity -> new Lift(entity.getId(), entity.lift()))
        .toList();
  }

  /**
   * Adds a known lift; one that this body could not have done is refused, and so is a day to come.
   */
  public Client addLift(UUID clientId, KnownLift lift) {
    ClientRows before = transactions.read(() -> tables.of(entity(clientId)));
    InvalidInput.together(
        () -> checkDay(lift.on()), () -> Calibration.check(before.estimate().body(), lift));
    return view(
        transactions.write(
            () -> {
              ClientEntity entity = entity(clientId);
              tables.add(entity, lift);
              return tables.of(entity);
            }));
  }

  /** Takes a known lift back. */
  public Client removeLift(UUID clientId, UUID liftId) {
    return view(
        transactions.write(
            () -> {
              ClientEntity entity = entity(clientId);
              tables.removeLift(entity, liftId);
              return tables.of(entity);
            }));
  }

  private void checkDay(LocalDate on) {
    ClientRecord.checkDay(on, days.today());
  }

  /** Erases a client with every reading and lift; sessions must be gone. */
  @Transactional
  public void erase(UUID clientId) {
    tables.erase(entity(clientId));
  }

  private ClientEntity entity(UUID id) {
    return repository.findByIdAndCoachId(id, coach.id()).orElseThrow(() -> new NotFound("client"));
  }

  private String freeName(String name, @Nullable UUID own) {
    String trimmed = Names.checked(name);
    boolean taken =
        own == null
            ? repository.existsByCoachIdAndName(coach.id(), trimmed)
            : repository.existsByCoachIdAndNameAndIdNot(coach.id(), trimmed, own);
    if (taken) {
      throw new InvalidInput("name", "another client is called " + trimmed + " already");
    }
    return trimmed;
  }

  /** Throws {@link InvalidInput} where a profile names exercises that are unknown. */
  public static void check(Profile profile) {
    profile.likes().forEach(Catalogue.standard()::exercise);
    profile.dislikes().forEach(Catalogue.standard()::exercise);
  }

  private Client view(ClientRows rows) {
    Transactions.mustBeOutside("a client's strength");
    ClientEntity entity = rows.client();
    Readings readings = rows.measured();
    BodyEstimate usual = rows.estimate();
    List<KnownLift> own = rows.lifts().stream().map(KnownLiftEntity::lift).toList();
    Optional<Calibration> strength =
        own.isEmpty()
            ? Optional.empty()
            : strengths.get(
                new StrengthKey(usual.body(), own),
                key -> Calibration.of(key.usual(), key.lifts()));
    BodyEstimate estimate = strength.map(calibration -> calibration.applied(usual)).orElse(usual);
    return new Client(
        entity.getId(),
        entity.getVersion(),
        entity.getName(),
        entity.intake(),
        entity.profile(),
        entity.cautions(),
        readings,
        rows.seen(),
        estimate,
        strength,
        entity.isLearns());
  }
}
