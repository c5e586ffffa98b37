package istmo.core.body;

import istmo.core.anatomy.Segments;
import istmo.core.quantity.Fact;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * A body from the intake and whatever has been measured.
 *
 * @param measured kinds that come from readings; everything else is estimated from stature, mass
 *     and the intake's words
 * @param notes readings that could not be used as they are, in words
 */
public record BodyEstimate(Body body, Set<MeasurementKind> measured, List<BeyondModel> notes) {
  /** An ankle that a reading makes less or more than the model takes, deg: what is used instead. */
  public record BeyondModel(double readDeg, double usedDeg) implements Fact {}

  /**
   * Front of the kneecap in front of the knee's centre when the knee is bent against a wall, m (own
   * estimate).
   */
  static final double KNEECAP_M = 0.05;

  public BodyEstimate {
    measured = Set.copyOf(measured);
    notes = List.copyOf(notes);
  }

  /** The same body that moves as it was seen to. */
  public BodyEstimate moving(Technique seen) {
    return new BodyEstimate(body.moving(seen), measured, notes);
  }

  /** The body that intake and readings say, and which of it is measured. */
  public static BodyEstimate of(Intake intake, Readings readings) {
    Set<MeasurementKind> measured = EnumSet.noneOf(MeasurementKind.class);
    double stature =
        take(
            readings.value(MeasurementKind.STATURE),
            MeasurementKind.STATURE,
            measured,
            intake.statureM());
    double mass =
        take(readings.value(MeasurementKind.MASS), MeasurementKind.MASS, measured, intake.massKg());
    Body base = new Intake(stature, mass, intake.sex(), intake.thigh(), intake.ankle()).body();
    double thigh =
        take(readings.value(MeasurementKind.THIGH), MeasurementKind.THIGH, measured, base.thighM());
    double shank =
        take(readings.value(MeasurementKind.SHANK), MeasurementKind.SHANK, measured, base.shankM());
    // what thigh and shank differ from their estimates, an unmeasured trunk gives or takes: the
    // stature stays
    double trunk =
        take(
            readings.value(MeasurementKind.TRUNK),
            MeasurementKind.TRUNK,
            measured,
            base.trunkM() - (thigh - base.thighM()) - (shank - base.shankM()));
    double foot =
        take(readings.value(MeasurementKind.FOOT), MeasurementKind.FOOT, measured, base.footM());
    Body body = base.withLengths(thigh, shank, trunk).withFoot(foot);
    List<BeyondModel> notes = new ArrayList<>();
    double ankle = base.dorsiflexionLimitRad();
    OptionalDouble wall = readings.lesser(MeasurementKind.KNEE_TO_WALL);
    if (wall.isPresent()) {
      measured.add(MeasurementKind.KNEE_TO_WALL);
      double angleDeg = Math.toDegrees(dorsiflexion(wall.getAsDouble(), shank, foot));
      double used = Body.DORSIFLEXION_DEG.nearest(angleDeg);
      if (used != angleDeg) {
        notes.add(new BeyondModel(angleDeg, used));
      }
      ankle = Math.toRadians(used);
    }
    double hip =
        Math.toRadians(
            take(
                readings.lesser(MeasurementKind.HIP_FLEXION),
                MeasurementKind.HIP_FLEXION,
                measured,
                Math.toDegrees(base.hipFlexionLimitRad())));
    double knee =
        Math.toRadians(
            take(
                readings.lesser(MeasurementKind.KNEE_FLEXION),
                MeasurementKind.KNEE_FLEXION,
                measured,
                Math.toDegrees(base.kneeFlexionLimitRad())));
    double opening =
        Math.toRadians(
            take(
                readings.lesser(MeasurementKind.HIP_OPENING),
                MeasurementKind.HIP_OPENING,
                measured,
                Math.toDegrees(base.hipOpeningLimitRad())));
    double grip =
        take(readings.lesser(MeasurementKind.GRIP), MeasurementKind.GRIP, measured, base.gripKg());
    return new BodyEstimate(
        body.withLimits(ankle, hip, knee).withHipOpening(opening).withGrip(grip), measured, notes);
  }

  /**
   * Dorsiflexion in the knee-to-wall lunge, rad, by geometry: the knee's centre stands a kneecap
   * behind the wall, the ankle three quarters of a foot behind the toes, the shank between them.
   */
  public static double dorsiflexion(double toeToWallM, double shankM, double footM) {
    double ahead = toeToWallM + (1 - Segments.ANKLE_FROM_HEEL) * footM - KNEECAP_M;
    return Math.asin(Math.max(-1, Math.min(1, ahead / shankM)));
  }

  private static double take(
      OptionalDouble reading,
      MeasurementKind kind,
      Set<MeasurementKind> measured,
      double estimate) {
    if (reading.isEmpty()) {
      return estimate;
    }
    measured.add(kind);
    return reading.getAsDouble();
  }
}
