package istmo.app.exchange;

import istmo.app.platform.Cells;
import istmo.app.sessions.Session;
import istmo.core.body.Measurement.Side;
import istmo.core.record.SetRecord;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/**
 * A client's sets for spreadsheets (docs/formats.md): one row a set, oldest first. {@link
 * SetsTable} reads it again.
 */
final class RecordCsv {
  private static final String[] COLUMNS = {
    "day",
    "time_utc",
    "gym",
    "exercise",
    "candidate",
    "setup",
    "kind",
    "number",
    "side",
    "load",
    "unit",
    "repetitions",
    "reserve",
    "range",
    "tempo_kept",
    "felt",
    "pain_joint",
    "pain_level"
  };

  private RecordCsv() {}

  /**
   * @param zone whose days and times of the day are written
   * @param name of a candidate
   */
  static String write(List<Session> sessions, ZoneId zone, UnaryOperator<String> name) {
    StringBuilder out = new StringBuilder();
    try (CSVPrinter csv =
        new CSVPrinter(out, CSVFormat.DEFAULT.builder().setHeader(COLUMNS).get())) {
      for (Session s : sessions) {
        for (Session.Item i : s.items()) {
          for (Session.LoggedSet set : i.sets()) {
            SetRecord r = set.record();
            var at = set.performedAt().atZone(zone);
            csv.printRecord(
                Arrays.asList(
                    at.toLocalDate(),
                    at.toLocalTime().truncatedTo(ChronoUnit.SECONDS),
                    Cells.written(s.gym().name()),
                    Cells.written(name.apply(i.candidateId())),
                    i.candidateId(),
                    pairs(i.setup()),
                    r.kind(),
                    r.number().orElse(null),
                    r.side() == Side.NONE ? null : r.side(),
                    r.done().loadKg(),
                    "kg",
                    r.done().repetitions(),
                    r.done().reserve(),
                    r.range().orElse(null),
                    r.tempoKept().orElse(null),
                    String.join(";", r.felt()),
                    r.pain().map(p -> p.joint()).orElse(null),
                    r.pain().map(p -> p.level()).orElse(null)));
          }
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  private static String pairs(Map<String, Double> values) {
    return new TreeMap<>(values)
        .entrySet().stream()
            .map(e -> e.getKey() + "=" + e.getValue())
            .collect(Collectors.joining(";"));
  }
}
