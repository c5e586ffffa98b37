package istmo.core.ranking.criterion;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.Regions;
import istmo.core.evidence.Evidence;
import istmo.core.evidence.Point;
import istmo.core.stimulus.Stimulus;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * One candidate with what the studies say to what the mechanics says.
 *
 * @param stimulus by region id: the median of what mechanics and studies together leave possible
 */
record Judged(Evaluation.Computed evaluation, Evidence.At evidence, Map<String, Double> stimulus) {
  private static final List<Region> REGIONS = Regions.standard().all();

  static Judged of(Evaluation.Computed e, Evidence evidence) {
    Evidence.At at = evidence.at(Point.of(e.candidate()));
    Map<String, Double> stimulus = new LinkedHashMap<>();
    for (int r = 0; r < REGIONS.size(); r++) {
      double mechanics = e.stimulus().get(REGIONS.get(r).id());
      stimulus.put(REGIONS.get(r).id(), Math.max(0, (mechanics + Stimulus.FLOOR) * Math.exp(at.shift(r)) - Stimulus.FLOOR));
    }
    return new Judged(e, at, stimulus);
  }

  /** How well it serves an aim: weighted mean stimulus of the aimed regions, less a share of the mean of what is to be kept out. */
  double fit(Aim aim) {
    return Orders.fit(aim, stimulus, evaluation.analysis());
  }

  /** The same under each draw of what is not known. */
  double[] fits(Brief brief) {
    Aim aim = brief.aim();
    double[] sum = new double[Evidence.DRAWS];
    double weight = aim.weights().values().stream().mapToDouble(Integer::doubleValue).sum();
    aim.weights().forEach((id, w) -> add(sum, w / weight, id, brief));
    for (String id : aim.keepOut()) {
      double share = -Orders.KEEP_OUT_SHARE / aim.keepOut().size();
      if (id.equals(Regions.LOWER_BACK)) {
        double back = Explanation.backActivation(evaluation.analysis());
        Arrays.setAll(sum, d -> sum[d] + share * back);
      } else {
        add(sum, share, id, brief);
      }
    }
    return sum;
  }

  private void add(double[] sum, double factor, String id, Brief brief) {
    double mechanics = evaluation.stimulus().get(id);
    double[] draws = evidence.draws(index(id), brief.measured());
    for (int d = 0; d < sum.length; d++) {
      sum[d] += factor * Math.max(0, (mechanics + Stimulus.FLOOR) * Math.exp(draws[d]) - Stimulus.FLOOR);
    }
  }

  static int index(String regionId) {
    for (int r = 0; r < REGIONS.size(); r++) {
      if (REGIONS.get(r).id().equals(regionId)) {
        return r;
      }
    }
    throw new IllegalArgumentException(regionId);
  }
}
