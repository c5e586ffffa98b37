package istmo.core.body;

import istmo.core.anatomy.Segments;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.InvalidInput;

/**
 * What can be measured on a client, how, and which values are believable. Values in SI (m, kg) or
 * degrees.
 *
 * <p>For lengths, {@code share} is the mean share of stature (Drillis and Contini 1966) and {@code
 * spread} its standard deviation between people (from memory of anthropometric surveys: about 4 %
 * of the length); a value further than four standard deviations from what the stature says is taken
 * for a mistyped one.
 */
public enum MeasurementKind {
  STATURE(
      "stature",
      "m",
      false,
      Intake.STATURE_M,
      0,
      0,
      "Barefoot, heels and back against the wall, looking straight ahead."),
  MASS("mass", "kg", false, Intake.MASS_KG, 0, 0, "In light clothes, the same scale each time."),
  THIGH(
      "thigh length",
      "m",
      true,
      Body.THIGH_M,
      Segments.THIGH_LENGTH,
      0.010,
      "From the bony knob at the side of the hip (it moves under the finger when the leg turns) to"
          + " the joint line at the outer side of the knee."),
  SHANK(
      "shank length",
      "m",
      true,
      Body.SHANK_M,
      Segments.SHANK_LENGTH,
      0.010,
      "From the joint line at the outer side of the knee to the tip of the outer ankle bone."),
  TRUNK(
      "trunk length",
      "m",
      false,
      Body.TRUNK_M,
      Segments.HIP_TO_SHOULDER,
      0.012,
      "Standing: from the bony knob at the side of the hip to the bony tip of the shoulder."),
  FOOT(
      "foot length",
      "m",
      true,
      new Allowed(0.18, 0.36, "m"),
      Segments.FOOT_LENGTH,
      0.006,
      "Heel to the longest toe, standing, without the shoe."),
  KNEE_TO_WALL(
      "knee to wall",
      "m",
      true,
      new Allowed(0, 0.25, "m"),
      0,
      0,
      "Toes so far from the wall that the knee just touches it with the heel down: toe to wall."),
  HIP_FLEXION(
      "hip bend before the pelvis tucks",
      "deg",
      true,
      Body.HIP_FLEXION_DEG,
      0,
      0,
      "On the back, knee to the chest: where the other thigh or the lower back begins to move."),
  KNEE_FLEXION(
      "knee bend",
      "deg",
      true,
      Body.KNEE_FLEXION_DEG,
      0,
      0,
      "On the front, heel to the seat, by hand, without pain."),
  HIP_OPENING(
      "hip opening",
      "deg",
      true,
      Body.HIP_OPENING_DEG,
      0,
      0,
      "On the back, knee bent and foot off the bench: thigh out to the side until the pelvis tips;"
          + " angle of the thigh from straight down."),
  GRIP(
      "grip strength",
      "kg",
      true,
      Body.GRIP_KG,
      0,
      0,
      "Hand-grip dynamometer, standing, arm down: the best of three hard squeezes."),
  THIGH_GIRTH(
      "thigh girth",
      "m",
      true,
      new Allowed(0.25, 1.0, "m"),
      0,
      0,
      "Half-way between the crease of the groin and the top of the kneecap, standing, muscle"
          + " loose."),
  CALF_GIRTH(
      "calf girth",
      "m",
      true,
      new Allowed(0.18, 0.65, "m"),
      0,
      0,
      "At the thickest place, standing, weight on both feet.");

  /** Standard deviations beyond which a length is not believed. */
  private static final double BELIEVED = 4;

  private final String label;
  private final String unit;
  private final boolean twoSided;
  private final Allowed allowed;
  private final double share;
  private final double spread;
  private final String how;

  MeasurementKind(
      String label,
      String unit,
      boolean twoSided,
      Allowed allowed,
      double share,
      double spread,
      String how) {
    this.label = label;
    this.unit = unit;
    this.twoSided = twoSided;
    this.allowed = allowed;
    this.share = share;
    this.spread = spread;
    this.how = how;
  }

  /** Name of the measurement. */
  public String label() {
    return label;
  }

  /** m, kg or deg. */
  public String unit() {
    return unit;
  }

  /** Whether left and right are measured apart. */
  public boolean twoSided() {
    return twoSided;
  }

  /** How it is taken, in a sentence. */
  public String how() {
    return how;
  }

  /**
   * Standard deviation of this length between people of a stature, m; zero where the stature says
   * nothing.
   */
  public double spreadM(double statureM) {
    return spread * statureM;
  }

  /**
   * Returns the value, or throws {@link InvalidInput} on field "value" when it is out of range or
   * not believable for the stature (m).
   */
  public double check(double value, double statureM) {
    allowed.check("value", value);
    double expected = share * statureM;
    if (share > 0 && Math.abs(value - expected) > BELIEVED * spreadM(statureM)) {
      throw InvalidInput.saying(
          "value",
          "a %s of %.0f cm is not believable for a stature of %.0f cm: %.0f to %.0f cm is",
          label,
          100 * value,
          100 * statureM,
          100 * (expected - BELIEVED * spreadM(statureM)),
          100 * (expected + BELIEVED * spreadM(statureM)));
    }
    return value;
  }
}
