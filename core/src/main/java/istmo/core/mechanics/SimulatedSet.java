package istmo.core.mechanics;

import java.util.Arrays;
import java.util.List;

/**
 * A set taken to the repetition that fails, as {@link SetSimulation} sees it.
 *
 * @param loadKg external load, kg
 * @param repetitions completed, as a real number: 1 at the fresh limit
 * @param end what ends it
 * @param gaveOut what has given out: capacity lost times how much the load would rise with it;
 *     shares add up to 1, greatest first; {@link #BREATH} or {@link Limiter#GRIP} alone where that
 *     ends the set; empty where nothing does
 * @param drives [repetition], the drive of each muscle at each point, one point after the other; in
 *     single precision, because many sets are kept. The last repetition counts only by {@code
 *     lastShare}
 * @param capacity [repetition][muscle], 1 rested: active force left at the start of each repetition
 * @param lastShare how much of the last listed repetition counts, 0 to 1
 * @param fibreLength [point][muscle] over optimal
 * @param activeFactor [point][muscle] of force-length
 * @param passiveFactor [point][muscle] passive tension over peak force
 * @param time [point] what a repetition spends there, in whole usual repetitions: the sum is 1 for
 *     a whole repetition at the usual tempo
 * @param counted how much of it counts beside a usual set, 0 to 1: 1 unless it is light
 * @param oxygenShare how much of the oxygen debt that this body bears the set had used, 1 when
 *     breath ends it
 */
public record SimulatedSet(
    double loadKg,
    double repetitions,
    End end,
    List<Limiter> gaveOut,
    float[][] drives,
    double[][] capacity,
    double lastShare,
    double[][] fibreLength,
    double[][] activeFactor,
    double[][] passiveFactor,
    double[] time,
    double oxygenShare,
    double counted) {

  /** Id of breath among limiters. */
  public static final String BREATH = "BREATH";

  /** What ends a set. */
  public enum End {
    /** some muscle, or the back */
    STRENGTH,
    BREATH,
    /** the hands */
    GRIP,
    /** more repetitions than are worth counting */
    LIGHT
  }

  public SimulatedSet {
    gaveOut = List.copyOf(gaveOut);
  }

  /** The set ended after so many repetitions, the others in reserve; itself where it has fewer. */
  public SimulatedSet endedAfter(int most) {
    return repetitions <= most
        ? this
        : new SimulatedSet(
            loadKg,
            most,
            end,
            gaveOut,
            Arrays.copyOf(drives, most),
            Arrays.copyOf(capacity, most),
            1,
            fibreLength,
            activeFactor,
            passiveFactor,
            time,
            oxygenShare * most / repetitions,
            counted);
  }

  /** The same set, of which so much counts. */
  public SimulatedSet counted(double share) {
    return new SimulatedSet(
        loadKg,
        repetitions,
        end,
        gaveOut,
        drives,
        capacity,
        lastShare,
        fibreLength,
        activeFactor,
        passiveFactor,
        time,
        oxygenShare,
        share);
  }

  /** How much of what is left of it a muscle is driven at a point of a repetition, 0 to 1. */
  public double drive(int repetition, int point, int muscle) {
    return drives[repetition][point * (drives[repetition].length / points()) + muscle];
  }

  /** How many repetitions are listed; the last one counts only by {@code lastShare}. */
  public int listed() {
    return drives.length;
  }

  /** Points of the range at which the set was computed, evenly spaced from top to bottom. */
  public int points() {
    return fibreLength.length;
  }
}
