package istmo.core.movement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Coordinate;
import istmo.core.body.Body;
import istmo.core.body.Intake;
import istmo.core.body.Sex;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Bodies;
import istmo.core.movement.family.Families;
import istmo.core.quantity.InvalidInput;
import istmo.core.words.MovementWords;
import istmo.core.words.Said;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class SetupAndReachTest {
  private static final Body STIFF =
      new Intake(1.90, 94, Sex.MALE, Intake.Thigh.LONG, Intake.Ankle.STIFF).body();

  static Stream<Candidate> candidates() {
    return Catalogue.standard().candidates().stream();
  }

  @Test
  void everyFaultOfASetUpIsGathered() {
    assertThatThrownBy(
            () -> Bodies.setup("squat", Map.of("depth", 300.0, "stanze", 1.0, "bar", 1.5)))
        .isInstanceOfSatisfying(
            InvalidInput.class,
            e ->
                assertThat(e.faults())
                    .extracting(InvalidInput.Fault::field)
                    .containsExactlyInAnyOrder("setup.depth", "setup.stanze", "setup.bar"));
  }

  /**
   * Depth that is taken back for a body leaves a whole repetition whole and a part of one that
   * part, to the degree.
   */
  @ParameterizedTest
  @MethodSource("candidates")
  void lessDepthKeepsThePart(Candidate candidate) {
    Family family = candidate.exercise().family();
    family
        .depth()
        .ifPresent(
            parameter ->
                assertThat(
                        family.part(
                            family.atDepth(
                                candidate.usual(),
                                parameter
                                    .allowed()
                                    .nearest(candidate.usual().get(parameter) - 10))))
                    .isCloseTo(family.part(candidate.usual()), within(0.02)));
  }

  /**
   * Bones keep their length, the foot stays on its support, and what the posture says of the knee
   * is what its joint centres say.
   */
  @ParameterizedTest
  @MethodSource("candidates")
  void posturesAreThoseOfThisBody(Candidate candidate) {
    Family family = candidate.exercise().family();
    for (Body body : new Body[] {Bodies.MAN, Bodies.WOMAN, STIFF}) {
      Optional<Reach> reach =
          Reach.of(
              body,
              family,
              candidate.usualFor(body, GymEquipment.generic(Set.of())),
              candidate.yields());
      if (body != Bodies.MAN
          && reach
              .isEmpty()) { // a long, stiff or small body need not reach everything; how many it
        // must is asked in OrdersTest
        continue;
      }
      Setup setup = reach.orElseThrow().setup();
      for (double phase = 0; phase <= 1; phase += 0.125) {
        Posture posture =
            (Posture)
                family.posture(body, setup, phase, family.id().equals("pull-through") ? 10 : 100);
        assertThat(posture.points().hip().minus(posture.points().knee()).norm())
            .isCloseTo(body.thighM(), within(1e-9));
        assertThat(posture.points().knee().minus(posture.points().ankle()).norm())
            .isCloseTo(body.shankM(), within(1e-9));
        assertThat(posture.angle(Coordinate.KNEE_FLEXION))
            .isBetween(0.0, body.kneeFlexionLimitRad() + 1e-6);
        for (int a = 0; a < posture.axes().length; a++) {
          assertThat(posture.axes()[a].norm()).isCloseTo(1, within(1e-9));
        }
        assertThat(posture.angle(Coordinate.LUMBAR_FLEXION))
            .isLessThanOrEqualTo(Reach.mostTuckRad(family));
      }
    }
  }

  /**
   * Standing families balance: the weight of body and bar lies over the pressure point. Checked on
   * the free squat with everything that has weight.
   */
  @Test
  void theFreeSquatBalancesOverItsPressurePoint() {
    for (double load : new double[] {0, 60, 180}) {
      Posture posture = Bodies.posture(Bodies.MAN, "squat", Map.of("depth", 85.0), 1, load);
      double moment = 0;
      for (Load acting : posture.loads()) {
        if (acting.on() == Load.Segment.FOOT && acting.forcePerKg().norm() > 0) {
          continue; // the floor's own force
        }
        double both = acting.on() == Load.Segment.UPPER ? 1 : 2;
        moment +=
            both
                * (acting.at().x() - posture.points().pressure().x())
                * (acting.force().y() + load * acting.forcePerKg().y());
      }
      // the pelvis below L5/S1 is not among the loads of the lower back
      double pelvis = istmo.core.anatomy.Segments.PELVIS_MASS * Bodies.MAN.massKg() * Load.G;
      double pelvisX =
          posture.points().hip().x()
              + 0.5
                  * istmo.core.anatomy.Segments.L5_UP
                  * Bodies.MAN.statureM()
                  * Math.sin(posture.trunkLeanRad());
      moment -= pelvis * (pelvisX - posture.points().pressure().x());
      assertThat(moment).as("with %s kg", load).isCloseTo(0, within(0.5));
    }
  }

  @Test
  void aStiffAnkleYieldsFirstThenDepthAndBothAreSaid() {
    Candidate low = Catalogue.standard().candidate("leg-press/low");
    Reach reach = Reach.of(STIFF, Families.get("press"), low.usual(), low.yields()).orElseThrow();
    assertThat(reach.setup().values().get("footHeight"))
        .isGreaterThan(low.usual().values().get("footHeight"));
    assertThat(Said.all(reach.changes()))
        .anyMatch(
            candidate ->
                candidate.startsWith("Feet up the plate") && candidate.contains("heels would lift"))
        .anyMatch(candidate -> candidate.startsWith("Knee bend at the bottom"));
    assertThat(Reach.obstacle(STIFF, Families.get("press"), reach.setup())).isEmpty();
  }

  /**
   * Stiff ankles and long thighs would lean a front squat so far that the bar rolls off; depth is
   * taken back until it stays, and the reason is said.
   */
  @Test
  void aBarInFrontStaysWhereItRests() {
    Body tall = new Intake(1.93, 90, Sex.MALE, Intake.Thigh.LONG, Intake.Ankle.STIFF).body();
    Candidate front = Catalogue.standard().candidate("front-squat/front");
    Family family = front.exercise().family();
    Reach reach = Reach.of(tall, family, front.usual(), Optional.empty()).orElseThrow();
    Posture bottom = (Posture) family.posture(tall, reach.setup(), 1, 100);
    assertThat(Math.toDegrees(bottom.trunkLeanRad())).isBetween(35.0, 40.0);
    assertThat(Said.together(reach.changes())).contains("the trunk would lean by more");
    Body usual = Body.estimated(1.78, 80, Sex.MALE);
    assertThat(Reach.of(usual, family, front.usual(), Optional.empty()).orElseThrow().changes())
        .isEmpty();
  }

  @Test
  void aSetUpWithinReachIsLeftAlone() {
    Setup wished = Bodies.setup("squat", Map.of("depth", 80.0));
    assertThat(Reach.of(Bodies.MAN, Families.get("squat"), wished, Optional.empty()).orElseThrow())
        .satisfies(
            reach -> {
              assertThat(reach.setup().values()).isEqualTo(wished.values());
              assertThat(reach.changes()).isEmpty();
            });
  }

  @Test
  void impossiblePosturesSayWhatIsMissing() {
    Family press = Families.get("press");
    PostureResult result =
        press.posture(
            Bodies.MAN,
            Bodies.setup("press", Map.of("footHeight", -0.1, "kneeDepth", 130.0)),
            1,
            100);
    assertThat(result)
        .isInstanceOfSatisfying(
            Impossible.class,
            impossible -> {
              assertThat(impossible.limit()).isEqualTo(Obstacle.Limit.ANKLE);
              assertThat(MovementWords.missing(impossible.obstacle()))
                  .matches("\\d+° of ankle beyond this client's 36°");
            });
    PostureResult wide =
        Families.get("squat")
            .posture(Bodies.MAN, Bodies.setup("squat", Map.of("stance", 1.0)), 1, 100);
    assertThat(wide)
        .isInstanceOfSatisfying(
            Impossible.class,
            impossible -> assertThat(impossible.limit()).isEqualTo(Obstacle.Limit.GEOMETRY));
  }

  /** A bottom half stays the bottom half of what this body can do. */
  @Test
  void aPartStaysThatPartWhenDepthIsTakenBack() {
    Body stiff =
        Bodies.MAN
            .withDorsiflexionLimit(Math.toRadians(25))
            .withLimits(Math.toRadians(25), Math.toRadians(95), Bodies.MAN.kneeFlexionLimitRad());
    Candidate half = Catalogue.standard().candidate("back-squat/bottom-half");
    Setup wished = half.usual();
    Reach reach = Reach.of(stiff, half.exercise().family(), wished, Optional.empty()).orElseThrow();
    double depth = reach.setup().values().get("depth");
    double top = reach.setup().values().get("top");
    assertThat(depth).isLessThan(wished.values().get("depth") - 5);
    assertThat((top - 6) / (depth - 6))
        .isCloseTo(
            (wished.values().get("top") - 6) / (wished.values().get("depth") - 6), within(0.01));
  }

  /** A coach takes a lower box where the hip or the ankle does not follow (common practice). */
  @Test
  void aBoxComesDownForWhoDoesNotReachIt() {
    Body small = Body.estimated(1.50, 50, Sex.FEMALE);
    Candidate high = Catalogue.standard().candidate("step-up/high");
    Family step = high.exercise().family();
    Reach reach = Reach.of(small, step, high.usual(), high.yields()).orElseThrow();
    double box = reach.setup().values().get("box");
    assertThat(box).isLessThan(high.usual().values().get("box")).isGreaterThan(0.30);
    assertThat(100 * box).as("whole centimetres").isCloseTo(Math.rint(100 * box), within(1e-9));
    assertThat(Reach.obstacle(small, step, reach.setup())).isEmpty();
    assertThat(Reach.of(Bodies.MAN, step, high.usual(), high.yields()).orElseThrow().changes())
        .isEmpty();
  }

  /** What yields goes no further than its line says; what is still missing comes off the depth. */
  @Test
  void aTrunkLeansNoFurtherThanItMay() {
    Candidate down = Catalogue.standard().candidate("step-down/usual");
    Reach reach =
        Reach.of(STIFF, down.exercise().family(), down.usual(), down.yields()).orElseThrow();
    assertThat(reach.setup().values().get("lean")).isGreaterThan(30).isLessThanOrEqualTo(45);
    assertThat(reach.setup().values().get("box")).isLessThan(down.usual().values().get("box"));
  }

  /** The ankle that a set-up asks for is the most of the whole repetition, not of its bottom. */
  @Test
  void theAnkleIsToldWhereItBendsMost() {
    Candidate high = Catalogue.standard().candidate("step-up/high");
    Family step = high.exercise().family();
    double most = 0;
    for (int k = 0; k <= 20; k++) {
      if (step.posture(Bodies.MAN, high.usual(), k / 20.0, 0) instanceof Posture posture) {
        most = Math.max(most, posture.angle(Coordinate.ANKLE_DORSIFLEXION));
      }
    }
    Body stiff = Bodies.MAN.withDorsiflexionLimit(most - Math.toRadians(6));
    Obstacle why = Reach.obstacle(stiff, step, high.usual()).orElseThrow().obstacle();
    assertThat(why).isInstanceOf(Obstacle.AnkleBendsLess.class);
    assertThat(((Obstacle.AnkleBendsLess) why).neededRad())
        .isCloseTo(most, within(Math.toRadians(0.5)));
    assertThat(MovementWords.missing(why)).startsWith("6° of ankle");
    Body nearly = Bodies.MAN.withDorsiflexionLimit(most - Math.toRadians(0.3));
    Obstacle little = Reach.obstacle(nearly, step, high.usual()).orElseThrow().obstacle();
    assertThat(MovementWords.missing(little)).startsWith("less than 1° of ankle");
  }
}
