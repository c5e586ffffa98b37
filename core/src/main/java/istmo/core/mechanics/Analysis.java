package istmo.core.mechanics;

import istmo.core.anatomy.Coordinate;
import java.util.List;
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
 * @param cautions what asks for care in this set-up, each with the way back
 * @param notes what the coach should know beside them, each once
 */
public record Analysis(
    double limitKg,
    double workingKg,
    double stickingPhase,
    List<Limiter> limiters,
    SimulatedSet set,
    List<AnalysisPoint> points,
    List<AnalysisFact> cautions,
    List<AnalysisFact> notes)
    implements AnalysisResult {
  public Analysis {
    limiters = List.copyOf(limiters);
    points = List.copyOf(points);
    cautions = List.copyOf(cautions);
    notes = List.copyOf(notes);
  }

  /** The same with its set ended after so many repetitions. */
  public Analysis endedAfter(int repetitions) {
    return with(set.endedAfter(repetitions));
  }

  /** The same with another set. */
  public Analysis with(SimulatedSet other) {
    return new Analysis(
        limitKg, workingKg, stickingPhase, limiters, other, points, cautions, notes);
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
      AnalysisPoint point = points.get(k);
      if (counts.test(point)) {
        sum +=
            Math.abs(
                point.momentArmM(muscle, joint)
                    * (point.posture().angle(joint) - points.get(k - 1).posture().angle(joint)));
      }
    }
    return sum;
  }
}
