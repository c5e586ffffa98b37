package istmo.app.catalogue;

import java.util.Optional;
import java.util.UUID;

/** Keys of rows as they stand in the ids of own variants and own exercises. */
final class Keys {
  private Keys() {}

  /** The key; empty for what is none. */
  static Optional<UUID> uuid(String key) {
    try {
      return Optional.of(UUID.fromString(key));
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }
}
