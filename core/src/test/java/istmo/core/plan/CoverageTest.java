package istmo.core.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.data.Offset.offset;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.Sparse;
import istmo.core.body.Profile.TrainingAge;
import istmo.core.catalogue.CandidateId;
import istmo.core.equipment.Equipment;
import istmo.core.plan.Planned.Bout;
import istmo.core.plan.Planned.Day;
import istmo.core.plan.Planned.Week;
import istmo.core.ranking.brief.Aim;
import istmo.core.words.PlanWords;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CoverageTest {
  private static final Offer PRESS =
      Plans.offer(
          "press",
          Map.of(Region.VL, 0.8, Region.VM, 0.8, Region.VI, 0.8, Region.RF, 0.2, Region.GMAXM, 0.5),
          Role.HEAVY,
          Set.of(Equipment.LEG_PRESS),
          3,
          Plans.THREE_OF_TEN,
          new Plans.More(0.6, 0.2, false, Set.of(Function.KNEE_AND_HIP)));
  private static final Offer CURL =
      Plans.offer(
          "curl",
          Map.of(Region.BFL, 1.0, Region.ST, 0.9, Region.SM, 0.9, Region.BFS, 0.8),
          Role.SINGLE,
          Set.of(Equipment.SEATED_CURL),
          1,
          Plans.THREE_OF_TEN,
          new Plans.More(0.6, 0, false, Set.of(Function.KNEE_FLEXION)));
  private static final Offers OFFERS = new Offers(List.of(PRESS, CURL));

  private static Week week(int press, int curl) {
    return new Week(
        List.of(
            new Day(
                1,
                60,
                false,
                List.of(Bout.of(Plans.item("press", Plans.THREE_OF_TEN.withSets(press))))),
            new Day(
                4,
                60,
                false,
                List.of(Bout.of(Plans.item("curl", Plans.THREE_OF_TEN.withSets(curl)))))));
  }

  private static Targets targets(boolean balance) {
    return new Targets(
        Map.of(Region.VL, 6.0, Region.BFL, 3.0),
        Map.of(Region.VL, 2, Region.BFL, 1),
        Set.of(),
        Map.of(
            Function.KNEE_AND_HIP,
            2.0,
            Function.KNEE_FLEXION,
            2.0,
            Function.KNEE_WITH_OPEN_HIP,
            2.0),
        20,
        8,
        balance);
  }

  /**
   * By hand: 5 sets x 0.8 = 4.0 of 6; 3 x 1.0 = 3.0 of 3; front (4 + 4 + 4 + 1) / 4 = 3.25, back 3
   * x (1 + 0.9 + 0.9 + 0.8) / 4 = 2.7.
   */
  @Test
  void effectiveSetsByHand() {
    Coverage coverage = Coverage.of(week(5, 3), OFFERS, targets(true));
    assertThat(coverage.sets().get(Region.VL)).isCloseTo(4.0, offset(1e-9));
    assertThat(coverage.sets().get(Region.BFL)).isCloseTo(3.0, offset(1e-9));
    assertThat(coverage.sets().get(Region.GMAXM)).isCloseTo(2.5, offset(1e-9));
    assertThat(coverage.functions().get(Function.KNEE_AND_HIP)).isCloseTo(4.0, offset(1e-9));
    assertThat(coverage.functions().get(Function.KNEE_WITH_OPEN_HIP)).isZero();
    assertThat(coverage.front()).isCloseTo(3.25, offset(1e-9));
    assertThat(coverage.back()).isCloseTo(2.7, offset(1e-9));
    assertThat(coverage.days().get(0))
        .satisfies(
            day -> assertThat(day.sets()).isEqualTo(5),
            day -> assertThat(day.thighSets()).isEqualTo(5),
            day -> assertThat(day.back()).isCloseTo(1.0, offset(1e-9)));
    assertThat(coverage.findings()).first().isEqualTo(new Coverage.RegionShort(Region.VL, 4, 6));
    assertThat(words(coverage))
        .containsExactly(
            "Outer quad (sweep): 4.0 of 6 sets.",
            "Quads with the hip open: 0.0 of 2 sets. It takes leg extensions leaning back, sissy"
                + " squats.");
  }

  private static List<String> words(Coverage coverage) {
    return coverage.findings().stream().map(PlanWords::of).toList();
  }

  @Test
  void aNeglectedSideOfTheThighIsSaidUnlessItIsKeptOut() {
    assertThat(words(Coverage.of(week(10, 2), OFFERS, targets(true))))
        .anyMatch(field -> field.startsWith("The back of the thigh gets 1.8 sets, the front 6.5"));
    assertThat(words(Coverage.of(week(10, 2), OFFERS, targets(false))))
        .noneMatch(field -> field.contains("of the thigh"));
  }

  @Test
  void tooMuchAtOnceIsSaid() {
    Offer squat =
        Plans.offer(
            "squat",
            Map.of(Region.VL, 1.0),
            Role.HEAVY,
            Set.of(Equipment.RACK),
            3,
            Plans.THREE_OF_TEN,
            new Plans.More(0.6, 0.9, false, Set.of()));
    Day day =
        new Day(
            1,
            120,
            false,
            List.of(
                Bout.of(Plans.item("squat", Plans.THREE_OF_TEN.withSets(10))),
                Bout.of(
                    new Planned.Item(
                        "more", new CandidateId("squat"), Plans.THREE_OF_TEN.withSets(10), false)),
                Bout.of(
                    new Planned.Item(
                        "most", new CandidateId("squat"), Plans.THREE_OF_TEN.withSets(3), false))));
    List<String> texts =
        words(
            Coverage.of(
                new Week(List.of(day)),
                new Offers(List.of(squat)),
                Plans.targets(Map.of(Region.VL, 5.0))));
    assertThat(texts)
        .anyMatch(text -> text.contains("23 sets; a leg day holds about 20"))
        .anyMatch(text -> text.contains("20.7 sets at its limit"))
        .anyMatch(text -> text.contains("23.0 sets a week, more than about 20"))
        .anyMatch(text -> text.contains("23.0 sets at once"));
  }

  @Test
  void whatIsNotOnOfferAnyMoreCountsForNothing() {
    Week week =
        new Week(
            List.of(
                new Day(
                    1,
                    60,
                    false,
                    List.of(
                        Bout.of(Plans.item("gone", Plans.THREE_OF_TEN)),
                        Bout.of(Plans.item("curl", Plans.THREE_OF_TEN))))));
    assertThat(Coverage.of(week, OFFERS, targets(false)).days().get(0).sets()).isEqualTo(3);
    assertThat(Timing.of(week.days().get(0), OFFERS).segments())
        .extracting(Timing.Segment::itemId)
        .containsOnly("item-curl");
  }

  @Test
  void targetsRiseWithTheAimAndTheTrainingAge() {
    Aim aim = new Aim(Map.of(Region.VL, 3, Region.BFL, 1), Set.of());
    double[] vl = new double[3];
    for (TrainingAge trainingAge : TrainingAge.values()) {
      Targets targets = Targets.of(aim, Optional.of(trainingAge), true, OFFERS.all());
      vl[trainingAge.ordinal()] = targets.least().get(Region.VL);
      assertThat(targets.least().get(Region.VL)).isGreaterThan(targets.least().get(Region.BFL));
      assertThat(targets.held())
          .as("groups that nothing is asked of are held")
          .containsExactlyInAnyOrder(Region.GMAXM, Region.GASM, Region.SOL);
      assertThat(targets.least().get(Region.SOL))
          .isLessThanOrEqualTo(targets.least().get(Region.BFL));
    }
    assertThat(vl).isSorted();
    assertThat(Targets.of(aim, Optional.empty(), false, OFFERS.all()).held()).isEmpty();
    assertThat(
            Targets.of(
                new Aim(Map.of(Region.GMAXM, 3), Set.of(Region.VL)),
                Optional.empty(),
                true,
                OFFERS.all()))
        .satisfies(
            targets -> assertThat(targets.least()).doesNotContainKey(Region.VL),
            targets -> assertThat(targets.balance()).isFalse());
  }

  /** Facts of the trade (common practice): which exercises train which function. */
  @ParameterizedTest
  @CsvSource({
    "romanian-deadlift/usual,HIP_EXTENSION_HAMSTRINGS,true",
    "romanian-deadlift/usual,KNEE_FLEXION,false",
    "seated-leg-curl/usual,KNEE_FLEXION,true",
    "seated-leg-curl/usual,HIP_EXTENSION_HAMSTRINGS,false",
    "back-squat/high-bar,KNEE_AND_HIP,true",
    "leg-press/low,KNEE_AND_HIP,true",
    "leg-extension/upright,KNEE_AND_HIP,false",
    "leg-extension/upright,KNEE_WITH_OPEN_HIP,false",
    "leg-extension-reclined/reclined,KNEE_WITH_OPEN_HIP,true",
    "back-squat/high-bar,KNEE_WITH_OPEN_HIP,false",
    "hip-thrust/usual,HIP_EXTENSION_GLUTES,true",
    "abduction-machine/upright,HIP_ABDUCTION,true",
    "adduction-machine/usual,HIP_ADDUCTION,true",
    "adduction-machine/usual,HIP_ABDUCTION,false",
    "standing-calf-raise/usual,STRAIGHT_KNEE_CALF,true",
    "standing-calf-raise/usual,BENT_KNEE_CALF,false",
    "seated-calf-raise/usual,BENT_KNEE_CALF,true",
    "seated-calf-raise/usual,STRAIGHT_KNEE_CALF,false",
    "shin-raise/level,SHIN,true"
  })
  void functionsOfKnownExercises(String candidate, Function function, boolean trains) {
    assertThat(Facts.OFFERS.get(new CandidateId(candidate)).functions().contains(function))
        .as("%s: %s", candidate, function.label())
        .isEqualTo(trains);
  }

  /** And where in a session they belong. */
  @ParameterizedTest
  @CsvSource({
    "back-squat/high-bar,HEAVY",
    "horizontal-press/usual,HEAVY",
    "step-up/low,COMPOUND",
    "leg-press/low,HEAVY",
    "hack-squat/usual,HEAVY",
    "romanian-deadlift/usual,HEAVY",
    "hip-thrust/usual,HEAVY",
    "kneeling-curl/usual,DEMANDING",
    "split-squat/upright,COMPOUND",
    "leg-extension/upright,SINGLE",
    "seated-leg-curl/usual,SINGLE",
    "abduction-machine/upright,SINGLE",
    "standing-calf-raise/usual,CALF_STRAIGHT",
    "seated-calf-raise/usual,CALF_BENT",
    "shin-raise/level,SHIN"
  })
  void rolesOfKnownExercises(String candidate, Role role) {
    assertThat(Facts.OFFERS.get(new CandidateId(candidate)).role()).as(candidate).isEqualTo(role);
  }

  /** Everything on offer, computed once. */
  private static final class Facts {
    private static final Offers OFFERS =
        Plans.real(
            new Aim(
                Map.of(
                    Region.VL,
                    1,
                    Region.RF,
                    1,
                    Region.BFL,
                    1,
                    Region.GMAXM,
                    1,
                    Region.GMEDP,
                    1,
                    Region.GASM,
                    1,
                    Region.SOL,
                    1),
                Set.of()),
            TrainingAge.YEARS,
            Plans.EVERYTHING);
  }

  /** Full where what is asked is there; where nothing is asked, beside what would be much. */
  @Test
  void theChartIsFullWhereWhatIsAskedIsThere() {
    Coverage coverage =
        new Coverage(
            Sparse.values(Map.of(Region.VL, 9.0, Region.BFL, 1.5, Region.SOL, 3.0)),
            Map.of(),
            0,
            0,
            List.of(),
            List.of());
    assertThat(coverage.filled(Region.VL, Map.of(Region.VL, 6.0, Region.BFL, 5.0))).isEqualTo(1);
    assertThat(coverage.filled(Region.BFL, Map.of(Region.VL, 6.0, Region.BFL, 5.0)))
        .isCloseTo(0.3, within(1e-12));
    assertThat(coverage.filled(Region.SOL, Map.of())).as("6 sets would be much").isEqualTo(0.5);
    assertThat(coverage.filled(Region.SOL, Map.of(Region.VL, 12.0)))
        .as("beside the most asked")
        .isEqualTo(0.25);
    assertThat(coverage.filled(Region.TA, Map.of())).isZero();
  }
}
