package istmo.core.quantity;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;

/** A closed range of allowed values, with its unit as shown to people. */
public record Allowed(double min, double max, String unit) {
  public Allowed {
    if (!(min <= max)) {
      throw new IllegalArgumentException("range " + min + " to " + max);
    }
  }

  /** Positive test, so that NaN fails by itself. */
  public boolean contains(double value) {
    return value >= min && value <= max;
  }

  /**
   * Returns the value, or throws {@link InvalidInput} naming the field, what was found and what is
   * allowed.
   */
  public double check(String field, double value) {
    if (!contains(value)) {
      throw new InvalidInput(
          field,
          number(value)
              + " is not within "
              + number(min)
              + " to "
              + number(max)
              + (unit.isEmpty() ? "" : " " + unit));
    }
    return value;
  }

  /**
   * The same check, with the fault added to a list instead of thrown, so that all of them can be
   * told at once.
   */
  public void check(List<InvalidInput.Fault> faults, String field, double value) {
    try {
      check(field, value);
    } catch (InvalidInput e) {
      faults.addAll(e.faults());
    }
  }

  /** The allowed value nearest to this one: for estimates only, never for what a person entered. */
  public double nearest(double value) {
    return Math.max(min, Math.min(max, value));
  }

  private static String number(double v) {
    return Double.isFinite(v)
        ? new BigDecimal(v).round(new MathContext(4)).stripTrailingZeros().toPlainString()
        : String.valueOf(v);
  }
}
