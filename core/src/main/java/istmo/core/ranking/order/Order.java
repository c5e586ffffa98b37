package istmo.core.ranking.order;

import istmo.core.anatomy.RegionValues;
import istmo.core.catalogue.Improvisation;
import istmo.core.evidence.Posterior;
import istmo.core.ranking.Ranked;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.training.LoadEstimate;
import java.util.List;
import java.util.Optional;

/**
 * The order for a brief.
 *
 * @param entries best first
 * @param firstPick the one to do, and what decided it; empty when nothing is left
 * @param together the best two and the best three together, where there are as many exercises
 * @param learning exercises in an order to learn them in, for a beginner; empty otherwise
 * @param notes what the preset did to the order, in words
 */
public record Order(
    List<Entry> entries,
    List<Excluded> excluded,
    Optional<FirstPick> firstPick,
    List<Together> together,
    List<String> learning,
    List<String> notes) {
  /**
   * One strip.
   *
   * @param stimulus by region id, by mechanics and studies together; what mechanics alone says is
   *     in the evaluation
   * @param studies the findings that move it most for the region most aimed at, greatest first
   * @param why sentences generated from the figures
   * @param raise what would move it up, in words
   * @param costs what it costs, in a few words
   * @param limiter what gives out first, in a few words
   * @param load a first load, once a lift is known
   */
  public record Entry(
      Ranked ranked,
      Evaluation.Computed evaluation,
      RegionValues stimulus,
      List<Posterior.Influence> studies,
      List<String> why,
      List<String> raise,
      String costs,
      String limiter,
      Optional<LoadEstimate> load) {}

  /** Why a candidate is not in the order. */
  public enum Kind {
    GYM,
    PAIN,
    CAUTION,
    BODY,
    /** another station, or not at home */
    PRESET,
    NOT_COMPUTED
  }

  /**
   * A candidate that is left out, and why.
   *
   * @param instead what to do here instead, where only the equipment is missing
   * @param improvised how it is done here without it (common practice, not computed)
   */
  public record Excluded(
      String candidateId,
      String name,
      Kind kind,
      String reason,
      Optional<Substitute> instead,
      List<Improvisation> improvised) {}

  /** The first strip, and what decided between it and those that the model cannot tell from it. */
  public record FirstPick(String candidateId, String decidedBy) {}
}
