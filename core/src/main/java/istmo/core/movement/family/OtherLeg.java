package istmo.core.movement.family;

import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.movement.Hindrance;
import istmo.core.movement.Impossible;
import istmo.core.movement.Obstacle;
import istmo.core.quantity.Vec3;
import java.util.Optional;

/**
 * The other leg of a split stance or a step: two links from its hip to where its foot stands, or
 * hanging. It stands to the left.
 *
 * @param contact where its foot presses
 * @param toe unit direction of the toes along the sole
 * @param normal unit normal of the sole
 * @param massMoment kg m about x = 0
 * @param drawn from the hip to the foot
 * @param reason why it cannot be there
 */
record OtherLeg(
    Vec3 knee,
    Vec3 ankle,
    Vec3 contact,
    Vec3 toe,
    Vec3 normal,
    double massMoment,
    Vec3[] drawn,
    Optional<Impossible> reason) {
  /** What its foot does. */
  enum Foot {
    BALL,
    INSTEP,
    IN_FRONT,
    BEHIND,
    HANGING,
    /** Flat on the floor, beside the working one. */
    BESIDE;

    boolean stands() {
      return this == BALL || this == INSTEP || this == BESIDE;
    }
  }

  /**
   * How far the rear hip opens, with what the pelvis gives, rad (AAOS normal 30 deg, from memory,
   * and a little of the pelvis).
   */
  private static final double HIP_OPEN = Math.toRadians(-35);

  /** The rear knee's centre above the floor when it touches down, m. */
  private static final double KNEE_ON_FLOOR = 0.05;

  /** Dorsiflexion of a rear foot on its ball, and plantarflexion of one on its instep, rad. */
  private static final double ON_BALL = Math.toRadians(15);

  private static final double MOST_TIPTOE = Math.toRadians(40);
  private static final double ON_INSTEP = Math.toRadians(35);

  /** Mass of a leg that cannot be placed, as a share of the body's. */
  private static final double LEG_MASS = 0.18;

  /**
   * The leg from its hip.
   *
   * @param at where its foot stands, if it does
   * @param lean of the trunk, rad
   */
  static OtherLeg of(Body body, Foot foot, Vec3 hip, Vec3 at, double phase, double lean) {
    return switch (foot) {
      case BALL, INSTEP -> standing(body, foot, hip, at, lean);
      case BESIDE -> beside(body, hip, at);
      case IN_FRONT, BEHIND, HANGING -> hanging(body, foot, hip, phase);
    };
  }

  /** Flat to the side: as straight as the distance lets it be. */
  private static OtherLeg beside(Body body, Vec3 hip, Vec3 at) {
    Vec3 ankle = at.plus(-middleAhead(body), Vec3.FORWARD).plus(body.ankleHeightM(), Vec3.UP);
    double far = hip.minus(ankle).norm() - body.thighM() - body.shankM();
    Optional<Vec3> knee = LegGeometry.knee(ankle, hip, body, Vec3.FORWARD);
    if (knee.isEmpty()) {
      return outOfReach(body, hip, at, far);
    }
    double opens = Math.asin((hip.z() - knee.get().z()) / body.thighM());
    return new OtherLeg(
        knee.get(),
        ankle,
        at,
        Vec3.FORWARD,
        Vec3.UP,
        Standing.oneLegMassMoment(body, ankle, knee.get(), hip, at.x()),
        new Vec3[] {hip, knee.get(), ankle},
        opens > body.hipOpeningLimitRad()
            ? Optional.of(
                new Impossible(new Obstacle.HipOpensLess(opens, body.hipOpeningLimitRad())))
            : Optional.empty());
  }

  private static OtherLeg hanging(Body body, Foot foot, Vec3 hip, double phase) {
    double thighBack =
        switch (foot) {
          case IN_FRONT -> Math.toRadians(-75) * phase;
          case BEHIND -> Math.toRadians(5);
          default -> 0;
        };
    double bend =
        switch (foot) {
          case IN_FRONT -> Math.toRadians(10);
          case BEHIND -> Math.toRadians(80);
          default -> 0;
        };
    Vec3 knee = hip.plus(-body.thighM(), Vec3.UP.turnedAboutZ(-thighBack));
    Vec3 ankle = knee.plus(-body.shankM(), Vec3.UP.turnedAboutZ(-thighBack - bend));
    return new OtherLeg(
        knee,
        ankle,
        ankle,
        Vec3.FORWARD,
        Vec3.UP,
        Standing.oneLegMassMoment(body, ankle, knee, hip, ankle.x()),
        new Vec3[] {hip, knee, ankle},
        Optional.empty());
  }

  private static OtherLeg standing(Body body, Foot foot, Vec3 hip, Vec3 at, double lean) {
    double ballAhead = ballAhead(body);
    double d = hip.minus(at).norm();
    double angle = foot == Foot.BALL ? ballAngle(body, ballAhead, d) : -ON_INSTEP;
    // ball of the foot seen from the knee along and across the shank, the ankle held
    double along =
        foot == Foot.BALL
            ? body.shankM() + body.ankleHeightM() * Math.cos(angle) - ballAhead * Math.sin(angle)
            : body.shankM();
    double across =
        foot == Foot.BALL ? body.ankleHeightM() * Math.sin(angle) + ballAhead * Math.cos(angle) : 0;
    double link = Math.hypot(along, across);
    double onLine = (link * link - body.thighM() * body.thighM() + d * d) / (2 * d);
    double square = link * link - onLine * onLine;
    if (!(square >= 0)) {
      return outOfReach(body, hip, at, d - link - body.thighM());
    }
    Vec3 u = hip.minus(at).times(1 / d);
    Vec3 pole = Vec3.FORWARD.plus(-0.6, Vec3.UP);
    Vec3 side = pole.plus(-pole.dot(u), u).unit();
    Vec3 knee = at.plus(onLine, u).plus(Math.sqrt(square), side);
    Vec3 shankUp = knee.minus(at).unit().turnedAboutZ(-Math.atan2(across, along));
    Vec3 ankle = foot == Foot.BALL ? knee.plus(-body.shankM(), shankUp) : at;
    Vec3 sole = shankUp.turnedAboutZ(angle);
    Vec3 toe = new Vec3(sole.y(), -sole.x(), 0).unit();
    Optional<Impossible> hipOpens = hipOpens(hip, knee, lean);
    return new OtherLeg(
        knee,
        ankle,
        foot == Foot.BALL || hipOpens.isPresent() ? at : ankle,
        toe,
        toe.turnedAboutZ(Math.PI / 2),
        Standing.oneLegMassMoment(body, ankle, knee, hip, at.x()),
        new Vec3[] {hip, knee, ankle, at},
        hipOpens.or(() -> touchesDown(knee)));
  }

  private static OtherLeg outOfReach(Body body, Vec3 hip, Vec3 at, double shortM) {
    boolean far = shortM > 0;
    Impossible reason =
        new Impossible(far ? new Obstacle.RearLegTooShort(shortM) : Hindrance.REAR_LEG_FOLDS_LESS);
    return new OtherLeg(
        at,
        at,
        at,
        Vec3.FORWARD,
        Vec3.UP,
        body.massKg() * LEG_MASS * 0.5 * (hip.x() + at.x()),
        new Vec3[] {hip, at},
        Optional.of(reason));
  }

  private static Optional<Impossible> hipOpens(Vec3 hip, Vec3 knee, double lean) {
    // thigh from the vertical, back positive
    double open = Math.atan2(hip.x() - knee.x(), hip.y() - knee.y());
    return lean - open < HIP_OPEN
        ? Optional.of(new Impossible(new Obstacle.RearHipOpensLess(open - lean)))
        : Optional.empty();
  }

  private static Optional<Impossible> touchesDown(Vec3 knee) {
    return knee.y() < KNEE_ON_FLOOR
        ? Optional.of(new Impossible(new Obstacle.RearKneeOnFloor(KNEE_ON_FLOOR - knee.y())))
        : Optional.empty();
  }

  /** Ankle of a flat foot whose middle stands there. */
  static Vec3 ankleBeside(Body body, Vec3 at) {
    return at.plus(-middleAhead(body), Vec3.FORWARD).plus(body.ankleHeightM(), Vec3.UP);
  }

  /** Middle of a flat foot in front of its ankle, m. */
  static double middleAhead(Body body) {
    return (Segments.MIDDLE_FROM_HEEL - Segments.ANKLE_FROM_HEEL) * body.footM();
  }

  private static double ballAhead(Body body) {
    return (Segments.BALL_FROM_HEEL - Segments.ANKLE_FROM_HEEL) * body.footM();
  }

  /**
   * Dorsiflexion of a rear foot on its ball: held, until the leg is straight; then the heel goes up
   * as far as it takes.
   */
  private static double ballAngle(Body body, double ballAhead, double distance) {
    double h = body.ankleHeightM();
    double link = distance - 0.9995 * body.thighM();
    double q =
        (link * link - body.shankM() * body.shankM() - h * h - ballAhead * ballAhead)
            / (2 * body.shankM() * Math.hypot(h, ballAhead));
    double needed = Math.acos(Math.max(-1, Math.min(1, q))) - Math.atan2(ballAhead, h);
    return Math.max(-MOST_TIPTOE, Math.min(ON_BALL, needed));
  }

  /**
   * Bend of the front knee where the rear leg is straight, its heel up a little: hips over the
   * point that both feet carry.
   */
  static double topBend(Body body, Foot foot, Vec3 ankle, Vec3 rearAt, double hipZ, double hipX) {
    double heelUp = foot == Foot.BALL ? 0.8 * ballAhead(body) : 0;
    double reach = body.thighM() + body.shankM() + heelUp;
    double aside = hipZ - 2 * body.hipHalfDistanceM() - rearAt.z();
    double up =
        rearAt.y()
            + Math.sqrt(
                Math.max(
                    0, reach * reach - (hipX - rearAt.x()) * (hipX - rearAt.x()) - aside * aside));
    double toHip = Math.hypot(Math.hypot(hipX - ankle.x(), up - ankle.y()), hipZ - ankle.z());
    double t = body.thighM();
    double s = body.shankM();
    return Math.acos(Math.max(-1, Math.min(1, (toHip * toHip - t * t - s * s) / (2 * t * s))));
  }
}
