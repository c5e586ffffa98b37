package istmo.core.plan;

import istmo.core.quantity.Allowed;
import istmo.core.quantity.Fact;
import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.List;

/**
 * Sets that follow a set at once, each to the last repetition: with less load each time, or with
 * the same load in an easier set-up (common practice).
 *
 * @param number of drops after a set
 * @param less share of the load that comes off each time; 0 where the set-up gets easier instead
 * @param everySet after every set; otherwise after the last one alone
 * @param easier the easier set-ups in the coach's words, such as "flat instead of propped"; empty
 *     where nothing is said
 */
public record Drops(int number, double less, boolean everySet, String easier) implements Fact {
  public static final Allowed NUMBER = new Allowed(1, 5, "drops");
  public static final Allowed LESS = new Allowed(0, 0.5, "of the load");

  /** Letters of {@link #easier}. */
  public static final int MOST_LETTERS = 80;

  /** Twice a fifth less after the last set. */
  static final Drops LIGHTER = new Drops(2, 0.2, false, "");

  /** Once the same load in an easier set-up after the last set. */
  static final Drops EASIER = new Drops(1, 0, false, "");

  public Drops {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    NUMBER.check(faults, "drops.number", number);
    LESS.check(faults, "drops.less", less);
    if (easier.length() > MOST_LETTERS) {
      faults.add(
          new InvalidInput.Fault(
              "drops.easier", "must have at most " + MOST_LETTERS + " characters"));
    }
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
  }

  /** Share of the set's load in the drop of this number, from 1. */
  double share(int drop) {
    return Math.pow(1 - less, drop);
  }

  /** How many there are in an exercise of so many sets. */
  int in(int sets) {
    return everySet ? number * sets : number;
  }

  /** Whether they follow the set of this index, from 0. */
  boolean after(int set, int sets) {
    return everySet || set == sets - 1;
  }
}
