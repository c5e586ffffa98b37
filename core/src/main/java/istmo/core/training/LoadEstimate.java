package istmo.core.training;

import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.Equipment.LoadKind;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Analysis;
import istmo.core.movement.Setup;
import java.util.Locale;
import java.util.Optional;

/**
 * A first load for an exercise: begin at the low end.
 *
 * @param lowKg and highKg: in steps that this place has; without an empty sled, with a bar
 * @param repetitions for which it is meant, two in reserve
 */
public record LoadEstimate(double lowKg, double highKg, String repetitions, String basis) {
  /**
   * Shares of the figure between which a first load is told. From this exercise's own lift, ten per
   * cent either way; from another through the model, which errs by about a quarter
   * (docs/validation.md, loads), never above its figure: a first load that is too light costs a set
   * (judgement).
   */
  private static final double[] FROM_ITSELF = {0.9, 1.1};

  private static final double[] FROM_MODEL = {0.6, 1.0};
  private static final double RESERVE = 2;

  /**
   * The estimate, or empty where no lift says enough: nothing calibrated, or a stack whose loads do
   * not compare.
   *
   * @param analysis of the candidate in this set-up on the calibrated body
   * @param share of a usual load that the client's cautions allow to begin with
   */
  public static Optional<LoadEstimate> of(
      Candidate candidate,
      Setup setup,
      Analysis analysis,
      Optional<Calibration> calibration,
      GymEquipment equipment,
      double share) {
    if (calibration.isEmpty()) {
      return Optional.empty();
    }
    Exercise x = Catalogue.standard().exerciseOf(candidate);
    Double own = calibration.get().maxima().get(candidate.id());
    boolean stack =
        x.needs().stream().anyMatch(item -> Equipment.get(item).load() == LoadKind.STACK);
    boolean measured =
        x.needs().stream().anyMatch(item -> equipment.measured(item, "pulley").isPresent());
    if (own == null && stack && !measured) {
      return Optional.empty();
    }
    double empty = Calibration.emptyKg(setup);
    double maximum = (own == null ? analysis.limitKg() : own) + empty;
    double middle = OneRepetition.load(maximum, middle(x.repetitions()) + RESERVE) * share;
    double[] between = own == null ? FROM_MODEL : FROM_ITSELF;
    double step = Math.max(0.5, equipment.smallestStepKg(x.needs()));
    double low = Math.max(0, Math.floor((middle * between[0] - empty) / step) * step);
    double high = Math.max(low, Math.floor((middle * between[1] - empty) / step) * step);
    String basis =
        own == null
            ? "by the model from another lift: 60 to 100 % of its figure, which errs by about a"
                + " quarter"
            : "from this exercise's own lift, ±10 %";
    return Optional.of(
        new LoadEstimate(
            low,
            high,
            x.repetitions(),
            share < 1
                ? basis + String.format(Locale.ROOT, "; %.0f %% of it to begin with", 100 * share)
                : basis));
  }

  /** Middle of a range such as "8-12". */
  static double middle(String repetitions) {
    String[] ends = repetitions.split("-");
    return ends.length == 1
        ? Double.parseDouble(ends[0])
        : 0.5 * (Double.parseDouble(ends[0]) + Double.parseDouble(ends[1]));
  }

  /**
   * The same estimate for another number of repetitions to the last possible one, in the same
   * steps.
   *
   * @param repetitions as it is told
   * @param emptyKg what moves besides the load
   */
  public LoadEstimate forRepetitions(
      double toFailure, String repetitions, double emptyKg, double stepKg) {
    double factor =
        OneRepetition.load(1, toFailure)
            / OneRepetition.load(1, middle(this.repetitions) + RESERVE);
    return new LoadEstimate(
        stepped(lowKg, factor, emptyKg, stepKg),
        stepped(highKg, factor, emptyKg, stepKg),
        repetitions,
        basis);
  }

  private static double stepped(double kg, double factor, double emptyKg, double stepKg) {
    double wished = (kg + emptyKg) * factor - emptyKg;
    return Math.max(0, stepKg > 0 ? Math.floor(wished / stepKg + 1e-9) * stepKg : wished);
  }
}
