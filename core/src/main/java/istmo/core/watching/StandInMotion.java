package istmo.core.watching;

import istmo.core.mechanics.Tempo;
import istmo.core.watching.RepetitionFinder.Sample;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * An invented lifter and an invented sensor: positions with their known truth, for practice with
 * the demo's stand-ins and for checks. Movements are minimum-jerk (Flash and Hogan 1985), which is
 * how limbs move from rest to rest.
 */
public final class StandInMotion {
  private StandInMotion() {}

  /** One repetition as it was truly done: lowering first. */
  public record Truth(double loweringS, double lowS, double liftingS, double topS, double range) {}

  /**
   * The sensor's faults.
   *
   * @param noise standard deviation of a reading, in the positions' unit
   * @param jitterS of the time between samples
   * @param spikes share of the samples that are far off
   * @param lost share of the samples that do not arrive
   */
  public record Sensor(double rateHz, double noise, double jitterS, double spikes, double lost) {
    public static final Sensor EXACT = new Sensor(50, 0, 0, 0, 0);
  }

  /**
   * A set as an invented lifter does it who tires: each lifting takes a little longer; the last
   * lowering but one is dropped, the last range is short, and where a pause is asked the third has
   * none.
   *
   * @param range of a whole repetition, in the positions' unit
   */
  public static List<Truth> tiring(int repetitions, Tempo asked, double range) {
    List<Truth> truth = new ArrayList<>();
    for (int k = 0; k < repetitions; k++) {
      double lowering = Math.max(1, asked.loweringS());
      double lifting = Math.max(0.8, asked.liftingS()) * (1 + 0.06 * k);
      boolean last = k == repetitions - 1 && k > 0;
      truth.add(
          new Truth(
              k == repetitions - 2 && k > 0 ? 0.45 * lowering : lowering,
              k == 2 ? 0 : asked.lowS(),
              lifting,
              0.3 + asked.topS(),
              last ? 0.75 * range : range));
    }
    return truth;
  }

  /**
   * A position signal as a sensor would give it for a set that is known.
   *
   * @param high position of the top end
   * @param fidget amplitude of what goes on before and after the set: standing, settling, racking
   * @param lowFirst whether the set begins at the low end, as from the floor
   */
  public static List<Sample> samples(
      List<Truth> truth, double high, double fidget, boolean lowFirst, Sensor sensor, long seed) {
    Random random = new Random(seed);
    double first = truth.isEmpty() ? 0 : truth.get(0).range();
    double begun = lowFirst ? high - first : high;
    List<Move> moves = moves(truth, high, fidget, lowFirst, random);
    return sampled(moves, begun, first, sensor, random);
  }

  /** A smooth move that takes so long, to so far. */
  private record Move(double seconds, double to) {
    /** Where it is at a share of its time, from {@code from}: smooth at both ends. */
    private double at(double share, double from) {
      double s = share * share * share * (10 - 15 * share + 6 * share * share);
      return from + (to - from) * s;
    }
  }

  private static List<Move> moves(
      List<Truth> truth, double high, double fidget, boolean lowFirst, Random random) {
    List<Move> moves = new ArrayList<>();
    double begun = lowFirst && !truth.isEmpty() ? high - truth.get(0).range() : high;
    for (int k = 0; k < 3; k++) {
      moves.add(
          new Move(0.5 + 0.3 * random.nextDouble(), begun + fidget * (random.nextDouble() - 0.5)));
    }
    moves.add(new Move(0.6, begun));
    moves.add(new Move(0.8, begun));
    for (int k = 0; k < truth.size(); k++) {
      Truth made = truth.get(k);
      if (!lowFirst) {
        moves.add(new Move(made.loweringS(), high - made.range()));
        moves.add(new Move(made.lowS(), high - made.range()));
      }
      moves.add(new Move(made.liftingS(), high));
      moves.add(new Move(made.topS(), high));
      if (lowFirst) {
        Truth next = k + 1 < truth.size() ? truth.get(k + 1) : made;
        moves.add(new Move(made.loweringS(), high - next.range()));
        moves.add(new Move(next.lowS(), high - next.range()));
      }
    }
    double end = lowFirst && !truth.isEmpty() ? high - truth.get(truth.size() - 1).range() : high;
    moves.add(new Move(0.8, end));
    for (int k = 0; k < 2; k++) {
      moves.add(new Move(0.5, end + fidget * (random.nextDouble() - 0.5)));
    }
    return moves;
  }

  private static List<Sample> sampled(
      List<Move> moves, double begun, double spike, Sensor sensor, Random random) {
    List<Sample> samples = new ArrayList<>();
    double at = begun;
    double now = 0;
    double next = 0;
    double last = -1;
    for (Move move : moves) {
      double until = now + move.seconds();
      while (next < until) {
        double share = move.seconds() > 0 ? (next - now) / move.seconds() : 1;
        double x = move.at(share, at) + sensor.noise() * random.nextGaussian();
        if (random.nextDouble() < sensor.spikes()) {
          x += (random.nextBoolean() ? 1 : -1) * spike;
        }
        double time = next + sensor.jitterS() * (random.nextDouble() - 0.5);
        if (random.nextDouble() >= sensor.lost() && time > last) {
          samples.add(new Sample(time, x));
          last = time;
        }
        next += 1 / sensor.rateHz();
      }
      now = until;
      at = move.to();
    }
    return samples;
  }
}
