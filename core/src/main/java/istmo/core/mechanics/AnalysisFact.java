package istmo.core.mechanics;

import istmo.core.quantity.Fact;

/** What is to be known of an analysis beside its figures; {@code words.MovementWords} says it. */
public sealed interface AnalysisFact extends Fact {
  /** Body weight alone is more than the posture can hold: so much help is missing, kg. */
  record BodyWeightTooMuch(double helpKg) implements AnalysisFact {}

  /** A load that is too light to be held in balance, kg. */
  record TooLightForBalance(double kg) implements AnalysisFact {}

  /** The trunk leans further at the bottom than its load bears, rad. */
  record LeansTooFar(double rad, double mostRad) implements AnalysisFact {}

  /** The pelvis tucks by more at the bottom than is let pass, rad. */
  record TucksTooFar(double rad, double mostRad) implements AnalysisFact {}

  /** The pelvis tucks at the bottom, by what is let pass, rad. */
  record Tucks(double rad) implements AnalysisFact {}

  /** The load is above what can be held rested, kg. */
  record AboveLimit(double kg, double limitKg) implements AnalysisFact {}

  /** Body weight alone ends the set after so many repetitions. */
  record BodyWeightEndsIt(int repetitions) implements AnalysisFact {}
}
