package istmo.core.equipment;

import istmo.core.equipment.Equipment.LoadKind;
import istmo.core.quantity.Required;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * A load that a place can make.
 *
 * @param kg the whole of it: with the bar, without a sled
 * @param kind how it is made
 * @param emptyKg of this, what is there with no plates on
 * @param perSide plates on one side, heaviest first; empty where none go on
 * @param plateKind whether the plates are this gym's own or the usual ones, because it has not said
 *     which it owns
 */
public record Loading(
    double kg, Kind kind, double emptyKg, List<Double> perSide, PlateKind plateKind) {
  /** How a load is made. */
  public enum Kind {
    /** plates on a bar or a sled, both sides alike */
    PLATES,
    /** a pin, a pair of dumbbells, a weight that is held */
    STEPS,
    /** nothing is added */
    BODY
  }

  /** Where plates come from. */
  public enum PlateKind {
    OWN,
    USUAL,
    NONE
  }

  /** What a gym is taken to own that has not said: enough of each (common practice). */
  public static final Plates USUAL_PLATES =
      new Plates(Map.of(20.0, 8, 15.0, 1, 10.0, 2, 5.0, 2, 2.5, 2, 1.25, 1));

  /** Warm-up loads as shares of the working load (common practice). */
  private static final double FIRST_WARM_UP = 0.45;

  private static final double LAST_WARM_UP = 0.8;

  /**
   * From one lighter set to the next, as a share of the working load; loads nearer to each other
   * than the other share are as good, and then fewer plates are better (judgement).
   */
  private static final double LEAST_STEP = 0.1;

  private static final double NEAR = 0.06;
  private static final double GRAMS = 1000;

  public Loading {
    perSide = List.copyOf(perSide);
  }

  /**
   * Every load that this place can make for what an exercise needs, up to a little over a target,
   * lightest first; never empty. What is known to be the heaviest weight or the whole stack of the
   * place ends it. Plates: of all ways to make a load the one with the fewest plates, then with the
   * heaviest ones.
   *
   * @param needs what the exercise needs
   */
  public static List<Loading> upTo(double targetKg, Set<Equipment> needs, GymEquipment equipment) {
    Equipment carrier = carrier(needs);
    if (carrier == null) {
      return List.of(new Loading(0, Kind.BODY, 0, List.of(), PlateKind.NONE));
    }
    LoadKind kind = carrier.load();
    if (kind == LoadKind.BAR || kind == LoadKind.SLED) {
      boolean own = !equipment.plates().pairs().isEmpty();
      return plates(
          targetKg,
          kind == LoadKind.BAR ? equipment.value(carrier, "barMass") : 0,
          own ? equipment.plates() : USUAL_PLATES,
          own ? PlateKind.OWN : PlateKind.USUAL);
    }
    double step = equipment.smallestStepKg(needs);
    double most = equipment.measured(carrier, GymEquipment.HEAVIEST).orElse(Double.MAX_VALUE);
    List<Loading> all = new ArrayList<>();
    for (int k = 0; k == 0 || ((k - 1) * step <= targetKg && k * step <= most && step > 0); k++) {
      all.add(new Loading(k * step, k == 0 ? Kind.BODY : Kind.STEPS, 0, List.of(), PlateKind.NONE));
    }
    return all;
  }

  /** The nearest load that can be made; of two as near, the lighter. */
  public static Loading nearest(double targetKg, Set<Equipment> needs, GymEquipment equipment) {
    return upTo(targetKg, needs, equipment).stream()
        .min(
            Comparator.comparingDouble((Loading loading) -> Math.abs(loading.kg - targetKg))
                .thenComparing(Loading::kg))
        .orElseThrow();
  }

  /**
   * The heaviest load that can be made and is not above the target; the lightest of all where none
   * is.
   */
  public static Loading notAbove(double targetKg, Set<Equipment> needs, GymEquipment equipment) {
    List<Loading> all = upTo(targetKg, needs, equipment);
    return all.stream()
        .filter(loading -> loading.kg <= targetKg + 1e-9)
        .max(Comparator.comparingDouble(Loading::kg))
        .orElse(all.get(0));
  }

  /** The lightest load above this one that the place can make; empty where there is none. */
  public static Optional<Loading> nextAbove(
      double kg, Set<Equipment> needs, GymEquipment equipment) {
    return upTo(kg, needs, equipment).stream()
        .filter(loading -> loading.kg > kg + 1e-6)
        .min(Comparator.comparingDouble(Loading::kg));
  }

  /** The heaviest load below this one that the place can make; empty where there is none. */
  public static Optional<Loading> nextBelow(
      double kg, Set<Equipment> needs, GymEquipment equipment) {
    return upTo(kg, needs, equipment).stream()
        .filter(loading -> loading.kg < kg - 1e-6)
        .max(Comparator.comparingDouble(Loading::kg));
  }

  /**
   * Every load of a bar with these plates, both sides alike, that is not more than one plate over
   * the target.
   */
  static List<Loading> plates(double targetKg, double emptyKg, Plates plates, PlateKind plateKind) {
    double heaviest =
        plates.pairs().keySet().stream().mapToDouble(Double::doubleValue).max().orElse(0);
    long most = Math.round(GRAMS * (Math.max(0, targetKg - emptyKg) / 2 + heaviest));
    Map<Long, List<Double>> bySum = new TreeMap<>(Map.of(0L, List.of()));
    List<Double> heaviestFirst = new ArrayList<>(plates.pairs().keySet());
    heaviestFirst.sort(Collections.reverseOrder());
    for (double plate : heaviestFirst) {
      Map<Long, List<Double>> next = new HashMap<>(bySum);
      bySum.forEach(
          (sum, on) -> {
            List<Double> side = on;
            for (int n = 1; n <= Required.entry(plates.pairs(), plate); n++) {
              long with = sum + n * Math.round(GRAMS * plate);
              if (with > most) {
                break;
              }
              List<Double> more = new ArrayList<>(side);
              more.add(plate);
              side = more;
              next.merge(
                  with, more, (first, second) -> second.size() < first.size() ? second : first);
            }
          });
      bySum = new TreeMap<>(next);
    }
    List<Loading> all = new ArrayList<>();
    bySum.forEach(
        (sum, side) ->
            all.add(new Loading(emptyKg + 2 * sum / GRAMS, Kind.PLATES, emptyKg, side, plateKind)));
    return all;
  }

  /**
   * What of the needed things carries the load; null where nothing does. A bar goes before what it
   * is used with.
   */
  private static @Nullable Equipment carrier(Set<Equipment> needs) {
    return needs.stream()
        .filter(item -> item.load() != LoadKind.NONE)
        .min(Comparator.comparing(Equipment::load).thenComparing(Equipment::id))
        .orElse(null);
  }

  /**
   * Lighter sets before this load, lightest first: about even steps up to four fifths of it, each
   * made by only putting plates on. Fewer than asked where the place has no such loads in between.
   *
   * @param count how many
   */
  public List<Loading> warmUps(int count, Set<Equipment> needs, GymEquipment equipment) {
    List<Loading> all =
        upTo(kg, needs, equipment).stream().filter(loading -> loading.kg < kg - 1e-9).toList();
    List<Loading> ramp = new ArrayList<>();
    Loading above = this;
    for (int k = count; k >= 1; k--) {
      double wished =
          kg
              * (FIRST_WARM_UP
                  + (LAST_WARM_UP - FIRST_WARM_UP) * (count == 1 ? 0.5 : (k - 1.0) / (count - 1)));
      Loading next = above;
      Loading found =
          all.stream()
              .filter(
                  loading ->
                      loading.kg <= next.kg - LEAST_STEP * kg
                          && within(loading.perSide, next.perSide))
              .min(
                  Comparator.comparingLong(
                          (Loading loading) ->
                              Math.round(Math.abs(loading.kg - wished) / (NEAR * kg)))
                      .thenComparingInt(loading -> loading.perSide.size())
                      .thenComparing(loading -> Math.abs(loading.kg - wished)))
              .orElse(null);
      if (found == null || (found.kg <= 0 && kind != Kind.BODY && !ramp.isEmpty())) {
        break;
      }
      ramp.add(0, found);
      above = found;
    }
    return List.copyOf(ramp);
  }

  /**
   * Plates to put on, one side, when another load is on already; empty where some would have to
   * come off.
   */
  public List<Double> addedTo(Loading before) {
    List<Double> more = new ArrayList<>(perSide);
    for (Double plate : before.perSide) {
      if (!more.remove(plate)) {
        return List.of();
      }
    }
    return more;
  }

  private static boolean within(List<Double> few, List<Double> many) {
    List<Double> rest = new ArrayList<>(many);
    return few.stream().allMatch(rest::remove);
  }
}
