package istmo.app.plans.out;

import istmo.app.plans.PlanBrief;
import istmo.app.plans.PlanDocument;
import istmo.app.plans.PlanDocument.DayDocument;
import istmo.app.plans.PlanDocument.ItemDocument;
import istmo.app.plans.PlanFile;
import istmo.app.platform.Cells;
import istmo.app.sessions.PrescriptionDocument;
import istmo.core.catalogue.CandidateId;
import istmo.core.plan.Pairing;
import istmo.core.plan.Scheme;
import istmo.core.quantity.InvalidInput;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * A plan for spreadsheets (docs/formats.md): one row an exercise, the plan's own columns the same
 * in every row; a session without exercises has a row too.
 */
public final class PlanCsv {
  private static final List<String> COLUMNS =
      List.of(
          "plan",
          "aim",
          "keep_out",
          "school",
          "weighed_for",
          "weights",
          "pairing",
          "varied",
          "hold",
          "targets",
          "block_weeks",
          "starts_on",
          "weekday",
          "minutes",
          "one_station",
          "bout",
          "exercise",
          "name",
          "id",
          "pinned",
          "sets",
          "repetitions_low",
          "repetitions_high",
          "reserve",
          "lowering_s",
          "low_s",
          "lifting_s",
          "top_s",
          "rest_s",
          "scheme",
          "side_rest_s",
          "drops",
          "drops_less",
          "drops_every_set",
          "drops_easier");

  private static final List<String> OF_PLAN = COLUMNS.subList(0, 12);

  /** Files of before sides and drops could be said lack the last columns. */
  private static final List<String> NEEDED = COLUMNS.subList(0, COLUMNS.indexOf("scheme") + 1);

  private PlanCsv() {}

  /**
   * The plan as a table with one row an exercise.
   *
   * @param name of a candidate, for people; it is not read back
   */
  public static String write(
      PlanBrief brief, PlanDocument plan, Function<CandidateId, String> name) {
    StringBuilder out = new StringBuilder();
    try (CSVPrinter csv =
        new CSVPrinter(
            out, CSVFormat.DEFAULT.builder().setHeader(COLUMNS.toArray(String[]::new)).get())) {
      List<Object> own =
          Arrays.asList(
              Cells.written(plan.name()),
              pairs(brief.aim()),
              String.join(";", brief.keepOut()),
              brief.school(),
              brief.preset(),
              pairs(brief.weights()),
              plan.pairing(),
              plan.varied(),
              plan.hold(),
              pairs(plan.targets()),
              plan.blockWeeks(),
              plan.startsOn());
      for (DayDocument day : plan.days()) {
        List<Object> ofDay = new ArrayList<>(own);
        ofDay.addAll(Arrays.asList(day.weekday(), day.minutes(), day.oneStation()));
        if (day.bouts().isEmpty()) {
          csv.printRecord(filled(ofDay));
        }
        for (int b = 0; b < day.bouts().size(); b++) {
          for (ItemDocument document : day.bouts().get(b)) {
            List<Object> row = new ArrayList<>(ofDay);
            row.add(b + 1);
            row.addAll(cells(document, name.apply(new CandidateId(document.candidateId()))));
            csv.printRecord(filled(row));
          }
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toString();
  }

  /** An exercise's own cells, from its id on. */
  private static List<Object> cells(ItemDocument document, String name) {
    PrescriptionDocument prescriptionDocument = document.prescription();
    List<Object> cells =
        new ArrayList<>(
            Arrays.asList(
                document.candidateId(),
                Cells.written(name),
                document.id(),
                document.pinned(),
                prescriptionDocument.sets(),
                prescriptionDocument.repetitionsLow(),
                prescriptionDocument.repetitionsHigh(),
                prescriptionDocument.reserve(),
                prescriptionDocument.tempo().loweringS(),
                prescriptionDocument.tempo().lowS(),
                prescriptionDocument.tempo().liftingS(),
                prescriptionDocument.tempo().topS(),
                prescriptionDocument.restS(),
                prescriptionDocument.scheme(),
                prescriptionDocument.sideRestS()));
    PrescriptionDocument.DropsDocument drops = prescriptionDocument.drops();
    if (drops != null) {
      cells.addAll(Arrays.asList(drops.number(), drops.less(), drops.everySet(), drops.easier()));
    }
    return cells;
  }

  private static List<Object> filled(List<Object> row) {
    List<Object> full = new ArrayList<>(row);
    while (full.size() < COLUMNS.size()) {
      full.add(null);
    }
    return full;
  }

  private static String pairs(Map<String, ? extends Number> map) {
    List<String> parts = new ArrayList<>();
    new TreeMap<>(map).forEach((key, v) -> parts.add(key + "=" + v));
    return String.join(";", parts);
  }

  /** Reads a plan back; throws {@link InvalidInput} that names every line and column at fault. */
  public static PlanFile read(String text) {
    try (var csv =
        CSVFormat.DEFAULT
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setIgnoreEmptyLines(true)
            .get()
            .parse(new StringReader(text.startsWith("\uFEFF") ? text.substring(1) : text))) {
      List<String> missing =
          NEEDED.stream().filter(candidate -> !csv.getHeaderMap().containsKey(candidate)).toList();
      if (!missing.isEmpty()) {
        throw new InvalidInput("text", "lacks the columns " + missing);
      }
      return new Reader().read(csv.getRecords());
    } catch (IOException | IllegalArgumentException e) {
      throw new InvalidInput("text", "cannot be read as CSV: " + e.getMessage());
    }
  }

  private static final class Reader {
    private final List<InvalidInput.Fault> faults = new ArrayList<>();

    PlanFile read(List<CSVRecord> rows) {
      if (rows.isEmpty()) {
        throw new InvalidInput("text", "has no rows");
      }
      Map<Integer, DayDocument> days = new LinkedHashMap<>();
      for (CSVRecord row : rows) {
        for (String candidate : OF_PLAN) {
          if (!row.get(candidate).equals(rows.get(0).get(candidate))) {
            fault(row, candidate, "must be the same in every row");
          }
        }
        Integer weekday = whole(row, "weekday");
        DayDocument day =
            days.computeIfAbsent(
                weekday == null ? -1 : weekday,
                k ->
                    new DayDocument(
                        weekday,
                        whole(row, "minutes"),
                        flag(row, "one_station"),
                        new ArrayList<>()));
        if (!row.get("exercise").isBlank()) {
          put(day, row);
        }
      }
      CSVRecord first = rows.get(0);
      PlanBrief brief =
          new PlanBrief(
              map(first, "aim", Integer::valueOf),
              first.get("keep_out").isBlank()
                  ? List.of()
                  : List.of(first.get("keep_out").split(";")),
              first.get("school"),
              first.get("weighed_for"),
              map(first, "weights", Double::valueOf));
      PlanDocument plan =
          new PlanDocument(
              Cells.read(first.get("plan")),
              List.copyOf(days.values()),
              read(first, "pairing", Pairing::valueOf),
              flag(first, "varied"),
              flag(first, "hold"),
              map(first, "targets", Double::valueOf),
              first.get("block_weeks").isBlank() ? null : whole(first, "block_weeks"),
              first.get("starts_on").isBlank() ? null : read(first, "starts_on", LocalDate::parse));
      if (!faults.isEmpty()) {
        throw new InvalidInput(faults);
      }
      return PlanFile.of(brief, plan);
    }

    private void put(DayDocument day, CSVRecord record) {
      Integer bout = whole(record, "bout");
      int at = bout == null ? day.bouts().size() : bout - 1;
      if (at < 0 || at > day.bouts().size()) {
        fault(record, "bout", "counts 1, 2, 3 ... within a session");
        return;
      }
      if (at == day.bouts().size()) {
        day.bouts().add(new ArrayList<>());
      }
      PrescriptionDocument.TempoDocument tempo =
          new PrescriptionDocument.TempoDocument(
              number(record, "lowering_s"),
              number(record, "low_s"),
              number(record, "lifting_s"),
              number(record, "top_s"));
      day.bouts()
          .get(at)
          .add(
              new ItemDocument(
                  record.get("id"),
                  record.get("exercise"),
                  flag(record, "pinned"),
                  new PrescriptionDocument(
                      whole(record, "sets"),
                      whole(record, "repetitions_low"),
                      whole(record, "repetitions_high"),
                      number(record, "reserve"),
                      tempo,
                      whole(record, "rest_s"),
                      read(record, "scheme", Scheme::valueOf),
                      said(record, "side_rest_s") ? whole(record, "side_rest_s") : null,
                      said(record, "drops")
                          ? new PrescriptionDocument.DropsDocument(
                              whole(record, "drops"),
                              number(record, "drops_less"),
                              flag(record, "drops_every_set"),
                              record.get("drops_easier"))
                          : null)));
    }

    /** Whether a column that may be empty, or missing in older files, says something. */
    private static boolean said(CSVRecord record, String column) {
      return record.isSet(column) && !record.get(column).isBlank();
    }

    private Integer whole(CSVRecord record, String column) {
      return read(record, column, Integer::valueOf);
    }

    private Double number(CSVRecord record, String column) {
      return read(record, column, Double::valueOf);
    }

    private Boolean flag(CSVRecord record, String column) {
      String value = record.get(column);
      if (!value.equals("true") && !value.equals("false")) {
        fault(record, column, "is true or false, not \"" + value + "\"");
      }
      return value.equals("true");
    }

    /** What cannot be read is a fault, and faults are thrown before anything is used. */
    @SuppressWarnings("NullAway")
    private <T> T read(CSVRecord record, String column, Function<String, T> parse) {
      try {
        return parse.apply(record.get(column).trim());
      } catch (IllegalArgumentException | DateTimeException e) {
        fault(record, column, "\"" + record.get(column) + "\" cannot be read");
        return null;
      }
    }

    private <T extends Number> Map<String, T> map(
        CSVRecord record, String column, Function<String, T> parse) {
      Map<String, T> map = new TreeMap<>();
      for (String part : record.get(column).split(";")) {
        String[] pair = part.split("=");
        if (part.isBlank()) {
          continue;
        }
        try {
          map.put(pair[0], parse.apply(pair[1]));
        } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException e) {
          fault(record, column, "\"" + part + "\" is not like VL=3");
        }
      }
      return map;
    }

    private void fault(CSVRecord record, String column, String message) {
      faults.add(
          new InvalidInput.Fault(
              "line " + (record.getRecordNumber() + 1) + ", " + column, message));
    }
  }
}
