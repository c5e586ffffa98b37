package istmo.core.plan;

import istmo.core.mechanics.Tempo;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.InvalidInput;
import istmo.core.record.WeeklySets;
import istmo.core.training.Effort;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How an exercise is to be done.
 *
 * @param repetitionsLow and repetitionsHigh: range of a set, on each side where one leg works
 * @param reserve repetitions in reserve, in halves
 * @param restS between sets, s
 * @param sideRestS from one leg to the other where one works, s
 * @param drops sets that follow a set at once; there exactly where the scheme has them
 */
public record Prescription(
    int sets,
    int repetitionsLow,
    int repetitionsHigh,
    double reserve,
    Tempo tempo,
    int restS,
    int sideRestS,
    Scheme scheme,
    Optional<Drops> drops) {
  public static final Allowed SETS = new Allowed(1, 10, "sets");
  public static final Allowed REPETITIONS = new Allowed(1, 60, "repetitions");
  public static final Allowed RESERVE = new Allowed(0, 6, "repetitions in reserve");

  /** Left in reserve where nobody has asked for more or less (common practice). */
  public static final double USUAL_RESERVE = 2;

  public static final Allowed REST_S = new Allowed(0, 600, "s");

  public static final Allowed SIDE_REST_S = new Allowed(0, 180, "s");

  /** From one leg to the other until a coach says else, s (judgement). */
  public static final int CHANGE_SIDE_S = 10;

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
    SIDE_REST_S.check(faults, "sideRestS", sideRestS);
    if (drops.isPresent() != scheme.usualDrops().isPresent()) {
      faults.add(
          new InvalidInput.Fault(
              "drops",
              drops.isPresent()
                  ? "belong to sets with drops, not to " + scheme.label()
                  : "are missing: sets are strung together with " + scheme.label()));
    } else if (scheme == Scheme.DROP && drops.orElseThrow().less() == 0) {
      faults.add(new InvalidInput.Fault("drops.less", "must take something off the load"));
    } else if (scheme == Scheme.EASIER && drops.orElseThrow().less() > 0) {
      faults.add(new InvalidInput.Fault("drops.less", "must be 0: the load stays"));
    }
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
  }

  /** With the usual change of sides and the scheme's usual drops. */
  public Prescription(
      int sets,
      int repetitionsLow,
      int repetitionsHigh,
      double reserve,
      Tempo tempo,
      int restS,
      Scheme scheme) {
    this(
        sets,
        repetitionsLow,
        repetitionsHigh,
        reserve,
        tempo,
        restS,
        CHANGE_SIDE_S,
        scheme,
        scheme.usualDrops());
  }

  /** The same with another number of sets, 1 to 10. */
  public Prescription withSets(int other) {
    return with(other, repetitionsLow, repetitionsHigh, reserve);
  }

  /** The same with other sets, repetitions and reserve. */
  Prescription with(int otherSets, int low, int high, double otherReserve) {
    return new Prescription(
        otherSets, low, high, otherReserve, tempo, restS, sideRestS, scheme, drops);
  }

  /** The same in another scheme; its own drops stay, another scheme brings its usual ones. */
  Prescription in(Scheme other) {
    return new Prescription(
        sets,
        repetitionsLow,
        repetitionsHigh,
        reserve,
        tempo,
        restS,
        sideRestS,
        other,
        other == scheme ? drops : other.usualDrops());
  }

  /** Drops that follow the set of this index, from 0. */
  int dropsAfter(int set) {
    return drops.filter(drops -> drops.after(set, sets)).map(Drops::number).orElse(0);
  }

  /** Middle of the repetitions. */
  public double middle() {
    return 0.5 * (repetitionsLow + repetitionsHigh);
  }

  /**
   * Repetitions of each set: falling by two where sets get heavier or may end earlier, else the
   * middle of the range.
   */
  public List<Double> repetitions() {
    List<Double> list = new ArrayList<>();
    for (int k = 0; k < sets; k++) {
      list.add(
          switch (scheme) {
            case ASCENDING, FALLING -> Math.max(1, repetitionsHigh - 2.0 * k);
            case ALWAYS_TEN -> 10.0;
            default -> middle();
          });
    }
    return list;
  }

  /**
   * Work of one set, s: repetitions in their tempo, on both sides where one leg works, and the
   * drops that follow it.
   */
  public double workS(int set, boolean oneLeg) {
    double repetition =
        tempo.secondsARepetition()
            + (scheme == Scheme.PAUSES ? Math.max(0, Scheme.PAUSE_S - tempo.lowS()) : 0);
    double side = repetitions().get(set) * repetition * scheme.movement();
    double after = dropsAfter(set) * (Scheme.DROP_CHANGE_S + Scheme.DROP_REPETITIONS * side);
    return oneLeg ? 2 * (side + after) + sideRestS : side + after;
  }

  /** How many hard sets it counts as: by its scheme, and less where much is kept in reserve. */
  public double hardSets() {
    double after = WeeklySets.DROP * drops.map(drops -> drops.in(sets)).orElse(0);
    return Effort.counts(reserve) * (scheme.counts() * sets + after);
  }
}
