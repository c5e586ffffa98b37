package istmo.core.movement.family;

import java.util.Optional;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/** One root in an interval, where the function has one sign at each end. */
final class Roots {
  private Roots() {}

  /** The root to 1e-12, or empty when the ends have the same sign. */
  static Optional<Double> between(double low, double high, UnivariateFunction f) {
    double atLow = f.value(low);
    double atHigh = f.value(high);
    if (!(atLow * atHigh <= 0)) {
      return Optional.empty();
    }
    return Optional.of(new BracketingNthOrderBrentSolver(1e-14, 1e-13, 5).solve(200, f, low, high));
  }
}
