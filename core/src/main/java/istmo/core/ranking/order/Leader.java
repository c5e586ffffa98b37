package istmo.core.ranking.order;

import istmo.core.ranking.Ranked;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.criterion.Limiters;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The first pick of an order, and how far it leads. */
final class Leader {
  /** Share of what gives out first under which an exercise hardly is one for the aim's groups. */
  private static final double HARDLY = 0.15;

  /** The lowest place within its interval that a clear leader may have. */
  private static final int CLEAR_RANK = 3;

  private Leader() {}

  /** The first strip; when its band holds others, what decided between them. */
  static Optional<Order.FirstPick> of(List<Order.Entry> entries, Aim aim) {
    if (entries.isEmpty()) {
      return Optional.empty();
    }
    Order.Entry first = entries.get(0);
    List<Order.Entry> band = entries.stream().filter(entry -> entry.ranked().band() == 1).toList();
    Optional<OrderFact> othersEndIt = othersEndIt(first, aim);
    if (band.size() == 1) {
      return Optional.of(picked(first, leads(first.ranked()), othersEndIt));
    }
    Map<String, Double> mean =
        band.stream()
            .skip(1)
            .flatMap(entry -> entry.ranked().contributions().stream())
            .collect(
                Collectors.groupingBy(
                    Ranked.Contribution::criterion,
                    Collectors.averagingDouble(Ranked.Contribution::points)));
    List<Ranked.Contribution> lead =
        first.ranked().contributions().stream()
            .filter(
                contribution ->
                    contribution.points() - mean.getOrDefault(contribution.criterion(), 0.0)
                        > 0.004)
            .sorted(
                Comparator.comparingDouble(
                    (Ranked.Contribution contribution) ->
                        mean.getOrDefault(contribution.criterion(), 0.0) - contribution.points()))
            .limit(2)
            .toList();
    return Optional.of(
        picked(
            first,
            new OrderFact.AboutEqual(
                band.size(), lead.stream().map(Ranked.Contribution::label).toList()),
            othersEndIt));
  }

  private static Order.FirstPick picked(
      Order.Entry first, OrderFact leads, Optional<OrderFact> othersEndIt) {
    return new Order.FirstPick(
        first.id(), Stream.concat(Stream.of(leads), othersEndIt.stream()).toList());
  }

  private static OrderFact leads(Ranked first) {
    return first.rankHigh() <= CLEAR_RANK
        ? new OrderFact.ClearlyLeads()
        : new OrderFact.MayStandLower(first.rankHigh());
  }

  /**
   * A first pick that is ended by other muscle groups than those aimed at says so: the best of what
   * is here may still be no exercise for them.
   */
  private static Optional<OrderFact> othersEndIt(Order.Entry first, Aim aim) {
    Set<String> groups =
        aim.weights().keySet().stream()
            .map(region -> region.group().word())
            .collect(Collectors.toCollection(TreeSet::new));
    double share =
        Limiters.byGroup(first.evaluation().analysis().set().gaveOut()).stream()
            .filter(limiter -> groups.contains(limiter.group()))
            .mapToDouble(Limiters.GroupShare::share)
            .sum();
    return share < HARDLY
        ? Optional.of(new OrderFact.SomethingElseEndsIt(List.copyOf(groups), share))
        : Optional.empty();
  }
}
