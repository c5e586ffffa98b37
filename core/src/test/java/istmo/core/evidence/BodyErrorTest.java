package istmo.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionValues;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import java.util.Map;
import org.hipparchus.analysis.solvers.BrentSolver;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.junit.jupiter.api.Test;

class BodyErrorTest {
  private static final Evidence STRETCH = Evidence.of(School.STRETCH);
  private static final Region LONG_HEAD = Region.of("BFL");
  private static final Point SQUAT = Point.parse("back-squat/high-bar");

  /** One row: the error where the derivative of the logarithm is nothing, by a root search. */
  @Test
  void theErrorOfOneRowIsTheMostLikelyOne() {
    double expected = -0.7;
    double noise = 1.1;
    double variance = 0.4;
    NormalDistribution normal = new NormalDistribution();
    double root =
        new BrentSolver(1e-12)
            .solve(
                200,
                e -> {
                  double z = (expected + e) / noise;
                  return normal.density(z) / normal.cumulativeProbability(z) / noise - e / variance;
                },
                0,
                3);
    double[] weight =
        BodyError.weights(
            new double[] {expected}, new double[] {noise}, new double[][] {{variance}});
    assertThat(variance * weight[0]).isCloseTo(root, within(1e-6));
  }

  /** Rows whose errors have nothing in common do not change one another's. */
  @Test
  void rowsApartAreAsTheyAreAlone() {
    double[] together =
        BodyError.weights(
            new double[] {-0.7, 0.3}, new double[] {1.1, 0.8}, new double[][] {{0.4, 0}, {0, 0.9}});
    double[] alone =
        BodyError.weights(new double[] {0.3}, new double[] {0.8}, new double[][] {{0.9}});
    assertThat(together[1]).isCloseTo(alone[0], within(1e-6));
  }

  /**
   * A body whose squat gives the long head as much as a hinge does: coaches, who call no squat a
   * hamstring exercise, take a good part of what the body adds, and never more than that.
   */
  @Test
  void coachesTakeFromASquatThatABodyTurnsIntoAHinge() {
    Evidence.At usual = STRETCH.at(SQUAT);
    RegionValues reference = mechanics(1);
    RegionValues hinge = mechanics(5);
    assertThat(usual.on(reference, true).shift(LONG_HEAD.ordinal()))
        .isEqualTo(usual.shift(LONG_HEAD.ordinal()));
    double added = Math.log(value(hinge) / value(reference));
    double taken = -usual.on(hinge, true).shift(LONG_HEAD.ordinal());
    assertThat(taken).isBetween(0.2 * added, 0.8 * added);
    assertThat(usual.on(hinge, true).influences(LONG_HEAD.ordinal()).get(0).finding().how())
        .isEqualTo(Finding.How.PRACTICE);
  }

  /** A school that does not ask coaches takes the body as mechanics has it. */
  @Test
  void aSchoolWithoutPracticeTakesNothing() {
    Posterior untold = Posterior.of(School.STUDIES_ONLY);
    double[] difference = new double[Region.values().length];
    difference[LONG_HEAD.ordinal()] = 1.5;
    assertThat(new BodyError(untold).of(SQUAT, difference)).isEqualTo(Map.of());
  }

  private static double value(RegionValues stimulus) {
    return stimulus.get(LONG_HEAD) + Stimulus.FLOOR;
  }

  /** The reference body's squat, with so many times the stimulus of the long head. */
  private static RegionValues mechanics(double factor) {
    double[] reference = STRETCH.posterior().stimulus(SQUAT);
    return RegionValues.of(
        region -> reference[region.ordinal()] * (region == LONG_HEAD ? factor : 1));
  }
}
