package istmo.core.record;

import istmo.core.quantity.Allowed;
import istmo.core.quantity.InvalidInput;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * How one set's row takes what devices send of it, so that any order, repetition or loss of
 * messages ends in the same record. A device counts the revisions of a set that it makes: logging
 * is the first, each correction or removal one more. It says which revision it had before its eyes.
 * What an older message of the same device says never undoes a newer one; what two devices changed
 * without knowing of each other is a conflict that the coach decides.
 */
public final class SetRegister {
  public static final Allowed REVISION = new Allowed(1, 100_000, "");

  private SetRegister() {}

  /** What became of a message. */
  public enum Outcome {
    /** it is the record now */
    STORED,
    /** it was the record already: a retry */
    SAME,
    /** the same device has sent something newer meanwhile */
    STALE,
    /** another device changed the set since this one saw it; nothing was overwritten */
    CONFLICT
  }

  /**
   * A state of a set.
   *
   * @param base the revision that the device had seen when it made this one; 0 where it had none
   * @param removed whether the set is taken out; its figures stay, so that it can be put back
   */
  public record State<T>(int revision, int base, String device, boolean removed, T figures) {
    public State {
      REVISION.check("revision", revision);
      if (base < 0 || base >= revision) {
        throw new InvalidInput("base", "is the revision that was seen before, below " + revision);
      }
      if (device == null || device.isBlank() || device.length() > 64) {
        throw new InvalidInput("device", "needs 1 to 64 characters");
      }
    }
  }

  /**
   * What is stored of a set.
   *
   * @param seen by device, the newest of its revisions that was taken: how late retries are known
   */
  public record Stored<T>(State<T> now, Map<String, Integer> seen) {
    public Stored {
      seen = Map.copyOf(seen);
    }

    /** What is stored once a message was taken. */
    public Stored<T> taking(State<T> incoming) {
      Map<String, Integer> more = new HashMap<>(seen);
      more.merge(incoming.device(), incoming.revision(), Math::max);
      return new Stored<>(incoming, more);
    }

    /** What is stored once the first message of a set was taken. */
    public static <T> Stored<T> first(State<T> incoming) {
      return new Stored<>(incoming, Map.of(incoming.device(), incoming.revision()));
    }
  }

  /** What becomes of a message, given what is stored of the set. */
  public static <T> Outcome judge(Optional<Stored<T>> stored, State<T> incoming) {
    if (stored.isEmpty()) {
      return Outcome.STORED;
    }
    State<T> now = stored.get().now();
    boolean same = now.removed() == incoming.removed() && now.figures().equals(incoming.figures());
    if (incoming.revision() <= stored.get().seen().getOrDefault(incoming.device(), 0)) {
      return same ? Outcome.SAME : Outcome.STALE;
    }
    if (incoming.device().equals(now.device())) {
      return Outcome.STORED;
    }
    return incoming.base() >= now.revision()
        ? Outcome.STORED
        : same ? Outcome.SAME : Outcome.CONFLICT;
  }
}
