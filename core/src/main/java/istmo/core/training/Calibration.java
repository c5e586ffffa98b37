package istmo.core.training;

import istmo.core.anatomy.Region;
import istmo.core.body.Body;
import istmo.core.body.BodyEstimate;
import istmo.core.body.MeasurementKind;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.catalogue.Exercise;
import istmo.core.equipment.Equipment.LoadKind;
import istmo.core.equipment.GymEquipment;
import istmo.core.mechanics.Analyser;
import istmo.core.movement.Parameters;
import istmo.core.movement.Reach;
import istmo.core.movement.Setup;
import istmo.core.quantity.Fact;
import istmo.core.quantity.InvalidInput;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.DoubleUnaryOperator;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;

/**
 * How strong a client is, from known lifts: the factor on all muscle volumes, and on the back, with
 * which the model's limit of each lift is what the client can do once. Each lift is first explained
 * by legs and back of one factor. Those that the back ends then, and those that a weaker back
 * explains better than legs much weaker than other lifts show, say how strong the back is with the
 * legs known; the others how strong the legs are. A back is believed to be apart from the legs only
 * as far as backs are, for a lift may be light for other reasons: skill, or caution. A kind without
 * a lift of its own takes the other's factor. Stack machines do not count: their loads do not
 * compare.
 *
 * @param legs factor on muscle volumes
 * @param back factor on the back's usual strength
 * @param maxima largest load for one repetition of each candidate that has a known lift, kg,
 *     without the sled
 * @param heldKg largest weight that hung in one hand in these lifts, bare or not, kg; nothing where
 *     none did
 * @param from candidates whose lifts it rests on, by id
 */
public record Calibration(
    double legs,
    double back,
    Map<CandidateId, Double> maxima,
    double heldKg,
    List<CandidateId> from)
    implements Fact {
  /** Factors beyond which a lift is not believed. */
  private static final double LEAST = 0.35;

  private static final double MOST = 3.5;
  private static final double TOLERANCE = 0.003;

  /**
   * Standard deviation between people of ln(back's factor / legs' factor) (judgement: strengths of
   * trunk and knee extension spread by a fifth to a quarter each and go together in part).
   */
  private static final double BACKS_APART = 0.2;

  /**
   * Standard deviation of what one lift says of the back, in ln: the model errs by about a quarter
   * between bars (docs/validation.md, loads).
   */
  private static final double LIFT_ERROR = 0.25;

  /**
   * Legs that explain a lift worse than this share of the strongest legs shown are not believed to
   * be what ended it, if the back can have.
   */
  private static final double WEAKER = 0.9;

  private record Fit(CandidateId candidateId, Tried lift, double factor, boolean byBack) {}

  /**
   * The calibration from the newest lift of each candidate; empty when no lift says how strong the
   * body is. {@code usual} is the body at usual strength.
   */
  public static Optional<Calibration> of(Body usual, List<KnownLift> lifts) {
    Map<CandidateId, KnownLift> newest = new TreeMap<>();
    lifts.stream()
        .sorted(Comparator.comparing(KnownLift::on))
        .forEach(lift -> newest.put(lift.candidateId(), lift));
    Map<CandidateId, Double> maxima = new LinkedHashMap<>();
    List<Fit> fits = new ArrayList<>();
    for (KnownLift lift : newest.values()) {
      maxima.put(lift.candidateId(), maximum(lift));
      fit(usual, lift).ifPresent(fits::add);
    }
    if (fits.isEmpty()) {
      return Optional.empty();
    }
    double strongest =
        fits.stream()
            .filter(fit -> !fit.byBack())
            .mapToDouble(Fit::factor)
            .max()
            .orElse(Double.NaN);
    List<Double> ofLegs = new ArrayList<>();
    List<Double> ofBack = new ArrayList<>();
    for (Fit fit : fits) {
      if (Double.isNaN(strongest)) {
        ofBack.add(fit.factor());
      } else if (fit.byBack() || fit.factor() < WEAKER * strongest) {
        back(usual, fit.lift(), strongest)
            .ifPresentOrElse(ofBack::add, () -> ofLegs.add(fit.factor()));
      } else {
        ofLegs.add(fit.factor());
      }
    }
    double legs = mean(ofLegs.isEmpty() ? ofBack : ofLegs);
    double back = ofLegs.isEmpty() || ofBack.isEmpty() ? legs : believed(legs, ofBack);
    return Optional.of(
        new Calibration(
            legs,
            back,
            Map.copyOf(maxima),
            held(newest.values()),
            fits.stream().map(Fit::candidateId).toList()));
  }

  /**
   * Throws {@link InvalidInput} when a lift cannot be believed of this body, saying what the body
   * would have to be.
   */
  public static void check(Body usual, KnownLift lift) {
    Optional<Tried> tried = tried(usual, lift);
    if (tried.isPresent() && !tried.get().believable()) {
      boolean less = tried.get().atLeast() > 0;
      throw InvalidInput.saying(
          "loadKg",
          "%s with %.4g kg for %d would need %s than %.0f %% of the usual strength for this body:"
              + " is it mistyped?",
          lift.candidate().name(),
          lift.set().loadKg(),
          lift.set().repetitions(),
          less ? "less" : "more",
          100 * (less ? LEAST : MOST));
    }
  }

  /** This strength on a body; hands that are not measured hold what has hung in them. */
  public BodyEstimate applied(BodyEstimate usual) {
    Body body = applied(usual.body());
    return new BodyEstimate(
        usual.measured().contains(MeasurementKind.GRIP) ? body : body.holding(heldKg),
        usual.measured(),
        usual.notes());
  }

  /** The body with the strength that known lifts say, within what an adult can have. */
  public Body applied(Body usual) {
    return usual.withStrength(
        Body.STRENGTH.nearest(legs * usual.strength()),
        Body.LUMBAR_NM.nearest(back * usual.lumbarNm()));
  }

  private static double held(Collection<KnownLift> lifts) {
    return lifts.stream()
        .mapToDouble(
            lift -> {
              Candidate candidate = lift.candidate();
              return maximum(lift) * candidate.exercise().family().inOneHand(candidate.usual());
            })
        .max()
        .orElse(0);
  }

  /**
   * Largest load for one repetition, kg. What moves with an empty sled is part of what the
   * equations count.
   */
  private static double maximum(KnownLift lift) {
    double empty = emptyKg(lift.candidate().usual());
    return OneRepetition.maximum(lift.set().loadKg() + empty, lift.toFailure()) - empty;
  }

  /** Mass that moves with no plates on, kg. */
  static double emptyKg(Setup setup) {
    return setup.values().getOrDefault("sledMass", 0.0);
  }

  /**
   * A lift on a body, with how far the model's limit is over it at the least and the most strength,
   * kg.
   */
  private record Tried(
      Exercise exercise, Setup setup, double target, double atLeast, double atMost) {
    boolean believable() {
      return atLeast <= 0 && atMost >= 0;
    }
  }

  /** Empty for a lift that says nothing of strength: on a stack, or out of this body's reach. */
  private static Optional<Tried> tried(Body usual, KnownLift lift) {
    Candidate candidate = lift.candidate();
    Exercise exercise = candidate.exercise();
    if (candidate.needs().stream().anyMatch(item -> item.load() == LoadKind.STACK)) {
      return Optional.empty();
    }
    double target = maximum(lift);
    Setup wished = candidate.usualFor(usual, GymEquipment.generic(Set.of()));
    if (wished
        .values()
        .containsKey(
            Parameters.STRAPS
                .id())) { // a lift that was done did not end with the hands, or says nothing of
      // them
      wished = wished.with(Parameters.STRAPS, 1);
    }
    return Reach.of(usual, exercise.family(), wished, candidate.yields())
        .map(
            reach ->
                new Tried(
                    exercise,
                    reach.setup(),
                    target,
                    over(usual, exercise, reach.setup(), LEAST, LEAST, target),
                    over(usual, exercise, reach.setup(), MOST, MOST, target)));
  }

  /**
   * Empty also for a lift that is not believable any more, as when the body was measured anew
   * since.
   */
  private static Optional<Fit> fit(Body usual, KnownLift lift) {
    Optional<Tried> tried = tried(usual, lift).filter(Tried::believable);
    if (tried.isEmpty()) {
      return Optional.empty();
    }
    Tried fitted = tried.get();
    double factor =
        solve(s -> over(usual, fitted.exercise(), fitted.setup(), s, s, fitted.target()));
    Analyser.Fresh fresh =
        fresh(usual, fitted.exercise(), fitted.setup(), factor, factor).orElseThrow();
    double backShare =
        fresh.limiters().stream()
            .filter(limiter -> limiter.id().equals(Region.ERECTORS.id()))
            .mapToDouble(limiter -> limiter.share())
            .sum();
    return Optional.of(new Fit(lift.candidateId(), fitted, factor, backShare > 0.5));
  }

  /** The back's factor that explains a lift with legs that are known; empty where no back does. */
  private static Optional<Double> back(Body usual, Tried tried, double legs) {
    DoubleUnaryOperator over =
        s -> over(usual, tried.exercise(), tried.setup(), legs, s, tried.target());
    return over.applyAsDouble(LEAST) < 0 && over.applyAsDouble(MOST) > 0
        ? Optional.of(solve(over))
        : Optional.empty();
  }

  private static double solve(DoubleUnaryOperator over) {
    return new BracketingNthOrderBrentSolver(TOLERANCE, 5)
        .solve(100, over::applyAsDouble, LEAST, MOST);
  }

  /**
   * How far the model's limit at two factors is over the lift, kg; where body weight alone is too
   * much, as if nothing could be lifted.
   */
  private static double over(
      Body usual, Exercise exercise, Setup setup, double legs, double back, double target) {
    return Math.max(
            0, fresh(usual, exercise, setup, legs, back).map(Analyser.Fresh::limitKg).orElse(0.0))
        - target;
  }

  private static Optional<Analyser.Fresh> fresh(
      Body usual, Exercise exercise, Setup setup, double legs, double back) {
    Body body =
        usual.withStrength(
            legs * usual.strength(), Body.LUMBAR_NM.nearest(back * usual.lumbarNm()));
    return new Analyser(body).fresh(exercise.family(), setup);
  }

  /**
   * The back's factor from what lifts say of it: their mean and that of the legs, each by its
   * precision.
   */
  private static double believed(double legs, List<Double> ofBack) {
    double lifts = ofBack.size() / (LIFT_ERROR * LIFT_ERROR);
    double prior = 1 / (BACKS_APART * BACKS_APART);
    return legs * Math.pow(mean(ofBack) / legs, lifts / (lifts + prior));
  }

  /** Geometric mean. */
  private static double mean(List<Double> factors) {
    return Math.exp(factors.stream().mapToDouble(Math::log).average().orElseThrow());
  }
}
