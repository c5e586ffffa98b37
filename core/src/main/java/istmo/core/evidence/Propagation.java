package istmo.core.evidence;

import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.DecompositionSolver;
import org.hipparchus.linear.RealMatrix;
import org.jspecify.annotations.Nullable;

/**
 * Gaussian conditioning on noisy observations of a Gaussian vector, some of which are only
 * directions: sites of measured values are fixed, those of directions, Phi(+-z / noise), are
 * matched by expectation propagation, all at once with damping until they settle (Rasmussen and
 * Williams 2006, algorithm 3.5). One Cholesky decomposition a sweep.
 */
final class Propagation {
  private static final double DAMPING = 0.7;
  private static final int MOST_SWEEPS = 200;
  private static final double SETTLED = 1e-7;

  /** Precision below which a site says nothing. */
  private static final double NOTHING = 1e-8;

  /**
   * One observation.
   *
   * @param prior mean of what is observed before anything is seen
   * @param noise standard deviation of the observation about it
   * @param sign 1 or -1 for a direction, 0 for a measured value
   * @param value the measured value; for a direction, from where it is counted
   */
  record Observation(double prior, double noise, int sign, double value) {}

  private final List<Observation> observations;
  private final int n;
  private final double[][] covariance;
  private final double[] siteMean;
  private final double[] sitePrecision;
  private final double[] mean;
  private final double[] variance;
  private double[] alpha = {};
  private @Nullable RealMatrix inverse;

  /**
   * @param covariance prior covariance of what is observed
   */
  Propagation(List<Observation> observations, double[][] covariance) {
    this.observations = observations;
    this.n = observations.size();
    this.covariance = covariance;
    this.siteMean = new double[n];
    this.sitePrecision = new double[n];
    this.mean = new double[n];
    this.variance = new double[n];
    for (int k = 0; k < n; k++) {
      Observation observation = observations.get(k);
      siteMean[k] = observation.sign() == 0 ? observation.value() : 0;
      sitePrecision[k] =
          observation.sign() == 0 ? 1 / (observation.noise() * observation.noise()) : 0;
    }
    boolean settled = n == 0;
    for (int sweep = 0; sweep < MOST_SWEEPS && !settled; sweep++) {
      condition();
      double moved = 0;
      for (int k = 0; k < n; k++) {
        moved = Math.max(moved, observations.get(k).sign() == 0 ? 0 : match(k));
      }
      settled = moved < SETTLED;
    }
    if (!settled) {
      throw new IllegalStateException("the sites did not settle");
    }
    if (n > 0) {
      condition();
    }
  }

  /** Moments of the cavity times the probit become the site; how far it moved. */
  private double match(int k) {
    double cavityPrecision = 1 / variance[k] - sitePrecision[k];
    if (!(cavityPrecision > NOTHING)) {
      return 0;
    }
    Observation observation = observations.get(k);
    double cavityMean = cavityMean(k, cavityPrecision);
    double v = 1 / cavityPrecision;
    double scale = Math.sqrt(observation.noise() * observation.noise() + v);
    double z = observation.sign() * (cavityMean - observation.value()) / scale;
    double ratio = Normal.densityOverProbability(z);
    double newMean = cavityMean + observation.sign() * v * ratio / scale;
    double newVariance = v - v * v * ratio * (z + ratio) / (scale * scale);
    double precision = Math.max(NOTHING, 1 / newVariance - cavityPrecision);
    double weighted = newMean / newVariance - cavityMean * cavityPrecision;
    double p = (1 - DAMPING) * sitePrecision[k] + DAMPING * precision;
    double pm = (1 - DAMPING) * sitePrecision[k] * siteMean[k] + DAMPING * weighted;
    double moved = Math.abs(p - sitePrecision[k]) + Math.abs(pm - sitePrecision[k] * siteMean[k]);
    sitePrecision[k] = p;
    siteMean[k] = pm / p;
    return moved;
  }

  private double cavityMean(int k, double cavityPrecision) {
    return (mean[k] / variance[k] - sitePrecision[k] * siteMean[k]) / cavityPrecision;
  }

  /** Mean and variance of what is observed given the sites; keeps what predictions need. */
  private void condition() {
    double[][] sum = new double[n][];
    double[] residual = new double[n];
    for (int k = 0; k < n; k++) {
      sum[k] = covariance[k].clone();
      sum[k][k] += siteVariance(k);
      residual[k] = residual(k);
    }
    DecompositionSolver solver =
        new CholeskyDecomposition(new Array2DRowRealMatrix(sum, false), 1e-9, 1e-14).getSolver();
    alpha = solver.solve(new ArrayRealVector(residual, false)).toArray();
    inverse = solver.getInverse();
    double[][] inv = inverse.getData();
    for (int k = 0; k < n; k++) {
      double[] c = covariance[k];
      double m = 0;
      double v = c[k];
      for (int i = 0; i < n; i++) {
        m += c[i] * alpha[i];
        double[] row = inv[i];
        double s = 0;
        for (int j = 0; j < n; j++) {
          s += row[j] * c[j];
        }
        v -= c[i] * s;
      }
      mean[k] = observations.get(k).prior() + m;
      variance[k] = Math.max(1e-12, v);
    }
  }

  /** What observation k is about, given all of them. */
  Posterior.Estimate estimate(int k) {
    return new Posterior.Estimate(mean[k], Math.sqrt(variance[k]));
  }

  double siteVariance(int k) {
    return 1 / Math.max(NOTHING, sitePrecision[k]);
  }

  /** What observation k sees beside its prior mean, were its site exact. */
  double residual(int k) {
    return siteMean[k] - observations.get(k).prior();
  }

  /** What something whose covariances with the observations are given is moved by each of them. */
  double alpha(int k) {
    return alpha[k];
  }

  /** What other residuals, simulated ones, weigh. */
  double[] weights(double[] residual) {
    return inverse == null ? new double[0] : inverse.operate(residual);
  }

  /** How far the observations move the mean of something with these covariances. */
  double shift(double[] withObservations) {
    double sum = 0;
    for (int k = 0; k < n; k++) {
      sum += withObservations[k] * alpha[k];
    }
    return sum;
  }

  /** What the observations take from the variance of something with these covariances. */
  double explained(double[] withObservations) {
    double[] w = weights(withObservations);
    double sum = 0;
    for (int k = 0; k < n; k++) {
      sum += withObservations[k] * w[k];
    }
    return sum;
  }

  /**
   * Sum of ln probabilities of each observation given the others, at the cavities (leave one out):
   * a proper score with which assumptions are compared.
   */
  double score() {
    double sum = 0;
    for (int k = 0; k < n; k++) {
      double precision = Math.max(NOTHING, 1 / variance[k] - sitePrecision[k]);
      double m = cavityMean(k, precision);
      Observation observation = observations.get(k);
      double total = 1 / precision + observation.noise() * observation.noise();
      sum +=
          observation.sign() != 0
              ? Normal.logProbability(
                  observation.sign() * (m - observation.value()) / Math.sqrt(total))
              : -0.5 * Math.log(2 * Math.PI * total)
                  - 0.5 * (observation.value() - m) * (observation.value() - m) / total;
    }
    return sum;
  }
}
