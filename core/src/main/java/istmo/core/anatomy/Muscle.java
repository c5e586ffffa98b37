package istmo.core.anatomy;

import java.util.Optional;

/**
 * One muscle of the reference adult (71.9 kg, 1.74 m), one line of action.
 *
 * @param volumeM3 muscle volume, m3
 * @param optimalFibreLengthM fibre length at which active force is greatest, m
 * @param pennationRad angle of the fibres to the tendon at optimal length, rad
 * @param forceFactor factor on peak force, 1 for most
 * @param lengthAtZero fibre length over optimal fibre length with all joints at zero
 * @param fibreShare share of the muscle-tendon excursion that fibres take (1 = rigid tendon)
 * @param hipFlexion moment arm (m) about hip flexion over hip flexion (rad); positive drives the
 *     coordinate in its positive direction; empty when the axis is not crossed. The others alike
 * @param source where the numbers come from
 */
public record Muscle(
    String id,
    String group,
    String label,
    double volumeM3,
    double optimalFibreLengthM,
    double pennationRad,
    double forceFactor,
    double lengthAtZero,
    double fibreShare,
    Optional<MonotoneCurve> hipFlexion,
    Optional<MonotoneCurve> hipAbduction,
    Optional<MonotoneCurve> hipRotation,
    Optional<MonotoneCurve> kneeFlexion,
    Optional<MonotoneCurve> ankleDorsiflexion,
    String source) {

  /** Physiological cross-sectional area, m2. */
  public double pcsaM2() {
    return volumeM3 / optimalFibreLengthM;
  }
}
