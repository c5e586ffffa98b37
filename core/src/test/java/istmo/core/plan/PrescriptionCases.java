package istmo.core.plan;

import istmo.core.body.PainFlag;
import istmo.core.body.Profile.TrainingAge;
import istmo.core.equipment.GymEquipment;
import istmo.core.equipment.Plates;
import istmo.core.ranking.brief.Aim;
import java.util.Map;
import java.util.Set;

/** What is on offer to a client who trains legs. */
final class PrescriptionCases {
  private PrescriptionCases() {}

  static final Aim LEGS =
      Aim.of(Map.of("VL", 2, "BFL", 2, "GMAXM", 2, "GASM", 1, "SOL", 1), Set.of());
  static final GymEquipment GYM =
      new GymEquipment(
          Plans.EVERYTHING.items(),
          Map.of(),
          new Plates(Map.of(20.0, 4, 15.0, 1, 10.0, 2, 5.0, 2, 2.5, 2, 1.25, 1)));

  static Offers offers(TrainingAge age, PainFlag... sore) {
    return Plans.real(LEGS, age, GYM, sore);
  }
}
