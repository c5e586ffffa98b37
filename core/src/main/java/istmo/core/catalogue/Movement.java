package istmo.core.catalogue;

/** What an exercise by word does, in a coach's words. */
public enum Movement {
  HIP_EXTENSION("pushes or lifts with the hip"),
  KNEE_EXTENSION("straightens the knee"),
  KNEE_FLEXION("bends the knee"),
  HIP_ABDUCTION("takes the leg out to the side"),
  HIP_ADDUCTION("brings the legs together"),
  HIP_FLEXION("lifts the thigh"),
  HEEL_RAISE("raises the heels, knees straight"),
  BENT_HEEL_RAISE("raises the heels, knees bent"),
  TOE_RAISE("pulls the feet up");

  private final String label;

  Movement(String label) {
    this.label = label;
  }

  /** Name that the coach ticks. */
  public String label() {
    return label;
  }
}
