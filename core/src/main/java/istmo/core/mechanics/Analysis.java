package istmo.core.mechanics;

import java.util.List;

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
public record Analysis(double limitKg, double workingKg, double stickingPhase, List<Limiter> limiters, SimulatedSet set, List<AnalysisPoint> points, List<String> notes) implements AnalysisResult {
  public Analysis {
    limiters = List.copyOf(limiters);
    points = List.copyOf(points);
    notes = List.copyOf(notes);
  }

  public double worstResidualNm() {
    return points.stream().mapToDouble(AnalysisPoint::worstResidualNm).max().orElse(0);
  }
}
