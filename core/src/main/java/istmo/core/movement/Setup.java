package istmo.core.movement;

import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Values for every parameter of a family, each inside its range. Lengths in m, angles in deg, as
 * the parameters say.
 */
public final class Setup {
  private final Map<String, Double> values;

  private Setup(Map<String, Double> values) {
    this.values = values;
  }

  /**
   * The usual set-up with some values changed. Unknown names and values out of range are gathered
   * and thrown as one {@link InvalidInput} with fields "setup.NAME".
   */
  public static Setup of(List<SetupParameter> parameters, Map<String, Double> changes) {
    Map<String, Double> values = new LinkedHashMap<>();
    List<InvalidInput.Fault> faults = new ArrayList<>();
    for (SetupParameter parameter : parameters) {
      Double change = changes.get(parameter.id());
      double v = change == null ? parameter.usual() : change;
      try {
        parameter.allowed().check("setup." + parameter.id(), v);
        if (!parameter.choices().isEmpty() && v != Math.rint(v)) {
          throw new InvalidInput(
              "setup." + parameter.id(),
              "is a choice: 0 to "
                  + (parameter.choices().size() - 1)
                  + " for "
                  + parameter.choices());
        }
      } catch (InvalidInput e) {
        faults.addAll(e.faults());
      }
      values.put(parameter.id(), v);
    }
    for (String id : changes.keySet()) {
      if (!values.containsKey(id)) {
        faults.add(
            new InvalidInput.Fault(
                "setup." + id, "is not a parameter here; there are " + values.keySet()));
      }
    }
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
    return new Setup(values);
  }

  /** The value in the parameter's own unit. */
  public double get(SetupParameter parameter) {
    Double v = values.get(parameter.id());
    if (v == null) {
      throw new IllegalArgumentException("this family has no parameter " + parameter.id());
    }
    return v;
  }

  /** The value of a parameter whose choices are those of an enumeration, in its order. */
  public <E extends Enum<E>> E choice(SetupParameter parameter, Class<E> of) {
    return of.getEnumConstants()[(int) get(parameter)];
  }

  /** An angle parameter in rad. */
  public double rad(SetupParameter parameter) {
    return Math.toRadians(get(parameter));
  }

  /** Values by parameter id, in the parameters' own units. */
  public Map<String, Double> values() {
    return Collections.unmodifiableMap(values);
  }

  /** This set-up with one value changed; the range is the caller's to keep. */
  public Setup with(SetupParameter parameter, double value) {
    Map<String, Double> changed = new LinkedHashMap<>(values);
    changed.put(parameter.id(), parameter.allowed().check("setup." + parameter.id(), value));
    return new Setup(changed);
  }
}
