package istmo.core.ranking.order;

import istmo.core.body.Cautions;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Exercise;
import istmo.core.catalogue.Improvisation;
import istmo.core.equipment.Equipment;
import istmo.core.mechanics.Analysis;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.brief.Weights;
import istmo.core.ranking.criterion.Admission;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.record.Experience;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Why a candidate takes no place in an order, and what can be done instead. */
final class Exclusions {
  private Exclusions() {}

  /** Why a candidate is left out; empty where it may be ranked. Health comes first. */
  static Optional<Order.Excluded> of(Brief brief, Candidate candidate, Evaluation evaluation) {
    Exercise exercise = candidate.exercise();
    Optional<Analysis> analysis =
        evaluation instanceof Evaluation.Computed computed
            ? Optional.of(computed.analysis())
            : Optional.empty();
    Optional<Cautions.Refusal> refusal = Admission.refusal(brief.cautions(), exercise, analysis);
    if (refusal.isPresent()) {
      Order.Kind kind = refusal.get().byPain() ? Order.Kind.PAIN : Order.Kind.CAUTION;
      return Optional.of(Order.Excluded.of(candidate, kind, refusal.get().why()));
    }
    Optional<Experience.HurtTooOften> hurts = brief.experience().out(candidate.id());
    if (hurts.isPresent()) {
      return Optional.of(Order.Excluded.of(candidate, Order.Kind.PAIN, hurts.get()));
    }
    return missing(brief, candidate, exercise)
        .or(() -> byPreset(brief, candidate, exercise))
        .or(() -> byBody(candidate, evaluation));
  }

  private static Optional<Order.Excluded> missing(
      Brief brief, Candidate candidate, Exercise exercise) {
    Set<Equipment> missing = brief.equipment().missing(candidate.needs());
    if (missing.isEmpty()) {
      return Optional.empty();
    }
    boolean home = brief.weights().preset() == Weights.Preset.HOME;
    return Optional.of(
        Order.Excluded.of(
            candidate,
            home ? Order.Kind.PRESET : Order.Kind.GYM,
            new OrderFact.NotHere(home, Equipment.names(missing))));
  }

  private static Optional<Order.Excluded> byPreset(
      Brief brief, Candidate candidate, Exercise exercise) {
    boolean beginner = brief.weights().preset() == Weights.Preset.BEGINNER;
    return beginner && exercise.family().part(candidate.usual()) < 0.99
        ? Optional.of(
            Order.Excluded.of(candidate, Order.Kind.PRESET, new OrderFact.PartRepetition()))
        : Optional.empty();
  }

  private static Optional<Order.Excluded> byBody(Candidate candidate, Evaluation evaluation) {
    if (evaluation instanceof Evaluation.OutOfReach outOfReach) {
      return Optional.of(
          Order.Excluded.of(
              candidate, Order.Kind.BODY, new OrderFact.BodyCannot(outOfReach.why())));
    }
    return evaluation instanceof Evaluation.NotComputedWellEnough notComputedWellEnough
        ? Optional.of(
            Order.Excluded.of(candidate, Order.Kind.NOT_COMPUTED, notComputedWellEnough.why()))
        : Optional.empty();
  }

  /** The same with what else to do here, and how it is improvised. */
  static Order.Excluded withSubstitute(
      Brief brief,
      Order.Excluded excluded,
      Evaluation evaluation,
      Map<Evaluation.Computed, Substitute.Shape> open) {
    Optional<Substitute> instead =
        evaluation instanceof Evaluation.Computed missing
            ? Substitute.of(missing, open, brief.school())
            : Optional.empty();
    Set<Equipment> lacking = brief.equipment().missing(evaluation.candidate().needs());
    return new Order.Excluded(
        excluded.candidateId(),
        excluded.name(),
        excluded.kind(),
        excluded.reason(),
        instead,
        Improvisation.instead(lacking, brief.equipment().items(), brief.body(), brief.cautions()));
  }
}
