package istmo.app.exchange;

import istmo.core.quantity.InvalidInput;
import istmo.core.quantity.Required;
import istmo.core.quantity.Units;
import istmo.core.record.SetRecord;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.time.format.ResolverStyle;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/**
 * Sets in somebody's spreadsheet: separator, decimal comma, column names, units and the order of a
 * day are recognised, and all of that can be said otherwise. One row a set, or several alike where
 * a column counts them (docs/formats.md).
 */
public final class SetsTable {
  static final int MOST_ROWS = 200_000;
  static final int MOST_FAULTS = 200;
  static final int MOST_SETS_A_ROW = 20;
  private static final char[] SEPARATORS = {';', '\t', ',', '|'};

  /** What a column may hold. */
  public enum Field {
    DATE(Set.of("date", "day", "when", "datum", "tag", "fecha", "data")),
    EXERCISE(
        Set.of(
            "exercise",
            "movement",
            "lift",
            "exercise name",
            "name",
            "übung",
            "ejercicio",
            "exercice")),
    LOAD(
        Set.of(
            "load",
            "weight",
            "kg",
            "lb",
            "lbs",
            "weight used",
            "gewicht",
            "last",
            "peso",
            "poids",
            "charge")),
    UNIT(Set.of("unit", "units", "weight unit", "einheit")),
    REPETITIONS(
        Set.of(
            "repetitions", "reps", "rep", "wiederholungen", "wdh", "repeticiones", "répétitions")),
    SETS(Set.of("sets", "number of sets", "sätze", "series")),
    RESERVE(Set.of("reserve", "rir", "reps in reserve", "repetitions in reserve", "in reserve")),
    EXERTION(Set.of("rpe", "exertion", "perceived exertion")),
    SIDE(Set.of("side", "leg", "seite", "bein", "lado")),
    IGNORED(Set.of());

    private final Set<String> headers;

    Field(Set<String> headers) {
      this.headers = headers;
    }
  }

  /** How days are written. */
  public enum Days {
    ISO("uuuu-MM-dd", "uuuu/MM/dd"),
    DAY_FIRST("d.M.uuuu", "d/M/uuuu", "d-M-uuuu"),
    MONTH_FIRST("M/d/uuuu", "M-d-uuuu", "M.d.uuuu");

    private final List<DateTimeFormatter> ways;

    Days(String... ways) {
      this.ways =
          Arrays.stream(ways)
              .map(
                  word ->
                      DateTimeFormatter.ofPattern(word, Locale.ROOT)
                          .withResolverStyle(ResolverStyle.STRICT))
              .toList();
    }

    Optional<LocalDate> read(String text) {
      for (DateTimeFormatter way : ways) {
        try {
          return Optional.of(LocalDate.parse(text, way));
        } catch (DateTimeException notThisWay) {
          // the next
        }
      }
      return Optional.empty();
    }
  }

  /** Units of a load. */
  public enum Unit {
    KG(1),
    LB(Units.KG_PER_POUND);

    final double kg;

    Unit(double kg) {
      this.kg = kg;
    }
  }

  /**
   * A column of the table, and what it is read as.
   *
   * @param field what it is taken to hold
   */
  public record Column(String header, String sample, Field field) {}

  /**
   * One set as it was read.
   *
   * @param line in the text, from 1
   * @param nth which of alike sets of that line, from 0
   */
  public record Row(int line, int nth, LocalDate on, String exercise, SetRecord set) {}

  /**
   * What the coach says of the table instead of what was recognised.
   *
   * @param unit where a row or a header says none
   */
  public record ReadingChoices(
      Map<Integer, Field> columns, Optional<Unit> unit, Optional<Days> days) {
    public static final ReadingChoices NOTHING =
        new ReadingChoices(Map.of(), Optional.empty(), Optional.empty());
  }

  private final char separator;
  private final List<Column> columns;
  private final Unit unit;
  private final Days days;
  private final List<Row> rows;
  private final List<InvalidInput.Fault> faults;
  private final int faultCount;

  SetsTable(
      char separator,
      List<Column> columns,
      Unit unit,
      Days days,
      List<Row> rows,
      List<InvalidInput.Fault> faults,
      int faultCount) {
    this.separator = separator;
    this.columns = List.copyOf(columns);
    this.unit = unit;
    this.days = days;
    this.rows = List.copyOf(rows);
    this.faults = List.copyOf(faults);
    this.faultCount = faultCount;
  }

  /** What stands between the cells. */
  public char separator() {
    return separator;
  }

  /** The columns, with what each is read as. */
  public List<Column> columns() {
    return columns;
  }

  /** Unit of loads that say none themselves. */
  public Unit unit() {
    return unit;
  }

  /** Order of day, month and year. */
  public Days days() {
    return days;
  }

  /** Rows that could be read, in the order of the table. */
  public List<Row> rows() {
    return rows;
  }

  /** The first faults, each with its line and column. */
  public List<InvalidInput.Fault> faults() {
    return faults;
  }

  /** How many faults there are, also beyond those that are listed. */
  public int faultCount() {
    return faultCount;
  }

  /** Exercises by the names that the table has, with how many sets. */
  public Map<String, Integer> exercises() {
    Map<String, Integer> count = new TreeMap<>();
    rows.forEach(row -> count.merge(row.exercise(), 1, Integer::sum));
    return count;
  }

  /**
   * Throws {@link InvalidInput} on field "text" for what is no table, or lacks a column that is
   * needed.
   */
  public static SetsTable read(String text, ReadingChoices wished) {
    String plain = text.startsWith("\uFEFF") ? text.substring(1) : text;
    char separator = separator(plain);
    List<CSVRecord> records;
    try (var csv =
        CSVFormat.DEFAULT
            .builder()
            .setDelimiter(separator)
            .setIgnoreEmptyLines(true)
            .setTrim(true)
            .get()
            .parse(new StringReader(plain))) {
      records = csv.getRecords();
    } catch (IOException | IllegalArgumentException | UncheckedIOException e) {
      throw new InvalidInput("text", "cannot be read as a table: " + e.getMessage());
    }
    if (records.size() < 2) {
      throw new InvalidInput("text", "needs a row of column names and at least one set");
    }
    if (records.size() > MOST_ROWS) {
      throw new InvalidInput(
          "text", "has " + records.size() + " rows; at most " + MOST_ROWS + " are taken at once");
    }
    List<Column> columns = columns(records, wished);
    Map<Field, Integer> at = new EnumMap<>(Field.class);
    for (int c = 0; c < columns.size(); c++) {
      if (columns.get(c).field() != Field.IGNORED
          && at.putIfAbsent(columns.get(c).field(), c) != null) {
        throw new InvalidInput(
            "columns." + c,
            "two columns hold "
                + columns.get(c).field().name().toLowerCase(Locale.ROOT)
                + "; say which counts");
      }
    }
    List<String> missing =
        List.of(Field.DATE, Field.EXERCISE, Field.REPETITIONS).stream()
            .filter(field -> !at.containsKey(field))
            .map(field -> field.name().toLowerCase(Locale.ROOT))
            .toList();
    if (!missing.isEmpty()) {
      throw new InvalidInput(
          "columns",
          "no column is known to hold "
              + String.join(", ", missing)
              + "; the columns are "
              + columns.stream().map(Column::header).toList());
    }
    Days days = wished.days().orElseGet(() -> days(records, Required.entry(at, Field.DATE)));
    Unit unit =
        wished
            .unit()
            .orElseGet(
                () ->
                    at.containsKey(Field.LOAD) && pounds(columns.get(at.get(Field.LOAD)).header())
                        ? Unit.LB
                        : Unit.KG);
    return new SetsTableReader(columns, at, days, unit).read(records, separator);
  }

  /** The sign that parts the first line most often, outside quotes. */
  static char separator(String text) {
    String first =
        text.lines()
            .filter(line -> !line.isBlank())
            .findFirst()
            .orElse("")
            .replaceAll("\"[^\"]*\"", "");
    char best = ',';
    long most = 0;
    for (char c : SEPARATORS) {
      long n = first.chars().filter(x -> x == c).count();
      if (n > most) {
        most = n;
        best = c;
      }
    }
    return best;
  }

  private static List<Column> columns(List<CSVRecord> records, ReadingChoices wished) {
    CSVRecord head = records.get(0);
    List<Column> columns = new ArrayList<>();
    Set<Field> taken = new HashSet<>(wished.columns().values());
    for (int c = 0; c < head.size(); c++) {
      int column = c;
      String sample =
          records.stream()
              .skip(1)
              .limit(50)
              .filter(record -> column < record.size() && !record.get(column).isBlank())
              .map(record -> record.get(column))
              .findFirst()
              .orElse("");
      Field said = wished.columns().get(c);
      Field field =
          said != null
              ? said
              : recognised(head.get(c)).filter(free -> !taken.contains(free)).orElse(Field.IGNORED);
      if (field != Field.IGNORED) {
        taken.add(field);
      }
      columns.add(new Column(head.get(c), sample, field));
    }
    return columns;
  }

  /** By the header, without units in brackets and signs. */
  static Optional<Field> recognised(String header) {
    String plain =
        header
            .toLowerCase(Locale.ROOT)
            .replaceAll("[\\[(].*?[\\])]", "")
            .replaceAll("[_\\-.:]+", " ")
            .strip()
            .replaceAll(" (kg|lb|lbs)$", "");
    for (Field field : Field.values()) {
      if (field.headers.contains(plain)) {
        return Optional.of(field);
      }
    }
    return Optional.empty();
  }

  private static boolean pounds(String header) {
    return header.toLowerCase(Locale.ROOT).matches(".*\\b(lb|lbs|pounds?)\\b.*");
  }

  /**
   * The way in which all the first days can be read; where several can, the day before the month
   * unless the year is first.
   */
  private static Days days(List<CSVRecord> records, int column) {
    List<String> first =
        records.stream()
            .skip(1)
            .filter(record -> column < record.size() && !record.get(column).isBlank())
            .limit(2000)
            .map(record -> day(record.get(column)))
            .toList();
    for (Days days : Days.values()) {
      if (!first.isEmpty() && first.stream().allMatch(text -> days.read(text).isPresent())) {
        return days;
      }
    }
    return Days.values()[
        first.stream()
            .map(
                text ->
                    Arrays.stream(Days.values())
                        .filter(days -> days.read(text).isPresent())
                        .findFirst()
                        .map(Enum::ordinal)
                        .orElse(0))
            .reduce((a, second) -> a)
            .orElse(0)];
  }

  /** The day of a moment such as "2026-11-24 18:05". */
  static String day(String text) {
    return text.strip().split("[T ]")[0];
  }

  static String words(Days days) {
    return switch (days) {
      case ISO -> "2026-11-24";
      case DAY_FIRST -> "24.11.2026 or 24/11/2026";
      case MONTH_FIRST -> "11/24/2026";
    };
  }
}
