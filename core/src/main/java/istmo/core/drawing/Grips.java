package istmo.core.drawing;

import istmo.core.body.Body;
import istmo.core.drawing.Drawing.Circle;
import istmo.core.drawing.Drawing.Line;
import istmo.core.drawing.Drawing.Point;
import istmo.core.movement.Family;
import istmo.core.movement.Handle;
import istmo.core.movement.Posture;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** Where the handles of a family are in a drawing, and how its parameters follow a drag. */
public final class Grips {
  /**
   * A part that moves by less, m, for one natural step of its parameter is no handle at this phase:
   * a small drag would be a jump.
   */
  private static final double LEAST_MOVE_M = 0.001;

  private Grips() {}

  /**
   * A handle in a drawing.
   *
   * @param at where it is, m, in the frame of the drawing
   * @param axis unit vector of the drag that raises the value
   * @param perMetre change of the parameter, in its own unit, for each metre along the axis
   */
  public record Grip(String parameterId, Point at, Point axis, double perMetre) {}

  /**
   * Handles of the side view.
   *
   * @param posture the posture that is drawn, which the family takes in this set-up
   * @param loadKg external load, kg
   */
  public static List<Grip> side(
      Body body, Family family, Setup setup, Posture posture, double loadKg) {
    return grips(family, setup, posture, loadKg, body, false);
  }

  /** Handles of the view from above; the same otherwise. */
  public static List<Grip> plan(
      Body body, Family family, Setup setup, Posture posture, double loadKg) {
    return grips(family, setup, posture, loadKg, body, true);
  }

  private static List<Grip> grips(
      Family family, Setup setup, Posture posture, double loadKg, Body body, boolean fromAbove) {
    Function<Posture, Drawing> draw =
        there -> fromAbove ? Stage.plan(body, there) : Stage.side(body, there, loadKg);
    Drawing drawn = draw.apply(posture);
    List<Grip> grips = new ArrayList<>();
    for (Handle handle : family.handles()) {
      if (handle.part().isFromAbove() == fromAbove) {
        Function<Setup, Optional<Point>> anchor =
            held ->
                family.posture(body, held, posture.phase(), loadKg) instanceof Posture moved
                    ? find(handle.part(), draw.apply(moved))
                    : Optional.empty();
        find(handle.part(), drawn)
            .flatMap(at -> grip(family, handle, setup, at, anchor))
            .ifPresent(grips::add);
      }
    }
    return List.copyOf(grips);
  }

  /**
   * @param anchor where the part is in another set-up; empty where the posture cannot be taken
   */
  private static Optional<Grip> grip(
      Family family,
      Handle handle,
      Setup setup,
      Point at,
      Function<Setup, Optional<Point>> anchor) {
    SetupParameter parameter =
        family.parameters().stream()
            .filter(setupParameter -> setupParameter.id().equals(handle.parameterId()))
            .findFirst()
            .orElseThrow();
    double value = setup.get(parameter);
    double low = Math.max(parameter.allowed().min(), value - parameter.step());
    double high = Math.min(parameter.allowed().max(), value + parameter.step());
    Optional<Point> above = anchor.apply(setup.with(parameter, high));
    Optional<Point> below = anchor.apply(setup.with(parameter, low));
    Point to = above.orElse(at);
    Point from = below.orElse(at);
    double change = (above.isPresent() ? high : value) - (below.isPresent() ? low : value);
    double x = to.x() - from.x();
    double y = to.y() - from.y();
    double moved = Math.hypot(x, y);
    if (change <= 0 || moved < LEAST_MOVE_M * change / parameter.step()) {
      return Optional.empty();
    }
    return Optional.of(
        new Grip(parameter.id(), at, new Point(x / moved, y / moved), change / moved));
  }

  private static Optional<Point> find(Handle.Part part, Drawing drawing) {
    return switch (part) {
      case HIP -> centre(drawing, "joint-hip");
      case KNEE -> centre(drawing, "joint-knee");
      case ANKLE -> centre(drawing, "joint-ankle");
      case SHOULDER -> point(drawing, "trunk", 1);
      case HEEL -> point(drawing, "foot", 0);
      case TOE -> point(drawing, "foot", 2);
      case REAR_FOOT -> point(drawing, "other", 3);
      case BAR -> centre(drawing, "bar-sleeve");
      case PULLEY -> point(drawing, "cable", 1);
      case BLOCK_EDGE -> point(drawing, "block", 2);
      case FOOT_FROM_ABOVE -> centre(drawing, "pressure");
      case TOE_FROM_ABOVE -> point(drawing, "foot-right", 5);
    };
  }

  private static Optional<Point> centre(Drawing drawing, String role) {
    return drawing.circles().stream()
        .filter(circle -> circle.role().equals(role))
        .map(Circle::centre)
        .findFirst();
  }

  private static Optional<Point> point(Drawing drawing, String role, int index) {
    return drawing.lines().stream()
        .filter(line -> line.role().equals(role))
        .map(Line::points)
        .filter(points -> points.size() > index)
        .map(points -> points.get(index))
        .findFirst();
  }
}
