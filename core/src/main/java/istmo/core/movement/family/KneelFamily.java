package istmo.core.movement.family;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.movement.Family;
import istmo.core.movement.Handle;
import istmo.core.movement.Handle.Part;
import istmo.core.movement.Hindrance;
import istmo.core.movement.Impossible;
import istmo.core.movement.Load;
import istmo.core.movement.PostureBuilder;
import istmo.core.movement.PostureResult;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.Vec3;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The body turns about the knees as one piece. Kneeling curl and hamstring raise: heels held, the
 * body goes down in front. Kneeling lean-back: shins on the floor, the body goes down behind. Sissy
 * squat: on the balls of the feet, knees ahead, the body leans back in balance. The load is held at
 * the chest.
 */
public final class KneelFamily implements Family {
  /** Which way the body goes. */
  public enum Kind {
    CURL("kneeling-curl"),
    LEAN_BACK("lean-back"),
    SISSY("sissy");

    private final String id;

    Kind(String id) {
      this.id = id;
    }
  }

  static final SetupParameter HIP =
      SetupParameter.of(
          "hipBend",
          "Hip bend held",
          new Allowed(-10, 90, "deg"),
          5,
          5,
          SetupParameter.Kind.TECHNIQUE,
          "hip flexion held through the repetition; bent hips shorten the lever and lose the"
              + " point");
  static final SetupParameter LOW =
      SetupParameter.of(
          "low",
          "Body from upright at the bottom",
          new Allowed(15, 95, "deg"),
          80,
          5,
          SetupParameter.Kind.SETUP,
          "thighs from the vertical at the bottom; 90 is level");
  static final SetupParameter HELP =
      SetupParameter.of(
              "help",
              "Help of the hands at the bottom",
              new Allowed(0, 60, "kg"),
              0,
              2,
              SetupParameter.Kind.SETUP,
              "what the hands push up from a box or pull on a post with, growing from nothing at"
                  + " the top; a higher box helps more")
          .notSearched();
  static final SetupParameter SHIN_SLOPE =
      SetupParameter.of(
          "shinSlope",
          "Shins above level",
          new Allowed(-10, 30, "deg"),
          0,
          5,
          SetupParameter.Kind.MACHINE,
          "slope of the shins, knees higher");
  static final SetupParameter KNEE_DEPTH =
      SetupParameter.of(
          "kneeDepth",
          "Knee bend at the bottom",
          new Allowed(60, 145, "deg"),
          125,
          5,
          SetupParameter.Kind.SETUP,
          "knee flexion at the deepest point");

  /** Where the load is held: along the trunk and in front of it. */
  private static final double CHEST = 0.75;

  private static final double CHEST_AHEAD = 0.15;

  /** Where the roller or hand holds the heels, as a share of the shank from the knee. */
  private static final double HELD = 0.97;

  /** Height of the knees' centres: on a seat with the toes hanging behind it, or on a mat, m. */
  private static final double ON_SEAT = 0.32;

  private static final double ON_MAT = 0.06;

  private static final double SISSY_TOP = Math.toRadians(15);

  /** Dorsiflexion kept in a sissy squat, rad: the heels rise with the shins. */
  private static final double SISSY_ANKLE = Math.toRadians(15);

  private static final Set<Coordinate> KNEELING =
      EnumSet.complementOf(EnumSet.of(Coordinate.ANKLE_DORSIFLEXION));

  private final Kind kind;

  /** Exercises from the knees of one kind. */
  public KneelFamily(Kind kind) {
    this.kind = kind;
  }

  @Override
  public String id() {
    return kind.id;
  }

  @Override
  public List<SetupParameter> parameters() {
    return switch (kind) {
      case CURL -> List.of(LOW, HIP, HELP.usually(40), SHIN_SLOPE);
      case LEAN_BACK -> List.of(LOW.usually(45), HIP.usually(0), HELP);
      case SISSY -> List.of(KNEE_DEPTH, HIP.usually(0), HELP);
    };
  }

  @Override
  public List<SetupParameter> growWithTheMass() {
    return List.of(HELP);
  }

  @Override
  public List<Handle> handles() {
    return Handle.among(
        parameters(),
        new Handle("low", Part.HIP),
        new Handle("hipBend", Part.SHOULDER),
        new Handle("kneeDepth", Part.HIP));
  }

  @Override
  public boolean balances() {
    return kind == Kind.SISSY;
  }

  @Override
  public Optional<SetupParameter> depth() {
    return Optional.of(kind == Kind.SISSY ? KNEE_DEPTH : LOW);
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    return kind == Kind.SISSY ? sissy(body, setup, phase, loadKg) : kneeling(body, setup, phase);
  }

  private PostureResult kneeling(Body body, Setup setup, double phase) {
    boolean curl = kind == Kind.CURL;
    double slope = curl ? setup.rad(SHIN_SLOPE) : 0;
    double thigh = (curl ? 1 : -1) * phase * setup.rad(LOW); // from the vertical, forward
    double lean = thigh + setup.rad(HIP);
    double hipZ = body.hipHalfDistanceM();
    Vec3 knee = new Vec3(0, curl ? ON_SEAT : ON_MAT, hipZ);
    Vec3 hip = knee.plus(body.thighM(), new Vec3(Math.sin(thigh), Math.cos(thigh), 0));
    Vec3 shankUp = new Vec3(Math.cos(slope), Math.sin(slope), 0); // from ankle to knee
    Vec3 ankle = knee.plus(-body.shankM(), shankUp);
    Vec3 normal =
        curl
            ? shankUp
            : shankUp.turnedAboutZ(
                Math.toRadians(-60)); // foot square behind its roller, or toes back on the floor
    PostureBuilder builder =
        new PostureBuilder(body, phase)
            .foot(ankle, new Vec3(normal.y(), -normal.x(), 0), normal)
            .leg(knee, hip)
            .trunk(lean);
    Weights weights = weights(body, setup, phase, hip, knee, lean);
    if (curl) {
      heldAtTheHeels(builder, body, weights, shankUp);
    } else if (!onTheShins(builder, body, weights)) {
      return new Impossible(Hindrance.TIPS_BACKWARDS);
    }
    finish(builder, body, setup, phase, hip, lean);
    return builder.build(KNEELING);
  }

  /**
   * The roller holds the heels square to the shin against all that turns the body about the knees;
   * the pad under the knees carries the rest, and has no lever about them.
   */
  private static void heldAtTheHeels(
      PostureBuilder builder, Body body, Weights weights, Vec3 shankUp) {
    Vec3 knee = builder.knee();
    Vec3 held = knee.plus(-HELD * body.shankM(), shankUp);
    double own = Load.G * shinMoment(builder, body);
    double lever = HELD * body.shankM();
    Vec3 down = shankUp.turnedAboutZ(-Math.PI / 2); // square to the shin, towards the floor
    double hold = (weights.moment / 2 + own) / lever;
    double holdPerKg = weights.momentPerKg / 2 / lever;
    double all = body.massKg() * Load.G / 2 - weights.help / 2;
    builder
        .pressureAt(held)
        .load(Load.force(Load.Segment.SHANK, held, down.times(hold), down.times(holdPerKg)))
        .load(
            Load.force(
                Load.Segment.SHANK,
                knee,
                new Vec3(-down.x() * hold, all - down.y() * hold, 0),
                new Vec3(-down.x() * holdPerKg, Load.G / 2 - down.y() * holdPerKg, 0)))
        .prop("roller", held.plus(0.06, down.times(-1)))
        .prop("pad", knee.plus(new Vec3(-0.08, -0.06, 0)), knee.plus(new Vec3(0.08, -0.06, 0)));
  }

  /**
   * All weight stands on the shins where its line meets them. A load at the chest adds its own
   * force at its own place: both are written about the knee.
   *
   * @return false where the body tips over backwards
   */
  private static boolean onTheShins(PostureBuilder builder, Body body, Weights weights) {
    double z = builder.knee().z();
    double all = body.massKg() * Load.G - weights.help;
    double own = Load.G * 2 * shinMoment(builder, body);
    double x = (weights.moment + own) / all;
    if (x < builder.ankle().x() - 0.2) {
      return false;
    }
    Vec3 at = new Vec3(x, 0, z);
    double loadX = weights.momentPerKg / Load.G;
    builder
        .pressureAt(at)
        .load(Load.force(Load.Segment.SHANK, at, new Vec3(0, all / 2, 0), Vec3.ZERO))
        .load(
            Load.force(
                Load.Segment.SHANK, new Vec3(loadX, 0, z), Vec3.ZERO, new Vec3(0, Load.G / 2, 0)));
    return true;
  }

  /** Mass moment of one shank and foot about the knee, kg m. */
  private static double shinMoment(PostureBuilder builder, Body body) {
    double kneeX = builder.knee().x();
    return body.shankMassKg() * body.shankComFraction() * (builder.ankle().x() - kneeX)
        + body.footMassKg() * (builder.footCom().x() - kneeX);
  }

  /**
   * Moment of all above the knees about them, N m forward positive, both legs, without and for each
   * kg of load; and the hands' help, N.
   */
  private record Weights(double moment, double momentPerKg, double help) {}

  private static Weights weights(
      Body body, Setup setup, double phase, Vec3 hip, Vec3 knee, double lean) {
    double upper =
        body.upperMassKg()
            * (hip.x() + Segments.UPPER_COM_HANDS_UP * body.trunkM() * Math.sin(lean) - knee.x());
    double thighs = 2 * body.thighMassKg() * (1 - body.thighComFraction()) * (hip.x() - knee.x());
    double help = setup.get(HELP) * phase * Load.G;
    double hands = hip.x() + body.trunkM() * Math.sin(lean) - knee.x();
    return new Weights(
        Load.G * (upper + thighs) - help * hands,
        Load.G * (chest(body, hip, lean).x() - knee.x()),
        help);
  }

  private static Vec3 chest(Body body, Vec3 hip, double lean) {
    double up = CHEST * body.trunkM();
    return new Vec3(
        hip.x() + up * Math.sin(lean) + CHEST_AHEAD * Math.cos(lean),
        hip.y() + up * Math.cos(lean) - CHEST_AHEAD * Math.sin(lean),
        0);
  }

  /** Weights, the load at the chest and the hands' help, above the lower back. */
  private static void finish(
      PostureBuilder builder, Body body, Setup setup, double phase, Vec3 hip, double lean) {
    Vec3 chest = chest(body, hip, lean);
    Vec3 hands =
        new Vec3(
            hip.x() + body.trunkM() * Math.sin(lean), hip.y() + body.trunkM() * Math.cos(lean), 0);
    builder.legWeights().upperWeight(Segments.UPPER_COM_HANDS_UP);
    builder.load(Load.force(Load.Segment.UPPER, chest, Vec3.ZERO, new Vec3(0, -Load.G, 0)));
    builder.load(
        Load.force(
            Load.Segment.UPPER,
            hands,
            new Vec3(0, setup.get(HELP) * phase * Load.G, 0),
            Vec3.ZERO));
    builder.prop("weight", chest).prop("floor", new Vec3(-1, 0, 0), new Vec3(1, 0, 0));
  }

  private PostureResult sissy(Body body, Setup setup, double phase, double loadKg) {
    double bend = SISSY_TOP + phase * (setup.rad(KNEE_DEPTH) - SISSY_TOP);
    double ballAhead = (Segments.BALL_FROM_HEEL - Segments.ANKLE_FROM_HEEL) * body.footM();
    double help = setup.get(HELP) * phase * Load.G;
    Optional<Double> shin =
        Roots.between(
            0,
            Math.toRadians(88),
            angle -> {
              Leg leg = leg(body, angle, bend, ballAhead);
              double lean = lean(setup, angle, bend);
              double upper =
                  leg.hip.x() + Segments.UPPER_COM_HANDS_UP * body.trunkM() * Math.sin(lean);
              return Standing.legMassMoment(body, leg.ankle, leg.knee, leg.hip, leg.ankle.x() / 2)
                  + body.upperMassKg() * upper
                  + loadKg * chest(body, leg.hip, lean).x()
                  - help / Load.G * (leg.hip.x() + body.trunkM() * Math.sin(lean));
            });
    if (shin.isEmpty()) {
      return new Impossible(Hindrance.NO_BALANCE_ON_BALLS);
    }
    Leg solved = leg(body, shin.get(), bend, ballAhead);
    double lean = lean(setup, shin.get(), bend);
    double ballFromMiddle = (Segments.BALL_FROM_HEEL - Segments.MIDDLE_FROM_HEEL) * body.footM();
    PostureBuilder builder =
        new PostureBuilder(body, phase)
            .foot(solved.ankle, solved.toe, solved.toe.turnedAboutZ(Math.PI / 2))
            .toesAlong(Vec3.FORWARD)
            .leg(solved.knee, solved.hip)
            .trunk(lean)
            .pressureAhead(ballFromMiddle);
    builder.load(
        Load.force(
            Load.Segment.FOOT,
            builder.pressure(),
            new Vec3(0, (body.massKg() * Load.G - help) / 2, 0),
            new Vec3(0, Load.G / 2, 0)));
    builder.free(Stops.knee(bend));
    finish(builder, body, setup, phase, solved.hip, lean);
    return builder.build(EnumSet.allOf(Coordinate.class));
  }

  /** Trunk: in line with the thigh, but for the hip bend held. */
  private static double lean(Setup setup, double shin, double bend) {
    return shin - bend + setup.rad(HIP);
  }

  private static Leg leg(Body body, double shin, double bend, double ballAhead) {
    double rise = Math.max(0, shin - SISSY_ANKLE);
    Vec3 toe = Vec3.FORWARD.turnedAboutZ(-rise);
    Vec3 side = new Vec3(0, 0, body.hipHalfDistanceM());
    Vec3 ankle =
        side.plus(-ballAhead, toe).plus(body.ankleHeightM(), toe.turnedAboutZ(Math.PI / 2));
    Vec3 knee = ankle.plus(body.shankM(), Vec3.UP.turnedAboutZ(-shin));
    Vec3 hip = knee.plus(body.thighM(), Vec3.UP.turnedAboutZ(bend - shin));
    return new Leg(ankle, knee, hip, toe);
  }

  private record Leg(Vec3 ankle, Vec3 knee, Vec3 hip, Vec3 toe) {}
}
