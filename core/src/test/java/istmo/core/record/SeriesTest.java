package istmo.core.record;

import static istmo.core.record.Done.DAY;
import static istmo.core.record.Done.ranged;
import static istmo.core.record.Done.set;
import static istmo.core.record.Done.weekly;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionValues;
import istmo.core.anatomy.Sparse;
import istmo.core.body.Measurement.Side;
import istmo.core.body.PainFlag;
import istmo.core.catalogue.CandidateId;
import istmo.core.quantity.InvalidInput;
import istmo.core.training.PerformedSet;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

class SeriesTest {
  @Test
  void theBestSetOfADayMakesItsReading() {
    Series series =
        weekly(
            List.of(set(60, 10, 2), set(70, 7, 1)),
            List.of(set(60, 20, 0)),
            List.of(ranged(90, 8, 0, SetRecord.Range.SHORT), set(72.5, 7, 1)));
    List<Series.Maximum> maximums = series.maxima();
    assertThat(maximums)
        .extracting(maximum -> maximum.from().loadKg())
        .as("twenty repetitions tell nothing of one; a short range makes no record")
        .containsExactly(70.0, 72.5);
    assertThat(maximums.get(0).on()).isEqualTo(DAY.minusWeeks(2));
  }

  @Test
  void repetitionRecordsAreWhatNothingElseBeats() {
    Series series =
        weekly(
            List.of(set(60, 10, 2), set(60, 8, 0), set(50, 9, 2)),
            List.of(set(70, 6, 1), set(55, 12, 2)),
            List.of(ranged(70, 12, 0, SetRecord.Range.SHORT)));
    assertThat(series.records())
        .extracting(Series.RepetitionRecord::loadKg)
        .containsExactly(70.0, 60.0, 55.0);
    assertThat(series.records())
        .extracting(Series.RepetitionRecord::repetitions)
        .containsExactly(6, 10, 12);
  }

  @Test
  void eachSideHasRecordsOfItsOwn() {
    Series series = weekly(List.of(set(20, 10, 2, Side.LEFT), set(20, 12, 2, Side.RIGHT)));
    assertThat(series.records())
        .extracting(Series.RepetitionRecord::side, Series.RepetitionRecord::repetitions)
        .containsExactly(
            org.assertj.core.groups.Tuple.tuple(Side.LEFT, 10),
            org.assertj.core.groups.Tuple.tuple(Side.RIGHT, 12));
  }

  /** Records against trying every pair of sets, on records by chance. */
  @Test
  void recordsAgainstEveryPair() {
    Random random = new Random(7);
    for (int round = 0; round < 200; round++) {
      List<SetRecord> sets =
          random
              .ints(12, 0, 1)
              .mapToObj(i -> set(20 + 5 * random.nextInt(5), 5 + random.nextInt(8), 1))
              .toList();
      List<Series.RepetitionRecord> found = weekly(sets).records();
      for (SetRecord set : sets) {
        boolean beaten =
            sets.stream()
                .anyMatch(
                    record ->
                        record.done().loadKg() >= set.done().loadKg()
                            && record.done().repetitions() >= set.done().repetitions()
                            && (record.done().loadKg() > set.done().loadKg()
                                || record.done().repetitions() > set.done().repetitions()));
        assertThat(
                found.stream()
                    .anyMatch(
                        record ->
                            record.loadKg() == set.done().loadKg()
                                && record.repetitions() == set.done().repetitions()))
            .isEqualTo(!beaten);
      }
    }
  }

  /** Left 20 kg for 10, right 20 kg for 13, two in reserve: by the equations 5 to 10 %. */
  @Test
  void aSideGapHasItsError() {
    List<SetRecord> both = List.of(set(20, 10, 2, Side.LEFT), set(20, 13, 2, Side.RIGHT));
    SideGap once = SideGap.of(weekly(both)).orElseThrow();
    SideGap often = SideGap.of(weekly(both, both, both, both)).orElseThrow();
    assertThat(often.percent()).isEqualTo(once.percent(), within(1e-9)).isBetween(5.0, 15.0);
    assertThat(often.standardErrorPercent())
        .isCloseTo(once.standardErrorPercent() / 2, within(1e-9));
    assertThat(often.weaker()).contains(Side.LEFT);
    assertThat(often.grows()).isFalse();
    assertThat(SideGap.of(weekly(List.of(set(20, 10, 2, Side.LEFT))))).isEmpty();
  }

  @Test
  void oneRepetitionOnceIsNoGap() {
    assertThat(
            SideGap.of(weekly(List.of(set(20, 10, 2, Side.LEFT), set(20, 11, 2, Side.RIGHT))))
                .orElseThrow()
                .weaker())
        .isEmpty();
  }

  @Test
  void aGapThatGrowsIsSeen() {
    Series series =
        weekly(
            sides(10, 10), sides(10, 11), sides(9, 12), sides(9, 13), sides(8, 14), sides(8, 15));
    assertThat(SideGap.of(series).orElseThrow().grows()).isTrue();
    assertThat(
            SideGap.of(
                    weekly(
                        sides(8, 15),
                        sides(8, 14),
                        sides(9, 13),
                        sides(9, 12),
                        sides(10, 11),
                        sides(10, 10)))
                .orElseThrow()
                .grows())
        .as("one that closes")
        .isFalse();
  }

  private static List<SetRecord> sides(int left, int right) {
    return List.of(set(20, left, 2, Side.LEFT), set(20, right, 2, Side.RIGHT));
  }

  @Test
  void theSideThatGoesFirst() {
    List<SetRecord> both = List.of(set(20, 10, 2, Side.LEFT), set(20, 14, 2, Side.RIGHT));
    assertThat(SideGap.first(List.of(weekly(both, both, both)), Optional.of(Side.LEFT)).side())
        .as("the record goes before what was said")
        .isEqualTo(Side.LEFT);
    assertThat(SideGap.first(List.of(), Optional.of(Side.LEFT)).side()).isEqualTo(Side.RIGHT);
    assertThat(SideGap.first(List.of(), Optional.empty()).side()).isEqualTo(Side.NONE);
  }

  @Test
  void weeksCountByEffortKindAndSide() {
    LocalDate monday = LocalDate.of(2026, 9, 7);
    List<WeeklySets.Count> counts =
        List.of(
            new WeeklySets.Count(
                monday, new CandidateId("a/b"), 2, SetRecord.Kind.WORK, Side.NONE, 3),
            new WeeklySets.Count(
                monday, new CandidateId("a/b"), 6, SetRecord.Kind.WORK, Side.NONE, 2),
            new WeeklySets.Count(
                monday, new CandidateId("a/b"), 0, SetRecord.Kind.DROP, Side.NONE, 2),
            new WeeklySets.Count(
                monday, new CandidateId("c/d"), 2, SetRecord.Kind.WORK, Side.LEFT, 2),
            new WeeklySets.Count(
                monday, new CandidateId("c/d"), 2, SetRecord.Kind.WORK, Side.RIGHT, 2));
    List<WeeklySets> weeks =
        WeeklySets.of(
            counts,
            monday.minusWeeks(1),
            monday,
            id ->
                Sparse.values(
                    id.text().equals("a/b")
                        ? Map.of(Region.VL, 1.0)
                        : Map.of(Region.VL, 0.5, Region.RF, 1.0)));
    assertThat(weeks).hasSize(2);
    assertThat(weeks.get(0).sets())
        .as("a week without training is a week")
        .isEqualTo(RegionValues.zero());
    assertThat(weeks.get(1).sets().get(Region.VL))
        .isCloseTo(3 + 2 * 0.5 + 2 * 0.4 + 2 * 0.5, within(1e-9));
    assertThat(weeks.get(1).sets().get(Region.RF)).isCloseTo(2, within(1e-9));
  }

  @Test
  void whatCannotBeIsRefusedByName() {
    assertThatThrownBy(() -> new Pain(PainFlag.KNEE, 11))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("pain.level: 11 is not within 0 to 10");
    assertThatThrownBy(
            () ->
                new SetRecord(
                    new PerformedSet(20, 10, 2),
                    SetRecord.Kind.WORK,
                    Optional.of(0),
                    Side.NONE,
                    Optional.empty(),
                    Optional.empty(),
                    Set.of(),
                    Optional.empty()))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("number");
    assertThatThrownBy(() -> Region.all("felt", List.of("NOSE", "VL", "EAR")))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("felt: \"NOSE\" is not a region")
        .hasMessageContaining("felt: \"EAR\" is not a region");
  }

  @Test
  void painSaysWhatToDoNextAndDefersToAClinician() {
    assertThat(new Pain(PainFlag.KNEE, 0).next()).isEmpty();
    assertThat(new Pain(PainFlag.KNEE, 2).next()).singleElement().asString().contains("ask again");
    assertThat(new Pain(PainFlag.KNEE, 4).next())
        .singleElement()
        .asString()
        .contains("less load")
        .contains("less range");
    assertThat(String.join(" ", new Pain(PainFlag.KNEE, 7).next()))
        .contains("End this exercise")
        .contains("licensed clinician");
  }
}
