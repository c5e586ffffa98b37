package istmo.core.quantity;

import java.util.List;

/** Input that a person or another program gave and that cannot be used: every fault names its field and what is allowed. */
public final class InvalidInput extends RuntimeException {
  private static final long serialVersionUID = 1L;
  private final transient List<Fault> faults;

  /** One fault: the field as the caller knows it, and a sentence that says what is allowed. */
  public record Fault(String field, String message) {}

  public InvalidInput(String field, String message) {
    this(List.of(new Fault(field, message)));
  }

  public InvalidInput(List<Fault> faults) {
    super(faults.stream().map(f -> f.field() + ": " + f.message()).reduce((a, b) -> a + "; " + b).orElse("invalid input"));
    this.faults = List.copyOf(faults);
  }

  public List<Fault> faults() {
    return faults;
  }
}
