package istmo.core.movement.family;

import static istmo.core.movement.Parameters.FOOT_SHEAR;
import static istmo.core.movement.Parameters.FRICTION;
import static istmo.core.movement.Parameters.PRESSURE;
import static istmo.core.movement.Parameters.PRESSURE_ON_TRACK;
import static istmo.core.movement.Parameters.SPREAD;
import static istmo.core.movement.Parameters.STANCE;
import static istmo.core.movement.Parameters.THIGH_DEPTH;
import static istmo.core.movement.Parameters.TOE_OUT;
import static istmo.core.movement.Parameters.WEDGE;

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
import istmo.core.movement.family.Standing.LoadPosition;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.Vec3;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/**
 * Squat under a bar on a track, vertical or at an angle. The track carries horizontal force, so the
 * trunk lean is free: it is an input, and the shank follows from the bar staying on the track. The
 * track's push and the centre of pressure are jointly indeterminate; the pressure is an input and
 * the push follows from balance about it.
 */
public final class GuidedSquatFamily implements Family {
  static final SetupParameter FORWARD =
      SetupParameter.of(
          "feetForward",
          "Feet in front of the bar",
          new Allowed(-0.10, 0.50, "m"),
          0.0,
          0.02,
          SetupParameter.Kind.SETUP,
          "mid-foot in front of the bar at a height of one metre");
  static final SetupParameter LEAN =
      SetupParameter.of(
          "lean",
          "Trunk lean at the bottom",
          new Allowed(0, 60, "deg"),
          32,
          5,
          SetupParameter.Kind.TECHNIQUE,
          "trunk from the vertical at the bottom");

  static final SetupParameter TRACK =
      SetupParameter.of(
          "trackAngle",
          "Track angle",
          new Allowed(-15, 15, "deg"),
          0,
          1,
          SetupParameter.Kind.MACHINE,
          "from the vertical; positive when the bar goes forward as it goes up");

  /** Height of the bar at which the feet's place in front of it is measured, m. */
  private static final double WAIST_M = 1;

  /** Knee flexion at the top. */
  private static final double TOP = Math.toRadians(10);

  /** Dry rubber on rubber; beyond it the feet are said to slip (common practice). */
  private static final double MOST_FRICTION = 0.7;

  /** Rounds in which the bar's height on a leaning track settles. */
  private static final int ROUNDS = 60;

  @Override
  public String id() {
    return "guided-squat";
  }

  @Override
  public List<SetupParameter> parameters() {
    return List.of(
        FORWARD,
        STANCE,
        TOE_OUT,
        WEDGE,
        THIGH_DEPTH,
        LEAN,
        LoadPosition.BAR,
        TRACK,
        FRICTION,
        PRESSURE_ON_TRACK,
        FOOT_SHEAR,
        SPREAD);
  }

  @Override
  public List<Handle> handles() {
    return Handle.among(
        parameters(),
        new Handle("depth", Part.HIP),
        new Handle("lean", Part.SHOULDER),
        new Handle("feetForward", Part.BAR));
  }

  @Override
  public boolean balances() {
    return false;
  }

  @Override
  public Optional<SetupParameter> depth() {
    return Optional.of(THIGH_DEPTH);
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    double bottom = setup.rad(THIGH_DEPTH);
    LegGeometry.Foot foot =
        LegGeometry.Foot.onFloor(body, setup.get(STANCE), setup.rad(TOE_OUT), setup.rad(WEDGE));
    DoubleUnaryOperator shankOf = thighAngle -> shankOnTrack(body, foot, setup, thighAngle);
    // with the feet forward a straight leg already slopes back, so the top is where the knee is
    // nearly straight, not where the thigh is upright
    Optional<Double> top =
        Roots.between(
            Math.toRadians(-25),
            bottom,
            angle -> {
              double s = shankOf.applyAsDouble(angle);
              return (Double.isNaN(s) ? -Math.PI / 2 : s) + angle - TOP;
            });
    if (top.isEmpty()) {
      return new Impossible(Hindrance.LEG_CANNOT_FOLLOW_TRACK);
    }
    double thigh = top.get() + phase * (bottom - top.get());
    double lean = LegGeometry.follow(setup.rad(LEAN), thigh, bottom);
    double shank = shankOf.applyAsDouble(thigh);
    if (Double.isNaN(shank)) {
      return new Impossible(Hindrance.SHIN_CANNOT_FOLLOW_TRACK);
    }
    Optional<Vec3[]> leg = LegGeometry.standingLeg(body, foot, shank, thigh);
    if (leg.isEmpty()) {
      return new Impossible(Hindrance.STANCE_TOO_WIDE);
    }
    Vec3 knee = leg.get()[0];
    Vec3 hip = leg.get()[1];
    PostureBuilder builder =
        new PostureBuilder(body, phase)
            .foot(foot.ankle(), foot.toe(), foot.normal())
            .toesAlong(foot.heading())
            .leg(knee, hip)
            .trunk(lean)
            .pressureAhead(setup.get(PRESSURE));
    if (!pushedByTrack(builder, body, setup, foot, lean, loadKg)) {
      return new Impossible(Hindrance.FEET_WOULD_SLIP);
    }
    double railX = railX(body, foot, setup);
    builder
        .prop(
            "rail",
            new Vec3(railX, 0, 0),
            new Vec3(railX + 2.1 * Math.tan(setup.rad(TRACK)), 2.1, 0))
        .prop("bar", bar(setup).at(body, hip, lean))
        .prop("floor", new Vec3(-0.8, 0, 0), new Vec3(0.7, 0, 0));
    return builder.build(Standing.ALL_ROWS);
  }

  private static LoadPosition bar(Setup setup) {
    return LoadPosition.of(setup, LoadPosition.BAR);
  }

  /** Where the track meets the floor, m. */
  private static double railX(Body body, LegGeometry.Foot foot, Setup setup) {
    return foot.middleX(body) - setup.get(FORWARD) - Math.tan(setup.rad(TRACK)) * WAIST_M;
  }

  /**
   * Forces of floor and track, and weights. The track pushes square to itself, R along (cos t, -sin
   * t). Moments about the centre of pressure: -(sum m (x - p)) g - W (xb - p) g - (xb - p) R sin t
   * - yb R cos t = 0.
   *
   * @return false where the feet would slip
   */
  private static boolean pushedByTrack(
      PostureBuilder builder,
      Body body,
      Setup setup,
      LegGeometry.Foot foot,
      double lean,
      double loadKg) {
    LoadPosition bar = bar(setup);
    Vec3 hip = builder.hip();
    Vec3 barAt = bar.at(body, hip, lean);
    double pressureX = builder.pressure().x();
    double bodyMoment =
        Standing.legMassMoment(body, foot.ankle(), builder.knee(), hip, foot.middleX(body))
            + body.upperMassKg() * hip.x()
            + body.upperMassKg() * bar.comFraction() * body.trunkM() * Math.sin(lean)
            - body.massKg() * pressureX;
    double sine = Math.sin(setup.rad(TRACK));
    double cosine = Math.cos(setup.rad(TRACK));
    double lever = (barAt.y() - builder.pressure().y()) * cosine + (barAt.x() - pressureX) * sine;
    double weightPerKg = (1 + setup.get(FRICTION)) * Load.G;
    double push = -bodyMoment * Load.G / lever;
    double pushPerKg = -(barAt.x() - pressureX) * weightPerKg / lever;
    double all = push + loadKg * pushPerKg;
    double down = body.massKg() * Load.G + loadKg * weightPerKg + all * sine;
    if (!(Math.abs(all * cosine) <= MOST_FRICTION * down)) {
      return false;
    }
    Vec3 floor = new Vec3(-push * cosine / 2, (body.massKg() * Load.G + push * sine) / 2, 0);
    Vec3 floorPerKg = new Vec3(-pushPerKg * cosine / 2, (weightPerKg + pushPerKg * sine) / 2, 0);
    Standing.floorForce(builder, floor, floorPerKg, setup);
    builder.legWeights().upperWeight(Segments.UPPER_COM_HANDS_UP);
    builder.load(
        Load.force(
            Load.Segment.UPPER,
            barAt,
            new Vec3(push * cosine, -push * sine, 0),
            new Vec3(pushPerKg * cosine, -weightPerKg - pushPerKg * sine, 0)));
    return true;
  }

  /** Shank angle, rad, for a thigh angle; NaN when the shank does not reach. */
  private static double shankOnTrack(
      Body body, LegGeometry.Foot foot, Setup setup, double thighAngle) {
    double tangent = Math.tan(setup.rad(TRACK));
    double railX = railX(body, foot, setup);
    double lean = LegGeometry.follow(setup.rad(LEAN), thighAngle, setup.rad(THIGH_DEPTH));
    Vec3 barFromHip = bar(setup).at(body, Vec3.ZERO, lean);
    double shank = 0;
    for (int round = 0; round < ROUNDS; round++) {
      Optional<Vec3[]> leg = LegGeometry.standingLeg(body, foot, shank, thighAngle);
      double barY = leg.map(vec3s -> vec3s[1].y()).orElse(Double.NaN) + barFromHip.y();
      double barX = railX + (tangent == 0 ? 0 : tangent * barY);
      double next = shank(body, foot, barX - barFromHip.x(), thighAngle);
      if (Double.isNaN(next) || tangent == 0 || Math.abs(next - shank) < 1e-13) {
        return next;
      }
      shank = next;
    }
    return shank;
  }

  /**
   * The knee's x is the hip's plus l sin(thigh); l depends a little on the knee's place sideways,
   * so it is repeated until it settles.
   */
  private static double shank(Body body, LegGeometry.Foot foot, double hipX, double thigh) {
    double shank = 0;
    for (int round = 0; round < 30; round++) {
      double inward = LegGeometry.kneeInward(body, foot, shank + thigh);
      double shankM = LegGeometry.besideInward(body, foot, shank, inward);
      double kneeZ = foot.ankle().z() + shankM * Math.sin(shank) * foot.heading().z() + inward;
      double dz = body.hipHalfDistanceM() - kneeZ;
      double l = Math.sqrt(Math.max(0, body.thighM() * body.thighM() - dz * dz));
      double sine = (hipX + l * Math.sin(thigh) - foot.ankle().x()) / (shankM * foot.heading().x());
      if (!(Math.abs(sine) < 0.95)) {
        return Double.NaN;
      }
      double next = Math.asin(sine);
      if (Math.abs(next - shank) < 1e-13) {
        return next;
      }
      shank = next;
    }
    return shank;
  }
}
