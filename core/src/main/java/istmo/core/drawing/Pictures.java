package istmo.core.drawing;

import istmo.core.body.Body;
import istmo.core.body.Sex;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.GymEquipment;
import istmo.core.movement.Posture;
import istmo.core.movement.Reach;
import istmo.core.movement.Setup;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A small picture of every candidate, by which it is recognised before its name is read: a man of
 * usual proportions on usual machines, at the bottom or as near to it as he can be.
 */
public final class Pictures {
  private static final Body LIFTER = Body.estimated(1.78, 78, Sex.MALE);
  private static final double LOAD_KG = 40;

  /** What has no depth is recognised on its way to the shortened end: an open leg, a bent knee. */
  private static final double HALF_DONE = 0.3;

  private Pictures() {}

  /** Pictures by candidate id; candidates without any posture for this lifter have none. */
  public static Map<String, Drawing> of(Catalogue catalogue) {
    Map<String, Drawing> pictures = new LinkedHashMap<>();
    for (Exercise x : catalogue.exercises()) {
      for (Candidate c : x.candidates()) {
        of(x, c).ifPresent(d -> pictures.put(c.id(), d));
      }
    }
    return pictures;
  }

  private static Optional<Drawing> of(Exercise exercise, Candidate candidate) {
    Setup usual = candidate.usualFor(LIFTER, GymEquipment.generic(exercise.needs()));
    Setup setup =
        Reach.of(LIFTER, exercise.family(), usual, candidate.yields())
            .map(Reach::setup)
            .orElse(usual);
    double wanted = exercise.family().depth().isPresent() ? 1 : HALF_DONE;
    return Stream.of(wanted, 0.75, 0.5, 0.25, 0.0)
        .map(phase -> exercise.family().posture(LIFTER, setup, phase, LOAD_KG))
        .filter(Posture.class::isInstance)
        .map(p -> Stage.side(LIFTER, (Posture) p, LOAD_KG))
        .findFirst();
  }
}
