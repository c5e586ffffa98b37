package istmo.app.clients;

import istmo.core.body.Body;
import istmo.core.body.BodyEstimate;
import istmo.core.body.Cautions;
import istmo.core.body.Intake;
import istmo.core.body.PainFlag;
import istmo.core.body.Readings;
import java.util.Set;
import java.util.UUID;

/** A client, as other features see it: the intake, cautions and every reading. */
public record Client(UUID id, int version, String name, Intake intake, Set<PainFlag> pain, Cautions cautions, Readings readings) {
  public BodyEstimate estimate() {
    return BodyEstimate.of(intake, readings);
  }

  /** The body that postures and orders use: measured or estimated, and no further than cautions allow. */
  public Body body() {
    return cautions.limited(estimate().body());
  }
}
