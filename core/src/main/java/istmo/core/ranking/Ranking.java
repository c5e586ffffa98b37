package istmo.core.ranking;

import istmo.core.quantity.Required;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;

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

  /**
   * So far behind the best variant, on the scale of 0 to 1, the plain form still stands for its
   * group: nobody tells such a difference apart, and everybody knows the plain form.
   */
  private static final double AS_GOOD = 0.02;

  private Ranking() {}

  /**
   * Ids in order: groups by the member that stands for them, best first, and in each the others
   * after it, best first. The plain form stands for its group where it is about as good as the
   * best. What {@link #rank} gives, without its draws.
   */
  public static List<String> order(List<Alternative> alternatives, double fitWeight) {
    return sorted(alternatives, best(alternatives), fitWeight).stream()
        .map(Alternative::id)
        .toList();
  }

  private static List<Alternative> sorted(
      List<Alternative> alternatives, double best, double fitWeight) {
    ToDoubleFunction<Alternative> utility =
        alternative -> utilityOf(alternative, alternative.fit() / best, fitWeight);
    Comparator<Alternative> better =
        Comparator.comparingDouble(utility).reversed().thenComparing(Alternative::id);
    Map<String, List<Alternative>> groups = new HashMap<>();
    alternatives.stream()
        .sorted(better)
        .forEach(
            alternative ->
                groups
                    .computeIfAbsent(alternative.group(), group -> new ArrayList<>())
                    .add(alternative));
    groups.values().forEach(members -> plainFirst(members, utility));
    return groups.values().stream()
        .sorted(Comparator.comparing(members -> members.get(0), better))
        .flatMap(List::stream)
        .toList();
  }

  private static void plainFirst(List<Alternative> members, ToDoubleFunction<Alternative> utility) {
    double enough = utility.applyAsDouble(members.get(0)) - AS_GOOD;
    members.stream()
        .filter(member -> member.plain() && utility.applyAsDouble(member) >= enough)
        .findFirst()
        .ifPresent(
            plain -> {
              members.remove(plain);
              members.add(0, plain);
            });
  }

  private static double best(List<Alternative> alternatives) {
    return Math.max(1e-9, alternatives.stream().mapToDouble(Alternative::fit).max().orElse(0));
  }

  /**
   * The order of {@link #order}. Places count groups: the first member of a group stands for it,
   * and a further member's places are those that it would have instead of the first.
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
    List<Alternative> sorted = sorted(alternatives, best, fitWeight);
    double[][] utility = utilities(sorted, best, fitWeight);
    int draws = utility[0].length;
    int[] first = firstOfGroup(sorted);
    int[][] ranks = ranks(utility, first);
    List<Ranked> result = new ArrayList<>();
    List<double[]> leaders = new ArrayList<>();
    int low = (int) Math.round((1 - INTERVAL) / 2 * (draws - 1));
    int high = draws - 1 - low;
    for (int i = 0; i < sorted.size(); i++) {
      Alternative alternative = sorted.get(i);
      if (first[i] == i
          && (leaders.isEmpty() || beats(leaders.get(leaders.size() - 1), utility[i]) >= CLEARLY)) {
        leaders.add(utility[i]);
      }
      long wins = Arrays.stream(ranks[i]).filter(r -> r == 1).count();
      Arrays.sort(ranks[i]);
      double[] u = utility[i].clone();
      Arrays.sort(u);
      result.add(
          new Ranked(
              alternative.id(),
              utilityOf(alternative, alternative.fit() / best, fitWeight),
              u[low],
              u[high],
              ranks[i][low],
              ranks[i][high],
              wins / (double) draws,
              first[i] == i
                  ? leaders.size()
                  : Math.max(result.get(first[i]).band(), band(leaders, utility[i])),
              contributions(alternative, best, fitWeight, fitLabel),
              back(sorted.get(0), alternative, best, fitWeight, fitLabel),
              i == 0
                  ? Optional.empty()
                  : raise(sorted.get(i - 1), alternative, best, fitWeight, fitLabel)));
    }
    return result;
  }

  /** Utility by alternative and draw. */
  private static double[][] utilities(List<Alternative> sorted, double best, double fitWeight) {
    int draws = sorted.get(0).draws().length;
    double[][] utility = new double[sorted.size()][draws];
    for (int i = 0; i < utility.length; i++) {
      Alternative alternative = sorted.get(i);
      if (alternative.draws().length != draws) {
        throw new IllegalArgumentException(
            alternative.id()
                + " has "
                + alternative.draws().length
                + " draws, others have "
                + draws);
      }
      double practical = utilityOf(alternative, 0, fitWeight);
      double perFit = fitWeight / best / totalWeight(alternative, fitWeight);
      for (int d = 0; d < draws; d++) {
        utility[i][d] = practical + perFit * alternative.draws()[d];
      }
    }
    return utility;
  }

  /** For each, which one stands first in its group. */
  private static int[] firstOfGroup(List<Alternative> sorted) {
    Map<String, Integer> first = new HashMap<>();
    int[] result = new int[sorted.size()];
    for (int i = 0; i < result.length; i++) {
      first.putIfAbsent(sorted.get(i).group(), i);
      result[i] = Required.entry(first, sorted.get(i).group());
    }
    return result;
  }

  /** Rank by alternative and draw among those that stand for their groups; 1 is best. */
  private static int[][] ranks(double[][] utility, int[] first) {
    int n = utility.length;
    int draws = utility[0].length;
    int[][] ranks = new int[n][draws];
    int groups = (int) IntStream.range(0, n).filter(i -> first[i] == i).count();
    double[] standing = new double[groups];
    for (int d = 0; d < draws; d++) {
      int g = 0;
      for (int i = 0; i < n; i++) {
        if (first[i] == i) {
          standing[g++] = utility[i][d];
        }
      }
      Arrays.sort(standing);
      for (int i = 0; i < n; i++) {
        double own = utility[i][d];
        int above = groups - upperBound(standing, own);
        ranks[i][d] = 1 + above - (first[i] != i && utility[first[i]][d] > own ? 1 : 0);
      }
    }
    return ranks;
  }

  /** How many of an ascending list are not above a value. */
  private static int upperBound(double[] ascending, double value) {
    int low = 0;
    int high = ascending.length;
    while (low < high) {
      int middle = (low + high) >>> 1;
      if (ascending[middle] <= value) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    return low;
  }

  /** The first band whose leader does not clearly beat this one; the last where each does. */
  private static int band(List<double[]> leaders, double[] utility) {
    for (int b = 0; b < leaders.size(); b++) {
      if (beats(leaders.get(b), utility) < CLEARLY) {
        return b + 1;
      }
    }
    return leaders.size();
  }

  private static double totalWeight(Alternative alternative, double fitWeight) {
    return Math.max(
        1e-12,
        fitWeight
            + alternative.criteria().stream()
                .mapToDouble(Alternative.Criterion::weight)
                .sum()); // where nothing counts, all are alike
  }

  private static double utilityOf(Alternative alternative, double scaledFit, double fitWeight) {
    double sum = fitWeight * scaledFit;
    for (Alternative.Criterion criterion : alternative.criteria()) {
      sum += criterion.weight() * criterion.value();
    }
    return sum / totalWeight(alternative, fitWeight);
  }

  private static List<Ranked.Contribution> contributions(
      Alternative alternative, double best, double fitWeight, String fitLabel) {
    double total = totalWeight(alternative, fitWeight);
    List<Ranked.Contribution> list = new ArrayList<>();
    list.add(
        new Ranked.Contribution(
            FIT,
            fitLabel,
            fitWeight * alternative.fit() / best / total,
            alternative.fit() / best,
            Optional.empty()));
    for (Alternative.Criterion criterion : alternative.criteria()) {
      list.add(
          new Ranked.Contribution(
              criterion.id(),
              criterion.label(),
              criterion.weight() * criterion.value() / total,
              criterion.value(),
              Optional.of(criterion.reason())));
    }
    return list;
  }

  private static Optional<Ranked.Back> back(
      Alternative first, Alternative alternative, double best, double fitWeight, String fitLabel) {
    if (first.id().equals(alternative.id())) {
      return Optional.empty();
    }
    List<Ranked.Contribution> ahead = contributions(first, best, fitWeight, fitLabel);
    List<Ranked.Contribution> own = contributions(alternative, best, fitWeight, fitLabel);
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
      Alternative above, Alternative alternative, double best, double fitWeight, String fitLabel) {
    double gap =
        utilityOf(above, above.fit() / best, fitWeight) * totalWeight(above, fitWeight)
            - utilityOf(alternative, alternative.fit() / best, fitWeight)
                * totalWeight(alternative, fitWeight);
    List<Ranked.Raise> ways = new ArrayList<>();
    way(ways, FIT, fitLabel, fitWeight, (alternative.fit() - above.fit()) / best, gap, above.id());
    for (int k = 0; k < alternative.criteria().size(); k++) {
      Alternative.Criterion criterion = alternative.criteria().get(k);
      way(
          ways,
          criterion.id(),
          criterion.label(),
          criterion.weight(),
          criterion.value() - above.criteria().get(k).value(),
          gap,
          above.id());
    }
    return ways.stream()
        .min(Comparator.comparingDouble(raise -> Math.abs(Math.log(raise.factor()))));
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
