package istmo.core.movement.family;

import static istmo.core.movement.Parameters.LEGS;

import istmo.core.anatomy.Coordinate;
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
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Calf raise with the balls of the feet on an edge; the ankle angle is the phase. Standing: load on
 * the shoulders, the body balances. Bent over: load on the hips, the hands carry a share of the
 * trunk. Seated: load on the knees. On a leg press: the sled pushes along its rail, the legs are
 * held nearly straight.
 */
public final class CalfFamily implements Family {
  /** Where the load comes from. */
  public enum Kind {
    STANDING("standing-calf"),
    SEATED("seated-calf"),
    BENT_OVER("bent-over-calf"),
    PRESS("press-calf");

    private final String id;

    Kind(String id) {
      this.id = id;
    }
  }

  static final SetupParameter KNEE =
      SetupParameter.of(
          "kneeBend",
          "Knee bend",
          new Allowed(0, 30, "deg"),
          4,
          2,
          SetupParameter.Kind.TECHNIQUE,
          "knee flexion held through the repetition");
  static final SetupParameter LOW =
      SetupParameter.of(
          "stretch",
          "Ankle at the bottom",
          new Allowed(0, 40, "deg"),
          22,
          2,
          SetupParameter.Kind.SETUP,
          "dorsiflexion at the bottom");
  static final SetupParameter HIGH =
      SetupParameter.of(
          "rise",
          "Ankle at the top",
          new Allowed(0, 50, "deg"),
          35,
          5,
          SetupParameter.Kind.SETUP,
          "plantarflexion at the top");
  static final SetupParameter HIP =
      SetupParameter.of(
          "hipBend",
          "Hip bend",
          new Allowed(40, 110, "deg"),
          80,
          5,
          SetupParameter.Kind.SETUP,
          "how far the trunk leans ahead on its support");
  static final SetupParameter HANDS =
      SetupParameter.of(
              "handShare",
              "Trunk on the hands",
              new Allowed(0, 1, ""),
              0.5,
              0.1,
              SetupParameter.Kind.TECHNIQUE,
              "share of the trunk's weight that the hands carry")
          .notSearched();

  private static final Set<Coordinate> LEG =
      EnumSet.of(Coordinate.HIP_FLEXION, Coordinate.KNEE_FLEXION, Coordinate.ANKLE_DORSIFLEXION);

  private final Kind kind;

  /** Calf raises of one kind. */
  public CalfFamily(Kind kind) {
    this.kind = kind;
  }

  @Override
  public String id() {
    return kind.id;
  }

  @Override
  public List<SetupParameter> parameters() {
    return switch (kind) {
      case STANDING -> List.of(LOW, HIGH, KNEE, LEGS);
      case SEATED -> List.of(LOW, HIGH, LEGS);
      case BENT_OVER -> List.of(LOW, HIGH, KNEE, HIP, HANDS, LEGS);
      case PRESS ->
          List.of(
              LOW,
              HIGH,
              KNEE.usually(8),
              PressFamily.RAIL,
              PressFamily.BACK,
              Parameters.SLED_MASS,
              Parameters.FRICTION,
              LEGS);
    };
  }

  @Override
  public List<Handle> handles() {
    return Handle.among(parameters(), new Handle("stretch", Part.HEEL));
  }

  @Override
  public boolean balances() {
    return kind == Kind.STANDING;
  }

  @Override
  public int legs(Setup setup) {
    return Parameters.legs(setup);
  }

  @Override
  public Optional<SetupParameter> depth() {
    return Optional.of(LOW);
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    double dorsiflexion = -setup.rad(HIGH) + phase * (setup.rad(LOW) + setup.rad(HIGH));
    return switch (kind) {
      case STANDING -> standing(body, setup, phase, dorsiflexion, loadKg);
      case SEATED -> seated(body, setup, phase, dorsiflexion);
      case BENT_OVER -> bentOver(body, setup, phase, dorsiflexion);
      case PRESS -> press(body, setup, phase, dorsiflexion);
    };
  }

  private static PostureResult seated(Body body, Setup setup, double phase, double dorsiflexion) {
    Limb limb = limb(body, 0, Math.PI / 2, dorsiflexion);
    PostureBuilder builder = builder(body, phase, limb, 0, Vec3.FORWARD);
    double legShare =
        (body.shankMassKg() + body.footMassKg() + body.thighComFraction() * body.thighMassKg())
            * Load.G;
    builder
        .load(
            Load.force(
                Load.Segment.FOOT,
                builder.pressure(),
                new Vec3(0, legShare, 0),
                new Vec3(0, Load.G / Parameters.legs(setup), 0)))
        .legWeights();
    builder
        .prop(
            "pad",
            limb.knee.plus(new Vec3(-0.16, 0.08, 0)),
            limb.knee.plus(new Vec3(-0.02, 0.08, 0)))
        .prop(
            "pad", limb.hip.plus(new Vec3(-0.12, -0.1, 0)), limb.hip.plus(new Vec3(0.2, -0.1, 0)));
    block(builder);
    return builder.build(EnumSet.of(Coordinate.ANKLE_DORSIFLEXION));
  }

  private static PostureResult standing(
      Body body, Setup setup, double phase, double dorsiflexion, double loadKg) {
    double bend = setup.rad(KNEE);
    Optional<Double> lean =
        Roots.between(
            Math.toRadians(-10),
            Math.toRadians(35),
            angle -> {
              Limb tried = limb(body, angle + bend / 2, bend, dorsiflexion);
              double upperX =
                  tried.hip.x() + Segments.UPPER_COM_HANGING * body.trunkM() * Math.sin(angle);
              double shoulderX = tried.hip.x() + body.trunkM() * Math.sin(angle);
              return Standing.legMassMoment(
                      body, tried.ankle, tried.knee, tried.hip, -ballFromMiddle(body))
                  + body.upperMassKg() * upperX
                  + loadKg * shoulderX;
            });
    if (lean.isEmpty()) {
      return new Impossible(Hindrance.BODY_NOT_OVER_BALLS);
    }
    Limb limb = limb(body, lean.get() + bend / 2, bend, dorsiflexion);
    PostureBuilder builder = builder(body, phase, limb, lean.get(), Vec3.FORWARD);
    int legs = Parameters.legs(setup);
    builder
        .load(
            Load.force(
                Load.Segment.FOOT,
                builder.pressure(),
                new Vec3(0, body.massKg() * Load.G / legs, 0),
                new Vec3(0, Load.G / legs, 0)))
        .legWeights();
    builder.free(Stops.knee(bend));
    Vec3 shoulder =
        new Vec3(
            limb.hip.x() + body.trunkM() * Math.sin(lean.get()),
            limb.hip.y() + body.trunkM() * Math.cos(lean.get()),
            0);
    builder.prop(
        "pad", shoulder.plus(new Vec3(-0.06, 0.05, 0)), shoulder.plus(new Vec3(0.1, 0.05, 0)));
    block(builder);
    return builder.build(LEG);
  }

  /**
   * The hips stand over the balls of the feet, where the load on them presses straight down; the
   * hands carry their share of the trunk in front.
   */
  private static PostureResult bentOver(Body body, Setup setup, double phase, double dorsiflexion) {
    double bend = setup.rad(KNEE);
    Optional<Double> over =
        Roots.between(
            Math.toRadians(-20),
            Math.toRadians(30),
            angle -> limb(body, angle, bend, dorsiflexion).hip.x());
    if (over.isEmpty()) {
      return new Impossible(Hindrance.HIPS_NOT_OVER_BALLS);
    }
    Limb limb = limb(body, over.get(), bend, dorsiflexion);
    double thighLean = over.get() - bend;
    double lean = thighLean + setup.rad(HIP);
    PostureBuilder builder = builder(body, phase, limb, lean, Vec3.FORWARD);
    int legs = Parameters.legs(setup);
    double carried = (body.massKg() - setup.get(HANDS) * body.upperMassKg()) * Load.G / legs;
    builder
        .load(
            Load.force(
                Load.Segment.FOOT,
                builder.pressure(),
                new Vec3(0, carried, 0),
                new Vec3(0, Load.G / legs, 0)))
        .legWeights();
    builder.free(Stops.knee(bend));
    Vec3 hip = new Vec3(limb.hip.x(), limb.hip.y(), 0);
    Vec3 hands = hip.plus(body.trunkM(), new Vec3(Math.sin(lean), Math.cos(lean), 0));
    builder
        .prop("weight", hip.plus(new Vec3(-0.05, 0.14, 0)))
        .prop("arm", hands, hands.plus(new Vec3(0.15, -0.35, 0)));
    block(builder);
    // pelvis and trunk rest on the support: only knee and ankle are held by muscles
    return builder.build(EnumSet.of(Coordinate.KNEE_FLEXION, Coordinate.ANKLE_DORSIFLEXION));
  }

  private static PostureResult press(Body body, Setup setup, double phase, double dorsiflexion) {
    double rail = setup.rad(PressFamily.RAIL);
    double bend = setup.rad(KNEE);
    Vec3 u = new Vec3(Math.cos(rail), Math.sin(rail), 0);
    // the ball of the foot stays on the rail's line through the hip
    Limb flat = limb(body, bend / 2, bend, dorsiflexion);
    double turn = Math.atan2(-flat.hip.x(), flat.hip.y()); // of the line ball to hip, from upright
    double wanted = Math.atan2(u.y(), u.x()) + Math.PI; // from the ball back to the hip
    double by = wanted - (turn + Math.PI / 2);
    Limb limb =
        new Limb(
            flat.ankle.turnedAboutZ(by),
            flat.knee.turnedAboutZ(by),
            flat.hip.turnedAboutZ(by),
            flat.toe.turnedAboutZ(by),
            flat.normal.turnedAboutZ(by));
    double back = setup.rad(PressFamily.BACK);
    Vec3 trunk = u.times(Math.cos(back)).plus(Math.sin(back), new Vec3(-u.y(), u.x(), 0));
    PostureBuilder builder =
        builder(body, phase, limb, Math.atan2(trunk.x(), trunk.y()), new Vec3(-u.y(), u.x(), 0));
    double perKg =
        (1 + setup.get(Parameters.FRICTION)) * Load.G * Math.sin(rail) / Parameters.legs(setup);
    builder
        .load(
            Load.force(
                Load.Segment.FOOT,
                builder.pressure(),
                u.times(-perKg * setup.get(Parameters.SLED_MASS)),
                u.times(-perKg)))
        .legWeights()
        .free(Stops.knee(bend));
    Vec3 v = new Vec3(-u.y(), u.x(), 0);
    Vec3 behind =
        new Vec3(trunk.y(), -trunk.x(), 0)
            .times(-0.12)
            .plus(new Vec3(limb.hip.x(), limb.hip.y(), 0));
    builder
        .prop("plate", Vec3.ZERO, v.times(0.5))
        .prop("pad", behind.plus(-0.05, trunk), behind.plus(body.trunkM() + 0.15, trunk));
    return builder.build(LEG);
  }

  private static PostureBuilder builder(
      Body body, double phase, Limb limb, double lean, Vec3 toes) {
    return new PostureBuilder(body, phase)
        .foot(limb.ankle, limb.toe, limb.normal)
        .toesAlong(toes)
        .leg(limb.knee, limb.hip)
        .trunk(lean)
        .pressureAhead(ballFromMiddle(body));
  }

  private static void block(PostureBuilder builder) {
    builder
        .prop(
            "block",
            new Vec3(-0.02, 0, 0),
            new Vec3(0.16, 0, 0),
            new Vec3(0.16, -0.12, 0),
            new Vec3(-0.02, -0.12, 0))
        .prop("floor", new Vec3(-0.7, -0.12, 0), new Vec3(0.6, -0.12, 0));
  }

  private static double ballFromMiddle(Body body) {
    return (Segments.BALL_FROM_HEEL - Segments.MIDDLE_FROM_HEEL) * body.footM();
  }

  /** The leg over the ball of the foot at the origin, the shank at a lean, the knee bent. */
  private static Limb limb(Body body, double shankLean, double bend, double dorsiflexion) {
    double ballAhead = (Segments.BALL_FROM_HEEL - Segments.ANKLE_FROM_HEEL) * body.footM();
    double heelRise = shankLean - dorsiflexion; // pitch of the sole, heel up
    Vec3 toe = Vec3.FORWARD.turnedAboutZ(-heelRise);
    Vec3 normal = Vec3.UP.turnedAboutZ(-heelRise);
    Vec3 side = new Vec3(0, 0, body.hipHalfDistanceM());
    Vec3 ankle = side.plus(-ballAhead, toe).plus(body.ankleHeightM(), normal);
    Vec3 knee = ankle.plus(body.shankM(), Vec3.UP.turnedAboutZ(-shankLean));
    Vec3 hip = knee.plus(body.thighM(), Vec3.UP.turnedAboutZ(bend - shankLean));
    return new Limb(ankle, knee, hip, toe, normal);
  }

  private record Limb(Vec3 ankle, Vec3 knee, Vec3 hip, Vec3 toe, Vec3 normal) {}
}
