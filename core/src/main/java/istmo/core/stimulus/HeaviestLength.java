package istmo.core.stimulus;

import istmo.core.anatomy.Region;
import istmo.core.mechanics.Analysis;
import istmo.core.mechanics.AnalysisPoint;
import java.util.Comparator;

/** At which fibre length a muscle pulls hardest in a repetition. */
public enum HeaviestLength {
  NOTHING("nothing"),
  HELD("held at one length"),
  SHORT("short"),
  NEAR_BEST("near its best length"),
  LONG("long");

  /** Fibre length over optimal fibre length from which a muscle is called long, or short. */
  private static final double LONG_ABOVE = 1.1;

  private static final double SHORT_BELOW = 0.9;

  /** Weighted tension, as a share of the greatest, under which a muscle does nothing here. */
  private static final double NOTHING_BELOW = 0.02;

  private final String label;

  HeaviestLength(String label) {
    this.label = label;
  }

  /** Words as in "where it is long". */
  public String label() {
    return label;
  }

  /** The point of the repetition at which a muscle's tension counts most for a school. */
  public static AnalysisPoint peak(Analysis analysis, School school, int muscle) {
    return analysis.points().stream()
        .max(Comparator.comparingDouble(point -> Stimulus.tension(point, school, muscle)))
        .orElseThrow();
  }

  /** At which length a muscle's tension counts most for a school. */
  public static HeaviestLength of(Analysis analysis, School school, int muscle) {
    AnalysisPoint peak = peak(analysis, school, muscle);
    if (Stimulus.tension(peak, school, muscle) < NOTHING_BELOW) {
      return NOTHING;
    }
    return muscle == Region.ERECTORS.muscleIndex() ? HELD : at(peak.fibreLength()[muscle]);
  }

  /** What a fibre length over the optimal one is called: short, near its best, or long. */
  public static HeaviestLength at(double length) {
    return length > LONG_ABOVE ? LONG : length < SHORT_BELOW ? SHORT : NEAR_BEST;
  }
}
