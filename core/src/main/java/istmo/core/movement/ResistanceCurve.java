package istmo.core.movement;

import istmo.core.anatomy.MonotoneCurve;
import istmo.core.quantity.Allowed;
import java.util.ArrayList;
import java.util.List;

/**
 * How a stack's resistance changes over the travel of its lever: factors on the machine's mean
 * lever at five lever angles, which equal the knee's bend where the pivot is in line with the knee.
 * All one for a round pulley.
 *
 * <p>Until a machine is measured its cam is taken to go half of the way from a round pulley to the
 * strength of those who use it: (1 + isometric curve over its greatest) / 2, with the curves of
 * Anderson et al. (2007) for men of 18 to 25, from memory, to the nearest twentieth. Machines are
 * built to follow strength and differ in how far they do; half is an own assumption.
 */
public final class ResistanceCurve {
  private static final double[] KNOTS_DEG = {0, 30, 60, 90, 120};

  public static final Allowed FACTOR = new Allowed(0.2, 3, "");

  /** One parameter a knot: curve0, curve30 ...; for a round pulley. */
  private static final List<SetupParameter> PARAMETERS = parameters();

  /** The same with a generic cam of a leg extension. */
  public static final List<SetupParameter> EXTENSION = generic(0.55, 0.85, 1, 0.95, 0.7);

  /** The same with a generic cam of a leg curl. */
  public static final List<SetupParameter> CURL = generic(0.95, 1, 0.95, 0.8, 0.6);

  /** Lever angles of the knots, deg of knee flexion. */
  public static double[] knotsDeg() {
    return KNOTS_DEG.clone();
  }

  private ResistanceCurve() {}

  /**
   * Factor at a knee flexion, rad, by a curve through the five that does not overshoot; beyond the
   * ends the end factor.
   */
  public static double factor(Setup setup, double kneeFlexionRad) {
    double[] y = new double[KNOTS_DEG.length];
    boolean flat = true;
    for (int k = 0; k < y.length; k++) {
      y[k] = setup.get(PARAMETERS.get(k));
      flat &= y[k] == y[0];
    }
    return flat ? y[0] : MonotoneCurve.through(KNOTS_DEG, y).value(Math.toDegrees(kneeFlexionRad));
  }

  private static List<SetupParameter> generic(double... factors) {
    List<SetupParameter> list = new ArrayList<>();
    for (int k = 0; k < factors.length; k++) {
      list.add(PARAMETERS.get(k).usually(factors[k]));
    }
    return List.copyOf(list);
  }

  private static List<SetupParameter> parameters() {
    List<SetupParameter> list = new ArrayList<>();
    for (double at : KNOTS_DEG) {
      list.add(
          SetupParameter.of(
              "curve" + (int) at,
              "Resistance at " + (int) at + "° of knee bend",
              FACTOR,
              1,
              0.05,
              SetupParameter.Kind.MACHINE,
              "against the machine's mean; measured with a hanging scale"));
    }
    return List.copyOf(list);
  }
}
