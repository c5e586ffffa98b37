package istmo.core.training;

import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.Equipment.LoadKind;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Analysis;
import istmo.core.movement.Setup;
import istmo.core.quantity.Fact;
import java.util.Optional;

/**
 * A first load for an exercise: begin at the low end.
 *
 * @param lowKg and highKg: in steps that this place has; without an empty sled, with a bar
 * @param repetitions for which it is meant, two in reserve
 * @param basis what it rests on; {@code words.PlanWords} says it
 */
public record LoadEstimate(double lowKg, double highKg, String repetitions, Basis basis) {
  /** Where a first load comes from. */
  public enum From {
    OWN_LIFT,
    MODEL_AND_USUAL,
    MODEL
  }

  /**
   * What a first load rests on.
   *
   * @param share of it that the client's cautions allow to begin with, 1 for all of it
   */
  public record Basis(From from, double share) implements Fact {}

  /** From this exercise's own lift, ten per cent either way holds eight of ten. */
  private static final double FROM_ITSELF = 0.1;

  /**
   * Standard deviation of the model's figure from another lift: a quarter between bars and more to
   * machines whose levers are generic (docs/validation.md, loads).
   */
  private static final double MODEL_SD = 0.35;

  private static final double RESERVE = 2;

  /**
   * The estimate, or empty where no lift says enough: nothing calibrated, or a stack whose loads do
   * not compare; and where nothing is loaded.
   *
   * @param analysis of the candidate in this set-up on the calibrated body
   * @param bodyMassKg the client's
   * @param share of a usual load that the client's cautions allow to begin with
   */
  public static Optional<LoadEstimate> of(
      Candidate candidate,
      Setup setup,
      Analysis analysis,
      Optional<Calibration> calibration,
      GymEquipment equipment,
      double bodyMassKg,
      double share) {
    if (calibration.isEmpty()) {
      return Optional.empty();
    }
    Exercise exercise = candidate.exercise();
    Double own = calibration.get().maxima().get(candidate.id());
    boolean stack = candidate.needs().stream().anyMatch(item -> item.load() == LoadKind.STACK);
    boolean measured =
        candidate.needs().stream().anyMatch(item -> equipment.measured(item, "pulley").isPresent());
    if (own == null && stack && !measured) {
      return Optional.empty();
    }
    double empty = Calibration.emptyKg(setup);
    double step = Math.max(0.5, equipment.smallestStepKg(candidate.needs()));
    double toFailure = middle(exercise.repetitions()) + RESERVE;
    double heaviest =
        equipment
            .heaviestWeightKg(candidate.needs(), exercise.oneWeight())
            .orElse(Double.POSITIVE_INFINITY);
    if (heaviest == 0) {
      return Optional.empty();
    }
    double cap =
        own == null
            ? Math.min(
                heaviest,
                UsualLoads.capKg(candidate.id(), bodyMassKg).orElse(Double.POSITIVE_INFINITY))
            : heaviest;
    UsualLoads.Known known =
        own == null
            ? fromOthers(candidate, analysis, calibration.get())
            : new UsualLoads.Known(Math.log(Math.max(1e-3, own)), FROM_ITSELF / UsualLoads.Z80);
    double spread = UsualLoads.Z80 * known.sd();
    double low = told(known.ln() - spread, empty, toFailure, share, cap, step);
    double top = own == null ? known.ln() : known.ln() + spread;
    double high = Math.max(low, told(top, empty, toFailure, share, cap, step));
    From from =
        own != null
            ? From.OWN_LIFT
            : UsualLoads.beside(candidate.id(), calibration.get().maxima()).isPresent()
                ? From.MODEL_AND_USUAL
                : From.MODEL;
    return Optional.of(
        new LoadEstimate(low, high, exercise.repetitions(), new Basis(from, Math.min(1, share))));
  }

  /** The model's figure and the usual one beside known lifts, each as sure as it is. */
  private static UsualLoads.Known fromOthers(
      Candidate candidate, Analysis analysis, Calibration calibration) {
    UsualLoads.Known model =
        new UsualLoads.Known(Math.log(Math.max(1, analysis.limitKg())), MODEL_SD);
    return UsualLoads.beside(candidate.id(), calibration.maxima()).map(model::with).orElse(model);
  }

  /**
   * A load as told: of a largest one, for repetitions, within a cap, rounded down to a step, kg.
   */
  private static double told(
      double lnMaximum, double empty, double toFailure, double share, double cap, double step) {
    double maximum = Math.exp(lnMaximum) + empty;
    double load = OneRepetition.load(maximum, toFailure) * share - empty;
    return Math.max(0, Math.floor(Math.min(load, cap) / step) * step);
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
