package istmo.app.gyms.persistence;

import istmo.core.equipment.Plates;
import java.util.List;
import java.util.stream.Collectors;

/** Plates of one mass as they are stored. */
public record StoredPlates(double kg, int pairs) {
  static List<StoredPlates> of(Plates plates) {
    return plates.pairs().entrySet().stream()
        .map(entry -> new StoredPlates(entry.getKey(), entry.getValue()))
        .toList();
  }

  static Plates plates(List<StoredPlates> stored) {
    return new Plates(
        stored.stream().collect(Collectors.toMap(StoredPlates::kg, StoredPlates::pairs)));
  }
}
