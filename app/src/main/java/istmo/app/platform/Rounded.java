package istmo.app.platform;

import istmo.core.anatomy.RegionValues;
import java.util.LinkedHashMap;
import java.util.Map;

/** Figures for screens: three decimals, never more than is known. */
public final class Rounded {
  private Rounded() {}

  /** Rounded to what is served, so that answers are short and alike on every machine. */
  public static double of(double v) {
    return Math.round(v * 1000) / 1000.0;
  }

  /** The same for values by region, by region id. */
  public static Map<String, Double> of(RegionValues values) {
    return of(values.asMap());
  }

  /** The same map, rounded, in the same order; a region goes by its id. */
  public static Map<String, Double> of(Map<?, Double> map) {
    Map<String, Double> result = new LinkedHashMap<>();
    map.forEach((key, v) -> result.put(key.toString(), of(v)));
    return result;
  }
}
