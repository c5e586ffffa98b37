package istmo.core.ranking;

import java.util.List;

/**
 * One alternative before it is ranked.
 *
 * @param fit how well it serves the aim, in units of stimulus; may be below zero where what is to be kept out outweighs
 * @param logError standard deviation of ln(fit + {@link Ranking#FLOOR}) that the model leaves open
 * @param errorGroup alternatives of one group share half of that variance: what the model gets wrong for one set-up of an exercise it largely gets wrong for another
 * @param criteria practical criteria, each 0..1 with a weight and a reason
 */
public record Alternative(String id, double fit, double logError, String errorGroup, List<Criterion> criteria) {
  /** One practical criterion of one alternative: 1 is best. */
  public record Criterion(String id, String label, double weight, double value, String reason) {
    public Criterion {
      if (!(value >= 0 && value <= 1) || !(weight >= 0)) {
        throw new IllegalArgumentException(id + ": value " + value + " must be within 0 to 1, weight " + weight + " not below 0");
      }
    }
  }

  public Alternative {
    criteria = List.copyOf(criteria);
    if (!Double.isFinite(fit) || !(logError >= 0)) {
      throw new IllegalArgumentException(id + ": fit " + fit + ", error " + logError);
    }
  }
}
