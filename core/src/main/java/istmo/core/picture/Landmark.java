package istmo.core.picture;

/**
 * A place on a picture that the coach marks. The leg is the one nearer to the camera.
 *
 * <p>How far a mark lies from the joint that it stands for, from memory of studies of skin markers
 * (one to two centimetres at hip and shoulder, less at knee and foot); own estimates.
 */
public enum Landmark {
  HEEL("heel", "back edge of the shoe, at the floor", true, 0.010),
  TOE("toe", "tip of the shoe, at the floor", true, 0.010),
  ANKLE("ankle", "outer ankle bone", true, 0.010),
  KNEE("knee", "middle of the knee from the side, at the joint line", true, 0.012),
  HIP("hip", "bony knob at the side of the hip", true, 0.018),
  SHOULDER("shoulder", "middle of the shoulder joint", true, 0.018),
  OTHER_ANKLE("other ankle", "ankle bone of the further foot", false, 0.012),
  UPRIGHT_FOOT("foot of a post", "a rack post or a door frame: its lower end", false, 0),
  UPRIGHT_TOP("top of a post", "the same post or frame, as far up as it is seen", false, 0),
  PLATE_TOP("top of a plate", "highest point of a full-size plate", false, 0.003),
  PLATE_BOTTOM("bottom of a plate", "lowest point of the same plate", false, 0.003);

  private final String label;
  private final String where;
  private final boolean needed;
  private final double errorM;

  Landmark(String label, String where, boolean needed, double errorM) {
    this.label = label;
    this.where = where;
    this.needed = needed;
    this.errorM = errorM;
  }

  /** Name on the screen. */
  public String label() {
    return label;
  }

  /** Where it lies. */
  public String where() {
    return where;
  }

  /** Whether no posture is told without it. */
  public boolean needed() {
    return needed;
  }

  /** How far a careful mark lies from what it stands for, each way, m (standard deviation). */
  double errorM() {
    return errorM;
  }
}
