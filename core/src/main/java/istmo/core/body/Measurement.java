package istmo.core.body;

import istmo.core.quantity.InvalidInput;
import java.time.LocalDate;

/**
 * One reading.
 *
 * @param value m, kg or deg, as the kind says
 */
public record Measurement(MeasurementKind kind, Side side, double value, LocalDate on) {
  /** Which side was measured. */
  public enum Side {
    LEFT,
    RIGHT,
    NONE
  }

  public Measurement {
    if (kind.twoSided() == (side == Side.NONE)) {
      throw new InvalidInput(
          "side",
          kind.twoSided()
              ? "say LEFT or RIGHT for " + kind.label()
              : kind.label() + " has no side");
    }
    if (!Double.isFinite(value)) {
      throw new InvalidInput("value", "must be a number");
    }
  }
}
