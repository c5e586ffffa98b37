package istmo.core.quantity;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/**
 * Input that a person or another program gave and that cannot be used: every fault names its field
 * and what is allowed.
 */
public final class InvalidInput extends RuntimeException {
  private static final long serialVersionUID = 1L;
  private final transient List<Fault> faults;

  /** One fault: the field as the caller knows it, and a sentence that says what is allowed. */
  public record Fault(String field, String message) {
    /** A fault whose message is a pattern with its figures. */
    public static Fault saying(String field, String pattern, Object... figures) {
      return new Fault(field, Bound.quantities(String.format(Locale.ROOT, pattern, figures)));
    }
  }

  /** One fault whose message is a pattern with its figures. */
  public static InvalidInput saying(String field, String pattern, Object... figures) {
    return new InvalidInput(List.of(Fault.saying(field, pattern, figures)));
  }

  /** Faults by field: what is wrong, or what is allowed. */
  public InvalidInput(String field, String message) {
    this(List.of(new Fault(field, message)));
  }

  /** Faults by field: what is wrong, or what is allowed. */
  public InvalidInput(List<Fault> faults) {
    super(
        faults.stream()
            .map(fault -> fault.field() + ": " + fault.message())
            .collect(Collectors.joining("; ")));
    this.faults = List.copyOf(faults);
  }

  /** Runs a check of a part; what it finds is added under that part's name. */
  public static void gather(List<Fault> faults, String part, Runnable check) {
    try {
      check.run();
    } catch (InvalidInput e) {
      e.faults().forEach(fault -> faults.add(new Fault(part + fault.field(), fault.message())));
    }
  }

  /** Runs every check and throws all that they find at once, so that nothing comes in waves. */
  public static void together(Runnable... checks) {
    List<Fault> faults = new ArrayList<>();
    for (Runnable check : checks) {
      gather(faults, "", check);
    }
    if (!faults.isEmpty()) {
      throw new InvalidInput(faults);
    }
  }

  /** Every fault that was found. */
  public List<Fault> faults() {
    return faults;
  }
}
