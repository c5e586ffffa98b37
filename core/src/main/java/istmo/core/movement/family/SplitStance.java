package istmo.core.movement.family;

import static istmo.core.movement.Parameters.PRESSURE;
import static istmo.core.movement.Parameters.TRUNK_SHIFT;
import static istmo.core.movement.Parameters.WEDGE;
import static istmo.core.movement.family.SplitParameters.BOX;
import static istmo.core.movement.family.SplitParameters.FORWARD;
import static istmo.core.movement.family.SplitParameters.FRONT_HEIGHT;
import static istmo.core.movement.family.SplitParameters.LEAN;
import static istmo.core.movement.family.SplitParameters.PUSH_OFF;
import static istmo.core.movement.family.SplitParameters.REAR;
import static istmo.core.movement.family.SplitParameters.REAR_HEIGHT;
import static istmo.core.movement.family.SplitParameters.REAR_SHARE;
import static istmo.core.movement.family.SplitParameters.STRIDE;
import static istmo.core.movement.family.SplitParameters.WIDTH;

import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.movement.Load;
import istmo.core.movement.Setup;
import istmo.core.movement.family.Standing.LoadPosition;
import istmo.core.quantity.Vec3;
import java.util.Optional;

/**
 * Where everything of a split stance or a step stands at a phase, but for the bend of the front
 * leg; and where the hip then stands, so that the feet carry their shares. Lengths in m, angles in
 * rad.
 *
 * @param floor height under the front foot
 * @param share of all weight that the other foot carries
 * @param footZ how far the front foot stands to the right of the middle between the feet
 * @param hipZ the same of the front leg's hip
 * @param rearAt where the other foot stands
 */
record SplitStance(
    SplitFamily.Kind kind,
    Body body,
    Setup setup,
    double phase,
    LoadPosition place,
    OtherLeg.Foot rear,
    double floor,
    double share,
    double footZ,
    double hipZ,
    LegGeometry.Foot foot,
    Vec3 rearAt,
    double lean) {
  /** Share on a rear foot on its ball at the top. */
  private static final double AT_TOP = 0.45;

  /**
   * On a box the trunk has its lean from the bottom until this phase, which brings the weight over
   * the foot before the other leaves the floor.
   */
  private static final double LEANT_BY = 0.6;

  /** Least bend of the front knee, rad. */
  static final double TOP = Math.toRadians(15);

  /** Lean of the trunk at the top, rad. */
  private static final double UPRIGHT = Math.toRadians(2);

  /** Where the lower foot pushes off, behind the ankle of the upper one, m. */
  private static final double BEHIND_BOX = 0.28;

  /** The legs of a stance. */
  record Legs(Vec3 knee, Vec3 hip, OtherLeg other) {}

  static SplitStance of(SplitFamily.Kind kind, Body body, Setup setup, double phase) {
    boolean step = kind == SplitFamily.Kind.STEP;
    OtherLeg.Foot rear = step ? OtherLeg.Foot.HANGING : setup.choice(REAR, OtherLeg.Foot.class);
    double width = step ? 0 : setup.get(WIDTH);
    double floor = step ? setup.get(BOX) : setup.get(FRONT_HEIGHT);
    double share =
        step
            ? setup.get(PUSH_OFF) * Math.max(0, (phase - 2.0 / 3) * 3)
            : rear.stands() ? rearShare(setup, rear, phase) : 0;
    // the middle of the body stands sideways where the feet share it; one foot alone stands under
    // it
    double apart = rear.stands() ? width : 0;
    double footZ = apart / 2;
    double middle = (0.5 - share) * apart;
    double hipZ =
        middle + body.hipHalfDistanceM() * (1 - Standing.alone(share) * setup.get(TRUNK_SHIFT));
    double leaning = step ? Math.min(1, phase / LEANT_BY) : phase;
    return new SplitStance(
        kind,
        body,
        setup,
        phase,
        LoadPosition.of(
            setup, kind == SplitFamily.Kind.TRACK ? LoadPosition.BAR : LoadPosition.PARAMETER),
        rear,
        floor,
        share,
        footZ,
        hipZ,
        LegGeometry.Foot.onFloor(
            body, 2 * footZ, 0, kind == SplitFamily.Kind.TRACK ? 0 : setup.rad(WEDGE), floor),
        new Vec3(step ? 0 : -setup.get(STRIDE), step ? 0 : setup.get(REAR_HEIGHT), footZ - width),
        UPRIGHT + leaning * (setup.rad(LEAN) - UPRIGHT));
  }

  Vec3 ankle() {
    return foot.ankle();
  }

  /** x of the middle of what the front foot presses on, m. */
  double frontX() {
    return foot.soleX(
        body,
        (Segments.MIDDLE_FROM_HEEL - Segments.ANKLE_FROM_HEEL) * body.footM()
            + setup.get(PRESSURE));
  }

  /** Hip of the other leg, beside the front leg's. */
  Vec3 otherHip(Vec3 hip) {
    return new Vec3(hip.x(), hip.y(), hipZ - 2 * body.hipHalfDistanceM());
  }

  OtherLeg other(Vec3 hip) {
    return OtherLeg.of(body, rear, otherHip(hip), rearAt, phase, lean);
  }

  /** x of the centre of mass of the trunk. */
  double trunkX(Vec3 hip) {
    return hip.x() + place.comFraction() * body.trunkM() * Math.sin(lean);
  }

  /** x of the hip under a bar that stays on its track. */
  double hipUnderBar(double atLean) {
    return (Segments.MIDDLE_FROM_HEEL - Segments.ANKLE_FROM_HEEL) * body.footM()
        - setup.get(FORWARD)
        - place.at(body, Vec3.ZERO, atLean).x();
  }

  /** Least bend of the front knee, rad: at the top, where the rear leg is straight. */
  double top() {
    if (!rear.stands()) {
      return TOP;
    }
    double atTop = rearShare(setup, rear, 0);
    double hipX =
        kind == SplitFamily.Kind.TRACK
            ? hipUnderBar(UPRIGHT)
            : (1 - atTop) * frontX() + atTop * rearAt.x();
    return Math.max(TOP, OtherLeg.topBend(body, rear, ankle(), rearAt, hipZ, hipX));
  }

  /**
   * Angle from the vertical at which the hip stands over the front ankle, rad, forward positive.
   */
  Optional<Double> slope(double radius, double loadKg) {
    if (kind == SplitFamily.Kind.TRACK) {
      double hipX = hipUnderBar(lean);
      return Math.abs(hipX) < radius ? Optional.of(Math.asin(hipX / radius)) : Optional.empty();
    }
    double rearX = kind == SplitFamily.Kind.STEP ? -BEHIND_BOX : rearAt.x();
    return Roots.between(
        Math.toRadians(-60),
        Math.toRadians(40),
        angle -> {
          Vec3 hip = hip(ankle(), radius, angle, hipZ);
          Vec3 knee = kneeOrMiddle(body, ankle(), hip);
          return Standing.oneLegMassMoment(body, ankle(), knee, hip, frontX())
              + other(hip).massMoment()
              + body.upperMassKg() * trunkX(hip)
              + loadKg * place.at(body, hip, lean).x()
              - (body.massKg() + loadKg) * ((1 - share) * frontX() + share * rearX);
        });
  }

  /**
   * On its ball the rear foot carries nearly half at the top, where the hips stand between the
   * feet, and the share set at the bottom; on a bench the share set.
   */
  private static double rearShare(Setup setup, OtherLeg.Foot rear, double phase) {
    double bottom = setup.get(REAR_SHARE);
    return rear == OtherLeg.Foot.BALL
        ? Math.max(bottom, AT_TOP) * (1 - phase) + phase * bottom
        : bottom;
  }

  /**
   * Level push of the track, N and N/kg, from moments about where the feet carry; nothing without a
   * track.
   */
  double[] push(Legs legs) {
    if (kind != SplitFamily.Kind.TRACK) {
      return new double[2];
    }
    double x = (1 - share) * frontX() + share * rearAt.x();
    double y = (1 - share) * floor + share * rearAt.y();
    Vec3 bar = place.at(body, legs.hip(), lean);
    double weight =
        Standing.oneLegMassMoment(body, ankle(), legs.knee(), legs.hip(), frontX())
            + legs.other().massMoment()
            + body.upperMassKg() * trunkX(legs.hip())
            - body.massKg() * x;
    return new double[] {-weight * Load.G / (bar.y() - y), -(bar.x() - x) * Load.G / (bar.y() - y)};
  }

  static Vec3 hip(Vec3 ankle, double radius, double slope, double z) {
    return new Vec3(ankle.x() + radius * Math.sin(slope), ankle.y() + radius * Math.cos(slope), z);
  }

  private static Vec3 kneeOrMiddle(Body body, Vec3 ankle, Vec3 hip) {
    return LegGeometry.knee(ankle, hip, body, Vec3.FORWARD).orElse(ankle.plus(hip).times(0.5));
  }
}
