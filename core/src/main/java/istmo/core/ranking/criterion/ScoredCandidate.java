package istmo.core.ranking.criterion;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionGroup;
import istmo.core.anatomy.RegionValues;
import istmo.core.body.Technique;
import istmo.core.catalogue.CandidateId;
import istmo.core.evidence.Evidence;
import istmo.core.evidence.Point;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.record.Experience;
import istmo.core.stimulus.Stimulus;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * One candidate with what the studies say to what the mechanics says, and what this client has said
 * of it.
 *
 * @param said added to ln(stimulus) of each region, by its place in the list: what this client felt
 * @param stimulus by region: the median of what mechanics and studies together leave possible
 */
public record ScoredCandidate(
    Evaluation.Computed evaluation, Evidence.At evidence, double[] said, RegionValues stimulus) {
  /**
   * A group is meant where one of its regions gets this share of what the most trained one does.
   */
  private static final double MEANT = 0.7;

  private static final List<Region> REGIONS = List.of(Region.values());

  /** A candidate with what studies, mechanics and this client's record say of it. */
  public static ScoredCandidate of(
      Evaluation.Computed computed, Evidence evidence, Experience experience) {
    Evidence.At at =
        evidence
            .at(Point.of(computed.candidate()))
            .on(computed.stimulus(), UsualSet.heavyEnough(computed.reach()));
    double[] said = said(computed.candidate().id(), computed.stimulus(), experience);
    RegionValues stimulus =
        RegionValues.of(
            region -> {
              int r = region.ordinal();
              double mechanics = computed.stimulus().get(region) + Stimulus.FLOOR;
              return Math.max(0, mechanics * Math.exp(at.shift(r) + said[r]) - Stimulus.FLOOR);
            });
    return new ScoredCandidate(computed, at, said, stimulus);
  }

  /**
   * What this client felt in an exercise, added to ln(stimulus) of each region by its place in the
   * list.
   */
  public static double[] said(
      CandidateId candidateId, RegionValues mechanics, Experience experience) {
    double[] said = new double[REGIONS.size()];
    if (!experience.isEmpty()) {
      double most = mechanics.stream().max().orElse(0);
      Set<RegionGroup> meant =
          REGIONS.stream()
              .filter(region -> mechanics.get(region) >= MEANT * most)
              .map(Region::group)
              .collect(Collectors.toSet());
      Arrays.setAll(said, r -> experience.shift(candidateId, REGIONS.get(r).group(), meant));
    }
    return said;
  }

  /**
   * How well it serves an aim: weighted mean stimulus of the aimed regions, less a share of the
   * mean of what is to be kept out.
   */
  public double fit(Aim aim) {
    return Fit.of(aim, stimulus, evaluation.analysis());
  }

  /** The same under each draw of what is not known. */
  public double[] fits(Brief brief) {
    Aim aim = brief.aim();
    double[] sum = new double[Evidence.DRAWS];
    double weight = aim.weights().values().stream().mapToDouble(Integer::doubleValue).sum();
    aim.weights().forEach((region, w) -> add(sum, w / weight, region, brief));
    for (Region region : aim.keepOut()) {
      double share = -Fit.KEEP_OUT_SHARE / aim.keepOut().size();
      if (region == Region.ERECTORS) {
        double back = Fit.backActivation(evaluation.analysis());
        Arrays.setAll(sum, d -> sum[d] + share * back);
      } else {
        add(sum, share, region, brief);
      }
    }
    return sum;
  }

  private void add(double[] sum, double factor, Region region, Brief brief) {
    double mechanics = evaluation.stimulus().get(region);
    double[] draws = evidence.draws(region.ordinal(), brief.measured(), seen(brief));
    double own = said[region.ordinal()];
    for (int d = 0; d < sum.length; d++) {
      sum[d] +=
          factor
              * Math.max(
                  0, (mechanics + Stimulus.FLOOR) * Math.exp(draws[d] + own) - Stimulus.FLOOR);
    }
  }

  private Map<String, Technique.Seen> seen(Brief brief) {
    return brief.body().technique().of(evaluation.candidate().exerciseId());
  }
}
