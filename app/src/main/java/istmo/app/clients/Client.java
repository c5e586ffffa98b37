package istmo.app.clients;

import istmo.core.body.Body;
import istmo.core.body.BodyEstimate;
import istmo.core.body.Intake;
import istmo.core.body.PainFlag;
import istmo.core.body.Readings;
import java.util.Set;
import java.util.UUID;

/** A client, as other features see it: the intake and every reading. */
public record Client(UUID id, int version, String name, Intake intake, Set<PainFlag> pain, Readings readings) {
  public BodyEstimate estimate() {
    return BodyEstimate.of(intake, readings);
  }

  public Body body() {
    return estimate().body();
  }
}
