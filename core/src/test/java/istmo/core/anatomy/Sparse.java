package istmo.core.anatomy;

import java.util.Map;

/** Values of some regions; the others have none. */
public final class Sparse {
  private Sparse() {}

  public static RegionValues values(Map<String, Double> byRegion) {
    byRegion.keySet().forEach(Regions.standard()::get);
    return RegionValues.of(region -> byRegion.getOrDefault(region.id(), 0.0));
  }
}
