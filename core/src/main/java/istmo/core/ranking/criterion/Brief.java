package istmo.core.ranking.criterion;

import istmo.core.body.Body;
import istmo.core.body.Cautions;
import istmo.core.body.Profile;
import istmo.core.equipment.Place;
import istmo.core.stimulus.School;
import istmo.core.training.Calibration;
import java.util.Optional;

/** The whole context of an order: this body, what hurts and asks for caution, what the coach knows of the client, what the gym has, what should grow, by which school it is judged, and how strong the client is known to be; the body has that strength already. */
public record Brief(Body body, Cautions cautions, Profile profile, Place place, Aim aim, School school, Optional<Calibration> strength) {
  /** The body as far as cautions let it go: the one to evaluate. */
  public Body limitedBody() {
    return cautions.limited(body);
  }

  /** The same brief elsewhere. */
  public Brief at(Place other) {
    return new Brief(body, cautions, profile, other, aim, school, strength);
  }

  /** The same brief for another body. */
  public Brief of(Body other) {
    return new Brief(other, cautions, profile, place, aim, school, strength);
  }
}
