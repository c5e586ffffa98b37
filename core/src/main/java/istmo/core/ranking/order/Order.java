package istmo.core.ranking.order;

import istmo.core.anatomy.RegionValues;
import istmo.core.catalogue.ByWord;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Improvisation;
import istmo.core.evidence.Posterior;
import istmo.core.quantity.Fact;
import istmo.core.ranking.Ranked;
import istmo.core.ranking.criterion.Evaluation;
import istmo.core.ranking.explanation.Reason;
import istmo.core.training.LoadEstimate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The order for a brief.
 *
 * @param entries one for each exercise, its best variant, best first
 * @param hardly what is here and hardly trains what is aimed at, one for each exercise; no places
 * @param shortage says first that nothing here trains the aim well; empty where something does
 * @param firstPick the one to do, and what decided it; empty when nothing is left
 * @param together the best two and the best three together, where there are as many exercises
 * @param learning exercises in an order to learn them in, for a beginner; empty otherwise
 * @param notes what the preset did to the order
 */
public record Order(
    List<Entry> entries,
    List<Entry> hardly,
    Optional<Shortage> shortage,
    List<Excluded> excluded,
    Optional<FirstPick> firstPick,
    List<Together> together,
    List<CandidateId> learning,
    List<OrderFact> notes) {
  /** Every candidate that is here, those with a place first. */
  public List<Entry> all() {
    return Stream.of(entries, hardly)
        .flatMap(List::stream)
        .flatMap(entry -> Stream.concat(Stream.of(entry), entry.variants().stream()))
        .toList();
  }

  /**
   * Nothing here trains the aim well.
   *
   * @param elsewhere candidates that would, best first, with what they need
   * @param improvised how it is done here without a machine (common practice, not computed)
   */
  public record Shortage(List<Elsewhere> elsewhere, List<Improvisation> improvised) {
    /** What is to be said first. */
    public OrderFact fact() {
      return new OrderFact.NothingTrainsThis(elsewhere);
    }
  }

  /** A candidate that another place would have, and what it needs. */
  public record Elsewhere(CandidateId candidateId, String name, List<String> needs) {}

  /**
   * One strip.
   *
   * @param stimulus by region id, by mechanics and studies together; what mechanics alone says is
   *     in the evaluation
   * @param studies the findings that move it most for the region most aimed at, greatest first
   * @param why it stands where it does
   * @param raise what would move it up
   * @param costs what it costs
   * @param limiter the group that gives out first, or the first two; none where nothing does
   * @param load a first load, once a lift is known
   * @param variants the same exercise in its other set-ups, best first
   */
  public record Entry(
      Ranked ranked,
      Evaluation.Computed evaluation,
      RegionValues stimulus,
      List<Posterior.Influence> studies,
      List<Fact> why,
      List<Reason> raise,
      Reason.Costs costs,
      List<String> limiter,
      Optional<LoadEstimate> load,
      List<Entry> variants) {
    /** The candidate's id. */
    public CandidateId id() {
      return evaluation.candidate().id();
    }

    Entry with(List<Entry> others) {
      return new Entry(
          ranked, evaluation, stimulus, studies, why, raise, costs, limiter, load, others);
    }

    Entry beginningWith(Reason reason) {
      List<Fact> more = new ArrayList<>(List.of(reason));
      more.addAll(why);
      return new Entry(
          ranked, evaluation, stimulus, studies, more, raise, costs, limiter, load, variants);
    }
  }

  /** Why a candidate is not in the order. */
  public enum Kind {
    GYM,
    PAIN,
    CAUTION,
    BODY,
    /** another station, or not at home */
    PRESET,
    NOT_COMPUTED,
    /** used by word: nothing is computed of it */
    BY_WORD
  }

  /**
   * A candidate that is left out, and why.
   *
   * @param instead what to do here instead, where only the equipment is missing
   * @param improvised how it is done here without it (common practice, not computed)
   */
  public record Excluded(
      CandidateId candidateId,
      String name,
      Kind kind,
      Fact reason,
      Optional<Substitute> instead,
      List<Improvisation> improvised) {
    /** What is used by word is no part of an order. */
    static Excluded of(ByWord byWord) {
      return new Excluded(
          byWord.candidateId(),
          byWord.name(),
          Kind.BY_WORD,
          new Fact.Written(byWord.why()),
          Optional.empty(),
          List.of());
    }

    static Excluded of(Candidate candidate, Kind kind, Fact reason) {
      return new Excluded(
          candidate.id(), candidate.name(), kind, reason, Optional.empty(), List.of());
    }
  }

  /** The first strip, and what decided between it and those that the model cannot tell from it. */
  public record FirstPick(CandidateId candidateId, List<OrderFact> decidedBy) {}
}
