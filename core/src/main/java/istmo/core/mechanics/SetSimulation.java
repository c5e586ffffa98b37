package istmo.core.mechanics;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Region;
import istmo.core.body.Body;
import istmo.core.body.Sex;
import istmo.core.movement.Posture;
import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A set, repetition by repetition. Every repetition shares the load over the range; what a muscle
 * was driven takes from its capacity; the set ends where the next repetition leaves a moment
 * unbalanced, or where breath ends it.
 *
 * <p>Drive u in 0..1, capacity c in 0..1 (1 rested): active force = peak force x force-length x
 * cos(pennation) x c u, passive tension unchanged. After each repetition c falls by {@link
 * #FATIGUE} x (mean of u over the range x moving time + u at the ends x time held there) / usual
 * time; linear, one rate for all muscles and the back. Equations and what they leave out:
 * docs/model.md, 8.
 *
 * <p>A workspace for one body; one thread; nothing is allocated between repetitions.
 */
public final class SetSimulation {
  /** Points of the range, evenly spaced: every second one of the analysis. */
  public static final int POINTS = 11;

  /** Repetitions that are counted at most. */
  public static final int MOST_REPETITIONS = 60;

  /** Repetitions to failure at which exercises are compared. */
  public static final int COMPARED_REPETITIONS = 10;

  /**
   * Capacity lost in one usual repetition at full drive. Fitted once to the published chart of
   * repetitions against the share of one repetition (C082 in docs/validation.md), for no exercise
   * in particular.
   */
  public static final double FATIGUE = 0.032;

  /** Moment left over from which a repetition counts as failed, N m. */
  static final double FAILED_NM = 0.05;

  private static final int BISECTIONS = 10;

  /**
   * Oxygen: joules for each millilitre; efficiency of lifting; greatest uptake and the debt that a
   * set can make (ml/kg; half of what two minutes of all-out exercise make); time constant of
   * uptake. Textbook sizes, from memory.
   */
  private static final double JOULES_PER_ML = 20.9;

  private static final double EFFICIENCY = 0.2;
  private static final double LOWERING_SHARE = 0.35;
  private static final double UPTAKE_MAN_ML_KG_S = 45.0 / 60;
  private static final double UPTAKE_WOMAN_ML_KG_S = 38.0 / 60;
  private static final double DEBT_ML_KG = 30;
  private static final double UPTAKE_S = 35;

  private final Body body;
  private final int columns;
  private final int back;
  private final Musculature musculature;
  private final Equilibrium[] at = new Equilibrium[POINTS];
  private final LoadSharing[] sharing = new LoadSharing[POINTS];
  private final Posture[] posture = new Posture[POINTS];
  private final double[][] length;
  private final double[][] active;
  private final double[][] passive;
  private final double[][][] drive = new double[MOST_REPETITIONS + 1][POINTS][];
  private final double[][] capacity = new double[MOST_REPETITIONS + 1][];
  private final double[] used;
  private final int[] failing = new int[POINTS];
  private final double[] time = new double[POINTS];
  private double lastShare;
  private int listed;
  private double oxygenShare;
  private SimulatedSet.End end = SimulatedSet.End.STRENGTH;

  SetSimulation(Body body, Musculature musculature) {
    this.body = body;
    this.musculature = musculature;
    this.back = musculature.indexOf(Region.ERECTORS);
    this.columns = musculature.size() + 1;
    for (int k = 0; k < POINTS; k++) {
      at[k] = new Equilibrium(body, musculature);
      sharing[k] = new LoadSharing(at[k]);
    }
    int n = musculature.size();
    length = new double[POINTS][n];
    active = new double[POINTS][n];
    passive = new double[POINTS][n];
    for (int r = 0; r <= MOST_REPETITIONS; r++) {
      capacity[r] = new double[columns];
      for (int k = 0; k < POINTS; k++) {
        drive[r][k] = new double[columns];
      }
    }
    used = new double[columns];
  }

  /** Takes the posture of point {@code k} of {@link #POINTS}. */
  void set(int k, Posture taken) {
    posture[k] = taken;
    at[k].set(taken);
    sharing[k].reset();
    for (int i = 0; i < musculature.size(); i++) {
      length[k][i] = musculature.length(i);
      active[k][i] = musculature.activeFactor(i);
      passive[k][i] = musculature.passiveFactor(i);
    }
  }

  /**
   * Repetitions to failure at a load, at the postures set.
   *
   * @param holdS how long the hands hold this load, s
   * @param start what is left of each muscle, the back and the trunk at the start; null when rested
   */
  double run(double loadKg, Tempo tempo, int legs, double holdS, double @Nullable [] start) {
    if (start == null) {
      Arrays.fill(capacity[0], 1);
    } else {
      System.arraycopy(start, 0, capacity[0], 0, columns);
    }
    time(tempo);
    double grip = holdS / tempo.secondsARepetition();
    double breath = Double.POSITIVE_INFINITY;
    int done = 0;
    while (done < MOST_REPETITIONS
        && (done == 0 || done < Math.min(breath, grip))
        && repetition(loadKg, capacity[done], drive[done])) {
      if (done == 0) {
        breath = Math.max(1, breathRepetitions(loadKg, tempo, legs));
      }
      fatigue(drive[done]);
      done++;
      lower(capacity[done - 1], 1, capacity[done]);
    }
    double total;
    if (done > 0 && done >= Math.min(breath, grip)) {
      end = breath <= grip ? SimulatedSet.End.BREATH : SimulatedSet.End.GRIP;
      total = Math.min(breath, grip);
      listed = done;
      lastShare = total - (done - 1);
    } else if (done == MOST_REPETITIONS) {
      end = SimulatedSet.End.LIGHT;
      total = done;
      listed = done;
      lastShare = 1;
    } else {
      end = SimulatedSet.End.STRENGTH;
      lastShare = done == 0 ? 0 : bearableShare(loadKg, done);
      total = done + lastShare;
      listed = done + 1;
    }
    oxygenShare = total / breath;
    return total;
  }

  /**
   * How much of the last repetition's fatigue the next repetition would still stand; the next
   * repetition is left computed there. Only the points that fail are looked at again.
   */
  private double bearableShare(double loadKg, int done) {
    int points = 0;
    for (int k = 0; k < POINTS; k++) {
      if (worstNm(k) > FAILED_NM) {
        failing[points++] = k;
      }
    }
    double low = 0;
    double high = 1;
    for (int step = 0; step < BISECTIONS; step++) {
      double middle = 0.5 * (low + high);
      lower(capacity[done - 1], middle, capacity[done]);
      boolean holds = true;
      for (int f = 0; f < points && holds; f++) {
        int k = failing[f];
        at[k].tire(capacity[done]);
        sharing[k].solve(loadKg);
        if (worstNm(k) > FAILED_NM) {
          holds = false;
          failing[f] = failing[0]; // looked at first the next time
          failing[0] = k;
        }
      }
      if (holds) {
        low = middle;
      } else {
        high = middle;
      }
    }
    lower(capacity[done - 1], low, capacity[done]);
    repetition(loadKg, capacity[done], drive[done]);
    return low;
  }

  /** One repetition with what is left; false when a moment stays unbalanced. */
  private boolean repetition(double loadKg, double[] left, double[][] into) {
    boolean whole = true;
    for (int k = 0; k < POINTS; k++) {
      at[k].tire(left);
      sharing[k].solve(loadKg);
      for (int j = 0; j < columns; j++) {
        into[k][j] = sharing[k].value(j);
      }
      whole &= worstNm(k) <= FAILED_NM;
    }
    return whole;
  }

  private double worstNm(int k) {
    double worst = 0;
    for (int r = 0; r < at[k].rows; r++) {
      worst = Math.max(worst, Math.abs(sharing[k].residualNm(at[k].coordinate[r])));
    }
    return worst;
  }

  private void fatigue(double[][] u) {
    for (int j = 0; j < columns; j++) {
      double sum = 0;
      for (int k = 0; k < POINTS; k++) {
        sum += time[k] * u[k][j];
      }
      used[j] = FATIGUE * sum;
    }
  }

  /** What a repetition spends at each point, in usual repetitions. */
  private void time(Tempo tempo) {
    double usual = Tempo.USUAL.movingCost();
    Arrays.fill(time, tempo.movingCost() / POINTS / usual);
    time[POINTS - 1] += tempo.lowS() / usual;
    time[0] += tempo.topS() / usual;
  }

  private void lower(double[] from, double share, double[] into) {
    for (int j = 0; j < columns; j++) {
      into[j] = Math.max(0, from[j] - share * used[j]);
    }
  }

  /**
   * Repetitions until the oxygen debt is as large as a set can make it. Demand: positive work of
   * the joints over the efficiency, lowering a share more. Supply: greatest uptake, reached
   * exponentially, and only as far as the trunk is not braced, because a braced trunk does not
   * breathe. The debt is made in the muscles, so stronger ones can make more of it.
   */
  private double breathRepetitions(double loadKg, Tempo tempo, int legs) {
    double work = 0;
    for (int k = 1; k < POINTS; k++) {
      double step = 0;
      for (Coordinate coordinate : Coordinate.values()) {
        if (at[k].carries(coordinate) && at[k - 1].carries(coordinate)) {
          double moment =
              0.5
                  * (at[k].externalNm(coordinate, loadKg)
                      + at[k - 1].externalNm(coordinate, loadKg));
          double both = coordinate == Coordinate.LUMBAR_FLEXION ? 1 : legs;
          step += both * moment * (posture[k].angle(coordinate) - posture[k - 1].angle(coordinate));
        }
      }
      work += Math.abs(step);
    }
    double brace = 0;
    for (int k = 0; k < POINTS; k++) {
      brace += drive[0][k][back] / POINTS;
    }
    double demand =
        work
            * (1 + LOWERING_SHARE)
            / EFFICIENCY
            / JOULES_PER_ML
            / body.massKg(); // ml/kg a repetition
    double seconds = tempo.secondsARepetition();
    double uptake =
        (body.sex() == Sex.MALE ? UPTAKE_MAN_ML_KG_S : UPTAKE_WOMAN_ML_KG_S) * (1 - brace);
    double most = DEBT_ML_KG * Math.max(1, body.strength());
    double debt = 0;
    for (int r = 0; r < MOST_REPETITIONS; r++) {
      double supplied =
          uptake
              * (seconds
                  - UPTAKE_S
                      * (Math.exp(-r * seconds / UPTAKE_S)
                          - Math.exp(-(r + 1) * seconds / UPTAKE_S)));
      double next = Math.max(0, debt + demand - supplied);
      if (next >= most) {
        return r + (most - debt) / (next - debt);
      }
      debt = next;
    }
    return Double.POSITIVE_INFINITY;
  }

  /** What is left of each muscle, the back and the trunk when the last run ended. */
  double[] leftAtEnd() {
    return capacity[listed - 1];
  }

  SimulatedSet.End end() {
    return end;
  }

  /** A copy of the last run. */
  SimulatedSet result(double loadKg, double repetitions, List<Limiter> gaveOut) {
    int n = musculature.size();
    float[][] u = new float[listed][POINTS * n];
    double[][] c = new double[listed][];
    for (int r = 0; r < listed; r++) {
      c[r] = Arrays.copyOf(capacity[r], n);
      for (int k = 0; k < POINTS; k++) {
        for (int i = 0; i < n; i++) {
          u[r][k * n + i] = (float) drive[r][k][i];
        }
      }
    }
    return new SimulatedSet(
        loadKg,
        repetitions,
        end,
        gaveOut,
        u,
        c,
        lastShare,
        copy(length),
        copy(active),
        copy(passive),
        time.clone(),
        oxygenShare,
        1);
  }

  private static double[][] copy(double[][] of) {
    return Arrays.stream(of).map(double[]::clone).toArray(double[][]::new);
  }
}
