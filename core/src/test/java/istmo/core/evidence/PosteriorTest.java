package istmo.core.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionValues;
import istmo.core.evidence.Finding.Direction;
import istmo.core.evidence.Posterior.Assumptions;
import istmo.core.evidence.Posterior.Estimate;
import istmo.core.stimulus.School;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class PosteriorTest {
  private static final School STRETCH = School.STRETCH;
  private static final Posterior NONE = new Posterior(STRETCH, List.of(), Assumptions.USUAL);
  private static final Posterior ALL = Posterior.of(STRETCH);

  /**
   * Two candidates, one ratio: the posterior of their difference is the precision-weighted mean of
   * prior and finding.
   */
  @Test
  void oneRatioOfTwoCandidatesIsTheClosedForm() {
    Finding finding =
        Findings.finding(
            "X1",
            "seated-leg-curl/usual",
            "lying-leg-curl/usual",
            "BFL",
            Finding.How.MRI,
            Direction.MORE,
            14,
            9);
    Posterior posterior = new Posterior(STRETCH, List.of(finding), Assumptions.USUAL);
    Estimate before = NONE.difference(finding);
    double noise = StudyNoise.SPREAD / StudyNoise.SLOPE;
    double y = Math.log(15.0 / 10) / StudyNoise.SLOPE;
    double v0 = before.sd() * before.sd();
    double v = 1 / (1 / v0 + 1 / (noise * noise));
    Estimate after = posterior.difference(finding);
    assertThat(after.mean())
        .isCloseTo(v * (before.mean() / v0 + y / (noise * noise)), within(1e-9));
    assertThat(after.sd()).isCloseTo(Math.sqrt(v), within(1e-9));
  }

  /**
   * One direction: the exact moments of a normal times a probit (Rasmussen and Williams 2006,
   * equations 3.82 to 3.85); expectation propagation with one site is exact.
   */
  @Test
  void oneDirectionOfTwoCandidatesIsTheClosedForm() {
    for (Direction direction : List.of(Direction.MORE, Direction.LESS)) {
      Finding finding = Findings.seatedAgainstLying(direction);
      Estimate before = NONE.difference(finding);
      double noise = StudyNoise.SPREAD / StudyNoise.SLOPE;
      double v = before.sd() * before.sd();
      double sign = direction == Direction.MORE ? 1 : -1;
      double scale = Math.sqrt(v + noise * noise);
      double z = sign * before.mean() / scale;
      // by quadrature, which knows no formula
      double[] moments = new double[3];
      for (int k = -4000; k <= 4000; k++) {
        double x = before.mean() + 8 * before.sd() * k / 4000;
        double w =
            Math.exp(-0.5 * Math.pow((x - before.mean()) / before.sd(), 2))
                * Normal.probability(sign * x / noise);
        moments[0] += w;
        moments[1] += w * x;
        moments[2] += w * x * x;
      }
      double mean = moments[1] / moments[0];
      Estimate after =
          new Posterior(STRETCH, List.of(finding), Assumptions.USUAL).difference(finding);
      assertThat(after.mean()).isCloseTo(mean, within(1e-5));
      assertThat(after.sd())
          .isCloseTo(Math.sqrt(moments[2] / moments[0] - mean * mean), within(1e-5));
      assertThat(after.mean())
          .isCloseTo(
              before.mean() + sign * v / scale * Normal.densityOverProbability(z), within(1e-6));
    }
  }

  @Test
  void noDifferencePullsTowardsNothingAndActivityPullsLessThanGrowth() {
    Finding alike =
        Findings.finding(
            "X1",
            "hip-thrust/usual",
            "lying-leg-curl/usual",
            "BFL",
            Finding.How.MRI,
            Direction.ALIKE);
    double before = NONE.difference(alike).mean();
    assertThat(
            Math.abs(
                new Posterior(STRETCH, List.of(alike), Assumptions.USUAL).difference(alike).mean()))
        .isLessThan(Math.abs(before));
    Finding growth =
        Findings.finding(
            "X1",
            "lying-leg-curl/usual",
            "seated-leg-curl/usual",
            "ST",
            Finding.How.MRI,
            Direction.MORE);
    Finding activity =
        Findings.finding(
            "X1",
            "lying-leg-curl/usual",
            "seated-leg-curl/usual",
            "ST",
            Finding.How.EMG,
            Direction.MORE);
    double start = NONE.difference(growth).mean();
    double byGrowth =
        new Posterior(STRETCH, List.of(growth), Assumptions.USUAL).difference(growth).mean()
            - start;
    double byActivity =
        new Posterior(STRETCH, List.of(activity), Assumptions.USUAL).difference(activity).mean()
            - start;
    assertThat(byGrowth).isGreaterThan(1.5 * byActivity).isPositive();
    // the school that trusts activity like growth takes them alike; its prior is another, so it is
    // compared with itself
    Posterior none = new Posterior(School.ACTIVATION, List.of(), Assumptions.USUAL);
    double g =
        new Posterior(School.ACTIVATION, List.of(growth), Assumptions.USUAL)
                .difference(growth)
                .mean()
            - none.difference(growth).mean();
    double e =
        new Posterior(School.ACTIVATION, List.of(activity), Assumptions.USUAL)
                .difference(activity)
                .mean()
            - none.difference(activity).mean();
    assertThat(e).isCloseTo(g, within(1e-9));
  }

  /**
   * A finding tells of its neighbours, less the further they are, and nothing of other groups
   * through the model's own error.
   */
  @Test
  void aFindingTellsOfItsNeighbours() {
    Point at = Point.parse("back-squat/high-bar");
    assertThat(at.correlation(at)).isEqualTo(1);
    double near = at.correlation(Point.parse("back-squat/high-bar depth=90"));
    double far = at.correlation(Point.parse("back-squat/high-bar depth=50"));
    assertThat(near).isBetween(far, 1.0);
    assertThat(far)
        .isGreaterThan(at.correlation(Point.parse("front-squat/front")))
        .isGreaterThan(at.correlation(Point.parse("leg-press/low")));
    assertThat(at.correlation(Point.parse("seated-leg-curl/usual"))).isZero();
    Finding finding =
        Findings.finding(
            "X1",
            "back-squat/high-bar",
            "seated-leg-curl/usual",
            "BFL",
            Finding.How.MRI,
            Direction.LESS);
    Posterior posterior = new Posterior(STRETCH, List.of(finding), Assumptions.USUAL);
    double own = shift(posterior, "back-squat/high-bar", "BFL");
    double front = shift(posterior, "front-squat/front", "BFL");
    assertThat(own).isNegative();
    assertThat(front).isNegative();
  }

  private static double shift(Posterior posterior, String key, String region) {
    return posterior
            .difference(
                Point.parse(key), Point.parse("hip-flexion/bent"), List.of(Region.of(region)))
            .mean()
        - NONE.difference(
                Point.parse(key), Point.parse("hip-flexion/bent"), List.of(Region.of(region)))
            .mean();
  }

  /**
   * What body mass alone ends early must not hang on every study: of all that is said about curls
   * of the knee, nothing moves the quadriceps of a one-leg squat by a figure worth a word.
   */
  @Test
  void studiesOfLegCurlsDoNotMoveTheQuadricepsOfAOneLegSquat() {
    Evidence.At squat = Evidence.of(STRETCH).at(Point.parse("track-one-leg-squat/usual"));
    List<Posterior.Influence> curls =
        squat.influences(Region.of("VL").ordinal()).stream()
            .filter(
                influence ->
                    influence.finding().setUpA().orElseThrow().exercise().id().contains("curl"))
            .toList();
    assertThat(curls).hasSizeGreaterThan(10);
    assertThat(curls)
        .allSatisfy(influence -> assertThat(Math.abs(influence.shift())).isLessThan(0.03));
  }

  /**
   * What a study adds is whole on the body of the reference, and less where this body's own
   * mechanics is far from it.
   */
  @Test
  void aStudyTellsLessOfABodyWhoseMechanicsAreFarFromItsPeoples() {
    int region = Region.GMAXM.ordinal();
    Point point = Point.parse("back-squat/high-bar");
    Evidence.At squat = Evidence.of(STRETCH).at(point);
    double there = Posterior.of(STRETCH).stimulus(point)[region];
    Evidence.At like = squat.on(RegionValues.of(any -> there), false);
    Evidence.At unlike = squat.on(RegionValues.of(any -> there + 1.5), false);
    assertThat(Math.abs(squat.shift(region))).isGreaterThan(0.1);
    assertThat(like.shift(region)).isCloseTo(squat.shift(region), within(1e-12));
    assertThat(unlike.shift(region) / squat.shift(region)).isBetween(0.1, 0.6);
    double mean = Arrays.stream(unlike.draws(region, Set.of(), Map.of())).average().orElseThrow();
    assertThat(mean).as("draws follow").isCloseTo(unlike.shift(region), within(1e-9));
    double sum = unlike.influences(region).stream().mapToDouble(Posterior.Influence::shift).sum();
    double all = squat.influences(region).stream().mapToDouble(Posterior.Influence::shift).sum();
    assertThat(sum / all)
        .as("what each study adds follows")
        .isCloseTo(unlike.shift(region) / squat.shift(region), within(1e-9));
  }

  /**
   * The slope of ln(growth ratio) on ln(stimulus ratio), through the origin, over the findings with
   * both growths: the constant is this, rounded.
   */
  @Test
  void theSlopeIsTheFitOfTheStatedRows() {
    List<Finding> rows = Studies.standard().used().stream().filter(Finding::hasRatio).toList();
    assertThat(rows)
        .extracting(Finding::id)
        .containsExactly(
            "F003", "F004", "F005", "F080", "F084", "F091", "F124", "F125", "F126", "F301", "F302");
    double xy = 0;
    double xx = 0;
    for (Finding row : rows) {
      xy += NONE.mechanics(row) * StudyNoise.logRatio(row);
      xx += NONE.mechanics(row) * NONE.mechanics(row);
    }
    assertThat(StudyNoise.SLOPE).isCloseTo(xy / xx, within(0.15));
  }

  /**
   * How likely the ratios of growths are when their whole study is left out, as a sum of ln
   * densities: the scatter in use is within half a nat of the best, and both half and twice of it
   * are less likely.
   */
  @Test
  void leftOutRatiosAreMostLikelyWithTheSpreadInUse() {
    double inUse = likelihoodOfLeftOutRatios(StudyNoise.SPREAD);
    for (double spread : new double[] {0.15, 0.25, 0.3}) {
      assertThat(inUse)
          .as("against %s", spread)
          .isGreaterThan(likelihoodOfLeftOutRatios(spread) - 0.5);
    }
    assertThat(inUse).isGreaterThan(likelihoodOfLeftOutRatios(StudyNoise.SPREAD / 2));
    assertThat(inUse).isGreaterThan(likelihoodOfLeftOutRatios(2 * StudyNoise.SPREAD));
  }

  private static double likelihoodOfLeftOutRatios(double spread) {
    Posterior all =
        new Posterior(
            STRETCH, Studies.standard().used(), new Assumptions(true, Posterior.OWN_ERROR, spread));
    double sum = 0;
    for (Finding finding : Studies.standard().used()) {
      if (finding.hasRatio()) {
        Posterior without =
            all.without(otherFinding -> otherFinding.citation().equals(finding.citation()));
        Estimate estimate = without.difference(finding);
        double sd = Math.hypot(estimate.sd(), without.noise(finding));
        double z = (StudyNoise.logRatio(finding) / StudyNoise.SLOPE - estimate.mean()) / sd;
        sum += -Math.log(sd) - z * z / 2;
      }
    }
    return sum;
  }

  /**
   * The findings do not tell factors on the own error apart by more than a few nats around the one
   * in use.
   */
  @Test
  void theOwnErrorInUseIsNotContradictedByTheFindings() {
    double best = Double.NEGATIVE_INFINITY;
    for (double factor : new double[] {0.25, 0.5, 1, 1.5, 2}) {
      best =
          Math.max(
              best,
              new Posterior(
                      STRETCH,
                      Studies.standard().used(),
                      new Assumptions(true, factor, StudyNoise.SPREAD))
                  .score());
    }
    assertThat(new Posterior(STRETCH, Studies.standard().used(), Assumptions.USUAL).score())
        .isGreaterThan(best - 2);
  }
}
