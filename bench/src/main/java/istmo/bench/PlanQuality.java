package istmo.bench;

import istmo.core.body.Body;
import istmo.core.body.Cautions;
import istmo.core.body.Profile;
import istmo.core.body.Profile.TrainingAge;
import istmo.core.body.Sex;
import istmo.core.catalogue.CandidateId;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.plan.Composer;
import istmo.core.plan.Offers;
import istmo.core.plan.Pairing;
import istmo.core.plan.Planned.Day;
import istmo.core.plan.Targets;
import istmo.core.plan.Task;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.order.Orders;
import istmo.core.stimulus.School;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * How good a composed week of three sessions is after two seconds, beside longer looks and beside
 * the bound; by hand: java -cp bench/target/benchmarks.jar istmo.bench.PlanQuality
 */
public final class PlanQuality {
  private static final double[] SECONDS = {1, 2, 5, 20};

  private PlanQuality() {}

  /** Prints how near composed weeks come to their bounds. */
  public static void main(String[] args) {
    Body body =
        Body.estimated(1.78, 80, Sex.MALE)
            .withStrength(1.5, 1.5 * Body.estimated(1.78, 80, Sex.MALE).lumbarNm());
    GymEquipment equipment = GymEquipment.generic(Equipment.everything());
    Map<CandidateId, Evaluation> evaluations = Orders.evaluate(body, equipment, School.STRETCH);
    Profile profile =
        new Profile(
            Optional.of(TrainingAge.YEARS),
            Optional.of(3),
            Optional.of(60),
            Set.of(),
            Optional.empty(),
            "",
            Set.of(),
            Set.of());
    List<Map<String, Integer>> aims =
        List.of(
            Map.of("VL", 3, "RF", 2, "GMAXM", 1),
            Map.of("GMAXM", 3, "GMAXL", 2, "GMEDP", 2, "BFL", 2, "ST", 2),
            Map.of(
                "VL", 2, "VM", 2, "VI", 2, "RF", 2, "BFL", 2, "ST", 2, "GMAXM", 2, "GASM", 2, "SOL",
                2));
    System.out.println("points against the week / no week below, after so many seconds");
    for (Map<String, Integer> aimed : aims) {
      for (Pairing pairing : List.of(Pairing.NONE, Pairing.TWO_PLACES)) {
        Aim aim = Aim.of(aimed, Set.of());
        Brief brief =
            new Brief(
                body, Cautions.none(), profile, equipment, aim, School.STRETCH, Optional.empty());
        Offers offers = new Offers(Orders.order(brief, evaluations), brief, List.of(), List.of());
        Task task =
            new Task(
                offers,
                Targets.of(aim, profile.trainingAge(), true, offers.all()),
                List.of(
                    new Day(1, 60, false, List.of()),
                    new Day(3, 60, false, List.of()),
                    new Day(5, 60, false, List.of())),
                pairing,
                true,
                profile.trainingAge());
        StringBuilder line =
            new StringBuilder(aim.weights().keySet() + ", " + pairing.label() + ":");
        for (double s : SECONDS) {
          Composer.Answer answer = new Composer(task).compose(s, progress -> {}).orElseThrow();
          line.append(
              String.format(
                  "  %.0f s %d / %d%s",
                  s, answer.points(), answer.bound(), answer.proved() ? " proved" : ""));
        }
        System.out.println(line);
      }
    }
  }
}
