package istmo.core.body;

import istmo.core.body.Measurement.Side;
import istmo.core.quantity.Fact;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;

/**
 * How far one joint of one side has gone over the months, day by day, with the error of measuring.
 *
 * @param days oldest first, at least one
 */
public record RangeCourse(MeasurementKind kind, Side side, List<Day> days) {
  /**
   * Standard deviation of one reading between days by one tester, in the unit of the kind. Knee to
   * wall: a smallest detectable change of 1.9 cm (Powden, Hoch and Hoch 2015, from memory) over
   * 2.77. Angles: about 4 degrees by goniometer (judgement).
   */
  private static final Map<MeasurementKind, Double> USUAL_ERROR =
      new EnumMap<>(
          Map.of(
              MeasurementKind.KNEE_TO_WALL, 0.007,
              MeasurementKind.HIP_FLEXION, 4.0,
              MeasurementKind.KNEE_FLEXION, 4.0,
              MeasurementKind.HIP_OPENING, 4.0));

  /** Repeats of a coach's own that count as much as the usual error (judgement). */
  private static final double USUAL_COUNTS = 6;

  /** Standard deviations of a difference from which on it is told. */
  private static final double TOLD = 2;

  /** A change is looked for within so many days before the newest one. */
  private static final long LOOKED_BACK_DAYS = 365;

  public RangeCourse {
    days = List.copyOf(days);
  }

  /**
   * One day.
   *
   * @param value mean of its readings
   * @param error standard deviation of that mean
   */
  public record Day(LocalDate on, double value, double error) {}

  /**
   * A range that is another than it was, by more than the error of measuring.
   *
   * @param since the day it is compared with
   * @param error twice the standard deviation of the difference
   */
  public record Changed(
      MeasurementKind kind, Side side, double before, double now, double error, LocalDate since)
      implements Fact {
    /** Whether the joint goes further than before. */
    public boolean gained() {
      return now > before;
    }
  }

  /**
   * A side that goes less far than the other, by more than the error of measuring.
   *
   * @param error twice the standard deviation of the difference
   */
  public record SidesDiffer(MeasurementKind kind, Side lesser, double by, double error)
      implements Fact {}

  /** Every joint and side that was measured; knee to wall first, left before right. */
  public static List<RangeCourse> of(Readings readings) {
    List<RangeCourse> courses = new ArrayList<>();
    USUAL_ERROR.forEach(
        (kind, usual) -> {
          double error = readings.repeatError(kind, usual, USUAL_COUNTS);
          course(readings, kind, Side.LEFT, error).ifPresent(courses::add);
          course(readings, kind, Side.RIGHT, error).ifPresent(courses::add);
        });
    return courses;
  }

  private static Optional<RangeCourse> course(
      Readings readings, MeasurementKind kind, Side side, double error) {
    Map<LocalDate, List<Measurement>> byDay =
        readings.all().stream()
            .filter(reading -> reading.kind() == kind && reading.side() == side)
            .collect(Collectors.groupingBy(Measurement::on, TreeMap::new, Collectors.toList()));
    if (byDay.isEmpty()) {
      return Optional.empty();
    }
    List<Day> days = new ArrayList<>();
    byDay.forEach(
        (on, of) ->
            days.add(
                new Day(
                    on,
                    of.stream().mapToDouble(Measurement::value).average().orElseThrow(),
                    error / Math.sqrt(of.size()))));
    return Optional.of(new RangeCourse(kind, side, days));
  }

  /** The newest day. */
  public Day newest() {
    return days.get(days.size() - 1);
  }

  /** What has changed since the first day of the year before the newest one. */
  public Optional<Changed> changed() {
    Day now = newest();
    Day before =
        days.stream()
            .filter(day -> ChronoUnit.DAYS.between(day.on(), now.on()) <= LOOKED_BACK_DAYS)
            .min(Comparator.comparing(Day::on))
            .orElseThrow();
    double error = TOLD * Math.hypot(before.error(), now.error());
    return before.on().isBefore(now.on()) && Math.abs(now.value() - before.value()) > error
        ? Optional.of(new Changed(kind, side, before.value(), now.value(), error, before.on()))
        : Optional.empty();
  }

  /**
   * A course, and what is to be said of it.
   *
   * @param found what has changed; where its side is the lesser one, how the sides differ
   */
  public record Told(RangeCourse course, List<Fact> found) {
    public Told {
      found = List.copyOf(found);
    }
  }

  /** Every course with what is to be said of it, in the order of {@link #of}. */
  public static List<Told> told(Readings readings) {
    List<RangeCourse> all = of(readings);
    List<Told> told = new ArrayList<>();
    for (RangeCourse course : all) {
      List<Fact> found = new ArrayList<>();
      course.changed().ifPresent(found::add);
      all.stream()
          .filter(other -> other.kind() == course.kind() && other.side() != course.side())
          .findFirst()
          .flatMap(course::behind)
          .ifPresent(found::add);
      told.add(new Told(course, found));
    }
    return told;
  }

  /** How far this side is behind the other on the newest day of each, where it is. */
  private Optional<SidesDiffer> behind(RangeCourse other) {
    double by = other.newest().value() - newest().value();
    double error = TOLD * Math.hypot(other.newest().error(), newest().error());
    return by > error ? Optional.of(new SidesDiffer(kind, side, by, error)) : Optional.empty();
  }
}
