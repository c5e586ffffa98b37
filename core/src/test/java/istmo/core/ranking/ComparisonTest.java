package istmo.core.ranking;

import static istmo.core.ranking.OrderCases.BACK_OF_THE_THIGH;
import static istmo.core.ranking.OrderCases.EVALUATIONS;
import static istmo.core.ranking.OrderCases.brief;
import static istmo.core.ranking.OrderCases.entry;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionGroup;
import istmo.core.body.PainFlag;
import istmo.core.catalogue.CandidateId;
import istmo.core.movement.Reach;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.criterion.ScoredCandidate;
import istmo.core.ranking.explanation.Comparison;
import istmo.core.ranking.explanation.ComparisonFact;
import istmo.core.ranking.order.Order;
import istmo.core.ranking.order.Orders;
import istmo.core.record.Experience;
import istmo.core.stimulus.Stimulus;
import istmo.core.words.Said;
import istmo.core.words.Words;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** Exercises of one client side by side, and what their record changes. */
class ComparisonTest {
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

  /**
   * Plotkin et al. 2023 set thrust and squat side by side; a row about squats alone comes later.
   */
  @Test
  void whatSetsThemSideBySideStandsFirst() {
    List<Comparison.Told> studies =
        Comparison.of(
                brief(Aim.of(Map.of("GMAXM", 3), Set.of())),
                List.of(side("hip-thrust/usual"), side("back-squat/high-bar")))
            .studies();
    assertThat(studies.get(0).betweenThem()).isTrue();
    assertThat(studies.get(0).influence().finding().shortCitation()).contains("Plotkin");
    List<Boolean> between = studies.stream().map(Comparison.Told::betweenThem).toList();
    assertThat(between.lastIndexOf(true))
        .as("no other finding stands before one that sets them side by side")
        .isLessThan(between.contains(false) ? between.indexOf(false) : between.size());
    assertThat(deepAgainstHalf("back-squat/high-bar", "hack-squat/usual"))
        .as("a deep squat against a half one is about squats alone")
        .containsOnly(false);
    assertThat(deepAgainstHalf("back-squat/high-bar", "back-squat/three-quarter"))
        .as("and is between two squats")
        .containsOnly(true);
  }

  /** Whether Kubo et al. 2019 set these two side by side. */
  private static List<Boolean> deepAgainstHalf(String first, String second) {
    return Comparison.of(
            brief(Aim.of(Map.of("GMAXM", 3), Set.of())), List.of(side(first), side(second)))
        .studies()
        .stream()
        .filter(told -> told.influence().finding().shortCitation().contains("Kubo"))
        .map(Comparison.Told::betweenThem)
        .toList();
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
                    new CandidateId("leg-press/low"),
                    told(5, Map.of(RegionGroup.QUADS, 5), List.of(0, 0, 0, 0, 0)))));
    Comparison without = Comparison.of(brief, two);
    Comparison with = Comparison.of(learned, two);
    double shift =
        ScoredCandidate.said(
            new CandidateId("leg-press/low"), two.get(0).stimulus(), learned.experience())[
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
    Evaluation.Computed computed = (Evaluation.Computed) EVALUATIONS.get(new CandidateId(id));
    return new Comparison.Side(
        computed.candidate(),
        new Reach(computed.reach().setup(), List.of()),
        false,
        computed.analysis(),
        computed.stimulus());
  }

  private static Experience.Reports told(
      int sessions, Map<RegionGroup, Integer> felt, List<Integer> pains) {
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
    CandidateId id =
        before.entries().stream()
            .map(entry -> entry.id())
            .filter(candidate -> candidate.text().startsWith("romanian-deadlift/"))
            .findFirst()
            .orElseThrow();
    Order after =
        Orders.order(
            plain.learning(
                new Experience(Map.of(id, told(8, Map.of(RegionGroup.LOWER_BACK, 8), List.of())))),
            EVALUATIONS);
    assertThat(entry(after, id).stimulus().get(Region.BFL))
        .isLessThan(0.95 * entry(before, id).stimulus().get(Region.BFL));
    assertThat(entry(after, id).ranked().utility())
        .isLessThan(entry(before, id).ranked().utility());
    assertThat(Said.together(entry(after, id).why()))
        .contains("This client felt it in the lower back in 8 of 8 sessions.")
        .contains("in this client's order");
    CandidateId other =
        before.entries().stream()
            .map(entry -> entry.id())
            .filter(candidate -> candidate.text().startsWith("seated-leg-curl/"))
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
                .map(entry -> entry.id())
                .toList())
        .isEqualTo(before.entries().stream().map(entry -> entry.id()).toList());
  }

  @Test
  void whatHurtsCostsComfortAndStrongPainTakesItOut() {
    Brief plain = brief(BACK_OF_THE_THIGH);
    CandidateId id = Orders.order(plain, EVALUATIONS).entries().get(0).id();
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
    assertThat(out.entries()).noneMatch(entry -> entry.id().equals(id));
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
}
