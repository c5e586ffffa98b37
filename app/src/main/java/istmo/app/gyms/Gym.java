package istmo.app.gyms;

import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.measuring.Pull;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.UUID;

/**
 * A gym, as other features see it.
 *
 * @param removed it was taken out: in no list, and nothing new is begun there
 * @param pulls item to the pulls with a hanging scale that its resistance was fitted from
 */
public record Gym(
    UUID id,
    int version,
    String name,
    GymEquipment equipment,
    Map<Equipment, List<Pull>> pulls,
    boolean removed) {
  /** The pulls by the id of the item, for whoever writes them down. */
  public Map<String, List<Pull>> pullsById() {
    Map<String, List<Pull>> byId = new TreeMap<>();
    pulls.forEach((item, all) -> byId.put(item.id(), all));
    return byId;
  }
}
