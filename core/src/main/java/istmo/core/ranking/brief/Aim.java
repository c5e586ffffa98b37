package istmo.core.ranking.brief;

import istmo.core.anatomy.Regions;
import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * What should grow and what should stay out of it.
 *
 * @param weights region id to 1, 2 or 3
 * @param keepOut region ids, or {@link Regions#LOWER_BACK}
 */
public record Aim(Map<String, Integer> weights, Set<String> keepOut) {
  public Aim {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    weights.forEach(
        (id, w) -> {
          if (!Regions.standard().has(id)) {
            faults.add(new InvalidInput.Fault("aim." + id, "is not a region"));
          }
          if (w == null || w < 1 || w > 3) {
            faults.add(new InvalidInput.Fault("aim." + id, "must be 1, 2 or 3"));
          }
        });
    for (String id : keepOut) {
      if (!Regions.standard().has(id) && !id.equals(Regions.LOWER_BACK)) {
        faults.add(new InvalidInput.Fault("keepOut", "\"" + id + "\" is not a region"));
      }
      if (weights.containsKey(id)) {
        faults.add(
            new InvalidInput.Fault("keepOut", "\"" + id + "\" is aimed at and kept out at once"));
      }
    }
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
    weights = java.util.Collections.unmodifiableMap(new TreeMap<>(weights));
    keepOut = java.util.Collections.unmodifiableSet(new TreeSet<>(keepOut));
  }

  /** Whether nothing is aimed at. */
  public boolean isEmpty() {
    return weights.isEmpty();
  }
}
