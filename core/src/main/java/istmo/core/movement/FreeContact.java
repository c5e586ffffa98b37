package istmo.core.movement;

import istmo.core.anatomy.Coordinate;
import istmo.core.quantity.Vec3;
import org.jspecify.annotations.Nullable;

/**
 * A contact force that statics does not settle: its amount x lies in a range and is left to
 * whatever serves equilibrium. The range is [-b, b], or [0, b] when one-sided, with b = bound + W *
 * boundPerKg.
 *
 * @param at point of application, m
 * @param direction force (N) per unit of x
 * @param couple couple (N m) per unit of x
 * @param joint when not null: x is a moment (N m) about this coordinate, in its positive direction,
 *     or in its negative one where the x of {@code direction} is below zero; at and couple are
 *     unused
 */
public record FreeContact(
    String name,
    Load.@Nullable Segment on,
    Vec3 at,
    Vec3 direction,
    Vec3 couple,
    @Nullable Coordinate joint,
    double bound,
    double boundPerKg,
    boolean oneSided) {

  /**
   * A contact under the foot that may push either way along a direction, up to a bound in N plus
   * N/kg.
   */
  public static FreeContact atFoot(
      String name, Vec3 at, Vec3 direction, Vec3 couple, double bound, double boundPerKg) {
    return new FreeContact(
        name, Load.Segment.FOOT, at, direction, couple, null, bound, boundPerKg, false);
  }

  /** A joint's end, which may push towards positive angles only, up to a bound in N m. */
  public static FreeContact stop(String name, Coordinate joint, double bound) {
    return new FreeContact(name, null, Vec3.ZERO, Vec3.ZERO, Vec3.ZERO, joint, bound, 0, true);
  }

  /** The same towards negative angles. */
  public static FreeContact stopBack(String name, Coordinate joint, double bound) {
    Vec3 back = Vec3.FORWARD.times(-1);
    return new FreeContact(name, null, Vec3.ZERO, back, Vec3.ZERO, joint, bound, 0, true);
  }

  /** 1, or -1 for a moment towards negative angles. */
  public double sign() {
    return direction.x() < 0 ? -1 : 1;
  }
}
