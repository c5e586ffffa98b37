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
    Known known = new Known(readings, EnumSet.noneOf(MeasurementKind.class));
    Body base =
        new Intake(
                known.value(MeasurementKind.STATURE, intake.statureM()),
                known.value(MeasurementKind.MASS, intake.massKg()),
                intake.sex(),
                intake.thigh(),
                intake.ankle())
            .body();
    double thigh = known.value(MeasurementKind.THIGH, base.thighM());
    double shank = known.value(MeasurementKind.SHANK, base.shankM());
    // what thigh and shank differ from their estimates, an unmeasured trunk gives or takes: the
    // stature stays
    double trunk =
        known.value(
            MeasurementKind.TRUNK,
            base.trunkM() - (thigh - base.thighM()) - (shank - base.shankM()));
    double foot = known.value(MeasurementKind.FOOT, base.footM());
    List<BeyondModel> notes = new ArrayList<>();
    double ankle = known.ankleRad(base, shank, foot, notes);
    double hip = known.limitRad(MeasurementKind.HIP_FLEXION, base.hipFlexionLimitRad());
    double knee = known.limitRad(MeasurementKind.KNEE_FLEXION, base.kneeFlexionLimitRad());
    double opening = known.limitRad(MeasurementKind.HIP_OPENING, base.hipOpeningLimitRad());
    double grip = known.lesser(MeasurementKind.GRIP, base.gripKg());
    Body body =
        base.withLengths(thigh, shank, trunk)
            .withFoot(foot)
            .withLimits(ankle, hip, knee)
            .withHipOpening(opening)
            .withGrip(grip)
            .withGirths(
                new Girths(
                    readings.value(MeasurementKind.THIGH_GIRTH),
                    readings.value(MeasurementKind.CALF_GIRTH)));
    return new BodyEstimate(body, known.measured(), notes);
  }

  /** Readings where there are some, estimates elsewhere; and which of them were measured. */
  private record Known(Readings readings, Set<MeasurementKind> measured) {
    private double value(MeasurementKind kind, double estimate) {
      return take(readings.value(kind), kind, estimate);
    }

    private double lesser(MeasurementKind kind, double estimate) {
      return take(readings.lesser(kind), kind, estimate);
    }

    private double limitRad(MeasurementKind kind, double estimateRad) {
      return Math.toRadians(lesser(kind, Math.toDegrees(estimateRad)));
    }

    /** How far the ankle bends; a note where that is beyond what the model takes. */
    private double ankleRad(Body base, double shankM, double footM, List<BeyondModel> notes) {
      OptionalDouble wall = readings.lesser(MeasurementKind.KNEE_TO_WALL);
      if (wall.isEmpty()) {
        return base.dorsiflexionLimitRad();
      }
      measured.add(MeasurementKind.KNEE_TO_WALL);
      double angleDeg = Math.toDegrees(dorsiflexion(wall.getAsDouble(), shankM, footM));
      double used = Body.DORSIFLEXION_DEG.nearest(angleDeg);
      if (used != angleDeg) {
        notes.add(new BeyondModel(angleDeg, used));
      }
      return Math.toRadians(used);
    }

    private double take(OptionalDouble reading, MeasurementKind kind, double estimate) {
      if (reading.isEmpty()) {
        return estimate;
      }
      measured.add(kind);
      return reading.getAsDouble();
    }
  }

  /**
   * Dorsiflexion in the knee-to-wall lunge, rad, by geometry: the knee's centre stands a kneecap
   * behind the wall, the ankle three quarters of a foot behind the toes, the shank between them.
   */
  public static double dorsiflexion(double toeToWallM, double shankM, double footM) {
    double ahead = toeToWallM + (1 - Segments.ANKLE_FROM_HEEL) * footM - KNEECAP_M;
    return Math.asin(Math.max(-1, Math.min(1, ahead / shankM)));
  }
}
