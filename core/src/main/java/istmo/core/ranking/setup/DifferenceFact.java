package istmo.core.ranking.setup;

import istmo.core.quantity.Fact;
import istmo.core.ranking.criterion.Limiters.GroupShare;
import java.util.List;

/** What differs between analyses; {@code words.RankingWords} says it. */
public sealed interface DifferenceFact extends Fact {
  /** A figure of one of them, by its name. */
  record Named(String name, double value) {}

  /** An angle at the bottom differs, deg. */
  record AnglesDiffer(BottomAngle angle, List<Named> of) implements DifferenceFact {}

  /** What the hip carries for each newton metre at the knee. */
  record HipOverKnee(Named first, Named second) implements DifferenceFact {}

  /** What gives out first in each. */
  record GiveOut(String first, List<GroupShare> ofFirst, String second, List<GroupShare> ofSecond)
      implements DifferenceFact {}

  /** Regions that change beyond the model's noise, greatest first; none where it cannot tell. */
  record BeyondNoise(String first, String second, List<Difference.RegionChange> changes)
      implements DifferenceFact {}
}
