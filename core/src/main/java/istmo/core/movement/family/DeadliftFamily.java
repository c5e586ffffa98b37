package istmo.core.movement.family;

import static istmo.core.movement.Parameters.FOOT_SHEAR;
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
import java.util.List;
import java.util.Optional;

/**
 * Deadlift from the floor: the bar's height is the phase, the bar stays at the shin, the shoulders
 * are a little in front of it. Trunk and thigh follow from the arm's length; the centre of pressure
 * is a result and must lie in the foot.
 */
public final class DeadliftFamily implements Family {
  static final SetupParameter SHIN =
      SetupParameter.of(
          "shin",
          "Shin lean at the floor",
          new Allowed(0, 30, "deg"),
          12,
          2,
          SetupParameter.Kind.TECHNIQUE,
          "shin from the vertical when the bar leaves the floor");
  static final SetupParameter SHOULDERS =
      SetupParameter.of(
          "shoulders",
          "Shoulders in front of the bar",
          new Allowed(0, 0.15, "m"),
          0.10,
          0.01,
          SetupParameter.Kind.TECHNIQUE,
          "shoulder joints at the floor; the blades, which coaches look at, are then over the bar");

  /** Half of a 450 mm plate (IWF technical rules). */
  static final SetupParameter BAR_HEIGHT =
      SetupParameter.of(
          "barHeight",
          "Bar height at the floor",
          new Allowed(0.10, 0.50, "m"),
          0.225,
          0.025,
          SetupParameter.Kind.SETUP,
          "centre of the bar; lower stands for a deficit, higher for blocks");

  /**
   * Centre of the bar in front of the shin's axis: half a shin and half a bar, m (own estimate).
   */
  private static final double BAR_FROM_SHIN = 0.055;

  @Override
  public String id() {
    return "deadlift";
  }

  @Override
  public List<SetupParameter> parameters() {
    return List.of(
        STANCE.usually(0.32),
        TOE_OUT.usually(14),
        SHIN,
        SHOULDERS,
        BAR_HEIGHT,
        Parameters.STRAPS,
        FOOT_SHEAR,
        SPREAD);
  }

  @Override
  public double inOneHand(Setup setup) {
    return Parameters.inOneOfTwoHands(setup);
  }

  @Override
  public List<Handle> handles() {
    return Handle.among(
        parameters(), new Handle("shin", Part.KNEE), new Handle("barHeight", Part.BAR));
  }

  @Override
  public boolean balances() {
    return true;
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    LegGeometry.Foot foot =
        LegGeometry.Foot.onFloor(body, setup.get(STANCE), setup.rad(TOE_OUT), 0);
    double floor = setup.get(BAR_HEIGHT);
    double kneeHeight = foot.ankle().y() + body.shankM();
    Vec3 standingKnee = kneeAt(body, foot, Math.toRadians(1));
    double thigh = sagittalThigh(body, standingKnee);
    double longest = 0.998 * (thigh + body.trunkM());
    double top =
        standingKnee.y()
            + Math.sqrt(longest * longest - BAR_FROM_SHIN * BAR_FROM_SHIN)
            - body.hangM();
    double height = floor + (1 - phase) * (top - floor);
    double below = Math.max(0, Math.min(1, (kneeHeight - height) / (kneeHeight - floor)));
    double shin = Math.toRadians(1) + below * (setup.rad(SHIN) - Math.toRadians(1));
    Vec3 knee = kneeAt(body, foot, shin);
    double barX =
        BAR_FROM_SHIN
            + foot.ankle().x()
            + (Math.min(height, knee.y()) - foot.ankle().y()) * Math.tan(shin) * foot.heading().x();
    double ahead = setup.get(SHOULDERS) * below;
    Vec3 shoulder =
        new Vec3(barX + ahead, height + Math.sqrt(body.hangM() * body.hangM() - ahead * ahead), 0);

    Optional<Vec3> reached = hipBetween(body, knee, shoulder);
    if (reached.isEmpty()) {
      return new Impossible(Hindrance.BAR_OUT_OF_REACH);
    }
    Vec3 hip = reached.get();
    double lean = Math.atan2(shoulder.x() - hip.x(), shoulder.y() - hip.y());
    Vec3 barAt = new Vec3(barX, height, 0);

    double massMoment =
        Standing.legMassMoment(body, foot.ankle(), knee, hip, foot.middleX(body))
            + body.upperMassKg()
                * (hip.x() + Segments.UPPER_COM_HANGING * body.trunkM() * Math.sin(lean))
            + loadKg * barX;
    double pressureX = massMoment / (body.massKg() + loadKg);
    double ahead0 = (pressureX - foot.middleX(body)) / foot.heading().x();
    if (ahead0 < -Segments.MIDDLE_FROM_HEEL * body.footM()
        || ahead0 > (1 - Segments.MIDDLE_FROM_HEEL) * body.footM()) {
      return new Impossible(ahead0 < 0 ? Hindrance.WEIGHT_BEHIND_HEELS : Hindrance.BAR_OVER_TOES);
    }
    PostureBuilder builder =
        new PostureBuilder(body, phase)
            .foot(foot.ankle(), foot.toe(), foot.normal())
            .leg(knee, hip)
            .trunk(lean)
            .pressureAhead(ahead0);
    Standing.floorForce(builder, body, setup);
    builder.legWeights().upperWeight(Segments.UPPER_COM_HANGING);
    builder.load(Load.force(Load.Segment.UPPER, barAt, Vec3.ZERO, new Vec3(0, -Load.G, 0)));
    double kneeFlexion = shin + Math.atan2(knee.x() - hip.x(), hip.y() - knee.y());
    builder.free(Stops.knee(kneeFlexion));
    builder
        .prop("bar", barAt)
        .prop("arm", shoulder, barAt)
        .prop("floor", new Vec3(-0.8, 0, 0), new Vec3(0.7, 0, 0));
    return builder.build(Standing.ALL_ROWS);
  }

  /** The hip that thigh and trunk reach from knee and shoulder; empty where they do not meet. */
  private static Optional<Vec3> hipBetween(Body body, Vec3 knee, Vec3 shoulder) {
    double l = sagittalThigh(body, knee);
    double dx = shoulder.x() - knee.x();
    double dy = shoulder.y() - knee.y();
    double d = Math.hypot(dx, dy);
    double along = (l * l - body.trunkM() * body.trunkM() + d * d) / (2 * d);
    double square = l * l - along * along;
    if (!(square >= 0)) {
      return Optional.empty();
    }
    double away = Math.sqrt(square);
    return Optional.of(
        new Vec3(
            knee.x() + (along * dx - away * dy) / d,
            knee.y() + (along * dy + away * dx) / d,
            body.hipHalfDistanceM()));
  }

  private static Vec3 kneeAt(Body body, LegGeometry.Foot foot, double shin) {
    return foot.ankle()
        .plus(body.shankM() * Math.sin(shin), foot.heading())
        .plus(body.shankM() * Math.cos(shin), Vec3.UP);
  }

  private static double sagittalThigh(Body body, Vec3 knee) {
    double dz = body.hipHalfDistanceM() - knee.z();
    return Math.sqrt(body.thighM() * body.thighM() - dz * dz);
  }
}
