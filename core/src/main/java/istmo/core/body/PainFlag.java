package istmo.core.body;

/** A joint that hurts. Excludes exercises, with the reason; never a diagnosis. */
public enum PainFlag {
  KNEE("sore knee"),
  HIP("sore hip"),
  LOWER_BACK("sore lower back"),
  ANKLE("sore ankle or foot"),
  SHOULDER("sore shoulder");

  private final String label;

  PainFlag(String label) {
    this.label = label;
  }

  /** Name of the joint or part. */
  public String label() {
    return label;
  }
}
