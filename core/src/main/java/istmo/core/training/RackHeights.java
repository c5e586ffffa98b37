package istmo.core.training;

import istmo.core.anatomy.Coordinate;
import istmo.core.catalogue.Candidate;
import istmo.core.equipment.Equipment;
import istmo.core.mechanics.Analysis;
import istmo.core.movement.Posture;
import istmo.core.quantity.Fact;
import istmo.core.quantity.Vec3;
import java.util.Optional;

/**
 * Where hooks and safeties go for a bar that is taken off hooks and must be caught (common
 * practice).
 *
 * @param hooksM centre of the bar on its hooks above the floor, m
 * @param safetiesM upper edge of safeties or stops above the floor, m
 */
public record RackHeights(double hooksM, double safetiesM) implements Fact {
  /** So far under the standing lifter's bar, m: it comes off without rising on the toes. */
  private static final double UNDER_STANDING_M = 0.05;

  /** So far under the lowest bar, m: it is not touched while all goes well. */
  private static final double UNDER_LOWEST_M = 0.04;

  /** A bar that travels less has no use for safeties of its own, m. */
  private static final double LEAST_TRAVEL_M = 0.15;

  /** A lifter whose knees bend more than this at the top does not stand up between repetitions. */
  private static final double STANDING = Math.toRadians(45);

  /** Heights for a candidate's repetition; empty where its bar leaves no hooks. */
  public static Optional<RackHeights> of(Candidate candidate, Analysis analysis) {
    boolean hooks =
        candidate.needs().contains(Equipment.RACK)
            || candidate.needs().contains(Equipment.FIXED_TRACK);
    if (!hooks) {
      return Optional.empty();
    }
    return of(
        analysis.points().get(0).posture(),
        analysis.points().get(analysis.points().size() - 1).posture());
  }

  /**
   * Heights for this posture at both ends of the repetition; empty where there is no bar, and for
   * part repetitions that do not come up to standing: the hooks' height is not known from them.
   */
  static Optional<RackHeights> of(Posture top, Posture bottom) {
    if (top.angle(Coordinate.KNEE_FLEXION) > STANDING) {
      return Optional.empty();
    }
    Optional<Double> high = barHeight(top);
    Optional<Double> low = barHeight(bottom);
    if (high.isEmpty() || low.isEmpty() || high.get() - low.get() < LEAST_TRAVEL_M) {
      return Optional.empty();
    }
    return Optional.of(new RackHeights(high.get() - UNDER_STANDING_M, low.get() - UNDER_LOWEST_M));
  }

  private static Optional<Double> barHeight(Posture posture) {
    return posture.props().stream()
        .filter(prop -> prop.kind().equals("bar"))
        .map(prop -> prop.points().get(0))
        .map(Vec3::y)
        .findFirst();
  }
}
