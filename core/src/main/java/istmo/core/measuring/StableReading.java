package istmo.core.measuring;

import istmo.core.quantity.InvalidInput;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.Optional;

/**
 * Finds the moment at which a stream of readings stands still: at least {@link #LEAST} readings
 * over at least {@link #WINDOW_MS}, their standard deviation within what the gauge calls still. A
 * gap longer than {@link #GAP_MS} is a dropout and begins anew. Not safe for several threads at
 * once.
 */
public final class StableReading {
  /** Time that a reading has to stand still, ms. */
  public static final long WINDOW_MS = 1000;

  /** Longest time between two readings, ms. */
  public static final long GAP_MS = 1500;

  static final int LEAST = 5;

  private record Sample(long atMs, double value) {}

  /**
   * A value that stood still.
   *
   * @param value mean over the window, in N, deg or m
   * @param spread standard deviation within the window
   */
  public record Stable(double value, double spread) {}

  private final Gauge gauge;
  private final Deque<Sample> window = new ArrayDeque<>();
  private long lastMs = Long.MIN_VALUE;
  private double last = Double.NaN;
  private int dropouts;
  private Optional<Stable> stable = Optional.empty();

  /** Waits for a still reading of a gauge. */
  public StableReading(Gauge gauge) {
    this.gauge = gauge;
  }

  /**
   * Takes one reading, in the unit inside; its time in ms on the gadget's own clock, which must go
   * forward.
   */
  public void take(long atMs, double value) {
    if (!Double.isFinite(value)) {
      throw new InvalidInput("value", "must be a number");
    }
    if (lastMs != Long.MIN_VALUE && atMs <= lastMs) {
      throw new InvalidInput("t", "must go forward: " + atMs + " after " + lastMs);
    }
    if (lastMs != Long.MIN_VALUE && atMs - lastMs > GAP_MS) {
      dropouts++;
      window.clear();
    }
    lastMs = atMs;
    last = value;
    window.addLast(new Sample(atMs, value));
    while (window.size() > LEAST && second().atMs <= atMs - WINDOW_MS) {
      window.removeFirst();
    }
    stable = find();
  }

  private Sample second() {
    var i = window.iterator();
    i.next();
    return i.next();
  }

  private Optional<Stable> find() {
    if (window.size() < LEAST || window.getLast().atMs - window.getFirst().atMs < WINDOW_MS) {
      return Optional.empty();
    }
    double mean = window.stream().mapToDouble(Sample::value).average().orElseThrow();
    double variance =
        window.stream().mapToDouble(sample -> (sample.value - mean) * (sample.value - mean)).sum()
            / (window.size() - 1);
    double spread = Math.sqrt(variance);
    return spread <= gauge.stillness(mean)
        ? Optional.of(new Stable(mean, spread))
        : Optional.empty();
  }

  /** The value that stands still now, if one does. */
  public Optional<Stable> stable() {
    return stable;
  }

  /** The newest value; NaN before the first. */
  public double last() {
    return last;
  }

  /** How many readings were missing so far. */
  public int dropouts() {
    return dropouts;
  }
}
