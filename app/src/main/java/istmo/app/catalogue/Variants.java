package istmo.app.catalogue;

import istmo.app.accounts.CurrentCoach;
import istmo.app.catalogue.persistence.OwnVariantEntity;
import istmo.app.catalogue.persistence.OwnVariantRepository;
import istmo.app.clients.Clients;
import istmo.app.platform.Conflict;
import istmo.app.platform.Names;
import istmo.app.platform.NotFound;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the signed-in coach can choose from: the catalogue, and own variants of its exercises. */
@Service
public class Variants {
  /** Own variants that a coach can have: each costs some milliseconds in every new order. */
  static final int MOST = 40;

  private final OwnVariantRepository repository;
  private final Clients clients;
  private final CurrentCoach coach;
  private final Clock clock;

  Variants(OwnVariantRepository repository, Clients clients, CurrentCoach coach, Clock clock) {
    this.repository = repository;
    this.clients = clients;
    this.coach = coach;
    this.clock = clock;
  }

  /** A candidate of the catalogue, or this coach's own, retired ones too. */
  @Transactional(readOnly = true)
  public Candidate candidate(String id) {
    return Candidate.ownKey(id).isEmpty() ? Catalogue.standard().candidate(id) : own(entity(id));
  }

  /** Own variants that are in use, oldest first. */
  @Transactional(readOnly = true)
  public List<Candidate> own() {
    return repository.findByCoachIdAndRetiredAtIsNullOrderByCreatedAt(coach.id()).stream().map(Variants::own).toList();
  }

  /** Keeps a set-up as it stands for a client on the bench, so that other clients get it in their size. */
  @Transactional
  public Candidate add(String exerciseId, String name, Map<String, Double> setup, UUID clientId) {
    Exercise exercise = Catalogue.standard().exercise(exerciseId);
    String checked = Names.checked(name);
    List<Candidate> own = own();
    if (Stream.concat(Catalogue.standard().candidates().stream(), own.stream()).anyMatch(c -> c.name().equalsIgnoreCase(checked))) {
      throw new Conflict("There is a variant of that name: " + checked + ".");
    }
    if (own.size() >= MOST) {
      throw new Conflict("There are " + MOST + " own variants; take one out first.");
    }
    UUID id = UUID.randomUUID();
    Candidate c = Candidate.own(exercise, id.toString(), checked, setup, clients.get(clientId).body(false));
    repository.save(new OwnVariantEntity(id, coach.id(), exercise.id(), checked, c.usual().values(), clock.instant()));
    return c;
  }

  /** Takes it out of orders and lists; sessions that have it keep its name. */
  @Transactional
  public void retire(String candidateId) {
    entity(candidateId).retire(clock.instant());
  }

  private OwnVariantEntity entity(String candidateId) {
    return Candidate.ownKey(candidateId).flatMap(Variants::uuid).flatMap(id -> repository.findByIdAndCoachId(id, coach.id())).orElseThrow(() -> new NotFound("variant"));
  }

  private static Optional<UUID> uuid(String key) {
    try {
      return Optional.of(UUID.fromString(key));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  private static Candidate own(OwnVariantEntity e) {
    return Candidate.own(Catalogue.standard().exercise(e.getExerciseId()), e.getId().toString(), e.getName(), e.getSetup());
  }
}
