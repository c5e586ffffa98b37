package istmo.core.stimulus;

import istmo.core.quantity.InvalidInput;
import java.util.List;

/**
 * A school: how a coach weighs tension over a repetition. A setting, not a truth.
 *
 * @param recruitment exponent of the drive: 0 counts tension alone, 2 makes loads from light to heavy alike when taken to failure
 * @param lengthBias how much more a fibre counts for each optimal length that it is longer
 * @param powerMean exponent of the mean over the range: 1 counts the whole range alike, high counts the peak
 * @param passiveWeight how much stretch tension counts beside active tension
 */
public record School(String id, String label, String reason, double recruitment, double lengthBias, double powerMean, double passiveWeight) {
  public static final School STRETCH =
      new School("stretch", "by stretch under load", "Most of the newer growth studies favour long muscle lengths; it also orders the exercises as practitioners would.", 2, 1.0, 1, 0.5);
  public static final School WHOLE_RANGE = new School("whole-range", "by the whole range", "All lengths alike; what is heavy only at one end counts less.", 2, 0, 1, 0);
  public static final School SQUEEZE = new School("squeeze", "by the squeeze", "Short lengths and no slack count more; least support in growth studies.", 2, -1, 1, 0);

  public static List<School> all() {
    return List.of(STRETCH, WHOLE_RANGE, SQUEEZE);
  }

  public static School get(String id) {
    return all().stream().filter(s -> s.id().equals(id)).findFirst().orElseThrow(() -> new InvalidInput("school", "\"" + id + "\" is not a school; there are " + all().stream().map(School::id).toList()));
  }
}
