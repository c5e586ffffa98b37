package istmo.core.ranking;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Ranks alternatives by an additive value model under uncertainty: fit (scaled so that the best is
 * 1) and practical criteria on one scale, under draws of the fit that come with the alternatives.
 * The same input gives the same order; ties end in the id. Knows nothing of muscles.
 */
public final class Ranking {
  /** Id of the fit among the contributions. */
  public static final String FIT = "fit";

  private static final double INTERVAL = 0.8;

  /**
   * A band's leader has to win in this share of draws for an alternative to fall out of the band.
   */
  private static final double CLEARLY = 0.8;

  /**
   * Changes of a weight by more than so many times, up or down, are no change that a coach would
   * make.
   */
  private static final double MOST_FACTOR = 4;

  private Ranking() {}

  /**
   * Ids in order, best first: by utility, then by id. What {@link #rank} gives, without its draws.
   */
  public static List<String> order(List<Alternative> alternatives, double fitWeight) {
    double best = best(alternatives);
    return alternatives.stream()
        .sorted(
            Comparator.<Alternative>comparingDouble(a -> -utilityOf(a, a.fit() / best, fitWeight))
                .thenComparing(Alternative::id))
        .map(Alternative::id)
        .toList();
  }

  private static double best(List<Alternative> alternatives) {
    return Math.max(1e-9, alternatives.stream().mapToDouble(Alternative::fit).max().orElse(0));
  }

  /**
   * The order, best first: by utility, then by id.
   *
   * @param fitWeight weight of the fit beside the criteria's weights
   * @param fitLabel name of the fit among the contributions
   */
  public static List<Ranked> rank(
      List<Alternative> alternatives, double fitWeight, String fitLabel) {
    if (alternatives.isEmpty()) {
      return List.of();
    }
    double best = best(alternatives);
    List<Alternative> sorted =
        alternatives.stream()
            .sorted(
                Comparator.<Alternative>comparingDouble(
                        a -> -utilityOf(a, a.fit() / best, fitWeight))
                    .thenComparing(Alternative::id))
            .toList();
    int n = sorted.size();
    int draws = sorted.get(0).draws().length;
    double[][] utility = new double[n][draws];
    for (int i = 0; i < n; i++) {
      Alternative a = sorted.get(i);
      if (a.draws().length != draws) {
        throw new IllegalArgumentException(
            a.id() + " has " + a.draws().length + " draws, others have " + draws);
      }
      double practical = utilityOf(a, 0, fitWeight);
      double perFit = fitWeight / best / totalWeight(a, fitWeight);
      for (int d = 0; d < draws; d++) {
        utility[i][d] = practical + perFit * a.draws()[d];
      }
    }
    int[][] ranks = new int[n][draws];
    double[] wins = new double[n];
    double[] column = new double[n];
    Integer[] byDraw = new Integer[n];
    for (int d = 0; d < draws; d++) {
      for (int i = 0; i < n; i++) {
        column[i] = -utility[i][d];
        byDraw[i] = i;
      }
      Arrays.sort(byDraw, Comparator.comparingDouble(i -> column[i]));
      for (int r = 0; r < n; r++) {
        ranks[byDraw[r]][d] = r + 1;
      }
      wins[byDraw[0]]++;
    }
    List<Ranked> result = new ArrayList<>();
    int band = 0;
    int leader = -1;
    for (int i = 0; i < n; i++) {
      if (leader < 0 || beats(utility[leader], utility[i]) >= CLEARLY) {
        leader = i;
        band++;
      }
      Alternative a = sorted.get(i);
      Arrays.sort(ranks[i]);
      double[] u = utility[i].clone();
      Arrays.sort(u);
      int low = (int) Math.round((1 - INTERVAL) / 2 * (draws - 1));
      int high = draws - 1 - low;
      result.add(
          new Ranked(
              a.id(),
              utilityOf(a, a.fit() / best, fitWeight),
              u[low],
              u[high],
              ranks[i][low],
              ranks[i][high],
              wins[i] / draws,
              band,
              contributions(a, best, fitWeight, fitLabel),
              back(sorted.get(0), a, best, fitWeight, fitLabel),
              i == 0 ? Optional.empty() : raise(sorted.get(i - 1), a, best, fitWeight, fitLabel)));
    }
    return result;
  }

  private static double totalWeight(Alternative a, double fitWeight) {
    return Math.max(
        1e-12,
        fitWeight
            + a.criteria().stream()
                .mapToDouble(Alternative.Criterion::weight)
                .sum()); // where nothing counts, all are alike
  }

  private static double utilityOf(Alternative a, double scaledFit, double fitWeight) {
    double sum = fitWeight * scaledFit;
    for (Alternative.Criterion c : a.criteria()) {
      sum += c.weight() * c.value();
    }
    return sum / totalWeight(a, fitWeight);
  }

  private static List<Ranked.Contribution> contributions(
      Alternative a, double best, double fitWeight, String fitLabel) {
    double total = totalWeight(a, fitWeight);
    List<Ranked.Contribution> list = new ArrayList<>();
    list.add(
        new Ranked.Contribution(
            FIT, fitLabel, fitWeight * a.fit() / best / total, a.fit() / best, ""));
    for (Alternative.Criterion c : a.criteria()) {
      list.add(
          new Ranked.Contribution(
              c.id(), c.label(), c.weight() * c.value() / total, c.value(), c.reason()));
    }
    return list;
  }

  private static Optional<Ranked.Back> back(
      Alternative first, Alternative a, double best, double fitWeight, String fitLabel) {
    if (first.id().equals(a.id())) {
      return Optional.empty();
    }
    List<Ranked.Contribution> ahead = contributions(first, best, fitWeight, fitLabel);
    List<Ranked.Contribution> own = contributions(a, best, fitWeight, fitLabel);
    Optional<Ranked.Back> most = Optional.empty();
    for (int k = 0; k < own.size(); k++) {
      double lost = ahead.get(k).points() - own.get(k).points();
      if (lost > 0 && (most.isEmpty() || lost > most.get().points())) {
        most = Optional.of(new Ranked.Back(own.get(k).criterion(), own.get(k).label(), lost));
      }
    }
    return most;
  }

  /**
   * Weighted sums of both are linear in a weight, and their totals are alike: the weight at which
   * they tie is a quotient.
   */
  private static Optional<Ranked.Raise> raise(
      Alternative above, Alternative a, double best, double fitWeight, String fitLabel) {
    double gap =
        utilityOf(above, above.fit() / best, fitWeight) * totalWeight(above, fitWeight)
            - utilityOf(a, a.fit() / best, fitWeight) * totalWeight(a, fitWeight);
    List<Ranked.Raise> ways = new ArrayList<>();
    way(ways, FIT, fitLabel, fitWeight, (a.fit() - above.fit()) / best, gap, above.id());
    for (int k = 0; k < a.criteria().size(); k++) {
      Alternative.Criterion c = a.criteria().get(k);
      way(
          ways,
          c.id(),
          c.label(),
          c.weight(),
          c.value() - above.criteria().get(k).value(),
          gap,
          above.id());
    }
    return ways.stream().min(Comparator.comparingDouble(w -> Math.abs(Math.log(w.factor()))));
  }

  private static void way(
      List<Ranked.Raise> ways,
      String id,
      String label,
      double weight,
      double ahead,
      double gap,
      String over) {
    if (weight == 0 || ahead == 0) {
      return;
    }
    double factor = 1 + gap / ahead / weight;
    if (factor >= 1 / MOST_FACTOR && factor <= MOST_FACTOR) {
      ways.add(new Ranked.Raise(id, label, factor, over));
    }
  }

  private static double beats(double[] leader, double[] other) {
    int wins = 0;
    for (int d = 0; d < leader.length; d++) {
      wins += leader[d] > other[d] ? 1 : 0;
    }
    return wins / (double) leader.length;
  }
}
