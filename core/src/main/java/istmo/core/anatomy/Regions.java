package istmo.core.anatomy;

import istmo.core.quantity.InvalidInput;
import istmo.core.resource.TextTable;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The list of regions {@code anatomy/regions.csv}; every muscle that it names must exist. */
public final class Regions {
  /** Not a region of the leg, but it can be kept out and can give out first. */
  public static final String LOWER_BACK = "ERECTORS";

  private static final Regions STANDARD = new Regions();
  private final Map<String, Region> byId = new LinkedHashMap<>();
  private final List<Region> all;

  private Regions() {
    for (TextTable.Row row : TextTable.rows("anatomy/regions.csv")) {
      Map<String, Double> shares = new LinkedHashMap<>();
      double sum = 0;
      for (String part : row.get("muscles").split(";")) {
        String[] pair = part.split(":");
        shares.put(Muscles.standard().get(pair[0]).id(), Double.parseDouble(pair[1]));
        sum += Double.parseDouble(pair[1]);
      }
      if (Math.abs(sum - 1) > 1e-9) {
        throw new IllegalStateException("region " + row.get("id") + ": shares add up to " + sum);
      }
      byId.put(
          row.get("id"),
          new Region(
              byId.size(),
              row.get("id"),
              row.get("coach_name"),
              row.get("anatomical_name"),
              row.get("group"),
              Map.copyOf(shares),
              row.get("steer"),
              row.get("column"),
              row.get("row")));
    }
    all = List.copyOf(byId.values());
  }

  /** The list that everything uses. */
  public static Regions standard() {
    return STANDARD;
  }

  /** Every region, in the order of the list; a region stands at its ordinal. */
  public List<Region> all() {
    return all;
  }

  /** Whether there is a region of that id. */
  public boolean has(String id) {
    return byId.containsKey(id);
  }

  /** The region, or {@link InvalidInput} that lists what there is. */
  public Region get(String id) {
    Region region = byId.get(id);
    if (region == null) {
      throw new InvalidInput(
          "region", "\"" + id + "\" is not a region; there are " + byId.keySet());
    }
    return region;
  }
}
