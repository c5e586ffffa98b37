package istmo.app.exchange;

import istmo.app.platform.Cells;
import istmo.app.sessions.Session;
import istmo.core.anatomy.Region;
import istmo.core.body.Measurement.Side;
import istmo.core.catalogue.CandidateId;
import istmo.core.record.SetRecord;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.ZoneId;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
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
  static String write(List<Session> sessions, ZoneId zone, Function<CandidateId, String> name) {
    StringBuilder out = new StringBuilder();
    try (CSVPrinter csv =
        new CSVPrinter(out, CSVFormat.DEFAULT.builder().setHeader(COLUMNS).get())) {
      for (Session session : sessions) {
        for (Session.Item item : session.items()) {
          for (Session.LoggedSet set : item.sets()) {
            SetRecord record = set.record();
            var at = set.performedAt().atZone(zone);
            csv.printRecord(
                Arrays.asList(
                    at.toLocalDate(),
                    at.toLocalTime().truncatedTo(ChronoUnit.SECONDS),
                    Cells.written(session.gym().name()),
                    Cells.written(name.apply(item.candidateId())),
                    item.candidateId(),
                    pairs(item.setup()),
                    record.kind(),
                    record.number().orElse(null),
                    record.side() == Side.NONE ? null : record.side(),
                    record.done().loadKg(),
                    "kg",
                    record.done().repetitions(),
                    record.done().reserve(),
                    record.range().orElse(null),
                    record.tempoKept().orElse(null),
                    String.join(";", Region.ids(record.felt())),
                    record.pain().map(pain -> pain.joint()).orElse(null),
                    record.pain().map(pain -> pain.level()).orElse(null)));
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
            .map(entry -> entry.getKey() + "=" + entry.getValue())
            .collect(Collectors.joining(";"));
  }
}
