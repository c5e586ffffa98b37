package istmo.core.ranking.setup;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionValues;
import istmo.core.anatomy.Regions;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisPoint;
import istmo.core.ranking.criterion.LimiterWords;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/**
 * What truly differs between two analyses of one exercise: two set-ups of one client, or two
 * clients. A difference inside the model's own noise is said to be none.
 *
 * @param changes every region, from the first to the second
 * @param sentences in plain words, with the figures
 */
public record Difference(List<RegionChange> changes, List<String> sentences) {
  /**
   * Relative difference that can be told: a fifth between exercises (docs/validation.md), times the
   * square root of one half since two set-ups of one exercise share half of the error's variance.
   */
  public static final double TELLABLE = 0.14;

  /** Smaller changes of a stimulus are none. */
  public static final double SMALLEST = 0.05;

  private static final double TELLABLE_ANGLE_DEG = 3;

  /** Change of one region's stimulus; {@code toldApart} when it is beyond the noise. */
  public record RegionChange(String regionId, double from, double to, boolean toldApart) {}

  /** What truly differs between two analyses; each with a name for sentences and its stimulus. */
  public static Difference between(
      String firstName,
      Analysis first,
      RegionValues firstStimulus,
      String secondName,
      Analysis second,
      RegionValues secondStimulus) {
    List<RegionChange> changes = new ArrayList<>();
    for (Region region : Regions.standard().all()) {
      double from = firstStimulus.get(region.id());
      double to = secondStimulus.get(region.id());
      changes.add(
          new RegionChange(
              region.id(),
              from,
              to,
              Math.abs(to - from) > Math.max(SMALLEST, TELLABLE * Math.max(from, to))));
    }
    List<String> sentences = new ArrayList<>();
    AnalysisPoint point = bottom(first);
    AnalysisPoint analysisPoint = bottom(second);
    angle(
        sentences,
        "Trunk lean at the bottom",
        Math.toDegrees(point.posture().trunkLeanRad()),
        Math.toDegrees(analysisPoint.posture().trunkLeanRad()),
        firstName,
        secondName);
    angle(
        sentences,
        "Knee bend at the bottom",
        deg(point, Coordinate.KNEE_FLEXION),
        deg(analysisPoint, Coordinate.KNEE_FLEXION),
        firstName,
        secondName);
    angle(
        sentences,
        "Hip bend at the bottom",
        deg(point, Coordinate.HIP_FLEXION),
        deg(analysisPoint, Coordinate.HIP_FLEXION),
        firstName,
        secondName);
    hipOverKnee(sentences, point, analysisPoint, firstName, secondName);
    sentences.add(
        "Gives out first for "
            + firstName
            + ": "
            + LimiterWords.shares(first.set().gaveOut())
            + "; for "
            + secondName
            + ": "
            + LimiterWords.shares(second.set().gaveOut())
            + ".");
    String told = inWords(changes);
    sentences.add(
        told.isEmpty()
            ? "The model cannot tell these two apart for any region."
            : "Beyond the model's noise, from " + firstName + " to " + secondName + ": " + told);
    return new Difference(List.copyOf(changes), List.copyOf(sentences));
  }

  /**
   * What changes beyond the noise in regions other than these, greatest first, in words; empty when
   * nothing does.
   */
  String elsewhere(Set<String> regionIds) {
    return inWords(
        changes.stream().filter(change -> !regionIds.contains(change.regionId())).toList());
  }

  private static String inWords(List<RegionChange> changes) {
    List<RegionChange> told =
        changes.stream()
            .filter(RegionChange::toldApart)
            .sorted(Comparator.comparingDouble(change -> -Math.abs(change.to() - change.from())))
            .toList();
    List<String> parts =
        told.stream()
            .limit(4)
            .map(
                change ->
                    String.format(
                        Locale.ROOT,
                        "%s %s",
                        LimiterWords.name(change.regionId()),
                        change.from() < SMALLEST
                            ? "from nothing"
                            : String.format(
                                Locale.ROOT, "%+.0f %%", 100 * (change.to() / change.from() - 1))))
            .toList();
    return parts.isEmpty()
        ? ""
        : String.join(", ", parts)
            + (told.size() > 4
                ? String.format(Locale.ROOT, " and %d more.", told.size() - 4)
                : ".");
  }

  private static AnalysisPoint bottom(Analysis analysis) {
    return analysis.points().get(analysis.points().size() - 1);
  }

  private static double deg(AnalysisPoint point, Coordinate coordinate) {
    return Math.toDegrees(point.posture().angle(coordinate));
  }

  private static void angle(
      List<String> sentences, String what, double a, double b, String first, String second) {
    if (Math.abs(a - b) >= TELLABLE_ANGLE_DEG) {
      sentences.add(
          String.format(Locale.ROOT, "%s: %s %.0f°, %s %.0f°.", what, first, a, second, b));
    }
  }

  private static void hipOverKnee(
      List<String> sentences,
      AnalysisPoint point,
      AnalysisPoint analysisPoint,
      String first,
      String second) {
    if (!point.posture().carried().contains(Coordinate.HIP_FLEXION)
        || !point.posture().carried().contains(Coordinate.KNEE_FLEXION)) {
      return;
    }
    double knees =
        Math.min(
            point.externalNm()[Coordinate.KNEE_FLEXION.ordinal()],
            analysisPoint.externalNm()[Coordinate.KNEE_FLEXION.ordinal()]);
    if (knees < 5) {
      return;
    }
    double ra =
        point.externalNm()[Coordinate.HIP_FLEXION.ordinal()]
            / point.externalNm()[Coordinate.KNEE_FLEXION.ordinal()];
    double rb =
        analysisPoint.externalNm()[Coordinate.HIP_FLEXION.ordinal()]
            / analysisPoint.externalNm()[Coordinate.KNEE_FLEXION.ordinal()];
    if (Math.abs(Math.log(ra / rb)) > 0.1) {
      sentences.add(
          String.format(
              Locale.ROOT,
              "For each newton metre at the knee the hip carries %.1f (%s) and %.1f (%s).",
              ra,
              first,
              rb,
              second));
    }
  }
}
