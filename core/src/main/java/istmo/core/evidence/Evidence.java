package istmo.core.evidence;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionValues;
import istmo.core.body.MeasurementKind;
import istmo.core.body.Technique;
import istmo.core.catalogue.Catalogue;
import istmo.core.computing.Kept;
import istmo.core.movement.TechniqueSpread;
import istmo.core.quantity.Required;
import istmo.core.stimulus.School;
import istmo.core.stimulus.Stimulus;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;

/**
 * Draws from the posterior of one school: how far ln(stimulus + floor) of any point lies from what
 * the mechanics says, for every region, with the same draw of the unknowns going through all
 * points, so that errors common to them cancel when they are compared. A prior draw is corrected by
 * what the findings, and a draw of their noise, say against it (Matheron's rule), which makes it a
 * draw from the posterior. Every node of the hierarchy has its own seed, so a point's draws hang on
 * nothing but the school; draws come in opposite pairs, so that their mean is exact.
 */
public final class Evidence {
  public static final int DRAWS = 256;

  private static final int REGIONS = Region.values().length;
  private static final int KEPT_SCHOOLS = 16;
  private static final int KEPT_POINTS = 300;

  private static final Kept<School, Evidence> BY_SCHOOL = Kept.atMost(KEPT_SCHOOLS);

  private static final List<Unknown> UNKNOWNS = Unknown.all();

  private final Posterior posterior;
  private final BodyError bodyError;

  /** [draw][unknown]. */
  private final double[][] theta;

  /** [row][draw]: what each draw's residuals weigh. */
  private final double[][] weights;

  /** Of set-ups of one exercise that the draws know: the catalogue's and the findings'. */
  private final Map<String, SetupErrors> standing = new HashMap<>();

  private final Kept<String, At> known = Kept.atMost(KEPT_POINTS);

  /** Ratio of stimuli, as a logarithm, at which 0.6 of a study's correction still holds. */
  private static final double CARRIES_OVER = Math.log(2);

  private static final int[] BODY = unknowns(Unknown.Kind.BODY);
  private static final int[] TECHNIQUE = unknowns(Unknown.Kind.TECHNIQUE);

  private Evidence(School school) {
    this.posterior = Posterior.of(school);
    this.bodyError = new BodyError(posterior);
    this.theta = new double[DRAWS][UNKNOWNS.size()];
    for (int u = 0; u < UNKNOWNS.size(); u++) {
      double[] z = RandomNodes.normals("unknown " + UNKNOWNS.get(u).id());
      for (int d = 0; d < DRAWS; d++) {
        theta[d][u] = z[d];
      }
    }
    Map<String, Map<String, Point>> byExercise = new LinkedHashMap<>();
    List<Point> known =
        new ArrayList<>(Catalogue.standard().candidates().stream().map(Point::of).toList());
    known.addAll(posterior.points());
    known.forEach(
        point ->
            byExercise
                .computeIfAbsent(point.exercise().id(), key -> new LinkedHashMap<>())
                .putIfAbsent(point.key(), point));
    byExercise.forEach(
        (id, points) -> standing.put(id, SetupErrors.of(List.copyOf(points.values()))));
    this.weights = weights();
  }

  private static int[] unknowns(Unknown.Kind kind) {
    return IntStream.range(0, UNKNOWNS.size())
        .filter(u -> UNKNOWNS.get(u).kind() == kind)
        .toArray();
  }

  private static double[] some(double[] all, int[] which) {
    return Arrays.stream(which).mapToDouble(u -> all[u]).toArray();
  }

  /** The evidence by a school; kept, since it depends on nothing else. */
  public static Evidence of(School school) {
    School bare =
        new School(
            "",
            "",
            "",
            school.recruitment(),
            school.lengthBias(),
            school.powerMean(),
            school.passiveWeight(),
            school.activityTrust(),
            school.practiceTrust(),
            0);
    return BY_SCHOOL.get(bare, Evidence::new);
  }

  /** What studies and mechanics say together. */
  public Posterior posterior() {
    return posterior;
  }

  /** What is to be said of one point. */
  public At at(Point point) {
    return known.get(point.name(), key -> calculate(point));
  }

  /**
   * One point: how far ln(stimulus + floor) of a region, by its place in the list of regions, may
   * lie from what the mechanics says.
   */
  public final class At {
    private final Point point;

    /** [region][draw]; without what is of the body. */
    private final double[][] byDraw;

    /** [region]: what the studies shift. */
    private final double[] mean;

    /** [region][unknown of the body]: what each does when nothing of it is measured. */
    private final double[][] body;

    /** [region][unknown of technique]: what each does when this client was not seen. */
    private final double[][] technique;

    /** [region][finding] with what findings saw. */
    private final double[][] covariance;

    /** [region]: stimulus on the reference body, whose figures the findings correct. */
    private final double[] reference;

    /** [region]: the share of what the studies add that holds here; 1 on the reference body. */
    private final double[] share;

    /**
     * What practice rows, by id, add by region, of what this body changes; nothing on the
     * reference.
     */
    private final Map<String, double[]> ofBody;

    private At(
        Point point,
        double[][] byDraw,
        double[][] body,
        double[][] technique,
        double[][] covariance,
        double[] reference) {
      this.point = point;
      this.byDraw = byDraw;
      this.mean =
          Arrays.stream(byDraw)
              .mapToDouble(d -> Arrays.stream(d).average().orElseThrow())
              .toArray();
      this.body = body;
      this.technique = technique;
      this.covariance = covariance;
      this.reference = reference;
      this.share = new double[REGIONS];
      Arrays.fill(share, 1);
      this.ofBody = Map.of();
    }

    private At(At all, double[] share, Map<String, double[]> ofBody) {
      this.point = all.point;
      this.byDraw = all.byDraw;
      this.mean = all.mean;
      this.body = all.body;
      this.technique = all.technique;
      this.covariance = all.covariance;
      this.reference = all.reference;
      this.share = share;
      this.ofBody = ofBody;
    }

    /**
     * The same for a body on which mechanics gives these stimuli. A study corrects the model where
     * its people stood; the further this body's own mechanics is from theirs, as where stiff ankles
     * make a squat half a good morning, the less of the correction is this body's. What coaches
     * agree on of all their clients then corrects what the body changes ({@link BodyError}).
     *
     * @param heavyEnough whether the difference is the body's; where there is nothing heavier to
     *     lift it is the gym's, of which no coach was asked
     */
    public At on(RegionValues mechanics, boolean heavyEnough) {
      double[] here = new double[REGIONS];
      double[] difference = new double[REGIONS];
      for (int r = 0; r < REGIONS; r++) {
        double apart =
            Math.log(
                (mechanics.get(Region.values()[r]) + Stimulus.FLOOR)
                    / (reference[r] + Stimulus.FLOOR));
        here[r] = Math.exp(-apart * apart / (2 * CARRIES_OVER * CARRIES_OVER));
        difference[r] = apart - (1 - here[r]) * mean[r];
      }
      return new At(this, here, heavyEnough ? bodyError.of(point, difference) : Map.of());
    }

    /** What the studies and coaches' agreement add. */
    public double shift(int region) {
      return share[region] * mean[region] + ofBody(region);
    }

    private double ofBody(int region) {
      return ofBody.values().stream().mapToDouble(shift -> shift[region]).sum();
    }

    /** What each finding adds, greatest first. */
    public List<Posterior.Influence> influences(int region) {
      return posterior.influences(covariance[region]).stream()
          .map(
              influence -> {
                double[] more = ofBody.get(influence.finding().id());
                return new Posterior.Influence(
                    influence.finding(),
                    share[region] * influence.shift() + (more == null ? 0 : more[region]));
              })
          .sorted(Posterior.Influence.GREATEST_FIRST)
          .toList();
    }

    /**
     * Deviations by draw.
     *
     * @param measured what is measured of this body, and so not uncertain
     * @param seen what was seen of this client's technique in this exercise, by parameter id: less
     *     uncertain, by as much as the picture was surer than nothing
     */
    public double[] draws(
        int region, Set<MeasurementKind> measured, Map<String, Technique.Seen> seen) {
      double less = mean[region] - shift(region);
      double[] result = Arrays.stream(byDraw[region]).map(draw -> draw - less).toArray();
      for (int b = 0; b < BODY.length; b++) {
        Unknown unknown = UNKNOWNS.get(BODY[b]);
        double change = body[region][b];
        if (change != 0 && unknown.measuredBy().filter(measured::contains).isEmpty()) {
          for (int d = 0; d < DRAWS; d++) {
            result[d] += change * theta[d][BODY[b]];
          }
        }
      }
      for (int t = 0; t < TECHNIQUE.length; t++) {
        double change =
            technique[region][t] * TechniqueSpread.left(UNKNOWNS.get(TECHNIQUE[t]).id(), seen);
        for (int d = 0; change != 0 && d < DRAWS; d++) {
          result[d] += change * theta[d][TECHNIQUE[t]];
        }
      }
      return result;
    }
  }

  private At calculate(Point point) {
    double[][] field = prior(point);
    double[][] change = posterior.change(point);
    double[][] covariance = posterior.covariances(point);
    double[][] body = new double[REGIONS][];
    double[][] technique = new double[REGIONS][];
    for (int r = 0; r < REGIONS; r++) {
      for (int k = 0; k < covariance[r].length; k++) {
        double c = covariance[r][k];
        double[] w = weights[k];
        for (int d = 0; d < DRAWS; d++) {
          field[r][d] += c * w[d];
        }
      }
      body[r] = some(change[r], BODY);
      technique[r] = some(change[r], TECHNIQUE);
    }
    return new At(point, field, body, technique, covariance, posterior.stimulus(point));
  }

  /**
   * Prior draws at a point: unknowns of people in general and the model's own error,
   * [region][draw].
   */
  private double[][] prior(Point point) {
    double[][] field = own(point);
    double[][] change = posterior.change(point);
    double[] error = posterior.ownErrors(point);
    for (int r = 0; r < REGIONS; r++) {
      for (int d = 0; d < DRAWS; d++) {
        field[r][d] *= error[r];
      }
      for (int u = 0; u < UNKNOWNS.size(); u++) {
        if (Field.PEOPLE[u] && change[r][u] != 0) {
          for (int d = 0; d < DRAWS; d++) {
            field[r][d] += change[r][u] * theta[d][u];
          }
        }
      }
    }
    return field;
  }

  /**
   * The model's own error in standard deviations, correlated as {@link Point#correlation} and
   * {@link Posterior#regionShare} say.
   */
  private double[][] own(Point point) {
    double[][] sum = new double[REGIONS][DRAWS];
    add(sum, Math.sqrt(Point.KIND_SHARE), RandomNodes.of("kind " + point.kind()));
    add(
        sum,
        Math.sqrt(Point.FAMILY_SHARE),
        RandomNodes.of("family " + point.exercise().family().id()));
    add(sum, Math.sqrt(Point.EXERCISE_SHARE), RandomNodes.of("exercise " + point.exercise().id()));
    SetupErrors known = Required.entry(standing, point.exercise().id());
    int at =
        IntStream.range(0, known.points().size())
            .filter(i -> known.points().get(i).name().equals(point.name()))
            .findFirst()
            .orElse(-1);
    double[] root = at >= 0 ? known.root().getRow(at) : known.rootOf(point);
    for (int i = 0; i < known.points().size(); i++) {
      if (root[i] != 0) {
        add(
            sum,
            Math.sqrt(Point.SETUP_SHARE) * root[i],
            RandomNodes.of("set-up " + known.points().get(i).key()));
      }
    }
    if (at < 0) {
      add(
          sum,
          Math.sqrt(Point.SETUP_SHARE) * root[known.points().size()],
          RandomNodes.of("set-up " + point.name()));
    }
    return sum;
  }

  private double[][] weights() {
    int n = posterior.rows();
    Map<String, double[][]> prior = new HashMap<>();
    posterior.points().forEach(point -> prior.put(point.key(), prior(point)));
    double[][] noise = new double[n][];
    for (int k = 0; k < n; k++) {
      noise[k] = RandomNodes.normals("finding " + posterior.finding(k).id());
    }
    double[][] result = new double[n][DRAWS];
    Map<String, double[]> field = new HashMap<>();
    prior.keySet().forEach(key -> field.put(key, new double[REGIONS]));
    for (int d = 0; d < DRAWS; d++) {
      int draw = d;
      prior.forEach((key, f) -> Arrays.setAll(field.get(key), r -> f[r][draw]));
      double[] residual = new double[n];
      for (int k = 0; k < n; k++) {
        residual[k] =
            posterior.residual(k)
                - posterior.observe(k, field)
                - Math.sqrt(posterior.siteVariance(k)) * noise[k][d];
      }
      double[] w = posterior.weights(residual);
      for (int k = 0; k < n; k++) {
        result[k][d] = w[k];
      }
    }
    return result;
  }

  private static void add(double[][] sum, double factor, double[][] node) {
    for (int r = 0; r < REGIONS; r++) {
      for (int d = 0; d < DRAWS; d++) {
        sum[r][d] += factor * node[r][d];
      }
    }
  }
}
