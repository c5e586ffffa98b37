package istmo.core.ranking.criterion;

import istmo.core.body.Body;
import istmo.core.body.BodyEstimate;
import istmo.core.body.MeasurementKind;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;

/**
 * What a missing measurement costs: how many of the first ten would stand elsewhere if the body were as far below its estimate as people usually are, or as far above.
 *
 * @param affected how many of the first ten change their place between the two
 */
public record MeasuringValue(MeasurementKind kind, int affected, String sentence) {
  private static final int FIRST = 10;
  /** Standard deviation of an ankle's range that is only known as stiff, usual or free, and of a hip's (own estimate), rad. */
  private static final double ANKLE_SPREAD = Math.toRadians(4);

  private static final double HIP_SPREAD = Math.toRadians(7);

  private record Variant(Body low, Body high, String spread) {}

  /**
   * The measurements that are missing and would change something, most first.
   *
   * @param orderOf the order for a body, everything else of the brief as it is
   */
  public static List<MeasuringValue> of(BodyEstimate estimate, Function<Body, Order> orderOf) {
    List<MeasuringValue> result = new ArrayList<>();
    List<String> first = ids(orderOf.apply(estimate.body())).stream().limit(FIRST).toList();
    for (Map.Entry<MeasurementKind, Variant> v : variants(estimate.body()).entrySet()) {
      if (estimate.measured().contains(v.getKey())) {
        continue;
      }
      List<String> low = ids(orderOf.apply(v.getValue().low()));
      List<String> high = ids(orderOf.apply(v.getValue().high()));
      int affected = (int) first.stream().filter(id -> low.indexOf(id) != high.indexOf(id)).count();
      if (affected > 0) {
        result.add(new MeasuringValue(v.getKey(), affected, String.format(Locale.ROOT, "Measure the %s: between %s less and %s more, %d of the first %d change their place.", v.getKey().label(), v.getValue().spread(), v.getValue().spread(), affected, first.size())));
      }
    }
    result.sort(Comparator.comparingInt(MeasuringValue::affected).reversed().thenComparing(MeasuringValue::kind));
    return List.copyOf(result);
  }

  private static Map<MeasurementKind, Variant> variants(Body b) {
    Map<MeasurementKind, Variant> map = new LinkedHashMap<>();
    double thigh = MeasurementKind.THIGH.spreadM(b.statureM());
    map.put(MeasurementKind.THIGH, new Variant(b.withLengths(b.thighM() - thigh, b.shankM(), b.trunkM() + thigh), b.withLengths(b.thighM() + thigh, b.shankM(), b.trunkM() - thigh), cm(thigh)));
    double shank = MeasurementKind.SHANK.spreadM(b.statureM());
    map.put(MeasurementKind.SHANK, new Variant(b.withLengths(b.thighM(), b.shankM() - shank, b.trunkM() + shank), b.withLengths(b.thighM(), b.shankM() + shank, b.trunkM() - shank), cm(shank)));
    double trunk = MeasurementKind.TRUNK.spreadM(b.statureM());
    map.put(MeasurementKind.TRUNK, new Variant(b.withLengths(b.thighM(), b.shankM(), b.trunkM() - trunk), b.withLengths(b.thighM(), b.shankM(), b.trunkM() + trunk), cm(trunk)));
    map.put(MeasurementKind.KNEE_TO_WALL, new Variant(b.withDorsiflexionLimit(b.dorsiflexionLimitRad() - ANKLE_SPREAD), b.withDorsiflexionLimit(b.dorsiflexionLimitRad() + ANKLE_SPREAD), deg(ANKLE_SPREAD)));
    map.put(MeasurementKind.HIP_FLEXION, new Variant(b.withLimits(b.dorsiflexionLimitRad(), b.hipFlexionLimitRad() - HIP_SPREAD, b.kneeFlexionLimitRad()), b.withLimits(b.dorsiflexionLimitRad(), b.hipFlexionLimitRad() + HIP_SPREAD, b.kneeFlexionLimitRad()), deg(HIP_SPREAD)));
    return map;
  }

  private static List<String> ids(Order order) {
    return order.entries().stream().map(e -> e.ranked().id()).toList();
  }

  private static String cm(double m) {
    return String.format(Locale.ROOT, "%.1f cm", 100 * m);
  }

  private static String deg(double rad) {
    return String.format(Locale.ROOT, "%.0f°", Math.toDegrees(rad));
  }
}
