package istmo.core.ranking;

import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.body.Cautions;
import istmo.core.body.PainFlag;
import istmo.core.body.Profile;
import istmo.core.body.Soreness;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Bodies;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.order.Order;
import istmo.core.ranking.order.Orders;
import istmo.core.stimulus.School;
import istmo.core.words.OrderWords;
import istmo.core.words.Words;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is left out of an order, why, and what stands in for it. */
class ExclusionsTest {
  private static final Set<Equipment> EVERYTHING = Equipment.everything();
  private static final Map<CandidateId, Evaluation> MAN =
      Evaluated.of(Bodies.MAN, GymEquipment.generic(Set.of()), School.STRETCH);

  private static Order order(
      Set<PainFlag> pain, Set<Equipment> equipment, Map<String, Integer> aim) {
    return Orders.order(
        new Brief(
            Bodies.MAN,
            new Cautions(pain.stream().map(Soreness::leaveOut).toList(), List.of(), List.of()),
            Profile.unknown(),
            GymEquipment.generic(equipment),
            Aim.of(aim, Set.of()),
            School.STRETCH,
            Optional.empty()),
        MAN);
  }

  @Test
  void painTakesOutWithItsReasonAndSoDoesTheGym() {
    Order order =
        order(
            Set.of(PainFlag.LOWER_BACK),
            Set.of(Equipment.BARBELL, Equipment.RACK, Equipment.SEATED_CURL),
            Map.of("BFL", 2));
    assertThat(order.excluded())
        .anySatisfy(
            excluded -> {
              assertThat(excluded.candidateId()).hasToString("deadlift/conventional");
              assertThat(excluded.kind()).isEqualTo(Order.Kind.PAIN);
              assertThat(Words.of(excluded.reason())).startsWith("Sore lower back: ");
            })
        .anySatisfy(
            excluded -> {
              assertThat(excluded.candidateId()).hasToString("hack-squat/usual");
              assertThat(Words.of(excluded.reason())).isEqualTo("Not here: hack squat.");
            });
    assertThat(order.all())
        .extracting(entry -> entry.id().text())
        .contains("seated-leg-curl/usual", "bridge/floor")
        .doesNotContain("deadlift/conventional", "hack-squat/usual", "back-squat/high-bar");
    assertThat(order.all().size() + order.excluded().size())
        .isEqualTo(Catalogue.standard().candidates().size() + Catalogue.standard().byWord().size());
  }

  /** Facts of the trade (common practice): what stands in for what. */
  @ParameterizedTest
  @CsvSource({
    "leg-press,leg-press/high,press|squat",
    "seated-curl,seated-leg-curl/usual,lying-leg-curl",
    "lying-curl,lying-leg-curl/usual,seated-leg-curl|hamstring-raise|kneeling-curl",
    "hack-squat,hack-squat/usual,press|squat",
    "leg-extension-reclining,leg-extension-reclined/reclined,leg-extension/"
  })
  void whatIsMissingHasANearSubstituteThatSaysWhatIsLost(
      String without, String candidate, String kind) {
    Set<Equipment> gym =
        EVERYTHING.stream().filter(item -> !item.id().equals(without)).collect(Collectors.toSet());
    Order order = order(Set.of(), gym, Map.of("VL", 1, "BFL", 1));
    Order.Excluded excluded =
        order.excluded().stream()
            .filter(left -> left.candidateId().text().equals(candidate))
            .findFirst()
            .orElseThrow();
    assertThat(excluded.instead()).isPresent();
    assertThat(excluded.instead().get().candidateId().text()).matches(".*(" + kind + ").*");
    assertThat(excluded.instead().get().alikeness()).isBetween(0.5, 1.0);
    assertThat(OrderWords.lost(excluded.instead().get().lost())).isNotBlank();
  }

  @Test
  void nothingIsOfferedThatDoesAnotherJob() {
    Order order = order(Set.of(), Set.of(Equipment.SEATED_CALF), Map.of("VL", 1));
    assertThat(order.excluded())
        .filteredOn(
            excluded ->
                excluded.candidateId().text().startsWith("adduction-machine")
                    || excluded.candidateId().text().startsWith("shin-raise"))
        .hasSize(3)
        .allSatisfy(excluded -> assertThat(excluded.instead()).isEmpty());
  }
}
