package istmo.core.movement;

import istmo.core.quantity.Units;
import istmo.core.quantity.Vec3;

/**
 * A force on one segment of the right leg, or on the whole body above L5/S1, that is linear in the
 * external load W (kg): force + W * forcePerKg at a point, and a couple alike.
 *
 * @param at point of application, m, world
 * @param force N
 * @param forcePerKg N/kg
 * @param couplePerKg N m/kg
 */
public record Load(Segment on, Vec3 at, Vec3 force, Vec3 forcePerKg, Vec3 couplePerKg) {
  /** Standard gravity, m/s2 (ISO 80000-3). */
  public static final double G = Units.STANDARD_GRAVITY;

  /** Where a force acts; the order is from distal to proximal. */
  public enum Segment {
    FOOT,
    SHANK,
    THIGH,
    /** Everything above L5/S1, both sides. */
    UPPER
  }

  /** The weight of a mass, kg, that does not hang on the external load. */
  public static Load weight(Segment on, Vec3 at, double massKg) {
    return weight(on, at, massKg, Vec3.UP);
  }

  /** The weight of a mass, kg, where up is another direction than y. */
  public static Load weight(Segment on, Vec3 at, double massKg, Vec3 up) {
    return new Load(on, at, up.times(-massKg * G), Vec3.ZERO, Vec3.ZERO);
  }

  /** A force, N, that grows with the external load, N/kg. */
  public static Load force(Segment on, Vec3 at, Vec3 force, Vec3 forcePerKg) {
    return new Load(on, at, force, forcePerKg, Vec3.ZERO);
  }

  /** A couple that grows with the external load, N m/kg. */
  public static Load couple(Segment on, Vec3 couplePerKg) {
    return new Load(on, Vec3.ZERO, Vec3.ZERO, Vec3.ZERO, couplePerKg);
  }
}
