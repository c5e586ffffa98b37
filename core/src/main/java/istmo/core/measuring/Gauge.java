package istmo.core.measuring;

import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.Units;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * Kinds of measuring gadgets, the units that each may speak, and how still a reading has to be.
 * Values inside in N, deg and m.
 */
public enum Gauge {
  FORCE(
      "N",
      1.0,
      0.01,
      Map.of(
          "N",
          1.0,
          "kgf",
          Units.STANDARD_GRAVITY,
          "kg",
          Units.STANDARD_GRAVITY,
          "lbf",
          Units.POUND_FORCE_N,
          "lb",
          Units.POUND_FORCE_N)),
  ANGLE("deg", 0.5, 0, Map.of("deg", 1.0, "rad", 180 / Math.PI)),
  LENGTH("m", 0.002, 0, Map.of("m", 1.0, "cm", 0.01, "mm", 0.001, "in", Units.METRES_PER_INCH));

  private final String unit;
  private final double still;
  private final double stillShare;
  private final Map<String, Double> perUnit;

  Gauge(String unit, double still, double stillShare, Map<String, Double> perUnit) {
    this.unit = unit;
    this.still = still;
    this.stillShare = stillShare;
    this.perUnit = new LinkedHashMap<>(perUnit);
  }

  /** Unit inside. */
  public String unit() {
    return unit;
  }

  /**
   * A value in the gadget's unit as N, deg or m; kgf and lbf by standard gravity (ISO 80000-4), the
   * inch by definition.
   */
  public double inside(double value, String itsUnit) {
    Double factor = perUnit.get(itsUnit);
    if (factor == null) {
      throw new InvalidInput(
          "unit",
          "\""
              + itsUnit
              + "\" is not a unit of "
              + name().toLowerCase(java.util.Locale.ROOT)
              + "; known are "
              + perUnit.keySet().stream().sorted().toList());
    }
    if (!Double.isFinite(value)) {
      throw new InvalidInput("value", "must be a number");
    }
    return value * factor;
  }

  /** Largest standard deviation of a reading that counts as still, in the unit inside. */
  double stillness(double value) {
    return Math.max(still, stillShare * Math.abs(value));
  }
}
