package istmo.core.movement;

import istmo.core.anatomy.Coordinate;
import istmo.core.body.Body;
import java.util.Locale;
import java.util.Optional;

/**
 * A set-up as deep as this body can take it.
 *
 * @param setup the wished set-up, or the same with less depth
 * @param lessened what was lessened and why, in words; empty when the wished depth is reached
 */
public record Reach(Setup setup, Optional<String> lessened) {
  /** Pelvis tuck beyond which depth is taken back, rad: a stop sign of the trade, with a little tolerance. */
  public static final double MOST_TUCK = Math.toRadians(10);

  /** Load under which balance is tried, kg; balance of all families eases with load. */
  private static final double TRIAL_KG = 100;

  private static final int POINTS = 11;

  /** The deepest set-up up to the wished one without an impossible posture or a tucking pelvis; empty with the reason inside when even the least depth is impossible. */
  public static Optional<Reach> of(Body body, Family family, Setup wished) {
    Optional<String> obstacle = obstacle(body, family, wished);
    if (obstacle.isEmpty()) {
      return Optional.of(new Reach(wished, Optional.empty()));
    }
    if (family.depth().isEmpty()) {
      return Optional.empty();
    }
    SetupParameter depth = family.depth().get();
    double high = wished.get(depth);
    double low = depth.allowed().min();
    if (obstacle(body, family, wished.with(depth, low)).isPresent()) {
      return Optional.empty();
    }
    while (high - low > 0.5) {
      double middle = 0.5 * (low + high);
      if (obstacle(body, family, wished.with(depth, middle)).isEmpty()) {
        low = middle;
      } else {
        high = middle;
      }
    }
    double reached = Math.floor(low);
    String text = String.format(Locale.ROOT, "%s %.0f° instead of %.0f°: %s", depth.label(), reached, wished.get(depth), obstacle.get());
    return Optional.of(new Reach(wished.with(depth, Math.max(reached, depth.allowed().min())), Optional.of(text)));
  }

  /** What stands in the way of the set-up on this body, in words; empty when nothing does. */
  public static Optional<String> obstacle(Body body, Family family, Setup setup) {
    for (int k = POINTS - 1; k >= 0; k--) {
      PostureResult result = family.posture(body, setup, k / (POINTS - 1.0), TRIAL_KG);
      if (result instanceof Impossible impossible) {
        return Optional.of(impossible.reason() + " Missing: " + impossible.missing() + ".");
      }
      if (result instanceof Posture posture && posture.angle(Coordinate.LUMBAR_FLEXION) > MOST_TUCK) {
        return Optional.of(String.format(Locale.ROOT, "below that the pelvis would tuck by more than %.0f°", Math.toDegrees(MOST_TUCK)));
      }
    }
    return Optional.empty();
  }
}
