package istmo.app.platform;

import java.lang.reflect.RecordComponent;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;

/**
 * A fact as a program reads it, and as it is said.
 *
 * @param kind what it is, in capitals: ADD_SETS
 * @param values its figures and names
 * @param words a sentence about it
 */
public record FactView(String kind, Map<String, Object> values, String words) {
  /** One of a sealed kind of records of the core, with the sentence that the core says of it. */
  public static FactView of(Record fact, String words) {
    Map<String, Object> values = new LinkedHashMap<>();
    for (RecordComponent component : fact.getClass().getRecordComponents()) {
      try {
        Object value = component.getAccessor().invoke(fact);
        values.put(component.getName(), value instanceof Double v ? Rounded.of(v) : value);
      } catch (ReflectiveOperationException e) {
        throw new IllegalStateException(fact + " cannot be read", e);
      }
    }
    return new FactView(kind(fact), values, words);
  }

  private static String kind(Record fact) {
    return fact.getClass()
        .getSimpleName()
        .replaceAll("(?<=[a-z])(?=[A-Z])", "_")
        .toUpperCase(Locale.ROOT);
  }
}
