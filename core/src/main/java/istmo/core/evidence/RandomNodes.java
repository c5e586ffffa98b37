package istmo.core.evidence;

import istmo.core.anatomy.RegionGroup;
import istmo.core.computing.Kept;
import java.util.EnumMap;
import java.util.Map;
import java.util.Random;

/**
 * Standard normal draws by name, the same for every school and in every run; in opposite pairs, so
 * that their mean is exact.
 */
final class RandomNodes {
  private static final int PAIRS = Evidence.DRAWS / 2;
  private static final long SEED = 20261124;
  private static final int MOST_KEPT = 600;

  private static final Kept<String, double[][]> KEPT = Kept.atMost(MOST_KEPT);

  private RandomNodes() {}

  /** Draws of a node for each region, [region][draw], correlated within groups. */
  static double[][] of(String name) {
    return KEPT.get(name, RandomNodes::drawn);
  }

  private static double[][] drawn(String name) {
    double[][] result = new double[Field.REGIONS.size()][];
    Map<RegionGroup, double[]> groups = new EnumMap<>(RegionGroup.class);
    for (int r = 0; r < result.length; r++) {
      RegionGroup group = Field.REGIONS.get(r).group();
      double[] common = groups.computeIfAbsent(group, text -> normals(name + " " + text));
      double[] apart = normals(name + " " + Field.REGIONS.get(r).id());
      double[] z = new double[Evidence.DRAWS];
      for (int d = 0; d < z.length; d++) {
        z[d] =
            Math.sqrt(Field.REGION_SHARE) * common[d]
                + Math.sqrt(1 - Field.REGION_SHARE) * apart[d];
      }
      result[r] = z;
    }
    return result;
  }

  /** Draws of one name. */
  static double[] normals(String name) {
    Random random = new Random(SEED ^ (0x9E3779B97F4A7C15L * name.hashCode()));
    double[] z = new double[Evidence.DRAWS];
    for (int d = 0; d < PAIRS; d++) {
      z[d] = random.nextGaussian();
      z[d + PAIRS] = -z[d];
    }
    return z;
  }
}
