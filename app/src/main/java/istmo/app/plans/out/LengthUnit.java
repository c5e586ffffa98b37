package istmo.app.plans.out;

import istmo.core.quantity.Bound;
import istmo.core.quantity.InvalidInput;

/** Unit in which lengths are written on a sheet. */
public enum LengthUnit {
  CM,
  IN;

  /** The unit of this label; throws {@code InvalidInput} when there is none. */
  public static LengthUnit get(String label) {
    return switch (label) {
      case "cm" -> CM;
      case "in" -> IN;
      default -> throw new InvalidInput("length", "is cm or in");
    };
  }

  /** A sentence of the core in this unit. */
  String told(String sentence) {
    return this == CM ? sentence : Bound.inInches(sentence);
  }
}
