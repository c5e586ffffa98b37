package istmo.core.anatomy;

/**
 * The coordinates that carry moments, right leg and lower back. Zero is upright standing; the name
 * is the positive direction. The hip sequence is flexion, then abduction, then internal rotation. A
 * moment about a coordinate is positive when it drives the coordinate in its positive direction.
 */
public enum Coordinate {
  HIP_FLEXION("hip flexion"),
  HIP_ABDUCTION("hip abduction"),
  HIP_INTERNAL_ROTATION("hip internal rotation"),
  KNEE_FLEXION("knee flexion"),
  ANKLE_DORSIFLEXION("ankle dorsiflexion"),
  /** Flexion of the trunk over L5/S1; whole body, not one side. No leg muscle crosses it. */
  LUMBAR_FLEXION("lumbar flexion");

  /** Coordinates that leg muscles cross. */
  public static final int LEG = 5;

  /** All rows of an equilibrium. */
  public static final int ALL = 6;

  private final String label;

  Coordinate(String label) {
    this.label = label;
  }

  /** Name of the movement, as "knee flexion". */
  public String label() {
    return label;
  }
}
