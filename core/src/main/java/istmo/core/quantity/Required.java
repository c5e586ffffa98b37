package istmo.core.quantity;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What must be there. */
public final class Required {
  private Required() {}

  /**
   * The value of a key that a map must have; throws {@link IllegalStateException} that names the
   * key where it has none.
   */
  public static <K, V> V entry(Map<K, V> map, K key) {
    @Nullable V value = map.get(key);
    if (value == null) {
      throw new IllegalStateException("nothing is known of " + key);
    }
    return value;
  }
}
