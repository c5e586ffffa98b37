package istmo.core.picture;

import istmo.core.quantity.InvalidInput;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * One mark on a picture.
 *
 * @param xPx from the left edge to the right, pixels
 * @param yPx from the upper edge down, pixels
 */
public record Mark(Landmark landmark, double xPx, double yPx) {
  private static final int MOST = 100;

  /** How well a careful finger sets a mark: a share of the picture's height, and pixels. */
  private static final double SHARE = 0.002;

  private static final double LEAST_PX = 1.5;

  /** How far a careful finger is off on a picture of this height, pixels each way. */
  static double errorPx(int heightPx) {
    return Math.max(LEAST_PX, SHARE * heightPx);
  }

  /** One mark for each landmark that is marked, the mean of several. */
  static Map<Landmark, Mark> means(List<Mark> marks) {
    Map<Landmark, Mark> means = new EnumMap<>(Landmark.class);
    marks.stream()
        .collect(Collectors.groupingBy(Mark::landmark))
        .forEach(
            (landmark, same) ->
                means.put(
                    landmark,
                    new Mark(
                        landmark,
                        same.stream().mapToDouble(Mark::xPx).average().orElseThrow(),
                        same.stream().mapToDouble(Mark::yPx).average().orElseThrow())));
    return means;
  }

  /** Adds what is wrong with the marks of a picture seen from somewhere. */
  static void check(
      List<Mark> marks,
      int widthPx,
      int heightPx,
      Landmark.Seen from,
      List<InvalidInput.Fault> faults) {
    SidePicture.SIZE_PX.check(faults, "widthPx", widthPx);
    SidePicture.SIZE_PX.check(faults, "heightPx", heightPx);
    if (marks.size() > MOST) {
      faults.add(new InvalidInput.Fault("marks", "are at most " + MOST));
    }
    for (int k = 0; k < marks.size(); k++) {
      Mark mark = marks.get(k);
      boolean inside =
          mark.xPx() >= 0 && mark.xPx() <= widthPx && mark.yPx() >= 0 && mark.yPx() <= heightPx;
      if (!inside) {
        faults.add(new InvalidInput.Fault("marks[" + k + "]", "lies outside the picture"));
      }
    }
    String missing =
        Arrays.stream(Landmark.values())
            .filter(landmark -> landmark.needed() && landmark.seen() == from)
            .filter(landmark -> marks.stream().noneMatch(mark -> mark.landmark() == landmark))
            .map(Landmark::label)
            .collect(Collectors.joining(", "));
    if (!missing.isEmpty()) {
      faults.add(new InvalidInput.Fault("marks", "lack " + missing));
    }
  }
}
