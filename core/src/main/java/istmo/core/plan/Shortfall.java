package istmo.core.plan;

import istmo.core.anatomy.Regions;
import istmo.core.body.Profile;
import istmo.core.plan.Planned.Day;
import istmo.core.plan.Planned.Week;
import istmo.core.quantity.Required;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;

/**
 * Why a composed week falls short of its targets, and what would help: each way is tried by
 * composing again, so none is named that does not, and what it brings is said. Times are what this
 * week would have to be longer by arithmetic, to the minute.
 *
 * @param region that is most short
 * @param sentence what is short and why
 * @param ways what would mend it; the last is to accept what there is
 */
public record Shortfall(
    String region, double has, double asked, String sentence, List<String> ways) {
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
    Optional<String> worst =
        task.targets().asked().stream()
            .filter(region -> lack(coverage, task, region) > TOLERANCE)
            .max(
                Comparator.comparingDouble(
                        (String region) ->
                            Required.entry(task.targets().weight(), region)
                                * lack(coverage, task, region))
                    .thenComparing(region -> region));
    return worst.map(region -> explained(new Tries(task, week, trySeconds), coverage, region));
  }

  private static double lack(Coverage coverage, Task task, String region) {
    return Required.entry(task.targets().least(), region)
        - coverage.sets().getOrDefault(region, 0.0);
  }

  private static Shortfall explained(Tries tries, Coverage coverage, String region) {
    Task task = tries.task();
    Week week = tries.week();
    String name = Regions.standard().get(region).coachName();
    double has = coverage.sets().getOrDefault(region, 0.0);
    double asked = Required.entry(task.targets().least(), region);
    List<String> ways = new ArrayList<>();
    Optional<String> room = room(task, week, region, asked - has);
    if (room.isPresent()) {
      return new Shortfall(
          region,
          has,
          asked,
          String.format(
              Locale.ROOT,
              "The %s gets %.1f of %.0f sets, though there is time: the search weighed other things"
                  + " more, or did not come to it.",
              name,
              has,
              asked),
          List.of(room.get(), "Search longer.", accept(has, name)));
    }
    double most =
        tries.reached(
            with(task, longer(task, MORE_MINUTES), task.pairing(), task.targets()), region);
    String sentence;
    if (most >= has + TELLING_GAIN) {
      int minutes = (int) Math.ceil(missingS(task, week, region, Math.min(asked, most) - has) / 60);
      sentence =
          String.format(
              Locale.ROOT,
              "%s minutes are about %d short for the %s: %.1f of %.0f sets.",
              minutesWords(task),
              minutes,
              name,
              has,
              asked);
      for (Pairing pairing : Pairing.values()) {
        if (pairing.compareTo(task.pairing()) > 0) {
          tries.way(
              ways,
              "Work " + pairing.label(),
              with(task, task.frames(), pairing, task.targets()),
              region,
              has,
              asked);
        }
      }
      for (Planned.Item pinned :
          task.frames().stream().flatMap(day -> day.items().stream()).toList()) {
        tries.way(
            ways,
            "Drop " + task.offers().get(pinned.candidateId()).name(),
            with(
                task,
                task.frames().stream().map(day -> without(day, pinned)).toList(),
                task.pairing(),
                task.targets()),
            region,
            has,
            asked);
      }
      easier(task, region)
          .ifPresent(
              easier ->
                  tries.way(
                      ways,
                      easier.words(),
                      with(task, task.frames(), task.pairing(), easier.targets()),
                      region,
                      has,
                      asked));
      ways.add(String.format(Locale.ROOT, "Give it about %d minutes more in the week.", minutes));
    } else {
      sentence =
          String.format(
              Locale.ROOT,
              "The %s gets %.1f of %.0f sets, and more time would not change it: what is on offer"
                  + " for it, and what a session and a week may hold, are used.",
              name,
              has,
              asked);
    }
    ways.add(accept(has, name));
    return new Shortfall(region, has, asked, sentence, List.copyOf(ways));
  }

  private static String accept(double has, String name) {
    return String.format(Locale.ROOT, "Accept %.1f sets for the %s.", has, name);
  }

  /**
   * The least that would bring the missing sets within a session's time, in words: a new exercise,
   * or more sets of one that is there.
   */
  private static Optional<String> room(Task task, Week week, String region, double missing) {
    String words = null;
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
          words =
              String.format(
                  Locale.ROOT,
                  "%s of %s in session %d: about %d minutes.",
                  more
                      ? sets + (sets == 1 ? " more set" : " more sets")
                      : Math.max(sets, Task.LEAST_SETS) + " sets",
                  candidate.name(),
                  d + 1,
                  (int) Math.ceil(seconds / 60));
        }
      }
    }
    return Optional.ofNullable(words);
  }

  /**
   * Least time that would bring the missing sets: more sets of what is there, or something new, s.
   */
  static double missingS(Task task, Week week, String region, double sets) {
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

  private record Easier(Targets targets, String words) {}

  /** Half of what is asked for the group with the least weight beside the short one's. */
  private static Optional<Easier> easier(Task task, String region) {
    String own = Regions.standard().get(region).group();
    return task.groups().entrySet().stream()
        .filter(entry -> !entry.getKey().equals(own))
        .min(
            Comparator.comparingInt(
                    (Map.Entry<String, String> entry) ->
                        task.targets().weight().get(entry.getValue()))
                .thenComparing(Map.Entry::getKey))
        .map(
            entry -> {
              Map<String, Double> half = new LinkedHashMap<>();
              task.targets()
                  .least()
                  .forEach(
                      (id, v) -> {
                        if (Regions.standard().get(id).group().equals(entry.getKey())) {
                          half.put(id, v / 2);
                        }
                      });
              return new Easier(
                  task.targets().with(half), "Ask half as much of the " + entry.getKey());
            });
  }

  /** Weeks for other tasks, looked for from the week there is. */
  private record Tries(Task task, Week week, double seconds) {
    /** Adds a way where it brings at least a set more. */
    void way(List<String> ways, String words, Task other, String region, double has, double asked) {
      double reached = reached(other, region);
      if (reached >= has + TELLING_GAIN) {
        ways.add(String.format(Locale.ROOT, "%s: %.1f of %.0f sets.", words, reached, asked));
      }
    }

    /** Effective sets of a region in the best week found; none where there is no week. */
    double reached(Task other, String region) {
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
                      .getOrDefault(region, 0.0))
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

  private static String minutesWords(Task task) {
    List<Integer> minutes = task.frames().stream().map(Day::minutes).toList();
    return minutes.stream().distinct().count() == 1
        ? (minutes.size() > 1 ? minutes.size() + " times " : "") + minutes.get(0)
        : minutes.stream()
            .map(String::valueOf)
            .reduce((first, second) -> first + " and " + second)
            .orElseThrow();
  }

  /**
   * What keeps any week from being composed: only what is pinned can. In words; empty where nothing
   * does.
   */
  public static List<String> obstacles(Task task) {
    List<String> list = new ArrayList<>();
    for (int d = 0; d < task.frames().size(); d++) {
      Day day = task.frames().get(d);
      double minutes = Timing.of(day, task.offers()).minutes();
      if (minutes > day.minutes()) {
        list.add(
            String.format(
                Locale.ROOT,
                "What is locked in session %d takes %.0f of %d minutes: unlock something, take sets"
                    + " out, or give it %d minutes.",
                d + 1,
                Math.ceil(minutes),
                day.minutes(),
                (int) Math.ceil(minutes)));
      }
      long stations =
          day.items().stream()
              .map(item -> task.offers().get(item.candidateId()).station())
              .filter(texts -> !texts.isEmpty())
              .distinct()
              .count();
      if (day.oneStation() && stations > 1) {
        list.add(
            String.format(
                Locale.ROOT,
                "Session %d is to stay at one station, but what is pinned there needs %d.",
                d + 1,
                stations));
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
