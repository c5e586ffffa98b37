package istmo.core.record;

import istmo.core.body.Measurement.Side;
import istmo.core.catalogue.CandidateId;
import istmo.core.training.OneRepetition;
import istmo.core.training.PerformedSet;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * One exercise in one set-up over time: another set-up is another series.
 *
 * @param setup in the parameters' units
 * @param outings oldest first
 */
public record Series(CandidateId candidateId, Map<String, Double> setup, List<Outing> outings) {
  public Series {
    setup = Map.copyOf(setup);
    outings = List.copyOf(outings);
  }

  /** Mass that moves with no load on, kg. */
  public double emptyKg() {
    return setup.getOrDefault("sledMass", 0.0);
  }

  /** The newest outing. */
  public Optional<Outing> last() {
    return outings.isEmpty() ? Optional.empty() : Optional.of(outings.get(outings.size() - 1));
  }

  /** The largest load for one repetition as estimated from the best set of a day and side. */
  public record Maximum(
      LocalDate on, Side side, PerformedSet from, OneRepetition.Estimate estimate) {}

  /** One for each day and side of which a set tells, oldest first: readings, nothing smoothed. */
  public List<Maximum> maxima() {
    List<Maximum> list = new ArrayList<>();
    for (Outing outing : outings) {
      for (Side side : Side.values()) {
        outing
            .best(side, emptyKg())
            .ifPresent(
                record ->
                    list.add(
                        new Maximum(
                            outing.on(),
                            side,
                            record.done(),
                            OneRepetition.of(record.done(), emptyKg()))));
      }
    }
    return list;
  }

  /**
   * The most repetitions with a load: sets that no other beats in load and in repetitions, heaviest
   * first.
   */
  public record RepetitionRecord(double loadKg, int repetitions, Side side, LocalDate on) {}

  /** The most repetitions at each load and side over the full range. */
  public List<RepetitionRecord> records() {
    List<RepetitionRecord> all = new ArrayList<>();
    for (Side side : Side.values()) {
      TreeMap<Double, RepetitionRecord> best = new TreeMap<>();
      for (Outing outing : outings) {
        for (SetRecord record : outing.work(side)) {
          if (record.range().filter(range -> range != SetRecord.Range.FULL).isEmpty()) {
            RepetitionRecord repetitionRecord =
                new RepetitionRecord(
                    record.done().loadKg(), record.done().repetitions(), side, outing.on());
            best.merge(
                repetitionRecord.loadKg(),
                repetitionRecord,
                (first, second) -> second.repetitions() > first.repetitions() ? second : first);
          }
        }
      }
      int most = 0;
      for (RepetitionRecord record : best.descendingMap().values()) {
        if (record.repetitions() > most) {
          all.add(record);
          most = record.repetitions();
        }
      }
    }
    all.sort(
        Comparator.comparing(RepetitionRecord::side)
            .thenComparing(Comparator.comparingDouble(RepetitionRecord::loadKg).reversed()));
    return List.copyOf(all);
  }
}
