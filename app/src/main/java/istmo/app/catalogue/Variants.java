package istmo.app.catalogue;

import istmo.app.accounts.CurrentCoach;
import istmo.app.catalogue.persistence.OwnVariantEntity;
import istmo.app.catalogue.persistence.OwnVariantRepository;
import istmo.app.clients.Clients;
import istmo.app.platform.Conflict;
import istmo.app.platform.Names;
import istmo.app.platform.NotFound;
import istmo.app.platform.Transactions;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the signed-in coach can choose from: the catalogue, and own variants of its exercises. */
@Service
public class Variants {
  /** Own variants that a coach can have: each costs some milliseconds in every new order. */
  static final int MOST = 40;

  private final Catalogue catalogue;
  private final OwnVariantRepository repository;
  private final Clients clients;
  private final CurrentCoach coach;
  private final Clock clock;
  private final Transactions transactions;

  Variants(
      Catalogue catalogue,
      OwnVariantRepository repository,
      Clients clients,
      CurrentCoach coach,
      Clock clock,
      Transactions transactions) {
    this.catalogue = catalogue;
    this.transactions = transactions;
    this.repository = repository;
    this.clients = clients;
    this.coach = coach;
    this.clock = clock;
  }

  /** A candidate of the catalogue, or this coach's own, retired ones too. */
  @Transactional(readOnly = true)
  public Candidate candidate(CandidateId id) {
    return id.ownKey().isEmpty() ? catalogue.candidate(id) : own(entity(id));
  }

  /** The same for many ids that this coach has: own variants are read once. */
  @Transactional(readOnly = true)
  public Function<CandidateId, Candidate> candidates() {
    Map<CandidateId, Candidate> own =
        all().stream().map(Own::candidate).collect(Collectors.toMap(Candidate::id, found -> found));
    return id -> own.containsKey(id) ? own.get(id) : catalogue.candidate(id);
  }

  /**
   * An own variant; a retired one is in no order or list, but sessions may have it. One that the
   * exercise does not take any more counts as retired.
   */
  public record Own(Candidate candidate, boolean retired) {}

  /** All own variants, oldest first. */
  @Transactional(readOnly = true)
  public List<Own> all() {
    return repository.findByCoachIdOrderByCreatedAt(coach.id()).stream()
        .map(
            entity ->
                new Own(
                    own(entity),
                    entity.isRetired() || !Candidate.fits(exercise(entity), entity.getSetup())))
        .toList();
  }

  /** Own variants that are in use, oldest first. */
  @Transactional(readOnly = true)
  public List<Candidate> own() {
    return all().stream().filter(own -> !own.retired()).map(Own::candidate).toList();
  }

  /**
   * Keeps a set-up as it stands for a client on the bench, so that other clients get it in their
   * size.
   */
  public Candidate add(String exerciseId, String name, Map<String, Double> setup, UUID clientId) {
    Exercise exercise = catalogue.exercise(exerciseId);
    String checked = Names.checked(name);
    UUID id = UUID.randomUUID();
    Candidate candidate =
        Candidate.own(exercise, id.toString(), checked, setup, clients.get(clientId).body(false));
    transactions.write(
        () -> {
          checkRoom(checked);
          repository.save(
              new OwnVariantEntity(
                  id,
                  coach.id(),
                  exercise.id(),
                  checked,
                  candidate.usual().values(),
                  clock.instant()));
        });
    return candidate;
  }

  /**
   * Takes over a variant that was kept elsewhere under {@code key}: the one that is here already,
   * if there is one with that name and set-up, or a new one. Where the name or the room is taken,
   * it gets another name, or comes retired.
   */
  @Transactional
  public Candidate bringIn(
      String key, String exerciseId, String name, Map<String, Double> setup, boolean retired) {
    Exercise exercise = catalogue.exercise(exerciseId);
    String checked = Names.checked(name);
    List<OwnVariantEntity> here = repository.findByCoachIdOrderByCreatedAt(coach.id());
    Optional<OwnVariantEntity> same =
        here.stream()
            .filter(
                entity ->
                    entity.getExerciseId().equals(exerciseId)
                        && entity.getName().equalsIgnoreCase(checked)
                        && entity.getSetup().equals(setup))
            .findFirst();
    if (same.isPresent()) {
      return own(same.get());
    }
    Set<String> taken =
        Stream.concat(
                catalogue.candidates().stream().map(Candidate::name),
                here.stream().map(OwnVariantEntity::getName))
            .map(text -> text.toLowerCase(Locale.ROOT))
            .collect(Collectors.toSet());
    UUID id =
        Keys.uuid(key).filter(uuid -> !repository.existsById(uuid)).orElseGet(UUID::randomUUID);
    OwnVariantEntity ownVariantEntity =
        new OwnVariantEntity(
            id,
            coach.id(),
            exercise.id(),
            Names.free(
                checked, Names.LONGEST, text -> taken.contains(text.toLowerCase(Locale.ROOT))),
            setup,
            clock.instant());
    if (retired || own().size() >= MOST) {
      ownVariantEntity.retire(clock.instant());
    }
    return own(repository.save(ownVariantEntity));
  }

  /** Takes it out of orders and lists; sessions that have it keep it. */
  @Transactional
  public void retire(CandidateId candidateId) {
    entity(candidateId).retire(clock.instant());
  }

  /** Puts a retired one back. */
  @Transactional
  public void putBack(CandidateId candidateId) {
    OwnVariantEntity variant = entity(candidateId);
    if (!Candidate.fits(exercise(variant), variant.getSetup())) {
      throw new Conflict(
          "The exercise takes other set-ups since this was kept; keep it anew from the bench.");
    }
    if (variant.isRetired()) {
      checkRoom(variant.getName());
      variant.putBack();
    }
  }

  private void checkRoom(String name) {
    List<Candidate> own = own();
    if (Stream.concat(catalogue.candidates().stream(), own.stream())
        .anyMatch(candidate -> candidate.name().equalsIgnoreCase(name))) {
      throw new Conflict("There is a variant of that name: " + name + ".");
    }
    if (own.size() >= MOST) {
      throw new Conflict("There are " + MOST + " own variants; take one out first.");
    }
  }

  private OwnVariantEntity entity(CandidateId candidateId) {
    return candidateId
        .ownKey()
        .flatMap(Keys::uuid)
        .flatMap(id -> repository.findByIdAndCoachId(id, coach.id()))
        .orElseThrow(() -> new NotFound("variant"));
  }

  private Exercise exercise(OwnVariantEntity entity) {
    return catalogue.exercise(entity.getExerciseId());
  }

  private Candidate own(OwnVariantEntity entity) {
    return Candidate.own(
        exercise(entity), entity.getId().toString(), entity.getName(), entity.getSetup());
  }
}
