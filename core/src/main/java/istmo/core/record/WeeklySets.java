package istmo.core.record;

import istmo.core.anatomy.RegionValues;
import istmo.core.body.Measurement.Side;
import istmo.core.catalogue.CandidateId;
import istmo.core.training.Effort;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * Effective sets by week: every set counts by how hard it was and by its stimulus of a region
 * beside the best that this client gets there.
 *
 * @param monday of the week
 * @param sets of each region
 */
public record WeeklySets(LocalDate monday, RegionValues sets) {
  /**
   * What a drop counts as, beside a whole set (the simulated set gives it about half, then a third;
   * {@code PrescriptionTest}).
   */
  public static final double DROP = 0.4;

  /** Sets that are alike in everything that counts. */
  public record Count(
      LocalDate monday,
      CandidateId candidateId,
      double reserve,
      SetRecord.Kind kind,
      Side side,
      long sets) {
    /** Hard sets: one side is half of one that works both. */
    public double hard() {
      return sets
          * Effort.counts(reserve)
          * (kind == SetRecord.Kind.DROP ? DROP : 1)
          * (side == Side.NONE ? 1 : 0.5);
    }
  }

  /**
   * Every week from the first to the last that is asked for, weeks without training too.
   *
   * @param shares what a set of a candidate gives of each region; zero for what is not known
   */
  public static List<WeeklySets> of(
      List<Count> counts,
      LocalDate firstMonday,
      LocalDate lastMonday,
      Function<CandidateId, RegionValues> shares) {
    Map<LocalDate, RegionValues> weeks = new LinkedHashMap<>();
    for (LocalDate day = firstMonday;
        ChronoUnit.DAYS.between(day, lastMonday) >= 0;
        day = day.plusWeeks(1)) {
      weeks.put(day, RegionValues.zero());
    }
    for (Count count : counts) {
      weeks.computeIfPresent(
          count.monday(),
          (monday, sets) -> sets.plus(count.hard(), shares.apply(count.candidateId())));
    }
    List<WeeklySets> list = new ArrayList<>();
    weeks.forEach((monday, sets) -> list.add(new WeeklySets(monday, sets)));
    return list;
  }
}
