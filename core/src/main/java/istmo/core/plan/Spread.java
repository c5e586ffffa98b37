package istmo.core.plan;

import istmo.core.quantity.Allowed;
import java.util.List;

/**
 * On which weekdays so many sessions a week usually are: as far apart as they can be (common
 * practice: one leg day, two, or the whole body three or four times).
 */
public final class Spread {
  private static final Allowed TIMES = new Allowed(1, 7, "sessions a week");

  private static final List<List<Integer>> USUAL =
      List.of(
          List.of(3),
          List.of(1, 4),
          List.of(1, 3, 5),
          List.of(1, 2, 4, 5),
          List.of(1, 2, 3, 4, 5),
          List.of(1, 2, 3, 4, 5, 6),
          List.of(1, 2, 3, 4, 5, 6, 7));

  private Spread() {}

  /** Weekdays of so many sessions, 1 Monday to 7 Sunday; throws for less than 1 or more than 7. */
  public static List<Integer> weekdays(int times) {
    TIMES.check("times", times);
    return USUAL.get(times - 1);
  }

  /** The same for every number of sessions, one first. */
  public static List<List<Integer>> all() {
    return USUAL;
  }
}
