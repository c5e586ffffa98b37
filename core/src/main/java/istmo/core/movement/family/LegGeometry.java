package istmo.core.movement.family;

import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.movement.PostureBuilder;
import istmo.core.quantity.Vec3;
import java.util.Optional;

/** Positions of the leg's joint centres from angles or end points. Lengths in m, angles in rad. */
final class LegGeometry {
  private static final int STRAIGHT_DEG = 10;
  private static final int WELL_BENT_DEG = 75;

  private LegGeometry() {}

  /** Distance between hip and ankle at a knee flexion. */
  static double hipToAnkle(Body body, double kneeFlexion) {
    double t = body.thighM();
    double s = body.shankM();
    return Math.sqrt(t * t + s * s + 2 * t * s * Math.cos(kneeFlexion));
  }

  /**
   * Knee between ankle and hip, bent to the side of {@code pole}; empty when the two are further
   * apart than the leg is long or closer than it folds.
   */
  static Optional<Vec3> knee(Vec3 ankle, Vec3 hip, Body body, Vec3 pole) {
    Vec3 line = hip.minus(ankle);
    double d = line.norm();
    double along =
        (body.shankM() * body.shankM() - body.thighM() * body.thighM() + d * d) / (2 * d);
    double square = body.shankM() * body.shankM() - along * along;
    if (!(square >= -1e-9)) {
      return Optional.empty();
    }
    Vec3 u = line.times(1 / d);
    Vec3 side = pole.plus(-pole.dot(u), u).unit();
    return Optional.of(ankle.plus(along, u).plus(Math.sqrt(Math.max(0, square)), side));
  }

  /**
   * Hip, knee, ankle and foot of a leg in the plane of the picture, from the hip outwards: pelvis
   * pitch, hip flexion, knee flexion, dorsiflexion.
   */
  static PostureBuilder chain(
      PostureBuilder builder,
      Body body,
      Vec3 hip,
      double pelvisPitch,
      double hipFlexion,
      double kneeFlexion,
      double dorsiflexion) {
    Vec3 thighUp = Vec3.UP.turnedAboutZ(hipFlexion - pelvisPitch);
    Vec3 shankUp = thighUp.turnedAboutZ(-kneeFlexion);
    Vec3 knee = hip.plus(-body.thighM(), thighUp);
    Vec3 ankle = knee.plus(-body.shankM(), shankUp);
    Vec3 normal = shankUp.turnedAboutZ(dorsiflexion);
    return builder
        .trunk(pelvisPitch)
        .leg(knee, hip)
        .foot(ankle, normal.turnedAboutZ(-Math.PI / 2), normal);
  }

  /**
   * Angles of the hip, rad, turned in the sequence of {@link istmo.core.anatomy.Coordinate}.
   *
   * @param rotation internal rotation
   */
  record HipAngles(double flexion, double abduction, double rotation) {}

  /** The same in space: hip abduction and internal rotation too. */
  static PostureBuilder chain(
      PostureBuilder builder,
      Body body,
      Vec3 hip,
      double pelvisPitch,
      HipAngles hipAngles,
      double kneeFlexion,
      double dorsiflexion) {
    double hipFlexion = hipAngles.flexion();
    double abduction = hipAngles.abduction();
    double rotation = hipAngles.rotation();
    Vec3 px = Vec3.FORWARD.turnedAboutZ(-pelvisPitch);
    Vec3 py = Vec3.UP.turnedAboutZ(-pelvisPitch);
    Vec3 thighUp = inPelvis(px, py, 0, Math.cos(abduction), -Math.sin(abduction), hipFlexion);
    Vec3 thighFront =
        inPelvis(
            px,
            py,
            Math.cos(rotation),
            -Math.sin(rotation) * Math.sin(abduction),
            -Math.sin(rotation) * Math.cos(abduction),
            hipFlexion);
    Vec3 shankUp = thighUp.times(Math.cos(kneeFlexion)).plus(Math.sin(kneeFlexion), thighFront);
    Vec3 shankFront = thighFront.times(Math.cos(kneeFlexion)).plus(-Math.sin(kneeFlexion), thighUp);
    Vec3 knee = hip.plus(-body.thighM(), thighUp);
    Vec3 ankle = knee.plus(-body.shankM(), shankUp);
    Vec3 normal = shankUp.times(Math.cos(dorsiflexion)).plus(-Math.sin(dorsiflexion), shankFront);
    Vec3 toe = shankFront.times(Math.cos(dorsiflexion)).plus(Math.sin(dorsiflexion), shankUp);
    return builder.trunk(pelvisPitch).leg(knee, hip).foot(ankle, toe, normal);
  }

  /** A vector of the pelvis frame, turned by hip flexion about its z axis, in the world. */
  private static Vec3 inPelvis(Vec3 px, Vec3 py, double x, double y, double z, double hipFlexion) {
    double c = Math.cos(hipFlexion);
    double s = Math.sin(hipFlexion);
    return px.times(c * x - s * y).plus(s * x + c * y, py).plus(z, Vec3.RIGHT);
  }

  /**
   * A foot on the floor, turned out and on a wedge, with mid-foot of the flat foot's line at x = 0
   * of its ankle.
   *
   * @param ankle ankle centre
   * @param toe unit direction of the toes along the sole
   * @param normal unit normal of the sole
   * @param heading unit direction of the toes seen from above
   */
  record Foot(Vec3 ankle, Vec3 toe, Vec3 normal, Vec3 heading) {
    static Foot onFloor(Body body, double stanceM, double toeOut, double wedge) {
      return onFloor(body, stanceM, toeOut, wedge, 0);
    }

    /** The same on something so high, m. */
    static Foot onFloor(Body body, double stanceM, double toeOut, double wedge, double heightM) {
      Vec3 heading = new Vec3(Math.cos(toeOut), 0, Math.sin(toeOut));
      double cw = Math.cos(wedge);
      double sw = Math.sin(wedge);
      double ballAhead = (Segments.BALL_FROM_HEEL - Segments.ANKLE_FROM_HEEL) * body.footM();
      Vec3 toe = heading.times(cw).plus(-sw, Vec3.UP);
      Vec3 normal = heading.times(sw).plus(cw, Vec3.UP);
      // the ball stays where it was on the flat floor; the ankle turns about it
      Vec3 ball = new Vec3(0, heightM, stanceM / 2).plus(ballAhead, heading);
      Vec3 ankle = ball.plus(-ballAhead, toe).plus(body.ankleHeightM(), normal);
      return new Foot(ankle, toe, normal, heading);
    }

    /** x of the point so far in front of the ankle along the sole. */
    double soleX(Body body, double aheadOfAnkle) {
      return ankle.plus(-body.ankleHeightM(), normal).plus(aheadOfAnkle, toe).x();
    }

    double middleX(Body body) {
      return soleX(body, (Segments.MIDDLE_FROM_HEEL - Segments.ANKLE_FROM_HEEL) * body.footM());
    }
  }

  /**
   * How far the knee lies to the side of where it stands over the toes, m, to the right positive. A
   * straight leg runs in one line from the ankle to the hip; a well bent one has its knee over the
   * toes; between {@value #STRAIGHT_DEG} and {@value #WELL_BENT_DEG} degrees of bend seen from the
   * side the one becomes the other.
   */
  static double kneeInward(Body body, Foot foot, double bend) {
    double t = (Math.toDegrees(bend) - STRAIGHT_DEG) / (double) (WELL_BENT_DEG - STRAIGHT_DEG);
    double x = Math.max(0, Math.min(1, t));
    double straight = 1 - x * x * (3 - 2 * x);
    return straight
        * (body.hipHalfDistanceM() - foot.ankle().z())
        * body.shankM()
        / (body.shankM() + body.thighM());
  }

  /** Length of the shank in the plane of the toes when the knee lies beside that plane, m. */
  static double besideInward(Body body, Foot foot, double shankAngle, double inward) {
    double along = Math.sin(shankAngle) * foot.heading().z() * inward;
    return Math.sqrt(body.shankM() * body.shankM() - inward * inward + along * along) - along;
  }

  /**
   * The leg of a lifter who stands: the shank at an angle from the vertical, then the hip behind
   * the knee at a thigh angle from the vertical. The knee is over the toes, or nearer to the line
   * of the leg as that straightens. Empty when the stance is too wide for the thigh.
   */
  static Optional<Vec3[]> standingLeg(Body body, Foot foot, double shankAngle, double thighAngle) {
    double inward = kneeInward(body, foot, shankAngle + thighAngle);
    double shank = besideInward(body, foot, shankAngle, inward);
    Vec3 knee =
        foot.ankle()
            .plus(shank * Math.sin(shankAngle), foot.heading())
            .plus(shank * Math.cos(shankAngle), Vec3.UP)
            .plus(inward, Vec3.RIGHT);
    double dz = body.hipHalfDistanceM() - knee.z();
    double square = body.thighM() * body.thighM() - dz * dz;
    if (!(square > 0.25 * body.thighM() * body.thighM())) {
      return Optional.empty();
    }
    double l = Math.sqrt(square);
    return Optional.of(
        new Vec3[] {
          knee, knee.plus(new Vec3(-l * Math.sin(thighAngle), l * Math.cos(thighAngle), dz))
        });
  }

  /**
   * Shank angle that goes with a thigh angle: grows with the sine of the thigh angle up to
   * parallel, then stays.
   */
  static double follow(double atBottom, double thighAngle, double bottom) {
    double right = Math.PI / 2;
    return atBottom * Math.sin(Math.min(thighAngle, right)) / Math.sin(Math.min(bottom, right));
  }
}
