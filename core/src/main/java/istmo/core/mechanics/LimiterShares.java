package istmo.core.mechanics;

import istmo.core.anatomy.Muscle;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * From sensitivities of the limit over the phases of a repetition to named shares. Columns are the
 * muscles, then the flexors of the lower back.
 */
final class LimiterShares {
  /**
   * Sensitivities of phases whose limit is within about this share of the smallest are blended, so
   * that limiters do not jump where two phases tie.
   */
  private static final double TIE = 0.02;

  private LimiterShares() {}

  /** Mean sensitivity over phases, those nearest to the smallest limit weighing most. */
  static double[] blended(double[] limits, double[][] sensitivity) {
    double least = Arrays.stream(limits).min().orElseThrow();
    double[] mean = new double[sensitivity[0].length];
    double weightSum = 0;
    for (int k = 0; k < limits.length; k++) {
      double weight = Math.exp(-(limits[k] - least) / Math.max(1, Math.abs(least)) / TIE);
      weightSum += weight;
      for (int j = 0; j < mean.length; j++) {
        mean[j] += weight * sensitivity[k][j];
      }
    }
    for (int j = 0; j < mean.length; j++) {
      mean[j] /= weightSum;
    }
    return mean;
  }

  /** Shares above a half of one per cent, greatest first. */
  static List<Limiter> named(List<Muscle> muscles, double[] share, double[] kg) {
    List<Limiter> result = new ArrayList<>();
    double named = Arrays.stream(share).filter(v -> v > 0.005).sum();
    for (int j = 0; j < share.length; j++) {
      if (share[j] > 0.005) {
        String id = j < muscles.size() ? muscles.get(j).id() : "ABDOMINALS";
        result.add(new Limiter(id, share[j] / named, kg[j] / 100));
      }
    }
    result.sort(Comparator.comparingDouble(Limiter::share).reversed().thenComparing(Limiter::id));
    return result;
  }
}
