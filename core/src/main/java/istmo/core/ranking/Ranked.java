package istmo.core.ranking;

import istmo.core.quantity.Fact;
import java.util.List;
import java.util.Optional;

/**
 * An alternative in its place.
 *
 * @param utility additive value, about 0 to 1; the contributions add up to it
 * @param low and high: 80 % interval over the draws
 * @param rankLow and rankHigh: 80 % range of ranks, 1 is best
 * @param chanceOfBest share of draws in which it comes first
 * @param band alternatives that cannot be told apart share a band; 1 is the first
 * @param back what costs it most against the first; empty for the first
 * @param raise the least change of one weight that would lift it over the one above it; empty where
 *     none does
 */
public record Ranked(
    String id,
    double utility,
    double low,
    double high,
    int rankLow,
    int rankHigh,
    double chanceOfBest,
    int band,
    List<Contribution> contributions,
    Optional<Back> back,
    Optional<Raise> raise) {
  /** What one criterion adds to the utility; what serves the aim has no reason of its own. */
  public record Contribution(
      String criterion, String label, double points, double value, Optional<Fact> reason) {}

  /**
   * What puts an alternative behind the first.
   *
   * @param points by which this criterion leaves it behind the first
   */
  public record Back(String criterion, String label, double points) {}

  /**
   * With so many times the weight on a criterion it would stand before the alternative {@code
   * over}.
   */
  public record Raise(String criterion, String label, double factor, String over) {}
}
