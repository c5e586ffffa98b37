package istmo.core.validation;

import static istmo.core.validation.Measures.MAN;
import static istmo.core.validation.Measures.PRACTICE;

import istmo.core.anatomy.Region;
import istmo.core.body.Cautions;
import istmo.core.body.Profile;
import istmo.core.catalogue.CandidateId;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.ranking.Evaluated;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.order.Orders;
import istmo.core.stimulus.School;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What exercises and set-ups do, against published findings and facts of the trade. Directions, not
 * sizes, unless a number is published.
 */
final class ExerciseChecks {
  private ExerciseChecks() {}

  static List<Row> rows() {
    List<Row> rows = new ArrayList<>();
    SquatChecks.squats(rows);
    SquatChecks.tracks(rows);
    MachineChecks.presses(rows);
    HipChecks.hinges(rows);
    MachineChecks.machines(rows);
    HipChecks.oneLeg(rows);
    HipChecks.hips(rows);
    MachineChecks.knees(rows);
    firstPicks(rows);
    return rows;
  }

  /** Which kind of exercise an order puts first, everything being there. */
  private static void firstPicks(List<Row> rows) {
    Map<CandidateId, Evaluation> all =
        Evaluated.of(MAN, GymEquipment.generic(Set.of()), School.STRETCH);
    GymEquipment everything = GymEquipment.generic(Equipment.everything());
    Map<String, String> kinds = new LinkedHashMap<>();
    kinds.put("RF", "leg-extension");
    kinds.put("BFL", "leg-curl|romanian-deadlift|back-extension");
    kinds.put("SM", "leg-curl|romanian-deadlift|back-extension");
    kinds.put("AL", "adduction");
    kinds.put("GMAXM", "squat|lunge|thrust|bridge");
    kinds.put("SOL", "seated-calf-raise");
    kinds.put("GASM", "calf-raise");
    kinds.put("TA", "shin-raise");
    kinds.put("ILP", "hip-flexion|leg-raise|knee-raise");
    kinds.put("ERECTORS", "deadlift|good-morning|back-extension");
    kinds.forEach(
        (region, kind) -> {
          Brief brief =
              new Brief(
                  MAN,
                  new Cautions(List.of(), List.of(), List.of()),
                  Profile.unknown(),
                  everything,
                  Aim.of(Map.of(region, 3), Set.of()),
                  School.STRETCH,
                  Optional.empty());
          String first = Orders.order(brief, all).firstPick().orElseThrow().candidateId().text();
          rows.add(
              Row.holds(
                  "face",
                  "first pick for " + Region.of(region).coachName(),
                  PRACTICE,
                  kind.replace("|", ", "),
                  first,
                  first.matches(".*(" + kind + ").*")));
        });
  }
}
