package istmo.core.movement.family;

import istmo.core.anatomy.Coordinate;
import istmo.core.movement.FreeContact;
import istmo.core.movement.Impossible;
import istmo.core.movement.Obstacle;

/** Stops of the body and of machines. */
final class Stops {
  /**
   * What the back of the knee holds without muscle at full extension, one side, N m (own estimate;
   * capped so that it cannot replace muscle).
   */
  private static final double KNEE_NM = 70;

  private Stops() {}

  /**
   * The knee's stop against hyperextension: whole at 3 deg and less, gone at 15 deg, a straight
   * ramp between.
   */
  static FreeContact knee(double kneeFlexionRad) {
    double ramp = Math.max(0, Math.min(1, (15 - Math.toDegrees(kneeFlexionRad)) / 12));
    return FreeContact.stop("ligaments behind the knee", Coordinate.KNEE_FLEXION, KNEE_NM * ramp);
  }

  /** The machine ends the repetition before this depth. */
  static Impossible ofMachine(double shortM) {
    return new Impossible(new Obstacle.MachineStop(shortM));
  }
}
