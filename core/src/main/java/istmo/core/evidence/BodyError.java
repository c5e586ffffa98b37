package istmo.core.evidence;

import istmo.core.computing.Kept;
import istmo.core.quantity.Required;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * The model's error about how a body differs from the reference body, and what coaches' agreement
 * says of it. Practice rows correct the model on the reference body only. A body of other
 * proportions can leave them by mechanics alone, as a tall client with stiff ankles does, whose
 * squat is nearly a good morning. But coaches speak of all their clients.
 *
 * <p>The difference of ln(stimulus + floor) between the bodies, d, has an error of its own, normal
 * with standard deviation {@value #SHARE} |d| and correlated between points as {@link
 * Point#correlation} says. Points of one kind are taken to differ alike from the reference body.
 * Each practice row is then a direction once more, now of this body's difference, whose noise has
 * the posterior variance of the reference body added to it. So nothing is moved where a body is
 * like the reference body.
 */
final class BodyError {
  /** Standard deviation of the error for each unit of the difference (own estimate). */
  static final double SHARE = 0.5;

  /** A difference between bodies below which nothing is asked. */
  private static final double TELLING = 0.1;

  private static final int MOST_KEPT = 2000;
  private static final int MOST_STEPS = 50;
  private static final double SETTLED = 1e-6;
  private static final int REGIONS = Field.REGIONS.size();

  private final List<Posterior.Agreed> agreed;
  private final Kept<Asked, Map<String, double[]>> known = Kept.atMost(MOST_KEPT);

  /** Correlation of the points of the rows, by their keys. */
  private final Map<String, Map<String, Double>> correlation = new HashMap<>();

  BodyError(Posterior posterior) {
    this.agreed = posterior.agreed();
    Map<String, Point> points = new HashMap<>();
    agreed.forEach(
        row -> row.parts().forEach(part -> points.put(part.point().key(), part.point())));
    points.forEach(
        (key, point) -> {
          Map<String, Double> withOthers = new HashMap<>();
          points.forEach((other, its) -> withOthers.put(other, point.correlation(its)));
          correlation.put(key, withOthers);
        });
  }

  /** A practice row with those of its parts that are of the point's kind. */
  private record Held(Posterior.Agreed row, List<Field.Part> parts) {
    private boolean sharesRegion(Held other) {
      return parts.stream()
          .anyMatch(part -> other.parts.stream().anyMatch(o -> o.region() == part.region()));
    }

    private double change(double[] difference) {
      return parts.stream().mapToDouble(part -> part.weight() * difference[part.region()]).sum();
    }
  }

  /** A point, by its name, on a body that differs so from the reference body. */
  private record Asked(String name, List<Double> difference) {}

  /**
   * What each practice row, by its id, adds to ln(stimulus + floor) at a point on a body, by
   * region; rows that add nothing are left out.
   *
   * @param difference by region: this body's ln(stimulus + floor) less the reference body's
   */
  Map<String, double[]> of(Point point, double[] difference) {
    if (Arrays.stream(difference).noneMatch(d -> Math.abs(d) >= TELLING)) {
      return Map.of();
    }
    Asked asked = new Asked(point.name(), Arrays.stream(difference).boxed().toList());
    return known.get(asked, key -> calculate(point, difference));
  }

  private Map<String, double[]> calculate(Point point, double[] difference) {
    Map<String, double[]> result = new LinkedHashMap<>();
    List<Held> held =
        agreed.stream()
            .map(row -> new Held(row, ofKind(point.kind(), row.parts())))
            .filter(row -> Math.abs(row.change(difference)) >= TELLING)
            .toList();
    for (List<Held> block : blocks(held)) {
      correct(point, difference, block, result);
    }
    return result;
  }

  /** Rows that have no region in common, not even through others, know nothing of one another. */
  private static List<List<Held>> blocks(List<Held> held) {
    List<List<Held>> blocks = new ArrayList<>();
    for (Held row : held) {
      List<Held> block = new ArrayList<>(List.of(row));
      List<List<Held>> joined =
          blocks.stream().filter(other -> other.stream().anyMatch(row::sharesRegion)).toList();
      joined.forEach(block::addAll);
      blocks.removeAll(joined);
      blocks.add(block);
    }
    return blocks;
  }

  private void correct(
      Point point, double[] difference, List<Held> block, Map<String, double[]> result) {
    int n = block.size();
    double[] expected = new double[n];
    double[] noise = new double[n];
    double[][] covariance = new double[n][n];
    for (int k = 0; k < n; k++) {
      Posterior.Agreed row = block.get(k).row();
      expected[k] = row.here().mean() + block.get(k).change(difference);
      noise[k] = Math.hypot(row.noise(), row.here().sd());
      for (int j = 0; j < n; j++) {
        covariance[k][j] = covariance(block.get(k).parts(), block.get(j).parts(), difference);
      }
    }
    double[] weight = weights(expected, noise, covariance);
    for (int k = 0; k < n; k++) {
      double[] shift = new double[REGIONS];
      for (Field.Part part : block.get(k).parts()) {
        double sd = SHARE * difference[part.region()];
        shift[part.region()] +=
            part.weight() * sd * sd * point.correlation(part.point()) * weight[k];
      }
      result.put(block.get(k).row().finding().id(), shift);
    }
  }

  /**
   * What the errors that are most likely when every row is a direction Phi((expected + error) /
   * noise) are made of: error = covariance times these weights (Rasmussen and Williams 2006,
   * algorithm 3.1; the logarithm is concave, so Newton's steps arrive).
   */
  static double[] weights(double[] expected, double[] noise, double[][] covariance) {
    int n = expected.length;
    RealMatrix prior = new Array2DRowRealMatrix(covariance, false);
    RealVector error = new ArrayRealVector(n);
    RealVector weight = new ArrayRealVector(n);
    for (int step = 0; step < MOST_STEPS; step++) {
      RealVector root = new ArrayRealVector(n);
      RealVector target = new ArrayRealVector(n);
      for (int k = 0; k < n; k++) {
        double z = (expected[k] + error.getEntry(k)) / noise[k];
        double ratio = Normal.densityOverProbability(z);
        double curvature = ratio * (z + ratio) / (noise[k] * noise[k]);
        root.setEntry(k, Math.sqrt(curvature));
        target.setEntry(k, curvature * error.getEntry(k) + ratio / noise[k]);
      }
      double[][] b = new double[n][n];
      for (int k = 0; k < n; k++) {
        for (int j = 0; j < n; j++) {
          b[k][j] = (k == j ? 1 : 0) + root.getEntry(k) * covariance[k][j] * root.getEntry(j);
        }
      }
      RealVector inner = root.ebeMultiply(prior.operate(target));
      RealVector solved =
          new CholeskyDecomposition(new Array2DRowRealMatrix(b, false)).getSolver().solve(inner);
      weight = target.subtract(root.ebeMultiply(solved));
      RealVector next = prior.operate(weight);
      double moved = next.getLInfDistance(error);
      error = next;
      if (moved < SETTLED) {
        return weight.toArray();
      }
    }
    throw new IllegalStateException("the errors did not settle");
  }

  private static List<Field.Part> ofKind(String kind, List<Field.Part> parts) {
    return parts.stream().filter(part -> part.point().kind().equals(kind)).toList();
  }

  /** Of the errors of two rows. */
  private double covariance(
      List<Field.Part> parts, List<Field.Part> otherParts, double[] difference) {
    double sum = 0;
    for (Field.Part part : parts) {
      for (Field.Part otherPart : otherParts) {
        if (part.region() == otherPart.region()) {
          double sd = SHARE * difference[part.region()];
          double shared =
              Required.entry(
                  Required.entry(correlation, part.point().key()), otherPart.point().key());
          sum += part.weight() * otherPart.weight() * sd * sd * shared;
        }
      }
    }
    return sum;
  }
}
