package istmo.core.ranking.explanation;

import istmo.core.anatomy.Region;
import istmo.core.quantity.Fact;
import istmo.core.ranking.criterion.Limiters.GroupShare;
import istmo.core.stimulus.HeaviestLength;
import java.util.List;
import java.util.Optional;

/**
 * Why a candidate stands where it does: what it does, where in the range, what gives out first,
 * what it costs, how sure. {@code words.RankingWords} says it. Shares are 0 to 1; a shift is added
 * to ln(stimulus).
 */
public sealed interface Reason extends Fact {
  /** A region, and what is added to ln(stimulus) of it. */
  record RegionShift(Region region, double shift) {}

  /** A region, and the share of the best here that it gets. */
  record RegionShare(Region region, double share) {}

  /** What the aimed regions get, most aimed at first. */
  record Gives(List<RegionShare> regions) implements Reason {}

  /** Where in a repetition a region is loaded most, and at which length of its best. */
  record HeaviestWhere(Region region, double phase, HeaviestLength state, double length)
      implements Reason {}

  /** What gives out first, greatest first. */
  record GivesOutFirst(List<GroupShare> groups) implements Reason {}

  /** A study that moves the figure, up or down or not to speak of. */
  record Cited(String citation, double shift) {}

  /** What studies add to the mechanics' figure of a region; empty where they leave it. */
  record Studied(Region region, Optional<Double> shift, List<Cited> studies) implements Reason {}

  /** No study was found that tells of a region here. */
  record NoStudy(Region region) implements Reason {}

  /** What coaches agree on: it gives more, or less, than another. */
  record CoachesSay(boolean more, String than) {}

  /** How far what coaches agree on moves the figure; empty where it leaves it. */
  record CoachesAgree(Optional<Double> shift, List<CoachesSay> said) implements Reason {}

  /** Something of the set-up that was changed for this client. */
  record ForClient(Fact change) implements Reason {}

  /**
   * What the client said moves figures.
   *
   * @param ofThis whether it was said of this candidate, or of another set-up of its exercise
   * @param inOrder whether in the client's order, or in a comparison as in the order
   */
  record MovedByClient(boolean ofThis, List<RegionShift> regions, boolean inOrder)
      implements Reason {}

  /** How many values of the machine that matter are measured. */
  record MachineKnown(long known, long of) implements Reason {}

  /** What it costs: the share of the back that works, and minutes to set up. */
  record Costs(double back, double setUpMinutes) implements Reason {}

  /** Its likely places, and the chance that it is the best. */
  record LikelyPlace(int low, int high, double chanceOfBest) implements Reason {}

  /** Points that are lost by a criterion, of 1. */
  record Lost(String criterion, double points) {}

  /** What puts it below the one before it: points of 1, and by which criteria most are lost. */
  record Below(double points, String above, List<Lost> lost) implements Reason {}

  /** Points behind the first, and the criterion by which most are lost. */
  record BehindFirst(double points, Lost most) implements Reason {}

  /** The weight on a criterion with which it would pass another. */
  record WouldPass(String criterion, double factor, String over) implements Reason {}

  /** All but level with another. */
  record LevelWith(String over) implements Reason {}

  /** In another set-up it stands at a better place. */
  record OtherSetup(int place, String name) implements Reason {}
}
