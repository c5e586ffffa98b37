package istmo.core.movement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.mechanics.Bodies;
import istmo.core.mechanics.Equilibrium;
import istmo.core.mechanics.Musculature;
import istmo.core.movement.family.Families;
import istmo.core.quantity.Vec3;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What each family promises, by hand. */
class FamilyTest {
  private static final Body MAN = Bodies.MAN;

  private static Equilibrium at(Posture posture) {
    Equilibrium eq = new Equilibrium(MAN, new Musculature(MAN));
    eq.set(posture);
    return eq;
  }

  private static Vec3 bar(Posture posture) {
    return posture.props().stream()
        .filter(prop -> prop.kind().equals("bar"))
        .findFirst()
        .orElseThrow()
        .points()
        .get(0);
  }

  /**
   * What one foot may push sideways, the other answers; a part of it fore and aft would not be
   * answered by anything.
   */
  @ParameterizedTest
  @ValueSource(strings = {"squat", "hinge", "deadlift", "press", "thrust"})
  void sidewaysGripHasNoPartForeAndAft(String family) {
    Posture posture = Bodies.posture(MAN, family, Map.of("toeOut", 30.0), 0.5, 60);
    FreeContact grip =
        posture.freeContacts().stream()
            .filter(contact -> contact.name().startsWith("sideways"))
            .findFirst()
            .orElseThrow();
    assertThat(grip.direction()).isEqualTo(Vec3.RIGHT);
  }

  /**
   * Standing nearly straight, the floor's answer to a foot that pushes outwards turns the leg
   * inwards about the hip: force times the height of the hip, and no more is left to choose.
   */
  @Test
  void spreadingTheFloorAsksTheAbductors() {
    Posture told =
        Bodies.posture(
            MAN, "squat", Map.of("spread", 1.0, "footShear", 0.3, "toeOut", 0.0), 0, 100);
    Posture free = Bodies.posture(MAN, "squat", Map.of("footShear", 0.3, "toeOut", 0.0), 0, 100);
    double force = 0.3 * (MAN.massKg() + 100) * Load.G / 2;
    double lever = free.points().hip().y() - free.points().pressure().y();
    double change =
        at(told).externalNm(Coordinate.HIP_ABDUCTION, 100)
            - at(free).externalNm(Coordinate.HIP_ABDUCTION, 100);
    assertThat(change).isCloseTo(-force * lever, within(0.02 * force * lever));
    assertThat(told.freeContacts()).noneMatch(contact -> contact.name().startsWith("sideways"));
  }

  /**
   * "Push back into the bar": the track then pushes forward, and the pressure under the foot is
   * further ahead.
   */
  @Test
  void pushingBackIntoTheBarOfATrackBringsThePressureForward() {
    double push = 0;
    for (double pressure : new double[] {-0.02, 0.03}) {
      Posture posture =
          Bodies.posture(MAN, "guided-squat", Map.of("depth", 80.0, "pressure", pressure), 0.7, 80);
      Load bar = posture.loads().get(posture.loads().size() - 1);
      push = bar.force().x() + 80 * bar.forcePerKg().x() - push;
    }
    assertThat(push)
        .as("forward push on the lifter, forward pressure less backward pressure, N")
        .isGreaterThan(30);
  }

  @ParameterizedTest
  @ValueSource(doubles = {0, 0.25, 0.5, 0.75, 1})
  void theBarStaysOnItsTrack(double phase) {
    Posture posture =
        Bodies.posture(
            MAN,
            "guided-squat",
            Map.of("depth", 85.0, "feetForward", 0.2, "lean", 12.0),
            phase,
            80);
    double rail =
        posture.props().stream()
            .filter(prop -> prop.kind().equals("rail"))
            .findFirst()
            .orElseThrow()
            .points()
            .get(0)
            .x();
    assertThat(bar(posture).x()).isCloseTo(rail, within(1e-9));
  }

  /**
   * On a leaning track too; and the floor, the track and gravity are in balance: all forces and all
   * moments about the floor's push add up to nothing.
   */
  @ParameterizedTest
  @ValueSource(doubles = {-10, -5, 5, 10})
  void theBarStaysOnALeaningTrackAndEverythingIsInBalance(double track) {
    for (double phase : new double[] {0, 0.5, 1}) {
      Posture posture =
          Bodies.posture(
              MAN,
              "guided-squat",
              Map.of("depth", 80.0, "feetForward", 0.15, "lean", 15.0, "trackAngle", track),
              phase,
              80);
      Vec3 foot =
          posture.props().stream()
              .filter(prop -> prop.kind().equals("rail"))
              .findFirst()
              .orElseThrow()
              .points()
              .get(0);
      assertThat((bar(posture).x() - foot.x()) / bar(posture).y())
          .isCloseTo(Math.tan(Math.toRadians(track)), within(1e-9));
      Load floor = posture.loads().get(0);
      Load atBar = posture.loads().get(posture.loads().size() - 1);
      Vec3 floorForce = floor.force().plus(80, floor.forcePerKg());
      Vec3 barForce = atBar.force().plus(80, atBar.forcePerKg());
      assertThat(2 * floorForce.x() + barForce.x()).isCloseTo(0, within(1e-9));
      assertThat(2 * floorForce.y() + barForce.y() - MAN.massKg() * Load.G)
          .isCloseTo(0, within(1e-6));
      // the track's own push has no part along the track: what acts along it is the bar's weight
      double along =
          barForce.x() * Math.sin(Math.toRadians(track))
              + (barForce.y() + 80 * Load.G) * Math.cos(Math.toRadians(track));
      assertThat(along).isCloseTo(0, within(1e-9));
    }
  }

  @Test
  void theTrackSquatBeginsWithANearlyStraightKneeHoweverFarForwardTheFeetAre() {
    for (double forward : new double[] {0, 0.1, 0.25}) {
      // feet under the hips: in a wider stance the thigh's slope inwards adds a false bend
      // (docs/model.md, 10)
      Posture posture =
          Bodies.posture(
              MAN,
              "guided-squat",
              Map.of(
                  "depth",
                  80.0,
                  "feetForward",
                  forward,
                  "lean",
                  forward > 0.2 ? 10.0 : 38.0,
                  "stance",
                  2 * MAN.hipHalfDistanceM(),
                  "toeOut",
                  0.0),
              0,
              80);
      assertThat(Math.toDegrees(posture.angle(Coordinate.KNEE_FLEXION)))
          .isCloseTo(10, within(1e-6));
    }
  }

  /**
   * What the track pushes the feet must hold by friction: no posture is given that needs more than
   * 0.7 of what presses them down.
   */
  @Test
  void noTrackSquatNeedsMoreGripThanADryFloorHas() {
    int given = 0;
    for (double forward = -0.1; forward <= 0.5; forward += 0.05) {
      PostureResult result =
          Families.get("guided-squat")
              .posture(
                  MAN,
                  Bodies.setup(
                      "guided-squat", Map.of("feetForward", forward, "lean", 12.0, "depth", 80.0)),
                  1,
                  100);
      if (result instanceof Posture posture) {
        given++;
        Load foot = posture.loads().get(0);
        Vec3 force = foot.force().plus(100, foot.forcePerKg());
        assertThat(Math.abs(force.x()) / force.y()).isLessThanOrEqualTo(0.7);
      }
    }
    assertThat(given).isPositive();
  }

  @ParameterizedTest
  @CsvSource({"0.0", "0.5", "1.0"})
  void theFootStaysOnThePlateAndTheHipOnItsRail(double phase) {
    Posture press =
        Bodies.posture(MAN, "press", Map.of("footHeight", 0.2, "kneeDepth", 75.0), phase, 100);
    Vec3 rail = new Vec3(Math.cos(Math.PI / 4), Math.sin(Math.PI / 4), 0);
    Vec3 up = new Vec3(-rail.y(), rail.x(), 0);
    assertThat(press.points().ankle().dot(up)).isCloseTo(0.2, within(1e-9));
    assertThat(press.points().heel().minus(press.points().toe()).dot(rail))
        .as("sole along the plate")
        .isCloseTo(0, within(1e-9));

    Posture hack =
        Bodies.posture(MAN, "hack", Map.of("feetForward", 0.16, "kneeDepth", 80.0), phase, 100);
    Vec3 hackRail = new Vec3(-Math.cos(Math.PI / 4), Math.sin(Math.PI / 4), 0);
    assertThat(hack.points().hip().cross(hackRail).z())
        .as("hip on the rail through the ankles' foot")
        .isCloseTo(0, within(1e-9));
    assertThat(
            hack.points().ankle().x() * Math.sin(Math.PI / 4)
                + hack.points().ankle().y() * Math.cos(Math.PI / 4))
        .isCloseTo(0.16, within(1e-9));
  }

  /**
   * The hinge's bar hangs from the shoulders at arm's length, over mid-foot while the shoulders can
   * hold it there, and drifts ahead when it is too heavy for that.
   */
  @Test
  void theHingesBarHangsFromTheShoulders() {
    Posture light = Bodies.posture(MAN, "hinge", Map.of(), 1, 20);
    Posture heavy = Bodies.posture(MAN, "hinge", Map.of(), 1, 200);
    for (Posture posture : new Posture[] {light, heavy}) {
      assertThat(posture.points().shoulder().minus(bar(posture)).norm())
          .isCloseTo(MAN.hangM(), within(1e-9));
    }
    double shoulderAhead = heavy.points().shoulder().x() - bar(heavy).x();
    assertThat(shoulderAhead * 200 * Load.G)
        .as("moment at the shoulders, N m")
        .isLessThanOrEqualTo(150.001);
    assertThat(bar(light).x()).isLessThan(bar(heavy).x());
  }

  /**
   * The deadlift starts with the bar at its height, the shoulders ahead of it, the pressure inside
   * the foot, and ends upright.
   */
  @Test
  void theDeadliftGoesFromTheFloorToUpright() {
    Posture floor = Bodies.posture(MAN, "deadlift", Map.of(), 1, 120);
    assertThat(bar(floor).y()).isCloseTo(0.225, within(1e-9));
    assertThat(floor.points().shoulder().x() - bar(floor).x()).isCloseTo(0.10, within(1e-9));
    assertThat(floor.points().pressure().x())
        .isBetween(floor.points().heel().x(), floor.points().toe().x());
    Posture top = Bodies.posture(MAN, "deadlift", Map.of(), 0, 120);
    assertThat(Math.toDegrees(top.trunkLeanRad())).isBetween(-5.0, 12.0);
    assertThat(Math.toDegrees(top.angle(Coordinate.KNEE_FLEXION))).isLessThan(15);
  }

  /**
   * Standing on the balls of the feet: the ankle carries half of everything at the lever from ankle
   * to ball.
   */
  @Test
  void theCalfRaisesAnkleMomentIsHalfOfEverythingTimesTheLever() {
    Posture posture = Bodies.posture(MAN, "standing-calf", Map.of(), 0.6, 60);
    double lever = posture.points().pressure().x() - posture.points().ankle().x();
    double force = (MAN.massKg() + 60) * Load.G / 2;
    double foot = MAN.footMassKg() * Load.G; // its own weight, a few centimetres ahead
    assertThat(at(posture).externalNm(Coordinate.ANKLE_DORSIFLEXION, 60))
        .isCloseTo(force * lever, within(foot * 0.2));
    assertThat(posture.points().pressure().norm() - Math.abs(posture.points().pressure().z()))
        .as("pushed at the edge of the block")
        .isCloseTo(0, within(0.01));
    Posture seated = Bodies.posture(MAN, "seated-calf", Map.of(), 0.5, 60);
    assertThat(Math.toDegrees(seated.angle(Coordinate.KNEE_FLEXION))).isCloseTo(90, within(1e-6));
    double thighShare = MAN.thighComFraction() * MAN.thighMassKg();
    double seatedForce = (30 + MAN.shankMassKg() + MAN.footMassKg() + thighShare) * Load.G;
    double seatedLever = seated.points().pressure().x() - seated.points().ankle().x();
    assertThat(at(seated).externalNm(Coordinate.ANKLE_DORSIFLEXION, 60))
        .isCloseTo(seatedForce * seatedLever, within(foot * 0.2));
  }

  /**
   * A wedge raises the heel about the ball of the foot: by its slope times the distance between
   * them.
   */
  @Test
  void aWedgeRaisesTheHeelAboutTheBall() {
    Posture posture = Bodies.posture(MAN, "squat", Map.of("wedge", 10.0, "depth", 80.0), 0.5, 60);
    double distance = (Segments.BALL_FROM_HEEL) * MAN.footM();
    assertThat(posture.points().heel().y())
        .isCloseTo(distance * Math.sin(Math.toRadians(10)), within(1e-9));
    assertThat(posture.points().ball().y()).isCloseTo(0, within(1e-9));
    assertThat(posture.points().toe().y()).as("toes lie flat").isCloseTo(0, within(1e-9));
  }

  /**
   * Knee angles of the machines are the ones that were set, and both curls keep the hip where the
   * bench holds it.
   */
  @ParameterizedTest
  @CsvSource({"leg-extension,85,105,8", "seated-curl,85,8,115", "lying-curl,15,8,115"})
  void machinesRunThroughTheRangeThatWasSet(
      String family, double hip, double atBottom, double atTop) {
    Posture bottom = Bodies.posture(MAN, family, Map.of(), 1, 40);
    Posture top = Bodies.posture(MAN, family, Map.of(), 0, 40);
    assertThat(Math.toDegrees(bottom.angle(Coordinate.KNEE_FLEXION)))
        .isCloseTo(atBottom, within(1e-6));
    assertThat(Math.toDegrees(top.angle(Coordinate.KNEE_FLEXION))).isCloseTo(atTop, within(1e-6));
    assertThat(Math.toDegrees(top.angle(Coordinate.HIP_FLEXION))).isCloseTo(hip, within(1e-6));
    assertThat(top.carried()).containsExactly(Coordinate.KNEE_FLEXION);
  }

  /**
   * Moments about the bench settle what the feet carry of a weight on the hips together: by hand,
   * one foot has half of it beside another, all of it alone, and what a helping foot leaves.
   */
  @Test
  void aHelpingFootTakesItsShareOfAThrust() {
    double both = footPerKg(Map.of());
    double alone = footPerKg(Map.of("legs", 1.0));
    double staggered = footPerKg(Map.of("legs", 1.0, "otherFoot", 0.25));
    assertThat(alone).isCloseTo(2 * both, within(1e-9));
    assertThat(staggered).isCloseTo(0.75 * alone, within(1e-9));
  }

  /** Upward force under the foot for each kilogram on the hips, N. */
  private static double footPerKg(Map<String, Double> setup) {
    return Bodies.posture(Bodies.MAN, "thrust", setup, 0, 60).loads().stream()
        .filter(load -> load.on() == Load.Segment.FOOT)
        .mapToDouble(load -> load.forcePerKg().y())
        .max()
        .orElseThrow();
  }
}
