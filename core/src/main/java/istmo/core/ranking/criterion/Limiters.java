package istmo.core.ranking.criterion;

import istmo.core.anatomy.Muscles;
import istmo.core.anatomy.Region;
import istmo.core.mechanics.Limiter;
import istmo.core.mechanics.SimulatedSet;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What gives out first, by the groups that a coach names. */
public final class Limiters {
  /** The next group is named with the first from this share of it on. */
  private static final double SHARED = 0.6;

  private Limiters() {}

  /** A group (quads, lower back ...) and its share of what limits, 0 to 1. */
  public record GroupShare(String group, double share) {}

  /** Shares of what limits by group, greatest first; they add up to 1. */
  public static List<GroupShare> byGroup(List<Limiter> limiters) {
    Map<String, Double> byName = new LinkedHashMap<>();
    for (Limiter limiter : limiters) {
      byName.merge(group(limiter.id()), limiter.share(), Double::sum);
    }
    return byName.entrySet().stream()
        .map(entry -> new GroupShare(entry.getKey(), entry.getValue()))
        .sorted(Comparator.comparingDouble(GroupShare::share).reversed())
        .toList();
  }

  /**
   * The group that limits most: alone, or with the next when that is not far behind; none where
   * nothing does.
   */
  public static List<String> first(List<Limiter> limiters) {
    List<GroupShare> groups = byGroup(limiters);
    boolean shared = groups.size() > 1 && groups.get(1).share() > SHARED * groups.get(0).share();
    return groups.stream().limit(shared ? 2 : 1).map(GroupShare::group).toList();
  }

  /** Group by which limiters are named: the region's group. */
  private static String group(String id) {
    return switch (id) {
      case SimulatedSet.BREATH -> "breath";
      case Limiter.GRIP -> "grip";
      case Limiter.BALANCE -> "balance";
      case "ABDOMINALS" -> "abdominals";
      default ->
          Region.find(id)
              .map(region -> region.group().word())
              .orElseGet(() -> Muscles.standard().get(id).label());
    };
  }
}
