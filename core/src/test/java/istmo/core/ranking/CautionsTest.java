package istmo.core.ranking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import istmo.core.anatomy.Coordinate;
import istmo.core.body.Body;
import istmo.core.body.Caution;
import istmo.core.body.CautionFact;
import istmo.core.body.Cautions;
import istmo.core.body.PainFlag;
import istmo.core.body.Profile;
import istmo.core.body.Restriction;
import istmo.core.body.SoreMovement;
import istmo.core.body.Soreness;
import istmo.core.body.Soreness.Approach;
import istmo.core.catalogue.Catalogue;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Bodies;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.order.Order;
import istmo.core.ranking.order.Orders;
import istmo.core.stimulus.School;
import istmo.core.words.Said;
import istmo.core.words.Words;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** Each caution's effect on the order. */
class CautionsTest {
  private static final Set<Equipment> EVERYTHING = Equipment.everything();
  private static final LocalDate DAY = LocalDate.of(2026, 11, 1);

  private static Order order(Cautions cautions) {
    return order(cautions, Bodies.MAN);
  }

  private static Order order(Cautions cautions, Body body) {
    Brief brief =
        new Brief(
            body,
            cautions,
            Profile.unknown(),
            GymEquipment.generic(EVERYTHING),
            Aim.of(Map.of("VL", 2, "BFL", 2), Set.of()),
            School.STRETCH,
            Optional.empty());
    return Orders.order(
        brief, Evaluated.of(brief.limitedBody(), brief.equipment(), School.STRETCH));
  }

  private static Cautions open(Caution caution) {
    return new Cautions(
        List.of(), List.of(new Cautions.Entry(caution, Optional.empty())), List.of());
  }

  private static Cautions cleared(Caution caution) {
    return new Cautions(
        List.of(),
        List.of(new Cautions.Entry(caution, Optional.of(new Cautions.Clearance("Dr Amsel", DAY)))),
        List.of());
  }

  private static double deepest(Order order, Coordinate joint) {
    return order.entries().stream()
        .flatMap(entry -> entry.evaluation().analysis().points().stream())
        .mapToDouble(point -> Math.toDegrees(point.posture().angle(joint)))
        .max()
        .orElse(0);
  }

  private static List<String> out(Order order) {
    return order.excluded().stream()
        .filter(excluded -> excluded.kind() == Order.Kind.CAUTION)
        .map(excluded -> excluded.candidateId().text())
        .toList();
  }

  @Test
  void aKneeReplacementKeepsEveryKneeWithinNinetyDegreesUntilCleared() {
    Order order = order(open(Caution.KNEE_REPLACEMENT));
    assertThat(deepest(order, Coordinate.KNEE_FLEXION)).isLessThanOrEqualTo(90.01);
    assertThat(order.entries()).isNotEmpty();
    assertThat(deepest(order(cleared(Caution.KNEE_REPLACEMENT)), Coordinate.KNEE_FLEXION))
        .isGreaterThan(100);
  }

  @Test
  void aHipReplacementKeepsEveryHipWithinNinety() {
    assertThat(deepest(order(open(Caution.HIP_REPLACEMENT)), Coordinate.HIP_FLEXION))
        .isLessThanOrEqualTo(90.01);
  }

  @Test
  void recentSurgeryLeavesNothingUntilCleared() {
    Order order = order(open(Caution.RECENT_SURGERY));
    assertThat(order.entries()).isEmpty();
    assertThat(order.firstPick()).isEmpty();
    assertThat(order.excluded())
        .filteredOn(
            excluded ->
                excluded.kind() != Order.Kind.NOT_COMPUTED && excluded.kind() != Order.Kind.BY_WORD)
        .allSatisfy(excluded -> assertThat(Words.of(excluded.reason())).contains("cleared"));
    assertThat(order(cleared(Caution.RECENT_SURGERY)).entries()).isNotEmpty();
  }

  @Test
  void aBackConditionLeavesOutWhatTakesMoreThanHalfOfTheBack() {
    Order order = order(open(Caution.BACK_CONDITION));
    assertThat(out(order))
        .contains("romanian-deadlift/usual", "deadlift/conventional")
        .doesNotContain("leg-press/low", "seated-leg-curl/usual");
    assertThat(order.entries())
        .allSatisfy(
            entry ->
                assertThat(entry.evaluation().analysis().points())
                    .allSatisfy(
                        point -> assertThat(point.backActivation()).isLessThanOrEqualTo(0.5)));
  }

  @Test
  void pregnancyLeavesOutWhatLiesOrPressesOnTheBellyOnly() {
    assertThat(out(order(open(Caution.PREGNANCY))))
        .contains("lying-leg-curl/usual", "back-extension/usual", "hip-thrust/usual")
        .allSatisfy(
            id -> assertThat(Catalogue.standard().candidate(id).exercise().onBelly()).isTrue());
  }

  @ParameterizedTest
  @EnumSource(
      value = Caution.class,
      names = {"HIGH_BLOOD_PRESSURE", "YOUTH", "LAY_OFF"})
  void someOnlySpeak(Caution caution) {
    assertThat(out(order(open(caution)))).isEmpty();
    assertThat(open(caution).statements()).contains(new CautionFact.Advised(caution));
  }

  /** Common practice: what tears and grafts wait for, and a hernia's heavy bracing. */
  @Test
  void someExercisesWaitUntilACautionIsCleared() {
    assertThat(out(order(open(Caution.MUSCLE_TEAR))))
        .contains("kneeling-curl/usual", "rack-kneeling-curl/usual", "hamstring-raise/usual")
        .doesNotContain("seated-leg-curl/usual", "romanian-deadlift/usual");
    assertThat(out(order(cleared(Caution.MUSCLE_TEAR)))).doesNotContain("kneeling-curl/usual");
    assertThat(out(order(open(Caution.KNEE_LIGAMENT))))
        .contains("leg-extension/upright", "leg-extension/long-half")
        .doesNotContain("leg-press/high");
    assertThat(out(order(open(Caution.HERNIA))))
        .contains("deadlift/conventional")
        .doesNotContain("seated-leg-curl/usual");
  }

  @ParameterizedTest
  @EnumSource(Caution.class)
  void everyOpenCautionThatAsksForClearanceSaysSoAndAClearedOneDoesNot(Caution caution) {
    assertThat(open(caution).statements().contains(new CautionFact.AskClinician(caution)))
        .isEqualTo(caution.asksClearance());
    assertThat(cleared(caution).statements())
        .isEqualTo(
            caution.advice().isEmpty() ? List.of() : List.of(new CautionFact.Advised(caution)));
  }

  private static Cautions sore(PainFlag joint, Approach approach, SoreMovement... movements) {
    return new Cautions(
        List.of(new Soreness(joint, Set.of(movements), approach)), List.of(), List.of());
  }

  private static List<String> outByPain(Order order) {
    return order.excluded().stream()
        .filter(excluded -> excluded.kind() == Order.Kind.PAIN)
        .map(excluded -> excluded.candidateId().text())
        .toList();
  }

  /**
   * Facts of the trade (common practice): deep bends trouble one knee, the last degrees of a leg
   * extension another; a curl troubles neither.
   */
  @Test
  void aSoreKneeLeavesOutWhatMakesItHurtAndNothingElse() {
    List<String> deep =
        outByPain(order(sore(PainFlag.KNEE, Approach.LEAVE_OUT, SoreMovement.DEEP_KNEE)));
    assertThat(deep)
        .contains("back-squat/high-bar", "hack-squat/usual")
        .doesNotContain("romanian-deadlift/usual", "standing-calf-raise/usual");
    List<String> straight =
        outByPain(order(sore(PainFlag.KNEE, Approach.LEAVE_OUT, SoreMovement.STRAIGHT_KNEE)));
    assertThat(straight)
        .contains("leg-extension/upright")
        .doesNotContain("back-squat/high-bar", "seated-leg-curl/usual");
    assertThat(outByPain(order(sore(PainFlag.KNEE, Approach.LEAVE_OUT))))
        .contains("leg-extension/upright", "back-squat/high-bar");
  }

  @Test
  void aSoreBackThatMindsLeaningKeepsUprightWork() {
    List<String> out =
        outByPain(order(sore(PainFlag.LOWER_BACK, Approach.LEAVE_OUT, SoreMovement.LEANING)));
    assertThat(out)
        .contains("romanian-deadlift/usual", "deadlift/conventional")
        .doesNotContain("track-squat/forward", "leg-press/low");
    assertThat(order(sore(PainFlag.LOWER_BACK, Approach.LEAVE_OUT, SoreMovement.LEANING)).entries())
        .allSatisfy(
            entry ->
                assertThat(entry.evaluation().analysis().points())
                    .noneMatch(
                        point ->
                            point.backActivation() > 0.4
                                && Math.toDegrees(point.posture().trunkLeanRad()) > 20));
  }

  @Test
  void theTwoSchoolsForASoreKneeKeepTheExerciseAndSaySo() {
    Order range = order(sore(PainFlag.KNEE, Approach.LESS_RANGE));
    assertThat(outByPain(range)).isEmpty();
    assertThat(deepest(range, Coordinate.KNEE_FLEXION)).isLessThanOrEqualTo(80.01);
    Cautions load = sore(PainFlag.KNEE, Approach.LESS_LOAD);
    assertThat(deepest(order(load), Coordinate.KNEE_FLEXION)).isGreaterThan(100);
    assertThat(load.loadShare()).isEqualTo(0.5);
    assertThat(Said.all(load.statements()))
        .singleElement()
        .asString()
        .contains("less load first")
        .contains("Pain decides");
  }

  @Test
  void aJointStandsOnceAndWithItsOwnMovements() {
    Soreness knee = Soreness.leaveOut(PainFlag.KNEE);
    assertThatThrownBy(() -> new Cautions(List.of(knee, knee), List.of(), List.of()))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("twice");
    assertThatThrownBy(
            () -> new Soreness(PainFlag.HIP, Set.of(SoreMovement.DEEP_KNEE), Approach.LEAVE_OUT))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("not a movement");
    assertThatThrownBy(() -> new Soreness(PainFlag.LOWER_BACK, Set.of(), Approach.LESS_RANGE))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("less range");
  }

  @Test
  void aRedFlagStopsEverything() {
    Order order = order(open(Caution.RED_FLAG));
    assertThat(order.entries()).isEmpty();
    assertThat(order.excluded())
        .filteredOn(
            excluded ->
                excluded.kind() != Order.Kind.NOT_COMPUTED && excluded.kind() != Order.Kind.BY_WORD)
        .hasSize(Catalogue.standard().candidates().size())
        .allSatisfy(
            excluded -> assertThat(Words.of(excluded.reason())).contains("licensed clinician"));
    assertThat(Caution.RED_FLAGS)
        .hasSizeGreaterThanOrEqualTo(6)
        .anyMatch(text -> text.contains("calf"))
        .anyMatch(text -> text.contains("bladder"));
  }

  @Test
  void aStiffDayTakesDepthForTheDayOnly() {
    Order stiff = order(Cautions.none(), Bodies.MAN.stiffToday());
    assertThat(deepest(stiff, Coordinate.ANKLE_DORSIFLEXION))
        .isLessThan(deepest(order(Cautions.none()), Coordinate.ANKLE_DORSIFLEXION));
    assertThat(Bodies.MAN.stiffToday().dorsiflexionLimitRad())
        .isLessThan(Bodies.MAN.dorsiflexionLimitRad());
  }

  @Test
  void hipsThatOpenLittleTakeNoWideStance() {
    Order order = order(Cautions.none(), Bodies.MAN.withHipOpening(Math.toRadians(20)));
    assertThat(deepest(order, Coordinate.HIP_ABDUCTION)).isLessThanOrEqualTo(20.01);
    assertThat(deepest(order(Cautions.none()), Coordinate.HIP_ABDUCTION)).isGreaterThan(20);
  }

  @Test
  void aWrittenRestrictionGoesBeforeAClearance() {
    Cautions both =
        new Cautions(
            List.of(),
            cleared(Caution.KNEE_REPLACEMENT).entries(),
            List.of(
                new Restriction(
                    "Dr Amsel",
                    DAY,
                    "Not beyond 80 degrees of knee bend, nothing on the back.",
                    Optional.of(80.0),
                    Optional.empty(),
                    true)));
    Order order = order(both);
    assertThat(deepest(order, Coordinate.KNEE_FLEXION)).isLessThanOrEqualTo(80.01);
    assertThat(out(order)).contains("romanian-deadlift/usual");
    assertThat(order.excluded())
        .anySatisfy(
            excluded ->
                assertThat(Words.of(excluded.reason()))
                    .isEqualTo(
                        "Restriction by Dr Amsel: Not beyond 80 degrees of knee bend, nothing on"
                            + " the back."));
    assertThat(Said.all(both.statements()))
        .anyMatch(text -> text.startsWith("Restriction by Dr Amsel, 2026-11-01"));
  }

  @Test
  void aRestrictionNeedsItsNameItsDayAndItsWords() {
    assertThatThrownBy(
            () -> new Restriction("", null, " ", Optional.of(20.0), Optional.empty(), false))
        .isInstanceOfSatisfying(InvalidInput.class, e -> assertThat(e.faults()).hasSize(4));
    assertThatThrownBy(() -> new Cautions.Clearance(" ", DAY))
        .hasMessageContaining("clinician's name");
  }
}
