package istmo.core.movement.family;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.movement.Family;
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

/** Calf raise on a block, balls of the feet on its edge: standing with the load on the shoulders, or seated with the load on the knees. The ankle angle is the phase. */
public final class CalfFamily implements Family {
  static final SetupParameter KNEE =
      new SetupParameter("kneeBend", "Knee bend", "deg", new Allowed(0, 30, "deg"), 4, 2, SetupParameter.Kind.TECHNIQUE, List.of(), "knee flexion held through the repetition");
  static final SetupParameter LOW =
      new SetupParameter("stretch", "Ankle at the bottom", "deg", new Allowed(0, 40, "deg"), 22, 2, SetupParameter.Kind.SETUP, List.of(), "dorsiflexion at the bottom");
  static final SetupParameter HIGH =
      new SetupParameter("rise", "Ankle at the top", "deg", new Allowed(0, 50, "deg"), 35, 5, SetupParameter.Kind.SETUP, List.of(), "plantarflexion at the top");

  private final boolean seated;

  public CalfFamily(boolean seated) {
    this.seated = seated;
  }

  @Override
  public String id() {
    return seated ? "seated-calf" : "standing-calf";
  }

  @Override
  public List<SetupParameter> parameters() {
    return seated ? List.of(LOW, HIGH) : List.of(LOW, HIGH, KNEE);
  }

  @Override
  public boolean balances() {
    return !seated;
  }

  @Override
  public Optional<SetupParameter> depth() {
    return Optional.of(LOW);
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    double dorsiflexion = -setup.rad(HIGH) + phase * (setup.rad(LOW) + setup.rad(HIGH));
    double ballAhead = (Segments.BALL_FROM_HEEL - Segments.ANKLE_FROM_HEEL) * body.footM();
    PostureBuilder p = new PostureBuilder(body, phase);
    double ballFromMiddle = (Segments.BALL_FROM_HEEL - Segments.MIDDLE_FROM_HEEL) * body.footM();
    if (seated) {
      Limb limb = limb(body, 0, Math.PI / 2, dorsiflexion, ballAhead);
      p.foot(limb.ankle, limb.toe, limb.normal).toesAlong(Vec3.FORWARD).leg(limb.knee, limb.hip).trunk(0).pressureAhead(ballFromMiddle);
      double legShare = (body.shankMassKg() + body.footMassKg() + body.thighComFraction() * body.thighMassKg()) * Load.G;
      p.load(Load.force(Load.Segment.FOOT, p.pressure(), new Vec3(0, legShare, 0), new Vec3(0, Load.G / 2, 0))).legWeights();
      p.prop("pad", limb.knee.plus(new Vec3(-0.16, 0.08, 0)), limb.knee.plus(new Vec3(-0.02, 0.08, 0))).prop("pad", limb.hip.plus(new Vec3(-0.12, -0.1, 0)), limb.hip.plus(new Vec3(0.2, -0.1, 0)));
      block(p);
      return p.build(EnumSet.of(Coordinate.ANKLE_DORSIFLEXION));
    }
    double bend = setup.rad(KNEE);
    Optional<Double> lean =
        Roots.between(
            Math.toRadians(-10),
            Math.toRadians(35),
            angle -> {
              Limb l = limb(body, angle, bend, dorsiflexion, ballAhead);
              double upperX = l.hip.x() + Segments.UPPER_COM_HANGING * body.trunkM() * Math.sin(angle);
              double shoulderX = l.hip.x() + body.trunkM() * Math.sin(angle);
              return Standing.legMassMoment(body, l.ankle, l.knee, l.hip, -ballFromMiddle) + body.upperMassKg() * upperX + loadKg * shoulderX;
            });
    if (lean.isEmpty()) {
      return new Impossible(Impossible.Limit.BALANCE, "The body cannot be brought over the balls of the feet.", "less knee bend");
    }
    Limb limb = limb(body, lean.get(), bend, dorsiflexion, ballAhead);
    p.foot(limb.ankle, limb.toe, limb.normal).toesAlong(Vec3.FORWARD).leg(limb.knee, limb.hip).trunk(lean.get()).pressureAhead(ballFromMiddle);
    p.load(Load.force(Load.Segment.FOOT, p.pressure(), new Vec3(0, body.massKg() * Load.G / 2, 0), new Vec3(0, Load.G / 2, 0))).legWeights();
    p.free(Stops.knee(bend));
    Vec3 shoulder = new Vec3(limb.hip.x() + body.trunkM() * Math.sin(lean.get()), limb.hip.y() + body.trunkM() * Math.cos(lean.get()), 0);
    p.prop("pad", shoulder.plus(new Vec3(-0.06, 0.05, 0)), shoulder.plus(new Vec3(0.1, 0.05, 0)));
    block(p);
    return p.build(EnumSet.of(Coordinate.HIP_FLEXION, Coordinate.KNEE_FLEXION, Coordinate.ANKLE_DORSIFLEXION));
  }

  private static void block(PostureBuilder p) {
    p.prop("block", new Vec3(-0.02, 0, 0), new Vec3(0.16, 0, 0), new Vec3(0.16, -0.12, 0), new Vec3(-0.02, -0.12, 0)).prop("floor", new Vec3(-0.7, -0.12, 0), new Vec3(0.6, -0.12, 0));
  }

  /** The leg over the ball of the foot at the origin: body leaning by {@code lean} with half the knee bend on either side of it when standing, shank upright when seated. */
  private Limb limb(Body body, double lean, double bend, double dorsiflexion, double ballAhead) {
    double shankLean = seated ? 0 : lean + bend / 2;
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
