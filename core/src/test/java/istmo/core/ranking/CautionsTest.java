package istmo.core.ranking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import istmo.core.anatomy.Coordinate;
import istmo.core.body.Caution;
import istmo.core.body.Cautions;
import istmo.core.body.Restriction;
import istmo.core.equipment.Equipment;
import istmo.core.mechanics.Bodies;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.criterion.Aim;
import istmo.core.ranking.criterion.Brief;
import istmo.core.ranking.criterion.Order;
import istmo.core.ranking.criterion.Orders;
import istmo.core.stimulus.School;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Each caution's effect on the order. */
class CautionsTest {
  private static final Set<String> EVERYTHING = Equipment.all().stream().map(Equipment.Item::id).collect(Collectors.toSet());
  private static final LocalDate DAY = LocalDate.of(2026, 11, 1);

  private static Order order(Cautions cautions) {
    Brief brief = new Brief(Bodies.MAN, Set.of(), cautions, EVERYTHING, new Aim(Map.of("VL", 2, "BFL", 2), Set.of()), School.STRETCH);
    return Orders.order(brief, Orders.evaluate(brief.limitedBody(), School.STRETCH));
  }

  private static Cautions open(Caution c) {
    return new Cautions(List.of(new Cautions.Entry(c, Optional.empty())), List.of());
  }

  private static Cautions cleared(Caution c) {
    return new Cautions(List.of(new Cautions.Entry(c, Optional.of(new Cautions.Clearance("Dr Amsel", DAY)))), List.of());
  }

  private static double deepest(Order o, Coordinate joint) {
    return o.entries().stream().flatMap(e -> e.evaluation().analysis().points().stream()).mapToDouble(p -> Math.toDegrees(p.posture().angle(joint))).max().orElse(0);
  }

  private static List<String> out(Order o) {
    return o.excluded().stream().filter(x -> x.kind() == Order.Kind.CAUTION).map(Order.Excluded::candidateId).toList();
  }

  @Test
  void aKneeReplacementKeepsEveryKneeWithinNinetyDegreesUntilCleared() {
    Order o = order(open(Caution.KNEE_REPLACEMENT));
    assertThat(deepest(o, Coordinate.KNEE_FLEXION)).isLessThanOrEqualTo(90.01);
    assertThat(o.entries()).isNotEmpty();
    assertThat(deepest(order(cleared(Caution.KNEE_REPLACEMENT)), Coordinate.KNEE_FLEXION)).isGreaterThan(100);
  }

  @Test
  void aHipReplacementKeepsEveryHipWithinNinety() {
    assertThat(deepest(order(open(Caution.HIP_REPLACEMENT)), Coordinate.HIP_FLEXION)).isLessThanOrEqualTo(90.01);
  }

  @Test
  void recentSurgeryLeavesNothingUntilCleared() {
    Order o = order(open(Caution.RECENT_SURGERY));
    assertThat(o.entries()).isEmpty();
    assertThat(o.firstPick()).isEmpty();
    assertThat(o.excluded()).allSatisfy(x -> assertThat(x.reason()).contains("cleared"));
    assertThat(order(cleared(Caution.RECENT_SURGERY)).entries()).isNotEmpty();
  }

  @Test
  void aBackConditionLeavesOutWhatTakesMoreThanHalfOfTheBack() {
    Order o = order(open(Caution.BACK_CONDITION));
    assertThat(out(o)).contains("romanian-deadlift/usual", "deadlift/conventional").doesNotContain("leg-press/low", "seated-leg-curl/usual");
    assertThat(o.entries()).allSatisfy(e -> assertThat(e.evaluation().analysis().points()).allSatisfy(p -> assertThat(p.backActivation()).isLessThanOrEqualTo(0.5)));
  }

  @Test
  void pregnancyLeavesOutLyingFaceDownOnly() {
    assertThat(out(order(open(Caution.PREGNANCY)))).containsExactly("lying-leg-curl/usual");
  }

  @ParameterizedTest
  @EnumSource(value = Caution.class, names = {"HIGH_BLOOD_PRESSURE", "YOUTH", "LAY_OFF"})
  void someOnlySpeak(Caution c) {
    assertThat(out(order(open(c)))).isEmpty();
    assertThat(open(c).statements()).contains(c.advice());
  }

  @ParameterizedTest
  @EnumSource(Caution.class)
  void everyOpenCautionThatAsksForClearanceSaysSoAndAClearedOneDoesNot(Caution c) {
    assertThat(open(c).statements().stream().anyMatch(s -> s.contains("ask the clinician in charge first"))).isEqualTo(c.asksClearance());
    assertThat(cleared(c).statements()).noneMatch(s -> s.contains("ask the clinician")).contains(c.advice());
  }

  @Test
  void aWrittenRestrictionGoesBeforeAClearance() {
    Cautions both = new Cautions(cleared(Caution.KNEE_REPLACEMENT).entries(), List.of(new Restriction("Dr Amsel", DAY, "Not beyond 80 degrees of knee bend, nothing on the back.", Optional.of(80.0), Optional.empty(), true)));
    Order o = order(both);
    assertThat(deepest(o, Coordinate.KNEE_FLEXION)).isLessThanOrEqualTo(80.01);
    assertThat(out(o)).contains("romanian-deadlift/usual");
    assertThat(o.excluded()).anySatisfy(x -> assertThat(x.reason()).isEqualTo("Restriction by Dr Amsel: Not beyond 80 degrees of knee bend, nothing on the back."));
    assertThat(both.statements()).anyMatch(s -> s.startsWith("Restriction by Dr Amsel, 2026-11-01"));
  }

  @Test
  void aRestrictionNeedsItsNameItsDayAndItsWords() {
    assertThatThrownBy(() -> new Restriction("", null, " ", Optional.of(20.0), Optional.empty(), false)).isInstanceOfSatisfying(InvalidInput.class, e -> assertThat(e.faults()).hasSize(4));
    assertThatThrownBy(() -> new Cautions.Clearance(" ", DAY)).hasMessageContaining("clinician's name");
  }
}
