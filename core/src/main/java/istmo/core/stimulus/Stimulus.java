package istmo.core.stimulus;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionGroup;
import istmo.core.anatomy.RegionValues;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisPoint;
import istmo.core.mechanics.SetSimulation;
import istmo.core.mechanics.SimulatedSet;
import istmo.core.quantity.Required;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What each region gets from a set to failure: sum over its repetitions of [mean over the range of
 * (u^q (c u fl + w fp) clip(1 + bias (l - 1), 0, 3))^p]^(1/p), with drive u, capacity left c,
 * force-length fl, passive tension fp and fibre length l; 1 is what a muscle gets that works alone
 * at optimal length under a constant load for ten repetitions to failure. Comparable across muscles
 * and exercises. Differences under about a fifth are inside the noise (docs/validation.md).
 */
public final class Stimulus {
  /** Added to a stimulus before its logarithm is taken, so that small ones are not torn apart. */
  public static final double FLOOR = 0.2;

  private static final double MOST_LENGTH_WEIGHT = 3;

  /**
   * Change of fibre length, over optimal, that is worth half of a boundless one
   * (docs/decisions.md).
   */
  private static final double HALF_EXCURSION = 0.10;

  private static final double USUAL_EXCURSION = 0.5;

  private static final Map<Double, Double> ALONE = new ConcurrentHashMap<>();

  private Stimulus() {}

  /** Stimulus by region, in the order of the region list. */
  public static RegionValues byRegion(Analysis analysis, School school) {
    return byRegion(analysis.set(), school);
  }

  /** Stimulus by region of a set, in the order of the region list. */
  public static RegionValues byRegion(SimulatedSet set, School school) {
    return RegionValues.of(region -> ofMuscle(set, school, region.muscleIndex()));
  }

  static double ofMuscle(SimulatedSet set, School school, int muscle) {
    double total = 0;
    int last = set.listed() - 1;
    double time = Arrays.stream(set.time()).sum();
    for (int r = 0; r <= last; r++) {
      double sum = 0;
      for (int k = 0; k < set.points(); k++) {
        double u = set.drive(r, k, muscle);
        double tension =
            set.capacity()[r][muscle] * u * set.activeFactor()[k][muscle]
                + school.passiveWeight() * set.passiveFactor()[k][muscle];
        sum +=
            set.time()[k]
                * power(
                    recruited(u, school)
                        * tension
                        * lengthWeight(school, set.fibreLength()[k][muscle]),
                    school.powerMean());
      }
      double mean = root(sum / time, school.powerMean());
      total += (r == last ? set.lastShare() : 1) * time * mean;
    }
    return total
        * set.counted()
        * excursion(set, muscle)
        / ALONE.computeIfAbsent(school.recruitment(), Stimulus::alone);
  }

  /** x to the power p; quick for the usual exponent. */
  private static double power(double x, double p) {
    return p == School.USUAL_POWER_MEAN ? x * Math.sqrt(x) : Math.pow(x, p);
  }

  private static double root(double x, double p) {
    return p == School.USUAL_POWER_MEAN ? Math.cbrt(x * x) : Math.pow(x, 1 / p);
  }

  /**
   * What the change of a muscle's length over the range is worth: dl / (dl + half), 1 for {@value
   * #USUAL_EXCURSION} of the optimal length. A muscle that is held at one length while others move
   * (two-joint muscles in a squat) is driven and grows little. The lower back is held at one length
   * in every exercise of the model, which is the work that it has: there it is 1, because isometric
   * training lets muscles grow about as moving does (Oranchuk et al. 2019, from memory).
   */
  private static double excursion(SimulatedSet set, int muscle) {
    if (muscle == Region.ERECTORS.muscleIndex()) {
      return 1;
    }
    double least = Double.POSITIVE_INFINITY;
    double most = Double.NEGATIVE_INFINITY;
    for (double[] at : set.fibreLength()) {
      least = Math.min(least, at[muscle]);
      most = Math.max(most, at[muscle]);
    }
    double change = most - least;
    return change / (change + HALF_EXCURSION) * (1 + HALF_EXCURSION / USUAL_EXCURSION);
  }

  /**
   * Weighted tension of a muscle at one point of the first repetition: where in the range it works.
   */
  public static double tension(AnalysisPoint point, School school, int muscle) {
    return (point.activeTension()[muscle] + school.passiveWeight() * point.passiveTension()[muscle])
        * lengthWeight(school, point.fibreLength()[muscle]);
  }

  private static double lengthWeight(School school, double length) {
    return Math.max(0, Math.min(MOST_LENGTH_WEIGHT, 1 + school.lengthBias() * (length - 1)));
  }

  private static double recruited(double drive, School school) {
    return school.recruitment() == 2 ? drive * drive : Math.pow(drive, school.recruitment());
  }

  /**
   * What one muscle alone at optimal length gets from ten repetitions to failure under a constant
   * load.
   */
  private static double alone(double recruitment) {
    double low = 0;
    double high = 1;
    for (int step = 0;
        step < 60;
        step++) { // the load with which the tenth repetition takes all that is left
      double load = 0.5 * (low + high);
      double left = 1;
      for (int r = 1; r < SetSimulation.COMPARED_REPETITIONS && left > load; r++) {
        left -= SetSimulation.FATIGUE * load / left;
      }
      if (left > load) {
        low = load;
      } else {
        high = load;
      }
    }
    double left = 1;
    double sum = 0;
    for (int r = 0; r < SetSimulation.COMPARED_REPETITIONS; r++) {
      double u = low / left;
      sum += Math.pow(u, recruitment) * low;
      left -= SetSimulation.FATIGUE * u;
    }
    return sum;
  }

  /**
   * Mean stimulus of each group of regions, weighted by muscle volume, in the order of the region
   * list.
   */
  public static Map<RegionGroup, Double> byGroup(RegionValues byRegion) {
    Map<RegionGroup, Double> sum = new EnumMap<>(RegionGroup.class);
    Map<RegionGroup, Double> volume = new EnumMap<>(RegionGroup.class);
    for (Region region : Region.values()) {
      double v = region.muscle().volumeM3();
      sum.merge(region.group(), v * byRegion.get(region), Double::sum);
      volume.merge(region.group(), v, Double::sum);
    }
    sum.replaceAll((group, value) -> value / Required.entry(volume, group));
    return sum;
  }

  /**
   * Face check of an isolated machine: its own group gets at least twice what any other group gets.
   *
   * @return the groups that get more than half of the own group's stimulus; empty when the check
   *     holds
   */
  public static List<RegionGroup> faceCheckMisses(RegionValues byRegion, RegionGroup ownGroup) {
    Map<RegionGroup, Double> groups = byGroup(byRegion);
    double own = Required.entry(groups, ownGroup);
    return groups.entrySet().stream()
        .filter(entry -> entry.getKey() != ownGroup && entry.getValue() > own / 2)
        .map(Map.Entry::getKey)
        .toList();
  }
}
