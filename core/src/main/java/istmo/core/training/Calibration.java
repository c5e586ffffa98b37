package istmo.core.training;

import istmo.core.anatomy.Regions;
import istmo.core.body.Body;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.Catalogue;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.Equipment;
import istmo.core.equipment.Place;
import istmo.core.equipment.Equipment.LoadKind;
import istmo.core.mechanics.Analyser;
import istmo.core.movement.Reach;
import istmo.core.movement.Setup;
import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * How strong a client is, from known lifts: the factor on all muscle volumes, and on the back, with which the model's limit of each lift is what the client can do once. Lifts that the back ends say how strong the back is; the others how strong
 * the legs are; a kind without a lift of its own takes the other's factor. Stack machines do not count: their loads do not compare.
 *
 * @param legs factor on muscle volumes
 * @param back factor on the back's usual strength
 * @param maxima largest load for one repetition of each candidate that has a known lift, kg, without the sled
 * @param basis what it rests on, in words
 */
public record Calibration(double legs, double back, Map<String, Double> maxima, String basis) {
  /** Factors beyond which a lift is not believed. */
  private static final double LEAST = 0.35;

  private static final double MOST = 3.5;
  private static final double TOLERANCE = 0.003;

  private record Fit(String candidateId, double factor, boolean byBack) {}

  /** The calibration from the newest lift of each candidate; empty when no lift says how strong the body is. {@code usual} is the body at usual strength. */
  public static Optional<Calibration> of(Body usual, List<KnownLift> lifts) {
    Map<String, KnownLift> newest = new TreeMap<>();
    lifts.stream().sorted(Comparator.comparing(KnownLift::on)).forEach(l -> newest.put(l.candidateId(), l));
    Map<String, Double> maxima = new LinkedHashMap<>();
    List<Fit> fits = new ArrayList<>();
    for (KnownLift l : newest.values()) {
      maxima.put(l.candidateId(), maximum(l));
      fit(usual, l).ifPresent(fits::add);
    }
    if (fits.isEmpty()) {
      return Optional.empty();
    }
    double ofLegs = mean(fits, false);
    double ofBack = mean(fits, true);
    double legs = Double.isNaN(ofLegs) ? ofBack : ofLegs;
    double back = Double.isNaN(ofBack) ? legs : ofBack;
    String names = String.join(", ", fits.stream().map(f -> Catalogue.standard().candidate(f.candidateId()).name()).toList());
    return Optional.of(new Calibration(legs, back, Map.copyOf(maxima), String.format(Locale.ROOT, "From %s: legs %.2f, back %.2f of what is usual for this mass and stature.", names, legs, back)));
  }

  /** Throws {@link InvalidInput} when a lift cannot be believed of this body, saying what the body would have to be. */
  public static void check(Body usual, KnownLift lift) {
    Optional<Tried> tried = tried(usual, lift);
    if (tried.isPresent() && !tried.get().believable()) {
      boolean less = tried.get().atLeast() > 0;
      throw new InvalidInput(
          "loadKg",
          String.format(Locale.ROOT, "%s with %.4g kg for %d would need %s than %.0f %% of the usual strength for this body: is it mistyped?", Catalogue.standard().candidate(lift.candidateId()).name(), lift.set().loadKg(), lift.set().repetitions(), less ? "less" : "more", 100 * (less ? LEAST : MOST)));
    }
  }

  public Body applied(Body usual) {
    return usual.withStrength(Body.STRENGTH.nearest(legs * usual.strength()), Body.LUMBAR_NM.nearest(back * usual.lumbarNm()));
  }

  /** Largest load for one repetition, kg. What moves with an empty sled is part of what the equations count. */
  private static double maximum(KnownLift l) {
    double empty = emptyKg(Catalogue.standard().candidate(l.candidateId()).usual());
    return OneRepetition.maximum(l.set().loadKg() + empty, l.toFailure()) - empty;
  }

  /** Mass that moves with no plates on, kg. */
  static double emptyKg(Setup setup) {
    return setup.values().getOrDefault("sledMass", 0.0);
  }

  /** A lift on a body, with how far the model's limit is over it at the least and the most strength, kg. */
  private record Tried(Exercise x, Setup setup, double target, double atLeast, double atMost) {
    boolean believable() {
      return atLeast <= 0 && atMost >= 0;
    }
  }

  /** Empty for a lift that says nothing of strength: on a stack, or out of this body's reach. */
  private static Optional<Tried> tried(Body usual, KnownLift l) {
    Candidate c = Catalogue.standard().candidate(l.candidateId());
    Exercise x = Catalogue.standard().exerciseOf(c);
    if (x.needs().stream().anyMatch(item -> Equipment.get(item).load() == LoadKind.STACK)) {
      return Optional.empty();
    }
    double target = maximum(l);
    return Reach.of(usual, x.family(), c.usualFor(usual, Place.generic(Set.of())), c.yields()).map(r -> new Tried(x, r.setup(), target, over(usual, x, r.setup(), LEAST, target), over(usual, x, r.setup(), MOST, target)));
  }

  /** Empty also for a lift that is not believable any more, as when the body was measured anew since. */
  private static Optional<Fit> fit(Body usual, KnownLift l) {
    Optional<Tried> tried = tried(usual, l).filter(Tried::believable);
    if (tried.isEmpty()) {
      return Optional.empty();
    }
    Tried t = tried.get();
    double factor = new BracketingNthOrderBrentSolver(TOLERANCE, 5).solve(100, s -> over(usual, t.x(), t.setup(), s, t.target()), LEAST, MOST);
    Analyser.Fresh a = fresh(usual, t.x(), t.setup(), factor).orElseThrow();
    double backShare = a.limiters().stream().filter(m -> m.id().equals(Regions.LOWER_BACK)).mapToDouble(m -> m.share()).sum();
    return Optional.of(new Fit(l.candidateId(), factor, backShare > 0.5));
  }

  /** How far the model's limit at a factor is over the lift, kg; where body weight alone is too much, as if nothing could be lifted. */
  private static double over(Body usual, Exercise x, Setup setup, double factor, double target) {
    return Math.max(0, fresh(usual, x, setup, factor).map(Analyser.Fresh::limitKg).orElse(0.0)) - target;
  }

  private static Optional<Analyser.Fresh> fresh(Body usual, Exercise x, Setup setup, double factor) {
    Body body = usual.withStrength(factor * usual.strength(), Body.LUMBAR_NM.nearest(factor * usual.lumbarNm()));
    return new Analyser(body).fresh(x.family(), setup);
  }

  /** Geometric mean of the factors of one kind; NaN without one. */
  private static double mean(List<Fit> fits, boolean byBack) {
    return Math.exp(fits.stream().filter(f -> f.byBack() == byBack).mapToDouble(f -> Math.log(f.factor())).average().orElse(Double.NaN));
  }
}
