package istmo.core.equipment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Region;
import istmo.core.body.Body;
import istmo.core.body.Cautions;
import istmo.core.body.Habit;
import istmo.core.body.Profile;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.mechanics.Bodies;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.Evaluated;
import istmo.core.ranking.Ranked;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.criterion.CriterionFact;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.explanation.Reason;
import istmo.core.ranking.order.MachineMeasuringValue;
import istmo.core.ranking.order.Order;
import istmo.core.ranking.order.Orders;
import istmo.core.stimulus.School;
import istmo.core.words.Said;
import istmo.core.words.Words;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What is known of a gym's machines, and what it does to the order. */
class GymEquipmentTest {
  private static final Body MAN = Bodies.MAN;
  private static final GymEquipment EVERYTHING = GymEquipment.generic(Equipment.everything());
  private static final Aim BOTH = Aim.of(Map.of("VL", 2, "BFL", 2), Set.of());

  private static Brief brief(GymEquipment equipment, Profile profile) {
    return new Brief(
        MAN, Cautions.none(), profile, equipment, BOTH, School.STRETCH, Optional.empty());
  }

  private static Order order(GymEquipment equipment) {
    return order(brief(equipment, Profile.unknown()));
  }

  private static Order order(Brief brief) {
    return Orders.order(brief, Evaluated.of(MAN, brief.equipment(), School.STRETCH));
  }

  private static Evaluation.Computed of(Order order, String candidate) {
    return entry(order, candidate).evaluation();
  }

  private static Order.Entry entry(Order order, String candidate) {
    return order.all().stream()
        .filter(entry -> entry.id().text().equals(candidate))
        .findFirst()
        .orElseThrow();
  }

  private static Ranked.Contribution criterion(Order order, String candidate, String id) {
    return entry(order, candidate).ranked().contributions().stream()
        .filter(contribution -> contribution.criterion().equals(id))
        .findFirst()
        .orElseThrow();
  }

  /**
   * A detail that has the name of a parameter stands for it: same unit, a range inside it, the same
   * generic value.
   */
  @Test
  void genericValuesAreThoseOfTheSetUps() {
    int same = 0;
    for (Exercise exercise : Catalogue.standard().exercises()) {
      for (Equipment item : exercise.needs()) {
        for (Detail detail : item.details()) {
          for (SetupParameter parameter : exercise.family().parameters()) {
            if (parameter.id().equals(detail.id())) {
              same++;
              assertThat(detail.unit()).as("%s %s", item, detail.id()).isEqualTo(parameter.unit());
              assertThat(
                      parameter.allowed().contains(detail.allowed().min())
                          && parameter.allowed().contains(detail.allowed().max()))
                  .as("%s %s", item, detail.id())
                  .isTrue();
              double usual =
                  Catalogue.standard().candidatesOf(exercise).get(0).usual().get(parameter);
              if (parameter.kind() == SetupParameter.Kind.MACHINE) {
                assertThat(detail.usual()).as("%s %s", item, detail.id()).isEqualTo(usual);
              }
            }
          }
        }
      }
    }
    assertThat(same).isGreaterThan(40);
  }

  /**
   * Trade (common practice): a press that bottoms out before the knee is closed, a plate too small
   * to go low.
   */
  @Test
  void aStopTakesDepthAndAShortPlateTakesTheLowFeetAndBothAreSaid() {
    Order stopped = order(EVERYTHING.with(Equipment.LEG_PRESS, "stop", 0.78));
    Evaluation.Computed high = of(stopped, "leg-press/high");
    double knee =
        high.analysis().points().stream()
            .mapToDouble(point -> Math.toDegrees(point.posture().angle(Coordinate.KNEE_FLEXION)))
            .max()
            .orElseThrow();
    assertThat(knee).isLessThan(95);
    assertThat(Said.all(high.reach().changes()))
        .anyMatch(candidate -> candidate.contains("machine's stop"));
    Order small = order(EVERYTHING.with(Equipment.LEG_PRESS, "plateLow", 0.1));
    assertThat(of(small, "leg-press/low").reach().setup().values().get("footHeight"))
        .isGreaterThanOrEqualTo(0.1 - 1e-9);
    assertThat(Said.all(of(small, "leg-press/low").reach().changes()))
        .anyMatch(candidate -> candidate.contains("foot plate ends"));
  }

  /** A cam that fades where the muscle is long gives the long-length school less. */
  @Test
  void aStackThatFadesWhereTheMuscleIsLongCountsLess() {
    GymEquipment fading =
        EVERYTHING
            .with(Equipment.LEG_EXTENSION, "curve120", 0.4)
            .with(Equipment.LEG_EXTENSION, "curve90", 0.6)
            .with(Equipment.LEG_EXTENSION, "curve0", 1.6)
            .with(Equipment.LEG_EXTENSION, "curve30", 1.4);
    double generic = of(order(EVERYTHING), "leg-extension/upright").stimulus().get(Region.VL);
    assertThat(of(order(fading), "leg-extension/upright").stimulus().get(Region.VL))
        .isLessThan(0.85 * generic);
  }

  /**
   * By arithmetic: friction of 10 % takes one part in eleven of what can be lifted beyond the
   * body's own weight.
   */
  @Test
  void frictionTakesFromTheLoad() {
    double without = of(order(EVERYTHING), "leg-extension/upright").analysis().limitKg();
    double with =
        of(
                order(EVERYTHING.with(Equipment.LEG_EXTENSION, "friction", 0.1)),
                "leg-extension/upright")
            .analysis()
            .limitKg();
    assertThat(with).isCloseTo(without / 1.1, within(0.02));
  }

  @Test
  void aCurlWithoutAPadIsLessStableAndASmallerStepProgressesBetter() {
    Order noPad =
        order(
            EVERYTHING
                .with(Equipment.SEATED_CURL, "thighPad", 0)
                .with(Equipment.SEATED_CURL, "step", 1));
    assertThat(criterion(noPad, "seated-leg-curl/usual", "stability").value()).isEqualTo(0.5);
    assertThat(criterion(noPad, "seated-leg-curl/usual", "stability").reason())
        .contains(new CriterionFact.NoThighPad());
    assertThat(criterion(noPad, "seated-leg-curl/usual", "progression").value())
        .isGreaterThan(
            criterion(order(EVERYTHING), "seated-leg-curl/usual", "progression").value());
  }

  /** Small plates make small steps on bars and sleds, and change nothing on a stack. */
  @Test
  void thePlatesOwnedMakeTheStep() {
    GymEquipment micro =
        new GymEquipment(EVERYTHING.items(), Map.of(), new Plates(Map.of(0.5, 1, 20.0, 4)));
    assertThat(micro.smallestStepKg(Set.of(Equipment.BARBELL, Equipment.RACK))).isEqualTo(1);
    assertThat(micro.smallestStepKg(Set.of(Equipment.LEG_PRESS))).isEqualTo(1);
    assertThat(micro.smallestStepKg(Set.of(Equipment.SEATED_CURL))).isEqualTo(5);
    assertThat(
            micro
                .with(Equipment.BARBELL, "step", 5)
                .smallestStepKg(Set.of(Equipment.BARBELL, Equipment.RACK)))
        .as("what is said of the bar itself goes first")
        .isEqualTo(5);
    assertThat(EVERYTHING.smallestStepKg(Set.of(Equipment.BARBELL, Equipment.RACK))).isEqualTo(2.5);
    assertThatThrownBy(() -> new Plates(Map.of(0.0, 2, 20.0, 0)))
        .isInstanceOfSatisfying(InvalidInput.class, e -> assertThat(e.faults()).hasSize(2));
  }

  @Test
  void aSeatThatDoesNotGoBackFarEnoughIsSaid() {
    Order order = order(EVERYTHING.with(Equipment.LEG_EXTENSION, "thighMost", 0.35));
    assertThat(criterion(order, "leg-extension/upright", "stability").reason().orElseThrow())
        .isInstanceOf(CriterionFact.SeatTooShort.class)
        .satisfies(fact -> assertThat(Words.of(fact)).contains("in front of the pivot"));
    assertThat(criterion(order, "leg-extension/upright", "stability").value())
        .isLessThan(criterion(order(EVERYTHING), "leg-extension/upright", "stability").value());
  }

  /** What is not measured is marked, on every strip that hangs on it. */
  @Test
  void everyMachineSaysHowMuchOfItIsKnown() {
    assertThat(Said.all(entry(order(EVERYTHING), "leg-press/high").why()))
        .contains("Computed for a generic machine: nothing of this one is measured.");
    assertThat(
            entry(order(EVERYTHING.with(Equipment.LEG_PRESS, "railAngle", 40)), "leg-press/high")
                .why())
        .contains(new Reason.MachineKnown(1, 6));
    for (String free : List.of("back-squat/high-bar", "one-leg-hinge/free", "lunge/walking")) {
      assertThat(Said.all(entry(order(EVERYTHING), free).why()))
          .as(free)
          .noneMatch(word -> word.contains("machine"));
    }
  }

  @Test
  void aRollerThatDoesNotReachTheAnkleIsSaid() {
    Order order = order(EVERYTHING.with(Equipment.SEATED_CURL, "rollerMost", 0.3));
    assertThat(criterion(order, "seated-leg-curl/usual", "stability").reason().orElseThrow())
        .isInstanceOf(CriterionFact.RollerTooShort.class)
        .satisfies(fact -> assertThat(Words.of(fact)).contains("presses on the shin"));
    assertThat(
            criterion(
                    order(EVERYTHING.with(Equipment.SEATED_CURL, "rollerMost", 0.5)),
                    "seated-leg-curl/usual",
                    "stability")
                .reason()
                .orElseThrow())
        .isNotInstanceOf(CriterionFact.RollerTooShort.class);
  }

  @Test
  void whatWouldBeWorthMeasuringIsComputedAndNotAskedTwice() {
    Brief brief = brief(EVERYTHING, Profile.unknown());
    Map<CandidateId, Evaluation> evaluations = Evaluated.of(MAN, EVERYTHING, School.STRETCH);
    List<MachineMeasuringValue> worth = MachineMeasuringValue.of(brief, evaluations);
    assertThat(worth)
        .isNotEmpty()
        .isSortedAccordingTo((a, second) -> Integer.compare(second.affected(), a.affected()));
    MachineMeasuringValue first = worth.get(0);
    assertThat(Words.of(first)).contains("change their place");
    GymEquipment known =
        EVERYTHING.with(
            first.item(), first.detailId(), first.item().detail(first.detailId()).usual());
    assertThat(MachineMeasuringValue.of(brief.at(known), evaluations))
        .noneMatch(
            value -> value.item() == first.item() && value.detailId().equals(first.detailId()));
  }

  @Test
  void likesAndTrainingAgeWeighAndHabitsSpeak() {
    Profile likes =
        new Profile(
            Optional.of(Profile.TrainingAge.WEEKS),
            Optional.of(2),
            Optional.of(50),
            Set.of(Habit.HINGE_TO_GLUTES),
            Optional.empty(),
            "",
            Set.of("seated-leg-curl"),
            Set.of("deadlift"));
    Order order = order(brief(EVERYTHING, likes));
    assertThat(criterion(order, "seated-leg-curl/usual", "liked").value()).isEqualTo(1);
    assertThat(criterion(order, "deadlift/conventional", "liked").value()).isZero();
    assertThat(criterion(order, "back-squat/high-bar", "learning").points() / 0.4)
        .as("beginner's weight")
        .isGreaterThan(
            criterion(order(EVERYTHING), "back-squat/high-bar", "learning").points() / 0.4);
    assertThat(Said.all(entry(order, "romanian-deadlift/usual").why()))
        .anyMatch(text -> text.contains("straighter knee"));
    assertThat(Said.all(entry(order, "leg-press/high").why()))
        .noneMatch(text -> text.contains("straighter knee"));
    assertThat(order(EVERYTHING).entries().get(0).ranked().contributions())
        .noneMatch(contribution -> contribution.criterion().equals("liked"));
  }

  @Test
  void valuesThatCannotBeAreNamedAllAtOnce() {
    assertThatThrownBy(
            () ->
                new GymEquipment(
                    Set.of(Equipment.LEG_PRESS),
                    Map.of(
                        Equipment.LEG_PRESS,
                        Map.of("railAngle", 120.0, "colour", 1.0),
                        Equipment.SEATED_CURL,
                        Map.of("thighPad", 0.5)),
                    Plates.unknown()))
        .isInstanceOfSatisfying(
            InvalidInput.class,
            e ->
                assertThat(e.faults())
                    .extracting(InvalidInput.Fault::field)
                    .containsExactlyInAnyOrder(
                        "measured.leg-press.railAngle",
                        "measured.leg-press.colour",
                        "measured.seated-curl.thighPad"));
    assertThatThrownBy(
            () ->
                new Profile(
                    Optional.empty(),
                    Optional.of(9),
                    Optional.of(5),
                    Set.of(),
                    Optional.empty(),
                    "",
                    Set.of("deadlift"),
                    Set.of("deadlift")))
        .isInstanceOfSatisfying(InvalidInput.class, e -> assertThat(e.faults()).hasSize(3));
  }

  @Test
  void whatComesByIdsIsNamedAllAtOnceWhereItIsNotKnown() {
    assertThatThrownBy(
            () ->
                GymEquipment.of(
                    List.of("rack", "sofa"),
                    Map.of("lamp", Map.of("step", 1.0), "rack", Map.of("colour", 1.0)),
                    Plates.unknown()))
        .hasMessageContaining("\"sofa\" is not known")
        .hasMessageContaining("\"lamp\" is not known")
        .hasMessageContaining("measured.rack.colour");
    assertThat(
            GymEquipment.of(
                    List.of("leg-press"),
                    Map.of("leg-press", Map.of("railAngle", 40.0)),
                    Plates.unknown())
                .measuredById())
        .isEqualTo(Map.of("leg-press", Map.of("railAngle", 40.0)));
  }
}
