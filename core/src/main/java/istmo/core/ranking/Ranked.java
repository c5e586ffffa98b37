package istmo.core.ranking;

import java.util.List;

/**
 * An alternative in its place.
 *
 * @param utility additive value, about 0 to 1; the contributions add up to it
 * @param low and high: 80 % interval over the draws
 * @param rankLow and rankHigh: 80 % range of ranks, 1 is best
 * @param chanceOfBest share of draws in which it comes first
 * @param band alternatives that cannot be told apart share a band; 1 is the first
 */
public record Ranked(String id, double utility, double low, double high, int rankLow, int rankHigh, double chanceOfBest, int band, List<Contribution> contributions) {
  /** What one criterion adds to the utility. */
  public record Contribution(String criterion, String label, double points, double value, String reason) {}
}
