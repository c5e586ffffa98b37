package istmo.core.movement.family;

import java.util.Optional;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/** One root in an interval, where the function has one sign at each end. */
final class Roots {
  private static final int SECANT_STEPS = 12;

  private Roots() {}

  /**
   * The root to 1e-12, or empty when the ends have the same sign. Smooth functions settle by a few
   * secant steps from the middle; where they do not, Brent's method takes over.
   */
  static Optional<Double> between(double low, double high, UnivariateFunction function) {
    double a = 0.5 * (low + high);
    double b = a + 0.01 * (high - low);
    double fa = function.value(a);
    double fb = function.value(b);
    for (int step = 0; step < SECANT_STEPS && fb != fa; step++) {
      double next = b - fb * (b - a) / (fb - fa);
      if (!(next > low && next < high)) {
        break;
      }
      if (Math.abs(next - b) < 1e-13) {
        return Optional.of(next);
      }
      a = b;
      fa = fb;
      b = next;
      fb = function.value(b);
      if (fb == 0) {
        return Optional.of(b);
      }
    }
    double atLow = function.value(low);
    double atHigh = function.value(high);
    if (!(atLow * atHigh <= 0)) {
      return Optional.empty();
    }
    return Optional.of(
        new BracketingNthOrderBrentSolver(1e-14, 1e-13, 5).solve(200, function, low, high));
  }
}
