package istmo.app.platform;

import istmo.core.quantity.InvalidInput;
import java.util.function.Predicate;

/** Names that people give to things. */
public final class Names {
  public static final int LONGEST = 120;

  private Names() {}

  /**
   * The name without blanks around it; throws {@link InvalidInput} on field "name" when nothing or
   * too much is left.
   */
  public static String checked(String name) {
    String trimmed = name == null ? "" : name.trim();
    if (trimmed.isEmpty()
        || trimmed.length() > LONGEST
        || trimmed.chars().anyMatch(Character::isISOControl)) {
      throw new InvalidInput("name", "needs 1 to " + LONGEST + " visible characters");
    }
    return trimmed;
  }

  /** The name, or with a number behind it where it is taken; never longer than {@code longest}. */
  public static String free(String name, int longest, Predicate<String> taken) {
    String free = name;
    for (int n = 2; taken.test(free); n++) {
      String number = " (" + n + ")";
      free = name.substring(0, Math.min(name.length(), longest - number.length())) + number;
    }
    return free;
  }
}
