package istmo.core.ranking.setup;

import istmo.core.anatomy.Coordinate;
import istmo.core.body.Cautions;
import istmo.core.catalogue.Candidate;
import istmo.core.computing.Workers;
import istmo.core.mechanics.Analyser;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.CannotAnalyse;
import istmo.core.movement.Impossible;
import istmo.core.movement.Reach;
import istmo.core.movement.Setup;
import istmo.core.quantity.Fact;
import istmo.core.quantity.Required;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.criterion.Admission;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.criterion.Fit;
import istmo.core.ranking.criterion.UsualSet;
import istmo.core.stimulus.Stimulus;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Set-ups of one exercise that were computed for a brief, each once. */
final class TriedSetups {
  /**
   * Share of the range that a set-up must keep: partial repetitions are exercises of their own, not
   * better set-ups.
   */
  private static final double KEPT_RANGE = 0.9;

  private final Brief brief;
  private final Candidate candidate;

  /** The heaviest weight of the place for this candidate, kg. */
  private final double heaviestKg;

  private final Map<Map<String, Double>, Tried> tried = new HashMap<>();
  private final Analyser[] analysers = new Analyser[Runtime.getRuntime().availableProcessors()];

  /** What the joint that turns most must turn at least, rad. */
  private double leastRange;

  /** A set-up that was computed, or what stands in its way. */
  record Tried(Optional<Evaluation.Computed> computed, Optional<Fact> obstacle, double fit) {}

  /**
   * @param brief whose body is the one as far as cautions let it go
   */
  TriedSetups(Brief brief, Candidate candidate) {
    this.brief = brief;
    this.candidate = candidate;
    this.heaviestKg = UsualSet.heaviestKg(candidate, brief.equipment());
    for (int i = 0; i < analysers.length; i++) {
      analysers[i] = new Analyser(brief.limitedBody());
    }
  }

  /** From now on a set-up must keep nearly the range of one that was computed. */
  void keepRangeOf(Analysis analysis) {
    leastRange = KEPT_RANGE * range(analysis);
  }

  /** How many were computed. */
  int size() {
    return tried.size();
  }

  Tried at(Setup setup) {
    return Required.entry(tried, setup.values());
  }

  /** Computes what was not tried yet, on all processors; a set-up is found again by its values. */
  List<Tried> tryAll(List<Setup> setups) {
    Map<Map<String, Double>, Setup> untried = new LinkedHashMap<>();
    setups.stream()
        .filter(setup -> !tried.containsKey(setup.values()))
        .forEach(setup -> untried.put(setup.values(), setup));
    List<Setup> fresh = List.copyOf(untried.values());
    Tried[] results = new Tried[fresh.size()];
    int parts = Math.min(analysers.length, Math.max(1, fresh.size()));
    Workers.run(
        parts,
        part -> {
          for (int k = part; k < results.length; k += parts) {
            results[k] = compute(analysers[part], fresh.get(k));
          }
        });
    for (int k = 0; k < results.length; k++) {
      tried.put(fresh.get(k).values(), results[k]);
    }
    return setups.stream().map(this::at).toList();
  }

  private Tried compute(Analyser analyser, Setup setup) {
    Optional<Impossible> obstacle =
        Reach.obstacle(brief.limitedBody(), candidate.exercise().family(), setup);
    if (obstacle.isPresent()) {
      return impossible(obstacle.get().obstacle());
    }
    UsualSet set = UsualSet.in(setup, candidate, brief.limitedBody(), analyser, heaviestKg);
    if (set.result() instanceof CannotAnalyse cannot) {
      return impossible(cannot.why());
    }
    Analysis analysis = (Analysis) set.result();
    if (range(analysis) < leastRange) {
      return impossible(new SetupFact.MuchLessRange());
    }
    Optional<Cautions.Refusal> refusal =
        Admission.refusal(brief.cautions(), candidate.exercise(), Optional.of(analysis));
    if (refusal.isPresent()) {
      return impossible(refusal.get().why());
    }
    Evaluation.Computed computed =
        new Evaluation.Computed(
            candidate, set.reach(), analysis, Stimulus.byRegion(analysis, brief.school()));
    return new Tried(
        Optional.of(computed),
        Optional.empty(),
        Fit.of(brief.aim(), computed.stimulus(), computed.analysis()));
  }

  /** How far the joint that turns most turns, rad. */
  private static double range(Analysis analysis) {
    double most = 0;
    for (Coordinate coordinate : Coordinate.values()) {
      double low =
          analysis.points().stream()
              .mapToDouble(point -> point.posture().angle(coordinate))
              .min()
              .orElse(0);
      double high =
          analysis.points().stream()
              .mapToDouble(point -> point.posture().angle(coordinate))
              .max()
              .orElse(0);
      most = Math.max(most, high - low);
    }
    return most;
  }

  private static Tried impossible(Fact why) {
    return new Tried(Optional.empty(), Optional.of(why), Double.NEGATIVE_INFINITY);
  }
}
