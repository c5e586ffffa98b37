package istmo.core.picture;

import istmo.core.quantity.Allowed;
import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.Required;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The marks on a picture of a client from the side. A landmark may be marked more than once; its
 * marks are then averaged.
 *
 * @param widthPx size of the picture in which the marks stand, pixels
 */
public record SidePicture(int widthPx, int heightPx, List<Mark> marks) {
  public static final Allowed SIZE_PX = new Allowed(100, 20_000, "pixels");

  /** Heel and toe at least so far apart, as a share of the leg in the picture. */
  private static final double SHORTEST_FOOT = 0.08;

  /** A leg that is shorter in the picture cannot be read, pixels. */
  private static final double SHORTEST_LEG_PX = 60;

  /** Throws {@link InvalidInput} that names what is missing or lies where it cannot be. */
  public SidePicture {
    marks = List.copyOf(marks);
    List<InvalidInput.Fault> faults = new ArrayList<>();
    Mark.check(marks, widthPx, heightPx, Landmark.Seen.SIDE, faults);
    if (faults.isEmpty()) {
      believable(Mark.means(marks), faults);
    }
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
  }

  private static void believable(Map<Landmark, Mark> at, List<InvalidInput.Fault> faults) {
    double leg =
        distance(at, Landmark.ANKLE, Landmark.KNEE) + distance(at, Landmark.KNEE, Landmark.HIP);
    if (leg < SHORTEST_LEG_PX) {
      faults.add(
          new InvalidInput.Fault(
              "marks", "the leg is too small in this picture; stand closer or take a larger one"));
      return;
    }
    if (distance(at, Landmark.HEEL, Landmark.TOE) < SHORTEST_FOOT * leg) {
      faults.add(
          new InvalidInput.Fault(
              "marks", "heel and toe are at one place; take the picture from the side"));
    }
  }

  private static double distance(Map<Landmark, Mark> at, Landmark one, Landmark other) {
    return Math.hypot(
        Required.entry(at, one).xPx() - Required.entry(at, other).xPx(),
        Required.entry(at, one).yPx() - Required.entry(at, other).yPx());
  }

  /** One mark for each landmark that is marked, the mean of several. */
  public Map<Landmark, Mark> means() {
    return Mark.means(marks);
  }

  /** How often a landmark is marked. */
  public int times(Landmark landmark) {
    return (int) marks.stream().filter(mark -> mark.landmark() == landmark).count();
  }

  /** How well marks that were set twice repeat, pixels each way; empty where none was. */
  public Optional<Double> repeatErrorPx() {
    double squares = 0;
    int freedom = 0;
    Map<Landmark, Mark> means = means();
    for (Mark mark : marks) {
      Mark mean = Required.entry(means, mark.landmark());
      squares += Math.pow(mark.xPx() - mean.xPx(), 2) + Math.pow(mark.yPx() - mean.yPx(), 2);
    }
    for (Landmark landmark : means.keySet()) {
      freedom += 2 * (times(landmark) - 1);
    }
    return freedom == 0 ? Optional.empty() : Optional.of(Math.sqrt(squares / freedom));
  }

  /** Whether the client looks to the left edge of the picture. */
  private boolean facesLeft() {
    Map<Landmark, Mark> at = means();
    return Required.entry(at, Landmark.TOE).xPx() < Required.entry(at, Landmark.HEEL).xPx();
  }

  /** Its marks as they are turned to read: of a client who looks to the right. */
  Righted righted() {
    return new Righted(facesLeft(), widthPx, heightPx);
  }

  /** Places on a picture of a client who looks to the right, upwards from its lower edge. */
  record Righted(boolean turned, int widthPx, int heightPx) {
    /** Pixels to the right. */
    double across(Mark mark) {
      return turned ? widthPx - mark.xPx() : mark.xPx();
    }

    /** Pixels upwards. */
    double up(Mark mark) {
      return heightPx - mark.yPx();
    }

    /** A place so far across and up, as it is marked on the picture itself. */
    Mark mark(Landmark landmark, double acrossPx, double upPx) {
      return new Mark(landmark, turned ? widthPx - acrossPx : acrossPx, heightPx - upPx);
    }
  }
}
