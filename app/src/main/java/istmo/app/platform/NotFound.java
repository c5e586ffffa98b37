package istmo.app.platform;

/** Something that does not exist, or not for this coach: the two are told alike. */
public final class NotFound extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** A 404 that says what there is none of. */
  public NotFound(String what) {
    super("There is no such " + what + ".");
  }
}
