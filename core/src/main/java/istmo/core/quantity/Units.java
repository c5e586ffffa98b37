package istmo.core.quantity;

/** What other units of mass, length and force are in SI units. All are exact by definition. */
public final class Units {
  /** International avoirdupois pound, kg (agreement of 1959). */
  public static final double KG_PER_POUND = 0.45359237;

  /** International inch, m (agreement of 1959). */
  public static final double METRES_PER_INCH = 0.0254;

  /** Standard gravity, m/s² (3rd General Conference on Weights and Measures, 1901). */
  public static final double STANDARD_GRAVITY = 9.80665;

  /** Pound-force, N. */
  public static final double POUND_FORCE_N = KG_PER_POUND * STANDARD_GRAVITY;

  private Units() {}
}
