package istmo.core.mechanics;

import istmo.core.anatomy.Coordinate;
import java.util.Arrays;

/**
 * How muscles share a load: least sum of w(a^3/3 + eps a^2/2) with w the cross-section
 * (Crowninshield and Brand 1981 for the exponent; the price is additive, so a muscle cut in two
 * shares as one), activations in 0..1, free contacts within their bounds at a small quadratic
 * price, and a residual moment at price 1/(2 rho).
 *
 * <p>Solved in the dual, at most six unknowns: every column answers a price vector lam in closed
 * form, and a semismooth Newton method with line search and damping finds the lam for which A
 * x(lam) + rho lam = b. The residual that is left is rho lam, and it is reported. No allocation per
 * solve. A workspace.
 */
public final class LoadSharing {
  /** Price of a residual, per (N m)^2, is 1 / (2 RHO) with weights in cm2. */
  public static final double RHO = 1e-3;

  /** Share of a square in the price, which keeps the answer smooth near zero activation. */
  public static final double SMOOTHING = 0.05;

  /** Price weight of a free contact at its whole bound, cm2: far below any muscle's. */
  static final double CONTACT_WEIGHT = 0.5;

  /** Weights are cross-sections in cm2. */
  static final double WEIGHT_SCALE = 1e4;

  private static final int ROWS = Coordinate.ALL;
  private static final int SEARCH_STEPS = 45;
  private static final int MOST_ROUNDS = 300;
  private static final double TOLERANCE = 1e-9;

  /**
   * Residual, as a share of the greatest moment, below which rounding of the dual function can hide
   * descent: cheap contacts make it steep.
   */
  private static final double ROUNDING = 1e-5;

  private final Equilibrium eq;

  /**
   * Columns of the equilibrium one after the other, always six rows: those that are not carried are
   * zero, and stay so.
   */
  private final double[] column;

  private final double[] x;
  private final double[] bound;
  private final double[] slope;
  private final double[] lam = new double[Coordinate.ALL];
  private final double[] trial = new double[Coordinate.ALL];
  private final double[] gradient = new double[Coordinate.ALL];
  private final double[] step = new double[Coordinate.ALL];
  private final double[] b = new double[Coordinate.ALL];
  private final double[][] hessian = new double[Coordinate.ALL][Coordinate.ALL];
  private final double[][] factor = new double[Coordinate.ALL][Coordinate.ALL];

  /** A workspace over an equilibrium, which must be set to a posture before it solves. */
  public LoadSharing(Equilibrium eq) {
    this.eq = eq;
    int most = eq.weight.length;
    this.column = new double[most * ROWS];
    this.x = new double[most];
    this.bound = new double[most];
    this.slope = new double[most];
  }

  /** Forgets the prices of the last solve; otherwise they are the start of the next. */
  public void reset() {
    Arrays.fill(lam, 0);
  }

  /**
   * Shares the moments of load W at the posture that the equilibrium is set to. Throws when it does
   * not settle.
   */
  public void solve(double loadKg) {
    int m = eq.rows;
    double value = begin(loadKg);
    double damping = 0;
    for (int rounds = 0; rounds < MOST_ROUNDS; rounds++) {
      double norm = 0;
      double scale = 1;
      for (int r = 0; r < m; r++) {
        norm = Math.max(norm, Math.abs(gradient[r]));
        scale = Math.max(scale, Math.abs(b[r]));
      }
      if (norm <= TOLERANCE * scale) {
        return;
      }
      buildHessian(m);
      if (!newtonStep(m, damping)) {
        damping = Math.max(1e-6, damping * 10);
        continue;
      }
      double descent = 0;
      for (int r = 0; r < m; r++) {
        descent += gradient[r] * step[r];
      }
      double next = along(1, m);
      boolean found = next <= value - 1e-4 * descent + 1e-14 * Math.abs(value);
      boolean whole = found;
      if (!found) {
        next = lowest(m, descent);
        found = next <= value;
      }
      if (norm <= ROUNDING * scale
          && !(found && next < value)) { // no further descent can be measured
        evaluate(lam);
        return;
      }
      if (!found) {
        value = evaluate(lam);
        damping = Math.max(1e-6, damping * 10);
        continue;
      }
      damping = whole ? damping * 0.1 : damping;
      System.arraycopy(trial, 0, lam, 0, m);
      value = next;
    }
    throw new IllegalStateException("load sharing did not settle in " + MOST_ROUNDS + " rounds");
  }

  /** Reads the equilibrium at a load; value of the prices of the last solve. */
  private double begin(double loadKg) {
    int m = eq.rows;
    for (int r = 0; r < m; r++) {
      b[r] = eq.b0[r] + loadKg * eq.b1[r];
    }
    for (int f = 0; f < eq.free; f++) {
      bound[eq.muscles + Equilibrium.SOURCES + f] = eq.freeBoundAt(f, loadKg);
    }
    bound[eq.muscles + 1] = eq.rotationReserve();
    Arrays.fill(b, m, ROWS, 0);
    Arrays.fill(lam, m, ROWS, 0);
    Arrays.fill(trial, m, ROWS, 0);
    for (int j = 0; j < eq.columns; j++) {
      for (int r = 0; r < ROWS; r++) {
        column[j * ROWS + r] = r < m ? eq.a[r][j] : 0;
      }
    }
    double value = evaluate(lam);
    if (!Double.isFinite(value)) {
      reset();
      value = evaluate(lam);
    }
    return value;
  }

  private double along(double size, int m) {
    for (int r = 0; r < m; r++) {
      trial[r] = lam[r] - size * step[r];
    }
    return evaluate(trial);
  }

  /**
   * Value at the lowest point along the step, by halving on the slope: a cheap contact bends the
   * function sharply where it changes sides, and a point just there shows its bend to the next
   * Hessian, while a step that is merely cut short jumps over it again and again.
   */
  private double lowest(int m, double descent) {
    double low = 0;
    double high = 1;
    double value = Double.NaN;
    for (int k = 0; k < SEARCH_STEPS; k++) {
      value = along(0.5 * (low + high), m);
      double slope = 0;
      for (int r = 0; r < m; r++) {
        slope -= gradient[r] * step[r];
      }
      if (Math.abs(slope) <= 0.1 * descent) {
        break;
      }
      if (slope < 0) {
        low = 0.5 * (low + high);
      } else {
        high = 0.5 * (low + high);
      }
    }
    return value;
  }

  /** Activation of muscle or torque source {@code column}, or the amount of a free contact. */
  public double value(int column) {
    return x[column];
  }

  /**
   * Moment that is left unbalanced about a carried coordinate, N m; zero for one that is not
   * carried.
   */
  public double residualNm(Coordinate coordinate) {
    int r = eq.rowOf[coordinate.ordinal()];
    return r < 0 ? 0 : RHO * lam[r];
  }

  /**
   * Moment of free contacts and of the rotation reserve about each coordinate, N m; zero for those
   * not carried. A new array.
   */
  public double[] contactNm() {
    double[] moment = new double[Coordinate.ALL];
    for (int r = 0; r < eq.rows; r++) {
      for (int j = eq.muscles + 1; j < eq.columns; j++) {
        moment[eq.coordinate[r].ordinal()] += eq.a[r][j] * x[j];
      }
    }
    return moment;
  }

  /** Dual function: sum of conjugates + rho/2 |lam|^2 - b lam; fills x, slope and gradient. */
  private double evaluate(double[] at) {
    double value = 0;
    for (int r = 0; r < ROWS; r++) {
      gradient[r] = RHO * at[r] - b[r];
      value += 0.5 * RHO * at[r] * at[r] - b[r] * at[r];
    }
    double l0 = at[0];
    double l1 = at[1];
    double l2 = at[2];
    double l3 = at[3];
    double l4 = at[4];
    double l5 = at[5];
    int activations = eq.muscles + 1;
    int base = 0;
    for (int j = 0; j < eq.columns; j++, base += ROWS) {
      double g =
          column[base] * l0
              + column[base + 1] * l1
              + column[base + 2] * l2
              + column[base + 3] * l3
              + column[base + 4] * l4
              + column[base + 5] * l5;
      double cost = j < activations ? activation(j, g) : contact(j, g);
      double xj = x[j];
      value += g * xj - cost;
      if (xj != 0) {
        for (int r = 0; r < ROWS; r++) {
          gradient[r] += column[base + r] * xj;
        }
      }
    }
    return value;
  }

  /** Answers a price g with an activation: w (a^2 + eps a) = g. Its cost. */
  private double activation(int j, double g) {
    slope[j] = 0;
    if (g <= 0) {
      x[j] = 0;
      return 0;
    }
    double wj = eq.weight[j] * WEIGHT_SCALE;
    double root = Math.sqrt(SMOOTHING * SMOOTHING + 4 * g / wj);
    double a = 0.5 * (root - SMOOTHING);
    if (a >= 1) {
      a = 1;
    } else {
      slope[j] = 1 / (wj * root);
    }
    x[j] = a;
    return wj * (a * a * a / 3 + SMOOTHING * a * a / 2);
  }

  /** Answers a price g with a two-sided or one-sided amount at a quadratic price. Its cost. */
  private double contact(int j, double g) {
    slope[j] = 0;
    double limit = bound[j];
    if (limit <= 0) {
      x[j] = 0;
      return 0;
    }
    boolean oneSided =
        j >= eq.muscles + Equilibrium.SOURCES
            && eq.freeOneSided[j - eq.muscles - Equilibrium.SOURCES];
    double wj =
        (j == eq.muscles + 1 ? eq.weight[j] * WEIGHT_SCALE : CONTACT_WEIGHT) / (limit * limit);
    double amount = g / wj;
    double low = oneSided ? 0 : -limit;
    if (amount > limit) {
      amount = limit;
    } else if (amount < low) {
      amount = low;
    } else {
      slope[j] = 1 / wj;
    }
    x[j] = amount;
    return 0.5 * wj * amount * amount;
  }

  private void buildHessian(int m) {
    for (int r = 0; r < m; r++) {
      Arrays.fill(hessian[r], 0, m, 0);
    }
    int base = 0;
    for (int j = 0; j < eq.columns; j++, base += ROWS) {
      double s = slope[j];
      if (s != 0) {
        for (int r = 0; r < m; r++) {
          double ar = s * column[base + r];
          double[] row = hessian[r];
          for (int c = 0; c <= r; c++) {
            row[c] += ar * column[base + c];
          }
        }
      }
    }
    for (int r = 0; r < m; r++) {
      hessian[r][r] += RHO;
    }
  }

  /** Cholesky solve of (H + damping diag) step = gradient; false when a pivot fails. */
  private boolean newtonStep(int m, double damping) {
    for (int r = 0; r < m; r++) {
      for (int c = 0; c <= r; c++) {
        double sum = hessian[r][c] + (r == c ? damping * (1 + hessian[r][r]) : 0);
        for (int k = 0; k < c; k++) {
          sum -= factor[r][k] * factor[c][k];
        }
        if (r == c) {
          if (!(sum > 0)) {
            return false;
          }
          factor[r][r] = Math.sqrt(sum);
        } else {
          factor[r][c] = sum / factor[c][c];
        }
      }
    }
    for (int r = 0; r < m; r++) {
      double sum = gradient[r];
      for (int k = 0; k < r; k++) {
        sum -= factor[r][k] * step[k];
      }
      step[r] = sum / factor[r][r];
    }
    for (int r = m - 1; r >= 0; r--) {
      double sum = step[r];
      for (int k = r + 1; k < m; k++) {
        sum -= factor[k][r] * step[k];
      }
      step[r] = sum / factor[r][r];
    }
    return true;
  }
}
