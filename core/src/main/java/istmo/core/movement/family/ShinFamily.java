package istmo.core.movement.family;

import static istmo.core.movement.Parameters.LEGS;

import istmo.core.anatomy.Coordinate;
import istmo.core.anatomy.Segments;
import istmo.core.body.Body;
import istmo.core.movement.Family;
import istmo.core.movement.Handle;
import istmo.core.movement.Handle.Part;
import istmo.core.movement.Load;
import istmo.core.movement.Parameters;
import istmo.core.movement.PostureBuilder;
import istmo.core.movement.PostureResult;
import istmo.core.movement.Setup;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Allowed;
import istmo.core.quantity.Vec3;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;

/**
 * Shin raise: sitting with the lower leg hanging or lying level, a weight on the front of the foot
 * goes up and down with the ankle. Only the ankle is held by muscles.
 */
public final class ShinFamily implements Family {
  static final SetupParameter KNEE =
      SetupParameter.of(
          "kneeBend",
          "Knee bend",
          new Allowed(0, 110, "deg"),
          90,
          10,
          SetupParameter.Kind.SETUP,
          "90 with the lower leg hanging, 0 with the leg level on a bench");
  static final SetupParameter LOW =
      SetupParameter.of(
          "drop",
          "Ankle at the bottom",
          new Allowed(0, 50, "deg"),
          35,
          5,
          SetupParameter.Kind.SETUP,
          "plantarflexion at the bottom");
  static final SetupParameter HIGH =
      SetupParameter.of(
          "lift",
          "Ankle at the top",
          new Allowed(-10, 25, "deg"),
          10,
          5,
          SetupParameter.Kind.SETUP,
          "dorsiflexion at the top");
  static final SetupParameter HANGS =
      SetupParameter.of(
          "hangs",
          "Weight below the foot",
          new Allowed(0, 0.3, "m"),
          0.10,
          0.02,
          SetupParameter.Kind.SETUP,
          "a kettlebell on the foot hangs below it; a roller lies on it");

  /**
   * Where the weight presses, from the ball of the foot towards the ankle, as a share of the way.
   */
  private static final double ON_FOOT = 0.15;

  @Override
  public String id() {
    return "shin-raise";
  }

  @Override
  public List<SetupParameter> parameters() {
    return List.of(KNEE, LOW, HIGH, HANGS, LEGS.usually(1));
  }

  @Override
  public List<Handle> handles() {
    return Handle.among(parameters(), new Handle("drop", Part.TOE));
  }

  @Override
  public boolean balances() {
    return false;
  }

  @Override
  public int legs(Setup setup) {
    return Parameters.legs(setup);
  }

  @Override
  public Optional<SetupParameter> depth() {
    return Optional.of(LOW);
  }

  @Override
  public PostureResult posture(Body body, Setup setup, double phase, double loadKg) {
    double ankleAngle = setup.rad(HIGH) - phase * (setup.rad(LOW) + setup.rad(HIGH));
    double hipFlexion = Math.PI / 2;
    PostureBuilder builder =
        LegGeometry.chain(
            new PostureBuilder(body, phase),
            body,
            new Vec3(0, 0.6, body.hipHalfDistanceM()),
            0,
            hipFlexion,
            setup.rad(KNEE),
            ankleAngle);
    double ballAhead = (Segments.BALL_FROM_HEEL - Segments.ANKLE_FROM_HEEL) * body.footM();
    Vec3 shankUp = builder.knee().minus(builder.ankle()).unit();
    Vec3 normal = shankUp.turnedAboutZ(ankleAngle);
    Vec3 toe = normal.turnedAboutZ(-Math.PI / 2);
    Vec3 at =
        builder
            .ankle()
            .plus(-body.ankleHeightM() * 0.5, normal)
            .plus((1 - ON_FOOT) * ballAhead, toe);
    builder
        .pressureAt(at)
        .load(
            Load.force(
                Load.Segment.FOOT, at, Vec3.ZERO, new Vec3(0, -Load.G / Parameters.legs(setup), 0)))
        .legWeights();
    builder
        .prop("weight", at.plus(new Vec3(0, -setup.get(HANGS), 0)))
        .prop("pad", new Vec3(-0.15, 0.5, 0), new Vec3(0.36, 0.5, 0));
    return builder.build(EnumSet.of(Coordinate.ANKLE_DORSIFLEXION));
  }
}
