package istmo.core.evidence;

import istmo.core.anatomy.Region;
import istmo.core.evidence.Finding.Direction;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** Findings of a study that nobody made, with both growths or none. */
final class Findings {
  private Findings() {}

  static Finding finding(
      String id,
      String first,
      String second,
      String region,
      Finding.How how,
      Direction direction,
      double... growths) {
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
        growths.length == 0 ? OptionalDouble.empty() : OptionalDouble.of(growths[0]),
        growths.length == 0 ? OptionalDouble.empty() : OptionalDouble.of(growths[1]),
        direction,
        "",
        Finding.Memory.HIGH,
        "",
        Optional.empty());
  }

  static Finding seatedAgainstLying(Direction direction) {
    return finding(
        "X1", "seated-leg-curl/usual", "lying-leg-curl/usual", "BFL", Finding.How.MRI, direction);
  }
}
