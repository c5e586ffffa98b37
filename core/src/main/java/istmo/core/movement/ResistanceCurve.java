package istmo.core.movement;

import istmo.core.anatomy.MonotoneCurve;
import istmo.core.quantity.Allowed;
import java.util.ArrayList;
import java.util.List;

/**
 * How a stack's resistance changes over the travel of its lever: factors on the machine's mean lever at five lever angles, which equal the knee's bend where the pivot is in line with the knee. All one for a round pulley.
 */
public final class ResistanceCurve {
  /** Lever angles of the knots, deg of knee flexion. */
  public static final double[] KNOTS_DEG = {0, 30, 60, 90, 120};

  public static final Allowed FACTOR = new Allowed(0.2, 3, "");

  /** One parameter a knot: curve0, curve30 ... */
  public static final List<SetupParameter> PARAMETERS = parameters();

  private ResistanceCurve() {}

  /** Factor at a knee flexion, rad, by a curve through the five that does not overshoot; beyond the ends the end factor. */
  public static double factor(Setup setup, double kneeFlexionRad) {
    double[] y = new double[KNOTS_DEG.length];
    boolean flat = true;
    for (int k = 0; k < y.length; k++) {
      y[k] = setup.get(PARAMETERS.get(k));
      flat &= y[k] == y[0];
    }
    return flat ? y[0] : MonotoneCurve.through(KNOTS_DEG, y).value(Math.toDegrees(kneeFlexionRad));
  }

  private static List<SetupParameter> parameters() {
    List<SetupParameter> list = new ArrayList<>();
    for (double at : KNOTS_DEG) {
      list.add(new SetupParameter("curve" + (int) at, String.format(java.util.Locale.ROOT, "Resistance at %.0f° of knee bend", at), "", FACTOR, 1, 0.05, SetupParameter.Kind.MACHINE, List.of(), "against the machine's mean; measured with a hanging scale"));
    }
    return List.copyOf(list);
  }
}
