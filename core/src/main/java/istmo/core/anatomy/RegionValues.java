package istmo.core.anatomy;

import java.util.Arrays;
import java.util.Collections;
import java.util.EnumMap;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import java.util.stream.DoubleStream;

/** One value for each region, in the order of the list of regions. Never changes. */
public final class RegionValues {
  private final double[] values;

  private RegionValues(double[] values) {
    this.values = values;
  }

  /** Values by a function of the region. */
  public static RegionValues of(ToDoubleFunction<Region> value) {
    return new RegionValues(Arrays.stream(Region.values()).mapToDouble(value).toArray());
  }

  /** Nothing anywhere. */
  public static RegionValues zero() {
    return new RegionValues(new double[Region.values().length]);
  }

  /**
   * The same with so many times another's values added, region by region.
   *
   * @param times any number
   */
  public RegionValues plus(double times, RegionValues other) {
    double[] sum = values.clone();
    for (int r = 0; r < sum.length; r++) {
      sum[r] += times * other.values[r];
    }
    return new RegionValues(sum);
  }

  /** Sum over the regions of the lesser of both values: what two have in common. */
  public double overlap(RegionValues other) {
    double sum = 0;
    for (int r = 0; r < values.length; r++) {
      sum += Math.min(values[r], other.values[r]);
    }
    return sum;
  }

  /** Mean over the regions of a group. */
  public double mean(RegionGroup group) {
    return group.regions().stream().mapToDouble(this::get).average().orElseThrow();
  }

  /** The value of a region. */
  public double get(Region region) {
    return values[region.ordinal()];
  }

  /** All values, in the order of the list of regions. */
  public DoubleStream stream() {
    return Arrays.stream(values);
  }

  /** The same by region, for whoever writes it down. */
  public Map<Region, Double> asMap() {
    Map<Region, Double> map = new EnumMap<>(Region.class);
    for (Region region : Region.values()) {
      map.put(region, get(region));
    }
    return Collections.unmodifiableMap(map);
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof RegionValues regionValues && Arrays.equals(values, regionValues.values);
  }

  @Override
  public int hashCode() {
    return Arrays.hashCode(values);
  }

  @Override
  public String toString() {
    return asMap().toString();
  }
}
