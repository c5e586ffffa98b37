package istmo.core.equipment;

import istmo.core.equipment.Equipment.LoadKind;
import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * What a gym has, and what is known of it.
 *
 * @param items ids of what it has
 * @param measured item id to detail id to value in the detail's unit; what is not there is generic
 * @param plates that go on bars and sleds
 */
public record GymEquipment(
    Set<String> items, Map<String, Map<String, Double>> measured, Plates plates) {
  public GymEquipment {
    items = Collections.unmodifiableSet(new TreeSet<>(Equipment.check(items)));
    List<InvalidInput.Fault> faults = new ArrayList<>();
    Map<String, Map<String, Double>> copy = new TreeMap<>();
    measured.forEach(
        (item, values) -> {
          Map<String, Double> own = new TreeMap<>();
          values.forEach((id, value) -> check(faults, item, id, value, own));
          if (!own.isEmpty()) {
            copy.put(item, Collections.unmodifiableMap(own));
          }
        });
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
    measured = Collections.unmodifiableMap(copy);
  }

  /** A place of which nothing is measured. */
  public static GymEquipment generic(Set<String> items) {
    return new GymEquipment(items, Map.of(), Plates.unknown());
  }

  private static void check(
      List<InvalidInput.Fault> faults,
      String item,
      String id,
      Double value,
      Map<String, Double> into) {
    String field = "measured." + item + "." + id;
    try {
      Detail detail = Equipment.detail(item, id);
      if (value == null || (detail.isYesOrNo() && value != 0 && value != 1)) {
        throw new InvalidInput(
            field, detail.isYesOrNo() ? "is 1 for yes or 0 for no" : "needs a number");
      }
      into.put(id, detail.allowed().check(field, value));
    } catch (InvalidInput e) {
      faults.addAll(e.faults());
    }
  }

  /** Names of what an exercise needs and is not here, in small letters, sorted. */
  public List<String> missing(Set<String> needs) {
    return needs.stream()
        .filter(id -> !items.contains(id))
        .map(id -> Equipment.get(id).name().toLowerCase(Locale.ROOT))
        .sorted()
        .toList();
  }

  /** What was measured of a detail, in the detail's unit; empty where nothing was. */
  public OptionalDouble measured(String item, String detail) {
    Double v = measured.getOrDefault(item, Map.of()).get(detail);
    return v == null ? OptionalDouble.empty() : OptionalDouble.of(v);
  }

  /** Measured, or the generic value. */
  public double value(String item, String detail) {
    return measured(item, detail).orElse(Equipment.detail(item, detail).usual());
  }

  /** Everything measured of these items, by detail id. */
  public Map<String, Double> measuredOf(Set<String> items) {
    Map<String, Double> all = new LinkedHashMap<>();
    items.stream().sorted().forEach(item -> all.putAll(measured.getOrDefault(item, Map.of())));
    return all;
  }

  /** Smallest step in load of an exercise that needs these items, kg; 0 where no load is added. */
  public double smallestStepKg(Set<String> items) {
    return items.stream()
        .mapToDouble(item -> measured(item, "step").orElse(genericStepKg(Equipment.get(item))))
        .max()
        .orElse(0);
  }

  private double genericStepKg(Equipment.Item item) {
    return item.smallestStepKg() > 0
            && (item.load() == LoadKind.BAR || item.load() == LoadKind.SLED)
        ? plates.smallestStepKg().orElse(item.smallestStepKg())
        : item.smallestStepKg();
  }

  /** The same place with one value known. */
  public GymEquipment with(String item, String detail, double value) {
    Map<String, Map<String, Double>> changed = new LinkedHashMap<>(measured);
    Map<String, Double> own = new LinkedHashMap<>(changed.getOrDefault(item, Map.of()));
    own.put(detail, value);
    changed.put(item, own);
    return new GymEquipment(items, changed, plates);
  }
}
