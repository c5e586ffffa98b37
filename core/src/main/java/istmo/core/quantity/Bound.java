package istmo.core.quantity;

import java.util.regex.Pattern;

/**
 * Binds a figure to its unit. A no-break space stands between a number and kg or cm, as typography
 * asks, so that a line never ends between them; by it a screen also knows a quantity of ours from
 * what a coach has typed, and can show it in pounds or inches.
 */
public final class Bound {
  private static final char NO_BREAK = '\u00a0';
  private static final String NUMBER = "\\d+(?:\\.\\d+)?";
  private static final Pattern QUANTITY =
      Pattern.compile("(" + NUMBER + ")(?: to (" + NUMBER + "))? (kg|cm)\\b");

  private Bound() {}

  /** The sentence with every number of kilograms or centimetres bound to its unit. */
  public static String quantities(String sentence) {
    if (!sentence.contains(" kg") && !sentence.contains(" cm")) {
      return sentence;
    }
    return QUANTITY
        .matcher(sentence)
        .replaceAll(
            found ->
                found.group(1)
                    + (found.group(2) == null ? "" : NO_BREAK + "to" + NO_BREAK + found.group(2))
                    + NO_BREAK
                    + found.group(3));
  }
}
