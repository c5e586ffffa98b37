package istmo.app.exchange;

import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/** Parts of a document, read one by one; every fault is kept with its place. */
final class Parts {
  private final List<InvalidInput.Fault> faults = new ArrayList<>();

  List<InvalidInput.Fault> faults() {
    return faults;
  }

  interface Part<T> {
    void read(T part, String at);
  }

  /**
   * Reads each part of a list; what is wrong with one does not hide what is wrong with the next.
   */
  <T> void each(String name, @Nullable List<T> parts, Part<T> reader) {
    for (int k = 0; parts != null && k < parts.size(); k++) {
      String at = name + "[" + k + "]";
      T part = parts.get(k);
      if (part == null) {
        faults.add(new InvalidInput.Fault(at, "is empty"));
      } else {
        InvalidInput.gather(faults, at + ".", () -> reader.read(part, at));
      }
    }
  }

  /** The value, or nothing where it has faults: these are added under the part's name. */
  <T> Optional<T> at(String part, Supplier<T> value) {
    List<T> made = new ArrayList<>();
    InvalidInput.gather(faults, part, () -> made.add(value.get()));
    return made.stream().findFirst();
  }

  static <T> List<T> orNone(@Nullable List<T> list) {
    return list == null ? List.of() : list;
  }

  static <T> Set<T> orNone(@Nullable Set<T> set) {
    return set == null ? Set.of() : set;
  }

  static <K, V> Map<K, V> orNone(@Nullable Map<K, V> map) {
    return map == null ? Map.of() : map;
  }
}
