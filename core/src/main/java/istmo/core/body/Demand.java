package istmo.core.body;

import java.util.Map;

/**
 * What an exercise in its set-up asks of a body, as far as cautions care.
 *
 * @param troubles joint to the reason why the exercise is no friend of it when it is sore
 * @param waits caution to the reason why the exercise waits until it is cleared
 * @param onBelly done lying face down, or with a bar or belt across the hips
 * @param backShare most of the lower back's strength that it takes at a working load, 0 to 1
 * @param kneeBendDeg most knee flexion, deg
 * @param straightKneeShare largest knee extension moment within the last 30 deg before straight, as
 *     a share of the largest of the repetition
 * @param hipBendDeg most hip flexion, deg
 * @param hipOpenDeg most hip abduction, deg
 * @param ankleBendDeg most dorsiflexion, deg
 * @param leanDeg most trunk lean, deg
 */
public record Demand(
    Map<PainFlag, String> troubles,
    Map<Caution, String> waits,
    boolean onBelly,
    double backShare,
    double kneeBendDeg,
    double straightKneeShare,
    double hipBendDeg,
    double hipOpenDeg,
    double ankleBendDeg,
    double leanDeg) {
  /**
   * A share of the back's strength that counts as no load: standing upright takes about this much.
   */
  public static final double UNLOADED_BACK = 0.12;

  public Demand {
    troubles = Map.copyOf(troubles);
    waits = Map.copyOf(waits);
  }
}
