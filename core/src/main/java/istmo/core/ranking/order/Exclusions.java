package istmo.core.ranking.order;

import istmo.core.body.Cautions;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.catalogue.Improvisation;
import istmo.core.mechanics.Analysis;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.brief.Weights;
import istmo.core.ranking.criterion.Admission;
import istmo.core.ranking.criterion.Evaluation;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Why a candidate takes no place in an order, and what can be done instead. */
final class Exclusions {
  private Exclusions() {}

  /** Why a candidate is left out; empty where it may be ranked. Health comes first. */
  static Optional<Order.Excluded> of(Brief brief, Candidate c, Evaluation evaluation) {
    Exercise x = Catalogue.standard().exerciseOf(c);
    Optional<Analysis> analysis =
        evaluation instanceof Evaluation.Computed computed
            ? Optional.of(computed.analysis())
            : Optional.empty();
    Optional<Cautions.Refusal> refusal = Admission.refusal(brief.cautions(), x, analysis);
    if (refusal.isPresent()) {
      Order.Kind kind = refusal.get().byPain() ? Order.Kind.PAIN : Order.Kind.CAUTION;
      return Optional.of(Order.Excluded.of(c, kind, refusal.get().reason()));
    }
    Optional<String> hurts = brief.experience().out(c.id());
    if (hurts.isPresent()) {
      return Optional.of(Order.Excluded.of(c, Order.Kind.PAIN, hurts.get()));
    }
    return missing(brief, c, x).or(() -> byPreset(brief, c, x)).or(() -> byBody(c, evaluation));
  }

  private static Optional<Order.Excluded> missing(Brief brief, Candidate c, Exercise x) {
    List<String> missing = brief.equipment().missing(x.needs());
    if (missing.isEmpty()) {
      return Optional.empty();
    }
    boolean home = brief.weights().preset() == Weights.Preset.HOME;
    return Optional.of(
        Order.Excluded.of(
            c,
            home ? Order.Kind.PRESET : Order.Kind.GYM,
            (home ? "Not at home: " : "Not here: ") + String.join(", ", missing) + "."));
  }

  private static Optional<Order.Excluded> byPreset(Brief brief, Candidate c, Exercise x) {
    boolean beginner = brief.weights().preset() == Weights.Preset.BEGINNER;
    return beginner && x.family().part(c.usual()) < 0.99
        ? Optional.of(
            Order.Excluded.of(
                c, Order.Kind.PRESET, "A part repetition: the whole is learnt first."))
        : Optional.empty();
  }

  private static Optional<Order.Excluded> byBody(Candidate c, Evaluation evaluation) {
    if (evaluation instanceof Evaluation.OutOfReach o) {
      return Optional.of(Order.Excluded.of(c, Order.Kind.BODY, o.reason()));
    }
    return evaluation instanceof Evaluation.NotComputedWellEnough n
        ? Optional.of(Order.Excluded.of(c, Order.Kind.NOT_COMPUTED, n.reason()))
        : Optional.empty();
  }

  /** The same with what else to do here, and how it is improvised. */
  static Order.Excluded withSubstitute(
      Brief brief,
      Order.Excluded x,
      Evaluation evaluation,
      Map<Evaluation.Computed, Substitute.Shape> open) {
    Optional<Substitute> instead =
        evaluation instanceof Evaluation.Computed missing
            ? Substitute.of(missing, open, brief.school())
            : Optional.empty();
    List<String> lacking =
        Catalogue.standard().exerciseOf(evaluation.candidate()).needs().stream()
            .filter(id -> !brief.equipment().items().contains(id))
            .toList();
    return new Order.Excluded(
        x.candidateId(),
        x.name(),
        x.kind(),
        x.reason(),
        instead,
        Improvisation.instead(lacking, brief.equipment().items(), brief.body(), brief.cautions()));
  }
}
