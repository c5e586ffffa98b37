package istmo.core.record;

import static istmo.core.record.Done.DAY;
import static istmo.core.record.Done.hurting;
import static istmo.core.record.Done.ranged;
import static istmo.core.record.Done.set;
import static istmo.core.record.Done.timed;
import static istmo.core.record.Done.weekly;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.catalogue.CandidateId;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.equipment.Loading;
import istmo.core.equipment.Plates;
import istmo.core.record.Progression.Asked;
import istmo.core.record.Progression.Next;
import istmo.core.record.Progression.Rule;
import istmo.core.words.Words;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * The rules by table. "Repetitions first, then load, by the smallest step the equipment has" and "a
 * weight that cannot be brought to full extension is too heavy" are common practice.
 */
class ProgressionTest {
  private static final Set<Equipment> STACK = Set.of(Equipment.LEG_EXTENSION);
  private static final GymEquipment GYM =
      GymEquipment.generic(Set.of(Equipment.LEG_EXTENSION, Equipment.BARBELL, Equipment.RACK))
          .with(Equipment.LEG_EXTENSION, "step", 5);
  private static final Asked EIGHT_TO_TWELVE = new Asked(8, 12, 2);
  private static final LocalDate NEXT_WEEK = DAY.plusDays(7);

  private static List<SetRecord> three(double kg, int a, int b, int c, double reserve) {
    return List.of(set(kg, a, reserve), set(kg, b, reserve), set(kg, c, reserve));
  }

  static Stream<Arguments> table() {
    return Stream.concat(loadsAndRepetitions(), techniqueAndPain());
  }

  private static Stream<Arguments> loadsAndRepetitions() {
    return Stream.of(
        Arguments.of("no record", weekly(), Rule.BEGIN, null, 8),
        Arguments.of(
            "within the range: one repetition more than the least",
            weekly(three(50, 10, 9, 9, 2)),
            Rule.REPETITIONS,
            50.0,
            10),
        Arguments.of(
            "nearly at the top", weekly(three(50, 12, 12, 11, 2)), Rule.REPETITIONS, 50.0, 12),
        Arguments.of(
            "all at the top with the reserve asked",
            weekly(three(60, 12, 12, 12, 2)),
            Rule.LOAD,
            65.0,
            8),
        Arguments.of(
            "half a repetition less in reserve is as felt",
            weekly(three(60, 12, 12, 12, 1.5)),
            Rule.LOAD,
            65.0,
            8),
        Arguments.of(
            "at the top but at failure", weekly(three(60, 12, 12, 12, 0)), Rule.SAME, 60.0, 12),
        Arguments.of(
            "light stack: the next pin is too heavy",
            weekly(three(10, 12, 12, 12, 2)),
            Rule.STEP_TOO_LARGE,
            10.0,
            13),
        Arguments.of(
            "far beyond the range even a large step is taken",
            weekly(three(10, 17, 17, 17, 2)),
            Rule.LOAD,
            15.0,
            4),
        Arguments.of(
            "below the range once",
            weekly(three(60, 10, 9, 8, 2), three(60, 7, 7, 6, 2)),
            Rule.SAME,
            60.0,
            8),
        Arguments.of(
            "below the range twice",
            weekly(three(60, 7, 7, 6, 2), three(60, 7, 7, 6, 2)),
            Rule.LESS,
            55.0,
            8),
        Arguments.of(
            "below the range after a step up is not twice",
            weekly(three(55, 7, 7, 6, 2), three(60, 7, 7, 6, 2)),
            Rule.SAME,
            60.0,
            8));
  }

  private static Stream<Arguments> techniqueAndPain() {
    return Stream.of(
        Arguments.of(
            "short range",
            weekly(
                List.of(
                    ranged(60, 12, 2, SetRecord.Range.SHORT),
                    ranged(60, 12, 2, SetRecord.Range.SHORT),
                    set(60, 12, 2))),
            Rule.WHOLE_RANGE,
            55.0,
            8),
        Arguments.of(
            "long half on purpose is no short range",
            weekly(
                List.of(
                    ranged(60, 12, 2, SetRecord.Range.LONG_HALF),
                    ranged(60, 12, 2, SetRecord.Range.LONG_HALF))),
            Rule.LOAD,
            65.0,
            8),
        Arguments.of(
            "tempo dropped",
            weekly(
                List.of(timed(60, 12, 2, false), timed(60, 12, 2, false), timed(60, 12, 2, true))),
            Rule.TEMPO_FIRST,
            60.0,
            8),
        Arguments.of(
            "pain in the middle holds",
            weekly(List.of(hurting(60, 12, 4), set(60, 12, 2), set(60, 12, 2))),
            Rule.PAIN,
            60.0,
            8),
        Arguments.of(
            "strong pain goes down",
            weekly(List.of(hurting(60, 12, 7), set(60, 12, 2))),
            Rule.PAIN,
            55.0,
            8),
        Arguments.of(
            "a little pain does not hold",
            weekly(List.of(hurting(60, 12, 2), set(60, 12, 2))),
            Rule.LOAD,
            65.0,
            8));
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("table")
  void rules(String what, Series series, Rule rule, Double kg, int least) {
    Next next = Progression.next(series, EIGHT_TO_TWELVE, STACK, GYM, NEXT_WEEK);
    assertThat(next.rule()).as(Words.of(next.why())).isEqualTo(rule);
    assertThat(next.load().map(Loading::kg).orElse(null)).as(Words.of(next.why())).isEqualTo(kg);
    assertThat(next.repetitionsLow()).as(Words.of(next.why())).isEqualTo(least);
    assertThat(Words.of(next.why())).isNotBlank();
  }

  @Test
  void theStepIsWhatThisGymsPlatesMake() {
    Series bar =
        new Series(
            new CandidateId("back-squat/high-bar"),
            Map.of(),
            List.of(new Outing(DAY, three(60, 12, 12, 12, 2))));
    GymEquipment small =
        new GymEquipment(
            Set.of(Equipment.BARBELL, Equipment.RACK),
            Map.of(),
            new Plates(Map.of(20.0, 2, 10.0, 1, 1.25, 2)));
    GymEquipment large =
        new GymEquipment(
            Set.of(Equipment.BARBELL, Equipment.RACK),
            Map.of(),
            new Plates(Map.of(20.0, 2, 10.0, 1, 5.0, 1)));
    assertThat(
            Progression.next(
                    bar,
                    EIGHT_TO_TWELVE,
                    Set.of(Equipment.BARBELL, Equipment.RACK),
                    small,
                    NEXT_WEEK)
                .load()
                .orElseThrow()
                .kg())
        .isEqualTo(62.5);
    Next tooLarge =
        Progression.next(
            bar, EIGHT_TO_TWELVE, Set.of(Equipment.BARBELL, Equipment.RACK), large, NEXT_WEEK);
    assertThat(tooLarge.rule()).isEqualTo(Rule.STEP_TOO_LARGE);
    assertThat(Words.of(tooLarge.why())).contains("70\u00a0kg").contains("good for 7");
  }

  @Test
  void nothingHeavierIsSaidWhereTheLastPlateIsOn() {
    Series bar =
        new Series(
            new CandidateId("back-squat/high-bar"),
            Map.of(),
            List.of(new Outing(DAY, three(60, 12, 12, 12, 2))));
    GymEquipment last =
        new GymEquipment(
            Set.of(Equipment.BARBELL, Equipment.RACK), Map.of(), new Plates(Map.of(20.0, 1)));
    Next next =
        Progression.next(
            bar, EIGHT_TO_TWELVE, Set.of(Equipment.BARBELL, Equipment.RACK), last, NEXT_WEEK);
    assertThat(next.rule()).isEqualTo(Rule.NO_STEP_LEFT);
    assertThat(next.repetitionsLow()).isEqualTo(13);
  }

  @Test
  void bodyWeightGoesByRepetitions() {
    Series body = weekly(three(0, 12, 12, 12, 2));
    assertThat(Progression.next(body, EIGHT_TO_TWELVE, Set.of(), GYM, NEXT_WEEK).rule())
        .isEqualTo(Rule.NO_STEP_LEFT);
    assertThat(
            Progression.next(
                    weekly(three(0, 10, 9, 9, 2)), EIGHT_TO_TWELVE, Set.of(), GYM, NEXT_WEEK)
                .repetitionsLow())
        .isEqualTo(10);
  }

  @Test
  void afterAPauseItBeginsLower() {
    Series series = weekly(three(60, 12, 12, 12, 2));
    Next month = Progression.next(series, EIGHT_TO_TWELVE, STACK, GYM, DAY.plusDays(30));
    Next season = Progression.next(series, EIGHT_TO_TWELVE, STACK, GYM, DAY.plusDays(90));
    assertThat(month.rule()).isEqualTo(Rule.AFTER_PAUSE);
    assertThat(month.load().orElseThrow().kg()).isEqualTo(50);
    assertThat(season.load().orElseThrow().kg()).isEqualTo(35);
  }

  @Test
  void aLighterLastSetDoesNotHideTheWorkingLoad() {
    Series series = weekly(List.of(set(60, 12, 2), set(60, 12, 2), set(50, 15, 2)));
    assertThat(
            Progression.next(series, EIGHT_TO_TWELVE, STACK, GYM, NEXT_WEEK)
                .load()
                .orElseThrow()
                .kg())
        .isEqualTo(65);
  }
}
