package istmo.core.movement.family;

import static istmo.core.movement.Parameters.FRICTION;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.movement.Family;
import istmo.core.movement.FreeContact;
import istmo.core.movement.Handle;
import istmo.core.movement.Handle.Part;
import istmo.core.movement.Hindrance;
import istmo.core.movement.Impossible;
import istmo.core.movement.Load;
import istmo.core.movement.Obstacle;
import istmo.core.movement.Parameters;
import istmo.core.movement.PostureBuilder;
import istmo.core.movement.PostureResult;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.movement.View;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.Vec3;
import java.util.List;
import java.util.Optional;

/**
 * Seated abduction and adduction machines: each knee pushes a pad that turns about an axis near the
 * hip, upright when the seat is level. The seat may hold the thighs up, within a bound; the knee is
 * not braced away.
 */
public final class HipMachineFamily implements Family {
  static final SetupParameter HIP =
      SetupParameter.of(
          "hipAngle",
          "Hip bend",
          new Allowed(30, 125, "deg"),
          95,
          5,
          SetupParameter.Kind.SETUP,
          "between trunk and thighs: 95 leaning on the back rest, 120 leaning forward by about 30");
  static final SetupParameter NARROW =
      SetupParameter.of(
          "narrow",
          "Knees closed",
          new Allowed(-10, 30, "deg"),
          5,
          5,
          SetupParameter.Kind.SETUP,
          "each thigh from straight ahead where the knees are closest");
  static final SetupParameter WIDE =
      SetupParameter.of(
          "wide",
          "Knees apart",
          new Allowed(15, 70, "deg"),
          40,
          5,
          SetupParameter.Kind.SETUP,
          "each thigh from straight ahead where the knees are furthest apart");
  static final SetupParameter PULLEY =
      Parameters.stackLever("moment about each pad's axis for each newton of half the stack");

  /** Generic levers, so that a stack says about what such stacks say (common practice). */
  private static final double APART_LEVER_M = 0.18;

  private static final double TOGETHER_LEVER_M = 0.25;

  static final SetupParameter TILT =
      SetupParameter.of(
          "tilt",
          "Axis tilt",
          new Allowed(-20, 45, "deg"),
          0,
          5,
          SetupParameter.Kind.MACHINE,
          "pads that go down as they open: their axis leans back by so much");

  /**
   * What the seat holds of the thigh beside the leg's own weight and that of a trunk that leans
   * ahead, N m about the hip: what body weight holds down; capped, so that it cannot replace
   * muscle.
   */
  private static final double SEAT_NM = 70;

  private static final double KNEE = Math.toRadians(80);

  private final boolean abduction;

  /** The machine that opens the hips, or the one that closes them. */
  public HipMachineFamily(boolean abduction) {
    this.abduction = abduction;
  }

  @Override
  public String id() {
    return abduction ? "abduction-machine" : "adduction-machine";
  }

  @Override
  public List<SetupParameter> parameters() {
    return List.of(
        HIP,
        NARROW,
        abduction ? WIDE : WIDE.usually(45),
        PULLEY.usually(abduction ? APART_LEVER_M : TOGETHER_LEVER_M),
        TILT,
        FRICTION);
  }

  @Override
  public List<Handle> handles() {
    return Handle.among(parameters(), new Handle("wide", Part.KNEE));
  }

  @Override
  public boolean balances() {
    return false;
  }

  @Override
  public Optional<SetupParameter> depth() {
    return abduction ? Optional.empty() : Optional.of(WIDE);
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    double closed = setup.rad(NARROW);
    double open = setup.rad(WIDE);
    if (!(open > closed)) {
      return new Impossible(Hindrance.NO_RANGE_BETWEEN_KNEES);
    }
    double azimuth = abduction ? open + phase * (closed - open) : closed + phase * (open - closed);
    double hipFlexion = setup.rad(HIP);
    if (hipFlexion > body.hipFlexionLimitRad()) {
      return new Impossible(Hindrance.HIP_BENDS_LESS_LEANING);
    }
    // thighs level at rest and straight ahead; the trunk stands at the hip's bend from them. The
    // pad turns the thigh about its axis.
    double pitch = hipFlexion - Math.PI / 2;
    double tilt = setup.rad(TILT);
    Vec3 axis = new Vec3(-Math.sin(tilt), Math.cos(tilt), 0); // leans back: opening knees go down
    Vec3 thigh = turned(Vec3.FORWARD, axis, -azimuth); // from hip to knee; right knee to the right
    // coordinates of this thigh in the pelvis
    Vec3 up = thigh.times(-1);
    Vec3 px = Vec3.FORWARD.turnedAboutZ(-pitch);
    Vec3 py = Vec3.UP.turnedAboutZ(-pitch);
    double abd = -Math.asin(Math.max(-1, Math.min(1, up.z())));
    double flex = Math.atan2(-px.dot(up), py.dot(up));
    if (abd > body.hipOpeningLimitRad() + 1e-9) {
      return new Impossible(new Obstacle.HipWouldOpen(abd, body.hipOpeningLimitRad()));
    }
    Vec3 hip = new Vec3(0, 0.55, body.hipHalfDistanceM());
    // the shank hangs down: rotation is what keeps the knee's axis level
    double rotation = levelRotation(px, py, flex, abd);
    PostureBuilder builder =
        LegGeometry.chain(
            new PostureBuilder(body, phase),
            body,
            hip,
            pitch,
            new LegGeometry.HipAngles(flex, abd, rotation),
            KNEE,
            0);
    double momentPerKg = setup.get(PULLEY) * (1 + setup.get(FRICTION)) * Load.G / 2;
    // the pad of an abduction machine presses the right knee inwards, which turns it about the
    // upward axis
    Vec3 couple = axis.times(abduction ? momentPerKg : -momentPerKg);
    builder.load(Load.couple(Load.Segment.THIGH, couple)).legWeights();
    builder.free(
        FreeContact.stop(
            "seat under the thigh", Coordinate.HIP_FLEXION, SEAT_NM + onSeatNm(body, pitch)));
    Vec3 kneeAt = hip.plus(body.thighM(), thigh);
    builder.pressureAt(kneeAt);
    machine(builder, body, kneeAt, pitch);
    return builder.build(HackFamily.LEG_ROWS);
  }

  /** Moment about the hip with which leg and a trunk that leans ahead weigh on the seat, N m. */
  private static double onSeatNm(Body body, double pitch) {
    double leg =
        Load.G
            * (body.thighMassKg() * body.thighComFraction() * body.thighM()
                + (body.shankMassKg() + body.footMassKg()) * body.thighM());
    double trunkLeaning =
        Load.G
            * body.upperMassKg()
            / 2
            * Segments.UPPER_COM_HANGING
            * body.trunkM()
            * Math.max(0, Math.sin(pitch));
    return leg + trunkLeaning;
  }

  private static void machine(PostureBuilder builder, Body body, Vec3 kneeAt, double pitch) {
    Vec3 trunk = Vec3.UP.turnedAboutZ(-pitch);
    Vec3 back = trunk.turnedAboutZ(Math.PI / 2);
    Vec3 seat = new Vec3(0, 0.55, 0);
    builder
        .seen(View.FRONT)
        .prop("pad", new Vec3(0, 0.43, -0.24), new Vec3(0, 0.43, 0.24))
        .prop("post", new Vec3(0, 0.4, 0), Vec3.ZERO)
        .prop("floor", Vec3.RIGHT.times(-0.9), Vec3.RIGHT.times(0.9))
        .prop(
            "pad",
            seat.plus(0.12, back).plus(-0.05, trunk),
            seat.plus(0.12, back).plus(body.trunkM(), trunk))
        .prop("roller", kneeAt.plus(new Vec3(0, 0.02, 0)))
        .prop("pivot", seat);
  }

  /** Internal rotation with which the knee's axis is level, so that the shank hangs. */
  private static double levelRotation(Vec3 px, Vec3 py, double flex, double abd) {
    // femur z in the pelvis: Rz(flex) Rx(-abd) Ry(rot) ez = Rz(flex) (sin rot, cos rot sin abd, cos
    // rot cos abd); its height in the world is zero
    double c = Math.cos(flex);
    double s = Math.sin(flex);
    double a = px.y() * c + py.y() * s;
    double b = Math.sin(abd) * (-px.y() * s + py.y() * c);
    return Math.atan(-b / a);
  }

  /** A vector turned about an axis (Rodrigues). */
  private static Vec3 turned(Vec3 v, Vec3 axis, double angle) {
    double c = Math.cos(angle);
    return v.times(c).plus(Math.sin(angle), axis.cross(v)).plus(axis.dot(v) * (1 - c), axis);
  }
}
