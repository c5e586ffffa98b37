package istmo.core.mechanics;

import istmo.core.anatomy.Coordinate;
import istmo.core.body.Body;
import istmo.core.movement.Family;
import istmo.core.movement.Hindrance;
import istmo.core.movement.Impossible;
import istmo.core.movement.Setup;
import java.util.Arrays;
import java.util.List;

/**
 * The largest load that rested muscles hold through the whole range, and what limits it. Shares the
 * workspaces of its {@link Analyser}.
 */
final class FreshLimit {
  static final double LOAD_TOLERANCE_KG = 0.02;

  /** Rounds after which the search gives up. */
  private static final int MOST_ROUNDS = 60;

  private static final double FIRST_GUESS_KG = 100;

  /** Rounds after which the search halves what is left: one end of the secants can stick. */
  private static final int PATIENCE = 25;

  /**
   * Phases whose limit is more than this many times the smallest do not decide it at a nearby load;
   * a last look at all phases makes sure.
   */
  private static final double FOLLOWED = 1.15;

  /** Phases that could decide with a weaker back. */
  private static final double NEAR = 1.5;

  /**
   * Backs of a quarter more and a fifth less strength than stated, and how much each counts (own
   * estimate of what is not known).
   */
  private static final double[] BACK_FACTORS = {0.8, 1, 1.25};

  private static final double[] BACK_WEIGHTS = {0.25, 0.5, 0.25};

  private final Body body;
  private final Musculature musculature;
  private final Equilibrium equilibrium;
  private final StrengthLimit strength;
  private boolean balanceEnds;

  /** Whether the last limit was what the hands hold. */
  private boolean gripEnds;

  FreshLimit(Body body, Musculature musculature, Equilibrium equilibrium, StrengthLimit strength) {
    this.body = body;
    this.musculature = musculature;
    this.equilibrium = equilibrium;
    this.strength = strength;
  }

  /**
   * Whether the last limit was where the load could not be balanced any more, before strength
   * failed.
   */
  boolean balanceEnds() {
    return balanceEnds;
  }

  /**
   * Largest load that every phase and the hands hold.
   *
   * @param limits filled with the largest load of each phase, kg, whatever the hands hold
   */
  double limit(Family family, Setup setup, double[] limits) {
    double held = held(family, setup, limits);
    double byHand = Grip.limitKg(body, family, setup);
    gripEnds = byHand < held;
    balanceEnds &= !gripEnds;
    return Math.min(held, byHand);
  }

  /**
   * Largest load that every phase holds. Where the posture depends on the load, the load at which
   * limit and load agree: a root, found by a bracketed secant (plain substitution oscillates for
   * the Romanian deadlift).
   */
  private double held(Family family, Setup setup, double[] limits) {
    balanceEnds = false;
    if (!family.balances()) {
      return smallest(family, setup, limits, 0, Double.POSITIVE_INFINITY);
    }
    // after a first look, only phases near the smallest are followed
    double ceiling = Double.POSITIVE_INFINITY;
    Bracket at = new Bracket();
    for (int round = 0; round < MOST_ROUNDS; round++) {
      double g;
      double f;
      try {
        g = smallest(family, setup, limits, at.x, ceiling);
        f = g - at.x;
        if (Math.abs(f) < LOAD_TOLERANCE_KG && ceiling < Double.POSITIVE_INFINITY) {
          g = smallest(family, setup, limits, at.x, Double.POSITIVE_INFINITY);
          f = g - at.x;
        }
      } catch (NoPosture e) {
        if (withoutPosture(at, e)) {
          smallest(family, setup, limits, at.low, Double.POSITIVE_INFINITY);
          return at.low;
        }
        continue;
      }
      if (Math.abs(f) < LOAD_TOLERANCE_KG) {
        balanceEnds = false;
        return g;
      }
      // what balance ends may end at any phase, however strong
      ceiling = balanceEnds ? Double.POSITIVE_INFINITY : FOLLOWED * Math.max(g, 1);
      if (f > 0) {
        at.limitAbove(f);
      } else {
        at.limitBelow(f);
        balanceEnds = false;
      }
      if (at.closed()) {
        smallest(family, setup, limits, at.low, Double.POSITIVE_INFINITY);
        return at.low;
      }
      if (Double.isNaN(at.high) && at.x >= StrengthLimit.HIGHEST_KG) {
        return at.x;
      }
      if (Double.isNaN(at.low) && at.x <= LOAD_TOLERANCE_KG) {
        return Math.min(g, 0);
      }
      at.move(f, g, round > PATIENCE);
    }
    throw new IllegalStateException("the load at which posture and limit agree was not found");
  }

  /**
   * A load at which there is no posture: too light for one that a heavier load steadies, so that
   * the limit lies above, or too heavy to be balanced, so that it lies below.
   *
   * @return true where the limit is enclosed
   */
  private boolean withoutPosture(Bracket at, NoPosture e) {
    if (!Double.isNaN(at.high) && !balanceEnds) {
      at.limitAbove(at.x + 1);
      if (at.closed()) {
        throw e;
      }
      at.x = at.middle();
      return false;
    }
    if (at.x <= LOAD_TOLERANCE_KG) {
      throw e;
    }
    at.limitBelow(-at.x);
    balanceEnds = true;
    if (at.closed()) {
      return true;
    }
    at.x = Double.isNaN(at.low) ? (at.x < 1 ? 0 : at.x / 2) : at.middle();
    return false;
  }

  /** Loads between which the limit lies, with limit less load at each, and the next to try, kg. */
  private static final class Bracket {
    private double low = Double.NaN;
    private double atLow = Double.NaN;
    private double high = Double.NaN;
    private double atHigh = Double.NaN;
    private double x = FIRST_GUESS_KG;

    private void limitAbove(double f) {
      low = x;
      atLow = f;
    }

    private void limitBelow(double f) {
      high = x;
      atHigh = f;
    }

    private boolean closed() {
      return high - low < LOAD_TOLERANCE_KG;
    }

    private double middle() {
      return 0.5 * (low + high);
    }

    /** The next load after one whose limit is g, f above it. */
    private void move(double f, double g, boolean halve) {
      if (Double.isNaN(high)) {
        x = Math.min(StrengthLimit.HIGHEST_KG, x + Math.max(f, 1));
      } else if (Double.isNaN(low)) {
        x = Math.max(LOAD_TOLERANCE_KG, Math.min(g, x / 2));
      } else {
        double secant = low + (high - low) * atLow / (atLow - atHigh);
        double margin = 0.02 * (high - low);
        x = halve ? middle() : Math.max(low + margin, Math.min(high - margin, secant));
      }
    }
  }

  /**
   * The smallest limit at a load; phases whose limit was above {@code ceiling} last time keep it.
   */
  private double smallest(
      Family family, Setup setup, double[] limits, double loadKg, double ceiling) {
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
    equilibrium.set(NoPosture.orPosture(body, family, setup, phase, loadKg));
    if (!strength.solve()) {
      throw new NoPosture(phase, new Impossible(Hindrance.NO_LOAD_HELD));
    }
    return strength.limitKg();
  }

  /**
   * Shares of what limits, at the sticking point. How strong a back is, is known least of all, so
   * the shares are a mean over a weaker, the stated and a stronger back; phases that nearly tie are
   * blended.
   */
  List<Limiter> limiters(Family family, Setup setup, double[] fresh, double limit) {
    if (balanceEnds || gripEnds) {
      return List.of(
          new Limiter(gripEnds ? Limiter.GRIP : Limiter.BALANCE, 1, gripEnds ? limit / 100 : 0));
    }
    int columns = equilibrium.muscles + 1;
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
      equilibrium.set(NoPosture.orPosture(body, family, setup, k / (phases - 1.0), limit));
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
      double[] mean = LimiterShares.blended(limits[b], sensitivity[b]);
      double sum = Arrays.stream(mean).sum();
      for (int j = 0; j < columns && sum > 0; j++) {
        share[j] += BACK_WEIGHTS[b] * mean[j] / sum;
        kg[j] += BACK_WEIGHTS[b] * mean[j];
      }
    }
    return LimiterShares.named(musculature.muscles(), share, kg);
  }
}
