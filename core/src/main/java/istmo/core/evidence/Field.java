package istmo.core.evidence;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionGroup;
import java.util.List;
import java.util.Map;

/**
 * Prior covariances of the field ln(stimulus + floor) between places on the reference body: what
 * unknowns of people in general have in common, and the model's own error.
 */
final class Field {
  /** Correlation of the model's own error between two regions of a group (own estimate). */
  static final double REGION_SHARE = 0.5;

  /**
   * How much more of it is within muscles and muscle groups, by how well a region can be steered
   * (A, B, C).
   */
  private static final Map<Region.Steer, Double> STEER =
      Map.of(Region.Steer.A, 1.0, Region.Steer.B, 1.1, Region.Steer.C, 1.25);

  static final List<Region> REGIONS = List.of(Region.values());
  private static final RegionGroup[] GROUP_OF =
      REGIONS.stream().map(Region::group).toArray(RegionGroup[]::new);
  private static final double[] STEER_OF =
      REGIONS.stream().mapToDouble(each -> STEER.get(each.steer())).toArray();

  /** Which unknowns studies can tell of. */
  static final boolean[] PEOPLE = people();

  private Field() {}

  /**
   * A point with what the field needs of it; {@code telling} are, by region, the unknowns of people
   * in general that change it.
   */
  record Node(Point point, double[][] change, int[][] telling, double ownError) {}

  /** One component of an observation. */
  record Part(Node node, int region, double weight) {
    Point point() {
      return node.point();
    }
  }

  @SuppressWarnings("ReferenceEquality") // there is one node for a point
  static double covariance(List<Part> parts, List<Part> otherParts) {
    double sum = 0;
    Node node = null;
    Node otherNode = null;
    double correlation = 0;
    for (Part part : parts) {
      for (Part otherPart : otherParts) {
        if (part.node() != node || otherPart.node() != otherNode) {
          node = part.node();
          otherNode = otherPart.node();
          correlation = node.point().correlation(otherNode.point());
        }
        sum +=
            part.weight()
                * otherPart.weight()
                * covariance(node, part.region(), otherNode, otherPart.region(), correlation);
      }
    }
    return sum;
  }

  /**
   * Prior covariance of the field between two places on the reference body, given the correlation
   * of their own errors.
   */
  static double covariance(Node node, int r, Node otherNode, int s, double correlation) {
    double sum =
        correlation == 0
            ? 0
            : ownError(node, r) * ownError(otherNode, s) * regionShare(r, s) * correlation;
    double[] jp = node.change()[r];
    double[] jq = otherNode.change()[s];
    for (int u : node.telling()[r]) {
      sum += jp[u] * jq[u];
    }
    return sum;
  }

  private static boolean[] people() {
    boolean[] result = new boolean[Unknown.all().size()];
    for (int u = 0; u < result.length; u++) {
      result[u] = Unknown.all().get(u).kind() == Unknown.Kind.PEOPLE;
    }
    return result;
  }

  static double regionShare(int r, int s) {
    return r == s ? 1 : GROUP_OF[r] == GROUP_OF[s] ? REGION_SHARE : 0;
  }

  static double ownError(Node node, int region) {
    return node.ownError() * STEER_OF[region];
  }
}
