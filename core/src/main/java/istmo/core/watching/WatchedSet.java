package istmo.core.watching;

import istmo.core.mechanics.Tempo;
import istmo.core.quantity.Fact;
import istmo.core.watching.RepetitionFinder.Repetition;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * The repetitions of a set beside what was prescribed.
 *
 * @param speedLossPercent how much slower the last lifting was than the fastest, %
 * @param findings what was not as asked, in words, with the repetitions it was so in
 */
public record WatchedSet(
    List<Repetition> repetitions, Asked asked, double speedLossPercent, List<Deviation> findings) {
  /**
   * Of the longest of the first repetitions (common practice: the first ones set the mark; the
   * shares are judgement).
   */
  private static final double SHORT = 0.85;

  private static final int FIRST = 3;

  /** A lowering that takes less of the time asked is dropped. */
  private static final double DROPPED = 0.6;

  /** A pause that is asked from here on has to be seen, and this much of it. */
  private static final double ASKED_PAUSE_S = 0.5;

  private static final double PAUSED = 0.6;

  /** What was not as it was asked. */
  public enum Kind {
    SHORT_RANGE("short range"),
    DROPPED_LOWERING("lowering dropped"),
    MISSED_PAUSE("pause missed");

    private final String label;

    Kind(String label) {
      this.label = label;
    }

    /** Name for the coach. */
    public String label() {
      return label;
    }
  }

  /**
   * What is asked of each repetition.
   *
   * @param loweringS and lowS: time of the lowering, and of standing still at the long end; 0 where
   *     nothing is asked
   * @param wholeRange whether all of them are to go as far as the first ones
   */
  public record Asked(double loweringS, double lowS, boolean wholeRange) {
    public static final Asked NOTHING = new Asked(0, 0, true);

    public Asked {
      Tempo.PHASE_S.check("loweringS", loweringS);
      Tempo.PHASE_S.check("lowS", lowS);
    }

    /** What a tempo asks of the lowering and of the low end. */
    public static Asked of(Tempo tempo) {
      return new Asked(tempo.loweringS(), tempo.lowS(), true);
    }
  }

  /**
   * One way in which repetitions differ from what was asked; {@code words.WatchingWords} says it.
   *
   * @param repetitions numbers of the repetitions, from 1
   * @param least what they would have had: a share of the first ones' range, or seconds
   * @param asked seconds that were asked; 0 for a range
   */
  public record Deviation(Kind kind, List<Integer> repetitions, double least, double asked)
      implements Fact {}

  public WatchedSet {
    repetitions = List.copyOf(repetitions);
    findings = List.copyOf(findings);
  }

  /** The watched set beside what was asked. */
  public static WatchedSet of(List<Repetition> repetitions, Asked asked) {
    double mark = repetitions.stream().limit(FIRST).mapToDouble(Repetition::range).max().orElse(0);
    List<Integer> shortOnes = new ArrayList<>();
    List<Integer> dropped = new ArrayList<>();
    List<Integer> missed = new ArrayList<>();
    for (int k = 0; k < repetitions.size(); k++) {
      Repetition repetition = repetitions.get(k);
      if (asked.wholeRange() && repetition.range() < SHORT * mark) {
        shortOnes.add(k + 1);
      }
      if (!repetition.dropout()
          && repetition.loweringS() > 0
          && repetition.loweringS() < DROPPED * asked.loweringS()) {
        dropped.add(k + 1);
      }
      if (!repetition.dropout()
          && asked.lowS() >= ASKED_PAUSE_S
          && repetition.lowS() < PAUSED * asked.lowS()) {
        missed.add(k + 1);
      }
    }
    List<Deviation> findings = new ArrayList<>();
    if (!shortOnes.isEmpty()) {
      findings.add(new Deviation(Kind.SHORT_RANGE, shortOnes, SHORT, 0));
    }
    if (!dropped.isEmpty()) {
      findings.add(
          new Deviation(
              Kind.DROPPED_LOWERING, dropped, DROPPED * asked.loweringS(), asked.loweringS()));
    }
    if (!missed.isEmpty()) {
      findings.add(new Deviation(Kind.MISSED_PAUSE, missed, PAUSED * asked.lowS(), asked.lowS()));
    }
    return new WatchedSet(repetitions, asked, speedLoss(repetitions), findings);
  }

  /**
   * Whether the range was kept in every repetition; empty without one, or where it was not to be.
   */
  public Optional<Boolean> rangeKept() {
    return repetitions.isEmpty() || !asked.wholeRange()
        ? Optional.empty()
        : Optional.of(
            findings.stream().noneMatch(deviation -> deviation.kind() == Kind.SHORT_RANGE));
  }

  /**
   * Whether lowering and pause were as asked in every repetition that could be timed; empty where
   * there is none, or nothing was asked of them.
   */
  public Optional<Boolean> tempoKept() {
    boolean seen =
        (asked.loweringS() > 0
                && repetitions.stream().anyMatch(repetition -> repetition.loweringS() > 0))
            || (asked.lowS() >= ASKED_PAUSE_S
                && repetitions.stream().anyMatch(repetition -> !repetition.dropout()));
    return seen
        ? Optional.of(
            findings.stream().noneMatch(deviation -> deviation.kind() != Kind.SHORT_RANGE))
        : Optional.empty();
  }

  private static double speedLoss(List<Repetition> repetitions) {
    List<Repetition> timed =
        repetitions.stream().filter(repetition -> repetition.meanSpeed() > 0).toList();
    if (timed.size() < 2) {
      return 0;
    }
    double fastest = timed.stream().mapToDouble(Repetition::meanSpeed).max().orElseThrow();
    return Math.max(0, 100 * (1 - timed.get(timed.size() - 1).meanSpeed() / fastest));
  }
}
