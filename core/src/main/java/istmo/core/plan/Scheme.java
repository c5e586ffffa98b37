package istmo.core.plan;

import istmo.core.record.WeeklySets;

/**
 * How the sets of an exercise are strung together (common practice). Each has its arithmetic: what
 * a set takes in time, and how many sets it counts as.
 *
 * <p>What it counts as is judgement, save that of drops: the simulated set on single-joint machines
 * gives the first drop about half of a set's stimulus, the second about a third
 * (`PrescriptionTest`); in trials sets with drops grew about as much as straight sets (Coleman,
 * Harrison, Arias et al. 2022, a meta-analysis; from memory).
 */
public enum Scheme {
  STRAIGHT("straight sets", "The same load in every set.", 1, 1, 0, 0),
  ASCENDING(
      "heavier and fewer",
      "Each set a step heavier and two repetitions fewer, the reserve the same.",
      1,
      1,
      0,
      0),
  ALWAYS_TEN(
      "always ten",
      "Ten repetitions in every set; the load falls when ten do not come.",
      1,
      1,
      0,
      0),
  HIGH(
      "high repetitions",
      "Twenty to thirty repetitions; needs sets close to failure to count as much.",
      1,
      1,
      0,
      0),
  DROP(
      "drops after the last set",
      "After the last set twice a fifth less, each to the last repetition, nothing rested.",
      1,
      1,
      2,
      WeeklySets.DROP),
  LADDER(
      "full, half, pulse",
      "All repetitions full, as many half ones at the long end, as many short pulses there.",
      1.75,
      1.25,
      0,
      0),
  ONE_AND_A_HALF("one and a half", "Down, half up, down again, up: that is one.", 1.5, 1.1, 0, 0),
  LOW_PARTIALS(
      "partials at the long end",
      "When no full repetition comes any more, five half ones at the long end.",
      1.2,
      1.15,
      0,
      0),
  PAUSES(
      "pauses at the long end",
      "Three seconds still at the long end of every repetition.",
      1,
      1,
      0,
      0);

  /** Seconds to take off a plate or move a pin between drops. */
  static final double DROP_CHANGE_S = 10;

  /** Repetitions of a drop, as a share of the set's, as the simulated set has them. */
  static final double DROP_REPETITIONS = 0.55;

  static final double PAUSE_S = 3;

  private final String label;
  private final String how;
  private final double movement;
  private final double counts;
  private final int drops;
  private final double dropCounts;

  Scheme(String label, String how, double movement, double counts, int drops, double dropCounts) {
    this.label = label;
    this.how = how;
    this.movement = movement;
    this.counts = counts;
    this.drops = drops;
    this.dropCounts = dropCounts;
  }

  /** Name of the way to string sets together. */
  public String label() {
    return label;
  }

  /** How it is done, in a sentence. */
  public String how() {
    return how;
  }

  /** Whether every repetition goes through the whole range. */
  public boolean wholeRange() {
    return this != LADDER && this != ONE_AND_A_HALF && this != LOW_PARTIALS;
  }

  /** Moving time of a set beside that of as many plain repetitions. */
  double movement() {
    return movement;
  }

  /** Sets that {@code sets} of them count as, before the reserve is looked at. */
  double counts(int sets) {
    return counts * sets + drops * dropCounts;
  }

  /** Drops after the last set. */
  int drops() {
    return drops;
  }
}
