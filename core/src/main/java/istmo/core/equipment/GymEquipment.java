package istmo.core.equipment;

import istmo.core.equipment.Equipment.LoadKind;
import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;

/**
 * What a gym has, and what is known of it.
 *
 * @param items what it has
 * @param measured item to detail id to value in the detail's unit; what is not there is generic
 * @param plates that go on bars and sleds
 */
public record GymEquipment(
    Set<Equipment> items, Map<Equipment, Map<String, Double>> measured, Plates plates) {
  /** Detail of weights in the hand or at the ankle: the heaviest there is. */
  public static final String HEAVIEST = "most";

  /** Throws {@link InvalidInput} with fields "measured.ITEM.DETAIL". */
  public GymEquipment {
    Set<Equipment> sorted = EnumSet.noneOf(Equipment.class);
    sorted.addAll(items);
    items = Collections.unmodifiableSet(sorted);
    List<InvalidInput.Fault> faults = new ArrayList<>();
    Map<Equipment, Map<String, Double>> copy = new EnumMap<>(Equipment.class);
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
  public static GymEquipment generic(Set<Equipment> items) {
    return new GymEquipment(items, Map.of(), Plates.unknown());
  }

  /** What a place has and what is known of it, by ids, as it comes from outside. */
  public static GymEquipment of(
      Collection<String> items, Map<String, Map<String, Double>> measured, Plates plates) {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    Set<Equipment> known = EnumSet.noneOf(Equipment.class);
    InvalidInput.gather(faults, "", () -> known.addAll(Equipment.all(items)));
    Map<Equipment, Map<String, Double>> byItem = new EnumMap<>(Equipment.class);
    new TreeMap<>(measured)
        .forEach(
            (id, values) ->
                InvalidInput.gather(faults, "", () -> byItem.put(Equipment.of(id), values)));
    InvalidInput.gather(faults, "", () -> new GymEquipment(known, byItem, plates));
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
    return new GymEquipment(known, byItem, plates);
  }

  /** What is measured, by ids, for whoever writes it down. */
  public Map<String, Map<String, Double>> measuredById() {
    Map<String, Map<String, Double>> byId = new TreeMap<>();
    measured.forEach((item, values) -> byId.put(item.id(), values));
    return byId;
  }

  private static void check(
      List<InvalidInput.Fault> faults,
      Equipment item,
      String id,
      Double value,
      Map<String, Double> into) {
    String field = "measured." + item.id() + "." + id;
    try {
      Detail detail = item.detail(id);
      if (value == null || (detail.isYesOrNo() && value != 0 && value != 1)) {
        throw new InvalidInput(
            field, detail.isYesOrNo() ? "is 1 for yes or 0 for no" : "needs a number");
      }
      into.put(id, detail.allowed().check(field, value));
    } catch (InvalidInput e) {
      faults.addAll(e.faults());
    }
  }

  /** What an exercise needs and is not here. */
  public Set<Equipment> missing(Set<Equipment> needs) {
    Set<Equipment> missing = EnumSet.noneOf(Equipment.class);
    missing.addAll(needs);
    missing.removeAll(items);
    return missing;
  }

  /** What was measured of a detail, in the detail's unit; empty where nothing was. */
  public OptionalDouble measured(Equipment item, String detail) {
    Double v = measured.getOrDefault(item, Map.of()).get(detail);
    return v == null ? OptionalDouble.empty() : OptionalDouble.of(v);
  }

  /** Measured, or the generic value. */
  public double value(Equipment item, String detail) {
    return measured(item, detail).orElse(item.detail(detail).usual());
  }

  /** Everything measured of these items, by detail id. */
  public Map<String, Double> measuredOf(Set<Equipment> items) {
    Map<String, Double> all = new LinkedHashMap<>();
    items.stream()
        .sorted(Comparator.comparing(Equipment::id))
        .forEach(item -> all.putAll(measured.getOrDefault(item, Map.of())));
    return all;
  }

  /**
   * The heaviest that an exercise can be loaded with at a place, kg: its hand weights or cuffs, or
   * nothing where it needs nothing that is a load; empty for bars, stacks and sleds.
   *
   * @param one whether one weight is held, or a pair
   */
  public OptionalDouble heaviestWeightKg(Set<Equipment> needs, boolean one) {
    if (needs.stream().allMatch(item -> item.load() == LoadKind.NONE)) {
      return OptionalDouble.of(0);
    }
    double share = one ? 0.5 : 1;
    for (Equipment pair : List.of(Equipment.DUMBBELLS, Equipment.ANKLE_WEIGHTS)) {
      if (needs.contains(pair)) {
        return OptionalDouble.of(share * value(pair, HEAVIEST));
      }
    }
    return needs.contains(Equipment.KETTLEBELL)
        ? OptionalDouble.of(value(Equipment.KETTLEBELL, HEAVIEST))
        : OptionalDouble.empty();
  }

  /** Smallest step in load of an exercise that needs these items, kg; 0 where no load is added. */
  public double smallestStepKg(Set<Equipment> items) {
    return items.stream()
        .mapToDouble(item -> measured(item, "step").orElse(genericStepKg(item)))
        .max()
        .orElse(0);
  }

  private double genericStepKg(Equipment item) {
    return item.smallestStepKg() > 0
            && (item.load() == LoadKind.BAR || item.load() == LoadKind.SLED)
        ? plates.smallestStepKg().orElse(item.smallestStepKg())
        : item.smallestStepKg();
  }

  /** The same place with one value known. */
  public GymEquipment with(Equipment item, String detail, double value) {
    Map<Equipment, Map<String, Double>> changed = new EnumMap<>(Equipment.class);
    changed.putAll(measured);
    Map<String, Double> own = new LinkedHashMap<>(changed.getOrDefault(item, Map.of()));
    own.put(detail, value);
    changed.put(item, own);
    return new GymEquipment(items, changed, plates);
  }
}
