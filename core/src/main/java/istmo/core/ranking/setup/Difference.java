package istmo.core.ranking.setup;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionValues;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisPoint;
import istmo.core.ranking.criterion.Limiters;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What truly differs between two analyses of one exercise: two set-ups of one client, or two
 * clients. A difference inside the model's own noise is said to be none.
 *
 * @param changes every region, from the first to the second
 * @param facts what differs beside the regions, then the regions beyond the noise
 */
public record Difference(List<RegionChange> changes, List<DifferenceFact> facts) {
  /**
   * Relative difference that can be told: a fifth between exercises (docs/validation.md), times the
   * square root of one half since two set-ups of one exercise share half of the error's variance.
   */
  public static final double TELLABLE = 0.14;

  /** Smaller changes of a stimulus are none. */
  public static final double SMALLEST = 0.05;

  private static final double TELLABLE_ANGLE_DEG = 3;

  /** A knee that carries less tells nothing of the hip beside it, N m. */
  private static final double LEAST_KNEE_NM = 5;

  /** Difference of two ratios that is worth a word, in ln. */
  private static final double TELLABLE_RATIO = 0.1;

  /** Change of one region's stimulus; {@code toldApart} when it is beyond the noise. */
  public record RegionChange(Region region, double from, double to, boolean toldApart) {}

  /** What truly differs between two analyses; each with a name for sentences and its stimulus. */
  public static Difference between(
      String firstName,
      Analysis first,
      RegionValues firstStimulus,
      String secondName,
      Analysis second,
      RegionValues secondStimulus) {
    List<RegionChange> changes = new ArrayList<>();
    for (Region region : Region.values()) {
      double from = firstStimulus.get(region);
      double to = secondStimulus.get(region);
      changes.add(
          new RegionChange(
              region,
              from,
              to,
              Math.abs(to - from) > Math.max(SMALLEST, TELLABLE * Math.max(from, to))));
    }
    List<DifferenceFact> facts = new ArrayList<>();
    AnalysisPoint one = bottom(first);
    AnalysisPoint other = bottom(second);
    for (BottomAngle angle : BottomAngle.values()) {
      double of = angle.deg(one);
      double otherOf = angle.deg(other);
      if (Math.abs(of - otherOf) >= TELLABLE_ANGLE_DEG) {
        facts.add(
            new DifferenceFact.AnglesDiffer(
                angle,
                List.of(
                    new DifferenceFact.Named(firstName, of),
                    new DifferenceFact.Named(secondName, otherOf))));
      }
    }
    hipOverKnee(one, other, firstName, secondName).ifPresent(facts::add);
    facts.add(
        new DifferenceFact.GiveOut(
            firstName,
            Limiters.byGroup(first.set().gaveOut()),
            secondName,
            Limiters.byGroup(second.set().gaveOut())));
    facts.add(new DifferenceFact.BeyondNoise(firstName, secondName, beyondNoise(changes)));
    return new Difference(List.copyOf(changes), List.copyOf(facts));
  }

  /** What changes beyond the noise in regions other than these, greatest first. */
  List<RegionChange> elsewhere(Set<Region> regions) {
    return beyondNoise(
        changes.stream().filter(change -> !regions.contains(change.region())).toList());
  }

  private static List<RegionChange> beyondNoise(List<RegionChange> changes) {
    return changes.stream()
        .filter(RegionChange::toldApart)
        .sorted(Comparator.comparingDouble(change -> -Math.abs(change.to() - change.from())))
        .toList();
  }

  private static AnalysisPoint bottom(Analysis analysis) {
    return analysis.points().get(analysis.points().size() - 1);
  }

  private static Optional<DifferenceFact> hipOverKnee(
      AnalysisPoint one, AnalysisPoint other, String firstName, String secondName) {
    if (!one.posture().carried().contains(Coordinate.HIP_FLEXION)
        || !one.posture().carried().contains(Coordinate.KNEE_FLEXION)) {
      return Optional.empty();
    }
    double knees =
        Math.min(
            one.externalNm()[Coordinate.KNEE_FLEXION.ordinal()],
            other.externalNm()[Coordinate.KNEE_FLEXION.ordinal()]);
    if (knees < LEAST_KNEE_NM) {
      return Optional.empty();
    }
    double ofOne = hipOverKnee(one);
    double ofOther = hipOverKnee(other);
    return Math.abs(Math.log(ofOne / ofOther)) > TELLABLE_RATIO
        ? Optional.of(
            new DifferenceFact.HipOverKnee(
                new DifferenceFact.Named(firstName, ofOne),
                new DifferenceFact.Named(secondName, ofOther)))
        : Optional.empty();
  }

  private static double hipOverKnee(AnalysisPoint point) {
    return point.externalNm()[Coordinate.HIP_FLEXION.ordinal()]
        / point.externalNm()[Coordinate.KNEE_FLEXION.ordinal()];
  }
}
