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

  private static final Pattern BOUND_LENGTH =
      Pattern.compile(
          "(" + NUMBER + ")(?:" + NO_BREAK + "to" + NO_BREAK + "(" + NUMBER + "))?" + NO_BREAK
              + "cm\\b");
  private static final double CM_PER_INCH = 2.54;

  private Bound() {}

  /** The sentence with its bound centimetres told in inches, to the tenth. */
  public static String inInches(String sentence) {
    return BOUND_LENGTH
        .matcher(sentence)
        .replaceAll(
            found ->
                inches(found.group(1))
                    + (found.group(2) == null
                        ? ""
                        : NO_BREAK + "to" + NO_BREAK + inches(found.group(2)))
                    + NO_BREAK
                    + "in");
  }

  private static String inches(String cm) {
    double tenths = Math.round(10 * Double.parseDouble(cm) / CM_PER_INCH) / 10.0;
    return tenths == Math.rint(tenths) ? String.valueOf((long) tenths) : String.valueOf(tenths);
  }

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
