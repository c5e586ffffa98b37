package istmo.core.body;

import istmo.core.body.Measurement.Side;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * All readings of one client: what the newest day says, and how well readings of one day repeat.
 */
public record Readings(List<Measurement> all) {
  public Readings {
    all =
        all.stream()
            .sorted(
                Comparator.comparing(Measurement::on)
                    .thenComparing(Measurement::kind)
                    .thenComparing(Measurement::side))
            .toList();
  }

  /** Nothing is measured. */
  public static Readings none() {
    return new Readings(List.of());
  }

  /** Readings of one kind and side on its newest day. */
  public List<Measurement> newest(MeasurementKind kind, Side side) {
    List<Measurement> of =
        all.stream()
            .filter(measurement -> measurement.kind() == kind && measurement.side() == side)
            .toList();
    Optional<LocalDate> last = of.stream().map(Measurement::on).max(Comparator.naturalOrder());
    return of.stream()
        .filter(measurement -> last.isPresent() && measurement.on().equals(last.get()))
        .toList();
  }

  /** Mean of the newest day. */
  public OptionalDouble value(MeasurementKind kind, Side side) {
    return newest(kind, side).stream().mapToDouble(Measurement::value).average();
  }

  /** Mean of both sides where both are measured, else of the one that is. */
  public OptionalDouble value(MeasurementKind kind) {
    return kind.twoSided()
        ? java.util.stream.DoubleStream.concat(stream(kind, Side.LEFT), stream(kind, Side.RIGHT))
            .average()
        : value(kind, Side.NONE);
  }

  /** The lesser of the sides that are measured: the side that stops a movement of both. */
  public OptionalDouble lesser(MeasurementKind kind) {
    return java.util.stream.DoubleStream.concat(stream(kind, Side.LEFT), stream(kind, Side.RIGHT))
        .min();
  }

  private java.util.stream.DoubleStream stream(MeasurementKind kind, Side side) {
    OptionalDouble v = value(kind, side);
    return v.isPresent()
        ? java.util.stream.DoubleStream.of(v.getAsDouble())
        : java.util.stream.DoubleStream.empty();
  }

  /**
   * Error of one reading: standard deviation of readings of one kind and side on one day about
   * their mean, pooled over days; empty without a day that has two readings. Same unit as the
   * value.
   */
  public OptionalDouble repeatError(MeasurementKind kind) {
    Scatter scatter = scatter(kind);
    return scatter.freedom() == 0
        ? OptionalDouble.empty()
        : OptionalDouble.of(Math.sqrt(scatter.squares() / scatter.freedom()));
  }

  /**
   * The same with what is usual for the measurement, which counts as so many repeats of the
   * client's own.
   *
   * @param usual standard deviation in the unit of the value
   */
  double repeatError(MeasurementKind kind, double usual, double usualCounts) {
    Scatter scatter = scatter(kind);
    return Math.sqrt(
        (scatter.squares() + usualCounts * usual * usual) / (scatter.freedom() + usualCounts));
  }

  /** Squared differences of readings from their day's mean, and how many are free. */
  private record Scatter(double squares, int freedom) {}

  private Scatter scatter(MeasurementKind kind) {
    double squares = 0;
    int freedom = 0;
    for (Side side : Side.values()) {
      List<Measurement> of =
          all.stream()
              .filter(measurement -> measurement.kind() == kind && measurement.side() == side)
              .toList();
      for (LocalDate day : of.stream().map(Measurement::on).distinct().toList()) {
        double[] v =
            of.stream()
                .filter(measurement -> measurement.on().equals(day))
                .mapToDouble(Measurement::value)
                .toArray();
        double mean = java.util.Arrays.stream(v).average().orElseThrow();
        for (double x : v) {
          squares += (x - mean) * (x - mean);
        }
        freedom += v.length - 1;
      }
    }
    return new Scatter(squares, freedom);
  }
}
