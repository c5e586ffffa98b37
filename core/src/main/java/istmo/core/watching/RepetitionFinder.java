package istmo.core.watching;

import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Finds the repetitions in the position of something that goes up and down with them: a bar's
 * height, or a thigh's tilt. Positions rise while the load is lifted; the low end is the lengthened
 * one.
 *
 * <p>Outliers go by a median of {@value #MEDIAN_SAMPLES} samples, noise by a straight line through
 * {@value #LINE_S} s around each sample, which also gives the velocity. Turning points are told by
 * hysteresis: a way back counts from a share of the set's own range. A lifting that goes through
 * half of the usual range is a repetition; what is less (walking out, settling, racking) is none.
 * Equations: docs/model.md, 14.
 */
public final class RepetitionFinder {
  static final int MEDIAN_SAMPLES = 5;

  /** Width of the line that smooths, s. */
  static final double LINE_S = 0.2;

  /** A way back counts as a turn from this share of the range on. */
  private static final double TURN = 0.25;

  /** A lifting counts as a repetition from this share of the usual range on. */
  private static final double COUNTS = 0.5;

  /** Slower than this share of the set's usual speed is standing still. */
  private static final double STILL = 0.12;

  /**
   * Standing still is at an end only this near to it, as a share of the movement: what stops
   * earlier is a sticking point.
   */
  private static final double NEAR = 0.15;

  /**
   * No more than so long between two samples, s; a longer gap is a dropout and what was going on
   * then is not timed.
   */
  static final double GAP_S = 0.5;

  /**
   * While the set goes on, a lifting counts once its top is so long ago, s: what is still on its
   * way up may become longer.
   */
  static final double SETTLED_S = 0.4;

  /** A signal that moves less in all has no repetitions in it, in the gauge's unit. */
  private final double leastRange;

  private RepetitionFinder(double leastRange) {
    this.leastRange = leastRange;
  }

  /** For heights in m: 5 cm at least. */
  public static RepetitionFinder ofBar() {
    return new RepetitionFinder(0.05);
  }

  /** For tilts in deg: 8 at least. */
  public static RepetitionFinder ofTilt() {
    return new RepetitionFinder(8);
  }

  /**
   * One reading of a position.
   *
   * @param timeS rising
   * @param position m or degrees
   */
  public record Sample(double timeS, double position) {}

  /**
   * One repetition. Times of phases are 0 where a dropout fell into them.
   *
   * @param startS when its lifting begins
   * @param endS when its lifting ends
   * @param low position of its low end, and {@code high} of its high end, in the positions' unit
   * @param loweringS time of the lowering before it, or after it where the set begins low
   * @param lowS standing still at the end before lifting
   * @param topS standing still at the end after lifting
   * @param meanSpeed of lifting: range over time, in the unit a second
   * @param dropout whether samples were missing in it
   */
  public record Repetition(
      double startS,
      double endS,
      double low,
      double high,
      double loweringS,
      double lowS,
      double liftingS,
      double topS,
      double meanSpeed,
      boolean dropout) {
    /** How far it went, in the unit of the positions. */
    public double range() {
      return high - low;
    }
  }

  /** A turning point: index of a sample. */
  private record Turn(int at, boolean high) {}

  /**
   * Repetitions of a whole set, in order. Throws {@link InvalidInput} on field "t" for times that
   * do not go forward.
   */
  public List<Repetition> find(List<Sample> samples) {
    return find(samples, false);
  }

  /** The same while the set goes on: without the one that is still on its way up. */
  public List<Repetition> soFar(List<Sample> samples) {
    return find(samples, true);
  }

  private List<Repetition> find(List<Sample> samples, boolean going) {
    int n = samples.size();
    if (n < MEDIAN_SAMPLES) {
      return List.of();
    }
    double[] t = new double[n];
    double[] raw = new double[n];
    for (int k = 0; k < n; k++) {
      t[k] = samples.get(k).timeS();
      raw[k] = samples.get(k).position();
      if ((k > 0 && t[k] <= t[k - 1]) || !Double.isFinite(raw[k])) {
        throw new InvalidInput("t", "goes forward, and every position is a number: sample " + k);
      }
    }
    double[] x = new double[n];
    double[] v = new double[n];
    smooth(t, median(raw), x, v);
    double spread = quantile(x, 0.98) - quantile(x, 0.02);
    if (spread < leastRange) {
      return List.of();
    }
    List<Turn> turns = turns(x, Math.max(leastRange / 2, TURN * spread));
    double usual = usualRange(x, turns);
    if (usual < leastRange) {
      return List.of();
    }
    if (TURN * usual
        < 0.8 * TURN
            * spread) { // racking or walking made the spread: look again at the repetitions' own
      // scale
      turns = turns(x, Math.max(leastRange / 2, TURN * usual));
    }
    List<Repetition> list = repetitions(t, x, v, turns, usual);
    boolean open =
        going && !list.isEmpty() && t[n - 1] - list.get(list.size() - 1).endS() < SETTLED_S;
    return open ? list.subList(0, list.size() - 1) : list;
  }

  /** A movement from rest to rest: indices of samples. */
  private record Move(int from, int to) {}

  private List<Repetition> repetitions(
      double[] t, double[] x, double[] v, List<Turn> turns, double usual) {
    double still = STILL * usualSpeed(t, x, turns, usual);
    boolean beginsLow = beginsLow(x, turns, usual);
    List<Repetition> list = new ArrayList<>();
    for (int k = 0; k + 1 < turns.size(); k++) {
      if (turns.get(k).high() || x[turns.get(k + 1).at()] - x[turns.get(k).at()] < COUNTS * usual) {
        continue;
      }
      Move up = move(x, v, turns.get(k).at(), turns.get(k + 1).at(), still);
      Move before = k > 0 ? move(x, v, turns.get(k - 1).at(), turns.get(k).at(), still) : null;
      Move after =
          k + 2 < turns.size()
              ? move(x, v, turns.get(k + 1).at(), turns.get(k + 2).at(), still)
              : null;
      Move down = beginsLow ? after : before;
      boolean gap =
          gap(
              t,
              before == null ? up.from() : before.from(),
              after == null ? up.to() : after.from());
      double lifting = t[up.to()] - t[up.from()];
      double range = x[up.to()] - x[up.from()];
      list.add(
          new Repetition(
              t[up.from()],
              t[up.to()],
              x[up.from()],
              x[up.to()],
              gap || down == null ? 0 : t[down.to()] - t[down.from()],
              gap || before == null ? 0 : Math.max(0, t[up.from()] - t[before.to()]),
              gap ? 0 : lifting,
              gap || after == null ? 0 : Math.max(0, t[after.from()] - t[up.to()]),
              gap || lifting <= 0 ? 0 : range / lifting,
              gap));
    }
    return list;
  }

  /**
   * The movement between two turns, from where it leaves the one to where it arrives at the other:
   * standing or fidgeting near a turn is not part of it, a stop on the way is.
   */
  private static Move move(double[] x, double[] v, int from, int to, double still) {
    int fastest = from;
    for (int k = from; k <= to; k++) {
      fastest = Math.abs(v[k]) > Math.abs(v[fastest]) ? k : fastest;
    }
    double near = NEAR * Math.abs(x[to] - x[from]);
    int end = fastest;
    while (end < to && !(Math.abs(v[end]) < still && Math.abs(x[to] - x[end]) < near)) {
      end++;
    }
    int start = fastest;
    while (start > from && !(Math.abs(v[start]) < still && Math.abs(x[start] - x[from]) < near)) {
      start--;
    }
    return new Move(start, end);
  }

  /** Whether the first full movement goes up. */
  private static boolean beginsLow(double[] x, List<Turn> turns, double usual) {
    for (int k = 0; k + 1 < turns.size(); k++) {
      if (Math.abs(x[turns.get(k + 1).at()] - x[turns.get(k).at()]) >= COUNTS * usual) {
        return !turns.get(k).high();
      }
    }
    return false;
  }

  private static boolean gap(double[] t, int from, int to) {
    for (int k = from + 1; k <= to; k++) {
      if (t[k] - t[k - 1] > GAP_S) {
        return true;
      }
    }
    return false;
  }

  /** The middle of the liftings that are at least half of the greatest. */
  private static double usualRange(double[] x, List<Turn> turns) {
    double[] up = liftings(x, turns);
    double most = Arrays.stream(up).max().orElse(0);
    double[] large = Arrays.stream(up).filter(r -> r >= COUNTS * most).sorted().toArray();
    return large.length == 0 ? 0 : large[large.length / 2];
  }

  private static double[] liftings(double[] x, List<Turn> turns) {
    List<Double> up = new ArrayList<>();
    for (int k = 0; k + 1 < turns.size(); k++) {
      if (!turns.get(k).high()) {
        up.add(x[turns.get(k + 1).at()] - x[turns.get(k).at()]);
      }
    }
    return up.stream().mapToDouble(Double::doubleValue).toArray();
  }

  /** Median of range over time of whole liftings, turn to turn. */
  private static double usualSpeed(double[] t, double[] x, List<Turn> turns, double usual) {
    List<Double> speeds = new ArrayList<>();
    for (int k = 0; k + 1 < turns.size(); k++) {
      double way = Math.abs(x[turns.get(k + 1).at()] - x[turns.get(k).at()]);
      if (way >= COUNTS * usual) {
        speeds.add(way / (t[turns.get(k + 1).at()] - t[turns.get(k).at()]));
      }
    }
    speeds.sort(Double::compare);
    return speeds.isEmpty() ? 0 : speeds.get(speeds.size() / 2);
  }

  /**
   * Alternating highs and lows with at least so much between them; the ends of the signal count as
   * turns.
   */
  private static List<Turn> turns(double[] x, double back) {
    List<Turn> turns = new ArrayList<>();
    int high = 0;
    int low = 0;
    int direction = 0;
    for (int k = 1; k < x.length; k++) {
      if (x[k] > x[high]) {
        high = k;
      }
      if (x[k] < x[low]) {
        low = k;
      }
      if (direction >= 0 && x[high] - x[k] > back) {
        if (direction == 0 && high > 0 && x[high] - x[0] > back) {
          turns.add(new Turn(argMin(x, 0, high), false));
        }
        turns.add(new Turn(high, true));
        direction = -1;
        low = k;
      } else if (direction <= 0 && x[k] - x[low] > back) {
        if (direction == 0 && low > 0 && x[0] - x[low] > back) {
          turns.add(new Turn(argMax(x, 0, low), true));
        }
        turns.add(new Turn(low, false));
        direction = 1;
        high = k;
      }
    }
    if (direction > 0) {
      turns.add(new Turn(high, true));
    } else if (direction < 0) {
      turns.add(new Turn(low, false));
    }
    return turns;
  }

  private static int argMin(double[] x, int from, int to) {
    int best = from;
    for (int k = from; k <= to; k++) {
      best = x[k] <= x[best] ? k : best;
    }
    return best;
  }

  private static int argMax(double[] x, int from, int to) {
    int best = from;
    for (int k = from; k <= to; k++) {
      best = x[k] >= x[best] ? k : best;
    }
    return best;
  }

  private static double[] median(double[] x) {
    double[] result = new double[x.length];
    int half = MEDIAN_SAMPLES / 2;
    for (int k = 0; k < x.length; k++) {
      double[] window =
          Arrays.copyOfRange(x, Math.max(0, k - half), Math.min(x.length, k + half + 1));
      Arrays.sort(window);
      result[k] = window[window.length / 2];
    }
    return result;
  }

  /** Least squares line around each sample: its value there, and its slope. */
  private static void smooth(double[] t, double[] raw, double[] x, double[] v) {
    int from = 0;
    int to = 0;
    for (int k = 0; k < t.length; k++) {
      while (t[k] - t[from] > LINE_S / 2) {
        from++;
      }
      while (to + 1 < t.length && t[to + 1] - t[k] <= LINE_S / 2) {
        to++;
      }
      int n = to - from + 1;
      double mt = 0;
      double mx = 0;
      for (int i = from; i <= to; i++) {
        mt += t[i] / n;
        mx += raw[i] / n;
      }
      double tt = 0;
      double tx = 0;
      for (int i = from; i <= to; i++) {
        tt += (t[i] - mt) * (t[i] - mt);
        tx += (t[i] - mt) * (raw[i] - mx);
      }
      v[k] = tt > 0 ? tx / tt : 0;
      x[k] = mx + v[k] * (t[k] - mt);
    }
  }

  private static double quantile(double[] x, double q) {
    double[] sorted = x.clone();
    Arrays.sort(sorted);
    return sorted[(int) Math.round(q * (sorted.length - 1))];
  }
}
