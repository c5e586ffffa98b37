package istmo.core.drawing;

import istmo.core.movement.Load;
import istmo.core.movement.Posture;
import istmo.core.movement.View;
import istmo.core.quantity.Vec3;
import java.util.Optional;

/**
 * The force that is shown of a posture.
 *
 * @param at where it pushes, m
 * @param direction unit vector in the picture
 * @param byLever whether it is what a machine's lever does, whose couple alone is known
 */
record ForceArrow(Vec3 at, Vec3 direction, boolean byLever) {
  /** A force that is none, N. */
  private static final double NO_FORCE_N = 1e-6;

  /** Of a force in the picture; empty where there is next to none. */
  private static Optional<ForceArrow> of(Push push) {
    double size = Math.hypot(push.force().x(), push.force().y());
    return size < NO_FORCE_N
        ? Optional.empty()
        : Optional.of(
            new ForceArrow(
                push.at(), new Vec3(push.force().x() / size, push.force().y() / size, 0), false));
  }

  /**
   * The push of the floor or plate under the foot; else what pushes on the leg: a cable, a weight,
   * a roller or the floor under the shins; else the roller of a knee machine, square to the shank.
   */
  static Optional<ForceArrow> of(Posture posture, double loadKg) {
    double[] force = footForce(posture, loadKg);
    Posture.Points points = posture.points();
    return ForceArrow.of(new Push(points.pressure(), new Vec3(force[0], force[1], 0)))
        .or(() -> pushOnLeg(posture, loadKg).flatMap(ForceArrow::of))
        .or(() -> rollerOnShank(posture));
  }

  private static Optional<ForceArrow> rollerOnShank(Posture posture) {
    Posture.Points points = posture.points();
    boolean front = posture.view() == View.FRONT;
    boolean bends =
        posture.loads().stream()
            .anyMatch(load -> (front ? load.couplePerKg().y() : load.couplePerKg().z()) < 0);
    Vec3 shank = points.knee().minus(points.ankle()).unit();
    return posture.props().stream()
        .filter(prop -> prop.kind().equals("roller"))
        .findFirst()
        .map(
            roller ->
                new ForceArrow(
                    roller.points().get(0),
                    shank.turnedAboutZ(bends ? Math.PI / 2 : -Math.PI / 2),
                    true));
  }

  private static double[] footForce(Posture posture, double loadKg) {
    double x = 0;
    double y = 0;
    for (Load load : posture.loads()) {
      boolean weight = load.forcePerKg().norm() == 0 && load.couplePerKg().norm() == 0;
      if (load.on() == Load.Segment.FOOT && !weight) {
        x += load.force().x() + loadKg * load.forcePerKg().x();
        y += load.force().y() + loadKg * load.forcePerKg().y();
      }
    }
    return new double[] {x, y};
  }

  private record Push(Vec3 at, Vec3 force) {}

  /**
   * What pushes on shank or thigh, first of all; what is parallel to it is taken together at its
   * own place.
   */
  private static Optional<Push> pushOnLeg(Posture posture, double loadKg) {
    Push all = null;
    for (Load load : posture.loads()) {
      Vec3 f = load.force().plus(loadKg, load.forcePerKg());
      boolean weight =
          load.forcePerKg().norm() == 0 && load.couplePerKg().norm() == 0 && load.force().y() < 0;
      if (load.on() == Load.Segment.UPPER || weight || f.norm() < 1) {
        continue;
      }
      if (all == null) {
        all = new Push(load.at(), f);
      } else if (f.cross(all.force()).norm() < 1e-6 * f.norm() * all.force().norm()
          && f.dot(all.force()) > 0) {
        double share = f.norm() / (f.norm() + all.force().norm());
        all = new Push(all.at().plus(share, load.at().minus(all.at())), all.force().plus(f));
      }
    }
    return Optional.ofNullable(all);
  }
}
