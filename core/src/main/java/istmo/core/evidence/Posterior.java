package istmo.core.evidence;

import istmo.core.anatomy.Region;
import istmo.core.quantity.Required;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.IntStream;

/**
 * What studies say against what mechanics says, by a school.
 *
 * <p>The field is x(point, region) = ln(stimulus + floor) = mechanics + J theta + delta: theta, the
 * unknowns of people in general, standard normal and common to all points; delta, the model's own
 * error, normal with standard deviation {@link Field#ownError} and correlated between points as
 * {@link Point#correlation} says and between regions of one group by {@value Field#REGION_SHARE}. A
 * finding is one linear observation z = x(A, region) - x(B, region) of the reference body: a ratio
 * of growths enters as z = ln(ratio) / {@link StudyNoise#SLOPE} with Gaussian noise, "no
 * difference" as z = 0 with {@link StudyNoise#MARGIN} added to it, and a direction as a probit,
 * Phi(z / noise), matched by expectation propagation (Minka 2001; {@link Propagation}); where one
 * grew and the other was not seen to, z is counted from {@link StudyNoise#SEEN_BESIDE} on. What
 * remains is Gaussian conditioning. Equations: docs/model.md, 9.
 */
public final class Posterior {
  /**
   * Factor on the exercises' stated model errors (catalogue): the findings do not tell factors from
   * a quarter to one and a half apart (docs/validation.md), so the stated ones stand.
   */
  static final double OWN_ERROR = 1;

  /**
   * What a whole repetition that is left out adds to the own error: findings of partial repetitions
   * at long lengths run from 1.0 to 1.8 times the whole, a spread of about a quarter at half of the
   * range (own estimate).
   */
  private static final double PARTIAL_ERROR = 0.5;

  /** What to make of the mechanics: for checks. */
  record Assumptions(boolean mechanics, double ownError, double spread) {
    static final Assumptions USUAL = new Assumptions(true, OWN_ERROR, StudyNoise.SPREAD);
  }

  /** A finding as a linear observation. */
  private record Row(Finding finding, List<Field.Part> parts, double mean, double noise) {
    private Propagation.Observation observation() {
      return StudyNoise.observation(finding, mean, noise);
    }
  }

  private final School school;
  private final Assumptions assumptions;
  private final StudyNoise studyNoise;
  private final Reference reference = Reference.standard();

  /** Where findings were made, by key. */
  private final Map<String, Field.Node> nodes = new LinkedHashMap<>();

  private final List<Row> rows = new ArrayList<>();
  private final int n;
  private final double[][] prior;
  private final Propagation propagation;

  /**
   * The posterior of all findings in use, and of common practice as far as the school trusts it.
   */
  public static Posterior of(School school) {
    List<Finding> all = new ArrayList<>(Studies.standard().used());
    if (school.practiceTrust() > 0) {
      all.addAll(CommonPractice.standard().all());
    }
    return new Posterior(school, all, Assumptions.USUAL);
  }

  /**
   * The same without some of its findings; what those that stay have in common is not asked anew.
   */
  Posterior without(Predicate<Finding> left) {
    return new Posterior(this, left.negate());
  }

  private Posterior(Posterior whole, Predicate<Finding> stays) {
    this.school = whole.school;
    this.assumptions = whole.assumptions;
    this.studyNoise = whole.studyNoise;
    int[] kept = IntStream.range(0, whole.n).filter(k -> stays.test(whole.finding(k))).toArray();
    for (int k : kept) {
      rows.add(whole.rows.get(k));
    }
    nodes.putAll(whole.nodes);
    this.n = kept.length;
    this.prior = new double[n][n];
    for (int i = 0; i < n; i++) {
      for (int j = 0; j < n; j++) {
        prior[i][j] = whole.prior[kept[i]][kept[j]];
      }
    }
    this.propagation = new Propagation(rows.stream().map(Row::observation).toList(), prior);
  }

  Posterior(School school, List<Finding> findings, Assumptions assumptions) {
    this.school = school;
    this.assumptions = assumptions;
    this.studyNoise = new StudyNoise(school, assumptions.spread());
    for (Finding study : findings) {
      nodes.computeIfAbsent(
          study.setUpA().orElseThrow().key(), key -> node(study.setUpA().orElseThrow()));
      nodes.computeIfAbsent(
          study.setUpB().orElseThrow().key(), key -> node(study.setUpB().orElseThrow()));
      rows.add(row(study));
    }
    this.n = rows.size();
    this.prior = new double[n][n];
    for (int i = 0; i < n; i++) {
      for (int j = 0; j <= i; j++) {
        prior[i][j] = prior[j][i] = Field.covariance(rows.get(i).parts(), rows.get(j).parts());
      }
    }
    this.propagation = new Propagation(rows.stream().map(Row::observation).toList(), prior);
  }

  private Field.Node node(Point point) {
    Field.Node known = nodes.get(point.key());
    if (known != null) {
      return known;
    }
    double own =
        Math.hypot(
            assumptions.ownError() * point.exercise().modelError(),
            PARTIAL_ERROR * (1 - point.exercise().family().part(point.setup())));
    Optional<String> key = assumptions.mechanics() ? reference.nearest(point) : Optional.empty();
    double[][] change =
        key.map(text -> reference.change(text, school))
            .orElse(new double[Field.REGIONS.size()][Unknown.all().size()]);
    int[][] telling =
        Arrays.stream(change)
            .map(
                c ->
                    IntStream.range(0, c.length)
                        .filter(u -> Field.PEOPLE[u] && c[u] != 0)
                        .toArray())
            .toArray(int[][]::new);
    return new Field.Node(point, change, telling, own);
  }

  private Row row(Finding study) {
    List<Field.Part> parts = new ArrayList<>();
    double mean =
        side(parts, study.setUpA().orElseThrow(), study.regionsA(), 1)
            - side(parts, study.setUpB().orElseThrow(), study.regionsB(), -1);
    return new Row(study, parts, mean, studyNoise.of(study));
  }

  /**
   * ln(mean stimulus of the regions by volume + floor) there, and what it is made of to first
   * order.
   */
  private double side(List<Field.Part> parts, Point point, List<Region> regions, double sign) {
    double[] s = stimulus(point);
    double volume = 0;
    double sum = 0;
    for (Region region : regions) {
      double own = region.muscle().volumeM3();
      volume += own;
      sum += own * (s[region.ordinal()] + Stimulus.FLOOR);
    }
    Field.Node node = node(point);
    for (Region region : regions) {
      double own = region.muscle().volumeM3();
      parts.add(
          new Field.Part(
              node, region.ordinal(), sign * own * (s[region.ordinal()] + Stimulus.FLOOR) / sum));
    }
    return assumptions.mechanics() ? Math.log(sum / volume) : 0;
  }

  /** Stimulus by region on the reference body, at the point or the nearest that was computed. */
  double[] stimulus(Point point) {
    return reference.stimulus(reference.nearest(point).orElseThrow(), school);
  }

  /** How well the findings explain one another under these assumptions, left out one at a time. */
  double score() {
    return propagation.score();
  }

  /** Standard deviation of a finding about the difference that it sees. */
  double noise(Finding study) {
    return studyNoise.of(study);
  }

  /** Mechanics' difference for a finding on the reference body. */
  double mechanics(Finding study) {
    return row(study).mean();
  }

  /** Mean and standard deviation of a difference. */
  public record Estimate(double mean, double sd) {
    private static final double Z80 = 1.2816;

    /** Lower end of the 80 % interval. */
    public double low() {
      return mean - Z80 * sd;
    }

    /** Upper end of the 80 % interval. */
    public double high() {
      return mean + Z80 * sd;
    }

    /** Probability that it is above a value. */
    public double above(double value) {
      return Normal.probability((mean - value) / sd);
    }

    /** Probability that it lies within a margin of nothing. */
    public double within(double margin) {
      return Normal.probability((margin - mean) / sd) - Normal.probability((-margin - mean) / sd);
    }
  }

  /** The difference that a finding is about, as this posterior has it. */
  Estimate difference(Finding study) {
    Row row = row(study);
    return estimate(row.parts(), row.mean());
  }

  /**
   * x(first) - x(second) for regions together on the reference body; both must be in the reference
   * table, or near to what is.
   */
  public Estimate difference(Point first, Point second, List<Region> regions) {
    List<Field.Part> parts = new ArrayList<>();
    double mean = side(parts, first, regions, 1) - side(parts, second, regions, -1);
    return estimate(parts, mean);
  }

  /** The same before studies: mechanics with what it leaves open. */
  public Estimate mechanicsDifference(Point first, Point second, List<Region> regions) {
    List<Field.Part> parts = new ArrayList<>();
    double mean = side(parts, first, regions, 1) - side(parts, second, regions, -1);
    return new Estimate(mean, Math.sqrt(Math.max(1e-12, Field.covariance(parts, parts))));
  }

  private Estimate estimate(List<Field.Part> parts, double mean) {
    double[] c = withRows(parts);
    return new Estimate(
        mean + propagation.shift(c),
        Math.sqrt(Math.max(1e-12, Field.covariance(parts, parts) - propagation.explained(c))));
  }

  private double[] withRows(List<Field.Part> parts) {
    double[] c = new double[n];
    for (int k = 0; k < n; k++) {
      c[k] = Field.covariance(parts, rows.get(k).parts());
    }
    return c;
  }

  /**
   * What a finding does to x at a point and region: a positive shift says that it sees more there
   * than mechanics does.
   */
  public record Influence(Finding finding, double shift) {
    static final Comparator<Influence> GREATEST_FIRST =
        Comparator.comparingDouble((Influence influence) -> -Math.abs(influence.shift()))
            .thenComparing(influence -> influence.finding().id());
  }

  /**
   * Each finding's part of the shift of something whose covariances with the findings are given,
   * greatest first.
   */
  List<Influence> influences(double[] covariance) {
    List<Influence> influences = new ArrayList<>();
    for (int k = 0; k < n; k++) {
      influences.add(new Influence(rows.get(k).finding(), covariance[k] * propagation.alpha(k)));
    }
    influences.sort(Influence.GREATEST_FIRST);
    return influences;
  }

  /** A practice row, what this posterior has of its difference, and its noise. */
  record Agreed(Finding finding, List<Field.Part> parts, Estimate here, double noise) {}

  /** What coaches agree on, as far as the school asks them. */
  List<Agreed> agreed() {
    return IntStream.range(0, n)
        .filter(k -> finding(k).how() == Finding.How.PRACTICE)
        .mapToObj(
            k ->
                new Agreed(
                    finding(k), rows.get(k).parts(), propagation.estimate(k), rows.get(k).noise()))
        .toList();
  }

  int rows() {
    return n;
  }

  /** Prior covariance of what the findings observe. */
  double[][] prior() {
    return prior;
  }

  Finding finding(int k) {
    return rows.get(k).finding();
  }

  /** Points at which findings were made. */
  List<Point> points() {
    return nodes.values().stream().map(Field.Node::point).toList();
  }

  double siteVariance(int k) {
    return propagation.siteVariance(k);
  }

  double[][] change(Point point) {
    return node(point).change();
  }

  /** Own errors of a point by region. */
  double[] ownErrors(Point point) {
    Field.Node node = node(point);
    double[] result = new double[Field.REGIONS.size()];
    Arrays.setAll(result, r -> Field.ownError(node, r));
    return result;
  }

  /** What the rows' residuals, given or simulated, weigh. */
  double[] weights(double[] residual) {
    return propagation.weights(residual);
  }

  /** What finding k should see beside the mechanics, were the site exact. */
  double residual(int k) {
    return propagation.residual(k);
  }

  /** Value of row k for a field given by point key as [region]. */
  double observe(int k, Map<String, double[]> field) {
    double sum = 0;
    for (Field.Part part : rows.get(k).parts()) {
      sum += part.weight() * Required.entry(field, part.node().point().key())[part.region()];
    }
    return sum;
  }

  /** Prior covariances of a point's regions with the rows: [region][row]. */
  @SuppressWarnings("IdentityHashMapUsage") // there is one node for a point
  double[][] covariances(Point point) {
    Field.Node node = node(point);
    Map<Field.Node, Double> correlation = new IdentityHashMap<>();
    nodes
        .values()
        .forEach(otherNode -> correlation.put(otherNode, point.correlation(otherNode.point())));
    double[][] result = new double[Field.REGIONS.size()][n];
    for (int k = 0; k < n; k++) {
      for (Field.Part part : rows.get(k).parts()) {
        double c = Required.entry(correlation, part.node());
        for (int r = 0; r < result.length; r++) {
          result[r][k] += part.weight() * Field.covariance(node, r, part.node(), part.region(), c);
        }
      }
    }
    return result;
  }
}
