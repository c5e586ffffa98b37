package istmo.core.record;

import istmo.core.body.PainFlag;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.InvalidInput;
import java.util.List;

/**
 * What a client said of a joint after a set. Never a diagnosis.
 *
 * @param level 0 none to 10 the worst there is
 */
public record Pain(PainFlag joint, int level) {
  public static final Allowed LEVEL = new Allowed(0, 10, "on the scale from 0 to 10");

  /**
   * From here on something is changed, and from {@link #STOP} on the exercise ends. Bounds after
   * the pain-monitoring model (Thomeé 1997: up to 2 safe, up to 5 acceptable under guidance, above
   * it not; from memory), here without a clinician and so more careful.
   */
  public static final int CHANGE = 3;

  public static final int STOP = 6;

  public Pain {
    if (joint == null) {
      throw new InvalidInput("pain.joint", "is needed: which joint");
    }
    LEVEL.check("pain.level", level);
  }

  /** What to do next (common practice). Both schools are offered in the middle; pain decides. */
  public List<String> next() {
    if (level < CHANGE) {
      return level == 0 ? List.of() : List.of("Go on and ask again after the next set.");
    }
    if (level < STOP) {
      return List.of(
          "Change one thing before the next set: less load through the whole range, or less range"
              + " with the load. If it is not lower after that set, swap the exercise.");
    }
    return List.of(
        "End this exercise for today, and swap it for one that spares the "
            + joint.label().replace("sore ", "")
            + ".",
        "Sharp or new pain, pain at rest, swelling, locking, giving way or numbness: stop the"
            + " session, and see a licensed clinician.");
  }
}
