package istmo.core.ranking.criterion;

import istmo.core.body.PainFlag;
import istmo.core.quantity.Fact;
import java.util.List;

/**
 * Why a candidate has its value by a criterion; {@code words.RankingWords} says it. Shares are 0 to
 * 1, lengths m.
 */
public sealed interface CriterionFact extends Fact {
  /** What gives out first, and the share of it that is aimed at. */
  record EndsInTarget(List<Limiters.GroupShare> gaveOut, double share) implements CriterionFact {}

  /** No pad holds the thigh. */
  record NoThighPad() implements CriterionFact {}

  /** The seat takes thighs to so much, this client's is so long. */
  record SeatTooShort(double mostM, double thighM) implements CriterionFact {}

  /** The roller reaches so far from the pivot, this client's ankle is so far. */
  record RollerTooShort(double mostM, double ankleM) implements CriterionFact {}

  /** How well pads and rails hold the body: 1 is best. */
  record Held(double stability) implements CriterionFact {}

  /** Where in the range it is light. */
  enum Light {
    NOWHERE,
    NEAR_TOP,
    NEAR_BOTTOM
  }

  /** The mean over the range beside its heaviest point. */
  record Evenness(Light light, double share) implements CriterionFact {}

  /** Share of the usual depth that this client reaches. */
  record Depth(double share) implements CriterionFact {}

  /** It works a joint that is sore, and how. */
  record WorksSoreJoint(PainFlag joint, String how) implements CriterionFact {}

  /** It works no joint that is sore. */
  record WorksNoSoreJoint() implements CriterionFact {}

  /** Share of what the lower back can. */
  record BackWorks(double share) implements CriterionFact {}

  /** Share of what it trains that is aimed at. */
  record AimedWork(double share) implements CriterionFact {}

  /** The smallest step of load, as a share of a working load. */
  record SmallestStep(double share) implements CriterionFact {}

  /** Minutes to set up and load. */
  record SetUpTime(double minutes) implements CriterionFact {}

  /** How easily it is learnt: 1 is best. */
  record EaseOfLearning(double value) implements CriterionFact {}

  /** What the client has said of it: 1 liked, 0 disliked, between them neither. */
  record ClientLikes(double value) implements CriterionFact {}

  /** Where a repetition can be begun and ended. */
  enum Rerack implements CriterionFact {
    AT_THE_TOP,
    LOW,
    NOT_LOW
  }

  /** Greatest force on the kneecap, in the body's weight. */
  record KneecapForce(double bodyWeights) implements CriterionFact {}

  /** What it trains beside the most complete exercise here. */
  record WholeWork(double share) implements CriterionFact {}
}
