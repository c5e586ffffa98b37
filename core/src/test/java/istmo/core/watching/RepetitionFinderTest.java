package istmo.core.watching;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import istmo.core.mechanics.Tempo;
import istmo.core.quantity.InvalidInput;
import istmo.core.watching.RepetitionFinder.Repetition;
import istmo.core.watching.RepetitionFinder.Sample;
import istmo.core.watching.StandInMotion.Sensor;
import istmo.core.watching.StandInMotion.Truth;
import istmo.core.watching.WatchedSet.Asked;
import istmo.core.words.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The finder against motions whose truth is known. */
class RepetitionFinderTest {
  private static final RepetitionFinder METRES = RepetitionFinder.ofBar();
  private static final RepetitionFinder DEGREES = RepetitionFinder.ofTilt();
  private static final Truth PLAIN = new Truth(2, 0.5, 1, 0.5, 0.5);

  private static List<Truth> times(int n, Truth truth) {
    return new ArrayList<>(java.util.Collections.nCopies(n, truth));
  }

  @ParameterizedTest
  @CsvSource({"1, false", "8, false", "8, true", "25, false", "1, true"})
  void exactSignalsGiveTheTruth(int n, boolean lowFirst) {
    List<Repetition> found =
        METRES.find(StandInMotion.samples(times(n, PLAIN), 1.4, 0.04, lowFirst, Sensor.EXACT, 1));
    assertThat(found).hasSize(n);
    assertThat(found)
        .allSatisfy(
            repetition -> {
              assertThat(repetition.range()).isCloseTo(0.5, within(0.01));
              assertThat(repetition.liftingS()).isCloseTo(1, within(0.25));
              assertThat(repetition.loweringS()).isCloseTo(2, within(0.45));
              assertThat(repetition.dropout()).isFalse();
            });
  }

  @Test
  void tempoChangesAreSeenPhaseByPhase() {
    List<Truth> truth =
        List.of(
            new Truth(4, 0, 1, 0, 0.5),
            new Truth(2, 2, 1, 0, 0.5),
            new Truth(2, 0, 2, 0, 0.5),
            new Truth(2, 0, 1, 1.5, 0.5),
            PLAIN);
    List<Repetition> found =
        METRES.find(StandInMotion.samples(truth, 1.4, 0.03, false, Sensor.EXACT, 2));
    assertThat(found).hasSize(5);
    assertThat(found.get(0).loweringS()).isGreaterThan(1.5 * found.get(1).loweringS());
    assertThat(found.get(1).lowS())
        .isCloseTo(2, within(0.6))
        .isGreaterThan(found.get(0).lowS() + 1.2);
    assertThat(found.get(2).liftingS()).isGreaterThan(1.6 * found.get(0).liftingS());
    assertThat(found.get(3).topS()).isCloseTo(1.5, within(0.6));
  }

  @Test
  void nothingIsFoundInStandingAboutOrInNoise() {
    Random random = new Random(5);
    List<Sample> still = new ArrayList<>();
    for (int k = 0; k < 1500; k++) {
      still.add(
          new Sample(k * 0.02, 1.2 + 0.006 * random.nextGaussian() + 0.015 * Math.sin(k * 0.01)));
    }
    assertThat(METRES.find(still)).isEmpty();
    assertThat(METRES.find(List.of())).isEmpty();
    assertThat(METRES.find(StandInMotion.samples(List.of(), 1.4, 0.03, false, Sensor.EXACT, 3)))
        .isEmpty();
  }

  @Test
  void aHalfRepetitionOnTheWayIsNoneOfItsOwnUnlessItIsHalfAtLeast() {
    List<Truth> truth = times(6, PLAIN);
    truth.set(3, new Truth(1, 0, 0.6, 0.3, 0.15)); // 30 %: a false start
    assertThat(METRES.find(StandInMotion.samples(truth, 1.4, 0.03, false, Sensor.EXACT, 4)))
        .hasSize(5);
    truth.set(3, new Truth(1.4, 0, 0.8, 0.3, 0.34)); // 68 %: a short one
    assertThat(METRES.find(StandInMotion.samples(truth, 1.4, 0.03, false, Sensor.EXACT, 4)))
        .hasSize(6);
  }

  @Test
  void aDropoutIsSaidAndItsTimesAreNotInvented() {
    List<Sample> all = StandInMotion.samples(times(6, PLAIN), 1.4, 0.03, false, Sensor.EXACT, 6);
    List<Sample> torn =
        all.stream().filter(sample -> sample.timeS() < 8.2 || sample.timeS() > 9.1).toList();
    List<Repetition> found = METRES.find(torn);
    assertThat(found).hasSize(6);
    assertThat(found.stream().filter(Repetition::dropout))
        .isNotEmpty()
        .allSatisfy(repetition -> assertThat(repetition.meanSpeed()).isZero());
    assertThat(found.stream().filter(repetition -> !repetition.dropout()))
        .hasSizeGreaterThanOrEqualTo(4);
  }

  @Test
  void timesThatGoBackAreRefused() {
    List<Sample> back =
        new ArrayList<>(StandInMotion.samples(times(2, PLAIN), 1.4, 0, false, Sensor.EXACT, 7));
    back.set(10, new Sample(0.05, 1.4));
    assertThatThrownBy(() -> METRES.find(back))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("goes forward");
  }

  /**
   * Precision and recall over many sets by chance, by how bad the sensor is: bar position in metres
   * and thigh tilt in degrees. A found repetition is right when its lifting overlaps a true one's;
   * docs/validation.md has the figures.
   */
  @ParameterizedTest
  @CsvSource({
    "0.002, 0.005, 0, 0, 0.999, 0.999",
    "0.005, 0.01, 0.002, 0.02, 0.995, 0.995",
    "0.010, 0.015, 0.01, 0.10, 0.98, 0.98"
  })
  void precisionAndRecall(
      double noiseM, double jitterS, double spikes, double lost, double precision, double recall) {
    Score metres = new Score();
    Score degrees = new Score();
    for (int seed = 0; seed < 150; seed++) {
      Random random = new Random(1000 + seed);
      metres.add(
          trial(
              random,
              0.25 + 0.5 * random.nextDouble(),
              METRES,
              new Sensor(50, noiseM, jitterS, spikes, lost),
              seed));
      degrees.add(
          trial(
              random,
              45 + 60 * random.nextDouble(),
              DEGREES,
              new Sensor(50, 150 * noiseM, jitterS, spikes, lost),
              seed));
    }
    assertThat(metres.precision())
        .as("bar, precision %s", metres)
        .isGreaterThanOrEqualTo(precision);
    assertThat(metres.recall()).as("bar, recall %s", metres).isGreaterThanOrEqualTo(recall);
    assertThat(degrees.precision())
        .as("thigh, precision %s", degrees)
        .isGreaterThanOrEqualTo(precision);
    assertThat(degrees.recall()).as("thigh, recall %s", degrees).isGreaterThanOrEqualTo(recall);
  }

  private static Score trial(
      Random random, double range, RepetitionFinder finder, Sensor sensor, long seed) {
    List<Truth> truth = new ArrayList<>();
    int n = 1 + random.nextInt(20);
    double tired = 1;
    for (int k = 0; k < n; k++) {
      tired += 0.05 * random.nextDouble();
      truth.add(
          new Truth(
              1 + 3 * random.nextDouble(),
              random.nextInt(3) == 0 ? 2 * random.nextDouble() : 0,
              (0.6 + 0.6 * random.nextDouble()) * tired,
              random.nextDouble(),
              range * (0.85 + 0.15 * random.nextDouble())));
    }
    boolean lowFirst = random.nextInt(4) == 0;
    List<Repetition> found =
        finder.find(StandInMotion.samples(truth, 2 * range, 0.15 * range, lowFirst, sensor, seed));
    List<double[]> liftings = liftings(truth, lowFirst, seed);
    int right = 0;
    for (double[] l : liftings) {
      right +=
          found.stream()
                  .anyMatch(repetition -> repetition.startS() < l[1] && repetition.endS() > l[0])
              ? 1
              : 0;
    }
    return new Score(n, found.size(), Math.min(right, found.size()));
  }

  /** When the true liftings are, from the stand-in's own clock. */
  private static List<double[]> liftings(List<Truth> truth, boolean lowFirst, long seed) {
    Random random = new Random(seed);
    double t = 0;
    for (int k = 0; k < 3; k++) {
      t += 0.5 + 0.3 * random.nextDouble();
      random.nextDouble();
    }
    t += 1.4;
    List<double[]> list = new ArrayList<>();
    for (int k = 0; k < truth.size(); k++) {
      Truth real = truth.get(k);
      t += lowFirst ? 0 : real.loweringS() + real.lowS();
      list.add(new double[] {t, t + real.liftingS()});
      t += real.liftingS() + real.topS();
      t +=
          lowFirst
              ? real.loweringS() + (k + 1 < truth.size() ? truth.get(k + 1).lowS() : real.lowS())
              : 0;
    }
    return list;
  }

  private static final class Score {
    private int truth;
    private int found;
    private int right;

    Score() {}

    Score(int truth, int found, int right) {
      this.truth = truth;
      this.found = found;
      this.right = right;
    }

    void add(Score score) {
      truth += score.truth;
      found += score.found;
      right += score.right;
    }

    double precision() {
      return right / (double) found;
    }

    double recall() {
      return right / (double) truth;
    }

    @Override
    public String toString() {
      return right + " right of " + found + " found, " + truth + " true";
    }
  }

  @Test
  void whatWasNotAsAskedIsTold() {
    List<Truth> truth = times(6, new Truth(3, 1.5, 1, 0.3, 0.5));
    truth.set(2, new Truth(1, 1.5, 1, 0.3, 0.5));
    truth.set(4, new Truth(3, 0, 1.6, 0.3, 0.5));
    truth.set(5, new Truth(3, 1.5, 2, 0.3, 0.38));
    WatchedSet set =
        WatchedSet.of(
            METRES.find(StandInMotion.samples(truth, 1.4, 0.03, false, Sensor.EXACT, 8)),
            new Asked(3, 1.5, true));
    assertThat(set.repetitions()).hasSize(6);
    assertThat(set.findings())
        .extracting(WatchedSet.Deviation::kind)
        .containsExactly(
            WatchedSet.Kind.SHORT_RANGE,
            WatchedSet.Kind.DROPPED_LOWERING,
            WatchedSet.Kind.MISSED_PAUSE);
    assertThat(set.findings())
        .extracting(WatchedSet.Deviation::repetitions)
        .containsExactly(List.of(6), List.of(3), List.of(5));
    assertThat(Words.of(set.findings().get(1))).contains("3 s are asked, in repetition 3");
    assertThat(set.speedLossPercent()).isBetween(50.0, 75.0);
  }

  @Test
  void aSetAsAskedHasNothingToTell() {
    WatchedSet set =
        WatchedSet.of(
            METRES.find(
                StandInMotion.samples(
                    times(8, new Truth(3, 1, 1, 0.3, 0.5)),
                    1.4,
                    0.03,
                    false,
                    new Sensor(50, 0.003, 0.005, 0.001, 0.01),
                    9)),
            new Asked(3, 1, true));
    assertThat(set.repetitions()).hasSize(8);
    assertThat(set.findings()).isEmpty();
    assertThat(set.speedLossPercent()).isLessThan(12);
    assertThat(WatchedSet.of(List.of(), Asked.of(Tempo.USUAL)).speedLossPercent()).isZero();
  }

  /**
   * What is said while the set goes on: from the third repetition on never one too many, never more
   * than one behind, and no range called short that was not.
   */
  @ParameterizedTest
  @CsvSource({"false, 0.5, 1.4", "true, 0.5, 1.4", "false, 0.3, 1.0"})
  void whileASetGoesOnNothingIsSaidTooEarly(boolean lowFirst, double range, double high) {
    List<Truth> truth = times(8, new Truth(2, 0.5, 1, 0.6, range));
    long seed = 11;
    List<Sample> all =
        StandInMotion.samples(
            truth, high, 0.04, lowFirst, new Sensor(50, 0.003, 0.005, 0.002, 0.01), seed);
    List<double[]> liftings = liftings(truth, lowFirst, seed);
    for (int n = 20; n <= all.size(); n += 7) {
      double now = all.get(n - 1).timeS();
      long begun = liftings.stream().filter(l -> l[0] <= now).count();
      long settled = liftings.stream().filter(l -> l[1] + 1 <= now).count();
      if (settled < 3) {
        continue;
      }
      WatchedSet set = WatchedSet.of(METRES.soFar(all.subList(0, n)), new Asked(2, 0.5, true));
      assertThat((long) set.repetitions().size()).as("at %.2f s", now).isBetween(settled, begun);
      assertThat(set.rangeKept()).as("at %.2f s", now).contains(true);
    }
    assertThat(METRES.soFar(all)).hasSize(8);
  }

  @Test
  void theStandInsSetIsFoundWithItsFaults() {
    Tempo asked = new Tempo(3, 1, 1, 0);
    List<Truth> truth = StandInMotion.tiring(8, asked, 70);
    WatchedSet set =
        WatchedSet.of(
            DEGREES.find(
                StandInMotion.samples(
                    truth, 90, 4, false, new Sensor(50, 0.5, 0.004, 0.002, 0.01), 12)),
            Asked.of(asked));
    assertThat(set.repetitions()).hasSize(8);
    assertThat(set.findings())
        .extracting(WatchedSet.Deviation::repetitions)
        .containsExactly(List.of(8), List.of(7), List.of(3));
    assertThat(set.tempoKept()).contains(false);
    assertThat(set.rangeKept()).contains(false);
    assertThat(set.speedLossPercent()).isGreaterThan(20);
    WatchedSet halves = WatchedSet.of(set.repetitions(), new Asked(3, 1, false));
    assertThat(halves.rangeKept()).as("partial ones were asked").isEmpty();
    assertThat(halves.findings()).hasSize(2);
    assertThat(WatchedSet.of(set.repetitions(), Asked.NOTHING).tempoKept())
        .as("nothing was asked")
        .isEmpty();
    assertThat(WatchedSet.of(List.of(), Asked.of(asked)).rangeKept()).isEmpty();
  }
}
