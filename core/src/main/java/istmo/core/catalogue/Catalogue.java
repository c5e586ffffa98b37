package istmo.core.catalogue;

import istmo.core.quantity.InvalidInput;
import istmo.core.resource.TextTable;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.TreeMap;

/**
 * All exercises, read from {@code catalogue/*.txt} and checked: families, equipment, set-ups and
 * names must exist, or the application does not start.
 */
public final class Catalogue {
  private static final Catalogue STANDARD = new Catalogue();
  private final Map<String, Exercise> exercises = new LinkedHashMap<>();
  private final Map<CandidateId, Candidate> candidates = new LinkedHashMap<>();
  private final List<ByWord> byWord = ByWordReader.all();

  private Catalogue() {
    for (String file : TextTable.lines("catalogue/index.txt")) {
      if (!file.isBlank() && !file.startsWith("#")) {
        ExerciseFile read = new ExerciseFile(file.trim());
        Exercise exercise = read.exercise();
        if (exercises.put(exercise.id(), exercise) != null) {
          throw new IllegalStateException("exercise " + exercise.id() + " stands twice");
        }
        for (Candidate candidate : read.candidates(exercise)) {
          if (candidates.put(candidate.id(), candidate) != null) {
            throw new IllegalStateException("candidate " + candidate.id() + " stands twice");
          }
        }
      }
    }
    for (ByWord once : onceByWord()) {
      if (!candidates.containsKey(once.computedAs().orElseThrow())) {
        throw new IllegalStateException(once.id() + " is not computed as said");
      }
    }
  }

  /** What coaches use and the model does not compute, each with what it trains by word. */
  public List<ByWord> byWord() {
    return byWord.stream().filter(exercise -> exercise.computedAs().isEmpty()).toList();
  }

  /** What was used by word once and is computed now: plans and records may still have it. */
  public List<ByWord> onceByWord() {
    return byWord.stream().filter(exercise -> exercise.computedAs().isPresent()).toList();
  }

  /** The catalogue of the core's resources, read and checked once. */
  public static Catalogue standard() {
    return STANDARD;
  }

  /** Every exercise that is computed. */
  public List<Exercise> exercises() {
    return List.copyOf(exercises.values());
  }

  /** Every named set-up of every exercise. */
  public List<Candidate> candidates() {
    return List.copyOf(candidates.values());
  }

  /** The exercise with this id; throws {@code InvalidInput} when there is none. */
  public Exercise exercise(String id) {
    Exercise exercise = exercises.get(id);
    if (exercise == null) {
      throw new InvalidInput("exercise", "\"" + id + "\" is not in the catalogue");
    }
    return exercise;
  }

  /** The candidate with this id; throws {@code InvalidInput} when there is none. */
  public Candidate candidate(String id) {
    return candidate(new CandidateId(id));
  }

  /** The candidate with this id; throws {@code InvalidInput} when there is none. */
  public Candidate candidate(CandidateId id) {
    Candidate candidate = candidates.get(id);
    if (candidate == null) {
      throw new InvalidInput(
          "candidate",
          trainable(id)
              .map(
                  trainable ->
                      trainable.name() + " is used by word, so nothing can be computed of it")
              .orElse("\"" + id + "\" is not in the catalogue"));
    }
    return candidate;
  }

  /** What has this candidate's id, computed or by word; empty where nothing has. */
  public Optional<Trainable> trainable(CandidateId candidateId) {
    return Optional.ofNullable(candidates.get(candidateId))
        .map(
            candidate ->
                new Trainable(
                    candidate.id(),
                    candidate.name(),
                    candidate.exercise(),
                    candidate.usual().values()))
        .or(
            () ->
                byWord.stream()
                    .filter(byWord -> byWord.candidateId().equals(candidateId))
                    .findFirst()
                    .map(ByWord::trainable));
  }

  /**
   * A set-up as it was kept, with what its exercise got since at its usual value, by parameter; as
   * it is where the exercise is not computed.
   */
  public SortedMap<String, Double> whole(CandidateId candidateId, Map<String, Double> kept) {
    SortedMap<String, Double> whole = new TreeMap<>(kept);
    Optional.ofNullable(exercises.get(candidateId.exerciseId())).stream()
        .flatMap(exercise -> exercise.family().parameters().stream())
        .forEach(parameter -> whole.putIfAbsent(parameter.id(), parameter.usual()));
    return whole;
  }

  /** The named set-ups of an exercise, its first the one that a name alone shows. */
  public List<Candidate> candidatesOf(Exercise exercise) {
    return candidates.values().stream()
        .filter(candidate -> candidate.exercise().equals(exercise))
        .toList();
  }
}
