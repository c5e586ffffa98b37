package istmo.core.words;

import istmo.core.anatomy.Regions;
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
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;

/** What is said of a week that falls short, and of one that cannot be composed. */
public final class PlanWords {
  private PlanWords() {}

  /** What is short, and why. */
  public static String of(Shortfall shortfall) {
    String name = region(shortfall);
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
      return reached("Ask half as much of the " + half.group(), half.reached(), asked);
    }
    if (way instanceof GiveTime time) {
      return say("Give it about %d minutes more in the week.", time.minutes());
    }
    if (way instanceof SearchLonger) {
      return "Search longer.";
    }
    return say("Accept %.1f sets for the %s.", ((Accept) way).has(), region(shortfall));
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

  private static String reached(String way, double sets, double asked) {
    return say("%s: %.1f of %.0f sets.", way, sets, asked);
  }

  private static String region(Shortfall shortfall) {
    return Regions.standard().get(shortfall.region()).coachName();
  }

  /** "35", "2 times 35" or "35 and 50". */
  private static String sessions(List<Integer> minutes) {
    if (minutes.stream().distinct().count() > 1) {
      return minutes.stream().map(String::valueOf).collect(Collectors.joining(" and "));
    }
    return (minutes.size() > 1 ? minutes.size() + " times " : "") + minutes.get(0);
  }

  private static String say(String pattern, Object... figures) {
    return String.format(Locale.ROOT, pattern, figures);
  }
}
