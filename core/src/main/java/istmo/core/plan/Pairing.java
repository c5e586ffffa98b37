package istmo.core.plan;

import java.util.Locale;
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
  public boolean allows(Offer a, Offer b) {
    if (this == NONE
        || a.exerciseId().equals(b.exerciseId())
        || (a.role() == Role.HEAVY && b.role() == Role.HEAVY)
        || a.back() + b.back() > MOST_BACK) {
      return false;
    }
    boolean onePlace =
        a.station().isEmpty() || b.station().isEmpty() || a.station().equals(b.station());
    return (this == TWO_PLACES || onePlace) && !competes(a, b);
  }

  private static boolean competes(Offer a, Offer b) {
    return overlap(a.limiters(), b.limiters()) > MOST_SHARED_LIMIT
        || overlap(a.shares(), b.shares())
            > MOST_SHARED_WORK * Math.min(sum(a.shares()), sum(b.shares()));
  }

  private static double overlap(Map<String, Double> a, Map<String, Double> b) {
    return a.entrySet().stream()
        .mapToDouble(e -> Math.min(e.getValue(), b.getOrDefault(e.getKey(), 0.0)))
        .sum();
  }

  private static double sum(Map<String, Double> map) {
    return map.values().stream().mapToDouble(Double::doubleValue).sum();
  }

  /**
   * Why a coach may not want two exercises in turn, in words; empty where nothing speaks against
   * it.
   */
  public static Optional<String> trouble(Offer a, Offer b) {
    if (a.back() + b.back() > MOST_BACK) {
      return Optional.of(
          String.format(Locale.ROOT, "%s and %s both load the lower back.", a.name(), b.name()));
    }
    if (competes(a, b)) {
      return Optional.of(
          String.format(
              Locale.ROOT,
              "%s and %s tire the same muscles: the second starts tired.",
              a.name(),
              b.name()));
    }
    Set<String> one = a.station();
    return !one.isEmpty() && !b.station().isEmpty() && !one.equals(b.station())
        ? Optional.of(
            String.format(Locale.ROOT, "%s and %s hold two stations at once.", a.name(), b.name()))
        : Optional.empty();
  }

  /**
   * Seconds that taking turns saves in {@code n} rounds: {@code perRound * n - once}; never more
   * than {@link Timing} says, both in whole seconds.
   */
  record Saving(int perRound, int once) {
    static Saving of(Offer a, Offer b) {
      double wa = a.usual().workS(0, a.oneLeg());
      double wb = b.usual().workS(0, b.oneLeg());
      double turn = Timing.turnS(a, b);
      double dueA = Math.max(0, a.usual().restS() - (turn + wb + Timing.LEAST_WAIT_S));
      double dueB = Math.max(0, b.usual().restS() - (Timing.LEAST_WAIT_S + dueA + wa + turn));
      double cycle = Timing.LEAST_WAIT_S + dueA + wa + turn + dueB + wb;
      int perRound = (int) Math.floor(wa + wb + a.usual().restS() + b.usual().restS() - cycle);
      return new Saving(perRound, perRound + (int) Math.ceil(turn));
    }

    int seconds(int rounds) {
      return perRound * rounds - once;
    }
  }
}
