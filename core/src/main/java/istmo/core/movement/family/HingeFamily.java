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
      SetupParameter.of(
          "kneeBend",
          "Knee bend",
          new Allowed(4, 60, "deg"),
          22,
          2,
          SetupParameter.Kind.SETUP,
          "knee flexion held through the repetition");
  static final SetupParameter LEAN =
      SetupParameter.of(
          "lean",
          "Trunk lean at the bottom",
          new Allowed(30, 95, "deg"),
          72,
          5,
          SetupParameter.Kind.SETUP,
          "trunk from the vertical; 90 is level");
  static final SetupParameter HOLD =
      SetupParameter.choice(
          "hold",
          "Load",
          0,
          SetupParameter.Kind.SETUP,
          "where the load is held",
          "bar in the hands",
          "dumbbells beside the legs",
          "bar high on the back",
          "bar low on the back");
  static final SetupParameter SHIN =
      SetupParameter.of(
          "shin",
          "Shin lean at the bottom",
          new Allowed(-20, 20, "deg"),
          -4,
          2,
          SetupParameter.Kind.SETUP,
          "shin from the vertical, forward; on a track it can be chosen while the bar hangs; on the"
              + " back the bar on its track settles it");
  static final SetupParameter PULLEY_HEIGHT =
      SetupParameter.of(
          "pulleyHeight",
          "Pulley height",
          new Allowed(0.05, 0.60, "m"),
          0.15,
          0.05,
          SetupParameter.Kind.SETUP,
          "pulley behind the heels, above the floor");
  static final SetupParameter PULLEY_BACK =
      SetupParameter.of(
          "pulleyBack",
          "Distance from the pulley",
          new Allowed(0.4, 2.5, "m"),
          1.0,
          0.1,
          SetupParameter.Kind.SETUP,
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

  /** A cable pulls over, and the more the heavier it is: how heavy it may be is its limit. */
  @Override
  public double triedWithKg(Setup setup) {
    return kind == Kind.CABLE ? 0 : Family.super.triedWithKg(setup);
  }

  @Override
  public Optional<SetupParameter> depth() {
    return Optional.of(LEAN);
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    Hold hold = kind == Kind.CABLE ? Hold.BAR : setup.choice(HOLD, Hold.class);
    LegGeometry.Foot foot =
        LegGeometry.Foot.onFloor(body, setup.get(STANCE), setup.rad(TOE_OUT), 0);
    double lean = TOP + phase * (setup.rad(LEAN) - TOP);
    Leaning leaning = new Leaning(kind, body, setup, foot, hold, lean, loadKg);
    double bend = setup.rad(KNEE_BEND);
    Optional<Double> shank =
        kind == Kind.TRACK && hold.hangs()
            ? Optional.of(TOP_SHIN * bend * (1 - phase) + phase * setup.rad(SHIN))
            : Roots.between(Math.toRadians(-35), Math.toRadians(40), leaning::tipping);
    if (shank.isEmpty()) {
      return new Impossible(Hindrance.NO_SHIN_ANGLE_BALANCES);
    }
    Optional<Vec3[]> standing =
        LegGeometry.standingLeg(body, foot, shank.get(), bend - shank.get());
    if (standing.isEmpty()) {
      return new Impossible(Hindrance.STANCE_TOO_WIDE);
    }
    Vec3[] leg = standing.get();
    Optional<Vec3> held = leaning.held(leg[1]);
    if (held.isEmpty()) {
      return new Impossible(Hindrance.ARMS_TOO_SHORT);
    }
    PostureBuilder builder =
        new PostureBuilder(body, phase)
            .foot(foot.ankle(), foot.toe(), foot.normal())
            .leg(leg[0], leg[1])
            .trunk(lean)
            .pressureAhead(setup.get(PRESSURE));
    leaning.loaded(builder, held.get());
    builder
        .prop(kind == Kind.CABLE || hold == Hold.BESIDE ? "weight" : "bar", held.get())
        .prop("floor", new Vec3(-0.8, 0, 0), new Vec3(0.7, 0, 0));
    return builder.build(Standing.ALL_ROWS);
  }

  /**
   * A lifter who leans so far with a load, whose shank is still to be found.
   *
   * @param lean of the trunk, rad
   */
  private record Leaning(
      Kind kind,
      Body body,
      Setup setup,
      LegGeometry.Foot foot,
      Hold hold,
      double lean,
      double loadKg) {
    private double middle() {
      return foot.middleX(body);
    }

    private double pressureX() {
      return middle() + setup.get(PRESSURE) * foot.heading().x();
    }

    /** Moment of all that pushes about the point of pressure, over g: zero in balance, kg m. */
    private double tipping(double shank) {
      Optional<Vec3[]> leg =
          LegGeometry.standingLeg(body, foot, shank, setup.rad(KNEE_BEND) - shank);
      if (leg.isEmpty()) {
        return Double.NaN;
      }
      double own = bodyMoment(leg.get()[0], leg.get()[1]) - body.massKg() * pressureX();
      Vec3 hip = leg.get()[1];
      if (kind == Kind.TRACK) { // a bar on the back stays on the track over mid-foot
        return back(hold).at(body, hip, lean).x() - middle();
      }
      if (kind == Kind.CABLE) {
        Vec3 at = held(hip).orElse(hip);
        Vec3 pull = cable(at);
        return own - loadKg * ((at.x() - pressureX()) * pull.y() - at.y() * pull.x());
      }
      double x = hold.hangs() ? hangingX(shoulder(hip).x()) : back(hold).at(body, hip, lean).x();
      return own + loadKg * (x - pressureX());
    }

    private double bodyMoment(Vec3 knee, Vec3 hip) {
      return Standing.legMassMoment(body, foot.ankle(), knee, hip, middle())
          + body.upperMassKg() * (hip.x() + upperCom() * body.trunkM() * Math.sin(lean));
    }

    private double upperCom() {
      return hold.hangs() ? Segments.UPPER_COM_HANGING : Segments.UPPER_COM_HANDS_UP;
    }

    private Vec3 shoulder(Vec3 hip) {
      return new Vec3(
          hip.x() + body.trunkM() * Math.sin(lean), hip.y() + body.trunkM() * Math.cos(lean), 0);
    }

    /** Where the load is; empty where the arms do not reach. */
    private Optional<Vec3> held(Vec3 hip) {
      if (!hold.hangs()) {
        return Optional.of(back(hold).at(body, hip, lean));
      }
      Vec3 shoulder = shoulder(hip);
      if (kind == Kind.CABLE) { // the arms follow the cable, between the legs
        Vec3 hands = shoulder.plus(body.armM(), pulley().minus(shoulder).unit());
        // in front of the thighs: not further back than the hips
        return hands.x() < hip.x() - 0.05
            ? below(shoulder, hip.x() - 0.05, body.armM())
            : Optional.of(hands);
      }
      return below(shoulder, kind == Kind.TRACK ? middle() : hangingX(shoulder.x()), body.hangM());
    }

    /** Where an arm of some length ends that hangs to so far ahead. */
    private static Optional<Vec3> below(Vec3 shoulder, double x, double armM) {
      double dx = shoulder.x() - x;
      double drop = armM * armM - dx * dx;
      return drop > 0
          ? Optional.of(new Vec3(x, shoulder.y() - Math.sqrt(drop), 0))
          : Optional.empty();
    }

    /**
     * x of what hangs in the hands: over mid-foot or as near to it as the shoulders hold it.
     * Dumbbells beside the legs hang straight down where the trunk is upright and are held back as
     * it leans.
     */
    private double hangingX(double shoulder) {
      double back = Math.min(1, lean / HELD_BACK_FROM);
      double nearest =
          hold == Hold.BESIDE ? shoulder + back * (middle() - BESIDE_BACK - shoulder) : middle();
      return loadKg > 0 ? Math.max(nearest, shoulder - SHOULDER_NM / (loadKg * Load.G)) : nearest;
    }

    private Vec3 pulley() {
      return new Vec3(middle() - setup.get(PULLEY_BACK), setup.get(PULLEY_HEIGHT), 0);
    }

    private Vec3 cable(Vec3 at) {
      return pulley().minus(at).unit();
    }

    /** Adds the load, what floor and track answer, and the weights of the body. */
    private void loaded(PostureBuilder builder, Vec3 at) {
      Vec3 force = Vec3.ZERO;
      Vec3 perKg = new Vec3(0, -Load.G, 0);
      if (kind == Kind.CABLE) {
        perKg = cable(at).times(Load.G);
        builder.prop("cable", at, pulley());
        Steelwork.column(builder, pulley(), Vec3.FORWARD.times(-1));
      } else if (kind == Kind.TRACK) { // moments about the pressure: the track's push
        double weight = bodyMoment(builder.knee(), builder.hip()) - body.massKg() * pressureX();
        force = new Vec3(-weight * Load.G / at.y(), 0, 0);
        perKg = new Vec3(-(at.x() - pressureX()) * Load.G / at.y(), -Load.G, 0);
        builder.prop("rail", new Vec3(at.x(), 0, 0), new Vec3(at.x(), 2.1, 0));
      }
      Standing.floorForce(
          builder,
          new Vec3(0, body.massKg() * Load.G, 0).minus(force).times(0.5),
          perKg.times(-0.5),
          setup);
      builder
          .legWeights()
          .upperWeight(upperCom())
          .load(Load.force(Load.Segment.UPPER, at, force, perKg))
          .free(Stops.knee(setup.rad(KNEE_BEND)));
      if (hold.hangs()) {
        builder.prop("arm", shoulder(builder.hip()), at);
      }
    }
  }

  private static Standing.LoadPosition back(Hold hold) {
    return hold == Hold.HIGH_BACK ? Standing.LoadPosition.HIGH : Standing.LoadPosition.LOW;
  }
}
