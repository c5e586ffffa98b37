package istmo.core.plan;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionGroup;
import istmo.core.body.Profile.TrainingAge;
import istmo.core.catalogue.CandidateId;
import istmo.core.plan.Planned.Bout;
import istmo.core.plan.Planned.Day;
import istmo.core.plan.Planned.Item;
import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.Required;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;

/**
 * What is to be composed: days with their minutes and what is pinned there, from what is on offer,
 * towards targets.
 *
 * @param frames days with their pinned bouts only
 * @param varied whether the same exercise on two days is to be avoided; otherwise it is as good as
 *     another
 */
public record Task(
    Offers offers,
    Targets targets,
    List<Day> frames,
    Pairing pairing,
    boolean varied,
    Optional<TrainingAge> age) {
  static final int LEAST_SETS = 2;

  /**
   * Candidates looked at: so many of the best for each region that something is asked of, for each
   * function, and overall. With more the search is slower and finds worse weeks, also in twenty
   * seconds (docs/validation.md, planning).
   */
  private static final int BEST_OF_REGION = 2;

  private static final int BEST_OF_FUNCTION = 2;
  private static final int BEST_OF_ALL = 3;
  private static final int BEST_OF_BALANCE = 2;

  public Task {
    frames = List.copyOf(frames);
  }

  /**
   * The frames of a week: a bout with a pinned exercise stays whole, all else goes. Throws {@link
   * InvalidInput} where something pinned is not on offer.
   */
  public static List<Day> frames(Planned.Week week, Offers offers) {
    return week.days().stream()
        .map(
            day -> {
              List<Bout> kept =
                  day.bouts().stream()
                      .filter(bout -> bout.items().stream().anyMatch(Item::pinned))
                      .toList();
              kept.stream()
                  .flatMap(bout -> bout.items().stream())
                  .forEach(item -> offers.get(item.candidateId()));
              return day.with(kept);
            })
        .toList();
  }

  int sets(Offer offer) {
    return Math.max(
        LEAST_SETS, Prescriber.mostSets(age, Prescriber.exhausting(offer.role(), offer.oneLeg())));
  }

  /**
   * What is worth looking at: the best for each aimed region, for each function asked for and
   * overall, and for the lesser side of the thigh. One variant of an exercise, the one that serves
   * best. In the order's order.
   */
  List<Offer> candidates() {
    Set<CandidateId> wanted = new LinkedHashSet<>();
    for (Region region : targets.asked()) {
      add(
          wanted,
          BEST_OF_REGION,
          Comparator.comparingDouble(offer -> -offer.share(region) * (0.5 + offer.utility())),
          offer -> true);
    }
    for (Function function : targets.functions().keySet()) {
      add(
          wanted,
          BEST_OF_FUNCTION,
          Comparator.comparingDouble(
              offer -> -Coverage.functionShare(offer, function, targets) * (0.5 + offer.utility())),
          offer -> Targets.trains(offer, function, targets.least().keySet()));
    }
    if (targets.balance()) {
      for (RegionGroup group : List.of(RegionGroup.QUADS, RegionGroup.HAMSTRINGS)) {
        add(
            wanted,
            BEST_OF_BALANCE,
            Comparator.comparingDouble(
                offer -> -offer.shares().mean(group) * (0.5 + offer.utility())),
            offer -> true);
      }
    }
    add(wanted, BEST_OF_ALL, Comparator.comparingDouble(offer -> -offer.utility()), offer -> true);
    return offers.all().stream().filter(offer -> wanted.contains(offer.candidateId())).toList();
  }

  private void add(
      Set<CandidateId> wanted, int count, Comparator<Offer> order, Predicate<Offer> of) {
    Map<String, Offer> perExercise = new LinkedHashMap<>();
    offers.all().stream()
        .filter(of)
        .sorted(
            Comparator.<Offer, Boolean>comparing(
                    offer -> !offer.whole() && wholeOf(offer.exerciseId()))
                .thenComparing(order)
                .thenComparing(Offer::candidateId))
        .forEach(offer -> perExercise.putIfAbsent(offer.exerciseId(), offer));
    perExercise.values().stream().limit(count).forEach(offer -> wanted.add(offer.candidateId()));
  }

  private boolean wholeOf(String exerciseId) {
    return offers.all().stream()
        .anyMatch(offer -> offer.exerciseId().equals(exerciseId) && offer.whole());
  }

  /**
   * The groups that the aim asks for, each with the region that stands for it: the one with the
   * most weight.
   */
  Map<RegionGroup, Region> groups() {
    Map<RegionGroup, Region> result = new EnumMap<>(RegionGroup.class);
    for (Region region : targets.asked()) {
      Region before = result.get(region.group());
      if (before == null
          || Required.entry(targets.weight(), region) > Required.entry(targets.weight(), before)) {
        result.put(region.group(), region);
      }
    }
    return result;
  }

  /**
   * Days on which a group should be trained: twice a week, once for who has trained for weeks only
   * until the soreness passes (common practice).
   */
  int timesAWeek() {
    return Math.min(
        frames.size(),
        age.filter(trainingAge -> trainingAge == TrainingAge.WEEKS).isPresent() ? 1 : 2);
  }

  List<Item> pinned(int day) {
    return frames.get(day).items();
  }
}
