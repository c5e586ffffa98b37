package istmo.app.platform;

import istmo.core.catalogue.CandidateId;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Fact;
import istmo.core.words.Words;
import java.lang.reflect.RecordComponent;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A fact as a program reads it, and as it is said.
 *
 * @param kind what it is, in capitals: ADD_SETS
 * @param values its figures and names; angles rad, lengths m, shares 0 to 1
 * @param words a sentence about it, or a part of one
 */
public record FactView(String kind, Map<String, Object> values, String words) {
  /** A fact of the core, with what the core says of it. */
  public static FactView of(Fact fact) {
    return fact instanceof Record told
        ? of(told, Words.of(fact))
        : new FactView(fact.toString(), Map.of(), Words.of(fact));
  }

  /** Each of some facts. */
  public static List<FactView> of(Collection<? extends Fact> facts) {
    return facts.stream().map(FactView::of).toList();
  }

  /** A fact that is said beside others: with the sentence that the core says of it there. */
  public static FactView of(Record fact, String words) {
    return new FactView(kind(fact), values(fact), words);
  }

  private static Map<String, Object> values(Record fact) {
    Map<String, Object> values = new LinkedHashMap<>();
    for (RecordComponent component : fact.getClass().getRecordComponents()) {
      try {
        Object value = component.getAccessor().invoke(fact);
        told(value).ifPresent(told -> values.put(component.getName(), told));
      } catch (ReflectiveOperationException e) {
        throw new IllegalStateException(fact + " cannot be read", e);
      }
    }
    return values;
  }

  /** A value in a form that JSON has; empty where there is none. */
  private static Optional<Object> told(Object value) {
    if (value instanceof Optional<?> optional) {
      return optional.flatMap(FactView::told);
    }
    if (value instanceof OptionalDouble optional) {
      return optional.isPresent() ? told(optional.getAsDouble()) : Optional.empty();
    }
    if (value instanceof Double figure) {
      return Optional.of(Rounded.of(figure));
    }
    if (value instanceof SetupParameter parameter) {
      return Optional.of(parameter.id());
    }
    if (value instanceof CandidateId id) {
      return Optional.of(id.text());
    }
    if (value instanceof Collection<?> all) {
      return Optional.of(all.stream().map(FactView::told).flatMap(Optional::stream).toList());
    }
    if (value instanceof Map<?, ?> map) {
      Map<String, Object> told = new LinkedHashMap<>();
      map.forEach((key, v) -> told(v).ifPresent(each -> told.put(key.toString(), each)));
      return Optional.of(told);
    }
    if (value instanceof Record part) {
      Map<String, Object> told = values(part);
      if (part instanceof Fact) {
        told.put("kind", kind(part));
      }
      return Optional.of(told);
    }
    boolean plain = value instanceof Number || value instanceof Boolean;
    return Optional.of(plain ? value : value.toString());
  }

  private static String kind(Record fact) {
    return fact.getClass()
        .getSimpleName()
        .replaceAll("(?<=[a-z])(?=[A-Z])", "_")
        .toUpperCase(Locale.ROOT);
  }
}
