package istmo.core.training;

import istmo.core.quantity.Allowed;
import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.List;

/**
 * One set as it was done.
 *
 * @param loadKg external load, kg; 0 for body weight
 * @param repetitions complete repetitions
 * @param reserve repetitions in reserve, as felt, in halves
 */
public record PerformedSet(double loadKg, int repetitions, double reserve) {
  public static final Allowed LOAD_KG = new Allowed(0, 1000, "kg");
  public static final Allowed REPETITIONS = new Allowed(1, 200, "repetitions");
  public static final Allowed RESERVE = new Allowed(0, 10, "repetitions in reserve");

  public PerformedSet {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    LOAD_KG.check(faults, "loadKg", loadKg);
    REPETITIONS.check(faults, "repetitions", repetitions);
    RESERVE.check(faults, "reserve", reserve);
    if (faults.isEmpty() && Math.rint(2 * reserve) != 2 * reserve) {
      faults.add(new InvalidInput.Fault("reserve", "counts in halves: 0, 0.5, 1 ..."));
    }
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
  }
}
