package istmo.core.mechanics;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Muscle;
import istmo.core.anatomy.Muscles;
import istmo.core.anatomy.Regions;
import istmo.core.body.Body;
import istmo.core.movement.Family;
import istmo.core.movement.Impossible;
import istmo.core.movement.Posture;
import istmo.core.movement.PostureResult;
import istmo.core.movement.Setup;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;

/**
 * From a body, a family with its set-up and a load rule to posture over the range, moments, strength limit with its limiters, and load sharing. Holds the workspaces for one body; one thread.
 */
public final class Analyser {
  /** Points of the range, evenly spaced, unless said otherwise. */
  public static final int POINTS = 21;

  /** Sensitivities of phases whose limit is within about this share of the smallest are blended, so that limiters do not jump where two phases tie. */
  private static final double TIE = 0.02;

  private static final double LOAD_TOLERANCE_KG = 0.02;
  private static final double FIRST_GUESS_KG = 100;
  /** Phases whose limit is more than this many times the smallest do not decide it at a nearby load; a last look at all phases makes sure. */
  private static final double FOLLOWED = 1.15;
  /** Phases that could decide with a weaker back. */
  private static final double NEAR = 1.5;
  /** Backs of a quarter more and a fifth less strength than stated, and how much each counts (own estimate of what is not known). */
  private static final double[] BACK_FACTORS = {0.8, 1, 1.25};

  private static final double[] BACK_WEIGHTS = {0.25, 0.5, 0.25};

  private final Body body;
  private final Musculature musculature;
  private final Equilibrium equilibrium;
  private final StrengthLimit strength;
  private final LoadSharing sharing;

  public Analyser(Body body) {
    this.body = body;
    this.musculature = new Musculature(body);
    this.equilibrium = new Equilibrium(body, musculature);
    this.strength = new StrengthLimit(equilibrium);
    this.sharing = new LoadSharing(equilibrium);
  }

  public AnalysisResult analyse(Family family, Setup setup, LoadRule rule) {
    double[] limits = new double[POINTS];
    try {
      double limit = limit(family, setup, limits);
      if (!(limit > 0)) {
        int weakest = weakest(limits);
        return new CannotAnalyse(weakest / (POINTS - 1.0), "Body weight alone is more than this posture can hold.", String.format(Locale.ROOT, "about %.0f kg of help", -limit));
      }
      List<Limiter> limiters = limiters(family, setup, limits, limit);
      double working = rule.loadKg(limit);
      List<AnalysisPoint> points = new ArrayList<>(POINTS);
      List<String> notes = new ArrayList<>();
      double tuck = 0;
      sharing.reset();
      for (int k = 0; k < POINTS; k++) {
        Posture posture = posture(family, setup, k / (POINTS - 1.0), working);
        equilibrium.set(posture);
        sharing.solve(working);
        points.add(point(posture, limits[k], working));
        tuck = Math.max(tuck, posture.angle(Coordinate.LUMBAR_FLEXION));
      }
      if (tuck > Math.toRadians(1)) {
        notes.add(String.format(Locale.ROOT, "The pelvis tucks by %.0f° at the bottom.", Math.toDegrees(tuck)));
      }
      if (working > limit * 1.001) {
        notes.add(String.format(Locale.ROOT, "%.0f kg is above the fresh limit of %.0f kg.", working, limit));
      }
      return new Analysis(limit, working, weakest(limits) / (POINTS - 1.0), limiters, points, notes);
    } catch (NoPosture e) {
      return new CannotAnalyse(e.phase, e.impossible.reason(), e.impossible.missing());
    }
  }

  /**
   * Largest load that every phase holds. Where the posture depends on the load, the load at which limit and load agree: a root, found by a bracketed secant (plain substitution oscillates for the Romanian deadlift).
   */
  private double limit(Family family, Setup setup, double[] limits) {
    if (!family.balances()) {
      return smallest(family, setup, limits, 0, Double.POSITIVE_INFINITY);
    }
    double ceiling = Double.POSITIVE_INFINITY; // after a first look, only phases near the smallest are followed
    double low = Double.NaN;
    double atLow = Double.NaN;
    double high = Double.NaN;
    double atHigh = Double.NaN;
    double x = FIRST_GUESS_KG;
    double g = x;
    for (int round = 0; round < 60; round++) {
      g = smallest(family, setup, limits, x, ceiling);
      double f = g - x;
      if (Math.abs(f) < LOAD_TOLERANCE_KG && ceiling < Double.POSITIVE_INFINITY) {
        g = smallest(family, setup, limits, x, Double.POSITIVE_INFINITY);
        f = g - x;
      }
      if (Math.abs(f) < LOAD_TOLERANCE_KG) {
        return g;
      }
      ceiling = FOLLOWED * Math.max(g, 1);
      if (f > 0) {
        low = x;
        atLow = f;
      } else {
        high = x;
        atHigh = f;
      }
      if (Double.isNaN(high)) {
        if (x >= StrengthLimit.HIGHEST_KG) {
          return x;
        }
        x = Math.min(StrengthLimit.HIGHEST_KG, x + Math.max(f, 1));
      } else if (Double.isNaN(low)) {
        if (x <= LOAD_TOLERANCE_KG) {
          return Math.min(g, 0);
        }
        x = Math.max(LOAD_TOLERANCE_KG, Math.min(g, x / 2));
      } else {
        if (high - low < LOAD_TOLERANCE_KG) {
          smallest(family, setup, limits, x, Double.POSITIVE_INFINITY);
          return x;
        }
        double secant = low + (high - low) * atLow / (atLow - atHigh);
        double margin = 0.02 * (high - low);
        x = Math.max(low + margin, Math.min(high - margin, secant));
      }
    }
    throw new IllegalStateException("the load at which posture and limit agree was not found");
  }

  /** The smallest limit at a load; phases whose limit was above {@code ceiling} last time keep it. */
  private double smallest(Family family, Setup setup, double[] limits, double loadKg, double ceiling) {
    double least = StrengthLimit.HIGHEST_KG;
    for (int k = 0; k < limits.length; k++) {
      if (limits[k] > ceiling) {
        continue;
      }
      limits[k] = limitAt(family, setup, k / (limits.length - 1.0), loadKg);
      least = Math.min(least, limits[k]);
    }
    return least;
  }

  private double limitAt(Family family, Setup setup, double phase, double loadKg) {
    equilibrium.set(posture(family, setup, phase, loadKg));
    if (!strength.solve()) {
      throw new NoPosture(phase, new Impossible(Impossible.Limit.GEOMETRY, "No load in a sensible range can be held here.", "another set-up"));
    }
    return strength.limitKg();
  }

  /**
   * Shares of what limits, at the sticking point. How strong a back is, is known least of all, so the shares are a mean over a weaker, the stated and a stronger back; phases that nearly tie are blended.
   */
  private List<Limiter> limiters(Family family, Setup setup, double[] fresh, double limit) {
    int columns = equilibrium.muscles + 2;
    int phases = fresh.length;
    double[][][] sensitivity = new double[BACK_FACTORS.length][phases][columns];
    double[][] limits = new double[BACK_FACTORS.length][phases];
    for (double[] l : limits) {
      Arrays.fill(l, StrengthLimit.HIGHEST_KG);
    }
    for (int k = 0; k < phases; k++) {
      if (fresh[k] > NEAR * limit) {
        continue;
      }
      equilibrium.set(posture(family, setup, k / (phases - 1.0), limit));
      boolean backCarries = equilibrium.carries(Coordinate.LUMBAR_FLEXION);
      for (int b = 0; b < BACK_FACTORS.length; b++) {
        if (b > 0 && !backCarries) { // the back's strength does not matter here
          limits[b][k] = limits[0][k];
          sensitivity[b][k] = sensitivity[0][k];
          continue;
        }
        equilibrium.scaleBack(BACK_FACTORS[b]);
        limits[b][k] = strength.solve() ? strength.limitKg() : StrengthLimit.HIGHEST_KG;
        for (int j = 0; j < columns; j++) {
          sensitivity[b][k][j] = strength.sensitivity(j);
        }
      }
    }
    double[] share = new double[columns];
    double[] kg = new double[columns];
    for (int b = 0; b < BACK_FACTORS.length; b++) {
      double least = Arrays.stream(limits[b]).min().orElseThrow();
      double[] total = new double[columns];
      double weightSum = 0;
      for (int k = 0; k < phases; k++) {
        double weight = Math.exp(-(limits[b][k] - least) / Math.max(1, Math.abs(least)) / TIE);
        weightSum += weight;
        for (int j = 0; j < columns; j++) {
          total[j] += weight * sensitivity[b][k][j];
        }
      }
      double sum = Arrays.stream(total).sum();
      for (int j = 0; j < columns && sum > 0; j++) {
        share[j] += BACK_WEIGHTS[b] * total[j] / sum;
        kg[j] += BACK_WEIGHTS[b] * total[j] / weightSum / 100;
      }
    }
    List<Limiter> result = new ArrayList<>();
    List<Muscle> muscles = Muscles.standard().all();
    double named = 0;
    for (int j = 0; j < columns; j++) {
      named += share[j] > 0.005 ? share[j] : 0;
    }
    for (int j = 0; j < columns; j++) {
      if (share[j] > 0.005) {
        String id = j < muscles.size() ? muscles.get(j).id() : j == muscles.size() ? Regions.LOWER_BACK : "ABDOMINALS";
        result.add(new Limiter(id, share[j] / named, kg[j]));
      }
    }
    result.sort(Comparator.comparingDouble(Limiter::share).reversed().thenComparing(Limiter::id));
    return result;
  }

  private Posture posture(Family family, Setup setup, double phase, double loadKg) {
    PostureResult result = family.posture(body, setup, phase, loadKg);
    if (result instanceof Impossible impossible) {
      throw new NoPosture(phase, impossible);
    }
    return (Posture) result;
  }

  private AnalysisPoint point(Posture posture, double limit, double working) {
    int n = musculature.size();
    double[] external = new double[Coordinate.ALL];
    double[] residual = new double[Coordinate.ALL];
    for (Coordinate c : Coordinate.values()) {
      external[c.ordinal()] = equilibrium.externalNm(c, working);
      residual[c.ordinal()] = sharing.residualNm(c);
    }
    double[] activation = new double[n];
    double[] length = new double[n];
    double[] active = new double[n];
    double[] passive = new double[n];
    double[][] arms = new double[n][Coordinate.LEG];
    for (int i = 0; i < n; i++) {
      activation[i] = sharing.value(i);
      length[i] = musculature.length(i);
      active[i] = activation[i] * musculature.activeFactor(i);
      passive[i] = musculature.passiveFactor(i);
      for (int c = 0; c < Coordinate.LEG; c++) {
        arms[i][c] = musculature.arm(i, Coordinate.values()[c]);
      }
    }
    double back = posture.carried().contains(Coordinate.LUMBAR_FLEXION) ? sharing.value(n) : 0;
    return new AnalysisPoint(posture, limit, external, activation, length, active, passive, arms, back, sharing.contactNm(), residual);
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

  private static final class NoPosture extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final double phase;
    private final transient Impossible impossible;

    NoPosture(double phase, Impossible impossible) {
      super(impossible.reason(), null, false, false);
      this.phase = phase;
      this.impossible = impossible;
    }
  }
}
