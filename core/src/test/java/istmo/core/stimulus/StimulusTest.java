package istmo.core.stimulus;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Muscles;
import istmo.core.anatomy.RegionGroup;
import istmo.core.anatomy.RegionValues;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.Bodies;
import istmo.core.mechanics.SetSimulation;
import istmo.core.mechanics.SimulatedSet;
import istmo.core.quantity.InvalidInput;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class StimulusTest {
  private static final int MUSCLES = Bodies.MUSCLES;

  /**
   * A set of equal repetitions with every muscle at lengths, a drive and a capacity of our
   * choosing, no passive part.
   */
  private static SimulatedSet with(
      int repetitions, double lastShare, double[] length, double[] drive, double[] capacity) {
    float[][] u = new float[repetitions][length.length * MUSCLES];
    double[][] c = new double[repetitions][MUSCLES];
    double[][] l = new double[length.length][MUSCLES];
    double[][] one = new double[length.length][MUSCLES];
    for (int k = 0; k < length.length; k++) {
      Arrays.fill(l[k], length[k]);
      Arrays.fill(one[k], 1);
      for (int r = 0; r < repetitions; r++) {
        Arrays.fill(u[r], k * MUSCLES, (k + 1) * MUSCLES, (float) drive[k]);
        Arrays.fill(c[r], capacity[r]);
      }
    }
    double[] time = new double[length.length];
    Arrays.fill(time, 1.0 / length.length);
    return new SimulatedSet(
        1,
        repetitions - 1 + lastShare,
        SimulatedSet.End.STRENGTH,
        List.of(),
        u,
        c,
        lastShare,
        l,
        one,
        new double[length.length][MUSCLES],
        time,
        0,
        1);
  }

  /**
   * What one muscle alone does: a constant load, lengths half an optimal length apart about the
   * best, the tenth repetition taking all that is left. Worked out here by stepping, as the
   * definition says.
   */
  @Test
  void tenRepetitionsOfAMuscleAloneCountOneWhereAllLengthsCountAlike() {
    double load = 0.7;
    for (double step = 0.1; step > 1e-13; step /= 2) {
      double left = 1;
      for (int r = 1; r < 10; r++) {
        left -= SetSimulation.FATIGUE * load / left;
      }
      load += left > load ? step : -step;
    }
    double[] left = new double[10];
    left[0] = 1;
    for (int r = 1; r < 10; r++) {
      left[r] = left[r - 1] - SetSimulation.FATIGUE * load / left[r - 1];
    }
    for (School school : List.of(School.WHOLE_RANGE, School.ACTIVATION)) {
      double sum = 0;
      for (int r = 0; r < 10; r++) {
        sum +=
            Stimulus.ofMuscle(
                with(
                    1,
                    1,
                    new double[] {0.75, 1, 1.25},
                    new double[] {load / left[r], load / left[r], load / left[r]},
                    new double[] {left[r]}),
                school,
                0);
      }
      assertThat(sum).as(school.id()).isCloseTo(1, within(1e-6)); // drives are in single precision
    }
  }

  /**
   * By hand: lengths 0.8 and 1.4, drive a half of a rested muscle. All schools share the change of
   * length and the mean of exponent 1.5, so ratios are means of the length weights: stretch 0.8 and
   * 1.4, squeeze 1.2 and 0.6; a peak school with exponent 3 takes the cube mean.
   */
  @Test
  void lengthCountsAsTheSchoolSays() {
    SimulatedSet two =
        with(1, 1, new double[] {0.8, 1.4}, new double[] {0.5, 0.5}, new double[] {1});
    double flat = Stimulus.ofMuscle(two, School.WHOLE_RANGE, 0);
    assertThat(Stimulus.ofMuscle(two, School.STRETCH, 0) / flat)
        .isCloseTo(mean(1.5, 0.8, 1.4), within(1e-12));
    assertThat(Stimulus.ofMuscle(two, School.SQUEEZE, 0) / flat)
        .isCloseTo(mean(1.5, 1.2, 0.6), within(1e-12));
    School peak = new School("x", "", "", 2, 1.5, 3, 0.5);
    assertThat(Stimulus.ofMuscle(two, peak, 0) / flat).isCloseTo(mean(3, 0.7, 1.6), within(1e-12));
  }

  private static double mean(double exponent, double a, double b) {
    return Math.pow((Math.pow(a, exponent) + Math.pow(b, exponent)) / 2, 1 / exponent);
  }

  /**
   * By hand: a change of a tenth of the optimal length is worth half of a boundless one, 0.1 / 0.2
   * against 0.5 / 0.6; a muscle that stays at one length gets nothing.
   */
  @Test
  void aMuscleThatHardlyChangesLengthGetsLess() {
    double[] drive = {0.6, 0.6};
    double[] rested = {1};
    double half =
        Stimulus.ofMuscle(
            with(1, 1, new double[] {0.75, 1.25}, drive, rested), School.WHOLE_RANGE, 0);
    assertThat(
            Stimulus.ofMuscle(
                    with(1, 1, new double[] {0.95, 1.05}, drive, rested), School.WHOLE_RANGE, 0)
                / half)
        .isCloseTo((0.1 / 0.2) / (0.5 / 0.6), within(1e-9));
    assertThat(Stimulus.ofMuscle(with(1, 1, new double[] {1, 1}, drive, rested), School.STRETCH, 0))
        .isZero();
  }

  @Test
  void theLastRepetitionCountsByItsShareAndATiredMuscleByWhatIsLeft() {
    double[] length = {0.8, 1.2};
    double[] drive = {0.6, 0.6};
    double one = Stimulus.ofMuscle(with(1, 1, length, drive, new double[] {1}), School.STRETCH, 0);
    assertThat(
            Stimulus.ofMuscle(
                with(3, 0.25, length, drive, new double[] {1, 1, 1}), School.STRETCH, 0))
        .isCloseTo(2.25 * one, within(1e-12));
    assertThat(Stimulus.ofMuscle(with(1, 1, length, drive, new double[] {0.8}), School.STRETCH, 0))
        .isCloseTo(0.8 * one, within(1e-12));
  }

  @Test
  void theLengthWeightNeitherTurnsNegativeNorRunsAway() {
    double[] drive = {1, 1};
    double[] rested = {1};
    SimulatedSet shortest = with(1, 1, new double[] {0.35, 0.5}, drive, rested);
    SimulatedSet longest = with(1, 1, new double[] {8, 9}, drive, rested);
    School steep = new School("x", "", "", 2, 3, 1.5, 0);
    assertThat(Stimulus.ofMuscle(shortest, steep, 0)).isZero();
    assertThat(
            Stimulus.ofMuscle(longest, steep, 0)
                / Stimulus.ofMuscle(longest, School.WHOLE_RANGE, 0))
        .isCloseTo(3, within(1e-12));
  }

  @Test
  void theFaceCheckNamesTheGroupsThatGetTooMuch() {
    RegionValues values = quadsWithGlutes(0.5);
    assertThat(Stimulus.faceCheckMisses(values, RegionGroup.QUADS))
        .containsExactly(RegionGroup.GLUTES);
    assertThat(Stimulus.faceCheckMisses(values, RegionGroup.HAMSTRINGS))
        .contains(RegionGroup.QUADS, RegionGroup.GLUTES);
    assertThat(Stimulus.faceCheckMisses(quadsWithGlutes(0.39), RegionGroup.QUADS)).isEmpty();
  }

  private static RegionValues quadsWithGlutes(double glutes) {
    return RegionValues.of(
        region ->
            region.group() == RegionGroup.QUADS
                ? 0.8
                : region.group() == RegionGroup.GLUTES ? glutes : 0.1);
  }

  @Test
  void anUnknownSchoolSaysWhatThereIs() {
    assertThatThrownBy(() -> School.get("astrology"))
        .isInstanceOf(InvalidInput.class)
        .hasMessageContaining("whole-range");
  }

  /** Long, short or near its best; nothing for a muscle that the exercise leaves alone. */
  @Test
  void theLengthAtWhichAMusclePullsHardestHasAName() {
    assertThat(HeaviestLength.at(1.2)).isEqualTo(HeaviestLength.LONG);
    assertThat(HeaviestLength.at(1.1)).isEqualTo(HeaviestLength.NEAR_BEST);
    assertThat(HeaviestLength.at(0.8)).isEqualTo(HeaviestLength.SHORT);
    Analysis extension = Bodies.analysis(Bodies.LIFTER, "leg-extension", Map.of());
    int soleus = Muscles.standard().indexOf("SOL");
    assertThat(HeaviestLength.of(extension, School.STRETCH, soleus))
        .isEqualTo(HeaviestLength.NOTHING);
  }
}
