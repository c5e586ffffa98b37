package istmo.core.equipment;

import istmo.core.quantity.Allowed;
import istmo.core.quantity.InvalidInput;
import istmo.core.resource.TextTable;
import java.util.ArrayList;
import java.util.Collection;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Things that a gym has or lacks. What is known of each stands in {@code equipment/items.csv}, what
 * can be known of it in a place in {@code details.csv}.
 */
public enum Equipment {
  BARBELL,
  RACK,
  WEDGE,
  FIXED_TRACK,
  LEG_PRESS,
  HACK_SQUAT,
  LEG_EXTENSION,
  LEG_EXTENSION_RECLINING,
  SEATED_CURL,
  LYING_CURL,
  STANDING_CALF,
  SEATED_CALF,
  BENCH,
  DUMBBELLS,
  BANDS,
  PULL_DOWN,
  BOX,
  KETTLEBELL,
  ANKLE_WEIGHTS,
  CABLE,
  SEATED_PRESS,
  STEEP_PRESS,
  BELT_SQUAT,
  THRUST_MACHINE,
  BACK_EXTENSION,
  LEVEL_BENCH,
  REVERSE_BENCH,
  ABDUCTION_MACHINE,
  ADDUCTION_MACHINE,
  STANDING_CURL,
  HAMSTRING_BENCH,
  BENT_OVER_CALF,
  PENDULUM_SQUAT,
  LEVER_SQUAT,
  MULTI_HIP,
  SAFETY_BAR,
  HEXAGONAL_BAR,
  SLED;

  private static final Map<String, Equipment> BY_ID = new LinkedHashMap<>();

  static {
    for (Equipment item : values()) {
      BY_ID.put(item.id(), item);
    }
    if (!List.copyOf(BY_ID.keySet()).equals(List.copyOf(Tables.ITEMS.keySet()))) {
      throw new IllegalStateException(
          "items.csv has " + Tables.ITEMS.keySet() + ", not " + BY_ID.keySet());
    }
    if (!BY_ID.keySet().containsAll(Tables.DETAILS.keySet())) {
      throw new IllegalStateException(
          "details.csv has " + Tables.DETAILS.keySet() + "; there are " + BY_ID.keySet());
    }
  }

  private final String label;
  private final List<String> alsoCalled;
  private final String group;
  private final double smallestStepKg;
  private final LoadKind load;
  private final List<Detail> details;

  /** How a load on it counts. */
  public enum LoadKind {
    /** a bar, free or on a track */
    BAR,
    SLED,
    /** a stack: loads of two machines do not compare until both are measured */
    STACK,
    /** a weight that presses on the body as it is */
    DIRECT,
    NONE
  }

  /** The tables are read before the first item is made. */
  private static final class Tables {
    static final Map<String, TextTable.Row> ITEMS = new LinkedHashMap<>();
    static final Map<String, List<Detail>> DETAILS = new LinkedHashMap<>();

    static {
      TextTable.rows("equipment/items.csv").forEach(row -> ITEMS.put(row.get("id"), row));
      for (TextTable.Row row : TextTable.rows("equipment/details.csv")) {
        DETAILS.computeIfAbsent(row.get("item"), key -> new ArrayList<>()).add(detail(row));
      }
    }

    private static Detail detail(TextTable.Row row) {
      String unit = row.get("unit");
      Optional<Allowed> between =
          row.get("low").isEmpty()
              ? Optional.empty()
              : Optional.of(
                  new Allowed(
                      Double.parseDouble(row.get("low")),
                      Double.parseDouble(row.get("high")),
                      unit));
      return new Detail(
          row.get("id"),
          row.get("label"),
          unit,
          new Allowed(
              Double.parseDouble(row.get("min")),
              Double.parseDouble(row.get("max")),
              unit.equals("yes") ? "" : unit),
          Double.parseDouble(row.get("usual")),
          between,
          row.get("how"));
    }
  }

  Equipment() {
    TextTable.Row row = Tables.ITEMS.get(id());
    if (row == null) {
      throw new IllegalStateException("items.csv says nothing of " + id());
    }
    label = row.get("name");
    alsoCalled = row.get("also").isEmpty() ? List.of() : List.of(row.get("also").split(";"));
    group = row.get("group");
    smallestStepKg = Double.parseDouble(row.get("step_kg"));
    load = LoadKind.valueOf(row.get("load").toUpperCase(Locale.ROOT));
    details = List.copyOf(Tables.DETAILS.getOrDefault(id(), List.of()));
  }

  /** The item with this id; throws {@link InvalidInput} that lists what there is. */
  public static Equipment of(String id) {
    Equipment item = BY_ID.get(id);
    if (item == null) {
      throw new InvalidInput(
          "equipment", "\"" + id + "\" is not known; there are " + BY_ID.keySet());
    }
    return item;
  }

  /** The items with these ids; throws {@link InvalidInput} that names each unknown one. */
  public static Set<Equipment> all(Collection<String> ids) {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    Set<Equipment> items = EnumSet.noneOf(Equipment.class);
    for (String id : ids) {
      InvalidInput.gather(faults, "", () -> items.add(of(id)));
    }
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
    return items;
  }

  /** Everything that there is. */
  public static Set<Equipment> everything() {
    return EnumSet.allOf(Equipment.class);
  }

  /** Ids of items, in alphabetical order. */
  public static List<String> ids(Collection<Equipment> items) {
    return items.stream().map(Equipment::id).sorted().toList();
  }

  /** Names of items in small letters, in alphabetical order. */
  public static List<String> names(Collection<Equipment> items) {
    return items.stream().map(item -> item.label().toLowerCase(Locale.ROOT)).sorted().toList();
  }

  /** The detail, or {@link InvalidInput} that lists what there is. */
  public Detail detail(String detailId) {
    return details.stream()
        .filter(detail -> detail.id().equals(detailId))
        .findFirst()
        .orElseThrow(
            () ->
                new InvalidInput(
                    "measured." + id() + "." + detailId,
                    "is not known of it; there are " + details.stream().map(Detail::id).toList()));
  }

  /** Identity in files, stored documents and addresses. */
  public String id() {
    return name().toLowerCase(Locale.ROOT).replace('_', '-');
  }

  /** Everyday name. */
  public String label() {
    return label;
  }

  /** Nicknames of the gym. */
  public List<String> alsoCalled() {
    return alsoCalled;
  }

  /** What kind of thing it is: machines, free weights, small things. */
  public String group() {
    return group;
  }

  /** Generic smallest step in load, both sides together, kg (common practice). */
  public double smallestStepKg() {
    return smallestStepKg;
  }

  /** How a load on it counts. */
  public LoadKind load() {
    return load;
  }

  /** What can be known of it in a place. */
  public List<Detail> details() {
    return details;
  }

  @Override
  public String toString() {
    return id();
  }
}
