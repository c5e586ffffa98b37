package istmo.core.movement;

import istmo.core.quantity.Vec3;

/**
 * From where a posture is drawn. Postures are given in the lifter's own frame (x forward, y from
 * the hips to the head, z right); a view turns it so that x runs to the right of the picture, y up
 * it, and z out of it.
 */
public enum View {
  /** A lifter who stands, sits or lies face up or down, from the right side. */
  RIGHT_SIDE,
  /** A lifter who stands or sits and moves the legs apart or together, from the front. */
  FRONT,
  /** A lifter who lies on the left side, from the front. */
  ON_THE_LEFT_SIDE;

  /** Half of a pelvis' and a shoulder's width: how high the middle of a lying body is, m. */
  public static final double LYING_M = 0.2;

  /** A direction of the lifter's frame in the picture. */
  public Vec3 direction(Vec3 v) {
    return switch (this) {
      case RIGHT_SIDE -> v;
      case FRONT -> new Vec3(-v.z(), v.y(), v.x());
      case ON_THE_LEFT_SIDE -> new Vec3(v.y(), v.z(), v.x());
    };
  }

  /** A place of the lifter's frame in the picture, m; the floor is at y = 0. */
  public Vec3 place(Vec3 v) {
    return this == ON_THE_LEFT_SIDE ? direction(v).plus(LYING_M, Vec3.UP) : direction(v);
  }

  /** Up, against gravity, in the lifter's frame. */
  public Vec3 up() {
    return this == ON_THE_LEFT_SIDE ? Vec3.RIGHT : Vec3.UP;
  }
}
