package istmo.app.catalogue;

import istmo.app.platform.NotFound;
import istmo.core.catalogue.ByWord;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Trainable;
import istmo.core.plan.Offers;
import istmo.core.quantity.Fact;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Everything that the signed-in coach can put into a session or a plan: candidates of the
 * catalogue, own variants, exercises by word and own exercises.
 */
@Service
public class Trainables {
  private final Catalogue catalogue;
  private final Variants variants;
  private final OwnExercises own;

  Trainables(Catalogue catalogue, Variants variants, OwnExercises own) {
    this.catalogue = catalogue;
    this.variants = variants;
    this.own = own;
  }

  /** The one with this candidate's id, retired ones too; throws where there is none. */
  @Transactional(readOnly = true)
  public Trainable get(CandidateId candidateId) {
    if (ByWord.ownKey(candidateId).isPresent()) {
      ByWord exercise = own.get(candidateId.exerciseId()).exercise();
      if (!exercise.candidateId().equals(candidateId)) {
        throw new NotFound("exercise");
      }
      return exercise.trainable();
    }
    return catalogue
        .trainable(candidateId)
        .orElseGet(() -> Trainable.of(variants.candidate(candidateId)));
  }

  /** The same for many ids that this coach has: own ones are read once. */
  @Transactional(readOnly = true)
  public Function<CandidateId, Trainable> all() {
    Map<CandidateId, Trainable> byId = new HashMap<>();
    Stream.of(
            catalogue.byWord().stream(),
            catalogue.onceByWord().stream(),
            own.all().stream().map(OwnExercises.Own::exercise))
        .flatMap(exercises -> exercises)
        .forEach(byWord -> byId.put(byWord.candidateId(), byWord.trainable()));
    Function<CandidateId, Candidate> computed = variants.candidates();
    return id -> byId.containsKey(id) ? byId.get(id) : Trainable.of(computed.apply(id));
  }

  /** Own variants that are in use, oldest first: what an order evaluates beside the catalogue. */
  @Transactional(readOnly = true)
  public List<Candidate> ownVariants() {
    return variants.own();
  }

  /**
   * Own variants and own exercises that were taken out, and what is computed now: no list has them,
   * earlier plans may.
   */
  @Transactional(readOnly = true)
  public List<Offers.Gone> gone() {
    return Stream.of(
            variants.all().stream()
                .filter(Variants.Own::retired)
                .map(own -> takenOut(Trainable.of(own.candidate()))),
            own.all().stream()
                .filter(OwnExercises.Own::retired)
                .map(own -> takenOut(own.exercise().trainable())),
            catalogue.onceByWord().stream().map(this::computedNow))
        .flatMap(gone -> gone)
        .toList();
  }

  private static Offers.Gone takenOut(Trainable trainable) {
    return new Offers.Gone(
        trainable.id(), trainable.name(), new Fact.Written("You have taken it out."));
  }

  private Offers.Gone computedNow(ByWord once) {
    Candidate now = catalogue.candidate(once.computedAs().orElseThrow());
    return new Offers.Gone(once.candidateId(), once.name(), new ByWord.ComputedNow(now.name()));
  }

  /** Exercises by word that can be chosen: the catalogue's, and own ones that are not retired. */
  @Transactional(readOnly = true)
  public List<ByWord> byWord() {
    return Stream.concat(
            catalogue.byWord().stream(),
            own.all().stream().filter(own -> !own.retired()).map(OwnExercises.Own::exercise))
        .toList();
  }
}
