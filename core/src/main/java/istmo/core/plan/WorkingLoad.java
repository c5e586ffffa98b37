package istmo.core.plan;

import istmo.core.equipment.Equipment.LoadKind;
import istmo.core.equipment.GymEquipment;
import istmo.core.equipment.Loading;
import istmo.core.quantity.Fact;
import istmo.core.record.Progression;
import istmo.core.training.Equation;
import istmo.core.training.LoadEstimate;
import istmo.core.training.OneRepetition;
import istmo.core.training.PerformedSet;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.DoubleFunction;

/**
 * The loads of an exercise as it is prescribed: what this gym can make, with the plates to put on.
 *
 * @param lowKg and highKg: between which the load is believed to lie, kg; both the load where a
 *     record says it
 * @param basis what it rests on; {@code words.PlanWords} says it
 * @param warmUps lighter sets before it, lightest first
 * @param sets in order; drops follow their set and are sets of their own
 */
public record WorkingLoad(
    double lowKg, double highKg, Basis basis, List<WarmUp> warmUps, List<SetLine> sets) {
  /** What a working load rests on. */
  public sealed interface Basis extends Fact {}

  /** The best set of last time, and the share of its load that the block asks for. */
  public record LastTime(PerformedSet set, LocalDate on, double share) implements Basis {}

  /** A first load, and the share of it that the block asks for. */
  public record FirstLoad(LoadEstimate.Basis estimate, double share) implements Basis {}

  /** What the record teaches of the next time. */
  public record ByRecord(Progression.Why why) implements Basis {}

  /** Nothing is loaded, or nothing is known: then it is found in the warm-up sets. */
  public record Unknown(boolean bodyWeight) implements Basis {}

  /** Repetitions of lighter sets, falling as they get heavier (common practice). */
  private static final int[] WARM_UP_REPETITIONS = {5, 3};

  private static final int FIRST_WARM_UP_REPETITIONS = 8;

  /** A lighter set before the working sets. */
  public record WarmUp(int repetitions, Loading load) {}

  /**
   * One set: repetitions, what is on the bar, and what is said of it.
   *
   * @param drop which drop after its set it is, from 1; 0 for the set itself
   * @param load empty where it has to be found
   * @param putOn plates to put on each side since the set before; empty where none are, or some
   *     come off
   */
  public record SetLine(
      int drop,
      int repetitionsLow,
      int repetitionsHigh,
      Optional<Loading> load,
      List<Double> putOn,
      SetNote note) {}

  /** The best set of this exercise in this set-up when it was done last. */
  public record Recorded(PerformedSet best, LocalDate on) {
    /** Of several sets the one that says most of strength. */
    public static Optional<Recorded> bestOf(List<PerformedSet> sets, LocalDate on) {
      return sets.stream()
          .max((first, second) -> Double.compare(value(first), value(second)))
          .map(set -> new Recorded(set, on));
    }

    private static double value(PerformedSet set) {
      return set.loadKg() * Equation.EPLEY.factor(set.repetitions() + set.reserve())
          + 1e-3 * set.repetitions();
    }
  }

  /**
   * The loads that follow from what the record teaches: the working load itself where it names one,
   * with its repetitions to aim at.
   *
   * @param careful whether the client's cautions ask for less load to begin with: then the first
   *     load that they allow goes before a heavier one of the record
   */
  public static WorkingLoad of(
      Offer offer,
      Prescription prescription,
      GymEquipment equipment,
      Optional<Recorded> last,
      Progression.Next next,
      double share,
      boolean careful) {
    if (careful && next.load().filter(loading -> beyondFirst(offer, loading.kg())).isPresent()) {
      return of(offer, prescription, equipment, Optional.empty(), share);
    }
    if (next.load().isEmpty()
        || prescription.scheme() == Scheme.ASCENDING
        || prescription.scheme() == Scheme.ALWAYS_TEN) {
      return of(offer, prescription, equipment, last, share, careful);
    }
    double kg = share * next.load().get().kg();
    int low = (int) Prescription.REPETITIONS.nearest(next.repetitionsLow());
    Prescription asked =
        prescription.with(
            prescription.sets(),
            low,
            Math.max(low, (int) Prescription.REPETITIONS.nearest(next.repetitionsHigh())),
            prescription.reserve());
    return made(
        offer, asked, equipment, repetitions -> Optional.of(kg), kg, kg, new ByRecord(next.why()));
  }

  /** The loads that follow from the record alone; {@code careful} as above. */
  public static WorkingLoad of(
      Offer offer,
      Prescription prescription,
      GymEquipment equipment,
      Optional<Recorded> last,
      double share,
      boolean careful) {
    return of(
        offer,
        prescription,
        equipment,
        last.filter(recorded -> !careful || !beyondFirst(offer, recorded.best().loadKg())),
        share);
  }

  private static boolean beyondFirst(Offer offer, double kg) {
    return offer.load().filter(first -> kg > first.highKg()).isPresent();
  }

  /**
   * @param last record in this set-up; it goes before any estimate
   * @param share of the load that a block asks for, 1 for all of it
   */
  static WorkingLoad of(
      Offer offer,
      Prescription prescription,
      GymEquipment equipment,
      Optional<Recorded> last,
      double share) {
    double empty = offer.setup().getOrDefault("sledMass", 0.0);
    double step = equipment.smallestStepKg(offer.needs());
    Optional<LoadEstimate> estimate =
        last.isPresent()
            ? Optional.empty()
            : offer
                .load()
                .map(
                    loadEstimate ->
                        loadEstimate.forRepetitions(
                            prescription.middle() + prescription.reserve(),
                            prescription.repetitionsLow() + "-" + prescription.repetitionsHigh(),
                            empty,
                            step));
    double low =
        wished(prescription, prescription.middle(), last, estimate, empty, share).orElse(0.0);
    double high = estimate.map(loadEstimate -> share * loadEstimate.highKg()).orElse(low);
    return made(
        offer,
        prescription,
        equipment,
        repetitions -> wished(prescription, repetitions, last, estimate, empty, share),
        low,
        high,
        basis(offer, last, estimate, share));
  }

  /**
   * @param wished load for so many repetitions, kg, where one is known
   */
  private static WorkingLoad made(
      Offer offer,
      Prescription prescription,
      GymEquipment equipment,
      DoubleFunction<Optional<Double>> wished,
      double lowKg,
      double highKg,
      Basis basis) {
    List<SetLine> lines = new ArrayList<>();
    Optional<Loading> before = Optional.empty();
    Optional<Loading> first = Optional.empty();
    List<Double> repetitions = prescription.repetitions();
    boolean fixed =
        switch (prescription.scheme()) {
          case ASCENDING, FALLING, ALWAYS_TEN -> true;
          default -> false;
        };
    for (int k = 0; k < prescription.sets(); k++) {
      int low = fixed ? (int) Math.round(repetitions.get(k)) : prescription.repetitionsLow();
      int high = fixed ? low : prescription.repetitionsHigh();
      double loadedFor = repetitions.get(prescription.scheme() == Scheme.FALLING ? 0 : k);
      Optional<Loading> load =
          wished
              .apply(loadedFor)
              .map(kg -> Loading.notAbove(kg, offer.needs(), equipment))
              .filter(loading -> loading.kg() > 0);
      SetNote note =
          new SetNote.AsStrung(prescription.scheme(), k, (int) Math.round(repetitions.get(k)));
      lines.add(new SetLine(0, low, high, load, added(load, before), note));
      before = load;
      first = first.isPresent() ? first : load;
      lines.addAll(drops(offer, prescription, equipment, k, load));
    }
    List<WarmUp> warmUps = new ArrayList<>();
    if (first.isPresent()) {
      List<Loading> ramp = first.get().warmUps(offer.role().warmUps(), offer.needs(), equipment);
      for (int k = 0; k < ramp.size(); k++) {
        warmUps.add(
            new WarmUp(
                k == 0
                    ? FIRST_WARM_UP_REPETITIONS
                    : WARM_UP_REPETITIONS[Math.min(k - 1, WARM_UP_REPETITIONS.length - 1)],
                ramp.get(k)));
      }
    }
    return new WorkingLoad(lowKg, highKg, basis, List.copyOf(warmUps), List.copyOf(lines));
  }

  /** The drops after a set: half of its repetitions, with what they leave of its load. */
  private static List<SetLine> drops(
      Offer offer,
      Prescription prescription,
      GymEquipment equipment,
      int set,
      Optional<Loading> load) {
    List<SetLine> lines = new ArrayList<>();
    for (int d = 1; d <= prescription.dropsAfter(set); d++) {
      Drops drops = prescription.drops().orElseThrow();
      double share = drops.share(d);
      int half = Math.max(1, (int) Math.round(Scheme.DROP_REPETITIONS * prescription.middle()));
      lines.add(
          new SetLine(
              d,
              half,
              half,
              share == 1
                  ? load
                  : load.map(
                      loading -> Loading.notAbove(loading.kg() * share, offer.needs(), equipment)),
              List.of(),
              new SetNote.AtOnce(drops)));
    }
    return lines;
  }

  private static Optional<Double> wished(
      Prescription prescription,
      double repetitions,
      Optional<Recorded> last,
      Optional<LoadEstimate> estimate,
      double empty,
      double share) {
    if (last.isPresent()) {
      return Optional.of(share * recorded(last.get(), repetitions + prescription.reserve(), empty));
    }
    return estimate.map(
        loadEstimate ->
            share
                * atRepetitions(
                    loadEstimate.lowKg(),
                    prescription.middle() + prescription.reserve(),
                    repetitions + prescription.reserve(),
                    empty));
  }

  /**
   * The load for so many repetitions to failure from a set that was done; beyond what the equations
   * are good for, the load that was used.
   */
  private static double recorded(Recorded recorded, double toFailure, double empty) {
    double done = recorded.best().repetitions() + recorded.best().reserve();
    if (recorded.best().loadKg() == 0) {
      return 0;
    }
    return !OneRepetition.REPETITIONS_TO_FAILURE.contains(done)
        ? recorded.best().loadKg()
        : atRepetitions(recorded.best().loadKg(), done, toFailure, empty);
  }

  private static double atRepetitions(double kg, double from, double to, double empty) {
    return (kg + empty) * OneRepetition.load(1, to) / OneRepetition.load(1, from) - empty;
  }

  private static List<Double> added(Optional<Loading> load, Optional<Loading> before) {
    return load.isEmpty()
        ? List.of()
        : before.isEmpty() ? load.get().perSide() : load.get().addedTo(before.get());
  }

  private static Basis basis(
      Offer offer, Optional<Recorded> last, Optional<LoadEstimate> estimate, double share) {
    if (last.isPresent()) {
      return new LastTime(last.get().best(), last.get().on(), share);
    }
    return estimate
        .<Basis>map(loadEstimate -> new FirstLoad(loadEstimate.basis(), share))
        .orElse(new Unknown(offer.loadKind() == LoadKind.NONE));
  }
}
