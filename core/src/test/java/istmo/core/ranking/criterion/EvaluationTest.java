package istmo.core.ranking.criterion;

import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.anatomy.Region;
import istmo.core.body.Body;
import istmo.core.body.Sex;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.LoadRule;
import istmo.core.movement.Family;
import istmo.core.movement.Posture;
import istmo.core.movement.Setup;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import istmo.core.words.Said;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class EvaluationTest {
  private static final GymEquipment GENERIC = GymEquipment.generic(Set.of());

  private static Evaluation.Computed evaluated(Body body, String id) {
    return evaluated(body, id, GENERIC);
  }

  private static Evaluation.Computed evaluated(Body body, String id, GymEquipment equipment) {
    return (Evaluation.Computed)
        Evaluation.of(
            body,
            new Analyser(body),
            Catalogue.standard().candidate(id),
            equipment,
            School.STRETCH);
  }

  /**
   * Strong legs could go on far beyond what a goblet squat is done for: the set counts to the end
   * of its range, and the order says how many are left in reserve. One stops at 20 of 20.
   */
  @Test
  void whatTheArmsKeepLightCountsToTheEndOfItsRange() {
    Body man = Body.estimated(1.80, 85, Sex.MALE);
    Body strong = man.withStrength(1.6, 1.6 * man.lumbarNm());
    Candidate goblet = Catalogue.standard().candidate("goblet-squat/usual");
    Exercise exercise = goblet.exercise();
    Evaluation.Computed held = evaluated(strong, goblet.id().text());
    Analysis toFailure =
        (Analysis)
            new Analyser(strong).analyse(exercise.family(), held.reach().setup(), LoadRule.USUAL);
    assertThat(exercise.mostRepetitions()).isEqualTo(20);
    assertThat(toFailure.set().repetitions()).isGreaterThan(25);
    assertThat(held.analysis().set().repetitions()).isEqualTo(20);
    assertThat(held.stimulus().get(Region.VL))
        .isLessThan(0.9 * Stimulus.byRegion(toFailure, School.STRETCH).get(Region.VL))
        .isPositive();
    assertThat(Said.all(held.reach().changes()))
        .anyMatch(
            word -> word.matches("For about 20 repetitions with \\d+ in reserve\\. The arms .*"));
  }

  /**
   * A cable that pulls the hips back is held by body weight: balance ends its load before the
   * muscles do, at about half of body mass (common practice: pull-throughs stay light and are done
   * for many). The most that balance allows is possible in every phase, and little more is not.
   */
  @Test
  void balanceEndsAPullThrough() {
    Body man = Body.estimated(1.78, 80, Sex.MALE);
    Evaluation.Computed pull = evaluated(man, "pull-through/usual");
    double kg = pull.analysis().workingKg();
    assertThat(kg / man.massKg()).isBetween(0.35, 0.7);
    assertThat(pull.analysis().set().repetitions()).isEqualTo(20);
    assertThat(Said.all(pull.reach().changes()))
        .anyMatch(
            word ->
                word.matches(
                    "For about 20 repetitions with \\d+ in reserve\\. With more than \\d+\u00a0kg"
                        + " balance goes before the muscles do\\."));
    Family family = pull.candidate().exercise().family();
    assertThat(possible(family, man, pull.reach().setup(), kg)).isTrue();
    assertThat(possible(family, man, pull.reach().setup(), kg + 0.5)).isFalse();
  }

  private static boolean possible(Family family, Body body, Setup setup, double kg) {
    return IntStream.rangeClosed(0, 20)
        .allMatch(k -> family.posture(body, setup, k / 20.0, kg) instanceof Posture);
  }

  /** What loads enough is compared at ten repetitions, whatever its range. */
  @Test
  void aBarIsLoadedForTen() {
    assertThat(
            evaluated(Body.estimated(1.80, 85, Sex.MALE), "back-squat/high-bar")
                .analysis()
                .set()
                .repetitions())
        .isBetween(9.5, 10.5);
  }

  /**
   * A place ends at its heaviest weights: what asks for more is done for more repetitions, never
   * for more growth than ten with enough weight (Schoenfeld et al. 2017 found light and heavy sets
   * to failure alike), and for less where many are left in reserve.
   */
  @Test
  void theHeaviestWeightOfThePlaceEndsIt() {
    Body man = Body.estimated(1.80, 85, Sex.MALE);
    String id = "romanian-deadlift/dumbbells";
    Evaluation.Computed heavy = evaluated(man, id, dumbbells(160));
    Evaluation.Computed light = evaluated(man, id, dumbbells(80));
    Evaluation.Computed lighter = evaluated(man, id, dumbbells(30));
    assertThat(heavy.analysis().workingKg()).isGreaterThan(80);
    assertThat(Said.all(heavy.reach().changes())).noneMatch(word -> word.contains("heavier"));
    assertThat(light.analysis().workingKg()).isEqualTo(80);
    assertThat(light.analysis().set().repetitions())
        .isBetween(11.0, (double) UsualSet.MOST_WITH_LITTLE);
    assertThat(Practical.work(light.stimulus()))
        .isLessThanOrEqualTo(Practical.work(heavy.stimulus()) * (1 + 1e-9));
    assertThat(lighter.stimulus().get(Region.BFL)).isLessThan(light.stimulus().get(Region.BFL));
    assertThat(Said.all(lighter.reach().changes()))
        .anyMatch(
            word ->
                word.matches(
                    "For about 20 repetitions with \\d+ in reserve\\. There is nothing heavier"
                        + " than 30\u00a0kg here\\."));
  }

  /** One weight is half a pair. */
  @Test
  void oneWeightIsHalfAPair() {
    Body man = Body.estimated(1.80, 85, Sex.MALE);
    assertThat(evaluated(man, "hip-thrust/dumbbell", dumbbells(60)).analysis().workingKg())
        .isEqualTo(30);
    assertThat(evaluated(man, "hip-thrust/usual", dumbbells(60)).analysis().workingKg())
        .as("a bar is not a dumbbell")
        .isGreaterThan(60);
  }

  /** Common practice: a bridge on the floor is done for many, a bar over the hips is loaded. */
  @Test
  void whatNothingIsLaidOnIsDoneWithTheBodyAlone() {
    Body man = Body.estimated(1.80, 85, Sex.MALE);
    Evaluation.Computed bridge = evaluated(man, "bridge/floor");
    assertThat(bridge.analysis().workingKg()).isZero();
    assertThat(Said.all(bridge.reach().changes()))
        .anyMatch(
            word ->
                word.matches(
                    "For about \\d+ repetitions with \\d+ in reserve, with the body's own"
                        + " weight\\."));
    Evaluation.Computed loaded = evaluated(man, "barbell-bridge/usual");
    assertThat(loaded.analysis().workingKg()).isGreaterThan(60);
    assertThat(Practical.work(bridge.stimulus()))
        .isLessThan(0.7 * Practical.work(loaded.stimulus()));
  }

  /** Straps lift what the hands end, and still no more than is there. */
  @Test
  void strapsLiftNoMoreThanIsThere() {
    Body woman = Body.estimated(1.65, 62, Sex.FEMALE);
    Evaluation.Computed held = evaluated(woman, "romanian-deadlift/dumbbells", dumbbells(70));
    assertThat(Said.all(held.reach().changes()))
        .anyMatch(word -> word.startsWith("With straps."))
        .anyMatch(word -> word.endsWith("There is nothing heavier than 70\u00a0kg here."));
    assertThat(held.analysis().workingKg()).isEqualTo(70);
  }

  private static GymEquipment dumbbells(double heaviestPairKg) {
    return GymEquipment.generic(Set.of(Equipment.DUMBBELLS, Equipment.BENCH))
        .with(Equipment.DUMBBELLS, "most", heaviestPairKg);
  }
}
