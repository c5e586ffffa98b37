package istmo.core.ranking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.AreaGroup;
import istmo.core.anatomy.BodyArea.Back;
import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionGroup;
import istmo.core.body.Body;
import istmo.core.body.Cautions;
import istmo.core.body.MeasurementKind;
import istmo.core.body.PainFlag;
import istmo.core.body.Profile;
import istmo.core.body.Soreness;
import istmo.core.catalogue.Catalogue;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Bodies;
import istmo.core.movement.Reach;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.brief.Weights;
import istmo.core.ranking.brief.Weights.Criterion;
import istmo.core.ranking.brief.Weights.Preset;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.criterion.ScoredCandidate;
import istmo.core.ranking.explanation.Comparison;
import istmo.core.ranking.explanation.ComparisonFact;
import istmo.core.ranking.explanation.Reason;
import istmo.core.ranking.order.Order;
import istmo.core.ranking.order.OrderFact;
import istmo.core.ranking.order.Orders;
import istmo.core.ranking.order.Together;
import istmo.core.record.Experience;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import istmo.core.words.Said;
import istmo.core.words.Words;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** The order with studies, draws, weights and schools in it. */
class HonestOrderTest {
  private static final Set<Equipment> EVERYTHING = Equipment.everything();
  private static final GymEquipment GYM = GymEquipment.generic(EVERYTHING);
  private static final Body LIFTER = Bodies.LIFTER;
  private static final Map<String, Evaluation> EVALUATIONS =
      Orders.evaluate(LIFTER, GYM, School.STRETCH);
  private static final Aim BACK_OF_THE_THIGH =
      Aim.of(Map.of("BFL", 2, "ST", 2, "GMAXM", 1), Set.of());

  private static Brief brief(Aim aim) {
    return new Brief(
        LIFTER, Cautions.none(), Profile.unknown(), GYM, aim, School.STRETCH, Optional.empty());
  }

  private static Order by(Preset preset, Aim aim) {
    return Orders.order(brief(aim).weighed(new Weights(preset, Map.of())), EVALUATIONS);
  }

  private static int rank(Order order, String id) {
    return order.all().stream().map(entry -> entry.ranked().id()).toList().indexOf(id) + 1;
  }

  /** Place of an exercise, by whichever of its variants stands for it. */
  private static int place(Order order, String exercise) {
    return order.entries().stream()
            .map(entry -> entry.evaluation().candidate().exerciseId())
            .toList()
            .indexOf(exercise)
        + 1;
  }

  private static double value(Order.Entry entry, Criterion criterion) {
    return entry.ranked().contributions().stream()
        .filter(contribution -> contribution.criterion().equals(criterion.id()))
        .findFirst()
        .orElseThrow()
        .value();
  }

  @Test
  void theSameBriefGivesTheSameOrderToTheLastDigit() {
    Order order = Orders.order(brief(BACK_OF_THE_THIGH), EVALUATIONS);
    Order ordered = Orders.order(brief(BACK_OF_THE_THIGH), EVALUATIONS);
    assertThat(order.entries().stream().map(Order.Entry::ranked))
        .isEqualTo(ordered.entries().stream().map(Order.Entry::ranked).toList());
    assertThat(order.entries().stream().map(Order.Entry::why))
        .isEqualTo(ordered.entries().stream().map(Order.Entry::why).toList());
    assertThat(Orders.places(brief(BACK_OF_THE_THIGH), EVALUATIONS))
        .isEqualTo(order.entries().stream().map(entry -> entry.ranked().id()).toList());
  }

  /**
   * Seated curls grew the two-joint hamstrings more than lying ones (Maeo et al. 2021 Med Sci
   * Sports Exerc, MRI, 12 weeks); the order says the same of each of the three.
   */
  @ParameterizedTest
  @ValueSource(strings = {"BFL", "ST", "SM"})
  void theSeatedCurlStandsBeforeTheLyingOneAsTheStudyFound(Region region) {
    Order order = Orders.order(brief(new Aim(Map.of(region, 3), Set.of())), EVALUATIONS);
    Order.Entry seated = entry(order, "seated-leg-curl/usual");
    Order.Entry lying = entry(order, "lying-leg-curl/usual");
    assertThat(seated.stimulus().get(region)).isGreaterThan(lying.stimulus().get(region));
    assertThat(rank(order, "seated-leg-curl/usual"))
        .isPositive()
        .isLessThan(rank(order, "lying-leg-curl/usual"));
  }

  /** Each strip cites the studies that moved it, and says so where there are none. */
  @Test
  void studiesMoveFiguresAndAreCited() {
    Order order = Orders.order(brief(Aim.of(Map.of("RF", 3), Set.of())), EVALUATIONS);
    Order.Entry squat =
        order.all().stream()
            .filter(entry -> entry.ranked().id().equals("back-squat/high-bar"))
            .findFirst()
            .orElseThrow();
    assertThat(squat.studies()).isNotEmpty();
    assertThat(Said.all(squat.why()))
        .anyMatch(word -> word.startsWith("Studies ") && word.contains("20"));
    assertThat(Orders.order(brief(Aim.of(Map.of("AB", 3), Set.of())), EVALUATIONS).all())
        .anyMatch(entry -> entry.why().stream().anyMatch(Reason.NoStudy.class::isInstance));
    assertThat(Said.all(squat.why()))
        .as("opinion is told apart from studies")
        .noneMatch(word -> word.startsWith("Studies ") && word.contains("Common practice"));
  }

  /**
   * What is measured of a body is not uncertain any more: intervals of exercises that hang on it
   * become narrower, places stay.
   */
  @Test
  void whatIsMeasuredNarrowsTheIntervals() {
    Order guessed = Orders.order(brief(BACK_OF_THE_THIGH), EVALUATIONS);
    Order measured =
        Orders.order(
            brief(BACK_OF_THE_THIGH).knowing(EnumSet.allOf(MeasurementKind.class)), EVALUATIONS);
    assertThat(measured.entries().stream().map(entry -> entry.ranked().id()))
        .isEqualTo(guessed.entries().stream().map(entry -> entry.ranked().id()).toList());
    assertThat(width(measured)).isLessThan(width(guessed));
  }

  private static double width(Order order) {
    return order.entries().stream()
        .mapToDouble(entry -> entry.ranked().high() - entry.ranked().low())
        .sum();
  }

  @Test
  void aSoreBackPutsFirstWhatSparesIt() {
    Order usual = by(Preset.GROWTH, BACK_OF_THE_THIGH);
    Order spared = by(Preset.SORE_BACK, BACK_OF_THE_THIGH);
    assertThat(place(spared, "romanian-deadlift")).isGreaterThan(place(usual, "romanian-deadlift"));
    assertThat(value(spared.entries().get(0), Criterion.SPINE)).isGreaterThan(0.7);
  }

  @Test
  void soreKneesPutFirstWhatSparesTheKneecap() {
    Aim legs = Aim.of(Map.of("VL", 2, "GMAXM", 2), Set.of());
    double usual =
        by(Preset.GROWTH, legs).entries().stream()
            .limit(10)
            .mapToDouble(entry -> value(entry, Criterion.KNEE))
            .average()
            .orElseThrow();
    assertThat(
            by(Preset.SORE_KNEES, legs).entries().stream()
                .limit(10)
                .mapToDouble(entry -> value(entry, Criterion.KNEE))
                .average()
                .orElseThrow())
        .isGreaterThan(usual);
  }

  @Test
  void aBeginnerLearnsFromTheEasiestOnWholeRepetitions() {
    Order order = by(Preset.BEGINNER, BACK_OF_THE_THIGH);
    List<Double> ease =
        order.learning().stream()
            .map(id -> Catalogue.standard().candidate(id).exercise().easeOfLearning())
            .toList();
    assertThat(ease)
        .hasSizeGreaterThanOrEqualTo(3)
        .isSortedAccordingTo(java.util.Comparator.reverseOrder());
    assertThat(rank(order, "back-squat/bottom-half")).isZero();
    assertThat(order.excluded())
        .anyMatch(
            excluded ->
                excluded.candidateId().equals("back-squat/bottom-half")
                    && excluded.kind() == Order.Kind.PRESET);
    assertThat(by(Preset.GROWTH, BACK_OF_THE_THIGH).learning()).isEmpty();
  }

  @Test
  void oneStationIsOneAndTheRestIsListed() {
    Order order =
        by(Preset.ONE_STATION, Aim.of(Map.of("VL", 2, "GMAXM", 2, "BFL", 2, "GASM", 1), Set.of()));
    Set<Equipment> carried =
        Set.of(Equipment.BENCH, Equipment.BOX, Equipment.WEDGE, Equipment.BANDS);
    Set<Equipment> stations = new HashSet<>();
    order
        .entries()
        .forEach(
            entry ->
                entry.evaluation().candidate().needs().stream()
                    .filter(name -> !carried.contains(name))
                    .forEach(stations::add));
    assertThat(stations).hasSizeLessThanOrEqualTo(2);
    assertThat(Said.all(order.notes())).anyMatch(note -> note.startsWith("One station: "));
    assertThat(order.excluded())
        .anyMatch(
            excluded ->
                excluded.kind() == Order.Kind.PRESET
                    && excluded.reason().equals(new OrderFact.AnotherStation()));
    assertThat(order.all().size() + order.excluded().size())
        .isEqualTo(EVALUATIONS.size() + Catalogue.standard().byWord().size());
  }

  @Test
  void atHomeNeedsNoMachine() {
    Order order = by(Preset.HOME, BACK_OF_THE_THIGH);
    assertThat(order.entries())
        .isNotEmpty()
        .allSatisfy(
            entry ->
                assertThat(entry.evaluation().candidate().needs())
                    .doesNotContain(
                        Equipment.BARBELL,
                        Equipment.LEG_PRESS,
                        Equipment.CABLE,
                        Equipment.FIXED_TRACK));
    assertThat(order.excluded())
        .anyMatch(excluded -> excluded.reason() instanceof OrderFact.NotHere not && not.home());
  }

  @Test
  void heavyBasicsCountsTheWholeLegAndSmallSteps() {
    Aim legs = Aim.of(Map.of("VL", 2, "GMAXM", 2), Set.of());
    Order usual = by(Preset.GROWTH, legs);
    Order basics = Orders.order(brief(legs).withSchool(School.BASICS_FIRST), EVALUATIONS);
    assertThat(
            basics.entries().stream()
                .limit(5)
                .mapToDouble(entry -> value(entry, Criterion.RETURN))
                .sum())
        .isGreaterThanOrEqualTo(
            usual.entries().stream()
                .limit(5)
                .mapToDouble(entry -> value(entry, Criterion.RETURN))
                .sum());
    assertThat(basics.entries().stream().map(entry -> entry.ranked().id()))
        .isNotEqualTo(usual.entries().stream().map(entry -> entry.ranked().id()).toList());
  }

  @Test
  void anotherSchoolNeedsNoNewMechanicsAndMovesSome() {
    Map<String, Evaluation> squeezed = Orders.judgedBy(EVALUATIONS, School.SQUEEZE);
    Map<String, Evaluation> anew = Orders.evaluate(LIFTER, GYM, School.SQUEEZE);
    squeezed.forEach(
        (id, evaluation) -> {
          if (evaluation instanceof Evaluation.Computed computed) {
            assertThat(computed.stimulus())
                .isEqualTo(((Evaluation.Computed) anew.get(id)).stimulus());
          }
        });
    assertThat(Orders.places(brief(BACK_OF_THE_THIGH).withSchool(School.SQUEEZE), squeezed))
        .isNotEqualTo(Orders.places(brief(BACK_OF_THE_THIGH), EVALUATIONS));
  }

  @Test
  void comfortCountsOnlyWhereSomethingIsSore() {
    Cautions sore =
        new Cautions(
            List.of(new Soreness(PainFlag.KNEE, Set.of(), Soreness.Approach.LESS_LOAD)),
            List.of(),
            List.of());
    Brief brief =
        new Brief(
            LIFTER,
            sore,
            Profile.unknown(),
            GYM,
            BACK_OF_THE_THIGH,
            School.STRETCH,
            Optional.empty());
    Order order = Orders.order(brief, EVALUATIONS);
    assertThat(order.entries())
        .anyMatch(entry -> value(entry, Criterion.COMFORT) < 1)
        .anyMatch(entry -> value(entry, Criterion.COMFORT) == 1);
    assertThat(by(Preset.GROWTH, BACK_OF_THE_THIGH).entries().get(0).ranked().contributions())
        .noneMatch(contribution -> contribution.criterion().equals(Criterion.COMFORT.id()));
  }

  /**
   * The best three cover more than the best two; TogetherTest compares with the first two places.
   */
  @Test
  void togetherCoversMoreThanTheFirstOfTheOrder() {
    Order order = by(Preset.GROWTH, BACK_OF_THE_THIGH);
    Together two = order.together().get(0);
    Together three = order.together().get(1);
    assertThat(two.candidateIds()).hasSize(2);
    assertThat(three.candidateIds()).hasSize(3);
    assertThat(three.coverage()).isGreaterThan(two.coverage());
    Set<String> exercises =
        three.candidateIds().stream().map(id -> id.split("/")[0]).collect(Collectors.toSet());
    assertThat(exercises).as("different exercises").hasSize(3);
    assertThat(exercises)
        .as("hamstrings are bent at the knee and stretched at the hip")
        .anyMatch(text -> text.contains("curl"));
  }

  @ParameterizedTest
  @EnumSource(Preset.class)
  void everyPresetOrdersAndLosesNothing(Preset preset) {
    Order order = by(preset, BACK_OF_THE_THIGH);
    assertThat(order.firstPick()).isPresent();
    assertThat(order.all().size() + order.excluded().size())
        .isEqualTo(EVALUATIONS.size() + Catalogue.standard().byWord().size());
    order
        .entries()
        .forEach(
            entry -> {
              assertThat(
                      entry.ranked().contributions().stream()
                          .mapToDouble(Ranked.Contribution::points)
                          .sum())
                  .isCloseTo(entry.ranked().utility(), within(1e-12));
              assertThat(entry.ranked().low()).isLessThanOrEqualTo(entry.ranked().high());
            });
    assertThat(order.entries().stream().skip(1))
        .allSatisfy(entry -> assertThat(entry.raise()).isNotEmpty());
  }

  @Test
  void weightsAreCheckedByName() {
    assertThatThrownBy(() -> new Weights(Preset.GROWTH, Map.of("luck", 1.0, "time", 11.0)))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("weights.luck")
        .hasMessageContaining("weights.time");
    assertThatThrownBy(() -> Preset.get("astrology"))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("preset");
    assertThatThrownBy(
            () -> School.own("own-1", "", "why", new School.Leanings(2, 0.5, 0.2, 1.2, 0)))
        .hasMessageContaining("label")
        .hasMessageContaining("lengthBias")
        .hasMessageContaining("practiceTrust");
  }

  @Test
  void aComparisonSaysWhatTrulyDiffers() {
    Comparison comparison =
        Comparison.of(
            brief(Aim.of(Map.of("BFL", 3), Set.of())),
            List.of(
                side("seated-leg-curl/usual"), side("back-squat/high-bar"), side("leg-press/low")));
    Comparison.Points outer =
        comparison.regions().stream()
            .filter(points -> points.region() == Region.BFL)
            .findFirst()
            .orElseThrow();
    assertThat(outer.members().stream().mapToDouble(Comparison.Member::chanceOfMost).sum())
        .isCloseTo(1, within(1e-9));
    assertThat(outer.members().get(0).chanceOfMost()).isGreaterThan(0.8);
    assertThat(Words.of(comparison.facts().get(0)))
        .startsWith("Seated leg curl trains the outer hamstring most");
    assertThat(comparison.criteria()).hasSize(3);
    Comparison same =
        Comparison.of(
            brief(Aim.of(Map.of("VL", 3), Set.of())),
            List.of(side("leg-press/low"), side("leg-press/high")));
    assertThat(same.facts().get(0)).isInstanceOf(ComparisonFact.HardlyMore.class);
    assertThatThrownBy(
            () -> Comparison.of(brief(BACK_OF_THE_THIGH), List.of(side("leg-press/low"))))
        .isInstanceOf(InvalidInput.class);
  }

  /** A comparison that left a client's reports out would contradict the order that counts them. */
  @Test
  void aComparisonCountsWhatTheClientFelt() {
    List<Comparison.Side> two = List.of(side("leg-press/low"), side("leg-press/high"));
    Brief brief = brief(Aim.of(Map.of("VL", 3), Set.of()));
    Brief learned =
        brief.learning(
            new Experience(
                Map.of(
                    "leg-press/low",
                    told(5, Map.of(RegionGroup.QUADS, 5), List.of(0, 0, 0, 0, 0)))));
    Comparison without = Comparison.of(brief, two);
    Comparison with = Comparison.of(learned, two);
    double shift =
        ScoredCandidate.said("leg-press/low", two.get(0).stimulus(), learned.experience())[
            Region.VL.ordinal()];
    assertThat(shift).isGreaterThan(0.01);
    assertThat((outerQuad(with, 0) + Stimulus.FLOOR) / (outerQuad(without, 0) + Stimulus.FLOOR))
        .isCloseTo(Math.exp(shift), within(1e-9));
    assertThat(outerQuad(with, 1)).isLessThanOrEqualTo(outerQuad(without, 1) * Math.exp(shift));
    assertThat(Said.all(with.facts()))
        .anyMatch(
            text -> text.startsWith("Leg press") && text.contains("felt it in the quads in 5 of 5"))
        .anyMatch(text -> text.contains("That moves the figure for the outer quad (sweep) by +"));
    assertThat(without.facts()).noneMatch(ComparisonFact.ClientSaid.class::isInstance);
  }

  private static double outerQuad(Comparison comparison, int side) {
    return comparison.regions().stream()
        .filter(points -> points.region() == Region.VL)
        .findFirst()
        .orElseThrow()
        .members()
        .get(side)
        .value();
  }

  private static Comparison.Side side(String id) {
    Evaluation.Computed computed = (Evaluation.Computed) EVALUATIONS.get(id);
    return new Comparison.Side(
        computed.candidate(),
        new Reach(computed.reach().setup(), List.of()),
        false,
        computed.analysis(),
        computed.stimulus());
  }

  private static Experience.Reports told(
      int sessions, Map<AreaGroup, Integer> felt, List<Integer> pains) {
    return new Experience.Reports(sessions, felt, pains, Optional.of(PainFlag.KNEE));
  }

  /**
   * What one client felt moves that exercise in that client's order, the order says so, and without
   * it all is as before.
   */
  @Test
  void whatAClientFeltMovesTheOrderVisiblyAndBack() {
    Brief plain = brief(BACK_OF_THE_THIGH);
    Order before = Orders.order(plain, EVALUATIONS);
    String id =
        before.entries().stream()
            .map(entry -> entry.ranked().id())
            .filter(candidate -> candidate.startsWith("romanian-deadlift/"))
            .findFirst()
            .orElseThrow();
    Order after =
        Orders.order(
            plain.learning(
                new Experience(Map.of(id, told(8, Map.of(Back.LOWER_BACK, 8), List.of())))),
            EVALUATIONS);
    assertThat(entry(after, id).stimulus().get(Region.BFL))
        .isLessThan(0.95 * entry(before, id).stimulus().get(Region.BFL));
    assertThat(entry(after, id).ranked().utility())
        .isLessThan(entry(before, id).ranked().utility());
    assertThat(Said.together(entry(after, id).why()))
        .contains("This client felt it in the lower back in 8 of 8 sessions.")
        .contains("in this client's order");
    String other =
        before.entries().stream()
            .map(entry -> entry.ranked().id())
            .filter(candidate -> candidate.startsWith("seated-leg-curl/"))
            .findFirst()
            .orElseThrow();
    assertThat(entry(after, other).stimulus()).isEqualTo(entry(before, other).stimulus());
    Brief two =
        brief(Aim.of(Map.of("BFL", 3, "GMAXM", 1), Set.of()))
            .learning(
                new Experience(
                    Map.of(
                        id,
                        told(
                            8,
                            Map.of(RegionGroup.GLUTES, 8, RegionGroup.HAMSTRINGS, 8),
                            List.of()))));
    assertThat(Said.together(entry(Orders.order(two, EVALUATIONS), id).why()))
        .as("each aimed region that it moves")
        .containsPattern(
            "moves the figure for the outer hamstring by \\+\\d+ %, the middle glute by \\+\\d+ %");
    assertThat(
            Orders.order(plain.learning(Experience.NONE), EVALUATIONS).entries().stream()
                .map(entry -> entry.ranked().id())
                .toList())
        .isEqualTo(before.entries().stream().map(entry -> entry.ranked().id()).toList());
  }

  @Test
  void whatHurtsCostsComfortAndStrongPainTakesItOut() {
    Brief plain = brief(BACK_OF_THE_THIGH);
    String id = Orders.order(plain, EVALUATIONS).entries().get(0).ranked().id();
    Order sore =
        Orders.order(
            plain.learning(new Experience(Map.of(id, told(0, Map.of(), List.of(3, 4, 3, 4))))),
            EVALUATIONS);
    assertThat(entry(sore, id).ranked().contributions())
        .anySatisfy(contribution -> assertThat(contribution.criterion()).isEqualTo("comfort"));
    assertThat(Said.together(entry(sore, id).why()))
        .contains("It hurt in 4 of the last 4 sessions");
    Order out =
        Orders.order(
            plain.learning(new Experience(Map.of(id, told(0, Map.of(), List.of(7, 6))))),
            EVALUATIONS);
    assertThat(out.entries()).noneMatch(entry -> entry.ranked().id().equals(id));
    assertThat(out.excluded())
        .anySatisfy(
            excluded -> {
              assertThat(excluded.candidateId()).isEqualTo(id);
              assertThat(excluded.kind()).isEqualTo(Order.Kind.PAIN);
              assertThat(Words.of(excluded.reason()))
                  .contains("By this client's record")
                  .contains("Pain decides");
            });
  }

  private static Order.Entry entry(Order order, String id) {
    return order.all().stream()
        .filter(entry -> entry.ranked().id().equals(id))
        .findFirst()
        .orElseThrow();
  }
}
