package istmo.core.movement.family;

import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Allowed;
import java.util.List;

/** What can be set on a thrust, a bridge or a sliding curl beside stance and grip of the feet. */
final class ThrustParameters {
  static final SetupParameter BENCH =
      new SetupParameter(
          "benchHeight",
          "Under the upper back",
          "m",
          new Allowed(0.05, 0.60, "m"),
          0.38,
          0.02,
          SetupParameter.Kind.SETUP,
          List.of(),
          "height of the edge that the upper back rests on; 5 cm stands for the floor");
  static final SetupParameter FOOT_HEIGHT =
      new SetupParameter(
          "footHeight",
          "Under the feet",
          "m",
          new Allowed(0, 0.50, "m"),
          0,
          0.05,
          SetupParameter.Kind.SETUP,
          List.of(),
          "plate or box under the feet");
  static final SetupParameter SHIN =
      new SetupParameter(
          "shin",
          "Shin at the top",
          "deg",
          new Allowed(-35, 35, "deg"),
          0,
          5,
          SetupParameter.Kind.SETUP,
          List.of(),
          "from the vertical, knee beyond the ankle towards the head is more; 0 is upright (common"
              + " practice)");
  static final SetupParameter DROP =
      new SetupParameter(
          "drop",
          "Hip bend at the bottom",
          "deg",
          new Allowed(20, 110, "deg"),
          80,
          5,
          SetupParameter.Kind.SETUP,
          List.of(),
          "hip flexion at the bottom; the top is open");
  static final SetupParameter KNEES_OUT =
      new SetupParameter(
          "kneesOut",
          "Knees apart",
          "deg",
          new Allowed(0, 60, "deg"),
          10,
          5,
          SetupParameter.Kind.SETUP,
          List.of(),
          "each thigh from straight ahead; 45 and more with the soles together");
  static final SetupParameter AWAY =
      new SetupParameter(
              "away",
              "Push the feet away",
              "",
              new Allowed(-1, 1, ""),
              0.5,
              0.25,
              SetupParameter.Kind.TECHNIQUE,
              List.of(),
              "share of the grip along the floor: 1 pushes the feet away, -1 pulls the heels in;"
                  + " half away is what lifters do (Brazil et al. 2021)")
          .notSearched();
  static final SetupParameter OTHER_FOOT =
      new SetupParameter(
              "otherFoot",
              "Weight on the other foot",
              "",
              new Allowed(0, 0.5, ""),
              0,
              0.05,
              SetupParameter.Kind.TECHNIQUE,
              List.of(),
              "with one leg: share of what the feet carry that a foot on its heel helps with; 0.2"
                  + " to 0.3 in a staggered stance (own estimate), 0 with the foot in the air")
          .notSearched();
  static final SetupParameter REACH =
      new SetupParameter(
          "reach",
          "Knee at the long end",
          "deg",
          new Allowed(5, 60, "deg"),
          15,
          5,
          SetupParameter.Kind.SETUP,
          List.of(),
          "knee flexion with the heels slid out");

  private ThrustParameters() {}
}
