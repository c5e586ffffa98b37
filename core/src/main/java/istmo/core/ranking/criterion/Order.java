package istmo.core.ranking.criterion;

import istmo.core.catalogue.Improvisation;
import istmo.core.ranking.Ranked;
import istmo.core.training.LoadEstimate;
import java.util.List;
import java.util.Optional;

/**
 * The order for a brief.
 *
 * @param entries best first
 * @param firstPick the one to do, and what decided it; empty when nothing is left
 */
public record Order(List<Entry> entries, List<Excluded> excluded, Optional<FirstPick> firstPick) {
  /**
   * One strip.
   *
   * @param why sentences generated from the figures
   * @param costs what it costs, in a few words
   * @param limiter what gives out first, in a few words
   * @param load a first load, once a lift is known
   */
  public record Entry(Ranked ranked, Evaluation.Computed evaluation, List<String> why, String costs, String limiter, Optional<LoadEstimate> load) {}

  /** Why a candidate is not in the order. */
  public enum Kind {
    GYM,
    PAIN,
    CAUTION,
    BODY,
    NOT_COMPUTED
  }

  /**
   * @param instead what to do here instead, where only the equipment is missing
   * @param improvised how it is done here without it (common practice, not computed)
   */
  public record Excluded(String candidateId, String name, Kind kind, String reason, Optional<Substitute> instead, List<Improvisation> improvised) {}

  public record FirstPick(String candidateId, String decidedBy) {}
}
