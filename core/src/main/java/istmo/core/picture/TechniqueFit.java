package istmo.core.picture;

import istmo.core.body.Body;
import istmo.core.movement.Family;
import istmo.core.movement.Posture;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.movement.TechniqueSpread;
import istmo.core.picture.PictureReading.Seen;
import istmo.core.quantity.Fact;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.optim.InitialGuess;
import org.hipparchus.optim.MaxEval;
import org.hipparchus.optim.SimpleValueChecker;
import org.hipparchus.optim.nonlinear.scalar.GoalType;
import org.hipparchus.optim.nonlinear.scalar.ObjectiveFunction;
import org.hipparchus.optim.nonlinear.scalar.noderiv.NelderMeadSimplex;
import org.hipparchus.optim.nonlinear.scalar.noderiv.SimplexOptimizer;

/**
 * Which technique makes the model stand as the client was seen to: the most probable values of the
 * technique parameters that a view from the side tells of, and of depth, given how much people
 * differ in each ({@link TechniqueSpread}) and how sure the picture is.
 */
public final class TechniqueFit {
  /**
   * How far a rigid trunk and joints without play are from a person, each lean, rad (own estimate).
   */
  private static final double MODEL = Math.toRadians(1.5);

  /** How little is known beforehand of how deep a client goes: a share of what is allowed. */
  private static final double DEPTH_SPREAD = 0.4;

  /** A parameter is told by a picture that makes it this much surer. */
  private static final double TOLD = 0.85;

  /**
   * How much one person's repetitions differ, beside how much people do (own estimate): what one
   * picture can tell of the next.
   */
  private static final double OWN_SHARE = 0.4;

  /** Leans that no technique reaches are told from here on, rad. */
  private static final double UNREACHED = Math.toRadians(5);

  /** A shin that leans by so much more than the ankle bends is told, rad. */
  private static final double ANKLE_READ = Math.toRadians(3);

  private static final double IMPOSSIBLE = 1e4;
  private static final int MOST_TRIALS = 1500;
  private static final double STEP = 0.05;

  /**
   * One parameter as assumed and as seen, in its own unit.
   *
   * @param error how sure the picture is of it, standard deviation
   * @param spread standard deviation of what the client will do next time: the picture's error and
   *     how much one person's repetitions differ
   */
  public record Adjusted(
      SetupParameter parameter, double assumed, double seen, double error, double spread) {
    /** What is added to the assumed value. */
    public double shift() {
      return seen - assumed;
    }
  }

  /**
   * What was found.
   *
   * @param technique parameters that the picture tells
   * @param depth how deep the client went, where the family has a depth
   * @param posture the model's posture with them
   * @param remarks what no technique explains
   */
  public record Found(
      List<Adjusted> technique, Optional<Adjusted> depth, Posture posture, List<Remark> remarks) {
    public Found {
      technique = List.copyOf(technique);
      remarks = List.copyOf(remarks);
    }
  }

  /** One unknown with what is known of it beforehand. */
  private record Open(SetupParameter parameter, double mean, double spread) {}

  private final Family family;
  private final Body body;
  private final Setup setup;
  private final double phase;
  private final double loadKg;
  private final double[] seen;
  private final RealMatrix precision;
  private final List<Open> open = new ArrayList<>();

  private TechniqueFit(
      Family family, Body body, Setup setup, double phase, double loadKg, Seen reading) {
    this.family = family;
    this.body = body;
    this.setup = setup;
    this.phase = phase;
    this.loadKg = loadKg;
    this.seen =
        new double[] {reading.shank().value(), reading.thigh().value(), reading.trunk().value()};
    RealMatrix errors =
        new Array2DRowRealMatrix(reading.covariance())
            .add(MatrixUtils.createRealIdentityMatrix(seen.length).scalarMultiply(MODEL * MODEL));
    this.precision = MatrixUtils.inverse(errors);
  }

  /**
   * The technique that explains a reading.
   *
   * @param setup as the exercise was meant to be done; the body must be able to
   * @param phase of the repetition that the picture shows; 1 is the bottom
   * @param loadKg external load
   */
  static Found of(
      Family family, Body body, Setup setup, double phase, double loadKg, Seen reading) {
    return new TechniqueFit(family, body, setup, phase, loadKg, reading).found();
  }

  private Found found() {
    double[] usual = leans(setup).orElseThrow();
    for (SetupParameter parameter : family.parameters()) {
      OptionalDouble spread = spread(parameter);
      if (spread.isPresent() && moves(parameter, spread.getAsDouble(), usual)) {
        open.add(new Open(parameter, setup.get(parameter), spread.getAsDouble()));
      }
    }
    double[] best = open.isEmpty() ? new double[0] : best();
    Setup as = with(best);
    Posture posture = (Posture) family.posture(body, as, phase, loadKg);
    return found(best, posture);
  }

  private OptionalDouble spread(SetupParameter parameter) {
    return family.depth().filter(parameter::equals).isPresent()
        ? OptionalDouble.of(DEPTH_SPREAD * (parameter.allowed().max() - parameter.allowed().min()))
        : TechniqueSpread.of(parameter);
  }

  /** Whether a parameter changes a lean that is seen from the side. */
  private boolean moves(SetupParameter parameter, double spread, double[] usual) {
    for (int sign : new int[] {1, -1}) {
      double value = parameter.allowed().nearest(setup.get(parameter) + sign * spread);
      Optional<double[]> there = leans(setup.with(parameter, value));
      for (int k = 0; there.isPresent() && k < usual.length; k++) {
        if (Math.abs(there.get()[k] - usual[k]) > Math.toRadians(0.3)) {
          return true;
        }
      }
    }
    return false;
  }

  /** Leans of shank, thigh and trunk of the model's posture, rad; empty where there is none. */
  private Optional<double[]> leans(Setup at) {
    return family.posture(body, at, phase, loadKg) instanceof Posture posture
        ? Optional.of(leans(posture))
        : Optional.empty();
  }

  /** Leans of shank, thigh and trunk as a view exactly from the side has them, rad. */
  public static double[] leans(Posture posture) {
    Posture.Points points = posture.points();
    return new double[] {
      Math.atan2(points.knee().x() - points.ankle().x(), points.knee().y() - points.ankle().y()),
      Math.atan2(points.knee().x() - points.hip().x(), points.hip().y() - points.knee().y()),
      posture.trunkLeanRad()
    };
  }

  /** A set-up with the unknowns at so many spreads from what was assumed. */
  private Setup with(double[] z) {
    Setup at = setup;
    for (int k = 0; k < z.length; k++) {
      Open unknown = open.get(k);
      double value =
          unknown.parameter().allowed().nearest(unknown.mean() + unknown.spread() * z[k]);
      at =
          family.depth().filter(unknown.parameter()::equals).isPresent()
              ? family.atDepth(at, value)
              : at.with(unknown.parameter(), value);
    }
    return at;
  }

  private double[] best() {
    double[] step = new double[open.size()];
    Arrays.fill(step, 0.5);
    return new SimplexOptimizer(new SimpleValueChecker(1e-9, 1e-9))
        .optimize(
            new MaxEval(MOST_TRIALS),
            new ObjectiveFunction(this::against),
            GoalType.MINIMIZE,
            new InitialGuess(new double[open.size()]),
            new NelderMeadSimplex(step))
        .getPoint();
  }

  /** How much speaks against these values: what is seen and what is known of people. */
  private double against(double[] z) {
    double beforehand = 0;
    for (double each : z) {
      beforehand += each * each;
    }
    Optional<double[]> there = leans(with(z));
    return there.isEmpty() ? IMPOSSIBLE + beforehand : beforehand + misfit(there.get());
  }

  private double misfit(double[] leans) {
    double sum = 0;
    for (int i = 0; i < leans.length; i++) {
      for (int j = 0; j < leans.length; j++) {
        sum += (leans[i] - seen[i]) * precision.getEntry(i, j) * (leans[j] - seen[j]);
      }
    }
    return sum;
  }

  private Found found(double[] best, Posture posture) {
    List<Adjusted> technique = new ArrayList<>();
    Optional<Adjusted> depth = Optional.empty();
    RealMatrix covariance = covariance(best);
    for (int k = 0; k < best.length; k++) {
      Open unknown = open.get(k);
      double left = Math.sqrt(Math.max(0, covariance.getEntry(k, k)));
      Adjusted adjusted =
          new Adjusted(
              unknown.parameter(),
              unknown.mean(),
              with(best).get(unknown.parameter()),
              left * unknown.spread(),
              Math.hypot(left, OWN_SHARE) * unknown.spread());
      if (family.depth().filter(unknown.parameter()::equals).isPresent()) {
        depth = Optional.of(adjusted);
      } else if (left < TOLD) {
        technique.add(adjusted);
      }
    }
    return new Found(technique, depth, posture, remarks(leans(posture)));
  }

  /** Covariance of the unknowns in spreads, by the slopes at the best values. */
  private RealMatrix covariance(double[] best) {
    int n = best.length;
    double[] at = leans(with(best)).orElseThrow();
    RealMatrix slopes = new Array2DRowRealMatrix(seen.length, Math.max(1, n));
    for (int k = 0; k < n; k++) {
      double[] more = best.clone();
      more[k] += STEP;
      double[] less = best.clone();
      less[k] -= STEP;
      Optional<double[]> above = leans(with(more));
      Optional<double[]> below = leans(with(less));
      double wide = (above.isPresent() ? STEP : 0) + (below.isPresent() ? STEP : 0);
      for (int i = 0; i < seen.length; i++) {
        slopes.setEntry(i, k, wide == 0 ? 0 : (above.orElse(at)[i] - below.orElse(at)[i]) / wide);
      }
    }
    RealMatrix told = slopes.transposeMultiply(precision.multiply(slopes));
    return new LUDecomposition(
            told.add(MatrixUtils.createRealIdentityMatrix(told.getRowDimension())))
        .getSolver()
        .getInverse();
  }

  private List<Remark> remarks(double[] reached) {
    List<Remark> remarks = new ArrayList<>();
    for (Segment segment : Segment.values()) {
      double tooMuch = reached[segment.ordinal()] - seen[segment.ordinal()];
      if (Math.abs(tooMuch) > UNREACHED) {
        remarks.add(new LeansUnlikeModel(segment, tooMuch));
      }
    }
    if (seen[0] > body.dorsiflexionLimitRad() + ANKLE_READ) {
      remarks.add(new ShinBeyondAnkle(seen[0], body.dorsiflexionLimitRad()));
    }
    return remarks;
  }

  /** What a picture says that the model does not know; {@code words.PictureWords} says it. */
  public sealed interface Remark extends Fact {}

  /** What leans, in the order in which it is seen. */
  public enum Segment {
    SHIN,
    THIGH,
    TRUNK
  }

  /** No balance leans a segment as seen: it would lean by so much more, rad. */
  public record LeansUnlikeModel(Segment segment, double byRad) implements Remark {}

  /** The shin leans by more than the ankle was taken to bend, rad. */
  public record ShinBeyondAnkle(double leanRad, double mostRad) implements Remark {}
}
