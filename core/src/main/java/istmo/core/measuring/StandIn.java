package istmo.core.measuring;

import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.measuring.Pull.Direction;
import istmo.core.movement.Load;
import java.util.Random;

/**
 * Invented gadgets on an invented machine, for practice and for tests: what a hanging scale, an
 * inclinometer or a tape would send, with swing, noise and a dropout. The truth behind them is
 * known.
 */
public final class StandIn {
  /** Time between two readings, ms. */
  public static final long EVERY_MS = 100;

  private static final double SLED_KG = 38;
  private static final double TRACK_BAR_KG = 12;
  private static final double FRICTION = 0.07;
  private static final double SHORTEST_LEVER_M = 0.05;
  private static final double SWING_MS = 500;
  private static final double PERIOD_MS = 120;

  private final Gauge gauge;
  private final double truth;
  private final Random random;

  /**
   * @param truth what the gadget would show at rest, in the gauge's unit inside
   */
  public StandIn(Gauge gauge, double truth, long seed) {
    this.gauge = gauge;
    this.truth = truth;
    this.random = new Random(seed);
  }

  /**
   * Effective lever of the invented cam, m, at a knee bend, deg: strong in the middle, weak where
   * the knee is bent most.
   */
  public static double cam(double atDeg) {
    return 0.19 * (0.72 + 0.45 * Math.sin(Math.toRadians(Math.min(180, 25 + atDeg))));
  }

  /**
   * What a scale would show, N: on a lever machine at an angle and a lever arm, on a rail or track
   * along it.
   */
  public static double forceN(Equipment item, GymEquipment equipment, Pull pull) {
    double way =
        pull.direction() == Direction.UP
            ? 1 + FRICTION
            : pull.direction() == Direction.DOWN ? 1 - FRICTION : 1;
    double weight = pull.loadKg() * Load.G;
    return way
        * (ResistanceFit.onLever(item)
            ? cam(pull.at()) * weight / Math.max(SHORTEST_LEVER_M, pull.leverM())
            : (emptyKg(item) * Load.G + weight) * ResistanceFit.alongTravel(item, equipment));
  }

  private static double emptyKg(Equipment item) {
    return item.load() == Equipment.LoadKind.SLED ? SLED_KG : TRACK_BAR_KG;
  }

  /**
   * The reading at a time, ms, since it began: swings at first, then stands still but for noise.
   */
  public double reading(long atMs) {
    double size =
        gauge == Gauge.FORCE ? 0.15 * Math.abs(truth) + 5 : gauge == Gauge.ANGLE ? 4 : 0.01;
    double noise = gauge == Gauge.FORCE ? 0.5 : gauge == Gauge.ANGLE ? 0.1 : 0.0003;
    return truth
        + size * Math.exp(-atMs / SWING_MS) * Math.cos(atMs / PERIOD_MS)
        + noise * random.nextGaussian();
  }
}
