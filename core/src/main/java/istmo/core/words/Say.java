package istmo.core.words;

import istmo.core.body.Measurement.Side;
import istmo.core.quantity.Bound;
import java.util.Locale;

/** How figures and names stand in a sentence. */
final class Say {
  private Say() {}

  /** A pattern with its figures, always with a decimal point, each bound to its unit. */
  static String say(String pattern, Object... figures) {
    return Bound.quantities(String.format(Locale.ROOT, pattern, figures));
  }

  /** A figure with at most four digits and no zeros at its end: 62.5, 60. */
  static String trimmed(double v) {
    return v == Math.rint(v)
        ? String.valueOf((long) v)
        : say("%.4g", v).replaceAll("0+$", "").replaceAll("\\.$", "");
  }

  /** The coach's name of a region. */
  static String side(Side side) {
    return side == Side.LEFT ? "left" : "right";
  }

  static String capital(String text) {
    return Character.toUpperCase(text.charAt(0)) + text.substring(1);
  }

  /** "session", or "sessions" where there is not one. */
  static String of(int count, String what) {
    return count == 1 ? what : what + "s";
  }
}
