package istmo.core.plan;

import com.google.ortools.Loader;
import com.google.ortools.sat.CpSolver;
import com.google.ortools.sat.CpSolverSolutionCallback;
import com.google.ortools.sat.CpSolverStatus;
import istmo.core.catalogue.CandidateId;
import istmo.core.equipment.Equipment;
import istmo.core.plan.Planned.Item;
import istmo.core.quantity.Required;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.LockSupport;
import java.util.function.Consumer;

/**
 * Composes a week: a constraint model of {@link Appraisal} given to a solver that also bounds how
 * much better any week could be (CP-SAT of OR-tools: Perron and Furnon). Searches run side by side
 * until the time is over, so that two runs may end at different weeks of about the same worth; one
 * that is proved best is always worth the same.
 */
public final class Composer {
  /** How long a search usually takes, and may be left running, s. */
  public static final double USUAL_S = 2;

  public static final double MOST_S = 60;

  /**
   * Searches side by side: two for a short look, more kinds of search for a long one, whatever the
   * processors.
   */
  private static final int SEARCHES = 2;

  private static final int LONG_SEARCHES = 8;
  private static final double LONG_S = 5;

  /** How often a running search looks whether it was stopped. */
  private static final long LOOKS_EVERY_NS = 50_000_000;

  private final Task task;
  private final List<Offer> candidates;
  private final int days;
  private final WeekModel model;
  private final AtomicBoolean stopped = new AtomicBoolean();

  /** The best week known before the search. */
  private Appraisal.Choice start;

  /** How far a search has come. */
  public record Progress(double seconds, long points, long bound) {}

  /**
   * What was found.
   *
   * @param choices candidate to sets, and pairs, for every day; beside what is pinned
   * @param points against it; {@code bound}: no week has fewer
   * @param proved whether none is better
   */
  public record Answer(
      List<OfDay> choices, long points, long bound, boolean proved, double seconds) {
    /** Sets by candidate id on one day, and which two candidates alternate. */
    public record OfDay(Map<CandidateId, Integer> sets, List<List<CandidateId>> pairs) {}

    /** How much of the points could be saved at most, 0 to 1. */
    public double gap() {
      return points == 0 ? 0 : Math.max(0, (points - bound) / (double) points);
    }
  }

  /** A search for one task. */
  public Composer(Task task) {
    Loader.loadNativeLibraries();
    this.task = task;
    this.candidates = task.candidates();
    this.days = task.frames().size();
    this.model = new WeekModel(task, candidates);
    start = SingleChanges.fromNothing(task, candidates);
  }

  /**
   * What is found is to be no worse than a week that is there already, as far as that is made of
   * candidates. (Given to the solver as a hint it keeps a short search from finding better ones; so
   * the two are compared afterwards.)
   */
  public Composer from(Planned.Week week) {
    Appraisal.Choice there = Appraisal.nothing(days);
    for (int d = 0; d < days; d++) {
      Set<String> pinned = new TreeSet<>(task.pinned(d).stream().map(Item::id).toList());
      Map<CandidateId, Integer> byId = new TreeMap<>();
      for (int c = 0; c < candidates.size(); c++) {
        byId.put(candidates.get(c).candidateId(), c);
      }
      for (Planned.Bout bout : week.days().get(d).bouts()) {
        List<Integer> members = new ArrayList<>();
        for (Item item : bout.items()) {
          Integer c = byId.get(item.candidateId());
          if (!pinned.contains(item.id()) && c != null) {
            there
                .sets()
                .get(d)
                .put(
                    c,
                    Math.max(
                        Task.LEAST_SETS,
                        Math.min(task.sets(candidates.get(c)), item.prescription().sets())));
            members.add(c);
          }
        }
        if (members.size() == 2) {
          int[] pair = members.stream().sorted().mapToInt(Integer::intValue).toArray();
          if (task.pairing().allows(candidates.get(pair[0]), candidates.get(pair[1]))
              && Required.entry(there.sets().get(d), pair[0])
                  .equals(there.sets().get(d).get(pair[1]))) {
            there.pairs().get(d).add(pair);
          }
        }
      }
    }
    if (keepsTheRules(there)
        && Appraisal.points(task, candidates, there) < Appraisal.points(task, candidates, start)) {
      start = there;
    }
    return this;
  }

  /**
   * Stops a search, from any thread; what it has found so far is its answer. A search that is
   * stopped before it begins does not begin.
   */
  public void stop() {
    stopped.set(true);
  }

  /**
   * Solves, and looks often whether it was stopped. The solver forgets a stop that comes before its
   * search has begun; so it is told again until it has ended.
   */
  private CpSolverStatus solve(CpSolver solver, CpSolverSolutionCallback better) {
    if (stopped.get()) {
      return CpSolverStatus.UNKNOWN;
    }
    AtomicBoolean ended = new AtomicBoolean();
    Thread stopper =
        new Thread(
            () -> {
              while (!ended.get()) {
                if (stopped.get()) {
                  solver.stopSearch();
                }
                LockSupport.parkNanos(LOOKS_EVERY_NS);
              }
            },
            "stops-a-search");
    stopper.setDaemon(true);
    stopper.start();
    try {
      return solver.solve(model.model(), better);
    } finally {
      ended.set(true);
      LockSupport.unpark(stopper);
    }
  }

  /**
   * The best week found within so many seconds; empty where no week at all keeps the rules, which
   * only what is pinned can bring about, or where it was stopped before there was one.
   *
   * @param progress told at every better week
   */
  public Optional<Answer> compose(double seconds, Consumer<Progress> progress) {
    CpSolver solver = new CpSolver();
    solver
        .getParameters()
        .setNumWorkers(seconds > LONG_S ? LONG_SEARCHES : SEARCHES)
        .setRandomSeed(1)
        .setMaxTimeInSeconds(seconds);
    long began = System.nanoTime();
    CpSolverStatus status =
        solve(
            solver,
            new CpSolverSolutionCallback() {
              @Override
              public void onSolutionCallback() {
                progress.accept(
                    new Progress(
                        wallTime(),
                        Math.round(objectiveValue()),
                        (long) Math.ceil(bestObjectiveBound() - 1e-6)));
                if (stopped.get()) {
                  stopSearch();
                }
              }
            });
    boolean found = status == CpSolverStatus.OPTIMAL || status == CpSolverStatus.FEASIBLE;
    if (!found && !keepsTheRules(start)) {
      return Optional.empty();
    }
    Appraisal.Choice choice = found ? model.choice(solver) : start;
    if (keepsTheRules(start)
        && Appraisal.points(task, candidates, start) < Appraisal.points(task, candidates, choice)) {
      choice = start;
    }
    Appraisal.Choice smoothed = SingleChanges.of(task, candidates, choice);
    if (keepsTheRules(smoothed)) {
      choice = smoothed;
    }
    long bound =
        status == CpSolverStatus.UNKNOWN
            ? 0
            : (long) Math.max(0, Math.ceil(solver.bestObjectiveBound() - 1e-6));
    return Optional.of(
        new Answer(
            byDay(choice),
            Appraisal.points(task, candidates, choice),
            bound,
            status == CpSolverStatus.OPTIMAL,
            (System.nanoTime() - began) / 1e9));
  }

  private List<Answer.OfDay> byDay(Appraisal.Choice choice) {
    List<Answer.OfDay> answer = new ArrayList<>();
    for (int d = 0; d < days; d++) {
      Map<CandidateId, Integer> own = new LinkedHashMap<>();
      choice
          .sets()
          .get(d)
          .forEach((first, second) -> own.put(candidates.get(first).candidateId(), second));
      answer.add(
          new Answer.OfDay(
              own,
              choice.pairs().get(d).stream()
                  .map(
                      p ->
                          List.of(
                              candidates.get(p[0]).candidateId(),
                              candidates.get(p[1]).candidateId()))
                  .toList()));
    }
    return List.copyOf(answer);
  }

  /**
   * Whether a week that the solver has not seen may be done: in its time, and where the day has one
   * station, at one.
   */
  private boolean keepsTheRules(Appraisal.Choice choice) {
    for (int d = 0; d < days; d++) {
      Planned.Day frame = task.frames().get(d);
      Set<Set<Equipment>> stations = new HashSet<>();
      task.pinned(d).forEach(item -> stations.add(task.offers().get(item.candidateId()).station()));
      choice.sets().get(d).keySet().forEach(c -> stations.add(candidates.get(c).station()));
      boolean oneStation =
          !frame.oneStation()
              || stations.stream().anyMatch(texts -> stations.stream().allMatch(texts::containsAll))
              || stations.isEmpty();
      if (!oneStation || Appraisal.seconds(task, d, candidates, choice) > 60 * frame.minutes()) {
        return false;
      }
    }
    return true;
  }
}
