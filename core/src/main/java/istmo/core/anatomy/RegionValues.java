package istmo.core.anatomy;

import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
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
    return new RegionValues(Regions.standard().all().stream().mapToDouble(value).toArray());
  }

  /** Nothing anywhere. */
  public static RegionValues zero() {
    return new RegionValues(new double[Regions.standard().all().size()]);
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

  /** Mean over the regions of a group; 0 for a group that is not there. */
  public double mean(String group) {
    return Regions.standard().all().stream()
        .filter(region -> region.group().equals(group))
        .mapToDouble(this::get)
        .average()
        .orElse(0);
  }

  /** The value of a region; throws {@link istmo.core.quantity.InvalidInput} for an unknown id. */
  public double get(String regionId) {
    return values[Regions.standard().get(regionId).ordinal()];
  }

  /** The value of a region. */
  public double get(Region region) {
    return values[region.ordinal()];
  }

  /** All values, in the order of the list of regions. */
  public DoubleStream stream() {
    return Arrays.stream(values);
  }

  /** The same by region id, for whoever writes it down. */
  public Map<String, Double> asMap() {
    Map<String, Double> map = new LinkedHashMap<>();
    Regions.standard().all().forEach(region -> map.put(region.id(), get(region)));
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
