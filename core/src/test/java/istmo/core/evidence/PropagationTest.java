package istmo.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.evidence.Propagation.Observation;
import java.util.List;
import org.junit.jupiter.api.Test;

class PropagationTest {
  private static final double[][] PRIOR = {{0.20, 0.08}, {0.08, 0.10}};

  /**
   * Two measured values: the conditional mean and variance of the first, by the inverse of a two by
   * two matrix written out.
   */
  @Test
  void measuredValuesAreConditionedByTheTextbook() {
    Propagation propagation =
        new Propagation(
            List.of(new Observation(0.1, 0.3, 0, 0.6), new Observation(-0.2, 0.5, 0, -0.9)), PRIOR);
    double a = 0.20 + 0.09;
    double d = 0.10 + 0.25;
    double b = 0.08;
    double det = a * d - b * b;
    double[] residual = {0.5, -0.7};
    double[] alpha = {
      (d * residual[0] - b * residual[1]) / det, (-b * residual[0] + a * residual[1]) / det
    };
    assertThat(propagation.shift(PRIOR[0]))
        .isCloseTo(0.20 * alpha[0] + 0.08 * alpha[1], within(1e-12));
    double[] w = {(d * 0.20 - b * 0.08) / det, (-b * 0.20 + a * 0.08) / det};
    assertThat(propagation.explained(PRIOR[0])).isCloseTo(0.20 * w[0] + 0.08 * w[1], within(1e-12));
  }

  /**
   * Two directions that pull against one another, against the exact posterior by quadrature over
   * the plane: expectation propagation is an approximation, and a close one.
   */
  @Test
  void directionsAreNearTheExactPosterior() {
    List<Observation> observations =
        List.of(new Observation(-0.3, 0.25, 1, 0), new Observation(0.2, 0.4, -1, 0));
    double det = PRIOR[0][0] * PRIOR[1][1] - PRIOR[0][1] * PRIOR[0][1];
    double[] moments = new double[3];
    for (int i = -300; i <= 300; i++) {
      for (int j = -300; j <= 300; j++) {
        double x = -0.3 + 6 * Math.sqrt(PRIOR[0][0]) * i / 300;
        double y = 0.2 + 6 * Math.sqrt(PRIOR[1][1]) * j / 300;
        double dx = x + 0.3;
        double dy = y - 0.2;
        double w =
            Math.exp(
                    -0.5
                        * (PRIOR[1][1] * dx * dx
                            - 2 * PRIOR[0][1] * dx * dy
                            + PRIOR[0][0] * dy * dy)
                        / det)
                * Normal.probability(x / 0.25)
                * Normal.probability(-y / 0.4);
        moments[0] += w;
        moments[1] += w * x;
        moments[2] += w * x * x;
      }
    }
    double mean = moments[1] / moments[0];
    Propagation propagation = new Propagation(observations, PRIOR);
    assertThat(-0.3 + propagation.shift(PRIOR[0])).isCloseTo(mean, within(0.01));
    assertThat(PRIOR[0][0] - propagation.explained(PRIOR[0]))
        .isCloseTo(moments[2] / moments[0] - mean * mean, within(0.005));
  }

  @Test
  void nothingObservedMovesNothing() {
    Propagation propagation = new Propagation(List.of(), new double[0][0]);
    assertThat(propagation.shift(new double[0])).isZero();
    assertThat(propagation.explained(new double[0])).isZero();
  }

  /**
   * Far down the tail the ratio of density and probability is what its expansion says, and nothing
   * overflows.
   */
  @Test
  void theNormalIsSafeInItsTail() {
    for (double z : new double[] {-10, -20, -24.9, -25.1, -40, -200}) {
      double expansion = -z / (1 - 1 / (z * z) + 3 / Math.pow(z, 4));
      assertThat(Normal.densityOverProbability(z) / expansion).isCloseTo(1, within(2e-3));
      assertThat(Normal.logProbability(z)).isFinite();
    }
    assertThat(Normal.probability(1.2815515655446004))
        .isCloseTo(0.9, within(1e-12)); // tables of the normal distribution
  }
}
