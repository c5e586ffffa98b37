package istmo.core.mechanics;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Region;
import istmo.core.movement.Posture;

/**
 * One point of the repetition at the working load.
 *
 * @param limitKg load that could just be held here; {@link StrengthLimit#HIGHEST_KG} for more than
 *     that
 * @param externalNm moment of loads about each coordinate in its positive direction, N m; muscles
 *     supply the opposite
 * @param activation of each muscle, 0 to 1
 * @param fibreLength of each muscle over optimal
 * @param activeTension active tension of each muscle over its peak force: activation times
 *     force-length factor
 * @param passiveTension passive tension over peak force
 * @param momentArmsM of each muscle about each leg coordinate, one muscle after the other, m; in
 *     single precision, because many points are kept
 * @param contactNm moment of contact forces that statics does not settle, and of the rotation
 *     reserve, about each coordinate, N m: supplied = muscles + contacts + residual
 * @param residualNm moment left unbalanced about each coordinate, N m
 */
public record AnalysisPoint(
    Posture posture,
    double limitKg,
    double[] externalNm,
    double[] activation,
    double[] fibreLength,
    double[] activeTension,
    double[] passiveTension,
    float[] momentArmsM,
    double[] contactNm,
    double[] residualNm) {

  /** Phase of the repetition, 0 top to 1 bottom. */
  public double phase() {
    return posture.phase();
  }

  /** Moment that muscles, passive tissue and unsettled contacts supply about a coordinate, N m. */
  public double suppliedNm(Coordinate coordinate) {
    return -externalNm[coordinate.ordinal()];
  }

  /** Activation of the lower back, 0 to 1; zero where the back is supported. */
  public double backActivation() {
    return activation[Region.ERECTORS.muscleIndex()];
  }

  /** Moment arm of a muscle about a leg coordinate in its positive direction, m. */
  public double momentArmM(int muscle, Coordinate coordinate) {
    return momentArmsM[muscle * Coordinate.LEG + coordinate.ordinal()];
  }

  /** Greatest moment left unbalanced about any coordinate, N m. */
  public double worstResidualNm() {
    double worst = 0;
    for (double r : residualNm) {
      worst = Math.max(worst, Math.abs(r));
    }
    return worst;
  }
}
