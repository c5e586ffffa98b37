package istmo.core.picture;

import istmo.core.body.Body;
import istmo.core.body.MeasurementKind;
import istmo.core.movement.Posture;
import istmo.core.quantity.Required;
import istmo.core.quantity.Vec3;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * Everything that is unknown about a picture as one list of numbers, with what is known of each
 * beforehand, and where each landmark would then be seen. The ankle is the origin.
 */
final class PictureModel {
  /** The unknowns, in the order of the list. Lengths in m, angles in rad, places in pixels. */
  enum Unknown {
    YAW,
    PITCH,
    ROLL,
    LOG_DISTANCE,
    LOG_SCALE,
    ACROSS,
    UP,
    SHANK_LEAN,
    THIGH_LEAN,
    TRUNK_LEAN,
    SHANK,
    THIGH,
    TRUNK,
    FOOT,
    ANKLE_OUT,
    KNEE_OUT,
    HIP_OUT,
    SHOULDER_OUT,
    FOOT_SLOPE,
    TOES_OUT,
    PLATE_OUT
  }

  /** What is known of an unknown beforehand; an error of infinity: nothing. */
  record Prior(double mean, double error) {}

  // How people hold a telephone when they are asked to stand at the side, at hip height: own
  // estimates. Lateral places differ from the model's posture by a few centimetres.
  private static final double YAW = Math.toRadians(12);
  private static final double PITCH = Math.toRadians(5);
  private static final double ROLL = Math.toRadians(3);
  private static final double DISTANCE_M = 3;
  private static final double LOG_DISTANCE = 0.35;
  private static final double STANCE_M = 0.03;
  private static final double KNEE_OUT_M = 0.04;
  private static final double HIP_OUT_M = 0.01;
  private static final double SHOULDER_OUT_M = 0.03;
  private static final double FOOT_SLOPE = Math.toRadians(2);
  private static final double TOES_OUT = Math.toRadians(6);
  private static final double SHOE_M = 0.012;

  /** Half the distance of the shoulder joints as a share of stature (from memory). */
  private static final double HALF_SHOULDERS = 0.11;

  /** Where the first full plate hangs on a long bar, from its middle, m. */
  private static final double PLATE_OUT_M = 0.70;

  private static final double PLATE_OUT_ERROR_M = 0.08;
  private static final double PLATE_M = 0.45;

  /** Height of what the camera is taken to look at, as a share of stature. */
  private static final double TARGET = 0.35;

  private final Scene scene;
  private final Vec3 heel;
  private final Vec3 toe;

  PictureModel(Scene scene) {
    this.scene = scene;
    Posture.Points points = scene.posture().points();
    this.heel = points.heel().minus(points.ankle());
    this.toe = points.toe().minus(points.ankle());
  }

  /** What is known of each unknown beforehand. */
  List<Prior> priors() {
    Body body = scene.body();
    Posture.Points points = scene.posture().points();
    Prior none = new Prior(0, Double.POSITIVE_INFINITY);
    Map<Unknown, Prior> priors = new EnumMap<>(Unknown.class);
    priors.put(Unknown.YAW, new Prior(0, YAW));
    priors.put(Unknown.PITCH, new Prior(0, PITCH));
    priors.put(Unknown.ROLL, new Prior(0, ROLL));
    priors.put(Unknown.LOG_DISTANCE, new Prior(Math.log(DISTANCE_M), LOG_DISTANCE));
    priors.put(Unknown.SHANK, length(body.shankM(), MeasurementKind.SHANK));
    priors.put(Unknown.THIGH, length(body.thighM(), MeasurementKind.THIGH));
    priors.put(Unknown.TRUNK, length(body.trunkM(), MeasurementKind.TRUNK));
    double foot = Math.hypot(SHOE_M, scene.errorM(MeasurementKind.FOOT));
    priors.put(Unknown.FOOT, new Prior(body.footM() + SHOE_M, foot));
    priors.put(Unknown.ANKLE_OUT, new Prior(points.ankle().z(), STANCE_M));
    priors.put(Unknown.KNEE_OUT, new Prior(points.knee().z(), KNEE_OUT_M));
    priors.put(Unknown.HIP_OUT, new Prior(points.hip().z(), HIP_OUT_M));
    priors.put(Unknown.SHOULDER_OUT, new Prior(HALF_SHOULDERS * body.statureM(), SHOULDER_OUT_M));
    priors.put(Unknown.FOOT_SLOPE, new Prior(0, FOOT_SLOPE));
    priors.put(Unknown.TOES_OUT, new Prior(0, TOES_OUT));
    priors.put(Unknown.PLATE_OUT, new Prior(PLATE_OUT_M, PLATE_OUT_ERROR_M));
    List<Prior> all = new ArrayList<>();
    for (Unknown unknown : Unknown.values()) {
      all.add(priors.getOrDefault(unknown, none));
    }
    return all;
  }

  private Prior length(double metres, MeasurementKind kind) {
    return new Prior(metres, scene.errorM(kind));
  }

  /** The camera that the numbers say. */
  Camera camera(double[] p) {
    return new Camera(
        at(p, Unknown.YAW),
        at(p, Unknown.PITCH),
        at(p, Unknown.ROLL),
        Math.exp(at(p, Unknown.LOG_DISTANCE)),
        Math.exp(at(p, Unknown.LOG_SCALE)),
        target(),
        at(p, Unknown.ACROSS),
        at(p, Unknown.UP));
  }

  /** The place of the client's frame that the camera is taken to look at. */
  Vec3 target() {
    return new Vec3(0, TARGET * scene.body().statureM() - scene.body().ankleHeightM(), 0);
  }

  /** Places of landmarks of the body, m. */
  Map<Landmark, Vec3> places(double[] p) {
    Map<Landmark, Vec3> places = new EnumMap<>(Landmark.class);
    double ankleOut = at(p, Unknown.ANKLE_OUT);
    Vec3 ankle = new Vec3(0, 0, ankleOut);
    Vec3 knee =
        along(
            ankle,
            at(p, Unknown.SHANK),
            at(p, Unknown.KNEE_OUT) - ankleOut,
            at(p, Unknown.SHANK_LEAN));
    Vec3 hip =
        along(
            knee,
            at(p, Unknown.THIGH),
            at(p, Unknown.HIP_OUT) - at(p, Unknown.KNEE_OUT),
            -at(p, Unknown.THIGH_LEAN));
    Vec3 middle = new Vec3(hip.x(), hip.y(), 0);
    Vec3 shoulder =
        along(middle, at(p, Unknown.TRUNK), 0, at(p, Unknown.TRUNK_LEAN))
            .plus(at(p, Unknown.SHOULDER_OUT), Vec3.RIGHT);
    double foot = at(p, Unknown.FOOT) / scene.body().footM();
    places.put(Landmark.HEEL, ankle.plus(1, turned(p, heel, 1)));
    places.put(Landmark.TOE, ankle.plus(1, turned(p, toe, foot)));
    places.put(Landmark.ANKLE, ankle);
    places.put(Landmark.KNEE, knee);
    places.put(Landmark.HIP, hip);
    places.put(Landmark.SHOULDER, shoulder);
    places.put(Landmark.OTHER_ANKLE, new Vec3(0, 0, -ankleOut));
    return places;
  }

  /** Places of the same landmarks in the posture that the model expected, m. */
  Map<Landmark, Vec3> expected() {
    Posture.Points points = scene.posture().points();
    double shoulder = HALF_SHOULDERS * scene.body().statureM();
    Map<Landmark, Vec3> places = new EnumMap<>(Landmark.class);
    places.put(Landmark.HEEL, points.heel());
    places.put(Landmark.TOE, points.toe());
    places.put(Landmark.ANKLE, points.ankle());
    places.put(Landmark.KNEE, points.knee());
    places.put(Landmark.HIP, points.hip());
    places.put(Landmark.SHOULDER, points.shoulder().plus(shoulder, Vec3.RIGHT));
    Vec3 toOrigin = new Vec3(points.ankle().x(), points.ankle().y(), 0).times(-1);
    places.replaceAll((landmark, place) -> place.plus(toOrigin));
    return places;
  }

  /** A point of the foot: from the ankle, with the foot turned and longer as the numbers say. */
  private Vec3 turned(double[] p, Vec3 fromAnkle, double longer) {
    Vec3 stretched = new Vec3(longer * fromAnkle.x(), fromAnkle.y(), longer * fromAnkle.z());
    Vec3 sloped = stretched.turnedAboutZ(at(p, Unknown.FOOT_SLOPE));
    double cos = Math.cos(at(p, Unknown.TOES_OUT));
    double sin = Math.sin(at(p, Unknown.TOES_OUT));
    return new Vec3(
        cos * sloped.x() - sin * sloped.z(), sloped.y(), sin * sloped.x() + cos * sloped.z());
  }

  /** The end of a segment that leans, and goes so far out to the side. */
  private static Vec3 along(Vec3 from, double length, double out, double lean) {
    double flat = Math.sqrt(Math.max(1e-6, length * length - out * out));
    return from.plus(1, new Vec3(flat * Math.sin(lean), flat * Math.cos(lean), out));
  }

  /** Height of a full-size plate in the picture, pixels. */
  double platePx(double[] p, Map<Landmark, Vec3> places) {
    Vec3 shoulder = Required.entry(places, Landmark.SHOULDER);
    Vec3 middle = new Vec3(shoulder.x(), shoulder.y(), at(p, Unknown.PLATE_OUT));
    Camera camera = camera(p);
    double[] top = camera.sees(middle.plus(PLATE_M / 2, Vec3.UP));
    double[] bottom = camera.sees(middle.plus(-PLATE_M / 2, Vec3.UP));
    return Math.hypot(top[0] - bottom[0], top[1] - bottom[1]);
  }

  /**
   * How far something upright is turned from the picture's vertical, clockwise, rad: seen at so
   * many pixels across and up from the edge of the picture.
   */
  double uprightRad(double[] p, double acrossPx, double lowPx, double highPx) {
    Camera camera = camera(p);
    double x = (acrossPx - camera.xPx()) / camera.pxPerM();
    Vec3 foot =
        target().plus(x, Vec3.FORWARD).plus((lowPx - camera.yPx()) / camera.pxPerM(), Vec3.UP);
    double[] low = camera.sees(foot);
    double[] high = camera.sees(foot.plus((highPx - lowPx) / camera.pxPerM(), Vec3.UP));
    return Math.atan2(high[0] - low[0], high[1] - low[1]);
  }

  static double at(double[] p, Unknown unknown) {
    return p[unknown.ordinal()];
  }
}
