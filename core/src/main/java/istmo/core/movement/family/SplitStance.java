package istmo.core.movement.family;

import static istmo.core.movement.Parameters.PRESSURE;
import static istmo.core.movement.Parameters.TRUNK_SHIFT;
import static istmo.core.movement.Parameters.WEDGE;
import static istmo.core.movement.family.SplitParameters.BETWEEN;
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

  /** Centre of mass of a leg from the foot towards the hip (de Leva 1996, from memory). */
  private static final double LEG_CENTRE = 0.63;

  /** Length of a leg that stays straight to the side, as a share of the fully stretched one. */
  private static final double STRAIGHT_SHARE = 0.999;

  /** Lean of the trunk at the top, rad. */
  private static final double UPRIGHT = Math.toRadians(2);

  /** Lean at the top with the rear foot on a bench, rad, at most. */
  private static final double ON_BENCH = Math.toRadians(15);

  /** Where the lower foot pushes off, behind the ankle of the upper one, m. */
  private static final double BEHIND_BOX = 0.28;

  /** The legs of a stance. */
  record Legs(Vec3 knee, Vec3 hip, OtherLeg other) {}

  static SplitStance of(SplitFamily.Kind kind, Body body, Setup setup, double phase) {
    boolean step = kind == SplitFamily.Kind.STEP;
    OtherLeg.Foot rear = otherFoot(kind, setup);
    double width =
        switch (kind) {
          case STEP -> 0;
          case SIDE -> setup.get(BETWEEN);
          case FREE, TRACK -> setup.get(WIDTH);
        };
    double floor =
        switch (kind) {
          case STEP -> setup.get(BOX);
          case SIDE -> 0;
          case FREE, TRACK -> setup.get(FRONT_HEIGHT);
        };
    double share =
        step
            ? setup.get(PUSH_OFF) * Math.max(0, (phase - 2.0 / 3) * 3)
            : kind != SplitFamily.Kind.SIDE && rear.stands() ? rearShare(setup, rear, phase) : 0;
    // the middle of the body stands sideways where the feet share it; one foot alone stands under
    // it
    double apart = rear.stands() ? width : 0;
    double footZ = apart / 2;
    double middle = (0.5 - share) * apart;
    double hipZ =
        middle + body.hipHalfDistanceM() * (1 - Standing.alone(share) * trunkShift(kind, setup));
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
        otherAt(kind, body, setup, footZ - width),
        leanAt(kind, setup, rear, phase));
  }

  /**
   * Lean of the trunk, rad. With the rear foot on a bench it begins with some lean already (common
   * practice): upright, the rear hip would have to open further than it goes wherever the stride is
   * as long as it is taught.
   */
  private static double leanAt(
      SplitFamily.Kind kind, Setup setup, OtherLeg.Foot rear, double phase) {
    double bottom = setup.rad(LEAN);
    double top = rear == OtherLeg.Foot.INSTEP ? Math.min(bottom, ON_BENCH) : UPRIGHT;
    double share = kind == SplitFamily.Kind.STEP ? Math.min(1, phase / LEANT_BY) : phase;
    return top + share * (bottom - top);
  }

  private static double trunkShift(SplitFamily.Kind kind, Setup setup) {
    return kind == SplitFamily.Kind.SIDE ? 0 : setup.get(TRUNK_SHIFT);
  }

  private static OtherLeg.Foot otherFoot(SplitFamily.Kind kind, Setup setup) {
    return switch (kind) {
      case STEP -> OtherLeg.Foot.HANGING;
      case SIDE -> OtherLeg.Foot.BESIDE;
      case FREE, TRACK -> setup.choice(REAR, OtherLeg.Foot.class);
    };
  }

  private static Vec3 otherAt(SplitFamily.Kind kind, Body body, Setup setup, double z) {
    return switch (kind) {
      case STEP -> new Vec3(0, 0, z);
      case SIDE -> new Vec3(OtherLeg.middleAhead(body), 0, z);
      case FREE, TRACK -> new Vec3(-setup.get(STRIDE), setup.get(REAR_HEIGHT), z);
    };
  }

  /**
   * The same with the hips so far to the side that the other leg is straight, while the working
   * knee bends by an angle, rad; what the other foot then carries follows from where the hips
   * stand. Empty where the feet stand too near for that: the hips go no further than to where the
   * other foot carries nothing.
   */
  Optional<SplitStance> besideStraightLeg(double bend, double loadKg) {
    double reach = LegGeometry.hipToAnkle(body, bend);
    double straight = STRAIGHT_SHARE * (body.thighM() + body.shankM());
    return Roots.between(
            body.hipHalfDistanceM(),
            body.hipHalfDistanceM() + footZ / movedShare(),
            z -> {
              SplitStance stance = withHipAt(z);
              double aside = z - footZ;
              double radius = Math.sqrt(reach * reach - aside * aside);
              // where nothing balances fore and aft, the posture says so itself
              double slope = stance.slope(radius, loadKg).orElse(0.0);
              Vec3 otherHip = otherHip(z, hip(ankle(), radius, slope, z));
              return otherHip.minus(OtherLeg.ankleBeside(body, rearAt)).norm() - straight;
            })
        .map(this::withHipAt);
  }

  /**
   * With the working leg's hip so far to the right, m. Feet and legs weigh as much to the one side
   * of the middle between the feet as to the other, beside what the hips take of them along.
   */
  private SplitStance withHipAt(double z) {
    double middle = (z - body.hipHalfDistanceM()) * movedShare();
    return new SplitStance(
        kind,
        body,
        setup,
        phase,
        place,
        rear,
        floor,
        0.5 - middle / (2 * footZ),
        footZ,
        z,
        foot,
        rearAt,
        lean);
  }

  /** Share of all weight that goes with the hips to the side. */
  private double movedShare() {
    double leg = body.thighMassKg() + body.shankMassKg() + body.footMassKg();
    return 1 - 2 * leg * (1 - LEG_CENTRE) / body.massKg();
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
    return otherHip(hipZ, hip);
  }

  private Vec3 otherHip(double z, Vec3 hip) {
    return new Vec3(hip.x(), hip.y(), z - 2 * body.hipHalfDistanceM());
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
    if (!rear.stands() || rear == OtherLeg.Foot.BESIDE) {
      return TOP;
    }
    double atTop = rearShare(setup, rear, 0);
    double hipX =
        kind == SplitFamily.Kind.TRACK
            ? hipUnderBar(leanAt(kind, setup, rear, 0))
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
   * feet, and the share set at the bottom; on a bench the share set (16 % of the force of both feet
   * over the repetition, Helme et al. 2022, from memory).
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
