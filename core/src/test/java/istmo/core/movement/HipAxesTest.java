package istmo.core.movement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Coordinate;
import istmo.core.mechanics.Bodies;
import istmo.core.quantity.Vec3;
import java.util.Map;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Angles and axes belong together: a small turn of the thigh about the axis of one hip coordinate
 * changes that angle by the turn and leaves the other two alone. The angles are extracted here
 * anew, from the definition in docs/model.md.
 */
class HipAxesTest {
  private static final double TURN = 1e-6;

  @ParameterizedTest
  @CsvSource({"squat,0.6,35", "squat,0.35,10", "press,0.62,35", "hinge,0.5,20", "hack,0.5,30"})
  void aSmallTurnAboutAnAxisChangesItsAngleAlone(String family, double stance, double toeOut) {
    String depth = family.equals("squat") ? "depth" : family.equals("hinge") ? "lean" : "kneeDepth";
    for (double phase : new double[] {0.3, 0.7, 1}) {
      Posture posture =
          Bodies.posture(
              Bodies.MAN,
              family,
              Map.of("stance", stance, "toeOut", toeOut, depth, 70.0),
              phase,
              80);
      double pitch = posture.trunkLeanRad() - posture.angle(Coordinate.LUMBAR_FLEXION);
      Vec3 pelvisX = new Vec3(Math.cos(pitch), -Math.sin(pitch), 0);
      Vec3 pelvisY = new Vec3(Math.sin(pitch), Math.cos(pitch), 0);
      Vec3 femurY = posture.points().hip().minus(posture.points().knee()).unit();
      Vec3 femurZ = posture.axes()[Coordinate.KNEE_FLEXION.ordinal()].times(-1);
      double[] before = angles(pelvisX, pelvisY, femurY, femurZ);
      for (int c = 0; c < 3; c++) {
        assertThat(before[c])
            .as("%s of %s", Coordinate.values()[c], family)
            .isCloseTo(posture.angles()[c], within(1e-9));
        Vec3 axis = posture.axes()[c];
        double[] after = angles(pelvisX, pelvisY, turned(femurY, axis), turned(femurZ, axis));
        for (int other = 0; other < 3; other++) {
          // the abduction axis is the one after flexion, the rotation axis the one after both:
          // off-axis changes are second order
          double expected = other == c ? TURN : 0;
          assertThat(after[other] - before[other])
              .as("turn about %s seen in %s", Coordinate.values()[c], Coordinate.values()[other])
              .isCloseTo(expected, within(2e-9));
        }
      }
    }
  }

  /** R = Rp^T Rf; ha = -asin R21, hf = atan2(-R01, R11), hr = atan2(-R20, R22). */
  private static double[] angles(Vec3 px, Vec3 py, Vec3 fy, Vec3 fz) {
    Vec3 fx = fy.cross(fz);
    return new double[] {
      Math.atan2(-px.dot(fy), py.dot(fy)), -Math.asin(fy.z()), Math.atan2(-fx.z(), fz.z())
    };
  }

  /** Rodrigues' rotation by {@link #TURN} about a unit axis. */
  private static Vec3 turned(Vec3 v, Vec3 axis) {
    return v.times(Math.cos(TURN))
        .plus(Math.sin(TURN), axis.cross(v))
        .plus((1 - Math.cos(TURN)) * axis.dot(v), axis);
  }
}
