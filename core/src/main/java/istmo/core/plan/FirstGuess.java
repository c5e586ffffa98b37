package istmo.core.plan;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A week by hand's rule, for a search to begin at: the single change that helps most, again and
 * again, until none helps. Takes no turns.
 */
final class FirstGuess {
  private final Task task;
  private final List<Offer> candidates;
  private final Appraisal.Choice choice;

  private FirstGuess(Task task, List<Offer> candidates) {
    this.task = task;
    this.candidates = candidates;
    this.choice = Appraisal.nothing(task.frames().size());
  }

  static Appraisal.Choice of(Task task, List<Offer> candidates) {
    FirstGuess g = new FirstGuess(task, candidates);
    boolean improving = true;
    while (improving) {
      improving = g.improved();
    }
    return g.choice;
  }

  private boolean improved() {
    long best = Appraisal.points(task, candidates, choice);
    int bestDay = -1;
    int bestCandidate = -1;
    int bestSets = 0;
    for (int d = 0; d < choice.sets().size(); d++) {
      Map<Integer, Integer> day = choice.sets().get(d);
      Map<Integer, Integer> before = new LinkedHashMap<>(day);
      for (int c = 0; c < candidates.size(); c++) {
        for (int n : tries(d, c)) {
          put(day, c, n);
          if (Appraisal.seconds(task, d, candidates, choice)
              <= 60 * task.frames().get(d).minutes()) {
            long points = Appraisal.points(task, candidates, choice);
            if (points < best) {
              best = points;
              bestDay = d;
              bestCandidate = c;
              bestSets = n;
            }
          }
          day.clear();
          day.putAll(before);
        }
      }
    }
    if (bestDay >= 0) {
      put(choice.sets().get(bestDay), bestCandidate, bestSets);
    }
    return bestDay >= 0;
  }

  /**
   * Numbers of sets to try: more, fewer or none of what is there; the least and the usual of what
   * may come.
   */
  private List<Integer> tries(int day, int c) {
    Offer o = candidates.get(c);
    Integer now = choice.sets().get(day).get(c);
    List<Integer> tries = new ArrayList<>();
    if (now != null) {
      tries.add(0);
      if (now > Task.LEAST_SETS) {
        tries.add(now - 1);
      }
      if (now < task.sets(o)) {
        tries.add(now + 1);
      }
    } else if (allowed(day, o)) {
      tries.add(Task.LEAST_SETS);
      tries.add(Math.max(Task.LEAST_SETS, Appraisal.usualSets(task, o)));
    }
    return tries;
  }

  /** One variant of an exercise a day, and one station where the day has one. */
  private boolean allowed(int day, Offer o) {
    List<Offer> there =
        new ArrayList<>(
            task.pinned(day).stream().map(i -> task.offers().get(i.candidateId())).toList());
    choice.sets().get(day).keySet().forEach(c -> there.add(candidates.get(c)));
    if (there.stream().anyMatch(x -> x.exerciseId().equals(o.exerciseId()))) {
      return false;
    }
    Set<String> station = new HashSet<>(o.station());
    there.forEach(x -> station.addAll(x.station()));
    return !task.frames().get(day).oneStation()
        || candidates.stream().anyMatch(x -> x.station().equals(station));
  }

  private static void put(Map<Integer, Integer> day, int c, int sets) {
    if (sets == 0) {
      day.remove(c);
    } else {
      day.put(c, sets);
    }
  }
}
