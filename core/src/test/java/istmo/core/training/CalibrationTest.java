package istmo.core.training;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import istmo.core.body.Body;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.Bodies;
import istmo.core.mechanics.LoadRule;
import istmo.core.movement.Reach;
import istmo.core.quantity.InvalidInput;
import istmo.core.words.Words;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Strength from known lifts, and first loads from it. */
class CalibrationTest {
  private static final LocalDate DAY = LocalDate.of(2026, 11, 1);
  private static final Body MAN = Bodies.MAN;
  private static final GymEquipment PLACE = GymEquipment.generic(Set.of());

  private static KnownLift lift(String candidate, double kg, int repetitions, double reserve) {
    return new KnownLift(
        Catalogue.standard().candidate(candidate), new PerformedSet(kg, repetitions, reserve), DAY);
  }

  private static Reach reach(String candidate) {
    Candidate known = Catalogue.standard().candidate(candidate);
    return Reach.of(MAN, known.exercise().family(), known.usual(), known.yields()).orElseThrow();
  }

  private static Analysis analysis(Body body, String candidate) {
    Candidate known = Catalogue.standard().candidate(candidate);
    return (Analysis)
        new Analyser(body)
            .analyse(known.exercise().family(), reach(candidate).setup(), LoadRule.USUAL);
  }

  private static Optional<LoadEstimate> load(
      String candidate, Optional<Calibration> found, GymEquipment equipment, double share) {
    Body body = found.map(calibration -> calibration.applied(MAN)).orElse(MAN);
    return LoadEstimate.of(
        Catalogue.standard().candidate(candidate),
        reach(candidate).setup(),
        analysis(body, candidate),
        found,
        equipment,
        MAN.massKg(),
        share);
  }

  /**
   * Worked by hand from the printed equations (Epley 1985; Brzycki 1993): 100 kg for 5 is 116.7 and
   * 112.5 kg; for 10, 133.3 and 133.3; for 1, 100 and 100.
   */
  @ParameterizedTest
  @CsvSource({
    "100, 1, 100, 100",
    "100, 5, 116.667, 112.5",
    "100, 10, 133.333, 133.333",
    "60, 8, 76, 74.483"
  })
  void thePublishedEquations(double kg, double repetitions, double epley, double brzycki) {
    assertThat(kg * Equation.EPLEY.factor(repetitions)).isCloseTo(epley, within(0.001));
    assertThat(kg * Equation.BRZYCKI.factor(repetitions)).isCloseTo(brzycki, within(0.001));
    double maximum = OneRepetition.maximum(kg, repetitions);
    assertThat(maximum).isCloseTo((epley + brzycki) / 2, within(0.001));
    assertThat(OneRepetition.load(maximum, repetitions)).isCloseTo(kg, within(1e-9));
  }

  @Test
  void repetitionsInReserveCountAndTooManyAreRefused() {
    assertThat(lift("back-squat/high-bar", 100, 6, 2).toFailure()).isEqualTo(8);
    assertThatThrownBy(() -> lift("back-squat/high-bar", 60, 14, 2))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("repetitions: 16 is not within 1 to 15");
    assertThatThrownBy(() -> lift("back-squat/high-bar", 0, 5, 0))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("loadKg");
  }

  /**
   * The calibrated body's limit is the lift; and a strength that the model made itself is found
   * again.
   */
  @ParameterizedTest
  @CsvSource({
    "back-squat/high-bar, 0.8",
    "back-squat/high-bar, 1.3",
    "hack-squat/usual, 1.1",
    "leg-press/high, 0.9"
  })
  void theModelsOwnStrengthIsFoundAgain(String candidate, double factor) {
    double limit = analysis(MAN.withStrength(factor, factor * MAN.lumbarNm()), candidate).limitKg();
    Calibration calibration =
        Calibration.of(MAN, List.of(lift(candidate, limit, 1, 0))).orElseThrow();
    assertThat(calibration.legs()).isCloseTo(factor, within(0.01));
    assertThat(analysis(calibration.applied(MAN), candidate).limitKg())
        .isCloseTo(limit, within(0.02 * limit));
  }

  /**
   * By hand: the hinge says 0.6 of a back beside legs of 1.2; the lift weighs 1 / 0.25² = 16, that
   * backs are like legs 1 / 0.2² = 25; 1.2 (0.6 / 1.2)^(16/41) = 0.916.
   */
  @Test
  void aHingeSaysHowStrongTheBackIsAndAPressHowStrongTheLegsAre() {
    Body strongLegs = MAN.withStrength(1.2, 0.6 * MAN.lumbarNm());
    double press = analysis(strongLegs, "leg-press/high").limitKg();
    double hinge = analysis(strongLegs, "romanian-deadlift/usual").limitKg();
    Calibration both =
        Calibration.of(
                MAN,
                List.of(
                    lift("leg-press/high", press, 1, 0),
                    lift("romanian-deadlift/usual", hinge, 1, 0)))
            .orElseThrow();
    assertThat(both.legs()).isCloseTo(1.2, within(0.02));
    assertThat(both.back()).isCloseTo(0.916, within(0.02));
    Calibration one =
        Calibration.of(MAN, List.of(lift("leg-press/high", press, 1, 0))).orElseThrow();
    assertThat(one.back()).as("no lift of the back: as strong as the legs").isEqualTo(one.legs());
  }

  /**
   * An honest, light hinge beside an honest squat: the squat that was done stays possible, and the
   * hinge loses no more than its back can have lost.
   */
  @Test
  void aLightHingeDoesNotUndoASquatThatWasDone() {
    Body woman = Bodies.WOMAN;
    KnownLift squat = lift("back-squat/high-bar", 45, 8, 2);
    Calibration calibration =
        Calibration.of(woman, List.of(squat, lift("romanian-deadlift/usual", 40, 10, 2)))
            .orElseThrow();
    Calibration alone = Calibration.of(woman, List.of(squat)).orElseThrow();
    assertThat(calibration.back()).isBetween(0.7 * alone.back(), alone.back());
    Candidate bar = Catalogue.standard().candidate("back-squat/high-bar");
    Analysis analysis =
        (Analysis)
            new Analyser(calibration.applied(woman))
                .analyse(bar.exercise().family(), bar.usual(), LoadRule.USUAL);
    assertThat(analysis.workingKg())
        .as("ten repetitions, as 45 kg for 8 with 2 left")
        .isGreaterThan(38);
  }

  @Test
  void theNewestLiftOfAnExerciseCounts() {
    KnownLift old =
        new KnownLift(
            Catalogue.standard().candidate("hack-squat/usual"),
            new PerformedSet(60, 5, 0),
            DAY.minusMonths(6));
    KnownLift now = lift("hack-squat/usual", 90, 5, 0);
    assertThat(Calibration.of(MAN, List.of(now, old)).orElseThrow())
        .isEqualTo(Calibration.of(MAN, List.of(now)).orElseThrow());
  }

  @Test
  void aMistypedLiftIsCaught() {
    assertThatThrownBy(() -> Calibration.check(MAN, lift("back-squat/high-bar", 950, 3, 0)))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("is it mistyped?")
        .hasMessageContaining("more than 350 %");
    Calibration.check(MAN, lift("back-squat/high-bar", 95, 5, 0));
  }

  @Test
  void withoutALiftThereIsNoLoadAndAStackSaysNothingOfOthers() {
    assertThat(load("hack-squat/usual", Optional.empty(), PLACE, 1)).isEmpty();
    assertThat(Calibration.of(MAN, List.of(lift("leg-extension/upright", 50, 10, 1)))).isEmpty();
    Optional<Calibration> found =
        Calibration.of(MAN, List.of(lift("back-squat/high-bar", 95, 5, 1)));
    assertThat(load("seated-leg-curl/usual", found, PLACE, 1)).isEmpty();
    assertThat(
            load(
                "seated-leg-curl/usual",
                found,
                PLACE.with(Equipment.SEATED_CURL, "pulley", 0.2),
                1))
        .isPresent();
    assertThat(
            load(
                    "leg-extension/upright",
                    Calibration.of(
                        MAN,
                        List.of(
                            lift("back-squat/high-bar", 95, 5, 1),
                            lift("leg-extension/upright", 50, 10, 1))),
                    PLACE,
                    1)
                .orElseThrow()
                .basis()
                .from())
        .isEqualTo(LoadEstimate.From.OWN_LIFT);
  }

  /**
   * By hand: 100 kg x 5 in reserve 0 is 114.6 kg; 7.5 repetitions (5-10) and two in reserve: (1 +
   * 9.5/30 + 36/27.5) / 2 = 1.3129; 87.3 kg; ten per cent either way and steps of 2.5 kg: 77.5 to
   * 95.
   */
  @Test
  void aFirstLoadByHand() {
    Optional<Calibration> found =
        Calibration.of(MAN, List.of(lift("back-squat/high-bar", 100, 5, 0)));
    LoadEstimate estimate = load("back-squat/high-bar", found, PLACE, 1).orElseThrow();
    assertThat(estimate.lowKg()).isEqualTo(77.5);
    assertThat(estimate.highKg()).isEqualTo(95);
    assertThat(
            load("back-squat/high-bar", found, PLACE.with(Equipment.BARBELL, "step", 10), 1)
                .orElseThrow()
                .lowKg())
        .isEqualTo(70);
    LoadEstimate half = load("back-squat/high-bar", found, PLACE, 0.5).orElseThrow();
    assertThat(half.highKg()).isEqualTo(47.5);
    assertThat(Words.of(half.basis())).contains("50 % of it to begin with");
    assertThat(load("romanian-deadlift/usual", found, PLACE, 1).orElseThrow().basis().from())
        .isEqualTo(LoadEstimate.From.MODEL_AND_USUAL);
  }

  /**
   * By hand: of two figures for one load, each weighs by its precision; and nothing is told above
   * the cap. Usual ratios are common practice, so the law is what is tested.
   */
  @Test
  void aLoadFromAnotherLiftLiesBetweenModelAndPracticeAndErrsOnTheLightSide() {
    UsualLoads.Known both =
        new UsualLoads.Known(Math.log(100), 0.3).with(new UsualLoads.Known(Math.log(50), 0.15));
    assertThat(Math.exp(both.ln()))
        .isCloseTo(Math.exp((Math.log(100) + 4 * Math.log(50)) / 5), within(1e-9));
    assertThat(both.sd()).isCloseTo(0.3 / Math.sqrt(5), within(1e-9));
    Optional<Calibration> found =
        Calibration.of(MAN, List.of(lift("back-squat/high-bar", 100, 5, 0)));
    for (String id : List.of("hack-squat/usual", "romanian-deadlift/usual", "good-morning/usual")) {
      LoadEstimate estimate = load(id, found, PLACE, 1).orElseThrow();
      double model = analysis(found.orElseThrow().applied(MAN), id).limitKg();
      double usual =
          Math.exp(
              UsualLoads.beside(new CandidateId(id), found.orElseThrow().maxima())
                  .orElseThrow()
                  .ln());
      double repetitions =
          LoadEstimate.middle(Catalogue.standard().candidate(id).exercise().repetitions()) + 2;
      assertThat(estimate.highKg())
          .as(id)
          .isLessThanOrEqualTo(OneRepetition.load(Math.max(model, usual) + 40, repetitions));
      assertThat(estimate.lowKg()).isLessThan(estimate.highKg());
    }
    LoadEstimate stepDown = load("loaded-step-down/usual", found, PLACE, 1).orElseThrow();
    assertThat(stepDown.highKg()).isLessThanOrEqualTo(0.3 * MAN.massKg());
    assertThat(load("step-down/usual", found, PLACE, 1)).as("nothing is loaded").isEmpty();
    assertThat(load("bridge/floor", found, PLACE, 1)).as("nothing is loaded").isEmpty();
  }

  /** Whatever a squatter can do has a first load that is a number, light side first. */
  @Test
  void everyFirstLoadIsANumber() {
    Optional<Calibration> found =
        Calibration.of(MAN, List.of(lift("back-squat/high-bar", 100, 5, 0)));
    int told = 0;
    for (Candidate candidate : Catalogue.standard().candidates()) {
      if (canBeDone(candidate)) {
        Optional<LoadEstimate> estimate = load(candidate.id().text(), found, PLACE, 1);
        if (estimate.isEmpty()) {
          continue; // a stack that is not measured, or nothing to load
        }
        told++;
        assertThat(estimate)
            .as(candidate.id().text())
            .hasValueSatisfying(
                loadEstimate -> {
                  assertThat(loadEstimate.lowKg()).isBetween(0.0, loadEstimate.highKg());
                  assertThat(loadEstimate.highKg()).isLessThan(1000);
                });
      }
    }
    assertThat(told).isGreaterThan(80);
  }

  private static boolean canBeDone(Candidate candidate) {
    return Reach.of(MAN, candidate.exercise().family(), candidate.usual(), candidate.yields())
        .filter(
            reach ->
                new Analyser(MAN)
                        .analyse(candidate.exercise().family(), reach.setup(), LoadRule.USUAL)
                    instanceof Analysis)
        .isPresent();
  }

  /** Nobody is told to begin with more than the heaviest weight of the place. */
  @Test
  void aFirstLoadIsNeverMoreThanIsThere() {
    Optional<Calibration> found =
        Calibration.of(MAN, List.of(lift("back-squat/high-bar", 140, 5, 0)));
    Set<Equipment> items = Set.of(Equipment.DUMBBELLS, Equipment.BENCH);
    GymEquipment light = GymEquipment.generic(items).with(Equipment.DUMBBELLS, "most", 48);
    LoadEstimate one = load("hip-thrust/dumbbell", found, light, 1).orElseThrow();
    LoadEstimate pair = load("romanian-deadlift/dumbbells", found, light, 1).orElseThrow();
    assertThat(one.highKg()).isLessThanOrEqualTo(24);
    assertThat(pair.highKg()).isLessThanOrEqualTo(48).isGreaterThan(24);
    assertThat(load("hip-thrust/usual", found, light, 1).orElseThrow().highKg())
        .as("a bar is not a dumbbell")
        .isGreaterThan(48);
  }
}
