package istmo.core.record;

import istmo.core.body.Measurement.Side;
import istmo.core.training.OneRepetition;
import istmo.core.training.PerformedSet;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What was done of one exercise in one set-up in one session; sets in the order in which they were
 * done.
 */
public record Outing(LocalDate on, List<SetRecord> sets) {
  public Outing {
    sets = List.copyOf(sets);
  }

  /** Its work sets, without warm-ups. */
  public List<SetRecord> work() {
    return sets.stream().filter(SetRecord::isWork).toList();
  }

  List<SetRecord> work(Side side) {
    return sets.stream().filter(record -> record.isWork() && record.side() == side).toList();
  }

  /**
   * The set that says most of strength, whole ranges only; empty where none is loaded or few
   * enough.
   */
  public Optional<SetRecord> best(Side side, double emptyKg) {
    return work(side).stream()
        .filter(
            record ->
                record.range().filter(range -> range != SetRecord.Range.FULL).isEmpty()
                    && OneRepetition.tells(record.done()))
        .max(Comparator.comparingDouble(record -> OneRepetition.of(record.done(), emptyKg).kg()));
  }

  /** Load of the working sets: the heaviest with which at least half of them were done, kg. */
  public double workingKg() {
    List<Double> loads =
        work().stream()
            .map(record -> record.done().loadKg())
            .sorted(Comparator.reverseOrder())
            .toList();
    return loads.isEmpty() ? 0 : loads.get((loads.size() - 1) / 2);
  }

  /**
   * The figures of a set as one number that rises with load, repetitions and reserve: about the
   * load of one repetition, or the repetitions where nothing is loaded.
   */
  static double worth(PerformedSet set, double emptyKg) {
    double toFailure = set.repetitions() + set.reserve();
    double load = set.loadKg() + emptyKg;
    return load > 0
        ? OneRepetition.maximum(
                load, Math.min(OneRepetition.REPETITIONS_TO_FAILURE.max(), toFailure))
            * Math.max(1, toFailure / OneRepetition.REPETITIONS_TO_FAILURE.max())
        : toFailure;
  }

  /** The highest worth among the working sets; empty where there are none. */
  Optional<Double> worth(double emptyKg) {
    return work().stream()
        .map(record -> worth(record.done(), emptyKg))
        .max(Comparator.naturalOrder());
  }

  /** The highest pain that was said after a set; empty where nothing was said. */
  public Optional<Pain> worstPain() {
    return sets.stream()
        .flatMap(record -> record.pain().stream())
        .max(Comparator.comparingInt(Pain::level));
  }
}
