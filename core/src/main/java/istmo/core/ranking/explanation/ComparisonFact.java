package istmo.core.ranking.explanation;

import istmo.core.anatomy.Region;
import istmo.core.quantity.Fact;
import istmo.core.ranking.setup.BottomAngle;
import istmo.core.ranking.setup.DifferenceFact.Named;
import java.util.List;
import java.util.OptionalDouble;

/** What truly differs between exercises; {@code words.RankingWords} says it. */
public sealed interface ComparisonFact extends Fact {
  /** Fewer than two can be computed for this client. */
  record TooFewComputed() implements ComparisonFact {}

  /** None of them does anything for a region. */
  record NoneTrains(Region region) implements ComparisonFact {}

  /** One trains a region a little more than these, or than the next; too little to count. */
  record HardlyMore(String name, Region region, List<String> than, double chance)
      implements ComparisonFact {}

  /** One trains a region most; so many times the next, empty where nothing else does. */
  record TrainsMost(String name, Region region, OptionalDouble times, double chance)
      implements ComparisonFact {}

  /** Regions outside of the aim that one trains more. */
  record OutsideAim(String name, List<Region> regions) implements ComparisonFact {}

  /** Exercises that the same groups end first. */
  record EndedBy(List<String> groups, List<String> names) {}

  /** What gives out first in so many exercises. */
  record GiveOut(int of, List<EndedBy> ended) implements ComparisonFact {}

  /** An angle at the bottom differs, deg. */
  record BottomsDiffer(BottomAngle angle, List<Named> of) implements ComparisonFact {}

  /** What the client said of one. */
  record ClientSaid(String name, List<Fact> said) implements ComparisonFact {}
}
