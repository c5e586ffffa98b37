package istmo.core.quantity;

/**
 * What was asked for is not possible for this client, here and now. Unlike {@link InvalidInput} it
 * carries a fact, which {@code istmo.core.words} says.
 */
public final class NotPossible extends RuntimeException {
  private static final long serialVersionUID = 1L;
  private final String field;
  private final transient Fact why;

  /** The field that asks for it, as the caller knows it, and what stands in the way. */
  public NotPossible(String field, Fact why) {
    super(field + ": " + why);
    this.field = field;
    this.why = why;
  }

  /** The field that asks for it. */
  public String field() {
    return field;
  }

  /** What stands in the way. */
  public Fact why() {
    return why;
  }
}
