package istmo.core.plan;

import java.time.DayOfWeek;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.time.temporal.TemporalAdjusters;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.IntStream;

/**
 * The next session that a plan asks for.
 *
 * @param session its index in the week, from 0
 * @param on its day
 * @param step week of the block, from 1; empty where there is no block, or none with a first day
 */
public record Due(int session, LocalDate on, OptionalInt step) {
  private static final int WEEK = 7;

  /**
   * The first session on or after a day. A week without a block comes again and again; a block that
   * is over asks for nothing more, and a plan that begins later asks for nothing before.
   *
   * @param weekdays of the sessions in their order, 1 Monday to 7 Sunday
   * @param startsOn a day of the first week; empty where the plan has none
   * @param blockWeeks length of the block; empty where there is none
   */
  public static Optional<Due> next(
      List<Integer> weekdays,
      Optional<LocalDate> startsOn,
      OptionalInt blockWeeks,
      LocalDate from) {
    Optional<LocalDate> first =
        startsOn.map(day -> day.with(TemporalAdjusters.previousOrSame(DayOfWeek.MONDAY)));
    LocalDate earliest = first.filter(day -> day.isAfter(from)).orElse(from);
    return IntStream.range(0, weekdays.size())
        .mapToObj(
            session -> {
              LocalDate on =
                  earliest.with(TemporalAdjusters.nextOrSame(DayOfWeek.of(weekdays.get(session))));
              return new Due(session, on, step(first, blockWeeks, on));
            })
        .filter(due -> due.step().isEmpty() || due.step().getAsInt() <= blockWeeks.getAsInt())
        .min(Comparator.comparing(Due::on).thenComparing(Due::session));
  }

  private static OptionalInt step(Optional<LocalDate> first, OptionalInt blockWeeks, LocalDate on) {
    return first.isPresent() && blockWeeks.isPresent()
        ? OptionalInt.of(1 + (int) (ChronoUnit.DAYS.between(first.get(), on) / WEEK))
        : OptionalInt.empty();
  }
}
