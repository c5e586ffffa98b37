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
    Week week = new Week(task);
    for (int d = 0; d < task.frames().size(); d++) {
      week.add(day(task, candidates, choice, d));
    }
    int longest = -100 * LONGEST_S;
    for (int d = 0; d < task.frames().size(); d++) {
      longest = Math.max(longest, seconds(task, d, candidates, choice));
    }
    return week.points() - Math.floorDiv(-longest, LONGEST_S);
  }

  private static Day day(Task task, List<Offer> candidates, Choice choice, int d) {
    Day day = new Day(task);
    for (Item item : task.pinned(d)) {
      Offer offer = task.offers().get(item.candidateId());
      day.add(offer, item.prescription().sets(), share -> hardHundredths(item, share));
    }
    choice
        .sets()
        .get(d)
        .forEach(
            (candidate, sets) -> {
              Offer offer = candidates.get(candidate);
              day.add(offer, sets, share -> sets * hundredths(share));
              day.points +=
                  EXERCISE
                      + (long) sets * costOfSet(offer)
                      + (long) SET_BEYOND * Math.max(0, sets - usualSets(task, offer));
            });
    return day;
  }

  /** How many hundredths of effective sets some sets give for a share. */
  private interface Effective {
    int hundredths(double share);
  }

  /** What one day holds. */
  private static final class Day {
    private final Targets targets;
    private final Map<Region, Integer> effective = new EnumMap<>(Region.class);
    private final Map<Function, Integer> functions = new LinkedHashMap<>();
    private final Map<String, Integer> families = new HashMap<>();
    private final Set<String> exercises = new TreeSet<>();
    private int sets;
    private int thigh;
    private int calf;
    private int back;
    private long points;

    private Day(Task task) {
      targets = task.targets();
    }

    private void add(Offer offer, int more, Effective of) {
      for (Region region : Region.values()) {
        effective.merge(region, of.hundredths(offer.share(region)), Integer::sum);
      }
      for (Function function : targets.functions().keySet()) {
        if (Targets.trains(offer, function, targets.least().keySet())) {
          int trained = of.hundredths(Coverage.functionShare(offer, function, targets));
          functions.merge(function, trained, Integer::sum);
        }
      }
      sets += more;
      thigh += offer.trainsThigh() ? more : 0;
      calf += offer.role().isCalf() ? more : 0;
      back += more * hundredths(offer.back());
      families.merge(offer.familyId(), 1, Integer::sum);
      exercises.add(offer.exerciseId());
    }

    private long points() {
      long sum = points;
      sum +=
          families.values().stream().mapToLong(n -> (long) FAMILY_AGAIN * Math.max(0, n - 1)).sum();
      sum +=
          (long) SESSION_SET * Math.max(0, sets - Coverage.MOST_SETS)
              + (long) PART_SET
                  * (Math.max(0, thigh - Coverage.MOST_THIGH_SETS)
                      + Math.max(0, calf - Coverage.MOST_CALF_SETS));
      sum += (long) BACK * Math.max(0, back - hundredths(Coverage.MOST_BACK));
      for (Region region : targets.asked()) {
        sum +=
            (long) TOO_MANY_A_DAY
                * Math.max(0, effective.getOrDefault(region, 0) - hundredths(targets.mostADay()));
      }
      return sum;
    }
  }

  /** What a week holds. */
  private static final class Week {
    private final Task task;
    private final Targets targets;
    private final List<Day> days = new ArrayList<>();
    private final Map<Region, Integer> effective = new EnumMap<>(Region.class);

    private Week(Task task) {
      this.task = task;
      this.targets = task.targets();
    }

    private void add(Day day) {
      days.add(day);
      day.effective.forEach((region, v) -> effective.merge(region, v, Integer::sum));
    }

    private int of(Region region) {
      return effective.getOrDefault(region, 0);
    }

    private long points() {
      return days.stream().mapToLong(Day::points).sum()
          + tooLittleOrTooMuch()
          + functionsShort()
          + balance()
          + daysShort()
          + (long) BACK * Math.max(0, back() - hundredths(Coverage.MOST_BACK_A_WEEK))
          + (task.varied() ? exercisesAgain() : 0);
    }

    private long tooLittleOrTooMuch() {
      long sum = 0;
      for (Region region : targets.asked()) {
        int least = hundredths(Required.entry(targets.least(), region));
        sum +=
            (long) SHORT
                * Required.entry(targets.weight(), region)
                * Math.max(0, least - of(region));
      }
      for (Region region : Region.values()) {
        sum += (long) TOO_MANY * Math.max(0, of(region) - hundredths(targets.most()));
      }
      return sum;
    }

    private long functionsShort() {
      long sum = 0;
      for (Map.Entry<Function, Double> asked : targets.functions().entrySet()) {
        int has =
            days.stream().mapToInt(day -> day.functions.getOrDefault(asked.getKey(), 0)).sum();
        sum += (long) FUNCTION_SHORT * Math.max(0, hundredths(asked.getValue()) - has);
      }
      return sum;
    }

    private long balance() {
      if (!targets.balance()) {
        return 0;
      }
      long front = group(RegionGroup.QUADS);
      long back = group(RegionGroup.HAMSTRINGS);
      return BALANCE_SHORT
          * Math.max(0, Math.max(balanceLack(front, back), balanceLack(back, front)));
    }

    private long group(RegionGroup group) {
      return group.regions().stream().mapToLong(this::of).sum();
    }

    private long daysShort() {
      long sum = 0;
      for (Region region : task.groups().values()) {
        long trained =
            days.stream().filter(day -> day.effective.getOrDefault(region, 0) >= TRAINED).count();
        sum += DAY_SHORT * Math.max(0, task.timesAWeek() - trained);
      }
      return sum;
    }

    private int back() {
      return days.stream().mapToInt(day -> day.back).sum();
    }

    private long exercisesAgain() {
      Map<String, Integer> daysOf = new HashMap<>();
      days.forEach(day -> day.exercises.forEach(id -> daysOf.merge(id, 1, Integer::sum)));
      return daysOf.values().stream()
          .mapToLong(n -> (long) EXERCISE_AGAIN * Math.max(0, n - 1))
          .sum();
    }
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
