package istmo.core.movement.family;

import static istmo.core.movement.Parameters.FRICTION;

import istmo.core.anatomy.Coordinate;
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
import istmo.core.movement.View;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.Vec3;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A free leg that swings about the hip against a cable at the ankle, a weight on the leg or the pad
 * of a lever; the trunk is held still. Cable: kickbacks, abduction, adduction, hip flexion. Weight:
 * lifts on all fours, standing abduction with a plate, knee raises, leg raises on the back and the
 * reverse back extension, where both legs swing. Lever: the same ways as a cable, on a machine
 * whose pivot stands in line with the hip, so that the stack's moment about the hip is the same
 * over the whole swing. The standing leg's own work is not counted.
 */
public final class HipSwingFamily implements Family {
  /** What pulls. */
  public enum Kind {
    CABLE("hip-cable"),
    WEIGHT("hip-weight"),
    LEVER("hip-lever");

    private final String id;

    Kind(String id) {
      this.id = id;
    }
  }

  static final SetupParameter DIRECTION =
      SetupParameter.of(
          "direction",
          "Way the leg goes",
          new Allowed(-90, 180, "deg"),
          0,
          5,
          SetupParameter.Kind.SETUP,
          "seen from above: 0 straight back, 45 out and back, 90 out to the side, 180 to the front,"
              + " -90 across");
  static final SetupParameter FROM =
      SetupParameter.of(
          "from",
          "Leg at the start",
          new Allowed(-110, 90, "deg"),
          -25,
          5,
          SetupParameter.Kind.SETUP,
          "thigh from the trunk's line at the lengthened end, against the way it goes; negative is"
              + " before the line");
  static final SetupParameter TO =
      SetupParameter.of(
          "to",
          "Leg at the end",
          new Allowed(-20, 110, "deg"),
          20,
          5,
          SetupParameter.Kind.SETUP,
          "thigh from the trunk's line at the shortened end");
  static final SetupParameter LEAN =
      SetupParameter.of(
          "lean",
          "Trunk lean",
          new Allowed(-95, 95, "deg"),
          20,
          5,
          SetupParameter.Kind.SETUP,
          "trunk from the vertical; 90 on all fours or lying face down, -90 lying face up");
  static final SetupParameter KNEE =
      SetupParameter.of(
          "kneeBend",
          "Knee bend",
          new Allowed(0, 110, "deg"),
          5,
          5,
          SetupParameter.Kind.SETUP,
          "held through the repetition");
  static final SetupParameter PULLEY_HEIGHT =
      SetupParameter.of(
          "pulleyHeight",
          "Pulley height",
          new Allowed(0, 2.2, "m"),
          0.15,
          0.05,
          SetupParameter.Kind.SETUP,
          "above the floor");
  static final SetupParameter PULLEY_AWAY =
      SetupParameter.of(
          "pulleyAway",
          "Distance from the pulley",
          new Allowed(0.3, 2.5, "m"),
          1.0,
          0.1,
          SetupParameter.Kind.SETUP,
          "from under the hip, against the way the leg goes");

  /** Choices of {@link #CUFF}. */
  private enum Cuff {
    ANKLE,
    ABOVE_KNEE
  }

  /** Whether the resistance pulls above the knee. */
  static boolean aboveKnee(Setup setup) {
    return setup.choice(CUFF, Cuff.class) == Cuff.ABOVE_KNEE;
  }

  static final SetupParameter CUFF =
      SetupParameter.choice(
          "cuff",
          "Where it holds",
          0,
          SetupParameter.Kind.SETUP,
          "cuff, or where the weight lies",
          "at the ankle",
          "above the knee");

  static final SetupParameter STACK_LEVER =
      Parameters.stackLever("moment about the hip for each newton of the stack");

  private static final Set<Coordinate> ROWS =
      EnumSet.complementOf(EnumSet.of(Coordinate.LUMBAR_FLEXION));
  static final double AT_ANKLE = 0.93;
  static final double AT_KNEE = 0.85;

  private final Kind kind;

  /** Leg swings of one kind. */
  public HipSwingFamily(Kind kind) {
    this.kind = kind;
  }

  @Override
  public String id() {
    return kind.id;
  }

  @Override
  public List<SetupParameter> parameters() {
    List<SetupParameter> list = new ArrayList<>(List.of(DIRECTION, FROM, TO, LEAN, KNEE));
    list.addAll(
        switch (kind) {
          case CABLE -> List.of(CUFF, PULLEY_HEIGHT, PULLEY_AWAY, FRICTION);
          case WEIGHT -> List.of(CUFF, Parameters.LEGS.usually(1));
          case LEVER -> List.of(STACK_LEVER, FRICTION);
        });
    return List.copyOf(list);
  }

  @Override
  public List<Handle> handles() {
    return Handle.among(
        parameters(), new Handle("lean", Part.SHOULDER), new Handle("pulleyHeight", Part.PULLEY));
  }

  @Override
  public boolean balances() {
    return false;
  }

  @Override
  public int legs(Setup setup) {
    return kind == Kind.WEIGHT ? Parameters.legs(setup) : 1;
  }

  @Override
  public Optional<SetupParameter> depth() {
    return Optional.empty();
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    if (!(setup.get(TO) > setup.get(FROM))) {
      return new Impossible(Hindrance.NO_RANGE_BEYOND_START);
    }
    double swing = setup.rad(TO) + phase * (setup.rad(FROM) - setup.rad(TO));
    double way = setup.rad(DIRECTION);
    double lean = setup.rad(LEAN);
    // the thigh leaves the trunk's line by the swing in the plane of the way: back and out as seen
    // from the trunk
    double hipFlexion = Math.atan2(-Math.sin(swing) * Math.cos(way), Math.cos(swing));
    double abduction = Math.asin(Math.sin(swing) * Math.sin(way));
    if (hipFlexion > body.hipFlexionLimitRad() || hipFlexion < HIP_OPEN) {
      return new Impossible(
          hipFlexion < 0 ? Hindrance.HIP_OPENS_BACK_LESS : Hindrance.HIP_BENDS_LESS);
    }
    Vec3 hip = new Vec3(0, hipHeight(body, lean), body.hipHalfDistanceM());
    PostureBuilder builder =
        LegGeometry.chain(
            new PostureBuilder(body, phase),
            body,
            hip,
            lean,
            new LegGeometry.HipAngles(hipFlexion, abduction, 0),
            setup.rad(KNEE),
            0);
    Vec3 knee = builder.knee();
    Vec3 ankle = builder.ankle();
    if (lean < -LIES && ankle.y() < body.ankleHeightM() / 2) {
      return new Impossible(Hindrance.FEET_MEET_FLOOR);
    }
    boolean high = kind == Kind.LEVER || aboveKnee(setup);
    Vec3 at = high ? hip.plus(AT_KNEE, knee.minus(hip)) : knee.plus(AT_ANKLE, ankle.minus(knee));
    Load.Segment on = high ? Load.Segment.THIGH : Load.Segment.SHANK;
    resist(builder, setup, hip, swing, at, on);
    builder.pressureAt(at).legWeights().free(Stops.knee(setup.rad(KNEE)));
    if (lean > LIES) {
      builder.prop(
          "pad",
          new Vec3(0.05, hip.y() - 0.14, 0),
          new Vec3(body.trunkM(), hip.y() - 0.14 + body.trunkM() * Math.cos(lean), 0));
    } else if (lean > -LIES) {
      Vec3 otherHip = new Vec3(hip.x(), hip.y(), -hip.z());
      builder.prop(
          "other", otherHip, new Vec3(-0.02, 0.5 * hip.y(), -hip.z()), new Vec3(0, 0, -hip.z()));
    }
    boolean sideways = Math.abs(Math.sin(way)) > SIDEWAYS;
    Vec3 floor = (sideways ? Vec3.RIGHT : Vec3.FORWARD).times(1.1);
    builder.prop("floor", floor.times(-1), floor).seen(sideways ? View.FRONT : View.RIGHT_SIDE);
    return builder.build(ROWS);
  }

  /** What the leg works against, at a point of it. */
  private void resist(
      PostureBuilder builder, Setup setup, Vec3 hip, double swing, Vec3 at, Load.Segment on) {
    double way = setup.rad(DIRECTION);
    switch (kind) {
      case CABLE -> {
        Vec3 pulley =
            new Vec3(
                setup.get(PULLEY_AWAY) * Math.cos(way),
                setup.get(PULLEY_HEIGHT),
                hip.z() - setup.get(PULLEY_AWAY) * Math.sin(way));
        Vec3 pull = pulley.minus(at).unit();
        builder.load(Load.force(on, at, Vec3.ZERO, pull.times((1 + setup.get(FRICTION)) * Load.G)));
        builder.prop("cable", at, pulley);
        Steelwork.column(builder, pulley, new Vec3(Math.cos(way), 0, -Math.sin(way)));
      }
      case WEIGHT -> {
        builder.load(Load.force(on, at, Vec3.ZERO, new Vec3(0, -Load.G / legs(setup), 0)));
        builder.prop("weight", at);
      }
      case LEVER -> {
        // the pad stays square to the thigh and pushes against the way that the leg goes
        Vec3 forward = Vec3.FORWARD.turnedAboutZ(-setup.rad(LEAN));
        Vec3 up = Vec3.UP.turnedAboutZ(-setup.rad(LEAN));
        Vec3 along =
            forward
                .times(-Math.cos(swing) * Math.cos(way))
                .plus(Math.sin(swing), up)
                .plus(Math.cos(swing) * Math.sin(way), Vec3.RIGHT);
        double perKg =
            (1 + setup.get(FRICTION)) * Load.G * setup.get(STACK_LEVER) / at.minus(hip).norm();
        builder.load(Load.force(on, at, Vec3.ZERO, along.times(-perKg)));
        builder.prop("roller", at).prop("pivot", hip).prop("lever", hip, at);
      }
    }
  }

  /** How far the hip opens back, with what the pelvis gives, rad. */
  private static final double HIP_OPEN = Math.toRadians(-35);

  /** Lean from which on the trunk lies, rad. */
  private static final double LIES = Math.toRadians(60);

  /** Height of the hip of somebody who lies on the back, m. */
  private static final double ON_THE_BACK_M = 0.12;

  /** Sine of the way from which on the leg goes more to a side than forward or back. */
  private static final double SIDEWAYS = 0.7;

  /** Height of the hip above the floor, m. */
  private static double hipHeight(Body body, double lean) {
    if (lean > LIES) {
      return 0.85;
    }
    return lean < -LIES ? ON_THE_BACK_M : body.thighM() + body.shankM() + body.ankleHeightM();
  }
}
