package istmo.core.equipment;

import istmo.core.quantity.Allowed;
import istmo.core.quantity.InvalidInput;
import istmo.core.resource.TextTable;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Things that a gym has or lacks, and what can be known of each: {@code equipment/items.csv} and
 * {@code details.csv}.
 */
public final class Equipment {
  private static final Map<String, Item> ITEMS = read();

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

  /**
   * One kind of equipment.
   *
   * @param alsoCalled nicknames of the gym
   * @param smallestStepKg generic smallest step in load, both sides together, kg (common practice)
   * @param details what can be known of it
   */
  public record Item(
      String id,
      String name,
      List<String> alsoCalled,
      String group,
      double smallestStepKg,
      LoadKind load,
      List<Detail> details) {}

  private Equipment() {}

  /** Every piece of equipment that a gym may have. */
  public static List<Item> all() {
    return List.copyOf(ITEMS.values());
  }

  /** The piece with this id; throws {@code InvalidInput} when there is none. */
  public static Item get(String id) {
    Item item = ITEMS.get(id);
    if (item == null) {
      throw new InvalidInput(
          "equipment", "\"" + id + "\" is not known; there are " + ITEMS.keySet());
    }
    return item;
  }

  /** The detail, or {@link InvalidInput} that lists what there is. */
  public static Detail detail(String itemId, String detailId) {
    Item item = get(itemId);
    return item.details().stream()
        .filter(detail -> detail.id().equals(detailId))
        .findFirst()
        .orElseThrow(
            () ->
                new InvalidInput(
                    "measured." + itemId + "." + detailId,
                    "is not known of it; there are "
                        + item.details().stream().map(Detail::id).toList()));
  }

  /** Throws when one of the ids is not known. */
  public static Set<String> check(Set<String> ids) {
    ids.forEach(Equipment::get);
    return Set.copyOf(ids);
  }

  private static Map<String, Item> read() {
    Map<String, List<Detail>> details = new LinkedHashMap<>();
    for (TextTable.Row row : TextTable.rows("equipment/details.csv")) {
      details.computeIfAbsent(row.get("item"), key -> new ArrayList<>()).add(detail(row));
    }
    Map<String, Item> items = new LinkedHashMap<>();
    for (TextTable.Row row : TextTable.rows("equipment/items.csv")) {
      String id = row.get("id");
      List<String> also =
          row.get("also").isEmpty() ? List.of() : List.of(row.get("also").split(";"));
      List<Detail> own = details.remove(id);
      items.put(
          id,
          new Item(
              id,
              row.get("name"),
              also,
              row.get("group"),
              Double.parseDouble(row.get("step_kg")),
              LoadKind.valueOf(row.get("load").toUpperCase(Locale.ROOT)),
              own == null ? List.of() : List.copyOf(own)));
    }
    if (!details.isEmpty()) {
      throw new IllegalStateException("details.csv: no items " + details.keySet());
    }
    return items;
  }

  private static Detail detail(TextTable.Row row) {
    String unit = row.get("unit");
    Optional<Allowed> between =
        row.get("low").isEmpty()
            ? Optional.empty()
            : Optional.of(
                new Allowed(
                    Double.parseDouble(row.get("low")), Double.parseDouble(row.get("high")), unit));
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
