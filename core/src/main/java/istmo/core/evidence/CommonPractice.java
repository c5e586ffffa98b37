package istmo.core.evidence;

import istmo.core.anatomy.Region;
import istmo.core.catalogue.Catalogue;
import istmo.core.resource.TextTable;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What coaches agree on without a study, from {@code evidence/practice.csv}: that one exercise does
 * more for some regions than another. The third voice beside mechanics and studies. Each row enters
 * the posterior as a direction, as weak as the school says and as few coaches agree.
 */
public final class CommonPractice {
  private static final CommonPractice STANDARD = new CommonPractice();

  private final List<Finding> all;

  private CommonPractice() {
    List<Finding> read = new ArrayList<>();
    for (TextTable.Row row : TextTable.rows("evidence/practice.csv")) {
      try {
        read.add(read(row));
      } catch (RuntimeException e) {
        throw new IllegalStateException(row.where() + ": " + e.getMessage(), e);
      }
    }
    this.all = List.copyOf(read);
  }

  /** The rows of the core's resources, read and checked once. */
  public static CommonPractice standard() {
    return STANDARD;
  }

  /** Every row, as a finding that nobody measured. */
  public List<Finding> all() {
    return all;
  }

  /**
   * What a row counts beside one that hardly any coach disputes: 1, a half where most agree, a
   * fifth where it is a leaning (judgement).
   */
  static double share(Finding practice) {
    return switch (practice.memory()) {
      case HIGH -> 1;
      case MEDIUM -> 0.5;
      case LOW -> 0.2;
    };
  }

  private static Finding read(TextTable.Row row) {
    List<Region> regions = Arrays.stream(row.get("regions").split(" ")).map(Region::of).toList();
    Point more = Point.parse(row.get("more"));
    Point less = Point.parse(row.get("less"));
    return new Finding(
        row.get("id"),
        "Common practice",
        Finding.How.PRACTICE,
        OptionalDouble.empty(),
        OptionalDouble.empty(),
        "",
        Catalogue.standard().candidate(more.candidateId()).name(),
        Catalogue.standard().candidate(less.candidateId()).name(),
        Optional.of(more),
        Optional.of(less),
        regions,
        regions,
        "whole",
        "opinion of coaches",
        OptionalDouble.empty(),
        OptionalDouble.empty(),
        Finding.Direction.MORE,
        "",
        agreement(row.get("agreement")),
        "",
        Optional.empty());
  }

  private static Finding.Memory agreement(String level) {
    return switch (level) {
      case "3" -> Finding.Memory.HIGH;
      case "2" -> Finding.Memory.MEDIUM;
      case "1" -> Finding.Memory.LOW;
      default -> throw new IllegalStateException("agreement is 1, 2 or 3, not " + level);
    };
  }
}
