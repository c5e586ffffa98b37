package istmo.core.movement;

import istmo.core.quantity.Allowed;
import java.util.List;

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
 * @param searched whether a search for a better set-up moves it; not where it bounds what the model
 *     may use, says how weight is shared and pushed, or is gear: those have defaults that a search
 *     would only exploit
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
    String note,
    boolean searched) {
  /** Who decides a parameter. */
  public enum Kind {
    SETUP,
    TECHNIQUE,
    MACHINE
  }

  /** A parameter that a search moves. */
  public SetupParameter(
      String id,
      String label,
      String unit,
      Allowed allowed,
      double usual,
      double step,
      Kind kind,
      List<String> choices,
      String note) {
    this(id, label, unit, allowed, usual, step, kind, choices, note, true);
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
        id, label, unit, allowed, usual, step, kind, choices, note + "; " + more, searched);
  }

  /** The same parameter, which no search moves. */
  public SetupParameter notSearched() {
    return new SetupParameter(id, label, unit, allowed, usual, step, kind, choices, note, false);
  }

  /** The same parameter with another usual value. */
  public SetupParameter usually(double value) {
    return new SetupParameter(id, label, unit, allowed, value, step, kind, choices, note, searched);
  }

  /**
   * A value as it is read, in its own unit: to half a centimetre, a degree, a tenth of a kilogram,
   * a hundredth.
   */
  public double shown(double value) {
    return switch (unit) {
      case "m" -> Math.round(200 * value) / 200.0;
      case "deg" -> Math.rint(value);
      case "kg" -> Math.round(10 * value) / 10.0;
      default -> Math.round(100 * value) / 100.0;
    };
  }
}
