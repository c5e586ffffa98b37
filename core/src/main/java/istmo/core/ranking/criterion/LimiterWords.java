package istmo.core.ranking.criterion;

import istmo.core.anatomy.Muscles;
import istmo.core.anatomy.Region;
import istmo.core.anatomy.Regions;
import istmo.core.mechanics.Limiter;
import istmo.core.mechanics.SimulatedSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** How a coach calls what gives out first, regions and minutes. */
public final class LimiterWords {
  private LimiterWords() {}

  /** What gives out first, as shares. */
  public static String givesOut(List<Limiter> limiters) {
    return "Gives out first: " + shares(limiters) + ".";
  }

  /** The same without the verb: "quads 68 %, glutes 16 %". */
  public static String shares(List<Limiter> limiters) {
    List<String> parts =
        limitersByGroup(limiters).stream()
            .limit(3)
            .filter(entry -> entry.getValue() >= 0.05)
            .map(
                entry ->
                    String.format(
                        Locale.ROOT, "%s %.0f %%", entry.getKey(), 100 * entry.getValue()))
            .toList();
    return parts.isEmpty()
        ? "nothing within the repetitions that are counted"
        : String.join(", ", parts);
  }

  /** The group that limits most: alone, or with the next when that is not far behind. */
  public static String firstLimiter(List<Limiter> limiters) {
    List<Map.Entry<String, Double>> groups = limitersByGroup(limiters);
    if (groups.isEmpty()) {
      return "nothing in range";
    }
    boolean shared = groups.size() > 1 && groups.get(1).getValue() > 0.6 * groups.get(0).getValue();
    return shared
        ? groups.get(0).getKey() + " and " + groups.get(1).getKey()
        : groups.get(0).getKey();
  }

  /** Shares of what limits by group (quads, lower back ...), greatest first; they add up to 1. */
  public static List<Map.Entry<String, Double>> limitersByGroup(List<Limiter> limiters) {
    Map<String, Double> byName = new LinkedHashMap<>();
    for (Limiter limiter : limiters) {
      byName.merge(limiterGroup(limiter.id()), limiter.share(), Double::sum);
    }
    return byName.entrySet().stream()
        .sorted(Map.Entry.<String, Double>comparingByValue().reversed())
        .toList();
  }

  /** Group by which limiters are named: the region's group, or lower back. */
  public static String limiterGroup(String id) {
    if (id.equals(Regions.LOWER_BACK)) {
      return "lower back";
    }
    if (id.equals(SimulatedSet.BREATH)) {
      return "breath";
    }
    if (id.equals(Limiter.GRIP)) {
      return "grip";
    }
    if (id.equals(Limiter.BALANCE)) {
      return "balance";
    }
    if (id.equals("ABDOMINALS")) {
      return "abdominals";
    }
    return Regions.standard().has(id)
        ? Regions.standard().get(id).group()
        : Muscles.standard().get(id).label();
  }

  /** Coach's name of a region, or lower back. */
  public static String name(String regionId) {
    if (regionId.equals(Regions.LOWER_BACK)) {
      return "lower back";
    }
    Region region = Regions.standard().get(regionId);
    return region.coachName();
  }

  /** Minutes without a needless ".0". */
  public static String minutes(double m) {
    return m == Math.rint(m) ? String.valueOf((int) m) : String.valueOf(m);
  }
}
