package istmo.core.movement.family;

import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Allowed;
import java.util.List;

/** What can be moved in a split stance or a step. */
final class SplitParameters {
  static final SetupParameter STRIDE =
      new SetupParameter(
          "stride",
          "Stride",
          "m",
          new Allowed(0.20, 1.30, "m"),
          0.70,
          0.05,
          SetupParameter.Kind.SETUP,
          List.of(),
          "front ankle to where the rear foot stands, along the floor");
  static final SetupParameter WIDTH =
      new SetupParameter(
          "width",
          "Between the feet, side to side",
          "m",
          new Allowed(-0.30, 0.50, "m"),
          0.15,
          0.05,
          SetupParameter.Kind.SETUP,
          List.of(),
          "less than nothing when the rear foot crosses behind the front one");
  static final SetupParameter FRONT_HEIGHT =
      new SetupParameter(
          "frontHeight",
          "Front foot raised",
          "m",
          new Allowed(0, 0.30, "m"),
          0,
          0.05,
          SetupParameter.Kind.SETUP,
          List.of(),
          "height under the front foot");
  static final SetupParameter REAR_HEIGHT =
      new SetupParameter(
          "rearHeight",
          "Rear foot raised",
          "m",
          new Allowed(0, 0.60, "m"),
          0,
          0.05,
          SetupParameter.Kind.SETUP,
          List.of(),
          "height of what the rear foot rests on");
  static final SetupParameter REAR =
      new SetupParameter(
          "rear",
          "Other foot",
          "",
          new Allowed(0, 3, ""),
          0,
          1,
          SetupParameter.Kind.SETUP,
          List.of("on its ball", "instep on a bench or roll", "held in front", "bent behind"),
          "what the other foot does");
  static final SetupParameter REAR_SHARE =
      new SetupParameter(
              "rearShare",
              "Weight on the rear foot",
              "",
              new Allowed(0, 0.5, ""),
              0.3,
              0.05,
              SetupParameter.Kind.TECHNIQUE,
              List.of(),
              "share of all weight at the bottom; 0.1 to 0.2 with the rear foot raised")
          .notSearched();
  static final SetupParameter KNEE_DEPTH =
      new SetupParameter(
          "kneeDepth",
          "Front knee at the bottom",
          "deg",
          new Allowed(40, 140, "deg"),
          95,
          5,
          SetupParameter.Kind.SETUP,
          List.of(),
          "knee flexion of the front leg; straight is 0");
  static final SetupParameter LEAN =
      new SetupParameter(
          "lean",
          "Trunk lean at the bottom",
          "deg",
          new Allowed(-5, 70, "deg"),
          15,
          5,
          SetupParameter.Kind.TECHNIQUE,
          List.of(),
          "trunk from the vertical, forward");
  static final SetupParameter FORWARD =
      new SetupParameter(
          "feetForward",
          "Front foot in front of the bar",
          "m",
          new Allowed(0, 0.80, "m"),
          0.40,
          0.02,
          SetupParameter.Kind.SETUP,
          List.of(),
          "middle of the front foot in front of the bar's track");
  static final SetupParameter BOX =
      new SetupParameter(
          "box",
          "Box height",
          "m",
          new Allowed(0.10, 0.75, "m"),
          0.25,
          0.05,
          SetupParameter.Kind.SETUP,
          List.of(),
          "top of the box from the floor");
  static final SetupParameter PUSH_OFF =
      new SetupParameter(
              "pushOff",
              "Push-off of the lower foot",
              "",
              new Allowed(0, 0.8, ""),
              0.1,
              0.05,
              SetupParameter.Kind.TECHNIQUE,
              List.of(),
              "share of all weight that the lower foot still carries at the bottom; gone a third of"
                  + " the way up")
          .notSearched();

  /** Choices of {@link #LEG}: which one is looked at. */
  enum Leg {
    FRONT,
    REAR
  }

  static final SetupParameter LEG =
      new SetupParameter(
          "leg",
          "Leg looked at",
          "",
          new Allowed(0, 1, ""),
          0,
          1,
          SetupParameter.Kind.TECHNIQUE,
          List.of("front", "rear"),
          "the leg whose muscles are computed and drawn");

  private SplitParameters() {}
}
