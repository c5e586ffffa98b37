package istmo.core.movement.family;

import static istmo.core.movement.Parameters.FRICTION;
import static istmo.core.movement.Parameters.LEGS;

import istmo.core.anatomy.Coordinate;
import istmo.core.body.Body;
import istmo.core.movement.Family;
import istmo.core.movement.Handle;
import istmo.core.movement.Handle.Part;
import istmo.core.movement.Hindrance;
import istmo.core.movement.Impossible;
import istmo.core.movement.Load;
import istmo.core.movement.Obstacle;
import istmo.core.movement.Parameters;
import istmo.core.movement.PostureBuilder;
import istmo.core.movement.PostureResult;
import istmo.core.movement.ResistanceCurve;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.Vec3;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;

/**
 * Leg extension and leg curls: seat and pads brace the hip, only the knee turns. The stack pulls
 * through a pulley whose lever over the range follows a generic cam until it is measured ({@link
 * ResistanceCurve}); the weight of shank and foot is added. The ankle is braced by the lifter, so
 * gastrocnemius can help (docs/model.md, 5).
 */
public final class KneeMachineFamily implements Family {
  /** Which machine. */
  public enum Machine {
    LEG_EXTENSION("leg-extension"),
    SEATED_CURL("seated-curl"),
    LYING_CURL("lying-curl"),
    STANDING_CURL("standing-curl");

    private final String id;

    Machine(String id) {
      this.id = id;
    }
  }

  static final SetupParameter PULLEY =
      Parameters.stackLever("moment about the knee for each newton of the stack");

  /**
   * Generic levers: what is written on an extension's stack is about what the roller feels 36 cm
   * from the knee; a curl's is lighter to move (common practice).
   */
  private static final double EXTENSION_LEVER_M = 0.36;

  private static final double CURL_LEVER_M = 0.28;

  /**
   * A foot that nobody holds points: at rest, lying face down, by some 20 to 30 degrees (textbook,
   * from memory). Pulled up, gastrocnemius is longer and takes more of a curl (Gallucci and Challis
   * 2002 J Appl Biomech, direction from memory).
   */
  static final SetupParameter FOOT =
      SetupParameter.of(
          "footUp",
          "Foot pulled up",
          new Allowed(-30, 20, "deg"),
          -20,
          5,
          SetupParameter.Kind.TECHNIQUE,
          "bend of the ankle; below nothing the toes point");

  static final SetupParameter MOST_BEND =
      SetupParameter.of(
          "mostBend",
          "Most bend that the machine gives",
          new Allowed(60, 140, "deg"),
          130,
          5,
          SetupParameter.Kind.MACHINE,
          "knee bend at which the roller meets its stop, or the furthest setting of the lever");

  private final Machine machine;
  private final SetupParameter hip;
  private final SetupParameter bent;
  private final SetupParameter straight;

  /** One machine for the knee alone. */
  public KneeMachineFamily(Machine machine) {
    this.machine = machine;
    boolean extension = extension();
    boolean lying = machine == Machine.LYING_CURL || machine == Machine.STANDING_CURL;
    this.hip =
        SetupParameter.of(
            "hipAngle",
            machine == Machine.LYING_CURL
                ? "Hip bend on the bench"
                : lying ? "Hip bend, leaning on the pad" : "Seat-back (hip bend)",
            lying ? new Allowed(0, 45, "deg") : new Allowed(20, 110, "deg"),
            lying ? 15 : 85,
            5,
            SetupParameter.Kind.SETUP,
            "hip flexion; smaller is leaned back");
    this.bent =
        SetupParameter.of(
            "kneeBent",
            "Most knee bend",
            new Allowed(60, 130, "deg"),
            extension ? 105 : 115,
            5,
            SetupParameter.Kind.SETUP,
            "knee flexion at the bent end");
    this.straight =
        SetupParameter.of(
            "kneeStraight",
            "Least knee bend",
            new Allowed(0, 70, "deg"),
            8,
            5,
            SetupParameter.Kind.SETUP,
            "knee flexion at the straight end");
  }

  private boolean extension() {
    return machine == Machine.LEG_EXTENSION;
  }

  @Override
  public String id() {
    return machine.id;
  }

  @Override
  public List<SetupParameter> parameters() {
    List<SetupParameter> list =
        new ArrayList<>(
            List.of(
                hip,
                bent,
                straight,
                machine == Machine.STANDING_CURL ? LEGS.usually(1) : LEGS,
                PULLEY.usually(extension() ? EXTENSION_LEVER_M : CURL_LEVER_M),
                MOST_BEND,
                FRICTION));
    if (!extension()) {
      list.add(4, FOOT);
    }
    list.addAll(
        machine == Machine.LEG_EXTENSION ? ResistanceCurve.EXTENSION : ResistanceCurve.CURL);
    return List.copyOf(list);
  }

  @Override
  public List<Handle> handles() {
    if (machine == Machine.LYING_CURL) { // its pad is drawn level, however it is bent
      return List.of(new Handle("kneeStraight", Part.ANKLE));
    }
    return Handle.among(
        parameters(),
        new Handle("hipAngle", Part.SHOULDER),
        new Handle("kneeBent", Part.ANKLE),
        new Handle("kneeStraight", Part.ANKLE));
  }

  @Override
  public boolean balances() {
    return false;
  }

  @Override
  public int legs(Setup setup) {
    return Parameters.legs(setup);
  }

  @Override
  public Optional<SetupParameter> depth() {
    return Optional.of(bent);
  }

  @Override
  public Setup atDepth(Setup setup, double value) {
    return setup
        .with(bent, value)
        .with(
            straight,
            straight
                .allowed()
                .nearest(Math.round(value - ofUsual(setup) * (value - straight.usual()))));
  }

  @Override
  public double part(Setup setup) {
    return Math.min(1, ofUsual(setup));
  }

  /** Range over that to the usual straight end; above 1 where it goes straighter. */
  private double ofUsual(Setup setup) {
    return (setup.get(bent) - setup.get(straight)) / (setup.get(bent) - straight.usual());
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    double least = setup.rad(straight);
    double most = setup.rad(bent);
    if (!(most > least)) {
      return new Impossible(Hindrance.NO_RANGE_OF_BEND);
    }
    if (most > setup.rad(MOST_BEND) + 1e-9) {
      return new Impossible(new Obstacle.LeverStop(most - setup.rad(MOST_BEND)));
    }
    boolean extension = extension();
    double share = extension ? phase : 1 - phase;
    double kneeFlexion = least + share * (most - least);
    double hipFlexion = setup.rad(hip);
    // seated: thigh level; lying face down: trunk level; standing: thigh upright
    double pitch =
        machine == Machine.LYING_CURL
            ? Math.PI / 2
            : machine == Machine.STANDING_CURL ? hipFlexion : hipFlexion - Math.PI / 2;
    PostureBuilder builder =
        LegGeometry.chain(
            new PostureBuilder(body, phase),
            body,
            new Vec3(0, 0.55, body.hipHalfDistanceM()),
            pitch,
            hipFlexion,
            kneeFlexion,
            extension ? 0 : setup.rad(FOOT));
    double momentPerKg =
        setup.get(PULLEY)
            * ResistanceCurve.factor(setup, kneeFlexion)
            * (1 + setup.get(FRICTION))
            * Load.G
            / Parameters.legs(setup);
    builder
        .legWeights()
        .load(
            Load.couple(
                Load.Segment.SHANK, new Vec3(0, 0, extension ? -momentPerKg : momentPerKg)));
    machine(builder, body, pitch, hipFlexion, kneeFlexion);
    return builder.build(EnumSet.of(Coordinate.KNEE_FLEXION));
  }

  /** Pads, roller and lever, to be drawn. */
  private void machine(
      PostureBuilder builder, Body body, double pitch, double hipFlexion, double kneeFlexion) {
    Vec3 thighUp = Vec3.UP.turnedAboutZ(hipFlexion - pitch);
    Vec3 hipAt = new Vec3(0, 0.55, 0);
    Vec3 kneeAt = hipAt.plus(-body.thighM(), thighUp);
    Vec3 shankUp = thighUp.turnedAboutZ(-kneeFlexion);
    Vec3 front = shankUp.turnedAboutZ(-Math.PI / 2);
    Vec3 roller =
        kneeAt.plus(-0.88 * body.shankM(), shankUp).plus(extension() ? 0.07 : -0.07, front);
    Vec3 trunk = Vec3.UP.turnedAboutZ(-pitch);
    if (machine == Machine.LYING_CURL) {
      builder.prop(
          "pad",
          kneeAt.plus(new Vec3(0.06, -0.09, 0)),
          hipAt.plus(new Vec3(0.05, -0.12, 0)),
          hipAt.plus(new Vec3(body.trunkM() + 0.1, -0.11, 0)));
      Steelwork.post(builder, hipAt.plus(new Vec3(0.2, -0.14, 0)), 0);
      Steelwork.stack(builder, new Vec3(body.trunkM() + 0.3, 0, 0), Vec3.FORWARD);
      builder.prop("floor", new Vec3(-1.1, 0, 0), new Vec3(1.3, 0, 0));
    } else if (machine == Machine.STANDING_CURL) {
      double floorY = kneeAt.y() - body.shankM() - body.ankleHeightM();
      builder
          .prop("pad", hipAt.plus(new Vec3(0.11, -0.05, 0)), kneeAt.plus(new Vec3(0.1, 0.08, 0)))
          .prop("floor", new Vec3(-0.7, floorY, 0), new Vec3(0.7, floorY, 0));
    } else {
      Vec3 back = trunk.turnedAboutZ(Math.PI / 2);
      builder.prop(
          "pad", hipAt.plus(new Vec3(-0.08, -0.10, 0)), kneeAt.plus(new Vec3(-0.08, -0.09, 0)));
      builder.prop(
          "pad",
          hipAt.plus(0.11, back).plus(-0.05, trunk),
          hipAt.plus(0.11, back).plus(body.trunkM() + 0.05, trunk));
      // the feet hang clear of the floor
      double floorY = kneeAt.y() - body.shankM() - body.ankleHeightM() - 0.06;
      Steelwork.post(builder, hipAt.plus(new Vec3(0.12, -0.13, 0)), floorY);
      Steelwork.stack(builder, new Vec3(-0.62, floorY, 0), Vec3.FORWARD.times(-1));
      builder.prop("floor", new Vec3(-1, floorY, 0), new Vec3(1.1, floorY, 0));
    }
    builder.prop("roller", roller).prop("pivot", kneeAt).prop("lever", kneeAt, roller);
  }
}
