package istmo.core.record;

import static istmo.core.record.Done.DAY;
import static istmo.core.record.Done.felt;
import static istmo.core.record.Done.hurting;
import static istmo.core.record.Done.set;
import static istmo.core.record.Done.weekly;
import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionValues;
import istmo.core.anatomy.Sparse;
import istmo.core.body.Measurement.Side;
import istmo.core.catalogue.CandidateId;
import istmo.core.record.Lesson.Act;
import istmo.core.record.Lesson.Kind;
import istmo.core.words.RecordWords;
import istmo.core.words.Words;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * What a coach would see in these records; that coaches look for these things is common practice.
 */
class LessonsTest {
  private static final Map<String, String> FAULTS =
      Map.of(
          "felt in the quads, meant for the glutes",
          "longer stride, more lean",
          "felt in the back",
          "less depth, lighter, brace first");

  private static List<Lesson> of(Series series, Region... mainly) {
    return Lessons.of(
        List.of(new Lessons.ReviewedSeries(series, "This one", FAULTS, Set.of(mainly))),
        Optional.empty(),
        DAY.plusDays(2));
  }

  @Test
  void aLiftThatStandsStillIsAStallWithTwoWaysOn() {
    Lesson lesson =
        of(weekly(
                List.of(set(60, 8, 2)),
                List.of(set(60, 10, 2)),
                List.of(set(60, 10, 2)),
                List.of(set(60, 9, 2)),
                List.of(set(60, 10, 2))))
            .get(0);
    assertThat(lesson.kind()).isEqualTo(Kind.STALL);
    assertThat(Words.of(lesson.found())).contains("3 sessions").contains("kg for one repetition");
    assertThat(lesson.proposals())
        .extracting(Lesson.Proposal::act)
        .containsExactly(Act.EASIER_WEEK, Act.OTHER_TEMPO);
  }

  @Test
  void aLiftThatMovesIsNone() {
    assertThat(
            of(
                weekly(
                    List.of(set(60, 8, 2)),
                    List.of(set(60, 9, 2)),
                    List.of(set(60, 10, 2)),
                    List.of(set(60, 11, 2)),
                    List.of(set(62.5, 9, 2)))))
        .isEmpty();
    assertThat(
            of(weekly(List.of(set(60, 10, 2)), List.of(set(60, 10, 2)), List.of(set(60, 10, 2)))))
        .as("too few to say")
        .isEmpty();
  }

  @Test
  void theSameLiftsWithinDaysAreNoStall() {
    List<Outing> days =
        List.of(
            new Outing(DAY.minusDays(8), List.of(set(60, 10, 2))),
            new Outing(DAY.minusDays(6), List.of(set(60, 10, 2))),
            new Outing(DAY.minusDays(4), List.of(set(60, 10, 2))),
            new Outing(DAY.minusDays(2), List.of(set(60, 10, 2))),
            new Outing(DAY, List.of(set(60, 10, 2))));
    assertThat(of(new Series(new CandidateId("a/b"), Map.of(), days))).isEmpty();
  }

  @Test
  void oldRecordsTeachNothingAnyMore() {
    Series series =
        weekly(
            DAY.minusDays(60),
            List.of(
                List.of(set(60, 8, 2)),
                List.of(set(60, 10, 2)),
                List.of(set(60, 10, 2)),
                List.of(set(60, 9, 2)),
                List.of(set(60, 10, 2))));
    assertThat(of(series)).isEmpty();
  }

  @Test
  void aSideThatFallsBack() {
    Lesson lesson = of(weekly(sides(10, 13), sides(10, 14), sides(9, 14))).get(0);
    assertThat(lesson.kind()).isEqualTo(Kind.SIDE_GAP);
    assertThat(Words.of(lesson.found())).startsWith("The left is").contains("±");
    assertThat(RecordWords.of(lesson, lesson.proposals().get(0))).contains("left side first");
  }

  private static List<SetRecord> sides(int left, int right) {
    return List.of(set(20, left, 2, Side.LEFT), set(20, right, 2, Side.RIGHT));
  }

  @Test
  void painThatComesBack() {
    Lesson lesson =
        of(weekly(
                List.of(hurting(60, 10, 4)),
                List.of(set(60, 10, 2)),
                List.of(hurting(60, 10, 3)),
                List.of(hurting(60, 10, 5))))
            .get(0);
    assertThat(lesson.kind()).isEqualTo(Kind.PAINFUL);
    assertThat(Words.of(lesson.found())).contains("3 of the last 4").contains("5 of 10");
    assertThat(lesson.proposals())
        .extracting(Lesson.Proposal::act)
        .containsExactly(Act.SWAP, Act.LESS_RANGE);
    assertThat(
            of(weekly(
                    List.of(hurting(60, 10, 7)),
                    List.of(hurting(60, 10, 6)),
                    List.of(hurting(60, 10, 6))))
                .get(0)
                .proposals())
        .extracting(Lesson.Proposal::act)
        .containsExactly(Act.SWAP);
    assertThat(
            of(
                weekly(
                    List.of(hurting(60, 10, 2)),
                    List.of(hurting(60, 10, 2)),
                    List.of(hurting(60, 10, 2)))))
        .as("a little")
        .isEmpty();
  }

  @Test
  void neverFeltWhereItShouldBe() {
    Series series =
        weekly(
            List.of(felt(60, 8, "VL")),
            List.of(felt(60, 9, "RF")),
            List.of(set(60, 10, 2)),
            List.of(felt(60, 11, "VM")));
    Lesson lesson = of(series, Region.GMAXM).get(0);
    assertThat(lesson.kind()).isEqualTo(Kind.NOT_FELT);
    assertThat(Words.of(lesson.found()))
        .isEqualTo("Felt in the quads in the last 3 sessions, never in the glutes.");
    assertThat(lesson.proposals().get(0).act()).isEqualTo(Act.RE_DIAL);
    assertThat(RecordWords.of(lesson, lesson.proposals().get(0)))
        .isEqualTo("Longer stride, more lean.");
    assertThat(of(series, Region.VL)).as("felt where it should be, in a neighbour").isEmpty();
    Lesson byBack =
        of(
                weekly(
                    List.of(felt(60, 8, "ERECTORS")),
                    List.of(felt(60, 9, "ERECTORS")),
                    List.of(felt(60, 10, "ERECTORS"))),
                Region.BFL)
            .get(0);
    assertThat(RecordWords.of(byBack, byBack.proposals().get(0)))
        .isEqualTo("Less depth, lighter, brace first.");
  }

  @Test
  void weeksBehindWhatIsAsked() {
    RegionValues little = Sparse.values(Map.of(Region.VL, 8.0, Region.BFL, 1.0));
    Lessons.Weekly weekly =
        new Lessons.Weekly(
            List.of(little, little, RegionValues.zero(), little),
            DAY,
            Map.of(Region.VL, 6.0, Region.BFL, 4.0));
    List<Lesson> lessons = Lessons.of(List.of(), Optional.of(weekly), DAY);
    assertThat(lessons)
        .extracting(Lesson::kind, Lesson::subject)
        .contains(
            org.assertj.core.groups.Tuple.tuple(Kind.REGION_BEHIND, "BFL"),
            org.assertj.core.groups.Tuple.tuple(Kind.BALANCE, "back"));
    assertThat(lessons)
        .extracting(Lesson::subject)
        .as("6 a week over four weeks are asked and done")
        .doesNotContain("VL");
    assertThat(
            Lessons.of(
                List.of(),
                Optional.of(
                    new Lessons.Weekly(
                        List.of(
                            RegionValues.zero(), RegionValues.zero(), RegionValues.zero(), little),
                        DAY,
                        Map.of(Region.VL, 6.0))),
                DAY))
        .as("one week of training says nothing")
        .isEmpty();
  }

  @Test
  void theMostPressingComesFirst() {
    Series stall =
        weekly(
            List.of(set(60, 8, 2)),
            List.of(set(60, 10, 2)),
            List.of(set(60, 10, 2)),
            List.of(set(60, 9, 2)),
            List.of(set(60, 10, 2)));
    Series pain =
        weekly(
            List.of(hurting(60, 10, 4)), List.of(hurting(60, 10, 3)), List.of(hurting(60, 10, 5)));
    List<Lesson> lessons =
        Lessons.of(
            List.of(
                new Lessons.ReviewedSeries(stall, "A", Map.of(), Set.of()),
                new Lessons.ReviewedSeries(pain, "B", Map.of(), Set.of())),
            Optional.empty(),
            DAY);
    assertThat(lessons).extracting(Lesson::kind).containsExactly(Kind.PAINFUL, Kind.STALL);
  }
}
