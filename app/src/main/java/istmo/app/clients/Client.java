package istmo.app.clients;

import istmo.core.body.Body;
import istmo.core.body.BodyEstimate;
import istmo.core.body.Cautions;
import istmo.core.body.Intake;
import istmo.core.body.Profile;
import istmo.core.body.Readings;
import istmo.core.equipment.GymEquipment;
import istmo.core.picture.Sighting;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.stimulus.School;
import istmo.core.training.Calibration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;

/**
 * A client, as other features see it.
 *
 * @param sightings what pictures told, oldest first
 * @param estimate body from the intake, every reading and pictures, as strong as known lifts say
 * @param strength empty until a lift is known
 * @param learns whether what was felt and what hurt counts in this client's order
 */
public record Client(
    UUID id,
    int version,
    String name,
    Intake intake,
    Profile profile,
    Cautions cautions,
    Readings readings,
    List<Sighting> sightings,
    BodyEstimate estimate,
    Optional<Calibration> strength,
    boolean learns) {
  /**
   * The body that postures and orders use: measured or estimated, and no further than cautions
   * allow, nor than a stiff day does.
   */
  public Body body(boolean stiffToday) {
    return cautions.limited(unlimitedBody(stiffToday));
  }

  /** What an order or a search for a set-up is asked with. */
  public Brief brief(GymEquipment equipment, Aim aim, School school, boolean stiffToday) {
    return new Brief(
            unlimitedBody(stiffToday), cautions(), profile(), equipment, aim, school, strength())
        .knowing(estimate.measured());
  }

  /** The same without the limits of cautions. */
  public Body unlimitedBody(boolean stiffToday) {
    return stiffToday ? estimate.body().stiffToday() : estimate.body();
  }
}
