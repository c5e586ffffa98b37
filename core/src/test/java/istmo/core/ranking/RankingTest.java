package istmo.core.ranking;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import istmo.core.quantity.Fact;
import istmo.core.ranking.Alternative.Criterion;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class RankingTest {
  private static final Fact NO_REASON = new Fact.Written("");

  /** Draws of a lognormal error, each alternative with its own seed. */
  private static double[] draws(double fit, double error, long seed) {
    Random random = new Random(seed);
    double[] draws = new double[1000];
    java.util.Arrays.setAll(draws, d -> fit * Math.exp(error * random.nextGaussian()));
    return draws;
  }

  private static Alternative alternative(String id, double fit, double error, double stability) {
    return new Alternative(
        id,
        fit,
        draws(fit, error, id.hashCode()),
        List.of(new Criterion("stability", "stability", 1, stability, NO_REASON)));
  }

  private static List<Alternative> five() {
    return List.of(
        alternative("a", 0.9, 0.2, 0.5),
        alternative("b", 0.85, 0.2, 0.9),
        alternative("c", 0.3, 0.2, 0.5),
        alternative("d", 0.28, 0.1, 0.6),
        alternative("e", 0.02, 0.1, 1));
  }

  @Test
  void sameInputSameOrderHoweverItIsHandedIn() {
    List<Alternative> shuffled = new ArrayList<>(five());
    Collections.shuffle(shuffled, new Random(3));
    assertThat(Ranking.rank(shuffled, 6, "fit")).isEqualTo(Ranking.rank(five(), 6, "fit"));
  }

  @Test
  void contributionsAddUpToTheUtility() {
    for (Ranked ranked : Ranking.rank(five(), 6, "fit")) {
      assertThat(ranked.contributions().stream().mapToDouble(Ranked.Contribution::points).sum())
          .isCloseTo(ranked.utility(), within(1e-12));
    }
  }

  @Test
  void whatCannotBeToldApartSharesABandAndWhatCanDoesNot() {
    List<Ranked> order = Ranking.rank(five(), 6, "fit");
    assertThat(order).extracting(Ranked::id).containsExactly("b", "a", "c", "d", "e");
    assertThat(order).extracting(Ranked::band).containsExactly(1, 1, 2, 2, 3);
    assertThat(order.get(0).rankLow()).isEqualTo(1);
    assertThat(order.get(0).rankHigh()).isBetween(2, 3);
    assertThat(order.stream().mapToDouble(Ranked::chanceOfBest).sum()).isCloseTo(1, within(1e-9));
  }

  @Test
  void withoutErrorsRanksAreSure() {
    List<Ranked> order =
        Ranking.rank(
            five().stream()
                .map(
                    alternative ->
                        new Alternative(
                            alternative.id(),
                            alternative.fit(),
                            draws(alternative.fit(), 0, 1),
                            alternative.criteria()))
                .toList(),
            6,
            "fit");
    for (int k = 0; k < order.size(); k++) {
      assertThat(order.get(k).rankLow()).isEqualTo(k + 1);
      assertThat(order.get(k).rankHigh()).isEqualTo(k + 1);
      assertThat(order.get(k).low()).isEqualTo(order.get(k).high());
    }
  }

  /**
   * The 80 % interval of a single alternative is that of its draws: exp(+-1.2816 sigma) for a
   * lognormal error.
   */
  @Test
  void theIntervalIsThatOfTheDraws() {
    Ranked ranked =
        Ranking.rank(List.of(new Alternative("x", 0.8, draws(0.8, 0.2, 5), List.of())), 1, "fit")
            .get(0);
    assertThat(ranked.low()).isCloseTo(Math.exp(-1.2816 * 0.2), within(0.02));
    assertThat(ranked.high()).isCloseTo(Math.exp(1.2816 * 0.2), within(0.03));
  }

  /** A variant has to be better than anybody could tell before it stands for its exercise. */
  @Test
  void thePlainFormStandsForItsGroupWhereItIsAboutAsGood() {
    for (double better : new double[] {0.01, 0.05}) {
      List<Alternative> all =
          List.of(
              new Alternative("x/fancy", "x", false, 0.9, draws(0.9, 0.2, 1), List.of()),
              new Alternative(
                  "x/plain", "x", true, 0.9 * (1 - better), draws(0.9, 0.2, 1), List.of()),
              new Alternative("y", 0.895, draws(0.895, 0.2, 2), List.of()));
      List<String> expected =
          better < 0.02 ? List.of("y", "x/plain", "x/fancy") : List.of("x/fancy", "x/plain", "y");
      assertThat(Ranking.order(all, 1)).isEqualTo(expected);
      assertThat(Ranking.rank(all, 1, "fit")).extracting(Ranked::id).isEqualTo(expected);
    }
  }

  @Test
  void errorsInCommonCancel() {
    Alternative one = new Alternative("x", 0.80, draws(0.80, 0.2, 1), List.of());
    Alternative alike = new Alternative("y", 0.65, draws(0.65, 0.2, 1), List.of());
    Alternative stranger = new Alternative("z", 0.65, draws(0.65, 0.2, 2), List.of());
    assertThat(Ranking.rank(List.of(one, alike), 1, "fit").get(0).chanceOfBest()).isEqualTo(1);
    assertThat(Ranking.rank(List.of(one, stranger), 1, "fit").get(0).chanceOfBest())
        .isLessThan(0.9);
  }

  /**
   * With the weight that is said to raise it, an alternative does pass the one above; with a little
   * less it does not.
   */
  @Test
  void theWeightThatRaisesDoesRaise() {
    List<Alternative> all =
        List.of(
            criteria("a", 0.9, 0.2, 0.9),
            criteria("b", 0.7, 0.9, 0.5),
            criteria("c", 0.6, 0.3, 1.0));
    List<Ranked> order = Ranking.rank(all, 3, "fit");
    for (Ranked ranked : order.subList(1, 3)) {
      Ranked.Raise raise = ranked.raise().orElseThrow();
      for (double more : new double[] {0.98, 1.02}) {
        double factor =
            raise.factor() > 1 ? 1 + (raise.factor() - 1) * more : 1 - (1 - raise.factor()) * more;
        List<Alternative> weighed =
            all.stream()
                .map(
                    alternative ->
                        new Alternative(
                            alternative.id(),
                            alternative.fit(),
                            alternative.draws(),
                            alternative.criteria().stream()
                                .map(
                                    criterion ->
                                        new Criterion(
                                            criterion.id(),
                                            criterion.label(),
                                            criterion.weight()
                                                * (criterion.id().equals(raise.criterion())
                                                    ? factor
                                                    : 1),
                                            criterion.value(),
                                            NO_REASON))
                                .toList()))
                .toList();
        List<String> ids =
            Ranking.order(weighed, 3 * (raise.criterion().equals(Ranking.FIT) ? factor : 1));
        assertThat(ids.indexOf(ranked.id()) < ids.indexOf(raise.over()))
            .as(ranked.id() + " " + raise + " " + more)
            .isEqualTo(more > 1);
      }
    }
  }

  private static Alternative criteria(String id, double fit, double stability, double time) {
    return new Alternative(
        id,
        fit,
        draws(fit, 0.1, id.hashCode()),
        List.of(
            new Criterion("stability", "stability", 1, stability, NO_REASON),
            new Criterion("time", "time", 0.5, time, NO_REASON)));
  }

  @Test
  void whatHoldsBackMostIsNamed() {
    List<Ranked> order =
        Ranking.rank(
            List.of(criteria("a", 0.9, 0.9, 0.9), criteria("b", 0.85, 0.1, 0.9)), 3, "fit");
    assertThat(order.get(0).back()).isEmpty();
    assertThat(order.get(1).back().orElseThrow().criterion()).isEqualTo("stability");
    assertThat(order.get(1).back().orElseThrow().points()).isCloseTo(0.8 / 4.5, within(1e-12));
  }

  @Test
  void whereNothingCountsAllAreAlikeAndInTheOrderOfTheirIds() {
    List<Ranked> order =
        Ranking.rank(
            five().stream()
                .map(
                    alternative ->
                        new Alternative(
                            alternative.id(),
                            alternative.fit(),
                            alternative.draws(),
                            List.of(new Criterion("stability", "stability", 0, 0.5, NO_REASON))))
                .toList(),
            0,
            "fit");
    assertThat(order).extracting(Ranked::id).containsExactly("a", "b", "c", "d", "e");
    assertThat(order).extracting(Ranked::utility).containsOnly(0.0);
  }

  @Test
  void nonsenseIsRefused() {
    assertThatThrownBy(() -> new Criterion("c", "c", 1, 1.5, NO_REASON))
        .hasMessageContaining("within 0 to 1");
    assertThatThrownBy(() -> new Criterion("c", "c", 1, Double.NaN, NO_REASON))
        .hasMessageContaining("within 0 to 1");
    assertThatThrownBy(() -> alternative("x", Double.NaN, 0.1, 1)).hasMessageContaining("fit");
    assertThat(Ranking.rank(List.of(), 1, "fit")).isEmpty();
  }
}
