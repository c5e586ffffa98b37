package istmo.core.record;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionGroup;
import istmo.core.body.Measurement.Side;
import istmo.core.body.PainFlag;
import istmo.core.body.RangeCourse;
import istmo.core.quantity.Fact;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * Something that the record teaches, with its figures and what could be done: accepted or dismissed
 * by the coach, never done by itself.
 *
 * @param subject candidate id, region id or side pair that it is about
 * @param name of the subject, in words
 * @param found what was found, with its figures; {@code words.RecordWords} says it
 * @param on day of the newest reading that it rests on
 * @param proposals one or two
 */
public record Lesson(
    Kind kind, String subject, String name, Found found, LocalDate on, List<Proposal> proposals) {
  public Lesson {
    proposals = List.copyOf(proposals);
  }

  /** What was found. */
  public enum Kind {
    STALL("no progress"),
    SIDE_GAP("one side behind"),
    REGION_BEHIND("too few sets"),
    BALANCE("front and back of the thigh"),
    PAINFUL("keeps hurting"),
    NOT_FELT("never felt where it should be"),
    MOVES_OTHERWISE("moves otherwise than before"),
    RANGE_CHANGED("range of a joint has changed");

    private final String label;

    Kind(String label) {
      this.label = label;
    }

    /** Name of the kind of lesson. */
    public String label() {
      return label;
    }
  }

  /** What could be done. */
  public enum Act {
    SWAP,
    RE_DIAL,
    EASIER_WEEK,
    OTHER_TEMPO,
    LESS_LOAD,
    LESS_RANGE,
    WEAKER_SIDE_FIRST,
    MORE_SETS
  }

  /** What was found, with its figures. */
  public sealed interface Found extends Fact {}

  /**
   * Nothing was gained in so many sessions.
   *
   * @param now and {@code before}: best since and before, kg for one repetition or, where nothing
   *     is loaded, repetitions
   * @param best day of the best before
   */
  public record NoGain(int sessions, boolean loaded, double now, double before, LocalDate best)
      implements Found {}

  /** One side is behind by per cent, with twice its standard error. */
  public record SideBehind(
      Side side, double percent, double errorPercent, int sessions, boolean growing)
      implements Found {}

  /** A joint hurt in some of the newest sessions, by up to so many of 10. */
  public record KeepsHurting(PainFlag joint, int sessions, int of, int worst) implements Found {}

  /** Groups in which it was felt in the newest sessions, and those that were meant. */
  public record FeltElsewhere(Set<RegionGroup> felt, int sessions, Set<RegionGroup> meant)
      implements Found {}

  /** Effective sets of a region in the mean of some weeks, and those asked. */
  public record TooFewSets(Region region, double sets, int weeks, double asked) implements Found {}

  /** Effective sets a week of the front and of the back of the thigh. */
  public record ThighOneSided(double front, double back) implements Found {
    /** Whether the front gets less. */
    public boolean frontIsLess() {
      return front < back;
    }
  }

  /** What pictures show otherwise than before. */
  public record MovesOtherwise(List<Change> changes) implements Found {
    public MovesOtherwise {
      changes = List.copyOf(changes);
    }
  }

  /** A joint goes further, or less far, than it did. */
  public record RangeChanged(RangeCourse.Changed changed) implements Found {}

  /** A figure of a posture. */
  public enum Figure {
    DEPTH,
    KNEE_FORWARD,
    TRUNK_LEAN,
    SHIN_LEAN
  }

  /** A figure has grown by so many metres or radians since a day; has shrunk where negative. */
  public record Change(Figure figure, double by, LocalDate since) implements Fact {}

  /**
   * What a lesson proposes to do.
   *
   * @param known the change that the exercise itself names for this fault
   */
  public record Proposal(Act act, Optional<String> known) {
    /** To do what the act says, and nothing that the exercise names. */
    public static Proposal of(Act act) {
      return new Proposal(act, Optional.empty());
    }
  }
}
