package istmo.core.ranking.order;

import istmo.core.anatomy.Regions;
import istmo.core.ranking.Ranked;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.criterion.LimiterWords;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/** The first pick of an order, and in words how far it leads. */
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
    String butOthersEndIt = othersEndIt(first, aim);
    if (band.size() == 1) {
      return Optional.of(
          new Order.FirstPick(first.ranked().id(), leads(first.ranked()) + butOthersEndIt));
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
    String by =
        lead.isEmpty()
            ? "nothing in particular: take the one this client likes"
            : lead.stream().map(Ranked.Contribution::label).collect(Collectors.joining(", then "));
    return Optional.of(
        new Order.FirstPick(
            first.ranked().id(),
            String.format(
                Locale.ROOT,
                "The first %d are about equal; what put it first: %s.%s",
                band.size(),
                by,
                butOthersEndIt)));
  }

  private static String leads(Ranked first) {
    return first.rankHigh() <= CLEAR_RANK
        ? "It clearly leads for this target."
        : String.format(
            Locale.ROOT,
            "It leads, but what is not known lets it stand anywhere down to place %d.",
            first.rankHigh());
  }

  /**
   * A first pick that is ended by other muscle groups than those aimed at says so: the best of what
   * is here may still be no exercise for them.
   */
  private static String othersEndIt(Order.Entry first, Aim aim) {
    Set<String> groups =
        aim.weights().keySet().stream()
            .map(region -> Regions.standard().get(region).group())
            .collect(Collectors.toCollection(TreeSet::new));
    double share =
        LimiterWords.limitersByGroup(first.evaluation().analysis().set().gaveOut()).stream()
            .filter(limiter -> groups.contains(limiter.getKey()))
            .mapToDouble(Map.Entry::getValue)
            .sum();
    return share < HARDLY
        ? String.format(
            Locale.ROOT,
            " But something else ends it: of what gives out first, %s are %.0f %%.",
            String.join(" and ", groups),
            100 * share)
        : "";
  }
}
