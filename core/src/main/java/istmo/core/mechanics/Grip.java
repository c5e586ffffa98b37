package istmo.core.mechanics;

import istmo.core.body.Body;
import istmo.core.movement.Family;
import istmo.core.movement.Setup;

/**
 * Hands that hold a hanging weight without straps, or arms that hold one at the chest, all through
 * the set, without a rest between its repetitions. A set that follows at once begins with fresh
 * hands here, which no hands are.
 */
final class Grip {
  /**
   * Most that arms hold at the chest beside what one hand holds of a bar: about half of body mass
   * (own estimate; heavier goblets are rare, common practice).
   */
  private static final double AT_CHEST = 0.5;

  private Grip() {}

  /** The external load that opens the fingers, kg; infinite where no hand holds it. */
  static double limitKg(Body body, Family family, Setup setup) {
    return family.heldAtChest(setup)
        ? AT_CHEST * body.heldKg()
        : body.heldKg() / family.inOneHand(setup);
  }

  /** How long the load is held, s. What the arms can hug at the chest they can hug for long. */
  static double holdS(Body body, Family family, Setup setup, double loadKg) {
    double share = loadKg / limitKg(body, family, setup);
    return family.heldAtChest(setup)
        ? (share <= 1 + 1e-9 ? Double.POSITIVE_INFINITY : 0)
        : enduranceS(share);
  }

  /**
   * How long a muscle holds a share of its largest force, s (Rohmert 1960, from memory): -1.5 +
   * 2.1/f - 0.6/f^2 + 0.1/f^3 min, 6 s at the whole; without end from where the curve has its
   * asymptote, 0.15.
   */
  static double enduranceS(double share) {
    if (share <= 0.15) {
      return Double.POSITIVE_INFINITY;
    }
    return share > 1
        ? 0
        : 60 * (-1.5 + 2.1 / share - 0.6 / (share * share) + 0.1 / (share * share * share));
  }
}
