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
    for (SetupParameter p : parameters) {
      Double change = changes.get(p.id());
      double v = change == null ? p.usual() : change;
      try {
        p.allowed().check("setup." + p.id(), v);
        if (!p.choices().isEmpty() && v != Math.rint(v)) {
          throw new InvalidInput(
              "setup." + p.id(),
              "is a choice: 0 to " + (p.choices().size() - 1) + " for " + p.choices());
        }
      } catch (InvalidInput e) {
        faults.addAll(e.faults());
      }
      values.put(p.id(), v);
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
  public double get(SetupParameter p) {
    Double v = values.get(p.id());
    if (v == null) {
      throw new IllegalArgumentException("this family has no parameter " + p.id());
    }
    return v;
  }

  /** An angle parameter in rad. */
  public double rad(SetupParameter p) {
    return Math.toRadians(get(p));
  }

  /** Values by parameter id, in the parameters' own units. */
  public Map<String, Double> values() {
    return Collections.unmodifiableMap(values);
  }

  /** This set-up with one value changed; the range is the caller's to keep. */
  public Setup with(SetupParameter p, double value) {
    Map<String, Double> changed = new LinkedHashMap<>(values);
    changed.put(p.id(), p.allowed().check("setup." + p.id(), value));
    return new Setup(changed);
  }
}
