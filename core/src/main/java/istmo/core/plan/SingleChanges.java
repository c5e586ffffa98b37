package istmo.core.plan;

import istmo.core.equipment.Equipment;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A week by hand's rule: the single change that helps most, again and again, until none helps. A
 * change is more, fewer or no sets of an exercise on a day, or an exercise that goes to another
 * day. It begins the search for a week, and smooths what a short search has found. What takes turns
 * stays as it is.
 */
final class SingleChanges {
  private final Task task;
  private final List<Offer> candidates;
  private final Appraisal.Choice choice;

  private SingleChanges(Task task, List<Offer> candidates, Appraisal.Choice from) {
    this.task = task;
    this.candidates = candidates;
    this.choice =
        new Appraisal.Choice(
            from.sets().stream()
                .<Map<Integer, Integer>>map(LinkedHashMap::new)
                .collect(Collectors.toList()),
            from.pairs());
  }

  /** A week from nothing. */
  static Appraisal.Choice fromNothing(Task task, List<Offer> candidates) {
    return of(task, candidates, Appraisal.nothing(task.frames().size()));
  }

  /** A week in which no single change helps any more, from one that keeps the rules. */
  static Appraisal.Choice of(Task task, List<Offer> candidates, Appraisal.Choice from) {
    SingleChanges changes = new SingleChanges(task, candidates, from);
    boolean improving = true;
    while (improving) {
      improving = changes.improved();
    }
    return changes.choice;
  }

  /** Makes the change that helps most; false where none helps. */
  private boolean improved() {
    long best = Appraisal.points(task, candidates, choice);
    List<Map<Integer, Integer>> found = null;
    List<Map<Integer, Integer>> before = copy();
    for (int d = 0; d < before.size(); d++) {
      for (int c = 0; c < candidates.size(); c++) {
        for (Runnable change : changes(d, c)) {
          change.run();
          long points = inTime() ? Appraisal.points(task, candidates, choice) : best;
          if (points < best) {
            best = points;
            found = copy();
          }
          set(before);
        }
      }
    }
    if (found != null) {
      set(found);
    }
    return found != null;
  }

  private List<Runnable> changes(int day, int c) {
    Map<Integer, Integer> sets = choice.sets().get(day);
    List<Runnable> changes = new ArrayList<>();
    if (takesTurns(day, c)) {
      return changes;
    }
    for (int n : tries(day, c)) {
      changes.add(() -> put(sets, c, n));
    }
    Integer now = sets.get(c);
    for (int to = 0; now != null && to < choice.sets().size(); to++) {
      if (to != day && allowed(to, candidates.get(c))) {
        Map<Integer, Integer> there = choice.sets().get(to);
        changes.add(
            () -> {
              put(sets, c, 0);
              put(there, c, now);
            });
      }
    }
    return changes;
  }

  private boolean takesTurns(int day, int c) {
    return choice.pairs().get(day).stream().anyMatch(p -> p[0] == c || p[1] == c);
  }

  private boolean inTime() {
    for (int d = 0; d < choice.sets().size(); d++) {
      if (Appraisal.seconds(task, d, candidates, choice) > 60 * task.frames().get(d).minutes()) {
        return false;
      }
    }
    return true;
  }

  private List<Map<Integer, Integer>> copy() {
    return choice.sets().stream().<Map<Integer, Integer>>map(LinkedHashMap::new).toList();
  }

  private void set(List<Map<Integer, Integer>> sets) {
    for (int d = 0; d < sets.size(); d++) {
      choice.sets().get(d).clear();
      choice.sets().get(d).putAll(sets.get(d));
    }
  }

  /**
   * Numbers of sets to try: more, fewer or none of what is there; the least and the usual of what
   * may come.
   */
  private List<Integer> tries(int day, int c) {
    Offer offer = candidates.get(c);
    Integer now = choice.sets().get(day).get(c);
    List<Integer> tries = new ArrayList<>();
    if (now != null) {
      tries.add(0);
      if (now > Task.LEAST_SETS) {
        tries.add(now - 1);
      }
      if (now < task.sets(offer)) {
        tries.add(now + 1);
      }
    } else if (allowed(day, offer)) {
      tries.add(Task.LEAST_SETS);
      tries.add(Math.max(Task.LEAST_SETS, Appraisal.usualSets(task, offer)));
    }
    return tries;
  }

  /** One variant of an exercise a day, and one station where the day has one. */
  private boolean allowed(int day, Offer offer) {
    List<Offer> there =
        new ArrayList<>(
            task.pinned(day).stream().map(item -> task.offers().get(item.candidateId())).toList());
    choice.sets().get(day).keySet().forEach(c -> there.add(candidates.get(c)));
    if (there.stream().anyMatch(otherOffer -> otherOffer.exerciseId().equals(offer.exerciseId()))) {
      return false;
    }
    Set<Equipment> station = EnumSet.noneOf(Equipment.class);
    station.addAll(offer.station());
    there.forEach(otherOffer -> station.addAll(otherOffer.station()));
    return !task.frames().get(day).oneStation()
        || candidates.stream().anyMatch(otherOffer -> otherOffer.station().equals(station));
  }

  private static void put(Map<Integer, Integer> day, int c, int sets) {
    if (sets == 0) {
      day.remove(c);
    } else {
      day.put(c, sets);
    }
  }
}
