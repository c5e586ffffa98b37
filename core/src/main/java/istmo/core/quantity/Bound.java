package istmo.core.quantity;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.function.UnaryOperator;
import java.util.regex.Pattern;

/**
 * Binds a figure to its unit. A no-break space stands between a number and kg or cm, as typography
 * asks, so that a line never ends between them; by it a screen also knows a quantity of ours from
 * what a coach has typed, and can show it in pounds or inches.
 */
public final class Bound {
  private static final String NO_BREAK = "\u00a0";
  private static final Pattern LOOSE = quantity(" ", "kg|cm");
  private static final Pattern BOUND_LENGTH = quantity(NO_BREAK, "cm");

  private Bound() {}

  /** A number, or a range of two, and its unit, with these spaces between them. */
  private static Pattern quantity(String space, String units) {
    String number = "(\\d+(?:\\.\\d+)?)";
    return Pattern.compile(
        number + "(?:" + space + "to" + space + number + ")?" + space + "(" + units + ")\\b");
  }

  /** The sentence with every number of kilograms or centimetres bound to its unit. */
  public static String quantities(String sentence) {
    return sentence.contains(" kg") || sentence.contains(" cm")
        ? said(LOOSE, sentence, UnaryOperator.identity(), UnaryOperator.identity())
        : sentence;
  }

  /** The sentence with its bound centimetres told in inches, to the tenth. */
  public static String inInches(String sentence) {
    return said(BOUND_LENGTH, sentence, Bound::inches, unit -> "in");
  }

  private static String said(
      Pattern quantity, String sentence, UnaryOperator<String> figure, UnaryOperator<String> unit) {
    return quantity
        .matcher(sentence)
        .replaceAll(
            found -> {
              String from = figure.apply(found.group(1));
              String to =
                  found.group(2) == null
                      ? ""
                      : NO_BREAK + "to" + NO_BREAK + figure.apply(found.group(2));
              return from + to + NO_BREAK + unit.apply(found.group(3));
            });
  }

  private static String inches(String cm) {
    return BigDecimal.valueOf(Double.parseDouble(cm) / 100 / Units.METRES_PER_INCH)
        .setScale(1, RoundingMode.HALF_UP)
        .stripTrailingZeros()
        .toPlainString();
  }
}
