package istmo.core.movement.family;

import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Allowed;

/** What can be moved in a split stance or a step. */
final class SplitParameters {
  static final SetupParameter STRIDE =
      SetupParameter.of(
          "stride",
          "Stride",
          new Allowed(0.20, 1.30, "m"),
          0.70,
          0.05,
          SetupParameter.Kind.SETUP,
          "front ankle to where the rear foot stands, along the floor");
  static final SetupParameter WIDTH =
      SetupParameter.of(
          "width",
          "Between the feet, side to side",
          new Allowed(-0.30, 0.50, "m"),
          0.15,
          0.05,
          SetupParameter.Kind.SETUP,
          "less than nothing when the rear foot crosses behind the front one");
  static final SetupParameter BETWEEN =
      SetupParameter.of(
          "between",
          "Between the feet",
          new Allowed(0.50, 1.30, "m"),
          0.85,
          0.05,
          SetupParameter.Kind.SETUP,
          "from ankle to ankle, to the side");
  static final SetupParameter FRONT_HEIGHT =
      SetupParameter.of(
          "frontHeight",
          "Front foot raised",
          new Allowed(0, 0.30, "m"),
          0,
          0.05,
          SetupParameter.Kind.SETUP,
          "height under the front foot");
  static final SetupParameter REAR_HEIGHT =
      SetupParameter.of(
          "rearHeight",
          "Rear foot raised",
          new Allowed(0, 0.60, "m"),
          0,
          0.05,
          SetupParameter.Kind.SETUP,
          "height of what the rear foot rests on");
  static final SetupParameter REAR =
      SetupParameter.choice(
          "rear",
          "Other foot",
          0,
          SetupParameter.Kind.SETUP,
          "what the other foot does",
          "on its ball",
          "instep on a bench or roll",
          "held in front",
          "bent behind");
  static final SetupParameter REAR_SHARE =
      SetupParameter.of(
              "rearShare",
              "Weight on the rear foot",
              new Allowed(0, 0.5, ""),
              0.3,
              0.05,
              SetupParameter.Kind.TECHNIQUE,
              "share of all weight at the bottom; about 0.16 with the rear foot raised")
          .notSearched();
  static final SetupParameter KNEE_DEPTH =
      SetupParameter.of(
          "kneeDepth",
          "Front knee at the bottom",
          new Allowed(40, 140, "deg"),
          95,
          5,
          SetupParameter.Kind.SETUP,
          "knee flexion of the front leg; straight is 0");
  static final SetupParameter BENT_KNEE =
      SetupParameter.of(
          "kneeDepth",
          "Bent knee at the bottom",
          new Allowed(40, 140, "deg"),
          85,
          5,
          SetupParameter.Kind.SETUP,
          "knee flexion of the leg that bends; straight is 0");
  static final SetupParameter LEAN =
      SetupParameter.of(
          "lean",
          "Trunk lean at the bottom",
          new Allowed(-5, 70, "deg"),
          15,
          5,
          SetupParameter.Kind.TECHNIQUE,
          "trunk from the vertical, forward");
  static final SetupParameter FORWARD =
      SetupParameter.of(
          "feetForward",
          "Front foot in front of the bar",
          new Allowed(0, 0.80, "m"),
          0.40,
          0.02,
          SetupParameter.Kind.SETUP,
          "middle of the front foot in front of the bar's track");
  static final SetupParameter BOX =
      SetupParameter.of(
          "box",
          "Box height",
          new Allowed(0.10, 0.75, "m"),
          0.25,
          0.05,
          SetupParameter.Kind.SETUP,
          "top of the box from the floor");
  static final SetupParameter PUSH_OFF =
      SetupParameter.of(
              "pushOff",
              "Push-off of the lower foot",
              new Allowed(0, 0.8, ""),
              0.1,
              0.05,
              SetupParameter.Kind.TECHNIQUE,
              "share of all weight that the lower foot still carries at the bottom; gone a third of"
                  + " the way up")
          .notSearched();

  /** Choices of {@link #LEG}: which one is looked at. */
  enum Leg {
    FRONT,
    REAR
  }

  static final SetupParameter LEG =
      SetupParameter.choice(
          "leg",
          "Leg looked at",
          0,
          SetupParameter.Kind.TECHNIQUE,
          "the leg whose muscles are computed and drawn",
          "front",
          "rear");

  /** The same with the words of a lunge to the side. */
  static final SetupParameter LEG_TO_THE_SIDE =
      SetupParameter.choice(
          LEG.id(),
          LEG.label(),
          0,
          SetupParameter.Kind.TECHNIQUE,
          "the leg whose muscles are computed and drawn; the bent one ends the set",
          "bent",
          "straight");

  private SplitParameters() {}
}
