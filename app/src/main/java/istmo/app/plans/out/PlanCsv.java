package istmo.app.plans.out;

import istmo.app.plans.PlanBrief;
import istmo.app.plans.PlanDocument;
import istmo.app.plans.PlanDocument.DayDocument;
import istmo.app.plans.PlanDocument.ItemDocument;
import istmo.app.plans.PlanFile;
import istmo.app.platform.Cells;
import istmo.app.sessions.PrescriptionDocument;
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
import java.util.function.UnaryOperator;
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
  public static String write(PlanBrief brief, PlanDocument plan, UnaryOperator<String> name) {
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
      for (DayDocument d : plan.days()) {
        List<Object> ofDay = new ArrayList<>(own);
        ofDay.addAll(Arrays.asList(d.weekday(), d.minutes(), d.oneStation()));
        if (d.bouts().isEmpty()) {
          csv.printRecord(filled(ofDay));
        }
        for (int b = 0; b < d.bouts().size(); b++) {
          for (ItemDocument i : d.bouts().get(b)) {
            List<Object> row = new ArrayList<>(ofDay);
            row.add(b + 1);
            row.addAll(cells(i, name.apply(i.candidateId())));
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
  private static List<Object> cells(ItemDocument i, String name) {
    PrescriptionDocument p = i.prescription();
    List<Object> cells =
        new ArrayList<>(
            Arrays.asList(
                i.candidateId(),
                Cells.written(name),
                i.id(),
                i.pinned(),
                p.sets(),
                p.repetitionsLow(),
                p.repetitionsHigh(),
                p.reserve(),
                p.tempo().loweringS(),
                p.tempo().lowS(),
                p.tempo().liftingS(),
                p.tempo().topS(),
                p.restS(),
                p.scheme(),
                p.sideRestS()));
    PrescriptionDocument.DropsDocument drops = p.drops();
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
    new TreeMap<>(map).forEach((k, v) -> parts.add(k + "=" + v));
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
          NEEDED.stream().filter(c -> !csv.getHeaderMap().containsKey(c)).toList();
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
      for (CSVRecord r : rows) {
        for (String c : OF_PLAN) {
          if (!r.get(c).equals(rows.get(0).get(c))) {
            fault(r, c, "must be the same in every row");
          }
        }
        Integer weekday = whole(r, "weekday");
        DayDocument day =
            days.computeIfAbsent(
                weekday == null ? -1 : weekday,
                k ->
                    new DayDocument(
                        weekday, whole(r, "minutes"), flag(r, "one_station"), new ArrayList<>()));
        if (!r.get("exercise").isBlank()) {
          put(day, r);
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

    private void put(DayDocument day, CSVRecord r) {
      Integer bout = whole(r, "bout");
      int at = bout == null ? day.bouts().size() : bout - 1;
      if (at < 0 || at > day.bouts().size()) {
        fault(r, "bout", "counts 1, 2, 3 ... within a session");
        return;
      }
      if (at == day.bouts().size()) {
        day.bouts().add(new ArrayList<>());
      }
      PrescriptionDocument.TempoDocument tempo =
          new PrescriptionDocument.TempoDocument(
              number(r, "lowering_s"),
              number(r, "low_s"),
              number(r, "lifting_s"),
              number(r, "top_s"));
      day.bouts()
          .get(at)
          .add(
              new ItemDocument(
                  r.get("id"),
                  r.get("exercise"),
                  flag(r, "pinned"),
                  new PrescriptionDocument(
                      whole(r, "sets"),
                      whole(r, "repetitions_low"),
                      whole(r, "repetitions_high"),
                      number(r, "reserve"),
                      tempo,
                      whole(r, "rest_s"),
                      read(r, "scheme", Scheme::valueOf),
                      said(r, "side_rest_s") ? whole(r, "side_rest_s") : null,
                      said(r, "drops")
                          ? new PrescriptionDocument.DropsDocument(
                              whole(r, "drops"),
                              number(r, "drops_less"),
                              flag(r, "drops_every_set"),
                              r.get("drops_easier"))
                          : null)));
    }

    /** Whether a column that may be empty, or missing in older files, says something. */
    private static boolean said(CSVRecord r, String column) {
      return r.isSet(column) && !r.get(column).isBlank();
    }

    private Integer whole(CSVRecord r, String column) {
      return read(r, column, Integer::valueOf);
    }

    private Double number(CSVRecord r, String column) {
      return read(r, column, Double::valueOf);
    }

    private Boolean flag(CSVRecord r, String column) {
      String v = r.get(column);
      if (!v.equals("true") && !v.equals("false")) {
        fault(r, column, "is true or false, not \"" + v + "\"");
      }
      return v.equals("true");
    }

    /** What cannot be read is a fault, and faults are thrown before anything is used. */
    @SuppressWarnings("NullAway")
    private <T> T read(CSVRecord r, String column, Function<String, T> parse) {
      try {
        return parse.apply(r.get(column).trim());
      } catch (IllegalArgumentException | DateTimeException e) {
        fault(r, column, "\"" + r.get(column) + "\" cannot be read");
        return null;
      }
    }

    private <T extends Number> Map<String, T> map(
        CSVRecord r, String column, Function<String, T> parse) {
      Map<String, T> map = new TreeMap<>();
      for (String part : r.get(column).split(";")) {
        String[] pair = part.split("=");
        if (part.isBlank()) {
          continue;
        }
        try {
          map.put(pair[0], parse.apply(pair[1]));
        } catch (IllegalArgumentException | ArrayIndexOutOfBoundsException e) {
          fault(r, column, "\"" + part + "\" is not like VL=3");
        }
      }
      return map;
    }

    private void fault(CSVRecord r, String column, String message) {
      faults.add(
          new InvalidInput.Fault("line " + (r.getRecordNumber() + 1) + ", " + column, message));
    }
  }
}
