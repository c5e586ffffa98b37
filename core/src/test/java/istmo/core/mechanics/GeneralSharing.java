package istmo.core.mechanics;

import java.util.ArrayList;
import java.util.List;
import org.ojalgo.optimisation.Expression;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Optimisation;
import org.ojalgo.optimisation.Variable;

/**
 * The load-sharing problem by a general-purpose optimiser (ojAlgo): the cubic price as a sequence
 * of quadratic programmes, to convergence. For checks and for the benchmark that compares speeds at
 * equal optimum.
 */
public final class GeneralSharing {
  private GeneralSharing() {}

  /** Amounts of all columns, as {@link LoadSharing#value}. */
  public static double[] solve(Equilibrium eq, double load) {
    double[] start = new double[eq.columns];
    for (int j = 0; j < eq.muscles + 1; j++) {
      start[j] = 0.3;
    }
    return solve(eq, load, start);
  }

  /**
   * The same from a start. The price is convex: whatever the start, the programmes end at the one
   * optimum, and they leave a start that is none; one near to it saves most of them.
   */
  static double[] solve(Equilibrium eq, double load, double[] start) {
    double[] x = start.clone();
    double step = Double.MAX_VALUE;
    for (int round = 0; round < 60 && step > 1e-9; round++) {
      double[] next = quadraticStep(eq, load, x);
      step = 0;
      for (int j = 0; j < eq.columns; j++) {
        step = Math.max(step, Math.abs(next[j] - x[j]) / (j < eq.muscles + 1 ? 1 : 1000));
      }
      x = next;
    }
    return x;
  }

  private static double[] quadraticStep(Equilibrium eq, double load, double[] x) {
    ExpressionsBasedModel model = new ExpressionsBasedModel();
    model.options.solution = org.ojalgo.type.context.NumberContext.of(14, 14);
    List<Variable> variables = new ArrayList<>();
    Expression cost = model.newExpression("cost").weight(1);
    for (int j = 0; j < eq.columns; j++) {
      Variable variable = model.newVariable("x" + j);
      double lower;
      double upper;
      double hessian;
      double gradient;
      if (j < eq.muscles + 1) {
        double w = eq.weight[j] * LoadSharing.WEIGHT_SCALE;
        lower = 0;
        upper = 1;
        hessian = w * (2 * x[j] + LoadSharing.SMOOTHING);
        gradient = w * (x[j] * x[j] + LoadSharing.SMOOTHING * x[j]);
      } else {
        double bound = bound(eq, load, j);
        lower = oneSided(eq, j) ? 0 : -bound;
        upper = bound;
        hessian = contactWeight(eq, j) / Math.max(1e-12, bound * bound);
        gradient = hessian * x[j];
      }
      variable.lower(lower).upper(upper);
      cost.set(variable, variable, 0.5 * hessian);
      cost.set(variable, gradient - hessian * x[j]);
      variables.add(variable);
    }
    for (int r = 0; r < eq.rows; r++) {
      Variable variable = model.newVariable("s" + r);
      cost.set(variable, variable, 0.5 / LoadSharing.RHO);
      Expression row = model.newExpression("row" + r).level(eq.b0[r] + load * eq.b1[r]);
      for (int j = 0; j < eq.columns; j++) {
        row.set(variables.get(j), eq.a[r][j]);
      }
      row.set(variable, 1);
    }
    Optimisation.Result result = model.minimise();
    if (!result.getState().isFeasible()) {
      throw new IllegalStateException("ojAlgo: " + result.getState());
    }
    double[] next = new double[eq.columns];
    for (int j = 0; j < eq.columns; j++) {
      next[j] = result.doubleValue(j);
    }
    return next;
  }

  static boolean oneSided(Equilibrium eq, int j) {
    return j >= eq.muscles + Equilibrium.SOURCES
        && eq.freeOneSided[j - eq.muscles - Equilibrium.SOURCES];
  }

  static double bound(Equilibrium eq, double load, int j) {
    return j == eq.muscles + 1
        ? eq.rotationReserve()
        : eq.freeBoundAt(j - eq.muscles - Equilibrium.SOURCES, load);
  }

  static double contactWeight(Equilibrium eq, int j) {
    return j == eq.muscles + 1
        ? eq.weight[j] * LoadSharing.WEIGHT_SCALE
        : LoadSharing.CONTACT_WEIGHT;
  }
}
