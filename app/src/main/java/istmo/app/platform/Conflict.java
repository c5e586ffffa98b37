package istmo.app.platform;

/** A change that clashes with what is there. */
public final class Conflict extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public Conflict(String message) {
    super(message);
  }
}
