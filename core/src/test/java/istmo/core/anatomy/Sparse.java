package istmo.core.anatomy;

import java.util.Map;

/** Values of some regions; the others have none. */
public final class Sparse {
  private Sparse() {}

  /** Values of some regions; 0 elsewhere. */
  public static RegionValues values(Map<Region, Double> byRegion) {
    return RegionValues.of(region -> byRegion.getOrDefault(region, 0.0));
  }
}
