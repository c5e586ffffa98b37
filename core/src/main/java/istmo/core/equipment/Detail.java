package istmo.core.equipment;

import istmo.core.quantity.Allowed;
import java.util.Optional;

/**
 * One thing that can be known of a machine or a set of weights.
 *
 * @param id name; where it is also a parameter of an exercise's set-up, it moves the mechanics
 * @param unit m, deg, kg, none for a ratio, or "yes" for 1 or 0
 * @param usual generic value until measured
 * @param between low and high value between which such machines usually lie; empty where no order
 *     hangs on it
 * @param how how to measure it
 */
public record Detail(
    String id,
    String label,
    String unit,
    Allowed allowed,
    double usual,
    Optional<Allowed> between,
    String how) {
  public Detail {
    allowed.check(id, usual);
  }

  /** Whether it is there or not, instead of having a number. */
  public boolean isYesOrNo() {
    return unit.equals("yes");
  }
}
