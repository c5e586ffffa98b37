package istmo.core.movement;

import static istmo.core.movement.SetupParameter.Kind.MACHINE;
import static istmo.core.movement.SetupParameter.Kind.SETUP;
import static istmo.core.movement.SetupParameter.Kind.TECHNIQUE;

import istmo.core.quantity.Allowed;

/**
 * Set-up parameters that several families share. Ranges and usual values are common practice unless
 * the note names a source.
 */
public final class Parameters {
  public static final SetupParameter STANCE =
      SetupParameter.of(
          "stance",
          "Stance width",
          new Allowed(0.10, 1.00, "m"),
          0.40,
          0.02,
          SETUP,
          "between the ankle centres");
  public static final SetupParameter TOE_OUT =
      SetupParameter.of(
          "toeOut",
          "Toes out",
          new Allowed(-10, 50, "deg"),
          20,
          5,
          SETUP,
          "each foot from straight ahead");
  public static final SetupParameter WEDGE =
      SetupParameter.of(
          "wedge",
          "Heel wedge",
          new Allowed(0, 30, "deg"),
          0,
          5,
          SETUP,
          "slope under the foot, heel higher");
  public static final SetupParameter KNEE_DEPTH =
      SetupParameter.of(
          "kneeDepth",
          "Knee bend at the bottom",
          new Allowed(50, 140, "deg"),
          110,
          5,
          SETUP,
          "knee flexion at the deepest point; straight is 0");
  public static final SetupParameter THIGH_DEPTH =
      SetupParameter.of(
          "depth",
          "Depth",
          new Allowed(45, 125, "deg"),
          100,
          5,
          SETUP,
          "thigh from the vertical at the bottom; 90 is parallel");
  public static final SetupParameter PRESSURE =
      SetupParameter.of(
              "pressure",
              "Pressure under the foot",
              new Allowed(-0.06, 0.08, "m"),
              0,
              0.01,
              TECHNIQUE,
              "centre of pressure in front of mid-foot")
          .notSearched();

  /**
   * The same on a track, where the cue "push back into the bar" is another word for it: moments
   * about the feet settle the track's push.
   */
  public static final SetupParameter PRESSURE_ON_TRACK =
      PRESSURE.noted(
          "on a track, pushing back into the bar brings it forward, pushing forward into it brings"
              + " it back");

  /**
   * Bound, not a value: the model may use anything up to it. Cleats on dry floor could hold more;
   * .12 to .5 is the range of the trials behind docs/model.md, 5.
   */
  public static final SetupParameter FOOT_SHEAR =
      SetupParameter.of(
              "footShear",
              "Sideways grip of the foot",
              new Allowed(0, 0.6, ""),
              0.35,
              0.05,
              TECHNIQUE,
              "most sideways force as a share of the force under the foot")
          .notSearched();

  /**
   * How far the trunk leans sideways over a foot that stands alone. At nothing the pelvis stands
   * with its middle over the foot and the hip lies half the distance of the hips beside it; at 1
   * the hip itself stands over the foot. The usual values are own estimates: little in squats and
   * steps, whose hip abduction moment of 0.8 to 1.1 N m/kg (from memory) leaves hardly room for
   * more; more in a hinge, where the pelvis turns over the foot.
   */
  public static final SetupParameter TRUNK_SHIFT =
      SetupParameter.of(
          "trunkShift",
          "Trunk over the standing foot",
          new Allowed(0, 1, ""),
          0.1,
          0.1,
          TECHNIQUE,
          "0: hips level and upright, 1: leant sideways until the hip stands over the foot");

  /**
   * The cue "spread the floor" as an input; what the cue does to a real lifter's force is not
   * measured.
   */
  public static final SetupParameter SPREAD =
      SetupParameter.of(
              "spread",
              "Spread the floor",
              new Allowed(-1, 1, ""),
              0,
              0.25,
              TECHNIQUE,
              "share of the sideways grip that each foot uses on purpose: 1 pushes outwards with"
                  + " all of it, -1 inwards, 0 leaves it to the body")
          .notSearched();

  /**
   * Bound, not a value: on a sled the force along the foot plate is not settled by statics, only by
   * friction. People turn the force towards the hip within it, which is why foot height on a press
   * changes less than a force square to the plate would say (compare Escamilla et al. 2001, small
   * effects of foot height; from memory).
   */
  public static final SetupParameter PLATE_GRIP =
      SetupParameter.of(
              "plateGrip",
              "Grip along the plate",
              new Allowed(0, 0.5, ""),
              0.25,
              0.05,
              TECHNIQUE,
              "most force along the plate by itself, as a share of the main force")
          .notSearched();

  public static final SetupParameter SLED_MASS =
      SetupParameter.of(
          "sledMass",
          "Empty sled",
          new Allowed(0, 120, "kg"),
          45,
          5,
          MACHINE,
          "mass that moves with no plates on");

  /**
   * Lifting against friction counts as that much more load; measured as half the difference between
   * a slow pull up and a slow let-down. Not counted until measured.
   */
  public static final SetupParameter FRICTION =
      SetupParameter.of(
          "friction",
          "Friction",
          new Allowed(0, 0.4, ""),
          0,
          0.01,
          MACHINE,
          "share of the moving weight that a slow lift takes more");

  /**
   * Moment about the loaded joint for each kg on the stack over g: the effective radius of the
   * machine's pulley, m. Generic: machines differ, so loads of two machines do not compare.
   *
   * @param note about which axis, and for how much of the stack
   */
  public static SetupParameter stackLever(String note) {
    return SetupParameter.of(
        "pulley",
        "Effective lever of the stack",
        new Allowed(0.05, 0.50, "m"),
        0.20,
        0.01,
        MACHINE,
        note);
  }

  public static final SetupParameter LEGS =
      SetupParameter.choice(
          "legs", "Legs", 0, SETUP, "both, or one that takes the whole load", "both", "one");

  public static final SetupParameter STRAPS =
      SetupParameter.choice(
          "straps",
          "Hands",
          0,
          SETUP,
          "what holds a weight that hangs in the hands; nothing to a bar on the back",
          "bare",
          "straps");

  /** Choices of {@link #LEGS}. */
  private enum Legs {
    BOTH,
    ONE
  }

  /** Choices of {@link #STRAPS}. */
  public enum Hands {
    BARE,
    STRAPS
  }

  /** Share of a hanging load in one of two hands, or nothing with straps. */
  public static double inOneOfTwoHands(Setup setup) {
    return setup.choice(STRAPS, Hands.class) == Hands.STRAPS ? 0 : 0.5;
  }

  /** How many legs take the load. */
  public static int legs(Setup setup) {
    return setup.choice(LEGS, Legs.class) == Legs.ONE ? 1 : 2;
  }

  private Parameters() {}
}
