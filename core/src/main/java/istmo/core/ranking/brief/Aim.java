package istmo.core.ranking.brief;

import istmo.core.anatomy.Region;
import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;

/**
 * What should grow and what should stay out of it.
 *
 * @param weights region to 1, 2 or 3
 * @param keepOut what should get and do little
 */
public record Aim(Map<Region, Integer> weights, Set<Region> keepOut) {
  /** Throws {@link InvalidInput} with fields "aim.ID" and "keepOut". */
  public Aim {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    Map<Region, Integer> sorted = new EnumMap<>(Region.class);
    weights.forEach(
        (region, weight) -> {
          checkWeight(faults, region.id(), weight);
          sorted.put(region, weight);
        });
    for (Region region : keepOut) {
      if (sorted.containsKey(region)) {
        faults.add(
            new InvalidInput.Fault(
                "keepOut", "\"" + region.id() + "\" is aimed at and kept out at once"));
      }
    }
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
    Set<Region> sortedOut = new TreeSet<>(Comparator.comparing(Region::id));
    sortedOut.addAll(keepOut);
    weights = Collections.unmodifiableMap(sorted);
    keepOut = Collections.unmodifiableSet(sortedOut);
  }

  /**
   * An aim by ids, as it comes from outside.
   *
   * @param weights region id to 1, 2 or 3
   * @param keepOut region ids
   */
  public static Aim of(Map<String, Integer> weights, Collection<String> keepOut) {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    Map<Region, Integer> known = new EnumMap<>(Region.class);
    new TreeMap<>(weights)
        .forEach(
            (id, weight) ->
                Region.find(id)
                    .ifPresentOrElse(
                        region -> known.put(region, weight),
                        () -> {
                          faults.add(new InvalidInput.Fault("aim." + id, "is not a region"));
                          checkWeight(faults, id, weight);
                        }));
    Set<Region> out = Region.known(faults, "keepOut", keepOut);
    InvalidInput.gather(faults, "", () -> new Aim(known, out));
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
    return new Aim(known, out);
  }

  /** The weights by region id, for whoever writes them down. */
  public Map<String, Integer> weightsById() {
    Map<String, Integer> byId = new LinkedHashMap<>();
    weights.forEach((region, weight) -> byId.put(region.id(), weight));
    return byId;
  }

  private static void checkWeight(
      List<InvalidInput.Fault> faults, String id, @Nullable Integer weight) {
    if (weight == null || weight < 1 || weight > 3) {
      faults.add(new InvalidInput.Fault("aim." + id, "must be 1, 2 or 3"));
    }
  }

  /** The region that is aimed at most, the first of those that are alike; throws when none is. */
  public Region most() {
    return weights.entrySet().stream()
        .max(
            Map.Entry.<Region, Integer>comparingByValue()
                .thenComparing(Map.Entry.comparingByKey(Comparator.reverseOrder())))
        .orElseThrow()
        .getKey();
  }

  /** Whether nothing is aimed at. */
  public boolean isEmpty() {
    return weights.isEmpty();
  }
}
