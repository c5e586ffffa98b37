package istmo.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.body.Body;
import istmo.core.body.Cautions;
import istmo.core.body.Profile;
import istmo.core.body.Sex;
import istmo.core.catalogue.CandidateId;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.ranking.Evaluated;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.brief.Weights;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.order.Orders;
import istmo.core.stimulus.School;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** How far an order hangs on the weights of its criteria. */
final class PerturbedWeights {
  private static final School STRETCH = School.STRETCH;

  private static final List<String> AIMS =
      List.of(
          "VL",
          "RF",
          "BFL",
          "GMAXM",
          "GMEDP",
          "AL",
          "GASM",
          "VL RF",
          "BFL GMAXM",
          "VL GMAXM",
          "GASM SOL",
          "VL BFL GMAXM GASM");

  private final Report report;

  PerturbedWeights(Report report) {
    this.report = report;
  }

  void say() {
    Body man = Body.estimated(1.78, 80, Sex.MALE);
    GymEquipment everything = GymEquipment.generic(Equipment.everything());
    Map<CandidateId, Evaluation> evaluations = Evaluated.of(man, everything, STRETCH);
    Random random = new Random(3);
    int same = 0;
    double kept = 0;
    int asked = 0;
    Map<String, Integer> changed = new HashMap<>();
    for (String aim : AIMS) {
      Map<String, Integer> aimed =
          Arrays.stream(aim.split(" ")).collect(Collectors.toMap(region -> region, region -> 2));
      Brief brief =
          new Brief(
              man,
              Cautions.none(),
              Profile.unknown(),
              everything,
              Aim.of(aimed, Set.of()),
              STRETCH,
              Optional.empty());
      List<CandidateId> usual = Orders.places(brief, evaluations);
      for (int k = 0; k < 20; k++) {
        Map<String, Double> weights = new HashMap<>();
        Weights.USUAL
            .all()
            .forEach((id, w) -> weights.put(id, w * (0.8 + 0.4 * random.nextDouble())));
        List<CandidateId> other =
            Orders.places(brief.weighed(new Weights(Weights.Preset.GROWTH, weights)), evaluations);
        if (other.get(0).equals(usual.get(0))) {
          same++;
        } else {
          changed.merge(aim, 1, Integer::sum);
        }
        kept +=
            first3(usual).stream().filter(first3(other)::contains).count()
                / (double) first3(usual).size();
        asked++;
      }
    }
    report.say(
        "**Weights perturbed by up to 20 %%**, each on its own, 20 times for 12 aims: the first"
            + " place stays in %.0f %%, and %.0f %% of the first three stay among them.%s",
        100.0 * same / asked,
        100 * kept / asked,
        changed.isEmpty()
            ? ""
            : " The first place changed for: "
                + new TreeMap<>(changed)
                    .entrySet().stream()
                        .map(entry -> entry.getKey() + " (" + entry.getValue() + " of 20)")
                        .collect(Collectors.joining(", "))
                + ".");
    report.say("");
    assertThat(same / (double) asked).isGreaterThan(0.7);
  }

  private static List<CandidateId> first3(List<CandidateId> places) {
    return places.subList(0, Math.min(3, places.size()));
  }
}
