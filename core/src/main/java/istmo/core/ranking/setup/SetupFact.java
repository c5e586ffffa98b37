package istmo.core.ranking.setup;

import istmo.core.quantity.Fact;

/** Why a set-up goes no further; {@code words.RankingWords} says it. */
public sealed interface SetupFact extends Fact {
  /** The control is at the end of its range. */
  record EndOfRange() implements SetupFact {}

  /** The range of the repetition would be much less than it was. */
  record MuchLessRange() implements SetupFact {}

  /** The set-up from which something was to be searched cannot be taken. */
  record CannotBeTaken(Fact why) implements SetupFact {}

  /** A control of the best set-up goes no further, and why. */
  record NoFurther(String parameter, Fact why) implements SetupFact {}
}
