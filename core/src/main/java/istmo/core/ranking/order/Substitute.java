package istmo.core.ranking.order;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionValues;
import istmo.core.catalogue.CandidateId;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisPoint;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What to do here instead of an exercise whose equipment is missing.
 *
 * @param alikeness 1 for the same regions at the same lengths, falling towards 0
 * @param lost what is lost with it; none where the model can tell nothing
 */
public record Substitute(
    CandidateId candidateId, String name, double alikeness, List<OrderFact.LessFor> lost) {
  /** Below this the nearest is no substitute. */
  static final double LEAST = 0.5;

  /** How much a difference of one optimal fibre length counts beside the whole stimulus. */
  private static final double LENGTH_WEIGHT = 1;

  private static final double TELLABLE = 0.2;

  /**
   * Weight of the joints beside the regions (judgement): a curl is no hinge though both train
   * hamstrings.
   */
  private static final double JOINT_WEIGHT = 0.5;

  /**
   * The nearest of the available candidates by region fingerprint and by the length at which each
   * region is loaded; empty when nothing here comes near.
   */
  static Optional<Substitute> of(
      Evaluation.Computed missing, Map<Evaluation.Computed, Shape> available, School school) {
    Shape shape = shape(missing, school);
    return available.entrySet().stream()
        .map(
            entry ->
                Map.entry(alike(missing, shape, entry.getKey(), entry.getValue()), entry.getKey()))
        .filter(entry -> entry.getKey() >= LEAST)
        .max(
            Comparator.comparingDouble(
                    (Map.Entry<Double, Evaluation.Computed> entry) -> entry.getKey())
                .thenComparing(entry -> entry.getValue().candidate().id()))
        .map(
            entry ->
                new Substitute(
                    entry.getValue().candidate().id(),
                    entry.getValue().candidate().name(),
                    entry.getKey(),
                    lost(missing, entry.getValue())));
  }

  /**
   * What makes an exercise alike to another beside its stimulus: mean loaded length of each region,
   * and how the work is spread over the joints.
   */
  record Shape(RegionValues loadedLengths, double[] jointShares) {}

  /** Shapes are worked out once for all comparisons of an order. */
  @SuppressWarnings("IdentityHashMapUsage") // equality by content would compare whole analyses
  static Map<Evaluation.Computed, Shape> shapes(
      Collection<Evaluation.Computed> all, School school) {
    Map<Evaluation.Computed, Shape> shapes = new IdentityHashMap<>();
    all.forEach(computed -> shapes.put(computed, shape(computed, school)));
    return shapes;
  }

  private static Shape shape(Evaluation.Computed computed, School school) {
    return new Shape(loadedLengths(computed, school), jointShares(computed.analysis()));
  }

  /**
   * exp(-d), d the distance of the fingerprints over the length of the longer one: more of the same
   * is not unlike, plus the mean difference of loaded lengths, plus how differently the work is
   * spread over the joints.
   */
  private static double alike(
      Evaluation.Computed computed, Shape shapeA, Evaluation.Computed otherComputed, Shape shapeB) {
    double squares = 0;
    double sizeA = 0;
    double sizeB = 0;
    double lengths = 0;
    double weight = 0;
    RegionValues la = shapeA.loadedLengths();
    RegionValues lb = shapeB.loadedLengths();
    for (Region region : Region.values()) {
      double sa = computed.stimulus().get(region);
      double sb = otherComputed.stimulus().get(region);
      squares += (sa - sb) * (sa - sb);
      sizeA += sa * sa;
      sizeB += sb * sb;
      double shared = Math.min(sa, sb);
      lengths += shared * Math.abs(la.get(region) - lb.get(region));
      weight += shared;
    }
    double distance =
        Math.sqrt(squares / Math.max(1e-9, Math.max(sizeA, sizeB)))
            + (weight > 0 ? LENGTH_WEIGHT * lengths / weight : 0)
            + JOINT_WEIGHT * jointDistance(shapeA.jointShares(), shapeB.jointShares());
    return Math.exp(-distance);
  }

  /**
   * 0 where the same joints work in the same direction and proportion, 1 where none does: half the
   * sum of differences of mean moments, each set of moments made to add up to one.
   */
  private static double jointDistance(double[] ma, double[] mb) {
    double sum = 0;
    for (int j = 0; j < ma.length; j++) {
      sum += Math.abs(ma[j] - mb[j]);
    }
    return sum / 2;
  }

  private static double[] jointShares(Analysis analysis) {
    double[] mean = new double[Coordinate.LEG];
    for (AnalysisPoint point : analysis.points()) {
      for (int j = 0; j < mean.length; j++) {
        mean[j] +=
            point.posture().carried().contains(Coordinate.values()[j])
                ? point.suppliedNm(Coordinate.values()[j])
                : 0;
      }
    }
    double all = Math.max(1e-9, Arrays.stream(mean).map(Math::abs).sum());
    return Arrays.stream(mean).map(m -> m / all).toArray();
  }

  /** Mean fibre length of each region over the range, weighted by what counts there. */
  private static RegionValues loadedLengths(Evaluation.Computed computed, School school) {
    return RegionValues.of(
        region -> {
          int muscle = region.muscleIndex();
          double sum = 0;
          double weight = 1e-9;
          for (AnalysisPoint point : computed.analysis().points()) {
            double t = Stimulus.tension(point, school, muscle);
            sum += t * point.fibreLength()[muscle];
            weight += t;
          }
          return sum / weight;
        });
  }

  private static List<OrderFact.LessFor> lost(
      Evaluation.Computed missing, Evaluation.Computed here) {
    return Arrays.stream(Region.values())
        .filter(region -> missing.stimulus().get(region) > 0.3)
        .map(
            region ->
                new OrderFact.LessFor(
                    region, 1 - here.stimulus().get(region) / missing.stimulus().get(region)))
        .sorted(Comparator.comparingDouble(OrderFact.LessFor::share).reversed())
        .limit(2)
        .filter(less -> less.share() > TELLABLE)
        .toList();
  }
}
