package istmo.core.measuring;

import istmo.core.quantity.Allowed;
import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.List;

/**
 * One pull with a hanging scale.
 *
 * @param at where in the travel: lever angle as knee bend, deg, on a lever machine; travel from the
 *     bottom, m, on a sled or track
 * @param forceN along the rail, or square to the lever, N
 * @param leverM from the pivot to where the scale pulls, m; 0 on a sled or track
 * @param loadKg plates or stack on the machine, kg
 */
public record Pull(double at, double forceN, double leverM, double loadKg, Direction direction) {
  /** Whether the scale was read while the load went up slowly, down slowly, or hung still. */
  public enum Direction {
    UP,
    DOWN,
    STILL
  }

  private static final Allowed FORCE_N = new Allowed(5, 6000, "N");
  private static final Allowed LOAD_KG = new Allowed(0, 600, "kg");

  /** A lever's moment is set against the stack's weight, so there has to be some. */
  private static final Allowed STACK_KG = new Allowed(1, 600, "kg");

  private static final Allowed LEVER_M = new Allowed(0.1, 0.8, "m");
  private static final Allowed ANGLE_DEG = new Allowed(-10, 150, "deg");
  private static final Allowed TRAVEL_M = new Allowed(0, 2, "m");

  /** Throws with every fault of every pull. */
  static void check(List<Pull> pulls, boolean lever) {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    for (int k = 0; k < pulls.size(); k++) {
      Pull pull = pulls.get(k);
      String field = "pulls." + k + ".";
      (lever ? ANGLE_DEG : TRAVEL_M).check(faults, field + "at", pull.at);
      if (lever) {
        LEVER_M.check(faults, field + "leverM", pull.leverM);
      }
      FORCE_N.check(faults, field + "forceN", pull.forceN);
      (lever ? STACK_KG : LOAD_KG).check(faults, field + "loadKg", pull.loadKg);
    }
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
  }
}
