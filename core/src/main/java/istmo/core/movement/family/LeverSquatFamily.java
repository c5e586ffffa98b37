package istmo.core.movement.family;

import static istmo.core.movement.Parameters.FOOT_SHEAR;
import static istmo.core.movement.Parameters.FRICTION;
import static istmo.core.movement.Parameters.KNEE_DEPTH;
import static istmo.core.movement.Parameters.PLATE_GRIP;
import static istmo.core.movement.Parameters.PRESSURE;
import static istmo.core.movement.Parameters.SPREAD;
import static istmo.core.movement.Parameters.STANCE;
import static istmo.core.movement.Parameters.TOE_OUT;

import istmo.core.anatomy.Segments;
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
import java.util.List;
import java.util.Optional;

/**
 * Squat under the shoulder pads of a lever: pendulum and lever squats. Pads, back rest and plates
 * are one stiff piece that turns about a pivot; the feet stand on a fixed plate. So the hips go on
 * a circle about the pivot, and moments about the pivot alone say how hard the feet press square to
 * the plate. What they push along the line to the pivot turns nothing; friction bounds it
 * (docs/model.md, 5).
 *
 * <p>Frame: the middle of the foot plate is the origin, x forward, y up. The places of pads and
 * plates are measured once, with the lever on its catch.
 */
public final class LeverSquatFamily implements Family {
  static final SetupParameter PLATE = HackFamily.PLATE.usually(15);
  private static final SetupParameter DEPTH = KNEE_DEPTH.usually(100);

  static final SetupParameter UP =
      SetupParameter.of(
          "feetUp",
          "Feet up the plate",
          new Allowed(-0.30, 0.40, "m"),
          0.12,
          0.02,
          SetupParameter.Kind.SETUP,
          "mid-foot in front of the middle of the foot plate, along it");
  static final SetupParameter PIVOT_BEHIND =
      place(
          "pivotBehind",
          "Pivot behind the plate's middle",
          new Allowed(-2, 2, "m"),
          1.4,
          "level distance from the middle of the foot plate; negative when the pivot is in front");
  static final SetupParameter PIVOT_HEIGHT =
      place(
          "pivotHeight",
          "Pivot above the plate's middle",
          new Allowed(-0.5, 2.2, "m"),
          0.4,
          "height above the middle of the foot plate");
  static final SetupParameter PADS_BEHIND =
      place(
          "padsBehind",
          "Shoulder pads behind the plate's middle",
          new Allowed(-0.3, 1.0, "m"),
          0.55,
          "level distance of the pads' underside, lever on its catch");
  static final SetupParameter PADS_HEIGHT =
      place(
          "padsHeight",
          "Shoulder pads above the plate's middle",
          new Allowed(0.7, 1.9, "m"),
          1.4,
          "height of the pads' underside, lever on its catch");
  static final SetupParameter PAD_LEAN =
      SetupParameter.of(
          "padLean",
          "Back pad from the vertical",
          new Allowed(-20, 70, "deg"),
          25,
          5,
          SetupParameter.Kind.MACHINE,
          "lever on its catch; positive when the top leans back, away from the feet");
  static final SetupParameter PIN_BEHIND =
      place(
          "pinBehind",
          "Plates behind the foot plate's middle",
          new Allowed(-1.5, 1.8, "m"),
          0.55,
          "level distance of the pin that takes the plates, lever on its catch");
  static final SetupParameter PIN_HEIGHT =
      place(
          "pinHeight",
          "Plates above the foot plate's middle",
          new Allowed(-0.3, 2.2, "m"),
          1.1,
          "height of the pin that takes the plates, lever on its catch");
  static final SetupParameter EMPTY =
      SetupParameter.of(
          "emptyAtPads",
          "Empty lever at the pads",
          new Allowed(0, 100, "kg"),
          20,
          5,
          SetupParameter.Kind.MACHINE,
          "what the lever with its counterweight weighs at the shoulder pads, no plates on");
  static final SetupParameter STOP =
      SetupParameter.of(
          "stop",
          "Shoulder pads above the plate at the stop",
          new Allowed(0, 1.5, "m"),
          0,
          0.02,
          SetupParameter.Kind.MACHINE,
          "height of the pads' underside above the middle of the foot plate; 0 for none in the"
              + " way");

  /** A pivot nearer than this to the feet's plumb line gives no lever to squat under, m. */
  private static final double LEAST_PIVOT_M = 0.4;

  /** Knee flexion at the top. */
  private static final double TOP = Math.toRadians(8);

  /** The smallest lever of the feet about the pivot, m. */
  private static final double LEAST_ARM_M = 0.1;

  @Override
  public String id() {
    return "lever-squat";
  }

  @Override
  public List<SetupParameter> parameters() {
    return List.of(
        UP,
        STANCE.usually(0.35),
        TOE_OUT.usually(15),
        DEPTH,
        PLATE,
        PIVOT_BEHIND,
        PIVOT_HEIGHT,
        PADS_BEHIND,
        PADS_HEIGHT,
        PAD_LEAN,
        PIN_BEHIND,
        PIN_HEIGHT,
        EMPTY,
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
        parameters(), new Handle("kneeDepth", Part.HIP), new Handle("feetUp", Part.TOE));
  }

  @Override
  public boolean balances() {
    return false;
  }

  @Override
  public Optional<SetupParameter> depth() {
    return Optional.of(DEPTH);
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    if (Math.abs(setup.get(PIVOT_BEHIND)) < LEAST_PIVOT_M) {
      return new Impossible(Hindrance.PIVOT_OVER_FEET);
    }
    Foot foot = Foot.on(setup, body);
    Vec3 ankle = foot.ankle();
    Lever lever = Lever.of(setup, body);
    double kneeFlexion = TOP + phase * (setup.rad(DEPTH) - TOP);
    Optional<Lever> turned = lever.turnedTo(body, ankle, kneeFlexion);
    if (turned.isEmpty()) {
      return new Impossible(Hindrance.LEVER_MISSES_KNEE_BEND);
    }
    Lever now = turned.get();
    if (now.pads().y() < setup.get(STOP)) {
      return Stops.ofMachine(setup.get(STOP) - now.pads().y());
    }
    Vec3 hip = now.hip().plus(body.hipHalfDistanceM(), Vec3.RIGHT);
    Optional<Vec3> knee = LegGeometry.knee(ankle, hip, body, foot.toe());
    if (knee.isEmpty()) {
      return new Impossible(Hindrance.LEG_TOO_SHORT);
    }
    Vec3 trunk = now.pads().minus(now.hip());
    PostureBuilder builder =
        new PostureBuilder(body, phase)
            .foot(ankle, foot.toe(), foot.normal())
            .leg(knee.get(), hip)
            .trunk(Math.atan2(trunk.x(), trunk.y()))
            .pressureAhead(setup.get(PRESSURE));
    now.draw(builder, foot.alongPlate());
    if (!load(builder, body, setup, now, foot.normal())) {
      return new Impossible(Hindrance.PLATE_CANNOT_HOLD_LEVER);
    }
    builder.free(Stops.knee(kneeFlexion));
    return builder.build(HackFamily.LEG_ROWS);
  }

  /** Puts on what pushes; false where the feet have no lever against it. */
  private static boolean load(
      PostureBuilder builder, Body body, Setup setup, Lever now, Vec3 normal) {
    Vec3 fromPivot = flat(builder.pressure()).minus(now.pivot());
    double arm = fromPivot.cross(normal).z();
    double perKg = (1 + setup.get(FRICTION)) * Load.G * now.lever(now.pin()) / (2 * arm);
    double force =
        (1 + setup.get(FRICTION))
            * Load.G
            * (now.massMoment(body, builder) + setup.get(EMPTY) * now.lever(now.pads()))
            / (2 * arm);
    if (!(Math.abs(arm) > LEAST_ARM_M && force > 0 && perKg > 0)) {
      return false;
    }
    builder.load(
        Load.force(
            Load.Segment.FOOT, builder.pressure(), normal.times(force), normal.times(perKg)));
    builder.free(
        FreeContact.atFoot(
            "push along the plate",
            builder.pressure(),
            fromPivot.unit(),
            Vec3.ZERO,
            setup.get(PLATE_GRIP) * force,
            setup.get(PLATE_GRIP) * perKg));
    builder.footGrip(setup.get(FOOT_SHEAR), setup.get(SPREAD), force, perKg).legWeights();
    return true;
  }

  private static SetupParameter place(
      String id, String label, Allowed allowed, double usual, String note) {
    return SetupParameter.of(id, label, allowed, usual, 0.02, SetupParameter.Kind.MACHINE, note);
  }

  private static Vec3 flat(Vec3 at) {
    return new Vec3(at.x(), at.y(), 0);
  }

  /** The right foot on the plate; places in m. */
  private record Foot(Vec3 ankle, Vec3 toe, Vec3 normal, Vec3 alongPlate) {
    static Foot on(Setup setup, Body body) {
      Vec3 normal = Vec3.UP.turnedAboutZ(setup.rad(PLATE));
      Vec3 alongPlate = Vec3.FORWARD.turnedAboutZ(setup.rad(PLATE));
      double out = setup.rad(TOE_OUT);
      double middleAhead =
          (Segments.MIDDLE_FROM_HEEL - Segments.ANKLE_FROM_HEEL) * body.footM() * Math.cos(out);
      return new Foot(
          alongPlate
              .times(setup.get(UP) - middleAhead)
              .plus(setup.get(STANCE) / 2, Vec3.RIGHT)
              .plus(body.ankleHeightM(), normal),
          alongPlate.times(Math.cos(out)).plus(Math.sin(out), Vec3.RIGHT),
          normal,
          alongPlate);
    }
  }

  /**
   * The stiff piece that turns, with the lifter's trunk on it; places in the plane of the picture,
   * m.
   */
  private record Lever(Vec3 pivot, Vec3 pads, Vec3 pin, Vec3 hip) {
    /** On its catch, with the lifter's shoulders under the pads. */
    static Lever of(Setup setup, Body body) {
      Vec3 pads = new Vec3(-setup.get(PADS_BEHIND), setup.get(PADS_HEIGHT), 0);
      Vec3 trunk = Vec3.UP.turnedAboutZ(setup.rad(PAD_LEAN));
      return new Lever(
          new Vec3(-setup.get(PIVOT_BEHIND), setup.get(PIVOT_HEIGHT), 0),
          pads,
          new Vec3(-setup.get(PIN_BEHIND), setup.get(PIN_HEIGHT), 0),
          pads.plus(-body.trunkM(), trunk));
    }

    /**
     * Turned until the leg between ankle and hip has this knee flexion, rad: the two distances from
     * the pivot and the leg between them are the sides of a triangle. The hip is on the upper side
     * of the line from the pivot to the ankle. Empty when the circle does not come to it.
     */
    Optional<Lever> turnedTo(Body body, Vec3 ankle, double kneeFlexion) {
      double reach = LegGeometry.hipToAnkle(body, kneeFlexion);
      double aside = ankle.z() - body.hipHalfDistanceM();
      Vec3 toHip = hip.minus(pivot);
      Vec3 toAnkle = flat(ankle).minus(pivot);
      double cosine =
          (toHip.dot(toHip) + toAnkle.dot(toAnkle) - reach * reach + aside * aside)
              / (2 * toHip.norm() * toAnkle.norm());
      if (!(Math.abs(cosine) < 1)) {
        return Optional.empty();
      }
      double up = pivot.x() < 0 ? 1 : -1; // turning up is anticlockwise about a pivot behind
      double turn = angle(toAnkle) + up * Math.acos(cosine) - angle(toHip);
      return Optional.of(
          new Lever(pivot, turned(pads, turn), turned(pin, turn), turned(hip, turn)));
    }

    private Vec3 turned(Vec3 at, double turn) {
      return pivot.plus(1, at.minus(pivot).turnedAboutZ(turn));
    }

    private static double angle(Vec3 v) {
      return Math.atan2(v.y(), v.x());
    }

    /** Level distance of a weight in front of the pivot, m. */
    double lever(Vec3 at) {
      return at.x() - pivot.x();
    }

    /** Sum of mass times level distance from the pivot over the whole body, kg m. */
    double massMoment(Body body, PostureBuilder builder) {
      Vec3 upper = hip.plus(Segments.UPPER_COM_HANDS_UP, pads.minus(hip));
      return body.upperMassKg() * lever(upper)
          + 2 * body.thighMassKg() * lever(builder.thighCom())
          + 2 * body.shankMassKg() * lever(builder.shankCom())
          + 2 * body.footMassKg() * lever(builder.footCom());
    }

    void draw(PostureBuilder builder, Vec3 alongPlate) {
      Vec3 back = pads.minus(hip).unit().turnedAboutZ(Math.PI / 2).times(0.11);
      Vec3 plate = flat(builder.pressure());
      builder.prop("pad", hip.plus(1, back), pads.plus(1, back));
      builder.prop("lever", pivot, pads.plus(1, back), pads.plus(-1.5, back));
      builder.prop("lever", pivot, pin).prop("pivot", pivot);
      builder.prop("weight", pin);
      builder.prop("plate", plate.plus(-0.28, alongPlate), plate.plus(0.34, alongPlate));
    }
  }
}
