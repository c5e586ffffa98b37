package istmo.core.ranking;

import istmo.core.quantity.Fact;
import java.util.List;

/**
 * One alternative before it is ranked.
 *
 * @param group what it is a variant of; a group takes one place
 * @param plain whether it is what the group's name alone means
 * @param fit how well it serves the aim, in units of stimulus; may be below zero where what is to
 *     be kept out outweighs
 * @param draws the same under one draw each of what is not known; draw k of one alternative goes
 *     with draw k of every other
 * @param criteria practical criteria, each 0..1 with a weight and a reason
 */
public record Alternative(
    String id, String group, boolean plain, double fit, double[] draws, List<Criterion> criteria) {
  /** One practical criterion of one alternative: 1 is best. */
  public record Criterion(String id, String label, double weight, double value, Fact reason) {
    public Criterion {
      if (!(value >= 0 && value <= 1) || !(weight >= 0)) {
        throw new IllegalArgumentException(
            id + ": value " + value + " must be within 0 to 1, weight " + weight + " not below 0");
      }
    }
  }

  /** One that is a variant of nothing. */
  public Alternative(String id, double fit, double[] draws, List<Criterion> criteria) {
    this(id, id, true, fit, draws, criteria);
  }

  public Alternative {
    criteria = List.copyOf(criteria);
    if (!Double.isFinite(fit)) {
      throw new IllegalArgumentException(id + ": fit " + fit);
    }
  }
}
