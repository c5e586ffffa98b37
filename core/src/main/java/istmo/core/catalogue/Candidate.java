package istmo.core.catalogue;

import istmo.core.body.Body;
import istmo.core.equipment.Place;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import java.util.Map;
import java.util.Optional;

/**
 * An exercise with a named usual set-up.
 *
 * @param id "exercise/variant"
 * @param yields parameter that gives way upwards when the ankle does not allow the usual set-up ("as low as the heels stay down"), before depth is taken back
 */
public record Candidate(String id, String exerciseId, String name, Setup usual, Optional<SetupParameter> yields) {
  /** The usual set-up for this body on the machines of a place: what grows with the leg or the body's mass is fitted to it, to the centimetre and the kilogram, and what is measured there stands instead of what is generic. */
  public Setup usualFor(Body body, Place place) {
    Exercise exercise = Catalogue.standard().exercise(exerciseId);
    Setup setup = usual;
    double size = (body.thighM() + body.shankM()) / Body.REFERENCE_LEG_M;
    for (SetupParameter p : exercise.family().growWithTheLeg()) {
      setup = setup.with(p, p.allowed().nearest(Math.round(100 * size * usual.get(p)) / 100.0));
    }
    for (SetupParameter p : exercise.family().growWithTheMass()) {
      setup = setup.with(p, p.allowed().nearest(Math.round(body.massKg() / Body.REFERENCE_MASS_KG * usual.get(p))));
    }
    for (Map.Entry<String, Double> known : place.measuredOf(exercise.needs()).entrySet()) {
      Optional<SetupParameter> p = exercise.family().parameters().stream().filter(x -> x.id().equals(known.getKey())).findFirst();
      if (p.isPresent()) {
        setup = setup.with(p.get(), known.getValue());
      }
    }
    return setup;
  }
}
