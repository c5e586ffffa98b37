package istmo.core.body;

import istmo.core.quantity.Fact;

/**
 * What a client's sore joints, cautions and restrictions say; {@code words.BodyWords} says it.
 * Where somebody wrote a sentence, it is told as written.
 */
public sealed interface CautionFact extends Fact {
  /** A written restriction forbids it. */
  record Forbidden(Restriction restriction) implements CautionFact {}

  /** It troubles a joint that is sore, as written of the exercise. */
  record TroublesJoint(PainFlag joint, String how) implements CautionFact {}

  /** It asks so much of a movement that is sore, in degrees or per cent as the movement has it. */
  record AsksSoreMovement(SoreMovement movement, double asked) implements CautionFact {}

  /** A caution that is not cleared rules it out; why, as written of the caution or the exercise. */
  record RuledOut(Caution caution, String reason) implements CautionFact {}

  /** By the word of it a joint bends further than is allowed now, deg. */
  record BendsTooFar(PainFlag joint, double deg, double allowedDeg) implements CautionFact {}

  /** A clinician is to be asked first. */
  record AskClinician(Caution caution) implements CautionFact {}

  /** A restriction that a clinician wrote. */
  record Restricted(Restriction restriction) implements CautionFact {}

  /** How a sore joint is gone about. */
  record GoneAbout(Soreness soreness) implements CautionFact {}

  /** Advice that belongs to a caution. */
  record Advised(Caution caution) implements CautionFact {}
}
