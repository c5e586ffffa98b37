package istmo.core.ranking.order;

import istmo.core.body.Body;
import istmo.core.body.BodyEstimate;
import istmo.core.body.MeasurementKind;
import istmo.core.catalogue.Candidate;
import istmo.core.catalogue.CandidateId;
import istmo.core.quantity.Fact;
import istmo.core.quantity.Required;
import istmo.core.ranking.brief.Brief;
import istmo.core.ranking.criterion.Evaluation;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * What a missing measurement costs: how many of the first ten would stand elsewhere if the body
 * were as far below its estimate as people usually are, or as far above.
 *
 * @param spread how far below and above the estimate was tried, m or deg as the kind has it
 * @param affected how many of the first ones change their place between the two
 * @param of how many first ones there are: ten, or all of fewer
 */
public record MeasuringValue(MeasurementKind kind, double spread, int affected, int of)
    implements Fact {
  private static final int FIRST = 10;
  private static final List<MeasurementKind> ASKED =
      List.of(
          MeasurementKind.THIGH,
          MeasurementKind.SHANK,
          MeasurementKind.TRUNK,
          MeasurementKind.KNEE_TO_WALL,
          MeasurementKind.HIP_FLEXION);

  /**
   * Standard deviation of an ankle's range that is only known as stiff, usual or free, and of a
   * hip's (own estimate).
   */
  private static final double ANKLE_SPREAD_DEG = 4;

  private static final double HIP_SPREAD_DEG = 7;

  /** Candidates evaluated anew for another body. */
  static final int LOOKED_AT = 24;

  private record Variant(Body low, Body high, double spread) {}

  /**
   * The measurements that are missing and would change something, most first.
   *
   * @param brief with the estimate's body
   * @param evaluations those of the brief; for other bodies only the first {@value #LOOKED_AT} of
   *     its order are evaluated anew, which is where places among the first ten are lost and won
   */
  public static List<MeasuringValue> of(
      BodyEstimate estimate, Brief brief, Map<CandidateId, Evaluation> evaluations) {
    List<MeasuringValue> result = new ArrayList<>();
    List<CandidateId> places = Orders.places(brief, evaluations);
    List<CandidateId> first = first(places);
    List<Candidate> near = near(places, evaluations);
    Function<Body, List<CandidateId>> placesFor =
        body -> {
          Brief other = brief.of(body);
          return Orders.places(
              other,
              Orders.reevaluated(
                  evaluations, other.limitedBody(), near, brief.equipment(), brief.school()));
        };
    for (MeasurementKind kind : ASKED) {
      if (estimate.measured().contains(kind)) {
        continue;
      }
      Variant variant = variant(kind, estimate.body());
      List<CandidateId> low = placesFor.apply(variant.low());
      List<CandidateId> high = placesFor.apply(variant.high());
      int affected = moved(first, low, high);
      if (affected > 0) {
        result.add(new MeasuringValue(kind, variant.spread(), affected, first.size()));
      }
    }
    result.sort(
        Comparator.comparingInt(MeasuringValue::affected)
            .reversed()
            .thenComparing(MeasuringValue::kind));
    return List.copyOf(result);
  }

  /**
   * The body with one kind below and above its estimate; joint limits stay within what a body may
   * have.
   */
  private static Variant variant(MeasurementKind kind, Body body) {
    double m = kind.spreadM(body.statureM());
    return switch (kind) {
      case THIGH ->
          new Variant(
              body.withLengths(body.thighM() - m, body.shankM(), body.trunkM() + m),
              body.withLengths(body.thighM() + m, body.shankM(), body.trunkM() - m),
              m);
      case SHANK ->
          new Variant(
              body.withLengths(body.thighM(), body.shankM() - m, body.trunkM() + m),
              body.withLengths(body.thighM(), body.shankM() + m, body.trunkM() - m),
              m);
      case TRUNK ->
          new Variant(
              body.withLengths(body.thighM(), body.shankM(), body.trunkM() - m),
              body.withLengths(body.thighM(), body.shankM(), body.trunkM() + m),
              m);
      case KNEE_TO_WALL ->
          new Variant(
              ankle(body, -ANKLE_SPREAD_DEG), ankle(body, ANKLE_SPREAD_DEG), ANKLE_SPREAD_DEG);
      case HIP_FLEXION ->
          new Variant(hip(body, -HIP_SPREAD_DEG), hip(body, HIP_SPREAD_DEG), HIP_SPREAD_DEG);
      default -> throw new IllegalArgumentException("no spread is known for " + kind);
    };
  }

  private static Body ankle(Body body, double moreDeg) {
    return body.withDorsiflexionLimit(
        Math.toRadians(
            Body.DORSIFLEXION_DEG.nearest(Math.toDegrees(body.dorsiflexionLimitRad()) + moreDeg)));
  }

  private static Body hip(Body body, double moreDeg) {
    double limit =
        Body.HIP_FLEXION_DEG.nearest(Math.toDegrees(body.hipFlexionLimitRad()) + moreDeg);
    return body.withLimits(
        body.dorsiflexionLimitRad(), Math.toRadians(limit), body.kneeFlexionLimitRad());
  }

  /** The first ten of an order. */
  static List<CandidateId> first(List<CandidateId> places) {
    return places.stream().limit(FIRST).toList();
  }

  /** The candidates among which places of the first ten are lost and won. */
  static List<Candidate> near(List<CandidateId> places, Map<CandidateId, Evaluation> evaluations) {
    return places.stream()
        .limit(LOOKED_AT)
        .map(id -> Required.entry(evaluations, id).candidate())
        .toList();
  }

  /** How many of these stand elsewhere in one order than in another. */
  static int moved(List<CandidateId> first, List<CandidateId> low, List<CandidateId> high) {
    return (int) first.stream().filter(id -> low.indexOf(id) != high.indexOf(id)).count();
  }
}
