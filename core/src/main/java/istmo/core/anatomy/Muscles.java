package istmo.core.anatomy;

import istmo.core.resource.TextTable;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The muscle table {@code anatomy/muscles.csv}, read and checked once. */
public final class Muscles {
  /**
   * Body mass and stature of the reference adult: mean of the group of Handsfield et al. (2014).
   */
  public static final double REFERENCE_MASS_KG = 71.9;

  public static final double REFERENCE_STATURE_M = 1.74;

  private static final double[] HIP_KNOTS = radians(-20, 0, 30, 60, 90, 110, 130);
  private static final double[] KNEE_KNOTS = radians(0, 15, 30, 45, 60, 75, 90, 110, 130, 145);
  private static final double[] ANKLE_KNOTS = radians(-50, -30, -15, 0, 15, 30, 50);
  private static final Muscles STANDARD = new Muscles();

  private final List<Muscle> all;
  private final Map<String, Integer> indexById = new LinkedHashMap<>();

  private Muscles() {
    all = TextTable.rows("anatomy/muscles.csv").stream().map(Muscles::parse).toList();
    for (int i = 0; i < all.size(); i++) {
      if (indexById.put(all.get(i).id(), i) != null) {
        throw new IllegalStateException("muscle " + all.get(i).id() + " stands twice");
      }
    }
  }

  /** The muscles of the model, read once. */
  public static Muscles standard() {
    return STANDARD;
  }

  /** Every muscle, in the order of its index. */
  public List<Muscle> all() {
    return all;
  }

  /** How many there are. */
  public int size() {
    return all.size();
  }

  /** Place of the muscle in {@link #all()}; throws for an unknown id. */
  public int indexOf(String id) {
    Integer index = indexById.get(id);
    if (index == null) {
      throw new IllegalArgumentException("no muscle " + id + "; there are " + indexById.keySet());
    }
    return index;
  }

  /** The muscle with this id; throws {@link IllegalArgumentException} when there is none. */
  public Muscle get(String id) {
    return all.get(indexOf(id));
  }

  private static Muscle parse(TextTable.Row row) {
    return new Muscle(
        row.get("id"),
        row.get("group"),
        row.get("label"),
        number(row, "volume") * 1e-6,
        number(row, "fibre") * 1e-2,
        Math.toRadians(number(row, "pennation")),
        number(row, "force"),
        number(row, "l0"),
        number(row, "kappa"),
        curve(row, "hipFlexion", HIP_KNOTS),
        curve(row, "hipAbduction", HIP_KNOTS),
        curve(row, "hipRotation", HIP_KNOTS),
        curve(row, "kneeFlexion", KNEE_KNOTS),
        curve(row, "ankleDorsiflexion", ANKLE_KNOTS),
        row.get("source"));
  }

  private static double number(TextTable.Row row, String column) {
    double v = Double.parseDouble(row.get(column));
    if (!(v > 0)) {
      throw new IllegalStateException(
          "muscle " + row.get("id") + ", " + column + ": " + v + " must be above 0");
    }
    return v;
  }

  private static Optional<MonotoneCurve> curve(TextTable.Row row, String column, double[] knots) {
    String cell = row.get(column);
    if (cell.isEmpty()) {
      return Optional.empty();
    }
    double[] arms =
        Arrays.stream(cell.split(";"))
            .mapToDouble(text -> Double.parseDouble(text) * 1e-2)
            .toArray();
    if (arms.length != knots.length) {
      throw new IllegalStateException(
          "muscle "
              + row.get("id")
              + ", "
              + column
              + ": "
              + arms.length
              + " values for "
              + knots.length
              + " knots");
    }
    return Optional.of(MonotoneCurve.through(knots, arms));
  }

  private static double[] radians(double... degrees) {
    return Arrays.stream(degrees).map(Math::toRadians).toArray();
  }
}
