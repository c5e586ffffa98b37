package istmo.core.picture;

import istmo.core.body.Body;
import istmo.core.movement.Posture;
import istmo.core.quantity.Vec3;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/**
 * Takes pictures of postures as a telephone would, and marks them as a careful coach would. It
 * shares no code with what reads the pictures: a camera at a place, turned by three angles, with
 * the centre of its picture in the middle.
 *
 * @param squareOffDeg how far it stands in front of the client's side
 * @param tiltDeg how far it is turned about the line of sight, to its left
 * @param distanceM from the client's middle
 * @param heightM of the lens above the floor
 * @param markCm how far marks lie from the joints, each way (standard deviation)
 */
record Photographer(
    double squareOffDeg, double tiltDeg, double distanceM, double heightM, double markCm) {
  static final int WIDTH = 1080;
  static final int HEIGHT = 1920;

  /** Focal length of a telephone's main camera held upright: 26 mm on a film of 36 by 24 mm. */
  private static final double FOCAL_PX = HEIGHT * 26.0 / 36.0;

  private static final double MARK_PX = 2;

  private static final double SHOULDERS = 0.11;

  /** Marks of the right side; {@code alike} marks the other ankle too. */
  SidePicture of(Body body, Posture posture, Random random, boolean alike) {
    Posture.Points at = posture.points();
    List<Mark> marks = new ArrayList<>();
    Vec3 floor = new Vec3(0, at.heel().y(), 0);
    Vec3 shoulder = at.shoulder().plus(SHOULDERS * body.statureM(), Vec3.RIGHT);
    Vec3 aim = new Vec3(0.5 * (at.hip().x() + at.ankle().x()), floor.y() + heightM, 0);
    mark(marks, Landmark.HEEL, at.heel(), aim, random);
    mark(marks, Landmark.TOE, at.toe(), aim, random);
    mark(marks, Landmark.ANKLE, at.ankle(), aim, random);
    mark(marks, Landmark.KNEE, at.knee(), aim, random);
    mark(marks, Landmark.HIP, at.hip(), aim, random);
    mark(marks, Landmark.SHOULDER, shoulder, aim, random);
    if (alike) {
      Vec3 ankle = at.ankle();
      mark(marks, Landmark.OTHER_ANKLE, new Vec3(ankle.x(), ankle.y(), -ankle.z()), aim, random);
    }
    Vec3 post = new Vec3(at.ankle().x() - 0.45, floor.y(), -0.5);
    mark(marks, Landmark.UPRIGHT_FOOT, post, aim, random);
    mark(marks, Landmark.UPRIGHT_TOP, post.plus(1.5, Vec3.UP), aim, random);
    return new SidePicture(WIDTH, HEIGHT, marks);
  }

  private void mark(List<Mark> marks, Landmark landmark, Vec3 place, Vec3 aim, Random random) {
    double off = landmark == Landmark.UPRIGHT_FOOT || landmark == Landmark.UPRIGHT_TOP ? 0 : 1;
    double noise = off * markCm / 100;
    Vec3 touched =
        place
            .plus(noise * random.nextGaussian(), Vec3.FORWARD)
            .plus(noise * random.nextGaussian(), Vec3.UP);
    double[] px = onFilm(touched, aim);
    marks.add(
        new Mark(
            landmark,
            Math.max(0, Math.min(WIDTH, px[0] + MARK_PX * random.nextGaussian())),
            Math.max(0, Math.min(HEIGHT, px[1] + MARK_PX * random.nextGaussian()))));
  }

  /** Pixels from the left and from the top. */
  double[] onFilm(Vec3 place, Vec3 aim) {
    double yaw = Math.toRadians(squareOffDeg);
    Vec3 lens =
        aim.plus(distanceM * Math.sin(yaw), Vec3.FORWARD)
            .plus(distanceM * Math.cos(yaw), Vec3.RIGHT);
    Vec3 sight = aim.minus(lens).unit();
    Vec3 right = sight.cross(Vec3.UP).unit();
    Vec3 up = right.cross(sight);
    Vec3 from = place.minus(lens);
    double depth = from.dot(sight);
    double x = FOCAL_PX * from.dot(right) / depth;
    double y = FOCAL_PX * from.dot(up) / depth;
    double tilt = Math.toRadians(tiltDeg);
    double turnedX = x * Math.cos(tilt) + y * Math.sin(tilt);
    double turnedY = y * Math.cos(tilt) - x * Math.sin(tilt);
    return new double[] {WIDTH / 2.0 + turnedX, HEIGHT / 2.0 - turnedY};
  }
}
