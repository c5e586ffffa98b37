package istmo.core.plan;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionGroup;
import istmo.core.body.Profile;
import istmo.core.catalogue.CandidateId;
import istmo.core.plan.Planned.Day;
import istmo.core.plan.Planned.Week;
import istmo.core.quantity.Fact;
import istmo.core.quantity.Required;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * Why a composed week falls short of its targets, and what would help: each way is tried by
 * composing again, so none is named that does not, and what it brings is said. Times are what this
 * week would have to be longer by arithmetic, to the minute. {@code words.PlanWords} puts it into
 * sentences.
 *
 * @param region that is most short
 * @param has effective sets that it gets in the week
 * @param asked effective sets that are asked for it
 * @param ways what would mend it; the last is to accept what there is
 */
public record Shortfall(Region region, double has, double asked, Reason reason, List<Way> ways) {
  /** Why a region is short. */
  public sealed interface Reason {}

  /** There is time, but the search weighed other things more or did not come to it. */
  public record RoomLeft() implements Reason {}

  /**
   * The sessions are too short.
   *
   * @param minutes of each session
   * @param missing minutes more in the week that it would take
   */
  public record TimeShort(List<Integer> minutes, int missing) implements Reason {}

  /** What is on offer for it, and what a session and a week may hold, are used. */
  public record AllUsed() implements Reason {}

  /** What would mend it. */
  public sealed interface Way {}

  /**
   * Sets of an exercise that fit into a session.
   *
   * @param more whether the exercise is there already
   * @param session from 1
   */
  public record AddSets(
      CandidateId candidateId, String name, int sets, boolean more, int session, int minutes)
      implements Way {}

  /** To search longer. */
  public record SearchLonger() implements Way {}

  /** To string sets together otherwise; so many effective sets come of it. */
  public record WorkPaired(Pairing pairing, double reached) implements Way {}

  /** To take out what is locked; so many effective sets come of it. */
  public record Drop(CandidateId candidateId, String name, double reached) implements Way {}

  /** To ask half as much of another group; so many effective sets come of it. */
  public record AskHalf(RegionGroup group, double reached) implements Way {}

  /** So many minutes more in the week. */
  public record GiveTime(int minutes) implements Way {}

  /** To be content with what there is. */
  public record Accept(double has) implements Way {}

  /** What keeps any week from being composed. */
  public sealed interface Obstacle extends Fact {}

  /**
   * What is locked in a session takes longer than the session.
   *
   * @param session from 1
   * @param takes minutes
   * @param has minutes
   */
  public record LockedTooLong(int session, int takes, int has) implements Obstacle {}

  /**
   * A session is to stay at one station, and what is locked there needs more.
   *
   * @param session from 1
   */
  public record TooManyStations(int session, long stations) implements Obstacle {}

  private static final double TOLERANCE = 0.25;

  /** Minutes added to every session to see whether time is the reason. */
  private static final int MORE_MINUTES = 60;

  /** What a set gives of a region at least to be proposed for it. */
  private static final double WORTH_IT = 0.3;

  /** How long a way is tried, s. */
  private static final double TRY_S = 0.8;

  /** Effective sets more that make a way worth telling. */
  private static final double TELLING_GAIN = 0.75;

  /** Empty where nothing is short. Takes some solver runs of {@value #TRY_S} s. */
  public static Optional<Shortfall> of(Task task, Week week) {
    return of(task, week, TRY_S);
  }

  /** The same with so many seconds for each way that is tried. */
  static Optional<Shortfall> of(Task task, Week week, double trySeconds) {
    Coverage coverage = Coverage.of(week, task.offers(), task.targets());
    Optional<Region> worst =
        task.targets().asked().stream()
            .filter(region -> lack(coverage, task, region) > TOLERANCE)
            .max(
                Comparator.comparingDouble(
                        (Region region) ->
                            Required.entry(task.targets().weight(), region)
                                * lack(coverage, task, region))
                    .thenComparing(region -> region));
    return worst.map(region -> explained(new Tries(task, week, trySeconds), coverage, region));
  }

  private static double lack(Coverage coverage, Task task, Region region) {
    return Required.entry(task.targets().least(), region) - coverage.sets().get(region);
  }

  private static Shortfall explained(Tries tries, Coverage coverage, Region region) {
    Task task = tries.task();
    Week week = tries.week();
    double has = coverage.sets().get(region);
    double asked = Required.entry(task.targets().least(), region);
    Optional<Way> room = room(task, week, region, asked - has);
    if (room.isPresent()) {
      return new Shortfall(
          region,
          has,
          asked,
          new RoomLeft(),
          List.of(room.get(), new SearchLonger(), new Accept(has)));
    }
    double most =
        tries.reached(
            with(task, longer(task, MORE_MINUTES), task.pairing(), task.targets()), region);
    List<Way> ways = new ArrayList<>();
    Reason reason = new AllUsed();
    if (most >= has + TELLING_GAIN) {
      int minutes = (int) Math.ceil(missingS(task, week, region, Math.min(asked, most) - has) / 60);
      reason = new TimeShort(task.frames().stream().map(Day::minutes).toList(), minutes);
      ways.addAll(tried(tries, region, has));
      ways.add(new GiveTime(minutes));
    }
    ways.add(new Accept(has));
    return new Shortfall(region, has, asked, reason, List.copyOf(ways));
  }

  /** Other ways of composing, those that bring a set more. */
  private static List<Way> tried(Tries tries, Region region, double has) {
    Task task = tries.task();
    List<Way> ways = new ArrayList<>();
    for (Pairing pairing : Pairing.values()) {
      if (pairing.compareTo(task.pairing()) > 0) {
        tries
            .gain(with(task, task.frames(), pairing, task.targets()), region, has)
            .ifPresent(reached -> ways.add(new WorkPaired(pairing, reached)));
      }
    }
    for (Planned.Item pinned :
        task.frames().stream().flatMap(day -> day.items().stream()).toList()) {
      List<Day> frames = task.frames().stream().map(day -> without(day, pinned)).toList();
      CandidateId candidate = pinned.candidateId();
      tries
          .gain(with(task, frames, task.pairing(), task.targets()), region, has)
          .ifPresent(
              reached ->
                  ways.add(new Drop(candidate, task.offers().get(candidate).name(), reached)));
    }
    easier(task, region)
        .ifPresent(
            easier ->
                tries
                    .gain(with(task, task.frames(), task.pairing(), easier.targets()), region, has)
                    .ifPresent(reached -> ways.add(new AskHalf(easier.group(), reached))));
    return ways;
  }

  /**
   * The least that would bring the missing sets within a session's time: a new exercise, or more
   * sets of one that is there.
   */
  private static Optional<Way> room(Task task, Week week, Region region, double missing) {
    Way way = null;
    double least = Double.POSITIVE_INFINITY;
    for (int d = 0; d < week.days().size(); d++) {
      Day day = week.days().get(d);
      double free = 60.0 * day.minutes() - Timing.of(day, task.offers()).totalS();
      for (Offer candidate : task.candidates()) {
        int sets = (int) Math.ceil(missing / Math.max(1e-9, candidate.share(region)) - 1e-9);
        Optional<Planned.Item> there =
            day.items().stream()
                .filter(
                    item ->
                        task.offers()
                            .find(item.candidateId())
                            .filter(offer -> offer.exerciseId().equals(candidate.exerciseId()))
                            .isPresent())
                .findFirst();
        boolean more =
            there
                .filter(
                    item ->
                        item.candidateId().equals(candidate.candidateId())
                            && item.prescription().sets() + sets <= task.sets(candidate))
                .isPresent();
        boolean fresh = there.isEmpty() && sets <= task.sets(candidate) && !day.oneStation();
        double seconds =
            Math.max(sets, more ? 0 : Task.LEAST_SETS) * Appraisal.perSetS(candidate)
                + (more ? 0 : Appraisal.onceS(task, d, candidate));
        if (candidate.share(region) > WORTH_IT
            && (more || fresh)
            && seconds <= free
            && seconds < least) {
          least = seconds;
          way =
              new AddSets(
                  candidate.candidateId(),
                  candidate.name(),
                  more ? sets : Math.max(sets, Task.LEAST_SETS),
                  more,
                  d + 1,
                  (int) Math.ceil(seconds / 60));
        }
      }
    }
    return Optional.ofNullable(way);
  }

  /**
   * Least time that would bring the missing sets: more sets of what is there, or something new, s.
   */
  static double missingS(Task task, Week week, Region region, double sets) {
    double least = Double.POSITIVE_INFINITY;
    for (Offer offer : task.offers().all()) {
      if (offer.share(region) > WORTH_IT) {
        double n = Math.ceil(sets / offer.share(region) - 1e-9);
        boolean there =
            week.items().stream()
                .anyMatch(
                    item ->
                        item.candidateId().equals(offer.candidateId())
                            && item.prescription().sets() + n <= task.sets(offer));
        least =
            Math.min(
                least,
                n * Appraisal.perSetS(offer) + (there ? 0 : Appraisal.onceS(task, 0, offer)));
      }
    }
    return least;
  }

  private record Easier(Targets targets, RegionGroup group) {}

  /** Half of what is asked for the group with the least weight beside the short one's. */
  private static Optional<Easier> easier(Task task, Region region) {
    return task.groups().entrySet().stream()
        .filter(entry -> entry.getKey() != region.group())
        .min(
            Comparator.comparingInt(
                    (Map.Entry<RegionGroup, Region> entry) ->
                        task.targets().weight().get(entry.getValue()))
                .thenComparing(Map.Entry::getKey))
        .map(
            entry -> {
              Map<Region, Double> half = new EnumMap<>(Region.class);
              task.targets()
                  .least()
                  .forEach(
                      (other, v) -> {
                        if (other.group() == entry.getKey()) {
                          half.put(other, v / 2);
                        }
                      });
              return new Easier(task.targets().with(half), entry.getKey());
            });
  }

  /** Weeks for other tasks, looked for from the week there is. */
  private record Tries(Task task, Week week, double seconds) {
    /** Effective sets of a region where another task brings at least about a set more. */
    Optional<Double> gain(Task other, Region region, double has) {
      return Optional.of(reached(other, region)).filter(reached -> reached >= has + TELLING_GAIN);
    }

    /** Effective sets of a region in the best week found; none where there is no week. */
    double reached(Task other, Region region) {
      return new Composer(other)
          .from(week)
          .compose(seconds, progress -> {})
          .map(
              answer ->
                  Coverage.of(
                          Composition.week(other, answer, bouts -> bouts, new Ids()),
                          other.offers(),
                          other.targets())
                      .sets()
                      .get(region))
          .orElse(0.0);
    }
  }

  private static Day without(Day day, Planned.Item item) {
    List<Planned.Bout> left = new ArrayList<>();
    for (Planned.Bout bout : day.bouts()) {
      List<Planned.Item> items =
          bout.items().stream().filter(otherItem -> !otherItem.equals(item)).toList();
      if (!items.isEmpty()) {
        left.add(new Planned.Bout(items));
      }
    }
    return day.with(left);
  }

  private static Task with(Task task, List<Day> frames, Pairing pairing, Targets targets) {
    return new Task(task.offers(), targets, frames, pairing, task.varied(), task.age());
  }

  private static List<Day> longer(Task task, int minutes) {
    return task.frames().stream()
        .map(
            day ->
                new Day(
                    day.weekday(),
                    (int) Profile.MINUTES.nearest(day.minutes() + minutes),
                    day.oneStation(),
                    day.bouts()))
        .toList();
  }

  /** What keeps any week from being composed: only what is pinned can. Empty where nothing does. */
  public static List<Obstacle> obstacles(Task task) {
    List<Obstacle> list = new ArrayList<>();
    for (int d = 0; d < task.frames().size(); d++) {
      Day day = task.frames().get(d);
      double minutes = Timing.of(day, task.offers()).minutes();
      if (minutes > day.minutes()) {
        list.add(new LockedTooLong(d + 1, (int) Math.ceil(minutes), day.minutes()));
      }
      long stations =
          day.items().stream()
              .map(item -> task.offers().get(item.candidateId()).station())
              .filter(texts -> !texts.isEmpty())
              .distinct()
              .count();
      if (day.oneStation() && stations > 1) {
        list.add(new TooManyStations(d + 1, stations));
      }
    }
    return list;
  }

  private static final class Ids implements Supplier<String> {
    private int next;

    @Override
    public String get() {
      return "try" + next++;
    }
  }
}
