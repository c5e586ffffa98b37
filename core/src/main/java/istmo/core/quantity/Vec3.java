package istmo.core.quantity;

/**
 * A vector or point in the world frame: x forward, y up, z to the lifter's right (right-handed).
 * Unit as the holder says (m, N, N m).
 */
public record Vec3(double x, double y, double z) {
  public static final Vec3 ZERO = new Vec3(0, 0, 0);
  public static final Vec3 UP = new Vec3(0, 1, 0);
  public static final Vec3 RIGHT = new Vec3(0, 0, 1);
  public static final Vec3 FORWARD = new Vec3(1, 0, 0);

  /** Sum. */
  public Vec3 plus(Vec3 o) {
    return new Vec3(x + o.x, y + o.y, z + o.z);
  }

  /** This plus {@code s} times {@code o}. */
  public Vec3 plus(double s, Vec3 o) {
    return new Vec3(x + s * o.x, y + s * o.y, z + s * o.z);
  }

  /** Difference. */
  public Vec3 minus(Vec3 o) {
    return new Vec3(x - o.x, y - o.y, z - o.z);
  }

  /** Product with a number. */
  public Vec3 times(double s) {
    return new Vec3(x * s, y * s, z * s);
  }

  /** Scalar product. */
  public double dot(Vec3 o) {
    return x * o.x + y * o.y + z * o.z;
  }

  /** Vector product, right-handed. */
  public Vec3 cross(Vec3 o) {
    return new Vec3(y * o.z - z * o.y, z * o.x - x * o.z, x * o.y - y * o.x);
  }

  /** Length. */
  public double norm() {
    return Math.sqrt(dot(this));
  }

  /** This vector at length 1; throws for a vector without a direction. */
  public Vec3 unit() {
    double n = norm();
    if (!(n > 1e-12)) {
      throw new IllegalArgumentException("a vector of length " + n + " has no direction");
    }
    return times(1 / n);
  }

  /** Angle to another vector, 0 to pi rad; both are of length 1. */
  public double angleTo(Vec3 o) {
    return Math.acos(Math.max(-1, Math.min(1, dot(o))));
  }

  /** This vector turned about z by {@code angleRad}, positive from x towards y. */
  public Vec3 turnedAboutZ(double angleRad) {
    double c = Math.cos(angleRad);
    double s = Math.sin(angleRad);
    return new Vec3(c * x - s * y, s * x + c * y, z);
  }
}
