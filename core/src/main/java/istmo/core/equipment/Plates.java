package istmo.core.equipment;

import istmo.core.quantity.Allowed;
import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.TreeMap;

/**
 * Plates that a gym owns.
 *
 * @param pairs mass of one plate, kg, to how many pairs there are
 */
public record Plates(Map<Double, Integer> pairs) {
  private static final Allowed PLATE_KG = new Allowed(0.1, 100, "kg");
  private static final Allowed PAIRS = new Allowed(1, 100, "pairs");

  public Plates {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    pairs.forEach(
        (kg, n) -> {
          if (kg == null || !PLATE_KG.contains(kg)) {
            faults.add(
                new InvalidInput.Fault("plates", kg + " kg is not a plate: 0.1 to 100 kg is"));
          }
          if (n == null || !PAIRS.contains(n)) {
            faults.add(
                new InvalidInput.Fault("plates", n + " pairs of " + kg + " kg: 1 to 100 is"));
          }
        });
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
    pairs = java.util.Collections.unmodifiableMap(new TreeMap<>(pairs));
  }

  /** Nobody has said which plates there are. */
  public static Plates unknown() {
    return new Plates(Map.of());
  }

  /** Smallest step that a pair makes, both sides together, kg; empty where no plates are known. */
  public OptionalDouble smallestStepKg() {
    return pairs.keySet().stream().mapToDouble(kg -> 2 * kg).min();
  }
}
