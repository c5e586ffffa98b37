package istmo.core.movement;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.quantity.Vec3;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * Gathers a posture: joint centres first, then what pushes, then {@link #build}. Angles, axes and
 * mobility limits are worked out once from the joint centres, the same way for every family.
 */
public final class PostureBuilder {
  /**
   * From this knee bend on the thigh rests on the calf and takes moment from the knee extensors:
   * about a third of body weight at a lever of about 15 cm at 150 deg, shared by both legs' sizes
   * (Zelle et al. 2007, from memory; a straight ramp).
   */
  private static final double THIGH_ON_CALF_DEG = 125;

  private static final double THIGH_ON_CALF_NM_PER_DEG = 1.3;

  private static final String SIDEWAYS = "sideways force under the foot";

  private final Body body;
  private final double phase;
  private final List<Load> loads = new ArrayList<>();
  private final List<FreeContact> free = new ArrayList<>();
  private final List<Prop> props = new ArrayList<>();
  private Vec3 toeDirection = Vec3.FORWARD;
  private Vec3 soleNormal = Vec3.UP;
  private Vec3 toesDirection = Vec3.FORWARD;
  private Vec3 ankle = Vec3.ZERO;
  private Vec3 knee = Vec3.ZERO;
  private Vec3 hip = Vec3.ZERO;
  private Vec3 pressure = Vec3.ZERO;
  private double leanRad;
  private View view = View.RIGHT_SIDE;

  /** Begins a posture of a body at a phase, 0 top to 1 bottom. */
  public PostureBuilder(Body body, double phase) {
    this.body = body;
    this.phase = phase;
  }

  /**
   * Foot by its ankle, unit toe direction along the sole, and unit normal of the sole towards the
   * shank.
   */
  public PostureBuilder foot(Vec3 ankleAt, Vec3 toe, Vec3 normal) {
    ankle = ankleAt;
    toeDirection = toe;
    toesDirection = toe;
    soleNormal = normal;
    return this;
  }

  /**
   * The toes in front of the ball of the foot lie in another direction than the sole: flat, when
   * the heel is raised.
   */
  public PostureBuilder toesAlong(Vec3 direction) {
    toesDirection = direction;
    return this;
  }

  /** Places knee and hip of the right leg, m, world. */
  public PostureBuilder leg(Vec3 kneeAt, Vec3 hipAt) {
    knee = kneeAt;
    hip = hipAt;
    return this;
  }

  /** Trunk lean from the vertical, rad, forward positive. */
  public PostureBuilder trunk(double lean) {
    leanRad = lean;
    return this;
  }

  /** Centre of pressure: so far in front of mid-foot along the sole, m. */
  public PostureBuilder pressureAhead(double ahead) {
    pressure = sole((Segments.MIDDLE_FROM_HEEL - Segments.ANKLE_FROM_HEEL) * body.footM() + ahead);
    return this;
  }

  /** Where the leg is pushed, when that is no point of the sole. */
  public PostureBuilder pressureAt(Vec3 at) {
    pressure = at;
    return this;
  }

  /** Where the foot presses, m, world. */
  public Vec3 pressure() {
    return pressure;
  }

  /** Place of the knee, m, world. */
  public Vec3 knee() {
    return knee;
  }

  /** Place of the hip, m, world. */
  public Vec3 hip() {
    return hip;
  }

  /** Place of the ankle, m, world. */
  public Vec3 ankle() {
    return ankle;
  }

  /** Adds a force or couple that is known. */
  public PostureBuilder load(Load load) {
    loads.add(load);
    return this;
  }

  /** Adds a contact force that statics does not settle. */
  public PostureBuilder free(FreeContact contact) {
    free.add(contact);
    return this;
  }

  /** Adds something to be drawn, by its points, m, world. */
  public PostureBuilder prop(String kind, Vec3... points) {
    props.add(Prop.of(kind, points));
    return this;
  }

  /** From where it is drawn; a lying lifter's weights point across the frame. */
  public PostureBuilder seen(View from) {
    view = from;
    return this;
  }

  /** Adds the weights of thigh, shank and foot, upright or as the view lies. */
  public PostureBuilder legWeights() {
    return legWeights(view.up());
  }

  /** Adds the weights of thigh, shank and foot, where up is another direction. */
  public PostureBuilder legWeights(Vec3 up) {
    loads.add(Load.weight(Load.Segment.THIGH, thighCom(), body.thighMassKg(), up));
    loads.add(Load.weight(Load.Segment.SHANK, shankCom(), body.shankMassKg(), up));
    loads.add(Load.weight(Load.Segment.FOOT, footCom(), body.footMassKg(), up));
    return this;
  }

  /** Centre of mass of the thigh, m. */
  public Vec3 thighCom() {
    return hip.plus(body.thighComFraction(), knee.minus(hip));
  }

  /** Centre of mass of the shank, m. */
  public Vec3 shankCom() {
    return knee.plus(body.shankComFraction(), ankle.minus(knee));
  }

  /** Centre of mass of the foot: half-way from the ankle to mid-foot. */
  public Vec3 footCom() {
    return ankle.plus(
        0.5,
        sole((Segments.MIDDLE_FROM_HEEL - Segments.ANKLE_FROM_HEEL) * body.footM()).minus(ankle));
  }

  /**
   * Adds the weight of the trunk above L5/S1, for the lumbar moment; the centre of mass of head,
   * arms and trunk lies {@code comFraction} of the trunk above the hips.
   */
  public PostureBuilder upperWeight(double comFraction) {
    double upper = body.upperMassKg();
    double pelvis = Segments.PELVIS_MASS * body.massKg();
    Vec3 hipMiddle = new Vec3(hip.x(), hip.y(), 0);
    Vec3 com = hipMiddle.plus(comFraction * body.trunkM(), trunkAxis());
    Vec3 pelvisCom = hipMiddle.plus(0.5 * Segments.L5_UP * body.statureM(), trunkAxis());
    Vec3 above = com.times(upper).minus(pelvisCom.times(pelvis)).times(1 / (upper - pelvis));
    loads.add(Load.weight(Load.Segment.UPPER, above, upper - pelvis));
    return this;
  }

  /**
   * {@link #footGrip(double, double, double, double)} of a foot that is not told to push to a side.
   */
  public PostureBuilder footGrip(double grip, double force, double forcePerKg) {
    return footGrip(grip, 0, force, forcePerKg);
  }

  /**
   * Sideways force, pressure to a side and twist of a foot that stands with only a part of a second
   * foot's help. Statics settles all three for one foot that stands alone: its force passes through
   * the centre of mass, and nothing else could answer a force to the side. With a second foot they
   * are open as far as that foot can answer them.
   *
   * @param answered force that the second foot carries beside this one's, 0 to 1
   * @param hand sideways force that a hand or a track's bar may answer besides, N
   */
  public PostureBuilder footGrip(
      double grip, double answered, double hand, double force, double forcePerKg) {
    double share = Math.min(1, answered);
    if (share * grip > 0 || hand > 0) {
      free.add(
          FreeContact.atFoot(
              SIDEWAYS,
              pressure,
              Vec3.RIGHT,
              Vec3.ZERO,
              share * grip * force + hand,
              share * grip * forcePerKg));
    }
    if (share > 0) {
      sidePressureAndTwist(share * force, share * forcePerKg);
    }
    return this;
  }

  /**
   * What the floor or plate may do sideways beside the main force: shear up to {@code grip} times
   * it, the centre of pressure up to 2 cm to a side, and a twisting moment of 3 cm times it (rubber
   * on rubber; own estimate). Sideways is the body's, not the foot's: with the toes out, a force
   * across the foot has a part fore and aft, which both feet share, and nothing would balance it.
   *
   * @param spread -1 to 1: how much of the grip is used on purpose, pushing the floor outwards (1:
   *     all of it) or inwards; what is left is free to either side of that
   * @param force main force on the foot, N, with no external load
   * @param forcePerKg and what each kg adds
   */
  public PostureBuilder footGrip(double grip, double spread, double force, double forcePerKg) {
    double left = (1 - Math.abs(spread)) * grip;
    if (left > 0) {
      free.add(
          FreeContact.atFoot(
              SIDEWAYS, pressure, Vec3.RIGHT, Vec3.ZERO, left * force, left * forcePerKg));
    }
    if (spread * grip != 0) { // what the floor answers to the right foot
      loads.add(
          Load.force(
              Load.Segment.FOOT,
              pressure,
              new Vec3(0, 0, -spread * grip * force),
              new Vec3(0, 0, -spread * grip * forcePerKg)));
    }
    sidePressureAndTwist(force, forcePerKg);
    return this;
  }

  private void sidePressureAndTwist(double force, double forcePerKg) {
    free.add(
        FreeContact.atFoot(
            "pressure to a side",
            pressure,
            Vec3.ZERO,
            Vec3.RIGHT.cross(soleNormal),
            0.02 * force,
            0.02 * forcePerKg));
    free.add(
        FreeContact.atFoot(
            "twist under the foot",
            pressure,
            Vec3.ZERO,
            soleNormal,
            0.03 * force,
            0.03 * forcePerKg));
  }

  private Vec3 trunkAxis() {
    return new Vec3(Math.sin(leanRad), Math.cos(leanRad), 0);
  }

  /** Point of the sole so far in front of the ankle, m. */
  private Vec3 sole(double aheadOfAnkle) {
    return ankle.plus(-body.ankleHeightM(), soleNormal).plus(aheadOfAnkle, toeDirection);
  }

  /**
   * The posture, or the reason why this body cannot take it: knee closed beyond its limit, ankle
   * bent beyond its limit. A pelvis that tucks is reported, not an impossibility: the hip stays at
   * its limit and the lower back flexes by the rest.
   */
  public PostureResult build(Set<Coordinate> carried) {
    Vec3 thighUp = hip.minus(knee).unit();
    Vec3 shankUp = knee.minus(ankle).unit();
    double kneeFlexion = thighUp.angleTo(shankUp);
    double dorsiflexion = Math.atan2(shankUp.dot(toeDirection), shankUp.dot(soleNormal));
    if (kneeFlexion > body.kneeFlexionLimitRad() + 1e-9) {
      return new Impossible(new Obstacle.KneeBendsLess(kneeFlexion, body.kneeFlexionLimitRad()));
    }
    if (carried.contains(Coordinate.ANKLE_DORSIFLEXION)
        && dorsiflexion > body.dorsiflexionLimitRad() + 1e-9) {
      return new Impossible(new Obstacle.AnkleBendsLess(dorsiflexion, body.dorsiflexionLimitRad()));
    }

    if (carried.contains(Coordinate.KNEE_FLEXION)) {
      thighOnCalf(kneeFlexion);
    }
    Vec3 kneeAxis = kneeAxis(thighUp, shankUp, kneeFlexion);
    Vec3 femurForward = thighUp.cross(kneeAxis);
    double pelvisPitch = leanRad;
    double[] hipAngles = hipAngles(pelvisPitch, femurForward, thighUp, kneeAxis);
    double tuck = Math.max(0, hipAngles[0] - body.hipFlexionLimitRad(kneeFlexion));
    if (tuck > 0) {
      pelvisPitch -= tuck; // posterior tilt gives back what the hip lacks
      hipAngles = hipAngles(pelvisPitch, femurForward, thighUp, kneeAxis);
    }

    Vec3 pelvisForward = Vec3.FORWARD.turnedAboutZ(-pelvisPitch);
    Vec3 pelvisUp = Vec3.UP.turnedAboutZ(-pelvisPitch);
    double c = Math.cos(hipAngles[0]);
    double s = Math.sin(hipAngles[0]);
    Vec3[] axes = {
      Vec3.RIGHT,
      pelvisForward.times(-c).plus(-s, pelvisUp),
      thighUp,
      kneeAxis.times(-1),
      toeDirection.cross(soleNormal),
      Vec3.RIGHT.times(-1)
    };
    return new Posture(
        phase,
        new double[] {hipAngles[0], hipAngles[1], hipAngles[2], kneeFlexion, dorsiflexion, tuck},
        points(pelvisForward, pelvisUp),
        axes,
        leanRad,
        loads,
        free,
        EnumSet.copyOf(carried),
        props,
        view);
  }

  /** What the calf pushes back where the thigh lies on it. */
  private void thighOnCalf(double kneeFlexion) {
    double onCalf = Math.toDegrees(kneeFlexion) - THIGH_ON_CALF_DEG;
    if (onCalf > 0) {
      free.add(
          FreeContact.stopBack(
              "thigh on the calf",
              Coordinate.KNEE_FLEXION,
              THIGH_ON_CALF_NM_PER_DEG * onCalf * body.massKg() / Body.REFERENCE_MASS_KG));
    }
  }

  private Posture.Points points(Vec3 pelvisForward, Vec3 pelvisUp) {
    Vec3 hipMiddle = new Vec3(hip.x(), hip.y(), 0);
    double foot = body.footM();
    Vec3 ball = sole((Segments.BALL_FROM_HEEL - Segments.ANKLE_FROM_HEEL) * foot);
    return new Posture.Points(
        sole(-Segments.ANKLE_FROM_HEEL * foot),
        ball,
        ball.plus((1 - Segments.BALL_FROM_HEEL) * foot, toesDirection),
        ankle,
        knee,
        hip,
        hipMiddle
            .plus(-Segments.L5_BACK_M, pelvisForward)
            .plus(Segments.L5_UP * body.statureM(), pelvisUp),
        hipMiddle.plus(body.trunkM(), trunkAxis()),
        pressure);
  }

  /**
   * Medio-lateral axis of the knee: normal of the plane of the leg when the knee is well bent,
   * square to the toes when it is nearly straight (the plane is then ill-defined), blended between
   * 29 and 69 deg.
   */
  private Vec3 kneeAxis(Vec3 thighUp, Vec3 shankUp, double kneeFlexion) {
    Vec3 fromToes = toeDirection.cross(soleNormal);
    double t = Math.max(0, Math.min(1, (kneeFlexion - Math.toRadians(29)) / Math.toRadians(40)));
    double blend = t * t * (3 - 2 * t);
    Vec3 raw = fromToes;
    if (blend > 0) {
      Vec3 normal = shankUp.cross(thighUp).unit();
      raw = fromToes.times(1 - blend).plus(blend, normal);
    }
    return raw.plus(-raw.dot(thighUp), thighUp).unit();
  }

  /**
   * Hip flexion, abduction, internal rotation (rad) from R = Rp^T Rf, sequence
   * flexion-abduction-rotation.
   */
  private static double[] hipAngles(double pelvisPitch, Vec3 femurX, Vec3 femurY, Vec3 femurZ) {
    Vec3 px = Vec3.FORWARD.turnedAboutZ(-pelvisPitch);
    Vec3 py = Vec3.UP.turnedAboutZ(-pelvisPitch);
    double abduction = -Math.asin(Math.max(-1, Math.min(1, femurY.z())));
    double flexion = Math.atan2(-px.dot(femurY), py.dot(femurY));
    double rotation = Math.atan2(-femurX.z(), femurZ.z());
    return new double[] {flexion, abduction, rotation};
  }
}
