package istmo.core.movement.family;

import static istmo.core.movement.Parameters.FOOT_SHEAR;
import static istmo.core.movement.Parameters.PRESSURE;
import static istmo.core.movement.Parameters.STANCE;
import static istmo.core.movement.Parameters.TOE_OUT;

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
import java.util.List;
import java.util.Optional;

/**
 * Romanian deadlift: the trunk lean is the phase, the knee bend is given, the shank follows from balance. The bar hangs from the shoulders; the back muscles of the shoulder can hold it towards the legs
 * only by so much, so a heavy bar drifts in front of mid-foot when the shoulders do.
 */
public final class HingeFamily implements Family {
  static final SetupParameter KNEE_BEND =
      new SetupParameter("kneeBend", "Knee bend", "deg", new Allowed(4, 60, "deg"), 22, 2, SetupParameter.Kind.SETUP, List.of(), "knee flexion held through the repetition");
  static final SetupParameter LEAN =
      new SetupParameter("lean", "Trunk lean at the bottom", "deg", new Allowed(30, 95, "deg"), 75, 5, SetupParameter.Kind.SETUP, List.of(), "trunk from the vertical; 90 is level");

  /** Moment with which the shoulders can hold the bar back, both arms, N m (own estimate). */
  private static final double SHOULDER_NM = 150;
  private static final double TOP = Math.toRadians(4);

  @Override
  public String id() {
    return "hinge";
  }

  @Override
  public List<SetupParameter> parameters() {
    return List.of(KNEE_BEND, LEAN, STANCE.usually(0.26), TOE_OUT.usually(10), PRESSURE.usually(-0.015), FOOT_SHEAR);
  }

  @Override
  public boolean balances() {
    return true;
  }

  @Override
  public Optional<SetupParameter> depth() {
    return Optional.of(LEAN);
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    double lean = TOP + phase * (setup.rad(LEAN) - TOP);
    double bend = setup.rad(KNEE_BEND);
    LegGeometry.Foot foot = LegGeometry.Foot.onFloor(body, setup.get(STANCE), setup.rad(TOE_OUT), 0);
    double middle = foot.middleX(body);
    double target = (body.massKg() + loadKg) * (middle + setup.get(PRESSURE) * foot.heading().x());
    Optional<Double> shank =
        Roots.between(
            Math.toRadians(-35),
            Math.toRadians(40),
            angle -> {
              Vec3[] leg = LegGeometry.standingLeg(body, foot, angle, bend - angle).orElseThrow();
              double shoulder = leg[1].x() + body.trunkM() * Math.sin(lean);
              return Standing.legMassMoment(body, foot.ankle(), leg[0], leg[1], middle)
                  + body.upperMassKg() * (leg[1].x() + Segments.UPPER_COM_HANGING * body.trunkM() * Math.sin(lean))
                  + loadKg * barX(middle, shoulder, loadKg)
                  - target;
            });
    if (shank.isEmpty()) {
      return new Impossible(Impossible.Limit.BALANCE, "No shin angle brings bar and body over the feet.", "less trunk lean or more knee bend");
    }
    Vec3[] leg = LegGeometry.standingLeg(body, foot, shank.get(), bend - shank.get()).orElseThrow();
    double shoulderX = leg[1].x() + body.trunkM() * Math.sin(lean);
    double barX = barX(middle, shoulderX, loadKg);
    double drop = body.armM() * body.armM() - (shoulderX - barX) * (shoulderX - barX);
    if (!(drop > 0)) {
      return new Impossible(Impossible.Limit.GEOMETRY, "The arms do not reach the bar.", "less trunk lean");
    }
    Vec3 barAt = new Vec3(barX, leg[1].y() + body.trunkM() * Math.cos(lean) - Math.sqrt(drop), 0);
    PostureBuilder p = new PostureBuilder(body, phase).foot(foot.ankle(), foot.toe(), foot.normal()).leg(leg[0], leg[1]).trunk(lean).pressureAhead(setup.get(PRESSURE));
    Standing.floorForce(p, body, setup.get(FOOT_SHEAR));
    p.legWeights().upperWeight(Segments.UPPER_COM_HANGING);
    p.load(Load.force(Load.Segment.UPPER, barAt, Vec3.ZERO, new Vec3(0, -Load.G, 0)));
    p.free(Stops.knee(bend));
    p.prop("bar", barAt).prop("arm", new Vec3(shoulderX, leg[1].y() + body.trunkM() * Math.cos(lean), 0), barAt).prop("floor", new Vec3(-0.8, 0, 0), new Vec3(0.7, 0, 0));
    return p.build(Standing.ALL_ROWS);
  }

  private static double barX(double middle, double shoulder, double loadKg) {
    return loadKg > 0 ? Math.max(middle, shoulder - SHOULDER_NM / (loadKg * Load.G)) : middle;
  }
}
