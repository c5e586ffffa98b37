package istmo.core.evidence;

import java.util.List;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;

/**
 * The model's own errors in the set-ups of one exercise: the nearer two set-ups, the more alike.
 *
 * @param root Cholesky root of the correlation of the points' errors
 */
record SetupErrors(List<Point> points, RealMatrix root) {
  private static final double JITTER = 1e-9;

  static SetupErrors of(List<Point> points) {
    int n = points.size();
    RealMatrix matrix = new Array2DRowRealMatrix(n, n);
    for (int i = 0; i < n; i++) {
      for (int j = 0; j < n; j++) {
        matrix.setEntry(i, j, correlation(points.get(i), points.get(j)) + (i == j ? JITTER : 0));
      }
    }
    return new SetupErrors(points, new CholeskyDecomposition(matrix, 1e-9, 1e-15).getL());
  }

  /** The row that a further set-up would have in the root after the points. */
  double[] rootOf(Point point) {
    int n = points.size();
    double[] row = new double[n + 1];
    double left = 1;
    for (int i = 0; i < n; i++) { // forward substitution
      double v = correlation(point, points.get(i));
      for (int j = 0; j < i; j++) {
        v -= root.getEntry(i, j) * row[j];
      }
      row[i] = v / root.getEntry(i, i);
      left -= row[i] * row[i];
    }
    row[n] = Math.sqrt(Math.max(0, left));
    return row;
  }

  private static double correlation(Point one, Point other) {
    return Math.exp(-one.squaredDistance(other) / 2);
  }
}
