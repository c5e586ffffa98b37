package istmo.core.movement;

import istmo.core.quantity.Vec3;
import java.util.List;

/**
 * Steel to draw with a posture: a kind (bar, plate, rail, pad, floor, block, roller) and its points
 * in side view, m.
 */
public record Prop(String kind, List<Vec3> points) {
  /** Something to be drawn, by its points, m, world. */
  public static Prop of(String kind, Vec3... points) {
    return new Prop(kind, List.of(points));
  }
}
