package istmo.core.movement.family;

import static istmo.core.movement.Parameters.FOOT_SHEAR;
import static istmo.core.movement.Parameters.FRICTION;
import static istmo.core.movement.Parameters.KNEE_DEPTH;
import static istmo.core.movement.Parameters.PLATE_GRIP;
import static istmo.core.movement.Parameters.PRESSURE;
import static istmo.core.movement.Parameters.SLED_MASS;
import static istmo.core.movement.Parameters.SPREAD;
import static istmo.core.movement.Parameters.STANCE;
import static istmo.core.movement.Parameters.TOE_OUT;

import istmo.core.anatomy.Coordinate;
import istmo.core.body.Body;
import istmo.core.movement.Family;
import istmo.core.movement.FreeContact;
import istmo.core.movement.Handle;
import istmo.core.movement.Handle.Part;
import istmo.core.movement.Hindrance;
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
import java.util.Set;

/**
 * Hack squat: the back lies on a sled that runs along a straight rail, the feet stand on a fixed
 * plate. The back pad carries only what is square to the rail, so the force under the feet runs
 * along the rail, give or take what friction under the foot and the pad hold together
 * (docs/model.md, 5).
 */
public final class HackFamily implements Family {
  static final SetupParameter RAIL =
      SetupParameter.of(
          "railAngle",
          "Rail angle",
          new Allowed(25, 75, "deg"),
          45,
          5,
          SetupParameter.Kind.MACHINE,
          "rail from the horizontal");
  static final SetupParameter PLATE =
      SetupParameter.of(
          "plateAngle",
          "Foot plate angle",
          new Allowed(0, 60, "deg"),
          25,
          5,
          SetupParameter.Kind.MACHINE,
          "foot plate from the horizontal, toes higher");
  static final SetupParameter FORWARD =
      SetupParameter.of(
          "feetForward",
          "Feet in front of the hips",
          new Allowed(-0.10, 0.45, "m"),
          0.16,
          0.02,
          SetupParameter.Kind.SETUP,
          "ankles in front of the line on which the hips travel");

  static final SetupParameter STOP =
      SetupParameter.of(
          "stop",
          "Hip pad to plate at the stop",
          new Allowed(0, 1.0, "m"),
          0,
          0.02,
          SetupParameter.Kind.MACHINE,
          "least distance along the rail between the lower end of the back pad and the foot plate's"
              + " height; 0 for none in the way");

  /** The back pad's lower end below the hip centre along the rail, m. */
  private static final double PAD_BELOW_HIP = 0.10;

  private static final double TOP = Math.toRadians(8);
  static final Set<Coordinate> LEG_ROWS =
      EnumSet.complementOf(EnumSet.of(Coordinate.LUMBAR_FLEXION));

  @Override
  public String id() {
    return "hack";
  }

  @Override
  public List<SetupParameter> parameters() {
    return List.of(
        FORWARD,
        STANCE.usually(0.35),
        TOE_OUT.usually(15),
        KNEE_DEPTH,
        RAIL,
        PLATE,
        SLED_MASS,
        STOP,
        FRICTION,
        PRESSURE,
        PLATE_GRIP,
        FOOT_SHEAR,
        SPREAD);
  }

  @Override
  public List<Handle> handles() {
    return Handle.among(
        parameters(), new Handle("kneeDepth", Part.HIP), new Handle("feetForward", Part.TOE));
  }

  @Override
  public boolean balances() {
    return false;
  }

  @Override
  public Optional<SetupParameter> depth() {
    return Optional.of(KNEE_DEPTH);
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    double rail = setup.rad(RAIL);
    Vec3 up = new Vec3(-Math.cos(rail), Math.sin(rail), 0);
    Vec3 ahead = new Vec3(Math.sin(rail), Math.cos(rail), 0);
    double tilt = setup.rad(PLATE);
    double out = setup.rad(TOE_OUT);
    Vec3 alongPlate = new Vec3(Math.cos(tilt), Math.sin(tilt), 0);
    Vec3 normal = new Vec3(-Math.sin(tilt), Math.cos(tilt), 0);
    Vec3 toe = alongPlate.times(Math.cos(out)).plus(Math.sin(out), Vec3.RIGHT);
    double kneeFlexion = TOP + phase * (setup.rad(KNEE_DEPTH) - TOP);
    double reach = LegGeometry.hipToAnkle(body, kneeFlexion);
    double side = setup.get(STANCE) / 2 - body.hipHalfDistanceM();
    double square = reach * reach - setup.get(FORWARD) * setup.get(FORWARD) - side * side;
    if (!(square > 0)) {
      return new Impossible(Hindrance.FEET_TOO_FAR_OUT);
    }
    double gap = Math.sqrt(square) + body.ankleHeightM() - PAD_BELOW_HIP;
    if (gap < setup.get(STOP)) {
      return Stops.ofMachine(setup.get(STOP) - gap);
    }
    Vec3 hip = up.times(Math.sqrt(square)).plus(body.hipHalfDistanceM(), Vec3.RIGHT);
    Vec3 ankle = ahead.times(setup.get(FORWARD)).plus(setup.get(STANCE) / 2, Vec3.RIGHT);
    Optional<Vec3> knee = LegGeometry.knee(ankle, hip, body, toe);
    if (knee.isEmpty()) {
      return new Impossible(Hindrance.LEG_TOO_SHORT);
    }
    PostureBuilder builder =
        new PostureBuilder(body, phase)
            .foot(ankle, toe, normal)
            .leg(knee.get(), hip)
            .trunk(rail - Math.PI / 2)
            .pressureAhead(setup.get(PRESSURE));
    double perKg = (1 + setup.get(FRICTION)) * Load.G * Math.sin(rail) / 2;
    double force = (body.massKg() + setup.get(SLED_MASS)) * perKg;
    builder.load(
        Load.force(Load.Segment.FOOT, builder.pressure(), up.times(force), up.times(perKg)));
    builder.free(
        FreeContact.atFoot(
            "push along the plate",
            builder.pressure(),
            ahead,
            Vec3.ZERO,
            setup.get(PLATE_GRIP) * force,
            setup.get(PLATE_GRIP) * perKg));
    builder
        .footGrip(setup.get(FOOT_SHEAR), setup.get(SPREAD), force, perKg)
        .legWeights()
        .free(Stops.knee(kneeFlexion));
    steel(builder, body, hip, ahead, up, alongPlate);
    return builder.build(LEG_ROWS);
  }

  /** The pad under the back, the rail and the plate, for the drawing. */
  private static void steel(
      PostureBuilder builder, Body body, Vec3 hip, Vec3 ahead, Vec3 up, Vec3 alongPlate) {
    Vec3 pad = ahead.times(-0.11);
    Vec3 plate = new Vec3(builder.pressure().x(), builder.pressure().y(), 0);
    builder.prop(
        "pad",
        pad.plus(up.dot(hip) - PAD_BELOW_HIP, up),
        pad.plus(up.dot(hip) + body.trunkM() + 0.15, up));
    builder.prop(
        "rail", pad.plus(-0.16, ahead).plus(-0.1, up), pad.plus(-0.16, ahead).plus(1.75, up));
    builder.prop("plate", plate.plus(-0.28, alongPlate), plate.plus(0.34, alongPlate));
  }
}
