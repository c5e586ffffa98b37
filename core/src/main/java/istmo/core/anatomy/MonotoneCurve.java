package istmo.core.anatomy;

/**
 * A smooth curve through knots that never overshoots them: the piecewise cubic Hermite interpolant
 * of Fritsch and Butland (1984), with its exact integral. Outside the knots the value stays that of
 * the end knot. Abscissae in rad, ordinates as the holder says.
 */
public final class MonotoneCurve {
  private final double[] x;
  private final double[] y;
  private final double[] slope;
  private final double[] areaToKnot;
  private final double areaAtZero;

  private MonotoneCurve(double[] x, double[] y) {
    this.x = x;
    this.y = y;
    this.slope = slopes(x, y);
    this.areaToKnot = new double[x.length];
    for (int i = 1; i < x.length; i++) {
      areaToKnot[i] = areaToKnot[i - 1] + areaWithin(i - 1, x[i] - x[i - 1]);
    }
    this.areaAtZero = areaFromFirstKnot(0);
  }

  /**
   * A curve through the points (x[i], y[i]); x strictly increasing, at least two points. The arrays
   * are copied.
   */
  public static MonotoneCurve through(double[] x, double[] y) {
    if (x.length != y.length || x.length < 2) {
      throw new IllegalArgumentException(
          "needs at least two knots and as many values; got " + x.length + " and " + y.length);
    }
    for (int i = 1; i < x.length; i++) {
      if (!(x[i] > x[i - 1])) {
        throw new IllegalArgumentException(
            "knots must increase; knot " + i + " is " + x[i] + " after " + x[i - 1]);
      }
    }
    return new MonotoneCurve(x.clone(), y.clone());
  }

  /** The same curve with every value multiplied. */
  public MonotoneCurve times(double factor) {
    double[] scaled = new double[y.length];
    for (int i = 0; i < y.length; i++) {
      scaled[i] = factor * y[i];
    }
    return new MonotoneCurve(x, scaled);
  }

  /** The curve's value at an abscissa; beyond its ends the value of the end. */
  public double value(double at) {
    int n = x.length;
    if (at <= x[0]) {
      return y[0];
    }
    if (at >= x[n - 1]) {
      return y[n - 1];
    }
    int i = interval(at);
    double h = x[i + 1] - x[i];
    double t = (at - x[i]) / h;
    double t2 = t * t;
    double t3 = t2 * t;
    return (2 * t3 - 3 * t2 + 1) * y[i]
        + (t3 - 2 * t2 + t) * h * slope[i]
        + (3 * t2 - 2 * t3) * y[i + 1]
        + (t3 - t2) * h * slope[i + 1];
  }

  /** First derivative; zero outside the knots. */
  public double derivative(double at) {
    int n = x.length;
    if (at <= x[0] || at >= x[n - 1]) {
      return 0;
    }
    int i = interval(at);
    double h = x[i + 1] - x[i];
    double t = (at - x[i]) / h;
    double t2 = t * t;
    return (6 * t2 - 6 * t) / h * (y[i] - y[i + 1])
        + (3 * t2 - 4 * t + 1) * slope[i]
        + (3 * t2 - 2 * t) * slope[i + 1];
  }

  /** Integral of the curve from zero to {@code at}. */
  public double integralFromZero(double at) {
    return areaFromFirstKnot(at) - areaAtZero;
  }

  private double areaFromFirstKnot(double at) {
    int n = x.length;
    if (at <= x[0]) {
      return (at - x[0]) * y[0];
    }
    if (at >= x[n - 1]) {
      return areaToKnot[n - 1] + (at - x[n - 1]) * y[n - 1];
    }
    int i = interval(at);
    return areaToKnot[i] + areaWithin(i, at - x[i]);
  }

  private double areaWithin(int i, double d) {
    double h = x[i + 1] - x[i];
    double t = d / h;
    double t2 = t * t;
    double t3 = t2 * t;
    double t4 = t3 * t;
    return h
        * ((t4 / 2 - t3 + t) * y[i]
            + (t4 / 4 - 2 * t3 / 3 + t2 / 2) * h * slope[i]
            + (t3 - t4 / 2) * y[i + 1]
            + (t4 / 4 - t3 / 3) * h * slope[i + 1]);
  }

  private int interval(double at) {
    int i = 0;
    while (at >= x[i + 1]) {
      i++;
    }
    return i;
  }

  private static double[] slopes(double[] x, double[] y) {
    int n = x.length;
    double[] h = new double[n - 1];
    double[] d = new double[n - 1];
    for (int i = 0; i < n - 1; i++) {
      h[i] = x[i + 1] - x[i];
      d[i] = (y[i + 1] - y[i]) / h[i];
    }
    double[] m = new double[n];
    if (n == 2) {
      m[0] = m[1] = d[0];
      return m;
    }
    for (int i = 1; i < n - 1; i++) {
      if (d[i - 1] * d[i] > 0) { // weighted harmonic mean, Fritsch and Butland 1984
        double w1 = 2 * h[i] + h[i - 1];
        double w2 = h[i] + 2 * h[i - 1];
        m[i] = (w1 + w2) / (w1 / d[i - 1] + w2 / d[i]);
      }
    }
    m[0] = endSlope(h[0], h[1], d[0], d[1]);
    m[n - 1] = endSlope(h[n - 2], h[n - 3], d[n - 2], d[n - 3]);
    return m;
  }

  /** Three-point end slope that keeps the shape. */
  private static double endSlope(double h0, double h1, double d0, double d1) {
    double m = ((2 * h0 + h1) * d0 - h0 * d1) / (h0 + h1);
    if (m * d0 <= 0) {
      return 0;
    }
    return d0 * d1 <= 0 && Math.abs(m) > 3 * Math.abs(d0) ? 3 * d0 : m;
  }
}
