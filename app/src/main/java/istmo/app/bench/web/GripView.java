package istmo.app.bench.web;

import istmo.app.platform.DrawingView.PointView;
import istmo.app.platform.Rounded;
import istmo.core.drawing.Grips;
import java.util.List;

/**
 * What can be dragged in a drawing: where it is, m in the drawing's frame, the direction that
 * raises the value, and the change of the value for each metre.
 */
record GripView(String parameterId, PointView at, PointView axis, double perMetre) {
  static List<GripView> of(List<Grips.Grip> grips) {
    return grips.stream()
        .map(
            g ->
                new GripView(
                    g.parameterId(),
                    PointView.of(g.at()),
                    PointView.of(g.axis()),
                    Rounded.of(g.perMetre())))
        .toList();
  }
}
