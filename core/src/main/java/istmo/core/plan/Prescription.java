package istmo.core.plan;

import istmo.core.mechanics.Tempo;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.InvalidInput;
import istmo.core.training.Effort;
import java.util.ArrayList;
import java.util.List;

/**
 * How an exercise is to be done.
 *
 * @param repetitionsLow and repetitionsHigh: range of a set, on each side where one leg works
 * @param reserve repetitions in reserve, in halves
 * @param restS between sets, s
 */
public record Prescription(
    int sets,
    int repetitionsLow,
    int repetitionsHigh,
    double reserve,
    Tempo tempo,
    int restS,
    Scheme scheme) {
  public static final Allowed SETS = new Allowed(1, 10, "sets");
  public static final Allowed REPETITIONS = new Allowed(1, 60, "repetitions");
  public static final Allowed RESERVE = new Allowed(0, 6, "repetitions in reserve");
  public static final Allowed REST_S = new Allowed(0, 600, "s");

  /** From one leg to the other, s (judgement). */
  static final double CHANGE_SIDE_S = 10;

  public Prescription {
    List<InvalidInput.Fault> faults = new ArrayList<>();
    SETS.check(faults, "sets", sets);
    REPETITIONS.check(faults, "repetitionsLow", repetitionsLow);
    REPETITIONS.check(faults, "repetitionsHigh", repetitionsHigh);
    if (repetitionsLow > repetitionsHigh) {
      faults.add(
          new InvalidInput.Fault(
              "repetitionsHigh", "must not be below the least, " + repetitionsLow));
    }
    RESERVE.check(faults, "reserve", reserve);
    if (Math.rint(2 * reserve) != 2 * reserve) {
      faults.add(new InvalidInput.Fault("reserve", "counts in halves: 0, 0.5, 1 ..."));
    }
    REST_S.check(faults, "restS", restS);
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
  }

  /** The same with another number of sets, 1 to 10. */
  public Prescription withSets(int other) {
    return new Prescription(other, repetitionsLow, repetitionsHigh, reserve, tempo, restS, scheme);
  }

  /** Middle of the repetitions. */
  public double middle() {
    return 0.5 * (repetitionsLow + repetitionsHigh);
  }

  /**
   * Repetitions of each set: falling by two where sets get heavier, else the middle of the range.
   */
  public List<Double> repetitions() {
    List<Double> list = new ArrayList<>();
    for (int k = 0; k < sets; k++) {
      list.add(
          switch (scheme) {
            case ASCENDING -> Math.max(1, repetitionsHigh - 2.0 * k);
            case ALWAYS_TEN -> 10.0;
            default -> middle();
          });
    }
    return list;
  }

  /**
   * Work of one set, s: repetitions in their tempo, on both sides where one leg works, and drops
   * after the last.
   */
  public double workS(int set, boolean oneLeg) {
    double repetition =
        tempo.secondsARepetition()
            + (scheme == Scheme.PAUSES ? Math.max(0, Scheme.PAUSE_S - tempo.lowS()) : 0);
    double side = repetitions().get(set) * repetition * scheme.movement();
    double drops =
        set == sets - 1
            ? scheme.drops() * (Scheme.DROP_CHANGE_S + Scheme.DROP_REPETITIONS * side)
            : 0;
    return oneLeg ? 2 * (side + drops) + CHANGE_SIDE_S : side + drops;
  }

  /** How many hard sets it counts as: by its scheme, and less where much is kept in reserve. */
  public double hardSets() {
    return Effort.counts(reserve) * scheme.counts(sets);
  }
}
