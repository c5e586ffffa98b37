package istmo.core.mechanics;

import istmo.core.body.Body;
import istmo.core.movement.Family;
import istmo.core.movement.Impossible;
import istmo.core.movement.Posture;
import istmo.core.movement.PostureResult;
import istmo.core.movement.Setup;

/**
 * A posture that cannot be taken, thrown through the searches for a load; never leaves this
 * package.
 */
final class NoPosture extends RuntimeException {
  private static final long serialVersionUID = 1L;
  final double phase;
  final transient Impossible impossible;

  NoPosture(double phase, Impossible impossible) {
    super(null, null, false, false);
    this.phase = phase;
    this.impossible = impossible;
  }

  /** The posture, or this thrown. */
  static Posture orPosture(Body body, Family family, Setup setup, double phase, double loadKg) {
    PostureResult result = family.posture(body, setup, phase, loadKg);
    if (result instanceof Impossible impossible) {
      throw new NoPosture(phase, impossible);
    }
    return (Posture) result;
  }
}
