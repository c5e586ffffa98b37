package istmo.core.ranking.order;

import istmo.core.catalogue.CandidateId;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/**
 * What changes from one order to another.
 *
 * @param moved how many of the first ten of the first order stand elsewhere
 * @param moves who moved, went out or came in, the first places first
 */
public record OrderChange(int moved, List<OrderFact.Moved> moves) {
  private static final int MOST_MOVES = 6;

  /** Who moved, went out or came in from one order to another. */
  public static OrderChange between(Order from, Order to) {
    List<CandidateId> before = ids(from);
    List<CandidateId> after = ids(to);
    List<OrderFact.Moved> moves = new ArrayList<>();
    Set<CandidateId> all = new LinkedHashSet<>(before);
    all.addAll(after);
    for (CandidateId id : all) {
      int was = before.indexOf(id) + 1;
      int is = after.indexOf(id) + 1;
      if (was == is || moves.size() == MOST_MOVES) {
        continue;
      }
      String name = entry(was > 0 ? from : to, id).evaluation().candidate().name();
      moves.add(new OrderFact.Moved(name, was, is));
    }
    return new OrderChange(
        MeasuringValue.moved(MeasuringValue.first(before), before, after), List.copyOf(moves));
  }

  private static List<CandidateId> ids(Order order) {
    return order.entries().stream().map(entry -> entry.id()).toList();
  }

  private static Order.Entry entry(Order order, CandidateId id) {
    return order.all().stream().filter(entry -> entry.id().equals(id)).findFirst().orElseThrow();
  }
}
