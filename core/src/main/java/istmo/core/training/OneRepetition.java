package istmo.core.training;

import istmo.core.quantity.Allowed;

/**
 * The largest load for one repetition from a set of several. Mean of two published equations, with the repetitions left in reserve counted as done: w (1 + r / 30) (Epley 1985) and 36 w / (37 - r) (Brzycki 1993). They agree within 3 % up to
 * ten repetitions and part beyond, so more than fifteen are not used.
 */
public final class OneRepetition {
  public static final Allowed REPETITIONS_TO_FAILURE = new Allowed(1, 15, "repetitions, those in reserve included");

  private OneRepetition() {}

  public static double epley(double loadKg, double repetitions) {
    return repetitions <= 1 ? loadKg : loadKg * (1 + repetitions / 30);
  }

  public static double brzycki(double loadKg, double repetitions) {
    return loadKg * 36 / (37 - repetitions);
  }

  /** Largest load for one repetition, kg; throws {@link istmo.core.quantity.InvalidInput} on field "repetitions" for more than can be used. */
  public static double maximum(double loadKg, double repetitionsToFailure) {
    REPETITIONS_TO_FAILURE.check("repetitions", repetitionsToFailure);
    return loadKg * factor(repetitionsToFailure);
  }

  /** Load with which so many repetitions are the last possible, kg. */
  public static double load(double maximumKg, double repetitionsToFailure) {
    return maximumKg / factor(Math.min(30, repetitionsToFailure));
  }

  private static double factor(double r) {
    return (epley(1, r) + brzycki(1, r)) / 2;
  }
}
