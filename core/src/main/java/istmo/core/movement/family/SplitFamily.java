package istmo.core.movement.family;

import static istmo.core.movement.Parameters.FOOT_SHEAR;
import static istmo.core.movement.Parameters.PRESSURE;
import static istmo.core.movement.Parameters.PRESSURE_ON_TRACK;
import static istmo.core.movement.Parameters.TRUNK_SHIFT;
import static istmo.core.movement.family.SplitParameters.BENT_KNEE;
import static istmo.core.movement.family.SplitParameters.BETWEEN;
import static istmo.core.movement.family.SplitParameters.BOX;
import static istmo.core.movement.family.SplitParameters.FORWARD;
import static istmo.core.movement.family.SplitParameters.FRONT_HEIGHT;
import static istmo.core.movement.family.SplitParameters.KNEE_DEPTH;
import static istmo.core.movement.family.SplitParameters.LEAN;
import static istmo.core.movement.family.SplitParameters.LEG;
import static istmo.core.movement.family.SplitParameters.LEG_TO_THE_SIDE;
import static istmo.core.movement.family.SplitParameters.PUSH_OFF;
import static istmo.core.movement.family.SplitParameters.REAR;
import static istmo.core.movement.family.SplitParameters.REAR_HEIGHT;
import static istmo.core.movement.family.SplitParameters.REAR_SHARE;
import static istmo.core.movement.family.SplitParameters.STRIDE;
import static istmo.core.movement.family.SplitParameters.WIDTH;

import istmo.core.body.Body;
import istmo.core.movement.Family;
import istmo.core.movement.FreeContact;
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
import istmo.core.movement.family.Standing.LoadPosition;
import istmo.core.quantity.Vec3;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

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
    STEP("step"),
    /** The other foot stands to the side. */
    SIDE("side-lunge");

    private final String id;

    Kind(String id) {
      this.id = id;
    }
  }

  /** Grip of the rear foot fore and aft, as a share of what it carries. */
  private static final double REAR_GRIP = 0.3;

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
    list.addAll(
        switch (kind) {
          case STEP -> List.of(BOX, PUSH_OFF, LEAN.usually(25));
          case SIDE -> List.of(BETWEEN, BENT_KNEE, LEAN.usually(45));
          case FREE, TRACK ->
              List.of(STRIDE, KNEE_DEPTH, LEAN, FRONT_HEIGHT, REAR_HEIGHT, REAR, REAR_SHARE, WIDTH);
        });
    if (kind == Kind.TRACK) {
      list.add(FORWARD);
    }
    list.add(
        kind == Kind.TRACK
            ? LoadPosition.BAR
            : LoadPosition.PARAMETER.usually(LoadPosition.HANDS.ordinal()));
    if (kind != Kind.TRACK) {
      list.addAll(List.of(Parameters.WEDGE, Parameters.STRAPS));
    }
    if (kind != Kind.STEP) {
      list.add(kind == Kind.SIDE ? LEG_TO_THE_SIDE : LEG);
    }
    list.addAll(List.of(kind == Kind.TRACK ? PRESSURE_ON_TRACK : PRESSURE, FOOT_SHEAR));
    if (kind != Kind.SIDE) {
      list.add(TRUNK_SHIFT);
    }
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
    return switch (kind) {
      case STEP -> List.of();
      case SIDE -> List.of(BETWEEN);
      case FREE, TRACK -> List.of(STRIDE);
    };
  }

  @Override
  public int legs(Setup setup) {
    return 1;
  }

  @Override
  public Optional<SetupParameter> depth() {
    return Optional.of(
        switch (kind) {
          case STEP -> BOX;
          case SIDE -> BENT_KNEE;
          case FREE, TRACK -> KNEE_DEPTH;
        });
  }

  @Override
  public boolean beginsLow() {
    return kind == Kind.STEP;
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
    SplitStance stance = SplitStance.of(kind, body, setup, phase);
    double deepest =
        kind == Kind.STEP
            ? stepBend(body, stance.ankle().y() - body.ankleHeightM())
            : setup.rad(depth().orElseThrow());
    if (!(deepest > SplitStance.TOP)) {
      return new Impossible(Hindrance.BOX_DOES_NOT_FIT);
    }
    double top = stance.top();
    if (!(deepest > top)) {
      return new Impossible(Hindrance.FRONT_KNEE_BENT_AT_TOP);
    }
    double bend = top + phase * (deepest - top);
    if (kind == Kind.SIDE) {
      Optional<SplitStance> straight = stance.besideStraightLeg(bend, loadKg);
      if (straight.isEmpty()) {
        return new Impossible(Hindrance.FEET_TOO_NEAR);
      }
      stance = straight.get();
    }
    double reach = LegGeometry.hipToAnkle(body, bend);
    double aside = stance.hipZ() - stance.footZ();
    double radius = Math.sqrt(reach * reach - aside * aside);
    Optional<Double> slope = stance.slope(radius, loadKg);
    if (slope.isEmpty()) {
      return new Impossible(Hindrance.NO_BALANCE_BETWEEN_FEET);
    }
    Vec3 hip = SplitStance.hip(stance.ankle(), radius, slope.get(), stance.hipZ());
    Optional<Vec3> knee = LegGeometry.knee(stance.ankle(), hip, body, Vec3.FORWARD);
    if (knee.isEmpty()) {
      return new Impossible(Hindrance.FRONT_LEG_TOO_SHORT);
    }
    OtherLeg other = stance.other(hip);
    if (other.reason().isPresent()) {
      return other.reason().get();
    }
    SplitStance.Legs legs = new SplitStance.Legs(knee.get(), hip, other);
    return setup.values().containsKey(LEG.id())
            && setup.choice(LEG, SplitParameters.Leg.class) == SplitParameters.Leg.REAR
        ? rearLeg(stance, legs)
        : frontLeg(stance, legs);
  }

  private PostureResult frontLeg(SplitStance stance, SplitStance.Legs legs) {
    Body body = stance.body();
    double share = stance.share();
    PostureBuilder builder =
        new PostureBuilder(body, stance.phase())
            .foot(stance.ankle(), stance.foot().toe(), stance.foot().normal())
            .toesAlong(Vec3.FORWARD)
            .leg(legs.knee(), legs.hip())
            .trunk(stance.lean())
            .pressureAhead(stance.setup().get(PRESSURE));
    double all = body.massKg() * Load.G;
    double[] push = stance.push(legs);
    track(builder, stance, legs.hip(), push);
    builder.load(
        Load.force(
            Load.Segment.FOOT,
            builder.pressure(),
            new Vec3(-(1 - share) * push[0], (1 - share) * all, 0),
            new Vec3(-(1 - share) * push[1], (1 - share) * Load.G, 0)));
    builder.footGrip(
        stance.setup().get(FOOT_SHEAR),
        share / (1 - share),
        kind == Kind.TRACK ? Standing.HAND_N : 0,
        (1 - share) * all,
        (1 - share) * Load.G);
    if (stance.rear().stands() && share > 0) {
      builder.free(feetAgainstEachOther(builder.pressure(), share * all, share * Load.G));
    }
    Vec3 thigh = legs.hip().minus(legs.knee()).unit();
    Vec3 shank = legs.knee().minus(stance.ankle()).unit();
    builder.legWeights().free(Stops.knee(thigh.angleTo(shank)));
    stance.place().on(builder, body, legs.hip(), stance.lean());
    builder.prop("other", legs.other().drawn());
    ground(builder, stance.floor(), stance.rear(), stance.rearAt());
    if (kind != Kind.TRACK && stance.setup().get(Parameters.WEDGE) > 0) {
      Standing.wedge(builder, body, stance.foot(), stance.floor());
    }
    return builder.build(Standing.ALL_ROWS);
  }

  /** Fore and aft, within the rear foot's grip of what it carries. */
  private static FreeContact feetAgainstEachOther(Vec3 at, double force, double perKg) {
    return FreeContact.atFoot(
        "feet against each other",
        at,
        Vec3.FORWARD,
        Vec3.ZERO,
        REAR_GRIP * force,
        REAR_GRIP * perKg);
  }

  private void track(PostureBuilder builder, SplitStance stance, Vec3 hip, double[] push) {
    if (kind == Kind.TRACK) {
      Vec3 bar = stance.place().at(stance.body(), hip, stance.lean());
      builder.load(
          Load.force(Load.Segment.UPPER, bar, new Vec3(push[0], 0, 0), new Vec3(push[1], 0, 0)));
      builder.prop("rail", new Vec3(bar.x(), 0, 0), new Vec3(bar.x(), 2.1, 0));
    }
  }

  /** The same posture seen by the rear leg, mirrored so that it is the right one. */
  private PostureResult rearLeg(SplitStance stance, SplitStance.Legs legs) {
    if (!stance.rear().stands()) {
      return new Impossible(Hindrance.OTHER_FOOT_NOT_STANDING);
    }
    OtherLeg other = legs.other();
    Vec3 at = mirrored(other.contact());
    Vec3 rearHip = mirrored(stance.otherHip(legs.hip()));
    PostureBuilder builder =
        new PostureBuilder(stance.body(), stance.phase())
            .foot(mirrored(other.ankle()), mirrored(other.toe()), mirrored(other.normal()))
            .leg(mirrored(other.knee()), rearHip)
            .trunk(stance.lean())
            .pressureAt(at);
    if (stance.rear() == OtherLeg.Foot.BALL) {
      builder.toesAlong(Vec3.FORWARD);
    }
    double[] push = stance.push(legs);
    double all = stance.share() * stance.body().massKg() * Load.G;
    double perKg = stance.share() * Load.G;
    builder.load(
        Load.force(
            Load.Segment.FOOT,
            at,
            new Vec3(-stance.share() * push[0], all, 0),
            new Vec3(-stance.share() * push[1], perKg, 0)));
    track(builder, stance, rearHip, push);
    builder
        .footGrip(stance.setup().get(FOOT_SHEAR), all, perKg)
        .free(feetAgainstEachOther(at, all, perKg))
        .legWeights();
    stance.place().on(builder, stance.body(), rearHip, stance.lean());
    builder.prop("floor", new Vec3(-1.2, 0, 0), new Vec3(0.7, 0, 0));
    return builder.build(Standing.ALL_ROWS);
  }

  private static void ground(
      PostureBuilder builder, double floor, OtherLeg.Foot rear, Vec3 rearAt) {
    if (floor > 0) {
      builder.prop(
          "block",
          new Vec3(-0.12, 0, 0),
          new Vec3(0.26, 0, 0),
          new Vec3(0.26, floor, 0),
          new Vec3(-0.12, floor, 0));
    }
    if (rear == OtherLeg.Foot.INSTEP && rearAt.y() > 0.1) {
      builder.prop(
          "block",
          new Vec3(rearAt.x() - 0.3, rearAt.y() - 0.08, 0),
          new Vec3(rearAt.x() + 0.04, rearAt.y() - 0.08, 0),
          new Vec3(rearAt.x() + 0.04, rearAt.y() - 0.03, 0),
          new Vec3(rearAt.x() - 0.3, rearAt.y() - 0.03, 0));
    }
    builder.prop("floor", new Vec3(-1.2, 0, 0), new Vec3(0.7, 0, 0));
  }

  /**
   * Bend of the knee on the box with which the other leg, straight, just reaches the floor, its
   * ankle so far below the upper one. NaN when it does not go.
   */
  private static double stepBend(Body body, double belowM) {
    double hipToAnkle = body.thighM() + body.shankM() + TIPTOE_M - belowM;
    double t = body.thighM();
    double s = body.shankM();
    double cosine = (hipToAnkle * hipToAnkle - t * t - s * s) / (2 * t * s);
    return Math.abs(cosine) < 1 ? Math.acos(cosine) : Double.NaN;
  }

  private static Vec3 mirrored(Vec3 v) {
    return new Vec3(v.x(), v.y(), -v.z());
  }
}
