package istmo.core.evidence;

import istmo.core.anatomy.Region;
import istmo.core.catalogue.Catalogue;
import istmo.core.quantity.Required;
import istmo.core.resource.TextTable;
import istmo.core.stimulus.School;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The reference table {@code evidence/reference.txt}: stimulus of every candidate, study condition
 * and side of a claim on a reference body, and its change with each unknown. Calculated by {@link
 * ReferenceCalculation}; a test says when it is stale. That a client's stimulus changes with an
 * unknown as the reference body's does is a first-order approximation, tested against full draws
 * (docs/validation.md).
 */
public final class Reference {
  private static final int REGIONS = Region.values().length;
  private static final Reference STANDARD = new Reference();

  private record Row(double[][] corners, double[][][] change) {}

  private final Map<String, Row> rows = new LinkedHashMap<>();

  private Reference() {
    Map<String, Integer> unknownIndex = new LinkedHashMap<>();
    Unknown.all().forEach(unknown -> unknownIndex.put(unknown.id(), unknownIndex.size()));
    for (String line : TextTable.lines("evidence/reference.txt")) {
      if (line.isBlank() || line.startsWith("#")) {
        continue;
      }
      String[] part = line.split("\\|", -1);
      boolean base = part[1].isEmpty();
      Row row =
          rows.computeIfAbsent(
              part[0],
              key ->
                  new Row(
                      new double[ReferenceCalculation.CORNERS.length][REGIONS],
                      new double[ReferenceCalculation.SLOPES.length][REGIONS]
                          [unknownIndex.size()]));
      for (String cell : part[2].split(", ")) {
        String[] kv = cell.split(" ");
        int r = Region.of(kv[0]).ordinal();
        String[] values = kv[1].split("/");
        for (int s = 0; s < values.length; s++) {
          double v = Double.parseDouble(values[s]);
          if (base) {
            row.corners()[s][r] = v;
          } else {
            row.change()[s][r][Required.entry(unknownIndex, part[1])] = v / 100;
          }
        }
      }
    }
  }

  /** The reference table of the core's resources, read once. */
  public static Reference standard() {
    return STANDARD;
  }

  /** Whether the table has a point of this key. */
  public boolean has(String key) {
    return rows.containsKey(key);
  }

  /** Stimulus on the reference body in the order of the regions, by a school. */
  double[] stimulus(String key, School school) {
    double[][] c = row(key).corners();
    double b = school.lengthBias();
    double w = school.passiveWeight();
    double[] result = new double[REGIONS];
    for (int r = 0; r < REGIONS; r++) {
      result[r] =
          Math.max(
              0,
              (1 - b) * (1 - w) * c[0][r]
                  + b * (1 - w) * c[1][r]
                  + (1 - b) * w * c[2][r]
                  + b * w * c[3][r]);
    }
    return result;
  }

  /**
   * Change of ln(stimulus + floor) by one standard deviation of each unknown: [region][unknown].
   * Between the schools of the table it is interpolated by length bias.
   */
  double[][] change(String key, School school) {
    double[][][] c = row(key).change();
    double at = Math.max(-1, Math.min(1, school.lengthBias()));
    int low = at < 0 ? 0 : 1;
    double share = at < 0 ? at + 1 : at;
    double[][] result = new double[REGIONS][Unknown.all().size()];
    for (int r = 0; r < REGIONS; r++) {
      for (int u = 0; u < result[r].length; u++) {
        result[r][u] = (1 - share) * c[low][r][u] + share * c[low + 1][r][u];
      }
    }
    return result;
  }

  /**
   * The key whose changes stand for a point that the table does not hold: the nearest candidate of
   * its exercise that it does; empty where it holds none.
   */
  Optional<String> nearest(Point point) {
    if (has(point.key())) {
      return Optional.of(point.key());
    }
    List<Point> siblings =
        new ArrayList<>(
            Catalogue.standard().candidatesOf(point.exercise()).stream()
                .map(Point::of)
                .filter(known -> has(known.key()))
                .toList());
    return siblings.stream()
        .min(
            java.util.Comparator.<Point>comparingDouble(point::squaredDistance)
                .thenComparing(Point::key))
        .map(Point::key);
  }

  private Row row(String key) {
    Row row = rows.get(key);
    if (row == null) {
      throw new IllegalArgumentException("the reference table does not hold \"" + key + "\"");
    }
    return row;
  }
}
