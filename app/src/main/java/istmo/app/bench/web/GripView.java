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
            grip ->
                new GripView(
                    grip.parameterId(),
                    PointView.of(grip.at()),
                    PointView.of(grip.axis()),
                    Rounded.of(grip.perMetre())))
        .toList();
  }
}
