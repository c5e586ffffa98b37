package istmo.core.movement;

import istmo.core.quantity.Allowed;
import java.util.List;

/**
 * One thing that can be moved in a set-up.
 *
 * @param id name in set-ups and at the API
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

  public SetupParameter {
    choices = List.copyOf(choices);
    allowed.check(id, usual);
  }

  /** A parameter that is set by degrees, and that a search moves. */
  public static SetupParameter of(
      String id, String label, Allowed allowed, double usual, double step, Kind kind, String note) {
    return new SetupParameter(id, label, allowed, usual, step, kind, List.of(), note, true);
  }

  /** A choice among some: its value is the place among them, from 0. */
  public static SetupParameter choice(
      String id, String label, double usual, Kind kind, String note, String... choices) {
    Allowed places = new Allowed(0, choices.length - 1, "");
    return new SetupParameter(id, label, places, usual, 1, kind, List.of(choices), note, true);
  }

  /** Unit of the values: m, deg or kg; empty for shares and choices. */
  public String unit() {
    return allowed.unit();
  }

  /** The same parameter with more said about it. */
  public SetupParameter noted(String more) {
    return new SetupParameter(
        id, label, allowed, usual, step, kind, choices, note + "; " + more, searched);
  }

  /** The same parameter, which no search moves. */
  public SetupParameter notSearched() {
    return new SetupParameter(id, label, allowed, usual, step, kind, choices, note, false);
  }

  /** The same parameter, which goes no further up than a value. */
  public SetupParameter upTo(double value) {
    Allowed narrower = new Allowed(allowed.min(), allowed.check(id, value), allowed.unit());
    return new SetupParameter(id, label, narrower, usual, step, kind, choices, note, searched);
  }

  /** The same parameter with another usual value. */
  public SetupParameter usually(double value) {
    return new SetupParameter(id, label, allowed, value, step, kind, choices, note, searched);
  }

  /**
   * A value as it is read, in its own unit: to half a centimetre, a degree, a tenth of a kilogram,
   * a hundredth.
   */
  public double shown(double value) {
    return switch (unit()) {
      case "m" -> Math.round(200 * value) / 200.0;
      case "deg" -> Math.rint(value);
      case "kg" -> Math.round(10 * value) / 10.0;
      default -> Math.round(100 * value) / 100.0;
    };
  }
}
