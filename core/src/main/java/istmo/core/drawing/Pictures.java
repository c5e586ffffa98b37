package istmo.core.drawing;

import istmo.core.anatomy.Coordinate;
import istmo.core.body.Body;
import istmo.core.body.Sex;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.GymEquipment;
import istmo.core.movement.Posture;
import istmo.core.movement.Reach;
import istmo.core.movement.Setup;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A small picture of every candidate, by which it is recognised before its name is read: a man of
 * usual proportions on usual machines, where his joints are furthest from standing straight.
 */
public final class Pictures {
  private static final Body LIFTER = Body.estimated(1.78, 78, Sex.MALE);
  private static final double LOAD_KG = 40;

  private Pictures() {}

  /** Pictures by candidate id; candidates without any posture for this lifter have none. */
  public static Map<CandidateId, Drawing> of(Catalogue catalogue) {
    Map<CandidateId, Drawing> pictures = new LinkedHashMap<>();
    for (Exercise exercise : catalogue.exercises()) {
      for (Candidate candidate : catalogue.candidatesOf(exercise)) {
        of(exercise, candidate).ifPresent(drawing -> pictures.put(candidate.id(), drawing));
      }
    }
    return pictures;
  }

  private static Optional<Drawing> of(Exercise exercise, Candidate candidate) {
    Setup usual = candidate.usualFor(LIFTER, GymEquipment.generic(candidate.needs()));
    Setup setup =
        Reach.of(LIFTER, exercise.family(), usual, candidate.yields())
            .map(Reach::setup)
            .orElse(usual);
    return Stream.of(1.0, 0.75, 0.5, 0.25, 0.0)
        .map(phase -> exercise.family().posture(LIFTER, setup, phase, LOAD_KG))
        .filter(Posture.class::isInstance)
        .map(Posture.class::cast)
        .max(Comparator.comparingDouble(Pictures::fromStandingStraight))
        .map(posture -> Stage.side(LIFTER, posture, LOAD_KG));
  }

  private static double fromStandingStraight(Posture posture) {
    return Math.abs(posture.angle(Coordinate.HIP_FLEXION))
        + Math.abs(posture.angle(Coordinate.KNEE_FLEXION))
        + 2 * Math.abs(posture.angle(Coordinate.HIP_ABDUCTION));
  }
}
