package istmo.core.movement;

import istmo.core.quantity.Allowed;
import java.util.List;
import java.util.Locale;

/**
 * One thing that can be moved in a set-up.
 *
 * @param id name in set-ups and at the API
 * @param unit m, deg, kg, or "" for a ratio or a choice; values stand in this unit
 * @param usual value when nothing is said
 * @param step a natural step for a person who moves it, same unit
 * @param kind who decides it: the lifter's set-up, the lifter's technique, or the machine
 * @param choices names of the values 0, 1, 2 ... when it is a choice, otherwise empty
 * @param note what it means and from where it is measured
 */
public record SetupParameter(
    String id,
    String label,
    String unit,
    Allowed allowed,
    double usual,
    double step,
    Kind kind,
    List<String> choices,
    String note) {
  /** Who decides a parameter. */
  public enum Kind {
    SETUP,
    TECHNIQUE,
    MACHINE
  }

  public SetupParameter {
    choices = List.copyOf(choices);
    allowed.check(id, usual);
  }

  static SetupParameter of(
      String id,
      String label,
      String unit,
      double min,
      double max,
      double usual,
      double step,
      Kind kind,
      String note) {
    return new SetupParameter(
        id, label, unit, new Allowed(min, max, unit), usual, step, kind, List.of(), note);
  }

  static SetupParameter choice(
      String id, String label, double usual, Kind kind, String note, String... choices) {
    return new SetupParameter(
        id,
        label,
        "",
        new Allowed(0, choices.length - 1, ""),
        usual,
        1,
        kind,
        List.of(choices),
        note);
  }

  /** The same parameter with more said about it. */
  public SetupParameter noted(String more) {
    return new SetupParameter(
        id, label, unit, allowed, usual, step, kind, choices, note + "; " + more);
  }

  /** The same parameter with another usual value. */
  public SetupParameter usually(double value) {
    return new SetupParameter(id, label, unit, allowed, value, step, kind, choices, note);
  }

  /**
   * A value in a coach's words: centimetres to the half, whole degrees, the name of a choice, a
   * share in per cent.
   */
  public String words(double value) {
    if (!choices.isEmpty()) {
      return choices.get((int) Math.round(value));
    }
    return switch (unit) {
      case "m" -> trimmed(Math.round(200 * value) / 2.0) + " cm";
      case "deg" -> String.format(Locale.ROOT, "%.0f°", value);
      case "kg" -> trimmed(Math.round(10 * value) / 10.0) + " kg";
      default -> String.format(Locale.ROOT, "%.0f %%", 100 * value);
    };
  }

  private static String trimmed(double v) {
    return v == Math.rint(v) ? String.valueOf((long) v) : String.valueOf(v);
  }
}
