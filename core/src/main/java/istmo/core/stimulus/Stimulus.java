package istmo.core.stimulus;

import istmo.core.anatomy.Muscle;
import istmo.core.anatomy.Muscles;
import istmo.core.anatomy.Region;
import istmo.core.anatomy.Regions;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisPoint;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * What each region gets from one repetition at the working load: [mean over the range of ((a fl + c fp) clip(1 + bias (l - 1), 0, 3))^p]^(1/p). 1 is full active tension at optimal length over the whole range; comparable across muscles and
 * exercises. Differences under about a fifth are inside the noise (docs/validation.md).
 */
public final class Stimulus {
  private static final double MOST_LENGTH_WEIGHT = 3;

  private Stimulus() {}

  /** Stimulus by region id, in the order of the region list. */
  public static Map<String, Double> byRegion(Analysis analysis, School school) {
    Map<String, Double> result = new LinkedHashMap<>();
    for (Region region : Regions.standard().all()) {
      double sum = 0;
      for (Map.Entry<String, Double> share : region.muscleShares().entrySet()) {
        sum += share.getValue() * ofMuscle(analysis, school, Muscles.standard().indexOf(share.getKey()));
      }
      result.put(region.id(), sum);
    }
    return result;
  }

  static double ofMuscle(Analysis analysis, School school, int muscle) {
    double sum = 0;
    for (AnalysisPoint p : analysis.points()) {
      sum += Math.pow(tension(p, school, muscle), school.powerMean());
    }
    return Math.pow(sum / analysis.points().size(), 1 / school.powerMean());
  }

  /** Weighted tension of a muscle at one point of the range. */
  public static double tension(AnalysisPoint p, School school, int muscle) {
    double length = Math.max(0, Math.min(MOST_LENGTH_WEIGHT, 1 + school.lengthBias() * (p.fibreLength()[muscle] - 1)));
    return (p.activeTension()[muscle] + school.passiveWeight() * p.passiveTension()[muscle]) * length;
  }

  /** Mean stimulus of each group of regions, weighted by muscle volume, in the order of the region list. */
  public static Map<String, Double> byGroup(Map<String, Double> byRegion) {
    Map<String, Double> sum = new LinkedHashMap<>();
    Map<String, Double> volume = new LinkedHashMap<>();
    for (Region region : Regions.standard().all()) {
      double v = 0;
      for (String id : region.muscleShares().keySet()) {
        Muscle m = Muscles.standard().get(id);
        v += m.volumeM3();
      }
      sum.merge(region.group(), v * byRegion.get(region.id()), Double::sum);
      volume.merge(region.group(), v, Double::sum);
    }
    sum.replaceAll((group, value) -> value / volume.get(group));
    return sum;
  }

  /**
   * Face check of an isolated machine: its own group gets at least twice what any other group gets.
   *
   * @return the groups that get more than half of the own group's stimulus; empty when the check holds
   */
  public static List<String> faceCheckMisses(Map<String, Double> byRegion, String ownGroup) {
    Map<String, Double> groups = byGroup(byRegion);
    double own = groups.get(ownGroup);
    return groups.entrySet().stream().filter(e -> !e.getKey().equals(ownGroup) && e.getValue() > own / 2).map(Map.Entry::getKey).toList();
  }
}
