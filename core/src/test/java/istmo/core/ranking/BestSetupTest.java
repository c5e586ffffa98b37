package istmo.core.ranking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Region;
import istmo.core.body.Cautions;
import istmo.core.body.Profile;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.Bodies;
import istmo.core.mechanics.LoadRule;
import istmo.core.movement.Obstacle;
import istmo.core.movement.Reach;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.NotPossible;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.setup.BestSetup;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import istmo.core.words.OrderWords;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * The search for a set-up, against exhaustive search where that is small, and against facts of the
 * trade (common practice).
 */
class BestSetupTest {
  private static final GymEquipment GYM = GymEquipment.generic(Equipment.everything());

  private static Brief brief(String region) {
    return new Brief(
        Bodies.LIFTER,
        Cautions.none(),
        Profile.unknown(),
        GYM,
        Aim.of(Map.of(region, 2), Set.of()),
        School.STRETCH,
        Optional.empty());
  }

  private static Setup usual(Candidate candidate) {
    return Reach.of(
            Bodies.LIFTER,
            candidate.exercise().family(),
            candidate.usualFor(Bodies.LIFTER, GYM),
            candidate.yields())
        .orElseThrow()
        .setup();
  }

  private static BestSetup.Best best(String candidate, String region) {
    Candidate best = Catalogue.standard().candidate(candidate);
    return BestSetup.find(brief(region), best, usual(best));
  }

  /**
   * Three controls on their grid, all of them tried: the search gives away next to nothing. The
   * range that has to be kept is part of the question.
   */
  @Test
  void onASmallGridTheSearchFindsWhatExhaustiveSearchFinds() {
    Candidate candidate = Catalogue.standard().candidate("leg-extension/upright");
    Exercise exercise = candidate.exercise();
    Setup from = usual(candidate);
    Analyser analyser = new Analyser(Bodies.LIFTER);
    double most = 0;
    for (double hip = 20; hip <= 110; hip += 5) {
      for (double bent = 95; bent <= 130; bent += 5) {
        for (double straight = 3; straight <= 48; straight += 5) {
          Setup setup =
              with(with(with(from, "hipAngle", hip), "kneeBent", bent), "kneeStraight", straight);
          if (bent - straight >= 0.9 * (105 - 8) - 1e-9
              && Reach.obstacle(Bodies.LIFTER, exercise.family(), setup).isEmpty()) {
            most =
                Math.max(
                    most,
                    Stimulus.byRegion(
                            (Analysis) analyser.analyse(exercise.family(), setup, LoadRule.USUAL),
                            School.STRETCH)
                        .get(Region.RF));
          }
        }
      }
    }
    BestSetup.Best found = best("leg-extension/upright", "RF");
    assertThat(found.fitTo()).isGreaterThan(0.97 * most);
    assertThat(found.tried()).isLessThan(200);
  }

  private static Setup with(Setup setup, String id, double value) {
    SetupParameter parameter =
        Catalogue.standard().exercise("leg-extension").family().parameters().stream()
            .filter(setupParameter -> setupParameter.id().equals(id))
            .findFirst()
            .orElseThrow();
    return setup.with(parameter, value);
  }

  /** Which way coaches move it (common practice). */
  @ParameterizedTest
  @CsvSource({
    "leg-extension/upright,RF,hipAngle,-1",
    "split-squat/upright,GMAXM,lean,1",
    "split-squat/lean,VL,lean,-1",
    "romanian-deadlift/usual,GMAXM,kneeBend,1",
    "standing-calf-raise/bent,GASM,kneeBend,-1"
  })
  void itMovesTheControlThatCoachesMove(String candidate, String region, String control, int way) {
    BestSetup.Best found = best(candidate, region);
    assertThat(found.moved())
        .filteredOn(moved -> moved.parameter().id().equals(control))
        .singleElement()
        .satisfies(moved -> assertThat(Math.signum(moved.to() - moved.from())).isEqualTo(way));
    assertThat(found.fitTo()).isGreaterThan(found.fitFrom());
    assertThat(found.gain()).isCloseTo(found.fitTo() / found.fitFrom() - 1, within(1e-9));
    assertThat(OrderWords.of(found)).contains("% for the aim");
    assertThat(found.elsewhere())
        .as("what else changes, not what was asked for")
        .noneMatch(change -> change.region() == Region.of(region));
  }

  @Test
  void theBestIsOnTheGridWithinReachAndKeepsTheRange() {
    BestSetup.Best found = best("romanian-deadlift/usual", "GMAXM");
    assertThat(
            Reach.obstacle(
                Bodies.LIFTER,
                Catalogue.standard().exercise("romanian-deadlift").family(),
                found.to()))
        .isEmpty();
    found
        .moved()
        .forEach(
            moved ->
                assertThat(
                        Catalogue.standard()
                            .candidatesOf(Catalogue.standard().exercise("romanian-deadlift")))
                    .as(moved.parameter().id() + " is whole steps from a set-up that is known")
                    .anySatisfy(
                        candidate -> {
                          double steps =
                              (moved.to() - candidate.usual().get(moved.parameter()))
                                  / moved.parameter().step();
                          assertThat(steps).isCloseTo(Math.rint(steps), within(1e-6));
                        }));
    assertThat(found.to().values().get("footShear"))
        .as("assumptions stay")
        .isEqualTo(found.from().values().get("footShear"));
    assertThat(best("romanian-deadlift/usual", "GMAXM").to().values())
        .as("the same question has the same answer")
        .isEqualTo(found.to().values());
  }

  @Test
  void everyControlHasItsStepsOrSaysWhyNot() {
    Candidate candidate = Catalogue.standard().candidate("leg-press/low");
    List<BestSetup.Step> steps = BestSetup.steps(brief("VL"), candidate, usual(candidate)).steps();
    assertThat(steps)
        .extracting(step -> step.parameter().id())
        .contains("footHeight", "stance", "toeOut", "kneeDepth", "backAngle", "footShear")
        .doesNotContain("railAngle", "sledMass", "legs");
    assertThat(steps)
        .allSatisfy(
            step ->
                List.of(step.more(), step.less())
                    .forEach(
                        move ->
                            assertThat(move.obstacle().isEmpty())
                                .isEqualTo(!Double.isNaN(move.fit()))));
    Candidate squat = Catalogue.standard().candidate("back-squat/low-bar");
    BestSetup.Step depth =
        BestSetup.steps(brief("VL"), squat, usual(squat)).steps().stream()
            .filter(step -> step.parameter().id().equals("depth"))
            .findFirst()
            .orElseThrow();
    assertThat(depth.more().obstacle().orElseThrow()).isInstanceOf(Obstacle.PelvisTucks.class);
    assertThat(depth.less().byRegion()).isPresent();
    assertThat(depth.more().byRegion()).isEmpty();
  }

  @Test
  void whatIsMeasuredHereIsNotMoved() {
    Candidate candidate = Catalogue.standard().candidate("leg-extension/upright");
    GymEquipment measured = GYM.with(Equipment.LEG_EXTENSION, "hipAngle", 85);
    Brief brief =
        new Brief(
            Bodies.LIFTER,
            Cautions.none(),
            Profile.unknown(),
            measured,
            Aim.of(Map.of("RF", 2), Set.of()),
            School.STRETCH,
            Optional.empty());
    assertThat(BestSetup.steps(brief, candidate, usual(candidate)).steps())
        .extracting(step -> step.parameter().id())
        .doesNotContain("hipAngle");
  }

  @Test
  void withoutAnAimOrFromWhatCannotBeTakenItSaysSo() {
    Candidate candidate = Catalogue.standard().candidate("back-squat/high-bar");
    Brief none =
        new Brief(
            Bodies.LIFTER,
            Cautions.none(),
            Profile.unknown(),
            GYM,
            Aim.of(Map.of(), Set.of()),
            School.STRETCH,
            Optional.empty());
    assertThatThrownBy(() -> BestSetup.find(none, candidate, usual(candidate)))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("aim");
    SetupParameter stance = candidate.exercise().family().parameters().get(0);
    assertThatThrownBy(
            () -> BestSetup.find(brief("VL"), candidate, candidate.usual().with(stance, 1.0)))
        .isInstanceOf(NotPossible.class)
        .hasMessageContaining("setup");
  }
}
