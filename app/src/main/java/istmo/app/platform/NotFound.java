package istmo.app.platform;

/** Something that does not exist, or not for this coach: the two are told alike. */
public final class NotFound extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public NotFound(String what) {
    super("There is no such " + what + ".");
  }
}
