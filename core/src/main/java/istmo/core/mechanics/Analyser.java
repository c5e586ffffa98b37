package istmo.core.mechanics;

import istmo.core.anatomy.Coordinate;
import istmo.core.body.Body;
import istmo.core.movement.Family;
import istmo.core.movement.Posture;
import istmo.core.movement.Reach;
import istmo.core.movement.Setup;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * From a body, a family with its set-up and a load rule to posture over the range, moments,
 * strength limit with its limiters, and load sharing. Holds the workspaces for one body; one
 * thread.
 */
public final class Analyser {
  /** Points of the range, evenly spaced, unless said otherwise. */
  public static final int POINTS = 21;

  private static final double REPETITION_TOLERANCE = 0.01;

  /** First guess of what share of the limit a repetition more costs. */
  private static final double FALL_A_REPETITION = 0.026;

  private final Body body;
  private final Musculature musculature;
  private final Equilibrium equilibrium;
  private final StrengthLimit strength;
  private final FreshLimit fresh;
  private final LoadSharing sharing;
  private final SetSimulation simulation;

  /** The load of the rested run that the simulation holds, NaN for none, and its repetitions. */
  private double simulatedKg = Double.NaN;

  private double simulatedRepetitions;

  /** Computes for one body; to be used by one thread. */
  public Analyser(Body body) {
    this(body, new Musculature(body));
  }

  /**
   * With other muscles than the standard ones; {@code musculature} must be this body's, and is used
   * up by this analyser.
   */
  public Analyser(Body body, Musculature musculature) {
    this.body = body;
    this.musculature = musculature;
    this.equilibrium = new Equilibrium(body, musculature);
    this.strength = new StrengthLimit(equilibrium);
    this.fresh = new FreshLimit(body, musculature, equilibrium, strength);
    this.sharing = new LoadSharing(equilibrium);
    this.simulation = new SetSimulation(body, musculature);
  }

  /** One repetition and its set at the load that a rule says; or why it cannot be. */
  public AnalysisResult analyse(Family family, Setup setup, LoadRule rule) {
    return analyse(family, setup, rule, Tempo.USUAL);
  }

  /** One repetition and its set at the load that a rule says; or why it cannot be. */
  public AnalysisResult analyse(Family family, Setup setup, LoadRule rule, Tempo tempo) {
    double[] limits = new double[POINTS];
    simulatedKg = Double.NaN;
    try {
      double limit = fresh.limit(family, setup, limits);
      if (!(limit > 0)) {
        int weakest = weakest(limits);
        return new CannotAnalyse(
            weakest / (POINTS - 1.0), new AnalysisFact.BodyWeightTooMuch(-limit));
      }
      List<Limiter> limiters = fresh.limiters(family, setup, limits, limit);
      double working = working(family, setup, rule, tempo, limit);
      List<AnalysisPoint> points = new ArrayList<>(POINTS);
      List<AnalysisFact> notes = new ArrayList<>();
      double tuck = 0;
      double lean = 0;
      sharing.reset();
      for (int k = 0; k < POINTS; k++) {
        Posture posture = NoPosture.orPosture(body, family, setup, k / (POINTS - 1.0), working);
        equilibrium.set(posture);
        sharing.solve(working);
        points.add(point(posture, limits[k], working));
        tuck = Math.max(tuck, posture.angle(Coordinate.LUMBAR_FLEXION));
        lean = Math.max(lean, posture.trunkLeanRad());
      }
      Optional<AnalysisPoint> unheld =
          points.stream()
              .filter(point -> point.worstResidualNm() > SetSimulation.FAILED_NM)
              .findFirst();
      if (unheld.isPresent() && working < limit) {
        return new CannotAnalyse(
            unheld.get().posture().phase(), new AnalysisFact.TooLightForBalance(working));
      }
      List<AnalysisFact> cautions = new ArrayList<>();
      if (lean > family.mostLeanRad(setup) + Math.toRadians(1)) {
        cautions.add(new AnalysisFact.LeansTooFar(lean, family.mostLeanRad(setup)));
      }
      if (tuck > Reach.mostTuckRad(family)) {
        cautions.add(new AnalysisFact.TucksTooFar(tuck, Reach.mostTuckRad(family)));
      } else if (tuck > Math.toRadians(1)) {
        notes.add(new AnalysisFact.Tucks(tuck));
      }
      SimulatedSet set = set(family, setup, working, tempo, null);
      aboutLoad(notes, working, limit, set);
      return new Analysis(
          limit, working, weakest(limits) / (POINTS - 1.0), limiters, set, points, cautions, notes);
    } catch (NoPosture e) {
      return new CannotAnalyse(e.phase, e.impossible.obstacle());
    }
  }

  private static void aboutLoad(
      List<AnalysisFact> notes, double working, double limit, SimulatedSet set) {
    if (working > limit * 1.001) {
      notes.add(new AnalysisFact.AboveLimit(working, limit));
    }
    if (working == 0) {
      notes.add(new AnalysisFact.BodyWeightEndsIt((int) Math.floor(set.repetitions())));
    }
  }

  /**
   * The fresh limit alone, without a set.
   *
   * @param limitKg not above zero where body weight alone is more than can be held
   */
  public record Fresh(double limitKg, List<Limiter> limiters) {}

  /** The fresh limit alone; empty where the posture cannot be taken. */
  public Optional<Fresh> fresh(Family family, Setup setup) {
    double[] limits = new double[POINTS];
    try {
      double limit = fresh.limit(family, setup, limits);
      return Optional.of(
          new Fresh(limit, limit > 0 ? fresh.limiters(family, setup, limits, limit) : List.of()));
    } catch (NoPosture e) {
      return Optional.empty();
    }
  }

  /**
   * One set to failure at a load, without its limit and what ends it: a quick look, for many small
   * changes of one case. Empty where the posture cannot be taken.
   */
  public Optional<SimulatedSet> simulated(Family family, Setup setup, double loadKg) {
    try {
      double done = repetitions(family, setup, loadKg, Tempo.USUAL, null);
      return Optional.of(simulation.result(loadKg, done, List.of()));
    } catch (NoPosture e) {
      return Optional.empty();
    }
  }

  private double working(Family family, Setup setup, LoadRule rule, Tempo tempo, double limit) {
    if (rule instanceof LoadRule.Fixed fixed) {
      return fixed.kg();
    }
    if (rule instanceof LoadRule.ShareOfLimit shareOfLimit) {
      return shareOfLimit.share() * limit;
    }
    return loadFor(family, setup, ((LoadRule.Repetitions) rule).repetitions(), tempo, limit);
  }

  /**
   * The load that gives so many repetitions, kg: a root between nothing and the fresh limit, by
   * secants kept inside a bracket; nothing where body weight alone gives fewer. Where the posture
   * cannot be taken with so little, that is thrown.
   */
  private double loadFor(Family family, Setup setup, int repetitions, Tempo tempo, double limit) {
    double low = 0;
    double high = limit;
    double before = limit;
    double atBefore = 1 - repetitions;
    if (atBefore >= 0
        || ((fresh.balanceEnds() || family.heldAtChest(setup))
            && repetitions(family, setup, limit, tempo, null)
                >= repetitions)) { // what balance ends, strength may hold for long
      return limit;
    }
    NoPosture tooLight = null; // what stands in the way at the low end of the bracket
    double x = Math.max(0.3, 1 - FALL_A_REPETITION * (repetitions - 1)) * limit;
    for (int round = 0; round < 40; round++) {
      double f;
      NoPosture here = null;
      try {
        f = repetitions(family, setup, x, tempo, null) - repetitions;
      } catch (NoPosture e) {
        here = e;
        f = 1;
      }
      if (Math.abs(f) < REPETITION_TOLERANCE || (x == 0 && f < 0)) {
        return x;
      }
      if (f > 0) {
        low = x;
        tooLight = here;
      } else {
        high = x;
      }
      if (high - low < FreshLimit.LOAD_TOLERANCE_KG / 2) {
        if (tooLight != null) {
          throw tooLight;
        }
        return high;
      }
      double next = x - f * (x - before) / (f - atBefore);
      before = x;
      atBefore = f;
      boolean inside = next > low + 0.01 * (high - low) && next < high - 0.01 * (high - low);
      x = inside ? next : low == 0 && next <= 0 ? 0 : 0.5 * (low + high);
    }
    throw new IllegalStateException("the load for " + repetitions + " repetitions was not found");
  }

  /**
   * Repetitions to failure; the run stays in the simulation, and is not repeated for the load that
   * it is at.
   */
  private double repetitions(
      Family family, Setup setup, double loadKg, Tempo tempo, double @Nullable [] start) {
    if (loadKg != simulatedKg || start != null) {
      simulatedKg = Double.NaN;
      for (int k = 0; k < SetSimulation.POINTS; k++) {
        simulation.set(
            k, NoPosture.orPosture(body, family, setup, k / (SetSimulation.POINTS - 1.0), loadKg));
      }
      simulatedRepetitions =
          simulation.run(
              loadKg,
              tempo.moving(Math.sqrt(family.part(setup))),
              family.legs(setup),
              Grip.holdS(body, family, setup, loadKg),
              start);
      simulatedKg = start == null ? loadKg : Double.NaN;
    }
    return simulatedRepetitions;
  }

  private SimulatedSet set(
      Family family, Setup setup, double loadKg, Tempo tempo, double @Nullable [] start) {
    double done = repetitions(family, setup, loadKg, tempo, start);
    List<Limiter> gaveOut =
        switch (simulation.end()) {
          case STRENGTH -> gaveOut(family, setup, loadKg, simulation.leftAtEnd());
          case BREATH -> List.of(new Limiter(SimulatedSet.BREATH, 1, 0));
          case GRIP -> List.of(new Limiter(Limiter.GRIP, 1, 0));
          case LIGHT -> List.of();
        };
    return simulation.result(loadKg, done, gaveOut);
  }

  /**
   * What has given out when a set ended: capacity lost times sensitivity, phases that nearly tie
   * blended.
   */
  private List<Limiter> gaveOut(Family family, Setup setup, double loadKg, double[] left) {
    int columns = equilibrium.muscles + 1;
    double[][] sensitivity = new double[SetSimulation.POINTS][columns];
    double[] limits = new double[SetSimulation.POINTS];
    for (int k = 0; k < limits.length; k++) {
      equilibrium.set(NoPosture.orPosture(body, family, setup, k / (limits.length - 1.0), loadKg));
      equilibrium.tire(left);
      limits[k] = strength.solve() ? strength.limitKg() : StrengthLimit.HIGHEST_KG;
      for (int j = 0; j < columns; j++) {
        sensitivity[k][j] = (1 - left[j]) * strength.sensitivity(j);
      }
    }
    double[] kg = LimiterShares.blended(limits, sensitivity);
    double sum = Arrays.stream(kg).sum();
    return sum > 0
        ? LimiterShares.named(
            musculature.muscles(), Arrays.stream(kg).map(v -> v / sum).toArray(), kg)
        : List.of();
  }

  /** A drop set: each load to failure with what the last left, without rest. */
  public List<SimulatedSet> dropSet(Family family, Setup setup, List<Double> loadsKg, Tempo tempo) {
    List<SimulatedSet> sets = new ArrayList<>();
    simulatedKg = Double.NaN;
    double[] left = null;
    for (double load : loadsKg) {
      SimulatedSet set = set(family, setup, load, tempo, left);
      sets.add(set);
      left = simulation.leftAtEnd().clone();
    }
    return List.copyOf(sets);
  }

  private AnalysisPoint point(Posture posture, double limit, double working) {
    int n = musculature.size();
    double[] external = new double[Coordinate.ALL];
    double[] residual = new double[Coordinate.ALL];
    for (Coordinate coordinate : Coordinate.values()) {
      external[coordinate.ordinal()] = equilibrium.externalNm(coordinate, working);
      residual[coordinate.ordinal()] = sharing.residualNm(coordinate);
    }
    double[] activation = new double[n];
    double[] length = new double[n];
    double[] active = new double[n];
    double[] passive = new double[n];
    float[] arms = new float[n * Coordinate.LEG];
    for (int i = 0; i < n; i++) {
      activation[i] = sharing.value(i);
      length[i] = musculature.length(i);
      active[i] = activation[i] * musculature.activeFactor(i);
      passive[i] = musculature.passiveFactor(i);
      for (int c = 0; c < Coordinate.LEG; c++) {
        arms[i * Coordinate.LEG + c] = (float) musculature.arm(i, Coordinate.values()[c]);
      }
    }
    return new AnalysisPoint(
        posture,
        limit,
        external,
        activation,
        length,
        active,
        passive,
        arms,
        sharing.contactNm(),
        residual);
  }

  private static int weakest(double[] limits) {
    int weakest = 0;
    for (int k = 1; k < limits.length; k++) {
      if (limits[k] < limits[weakest]) {
        weakest = k;
      }
    }
    return weakest;
  }
}
