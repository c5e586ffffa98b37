package istmo.core.movement.family;

import static istmo.core.movement.Parameters.FOOT_SHEAR;
import static istmo.core.movement.Parameters.FRICTION;
import static istmo.core.movement.Parameters.KNEE_DEPTH;
import static istmo.core.movement.Parameters.LEGS;
import static istmo.core.movement.Parameters.PLATE_GRIP;
import static istmo.core.movement.Parameters.PRESSURE;
import static istmo.core.movement.Parameters.SLED_MASS;
import static istmo.core.movement.Parameters.SPREAD;
import static istmo.core.movement.Parameters.STANCE;
import static istmo.core.movement.Parameters.TOE_OUT;

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
import istmo.core.quantity.Allowed;
import istmo.core.quantity.Vec3;
import java.util.List;
import java.util.Optional;

/**
 * Leg press on a sled. The pelvis rests; the plate moves along the rail; the knee bend is the
 * phase. The plate pushes along the rail, with an optional part along the plate as an input.
 */
public final class PressFamily implements Family {
  static final SetupParameter RAIL =
      SetupParameter.of(
          "railAngle",
          "Rail angle",
          new Allowed(0, 90, "deg"),
          45,
          5,
          SetupParameter.Kind.MACHINE,
          "rail from the horizontal; 0 needs a stack, not a sled");
  static final SetupParameter BACK =
      SetupParameter.of(
          "backAngle",
          "Back rest",
          new Allowed(60, 135, "deg"),
          110,
          5,
          SetupParameter.Kind.SETUP,
          "between the back rest and the rail; smaller is more upright and deeper at the hip");
  static final SetupParameter HEIGHT =
      SetupParameter.of(
          "footHeight",
          "Feet up the plate",
          new Allowed(-0.20, 0.45, "m"),
          0.15,
          0.02,
          SetupParameter.Kind.SETUP,
          "ankles above the rail line through the hips, along the plate");
  static final SetupParameter PUSH =
      SetupParameter.of(
              "push",
              "Push along the plate",
              new Allowed(-0.3, 0.3, ""),
              0,
              0.05,
              SetupParameter.Kind.TECHNIQUE,
              "part of the foot force along the plate, up the plate positive, as a share of the"
                  + " main force")
          .notSearched();

  static final SetupParameter STOP =
      SetupParameter.of(
          "stop",
          "Plate to back rest at the stop",
          new Allowed(0, 1.2, "m"),
          0,
          0.02,
          SetupParameter.Kind.MACHINE,
          "least distance along the rail between foot plate and the foot of the back rest; 0 for"
              + " none in the way");
  static final SetupParameter PLATE_LOW =
      SetupParameter.of(
          "plateLow",
          "Lowest heels on the plate",
          new Allowed(-0.30, 0.30, "m"),
          -0.30,
          0.02,
          SetupParameter.Kind.MACHINE,
          "lower end of the foot plate, measured as feet up the plate");

  /** Choices of {@link #DRIVE}. */
  private enum Drive {
    SLED,
    STACK
  }

  static final SetupParameter DRIVE =
      SetupParameter.choice(
          "drive",
          "Resistance",
          0,
          SetupParameter.Kind.MACHINE,
          "a stack pulls along the rail with all of its weight, so that a level rail can be"
              + " pressed",
          "sled on the rail",
          "stack on a cable");

  /** Hip centre in front of the foot of the back rest along the rail, m (own estimate). */
  private static final double HIP_FROM_REST = 0.12;

  /** Knee flexion at the top: not locked (common practice). */
  private static final double TOP = Math.toRadians(20);

  @Override
  public String id() {
    return "press";
  }

  @Override
  public List<SetupParameter> parameters() {
    return List.of(
        HEIGHT,
        STANCE.usually(0.35),
        TOE_OUT.usually(15),
        KNEE_DEPTH.usually(105),
        BACK,
        RAIL,
        SLED_MASS,
        STOP,
        PLATE_LOW,
        FRICTION,
        PRESSURE,
        PUSH,
        PLATE_GRIP,
        FOOT_SHEAR,
        SPREAD,
        DRIVE,
        LEGS);
  }

  @Override
  public List<Handle> handles() {
    return Handle.among(
        parameters(), new Handle("footHeight", Part.TOE), new Handle("kneeDepth", Part.ANKLE));
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
    return Optional.of(KNEE_DEPTH);
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    double rail = setup.rad(RAIL);
    Vec3 u = new Vec3(Math.cos(rail), Math.sin(rail), 0);
    Vec3 v = new Vec3(-Math.sin(rail), Math.cos(rail), 0);
    double out = setup.rad(TOE_OUT);
    Vec3 toe = v.times(Math.cos(out)).plus(Math.sin(out), Vec3.RIGHT);
    double kneeFlexion = TOP + phase * (setup.rad(KNEE_DEPTH) - TOP);
    double reach = LegGeometry.hipToAnkle(body, kneeFlexion);
    double side = setup.get(STANCE) / 2 - body.hipHalfDistanceM();
    double square = reach * reach - setup.get(HEIGHT) * setup.get(HEIGHT) - side * side;
    if (!(square > 0)) {
      return new Impossible(Hindrance.FEET_TOO_HIGH_ON_PLATE);
    }
    double gap = Math.sqrt(square) + body.ankleHeightM() + HIP_FROM_REST;
    if (gap < setup.get(STOP)) {
      return Stops.ofMachine(setup.get(STOP) - gap);
    }
    if (setup.get(HEIGHT) < setup.get(PLATE_LOW)) {
      return new Impossible(new Obstacle.PlateEnds(setup.get(PLATE_LOW) - setup.get(HEIGHT)));
    }
    Vec3 hip = new Vec3(0, 0, body.hipHalfDistanceM());
    Vec3 ankle =
        u.times(Math.sqrt(square))
            .plus(setup.get(HEIGHT), v)
            .plus(setup.get(STANCE) / 2, Vec3.RIGHT);
    Optional<Vec3> knee = LegGeometry.knee(ankle, hip, body, toe);
    if (knee.isEmpty()) {
      return new Impossible(Hindrance.PLATE_OUT_OF_REACH);
    }
    double back = setup.rad(BACK);
    Vec3 trunk = u.times(Math.cos(back)).plus(Math.sin(back), v);
    PostureBuilder builder =
        new PostureBuilder(body, phase)
            .foot(ankle, toe, u.times(-1))
            .leg(knee.get(), hip)
            .trunk(Math.atan2(trunk.x(), trunk.y()))
            .pressureAhead(setup.get(PRESSURE));
    pushed(builder, setup, u, v);
    builder.legWeights().free(Stops.knee(kneeFlexion));
    Vec3 plate = new Vec3(builder.pressure().x(), builder.pressure().y(), 0);
    Vec3 plateFoot = plate.plus(-plate.dot(v), v);
    Vec3 behind = new Vec3(trunk.y(), -trunk.x(), 0).times(-0.12);
    builder.prop("plate", plateFoot.plus(-0.15, v), plateFoot.plus(0.50, v));
    builder.prop("rail", u.times(0.35).plus(-0.22, v), u.times(1.35).plus(-0.22, v));
    builder.prop("pad", behind.plus(-0.05, trunk), behind.plus(body.trunkM() + 0.15, trunk));
    return builder.build(HackFamily.LEG_ROWS);
  }

  /** What the plate does to the foot: along the rail u, along the plate v, and sideways. */
  private static void pushed(PostureBuilder builder, Setup setup, Vec3 u, Vec3 v) {
    Vec3 direction = u.times(-1).plus(setup.get(PUSH), v);
    double perKg =
        (1 + setup.get(FRICTION))
            * Load.G
            * (setup.choice(DRIVE, Drive.class) == Drive.STACK ? 1 : Math.sin(setup.rad(RAIL)))
            / Parameters.legs(setup);
    double force = setup.get(SLED_MASS) * perKg;
    builder
        .load(
            Load.force(
                Load.Segment.FOOT,
                builder.pressure(),
                direction.times(force),
                direction.times(perKg)))
        .free(
            FreeContact.atFoot(
                "push along the plate",
                builder.pressure(),
                v,
                Vec3.ZERO,
                setup.get(PLATE_GRIP) * force,
                setup.get(PLATE_GRIP) * perKg))
        .footGrip(setup.get(FOOT_SHEAR), setup.get(SPREAD), force, perKg);
  }
}
