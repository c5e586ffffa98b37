package istmo.app.platform;

import istmo.core.quantity.InvalidInput;

/** Names that people give to things. */
public final class Names {
  public static final int LONGEST = 120;

  private Names() {}

  /** The name without blanks around it; throws {@link InvalidInput} on field "name" when nothing or too much is left. */
  public static String checked(String name) {
    String trimmed = name == null ? "" : name.trim();
    if (trimmed.isEmpty() || trimmed.length() > LONGEST) {
      throw new InvalidInput("name", "needs 1 to " + LONGEST + " characters");
    }
    return trimmed;
  }
}
