package istmo.core.training;

import istmo.core.quantity.Allowed;
import java.util.EnumMap;
import java.util.Map;

/**
 * The largest load for one repetition from a set of several. Mean of two published equations, with
 * the repetitions left in reserve counted as done: w (1 + r / 30) (Epley 1985) and 36 w / (37 - r)
 * (Brzycki 1993). They lie in the middle of the {@link Equation}s that are in use, agree within 4 %
 * up to ten repetitions and part beyond, so more than fifteen are not used.
 */
public final class OneRepetition {
  public static final Allowed REPETITIONS_TO_FAILURE =
      new Allowed(1, 15, "repetitions, those in reserve included");

  /**
   * How far a felt reserve is off, repetitions: half of one at failure, more the further away
   * (judgement; people stop about one repetition earlier than they think, Halperin et al. 2022,
   * from memory).
   */
  private static final double RESERVE_ERROR = 0.5;

  private static final double RESERVE_ERROR_EACH = 0.3;

  private OneRepetition() {}

  /**
   * An estimate with its error.
   *
   * @param kg largest load for one repetition, kg, with what moves empty where that was counted
   * @param standardErrorKg from how far the equations part and how far a felt reserve is off, kg
   * @param byEquation what each published equation says, kg
   */
  public record Estimate(double kg, double standardErrorKg, Map<Equation, Double> byEquation) {
    public Estimate {
      byEquation = Map.copyOf(byEquation);
    }
  }

  /**
   * The estimate from a set as it was done; throws {@link istmo.core.quantity.InvalidInput} on
   * field "repetitions" for more than can be used. {@code emptyKg} is what moves with no load on.
   */
  public static Estimate of(PerformedSet set, double emptyKg) {
    double r = set.repetitions() + set.reserve();
    double load = set.loadKg() + emptyKg;
    double kg = maximum(load, r);
    Map<Equation, Double> each = new EnumMap<>(Equation.class);
    double squares = 0;
    for (Equation equation : Equation.values()) {
      double by = load * equation.factor(r);
      each.put(equation, by - emptyKg);
      squares += (by - kg) * (by - kg);
    }
    double ofEquations = Math.sqrt(squares / (Equation.values().length - 1));
    double ofReserve =
        load
            * (factor(r + 0.5) - factor(Math.max(1, r - 0.5)))
            * (RESERVE_ERROR + RESERVE_ERROR_EACH * set.reserve());
    return new Estimate(kg - emptyKg, Math.hypot(ofEquations, ofReserve), each);
  }

  /** Whether a set says anything of one repetition: loaded, and not too many of them. */
  public static boolean tells(PerformedSet set) {
    return set.loadKg() > 0 && REPETITIONS_TO_FAILURE.contains(set.repetitions() + set.reserve());
  }

  /**
   * Largest load for one repetition, kg; throws {@link istmo.core.quantity.InvalidInput} on field
   * "repetitions" for more than can be used.
   */
  public static double maximum(double loadKg, double repetitionsToFailure) {
    REPETITIONS_TO_FAILURE.check("repetitions", repetitionsToFailure);
    return loadKg * factor(repetitionsToFailure);
  }

  /** Load with which so many repetitions are the last possible, kg. */
  public static double load(double maximumKg, double repetitionsToFailure) {
    return maximumKg / factor(Math.min(30, repetitionsToFailure));
  }

  /**
   * Repetitions to failure with another load, from a set with one load; 0 where not even one is
   * likely, at most 30.
   */
  public static double repetitions(double loadKg, double repetitionsToFailure, double otherKg) {
    double maximum = loadKg * factor(Math.min(30, repetitionsToFailure));
    if (otherKg > maximum) {
      return 0;
    }
    double low = 1;
    double high = 30;
    for (int k = 0; k < 40; k++) {
      double middle = (low + high) / 2;
      if (otherKg * factor(middle) < maximum) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return (low + high) / 2;
  }

  private static double factor(double r) {
    return (Equation.EPLEY.factor(r) + Equation.BRZYCKI.factor(r)) / 2;
  }
}
