package istmo.core.ranking.order;

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
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.stimulus.School;
import istmo.core.words.Said;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

class LeaderTest {
  private static final Body MAN = Body.estimated(1.78, 80, Sex.MALE);
  private static final GymEquipment GYM =
      GymEquipment.generic(Set.of(Equipment.BARBELL, Equipment.RACK, Equipment.DUMBBELLS));
  private static final Map<CandidateId, Evaluation> EVALUATIONS =
      Evaluated.of(MAN, GYM, School.STRETCH);

  private static Order.FirstPick pick(String region) {
    Brief brief =
        new Brief(
            MAN,
            Cautions.none(),
            Profile.unknown(),
            GYM,
            Aim.of(Map.of(region, 2), Set.of()),
            School.STRETCH,
            Optional.empty());
    return Orders.order(brief, EVALUATIONS).firstPick().orElseThrow();
  }

  /**
   * One head of the hamstrings is a small part of what ends a deadlift, but the hamstrings do end
   * it; a curl for the inner thigh is ended by others than the adductors.
   */
  @Test
  void saysWhenTheTargetsGroupIsNotWhatGivesOut() {
    assertThat(pick("BFL").decidedBy()).noneMatch(OrderFact.SomethingElseEndsIt.class::isInstance);
    assertThat(Said.together(pick("GRA").decidedBy()))
        .contains("But something else ends it", "is adductors");
  }
}
