package istmo.core.drawing;

import istmo.core.anatomy.Region;
import istmo.core.movement.View;
import java.util.List;
import java.util.Set;

/**
 * A technical figure as plain shapes in metres, to be painted by whoever has a brush. Side view: x
 * forward, y up. Plan view: x along the feet, y to the right. Roles say what a shape is (thigh,
 * bar, force, lever-knee ...); the painter decides colour and width.
 *
 * @param body closed outlines of the lifter from the back of the picture to the front; a smooth
 *     curve through their points is meant
 * @param muscles where each region lies on the lifter
 * @param from from where the lifter is seen; the plan, too, says how its lifter is seen otherwise
 */
public record Drawing(
    List<Line> lines,
    List<Circle> circles,
    List<Lever> levers,
    List<Line> body,
    List<Band> muscles,
    View from) {
  /** A point, m; x forward or along the feet, y up or to the right. */
  public record Point(double x, double y) {}

  /** An open or closed run of points. */
  public record Line(String role, List<Point> points, boolean closed) {}

  /** A circle of radius m. */
  public record Circle(String role, Point centre, double radius) {}

  /**
   * A lever arm: the distance from a joint to the line of the force, square to it.
   *
   * @param metres its length
   */
  public record Lever(String joint, Point from, Point to, double metres) {}

  /**
   * A region of muscle, as a band along its course.
   *
   * @param widthM width at its full tension, m
   */
  public record Band(Region region, List<Point> course, double widthM) {}

  /** Lines within the lifter, whose outlines are in {@link #body}, and the force. */
  private static final Set<String> NOT_MACHINE =
      Set.of("trunk", "thigh", "shank", "foot", "other", "arm", "force");

  public Drawing {
    lines = List.copyOf(lines);
    circles = List.copyOf(circles);
    levers = List.copyOf(levers);
    body = List.copyOf(body);
    muscles = List.copyOf(muscles);
  }

  /** The lines of machine and floor alone. */
  public List<Line> machine() {
    return lines.stream().filter(line -> !NOT_MACHINE.contains(line.role())).toList();
  }
}
