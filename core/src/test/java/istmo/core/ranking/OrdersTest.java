package istmo.core.ranking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import istmo.core.anatomy.Region;
import istmo.core.body.Body;
import istmo.core.body.Cautions;
import istmo.core.body.Intake;
import istmo.core.body.PainFlag;
import istmo.core.body.Profile;
import istmo.core.body.Sex;
import istmo.core.body.Soreness;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.Bodies;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.criterion.Fit;
import istmo.core.ranking.explanation.Reason;
import istmo.core.ranking.order.Order;
import istmo.core.ranking.order.Orders;
import istmo.core.ranking.setup.Difference;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import istmo.core.words.Said;
import istmo.core.words.Words;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class OrdersTest {
  /**
   * Exercises that the face check bars for usual bodies: at a short length the model leaves hip
   * extension to the hamstrings (docs/validation.md).
   */
  private static final Set<String> BARRED = Set.of("kickback", "all-fours-lift", "lever-kickback");

  private static final Set<Equipment> EVERYTHING = Equipment.everything();
  private static final GymEquipment GENERIC = GymEquipment.generic(Set.of());
  private static final Map<CandidateId, Evaluation> MAN =
      Evaluated.of(Bodies.MAN, GENERIC, School.STRETCH);

  private static Order order(
      Body body,
      Map<CandidateId, Evaluation> evaluations,
      Set<PainFlag> pain,
      Set<Equipment> equipment,
      Map<String, Integer> aim,
      Set<String> out) {
    return Orders.order(
        new Brief(
            body,
            new Cautions(pain.stream().map(Soreness::leaveOut).toList(), List.of(), List.of()),
            Profile.unknown(),
            GymEquipment.generic(equipment),
            Aim.of(aim, out),
            School.STRETCH,
            Optional.empty()),
        evaluations);
  }

  private static Order order(Map<String, Integer> aim, Set<String> out) {
    return order(Bodies.MAN, MAN, Set.of(), EVERYTHING, aim, out);
  }

  /** Mean activation of the lower back in the first ten. */
  private static double meanBack(Order order) {
    return order.entries().stream()
        .limit(10)
        .mapToDouble(entry -> Fit.backActivation(entry.evaluation().analysis()))
        .average()
        .orElseThrow();
  }

  private static double utility(Order order, String candidate) {
    return order.all().stream()
        .filter(entry -> entry.id().text().equals(candidate))
        .findFirst()
        .orElseThrow()
        .ranked()
        .utility();
  }

  private static int rank(Order order, String candidate) {
    for (int k = 0; k < order.all().size(); k++) {
      if (order.all().get(k).id().text().equals(candidate)) {
        return k + 1;
      }
    }
    throw new AssertionError(candidate + " is not in the order");
  }

  /**
   * Every candidate is computed for bodies far apart, and fit to be shown: the face check holds for
   * all of them.
   */
  @ParameterizedTest
  @EnumSource(Intake.Thigh.class)
  void everyCandidateIsComputedForBodiesFarApart(Intake.Thigh thigh) {
    for (Intake.Ankle ankle : Intake.Ankle.values()) {
      for (Sex sex : Sex.values()) {
        double stature = sex == Sex.MALE ? 1.92 : 1.55;
        Body body = new Intake(stature, sex == Sex.MALE ? 100 : 52, sex, thigh, ankle).body();
        Map<CandidateId, Evaluation> evaluations = Evaluated.of(body, GENERIC, School.STRETCH);
        assertThat(evaluations).hasSize(Catalogue.standard().candidates().size());
        evaluations
            .values()
            .forEach(
                evaluation -> {
                  if (evaluation
                      instanceof Evaluation.NotComputedWellEnough notComputedWellEnough) {
                    assertThat(notComputedWellEnough.candidate().exerciseId())
                        .as(Words.of(notComputedWellEnough.why()))
                        .isIn(BARRED);
                  }
                  if (evaluation instanceof Evaluation.Computed computed) {
                    assertThat(computed.analysis().worstResidualNm())
                        .as(computed.candidate().id().text())
                        .isLessThan(0.05); // from there a repetition counts as failed
                  }
                });
        assertThat(
                evaluations.values().stream()
                    .filter(evaluation -> evaluation instanceof Evaluation.Computed)
                    .count())
            .as("computed for %s %s %s", sex, thigh, ankle)
            .isGreaterThanOrEqualTo(94);
      }
    }
  }

  /** What is lost by the criteria that are named is no less than the points between two places. */
  @Test
  void eachPlaceSaysFirstWhatPutsItBelowTheOneBefore() {
    List<Order.Entry> entries = order(Map.of("VL", 2), Set.of()).entries();
    assertThat(entries.get(0).why().get(0)).isInstanceOf(Reason.Gives.class);
    for (int k = 1; k < entries.size(); k++) {
      Order.Entry above = entries.get(k - 1);
      Order.Entry entry = entries.get(k);
      String first = Words.of(entry.why().get(0));
      long points = Math.round(100 * (above.ranked().utility() - entry.ranked().utility()));
      assertThat(first)
          .startsWith(
              points == 0
                  ? "Less than one point below "
                  : points == 1 ? "One point below " : points + " points below ")
          .contains(above.evaluation().candidate().name());
      if (points > 3) {
        long named =
            Pattern.compile("−(\\d+)")
                .matcher(first)
                .results()
                .mapToLong(m -> Long.parseLong(m.group(1)))
                .sum();
        assertThat(named).as(first).isGreaterThanOrEqualTo(points / 2);
      }
    }
  }

  /**
   * Facts of the trade (common practice): which exercise can never come first for a region. Which
   * kind does is asked in docs/validation.md.
   */
  @ParameterizedTest
  @CsvSource({
    "RF,seated-leg-curl",
    "BFL,leg-extension",
    "SOL,leg-extension",
    "GASM,leg-press",
    "SM,hack-squat",
    "AL,leg-extension",
    "GMAXM,leg-extension",
    "TA,leg-press"
  })
  void whatCannotTrainARegionIsNeverInItsFirstBand(String region, String never) {
    order(Map.of(region, 3), Set.of()).entries().stream()
        .filter(entry -> entry.evaluation().candidate().exerciseId().equals(never))
        .forEach(entry -> assertThat(entry.ranked().band()).isGreaterThan(1));
  }

  /**
   * Common practice: glutes and hamstrings with a sore back are a thrust and a curl. The curl gives
   * the glute nothing and is no exercise for nothing all the same: it is the best here for one of
   * the two.
   */
  @Test
  void whatIsBestForOneOfTwoRegionsHasItsPlace() {
    Order order =
        order(
            Bodies.MAN,
            MAN,
            Set.of(PainFlag.LOWER_BACK),
            Set.of(
                Equipment.BARBELL,
                Equipment.RACK,
                Equipment.BENCH,
                Equipment.FIXED_TRACK,
                Equipment.DUMBBELLS,
                Equipment.LYING_CURL),
            Map.of("BFL", 2, "GMAXM", 2),
            Set.of());
    assertThat(order.entries().stream().map(entry -> entry.id().text()))
        .contains("lying-leg-curl/usual");
    assertThat(order.entries().get(0).id().text()).startsWith("hip-thrust/");
    assertThat(order.together().get(0).candidateIds())
        .anyMatch(id -> id.text().contains("thrust"))
        .anyMatch(id -> id.text().contains("curl"));
    assertThat(order.hardly().stream().map(entry -> entry.evaluation().candidate().exerciseId()))
        .contains("plate-abduction", "bar-seated-calf-raise");
  }

  /**
   * A gym without anything for the calves still has a best of what is there, and says what that is
   * worth.
   */
  /** A barbell alone trains no shin: the order says so, and does not fill its places. */
  @Test
  void whereNothingTrainsTheAimTheOrderSaysSoAndWhatWould() {
    Order bare =
        order(
            Bodies.MAN,
            MAN,
            Set.of(),
            Set.of(Equipment.BARBELL, Equipment.RACK),
            Map.of("TA", 3),
            Set.of());
    assertThat(bare.entries()).isEmpty();
    assertThat(bare.firstPick()).isEmpty();
    assertThat(bare.hardly()).isNotEmpty();
    assertThat(Words.of(bare.shortage().orElseThrow().fact()))
        .startsWith("Nothing here trains this well");
    assertThat(bare.shortage().orElseThrow().elsewhere())
        .anySatisfy(
            elsewhere -> {
              assertThat(elsewhere.candidateId().text()).startsWith("dumbbell-shin-raise");
              assertThat(elsewhere.needs()).contains("dumbbells");
            });
    Order with =
        order(
            Bodies.MAN,
            MAN,
            Set.of(),
            Set.of(Equipment.BARBELL, Equipment.RACK, Equipment.KETTLEBELL),
            Map.of("TA", 3),
            Set.of());
    assertThat(with.shortage()).isEmpty();
    assertThat(with.entries())
        .allSatisfy(entry -> assertThat(entry.id().text()).startsWith("shin-raise/"));
  }

  /**
   * One exercise takes one place; its other set-ups stand within it, each no better, or no better
   * than anybody could tell from the plain form.
   */
  @Test
  void anExerciseTakesOnePlace() {
    Order order = order(Map.of("VL", 3), Set.of());
    assertThat(order.entries())
        .extracting(entry -> entry.evaluation().candidate().exerciseId())
        .doesNotHaveDuplicates();
    assertThat(order.entries()).anyMatch(entry -> !entry.variants().isEmpty());
    order
        .entries()
        .forEach(
            entry ->
                assertThat(entry.variants())
                    .allSatisfy(
                        v -> {
                          assertThat(v.evaluation().candidate().exerciseId())
                              .isEqualTo(entry.evaluation().candidate().exerciseId());
                          assertThat(v.ranked().utility())
                              .isLessThanOrEqualTo(entry.ranked().utility() + 0.02);
                        }));
  }

  private static double lead(Order order, String id, String other) {
    return utility(order, id) - utility(order, other);
  }

  @Test
  void keepingTheBackOutMovesHingesDownAndMachinesUp() {
    Order with = order(Map.of("BFL", 2, "GMAXM", 2), Set.of());
    Order without = order(Map.of("BFL", 2, "GMAXM", 2), Set.of("ERECTORS"));
    assertThat(lead(without, "deadlift/conventional", "reverse-back-extension/usual"))
        .as("utility counts beside the best, so one is compared with what spares the back")
        .isLessThan(lead(with, "deadlift/conventional", "reverse-back-extension/usual"));
    assertThat(meanBack(without)).isLessThan(meanBack(with));
  }

  @Test
  void everyStripSaysWhyFromItsOwnFigures() {
    Order order = order(Map.of("VL", 3), Set.of());
    order
        .entries()
        .forEach(
            entry -> {
              assertThat(Said.all(entry.why()))
                  .anyMatch(word -> word.startsWith("Gives outer quad"))
                  .anyMatch(word -> word.startsWith("Gives out first: "))
                  .anyMatch(
                      word -> word.startsWith("No study was found") || word.startsWith("Studies "))
                  .anyMatch(word -> word.startsWith("Likely place "))
                  .anyMatch(word -> word.startsWith("It costs: "));
              assertThat(entry.limiter()).isNotEmpty();
            });
    Order.Entry most =
        order.entries().stream()
            .max(java.util.Comparator.comparingDouble(entry -> entry.stimulus().get(Region.VL)))
            .orElseThrow();
    assertThat(Said.all(most.why()))
        .anyMatch(word -> word.contains("about as much as anything here"));
  }

  @Test
  void anAimNeedsARegionAndAContradictionIsRefused() {
    assertThatThrownBy(() -> order(Map.of(), Set.of()))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("aim");
    assertThatThrownBy(() -> Aim.of(Map.of("VL", 2), Set.of("VL"))).hasMessageContaining("at once");
    assertThatThrownBy(() -> Aim.of(Map.of("VL", 4, "NOSE", 1), Set.of()))
        .hasMessageContaining("1, 2 or 3")
        .hasMessageContaining("aim.NOSE");
  }

  @Test
  void aChangeInsideTheNoiseIsNoDifference() {
    Analysis analysis = Bodies.analysis(Bodies.MAN, "squat", Map.of("depth", 88.0));
    Analysis squat = Bodies.analysis(Bodies.MAN, "squat", Map.of("depth", 89.0));
    Difference none =
        Difference.between(
            "pinned",
            analysis,
            Stimulus.byRegion(analysis, School.STRETCH),
            "now",
            squat,
            Stimulus.byRegion(squat, School.STRETCH));
    assertThat(none.changes()).noneMatch(Difference.RegionChange::toldApart);
    assertThat(Said.all(none.facts()))
        .contains("The model cannot tell these two apart for any region.");
    Analysis c = Bodies.analysis(Bodies.MAN, "squat", Map.of("depth", 88.0, "wedge", 15.0));
    Difference some =
        Difference.between(
            "pinned",
            analysis,
            Stimulus.byRegion(analysis, School.STRETCH),
            "now",
            c,
            Stimulus.byRegion(c, School.STRETCH));
    assertThat(some.changes())
        .anyMatch(
            change ->
                change.toldApart()
                    && change.region() == Region.GMAXM
                    && change.to() < change.from());
    assertThat(Said.all(some.facts()))
        .anyMatch(text -> text.startsWith("Trunk lean at the bottom: pinned"));
  }
}
