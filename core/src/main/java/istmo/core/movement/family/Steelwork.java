package istmo.core.movement.family;

import istmo.core.movement.PostureBuilder;
import istmo.core.quantity.Vec3;

/**
 * What a machine stands on and what it is loaded with, to be drawn: posts, stacks of plates,
 * columns of cables and the uprights of a rack. Their sizes are usual ones (own estimates); nothing
 * is computed from them.
 */
final class Steelwork {
  private static final double STACK_WIDE_M = 0.22;
  private static final double STACK_HIGH_M = 0.85;
  private static final double FOOT_M = 0.22;
  private static final double FOOT_THICK_M = 0.04;
  private static final double COLUMN_M = 2.05;
  private static final double HOOK_M = 0.1;

  private Steelwork() {}

  /** The post under a seat or a bench, with its foot on the floor. */
  static void post(PostureBuilder builder, Vec3 under, double floorY) {
    Vec3 foot = new Vec3(under.x(), floorY + FOOT_THICK_M / 2, under.z());
    builder
        .prop("post", under, foot)
        .prop("post", foot.plus(-FOOT_M, Vec3.FORWARD), foot.plus(FOOT_M, Vec3.FORWARD));
  }

  /**
   * A stack of plates.
   *
   * @param foot its lower corner that is nearer to the lifter, m
   * @param away horizontal unit vector away from the lifter
   */
  static void stack(PostureBuilder builder, Vec3 foot, Vec3 away) {
    Vec3 far = foot.plus(STACK_WIDE_M, away);
    builder.prop(
        "stack", foot, far, far.plus(STACK_HIGH_M, Vec3.UP), foot.plus(STACK_HIGH_M, Vec3.UP));
  }

  /** The column of a pulley that stands on the floor at height 0, and its stack behind it. */
  static void column(PostureBuilder builder, Vec3 pulley, Vec3 away) {
    Vec3 foot = new Vec3(pulley.x(), 0, pulley.z());
    builder.prop("post", foot, foot.plus(Math.max(COLUMN_M, pulley.y() + 0.1), Vec3.UP));
    stack(builder, foot.plus(0.06, away), away);
  }

  /** An upright of a rack on the floor at height 0, with the hook for the bar. */
  static void rack(PostureBuilder builder, double x, double hookY) {
    Vec3 foot = new Vec3(x, 0, 0);
    Vec3 hook = foot.plus(hookY, Vec3.UP);
    builder
        .prop("post", foot, foot.plus(COLUMN_M, Vec3.UP))
        .prop("post", hook, hook.plus(-HOOK_M, Vec3.FORWARD));
  }
}
