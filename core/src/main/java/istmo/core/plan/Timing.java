package istmo.core.plan;

import istmo.core.equipment.Equipment;
import istmo.core.equipment.Equipment.LoadKind;
import istmo.core.plan.Planned.Bout;
import istmo.core.plan.Planned.Day;
import istmo.core.plan.Planned.Item;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/**
 * How a session's time goes: walking, setting up and loading, lighter sets, work, rest, one after
 * the other. Rest after the last set of an exercise is spent on walking to and setting up the next
 * one. In a bout of several exercises everyone's own rest goes on while the others work, so only
 * what is left of it is waited for.
 *
 * @param segments in time, without gaps
 */
public record Timing(List<Segment> segments) {
  /**
   * From one station to the next, with what is carried, s (judgement: nobody has measured this
   * gym).
   */
  static final int WALK_S = 60;

  /** A lighter set with its change of load, s (judgement). */
  static final int WARM_UP_S = 60;

  /** From one exercise to the next in a bout at one place, s. */
  static final int TURN_S = 15;

  /** The same where the other exercise is at another station, s. */
  static final int TURN_AWAY_S = 30;

  /** Least wait after a round, s. */
  static final int LEAST_WAIT_S = 20;

  /**
   * Share of set-up and loading that is loading a bar or a sled: saved where the load stays on
   * (judgement).
   */
  static final double LOADING = 0.5;

  /** What a stretch of time is spent on. */
  public enum Kind {
    WALK,
    SET_UP,
    WARM_UP,
    WORK,
    REST
  }

  /**
   * A stretch of the session that goes to one thing.
   *
   * @param startS from the beginning of the session, s
   * @param bout index of the bout
   * @param itemId whose time it is
   * @param set index of the set, -1 where it is none
   */
  public record Segment(
      Kind kind, double startS, double seconds, int bout, String itemId, int set) {}

  public Timing {
    segments = List.copyOf(segments);
  }

  /** Length of the session, s. */
  public double totalS() {
    return segments.isEmpty()
        ? 0
        : segments.get(segments.size() - 1).startS() + segments.get(segments.size() - 1).seconds();
  }

  /** Length of the session, min. */
  public double minutes() {
    return totalS() / 60;
  }

  /** Time that goes to one kind of thing, or to one bout by its index, s. */
  public double secondsOf(Kind kind) {
    return segments.stream()
        .filter(segment -> segment.kind() == kind)
        .mapToDouble(Segment::seconds)
        .sum();
  }

  /** Time that goes to one kind of thing, or to one bout by its index, s. */
  public double secondsOf(int bout) {
    return segments.stream()
        .filter(segment -> segment.bout() == bout)
        .mapToDouble(Segment::seconds)
        .sum();
  }

  /** Items of what is not on offer any more take no time: the week says that they are left out. */
  public static Timing of(Day day, Offers offers) {
    Clock clock = new Clock();
    Set<Equipment> at = Set.of();
    Set<LoadKind> loaded = EnumSet.noneOf(LoadKind.class);
    for (int b = 0; b < day.bouts().size(); b++) {
      Bout bout = day.bouts().get(b);
      List<Item> items =
          bout.items().stream()
              .filter(item -> offers.find(item.candidateId()).isPresent())
              .toList();
      for (int k = 0; k < items.size(); k++) {
        Item item = items.get(k);
        Offer offer = offers.get(item.candidateId());
        if (k > 0
            && offers.get(items.get(k - 1).candidateId()).exerciseId().equals(offer.exerciseId())) {
          continue; // another set-up of the same exercise in one bout: nothing is re-racked
        }
        Set<Equipment> station = offer.station();
        Set<Equipment> both = EnumSet.noneOf(Equipment.class);
        both.addAll(at);
        both.addAll(station);
        boolean same =
            day.oneStation() ? isOneStation(both, offers) : at.equals(station) || at.isEmpty();
        boolean elsewhere = !station.isEmpty() && !same;
        if (elsewhere) {
          clock.spend(Kind.WALK, WALK_S, b, item.id(), -1);
          loaded.clear();
        }
        boolean stays = day.oneStation() && loaded.contains(offer.loadKind());
        clock.spend(Kind.SET_UP, setUpS(offer, stays), b, item.id(), -1);
        at = elsewhere ? station : both;
        loaded.add(offer.loadKind());
        for (int w = 0; w < offer.role().warmUps(); w++) {
          clock.spend(Kind.WARM_UP, WARM_UP_S, b, item.id(), w);
        }
      }
      rounds(clock, b, items, offers);
    }
    return new Timing(clock.segments);
  }

  /**
   * Whether some exercise stands where all this is, so that a session at one station has it
   * together: the floor in front of the rack, with the rack's bar, and the rack to hold on to.
   */
  private static boolean isOneStation(Set<Equipment> all, Offers offers) {
    return offers.all().stream().anyMatch(offer -> offer.station().containsAll(all));
  }

  /** Set-up and loading, s; {@code stays} where the bar's load may stay on. */
  static double setUpS(Offer offer, boolean stays) {
    boolean plates = offer.loadKind() == LoadKind.BAR || offer.loadKind() == LoadKind.SLED;
    return 60 * offer.setUpMinutes() * (plates && stays ? 1 - LOADING : 1);
  }

  private static void rounds(Clock clock, int b, List<Item> items, Offers offers) {
    int rounds = items.stream().mapToInt(item -> item.prescription().sets()).max().orElse(0);
    double[] ended = new double[items.size()];
    for (int set = 0; set < rounds; set++) {
      int before = -1;
      for (int k = 0; k < items.size(); k++) {
        Item item = items.get(k);
        if (set >= item.prescription().sets()) {
          continue;
        }
        if (before >= 0) {
          clock.spend(
              Kind.REST,
              turnS(offers.get(items.get(before).candidateId()), offers.get(item.candidateId())),
              b,
              item.id(),
              -1);
        }
        double due = set == 0 ? 0 : ended[k] + item.prescription().restS() - clock.now;
        if (due > 0) {
          clock.spend(Kind.REST, due, b, item.id(), -1);
        }
        clock.spend(
            Kind.WORK,
            item.prescription().workS(set, offers.get(item.candidateId()).oneLeg()),
            b,
            item.id(),
            set);
        ended[k] = clock.now;
        before = k;
      }
      boolean another = set + 1 < rounds;
      if (another && items.size() > 1) {
        clock.spend(Kind.REST, LEAST_WAIT_S, b, items.get(0).id(), -1);
      }
    }
  }

  static double turnS(Offer offer, Offer otherOffer) {
    return offer.station().isEmpty()
            || otherOffer.station().isEmpty()
            || offer.station().equals(otherOffer.station())
        ? TURN_S
        : TURN_AWAY_S;
  }

  private static final class Clock {
    private final List<Segment> segments = new ArrayList<>();
    private double now;

    void spend(Kind kind, double seconds, int bout, String itemId, int set) {
      if (seconds > 0) {
        segments.add(new Segment(kind, now, seconds, bout, itemId, set));
        now += seconds;
      }
    }
  }
}
