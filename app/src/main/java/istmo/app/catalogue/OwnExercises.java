package istmo.app.catalogue;

import istmo.app.accounts.CurrentCoach;
import istmo.app.catalogue.persistence.OwnExerciseEntity;
import istmo.app.catalogue.persistence.OwnExerciseRepository;
import istmo.app.platform.Conflict;
import istmo.app.platform.Names;
import istmo.app.platform.NotFound;
import istmo.core.catalogue.ByWord;
import istmo.core.catalogue.Catalogue;
import java.time.Clock;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Exercises of the signed-in coach's own, used by word. */
@Service
public class OwnExercises {
  /** Own exercises that a coach can have in use. */
  static final int MOST = 200;

  private final Catalogue catalogue;
  private final OwnExerciseRepository repository;
  private final CurrentCoach coach;
  private final Clock clock;

  OwnExercises(
      Catalogue catalogue, OwnExerciseRepository repository, CurrentCoach coach, Clock clock) {
    this.catalogue = catalogue;
    this.repository = repository;
    this.coach = coach;
    this.clock = clock;
  }

  /** One as it is kept; a retired one cannot be chosen, but sessions may have it. */
  public record Own(ByWord exercise, OwnExerciseDocument said, int version, boolean retired) {}

  /** All, oldest first, retired ones too. */
  @Transactional(readOnly = true)
  public List<Own> all() {
    return repository.findByCoachIdOrderByCreatedAt(coach.id()).stream()
        .map(OwnExercises::own)
        .toList();
  }

  /** The one with this exercise's or candidate's id, retired or not. */
  @Transactional(readOnly = true)
  public Own get(String id) {
    return own(entity(id));
  }

  /** Keeps a new one. */
  @Transactional
  public Own add(String name, OwnExerciseDocument said) {
    UUID id = UUID.randomUUID();
    ByWord exercise = said.exercise(id.toString(), Names.checked(name));
    checkRoom(exercise.name(), Optional.empty());
    return own(
        repository.saveAndFlush(
            new OwnExerciseEntity(id, coach.id(), exercise.name(), said, clock.instant())));
  }

  /** Says something else of one; throws {@link Conflict} where it was changed meanwhile. */
  @Transactional
  public Own change(String id, int version, String name, OwnExerciseDocument said) {
    OwnExerciseEntity kept = entity(id);
    if (kept.getVersion() != version) {
      throw new Conflict("This exercise was changed meanwhile; look at it again.");
    }
    ByWord exercise = said.exercise(kept.getId().toString(), Names.checked(name));
    checkRoom(exercise.name(), Optional.of(kept.getId()));
    kept.say(exercise.name(), said);
    return own(repository.saveAndFlush(kept));
  }

  /** Takes one out of what can be chosen; sessions that have it keep it. */
  @Transactional
  public void retire(String id) {
    entity(id).retire(clock.instant());
  }

  /** Puts a retired one back. */
  @Transactional
  public void putBack(String id) {
    OwnExerciseEntity kept = entity(id);
    if (kept.isRetired()) {
      checkRoom(kept.getName(), Optional.of(kept.getId()));
      kept.putBack();
    }
  }

  /**
   * Takes over one that was kept elsewhere: the one that is here already, if there is one with that
   * name of which the same is said, or a new one, under another name where its own is taken, and
   * retired where there is no room. Its id stays where that is free.
   */
  @Transactional
  public ByWord bringIn(ByWord there, OwnExerciseDocument said, boolean retired) {
    List<OwnExerciseEntity> here = repository.findByCoachIdOrderByCreatedAt(coach.id());
    String checked = Names.checked(there.name());
    Optional<OwnExerciseEntity> same =
        here.stream()
            .filter(
                entity ->
                    entity.getName().equalsIgnoreCase(checked) && entity.getSaid().equals(said))
            .findFirst();
    if (same.isPresent()) {
      return own(same.get()).exercise();
    }
    UUID id =
        ByWord.ownKey(there.id())
            .flatMap(Keys::uuid)
            .filter(key -> !repository.existsById(key))
            .orElseGet(UUID::randomUUID);
    String free = Names.free(checked, Names.LONGEST, name -> taken(name, here, Optional.empty()));
    OwnExerciseEntity ownExerciseEntity =
        new OwnExerciseEntity(id, coach.id(), free, said, clock.instant());
    if (retired || here.stream().filter(entity -> !entity.isRetired()).count() >= MOST) {
      ownExerciseEntity.retire(clock.instant());
    }
    return own(repository.saveAndFlush(ownExerciseEntity)).exercise();
  }

  private void checkRoom(String name, Optional<UUID> itself) {
    List<OwnExerciseEntity> here = repository.findByCoachIdOrderByCreatedAt(coach.id());
    if (taken(name, here, itself)) {
      throw new Conflict("There is an exercise of that name: " + name + ".");
    }
    if (here.stream()
            .filter(entity -> !entity.isRetired() && !itself.equals(Optional.of(entity.getId())))
            .count()
        >= MOST) {
      throw new Conflict("There are " + MOST + " own exercises; take one out first.");
    }
  }

  private boolean taken(String name, List<OwnExerciseEntity> here, Optional<UUID> itself) {
    String plain = name.toLowerCase(Locale.ROOT);
    return Stream.of(
            catalogue.exercises().stream().map(exercise -> exercise.name()),
            catalogue.candidates().stream().map(candidate -> candidate.name()),
            catalogue.byWord().stream().map(byWord -> byWord.name()),
            here.stream()
                .filter(entity -> !itself.equals(Optional.of(entity.getId())))
                .map(OwnExerciseEntity::getName))
        .flatMap(x -> x)
        .anyMatch(text -> text.toLowerCase(Locale.ROOT).equals(plain));
  }

  private OwnExerciseEntity entity(String id) {
    return ByWord.ownKey(id)
        .flatMap(Keys::uuid)
        .flatMap(key -> repository.findByIdAndCoachId(key, coach.id()))
        .orElseThrow(() -> new NotFound("exercise"));
  }

  private static Own own(OwnExerciseEntity entity) {
    return new Own(
        entity.getSaid().exercise(entity.getId().toString(), entity.getName()),
        entity.getSaid(),
        entity.getVersion(),
        entity.isRetired());
  }
}
