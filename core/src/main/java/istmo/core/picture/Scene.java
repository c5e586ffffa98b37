package istmo.core.picture;

import istmo.core.body.Body;
import istmo.core.body.MeasurementKind;
import istmo.core.movement.Posture;
import istmo.core.movement.View;
import istmo.core.quantity.InvalidInput;
import java.util.Set;

/**
 * What is known of a picture before it is marked: whose body, in about which posture.
 *
 * @param posture as the model expects it; it tells what no picture from the side shows, how far
 *     ankle, knee and hip lie to the side
 * @param measured lengths of the body that a tape gave
 * @param alike whether both legs do the same, so that the other foot stands beside this one
 */
public record Scene(Body body, Posture posture, Set<MeasurementKind> measured, boolean alike) {
  private static final double BY_TAPE_M = 0.008;

  /** Throws {@link InvalidInput} for a posture that is not seen from the side. */
  public Scene {
    measured = Set.copyOf(measured);
    if (posture.view() != View.RIGHT_SIDE) {
      throw new InvalidInput("candidateId", "is not read from a picture from the side");
    }
  }

  /** How well a length is known, m (standard deviation). */
  double errorM(MeasurementKind kind) {
    return measured.contains(kind) ? BY_TAPE_M : kind.spreadM(body.statureM());
  }
}
