package istmo.core.ranking;

import static istmo.core.ranking.OrderCases.BACK_OF_THE_THIGH;
import static istmo.core.ranking.OrderCases.EVALUATIONS;
import static istmo.core.ranking.OrderCases.brief;
import static istmo.core.ranking.OrderCases.by;
import static istmo.core.ranking.OrderCases.entry;
import static istmo.core.ranking.OrderCases.rank;
import static istmo.core.ranking.OrderCases.value;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import istmo.core.catalogue.Catalogue;
import istmo.core.equipment.Equipment;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Weights;
import istmo.core.ranking.brief.Weights.Criterion;
import istmo.core.ranking.brief.Weights.Preset;
import istmo.core.ranking.order.Order;
import istmo.core.ranking.order.OrderFact;
import istmo.core.ranking.order.Orders;
import istmo.core.stimulus.School;
import istmo.core.words.Said;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What ways of ranking change in an order. */
class PresetOrderTest {
  /** Place of an exercise, by whichever of its variants stands for it. */
  private static int place(Order order, String exercise) {
    return order.entries().stream()
            .map(entry -> entry.evaluation().candidate().exerciseId())
            .toList()
            .indexOf(exercise)
        + 1;
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
                excluded.candidateId().text().equals("back-squat/bottom-half")
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
    assertThat(basics.entries().stream().map(entry -> entry.id()))
        .isNotEqualTo(usual.entries().stream().map(entry -> entry.id()).toList());
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
}
