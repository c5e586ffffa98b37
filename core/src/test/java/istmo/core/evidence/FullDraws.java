package istmo.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.body.Body;
import istmo.core.body.Intake;
import istmo.core.body.Sex;
import istmo.core.catalogue.Catalogue;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;

/** Sensitivities of first order against draws of all unknowns through the whole mechanics. */
final class FullDraws {
  private static final School STRETCH = School.STRETCH;

  private final Report report;

  FullDraws(Report report) {
    this.report = report;
  }

  void say() {
    Body tall = new Intake(1.88, 90, Sex.MALE, Intake.Thigh.LONG, Intake.Ankle.USUAL).body();
    report.say(
        "**First order against full draws.** 16 draws of all %d unknowns at once through the whole"
            + " mechanics of 20 candidates, against the reference body's sensitivities. Shifts: of"
            + " ln(stimulus + floor), where a region gets anything.",
        Unknown.all().size());
    report.say("");
    report.say(
        "| body | rank correlation of the 20, mean over draws and regions | the same, lowest tenth"
            + " | correlation of shifts | spread of shifts, first order and full | out of reach in"
            + " a draw |");
    report.say("|---|---|---|---|---|---|");
    double own = firstOrder("the reference body", ReferenceCalculation.BODY);
    double other =
        firstOrder(
            "a tall lifter with long thighs",
            tall.withStrength(1.5, 1.5 * tall.lumbarNm()).withGrip(110));
    report.say("");
    assertThat(own).isGreaterThan(0.85);
    assertThat(other).isGreaterThan(0.8);
  }

  private double firstOrder(String name, Body body) {
    List<Point> points =
        Catalogue.standard().candidates().stream()
            .map(Point::of)
            .filter(
                point ->
                    ReferenceCalculation.stimulus(
                            point, ReferenceCalculation.usual(point, body), new School[] {STRETCH})
                        .isPresent())
            .toList();
    List<Point> twenty =
        IntStream.range(0, 20).mapToObj(k -> points.get(k * points.size() / 20)).toList();
    double[][] base =
        twenty.stream()
            .map(point -> logs(point, ReferenceCalculation.usual(point, body)).orElseThrow())
            .toArray(double[][]::new);
    double[][][] change =
        twenty.stream()
            .map(
                point ->
                    Reference.standard()
                        .change(Reference.standard().nearest(point).orElseThrow(), STRETCH))
            .toArray(double[][][]::new);
    List<Double> rank = new ArrayList<>();
    List<double[]> shifts = new ArrayList<>();
    int outOfReach = 0;
    Random random = new Random(11);
    for (int draw = 0; draw < 16; draw++) {
      double[] z =
          IntStream.range(0, Unknown.all().size())
              .mapToDouble(u -> random.nextGaussian())
              .toArray();
      double[][] drawn =
          twenty.parallelStream()
              .map(point -> logs(point, all(point, body, z)).orElse(null))
              .toArray(double[][]::new);
      outOfReach += (int) Arrays.stream(drawn).filter(d -> d == null).count();
      for (int r = 0; r < base[0].length; r++) {
        List<double[]> pairs = pairs(base, change, drawn, z, r, shifts);
        rank.add(spearman(pairs));
      }
    }
    rank.sort(null);
    double mean = rank.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
    report.say(
        "| %s | %.2f | %.2f | %.2f | %.2f and %.2f | %d of 320 |",
        name,
        mean,
        rank.get(rank.size() / 10),
        pearson(shifts),
        spread(shifts, 0),
        spread(shifts, 1),
        outOfReach);
    return mean;
  }

  /**
   * First order beside the whole mechanics, in a draw and a region.
   *
   * @param shifts takes what is moved where the region gets anything
   */
  private static List<double[]> pairs(
      double[][] base,
      double[][][] change,
      double[][] drawn,
      double[] z,
      int r,
      List<double[]> shifts) {
    List<double[]> pairs = new ArrayList<>();
    for (int i = 0; i < base.length; i++) {
      if (drawn[i] == null) {
        continue;
      }
      double shift = 0;
      for (int u = 0; u < z.length; u++) {
        shift += change[i][r][u] * z[u];
      }
      pairs.add(new double[] {base[i][r] + shift, drawn[i][r]});
      if (base[i][r] > Math.log(0.4)) {
        shifts.add(new double[] {shift, drawn[i][r] - base[i][r]});
      }
    }
    return pairs;
  }

  private static Unknown.Case all(Point point, Body body, double[] z) {
    Unknown.Case example = ReferenceCalculation.usual(point, body);
    for (int u = 0; u < z.length; u++) {
      example = Unknown.all().get(u).change().apply(example, z[u]);
    }
    return example;
  }

  private static Optional<double[]> logs(Point point, Unknown.Case example) {
    return ReferenceCalculation.stimulus(point, example, new School[] {STRETCH})
        .map(s -> Arrays.stream(s[0]).map(v -> Math.log(v + Stimulus.FLOOR)).toArray());
  }

  private static double spread(List<double[]> v, int which) {
    return Math.sqrt(v.stream().mapToDouble(x -> x[which] * x[which]).average().orElseThrow());
  }

  private static double spearman(List<double[]> pairs) {
    double[] a = ranks(pairs.stream().mapToDouble(p -> p[0]).toArray());
    double[] b = ranks(pairs.stream().mapToDouble(p -> p[1]).toArray());
    return pearson(IntStream.range(0, a.length).mapToObj(i -> new double[] {a[i], b[i]}).toList());
  }

  private static double[] ranks(double[] v) {
    Integer[] order =
        IntStream.range(0, v.length)
            .boxed()
            .sorted(java.util.Comparator.comparingDouble(i -> v[i]))
            .toArray(Integer[]::new);
    double[] rank = new double[v.length];
    for (int k = 0; k < order.length; k++) {
      rank[order[k]] = k;
    }
    return rank;
  }

  private static double pearson(List<double[]> pairs) {
    double ma = pairs.stream().mapToDouble(p -> p[0]).average().orElseThrow();
    double mb = pairs.stream().mapToDouble(p -> p[1]).average().orElseThrow();
    double ab = 0;
    double aa = 0;
    double bb = 0;
    for (double[] p : pairs) {
      ab += (p[0] - ma) * (p[1] - mb);
      aa += (p[0] - ma) * (p[0] - ma);
      bb += (p[1] - mb) * (p[1] - mb);
    }
    return ab / Math.sqrt(aa * bb);
  }
}
