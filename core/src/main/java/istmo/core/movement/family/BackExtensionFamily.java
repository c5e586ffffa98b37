package istmo.core.movement.family;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.movement.Family;
import istmo.core.movement.Handle;
import istmo.core.movement.Handle.Part;
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
 * Back extension on a bench whose legs lie at an angle, thighs on a pad, heels under a roller; the
 * trunk hinges at the hip as one piece. Pad and roller push square to the legs, the foot plate
 * along them: three unknowns, three conditions of balance of the whole body.
 */
public final class BackExtensionFamily implements Family {
  static final SetupParameter BENCH_ANGLE =
      SetupParameter.of(
          "benchAngle",
          "Legs from level",
          new Allowed(0, 60, "deg"),
          45,
          5,
          SetupParameter.Kind.MACHINE,
          "0 is the level bench, 45 the usual slope; head higher");
  static final SetupParameter LOW =
      SetupParameter.of(
          "low",
          "Hip bend at the bottom",
          new Allowed(30, 120, "deg"),
          90,
          5,
          SetupParameter.Kind.SETUP,
          "hip flexion with the trunk hanging");
  static final SetupParameter HIGH =
      SetupParameter.of(
          "high",
          "Hip bend at the top",
          new Allowed(-10, 30, "deg"),
          0,
          5,
          SetupParameter.Kind.SETUP,
          "0 is one line from head to heel");
  static final SetupParameter PAD =
      SetupParameter.of(
          "pad",
          "Pad below the hips",
          new Allowed(0.02, 0.30, "m"),
          0.08,
          0.02,
          SetupParameter.Kind.SETUP,
          "upper edge of the thigh pad from the hip centres, along the thigh");

  /** Choices of {@link #BEHIND_HEAD}. */
  private enum Weight {
    AT_CHEST,
    ON_BACK
  }

  static final SetupParameter BEHIND_HEAD =
      SetupParameter.choice(
          "held",
          "Load",
          0,
          SetupParameter.Kind.SETUP,
          "where the load is held",
          "at the chest",
          "on the back");

  private static final Set<Coordinate> ROWS =
      EnumSet.complementOf(EnumSet.of(Coordinate.ANKLE_DORSIFLEXION));

  /** Nearly straight: the ligaments behind the knee take most of what the roller asks of it. */
  private static final double KNEE_BEND = Math.toRadians(4);

  private static final double ROLLER = 0.92;

  @Override
  public String id() {
    return "back-extension";
  }

  @Override
  public List<SetupParameter> parameters() {
    return List.of(LOW, HIGH, PAD, BEHIND_HEAD, Parameters.LEGS, BENCH_ANGLE);
  }

  @Override
  public List<Handle> handles() {
    return Handle.among(parameters(), new Handle("low", Part.SHOULDER));
  }

  @Override
  public int legs(Setup setup) {
    return Parameters.legs(setup);
  }

  @Override
  public boolean heldAtChest(Setup setup) {
    return true;
  }

  @Override
  public boolean balances() {
    return false;
  }

  @Override
  public Optional<SetupParameter> depth() {
    return Optional.of(LOW);
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    double slope = setup.rad(BENCH_ANGLE);
    double bend = setup.rad(HIGH) + phase * (setup.rad(LOW) - setup.rad(HIGH));
    // face down, head ahead: the thigh runs from the knee up and ahead to the hip
    double thighLean = Math.PI / 2 - slope; // of the line knee to hip, from the vertical
    double lean = thighLean + bend;
    Vec3 hip = new Vec3(0, 0.9, body.hipHalfDistanceM());
    PostureBuilder builder =
        LegGeometry.chain(new PostureBuilder(body, phase), body, hip, lean, bend, KNEE_BEND, 0);
    Vec3 thighUp = new Vec3(Math.sin(thighLean), Math.cos(thighLean), 0);
    Vec3 shankUp = thighUp.turnedAboutZ(-KNEE_BEND);
    Vec3 knee = hip.plus(-body.thighM(), thighUp);
    Vec3 ankle = knee.plus(-body.shankM(), shankUp);
    Vec3 padAt = hip.plus(-setup.get(PAD), thighUp);
    Vec3 rollerAt = knee.plus(-ROLLER * body.shankM(), shankUp);
    Vec3 trunk = new Vec3(Math.sin(lean), Math.cos(lean), 0);
    boolean back = setup.choice(BEHIND_HEAD, Weight.class) == Weight.ON_BACK;
    double com = back ? Segments.UPPER_COM_HANDS_UP : Segments.UPPER_COM_HANGING;
    Vec3 upper = hip.plus(com * body.trunkM(), trunk);
    Vec3 load =
        new Vec3(hip.x(), hip.y(), 0)
            .plus((back ? 1.0 : 0.75) * body.trunkM(), trunk)
            .plus(back ? -0.08 : 0.15, trunk.turnedAboutZ(-Math.PI / 2));
    onPadAndPlate(
        builder,
        body,
        new Lying(thighUp, shankUp, padAt, rollerAt, upper, load, 1.0 / Parameters.legs(setup)));
    builder
        .legWeights()
        .upperWeight(com)
        .load(Load.force(Load.Segment.UPPER, load, Vec3.ZERO, new Vec3(0, -Load.G, 0)))
        .free(Stops.knee(KNEE_BEND));
    Vec3 under = padAt.plus(0.09, thighUp.turnedAboutZ(-Math.PI / 2));
    builder
        .prop("weight", load)
        .prop("pad", under, under.plus(-0.25, thighUp))
        .prop("roller", rollerAt.plus(-0.07, shankUp.turnedAboutZ(-Math.PI / 2)))
        .prop("floor", new Vec3(-1, 0, 0), new Vec3(0.8, 0, 0));
    return builder.build(ROWS);
  }

  /**
   * Directions and places of a lifter on the bench, m, world.
   *
   * @param share of what is above the hips that the leg carries which is looked at
   */
  private record Lying(
      Vec3 thighUp, Vec3 shankUp, Vec3 padAt, Vec3 rollerAt, Vec3 upper, Vec3 load, double share) {
    /** Out of the front of the thigh, towards the pad. */
    private Vec3 front() {
      return thighUp.turnedAboutZ(-Math.PI / 2);
    }

    /** The roller pushes the heel towards the front of the shank. */
    private Vec3 roll() {
      return shankUp.turnedAboutZ(-Math.PI / 2);
    }
  }

  /**
   * What roller, pad and foot plate push. One leg carries half, or all where it works alone: the
   * thigh of the other then lies on the pad, which answers what would turn the trunk. Moments about
   * the pad give the roller, forces square to the thigh the pad, along it the foot plate, whose
   * push goes up the leg's line: through the pad's point, so that moments stay.
   */
  private static void onPadAndPlate(PostureBuilder builder, Body body, Lying lying) {
    Vec3 hip = builder.hip();
    Vec3 knee = builder.knee();
    Vec3 ankle = builder.ankle();
    double padX = lying.padAt().x();
    double legs =
        body.thighMassKg() * (body.thighComFraction() * (knee.x() - hip.x()) + hip.x() - padX)
            + body.shankMassKg()
                * (knee.x() + body.shankComFraction() * (ankle.x() - knee.x()) - padX)
            + body.footMassKg() * (builder.footCom().x() - padX);
    double moment = // about z, of weights
        -Load.G * (lying.share() * body.upperMassKg() * (lying.upper().x() - padX) + legs);
    double momentPerKg = -lying.share() * Load.G * (lying.load().x() - padX);
    Vec3 roll = lying.roll();
    Vec3 r = lying.rollerAt().minus(lying.padAt());
    double lever = r.x() * roll.y() - r.y() * roll.x();
    double hold = -moment / lever;
    double holdPerKg = -momentPerKg / lever;
    double weight = (body.massKg() / 2 + (lying.share() - 0.5) * body.upperMassKg()) * Load.G;
    Vec3 rest = new Vec3(0, -weight, 0).plus(hold, roll); // what pad and plate must take
    Vec3 restPerKg = new Vec3(0, -lying.share() * Load.G, 0).plus(holdPerKg, roll);
    builder.pressureAt(lying.rollerAt());
    builder.load(
        Load.force(Load.Segment.SHANK, lying.rollerAt(), roll.times(hold), roll.times(holdPerKg)));
    builder.load(along(Load.Segment.THIGH, lying.padAt(), lying.front(), rest, restPerKg));
    builder.load(along(Load.Segment.FOOT, lying.padAt(), lying.thighUp(), rest, restPerKg));
  }

  /** What takes a force's part along a direction. */
  private static Load along(
      Load.Segment segment, Vec3 at, Vec3 direction, Vec3 force, Vec3 forcePerKg) {
    return Load.force(
        segment,
        at,
        direction.times(-force.dot(direction)),
        direction.times(-forcePerKg.dot(direction)));
  }
}
