package istmo.core.ranking.brief;

import istmo.core.body.Body;
import istmo.core.body.Cautions;
import istmo.core.body.MeasurementKind;
import istmo.core.body.Profile;
import istmo.core.equipment.GymEquipment;
import istmo.core.record.Experience;
import istmo.core.stimulus.School;
import istmo.core.training.Calibration;
import java.util.Optional;
import java.util.Set;

/**
 * The whole context of an order: this body, what hurts and asks for caution, what the coach knows
 * of the client, what the gym has, what should grow, by which school it is judged, how strong the
 * client is known to be (the body has that strength already), what counts how much, what of the
 * client is measured, and what the client has said of exercises.
 */
public record Brief(
    Body body,
    Cautions cautions,
    Profile profile,
    GymEquipment equipment,
    Aim aim,
    School school,
    Optional<Calibration> strength,
    Weights weights,
    Set<MeasurementKind> measured,
    Experience experience) {
  public Brief {
    measured = Set.copyOf(measured);
  }

  /** With the usual weights, nothing measured, and nothing said. */
  public Brief(
      Body body,
      Cautions cautions,
      Profile profile,
      GymEquipment equipment,
      Aim aim,
      School school,
      Optional<Calibration> strength) {
    this(
        body,
        cautions,
        profile,
        equipment,
        aim,
        school,
        strength,
        Weights.USUAL,
        Set.of(),
        Experience.NONE);
  }

  /** The body as far as cautions let it go: the one to evaluate. */
  public Body limitedBody() {
    return cautions.limited(body);
  }

  /** The same brief elsewhere. */
  public Brief at(GymEquipment other) {
    return new Brief(
        body, cautions, profile, other, aim, school, strength, weights, measured, experience);
  }

  /** The same brief for another body. */
  public Brief of(Body other) {
    return new Brief(
        other, cautions, profile, equipment, aim, school, strength, weights, measured, experience);
  }

  /** The same brief by another school. */
  public Brief withSchool(School other) {
    return new Brief(
        body, cautions, profile, equipment, aim, other, strength, weights, measured, experience);
  }

  /** The same brief with other weights. */
  public Brief weighed(Weights other) {
    return new Brief(
        body, cautions, profile, equipment, aim, school, strength, other, measured, experience);
  }

  /** The same brief with what is measured of the client, and so not uncertain. */
  public Brief knowing(Set<MeasurementKind> kinds) {
    return new Brief(
        body, cautions, profile, equipment, aim, school, strength, weights, kinds, experience);
  }

  /** The same brief with what this client has said of exercises. */
  public Brief learning(Experience said) {
    return new Brief(
        body, cautions, profile, equipment, aim, school, strength, weights, measured, said);
  }
}
