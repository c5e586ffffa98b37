package istmo.core.plan;

import java.util.Optional;

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
  STRAIGHT("straight sets", "The same load in every set.", 1, 1),
  ASCENDING(
      "heavier and fewer",
      "Each set a step heavier and two repetitions fewer, the reserve the same.",
      1,
      1),
  FALLING(
      "the same load, fewer each set",
      "The load stays; each set may end two repetitions earlier than the one before.",
      1,
      1),
  ALWAYS_TEN(
      "always ten", "Ten repetitions in every set; the load falls when ten do not come.", 1, 1),
  HIGH(
      "high repetitions",
      "Twenty to thirty repetitions; needs sets close to failure to count as much.",
      1,
      1),
  DROP("drops", "At once less load, each time to the last repetition, nothing rested.", 1, 1),
  EASIER(
      "then an easier set-up",
      "At once the same load in an easier set-up, to the last repetition: flat after propped,"
          + " short after deep, two legs after one.",
      1,
      1),
  LADDER(
      "full, half, pulse",
      "All repetitions full, as many half ones at the long end, as many short pulses there.",
      1.75,
      1.25),
  ONE_AND_A_HALF("one and a half", "Down, half up, down again, up: that is one.", 1.5, 1.1),
  DOUBLE_DIP("double dip", "Down, a quarter up, down again, up: that is one.", 1.3, 1.05),
  LOW_PARTIALS(
      "partials at the long end",
      "When no full repetition comes any more, five half ones at the long end.",
      1.2,
      1.15),
  LONG_PULSES(
      "pulses at the long end",
      "When no full repetition comes any more, ten short pulses at the long end.",
      1.2,
      1.1),
  SHORT_PULSES(
      "pulses at the short end",
      "When no full repetition comes any more, ten short pulses at the short end.",
      1.2,
      1.05),
  PAUSES(
      "pauses at the long end", "Three seconds still at the long end of every repetition.", 1, 1),
  TOES_IN_TURN(
      "toes in turn",
      "From set to set toes straight, then out, then in; what it changes is little and not"
          + " computed.",
      1,
      1);

  /** Seconds to take off a plate or move a pin between drops. */
  static final double DROP_CHANGE_S = 10;

  /** Repetitions of a drop, as a share of the set's, as the simulated set has them. */
  static final double DROP_REPETITIONS = 0.55;

  static final double PAUSE_S = 3;

  private final String label;
  private final String how;
  private final double movement;
  private final double counts;

  Scheme(String label, String how, double movement, double counts) {
    this.label = label;
    this.how = how;
    this.movement = movement;
    this.counts = counts;
  }

  /** Name of the way to string sets together. */
  public String label() {
    return label;
  }

  /** How it is done, in a sentence. */
  public String how() {
    return how;
  }

  /** Whether it begins where no full repetition comes any more, so that nothing is left. */
  boolean afterTheLast() {
    return this == LOW_PARTIALS || this == LONG_PULSES || this == SHORT_PULSES;
  }

  /** Whether every repetition goes through the whole range. */
  public boolean wholeRange() {
    return switch (this) {
      case LADDER, ONE_AND_A_HALF, DOUBLE_DIP, LOW_PARTIALS, LONG_PULSES, SHORT_PULSES -> false;
      default -> true;
    };
  }

  /** Moving time of a set beside that of as many plain repetitions. */
  double movement() {
    return movement;
  }

  /** Sets that each of them counts as, without drops, before the reserve is looked at. */
  double counts() {
    return counts;
  }

  /** The drops that go with it until a coach says others; empty where it has none. */
  public Optional<Drops> usualDrops() {
    return switch (this) {
      case DROP -> Optional.of(Drops.LIGHTER);
      case EASIER -> Optional.of(Drops.EASIER);
      default -> Optional.empty();
    };
  }
}
