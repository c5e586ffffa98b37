package istmo.core.record;

import java.time.LocalDate;
import java.util.List;

/**
 * Something that the record teaches, with its figures and what could be done: accepted or dismissed
 * by the coach, never done by itself.
 *
 * @param subject candidate id, region id or side pair that it is about
 * @param name of the subject, in words
 * @param figures what was found, in a sentence with numbers
 * @param on day of the newest reading that it rests on
 * @param proposals one or two
 */
public record Lesson(
    Kind kind,
    String subject,
    String name,
    String figures,
    LocalDate on,
    List<Proposal> proposals) {
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
    MOVES_OTHERWISE("moves otherwise than before");

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

  /**
   * What a lesson proposes to do.
   *
   * @param words an instruction, as it will stand on the floor once it is accepted
   */
  public record Proposal(Act act, String words) {}
}
