package istmo.core.ranking.explanation;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionValues;
import istmo.core.catalogue.Candidate;
import istmo.core.evidence.Evidence;
import istmo.core.evidence.Point;
import istmo.core.evidence.Posterior;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisPoint;
import istmo.core.movement.Reach;
import istmo.core.quantity.Fact;
import istmo.core.quantity.InvalidInput;
import istmo.core.ranking.Alternative.Criterion;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.criterion.Limiters;
import istmo.core.ranking.criterion.Practical;
import istmo.core.ranking.criterion.ScoredCandidate;
import istmo.core.ranking.criterion.UsualSet;
import istmo.core.ranking.setup.BottomAngle;
import istmo.core.ranking.setup.Difference;
import istmo.core.ranking.setup.DifferenceFact.Named;
import istmo.core.stimulus.Stimulus;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Two to four candidates point by point: for every region what each gives with its 80 % interval
 * and the chance that it gives most, under draws common to all, and what truly differs. What the
 * client felt in an exercise counts as it does in the order.
 *
 * @param regions every region, in the order of the list
 * @param criteria the practical points of each
 * @param studies the findings about these exercises or the region most aimed at that move the
 *     comparison most there; those that set these exercises side by side first, then those about
 *     one of them, then the greatest
 */
public record Comparison(
    List<Points> regions,
    List<List<Criterion>> criteria,
    List<ComparisonFact> facts,
    List<Told> studies) {
  public static final int MOST = 4;

  /** The leader must give more in this share of draws to be called the one that gives most. */
  private static final double CLEARLY = 0.8;

  private static final double TELLABLE_DEG = 5;
  private static final double TELLING = 0.01;
  private static final int MOST_STUDIES = 5;

  /**
   * A finding that moves the comparison.
   *
   * @param betweenThem whether its two conditions are two of the exercises compared
   */
  public record Told(Posterior.Influence influence, boolean betweenThem) {
    private static Told of(Posterior.Influence influence, List<String> exercises) {
      return new Told(influence, influence.finding().comparesTwoOf(exercises));
    }
  }

  /** One region: value, interval and chance of giving most, by member. */
  public record Points(Region region, List<Member> members) {}

  /** One exercise at a region: its stimulus with an 80 % interval, and how likely it gives most. */
  public record Member(double value, double low, double high, double chanceOfMost) {}

  /**
   * One candidate in its set-up, already computed for this body.
   *
   * @param moved whether the set-up is another than the usual one as far as the body takes it
   */
  public record Side(
      Candidate candidate, Reach reach, boolean moved, Analysis analysis, RegionValues stimulus) {
    /** What the evidence knows it by: in its usual set-up the candidate itself. */
    private Point point() {
      Point usual = Point.of(candidate);
      return moved
          ? new Point(candidate.id() + " moved", usual.exercise(), reach.setup(), usual.yields())
          : usual;
    }
  }

  /**
   * Compares two or more exercises for a brief; throws {@code InvalidInput} for fewer, or for too
   * many.
   */
  public static Comparison of(Brief brief, List<Side> sides) {
    if (sides.size() < 2 || sides.size() > MOST) {
      throw new InvalidInput("sides", "needs two to " + MOST);
    }
    Evidence evidence = Evidence.of(brief.school());
    List<Evidence.At> at =
        sides.stream()
            .map(
                side ->
                    evidence
                        .at(side.point())
                        .on(side.stimulus(), UsualSet.heavyEnough(side.reach())))
            .toList();
    List<Points> regions = new ArrayList<>();
    List<double[]> said =
        sides.stream()
            .map(
                side ->
                    ScoredCandidate.said(
                        side.candidate().id(), side.stimulus(), brief.experience()))
            .toList();
    for (Region region : Region.values()) {
      regions.add(points(brief, sides, at, said, region));
    }
    List<ComparisonFact> facts = new ArrayList<>();
    brief
        .aim()
        .weights()
        .keySet()
        .forEach(region -> facts.add(gives(regions.get(region.ordinal()), sides)));
    facts.addAll(others(regions, brief.aim(), sides));
    facts.add(ends(sides));
    angles(sides, facts);
    for (int i = 0; i < sides.size(); i++) {
      Candidate candidate = sides.get(i).candidate();
      List<Fact> told =
          Explanation.said(
              candidate.id(),
              said.get(i),
              brief.experience(),
              brief.aim().weights().keySet(),
              false);
      if (!told.isEmpty()) {
        facts.add(new ComparisonFact.ClientSaid(candidate.name(), told));
      }
    }
    Region most =
        brief.aim().weights().entrySet().stream()
            .max(Map.Entry.comparingByValue())
            .map(Map.Entry::getKey)
            .orElse(regions.get(0).region());
    return new Comparison(
        List.copyOf(regions),
        criteria(brief, sides, regions),
        List.copyOf(facts),
        studies(sides, at, most));
  }

  /** The studies that move the figure of a region most, those that compare two of these first. */
  private static List<Told> studies(List<Side> sides, List<Evidence.At> at, Region region) {
    List<String> exercises = sides.stream().map(side -> side.candidate().exerciseId()).toList();
    Set<String> seen = new LinkedHashSet<>();
    return at.stream()
        .flatMap(there -> there.influences(region.ordinal()).stream())
        .filter(influence -> Math.abs(influence.shift()) >= TELLING)
        .filter(influence -> influence.finding().tellsOf(exercises, region))
        .map(influence -> Told.of(influence, exercises))
        .sorted(
            Comparator.comparing((Told told) -> !told.betweenThem())
                .thenComparing(told -> !told.influence().finding().comparesAnyOf(exercises))
                .thenComparing(told -> -Math.abs(told.influence().shift())))
        .filter(told -> seen.add(told.influence().finding().id()))
        .limit(MOST_STUDIES)
        .toList();
  }

  private static List<List<Criterion>> criteria(
      Brief brief, List<Side> sides, List<Points> regions) {
    List<RegionValues> stimulus = new ArrayList<>();
    for (int i = 0; i < sides.size(); i++) {
      int side = i;
      stimulus.add(
          RegionValues.of(region -> regions.get(region.ordinal()).members().get(side).value()));
    }
    double most = stimulus.stream().mapToDouble(Practical::work).max().orElse(0);
    List<List<Criterion>> result = new ArrayList<>();
    for (int i = 0; i < sides.size(); i++) {
      Side side = sides.get(i);
      Evaluation.Computed computed =
          new Evaluation.Computed(side.candidate(), side.reach(), side.analysis(), side.stimulus());
      result.add(
          Practical.criteria(brief, side.candidate().exercise(), computed, stimulus.get(i), most));
    }
    return List.copyOf(result);
  }

  private static Points points(
      Brief brief, List<Side> sides, List<Evidence.At> at, List<double[]> said, Region region) {
    int r = region.ordinal();
    double[][] draws = new double[sides.size()][Evidence.DRAWS];
    double[] value = new double[sides.size()];
    for (int i = 0; i < draws.length; i++) {
      double mechanics = sides.get(i).stimulus().get(region) + Stimulus.FLOOR;
      double own = said.get(i)[r];
      value[i] = Math.max(0, mechanics * Math.exp(at.get(i).shift(r) + own) - Stimulus.FLOOR);
      double[] deviation =
          at.get(i)
              .draws(
                  r,
                  brief.measured(),
                  brief.body().technique().of(sides.get(i).candidate().exerciseId()));
      for (int d = 0; d < deviation.length; d++) {
        draws[i][d] = Math.max(0, mechanics * Math.exp(deviation[d] + own) - Stimulus.FLOOR);
      }
    }
    int[] wins = new int[draws.length];
    for (int d = 0; d < Evidence.DRAWS; d++) {
      int best = 0;
      for (int i = 1; i < draws.length; i++) {
        best = draws[i][d] > draws[best][d] ? i : best;
      }
      wins[best]++;
    }
    List<Member> members = new ArrayList<>();
    for (int i = 0; i < draws.length; i++) {
      java.util.Arrays.sort(draws[i]);
      int low = (int) Math.round(0.1 * (Evidence.DRAWS - 1));
      members.add(
          new Member(
              value[i],
              draws[i][low],
              draws[i][Evidence.DRAWS - 1 - low],
              wins[i] / (double) Evidence.DRAWS));
    }
    return new Points(region, List.copyOf(members));
  }

  private static ComparisonFact gives(Points points, List<Side> sides) {
    int best = best(points);
    double value = points.members().get(best).value();
    if (value < Difference.SMALLEST) {
      return new ComparisonFact.NoneTrains(points.region());
    }
    String name = sides.get(best).candidate().name();
    double chance = points.members().get(best).chanceOfMost();
    if (chance < CLEARLY) {
      List<String> near = new ArrayList<>();
      for (int i = 0; i < sides.size(); i++) {
        if (i != best && points.members().get(i).high() > points.members().get(best).low()) {
          near.add(sides.get(i).candidate().name());
        }
      }
      return new ComparisonFact.HardlyMore(name, points.region(), near, chance);
    }
    double next = 0;
    for (int i = 0; i < sides.size(); i++) {
      next = i == best ? next : Math.max(next, points.members().get(i).value());
    }
    OptionalDouble times =
        next < Difference.SMALLEST ? OptionalDouble.empty() : OptionalDouble.of(value / next);
    return new ComparisonFact.TrainsMost(name, points.region(), times, chance);
  }

  private static int best(Points points) {
    int best = 0;
    for (int i = 1; i < points.members().size(); i++) {
      best = points.members().get(i).value() > points.members().get(best).value() ? i : best;
    }
    return best;
  }

  /** The regions that are not aimed at and differ most, where the difference can be told. */
  private static List<ComparisonFact> others(List<Points> regions, Aim aim, List<Side> sides) {
    List<Points> told =
        regions.stream()
            .filter(
                points ->
                    !aim.weights().containsKey(points.region())
                        && points.members().get(best(points)).chanceOfMost() >= CLEARLY
                        && spread(points) > 4 * Difference.SMALLEST)
            .sorted(Comparator.comparingDouble(points -> -spread(points)))
            .limit(3)
            .toList();
    Map<String, List<Region>> by =
        told.stream()
            .collect(
                Collectors.groupingBy(
                    points -> sides.get(best(points)).candidate().name(),
                    LinkedHashMap::new,
                    Collectors.mapping(Points::region, Collectors.toList())));
    return by.entrySet().stream()
        .<ComparisonFact>map(
            entry -> new ComparisonFact.OutsideAim(entry.getKey(), entry.getValue()))
        .toList();
  }

  private static double spread(Points points) {
    return points.members().stream().mapToDouble(Member::value).max().orElse(0)
        - points.members().stream().mapToDouble(Member::value).min().orElse(0);
  }

  private static ComparisonFact ends(List<Side> sides) {
    Map<List<String>, List<String>> by =
        sides.stream()
            .collect(
                Collectors.groupingBy(
                    side -> Limiters.first(side.analysis().set().gaveOut()),
                    LinkedHashMap::new,
                    Collectors.mapping(side -> side.candidate().name(), Collectors.toList())));
    return new ComparisonFact.GiveOut(
        sides.size(),
        by.entrySet().stream()
            .map(entry -> new ComparisonFact.EndedBy(entry.getKey(), entry.getValue()))
            .toList());
  }

  private static void angles(List<Side> sides, List<ComparisonFact> facts) {
    boolean upright =
        sides.stream()
            .flatMap(side -> side.analysis().points().stream())
            .allMatch(point -> point.posture().trunkLeanRad() >= 0);
    for (BottomAngle angle : BottomAngle.values()) {
      if (angle == BottomAngle.TRUNK_LEAN && !upright) {
        continue; // on a machine's back rest it says nothing
      }
      List<Named> of =
          sides.stream()
              .map(side -> new Named(side.candidate().name(), angle.deg(bottom(side))))
              .toList();
      double most = of.stream().mapToDouble(Named::value).max().orElse(0);
      double least = of.stream().mapToDouble(Named::value).min().orElse(0);
      if (most - least >= TELLABLE_DEG) {
        facts.add(new ComparisonFact.BottomsDiffer(angle, of));
      }
    }
  }

  private static AnalysisPoint bottom(Side side) {
    return side.analysis().points().get(side.analysis().points().size() - 1);
  }
}
