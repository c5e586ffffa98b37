package istmo.core.words;

import static istmo.core.words.Say.capital;
import static istmo.core.words.Say.say;

import istmo.core.plan.Coverage;
import istmo.core.plan.Coverage.FunctionShort;
import istmo.core.plan.Coverage.RegionShort;
import istmo.core.plan.Coverage.RegionTooMuch;
import istmo.core.plan.Coverage.RegionTooMuchAtOnce;
import istmo.core.plan.Coverage.SessionLoadsBack;
import istmo.core.plan.Coverage.SessionTooLong;
import istmo.core.plan.Coverage.ThighUneven;
import istmo.core.plan.Coverage.WeekLoadsBack;
import istmo.core.plan.Shortfall;
import istmo.core.plan.Shortfall.Accept;
import istmo.core.plan.Shortfall.AddSets;
import istmo.core.plan.Shortfall.AskHalf;
import istmo.core.plan.Shortfall.Drop;
import istmo.core.plan.Shortfall.GiveTime;
import istmo.core.plan.Shortfall.LockedTooLong;
import istmo.core.plan.Shortfall.Obstacle;
import istmo.core.plan.Shortfall.RoomLeft;
import istmo.core.plan.Shortfall.SearchLonger;
import istmo.core.plan.Shortfall.TimeShort;
import istmo.core.plan.Shortfall.TooManyStations;
import istmo.core.plan.Shortfall.Way;
import istmo.core.plan.Shortfall.WorkPaired;
import istmo.core.plan.Swap;
import istmo.core.plan.Swap.LeavesOut;
import istmo.core.plan.Swap.OtherBack;
import istmo.core.plan.Swap.OtherLegs;
import istmo.core.plan.Swap.OtherShare;
import istmo.core.plan.Swap.OtherTime;
import java.util.List;
import java.util.stream.Collectors;

/**
 * What is said of what a week brings, of one that falls short or cannot be composed, and of one
 * exercise in the place of another.
 */
public final class PlanWords {
  private PlanWords() {}

  /** What is short, and why. */
  public static String of(Shortfall shortfall) {
    String name = regionOf(shortfall);
    double has = shortfall.has();
    double asked = shortfall.asked();
    if (shortfall.reason() instanceof TimeShort time) {
      return say(
          "%s minutes are about %d short for the %s: %.1f of %.0f sets.",
          sessions(time.minutes()), time.missing(), name, has, asked);
    }
    if (shortfall.reason() instanceof RoomLeft) {
      return say(
          "The %s gets %.1f of %.0f sets, though there is time: the search weighed other things"
              + " more, or did not come to it.",
          name, has, asked);
    }
    return say(
        "The %s gets %.1f of %.0f sets, and more time would not change it: what is on offer for it,"
            + " and what a session and a week may hold, are used.",
        name, has, asked);
  }

  /** One of the ways that would mend a shortfall. */
  public static String of(Shortfall shortfall, Way way) {
    double asked = shortfall.asked();
    if (way instanceof AddSets add) {
      return say(
          "%d %s of %s in session %d: about %d minutes.",
          add.sets(),
          add.more() ? (add.sets() == 1 ? "more set" : "more sets") : "sets",
          add.name(),
          add.session(),
          add.minutes());
    }
    if (way instanceof WorkPaired paired) {
      return reached("Work " + paired.pairing().label(), paired.reached(), asked);
    }
    if (way instanceof Drop drop) {
      return reached("Drop " + drop.name(), drop.reached(), asked);
    }
    if (way instanceof AskHalf half) {
      return reached("Ask half as much of the " + half.group().word(), half.reached(), asked);
    }
    if (way instanceof GiveTime time) {
      return say("Give it about %d minutes more in the week.", time.minutes());
    }
    if (way instanceof SearchLonger) {
      return "Search longer.";
    }
    return say("Accept %.1f sets for the %s.", ((Accept) way).has(), regionOf(shortfall));
  }

  /** What keeps any week from being composed. */
  public static String of(Obstacle obstacle) {
    if (obstacle instanceof LockedTooLong locked) {
      return say(
          "What is locked in session %d takes %d of %d minutes: unlock something, take sets out, or"
              + " give it %d minutes.",
          locked.session(), locked.takes(), locked.has(), locked.takes());
    }
    TooManyStations stations = (TooManyStations) obstacle;
    return say(
        "Session %d is to stay at one station, but what is pinned there needs %d.",
        stations.session(), stations.stations());
  }

  /** What is short or too much in a week. */
  public static String of(Coverage.Finding finding) {
    if (finding instanceof RegionShort few) {
      return say(
          "%s: %.1f of %.0f sets.", capital(few.region().coachName()), few.has(), few.asked());
    }
    if (finding instanceof FunctionShort few) {
      return say(
          "%s: %.1f of %.0f sets. It takes %s.",
          capital(few.function().label()), few.has(), few.asked(), few.function().examples());
    }
    if (finding instanceof ThighUneven thigh) {
      boolean front = thigh.front() < thigh.back();
      return say(
          "The %s of the thigh gets %.1f sets, the %s %.1f: give it more.",
          front ? "front" : "back",
          Math.min(thigh.front(), thigh.back()),
          front ? "back" : "front",
          Math.max(thigh.front(), thigh.back()));
    }
    if (finding instanceof RegionTooMuch much) {
      return say(
          "%s: %.1f sets a week, more than about %.0f are hardly worth it.",
          capital(much.region().coachName()), much.has(), much.most());
    }
    if (finding instanceof WeekLoadsBack back) {
      return "The week " + loadsBack(back.has(), back.most());
    }
    if (finding instanceof SessionLoadsBack back) {
      return say("Session %d ", back.session()) + loadsBack(back.has(), back.most());
    }
    if (finding instanceof SessionTooLong session) {
      return say(
          "Session %d has %d sets; a leg day holds about %d.",
          session.session(), session.has(), session.most());
    }
    RegionTooMuchAtOnce much = (RegionTooMuchAtOnce) finding;
    return say(
        "Session %d gives the %s %.1f sets at once; beyond about %.0f little is added.",
        much.session(), much.region().coachName(), much.has(), much.most());
  }

  private static String loadsBack(double has, double most) {
    return say(
        "loads the lower back with the like of %.1f sets at its limit; about %.0f are enough.",
        has, most);
  }

  /** What another exercise in the place of one changes: parts of a sentence. */
  public static List<String> of(Swap swap) {
    return swap.changes().isEmpty()
        ? List.of("no difference that the model can tell")
        : swap.changes().stream().map(PlanWords::of).toList();
  }

  private static String of(Swap.Change change) {
    if (change instanceof OtherShare share) {
      return say(
          "%s %s: %.0f instead of %.0f %% of the best here",
          share.after() > share.before() ? "more" : "less",
          share.region().coachName(),
          100 * share.after(),
          100 * share.before());
    }
    if (change instanceof LeavesOut out) {
      return "leaves out: " + out.function().label();
    }
    if (change instanceof OtherBack back) {
      return back.more() ? "more load on the lower back" : "spares the lower back";
    }
    if (change instanceof OtherLegs legs) {
      return legs.oneLeg() ? "one leg at a time" : "both legs together";
    }
    double minutes = ((OtherTime) change).minutes();
    return say("%.0f min %s to set up", Math.abs(minutes), minutes > 0 ? "more" : "less");
  }

  private static String reached(String way, double sets, double asked) {
    return say("%s: %.1f of %.0f sets.", way, sets, asked);
  }

  private static String regionOf(Shortfall shortfall) {
    return shortfall.region().coachName();
  }

  /** "35", "2 times 35" or "35 and 50". */
  private static String sessions(List<Integer> minutes) {
    if (minutes.stream().distinct().count() > 1) {
      return minutes.stream().map(String::valueOf).collect(Collectors.joining(" and "));
    }
    return (minutes.size() > 1 ? minutes.size() + " times " : "") + minutes.get(0);
  }
}
