package istmo.core.picture;

import istmo.core.picture.PictureModel.Prior;
import istmo.core.picture.PictureModel.Unknown;
import istmo.core.picture.PictureReading.NotSeen;
import istmo.core.picture.PictureReading.Seen;
import istmo.core.quantity.Required;
import istmo.core.quantity.Vec3;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.ToDoubleFunction;
import java.util.function.UnaryOperator;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.hipparchus.exception.MathIllegalStateException;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresBuilder;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LeastSquaresOptimizer.Optimum;
import org.hipparchus.optim.nonlinear.vector.leastsquares.LevenbergMarquardtOptimizer;
import org.hipparchus.util.Pair;

/**
 * Reads a posture from marks. All that is unknown, how the camera stood, how long the segments are,
 * how far out the knee is and how everything leans, is found at once: the most probable numbers
 * given the marks and what is known beforehand (nonlinear least squares, Levenberg and Marquardt).
 * The curvature there says how sure each of them is.
 */
public final class PictureFit {
  /** A camera that stands further from square is refused, rad. */
  private static final double MOST_YAW = Math.toRadians(25);

  private static final double MOST_PITCH = Math.toRadians(15);

  /** An angle that is less sure is refused, rad. */
  private static final double MOST_ERROR = Math.toRadians(8);

  /** Marks that fit so badly come by chance once in a thousand. */
  private static final double FITS = 0.999;

  /** Posts and door frames are upright to so much, with what a lens bends, rad. */
  private static final double UPRIGHT = Math.toRadians(0.7);

  private static final double STEP = 1e-6;
  private static final int MOST_STEPS = 400;

  /** Where the search for the camera's place starts, rad: at the side, in front of it, behind. */
  private static final double[] STARTS = {0, Math.toRadians(15), Math.toRadians(-15)};

  private final PictureModel model;
  private final SidePicture picture;
  private final SidePicture.Righted righted;
  private final Scene scene;
  private final Map<Landmark, Mark> marks;
  private final List<Prior> priors;
  private final double scalePx;
  private final double pixelPx;

  private PictureFit(SidePicture picture, Scene scene) {
    this.model = new PictureModel(scene);
    this.picture = picture;
    this.righted = picture.righted();
    this.scene = scene;
    this.marks = picture.means();
    this.priors = model.priors();
    this.scalePx = firstScale();
    this.pixelPx = picture.repeatErrorPx().orElse(Mark.errorPx(picture.heightPx()));
  }

  /** What the marks on a picture tell of the client in a scene. */
  public static PictureReading read(SidePicture picture, Scene scene) {
    return new PictureFit(picture, scene).read();
  }

  private PictureReading read() {
    Optimum best = null;
    for (double yaw : STARTS) {
      if (best != null && fits(best)) {
        break;
      }
      try {
        Optimum found = solved(yaw);
        best = best == null || found.getCost() < best.getCost() ? found : best;
      } catch (MathIllegalStateException e) { // this start leads nowhere
        continue;
      }
    }
    return best == null ? new NotSeen(new PictureReading.NothingFits()) : told(best);
  }

  private Optimum solved(double yaw) {
    double[] start = start(yaw);
    return new LevenbergMarquardtOptimizer()
        .optimize(
            new LeastSquaresBuilder()
                .start(start)
                .target(new double[residuals(start).length])
                .model(
                    point -> {
                      double[] p = point.toArray();
                      return new Pair<>(
                          new ArrayRealVector(residuals(p)),
                          new Array2DRowRealMatrix(jacobian(p), false));
                    })
                .lazyEvaluation(false)
                .maxEvaluations(MOST_STEPS)
                .maxIterations(MOST_STEPS)
                .build());
  }

  private double[][] jacobian(double[] p) {
    double[][] jacobian = new double[residuals(p).length][p.length];
    for (int j = 0; j < p.length; j++) {
      double[] slope = slope(p, j, this::residuals);
      for (int i = 0; i < slope.length; i++) {
        jacobian[i][j] = slope[i];
      }
    }
    return jacobian;
  }

  /** Everything that is told, in standard deviations: marks first, then what was known. */
  private double[] residuals(double[] p) {
    Camera camera = model.camera(p);
    Map<Landmark, Vec3> places = model.places(p);
    List<Double> all = new ArrayList<>();
    places.forEach(
        (landmark, place) -> {
          Mark mark = marks.get(landmark);
          if (mark == null || (landmark == Landmark.OTHER_ANKLE && !scene.alike())) {
            return;
          }
          double[] seen = camera.sees(place);
          double error = errorPx(landmark);
          all.add((righted.across(mark) - seen[0]) / error);
          all.add((righted.up(mark) - seen[1]) / error);
        });
    if (both(Landmark.UPRIGHT_FOOT, Landmark.UPRIGHT_TOP)) {
      Mark foot = Required.entry(marks, Landmark.UPRIGHT_FOOT);
      Mark top = Required.entry(marks, Landmark.UPRIGHT_TOP);
      double length = Math.max(1, righted.up(top) - righted.up(foot));
      double error = Math.hypot(UPRIGHT, pixelPx * Math.sqrt(2) / length);
      double turned = Math.atan2(righted.across(top) - righted.across(foot), length);
      all.add(
          (turned - model.uprightRad(p, righted.across(foot), righted.up(foot), righted.up(top)))
              / error);
    }
    if (both(Landmark.PLATE_TOP, Landmark.PLATE_BOTTOM)) {
      Mark top = Required.entry(marks, Landmark.PLATE_TOP);
      Mark bottom = Required.entry(marks, Landmark.PLATE_BOTTOM);
      double seen = Math.hypot(top.xPx() - bottom.xPx(), top.yPx() - bottom.yPx());
      double error = Math.sqrt(2) * errorPx(Landmark.PLATE_TOP);
      all.add((seen - model.platePx(p, places)) / error);
    }
    for (int k = 0; k < priors.size(); k++) {
      if (Double.isFinite(priors.get(k).error())) {
        all.add((p[k] - priors.get(k).mean()) / priors.get(k).error());
      }
    }
    return all.stream().mapToDouble(Double::doubleValue).toArray();
  }

  private boolean both(Landmark one, Landmark other) {
    return marks.containsKey(one) && marks.containsKey(other);
  }

  private double errorPx(Landmark landmark) {
    return Math.hypot(pixelPx / Math.sqrt(picture.times(landmark)), scalePx * landmark.errorM());
  }

  private double firstScale() {
    double px =
        length(Landmark.ANKLE, Landmark.KNEE)
            + length(Landmark.KNEE, Landmark.HIP)
            + length(Landmark.HIP, Landmark.SHOULDER);
    return px / (scene.body().shankM() + scene.body().thighM() + scene.body().trunkM());
  }

  private double length(Landmark from, Landmark to) {
    return Math.hypot(
        righted.across(Required.entry(marks, from)) - righted.across(Required.entry(marks, to)),
        righted.up(Required.entry(marks, from)) - righted.up(Required.entry(marks, to)));
  }

  private double lean(Landmark from, Landmark to) {
    return Math.atan2(
        righted.across(Required.entry(marks, to)) - righted.across(Required.entry(marks, from)),
        righted.up(Required.entry(marks, to)) - righted.up(Required.entry(marks, from)));
  }

  private double[] start(double yaw) {
    double[] p = priors.stream().mapToDouble(Prior::mean).toArray();
    p[Unknown.YAW.ordinal()] = yaw;
    p[Unknown.LOG_SCALE.ordinal()] = Math.log(scalePx);
    p[Unknown.ACROSS.ordinal()] = righted.across(Required.entry(marks, Landmark.ANKLE));
    p[Unknown.UP.ordinal()] =
        righted.up(Required.entry(marks, Landmark.ANKLE)) + scalePx * model.target().y();
    p[Unknown.SHANK_LEAN.ordinal()] = lean(Landmark.ANKLE, Landmark.KNEE);
    p[Unknown.THIGH_LEAN.ordinal()] = -lean(Landmark.KNEE, Landmark.HIP);
    p[Unknown.TRUNK_LEAN.ordinal()] = lean(Landmark.HIP, Landmark.SHOULDER);
    return p;
  }

  private PictureReading told(Optimum best) {
    double[] p = best.getPoint().toArray();
    if (!fits(best)) {
      return misfit(best);
    }
    double yaw = PictureModel.at(p, Unknown.YAW);
    if (Math.abs(yaw) > MOST_YAW) {
      return new NotSeen(new PictureReading.NotSquare(yaw));
    }
    if (Math.abs(PictureModel.at(p, Unknown.PITCH)) > MOST_PITCH) {
      return new NotSeen(new PictureReading.NotLevel());
    }
    RealMatrix covariance = best.getCovariances(1e-14);
    Seen seen = seen(p, covariance);
    double unsure =
        Math.max(seen.trunk().error(), Math.max(seen.shank().error(), seen.thigh().error()));
    return unsure > MOST_ERROR ? new NotSeen(new PictureReading.TooOpen(MOST_ERROR)) : seen;
  }

  private static boolean fits(Optimum found) {
    int freedom = found.getResiduals().getDimension() - found.getPoint().getDimension();
    return found.getCost() * found.getCost()
        < new ChiSquaredDistribution(freedom).inverseCumulativeProbability(FITS);
  }

  /** Names the mark that fits least. */
  private PictureReading misfit(Optimum best) {
    double[] p = best.getPoint().toArray();
    Camera camera = model.camera(p);
    Landmark worst = Landmark.HIP;
    double most = 0;
    for (Map.Entry<Landmark, Vec3> entry : model.places(p).entrySet()) {
      Mark mark = marks.get(entry.getKey());
      if (mark != null) {
        double[] seen = camera.sees(entry.getValue());
        double off =
            Math.hypot(righted.across(mark) - seen[0], righted.up(mark) - seen[1])
                / errorPx(entry.getKey());
        if (off > most) {
          most = off;
          worst = entry.getKey();
        }
      }
    }
    return new NotSeen(new PictureReading.OneMarkAstray(worst));
  }

  private Seen seen(double[] p, RealMatrix covariance) {
    int[] leans = {
      Unknown.SHANK_LEAN.ordinal(), Unknown.THIGH_LEAN.ordinal(), Unknown.TRUNK_LEAN.ordinal()
    };
    List<PictureReading.Surer> remarks = new ArrayList<>();
    if (!both(Landmark.UPRIGHT_FOOT, Landmark.UPRIGHT_TOP)) {
      remarks.add(PictureReading.Surer.MARK_UPRIGHT);
    }
    if (scene.alike() && !marks.containsKey(Landmark.OTHER_ANKLE)) {
      remarks.add(PictureReading.Surer.MARK_OTHER_ANKLE);
    }
    return new Seen(
        figure(p, covariance, q -> PictureModel.at(q, Unknown.SHANK_LEAN)),
        figure(p, covariance, q -> PictureModel.at(q, Unknown.THIGH_LEAN)),
        figure(p, covariance, q -> PictureModel.at(q, Unknown.TRUNK_LEAN)),
        figure(
            p,
            covariance,
            q -> PictureModel.at(q, Unknown.SHANK_LEAN) + PictureModel.at(q, Unknown.THIGH_LEAN)),
        figure(
            p,
            covariance,
            q -> PictureModel.at(q, Unknown.THIGH_LEAN) + PictureModel.at(q, Unknown.TRUNK_LEAN)),
        figure(p, covariance, q -> x(q, Landmark.KNEE) - x(q, Landmark.TOE)),
        figure(p, covariance, q -> y(q, Landmark.HIP) - y(q, Landmark.KNEE)),
        figure(p, covariance, q -> PictureModel.at(q, Unknown.YAW)),
        covariance.getSubMatrix(leans, leans).getData(),
        onPicture(p, model.places(p)),
        onPicture(p, model.expected()),
        model.camera(p),
        model.places(p),
        remarks);
  }

  /** Places of the body as the same camera sees them, in the picture's own pixels. */
  private List<Mark> onPicture(double[] p, Map<Landmark, Vec3> places) {
    Camera camera = model.camera(p);
    List<Mark> all = new ArrayList<>();
    places.forEach(
        (landmark, place) -> {
          double[] seen = camera.sees(place);
          all.add(righted.mark(landmark, seen[0], seen[1]));
        });
    return all;
  }

  private double x(double[] p, Landmark landmark) {
    return Required.entry(model.places(p), landmark).x();
  }

  private double y(double[] p, Landmark landmark) {
    return Required.entry(model.places(p), landmark).y();
  }

  /** How values change with the unknown at j, by central differences. */
  private static double[] slope(double[] p, int j, UnaryOperator<double[]> of) {
    double step = STEP * Math.max(1, Math.abs(p[j]));
    double[] more = p.clone();
    more[j] += step;
    double[] less = p.clone();
    less[j] -= step;
    double[] above = of.apply(more);
    double[] below = of.apply(less);
    double[] slope = new double[above.length];
    Arrays.setAll(slope, i -> (above[i] - below[i]) / (2 * step));
    return slope;
  }

  /** A figure that follows from the unknowns, with the error that follows from theirs. */
  private static Figure figure(double[] p, RealMatrix covariance, ToDoubleFunction<double[]> of) {
    double[] gradient = new double[p.length];
    for (int j = 0; j < p.length; j++) {
      gradient[j] = slope(p, j, q -> new double[] {of.applyAsDouble(q)})[0];
    }
    ArrayRealVector g = new ArrayRealVector(gradient, false);
    return new Figure(
        of.applyAsDouble(p), Math.sqrt(Math.max(0, g.dotProduct(covariance.operate(g)))));
  }
}
