package istmo.core.evidence;

import istmo.core.anatomy.Region;
import istmo.core.evidence.Finding.Direction;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Findings of a study that nobody made. */
final class Findings {
  private Findings() {}

  static Finding finding(
      String id,
      String first,
      String second,
      String region,
      Finding.How how,
      Direction direction,
      double growthA,
      double growthB) {
    return new Finding(
        id,
        "Test 2026",
        how,
        OptionalDouble.of(10),
        OptionalDouble.of(20),
        "",
        "a",
        "b",
        Optional.of(Point.parse(first)),
        Optional.of(Point.parse(second)),
        List.of(Region.of(region)),
        List.of(Region.of(region)),
        "whole",
        "",
        growthA > 0 ? OptionalDouble.of(growthA) : OptionalDouble.empty(),
        growthB > 0 ? OptionalDouble.of(growthB) : OptionalDouble.empty(),
        direction,
        "",
        Finding.Memory.HIGH,
        "",
        Optional.empty());
  }

  static Finding seatedAgainstLying(Direction direction) {
    return finding(
        "X1",
        "seated-leg-curl/usual",
        "lying-leg-curl/usual",
        "BFL",
        Finding.How.MRI,
        direction,
        0,
        0);
  }
}
