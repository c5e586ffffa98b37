package istmo.core.picture;

import istmo.core.body.Body;
import istmo.core.body.Measurement.Side;
import istmo.core.body.MeasurementKind;
import istmo.core.movement.Posture;
import istmo.core.quantity.Fact;
import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.Required;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * The marks on a picture of a client from the front, and what they tell: how wide the feet stand,
 * where the toes point, whether the knees stay over them, and whether the pelvis is level.
 *
 * <p>The height of the knees over the ankles, which the client's shanks and the model's posture
 * say, is the scale; the line through the ankles or something upright is level; toes that both
 * point to one side say that the camera stood to the other.
 *
 * @param widthPx size of the picture in which the marks stand, pixels
 */
public record FrontPicture(int widthPx, int heightPx, List<Mark> marks) {
  /** How far the camera stands, m, and how little that is known. */
  private static final double DISTANCE_M = 3;

  private static final double DISTANCE_ERROR_M = 0.8;

  /** How well the model knows how high and how far ahead a knee is: a share (own estimate). */
  private static final double KNEE_HEIGHT = 0.04;

  private static final double KNEE_AHEAD_M = 0.04;

  /** A camera that stands further from the middle is refused, rad. */
  private static final double MOST_YAW = Math.toRadians(20);

  /** A figure differs from where there would be nothing to say by so many errors. */
  private static final double TOLD = 2;

  /** What is varied for the errors, beside the marks' two places each. */
  private enum Known {
    DISTANCE,
    KNEE_HEIGHT,
    KNEE_AHEAD
  }

  private static final List<Landmark> MARKED =
      List.of(
          Landmark.TOE_LEFT,
          Landmark.ANKLE_LEFT,
          Landmark.KNEE_LEFT,
          Landmark.HIP_LEFT,
          Landmark.TOE_RIGHT,
          Landmark.ANKLE_RIGHT,
          Landmark.KNEE_RIGHT,
          Landmark.HIP_RIGHT);

  private static final int LEFT = 0;
  private static final int RIGHT = 4;
  private static final int ANKLE = 1;
  private static final int KNEE = 2;
  private static final int HIP = 3;

  /**
   * What was measured. Left and right are those of the picture.
   *
   * @param stance from ankle to ankle, m
   * @param toesOutLeft direction of the foot, outwards positive, rad
   * @param kneeInLeft how far the knee is inside the line from ankle to toes, m
   * @param pelvis how much lower the pelvis is at the left, rad
   * @param yaw how far the camera stood to the client's right, rad
   */
  public record Measures(
      Figure stance,
      Figure toesOutLeft,
      Figure toesOutRight,
      Figure kneeInLeft,
      Figure kneeInRight,
      Figure pelvis,
      Figure yaw) {}

  /** Throws {@link InvalidInput} that names what is missing or lies where it cannot be. */
  public FrontPicture {
    marks = List.copyOf(marks);
    List<InvalidInput.Fault> faults = new ArrayList<>();
    Mark.check(marks, widthPx, heightPx, Landmark.Seen.FRONT, faults);
    if (faults.isEmpty()) {
      Map<Landmark, Mark> at = Mark.means(marks);
      if (x(at, Landmark.ANKLE_LEFT) >= x(at, Landmark.ANKLE_RIGHT)) {
        faults.add(new InvalidInput.Fault("marks", "have the left ankle at the right"));
      }
      if (y(at, Landmark.KNEE_LEFT) >= y(at, Landmark.ANKLE_LEFT)
          || y(at, Landmark.KNEE_RIGHT) >= y(at, Landmark.ANKLE_RIGHT)) {
        faults.add(new InvalidInput.Fault("marks", "have a knee below its ankle"));
      }
    }
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
  }

  private static double x(Map<Landmark, Mark> at, Landmark landmark) {
    return Required.entry(at, landmark).xPx();
  }

  private static double y(Map<Landmark, Mark> at, Landmark landmark) {
    return Required.entry(at, landmark).yPx();
  }

  /**
   * Reads the marks of a client in about this posture. Throws {@link InvalidInput} on field "marks"
   * where the camera stood too far aside.
   */
  Measures read(Scene scene) {
    double[] at = new double[2 * MARKED.size() + Known.values().length];
    double[] error = new double[at.length];
    Map<Landmark, Mark> means = Mark.means(marks);
    Posture.Points points = scene.posture().points();
    double kneeM = points.knee().y() - points.ankle().y();
    double scale =
        (y(means, Landmark.ANKLE_LEFT)
                - y(means, Landmark.KNEE_LEFT)
                + y(means, Landmark.ANKLE_RIGHT)
                - y(means, Landmark.KNEE_RIGHT))
            / (2 * kneeM);
    double pixel = Mark.errorPx(heightPx);
    for (int k = 0; k < MARKED.size(); k++) {
      at[2 * k] = x(means, MARKED.get(k));
      at[2 * k + 1] = heightPx - y(means, MARKED.get(k));
      error[2 * k] = Math.hypot(pixel, scale * MARKED.get(k).errorM());
      error[2 * k + 1] = error[2 * k];
    }
    known(at, error, Known.DISTANCE, DISTANCE_M, DISTANCE_ERROR_M);
    double shank =
        scene.errorM(MeasurementKind.SHANK) / Math.max(0.1, scene.body().shankM()) * kneeM;
    known(at, error, Known.KNEE_HEIGHT, kneeM, Math.hypot(KNEE_HEIGHT * kneeM, shank));
    known(at, error, Known.KNEE_AHEAD, points.knee().x() - points.ankle().x(), KNEE_AHEAD_M);
    double level = levelRad(means);
    double[] value = figures(at, scene, level);
    if (Math.abs(value[6]) > MOST_YAW) {
      throw new InvalidInput(
          "marks", "say that the camera stood far from the middle; stand in front of the client");
    }
    double[] squares = new double[value.length];
    for (int k = 0; k < at.length; k++) {
      double[] moved = at.clone();
      moved[k] += 0.1 * error[k];
      double[] other = figures(moved, scene, level);
      for (int f = 0; f < value.length; f++) {
        squares[f] += Math.pow((other[f] - value[f]) / 0.1, 2);
      }
    }
    Figure[] told = new Figure[value.length];
    for (int f = 0; f < value.length; f++) {
      told[f] = new Figure(value[f], Math.sqrt(squares[f]));
    }
    return new Measures(told[0], told[1], told[2], told[3], told[4], told[5], told[6]);
  }

  private static void known(double[] at, double[] error, Known known, double value, double spread) {
    at[2 * MARKED.size() + known.ordinal()] = value;
    error[2 * MARKED.size() + known.ordinal()] = spread;
  }

  /** How far the picture is turned clockwise by something upright, rad; NaN without it. */
  private double levelRad(Map<Landmark, Mark> means) {
    Mark foot = means.get(Landmark.UPRIGHT_FOOT);
    Mark top = means.get(Landmark.UPRIGHT_TOP);
    return foot == null || top == null
        ? Double.NaN
        : Math.atan2(top.xPx() - foot.xPx(), foot.yPx() - top.yPx());
  }

  /** Stance, toes left and right, knees left and right, pelvis, yaw. */
  private static double[] figures(double[] at, Scene scene, double upright) {
    double roll =
        Double.isNaN(upright)
            ? -Math.atan2(
                up(at, RIGHT + ANKLE) - up(at, LEFT + ANKLE),
                across(at, RIGHT + ANKLE) - across(at, LEFT + ANKLE))
            : upright;
    double[] level = new double[2 * MARKED.size()];
    for (int k = 0; k < MARKED.size(); k++) { // turned back
      level[2 * k] = Math.cos(roll) * across(at, k) - Math.sin(roll) * up(at, k);
      level[2 * k + 1] = Math.sin(roll) * across(at, k) + Math.cos(roll) * up(at, k);
    }
    double kneeHeight = known(at, Known.KNEE_HEIGHT);
    double scale =
        (up(level, LEFT + KNEE)
                - up(level, LEFT + ANKLE)
                + up(level, RIGHT + KNEE)
                - up(level, RIGHT + ANKLE))
            / (2 * kneeHeight);
    Body body = scene.body();
    Posture.Points points = scene.posture().points();
    double toe = points.toe().x() - points.ankle().x();
    double foot = Math.hypot(toe, points.toe().z() - points.ankle().z());
    double middle = 0.5 * (across(level, LEFT + ANKLE) + across(level, RIGHT + ANKLE));
    double shift = 0.5 * (across(level, LEFT) + across(level, RIGHT)) / scale - middle / scale;
    double yaw = Math.asin(Math.max(-1, Math.min(1, shift / Math.max(0.05, toe))));
    double[] out = new double[MARKED.size()];
    for (int k = 0; k < MARKED.size(); k++) {
      int joint = k % RIGHT;
      double ahead = joint == 0 ? toe : joint == KNEE ? known(at, Known.KNEE_AHEAD) : 0;
      double nearer = 1 - ahead / known(at, Known.DISTANCE);
      double z = nearer * (across(level, k) - middle) / scale - ahead * Math.sin(yaw);
      out[k] = (k < RIGHT ? -1 : 1) * z / Math.cos(yaw);
    }
    double[] figures = new double[7];
    figures[0] = out[LEFT + ANKLE] + out[RIGHT + ANKLE];
    for (int side = 0; side < 2; side++) {
      int from = side == 0 ? LEFT : RIGHT;
      double toeOut = out[from] - out[from + ANKLE];
      figures[1 + side] = Math.asin(Math.max(-1, Math.min(1, toeOut / Math.max(0.1, foot))));
      double line = out[from + ANKLE] + known(at, Known.KNEE_AHEAD) / Math.max(0.05, toe) * toeOut;
      figures[3 + side] = line - out[from + KNEE];
    }
    figures[5] =
        Math.atan2(
            up(level, RIGHT + HIP) - up(level, LEFT + HIP),
            Math.max(
                0.1 * body.statureM() * scale,
                across(level, RIGHT + HIP) - across(level, LEFT + HIP)));
    figures[6] = yaw;
    return figures;
  }

  private static double across(double[] at, int mark) {
    return at[2 * mark];
  }

  private static double up(double[] at, int mark) {
    return at[2 * mark + 1];
  }

  private static double known(double[] at, Known known) {
    return at[2 * MARKED.size() + known.ordinal()];
  }

  /** What a picture from the front tells; {@code words.PictureWords} says it. */
  public sealed interface Finding extends Fact {}

  /** The knees stay over the toes. */
  public record KneesOverToes() implements Finding {}

  /** A knee goes inside its toes by so much, m; outside where negative. */
  public record KneeInside(Side side, Figure by) implements Finding {}

  /** The pelvis is lower at the left by so much, rad; at the right where negative. */
  public record PelvisLower(Figure by) implements Finding {}

  /** What is worth a word: what differs from nothing by more than twice its error. */
  static List<Finding> findings(Measures measures) {
    List<Finding> findings = new ArrayList<>();
    if (tells(measures.kneeInLeft())) {
      findings.add(new KneeInside(Side.LEFT, measures.kneeInLeft()));
    }
    if (tells(measures.kneeInRight())) {
      findings.add(new KneeInside(Side.RIGHT, measures.kneeInRight()));
    }
    if (findings.isEmpty()) {
      findings.add(new KneesOverToes());
    }
    if (tells(measures.pelvis())) {
      findings.add(new PelvisLower(measures.pelvis()));
    }
    return findings;
  }

  private static boolean tells(Figure figure) {
    return Math.abs(figure.value()) > TOLD * figure.error();
  }
}
