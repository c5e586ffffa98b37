package istmo.core.movement.family;

import static istmo.core.movement.Parameters.FOOT_SHEAR;
import static istmo.core.movement.Parameters.LEGS;
import static istmo.core.movement.Parameters.STANCE;
import static istmo.core.movement.Parameters.TOE_OUT;
import static istmo.core.movement.family.ThrustParameters.AWAY;
import static istmo.core.movement.family.ThrustParameters.BENCH;
import static istmo.core.movement.family.ThrustParameters.DROP;
import static istmo.core.movement.family.ThrustParameters.FOOT_HEIGHT;
import static istmo.core.movement.family.ThrustParameters.KNEES_OUT;
import static istmo.core.movement.family.ThrustParameters.OTHER_FOOT;
import static istmo.core.movement.family.ThrustParameters.REACH;
import static istmo.core.movement.family.ThrustParameters.SHIN;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Segments;
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
import istmo.core.quantity.Vec3;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Face up between a bench (or the floor) under the upper back and the feet: hip thrust and bridges,
 * where the trunk turns about the upper back and the hips go down; and the sliding curl, where the
 * hips stay up and the heels slide out.
 *
 * <p>The feet carry what moments about the upper back leave them; fore and aft the feet and the
 * bench may push against each other within the foot's grip, which statics does not settle. The load
 * lies across the hips.
 */
public final class ThrustFamily implements Family {
  /**
   * Upper back to hips as a share of hip to shoulder: the edge lies under the shoulder blades
   * (common practice).
   */
  private static final double TO_EDGE = 0.78;

  private static final double FLOOR = 0.12; // lower than this the shoulders lie on it

  /** The back's thickness: hip centres above the underside, m. */
  private static final double THICK = 0.10;

  /** Where the load lies: towards the feet from the hip centres and above them, m. */
  private static final double CREASE_AHEAD = 0.04;

  private static final double CREASE_ABOVE = 0.10;

  /** Hip flexion at the top. */
  private static final double TOP = Math.toRadians(2);

  /**
   * Most the feet push along the floor by themselves, as a share of what they carry (rubber on
   * rubber holds more).
   */
  private static final double PUSH = 0.3;

  private static final double FREE_PUSH = 0.05; // left to the body beside it (own estimate)
  private static final double HEEL_GRIP = 0.1; // sideways on a heel that slides

  /** From this share on the other foot carries its own leg (own estimate). */
  private static final double OWN_LEG = 0.1;

  static final Set<Coordinate> ROWS = EnumSet.allOf(Coordinate.class);

  private final boolean sliding;

  /** Thrusts and bridges, or the sliding curl. */
  public ThrustFamily(boolean sliding) {
    this.sliding = sliding;
  }

  @Override
  public String id() {
    return sliding ? "sliding-curl" : "thrust";
  }

  @Override
  public List<SetupParameter> parameters() {
    return sliding
        ? List.of(REACH, LEGS)
        : List.of(
            BENCH,
            FOOT_HEIGHT,
            SHIN,
            DROP,
            STANCE.usually(0.35),
            TOE_OUT.usually(15),
            KNEES_OUT,
            LEGS,
            OTHER_FOOT,
            Parameters.PRESSURE.usually(-0.05),
            AWAY,
            FOOT_SHEAR,
            Parameters.SPREAD);
  }

  @Override
  public List<Handle> handles() {
    return Handle.among(
        parameters(),
        new Handle("drop", Part.HIP),
        new Handle("benchHeight", Part.BLOCK_EDGE),
        new Handle("shin", Part.ANKLE),
        new Handle("reach", Part.ANKLE));
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
    return sliding ? Optional.empty() : Optional.of(DROP);
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    return sliding ? sliding(body, setup, phase) : thrust(body, setup, phase);
  }

  private PostureResult thrust(Body body, Setup setup, double phase) {
    double edge = setup.get(BENCH);
    double arm = edge < FLOOR ? body.trunkM() : TO_EDGE * body.trunkM();
    double hipZ = body.hipHalfDistanceM();
    double out = setup.rad(KNEES_OUT);
    // at the top trunk and thigh are in one line and the shin stands as set: that fixes the feet
    double edgeY = edge + THICK;
    double shin = setup.rad(SHIN);
    double ankleY = setup.get(FOOT_HEIGHT) + body.ankleHeightM();
    double kneeY = ankleY + body.shankM() * Math.cos(shin);
    double line = arm + body.thighM() * Math.cos(out);
    if (!(Math.abs(kneeY - edgeY) < 0.8 * line)) {
      return new Impossible(Hindrance.BENCH_TOO_LOW);
    }
    double ankleX =
        Math.sqrt(line * line - (kneeY - edgeY) * (kneeY - edgeY)) + body.shankM() * Math.sin(shin);
    Vec3 ankle = new Vec3(ankleX, ankleY, setup.get(STANCE) / 2);
    // the trunk turns about the edge until the hip has its bend
    double wanted = TOP + phase * (setup.rad(DROP) - TOP);
    Vec3 pole =
        Vec3.UP.plus(Vec3.FORWARD).unit().times(Math.cos(out)).plus(Math.sin(out), Vec3.RIGHT);
    Optional<Double> slope =
        Roots.between(
            Math.toRadians(-70),
            Math.toRadians(50),
            angle -> beyond(wanted, body, ankle, hip(arm, edgeY, angle, hipZ), pole, angle));
    if (slope.isEmpty()) {
      return new Impossible(Hindrance.NO_ROOM_FOR_HIPS);
    }
    Vec3 hip = hip(arm, edgeY, slope.get(), hipZ);
    if (hip.y() < THICK) {
      return new Impossible(new Obstacle.HipsOnFloor(THICK - hip.y()));
    }
    Optional<Vec3> knee = LegGeometry.knee(ankle, hip, body, pole);
    if (knee.isEmpty()) {
      return new Impossible(Hindrance.FLOOR_OUT_OF_REACH);
    }
    double lean = -Math.PI / 2 - slope.get(); // face up, head at the back
    double turned = setup.rad(TOE_OUT);
    Vec3 toe = Vec3.FORWARD.times(Math.cos(turned)).plus(Math.sin(turned), Vec3.RIGHT);
    PostureBuilder builder =
        new PostureBuilder(body, phase)
            .foot(ankle, toe, Vec3.UP)
            .leg(knee.get(), hip)
            .trunk(lean)
            .pressureAhead(setup.get(Parameters.PRESSURE));
    carry(builder, body, setup, hip, knee.get(), ankle, lean);
    blocks(builder, body, setup);
    return builder.build(ROWS);
  }

  /** The bench, and what the feet stand on, to be drawn. */
  private static void blocks(PostureBuilder builder, Body body, Setup setup) {
    double edge = setup.get(BENCH);
    Vec3 ankle = builder.ankle();
    builder.prop(
        "block",
        new Vec3(-0.35, 0, 0),
        new Vec3(0.05, 0, 0),
        new Vec3(0.05, edge, 0),
        new Vec3(-0.35, edge, 0));
    if (setup.get(FOOT_HEIGHT) > 0) {
      builder.prop(
          "block",
          ankle.plus(new Vec3(-0.1, -body.ankleHeightM(), 0)),
          ankle.plus(new Vec3(0.3, -body.ankleHeightM(), 0)),
          new Vec3(ankle.x() + 0.3, 0, 0),
          new Vec3(ankle.x() - 0.1, 0, 0));
    }
  }

  private static Vec3 hip(double arm, double edge, double slope, double z) {
    return new Vec3(arm * Math.cos(slope), edge + arm * Math.sin(slope), z);
  }

  /**
   * How far the hip bends beyond what is wanted, rad: slope of the thigh from hip to knee against
   * the trunk's line. Where the leg does not reach, far below or above.
   */
  private static double beyond(
      double wanted, Body body, Vec3 ankle, Vec3 hip, Vec3 pole, double slope) {
    return LegGeometry.knee(ankle, hip, body, pole)
        .map(knee -> Math.atan2(knee.y() - hip.y(), knee.x() - hip.x()) - slope - wanted)
        .orElse(hip.minus(ankle).norm() > body.thighM() ? -1.5 : 1.5);
  }

  private PostureResult sliding(Body body, Setup setup, double phase) {
    double bend = Math.toRadians(90) + phase * (setup.rad(REACH) - Math.toRadians(90));
    double hipZ = body.hipHalfDistanceM();
    double arm = body.trunkM();
    double ankleY = 0.05; // on the heel
    // trunk and thigh in one line from the shoulders on the floor; the slope that puts the heel on
    // the floor
    Optional<Double> slope =
        Roots.between(
            Math.toRadians(-5),
            Math.toRadians(60),
            angle ->
                THICK
                    + (arm + body.thighM()) * Math.sin(angle)
                    - body.shankM() * Math.sin(bend - angle)
                    - ankleY);
    if (slope.isEmpty()) {
      return new Impossible(Hindrance.HEELS_OUT_OF_REACH);
    }
    double a = slope.get();
    Vec3 hip = hip(arm, THICK, a, hipZ);
    Vec3 knee = hip.plus(body.thighM(), new Vec3(Math.cos(a), Math.sin(a), 0));
    Vec3 down = new Vec3(Math.cos(a - bend), Math.sin(a - bend), 0);
    Vec3 ankle = knee.plus(body.shankM(), down);
    Vec3 normal = knee.minus(ankle).unit();
    Vec3 toe = new Vec3(normal.y(), -normal.x(), 0).unit();
    PostureBuilder builder =
        new PostureBuilder(body, phase)
            .foot(ankle, toe, toe.turnedAboutZ(Math.PI / 2))
            .leg(knee, hip)
            .trunk(-Math.PI / 2 - a)
            .pressureAt(ankle.plus(new Vec3(0, -ankleY, 0)));
    carry(builder, body, setup, hip, knee, ankle, -Math.PI / 2 - a);
    return builder.build(EnumSet.complementOf(EnumSet.of(Coordinate.ANKLE_DORSIFLEXION)));
  }

  /**
   * What the feet carry: moments of all weights about the upper back's edge, over their distance;
   * and what bench and feet may do against each other.
   */
  private void carry(
      PostureBuilder builder,
      Body body,
      Setup setup,
      Vec3 hip,
      Vec3 knee,
      Vec3 ankle,
      double lean) {
    Vec3 at = builder.pressure();
    int legs = Parameters.legs(setup);
    double helped = sliding || legs == 2 ? 0 : setup.get(OTHER_FOOT);
    Vec3 trunk = new Vec3(Math.sin(lean), Math.cos(lean), 0);
    Vec3 crease =
        new Vec3(hip.x(), hip.y(), 0)
            .plus(-CREASE_AHEAD, trunk)
            .plus(CREASE_ABOVE, new Vec3(Math.cos(lean), -Math.sin(lean), 0));
    double upperX = hip.x() + Segments.UPPER_COM_HANGING * body.trunkM() * trunk.x();
    double leg = Standing.oneLegMassMoment(body, ankle, knee, hip, at.x());
    // in the air the other leg is held bent, its mass at the thigh's middle;
    // a foot that helps takes its own leg first
    double raised =
        (body.thighMassKg() + body.shankMassKg() + body.footMassKg()) * (hip.x() + 0.15);
    double planted = legs == 2 ? 1 : Math.min(1, helped / OWN_LEG);
    double other = raised + planted * (leg - raised);
    double moment = body.upperMassKg() * upperX + leg + other;
    double each = (1 - helped) * Load.G / legs / at.x();
    Vec3 force = new Vec3(0, moment * each, 0);
    Vec3 perKg = new Vec3(0, crease.x() * each, 0);
    builder.load(Load.force(Load.Segment.FOOT, at, force, perKg));
    if (!sliding) { // a push along the floor lifts or presses the feet: moments about the edge stay
      Vec3 edge = new Vec3(0, at.y() - (hip.y() - hip.x() * Math.tan(-Math.PI / 2 - lean)), 0);
      Vec3 along = new Vec3(1, edge.y() / at.x(), 0);
      double away = setup.get(AWAY);
      double left = Math.min(FREE_PUSH, (1 - Math.abs(away)) * PUSH);
      builder.free(
          FreeContact.atFoot(
              "push against the bench", at, along, Vec3.ZERO, left * force.y(), left * perKg.y()));
      if (away != 0) {
        builder.load(
            Load.force(
                Load.Segment.FOOT,
                at,
                along.times(-away * PUSH * force.y()),
                along.times(-away * PUSH * perKg.y())));
      }
    }
    builder
        .footGrip(
            sliding ? HEEL_GRIP : setup.get(FOOT_SHEAR),
            sliding ? 0 : setup.get(Parameters.SPREAD),
            force.y(),
            perKg.y())
        .legWeights()
        .upperWeight(Segments.UPPER_COM_HANGING);
    double feet = legs / (1 - helped); // all that carries, in times what this foot does
    double rest = body.massKg() * Load.G - feet * force.y(); // the bench's, above the lower back
    double restPerKg = Load.G - feet * perKg.y();
    Vec3 bench = new Vec3(0, hip.y() - hip.x() * Math.tan(-Math.PI / 2 - lean) - THICK, 0);
    builder.load(
        Load.force(Load.Segment.UPPER, bench, new Vec3(0, rest, 0), new Vec3(0, restPerKg, 0)));
    builder.free(Stops.knee(hip.minus(knee).unit().angleTo(knee.minus(ankle).unit())));
    builder.prop("bar", crease).prop("floor", new Vec3(-0.6, 0, 0), new Vec3(1.5, 0, 0));
  }
}
