package istmo.core.ranking.criterion;

import istmo.core.anatomy.Coordinate;
import istmo.core.body.Cautions;
import istmo.core.body.Demand;
import istmo.core.catalogue.ByWord;
import istmo.core.catalogue.Exercise;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisPoint;
import java.util.Optional;
import java.util.function.ToDoubleFunction;

/**
 * Whether a client's cautions let an exercise in, wherever it is chosen: the order, the bench and
 * the session ask here.
 */
public final class Admission {
  /** Knee flexion below which the knee counts as nearly straight. */
  private static final double NEARLY_STRAIGHT = Math.toRadians(30);

  private Admission() {}

  /**
   * Why a client's cautions leave an exercise out; empty when they do not.
   *
   * @param analysis of the set-up at hand; empty where none could be made, and then only what needs
   *     no figure is asked
   */
  public static Optional<Cautions.Refusal> refusal(
      Cautions cautions, Exercise exercise, Optional<Analysis> analysis) {
    return cautions.refusal(demand(exercise, analysis));
  }

  /**
   * Why a client's cautions leave an exercise by word out; empty when they do not. Nothing shows
   * how far a joint bends in it but the word, and nothing can shorten it.
   */
  public static Optional<Cautions.Refusal> refusal(Cautions cautions, ByWord byWord) {
    return cautions
        .refusal(byWord.demand())
        .or(() -> cautions.tooFar(byWord.knee().deg(), byWord.hip().deg()));
  }

  static Demand demand(Exercise exercise, Optional<Analysis> analysis) {
    if (analysis.isEmpty()) {
      return new Demand(
          exercise.exclusions(), exercise.waits(), exercise.onBelly(), 0, 0, 0, 0, 0, 0, 0);
    }
    Analysis done = analysis.get();
    double peak = greatest(done, point -> point.suppliedNm(Coordinate.KNEE_FLEXION) * -1);
    double straight =
        greatest(
            done,
            point ->
                point.posture().angle(Coordinate.KNEE_FLEXION) < NEARLY_STRAIGHT
                    ? -point.suppliedNm(Coordinate.KNEE_FLEXION)
                    : 0);
    return new Demand(
        exercise.exclusions(),
        exercise.waits(),
        exercise.onBelly(),
        Fit.backActivation(done),
        deg(done, Coordinate.KNEE_FLEXION),
        peak > 0 ? straight / peak : 0,
        deg(done, Coordinate.HIP_FLEXION),
        deg(done, Coordinate.HIP_ABDUCTION),
        deg(done, Coordinate.ANKLE_DORSIFLEXION),
        Math.toDegrees(greatest(done, point -> point.posture().trunkLeanRad())));
  }

  private static double deg(Analysis analysis, Coordinate coordinate) {
    return Math.toDegrees(greatest(analysis, point -> point.posture().angle(coordinate)));
  }

  private static double greatest(Analysis analysis, ToDoubleFunction<AnalysisPoint> of) {
    return Math.max(0, analysis.points().stream().mapToDouble(of).max().orElse(0));
  }
}
