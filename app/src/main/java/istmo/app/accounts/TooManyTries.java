package istmo.app.accounts;

/** A name has to wait before it is tried again. */
public final class TooManyTries extends RuntimeException {
  private static final long serialVersionUID = 1L;
  private final long seconds;

  TooManyTries(long seconds) {
    super("Too many tries. Wait " + seconds + " s and try again.");
    this.seconds = seconds;
  }

  /** How long to wait until the next try, s. */
  public long seconds() {
    return seconds;
  }
}
