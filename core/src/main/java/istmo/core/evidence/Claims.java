package istmo.core.evidence;

import istmo.core.resource.TextTable;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * The claims of {@code evidence/claims.txt}, read and checked once: findings, regions, set-ups and
 * opposite claims that they name must exist.
 */
public final class Claims {
  private static final Claims STANDARD = new Claims();
  private final Map<String, Claim> byId = new LinkedHashMap<>();

  private Claims() {
    for (TextTable.Row row : TextTable.rows("evidence/claims.txt", "|")) {
      String id = row.get("id");
      try {
        if (byId.put(id, read(row)) != null) {
          throw new IllegalStateException("it stands twice");
        }
      } catch (RuntimeException e) {
        throw new IllegalStateException("claim " + id + ": " + e.getMessage(), e);
      }
    }
    byId.values()
        .forEach(
            claim ->
                claim
                    .against()
                    .filter(first -> !byId.containsKey(first))
                    .ifPresent(
                        first -> {
                          throw new IllegalStateException(
                              "claim " + claim.id() + ": no claim " + first);
                        }));
  }

  /** The claims of the core's resources, read and checked once. */
  public static Claims standard() {
    return STANDARD;
  }

  /** Every claim, by topic. */
  public List<Claim> all() {
    return List.copyOf(byId.values());
  }

  List<Point> points() {
    return byId.values().stream()
        .flatMap(claim -> claim.sides().stream())
        .flatMap(sides -> Stream.of(sides.first(), sides.second()))
        .toList();
  }

  private static Claim read(TextTable.Row row) {
    Optional<Claim.Sides> sides =
        row.get("a").isBlank()
            ? Optional.empty()
            : Optional.of(new Claim.Sides(Point.parse(row.get("a")), Point.parse(row.get("b"))));
    Optional<Finding.Direction> expects =
        row.get("expects").isBlank()
            ? Optional.empty()
            : Optional.of(Finding.Direction.valueOf(row.get("expects").toUpperCase(Locale.ROOT)));
    List<Claim.Bearing> bearing = new ArrayList<>();
    for (String ref : row.get("findings").split(" ")) {
      if (ref.isBlank()) {
        continue;
      }
      boolean turned = ref.startsWith("-");
      boolean silent = ref.startsWith("~");
      Finding finding = Studies.standard().get(turned || silent ? ref.substring(1) : ref);
      bearing.add(
          new Claim.Bearing(
              finding,
              silent
                  ? Optional.empty()
                  : Optional.of(
                      turned ? turned(finding.direction().plain()) : finding.direction().plain())));
    }
    if (sides.isPresent() && expects.isEmpty()) {
      throw new IllegalStateException("it has two sides and expects nothing");
    }
    return new Claim(
        row.get("id"),
        row.get("topic"),
        row.get("says"),
        row.get("regions").isBlank() ? List.of() : Studies.regions(row.get("regions")),
        sides,
        expects,
        Optional.of(row.get("against")).filter(text -> !text.isBlank()),
        bearing,
        row.get("note"));
  }

  private static Finding.Direction turned(Finding.Direction direction) {
    return switch (direction) {
      case MORE -> Finding.Direction.LESS;
      case LESS -> Finding.Direction.MORE;
      case ALIKE, NEITHER, ONLY -> direction;
    };
  }
}
