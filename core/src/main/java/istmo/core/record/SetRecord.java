package istmo.core.record;

import istmo.core.anatomy.Region;
import istmo.core.body.Measurement.Side;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.InvalidInput;
import istmo.core.training.PerformedSet;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * One set with everything that was written down of it.
 *
 * @param number of the set among those of its kind and side, from 1; empty where nobody counted
 * @param side that worked; NONE for both
 * @param range whether the whole range was kept; empty where nothing was said
 * @param tempoKept whether the tempo was kept; empty where nothing was said
 * @param felt where it was felt; empty where nothing was said
 */
public record SetRecord(
    PerformedSet done,
    Kind kind,
    Optional<Integer> number,
    Side side,
    Optional<Range> range,
    Optional<Boolean> tempoKept,
    Set<Region> felt,
    Optional<Pain> pain) {
  public static final Allowed NUMBER = new Allowed(1, 50, "sets");

  /** What kind of set: only whole ones make records. */
  public enum Kind {
    WORK,
    /** at once after the last one, lighter */
    DROP
  }

  /** How much of the range was used. */
  public enum Range {
    FULL,
    SHORT,
    /** on purpose only the half where the muscle is long */
    LONG_HALF
  }

  public SetRecord {
    Set<Region> sorted = new TreeSet<>(Comparator.comparing(Region::id));
    sorted.addAll(felt);
    felt = Collections.unmodifiableSet(sorted);
    List<InvalidInput.Fault> faults = new ArrayList<>();
    number.ifPresent(n -> NUMBER.check(faults, "number", n));
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
  }

  /** A set of which nothing but the figures is known. */
  public static SetRecord plain(PerformedSet done) {
    return new SetRecord(
        done,
        Kind.WORK,
        Optional.empty(),
        Side.NONE,
        Optional.empty(),
        Optional.empty(),
        Set.of(),
        Optional.empty());
  }

  /** Whether it is a work set. */
  public boolean isWork() {
    return kind == Kind.WORK;
  }

  /** Repetitions that were done and those that were felt to be left. */
  public double toFailure() {
    return done.repetitions() + done.reserve();
  }
}
