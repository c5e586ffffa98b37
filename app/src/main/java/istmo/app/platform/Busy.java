package istmo.app.platform;

/** Something that cannot be taken on now, because too much is waiting already. */
public final class Busy extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** A 503 with what to do, in a sentence. */
  public Busy(String message) {
    super(message);
  }
}
