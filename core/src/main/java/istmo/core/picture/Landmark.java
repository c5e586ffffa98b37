package istmo.core.picture;

/**
 * A place on a picture that the coach marks. From the side, the leg is the one nearer to the
 * camera; from the front, left and right are those of the picture.
 *
 * <p>How far a mark lies from the joint that it stands for, from memory of studies of skin markers
 * (one to two centimetres at hip and shoulder, less at knee and foot); own estimates.
 */
public enum Landmark {
  HEEL(Seen.SIDE, "heel", "back edge of the shoe, at the floor", true, 0.010),
  TOE(Seen.SIDE, "toe", "tip of the shoe, at the floor", true, 0.010),
  ANKLE(Seen.SIDE, "ankle", "outer ankle bone", true, 0.010),
  KNEE(Seen.SIDE, "knee", "middle of the knee from the side, at the joint line", true, 0.012),
  HIP(Seen.SIDE, "hip", "bony knob at the side of the hip", true, 0.018),
  SHOULDER(Seen.SIDE, "shoulder", "middle of the shoulder joint", true, 0.018),
  OTHER_ANKLE(Seen.SIDE, "other ankle", "ankle bone of the further foot", false, 0.012),
  TOE_LEFT(Seen.FRONT, "left toe", "tip of the shoe at the left of the picture", true, 0.010),
  ANKLE_LEFT(Seen.FRONT, "left ankle", "middle of the ankle above it", true, 0.010),
  KNEE_LEFT(Seen.FRONT, "left knee", "middle of the kneecap", true, 0.012),
  HIP_LEFT(Seen.FRONT, "left hip bone", "top of the hip bone, at its side", true, 0.015),
  TOE_RIGHT(Seen.FRONT, "right toe", "tip of the shoe at the right of the picture", true, 0.010),
  ANKLE_RIGHT(Seen.FRONT, "right ankle", "middle of the ankle above it", true, 0.010),
  KNEE_RIGHT(Seen.FRONT, "right knee", "middle of the kneecap", true, 0.012),
  HIP_RIGHT(Seen.FRONT, "right hip bone", "top of the hip bone, at its side", true, 0.015),
  UPRIGHT_FOOT(Seen.BOTH, "foot of a post", "a rack post or a door frame: its lower end", false, 0),
  UPRIGHT_TOP(
      Seen.BOTH, "top of a post", "the same post or frame, as far up as it is seen", false, 0),
  PLATE_TOP(Seen.SIDE, "top of a plate", "highest point of a full-size plate", false, 0.003),
  PLATE_BOTTOM(Seen.SIDE, "bottom of a plate", "lowest point of the same plate", false, 0.003);

  /** From where a landmark is marked. */
  public enum Seen {
    SIDE,
    FRONT,
    BOTH
  }

  private final Seen seen;
  private final String label;
  private final String where;
  private final boolean needed;
  private final double errorM;

  Landmark(Seen seen, String label, String where, boolean needed, double errorM) {
    this.seen = seen;
    this.label = label;
    this.where = where;
    this.needed = needed;
    this.errorM = errorM;
  }

  /** From where it is marked. */
  public Seen seen() {
    return seen;
  }

  /** Name on the screen. */
  public String label() {
    return label;
  }

  /** Where it lies. */
  public String where() {
    return where;
  }

  /** Whether no posture is told without it, from where it is marked. */
  public boolean needed() {
    return needed;
  }

  /** How far a careful mark lies from what it stands for, each way, m (standard deviation). */
  double errorM() {
    return errorM;
  }
}
