package istmo.core.words;

import static istmo.core.words.Say.capital;
import static istmo.core.words.Say.say;
import static istmo.core.words.Say.side;
import static istmo.core.words.Say.trimmed;

import istmo.core.anatomy.RegionGroup;
import istmo.core.body.Measurement.Side;
import istmo.core.body.PainFlag;
import istmo.core.quantity.DayWords;
import istmo.core.record.Experience;
import istmo.core.record.Lesson;
import istmo.core.record.Lesson.FeltElsewhere;
import istmo.core.record.Lesson.KeepsHurting;
import istmo.core.record.Lesson.MovesOtherwise;
import istmo.core.record.Lesson.NoGain;
import istmo.core.record.Lesson.RangeChanged;
import istmo.core.record.Lesson.SideBehind;
import istmo.core.record.Lesson.ThighOneSided;
import istmo.core.record.Lesson.TooFewSets;
import istmo.core.record.Practice;
import istmo.core.record.Progression.AllReached;
import istmo.core.record.Progression.HeaviestHere;
import istmo.core.record.Progression.Hurt;
import istmo.core.record.Progression.LongPause;
import istmo.core.record.Progression.NextTooHeavy;
import istmo.core.record.Progression.NoRecord;
import istmo.core.record.Progression.RepetitionsFirst;
import istmo.core.record.Progression.ShortRange;
import istmo.core.record.Progression.TempoNotKept;
import istmo.core.record.Progression.TooFewRepetitions;
import istmo.core.record.Progression.TooNearFailure;
import istmo.core.record.Progression.Why;
import istmo.core.record.SideGap;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/** What is said of a client's record: what it teaches, what comes next, where it was felt. */
public final class RecordWords {
  private RecordWords() {}

  /** What the record teaches, with its figures. */
  public static String of(Lesson.Found found) {
    if (found instanceof NoGain stall) {
      return stall.loaded()
          ? say(
              "No gain in %d sessions: about %.0f kg for one repetition at best since, %.0f kg on"
                  + " %s.",
              stall.sessions(), stall.now(), stall.before(), DayWords.of(stall.best()))
          : say(
              "No gain in %d sessions: %.0f repetitions at best since, %.0f on %s.",
              stall.sessions(), stall.now(), stall.before(), DayWords.of(stall.best()));
    }
    if (found instanceof SideBehind gap) {
      return say(
          "The %s is %.0f ± %.0f %% behind in %d %s%s.",
          side(gap.side()),
          gap.percent(),
          gap.errorPercent(),
          gap.sessions(),
          Say.of(gap.sessions(), "session"),
          gap.growing() ? ", and falls back further" : "");
    }
    if (found instanceof KeepsHurting hurting) {
      return say(
          "%s in %d of the last %d sessions, up to %d of 10.",
          capital(hurting.joint().label()), hurting.sessions(), hurting.of(), hurting.worst());
    }
    if (found instanceof FeltElsewhere felt) {
      return say(
          "Felt in the %s in the last %d sessions, never in the %s.",
          joined(felt.felt(), " and the "), felt.sessions(), joined(felt.meant(), " or the "));
    }
    if (found instanceof TooFewSets few) {
      return say(
          "%.1f effective sets a week over %d weeks; %.0f are asked.",
          few.sets(), few.weeks(), few.asked());
    }
    if (found instanceof ThighOneSided thigh) {
      return say(
          "The %s of the thigh got %.1f effective sets a week, the %s %.1f.",
          less(thigh),
          Math.min(thigh.front(), thigh.back()),
          thigh.frontIsLess() ? "back" : "front",
          Math.max(thigh.front(), thigh.back()));
    }
    if (found instanceof RangeChanged range) {
      return BodyWords.of(range.changed());
    }
    return ((MovesOtherwise) found)
        .changes().stream().map(RecordWords::of).collect(Collectors.joining(" "));
  }

  /** What a lesson proposes: an instruction, as it stands on the floor once it is accepted. */
  public static String of(Lesson lesson, Lesson.Proposal proposal) {
    if (proposal.known().isPresent()) {
      return capital(proposal.known().get()) + ".";
    }
    Lesson.Found found = lesson.found();
    return switch (proposal.act()) {
      case EASIER_WEEK -> "An easier week: half the sets, about nine tenths of the load, then on.";
      case OTHER_TEMPO ->
          found instanceof NoGain
              ? "The same load, three seconds down and one still at the long end, until it moves"
                  + " again."
              : "A step lighter, three seconds down, one still at the long end.";
      case WEAKER_SIDE_FIRST ->
          say("The %s side first; its repetitions are the other side's limit.", weaker(found));
      case MORE_SETS -> moreSets(found);
      case SWAP -> "Swap it for one that spares this joint.";
      case LESS_RANGE ->
          "Less range with this load, back to the whole over weeks as long as it stays below 3 of"
              + " 10.";
      case RE_DIAL -> reDial(found);
      case LESS_LOAD -> "Less load.";
    };
  }

  private static String reDial(Lesson.Found found) {
    if (found instanceof MovesOtherwise) {
      return "Set depth and load anew: this client moves otherwise now.";
    }
    if (found instanceof RangeChanged range) {
      return range.changed().gained()
          ? "Look at depth and set-ups again: what this joint stopped may be within reach now."
          : "Look at depth and set-ups again: what was within reach may not be now. Where it keeps"
              + " falling, or hurts, a licensed clinician looks at it.";
    }
    return "Change one thing of the set-up, look what it does, and go back if it was worse.";
  }

  private static String moreSets(Lesson.Found found) {
    if (found instanceof TooFewSets few) {
      return say("More of what trains the %s in the coming week.", few.region().coachName());
    }
    return found instanceof ThighOneSided thigh
        ? "Give the " + less(thigh) + " of the thigh more."
        : say("One set more for the %s side only.", weaker(found));
  }

  private static String weaker(Lesson.Found found) {
    return side(((SideBehind) found).side());
  }

  private static String less(ThighOneSided thigh) {
    return thigh.frontIsLess() ? "front" : "back";
  }

  private static String joined(Collection<RegionGroup> groups, String by) {
    return groups.stream().map(RegionGroup::word).collect(Collectors.joining(by));
  }

  /** What pictures show otherwise than on an earlier day. */
  public static String of(Lesson.Change change) {
    boolean more = change.by() > 0;
    String metres = say("%d cm", Math.round(100 * Math.abs(change.by())));
    String degrees = Math.round(Math.toDegrees(Math.abs(change.by()))) + "°";
    String changed =
        switch (change.figure()) {
          case DEPTH -> (more ? "Deeper by " : "Less deep by ") + metres;
          case KNEE_FORWARD ->
              more
                  ? "The knee goes " + metres + " further forward"
                  : "The knee stays " + metres + " further back";
          case TRUNK_LEAN -> "The trunk leans " + degrees + (more ? " more" : " less");
          case SHIN_LEAN -> "The shin leans " + degrees + (more ? " more" : " less");
        };
    return changed + " than on " + DayWords.of(change.since()) + ".";
  }

  /** Why the next time is as it is. */
  public static String of(Why why) {
    if (why instanceof NoRecord) {
      return "Find the load in the warm-up sets.";
    }
    if (why instanceof LongPause pause) {
      return say(
          "%d days since last time: about %.0f %% of it, and up again within a few sessions.",
          pause.days(), 100 * pause.share());
    }
    if (why instanceof Hurt hurt) {
      return capital(
          say(
              "%s %d of 10 last time: %s.",
              hurt.joint().label(),
              hurt.level(),
              hurt.ends()
                  ? "swap it; if it is done at all, begin light and ask after each set"
                  : "less load through the whole range, or this load through less; no more than"
                      + " last time in any case"));
    }
    if (why instanceof ShortRange) {
      return "The range was short in most sets: what cannot be moved through the whole range is too"
          + " heavy. A step less, all the way.";
    }
    if (why instanceof TempoNotKept) {
      return "The tempo was not kept in most sets: the same load, in the tempo that is asked.";
    }
    return why instanceof TooFewRepetitions || why instanceof TooNearFailure
        ? fellShort(why)
        : onward(why);
  }

  private static String fellShort(Why why) {
    if (why instanceof TooNearFailure near) {
      return say(
          "Less in reserve than the %s asked: the same figures with more in reserve.",
          trimmed(near.reserve()));
    }
    TooFewRepetitions few = (TooFewRepetitions) why;
    return few.again()
        ? say("Fewer than %d repetitions twice in a row: one step less.", few.least())
        : say("Most sets had fewer than %d repetitions: the same load once more.", few.least());
  }

  private static String onward(Why why) {
    if (why instanceof RepetitionsFirst first) {
      return say(
          "Repetitions first: at least %d in every set, then up to %d.",
          first.least(), first.most());
    }
    if (why instanceof HeaviestHere) {
      return "Nothing heavier can be made here: more repetitions, a slower lowering, a pause at the"
          + " long end, or a harder variant.";
    }
    if (why instanceof NextTooHeavy next) {
      return say(
          "The next load here is %s kg, likely good for %d: more repetitions with this one first.",
          trimmed(next.kg()), next.repetitions());
    }
    AllReached all = (AllReached) why;
    return say(
        "All sets reached %d with %s in reserve: %s kg, the smallest step here; about %d"
            + " repetitions to begin with.",
        all.repetitions(), trimmed(all.reserve()), trimmed(all.kg()), all.toBegin());
  }

  /** Why an exercise is out after what it did to a client. */
  public static String of(Experience.HurtTooOften hurt) {
    return say(
        "By this client's record: %s, up to %d of 10 in the last %d sessions. Pain decides.",
        hurt.joint().label(), hurt.worst(), hurt.sessions());
  }

  /** What a client said of an exercise: where it was felt, then what hurt. */
  public static List<String> of(Experience.Reports reports) {
    List<String> words = new ArrayList<>();
    if (reports.sessions() > 0) {
      String where =
          reports.felt().entrySet().stream()
              .sorted(
                  Map.Entry.<RegionGroup, Integer>comparingByValue()
                      .reversed()
                      .thenComparing(entry -> entry.getKey().id()))
              .map(entry -> say("the %s in %d", entry.getKey().word(), entry.getValue()))
              .collect(Collectors.joining(", "));
      words.add(say("This client felt it in %s of %d sessions.", where, reports.sessions()));
    }
    if (reports.worst() > 0) {
      words.add(
          say(
              "It hurt in %d of the last %d sessions, %s up to %d of 10.",
              reports.pains().stream().filter(p -> p > 0).count(),
              reports.pains().size(),
              reports.joint().map(PainFlag::label).orElse("pain"),
              reports.worst()));
    }
    return words;
  }

  /** Why a side goes first; empty where none does. */
  public static String of(SideGap.First first) {
    if (first.side() == Side.NONE) {
      return "";
    }
    return first
        .gap()
        .map(
            gap ->
                say(
                    "%s by the record, %.0f ± %.0f %% behind",
                    side(first.side()), Math.abs(gap.percent()), 2 * gap.standardErrorPercent()))
        .orElse(side(first.side()) + ": the other side is said to be stronger");
  }

  /** What a coach's own clients said of the two sides of a comparison. */
  public static String of(Practice practice) {
    String counts =
        "The first: " + told(practice.first()) + ". The second: " + told(practice.second()) + ".";
    return practice
        .difference()
        .map(
            difference ->
                counts
                    + (!difference.told()
                        ? " No difference to be seen"
                        : difference.low() > 0
                            ? " Felt there more often with the first"
                            : " Felt there more often with the second")
                    + say(
                        " (%+.0f of a hundred sessions; 80 %%: %+.0f to %+.0f).",
                        100 * difference.share(), 100 * difference.low(), 100 * difference.high()))
        .orElse(counts + " Too few to compare.");
  }

  private static String told(Practice.Count count) {
    return count.sessions() == 0
        ? "nobody was asked"
        : say(
            "felt there in %d of %d %s of %d %s",
            count.felt(),
            count.sessions(),
            Say.of(count.sessions(), "session"),
            count.clients(),
            Say.of(count.clients(), "client"));
  }
}
