package istmo.core.ranking;

import static istmo.core.ranking.OrderCases.BACK_OF_THE_THIGH;
import static istmo.core.ranking.OrderCases.EVALUATIONS;
import static istmo.core.ranking.OrderCases.GYM;
import static istmo.core.ranking.OrderCases.LIFTER;
import static istmo.core.ranking.OrderCases.brief;
import static istmo.core.ranking.OrderCases.by;
import static istmo.core.ranking.OrderCases.entry;
import static istmo.core.ranking.OrderCases.rank;
import static istmo.core.ranking.OrderCases.value;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.anatomy.Region;
import istmo.core.body.Cautions;
import istmo.core.body.MeasurementKind;
import istmo.core.body.PainFlag;
import istmo.core.body.Profile;
import istmo.core.body.Soreness;
import istmo.core.catalogue.CandidateId;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.brief.Weights.Criterion;
import istmo.core.ranking.brief.Weights.Preset;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.explanation.Reason;
import istmo.core.ranking.order.Order;
import istmo.core.ranking.order.Orders;
import istmo.core.ranking.order.Together;
import istmo.core.stimulus.School;
import istmo.core.words.Said;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The order with studies, draws, weights and schools in it. */
class HonestOrderTest {
  @Test
  void theSameBriefGivesTheSameOrderToTheLastDigit() {
    Order order = Orders.order(brief(BACK_OF_THE_THIGH), EVALUATIONS);
    Order ordered = Orders.order(brief(BACK_OF_THE_THIGH), EVALUATIONS);
    assertThat(order.entries().stream().map(Order.Entry::ranked))
        .isEqualTo(ordered.entries().stream().map(Order.Entry::ranked).toList());
    assertThat(order.entries().stream().map(Order.Entry::why))
        .isEqualTo(ordered.entries().stream().map(Order.Entry::why).toList());
    assertThat(Orders.places(brief(BACK_OF_THE_THIGH), EVALUATIONS))
        .isEqualTo(order.entries().stream().map(entry -> entry.id()).toList());
  }

  /**
   * Seated curls grew the two-joint hamstrings more than lying ones (Maeo et al. 2021 Med Sci
   * Sports Exerc, MRI, 12 weeks); the order says the same of each of the three.
   */
  @ParameterizedTest
  @ValueSource(strings = {"BFL", "ST", "SM"})
  void theSeatedCurlStandsBeforeTheLyingOneAsTheStudyFound(Region region) {
    Order order = Orders.order(brief(new Aim(Map.of(region, 3), Set.of())), EVALUATIONS);
    Order.Entry seated = entry(order, new CandidateId("seated-leg-curl/usual"));
    Order.Entry lying = entry(order, new CandidateId("lying-leg-curl/usual"));
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
            .filter(entry -> entry.id().text().equals("back-squat/high-bar"))
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
    assertThat(measured.entries().stream().map(entry -> entry.id()))
        .isEqualTo(guessed.entries().stream().map(entry -> entry.id()).toList());
    assertThat(width(measured)).isLessThan(width(guessed));
  }

  private static double width(Order order) {
    return order.entries().stream()
        .mapToDouble(entry -> entry.ranked().high() - entry.ranked().low())
        .sum();
  }

  @Test
  void anotherSchoolNeedsNoNewMechanicsAndMovesSome() {
    Map<CandidateId, Evaluation> squeezed = Orders.judgedBy(EVALUATIONS, School.SQUEEZE);
    Map<CandidateId, Evaluation> anew = Orders.evaluate(LIFTER, GYM, School.SQUEEZE);
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
        three.candidateIds().stream()
            .map(id -> id.text().split("/")[0])
            .collect(Collectors.toSet());
    assertThat(exercises).as("different exercises").hasSize(3);
    assertThat(exercises)
        .as("hamstrings are bent at the knee and stretched at the hip")
        .anyMatch(text -> text.contains("curl"));
  }
}
