package istmo.core.plan;

import istmo.core.body.Profile;
import istmo.core.catalogue.CandidateId;
import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * A week as it is planned: what is done on which day, in which order, how. Values; every edit makes
 * a new week.
 */
public final class Planned {
  private static final int MOST_EXERCISES = 20;

  private Planned() {}

  /**
   * One exercise.
   *
   * @param id stays with it through edits
   * @param pinned the coach wants it so: composing leaves it alone
   */
  public record Item(
      String id, CandidateId candidateId, Prescription prescription, boolean pinned) {}

  /** One exercise, or several in turn without rest between (superset, giant set). */
  public record Bout(List<Item> items) {
    public Bout {
      items = List.copyOf(items);
      if (items.isEmpty()) {
        throw new InvalidInput("bouts", "an empty one holds nothing");
      }
    }

    /** A bout of one exercise. */
    public static Bout of(Item item) {
      return new Bout(List.of(item));
    }

    /** Whether several exercises take turns. */
    public boolean alternates() {
      return items.size() > 1;
    }

    /** How often the bout goes round: the most sets of any of its exercises. */
    public int rounds() {
      return items.stream().mapToInt(item -> item.prescription().sets()).max().orElseThrow();
    }
  }

  /**
   * One session.
   *
   * @param weekday 1 Monday to 7 Sunday
   * @param oneStation all at one station, where the bar's load may stay
   */
  public record Day(int weekday, int minutes, boolean oneStation, List<Bout> bouts) {
    public Day {
      if (weekday < 1 || weekday > 7) {
        throw new InvalidInput("weekday", "is 1 for Monday to 7 for Sunday");
      }
      Profile.MINUTES.check("minutes", minutes);
      bouts = List.copyOf(bouts);
    }

    /** Its exercises, in order. */
    public List<Item> items() {
      return bouts.stream().flatMap(bout -> bout.items().stream()).toList();
    }

    /** The same session with other bouts. */
    public Day with(List<Bout> other) {
      return new Day(weekday, minutes, oneStation, other);
    }
  }

  /** A week: its days in the order of weekdays. */
  public record Week(List<Day> days) {
    public Week {
      days = List.copyOf(days);
      List<InvalidInput.Fault> faults = new ArrayList<>();
      if (days.isEmpty() || days.size() > 7) {
        faults.add(new InvalidInput.Fault("days", "needs 1 to 7"));
      }
      Set<String> ids = new HashSet<>();
      for (int d = 0; d < days.size(); d++) {
        if (d > 0 && days.get(d).weekday() <= days.get(d - 1).weekday()) {
          faults.add(
              new InvalidInput.Fault("days", "stand in the order of the weekdays, each once"));
        }
        if (days.get(d).items().size() > MOST_EXERCISES) {
          faults.add(
              new InvalidInput.Fault(
                  "days", "a session holds at most " + MOST_EXERCISES + " exercises"));
        }
        for (Item item : days.get(d).items()) {
          if (!ids.add(item.id())) {
            faults.add(new InvalidInput.Fault("days", "\"" + item.id() + "\" is there twice"));
          }
        }
      }
      if (!faults.isEmpty()) {
        throw new InvalidInput(faults);
      }
    }

    /** Its exercises, in order. */
    public List<Item> items() {
      return days.stream().flatMap(day -> day.items().stream()).toList();
    }
  }
}
