package istmo.core.mechanics;

import java.util.Arrays;

/**
 * The largest load W for which activations within 0..1 and contacts within their bounds balance
 * every carried moment: a linear programme, solved by a bounded-variable simplex on a small dense
 * tableau (Dantzig 1963, with Bland's rule after many steps). Its dual prices give, for each
 * column, how much W would rise if that column were a little stronger. Bounds of contacts that grow
 * with W are rows of their own. A workspace.
 */
public final class StrengthLimit {
  /** Loads searched, kg: a negative limit says how much help is needed. */
  public static final double LOWEST_KG = -400;

  public static final double HIGHEST_KG = 4000;

  private static final double EPS = 1e-9;
  private static final int BLAND_AFTER = 300;
  private static final int MOST_STEPS = 2000;

  private final Equilibrium eq;
  private final int mMax;
  private final int nMax;
  private final double[][] t;
  private final double[] rhs;
  private final double[] upper;
  private final double[] cost;
  private final int[] basis;
  private final boolean[] flipped;
  private final boolean[] basic;
  private final double[] sign;
  private final double[] value;
  private int m;
  private int n;
  private int w;
  private int firstArtificial;
  private double limit;
  private final double[] sensitivity;

  /** A workspace over an equilibrium, which must be set to a posture before it solves. */
  public StrengthLimit(Equilibrium eq) {
    this.eq = eq;
    this.mMax = 6 + 8;
    this.nMax = eq.muscles + Equilibrium.SOURCES + 8 + 1 + 8 + mMax;
    this.t = new double[mMax][nMax];
    this.rhs = new double[mMax];
    this.upper = new double[nMax];
    this.cost = new double[nMax];
    this.basis = new int[mMax];
    this.flipped = new boolean[nMax];
    this.basic = new boolean[nMax];
    this.sign = new double[mMax];
    this.value = new double[nMax];
    this.sensitivity = new double[nMax];
  }

  /**
   * Solves for the posture that the equilibrium is set to. Returns false when no load in the range
   * balances.
   */
  public boolean solve() {
    setUp();
    if (!phase(true)) {
      return false;
    }
    if (!phase(false)) {
      return false;
    }
    readValues();
    return true;
  }

  /** The limit, kg. {@link #HIGHEST_KG} stands for more than that. */
  public double limitKg() {
    return limit;
  }

  /**
   * dW / d(relative strength) of muscle or torque source {@code column}, kg; zero for one that does
   * not limit.
   */
  public double sensitivity(int column) {
    return sensitivity[column];
  }

  private void setUp() {
    int rows = eq.rows;
    int boxed = 0;
    for (int f = 0; f < eq.free; f++) {
      boxed += eq.freeBoundPerKg[f] != 0 ? 1 : 0;
    }
    m = rows + boxed;
    int c = eq.columns;
    w = c;
    int slack = c + 1;
    firstArtificial = slack + boxed;
    n = firstArtificial + m;
    for (int r = 0; r < m; r++) {
      Arrays.fill(t[r], 0, n, 0);
      rhs[r] = 0;
    }
    Arrays.fill(upper, 0, n, Double.POSITIVE_INFINITY);
    Arrays.fill(flipped, 0, n, false);
    Arrays.fill(basic, 0, n, false);
    for (int r = 0; r < rows; r++) {
      System.arraycopy(eq.a[r], 0, t[r], 0, c);
      t[r][w] = -eq.b1[r];
      rhs[r] = eq.b0[r];
    }
    for (int j = 0; j < eq.muscles + 1; j++) {
      upper[j] = 1;
    }
    // two-sided variables are shifted to start at zero; the shift may grow with W
    int reserve = eq.muscles + 1;
    shift(rows, reserve, eq.rotationReserve(), 0);
    upper[reserve] = 2 * eq.rotationReserve();
    boundContacts(rows, slack);
    // W = LOWEST + W'
    for (int r = 0; r < m; r++) {
      rhs[r] -= t[r][w] * LOWEST_KG;
    }
    upper[w] = HIGHEST_KG - LOWEST_KG;
    startWithArtificials();
  }

  /** Bounds of the free contacts, which may grow with W. */
  private void boundContacts(int rows, int slack) {
    int box = 0;
    for (int f = 0; f < eq.free; f++) {
      int j = eq.muscles + Equilibrium.SOURCES + f;
      double k0 = eq.freeBound[f];
      double k1 = eq.freeBoundPerKg[f];
      double span = eq.freeOneSided[f] ? 1 : 2;
      if (!eq.freeOneSided[f]) {
        shift(rows, j, k0, k1);
      }
      if (k1 == 0) {
        upper[j] = span * k0;
      } else { // x - span k1 W + slack = span k0
        int r = rows + box;
        t[r][j] = 1;
        t[r][w] = -span * k1;
        t[r][slack + box] = 1;
        rhs[r] = span * k0;
        box++;
      }
    }
  }

  /** Each row begins with a variable of its own, which the first phase drives out. */
  private void startWithArtificials() {
    for (int r = 0; r < m; r++) {
      sign[r] = rhs[r] < 0 ? -1 : 1;
      if (sign[r] < 0) {
        for (int j = 0; j < firstArtificial; j++) {
          t[r][j] = -t[r][j];
        }
        rhs[r] = -rhs[r];
      }
      t[r][firstArtificial + r] = 1;
      basis[r] = firstArtificial + r;
      basic[firstArtificial + r] = true;
    }
  }

  /** x = x' - (k0 + k1 W). */
  private void shift(int rows, int j, double k0, double k1) {
    for (int r = 0; r < rows; r++) {
      rhs[r] += t[r][j] * k0;
      t[r][w] -= t[r][j] * k1;
    }
  }

  /** Reduced costs of the objective (maximised), then steps until none improves. */
  private boolean phase(boolean first) {
    Arrays.fill(cost, 0, n, 0);
    if (first) {
      for (int r = 0; r < m; r++) {
        for (int j = 0; j < firstArtificial; j++) {
          cost[j] += t[r][j];
        }
      }
    } else {
      for (int j = firstArtificial; j < n; j++) {
        upper[j] = 0;
      }
      cost[w] = flipped[w] ? -1 : 1;
      for (int r = 0; r < m; r++) {
        if (basis[r] == w) {
          double cw = cost[w];
          for (int j = 0; j < n; j++) {
            cost[j] -= cw * t[r][j];
          }
        }
      }
    }
    int candidates = firstArtificial;
    for (int step = 0; step < MOST_STEPS; step++) {
      int enter = -1;
      double best = EPS;
      for (int j = 0; j < candidates; j++) {
        if (!basic[j] && upper[j] > 0 && cost[j] > best) {
          enter = j;
          if (step > BLAND_AFTER) {
            break;
          }
          best = cost[j];
        }
      }
      if (enter < 0) {
        return !first || infeasibility() < 1e-6;
      }
      advance(enter);
    }
    throw new IllegalStateException(
        "the strength limit did not settle in " + MOST_STEPS + " steps");
  }

  private double infeasibility() {
    double sum = 0;
    for (int r = 0; r < m; r++) {
      if (basis[r] >= firstArtificial) {
        sum += rhs[r];
      }
    }
    return sum;
  }

  private void advance(int enter) {
    double stepLength = upper[enter];
    int leave = -1;
    boolean leaveAtUpper = false;
    double pivotSize = 0;
    for (int r = 0; r < m; r++) {
      double a = t[r][enter];
      double ratio;
      boolean atUpper;
      if (a > EPS) {
        ratio = rhs[r] / a;
        atUpper = false;
      } else if (a < -EPS && upper[basis[r]] < Double.POSITIVE_INFINITY) {
        ratio = (upper[basis[r]] - rhs[r]) / -a;
        atUpper = true;
      } else {
        continue;
      }
      if (ratio < stepLength - 1e-12
          || (ratio <= stepLength + 1e-12 && leave >= 0 && Math.abs(a) > pivotSize)) {
        stepLength = Math.max(0, ratio);
        leave = r;
        leaveAtUpper = atUpper;
        pivotSize = Math.abs(a);
      }
    }
    if (leave < 0) { // the entering variable runs to its own bound
      flip(enter);
      return;
    }
    if (leaveAtUpper) {
      flipBasic(leave);
    }
    pivot(leave, enter);
  }

  /** x_j = u_j - x_j' for a nonbasic variable. */
  private void flip(int j) {
    for (int r = 0; r < m; r++) {
      rhs[r] -= t[r][j] * upper[j];
      t[r][j] = -t[r][j];
    }
    cost[j] = -cost[j];
    flipped[j] = !flipped[j];
  }

  private void flipBasic(int r) {
    int j = basis[r];
    rhs[r] = upper[j] - rhs[r];
    for (int k = 0; k < n; k++) {
      t[r][k] = -t[r][k];
    }
    t[r][j] = 1;
    flipped[j] = !flipped[j];
  }

  private void pivot(int row, int column) {
    double p = 1 / t[row][column];
    for (int j = 0; j < n; j++) {
      t[row][j] *= p;
    }
    rhs[row] *= p;
    for (int r = 0; r < m; r++) {
      double f = t[r][column];
      if (r != row && f != 0) {
        for (int j = 0; j < n; j++) {
          t[r][j] -= f * t[row][j];
        }
        rhs[r] -= f * rhs[row];
      }
    }
    double f = cost[column];
    for (int j = 0; j < n; j++) {
      cost[j] -= f * t[row][j];
    }
    basic[basis[row]] = false;
    basic[column] = true;
    basis[row] = column;
  }

  private void readValues() {
    for (int j = 0; j < n; j++) {
      value[j] = flipped[j] ? upper[j] : 0;
    }
    for (int r = 0; r < m; r++) {
      int j = basis[r];
      value[j] = flipped[j] ? upper[j] - rhs[r] : rhs[r];
    }
    limit = LOWEST_KG + value[w];
    // price of row r: dW / d(right side of row r), read from the artificial's reduced cost
    for (int j = 0; j < eq.columns; j++) {
      double v = 0;
      if (j < eq.muscles + 1 && value[j] > 0) {
        for (int r = 0; r < eq.rows; r++) {
          double price = -cost[firstArtificial + r] * sign[r];
          v -= price * eq.a[r][j] * value[j];
        }
      }
      sensitivity[j] = Math.max(0, v);
    }
  }
}
