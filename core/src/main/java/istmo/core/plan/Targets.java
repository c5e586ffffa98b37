package istmo.core.plan;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionGroup;
import istmo.core.body.Profile.TrainingAge;
import istmo.core.quantity.Required;
import istmo.core.ranking.brief.Aim;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What a week should bring: effective sets of every aimed region, every function of its muscles,
 * and front and back of the thigh in balance.
 *
 * <p>Weekly sets: more grow more, with less for each further one (Schoenfeld, Ogborn and Krieger
 * 2017; Pelland et al. 2024; both from memory). The numbers themselves are judgement between what
 * those found and what the trade does: a beginner three sets of an exercise, later four, advanced
 * up to six.
 *
 * @param least by region: effective sets a week that the aim asks for, or that hold what it does
 *     not ask for
 * @param weight by region: how much a set short counts, 1 to 3
 * @param held regions that are only held
 * @param functions what has to be trained, with its effective sets; only what something here can
 *     train
 * @param most effective sets of a region a week beyond which more is not worth it
 * @param mostADay the same of one session
 * @param balance whether front and back of the thigh are to be held in balance
 */
public record Targets(
    Map<Region, Double> least,
    Map<Region, Integer> weight,
    Set<Region> held,
    Map<Function, Double> functions,
    double most,
    double mostADay,
    boolean balance) {
  /** Effective sets a week of a region painted 1, 2, 3, by training age (judgement, see above). */
  private static final Map<TrainingAge, double[]> SETS =
      Map.of(
          TrainingAge.WEEKS,
          new double[] {3, 4, 6},
          TrainingAge.MONTHS,
          new double[] {4, 7, 10},
          TrainingAge.YEARS,
          new double[] {5, 9, 13});

  private static final Map<TrainingAge, Double> MOST =
      Map.of(TrainingAge.WEEKS, 10.0, TrainingAge.MONTHS, 16.0, TrainingAge.YEARS, 22.0);

  /**
   * Beyond about so many in one session the rest adds little (Remmert et al. 2025, about eleven
   * counted in parts; from memory, rounded down).
   */
  private static final double MOST_A_DAY = 8;

  /**
   * Of what the most aimed of its regions asks for, each function gets this share, and at least so
   * many sets (judgement).
   */
  private static final double FUNCTION_SHARE = 0.3;

  private static final double FUNCTION_SETS = 2;

  /**
   * What holds a group that nothing is asked of, unless it is to be kept out: about a third of what
   * made it grow (Bickel, Cross and Bamman 2011; from memory). One region stands for the group.
   */
  private static final double HOLD_SETS = 3;

  private static final Set<Region> HELD =
      Set.of(Region.VL, Region.BFL, Region.GMAXM, Region.GASM, Region.SOL);

  /**
   * The lesser side of the thigh gets at least so much of the other (common practice: equal
   * attention; the number is judgement).
   */
  public static final double LEAST_BALANCE = 0.6;

  /** What a candidate gives of a region at least to count as training a function there. */
  static final double TELLING_SHARE = 0.4;

  /**
   * What a week should bring for an aim and a training age.
   *
   * @param hold whether groups that nothing is asked of are to be held
   */
  public static Targets of(
      Aim aim, Optional<TrainingAge> age, boolean hold, Collection<Offer> offers) {
    TrainingAge trainingAge = age.orElse(TrainingAge.MONTHS);
    Map<Region, Double> least = new EnumMap<>(Region.class);
    Map<Region, Integer> weight = new EnumMap<>(Region.class);
    Set<Region> held = EnumSet.noneOf(Region.class);
    Set<RegionGroup> groups =
        Stream.concat(aim.weights().keySet().stream(), aim.keepOut().stream())
            .map(Region::group)
            .collect(Collectors.toSet());
    for (Region region : Region.values()) {
      @Nullable Integer w = aim.weights().get(region);
      boolean holds = hold && HELD.contains(region) && !groups.contains(region.group());
      if (holds) {
        least.put(region, HOLD_SETS);
        weight.put(region, 1);
      } else if (w != null) {
        least.put(region, Required.entry(SETS, trainingAge)[w - 1]);
        weight.put(region, w);
      }
      if (holds) {
        held.add(region);
      }
    }
    Map<Function, Double> functions = new EnumMap<>(Function.class);
    for (Function function : Function.values()) {
      double most =
          function.regions().stream()
              .filter(region -> aim.weights().containsKey(region))
              .mapToDouble(least::get)
              .max()
              .orElse(0);
      if (most > 0 && offers.stream().anyMatch(offer -> trains(offer, function, least.keySet()))) {
        functions.put(function, Math.max(FUNCTION_SETS, FUNCTION_SHARE * most));
      }
    }
    boolean keepsOut =
        Arrays.stream(Region.values())
            .filter(
                region ->
                    region.group() == RegionGroup.QUADS || region.group() == RegionGroup.HAMSTRINGS)
            .anyMatch(region -> aim.keepOut().contains(region));
    return new Targets(
        Collections.unmodifiableMap(least),
        Collections.unmodifiableMap(weight),
        Collections.unmodifiableSet(held),
        Collections.unmodifiableMap(functions),
        Required.entry(MOST, trainingAge),
        MOST_A_DAY,
        !keepsOut);
  }

  /** Whether an offer trains a function for one of these regions as well as it should. */
  static boolean trains(Offer offer, Function function, Collection<Region> regions) {
    return offer.functions().contains(function)
        && function.regions().stream()
            .anyMatch(region -> regions.contains(region) && offer.share(region) >= TELLING_SHARE);
  }

  /** The same with other weekly sets for some regions. */
  public Targets with(Map<Region, Double> other) {
    Map<Region, Double> changed = new EnumMap<>(Region.class);
    changed.putAll(least);
    changed.putAll(other);
    return new Targets(
        Collections.unmodifiableMap(changed), weight, held, functions, most, mostADay, balance);
  }

  /** Regions of which something is asked, in the order of the region list. */
  public List<Region> asked() {
    return Arrays.stream(Region.values()).filter(least::containsKey).toList();
  }
}
