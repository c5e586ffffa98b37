package istmo.core.record;

import istmo.core.body.Measurement.Side;
import istmo.core.quantity.Fact;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How much stronger one side is in one-sided work.
 *
 * @param percent right less left, beside their mean, %: above 0 the right is stronger
 * @param standardErrorPercent of the mean of the outings that were looked at
 * @param readings one for each outing with both sides, oldest first
 * @param grows whether the weaker side falls back, beyond the scatter of the readings
 */
public record SideGap(
    double percent, double standardErrorPercent, List<Reading> readings, boolean grows) {
  /** The newest outings that make the figure. */
  private static final int LOOKED_AT = 6;

  private static final int TREND_NEEDS = 4;

  /**
   * One repetition more or less is about 3 % (the equations' slope at ten), and a felt reserve is
   * off by about one.
   */
  static final double ONE_OUTING_PERCENT = 4.5;

  /** How much more the stronger side did on a day, per cent. */
  public record Reading(LocalDate on, double percent) {}

  /**
   * Empty where no outing has sets of both sides. Only whole working sets count; the best of each
   * side is compared.
   */
  public static Optional<SideGap> of(Series series) {
    List<Reading> all = new ArrayList<>();
    for (Outing outing : series.outings()) {
      Optional<Double> left =
          new Outing(outing.on(), outing.work(Side.LEFT)).worth(series.emptyKg());
      Optional<Double> right =
          new Outing(outing.on(), outing.work(Side.RIGHT)).worth(series.emptyKg());
      if (left.isPresent() && right.isPresent()) {
        all.add(
            new Reading(
                outing.on(), 200 * (right.get() - left.get()) / (right.get() + left.get())));
      }
    }
    if (all.isEmpty()) {
      return Optional.empty();
    }
    List<Reading> newest = all.subList(Math.max(0, all.size() - LOOKED_AT), all.size());
    double mean = newest.stream().mapToDouble(Reading::percent).average().orElseThrow();
    double scatter =
        Math.sqrt(
            newest.stream()
                    .mapToDouble(reading -> (reading.percent() - mean) * (reading.percent() - mean))
                    .sum()
                / Math.max(1, newest.size() - 1));
    double error = Math.max(scatter, ONE_OUTING_PERCENT) / Math.sqrt(newest.size());
    return Optional.of(new SideGap(mean, error, List.copyOf(all), grows(newest, mean)));
  }

  /** The weaker side, where the gap is beyond twice its error. */
  public Optional<Side> weaker() {
    return Math.abs(percent) <= 2 * standardErrorPercent
        ? Optional.empty()
        : Optional.of(percent > 0 ? Side.LEFT : Side.RIGHT);
  }

  /**
   * Which side goes first; NONE where nothing says so.
   *
   * @param gap by which the record says so; empty where the coach's word does
   */
  public record First(Side side, Optional<SideGap> gap) implements Fact {}

  /**
   * The weaker side by the newest series in which one is, else the other than the one said to be
   * stronger.
   */
  public static First first(Collection<Series> series, Optional<Side> saidStronger) {
    Optional<SideGap> told =
        series.stream()
            .map(SideGap::of)
            .flatMap(Optional::stream)
            .filter(gap -> gap.weaker().isPresent())
            .max(Comparator.comparing(gap -> gap.readings().get(gap.readings().size() - 1).on()));
    if (told.isPresent()) {
      Side weaker = told.get().weaker().orElseThrow();
      return new First(weaker, told);
    }
    return saidStronger
        .filter(side -> side != Side.NONE)
        .map(side -> new First(side == Side.LEFT ? Side.RIGHT : Side.LEFT, Optional.empty()))
        .orElse(new First(Side.NONE, Optional.empty()));
  }

  /** Whether the slope over the outings widens the gap by more than twice the slope's own error. */
  private static boolean grows(List<Reading> readings, double mean) {
    int n = readings.size();
    if (n < TREND_NEEDS) {
      return false;
    }
    double middle = (n - 1) / 2.0;
    double across = 0;
    double with = 0;
    for (int k = 0; k < n; k++) {
      across += (k - middle) * (k - middle);
      with += (k - middle) * (readings.get(k).percent() - mean);
    }
    double slope = with / across;
    double rest = 0;
    for (int k = 0; k < n; k++) {
      double off = readings.get(k).percent() - mean - slope * (k - middle);
      rest += off * off;
    }
    double error = Math.max(Math.sqrt(rest / (n - 2)), ONE_OUTING_PERCENT / 2) / Math.sqrt(across);
    return slope * Math.signum(mean) > 2 * error;
  }
}
