package istmo.core.ranking.criterion;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionValues;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisPoint;
import istmo.core.ranking.brief.Aim;
import java.util.Map;

/** How well a set serves an aim. */
public final class Fit {
  /** How much of a kept-out region's stimulus is taken from the fit. */
  public static final double KEEP_OUT_SHARE = 0.5;

  private Fit() {}

  /**
   * Weighted mean stimulus of the aimed regions, less half of the mean of what is to be kept out.
   */
  public static double of(Aim aim, RegionValues stimulus, Analysis analysis) {
    double weight = 0;
    double sum = 0;
    for (Map.Entry<Region, Integer> entry : aim.weights().entrySet()) {
      weight += entry.getValue();
      sum += entry.getValue() * stimulus.get(entry.getKey());
    }
    double out = 0;
    for (Region region : aim.keepOut()) {
      out += region == Region.ERECTORS ? backActivation(analysis) : stimulus.get(region);
    }
    return sum / weight
        - (aim.keepOut().isEmpty() ? 0 : KEEP_OUT_SHARE * out / aim.keepOut().size());
  }

  /** Greatest activation of the lower back over the range at the working load. */
  public static double backActivation(Analysis analysis) {
    return analysis.points().stream().mapToDouble(AnalysisPoint::backActivation).max().orElse(0);
  }
}
