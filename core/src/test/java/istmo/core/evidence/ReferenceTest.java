package istmo.core.evidence;

import istmo.core.SameFigures;
import istmo.core.computing.Workers;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/**
 * The reference table says what the mechanics says now. Written anew, in minutes, with {@code
 * -Dtest=ReferenceTest -Dreference.write=true}.
 */
class ReferenceTest {
  private static final Path TABLE = Path.of("src/main/resources/istmo/core/evidence/reference.txt");

  @Test
  void theTableIsWhatTheMechanicsSays() throws IOException {
    if (Boolean.getBoolean("reference.write")) {
      List<String> lines =
          new ArrayList<>(
              List.of(
                  "# Stimulus of every candidate, study condition and side of a claim on a"
                      + " reference body (a man of 1.75 m and 75 kg; one who lifts where the"
                      + " average man cannot), and how it changes with what is not known.",
                  "# Calculated: mvn -pl core test -Dtest=ReferenceTest -Dreference.write=true. Not"
                      + " to be edited. What cannot be done by that body is missing.",
                  "# key||region stimulus at length bias and stretch weight 0,0 / 1,0 / 0,1 / 1,1,"
                      + " ...",
                  "# key|unknown|region change of ln(stimulus + 0.2) in per cent by one standard"
                      + " deviation: schools of squeeze / whole range / stretch, ..."));
      lines.addAll(ReferenceCalculation.lines(ReferenceCalculation.points()));
      Files.write(TABLE, lines);
      return;
    }
    List<String> now =
        Workers.map(ReferenceCalculation.points(), ReferenceTest::baseLine).stream()
            .flatMap(Optional::stream)
            .toList();
    List<String> kept =
        Files.readAllLines(TABLE).stream()
            .filter(l -> l.contains("||"))
            .filter(l -> !l.startsWith("#"))
            .toList();
    SameFigures.assertSame("stale: write it anew", sorted(now), sorted(kept));
  }

  private static Optional<String> baseLine(Point point) {
    return ReferenceCalculation.usual(point)
        .flatMap(c -> ReferenceCalculation.stimulus(point, c, ReferenceCalculation.CORNERS))
        .map(stimulus -> ReferenceCalculation.baseLine(point, stimulus));
  }

  private static String sorted(List<String> lines) {
    return lines.stream().sorted().collect(Collectors.joining("\n"));
  }
}
