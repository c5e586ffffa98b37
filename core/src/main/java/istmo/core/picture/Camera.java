package istmo.core.picture;

import istmo.core.quantity.Vec3;

/**
 * A camera that looks at a client's right side: a pinhole, as those of telephones are after their
 * own correction. Angles in rad, lengths in m.
 *
 * @param yawRad how far it stands in front of square: 0 exactly at the side, positive towards the
 *     client's front
 * @param pitchRad how far it looks down, positive when it is higher than what it looks at
 * @param rollRad how far the picture is turned, positive when the camera is turned to its left
 * @param distanceM to the plane through the client's middle
 * @param pxPerM scale in that plane
 * @param target what {@code xPx} and {@code yPx} are the place of
 * @param xPx place of the target, to the right, pixels
 * @param yPx place of the target, upwards, pixels
 */
public record Camera(
    double yawRad,
    double pitchRad,
    double rollRad,
    double distanceM,
    double pxPerM,
    Vec3 target,
    double xPx,
    double yPx) {

  private Vec3 towards() {
    return new Vec3(Math.sin(yawRad), 0, Math.cos(yawRad))
        .times(Math.cos(pitchRad))
        .plus(Math.sin(pitchRad), Vec3.UP);
  }

  private Vec3 right() {
    return new Vec3(Math.cos(yawRad), 0, -Math.sin(yawRad));
  }

  /** Where a point of the client's frame is seen: pixels to the right and upwards. */
  double[] sees(Vec3 point) {
    Vec3 towards = towards();
    Vec3 right = right();
    Vec3 up = towards.cross(right);
    Vec3 from = point.minus(target);
    double scale = pxPerM * distanceM / (distanceM - from.dot(towards));
    double x = scale * from.dot(right);
    double y = scale * from.dot(up);
    double cos = Math.cos(rollRad);
    double sin = Math.sin(rollRad);
    return new double[] {xPx + cos * x + sin * y, yPx - sin * x + cos * y};
  }

  /**
   * The point that is seen at a place of the picture, if it lies so far to the client's right, m;
   * the inverse of {@link #sees}.
   */
  Vec3 pointAt(double acrossPx, double upPx, double out) {
    Vec3 towards = towards();
    Vec3 right = right();
    Vec3 up = towards.cross(right);
    double cos = Math.cos(rollRad);
    double sin = Math.sin(rollRad);
    double a = (cos * (acrossPx - xPx) - sin * (upPx - yPx)) / pxPerM;
    double b = (sin * (acrossPx - xPx) + cos * (upPx - yPx)) / pxPerM;
    // a = from.right + a from.towards / distance, and so for b: two equations in x and y
    Vec3 first = right.plus(a / distanceM, towards);
    Vec3 second = up.plus(b / distanceM, towards);
    double z = out - target.z();
    double left = a - first.z() * z;
    double other = b - second.z() * z;
    double determinant = first.x() * second.y() - first.y() * second.x();
    return new Vec3(
        target.x() + (left * second.y() - first.y() * other) / determinant,
        target.y() + (first.x() * other - left * second.x()) / determinant,
        out);
  }
}
