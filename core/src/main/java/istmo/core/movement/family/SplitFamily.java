package istmo.core.movement.family;

import static istmo.core.movement.Parameters.FOOT_SHEAR;
import static istmo.core.movement.Parameters.PRESSURE;
import static istmo.core.movement.Parameters.PRESSURE_ON_TRACK;
import static istmo.core.movement.Parameters.TRUNK_SHIFT;

import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.movement.Family;
import istmo.core.movement.FreeContact;
import istmo.core.movement.Handle;
import istmo.core.movement.Handle.Part;
import istmo.core.movement.Impossible;
import istmo.core.movement.Load;
import istmo.core.movement.Parameters;
import istmo.core.movement.PostureBuilder;
import istmo.core.movement.PostureResult;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.movement.family.Standing.LoadPosition;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.Vec3;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * One leg in front, which does most of the work: split squat, lunge, step-up, one-leg squat. The
 * bend of the front knee is the phase, the trunk's lean is given, and the hip stands where front
 * foot and rear foot carry their shares of the weight (a track carries what is missing). The share
 * on the rear foot is an input: statics does not settle it. So is which leg is looked at: the front
 * one, or the rear.
 *
 * <p>Sideways the middle of the body stands where the feet share it; the pelvis stays level. Fore
 * and aft the feet may push against each other within the rear foot's grip.
 */
public final class SplitFamily implements Family {
  /** What settles the posture. */
  public enum Kind {
    FREE("split"),
    TRACK("guided-split"),
    STEP("step");

    private final String id;

    Kind(String id) {
      this.id = id;
    }
  }

  /** What the other foot does. */
  enum Rear {
    BALL,
    INSTEP,
    IN_FRONT,
    BEHIND,
    HANGING;

    boolean stands() {
      return this == BALL || this == INSTEP;
    }
  }

  static final SetupParameter STRIDE =
      new SetupParameter(
          "stride",
          "Stride",
          "m",
          new Allowed(0.20, 1.30, "m"),
          0.70,
          0.05,
          SetupParameter.Kind.SETUP,
          List.of(),
          "front ankle to where the rear foot stands, along the floor");
  static final SetupParameter WIDTH =
      new SetupParameter(
          "width",
          "Between the feet, side to side",
          "m",
          new Allowed(-0.30, 0.50, "m"),
          0.15,
          0.05,
          SetupParameter.Kind.SETUP,
          List.of(),
          "less than nothing when the rear foot crosses behind the front one");
  static final SetupParameter FRONT_HEIGHT =
      new SetupParameter(
          "frontHeight",
          "Front foot raised",
          "m",
          new Allowed(0, 0.30, "m"),
          0,
          0.05,
          SetupParameter.Kind.SETUP,
          List.of(),
          "height under the front foot");
  static final SetupParameter REAR_HEIGHT =
      new SetupParameter(
          "rearHeight",
          "Rear foot raised",
          "m",
          new Allowed(0, 0.60, "m"),
          0,
          0.05,
          SetupParameter.Kind.SETUP,
          List.of(),
          "height of what the rear foot rests on");
  static final SetupParameter REAR =
      new SetupParameter(
          "rear",
          "Other foot",
          "",
          new Allowed(0, 3, ""),
          0,
          1,
          SetupParameter.Kind.SETUP,
          List.of("on its ball", "instep on a bench or roll", "held in front", "bent behind"),
          "what the other foot does");
  static final SetupParameter REAR_SHARE =
      new SetupParameter(
          "rearShare",
          "Weight on the rear foot",
          "",
          new Allowed(0, 0.5, ""),
          0.3,
          0.05,
          SetupParameter.Kind.TECHNIQUE,
          List.of(),
          "share of all weight at the bottom; 0.1 to 0.2 with the rear foot raised");
  static final SetupParameter KNEE_DEPTH =
      new SetupParameter(
          "kneeDepth",
          "Front knee at the bottom",
          "deg",
          new Allowed(40, 140, "deg"),
          95,
          5,
          SetupParameter.Kind.SETUP,
          List.of(),
          "knee flexion of the front leg; straight is 0");
  static final SetupParameter LEAN =
      new SetupParameter(
          "lean",
          "Trunk lean at the bottom",
          "deg",
          new Allowed(-5, 70, "deg"),
          15,
          5,
          SetupParameter.Kind.TECHNIQUE,
          List.of(),
          "trunk from the vertical, forward");
  static final SetupParameter FORWARD =
      new SetupParameter(
          "feetForward",
          "Front foot in front of the bar",
          "m",
          new Allowed(0, 0.80, "m"),
          0.40,
          0.02,
          SetupParameter.Kind.SETUP,
          List.of(),
          "middle of the front foot in front of the bar's track");
  static final SetupParameter BOX =
      new SetupParameter(
          "box",
          "Box height",
          "m",
          new Allowed(0.10, 0.75, "m"),
          0.25,
          0.05,
          SetupParameter.Kind.SETUP,
          List.of(),
          "top of the box from the floor");
  static final SetupParameter PUSH_OFF =
      new SetupParameter(
          "pushOff",
          "Push-off of the lower foot",
          "",
          new Allowed(0, 0.8, ""),
          0.1,
          0.05,
          SetupParameter.Kind.TECHNIQUE,
          List.of(),
          "share of all weight that the lower foot still carries at the bottom; gone a third of the"
              + " way up");
  static final SetupParameter LEG =
      new SetupParameter(
          "leg",
          "Leg looked at",
          "",
          new Allowed(0, 1, ""),
          0,
          1,
          SetupParameter.Kind.TECHNIQUE,
          List.of("front", "rear"),
          "the leg whose muscles are computed and drawn");

  /** Share on a rear foot on its ball at the top. */
  private static final double AT_TOP = 0.45;

  /**
   * How far the rear hip opens, with what the pelvis gives, rad (AAOS normal 30 deg, from memory,
   * and a little of the pelvis).
   */
  private static final double HIP_OPEN = Math.toRadians(-35);

  /**
   * On a box the trunk has its lean from the bottom until this phase, which brings the weight over
   * the foot before the other leaves the floor.
   */
  private static final double LEANT_BY = 0.6;

  private static final double TOP = Math.toRadians(15);

  /** Grip of the rear foot fore and aft, as a share of what it carries. */
  private static final double REAR_GRIP = 0.3;

  /** The rear knee's centre above the floor when it touches down, m. */
  private static final double KNEE_ON_FLOOR = 0.05;

  /** Dorsiflexion of a rear foot on its ball, and plantarflexion of one on its instep, rad. */
  private static final double ON_BALL = Math.toRadians(15);

  private static final double MOST_TIPTOE = Math.toRadians(40);
  private static final double ON_INSTEP = Math.toRadians(35);

  /** Where the lower foot pushes off, behind the ankle of the upper one, m. */
  private static final double BEHIND_BOX = 0.28;

  /** How far the lower foot lifts its heel when it touches the floor below the box, m. */
  private static final double TIPTOE_M = 0.04;

  private final Kind kind;

  /** Split stances and steps of one kind. */
  public SplitFamily(Kind kind) {
    this.kind = kind;
  }

  @Override
  public String id() {
    return kind.id;
  }

  @Override
  public List<SetupParameter> parameters() {
    List<SetupParameter> list = new ArrayList<>();
    if (kind == Kind.STEP) {
      list.addAll(List.of(BOX, PUSH_OFF, LEAN.usually(25)));
    } else {
      list.addAll(
          List.of(STRIDE, KNEE_DEPTH, LEAN, FRONT_HEIGHT, REAR_HEIGHT, REAR, REAR_SHARE, WIDTH));
    }
    if (kind == Kind.TRACK) {
      list.add(FORWARD);
    }
    list.add(
        kind == Kind.TRACK
            ? LoadPosition.BAR
            : LoadPosition.PARAMETER.usually(LoadPosition.HANDS.ordinal()));
    if (kind != Kind.TRACK) {
      list.add(Parameters.STRAPS);
    }
    if (kind != Kind.STEP) {
      list.add(LEG);
    }
    list.addAll(
        List.of(kind == Kind.TRACK ? PRESSURE_ON_TRACK : PRESSURE, FOOT_SHEAR, TRUNK_SHIFT));
    return List.copyOf(list);
  }

  @Override
  public List<Handle> handles() {
    return Handle.among(
        parameters(),
        new Handle("kneeDepth", Part.HIP),
        new Handle("lean", Part.SHOULDER),
        new Handle("stride", Part.REAR_FOOT),
        new Handle("feetForward", Part.BAR),
        new Handle("box", Part.BLOCK_EDGE));
  }

  @Override
  public boolean balances() {
    return kind != Kind.TRACK;
  }

  @Override
  public List<SetupParameter> growWithTheLeg() {
    return kind == Kind.STEP ? List.of() : List.of(STRIDE);
  }

  @Override
  public int legs(Setup setup) {
    return 1;
  }

  @Override
  public Optional<SetupParameter> depth() {
    return kind == Kind.STEP ? Optional.empty() : Optional.of(KNEE_DEPTH);
  }

  @Override
  public double inOneHand(Setup setup) {
    return kind != Kind.TRACK
            && LoadPosition.of(setup, LoadPosition.PARAMETER) == LoadPosition.HANDS
        ? Parameters.inOneOfTwoHands(setup)
        : 0;
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    LoadPosition place =
        kind == Kind.TRACK
            ? LoadPosition.of(setup, LoadPosition.BAR)
            : LoadPosition.of(setup, LoadPosition.PARAMETER);
    Rear rear = kind == Kind.STEP ? Rear.HANGING : Rear.values()[(int) setup.get(REAR)];
    double floor = kind == Kind.STEP ? setup.get(BOX) : setup.get(FRONT_HEIGHT);
    double width = kind == Kind.STEP ? 0 : setup.get(WIDTH);
    double share =
        kind == Kind.STEP
            ? setup.get(PUSH_OFF) * Math.max(0, (phase - 2.0 / 3) * 3)
            : rear.stands() ? rearShare(setup, rear, phase) : 0;
    double topShare = rear.stands() ? rearShare(setup, rear, 0) : 0;
    // the middle of the body stands sideways where the feet share it; one foot alone stands under
    // it
    double apart = rear.stands() ? width : 0;
    double footZ = apart / 2;
    double middle = (0.5 - share) * apart;
    double hipZ =
        middle + body.hipHalfDistanceM() * (1 - Standing.alone(share) * setup.get(TRUNK_SHIFT));
    Vec3 ankle = new Vec3(0, floor + body.ankleHeightM(), footZ);
    double deepest = kind == Kind.STEP ? stepBend(body, setup.get(BOX)) : setup.rad(KNEE_DEPTH);
    if (!(deepest > TOP)) {
      return new Impossible(
          Impossible.Limit.GEOMETRY, "The box is too low or too high for this leg.", "another box");
    }
    double frontX =
        (Segments.MIDDLE_FROM_HEEL - Segments.ANKLE_FROM_HEEL) * body.footM() + setup.get(PRESSURE);
    Vec3 rearAt =
        new Vec3(
            kind == Kind.STEP ? 0 : -setup.get(STRIDE),
            kind == Kind.STEP ? 0 : setup.get(REAR_HEIGHT),
            footZ - width);
    double top =
        rear.stands()
            ? Math.max(
                TOP,
                topBend(
                    body,
                    rear,
                    ankle,
                    rearAt,
                    hipZ,
                    kind == Kind.TRACK
                        ? hipUnderBar(body, setup, place, Math.toRadians(2))
                        : (1 - topShare) * frontX + topShare * rearAt.x()))
            : TOP;
    if (!(deepest > top)) {
      return new Impossible(
          Impossible.Limit.GEOMETRY,
          "With the feet so far apart the front knee is bent further already at the top.",
          "a shorter stride, or more depth");
    }
    double bend = top + phase * (deepest - top);
    double reach = LegGeometry.hipToAnkle(body, bend);
    double radius = Math.sqrt(reach * reach - (hipZ - footZ) * (hipZ - footZ));
    double leaning = kind == Kind.STEP ? Math.min(1, phase / LEANT_BY) : phase;
    double lean = Math.toRadians(2) + leaning * (setup.rad(LEAN) - Math.toRadians(2));
    Optional<Double> slope;
    if (kind == Kind.TRACK) {
      double hipX = hipUnderBar(body, setup, place, lean);
      slope = Math.abs(hipX) < radius ? Optional.of(Math.asin(hipX / radius)) : Optional.empty();
    } else {
      slope =
          Roots.between(
              Math.toRadians(-60),
              Math.toRadians(40),
              angle -> {
                Vec3 hip = hip(ankle, radius, angle, hipZ);
                Vec3 knee = kneeOrMiddle(body, ankle, hip);
                Other other =
                    other(body, rear, hip, hipZ - 2 * body.hipHalfDistanceM(), rearAt, phase, lean);
                double rearX = kind == Kind.STEP ? -BEHIND_BOX : rearAt.x();
                double upper = hip.x() + place.comFraction() * body.trunkM() * Math.sin(lean);
                return Standing.oneLegMassMoment(body, ankle, knee, hip, frontX)
                    + other.massMoment
                    + body.upperMassKg() * upper
                    + loadKg * place.at(body, hip, lean).x()
                    - (body.massKg() + loadKg) * ((1 - share) * frontX + share * rearX);
              });
    }
    if (slope.isEmpty()) {
      return new Impossible(
          Impossible.Limit.BALANCE,
          "No place of the hips brings the weight between the feet as wished.",
          "another stride, lean or share on the rear foot");
    }
    Vec3 hip = hip(ankle, radius, slope.get(), hipZ);
    Optional<Vec3> knee = LegGeometry.knee(ankle, hip, body, Vec3.FORWARD);
    Other other = other(body, rear, hip, hipZ - 2 * body.hipHalfDistanceM(), rearAt, phase, lean);
    if (knee.isEmpty()) {
      return new Impossible(
          Impossible.Limit.GEOMETRY, "The front leg does not reach.", "another stride");
    }
    if (other.reason != null) {
      return other.reason;
    }
    return setup.values().containsKey(LEG.id()) && setup.get(LEG) == 1
        ? rearLeg(
            body,
            setup,
            phase,
            place,
            rear,
            share,
            hip,
            lean,
            other,
            push(
                body,
                share,
                place,
                ankle,
                knee.get(),
                hip,
                lean,
                other,
                new Vec3(frontX, floor, 0),
                floor,
                rearAt))
        : frontLeg(
            body,
            setup,
            phase,
            place,
            rear,
            share,
            ankle,
            knee.get(),
            hip,
            lean,
            other,
            floor,
            rearAt);
  }

  /**
   * On its ball the rear foot carries nearly half at the top, where the hips stand between the
   * feet, and the share set at the bottom; on a bench the share set.
   */
  private static double rearShare(Setup setup, Rear rear, double phase) {
    double bottom = setup.get(REAR_SHARE);
    return rear == Rear.BALL ? Math.max(bottom, AT_TOP) * (1 - phase) + phase * bottom : bottom;
  }

  private PostureResult frontLeg(
      Body body,
      Setup setup,
      double phase,
      LoadPosition place,
      Rear rear,
      double share,
      Vec3 ankle,
      Vec3 knee,
      Vec3 hip,
      double lean,
      Other other,
      double floor,
      Vec3 rearAt) {
    PostureBuilder p =
        new PostureBuilder(body, phase)
            .foot(ankle, Vec3.FORWARD, Vec3.UP)
            .leg(knee, hip)
            .trunk(lean)
            .pressureAhead(setup.get(PRESSURE));
    double all = body.massKg() * Load.G;
    double[] push =
        push(body, share, place, ankle, knee, hip, lean, other, p.pressure(), floor, rearAt);
    track(p, body, place, hip, lean, push);
    p.load(
        Load.force(
            Load.Segment.FOOT,
            p.pressure(),
            new Vec3(-(1 - share) * push[0], (1 - share) * all, 0),
            new Vec3(-(1 - share) * push[1], (1 - share) * Load.G, 0)));
    p.footGrip(
        setup.get(FOOT_SHEAR),
        share / (1 - share),
        kind == Kind.TRACK ? Standing.HAND_N : 0,
        (1 - share) * all,
        (1 - share) * Load.G);
    if (rear.stands() && share > 0) {
      p.free(
          FreeContact.atFoot(
              "feet against each other",
              p.pressure(),
              Vec3.FORWARD,
              Vec3.ZERO,
              REAR_GRIP * share * all,
              REAR_GRIP * share * Load.G));
    }
    p.legWeights()
        .free(
            Stops.knee(
                Math.acos(
                    Math.max(
                        -1, Math.min(1, hip.minus(knee).unit().dot(knee.minus(ankle).unit()))))));
    place.on(p, body, hip, lean);
    p.prop("other", other.drawn);
    ground(p, floor, rear, rearAt);
    return p.build(Standing.ALL_ROWS);
  }

  /**
   * Level push of the track, N and N/kg, from moments about where the feet carry; nothing without a
   * track.
   */
  private double[] push(
      Body body,
      double share,
      LoadPosition place,
      Vec3 ankle,
      Vec3 knee,
      Vec3 hip,
      double lean,
      Other other,
      Vec3 front,
      double floor,
      Vec3 rearAt) {
    if (kind != Kind.TRACK) {
      return new double[2];
    }
    double x = (1 - share) * front.x() + share * rearAt.x();
    double y = (1 - share) * floor + share * rearAt.y();
    Vec3 bar = place.at(body, hip, lean);
    double weight =
        Standing.oneLegMassMoment(body, ankle, knee, hip, front.x())
            + other.massMoment
            + body.upperMassKg() * (hip.x() + place.comFraction() * body.trunkM() * Math.sin(lean))
            - body.massKg() * x;
    return new double[] {-weight * Load.G / (bar.y() - y), -(bar.x() - x) * Load.G / (bar.y() - y)};
  }

  private void track(
      PostureBuilder p, Body body, LoadPosition place, Vec3 hip, double lean, double[] push) {
    if (kind == Kind.TRACK) {
      Vec3 bar = place.at(body, hip, lean);
      p.load(Load.force(Load.Segment.UPPER, bar, new Vec3(push[0], 0, 0), new Vec3(push[1], 0, 0)));
      p.prop("rail", new Vec3(bar.x(), 0, 0), new Vec3(bar.x(), 2.1, 0));
    }
  }

  /** The same posture seen by the rear leg, mirrored so that it is the right one. */
  private PostureResult rearLeg(
      Body body,
      Setup setup,
      double phase,
      LoadPosition place,
      Rear rear,
      double share,
      Vec3 hip,
      double lean,
      Other other,
      double[] push) {
    if (!rear.stands()) {
      return new Impossible(
          Impossible.Limit.GEOMETRY,
          "The other foot does not stand.",
          "a rear foot on the floor or a bench");
    }
    Vec3 at = mirrored(other.contact);
    Vec3 rearHip = new Vec3(hip.x(), hip.y(), 2 * body.hipHalfDistanceM() - hip.z());
    PostureBuilder p =
        new PostureBuilder(body, phase)
            .foot(mirrored(other.ankle), mirrored(other.toe), mirrored(other.normal))
            .leg(mirrored(other.knee), rearHip)
            .trunk(lean)
            .pressureAt(at);
    if (rear == Rear.BALL) {
      p.toesAlong(Vec3.FORWARD);
    }
    double all = share * body.massKg() * Load.G;
    p.load(
        Load.force(
            Load.Segment.FOOT,
            at,
            new Vec3(-share * push[0], all, 0),
            new Vec3(-share * push[1], share * Load.G, 0)));
    track(p, body, place, rearHip, lean, push);
    p.footGrip(setup.get(FOOT_SHEAR), all, share * Load.G);
    p.free(
        FreeContact.atFoot(
            "feet against each other",
            at,
            Vec3.FORWARD,
            Vec3.ZERO,
            REAR_GRIP * all,
            REAR_GRIP * share * Load.G));
    p.legWeights();
    place.on(p, body, rearHip, lean);
    p.prop("floor", new Vec3(-1.2, 0, 0), new Vec3(0.7, 0, 0));
    return p.build(Standing.ALL_ROWS);
  }

  private void ground(PostureBuilder p, double floor, Rear rear, Vec3 rearAt) {
    if (floor > 0) {
      p.prop(
          "block",
          new Vec3(-0.12, 0, 0),
          new Vec3(0.26, 0, 0),
          new Vec3(0.26, floor, 0),
          new Vec3(-0.12, floor, 0));
    }
    if (rear == Rear.INSTEP && rearAt.y() > 0.1) {
      p.prop(
          "block",
          new Vec3(rearAt.x() - 0.3, rearAt.y() - 0.08, 0),
          new Vec3(rearAt.x() + 0.04, rearAt.y() - 0.08, 0),
          new Vec3(rearAt.x() + 0.04, rearAt.y() - 0.03, 0),
          new Vec3(rearAt.x() - 0.3, rearAt.y() - 0.03, 0));
    }
    p.prop("floor", new Vec3(-1.2, 0, 0), new Vec3(0.7, 0, 0));
  }

  private static double hipUnderBar(Body body, Setup setup, LoadPosition place, double lean) {
    return (Segments.MIDDLE_FROM_HEEL - Segments.ANKLE_FROM_HEEL) * body.footM()
        - setup.get(FORWARD)
        - place.at(body, Vec3.ZERO, lean).x();
  }

  /**
   * Bend of the front knee where the rear leg is straight, its heel up a little: hips over the
   * point that both feet carry.
   */
  private static double topBend(
      Body body, Rear rear, Vec3 ankle, Vec3 rearAt, double hipZ, double hipX) {
    double foot =
        rear == Rear.BALL ? (Segments.BALL_FROM_HEEL - Segments.ANKLE_FROM_HEEL) * body.footM() : 0;
    double reach = body.thighM() + body.shankM() + 0.8 * foot;
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

  private static Vec3 hip(Vec3 ankle, double radius, double slope, double z) {
    return new Vec3(ankle.x() + radius * Math.sin(slope), ankle.y() + radius * Math.cos(slope), z);
  }

  private static Vec3 kneeOrMiddle(Body body, Vec3 ankle, Vec3 hip) {
    return LegGeometry.knee(ankle, hip, body, Vec3.FORWARD).orElse(ankle.plus(hip).times(0.5));
  }

  /**
   * Bend of the knee on the box with which the other leg, straight, just reaches the floor. NaN
   * when it does not go.
   */
  private static double stepBend(Body body, double box) {
    double hipToAnkle = body.thighM() + body.shankM() + TIPTOE_M - box;
    double t = body.thighM();
    double s = body.shankM();
    double cosine = (hipToAnkle * hipToAnkle - t * t - s * s) / (2 * t * s);
    return Math.abs(cosine) < 1 ? Math.acos(cosine) : Double.NaN;
  }

  private static Vec3 mirrored(Vec3 v) {
    return new Vec3(v.x(), v.y(), -v.z());
  }

  /** The other leg: where it is, what it weighs (kg m about x = 0), and why it cannot be there. */
  private record Other(
      Vec3 knee,
      Vec3 ankle,
      Vec3 contact,
      Vec3 toe,
      Vec3 normal,
      double massMoment,
      Vec3[] drawn,
      @Nullable Impossible reason) {}

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

  private static Other other(
      Body body, Rear rear, Vec3 hip, double z, Vec3 at, double phase, double lean) {
    Vec3 own = new Vec3(hip.x(), hip.y(), z);
    if (!rear.stands()) {
      double thighBack =
          rear == Rear.IN_FRONT
              ? Math.toRadians(-75) * phase
              : rear == Rear.BEHIND ? Math.toRadians(5) : 0;
      double bend =
          rear == Rear.IN_FRONT ? Math.toRadians(10) : rear == Rear.BEHIND ? Math.toRadians(80) : 0;
      Vec3 knee = own.plus(-body.thighM(), Vec3.UP.turnedAboutZ(-thighBack));
      Vec3 ankle = knee.plus(-body.shankM(), Vec3.UP.turnedAboutZ(-thighBack - bend));
      return new Other(
          knee,
          ankle,
          ankle,
          Vec3.FORWARD,
          Vec3.UP,
          Standing.oneLegMassMoment(body, ankle, knee, own, ankle.x()),
          new Vec3[] {own, knee, ankle},
          null);
    }
    double ballAhead = (Segments.BALL_FROM_HEEL - Segments.ANKLE_FROM_HEEL) * body.footM();
    double d = own.minus(at).norm();
    double angle = rear == Rear.BALL ? ballAngle(body, ballAhead, d) : -ON_INSTEP;
    // ball of the foot seen from the knee along and across the shank, the ankle held
    double along =
        rear == Rear.BALL
            ? body.shankM() + body.ankleHeightM() * Math.cos(angle) - ballAhead * Math.sin(angle)
            : body.shankM();
    double across =
        rear == Rear.BALL ? body.ankleHeightM() * Math.sin(angle) + ballAhead * Math.cos(angle) : 0;
    double link = Math.hypot(along, across);
    double skew = Math.atan2(across, along);
    Vec3 line = own.minus(at);
    double onLine = (link * link - body.thighM() * body.thighM() + d * d) / (2 * d);
    double square = link * link - onLine * onLine;
    if (!(square >= 0)) {
      Impossible reason =
          new Impossible(
              Impossible.Limit.GEOMETRY,
              d > link + body.thighM()
                  ? "The rear leg does not reach back that far."
                  : "The rear leg cannot fold that far.",
              d > link + body.thighM()
                  ? String.format(
                      java.util.Locale.ROOT,
                      "a stride %.0f cm shorter",
                      Math.ceil(100 * (d - link - body.thighM())))
                  : "a longer stride");
      return new Other(
          at,
          at,
          at,
          Vec3.FORWARD,
          Vec3.UP,
          body.massKg() * 0.18 * 0.5 * (own.x() + at.x()),
          new Vec3[] {own, at},
          reason);
    }
    Vec3 u = line.times(1 / d);
    Vec3 pole = Vec3.FORWARD.plus(-0.6, Vec3.UP);
    Vec3 side = pole.plus(-pole.dot(u), u).unit();
    Vec3 knee = at.plus(onLine, u).plus(Math.sqrt(square), side);
    Vec3 shankUp = knee.minus(at).unit().turnedAboutZ(-skew);
    Vec3 ankle = rear == Rear.BALL ? knee.plus(-body.shankM(), shankUp) : at;
    Vec3 normal = shankUp.turnedAboutZ(angle);
    Vec3 toe = new Vec3(normal.y(), -normal.x(), 0).unit();
    normal = toe.turnedAboutZ(Math.PI / 2);
    double open =
        Math.atan2(
            own.x() - knee.x(), own.y() - knee.y()); // thigh from the vertical, back positive
    if (lean - open < HIP_OPEN) {
      Impossible reason =
          new Impossible(
              Impossible.Limit.HIP_OPENING,
              String.format(
                  java.util.Locale.ROOT,
                  "The rear hip would have to open back to %.0f°.",
                  Math.toDegrees(open - lean)),
              "a shorter stride, more lean, or more weight on the rear foot");
      return new Other(
          knee,
          ankle,
          at,
          toe,
          normal,
          Standing.oneLegMassMoment(body, ankle, knee, own, at.x()),
          new Vec3[] {own, knee, ankle, at},
          reason);
    }
    Impossible reason =
        knee.y() < KNEE_ON_FLOOR
            ? new Impossible(
                Impossible.Limit.STOP,
                "The rear knee is on the floor.",
                String.format(
                    java.util.Locale.ROOT,
                    "%.0f cm under the front foot, or less depth",
                    Math.ceil(100 * (KNEE_ON_FLOOR - knee.y()))))
            : null;
    return new Other(
        knee,
        ankle,
        rear == Rear.BALL ? at : ankle,
        toe,
        normal,
        Standing.oneLegMassMoment(body, ankle, knee, own, at.x()),
        new Vec3[] {own, knee, ankle, at},
        reason);
  }
}
