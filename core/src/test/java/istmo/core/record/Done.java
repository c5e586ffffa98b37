package istmo.core.record;

import istmo.core.anatomy.Region;
import istmo.core.body.Measurement.Side;
import istmo.core.body.PainFlag;
import istmo.core.catalogue.CandidateId;
import istmo.core.training.PerformedSet;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Records for tests, made by hand. */
final class Done {
  static final LocalDate DAY = LocalDate.of(2026, 9, 7);

  private Done() {}

  static SetRecord set(double kg, int repetitions, double reserve) {
    return SetRecord.plain(new PerformedSet(kg, repetitions, reserve));
  }

  static SetRecord set(double kg, int repetitions, double reserve, Side side) {
    return new SetRecord(
        new PerformedSet(kg, repetitions, reserve),
        SetRecord.Kind.WORK,
        Optional.of(1),
        side,
        Optional.empty(),
        Optional.empty(),
        Set.of(),
        Optional.empty());
  }

  static SetRecord ranged(double kg, int repetitions, double reserve, SetRecord.Range range) {
    return new SetRecord(
        new PerformedSet(kg, repetitions, reserve),
        SetRecord.Kind.WORK,
        Optional.empty(),
        Side.NONE,
        Optional.of(range),
        Optional.empty(),
        Set.of(),
        Optional.empty());
  }

  static SetRecord timed(double kg, int repetitions, double reserve, boolean kept) {
    return new SetRecord(
        new PerformedSet(kg, repetitions, reserve),
        SetRecord.Kind.WORK,
        Optional.empty(),
        Side.NONE,
        Optional.empty(),
        Optional.of(kept),
        Set.of(),
        Optional.empty());
  }

  static SetRecord hurting(double kg, int repetitions, int level) {
    return new SetRecord(
        new PerformedSet(kg, repetitions, 2),
        SetRecord.Kind.WORK,
        Optional.empty(),
        Side.NONE,
        Optional.empty(),
        Optional.empty(),
        Set.of(),
        Optional.of(new Pain(PainFlag.KNEE, level)));
  }

  static SetRecord felt(double kg, int repetitions, String... areas) {
    return new SetRecord(
        new PerformedSet(kg, repetitions, 2),
        SetRecord.Kind.WORK,
        Optional.empty(),
        Side.NONE,
        Optional.empty(),
        Optional.empty(),
        Region.all("felt", List.of(areas)),
        Optional.empty());
  }

  /** Sessions a week apart, the last on {@code last}. */
  static Series weekly(LocalDate last, List<List<SetRecord>> sessions) {
    List<Outing> outings = new ArrayList<>();
    for (int k = 0; k < sessions.size(); k++) {
      outings.add(new Outing(last.minusWeeks(sessions.size() - 1L - k), sessions.get(k)));
    }
    return new Series(new CandidateId("leg-extension/usual"), Map.of(), outings);
  }

  @SafeVarargs
  static Series weekly(List<SetRecord>... sessions) {
    return weekly(DAY, Arrays.asList(sessions));
  }
}
