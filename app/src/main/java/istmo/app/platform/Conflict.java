package istmo.app.platform;

/** A change that clashes with what is there. */
public final class Conflict extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** A 409 with what stands in the way, in a sentence. */
  public Conflict(String message) {
    super(message);
  }
}
