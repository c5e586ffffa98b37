package istmo.core.ranking.order;

import istmo.core.anatomy.RegionValues;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Improvisation;
import istmo.core.equipment.Equipment;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.criterion.Fit;
import istmo.core.ranking.criterion.ScoredCandidate;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Under what an exercise hardly trains an aim. An order does not fill its places with what lies
 * below, and where nothing lies above it says so.
 *
 * @param aim what should grow; what is to be kept out makes no exercise one for nothing
 * @param least fit that an exercise must give, in units of stimulus
 * @param best fit of the best that is here
 * @param most the most that anything here gives each region
 * @param elsewhere what would train the aim and is not here, best first
 */
record Floor(Aim aim, double least, double best, RegionValues most, List<Candidate> elsewhere) {
  /**
   * Stimulus under which nothing is believed to grow (judgement: about a seventh of a hard set).
   */
  private static final double HARDLY = 0.15;

  /** Share of the best of any gym under which an exercise is none for the aim (judgement). */
  private static final double SHARE = 1 / 3.0;

  /**
   * Share of the most that anything here gives an aimed region from which an exercise trains the
   * aim by this region alone: a curl beside thrusts, for hamstrings and glutes (judgement).
   */
  private static final double FOR_ONE_REGION = 0.6;

  /** Stimulus that it must give this region all the same (judgement: a quarter of a hard set). */
  private static final double LEAST_FOR_ONE_REGION = 0.25;

  private static final int MOST_ELSEWHERE = 3;

  static Floor of(
      Brief brief, Map<CandidateId, Evaluation> evaluations, Collection<ScoredCandidate> open) {
    Aim aim = new Aim(brief.aim().weights(), Set.of());
    double here = open.stream().mapToDouble(candidate -> candidate.fit(aim)).max().orElse(0);
    Set<CandidateId> openIds = new LinkedHashSet<>();
    open.forEach(candidate -> openIds.add(candidate.evaluation().candidate().id()));
    List<Evaluation.Computed> missing =
        evaluations.values().stream()
            .filter(Evaluation.Computed.class::isInstance)
            .map(Evaluation.Computed.class::cast)
            .filter(computed -> !openIds.contains(computed.candidate().id()))
            .filter(computed -> !lacking(brief, computed.candidate()).isEmpty())
            .sorted(Comparator.comparingDouble(computed -> -fit(aim, computed)))
            .toList();
    double anywhere = missing.isEmpty() ? here : Math.max(here, fit(aim, missing.get(0)));
    double least = Math.max(HARDLY, SHARE * anywhere);
    Set<String> exercises = new LinkedHashSet<>();
    return new Floor(
        aim,
        least,
        here,
        RegionValues.of(
            region ->
                open.stream()
                    .mapToDouble(candidate -> candidate.stimulus().get(region))
                    .max()
                    .orElse(0)),
        missing.stream()
            .filter(computed -> fit(aim, computed) >= least)
            .map(Evaluation.Computed::candidate)
            .filter(candidate -> exercises.add(candidate.exerciseId()))
            .limit(MOST_ELSEWHERE)
            .toList());
  }

  private static double fit(Aim aim, Evaluation.Computed computed) {
    return Fit.of(aim, computed.stimulus(), computed.analysis());
  }

  private static Set<Equipment> lacking(Brief brief, Candidate candidate) {
    return brief.equipment().missing(candidate.needs());
  }

  /** Whether a candidate trains the aim. */
  boolean holds(ScoredCandidate candidate) {
    return candidate.fit(aim) >= least || isForOneRegion(candidate.stimulus());
  }

  private boolean isForOneRegion(RegionValues stimulus) {
    return aim.weights().keySet().stream()
        .anyMatch(
            id ->
                stimulus.get(id) >= Math.max(LEAST_FOR_ONE_REGION, FOR_ONE_REGION * most.get(id)));
  }

  /** Whether an exercise trains the aim. */
  boolean holds(Order.Entry entry) {
    return Fit.of(aim, entry.stimulus(), entry.evaluation().analysis()) >= least
        || isForOneRegion(entry.stimulus());
  }

  /** What is said first where nothing here trains the aim. */
  Optional<Order.Shortage> shortage(Brief brief) {
    if (best >= least) {
      return Optional.empty();
    }
    List<Order.Elsewhere> would =
        elsewhere.stream()
            .map(
                candidate ->
                    new Order.Elsewhere(
                        candidate.id(),
                        candidate.name(),
                        Equipment.names(lacking(brief, candidate))))
            .toList();
    Set<Equipment> items = EnumSet.noneOf(Equipment.class);
    elsewhere.forEach(candidate -> items.addAll(lacking(brief, candidate)));
    return Optional.of(
        new Order.Shortage(
            would,
            Improvisation.instead(
                items, brief.equipment().items(), brief.body(), brief.cautions())));
  }
}
