package istmo.core.ranking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import istmo.core.ranking.Alternative.Criterion;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class RankingTest {
  private static Alternative alternative(String id, double fit, double error, double stability) {
    return new Alternative(id, fit, error, id, List.of(new Criterion("stability", "stability", 1, stability, "")));
  }

  private static List<Alternative> five() {
    return List.of(alternative("a", 0.9, 0.2, 0.5), alternative("b", 0.85, 0.2, 0.9), alternative("c", 0.3, 0.2, 0.5), alternative("d", 0.28, 0.1, 0.6), alternative("e", 0.02, 0.1, 1));
  }

  @Test
  void sameInputSameOrderHoweverItIsHandedIn() {
    List<Alternative> shuffled = new ArrayList<>(five());
    Collections.shuffle(shuffled, new Random(3));
    assertThat(Ranking.rank(shuffled, 6, "fit", 1)).isEqualTo(Ranking.rank(five(), 6, "fit", 1));
  }

  @Test
  void contributionsAddUpToTheUtility() {
    for (Ranked r : Ranking.rank(five(), 6, "fit", 1)) {
      assertThat(r.contributions().stream().mapToDouble(Ranked.Contribution::points).sum()).isCloseTo(r.utility(), within(1e-12));
    }
  }

  @Test
  void whatCannotBeToldApartSharesABandAndWhatCanDoesNot() {
    List<Ranked> order = Ranking.rank(five(), 6, "fit", 1);
    assertThat(order).extracting(Ranked::id).containsExactly("b", "a", "c", "d", "e");
    assertThat(order).extracting(Ranked::band).containsExactly(1, 1, 2, 2, 3);
    assertThat(order.get(0).rankLow()).isEqualTo(1);
    assertThat(order.get(0).rankHigh()).isBetween(2, 3);
    assertThat(order.stream().mapToDouble(Ranked::chanceOfBest).sum()).isCloseTo(1, within(1e-9));
  }

  @Test
  void withoutErrorsRanksAreSure() {
    List<Ranked> order = Ranking.rank(five().stream().map(a -> new Alternative(a.id(), a.fit(), 0, a.id(), a.criteria())).toList(), 6, "fit", 1);
    for (int k = 0; k < order.size(); k++) {
      assertThat(order.get(k).rankLow()).isEqualTo(k + 1);
      assertThat(order.get(k).rankHigh()).isEqualTo(k + 1);
      assertThat(order.get(k).low()).isEqualTo(order.get(k).high());
    }
  }

  /** The 80 % interval of a single alternative's fit is that of its lognormal error: exp(+-1.2816 sigma). */
  @Test
  void theIntervalIsThatOfTheStatedError() {
    Ranked r = Ranking.rank(List.of(new Alternative("x", 0.8, 0.2, "x", List.of())), 1, "fit", 5).get(0);
    double low = ((0.8 + Ranking.FLOOR) * Math.exp(-1.2816 * 0.2) - Ranking.FLOOR) / 0.8;
    double high = ((0.8 + Ranking.FLOOR) * Math.exp(1.2816 * 0.2) - Ranking.FLOOR) / 0.8;
    assertThat(r.low()).isCloseTo(low, within(0.04));
    assertThat(r.high()).isCloseTo(high, within(0.05));
  }

  @Test
  void sharedErrorsCancelBetweenSetUpsOfOneExercise() {
    Alternative one = new Alternative("x/1", 0.80, 0.2, "x", List.of());
    Alternative two = new Alternative("x/2", 0.65, 0.2, "x", List.of());
    Alternative stranger = new Alternative("y/2", 0.65, 0.2, "y", List.of());
    double together = Ranking.rank(List.of(one, two), 1, "fit", 9).get(0).chanceOfBest();
    double apart = Ranking.rank(List.of(one, stranger), 1, "fit", 9).get(0).chanceOfBest();
    assertThat(together).isGreaterThan(apart);
  }

  @Test
  void nonsenseIsRefused() {
    assertThatThrownBy(() -> new Criterion("c", "c", 1, 1.5, "")).hasMessageContaining("within 0 to 1");
    assertThatThrownBy(() -> new Criterion("c", "c", 1, Double.NaN, "")).hasMessageContaining("within 0 to 1");
    assertThatThrownBy(() -> alternative("x", Double.NaN, 0.1, 1)).hasMessageContaining("fit");
    assertThat(Ranking.rank(List.of(), 1, "fit", 1)).isEmpty();
  }
}
