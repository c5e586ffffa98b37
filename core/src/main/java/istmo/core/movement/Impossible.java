package istmo.core.movement;

/**
 * Why a posture cannot be taken.
 *
 * @param limit what stands in the way
 * @param reason a sentence for the coach
 * @param missing what is missing, and how much of it, in the coach's units
 */
public record Impossible(Limit limit, String reason, String missing) implements PostureResult {
  /** What stands in the way. */
  public enum Limit {
    ANKLE,
    KNEE,
    PELVIS,
    HIP_OPENING,
    /** the trunk leans too far for what it carries */
    LEAN,
    /** the machine's stop */
    STOP,
    /** the foot plate ends */
    PLATE,
    BALANCE,
    GEOMETRY
  }
}
