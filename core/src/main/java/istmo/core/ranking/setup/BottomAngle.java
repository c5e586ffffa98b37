package istmo.core.ranking.setup;

import istmo.core.anatomy.Coordinate;
import istmo.core.mechanics.AnalysisPoint;

/** Angles at the bottom by which a coach tells set-ups and exercises apart. */
public enum BottomAngle {
  TRUNK_LEAN {
    @Override
    public double deg(AnalysisPoint point) {
      return Math.toDegrees(point.posture().trunkLeanRad());
    }
  },
  KNEE_BEND {
    @Override
    public double deg(AnalysisPoint point) {
      return Math.toDegrees(point.posture().angle(Coordinate.KNEE_FLEXION));
    }
  },
  HIP_BEND {
    @Override
    public double deg(AnalysisPoint point) {
      return Math.toDegrees(point.posture().angle(Coordinate.HIP_FLEXION));
    }
  };

  /** The angle at one point of a repetition, deg. */
  public abstract double deg(AnalysisPoint point);
}
