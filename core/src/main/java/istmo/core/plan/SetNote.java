package istmo.core.plan;

import istmo.core.quantity.Fact;

/** What is to be said of one set; {@code words.PlanWords} says it. */
public sealed interface SetNote extends Fact {
  /** The first of the lighter sets: depth and set-up are looked at. */
  record FirstLightSet() implements SetNote {}

  /** The weaker side goes first. */
  record WeakerSideFirst() implements SetNote {}

  /** What its way of stringing sets asks of a set of this index, from 0, of so many repetitions. */
  record AsStrung(Scheme scheme, int set, int repetitions) implements SetNote {}

  /** A drop, at once. */
  record AtOnce(Drops drops) implements SetNote {}
}
