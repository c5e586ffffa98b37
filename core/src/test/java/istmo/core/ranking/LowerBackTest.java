package istmo.core.ranking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Region;
import istmo.core.body.Body;
import istmo.core.body.Cautions;
import istmo.core.body.Profile;
import istmo.core.body.Sex;
import istmo.core.catalogue.CandidateId;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisPoint;
import istmo.core.plan.Offers;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.order.Order;
import istmo.core.ranking.order.Orders;
import istmo.core.ranking.order.Together;
import istmo.core.stimulus.HeaviestLength;
import istmo.core.stimulus.School;
import istmo.core.words.Said;
import istmo.core.words.Words;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The lower back as something to be trained: it is held, and what holds the most trains it. */
class LowerBackTest {
  private static final Body MAN = Body.estimated(1.78, 80, Sex.MALE);
  private static final GymEquipment EVERYTHING = GymEquipment.generic(Equipment.everything());

  private static Evaluation.Computed computed(Body body, String id) {
    return (Evaluation.Computed)
        Evaluated.of(body, EVERYTHING, School.STRETCH).get(new CandidateId(id));
  }

  private static double stimulus(Body body, String id) {
    return computed(body, id).stimulus().get(Region.ERECTORS);
  }

  /** Statics: its share of its strength is the moment about L5/S1 over what the body has. */
  @Test
  void itIsDrivenByTheMomentAboutTheLowestDisc() {
    Analysis analysis = computed(MAN, "good-morning/usual").analysis();
    AnalysisPoint bottom = analysis.points().get(analysis.points().size() - 1);
    double moment = bottom.externalNm()[Coordinate.LUMBAR_FLEXION.ordinal()];
    assertThat(bottom.activation()[Region.ERECTORS.muscleIndex()])
        .isCloseTo(moment / MAN.lumbarNm(), within(0.01))
        .isGreaterThan(0.4);
  }

  @Test
  void itIsSaidToBeHeldWhereItWorks() {
    int back = Region.ERECTORS.muscleIndex();
    assertThat(heaviest("good-morning/usual", back)).isEqualTo(HeaviestLength.HELD);
    assertThat(heaviest("leg-press/low", back)).isEqualTo(HeaviestLength.NOTHING);
  }

  private static HeaviestLength heaviest(String id, int muscle) {
    return HeaviestLength.of(computed(MAN, id).analysis(), School.STRETCH, muscle);
  }

  /** A back on a pad holds nothing. */
  @ParameterizedTest
  @ValueSource(strings = {"leg-press/low", "hack-squat/usual", "leg-extension/upright"})
  void whatSupportsTheBackDoesNotTrainIt(String id) {
    assertThat(stimulus(MAN, id)).isZero();
  }

  /** The same body with a stronger back works it less with the same exercise. */
  @Test
  void aStrongerBackGetsLess() {
    Body strong = MAN.withStrength(1, 1.3 * MAN.lumbarNm());
    assertThat(stimulus(strong, "romanian-deadlift/usual"))
        .isLessThan(0.9 * stimulus(MAN, "romanian-deadlift/usual"));
  }

  /** Common practice: deadlifts, hinges and back extensions make a back strong. */
  @Test
  void aCoachWhoAsksForItIsToldHinges() {
    Order order = order(Aim.of(Map.of("ERECTORS", 3), Set.of()));
    List<String> first =
        order.entries().stream().limit(4).map(entry -> entry.id().exerciseId()).toList();
    assertThat(first.get(0)).isEqualTo("deadlift");
    assertThat(first).contains("back-extension", "good-morning");
    assertThat(Words.of(order.entries().get(0).why()))
        .as("it is held: nothing is said of a length that it works at")
        .anyMatch(sentence -> sentence.startsWith("Asks most of the lower back"))
        .noneMatch(sentence -> sentence.contains("best length"));
  }

  /** It moves at no joint, and the best two of an aim with it must not forget it. */
  @Test
  void theBestTwoTrainItToo() {
    Order order = order(Aim.of(Map.of("ERECTORS", 3, "VL", 2), Set.of()));
    double most = order.entries().stream().mapToDouble(LowerBackTest::back).max().orElseThrow();
    Together pair = order.together().get(0);
    assertThat(
            order.all().stream()
                .filter(entry -> pair.candidateIds().contains(entry.id()))
                .mapToDouble(LowerBackTest::back)
                .max()
                .orElseThrow())
        .isGreaterThan(0.7 * most);
    assertThat(Said.together(pair.members())).contains("lower back");
  }

  /** Common practice: a hinge that is felt in the lower back alone is done wrong. */
  @Test
  void aHingeIsMeantForItOnlyWhereItIsAskedFor() {
    assertThat(romanian(Aim.of(Map.of("BFL", 3), Set.of())))
        .contains(Region.BFL)
        .doesNotContain(Region.ERECTORS);
    assertThat(romanian(Aim.of(Map.of("ERECTORS", 3), Set.of()))).contains(Region.ERECTORS);
  }

  private static List<Region> romanian(Aim aim) {
    return new Offers(order(aim), brief(aim), List.of(), List.of())
        .find(new CandidateId("romanian-deadlift/usual"))
        .orElseThrow()
        .mainly(aim);
  }

  private static double back(Order.Entry entry) {
    return entry.stimulus().get(Region.ERECTORS);
  }

  /** Kept out, it counts by the load on it, which a weak stimulus would hide. */
  @Test
  void itIsKeptOutByTheLoadOnIt() {
    Order order = order(Aim.of(Map.of("VL", 3), Set.of("ERECTORS")));
    assertThat(order.entries().get(0).evaluation().analysis().points())
        .allSatisfy(point -> assertThat(point.backActivation()).isLessThan(0.2));
  }

  private static Order order(Aim aim) {
    return Orders.order(brief(aim), Evaluated.of(MAN, EVERYTHING, School.STRETCH));
  }

  private static Brief brief(Aim aim) {
    return new Brief(
        MAN, Cautions.none(), Profile.unknown(), EVERYTHING, aim, School.STRETCH, Optional.empty());
  }
}
