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
      Cautions cautions, Exercise x, Optional<Analysis> analysis) {
    return cautions.refusal(demand(x, analysis));
  }

  /**
   * Why a client's cautions leave an exercise by word out; empty when they do not. Nothing shows
   * how far a joint bends in it but the word, and nothing can shorten it.
   */
  public static Optional<Cautions.Refusal> refusal(Cautions cautions, ByWord x) {
    return cautions.refusal(x.demand()).or(() -> cautions.tooFar(x.knee().deg(), x.hip().deg()));
  }

  static Demand demand(Exercise x, Optional<Analysis> analysis) {
    if (analysis.isEmpty()) {
      return new Demand(x.exclusions(), x.waits(), x.onBelly(), 0, 0, 0, 0, 0, 0, 0);
    }
    Analysis a = analysis.get();
    double peak = greatest(a, p -> p.suppliedNm(Coordinate.KNEE_FLEXION) * -1);
    double straight =
        greatest(
            a,
            p ->
                p.posture().angle(Coordinate.KNEE_FLEXION) < NEARLY_STRAIGHT
                    ? -p.suppliedNm(Coordinate.KNEE_FLEXION)
                    : 0);
    return new Demand(
        x.exclusions(),
        x.waits(),
        x.onBelly(),
        Fit.backActivation(a),
        deg(a, Coordinate.KNEE_FLEXION),
        peak > 0 ? straight / peak : 0,
        deg(a, Coordinate.HIP_FLEXION),
        deg(a, Coordinate.HIP_ABDUCTION),
        deg(a, Coordinate.ANKLE_DORSIFLEXION),
        Math.toDegrees(greatest(a, p -> p.posture().trunkLeanRad())));
  }

  private static double deg(Analysis a, Coordinate c) {
    return Math.toDegrees(greatest(a, p -> p.posture().angle(c)));
  }

  private static double greatest(Analysis a, ToDoubleFunction<AnalysisPoint> of) {
    return Math.max(0, a.points().stream().mapToDouble(of).max().orElse(0));
  }
}
