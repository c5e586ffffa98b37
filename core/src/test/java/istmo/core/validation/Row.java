package istmo.core.validation;

import java.util.Locale;

/**
 * One check against the outside world: what a source says, what the model says, and whether they
 * agree.
 */
record Row(String id, String what, String source, String expected, String computed, boolean hit) {
  static Row within(
      String id, String what, String source, double low, double high, double value, String unit) {
    return new Row(
        id,
        what,
        source,
        String.format(Locale.ROOT, "%s to %s %s", number(low), number(high), unit).trim(),
        String.format(Locale.ROOT, "%s %s", number(value), unit).trim(),
        value >= low && value <= high);
  }

  /** Expected {@code a > b} by at least a tenth, unless the words say otherwise. */
  static Row more(String id, String what, String source, double a, double b) {
    return new Row(
        id,
        what,
        source,
        "more",
        String.format(Locale.ROOT, "%s against %s", number(a), number(b)),
        a > 1.1 * b);
  }

  static Row alike(String id, String what, String source, double a, double b) {
    return new Row(
        id,
        what,
        source,
        "alike (within a fifth)",
        String.format(Locale.ROOT, "%s against %s", number(a), number(b)),
        Math.abs(a - b) <= 0.2 * Math.max(Math.abs(a), Math.abs(b))
            || Math.max(Math.abs(a), Math.abs(b)) < 0.1);
  }

  static Row holds(
      String id, String what, String source, String expected, String computed, boolean hit) {
    return new Row(id, what, source, expected, computed, hit);
  }

  /** A ratio to next to nothing has no digits that mean anything. */
  static String number(double v) {
    if (Math.abs(v) > 1e6) {
      return "over a million";
    }
    return Math.abs(v) >= 100 || Math.abs(v) >= 20 && Math.abs(v - Math.rint(v)) < 0.005
        ? String.format(Locale.ROOT, "%.0f", v)
        : Math.abs(v) >= 10
            ? String.format(Locale.ROOT, "%.1f", v)
            : Math.abs(v) >= 1
                ? String.format(Locale.ROOT, "%.2f", v)
                : String.format(Locale.ROOT, "%.3f", v);
  }

  String markdown() {
    return "| "
        + id
        + " | "
        + what
        + " | "
        + source
        + " | "
        + expected
        + " | "
        + computed
        + " | "
        + (hit ? "hit" : "**miss**")
        + " |";
  }
}
