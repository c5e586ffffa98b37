package istmo.core.plan;

import istmo.core.quantity.Allowed;
import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

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
public record Drops(int number, double less, boolean everySet, String easier) {
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

  /** "after the last set twice 20 % less, at once". */
  public String words() {
    String times =
        switch (number) {
          case 1 -> "once";
          case 2 -> "twice";
          default -> number + " times";
        };
    return (everySet ? "after every set " : "after the last set ")
        + times
        + (less > 0
            ? String.format(Locale.ROOT, " %.0f %% less", 100 * less)
            : " the same load in an easier set-up")
        + (easier.isEmpty() ? "" : " (" + easier + ")")
        + ", at once";
  }

  /** What is said of each drop. */
  String note() {
    return less > 0
        ? easier.isEmpty() ? "at once" : "at once, " + easier
        : easier.isEmpty() ? "at once, in an easier set-up" : "at once, " + easier;
  }
}
