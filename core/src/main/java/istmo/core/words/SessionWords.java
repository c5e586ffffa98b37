package istmo.core.words;

import static istmo.core.words.Say.capital;
import static istmo.core.words.Say.say;
import static istmo.core.words.Say.side;
import static istmo.core.words.Say.trimmed;

import istmo.core.body.Measurement.Side;
import istmo.core.catalogue.Catalogue;
import istmo.core.plan.Arrangement;
import istmo.core.plan.Block;
import istmo.core.plan.Drops;
import istmo.core.plan.Offers;
import istmo.core.plan.Pairing;
import istmo.core.plan.Pairing.BothLoadBack;
import istmo.core.plan.Pairing.SameMuscles;
import istmo.core.plan.Pairing.TwoStations;
import istmo.core.plan.Prescription;
import istmo.core.plan.Remarks.GivesOut;
import istmo.core.plan.Remarks.Ladder;
import istmo.core.plan.Remarks.RangeFirst;
import istmo.core.plan.Remarks.Remark;
import istmo.core.plan.Remarks.Strung;
import istmo.core.plan.Remarks.WeakerLegFirst;
import istmo.core.plan.Scheme;
import istmo.core.plan.SetNote;
import istmo.core.plan.SetNote.AsStrung;
import istmo.core.plan.SetNote.AtOnce;
import istmo.core.plan.SetNote.FirstLightSet;
import istmo.core.plan.WorkingLoad;
import istmo.core.plan.WorkingLoad.ByRecord;
import istmo.core.plan.WorkingLoad.FirstLoad;
import istmo.core.plan.WorkingLoad.LastTime;
import istmo.core.quantity.DayWords;
import istmo.core.training.Calibration;
import istmo.core.training.LoadEstimate;
import istmo.core.training.RackHeights;
import java.util.stream.Collectors;

/**
 * What is said of exercises as they are prescribed: loads and what they rest on, single sets, the
 * order in a session, the weeks of a block.
 */
public final class SessionWords {
  private static final String[] TOES = {"toes straight", "toes out", "toes in"};

  private SessionWords() {}

  /** What a first load rests on: a part of a sentence. */
  public static String of(LoadEstimate.Basis basis) {
    String from =
        switch (basis.from()) {
          case OWN_LIFT -> "from this exercise's own lift, ±10 %";
          case MODEL_AND_USUAL ->
              "from another lift, by the model and by what lifters usually handle beside it (common"
                  + " practice); the light side of both";
          case MODEL ->
              "by the model from another lift, which errs by about a quarter; the light side of it";
        };
    return basis.share() < 1
        ? from + say("; %.0f %% of it to begin with", 100 * basis.share())
        : from;
  }

  /** What a working load rests on: a part of a sentence. */
  public static String of(WorkingLoad.Basis basis) {
    if (basis instanceof LastTime last) {
      return say(
          "from %s kg for %d, %s in reserve, on %s%s",
          trimmed(last.set().loadKg()),
          last.set().repetitions(),
          trimmed(last.set().reserve()),
          DayWords.of(last.on()),
          ofIt(last.share()));
    }
    if (basis instanceof FirstLoad first) {
      return of(first.estimate()) + ofIt(first.share());
    }
    if (basis instanceof ByRecord record) {
      return RecordWords.of(record.why());
    }
    return ((WorkingLoad.Unknown) basis).bodyWeight()
        ? "body weight"
        : "no lift of this client tells: begin light, find it in the warm-up sets";
  }

  private static String ofIt(double share) {
    return share < 1
        ? say(", %.0f %% of it", 100 * share)
        : share > 1 ? say(", %+.1f %%", 100 * (share - 1)) : "";
  }

  /** How strong a client is beside what is usual, and by which lifts. */
  public static String of(Calibration calibration) {
    String names =
        calibration.from().stream()
            .map(id -> Catalogue.standard().candidate(id).name())
            .collect(Collectors.joining(", "));
    return say(
        "From %s: legs %.2f, back %.2f of what is usual for this mass and stature.",
        names, calibration.legs(), calibration.back());
  }

  /** What speaks against two exercises in turn. */
  public static String of(Pairing.Trouble trouble) {
    if (trouble instanceof BothLoadBack both) {
      return say("%s and %s both load the lower back.", both.first(), both.second());
    }
    if (trouble instanceof SameMuscles same) {
      return say(
          "%s and %s tire the same muscles: the second starts tired.", same.first(), same.second());
    }
    TwoStations two = (TwoStations) trouble;
    return say("%s and %s hold two stations at once.", two.first(), two.second());
  }

  /** Why a bout stands where it does: a part of a sentence. */
  public static String of(Arrangement.Place place) {
    return place.easesKnee()
        ? "light and smooth for the sore knee: first, if it is kept light"
        : place.role().reason();
  }

  /** What speaks against an exercise before another. */
  public static String of(Arrangement.Before before) {
    return say(
        "%s before %s: %s is %s.",
        before.first(), before.second(), before.second(), before.roleOfSecond().reason());
  }

  /** "after the last set twice 20 % less, at once". */
  public static String of(Drops drops) {
    String times =
        switch (drops.number()) {
          case 1 -> "once";
          case 2 -> "twice";
          default -> drops.number() + " times";
        };
    return (drops.everySet() ? "after every set " : "after the last set ")
        + times
        + (drops.less() > 0
            ? say(" %.0f %% less", 100 * drops.less())
            : " the same load in an easier set-up")
        + (drops.easier().isEmpty() ? "" : " (" + drops.easier() + ")")
        + ", at once";
  }

  /** How the sets are strung together; empty for straight sets. */
  public static String stringing(Prescription prescription) {
    return prescription.scheme() == Scheme.STRAIGHT
        ? ""
        : prescription.drops().map(SessionWords::of).orElse(prescription.scheme().label());
  }

  /** Why an exercise is not on offer. */
  public static String of(Offers.LeftOut out) {
    return out.name() + " is left out. " + Words.of(out.reason());
  }

  /** A name that stands for no exercise. */
  public static String of(Offers.NotKnown unknown) {
    return "\"" + unknown.candidateId() + "\" is not known here";
  }

  /** What is to be said of one set; empty where nothing is. */
  public static String of(SetNote note) {
    if (note instanceof FirstLightSet) {
      return "light: check depth and set-up";
    }
    if (note instanceof AsStrung strung) {
      return of(strung);
    }
    if (note instanceof AtOnce atOnce) {
      Drops drops = atOnce.drops();
      return !drops.easier().isEmpty()
          ? "at once, " + drops.easier()
          : drops.less() > 0 ? "at once" : "at once, in an easier set-up";
    }
    return "weaker side first";
  }

  private static String of(AsStrung strung) {
    return switch (strung.scheme()) {
      case STRAIGHT, ASCENDING, HIGH, ALWAYS_TEN, DROP, EASIER -> "";
      case FALLING -> strung.set() == 0 ? "" : "the load stays";
      case LADDER -> say("%1$d full, %1$d half, %1$d pulses at the long end", strung.repetitions());
      case TOES_IN_TURN -> TOES[strung.set() % TOES.length];
      default -> strung.scheme().label();
    };
  }

  /** What a coach should know of an exercise as it is prescribed. */
  public static String of(Remark remark) {
    if (remark instanceof WeakerLegFirst weaker) {
      String leg = weaker.side() == Side.NONE ? "weaker" : side(weaker.side());
      return say("The %s leg first; its repetitions are what the other does too.", leg);
    }
    if (remark instanceof RangeFirst range) {
      return "Range first: a little more of it over the weeks, at a small load. Now: "
          + Words.of(range.now());
    }
    if (remark instanceof Ladder) {
      return "A ladder: less help from the hands, then slower on the way down, then load.";
    }
    if (remark instanceof GivesOut gives) {
      return say(
          "What gives out first is the %s: if it keeps doing so, it needs work of its own.",
          gives.group());
    }
    return remark instanceof Strung strung
        ? strung.scheme().how()
        : "A weight that cannot be brought to full extension is too heavy.";
  }

  /** What a week of a block asks for beside the planned one. */
  public static String of(Block.Step step) {
    if (step.kind() != Block.Kind.BUILD) {
      return say(
          "Half the sets, about %.0f %% of the load, nothing near failure.%s",
          100 * Block.EASIER_LOAD,
          step.kind() == Block.Kind.RETEST
              ? " In the last session: the first heavy exercise to at most ten repetitions with one"
                  + " in reserve, to know where the client stands."
              : "");
    }
    String sets =
        step.addedSets() == 0
            ? "sets as planned"
            : step.addedSets() == 1
                ? "one set more of what serves the aim"
                : step.addedSets() + " sets more of what serves the aim";
    String reserve =
        step.addedReserve() > 0
            ? "one repetition more in reserve"
            : step.addedReserve() < 0 ? "one repetition less in reserve" : "reserve as planned";
    return capital(sets) + ", " + reserve + ".";
  }

  /** How a block goes on after weeks without training. */
  public static String of(Block.AfterPause after) {
    return switch (after) {
      case ONE_WEEK_LATER -> "Do the missed week now; everything after it moves back by one.";
      case ONE_WEEK_BACK ->
          say(
              "Go back one week of the block, with about %.0f %% of its load in the first"
                  + " sessions.",
              100 * Block.BACK_AGAIN_LOAD);
      case ANEW ->
          "Begin the block anew with about half the load, up by about a tenth a week; soreness is"
              + " no aim.";
    };
  }

  /** Where hooks and safeties of a rack go. */
  public static String of(RackHeights heights) {
    return say(
        "Hooks at about %.0f cm, safeties at about %.0f cm above the floor.",
        100 * heights.hooksM(), 100 * heights.safetiesM());
  }
}
