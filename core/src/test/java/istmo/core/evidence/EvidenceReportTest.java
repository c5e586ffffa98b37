package istmo.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.SameFigures;
import istmo.core.anatomy.Region;
import istmo.core.body.Body;
import istmo.core.body.Cautions;
import istmo.core.body.Intake;
import istmo.core.body.Profile;
import istmo.core.body.Sex;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.GymEquipment;
import istmo.core.evidence.Finding.Direction;
import istmo.core.evidence.Posterior.Assumptions;
import istmo.core.ranking.brief.Aim;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.brief.Weights;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.order.Orders;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;
import org.junit.jupiter.api.Test;

/**
 * What the evidence is worth, measured: the block in docs/validation.md is what this finds today,
 * written with {@code mvn -pl core test -Dtest=EvidenceReportTest -Dvalidation.write=true}; and
 * floors under which no change may fall unseen.
 */
class EvidenceReportTest {
  private static final Path PAGE = Path.of("..", "docs", "validation.md");
  private static final String BEGIN = "<!-- evidence: written by EvidenceReportTest -->";
  private static final String END = "<!-- end of evidence -->";

  private static final School STRETCH = School.STRETCH;
  private static final Assumptions MECHANICS = Assumptions.USUAL;

  /** Studies alone: no mechanics, and exercises free to differ as much as they do by mechanics. */
  private static final Assumptions NO_MECHANICS = new Assumptions(false, 2.5, StudyNoise.SPREAD);

  private final StringBuilder report = new StringBuilder(BEGIN + "\n\n");

  @Test
  void whatTheEvidenceIsWorth() throws Exception {
    leaveOneStudyOut();
    heldOut();
    simulatedTruth();
    firstOrderAgainstFullDraws();
    weightsPerturbed();
    claims();
    report.append(END);
    SameFigures.assertWritten(PAGE, report.toString());
  }

  private void say(String format, Object... values) {
    report.append(String.format(Locale.ROOT, format, values)).append('\n');
  }

  // leave one study out

  private static boolean predicted(Finding finding, double mean) {
    return switch (finding.direction()) {
      case MORE, ONLY -> mean > 0;
      case LESS -> mean < 0;
      case ALIKE, NEITHER -> Math.abs(mean) <= StudyNoise.MARGIN;
    };
  }

  private void leaveOneStudyOut() {
    List<Finding> used = Studies.standard().used();
    Posterior none = new Posterior(STRETCH, List.of(), MECHANICS);
    Posterior allStudies = new Posterior(STRETCH, used, NO_MECHANICS);
    Posterior allBoth = new Posterior(STRETCH, used, MECHANICS);
    Map<String, int[]> tally = new TreeMap<>(); // hits of mechanics, studies, both, and how many
    int ratios = 0;
    int held = 0;
    for (String citation : Studies.standard().citations()) {
      Posterior studies = allStudies.without(finding -> finding.citation().equals(citation));
      Posterior both = allBoth.without(finding -> finding.citation().equals(citation));
      for (Finding finding : used) {
        if (!finding.citation().equals(citation)) {
          continue;
        }
        boolean[] hit = {
          predicted(finding, none.difference(finding).mean()),
          predicted(finding, studies.difference(finding).mean()),
          predicted(finding, both.difference(finding).mean())
        };
        if (finding.hasRatio()) {
          Posterior.Estimate estimate = both.difference(finding);
          double sd = Math.hypot(estimate.sd(), both.noise(finding));
          double seen = StudyNoise.logRatio(finding) / StudyNoise.SLOPE;
          ratios++;
          held += Math.abs(seen - estimate.mean()) < 1.2816 * sd ? 1 : 0;
        }
        String kind = finding.direction().alike() ? "no difference" : "direction";
        String how = finding.how().growth() ? "growth" : finding.how().label();
        String group = finding.regionsA().get(0).group().id();
        for (String key : List.of(kind + "|0 all", kind + "|1 " + how, kind + "|2 " + group)) {
          int[] t = tally.computeIfAbsent(key, text -> new int[4]);
          for (int m = 0; m < 3; m++) {
            t[m] += hit[m] ? 1 : 0;
          }
          t[3]++;
        }
      }
    }
    say(
        "**Leave one study out.** Every study's findings predicted without it, %d findings of %d"
            + " studies in use. A direction is predicted when the sign is right; no difference when"
            + " the mean lies within ±%.0f %%.",
        used.size(), Studies.standard().citations().size(), 100 * StudyNoise.MARGIN);
    say("");
    say("| found | of | mechanics alone | studies alone | both |");
    say("|---|---|---|---|---|");
    tally.forEach(
        (key, t) ->
            say(
                "| %s, %s | %d | %d | %d | %d |",
                key.split("\\|")[0], key.split("\\|")[1].substring(2), t[3], t[0], t[1], t[2]));
    say("");
    say(
        "The 80 %% interval of a left-out ratio of growths, with the study's own noise, holds it in"
            + " %d of %d.",
        held, ratios);
    say("");
    int[] all = tally.get("direction|0 all");
    assertThat(all[2])
        .as("both together predict directions no worse than either alone")
        .isGreaterThanOrEqualTo(Math.max(all[0], all[1]) - 1);
    assertThat(all[2] / (double) all[3]).isGreaterThan(0.75);
    assertThat(held / (double) ratios).isBetween(0.65, 0.95);
  }

  private void heldOut() {
    Posterior none = new Posterior(STRETCH, List.of(), MECHANICS);
    Posterior all = Posterior.of(STRETCH);
    say(
        "**Held out.** Findings that were never used, nor looked at when anything was chosen: ln of"
            + " how much more the first gives.");
    say("");
    say("| study | what | region | found | mechanics | with studies | |");
    say("|---|---|---|---|---|---|---|");
    int hits = 0;
    for (Finding finding : Studies.standard().all()) {
      if (finding.heldOut()) {
        Posterior.Estimate estimate = none.difference(finding);
        Posterior.Estimate estimated = all.difference(finding);
        hits += predicted(finding, estimated.mean()) ? 1 : 0;
        say(
            "| %s | %s against %s | %s | %s | %.2f ± %.2f | %.2f ± %.2f | %s |",
            finding.shortCitation(),
            finding.conditionA(),
            finding.conditionB(),
            finding.regionWords(),
            finding.direction().label(),
            estimate.mean(),
            estimate.sd(),
            estimated.mean(),
            estimated.sd(),
            predicted(finding, estimated.mean()) ? "hit" : "**miss**");
      }
    }
    say("");
    assertThat(hits).isGreaterThanOrEqualTo(5);
  }

  // simulated ground truth

  private void simulatedTruth() {
    Random random = new Random(7);
    List<Candidate> candidates =
        Catalogue.standard().candidates().stream()
            .filter(candidate -> Reference.standard().has(candidate.id()))
            .toList();
    List<Finding> targets = new ArrayList<>();
    List<Region> regions =
        List.of(
            Region.RF,
            Region.VL,
            Region.BFL,
            Region.ST,
            Region.GMAXM,
            Region.GMEDP,
            Region.AL,
            Region.GASM,
            Region.SOL);
    for (int k = 0; k < 60; k++) {
      Region region = regions.get(k % regions.size());
      targets.add(
          like(
              Studies.standard().get("F021"),
              "T" + k,
              pick(candidates, random),
              pick(candidates, random),
              List.of(region),
              Direction.MORE,
              OptionalDouble.empty(),
              OptionalDouble.empty()));
    }
    List<Finding> used = Studies.standard().used();
    List<Finding> together = new ArrayList<>(used);
    together.addAll(targets);
    Posterior joint = new Posterior(STRETCH, together, MECHANICS);
    double[][] cov = joint.prior();
    int n = cov.length;
    for (int i = 0; i < n; i++) {
      cov[i][i] += 1e-9;
    }
    RealMatrix root = new CholeskyDecomposition(new Array2DRowRealMatrix(cov), 1e-9, 1e-15).getL();
    int inside = 0;
    int narrower = 0;
    int asked = 0;
    for (int world = 0; world < 20; world++) {
      double[] g = IntStream.range(0, n).mapToDouble(i -> random.nextGaussian()).toArray();
      double[] truth = root.operate(g);
      List<Finding> simulated = new ArrayList<>();
      for (int i = 0; i < n; i++) {
        truth[i] += joint.mechanics(together.get(i));
        if (i < used.size()) {
          Finding finding = used.get(i);
          double seen = truth[i] + joint.noise(finding) * random.nextGaussian();
          boolean ratio = finding.hasRatio();
          simulated.add(
              like(
                  finding,
                  finding.id(),
                  finding.setUpA().orElseThrow(),
                  finding.setUpB().orElseThrow(),
                  finding.regionsA(),
                  seen > 0 ? Direction.MORE : Direction.LESS,
                  ratio
                      ? OptionalDouble.of(20 * Math.exp(StudyNoise.SLOPE * seen) - 1)
                      : OptionalDouble.empty(),
                  ratio ? OptionalDouble.of(19) : OptionalDouble.empty()));
        }
      }
      Posterior posterior = new Posterior(STRETCH, simulated, MECHANICS);
      for (int t = 0; t < targets.size(); t++) {
        Posterior.Estimate estimate = posterior.difference(targets.get(t));
        double x = truth[used.size() + t];
        inside += x >= estimate.low() && x <= estimate.high() ? 1 : 0;
        narrower += estimate.sd() < 0.9 * Math.sqrt(cov[used.size() + t][used.size() + t]) ? 1 : 0;
        asked++;
      }
    }
    say(
        "**Simulated ground truth.** Worlds drawn from the prior, the same findings made in them,"
            + " %d differences between random candidates asked: the 80 %% interval holds the truth"
            + " in %.0f %%. Findings narrow the interval by more than a tenth for %.0f %% of the"
            + " differences.",
        asked, 100.0 * inside / asked, 100.0 * narrower / asked);
    say("");
    assertThat(inside / (double) asked).isBetween(0.75, 0.85);
  }

  private static Point pick(List<Candidate> from, Random random) {
    return Point.of(from.get(random.nextInt(from.size())));
  }

  private static Finding like(
      Finding finding,
      String id,
      Point point,
      Point otherPoint,
      List<Region> regions,
      Direction direction,
      OptionalDouble growthA,
      OptionalDouble growthB) {
    return new Finding(
        id,
        finding.citation(),
        finding.how(),
        finding.weeks(),
        finding.people(),
        "",
        "a",
        "b",
        Optional.of(point),
        Optional.of(otherPoint),
        regions,
        finding.comparesMuscles() && !id.startsWith("T") ? finding.regionsB() : regions,
        "whole",
        "",
        growthA,
        growthB,
        direction,
        "",
        finding.memory(),
        "",
        Optional.empty());
  }

  // first order against full draws

  private void firstOrderAgainstFullDraws() {
    Body tall = new Intake(1.88, 90, Sex.MALE, Intake.Thigh.LONG, Intake.Ankle.USUAL).body();
    say(
        "**First order against full draws.** 16 draws of all %d unknowns at once through the whole"
            + " mechanics of 20 candidates, against the reference body's sensitivities. Shifts: of"
            + " ln(stimulus + floor), where a region gets anything.",
        Unknown.all().size());
    say("");
    say(
        "| body | rank correlation of the 20, mean over draws and regions | the same, lowest tenth"
            + " | correlation of shifts | spread of shifts, first order and full | out of reach in"
            + " a draw |");
    say("|---|---|---|---|---|---|");
    double own = firstOrder("the reference body", ReferenceCalculation.BODY);
    double other =
        firstOrder(
            "a tall lifter with long thighs",
            tall.withStrength(1.5, 1.5 * tall.lumbarNm()).withGrip(110));
    say("");
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
        rank.add(spearman(pairs));
      }
    }
    rank.sort(null);
    double mean = rank.stream().mapToDouble(Double::doubleValue).average().orElseThrow();
    say(
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

  // weights

  private static List<String> first3(List<String> places) {
    return places.subList(0, Math.min(3, places.size()));
  }

  private void weightsPerturbed() {
    Body man = Body.estimated(1.78, 80, Sex.MALE);
    GymEquipment everything = GymEquipment.generic(Equipment.everything());
    Map<String, Evaluation> evaluations = Orders.evaluate(man, everything, STRETCH);
    Random random = new Random(3);
    int same = 0;
    double kept = 0;
    int asked = 0;
    Map<String, Integer> changed = new HashMap<>();
    for (String aim :
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
            "VL BFL GMAXM GASM")) {
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
      List<String> usual = Orders.places(brief, evaluations);
      for (int k = 0; k < 20; k++) {
        Map<String, Double> weights = new HashMap<>();
        Weights.USUAL
            .all()
            .forEach((id, w) -> weights.put(id, w * (0.8 + 0.4 * random.nextDouble())));
        List<String> other =
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
    say(
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
    say("");
    assertThat(same / (double) asked).isGreaterThan(0.7);
  }

  private void claims() {
    Map<Verdict.Word, Long> words =
        Verdict.all(Posterior.of(STRETCH)).stream()
            .collect(Collectors.groupingBy(Verdict::word, TreeMap::new, Collectors.counting()));
    say(
        "**Claims of the trade**, %d: %s.",
        Claims.standard().all().size(),
        words.entrySet().stream()
            .map(entry -> entry.getValue() + " " + entry.getKey().label())
            .collect(Collectors.joining(", ")));
    say("");
  }
}
