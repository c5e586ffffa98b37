package istmo.core.movement.family;

import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Allowed;

/** What can be set on a thrust, a bridge or a sliding curl beside stance and grip of the feet. */
final class ThrustParameters {
  static final SetupParameter BENCH =
      SetupParameter.of(
          "benchHeight",
          "Under the upper back",
          new Allowed(0.05, 0.60, "m"),
          0.38,
          0.02,
          SetupParameter.Kind.SETUP,
          "height of the edge that the upper back rests on; 5 cm stands for the floor");
  static final SetupParameter FOOT_HEIGHT =
      SetupParameter.of(
          "footHeight",
          "Under the feet",
          new Allowed(0, 0.50, "m"),
          0,
          0.05,
          SetupParameter.Kind.SETUP,
          "plate or box under the feet");
  static final SetupParameter SHIN =
      SetupParameter.of(
          "shin",
          "Shin at the top",
          new Allowed(-35, 35, "deg"),
          0,
          5,
          SetupParameter.Kind.SETUP,
          "from the vertical; the further out the feet stand, the more, and the less the knees"
              + " bend; 0 is upright (common practice)");
  static final SetupParameter DROP =
      SetupParameter.of(
          "drop",
          "Hip bend at the bottom",
          new Allowed(20, 110, "deg"),
          80,
          5,
          SetupParameter.Kind.SETUP,
          "hip flexion at the bottom; the top is open");
  static final SetupParameter KNEES_OUT =
      SetupParameter.of(
          "kneesOut",
          "Knees apart",
          new Allowed(0, 60, "deg"),
          10,
          5,
          SetupParameter.Kind.SETUP,
          "each thigh from straight ahead; 45 and more with the soles together");
  static final SetupParameter AWAY =
      SetupParameter.of(
              "away",
              "Push the feet away",
              new Allowed(-1, 1, ""),
              0.5,
              0.25,
              SetupParameter.Kind.TECHNIQUE,
              "share of the grip along the floor: 1 pushes the feet away, -1 pulls the heels in;"
                  + " half away is what lifters do (Brazil et al. 2021)")
          .notSearched();
  static final SetupParameter OTHER_FOOT =
      SetupParameter.of(
              "otherFoot",
              "Weight on the other foot",
              new Allowed(0, 0.5, ""),
              0,
              0.05,
              SetupParameter.Kind.TECHNIQUE,
              "with one leg: share of what the feet carry that a foot on its heel helps with; 0.2"
                  + " to 0.3 in a staggered stance (own estimate), 0 with the foot in the air")
          .notSearched();
  static final SetupParameter REACH =
      SetupParameter.of(
          "reach",
          "Knee at the long end",
          new Allowed(5, 60, "deg"),
          15,
          5,
          SetupParameter.Kind.SETUP,
          "knee flexion with the heels slid out");

  private ThrustParameters() {}
}
