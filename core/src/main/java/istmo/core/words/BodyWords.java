package istmo.core.words;

import static istmo.core.words.Say.capital;
import static istmo.core.words.Say.say;
import static istmo.core.words.Say.side;
import static istmo.core.words.Say.trimmed;

import istmo.core.body.BodyEstimate;
import istmo.core.body.CautionFact;
import istmo.core.body.CautionFact.Advised;
import istmo.core.body.CautionFact.AskClinician;
import istmo.core.body.CautionFact.AsksSoreMovement;
import istmo.core.body.CautionFact.BendsTooFar;
import istmo.core.body.CautionFact.Forbidden;
import istmo.core.body.CautionFact.GoneAbout;
import istmo.core.body.CautionFact.Restricted;
import istmo.core.body.CautionFact.RuledOut;
import istmo.core.body.CautionFact.TroublesJoint;
import istmo.core.body.MeasurementKind;
import istmo.core.body.PainFlag;
import istmo.core.body.RangeCourse;
import istmo.core.body.Soreness;
import istmo.core.catalogue.ByWord;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.TapelessStart;
import istmo.core.catalogue.TapelessStart.FeetOnPlate;
import istmo.core.catalogue.TapelessStart.FrontHeel;
import istmo.core.catalogue.TapelessStart.StanceFound;
import istmo.core.measuring.ResistanceFit;
import istmo.core.measuring.ResistanceFit.FrictionUnknown;
import istmo.core.measuring.ResistanceFit.MeasuredBetween;
import istmo.core.quantity.DayWords;

/** What is said of a client's body and cautions, of measuring, and of exercises by word. */
public final class BodyWords {
  private BodyWords() {}

  /** What cautions, sore joints and restrictions say. */
  public static String of(CautionFact fact) {
    if (fact instanceof Forbidden forbidden) {
      return "Restriction by "
          + forbidden.restriction().by()
          + ": "
          + forbidden.restriction().text();
    }
    if (fact instanceof TroublesJoint troubles) {
      return capital(troubles.joint().label()) + ": " + troubles.how();
    }
    if (fact instanceof AsksSoreMovement asks) {
      return capital(asks.movement().joint().label()) + ": " + asked(asks);
    }
    if (fact instanceof RuledOut out) {
      return capital(out.caution().label()) + ": " + out.reason();
    }
    if (fact instanceof BendsTooFar bends) {
      return say(
          "It is said to bend the %s to %.0f°; %.0f° is the most that is allowed now.",
          bends.joint() == PainFlag.KNEE ? "knee" : "hip", bends.deg(), bends.allowedDeg());
    }
    if (fact instanceof AskClinician ask) {
      return (capital(ask.caution().label())
              + ": ask the clinician in charge first. "
              + ask.caution().reason())
          .trim();
    }
    if (fact instanceof Restricted restricted) {
      return "Restriction by "
          + restricted.restriction().by()
          + ", "
          + restricted.restriction().on()
          + ": "
          + restricted.restriction().text();
    }
    return fact instanceof GoneAbout about
        ? of(about.soreness())
        : ((Advised) fact).caution().advice();
  }

  private static String asked(AsksSoreMovement asks) {
    String pattern =
        switch (asks.movement()) {
          case DEEP_KNEE -> "It bends the knee to %.0f° under load.";
          case STRAIGHT_KNEE ->
              "It keeps %.0f %% of its knee moment in the last part of straightening.";
          case DEEP_HIP -> "It bends the hip to %.0f°.";
          case WIDE_HIP -> "It opens the hip to %.0f°.";
          case LEANING -> "The back works leaning forward by %.0f°.";
          case DEEP_ANKLE -> "It bends the ankle to %.0f°.";
        };
    return say(pattern, asks.asked());
  }

  private static String of(Soreness soreness) {
    String how =
        soreness.approach() == Soreness.Approach.LESS_RANGE
            ? say(
                "less range first: the bend is kept to %.0f°, more while it stays comfortable. Pain"
                    + " decides.",
                soreness.keptToDeg())
            : "less load first: about half of the usual at the full range, up again while it stays"
                + " comfortable. Pain decides.";
    return capital(soreness.joint().label()) + ": " + how;
  }

  /** A reading beyond what the model takes. */
  public static String of(BodyEstimate.BeyondModel beyond) {
    return say(
        "The knee-to-wall reading would say %.0f° at the ankle; %.0f° is used, the %s that the"
            + " model takes. Measure again.",
        beyond.readDeg(), beyond.usedDeg(), beyond.usedDeg() > beyond.readDeg() ? "least" : "most");
  }

  /** A joint that goes further, or less far, than it did. */
  public static String of(RangeCourse.Changed changed) {
    return say(
        "%s on %s, %s now: %s %s (±\u00a0%s).",
        capital(measured(changed.kind(), changed.before())),
        DayWords.of(changed.since()),
        measured(changed.kind(), changed.now()),
        measured(changed.kind(), Math.abs(changed.now() - changed.before())),
        changed.gained() ? "more" : "less",
        measured(changed.kind(), changed.error()));
  }

  /** A side that goes less far than the other. */
  public static String of(RangeCourse.SidesDiffer differ) {
    return say(
        "The %s side goes %s less far than the other (±\u00a0%s). Movements on both legs stop"
            + " where it does.",
        side(differ.lesser()),
        measured(differ.kind(), differ.by()),
        measured(differ.kind(), differ.error()));
  }

  /** A length in cm, to a millimetre; an angle in whole degrees. */
  private static String measured(MeasurementKind kind, double value) {
    return kind.unit().equals("m")
        ? say("%s cm", trimmed(Math.round(1000 * value) / 10.0))
        : say("%.0f°", value);
  }

  /** What is to be known of a machine's fit. */
  public static String of(ResistanceFit.Note note) {
    if (note instanceof MeasuredBetween between) {
      return say(
          "Measured from %.0f° to %.0f°; beyond that the last value is kept.",
          between.fromDeg(), between.toDeg());
    }
    return note instanceof FrictionUnknown friction
        ? "Friction is not known: pull up and let down slowly at one "
            + (friction.lever() ? "angle" : "place")
            + " at least."
        : "The angle is still generic; the mass hangs on it.";
  }

  /** Where the feet stand after a start without a tape. */
  public static String of(TapelessStart.FeetFound found) {
    if (found instanceof StanceFound stance) {
      return say(
          "Ankles %.0f cm apart, toes %.0f° out.", 100 * stance.stanceM(), stance.toeOutDeg());
    }
    if (found instanceof FeetOnPlate feet) {
      return say(
          "Ankles %.0f cm %s the line of the hips along the plate.",
          100 * Math.abs(feet.heightM()), feet.heightM() < 0 ? "below" : "above");
    }
    return say(
        "Front heel about %.0f cm in front of the bench.", 100 * ((FrontHeel) found).aheadM());
  }

  /** What stands as it was seen, instead of where it usually does. */
  public static String of(Candidate.SeenOtherwise seen) {
    return seen.parameter().label()
        + " "
        + MovementWords.value(seen.parameter(), seen.seen())
        + " instead of "
        + MovementWords.value(seen.parameter(), seen.usual())
        + ". Seen on "
        + DayWords.of(seen.on())
        + ".";
  }

  /** Why an exercise is told apart from what is computed. */
  public static String of(ByWord.NotComputed not) {
    return not.own()
        ? "Your own exercise: Istmo counts it by your word and does not compute it."
        : "By word, not computed. " + not.why();
  }

  /** What was used by word is computed now. */
  public static String of(ByWord.ComputedNow now) {
    return "Istmo computes it now: swap it for \"" + now.name() + "\".";
  }
}
