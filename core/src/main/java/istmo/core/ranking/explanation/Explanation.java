package istmo.core.ranking.explanation;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionGroup;
import istmo.core.anatomy.RegionValues;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.Detail;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.evidence.Finding;
import istmo.core.evidence.Posterior;
import istmo.core.mechanics.AnalysisPoint;
import istmo.core.quantity.Fact;
import istmo.core.quantity.Required;
import istmo.core.ranking.Ranked;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.criterion.Fit;
import istmo.core.ranking.criterion.Limiters;
import istmo.core.ranking.criterion.ScoredCandidate;
import istmo.core.record.Experience;
import istmo.core.record.Experience.Reports;
import istmo.core.stimulus.HeaviestLength;
import istmo.core.stimulus.School;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Why an evaluation stands where it does, from its figures: what it does, where in the range, what
 * gives out first, what it costs, how sure.
 */
public final class Explanation {
  /** A change of a weight by less is none. */
  private static final double LEVEL = 0.05;

  private Explanation() {}

  /**
   * Why a candidate stands where it does.
   *
   * @param bestByRegion greatest stimulus of each region over all candidates of the brief
   * @param most the region most aimed at
   * @param studies the findings that move it most there
   */
  public static List<Fact> why(
      ScoredCandidate candidate,
      Ranked ranked,
      Brief brief,
      RegionValues bestByRegion,
      Exercise exercise,
      Region most,
      List<Posterior.Influence> studies) {
    Evaluation.Computed computed = candidate.evaluation();
    Aim aim = brief.aim();
    List<Fact> reasons = new ArrayList<>();
    List<Map.Entry<Region, Integer>> aimed =
        aim.weights().entrySet().stream()
            .sorted(
                Map.Entry.<Region, Integer>comparingByValue()
                    .reversed()
                    .thenComparing(Map.Entry.comparingByKey()))
            .toList();
    reasons.add(
        new Reason.Gives(
            aimed.stream()
                .map(Map.Entry::getKey)
                .map(
                    region ->
                        new Reason.RegionShare(
                            region,
                            candidate.stimulus().get(region)
                                / Math.max(1e-9, bestByRegion.get(region))))
                .toList()));
    reasons.add(where(computed, most, brief.school()));
    reasons.add(new Reason.GivesOutFirst(Limiters.byGroup(computed.analysis().set().gaveOut())));
    Map<Boolean, Double> shift =
        candidate.evidence().influences(most.ordinal()).stream()
            .collect(
                Collectors.partitioningBy(
                    Explanation::ofPractice, Collectors.summingDouble(Posterior.Influence::shift)));
    reasons.add(studied(Required.entry(shift, false), most, studies));
    agreed(Required.entry(shift, true), computed.candidate(), studies).ifPresent(reasons::add);
    computed.reach().changes().forEach(change -> reasons.add(new Reason.ForClient(change)));
    reasons.addAll(computed.analysis().cautions());
    reasons.addAll(computed.analysis().notes());
    brief.profile().habits().stream()
        .filter(
            habit ->
                habit.family().equals(exercise.family().id()) && aimsAtGroup(aim, habit.group()))
        .forEach(habit -> reasons.add(new Fact.Written(habit.change())));
    said(
            computed.candidate().id(),
            candidate.said(),
            brief.experience(),
            aimed.stream().map(Map.Entry::getKey).toList(),
            true)
        .forEach(reasons::add);
    machine(brief, computed.candidate()).ifPresent(reasons::add);
    reasons.add(costs(computed, exercise.setUpMinutes()));
    reasons.add(new Reason.LikelyPlace(ranked.rankLow(), ranked.rankHigh(), ranked.chanceOfBest()));
    return reasons;
  }

  /**
   * What this client has said of an exercise, and what that does.
   *
   * @param said added to ln(stimulus) of each region, by its place in the list
   * @param aimed the regions that are told
   * @param inOrder whether it moves the client's order, or a comparison as it does the order
   */
  static List<Fact> said(
      CandidateId candidateId,
      double[] said,
      Experience experience,
      Collection<Region> aimed,
      boolean inOrder) {
    List<Fact> facts = new ArrayList<>();
    experience.reports(candidateId).filter(Reports::saysAnything).ifPresent(facts::add);
    List<Reason.RegionShift> moved =
        aimed.stream()
            .map(region -> new Reason.RegionShift(region, said[region.ordinal()]))
            .filter(region -> Math.abs(region.shift()) >= 0.01)
            .toList();
    if (!moved.isEmpty()) {
      facts.add(new Reason.MovedByClient(!facts.isEmpty(), moved, inOrder));
    }
    return facts;
  }

  private static boolean ofPractice(Posterior.Influence influence) {
    return influence.finding().how() == Finding.How.PRACTICE;
  }

  /**
   * What coaches agree on and how far it moves the figure; what they say of this very candidate
   * stands with it, strongest first.
   */
  private static Optional<Reason> agreed(
      double shift, Candidate candidate, List<Posterior.Influence> influences) {
    List<Reason.CoachesSay> said =
        influences.stream()
            .filter(Explanation::ofPractice)
            .map(Posterior.Influence::finding)
            .flatMap(finding -> said(finding, candidate.id()))
            .limit(2)
            .toList();
    return said.isEmpty() && !moves(shift)
        ? Optional.empty()
        : Optional.of(new Reason.CoachesAgree(moving(shift), said));
  }

  private static Stream<Reason.CoachesSay> said(Finding finding, CandidateId candidateId) {
    if (finding.setUpA().filter(point -> point.candidateId().equals(candidateId)).isPresent()) {
      return Stream.of(new Reason.CoachesSay(true, finding.conditionB()));
    }
    return finding.setUpB().filter(point -> point.candidateId().equals(candidateId)).isPresent()
        ? Stream.of(new Reason.CoachesSay(false, finding.conditionA()))
        : Stream.of();
  }

  /** What the studies say beside the mechanics, and how far they move its figure. */
  private static Reason studied(double shift, Region region, List<Posterior.Influence> all) {
    List<Posterior.Influence> studies =
        all.stream().filter(influence -> !ofPractice(influence)).toList();
    if (studies.isEmpty()) {
      return new Reason.NoStudy(region);
    }
    Map<String, Double> byStudy = new LinkedHashMap<>();
    studies.forEach(
        influence ->
            byStudy.merge(influence.finding().shortCitation(), influence.shift(), Double::sum));
    return new Reason.Studied(
        region,
        moving(shift),
        byStudy.entrySet().stream()
            .map(entry -> new Reason.Cited(entry.getKey(), entry.getValue()))
            .limit(3)
            .toList());
  }

  private static Optional<Double> moving(double shift) {
    return moves(shift) ? Optional.of(shift) : Optional.empty();
  }

  /** Whether a shift of ln(stimulus) is worth a word. */
  private static boolean moves(double shift) {
    return Math.abs(Math.expm1(shift)) >= 0.03;
  }

  /**
   * What puts an alternative below the one before it: the points between them, and the criteria by
   * which most of them are lost.
   */
  public static Reason below(Ranked above, String nameAbove, Ranked ranked) {
    Map<String, Double> points =
        above.contributions().stream()
            .collect(Collectors.toMap(Ranked.Contribution::criterion, Ranked.Contribution::points));
    List<Reason.Lost> lost =
        ranked.contributions().stream()
            .map(
                contribution ->
                    new Reason.Lost(
                        contribution.label(),
                        points.getOrDefault(contribution.criterion(), 0.0) - contribution.points()))
            .filter(each -> Math.round(100 * each.points()) >= 1)
            .sorted(Comparator.comparingDouble(Reason.Lost::points).reversed())
            .limit(2)
            .toList();
    return new Reason.Below(above.utility() - ranked.utility(), nameAbove, lost);
  }

  /**
   * What holds it back most, and the least changes that would move it up: a weight, or another
   * set-up of it.
   */
  public static List<Reason> raise(
      Ranked ranked, List<Ranked> all, Function<String, Candidate> candidate) {
    List<Reason> reasons = new ArrayList<>();
    ranked
        .back()
        .ifPresent(
            back ->
                reasons.add(
                    new Reason.BehindFirst(
                        all.get(0).utility() - ranked.utility(),
                        new Reason.Lost(back.label(), back.points()))));
    ranked
        .raise()
        .ifPresent(raise -> reasons.add(raised(raise, candidate.apply(raise.over()).name())));
    String exercise = candidate.apply(ranked.id()).exerciseId();
    for (int k = 0; k < all.size() && !all.get(k).id().equals(ranked.id()); k++) {
      if (candidate.apply(all.get(k).id()).exerciseId().equals(exercise)) {
        reasons.add(new Reason.OtherSetup(k + 1, candidate.apply(all.get(k).id()).name()));
        break;
      }
    }
    return List.copyOf(reasons);
  }

  private static Reason raised(Ranked.Raise raise, String over) {
    return Math.abs(raise.factor() - 1) < LEVEL
        ? new Reason.LevelWith(over)
        : new Reason.WouldPass(raise.label(), raise.factor(), over);
  }

  /**
   * How much of the machine is known here; empty for what no order hangs on, and for weights in the
   * hand, which are no machine.
   */
  private static Optional<Reason> machine(Brief brief, Candidate candidate) {
    long matters = 0;
    long known = 0;
    for (Equipment item : candidate.needs()) {
      for (Detail detail : item.details()) {
        if (detail.between().isPresent() && !detail.id().equals(GymEquipment.HEAVIEST)) {
          matters++;
          known += brief.equipment().measured(item, detail.id()).isPresent() ? 1 : 0;
        }
      }
    }
    return matters == 0 ? Optional.empty() : Optional.of(new Reason.MachineKnown(known, matters));
  }

  private static boolean aimsAtGroup(Aim aim, RegionGroup group) {
    return aim.weights().keySet().stream().anyMatch(region -> region.group() == group);
  }

  private static Reason where(Evaluation.Computed computed, Region region, School school) {
    int muscle = region.muscleIndex();
    AnalysisPoint peak = HeaviestLength.peak(computed.analysis(), school, muscle);
    double length = peak.fibreLength()[muscle];
    return new Reason.HeaviestWhere(
        region,
        peak.phase(),
        region.held() ? HeaviestLength.HELD : HeaviestLength.at(length),
        length);
  }

  /** What it costs: the back, and minutes to set up. */
  public static Reason.Costs costs(Evaluation.Computed computed, double setUpMinutes) {
    return new Reason.Costs(Fit.backActivation(computed.analysis()), setUpMinutes);
  }
}
