package istmo.core.plan;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionGroup;
import istmo.core.equipment.Equipment.LoadKind;
import istmo.core.plan.Planned.Item;
import istmo.core.quantity.Required;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * What a choice of exercises and sets is worth: points against it, in whole numbers, fewer is
 * better. This is the definition; {@link Composer} says the same to its solver, and the checks hold
 * the two together. Effective sets are counted in hundredths.
 */
final class Appraisal {
  /** Points for a hundredth of an effective set short, times the region's weight 1 to 3. */
  static final int SHORT = 3;

  /** The same of a function, and of what the lesser side of the thigh lacks. */
  static final int FUNCTION_SHORT = 3;

  static final int BALANCE_SHORT = 2;

  /** For a hundredth of a set too many in a week, and in a day. */
  static final int TOO_MANY = 1;

  static final int TOO_MANY_A_DAY = 2;

  /** For a group trained on one day fewer than it should be. */
  static final int DAY_SHORT = 150;

  /** Effective sets, in hundredths, that make a day count as one on which a group is trained. */
  static final int TRAINED = 150;

  static final int SESSION_SET = 300;
  static final int PART_SET = 150;
  static final int BACK = 3;
  static final int EXERCISE = 30;
  static final int SET = 10;

  /** For a set of what is worth nothing in the order; less the more it is worth. */
  static final int SET_UNWORTHY = 60;

  /** For a set of a part repetition: it has to earn its place before the whole one. */
  static final int SET_IN_PART = 25;

  /** For a set of what the client dislikes, and less for what is liked. */
  static final int SET_DISLIKED = 60;

  static final int SET_LIKED = -10;

  /** For each set of an exercise beyond the usual number. */
  static final int SET_BEYOND = 30;

  /** Seconds by which the longest session grows for a point: sessions alike in length. */
  static final int LONGEST_S = 10;

  static final int FAMILY_AGAIN = 80;

  /**
   * For an exercise on one more day where other exercises are asked for each day: as much as two
   * sets short of a region of weight 1, so that a second exercise that does as well goes first and
   * one that does much less does not.
   */
  static final int EXERCISE_AGAIN = 600;

  private Appraisal() {}

  /** A choice: candidate index to sets on each day; pairs of candidate indices that take turns. */
  record Choice(List<Map<Integer, Integer>> sets, List<List<int[]>> pairs) {}

  static int hundredths(double v) {
    return (int) Math.round(100 * v);
  }

  /** Points against a set of this offer, whatever it brings. */
  static int costOfSet(Offer offer) {
    return SET
        + (int) Math.round(SET_UNWORTHY * Math.max(0, Math.min(1, 1 - offer.utility())))
        + (offer.whole() ? 0 : SET_IN_PART)
        + (offer.liking() < 0 ? SET_DISLIKED : offer.liking() > 0 ? SET_LIKED : 0);
  }

  /** Sets up to which more cost nothing more. */
  static int usualSets(Task task, Offer offer) {
    return Math.min(task.sets(offer), offer.usual().sets());
  }

  /** Time of a session under a choice, s; never less than {@link Timing} gives for it. */
  static int seconds(Task task, int day, List<Offer> candidates, Choice choice) {
    int sum = fixedS(task, day);
    for (Map.Entry<Integer, Integer> entry : choice.sets().get(day).entrySet()) {
      Offer offer = candidates.get(entry.getKey());
      sum += onceS(task, day, offer) + entry.getValue() * perSetS(offer);
    }
    for (int[] p : choice.pairs().get(day)) {
      sum -=
          Pairing.Saving.of(candidates.get(p[0]), candidates.get(p[1]))
              .seconds(Required.entry(choice.sets().get(day), p[0]));
    }
    return sum;
  }

  /**
   * What is pinned, and what one station saves too much by counting every load as staying; less the
   * walk to the first station.
   */
  static int fixedS(Task task, int day) {
    Planned.Day frame = task.frames().get(day);
    int pinned = (int) Math.ceil(Timing.of(frame, task.offers()).totalS());
    int first =
        frame.oneStation()
            ? (int)
                Math.ceil(
                    task.offers().all().stream()
                        .filter(Appraisal::plates)
                        .mapToDouble(
                            offer -> Timing.setUpS(offer, false) - Timing.setUpS(offer, true))
                        .max()
                        .orElse(0))
            : 0;
    return pinned + first - (pinned == 0 && !frame.oneStation() ? Timing.WALK_S : 0);
  }

  private static boolean plates(Offer offer) {
    return offer.loadKind() == LoadKind.BAR || offer.loadKind() == LoadKind.SLED;
  }

  /** Walk, set-up, lighter sets, less the rest that the last set does not need, s. */
  static int onceS(Task task, int day, Offer offer) {
    boolean oneStation = task.frames().get(day).oneStation();
    boolean again = oneStation && plates(offer);
    int walk = oneStation ? (task.pinned(day).isEmpty() ? 0 : Timing.WALK_S) : Timing.WALK_S;
    return walk
        + (int) Math.ceil(Timing.setUpS(offer, again))
        + Timing.WARM_UP_S * offer.role().warmUps()
        - offer.usual().restS();
  }

  static int perSetS(Offer offer) {
    return (int) Math.ceil(offer.usual().workS(0, offer.oneLeg())) + offer.usual().restS();
  }

  static int hardHundredths(Item item, double share) {
    return hundredths(item.prescription().hardSets() * share);
  }

  /** Points against a choice. */
  static long points(Task task, List<Offer> candidates, Choice choice) {
    int days = task.frames().size();
    Targets targets = task.targets();
    Map<Region, Integer> week = new EnumMap<>(Region.class);
    List<Map<Region, Integer>> byDay = new ArrayList<>();
    Map<Function, Integer> functions = new LinkedHashMap<>();
    targets.functions().keySet().forEach(function -> functions.put(function, 0));
    Map<String, Integer> daysOfExercise = new HashMap<>();
    long points = 0;
    int backOfWeek = 0;
    for (int d = 0; d < days; d++) {
      Map<Region, Integer> effective = new EnumMap<>(Region.class);
      Map<String, Integer> families = new HashMap<>();
      Set<String> exercises = new TreeSet<>();
      int all = 0;
      int thigh = 0;
      int calf = 0;
      int back = 0;
      for (Item item : task.pinned(d)) {
        Offer offer = task.offers().get(item.candidateId());
        for (Region region : Region.values()) {
          effective.merge(region, hardHundredths(item, offer.share(region)), Integer::sum);
        }
        for (Function function : targets.functions().keySet()) {
          functions.merge(
              function,
              Targets.trains(offer, function, targets.least().keySet())
                  ? hardHundredths(item, Coverage.functionShare(offer, function, targets))
                  : 0,
              Integer::sum);
        }
        all += item.prescription().sets();
        thigh += offer.trainsThigh() ? item.prescription().sets() : 0;
        calf += offer.role().isCalf() ? item.prescription().sets() : 0;
        back += item.prescription().sets() * hundredths(offer.back());
        families.merge(offer.familyId(), 1, Integer::sum);
        exercises.add(offer.exerciseId());
      }
      for (Map.Entry<Integer, Integer> entry : choice.sets().get(d).entrySet()) {
        Offer offer = candidates.get(entry.getKey());
        int sets = entry.getValue();
        for (Region region : Region.values()) {
          effective.merge(region, sets * hundredths(offer.share(region)), Integer::sum);
        }
        for (Function function : targets.functions().keySet()) {
          functions.merge(
              function,
              Targets.trains(offer, function, targets.least().keySet())
                  ? sets * hundredths(Coverage.functionShare(offer, function, targets))
                  : 0,
              Integer::sum);
        }
        all += sets;
        thigh += offer.trainsThigh() ? sets : 0;
        calf += offer.role().isCalf() ? sets : 0;
        back += sets * hundredths(offer.back());
        families.merge(offer.familyId(), 1, Integer::sum);
        exercises.add(offer.exerciseId());
        points +=
            EXERCISE
                + (long) sets * costOfSet(offer)
                + (long) SET_BEYOND * Math.max(0, sets - usualSets(task, offer));
      }
      exercises.forEach(text -> daysOfExercise.merge(text, 1, Integer::sum));
      effective.forEach((region, v) -> week.merge(region, v, Integer::sum));
      byDay.add(effective);
      points +=
          families.values().stream().mapToLong(n -> (long) FAMILY_AGAIN * Math.max(0, n - 1)).sum();
      points +=
          (long) SESSION_SET * Math.max(0, all - Coverage.MOST_SETS)
              + (long) PART_SET
                  * (Math.max(0, thigh - Coverage.MOST_THIGH_SETS)
                      + Math.max(0, calf - Coverage.MOST_CALF_SETS));
      points += (long) BACK * Math.max(0, back - hundredths(Coverage.MOST_BACK));
      backOfWeek += back;
      for (Region region : targets.asked()) {
        points +=
            (long) TOO_MANY_A_DAY
                * Math.max(0, effective.getOrDefault(region, 0) - hundredths(targets.mostADay()));
      }
    }
    for (Region region : targets.asked()) {
      points +=
          (long) SHORT
              * Required.entry(targets.weight(), region)
              * Math.max(
                  0,
                  hundredths(Required.entry(targets.least(), region))
                      - week.getOrDefault(region, 0));
    }
    for (Region region : Region.values()) {
      points +=
          (long) TOO_MANY * Math.max(0, week.getOrDefault(region, 0) - hundredths(targets.most()));
    }
    for (Map.Entry<Function, Integer> entry : functions.entrySet()) {
      points +=
          (long) FUNCTION_SHORT
              * Math.max(
                  0,
                  hundredths(Required.entry(targets.functions(), entry.getKey()))
                      - entry.getValue());
    }
    if (targets.balance()) {
      long front = group(week, RegionGroup.QUADS);
      long back = group(week, RegionGroup.HAMSTRINGS);
      points +=
          BALANCE_SHORT * Math.max(0, Math.max(balanceLack(front, back), balanceLack(back, front)));
    }
    for (Region region : task.groups().values()) {
      long trained = byDay.stream().filter(m -> m.getOrDefault(region, 0) >= TRAINED).count();
      points += DAY_SHORT * Math.max(0, task.timesAWeek() - trained);
    }
    points += (long) BACK * Math.max(0, backOfWeek - hundredths(Coverage.MOST_BACK_A_WEEK));
    int longest = -100 * LONGEST_S;
    for (int d = 0; d < days; d++) {
      longest = Math.max(longest, seconds(task, d, candidates, choice));
    }
    points += -Math.floorDiv(-longest, LONGEST_S);
    if (task.varied()) {
      points +=
          daysOfExercise.values().stream()
              .mapToLong(n -> (long) EXERCISE_AGAIN * Math.max(0, n - 1))
              .sum();
    }
    return points;
  }

  /**
   * Four regions in each group, so that sums compare as means do: hundredths of a mean set that the
   * lesser side lacks, rounded up.
   */
  static long balanceLack(long more, long less) {
    return -Math.floorDiv(10 * less - BALANCE_TENTHS * more, 10L * REGIONS_OF_A_SIDE);
  }

  static final int BALANCE_TENTHS = (int) Math.round(10 * Targets.LEAST_BALANCE);

  /** How many regions the front, and the back, of the thigh have. */
  static final int REGIONS_OF_A_SIDE = 4;

  private static long group(Map<Region, Integer> week, RegionGroup group) {
    return group.regions().stream().mapToLong(region -> week.getOrDefault(region, 0)).sum();
  }

  static Choice nothing(int days) {
    List<Map<Integer, Integer>> sets = new ArrayList<>();
    List<List<int[]>> pairs = new ArrayList<>();
    for (int d = 0; d < days; d++) {
      sets.add(new LinkedHashMap<>());
      pairs.add(new ArrayList<>());
    }
    return new Choice(Collections.unmodifiableList(sets), Collections.unmodifiableList(pairs));
  }
}
