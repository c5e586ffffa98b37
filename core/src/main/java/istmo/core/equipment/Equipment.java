package istmo.core.equipment;

import istmo.core.quantity.InvalidInput;
import istmo.core.resource.TextTable;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** Things that a gym has or lacks: {@code equipment/items.csv}. */
public final class Equipment {
  private static final Map<String, Item> ITEMS = read();

  /**
   * One kind of equipment.
   *
   * @param alsoCalled nicknames of the gym
   * @param smallestStepKg smallest step in load, both sides together, kg (common practice)
   */
  public record Item(String id, String name, List<String> alsoCalled, String group, double smallestStepKg) {}

  private Equipment() {}

  public static List<Item> all() {
    return List.copyOf(ITEMS.values());
  }

  public static Item get(String id) {
    Item item = ITEMS.get(id);
    if (item == null) {
      throw new InvalidInput("equipment", "\"" + id + "\" is not known; there are " + ITEMS.keySet());
    }
    return item;
  }

  /** Throws when one of the ids is not known. */
  public static Set<String> check(Set<String> ids) {
    ids.forEach(Equipment::get);
    return Set.copyOf(ids);
  }

  private static Map<String, Item> read() {
    Map<String, Item> items = new LinkedHashMap<>();
    for (Map<String, String> row : TextTable.rows("equipment/items.csv")) {
      List<String> also = row.get("also").isEmpty() ? List.of() : List.of(row.get("also").split(";"));
      items.put(row.get("id"), new Item(row.get("id"), row.get("name"), also, row.get("group"), Double.parseDouble(row.get("step_kg"))));
    }
    return items;
  }
}
