package istmo.core.ranking.order;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Region;
import istmo.core.quantity.Fact;
import java.util.List;

/** What an order tells beside its places; {@code words.RankingWords} says it. */
public sealed interface OrderFact extends Fact {
  /** The first leads whatever is not known. */
  record ClearlyLeads() implements OrderFact {}

  /** The first leads, but may stand anywhere down to a place. */
  record MayStandLower(int place) implements OrderFact {}

  /** So many are about equal; labels of the criteria that put the first one first. */
  record AboutEqual(int count, List<String> criteria) implements OrderFact {}

  /** Of what gives out first, the groups that are aimed at are only this share. */
  record SomethingElseEndsIt(List<String> groups, double share) implements OrderFact {}

  /** The station that is kept, by the names of its equipment; none where nothing needs one. */
  record OneStation(List<String> equipment) implements OrderFact {}

  /** Equipment that is not here, or not at home, by name. */
  record NotHere(boolean home, List<String> equipment) implements OrderFact {}

  /** It stands at another station. */
  record AnotherStation() implements OrderFact {}

  /** This body cannot take its posture, or hold it. */
  record BodyCannot(Fact why) implements OrderFact {}

  /** A part repetition: the whole is learnt first. */
  record PartRepetition() implements OrderFact {}

  /** Nothing here trains the aim well; what would, and the equipment that it needs. */
  record NothingTrainsThis(List<Order.Elsewhere> would) implements OrderFact {}

  /** A region at a joint, long or short. */
  record Part(Region region, Coordinate joint, boolean lengthened) {}

  /** What one of a few exercises gives that the others do not: the first, and how many more. */
  record IsThereFor(String name, List<Part> parts, int more) implements OrderFact {}

  /** A region gets less by this share. */
  record LessFor(Region region, double share) implements OrderFact {}

  /** A place that was and is; 0 for none. */
  record Moved(String name, int was, int is) implements OrderFact {}
}
