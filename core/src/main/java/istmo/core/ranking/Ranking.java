package istmo.core.ranking;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;

/**
 * Ranks alternatives by an additive value model under uncertainty: fit (scaled so that the best is 1) and practical criteria on one scale; the fit is drawn {@link #DRAWS} times with its error. The same input gives the same order: draws
 * are seeded, and ties end in the id. Knows nothing of muscles.
 */
public final class Ranking {
  public static final int DRAWS = 400;
  /** Added to a fit before its logarithm is taken, so that small fits are not torn apart. */
  public static final double FLOOR = 0.2;

  /** Share of the model's error variance that the alternatives of one error group have in common. */
  static final double SHARED_VARIANCE = 0.5;

  private static final double INTERVAL = 0.8;
  /** A band's leader has to win in this share of draws for an alternative to fall out of the band. */
  private static final double CLEARLY = 0.8;

  private Ranking() {}

  /** Ids in order, best first: by mean utility, then by id. What {@link #rank} gives, without its draws. */
  public static List<String> order(List<Alternative> alternatives, double fitWeight) {
    double best = best(alternatives);
    return alternatives.stream().sorted(Comparator.<Alternative>comparingDouble(a -> -utilityOf(a, a.fit() / best, fitWeight)).thenComparing(Alternative::id)).map(Alternative::id).toList();
  }

  private static double best(List<Alternative> alternatives) {
    return Math.max(1e-9, alternatives.stream().mapToDouble(Alternative::fit).max().orElse(0));
  }

  /**
   * The order, best first: by mean utility, then by id.
   *
   * @param fitWeight weight of the fit beside the criteria's weights
   * @param fitLabel name of the fit among the contributions
   */
  public static List<Ranked> rank(List<Alternative> alternatives, double fitWeight, String fitLabel, long seed) {
    if (alternatives.isEmpty()) {
      return List.of();
    }
    List<Alternative> sorted = alternatives.stream().sorted(Comparator.comparing(Alternative::id)).toList();
    int n = sorted.size();
    double best = best(sorted);
    double[][] utility = draws(sorted, fitWeight, best, seed);
    double[] mean = new double[n];
    for (int i = 0; i < n; i++) {
      mean[i] = utilityOf(sorted.get(i), sorted.get(i).fit() / best, fitWeight);
    }
    Integer[] order = new Integer[n];
    Arrays.setAll(order, i -> i);
    Arrays.sort(order, Comparator.<Integer>comparingDouble(i -> -mean[i]).thenComparing(i -> sorted.get(i).id()));

    int[][] ranks = new int[n][DRAWS];
    double[] wins = new double[n];
    for (int d = 0; d < DRAWS; d++) {
      int draw = d;
      Integer[] byDraw = order.clone();
      Arrays.sort(byDraw, Comparator.<Integer>comparingDouble(i -> -utility[i][draw]));
      for (int r = 0; r < n; r++) {
        ranks[byDraw[r]][d] = r + 1;
      }
      wins[byDraw[0]]++;
    }
    List<Ranked> result = new ArrayList<>();
    int band = 0;
    int leader = -1;
    for (int place = 0; place < n; place++) {
      int i = order[place];
      if (leader < 0 || beats(utility[leader], utility[i]) >= CLEARLY) {
        leader = i;
        band++;
      }
      Alternative a = sorted.get(i);
      Arrays.sort(ranks[i]);
      double[] u = utility[i].clone();
      Arrays.sort(u);
      result.add(new Ranked(a.id(), mean[i], low(u), high(u), ranks[i][lowIndex()], ranks[i][highIndex()], wins[i] / DRAWS, band, contributions(a, best, fitWeight, fitLabel)));
    }
    return result;
  }

  private static double[][] draws(List<Alternative> sorted, double fitWeight, double best, long seed) {
    Map<String, double[]> shared = new TreeMap<>();
    sorted.forEach(a -> shared.put(a.errorGroup(), new double[DRAWS]));
    Random random = new Random(seed);
    shared.values().forEach(z -> Arrays.setAll(z, d -> random.nextGaussian()));
    double[][] utility = new double[sorted.size()][DRAWS];
    for (int i = 0; i < sorted.size(); i++) {
      Alternative a = sorted.get(i);
      double[] common = shared.get(a.errorGroup());
      for (int d = 0; d < DRAWS; d++) {
        double z = Math.sqrt(SHARED_VARIANCE) * common[d] + Math.sqrt(1 - SHARED_VARIANCE) * random.nextGaussian();
        double fit = a.fit() + FLOOR > 0 ? (a.fit() + FLOOR) * Math.exp(a.logError() * z) - FLOOR : a.fit();
        utility[i][d] = utilityOf(a, fit / best, fitWeight);
      }
    }
    return utility;
  }

  private static double totalWeight(Alternative a, double fitWeight) {
    return fitWeight + a.criteria().stream().mapToDouble(Alternative.Criterion::weight).sum();
  }

  private static double utilityOf(Alternative a, double scaledFit, double fitWeight) {
    double sum = fitWeight * scaledFit;
    for (Alternative.Criterion c : a.criteria()) {
      sum += c.weight() * c.value();
    }
    return sum / totalWeight(a, fitWeight);
  }

  private static List<Ranked.Contribution> contributions(Alternative a, double best, double fitWeight, String fitLabel) {
    double total = totalWeight(a, fitWeight);
    List<Ranked.Contribution> list = new ArrayList<>();
    list.add(new Ranked.Contribution("fit", fitLabel, fitWeight * a.fit() / best / total, a.fit() / best, ""));
    for (Alternative.Criterion c : a.criteria()) {
      list.add(new Ranked.Contribution(c.id(), c.label(), c.weight() * c.value() / total, c.value(), c.reason()));
    }
    return list;
  }

  private static double beats(double[] leader, double[] other) {
    int wins = 0;
    for (int d = 0; d < DRAWS; d++) {
      wins += leader[d] > other[d] ? 1 : 0;
    }
    return wins / (double) DRAWS;
  }

  private static int lowIndex() {
    return (int) Math.round((1 - INTERVAL) / 2 * (DRAWS - 1));
  }

  private static int highIndex() {
    return DRAWS - 1 - lowIndex();
  }

  private static double low(double[] sortedDraws) {
    return sortedDraws[lowIndex()];
  }

  private static double high(double[] sortedDraws) {
    return sortedDraws[highIndex()];
  }
}
