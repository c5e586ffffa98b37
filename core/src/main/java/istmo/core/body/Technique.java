package istmo.core.body;

import java.time.LocalDate;
import java.util.Collections;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * How one client was seen to do exercises otherwise than people usually do: by exercise id and by
 * id of a technique parameter.
 */
public record Technique(Map<String, Map<String, Seen>> byExercise) {
  /** Nothing was seen. */
  public static final Technique USUAL = new Technique(Map.of());

  /**
   * What was seen of one parameter.
   *
   * @param shift what is added to the usual value, in the parameter's unit
   * @param spread standard deviation of what was seen, same unit
   * @param on the day on which it was seen
   */
  public record Seen(double shift, double spread, LocalDate on) {}

  public Technique {
    Map<String, Map<String, Seen>> sorted = new TreeMap<>();
    byExercise.forEach((exercise, seen) -> sorted.put(exercise, Map.copyOf(seen)));
    byExercise = Collections.unmodifiableMap(sorted);
  }

  /** What was seen of one exercise, by parameter id; empty when nothing was. */
  public Map<String, Seen> of(String exerciseId) {
    return byExercise.getOrDefault(exerciseId, Map.of());
  }

  /** What was seen of one parameter of an exercise. */
  public Optional<Seen> of(String exerciseId, String parameterId) {
    return Optional.ofNullable(of(exerciseId).get(parameterId));
  }
}
