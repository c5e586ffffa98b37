package istmo.core.mechanics;

import istmo.core.anatomy.Coordinate;
import istmo.core.movement.Reach;
import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;

/**
 * One candidate with its set-up on one body.
 *
 * @param limitKg largest external load that can be held at every point of the range, fresh, kg
 * @param workingKg load at which the points, of the first repetition, and the set are computed, kg
 * @param stickingPhase where the limit lies, 0 top to 1 bottom
 * @param limiters what limits one fresh repetition, strongest first; shares add up to 1
 * @param set the set at the working load, to failure
 * @param points from top (phase 0) to bottom (phase 1), evenly spaced
 * @param notes what the coach should know, each once
 */
public record Analysis(
    double limitKg,
    double workingKg,
    double stickingPhase,
    List<Limiter> limiters,
    SimulatedSet set,
    List<AnalysisPoint> points,
    List<String> notes)
    implements AnalysisResult {
  public Analysis {
    limiters = List.copyOf(limiters);
    points = List.copyOf(points);
    notes = List.copyOf(notes);
  }

  /** The same with its set ended after so many repetitions. */
  public Analysis endedAfter(int repetitions) {
    return new Analysis(
        limitKg, workingKg, stickingPhase, limiters, set.endedAfter(repetitions), points, notes);
  }

  /** Greatest angle by which the pelvis tucks under at any point, rad. */
  public double tuckRad() {
    return points.stream()
        .mapToDouble(p -> p.posture().angle(Coordinate.LUMBAR_FLEXION))
        .max()
        .orElse(0);
  }

  /** What asks for care in this set-up, each with the way back. */
  public List<String> cautions() {
    return tuckRad() <= Reach.MOST_TUCK
        ? List.of()
        : List.of(
            String.format(
                Locale.ROOT,
                "The pelvis tucks by %.0f° at the bottom; up to %.0f° is usually let pass. Stop"
                    + " higher, or set up so that the hip bends less.",
                Math.toDegrees(tuckRad()),
                Math.toDegrees(Reach.MOST_TUCK)));
  }

  /** Greatest moment left unbalanced at any point, N m. */
  public double worstResidualNm() {
    return points.stream().mapToDouble(AnalysisPoint::worstResidualNm).max().orElse(0);
  }

  /**
   * Length that a muscle gains or loses over the range by the movement of one joint, at the points
   * where {@code counts} holds, m.
   */
  public double lengthChangeM(int muscle, Coordinate joint, Predicate<AnalysisPoint> counts) {
    double sum = 0;
    for (int k = 1; k < points.size(); k++) {
      AnalysisPoint p = points.get(k);
      if (counts.test(p)) {
        sum +=
            Math.abs(
                p.momentArmM()[muscle][joint.ordinal()]
                    * (p.posture().angle(joint) - points.get(k - 1).posture().angle(joint)));
      }
    }
    return sum;
  }
}
