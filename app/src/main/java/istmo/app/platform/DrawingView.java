package istmo.app.platform;

import istmo.core.drawing.Drawing;
import istmo.core.movement.View;
import java.util.List;

/**
 * A technical figure as plain shapes in metres, for whoever has a brush. body: closed outlines of
 * the lifter, from the back of the picture to the front, meant as smooth curves.
 */
public record DrawingView(
    List<LineView> lines,
    List<CircleView> circles,
    List<LeverView> levers,
    List<LineView> body,
    List<BandView> muscles,
    View from) {
  /** A point, m. */
  public record PointView(double x, double y) {
    /** As it is served, rounded to what can be seen. */
    public static PointView of(Drawing.Point point) {
      return new PointView(Rounded.of(point.x()), Rounded.of(point.y()));
    }
  }

  /** A line through points; the role says what it shows. */
  public record LineView(String role, List<PointView> points, boolean closed) {
    /** As it is served, rounded to what can be seen. */
    public static LineView of(Drawing.Line line) {
      return new LineView(
          line.role(), line.points().stream().map(PointView::of).toList(), line.closed());
    }
  }

  /** A circle, radius in m. */
  public record CircleView(String role, PointView centre, double radius) {
    /** As it is served, rounded to what can be seen. */
    public static CircleView of(Drawing.Circle circle) {
      return new CircleView(
          circle.role(), PointView.of(circle.centre()), Rounded.of(circle.radius()));
    }
  }

  /** The lever arm of the load about a joint, m. */
  public record LeverView(String joint, PointView from, PointView to, double metres) {}

  /** Where a region lies: a band along its course, so many m wide at full tension. */
  public record BandView(String regionId, List<PointView> course, double widthM) {}

  /** As it is served, rounded to what can be seen. */
  public static DrawingView of(Drawing drawing) {
    return new DrawingView(
        drawing.lines().stream().map(LineView::of).toList(),
        drawing.circles().stream().map(CircleView::of).toList(),
        drawing.levers().stream()
            .map(
                lever ->
                    new LeverView(
                        lever.joint(),
                        PointView.of(lever.from()),
                        PointView.of(lever.to()),
                        Rounded.of(lever.metres())))
            .toList(),
        drawing.body().stream().map(LineView::of).toList(),
        drawing.muscles().stream()
            .map(
                band ->
                    new BandView(
                        band.region().id(),
                        band.course().stream().map(PointView::of).toList(),
                        Rounded.of(band.widthM())))
            .toList(),
        drawing.from());
  }
}
