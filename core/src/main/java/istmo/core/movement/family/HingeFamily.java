package istmo.core.movement.family;

import static istmo.core.movement.Parameters.FOOT_SHEAR;
import static istmo.core.movement.Parameters.PRESSURE;
import static istmo.core.movement.Parameters.PRESSURE_ON_TRACK;
import static istmo.core.movement.Parameters.SPREAD;
import static istmo.core.movement.Parameters.STANCE;
import static istmo.core.movement.Parameters.TOE_OUT;

import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.movement.Family;
import istmo.core.movement.Handle;
import istmo.core.movement.Handle.Part;
import istmo.core.movement.Hindrance;
import istmo.core.movement.Impossible;
import istmo.core.movement.Load;
import istmo.core.movement.Parameters;
import istmo.core.movement.PostureBuilder;
import istmo.core.movement.PostureResult;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.Vec3;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Hinge on two legs: Romanian deadlift, good morning, pull-through. The trunk lean is the phase,
 * the knee bend is given, the shank follows from balance; on a track the shank is given, or follows
 * from a bar on the back that stays over mid-foot, and the track carries what is missing. What
 * hangs in the hands can be held back towards the legs by the shoulders only by so much, so a heavy
 * bar drifts ahead when the shoulders do.
 */
public final class HingeFamily implements Family {
  /** How the load reaches the body. */
  enum Hold {
    /** bar in the hands, in front of the legs */
    BAR,
    /** dumbbells beside the legs */
    BESIDE,
    HIGH_BACK,
    LOW_BACK;

    boolean hangs() {
      return this == BAR || this == BESIDE;
    }
  }

  /** What settles the posture, and the load's direction. */
  public enum Kind {
    FREE("hinge"),
    TRACK("guided-hinge"),
    CABLE("pull-through");

    private final String id;

    Kind(String id) {
      this.id = id;
    }
  }

  static final SetupParameter KNEE_BEND =
      new SetupParameter(
          "kneeBend",
          "Knee bend",
          "deg",
          new Allowed(4, 60, "deg"),
          22,
          2,
          SetupParameter.Kind.SETUP,
          List.of(),
          "knee flexion held through the repetition");
  static final SetupParameter LEAN =
      new SetupParameter(
          "lean",
          "Trunk lean at the bottom",
          "deg",
          new Allowed(30, 95, "deg"),
          72,
          5,
          SetupParameter.Kind.SETUP,
          List.of(),
          "trunk from the vertical; 90 is level");
  static final SetupParameter HOLD =
      new SetupParameter(
          "hold",
          "Load",
          "",
          new Allowed(0, 3, ""),
          0,
          1,
          SetupParameter.Kind.SETUP,
          List.of(
              "bar in the hands",
              "dumbbells beside the legs",
              "bar high on the back",
              "bar low on the back"),
          "where the load is held");
  static final SetupParameter SHIN =
      new SetupParameter(
          "shin",
          "Shin lean at the bottom",
          "deg",
          new Allowed(-20, 20, "deg"),
          -4,
          2,
          SetupParameter.Kind.SETUP,
          List.of(),
          "shin from the vertical, forward; on a track it can be chosen while the bar hangs; on the"
              + " back the bar on its track settles it");
  static final SetupParameter PULLEY_HEIGHT =
      new SetupParameter(
          "pulleyHeight",
          "Pulley height",
          "m",
          new Allowed(0.05, 0.60, "m"),
          0.15,
          0.05,
          SetupParameter.Kind.SETUP,
          List.of(),
          "pulley behind the heels, above the floor");
  static final SetupParameter PULLEY_BACK =
      new SetupParameter(
          "pulleyBack",
          "Distance from the pulley",
          "m",
          new Allowed(0.4, 2.5, "m"),
          1.0,
          0.1,
          SetupParameter.Kind.SETUP,
          List.of(),
          "pulley behind mid-foot");

  /** Moment with which the shoulders can hold the load back, both arms, N m (own estimate). */
  static final double SHOULDER_NM = 150;

  /** Trunk lean from which dumbbells beside the legs are held back whole. */
  private static final double HELD_BACK_FROM = Math.toRadians(30);

  /** Dumbbells beside the legs come so far behind mid-foot, m. */
  private static final double BESIDE_BACK = 0.08;

  /**
   * On a track the shin begins with this share of the knee's bend, which stands the hips over the
   * feet.
   */
  private static final double TOP_SHIN = 0.55;

  private static final double TOP = Math.toRadians(4);

  private final Kind kind;

  /** Hinges of one kind. */
  public HingeFamily(Kind kind) {
    this.kind = kind;
  }

  @Override
  public String id() {
    return kind.id;
  }

  @Override
  public List<SetupParameter> parameters() {
    List<SetupParameter> list =
        new ArrayList<>(List.of(KNEE_BEND, LEAN, STANCE.usually(0.26), TOE_OUT.usually(10)));
    switch (kind) {
      case FREE -> list.addAll(List.of(HOLD, Parameters.STRAPS));
      case TRACK -> list.addAll(List.of(HOLD, SHIN, Parameters.STRAPS));
      case CABLE -> list.addAll(List.of(PULLEY_HEIGHT, PULLEY_BACK));
    }
    list.addAll(
        List.of(
            (kind == Kind.TRACK ? PRESSURE_ON_TRACK : PRESSURE).usually(-0.015),
            FOOT_SHEAR,
            SPREAD));
    return List.copyOf(list);
  }

  /** On the cable the hands hold a rope by its ends or handles; it is counted like a bar. */
  @Override
  public double inOneHand(Setup setup) {
    return kind == Kind.CABLE
        ? 0.5
        : setup.choice(HOLD, Hold.class).hangs() ? Parameters.inOneOfTwoHands(setup) : 0;
  }

  @Override
  public List<Handle> handles() {
    return Handle.among(
        parameters(),
        new Handle("lean", Part.SHOULDER),
        new Handle("kneeBend", Part.KNEE),
        new Handle("pulleyHeight", Part.PULLEY));
  }

  @Override
  public boolean balances() {
    return kind != Kind.TRACK;
  }

  @Override
  public Optional<SetupParameter> depth() {
    return Optional.of(LEAN);
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    double lean = TOP + phase * (setup.rad(LEAN) - TOP);
    double bend = setup.rad(KNEE_BEND);
    Hold hold = kind == Kind.CABLE ? Hold.BAR : setup.choice(HOLD, Hold.class);
    LegGeometry.Foot foot =
        LegGeometry.Foot.onFloor(body, setup.get(STANCE), setup.rad(TOE_OUT), 0);
    double middle = foot.middleX(body);
    double pressureX = middle + setup.get(PRESSURE) * foot.heading().x();
    Optional<Double> shank =
        kind == Kind.TRACK && hold.hangs()
            ? Optional.of(TOP_SHIN * bend * (1 - phase) + phase * setup.rad(SHIN))
            : Roots.between(
                Math.toRadians(-35),
                Math.toRadians(40),
                angle ->
                    tipping(body, setup, foot, bend, angle, lean, hold, middle, pressureX, loadKg));
    if (shank.isEmpty()) {
      return new Impossible(Hindrance.NO_SHIN_ANGLE_BALANCES);
    }
    Optional<Vec3[]> standing =
        LegGeometry.standingLeg(body, foot, shank.get(), bend - shank.get());
    if (standing.isEmpty()) {
      return new Impossible(Hindrance.STANCE_TOO_WIDE);
    }
    Vec3[] leg = standing.get();
    Vec3 hip = leg[1];
    Vec3 shoulder =
        new Vec3(
            hip.x() + body.trunkM() * Math.sin(lean), hip.y() + body.trunkM() * Math.cos(lean), 0);
    Optional<Vec3> held = held(body, setup, hold, hip, lean, middle, loadKg);
    if (held.isEmpty()) {
      return new Impossible(Hindrance.ARMS_TOO_SHORT);
    }
    Vec3 at = held.get();
    PostureBuilder builder =
        new PostureBuilder(body, phase)
            .foot(foot.ankle(), foot.toe(), foot.normal())
            .leg(leg[0], hip)
            .trunk(lean)
            .pressureAhead(setup.get(PRESSURE));
    Vec3 force = Vec3.ZERO;
    Vec3 perKg = new Vec3(0, -Load.G, 0);
    if (kind == Kind.CABLE) {
      perKg = cable(setup, middle, at).times(Load.G);
      builder.prop(
          "cable", at, new Vec3(middle - setup.get(PULLEY_BACK), setup.get(PULLEY_HEIGHT), 0));
    } else if (kind == Kind.TRACK) { // moments about the pressure: the track's push
      double weight = bodyMoment(body, foot, leg, lean, hold, middle) - body.massKg() * pressureX;
      force = new Vec3(-weight * Load.G / at.y(), 0, 0);
      perKg = new Vec3(-(at.x() - pressureX) * Load.G / at.y(), -Load.G, 0);
      builder.prop("rail", new Vec3(at.x(), 0, 0), new Vec3(at.x(), 2.1, 0));
    }
    Standing.floorForce(
        builder,
        new Vec3(0, body.massKg() * Load.G, 0).minus(force).times(0.5),
        perKg.times(-0.5),
        setup);
    builder
        .legWeights()
        .upperWeight(hold.hangs() ? Segments.UPPER_COM_HANGING : Segments.UPPER_COM_HANDS_UP);
    builder.load(Load.force(Load.Segment.UPPER, at, force, perKg));
    builder.free(Stops.knee(bend));
    if (hold.hangs()) {
      builder.prop("arm", shoulder, at);
    }
    builder
        .prop(kind == Kind.CABLE || hold == Hold.BESIDE ? "weight" : "bar", at)
        .prop("floor", new Vec3(-0.8, 0, 0), new Vec3(0.7, 0, 0));
    return builder.build(Standing.ALL_ROWS);
  }

  /** Moment of all that pushes about the point of pressure, over g: zero in balance, kg m. */
  private double tipping(
      Body body,
      Setup setup,
      LegGeometry.Foot foot,
      double bend,
      double shank,
      double lean,
      Hold hold,
      double middle,
      double pressureX,
      double loadKg) {
    Optional<Vec3[]> leg = LegGeometry.standingLeg(body, foot, shank, bend - shank);
    if (leg.isEmpty()) {
      return Double.NaN;
    }
    double own = bodyMoment(body, foot, leg.get(), lean, hold, middle) - body.massKg() * pressureX;
    Vec3 hip = leg.get()[1];
    if (kind == Kind.TRACK) { // a bar on the back stays on the track over mid-foot
      return back(hold).at(body, hip, lean).x() - middle;
    }
    if (kind == Kind.CABLE) {
      Vec3 at = held(body, setup, hold, hip, lean, middle, loadKg).orElse(hip);
      Vec3 pull = cable(setup, middle, at);
      return own - loadKg * ((at.x() - pressureX) * pull.y() - at.y() * pull.x());
    }
    double x =
        hold.hangs()
            ? hangingX(hold, middle, hip.x() + body.trunkM() * Math.sin(lean), lean, loadKg)
            : back(hold).at(body, hip, lean).x();
    return own + loadKg * (x - pressureX);
  }

  private static double bodyMoment(
      Body body, LegGeometry.Foot foot, Vec3[] leg, double lean, Hold hold, double middle) {
    double com = hold.hangs() ? Segments.UPPER_COM_HANGING : Segments.UPPER_COM_HANDS_UP;
    return Standing.legMassMoment(body, foot.ankle(), leg[0], leg[1], middle)
        + body.upperMassKg() * (leg[1].x() + com * body.trunkM() * Math.sin(lean));
  }

  /** Where the load is. */
  private Optional<Vec3> held(
      Body body, Setup setup, Hold hold, Vec3 hip, double lean, double middle, double loadKg) {
    if (!hold.hangs()) {
      return Optional.of(back(hold).at(body, hip, lean));
    }
    double shoulderX = hip.x() + body.trunkM() * Math.sin(lean);
    double shoulderY = hip.y() + body.trunkM() * Math.cos(lean);
    if (kind == Kind.CABLE) { // the arms follow the cable, between the legs
      Vec3 shoulder = new Vec3(shoulderX, shoulderY, 0);
      Vec3 to =
          new Vec3(middle - setup.get(PULLEY_BACK), setup.get(PULLEY_HEIGHT), 0)
              .minus(shoulder)
              .unit();
      // in front of the thighs: not further back than the hips
      Vec3 hands = shoulder.plus(body.armM(), to);
      if (hands.x() < hip.x() - 0.05) {
        double dx = shoulderX - (hip.x() - 0.05);
        return dx < body.armM()
            ? Optional.of(
                new Vec3(
                    hip.x() - 0.05, shoulderY - Math.sqrt(body.armM() * body.armM() - dx * dx), 0))
            : Optional.empty();
      }
      return Optional.of(hands);
    }
    double x = kind == Kind.TRACK ? middle : hangingX(hold, middle, shoulderX, lean, loadKg);
    double drop = body.hangM() * body.hangM() - (shoulderX - x) * (shoulderX - x);
    return drop > 0 ? Optional.of(new Vec3(x, shoulderY - Math.sqrt(drop), 0)) : Optional.empty();
  }

  private static Standing.LoadPosition back(Hold hold) {
    return hold == Hold.HIGH_BACK ? Standing.LoadPosition.HIGH : Standing.LoadPosition.LOW;
  }

  /**
   * x of what hangs in the hands: over mid-foot or as near to it as the shoulders hold it.
   * Dumbbells beside the legs hang straight down where the trunk is upright and are held back as it
   * leans.
   */
  private static double hangingX(
      Hold hold, double middle, double shoulder, double lean, double loadKg) {
    double back = Math.min(1, lean / HELD_BACK_FROM);
    double nearest =
        hold == Hold.BESIDE ? shoulder + back * (middle - BESIDE_BACK - shoulder) : middle;
    return loadKg > 0 ? Math.max(nearest, shoulder - SHOULDER_NM / (loadKg * Load.G)) : nearest;
  }

  private static Vec3 cable(Setup setup, double middle, Vec3 at) {
    return new Vec3(middle - setup.get(PULLEY_BACK), setup.get(PULLEY_HEIGHT), 0).minus(at).unit();
  }
}
