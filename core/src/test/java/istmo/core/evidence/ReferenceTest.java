package istmo.core.evidence;

import istmo.core.SameFigures;
import istmo.core.computing.Workers;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * The reference table says what the mechanics says now. Written anew with {@code
 * -Dtest=ReferenceTest -Dreference.write=changed -Djacoco.skip=true}: the points whose stimulus is
 * another than the table has. With {@code =all} every point, in minutes: after a change of the
 * unknowns' spreads or of the sensitivities' own calculation, which the stimulus does not show.
 */
class ReferenceTest {
  private static final Path TABLE = Path.of("src/main/resources/istmo/core/evidence/reference.txt");

  private static final List<String> HEAD =
      List.of(
          "# Stimulus of every candidate, study condition and side of a claim on a reference body"
              + " (a man of 1.75 m and 75 kg; one who lifts where the average man cannot), and how"
              + " it changes with what is not known.",
          "# Calculated: mvn -pl core test -Dtest=ReferenceTest -Dreference.write=changed (or all)."
              + " Not to be edited. What cannot be done by that body is missing.",
          "# key||region stimulus at length bias and stretch weight 0,0 / 1,0 / 0,1 / 1,1, ...",
          "# key|unknown|region change of ln(stimulus + 0.2) in per cent by one standard deviation:"
              + " schools of squeeze / whole range / stretch, ...");

  @Test
  void theTableIsWhatTheMechanicsSays() throws IOException {
    String write = System.getProperty("reference.write", "");
    if (!write.isEmpty()) {
      Map<String, List<String>> kept = write.equals("all") ? Map.of() : byKey();
      List<String> lines = new ArrayList<>(HEAD);
      Workers.map(ReferenceCalculation.points(), point -> lines(point, kept))
          .forEach(lines::addAll);
      Files.write(TABLE, lines);
      return;
    }
    List<String> now =
        Workers.map(ReferenceCalculation.points(), ReferenceTest::baseLine).stream()
            .flatMap(Optional::stream)
            .toList();
    List<String> kept =
        Files.readAllLines(TABLE).stream()
            .filter(line -> line.contains("||"))
            .filter(line -> !line.startsWith("#"))
            .toList();
    SameFigures.assertSame("stale: write it anew", sorted(now), sorted(kept));
  }

  /** The table's lines by their point. */
  private static Map<String, List<String>> byKey() throws IOException {
    return Files.readAllLines(TABLE).stream()
        .filter(line -> !line.startsWith("#"))
        .collect(Collectors.groupingBy(line -> line.substring(0, line.indexOf('|'))));
  }

  /** The kept lines of a point whose stimulus is as it was, otherwise new ones. */
  private static List<String> lines(Point point, Map<String, List<String>> kept) {
    List<String> before = kept.getOrDefault(point.key(), List.of());
    Optional<String> base = baseLine(point);
    return base.isPresent() && before.contains(base.get())
        ? before
        : ReferenceCalculation.lines(point);
  }

  private static Optional<String> baseLine(Point point) {
    return ReferenceCalculation.usual(point)
        .flatMap(
            example -> ReferenceCalculation.stimulus(point, example, ReferenceCalculation.CORNERS))
        .map(stimulus -> ReferenceCalculation.baseLine(point, stimulus));
  }

  private static String sorted(List<String> lines) {
    return lines.stream().sorted().collect(Collectors.joining("\n"));
  }
}
