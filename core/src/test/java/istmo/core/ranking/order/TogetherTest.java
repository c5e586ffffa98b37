package istmo.core.ranking.order;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.body.Cautions;
import istmo.core.body.Profile;
import istmo.core.catalogue.CandidateId;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Bodies;
import istmo.core.ranking.Evaluated;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.stimulus.School;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** The few that are best together, against every pair that could have been chosen. */
class TogetherTest {
  private static final GymEquipment GYM = GymEquipment.generic(Equipment.everything());
  private static final Aim AIM = Aim.of(Map.of("VL", 2, "BFL", 2, "GASM", 1), Set.of());

  @Test
  void noOtherPairIsWorthMoreAndTheFirstThreePlacesCoverLessThanTheBestThree() {
    Order order =
        Orders.order(
            new Brief(
                Bodies.LIFTER,
                Cautions.none(),
                Profile.unknown(),
                GYM,
                AIM,
                School.STRETCH,
                Optional.empty()),
            Evaluated.of(Bodies.LIFTER, GYM, School.STRETCH));
    Together two = order.together().get(0);
    Together.Search search = Together.search(2, order.entries(), AIM, School.STRETCH).orElseThrow();
    int[] chosen = search.choice(two.candidateIds());
    assertThat(search.coverage(chosen)).isCloseTo(two.coverage(), within(1e-12));
    List<CandidateId> places = order.entries().stream().map(entry -> entry.id()).limit(24).toList();
    int compared = 0;
    for (CandidateId first : places) {
      for (CandidateId second : places) {
        if (!first.exerciseId().equals(second.exerciseId())) {
          compared++;
          assertThat(search.value(search.choice(List.of(first, second))))
              .as("%s and %s", first, second)
              .isLessThanOrEqualTo(search.value(chosen) + 1e-9);
        }
      }
    }
    assertThat(compared).isGreaterThan(300);
    assertThat(search.coverage(search.choice(places.subList(0, 3))))
        .as("the first three places cover less than the best three together")
        .isLessThan(order.together().get(1).coverage());
  }
}
