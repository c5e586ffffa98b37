package istmo.core.body;

import istmo.core.quantity.Allowed;
import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * What a coach knows of a client beyond the body.
 *
 * @param daysAWeek training days, empty when not said
 * @param minutes of one session
 * @param strongerSide LEFT or RIGHT, if one is
 * @param notes on comfort, free words; only the client's own coach reads them
 * @param likes and dislikes: exercise ids
 */
public record Profile(
    Optional<TrainingAge> trainingAge,
    Optional<Integer> daysAWeek,
    Optional<Integer> minutes,
    Set<Habit> habits,
    Optional<Measurement.Side> strongerSide,
    String notes,
    Set<String> likes,
    Set<String> dislikes) {
  public static final Allowed DAYS = new Allowed(1, 7, "days a week");
  public static final Allowed MINUTES = new Allowed(10, 240, "minutes");
  private static final int LONGEST = 2000;

  /** How long somebody has trained. */
  public enum TrainingAge {
    WEEKS,
    MONTHS,
    YEARS
  }

  public Profile {
    habits = Collections.unmodifiableSet(new TreeSet<>(habits));
    likes = Collections.unmodifiableSet(new TreeSet<>(likes));
    dislikes = Collections.unmodifiableSet(new TreeSet<>(dislikes));
    List<InvalidInput.Fault> faults = new ArrayList<>();
    daysAWeek.ifPresent(d -> DAYS.check(faults, "daysAWeek", d));
    minutes.ifPresent(m -> MINUTES.check(faults, "minutes", m));
    if (notes == null || notes.length() > LONGEST) {
      faults.add(new InvalidInput.Fault("notes", "takes at most " + LONGEST + " characters"));
    }
    if (!Collections.disjoint(likes, dislikes)) {
      faults.add(new InvalidInput.Fault("dislikes", "an exercise is liked or disliked, not both"));
    }
    if (strongerSide.filter(side -> side == Measurement.Side.NONE).isPresent()) {
      faults.add(new InvalidInput.Fault("strongerSide", "is LEFT or RIGHT"));
    }
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
  }

  /** Nothing is known beyond the body. */
  public static Profile unknown() {
    return new Profile(
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Set.of(),
        Optional.empty(),
        "",
        Set.of(),
        Set.of());
  }
}
