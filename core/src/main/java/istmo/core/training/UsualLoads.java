package istmo.core.training;

import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Catalogue;
import istmo.core.quantity.Required;
import istmo.core.resource.TextTable;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What lifters usually handle beside their own back squat (common practice, {@code
 * training/loads.csv}), and above what share of body mass nobody begins.
 */
final class UsualLoads {
  /** Half-width of an interval that holds eight of ten, in standard deviations. */
  static final double Z80 = 1.2816;

  /** A natural logarithm of a load in kg, known to a standard deviation. */
  record Known(double ln, double sd) {
    /** The precision-weighted mean of two that are independent. */
    Known with(Known other) {
      double a = 1 / (sd * sd);
      double b = 1 / (other.sd * other.sd);
      return new Known((a * ln + b * other.ln) / (a + b), Math.sqrt(1 / (a + b)));
    }
  }

  private record Ratio(double ln, double sd, OptionalDouble cap) {}

  private static final Map<CandidateId, Ratio> RATIOS = read();

  private UsualLoads() {}

  private static Map<CandidateId, Ratio> read() {
    Map<CandidateId, Ratio> ratios = new HashMap<>();
    for (TextTable.Row row : TextTable.rows("training/loads.csv")) {
      CandidateId id = Catalogue.standard().candidate(row.get("candidate")).id();
      double low = logarithm(row, "low");
      double high = logarithm(row, "high");
      OptionalDouble cap =
          row.get("cap").isBlank()
              ? OptionalDouble.empty()
              : OptionalDouble.of(Double.parseDouble(row.get("cap")));
      ratios.put(id, new Ratio(0.5 * (low + high), 0.5 * (high - low) / Z80, cap));
    }
    return ratios;
  }

  private static double logarithm(TextTable.Row row, String column) {
    double ratio = Double.parseDouble(row.get(column));
    if (!(ratio > 0)) {
      throw new IllegalStateException(
          "loads.csv, " + row.get("candidate") + ": " + column + " must be above 0");
    }
    return Math.log(ratio);
  }

  /**
   * What this lifter would usually handle in one repetition of a candidate, from known largest
   * loads of others; empty where practice says nothing of it or of any of them.
   */
  static Optional<Known> beside(CandidateId candidateId, Map<CandidateId, Double> maximaKg) {
    Ratio wanted = RATIOS.get(candidateId);
    if (wanted == null) {
      return Optional.empty();
    }
    return maximaKg.entrySet().stream()
        .filter(entry -> RATIOS.containsKey(entry.getKey()) && entry.getValue() > 0)
        .map(
            entry -> {
              Ratio known = Required.entry(RATIOS, entry.getKey());
              return new Known(
                  Math.log(entry.getValue()) - known.ln() + wanted.ln(),
                  Math.hypot(known.sd(), wanted.sd()));
            })
        .reduce(Known::with);
  }

  /** Most that anybody begins with, kg; empty where body mass sets no limit. */
  static OptionalDouble capKg(CandidateId candidateId, double bodyMassKg) {
    Ratio ratio = RATIOS.get(candidateId);
    return ratio == null || ratio.cap().isEmpty()
        ? OptionalDouble.empty()
        : OptionalDouble.of(ratio.cap().getAsDouble() * bodyMassKg);
  }
}
