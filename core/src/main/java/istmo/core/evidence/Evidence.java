package istmo.core.evidence;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionGroup;
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
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
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

  private static final int PAIRS = DRAWS / 2;
  private static final int REGIONS = Region.values().length;
  private static final long SEED = 20261124;
  private static final int KEPT_SCHOOLS = 16;
  private static final int KEPT_POINTS = 300;
  private static final int KEPT_NODES = 600;

  private static final Kept<School, Evidence> BY_SCHOOL = Kept.atMost(KEPT_SCHOOLS);

  private static final Kept<String, double[][]> NODES = Kept.atMost(KEPT_NODES);

  private static final List<Unknown> UNKNOWNS = Unknown.all();

  private final Posterior posterior;

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
    this.theta = new double[DRAWS][UNKNOWNS.size()];
    for (int u = 0; u < UNKNOWNS.size(); u++) {
      double[] z = normals("unknown " + UNKNOWNS.get(u).id());
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
    return known.get(name(point), key -> calculate(point));
  }

  /**
   * One point: how far ln(stimulus + floor) of a region, by its place in the list of regions, may
   * lie from what the mechanics says.
   */
  public final class At {
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

    private At(
        double[][] byDraw,
        double[][] body,
        double[][] technique,
        double[][] covariance,
        double[] reference) {
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
    }

    private At(At all, double[] share) {
      this.byDraw = all.byDraw;
      this.mean = all.mean;
      this.body = all.body;
      this.technique = all.technique;
      this.covariance = all.covariance;
      this.reference = all.reference;
      this.share = share;
    }

    /**
     * The same for a body on which mechanics gives these stimuli. A study corrects the model where
     * its people stood; the further this body's own mechanics is from theirs, as where stiff ankles
     * make a squat half a good morning, the less of the correction is this body's.
     */
    public At on(RegionValues mechanics) {
      double[] here = new double[REGIONS];
      for (int r = 0; r < REGIONS; r++) {
        double apart =
            Math.log(
                    (mechanics.get(Region.values()[r]) + Stimulus.FLOOR)
                        / (reference[r] + Stimulus.FLOOR))
                / CARRIES_OVER;
        here[r] = Math.exp(-apart * apart / 2);
      }
      return new At(this, here);
    }

    /** What the studies add. */
    public double shift(int region) {
      return share[region] * mean[region];
    }

    /** What each finding adds, greatest first. */
    public List<Posterior.Influence> influences(int region) {
      return posterior.influences(covariance[region]).stream()
          .map(
              influence ->
                  new Posterior.Influence(influence.finding(), share[region] * influence.shift()))
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
      double less = (1 - share[region]) * mean[region];
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

  /** A point's key may be a coach's own, which says nothing of the set-up. */
  private static String name(Point point) {
    return point.key() + " " + point.setup().values();
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
    return new At(field, body, technique, covariance, posterior.stimulus(point));
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
    add(sum, Math.sqrt(Point.KIND_SHARE), node("kind " + point.kind()));
    add(sum, Math.sqrt(Point.FAMILY_SHARE), node("family " + point.exercise().family().id()));
    add(sum, Math.sqrt(Point.EXERCISE_SHARE), node("exercise " + point.exercise().id()));
    SetupErrors known = Required.entry(standing, point.exercise().id());
    int at =
        IntStream.range(0, known.points().size())
            .filter(i -> name(known.points().get(i)).equals(name(point)))
            .findFirst()
            .orElse(-1);
    double[] root = at >= 0 ? known.root().getRow(at) : known.rootOf(point);
    for (int i = 0; i < known.points().size(); i++) {
      if (root[i] != 0) {
        add(
            sum,
            Math.sqrt(Point.SETUP_SHARE) * root[i],
            node("set-up " + known.points().get(i).key()));
      }
    }
    if (at < 0) {
      add(
          sum,
          Math.sqrt(Point.SETUP_SHARE) * root[known.points().size()],
          node("set-up " + name(point)));
    }
    return sum;
  }

  private double[][] weights() {
    int n = posterior.rows();
    Map<String, double[][]> prior = new HashMap<>();
    posterior.points().forEach(point -> prior.put(point.key(), prior(point)));
    double[][] noise = new double[n][];
    for (int k = 0; k < n; k++) {
      noise[k] = normals("finding " + posterior.finding(k).id());
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

  /**
   * Standard normal draws of a node for each region, [region][draw], correlated within groups; the
   * same for every school.
   */
  private static double[][] node(String name) {
    return NODES.get(name, Evidence::drawn);
  }

  private static double[][] drawn(String name) {
    double[][] result = new double[REGIONS][];
    Map<RegionGroup, double[]> groups = new EnumMap<>(RegionGroup.class);
    for (int r = 0; r < REGIONS; r++) {
      RegionGroup group = Region.values()[r].group();
      double[] common = groups.computeIfAbsent(group, text -> normals(name + " " + text));
      double[] apart = normals(name + " " + Region.values()[r].id());
      double[] z = new double[DRAWS];
      for (int d = 0; d < DRAWS; d++) {
        z[d] =
            Math.sqrt(Field.REGION_SHARE) * common[d]
                + Math.sqrt(1 - Field.REGION_SHARE) * apart[d];
      }
      result[r] = z;
    }
    return result;
  }

  private static double[] normals(String name) {
    Random random = new Random(SEED ^ (0x9E3779B97F4A7C15L * name.hashCode()));
    double[] z = new double[DRAWS];
    for (int d = 0; d < PAIRS; d++) {
      z[d] = random.nextGaussian();
      z[d + PAIRS] = -z[d];
    }
    return z;
  }

  private static void add(double[][] sum, double factor, double[][] node) {
    for (int r = 0; r < REGIONS; r++) {
      for (int d = 0; d < DRAWS; d++) {
        sum[r][d] += factor * node[r][d];
      }
    }
  }
}
