package istmo.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;

import istmo.core.anatomy.Region;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.evidence.Finding.Direction;
import istmo.core.evidence.Posterior.Assumptions;
import istmo.core.stimulus.School;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.IntStream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.RealMatrix;

/**
 * Whether intervals hold the truth, in worlds drawn from the prior in which the same findings are
 * made.
 */
final class SimulatedTruth {
  private static final School STRETCH = School.STRETCH;
  private static final Assumptions MECHANICS = Assumptions.USUAL;

  private final Report report;

  SimulatedTruth(Report report) {
    this.report = report;
  }

  void say() {
    Random random = new Random(7);
    List<Candidate> candidates =
        Catalogue.standard().candidates().stream()
            .filter(candidate -> Reference.standard().has(candidate.id().text()))
            .toList();
    List<Finding> targets = targets(candidates, random);
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
      for (int i = 0; i < n; i++) {
        truth[i] += joint.mechanics(together.get(i));
      }
      Posterior posterior =
          new Posterior(STRETCH, simulated(joint, used, truth, random), MECHANICS);
      for (int t = 0; t < targets.size(); t++) {
        Posterior.Estimate estimate = posterior.difference(targets.get(t));
        double x = truth[used.size() + t];
        inside += x >= estimate.low() && x <= estimate.high() ? 1 : 0;
        narrower += estimate.sd() < 0.9 * Math.sqrt(cov[used.size() + t][used.size() + t]) ? 1 : 0;
        asked++;
      }
    }
    report.say(
        "**Simulated ground truth.** Worlds drawn from the prior, the same findings made in them,"
            + " %d differences between random candidates asked: the 80 %% interval holds the truth"
            + " in %.0f %%. Findings narrow the interval by more than a tenth for %.0f %% of the"
            + " differences.",
        asked, 100.0 * inside / asked, 100.0 * narrower / asked);
    report.say("");
    assertThat(inside / (double) asked).isBetween(0.75, 0.85);
  }

  /** Differences between random candidates that are asked for. */
  private static List<Finding> targets(List<Candidate> candidates, Random random) {
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
              List.of(pick(candidates, random), pick(candidates, random)),
              List.of(region),
              Direction.MORE,
              OptionalDouble.empty(),
              OptionalDouble.empty()));
    }
    return targets;
  }

  /** The studies in use as they would have come out in a world, with their noise. */
  private static List<Finding> simulated(
      Posterior joint, List<Finding> used, double[] truth, Random random) {
    List<Finding> simulated = new ArrayList<>();
    for (int i = 0; i < used.size(); i++) {
      Finding finding = used.get(i);
      double seen = truth[i] + joint.noise(finding) * random.nextGaussian();
      boolean ratio = finding.hasRatio();
      simulated.add(
          like(
              finding,
              finding.id(),
              List.of(finding.setUpA().orElseThrow(), finding.setUpB().orElseThrow()),
              finding.regionsA(),
              seen > 0 ? Direction.MORE : Direction.LESS,
              ratio
                  ? OptionalDouble.of(20 * Math.exp(StudyNoise.SLOPE * seen) - 1)
                  : OptionalDouble.empty(),
              ratio ? OptionalDouble.of(19) : OptionalDouble.empty()));
    }
    return simulated;
  }

  private static Point pick(List<Candidate> from, Random random) {
    return Point.of(from.get(random.nextInt(from.size())));
  }

  private static Finding like(
      Finding finding,
      String id,
      List<Point> points,
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
        Optional.of(points.get(0)),
        Optional.of(points.get(1)),
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
}
