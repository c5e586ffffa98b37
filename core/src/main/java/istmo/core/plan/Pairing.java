package istmo.core.plan;

import istmo.core.equipment.Equipment;
import istmo.core.quantity.Fact;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Whether two exercises may be done in turn, and what that saves. */
public enum Pairing {
  NONE("one after the other"),
  ONE_PLACE("in turn where both are at one place"),
  TWO_PLACES("in turn, two stations held at once");

  /**
   * What gives out first may be shared by so much, and what is trained, for each to rest while the
   * other works (judgement).
   */
  private static final double MOST_SHARED_LIMIT = 0.25;

  private static final double MOST_SHARED_WORK = 0.45;

  /** Both at once are too much for the back above this sum (judgement). */
  private static final double MOST_BACK = 0.48;

  private final String label;

  Pairing(String label) {
    this.label = label;
  }

  /** Name of the way to take turns. */
  public String label() {
    return label;
  }

  /** Whether two exercises leave each other their rest, and the floor allows it. */
  public boolean allows(Offer offer, Offer otherOffer) {
    if (this == NONE
        || offer.exerciseId().equals(otherOffer.exerciseId())
        || (offer.role() == Role.HEAVY && otherOffer.role() == Role.HEAVY)
        || offer.back() + otherOffer.back() > MOST_BACK) {
      return false;
    }
    boolean onePlace =
        offer.station().isEmpty()
            || otherOffer.station().isEmpty()
            || offer.station().equals(otherOffer.station());
    return (this == TWO_PLACES || onePlace) && !competes(offer, otherOffer);
  }

  private static boolean competes(Offer offer, Offer otherOffer) {
    return overlap(offer.limiters(), otherOffer.limiters()) > MOST_SHARED_LIMIT
        || offer.shares().overlap(otherOffer.shares())
            > MOST_SHARED_WORK
                * Math.min(offer.shares().stream().sum(), otherOffer.shares().stream().sum());
  }

  private static double overlap(Map<String, Double> a, Map<String, Double> b) {
    return a.entrySet().stream()
        .mapToDouble(entry -> Math.min(entry.getValue(), b.getOrDefault(entry.getKey(), 0.0)))
        .sum();
  }

  /** What speaks against two exercises in turn, each by its name. */
  public sealed interface Trouble extends Fact {}

  /** Both load the lower back. */
  public record BothLoadBack(String first, String second) implements Trouble {}

  /** Both tire the same muscles: the second starts tired. */
  public record SameMuscles(String first, String second) implements Trouble {}

  /** Both hold a station of their own at once. */
  public record TwoStations(String first, String second) implements Trouble {}

  /** Why a coach may not want two exercises in turn; empty where nothing speaks against it. */
  public static Optional<Trouble> trouble(Offer offer, Offer otherOffer) {
    if (offer.back() + otherOffer.back() > MOST_BACK) {
      return Optional.of(new BothLoadBack(offer.name(), otherOffer.name()));
    }
    if (competes(offer, otherOffer)) {
      return Optional.of(new SameMuscles(offer.name(), otherOffer.name()));
    }
    Set<Equipment> one = offer.station();
    return !one.isEmpty() && !otherOffer.station().isEmpty() && !one.equals(otherOffer.station())
        ? Optional.of(new TwoStations(offer.name(), otherOffer.name()))
        : Optional.empty();
  }

  /**
   * Seconds that taking turns saves in {@code n} rounds: {@code perRound * n - once}; never more
   * than {@link Timing} says, both in whole seconds.
   */
  record Saving(int perRound, int once) {
    static Saving of(Offer offer, Offer otherOffer) {
      double wa = offer.usual().workS(0, offer.oneLeg());
      double wb = otherOffer.usual().workS(0, otherOffer.oneLeg());
      double turn = Timing.turnS(offer, otherOffer);
      double dueA = Math.max(0, offer.usual().restS() - (turn + wb + Timing.LEAST_WAIT_S));
      double dueB =
          Math.max(0, otherOffer.usual().restS() - (Timing.LEAST_WAIT_S + dueA + wa + turn));
      double cycle = Timing.LEAST_WAIT_S + dueA + wa + turn + dueB + wb;
      int perRound =
          (int) Math.floor(wa + wb + offer.usual().restS() + otherOffer.usual().restS() - cycle);
      return new Saving(perRound, perRound + (int) Math.ceil(turn));
    }

    int seconds(int rounds) {
      return perRound * rounds - once;
    }
  }
}
