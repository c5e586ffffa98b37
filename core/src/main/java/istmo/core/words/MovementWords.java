package istmo.core.words;

import static istmo.core.words.Say.say;
import static java.lang.Math.toDegrees;

import istmo.core.mechanics.AnalysisFact;
import istmo.core.mechanics.AnalysisFact.AboveLimit;
import istmo.core.mechanics.AnalysisFact.BodyWeightEndsIt;
import istmo.core.mechanics.AnalysisFact.BodyWeightTooMuch;
import istmo.core.mechanics.AnalysisFact.TooLightForBalance;
import istmo.core.mechanics.AnalysisFact.Tucks;
import istmo.core.mechanics.AnalysisFact.TucksTooFar;
import istmo.core.movement.Hindrance;
import istmo.core.movement.Obstacle;
import istmo.core.movement.Obstacle.AnkleBendsLess;
import istmo.core.movement.Obstacle.HipOpensLess;
import istmo.core.movement.Obstacle.HipWouldOpen;
import istmo.core.movement.Obstacle.HipsOnFloor;
import istmo.core.movement.Obstacle.KneeBendsLess;
import istmo.core.movement.Obstacle.LeansTooFar;
import istmo.core.movement.Obstacle.LeverStop;
import istmo.core.movement.Obstacle.MachineStop;
import istmo.core.movement.Obstacle.PelvisTucks;
import istmo.core.movement.Obstacle.PlateEnds;
import istmo.core.movement.Obstacle.RearHipOpensLess;
import istmo.core.movement.Obstacle.RearKneeOnFloor;
import istmo.core.movement.Obstacle.RearLegTooShort;
import istmo.core.movement.Obstacle.WeightOnFloor;
import istmo.core.movement.Reach;
import istmo.core.movement.SetupParameter;
import istmo.core.quantity.Fact;

/**
 * What is said of postures and set-ups: why one cannot be taken, what was changed for a body, and
 * what an analysis found beside its figures.
 */
public final class MovementWords {
  private MovementWords() {}

  /** Why a posture cannot be taken or held. */
  public static String reason(Fact why) {
    if (why instanceof Obstacle obstacle) {
      return obstacle instanceof Hindrance hindrance ? reason(hindrance) : measured(obstacle);
    }
    return of((AnalysisFact) why);
  }

  /** What is missing for it, and how much: a part of a sentence. */
  public static String missing(Fact why) {
    if (why instanceof Obstacle obstacle) {
      return obstacle instanceof Hindrance hindrance ? missing(hindrance) : missing(obstacle);
    }
    return why instanceof BodyWeightTooMuch much
        ? much.helpKg() < 1
            ? say("less than 1 kg of help")
            : say("about %.0f kg of help", much.helpKg())
        : "more load, or less help";
  }

  /** The reason and what is missing, in two sentences. */
  public static String both(Fact why) {
    return reason(why) + " Missing: " + missing(why) + ".";
  }

  private static String measured(Obstacle obstacle) {
    if (obstacle instanceof AnkleBendsLess ankle) {
      return say(
          "The heels would lift: the ankle would have to bend to %.0f°.",
          toDegrees(ankle.neededRad()));
    }
    if (obstacle instanceof KneeBendsLess knee) {
      return say("The knee would have to close to %.0f°.", toDegrees(knee.neededRad()));
    }
    if (obstacle instanceof HipOpensLess hip) {
      return say(
          "The hip would open to %.0f°; this client's opens to %.0f°.",
          toDegrees(hip.neededRad()), toDegrees(hip.mostRad()));
    }
    if (obstacle instanceof HipWouldOpen hip) {
      return say("The hip would open to %.0f°.", toDegrees(hip.neededRad()));
    }
    if (obstacle instanceof LeansTooFar lean) {
      return say(
          "Deeper, the trunk would lean by more than %.0f°, and the load would not stay where it is"
              + " held.",
          toDegrees(lean.mostRad()));
    }
    if (obstacle instanceof PelvisTucks tuck) {
      return say("Deeper, the pelvis would tuck by more than %.0f°.", toDegrees(tuck.mostRad()));
    }
    if (obstacle instanceof RearHipOpensLess hip) {
      return say("The rear hip would have to open back to %.0f°.", toDegrees(hip.neededRad()));
    }
    return blocked(obstacle);
  }

  private static String blocked(Obstacle obstacle) {
    if (obstacle instanceof MachineStop || obstacle instanceof LeverStop) {
      return "The machine's stop ends the repetition before that.";
    }
    if (obstacle instanceof PlateEnds) {
      return "The foot plate ends above the heels.";
    }
    if (obstacle instanceof WeightOnFloor weight) {
      return say("The weight is on the floor %.0f cm before the bottom.", 100 * weight.earlyM());
    }
    if (obstacle instanceof HipsOnFloor) {
      return "The hips are on the floor.";
    }
    return obstacle instanceof RearKneeOnFloor
        ? "The rear knee is on the floor."
        : "The rear leg does not reach back that far.";
  }

  private static String missing(Obstacle obstacle) {
    if (obstacle instanceof AnkleBendsLess ankle) {
      return say(
          "%s of ankle beyond this client's %.0f°",
          some(toDegrees(ankle.neededRad() - ankle.mostRad()), "°"), toDegrees(ankle.mostRad()));
    }
    if (obstacle instanceof KneeBendsLess knee) {
      return say(
          "%s of knee flexion beyond this client's %.0f°",
          some(toDegrees(knee.neededRad() - knee.mostRad()), "°"), toDegrees(knee.mostRad()));
    }
    if (obstacle instanceof HipOpensLess hip) {
      return say(
          "%.0f° of hip opening, or a narrower stance",
          toDegrees(hip.neededRad()) - toDegrees(hip.mostRad()));
    }
    if (obstacle instanceof HipWouldOpen hip) {
      return say("%.0f° of hip opening", toDegrees(hip.neededRad() - hip.mostRad()));
    }
    if (obstacle instanceof LeansTooFar) {
      return "a heel wedge, more knee travel, or less depth";
    }
    if (obstacle instanceof PelvisTucks tuck) {
      return say("%.0f° of hip flexion", toDegrees(tuck.tuckRad()));
    }
    if (obstacle instanceof RearHipOpensLess) {
      return "a shorter stride, more lean, or more weight on the rear foot";
    }
    return missingRoom(obstacle);
  }

  private static String missingRoom(Obstacle obstacle) {
    if (obstacle instanceof MachineStop stop) {
      return say("%.0f cm of travel", upCm(stop.shortM()));
    }
    if (obstacle instanceof LeverStop stop) {
      return say("%.0f° of travel", toDegrees(stop.shortRad()));
    }
    if (obstacle instanceof PlateEnds plate) {
      return say("%.0f cm of plate", 100 * plate.shortM());
    }
    if (obstacle instanceof WeightOnFloor) {
      return "less depth, or stand on two boxes";
    }
    if (obstacle instanceof HipsOnFloor hips) {
      return say("%.0f cm of bench height, or less hip bend", upCm(hips.shortM()));
    }
    return obstacle instanceof RearKneeOnFloor knee
        ? say("%.0f cm under the front foot, or less depth", upCm(knee.shortM()))
        : say("a stride %.0f cm shorter", upCm(((RearLegTooShort) obstacle).shortM()));
  }

  /** How much is missing: nothing is never said to be missing. */
  private static String some(double much, String unit) {
    return much < 1 ? "less than 1" + unit : say("%.0f%s", much, unit);
  }

  /** Whole centimetres, upwards: what is missing is given whole. */
  private static double upCm(double m) {
    return Math.ceil(100 * m);
  }

  private static String reason(Hindrance hindrance) {
    return switch (hindrance) {
      case ARMS_TOO_SHORT -> "The arms do not reach.";
      case BAR_OUT_OF_REACH -> "These arms do not reach the bar from there.";
      case BAR_OVER_TOES -> "The bar would pull over the toes.";
      case BENCH_TOO_LOW -> "The feet stand too high or the bench too low for these legs.";
      case BODY_NOT_OVER_BALLS -> "The body cannot be brought over the balls of the feet.";
      case BOX_DOES_NOT_FIT -> "The box is too low or too high for this leg.";
      case FALLS_BACKWARDS ->
          "This build would fall backwards: no trunk lean brings the weight over the feet.";
      case FEET_TOO_FAR_OUT -> "The feet are further out than the leg reaches at this knee bend.";
      case FEET_TOO_HIGH_ON_PLATE ->
          "The feet are further up the plate than the leg reaches at this knee bend.";
      case FEET_MEET_FLOOR -> "The heels would go through the floor.";
      case FEET_TOO_NEAR -> "The feet stand too near for the other leg to stay straight.";
      case FEET_WOULD_SLIP -> "The feet would slip away under the push of the track.";
      case FLOOR_OUT_OF_REACH -> "The leg does not reach the floor.";
      case FRONT_KNEE_BENT_AT_TOP ->
          "With the feet so far apart the front knee is bent further already at the top.";
      case FRONT_LEG_TOO_SHORT -> "The front leg does not reach.";
      case HEELS_OUT_OF_REACH -> "The heels do not reach the floor.";
      case HIPS_NOT_OVER_BALLS -> "The hips cannot be brought over the balls of the feet.";
      case HIP_BENDS_LESS -> "The hip does not bend so far.";
      case HIP_BENDS_LESS_LEANING -> "The hip does not bend so far.";
      case HIP_OPENS_BACK_LESS -> "The hip does not open back so far.";
      case LEG_CANNOT_FOLLOW_TRACK -> "With the feet there no leg position follows the track.";
      case LEG_TOO_SHORT -> "The leg does not reach.";
      case LEVER_MISSES_KNEE_BEND ->
          "The lever's circle does not bring the hips to this knee bend.";
      case NO_BALANCE_BETWEEN_FEET ->
          "No place of the hips brings the weight between the feet as wished.";
      case NO_BALANCE_ON_BALLS -> "No shin angle balances the body over the balls of the feet.";
      case NO_BALANCE_ON_FOOT -> "No place of the hips brings the weight over the foot.";
      case NO_LOAD_HELD -> "No load in a sensible range can be held here.";
      case NO_RANGE_BELOW_TOP -> "The range is empty.";
      case NO_RANGE_BETWEEN_KNEES -> "The range is empty.";
      case NO_RANGE_BEYOND_START -> "The range is empty.";
      case NO_RANGE_OF_BEND -> "The range is empty.";
      case NO_ROOM_FOR_HIPS -> "The hips cannot go down so far between bench and feet.";
      case NO_SHIN_ANGLE_BALANCES -> "No shin angle brings load and body over the feet.";
      case OTHER_FOOT_NOT_STANDING -> "The other foot does not stand.";
      case OUT_OF_REACH -> "Out of reach.";
      case PIVOT_OVER_FEET -> "The pivot lies over the feet: such a lever does not go up and down.";
      case PLATE_CANNOT_HOLD_LEVER -> "With the feet there the plate cannot hold the lever.";
      case PLATE_OUT_OF_REACH -> "The leg does not reach the plate.";
      case PULLED_OFF_FOOT -> "The weight in one hand pulls the body off its foot.";
      case REAR_LEG_FOLDS_LESS -> "The rear leg cannot fold that far.";
      case SHIN_CANNOT_FOLLOW_TRACK -> "With the feet there the shin cannot follow the track.";
      case STANCE_TOO_WIDE -> "The stance is too wide for this thigh.";
      case TIPS_BACKWARDS -> "The body would tip backwards over the feet.";
      case WEIGHT_BEHIND_HEELS -> "The weight would fall behind the heels.";
      case WEIGHT_OUT_OF_REACH -> "The arms do not reach the weight.";
    };
  }

  private static String missing(Hindrance hindrance) {
    return switch (hindrance) {
      case ARMS_TOO_SHORT, WEIGHT_OUT_OF_REACH -> "less trunk lean";
      case BAR_OUT_OF_REACH -> "a higher bar, or more shin lean";
      case BAR_OVER_TOES, WEIGHT_BEHIND_HEELS -> "another shin lean or shoulder place";
      case BENCH_TOO_LOW -> "a higher bench, or lower feet";
      case BODY_NOT_OVER_BALLS, HIPS_NOT_OVER_BALLS -> "less knee bend";
      case BOX_DOES_NOT_FIT -> "another box";
      case FALLS_BACKWARDS -> "more knee travel, a heel wedge, or less depth";
      case FEET_TOO_FAR_OUT -> "feet nearer the hips, or less knee bend";
      case FEET_TOO_HIGH_ON_PLATE -> "feet lower, or less knee bend";
      case FEET_WOULD_SLIP -> "feet nearer the track";
      case FLOOR_OUT_OF_REACH -> "another place for the feet";
      case FEET_MEET_FLOOR -> "legs higher at the start, or straighter knees";
      case FEET_TOO_NEAR -> "feet further apart, or less depth";
      case FRONT_KNEE_BENT_AT_TOP -> "a shorter stride, or more depth";
      case FRONT_LEG_TOO_SHORT -> "another stride";
      case HEELS_OUT_OF_REACH -> "another range";
      case HIP_BENDS_LESS, HIP_OPENS_BACK_LESS -> "a smaller range";
      case HIP_BENDS_LESS_LEANING -> "less lean";
      case LEG_CANNOT_FOLLOW_TRACK, SHIN_CANNOT_FOLLOW_TRACK ->
          "move the feet, or change the trunk lean";
      case LEG_TOO_SHORT -> "feet nearer the hips";
      case LEVER_MISSES_KNEE_BEND -> "less knee bend, or feet elsewhere on the plate";
      case NO_BALANCE_BETWEEN_FEET -> "another stride, lean or share on the rear foot";
      case NO_BALANCE_ON_BALLS -> "a hand on a post, or less depth";
      case NO_BALANCE_ON_FOOT, NO_SHIN_ANGLE_BALANCES -> "less trunk lean or more knee bend";
      case NO_LOAD_HELD, OUT_OF_REACH -> "another set-up";
      case NO_RANGE_BELOW_TOP -> "a bottom below the top";
      case NO_RANGE_BETWEEN_KNEES -> "knees further apart at the open end";
      case NO_RANGE_BEYOND_START -> "an end beyond the start";
      case NO_RANGE_OF_BEND -> "a bent end beyond the straight end";
      case NO_ROOM_FOR_HIPS -> "less hip bend at the bottom, or another place for the feet";
      case OTHER_FOOT_NOT_STANDING -> "a rear foot on the floor or a bench";
      case PIVOT_OVER_FEET ->
          "a pivot at least 40\u00a0cm behind or in front of the plate's middle";
      case PLATE_CANNOT_HOLD_LEVER -> "feet elsewhere on the plate";
      case PLATE_OUT_OF_REACH -> "feet lower";
      case PULLED_OFF_FOOT -> "a lighter weight, or both hands";
      case REAR_LEG_FOLDS_LESS -> "a longer stride";
      case STANCE_TOO_WIDE -> "a narrower stance, or toes further out";
      case TIPS_BACKWARDS -> "less lean, or help of the hands";
    };
  }

  /** What was changed in a set-up for this body, and why. */
  public static String of(Reach.Moved moved) {
    return moved.parameter().label()
        + " "
        + value(moved.parameter(), moved.reached())
        + " instead of "
        + value(moved.parameter(), moved.wished())
        + ". "
        + reason(moved.why());
  }

  /** What an analysis found beside its figures. */
  public static String of(AnalysisFact fact) {
    if (fact instanceof BodyWeightTooMuch) {
      return "Body weight alone is more than this posture can hold.";
    }
    if (fact instanceof TooLightForBalance light) {
      return say("%.0f kg is too light to be held in balance here.", light.kg());
    }
    if (fact instanceof AnalysisFact.LeansTooFar lean) {
      return say(
          "The trunk leans by %.0f° at the bottom; beyond about %.0f° the load does not stay where"
              + " it is held. Stop higher, or raise the heels.",
          toDegrees(lean.rad()), toDegrees(lean.mostRad()));
    }
    if (fact instanceof TucksTooFar tuck) {
      return say(
          "The pelvis tucks by %.0f° at the bottom; up to %.0f° is usually let pass here. Stop"
              + " higher, or set up so that the hip bends less.",
          toDegrees(tuck.rad()), toDegrees(tuck.mostRad()));
    }
    if (fact instanceof Tucks tuck) {
      return say("The pelvis tucks by %.0f° at the bottom.", toDegrees(tuck.rad()));
    }
    if (fact instanceof AboveLimit above) {
      return say("%.0f kg is above the fresh limit of %.0f kg.", above.kg(), above.limitKg());
    }
    return say(
        "Body weight alone ends it after %d repetitions.", ((BodyWeightEndsIt) fact).repetitions());
  }

  /**
   * The value of a set-up's parameter: centimetres to the half, whole degrees, the name of a
   * choice, a share in per cent.
   */
  public static String value(SetupParameter parameter, double value) {
    if (!parameter.choices().isEmpty()) {
      return parameter.choices().get((int) Math.round(value));
    }
    return switch (parameter.unit()) {
      case "m" -> say("%s cm", tenths(Math.round(200 * value) / 2.0));
      case "deg" -> say("%.0f°", value);
      case "kg" -> say("%s kg", tenths(Math.round(10 * value) / 10.0));
      default -> say("%.0f %%", 100 * value);
    };
  }

  private static String tenths(double v) {
    return v == Math.rint(v) ? String.valueOf((long) v) : String.valueOf(v);
  }
}
