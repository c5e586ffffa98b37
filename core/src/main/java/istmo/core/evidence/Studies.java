package istmo.core.evidence;

import istmo.core.anatomy.Region;
import istmo.core.anatomy.RegionGroup;
import istmo.core.resource.TextTable;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * The findings of {@code evidence/findings.txt}, read and checked once: regions, candidates and
 * parameters that they name must exist.
 */
public final class Studies {
  /** Names for several regions together. */
  private static final Map<String, Predicate<Region>> TOGETHER =
      Map.of(
          "QUADS", region -> region.group() == RegionGroup.QUADS,
          "VASTI", region -> region.group() == RegionGroup.QUADS && region != Region.RF,
          "HAMSTRINGS", region -> region.group() == RegionGroup.HAMSTRINGS,
          "ADDUCTORS", region -> region.group() == RegionGroup.ADDUCTORS,
          "GMAX", region -> region.id().startsWith("GMAX"),
          "GMED", region -> region.id().startsWith("GMED"),
          "CALVES", region -> region.group() == RegionGroup.CALVES);

  /** Correlation of the noise of two findings of one study, for one muscle group and for two. */
  private static final double SAME_PEOPLE = 0.5;

  private static final double SAME_PEOPLE_OTHER_GROUP = 0.15;

  private static final Studies STANDARD = new Studies();

  private final Map<String, Finding> byId = new LinkedHashMap<>();

  private Studies() {
    for (TextTable.Row row : TextTable.rows("evidence/findings.txt", "|")) {
      String id = row.get("id");
      try {
        if (byId.put(id, read(row)) != null) {
          throw new IllegalStateException("it stands twice");
        }
      } catch (RuntimeException e) {
        throw new IllegalStateException("finding " + id + ": " + e.getMessage(), e);
      }
    }
  }

  /** The findings of the core's resources, read and checked once. */
  public static Studies standard() {
    return STANDARD;
  }

  /** Every finding, used or not. */
  public List<Finding> all() {
    return List.copyOf(byId.values());
  }

  /** Those that enter the posterior. */
  public List<Finding> used() {
    return byId.values().stream().filter(Finding::used).toList();
  }

  /** The finding with this id; throws {@code InvalidInput} when there is none. */
  public Finding get(String id) {
    Finding finding = byId.get(id);
    if (finding == null) {
      throw new IllegalArgumentException("no finding " + id);
    }
    return finding;
  }

  /** Set-ups that findings name, each once. */
  public List<Point> points() {
    Map<String, Point> points = new LinkedHashMap<>();
    for (Finding finding : byId.values()) {
      finding.setUpA().ifPresent(point -> points.put(point.key(), point));
      finding.setUpB().ifPresent(point -> points.put(point.key(), point));
    }
    return List.copyOf(points.values());
  }

  /** A region, or those of a name for several together; throws for an unknown one. */
  static List<Region> regions(String name) {
    Optional<Region> one = Region.find(name);
    if (one.isPresent()) {
      return List.of(one.get());
    }
    Predicate<Region> member = TOGETHER.get(name);
    if (member != null) {
      return Arrays.stream(Region.values()).filter(member).toList();
    }
    throw new IllegalStateException("\"" + name + "\" is not a region");
  }

  private static Finding read(TextTable.Row row) {
    String[] regions = row.get("region").split(":");
    List<Region> texts = regions(regions[0].trim());
    List<Region> words = regions.length > 1 ? regions(regions[1].trim()) : texts;
    Optional<Point> setUpA = point(row.get("setup_a"));
    Optional<Point> setUpB = point(row.get("setup_b"));
    Optional<String> notUsed = Optional.of(row.get("not_used")).filter(text -> !text.isBlank());
    Finding finding =
        new Finding(
            row.get("id"),
            need(row, "citation"),
            Finding.How.valueOf(row.get("how").toUpperCase(Locale.ROOT)),
            number(row.get("weeks")),
            number(row.get("n")),
            row.get("population"),
            need(row, "condition_a"),
            need(row, "condition_b"),
            setUpA,
            setUpB,
            texts,
            words,
            row.get("site"),
            row.get("measure"),
            number(row.get("result_a")),
            number(row.get("result_b")),
            Finding.Direction.valueOf(row.get("direction").toUpperCase(Locale.ROOT)),
            row.get("note"),
            Finding.Memory.valueOf(row.get("confidence").toUpperCase(Locale.ROOT)),
            row.get("caution"),
            notUsed);
    if (notUsed.isEmpty() && (setUpA.isEmpty() || setUpB.isEmpty() || texts.isEmpty())) {
      throw new IllegalStateException("it is used but lacks a set-up or a region");
    }
    return finding;
  }

  private static Optional<Point> point(String key) {
    return key.isBlank() ? Optional.empty() : Optional.of(Point.parse(key));
  }

  private static String need(TextTable.Row row, String column) {
    if (row.get(column).isBlank()) {
      throw new IllegalStateException(column + " is missing");
    }
    return row.get(column);
  }

  private static OptionalDouble number(String cell) {
    return cell.isBlank() ? OptionalDouble.empty() : OptionalDouble.of(Double.parseDouble(cell));
  }

  /**
   * How many findings of one study stand for one: its rows come from the same people, so k rows of
   * one muscle group tell as much as k / (1 + (k - 1) {@value #SAME_PEOPLE}) studies, and rows of
   * other groups share a little less (own estimate of the correlations). 1 for a single row.
   */
  double shared(Finding finding) {
    RegionGroup group = group(finding);
    double shared = 1;
    for (Finding study : used()) {
      if (study.citation().equals(finding.citation()) && !study.id().equals(finding.id())) {
        shared += group(study) == group ? SAME_PEOPLE : SAME_PEOPLE_OTHER_GROUP;
      }
    }
    return shared;
  }

  private static RegionGroup group(Finding finding) {
    return finding.regionsA().get(0).group();
  }

  /** Citations of the findings in use, each once, in order. */
  public Set<String> citations() {
    return used().stream()
        .map(Finding::citation)
        .collect(Collectors.toCollection(LinkedHashSet::new));
  }
}
