package istmo.app.exchange;

import istmo.app.platform.Cells;
import istmo.core.body.Measurement.Side;
import istmo.core.quantity.InvalidInput;
import istmo.core.record.SetRecord;
import istmo.core.training.PerformedSet;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;

/** Reads the rows of a table of sets; what cannot be read becomes a fault with its line. */
final class SetsTableReader {
  private final List<SetsTable.Column> columns;
  private final Map<SetsTable.Field, Integer> at;
  private final SetsTable.Days days;
  private final SetsTable.Unit unit;
  private final List<SetsTable.Row> rows = new ArrayList<>();
  private final List<InvalidInput.Fault> faults = new ArrayList<>();
  private int faultCount;

  SetsTableReader(
      List<SetsTable.Column> columns,
      Map<SetsTable.Field, Integer> at,
      SetsTable.Days days,
      SetsTable.Unit unit) {
    this.columns = columns;
    this.at = at;
    this.days = days;
    this.unit = unit;
  }

  SetsTable read(List<CSVRecord> records, char separator) {
    for (CSVRecord record : records.subList(1, records.size())) {
      row(record);
    }
    return new SetsTable(separator, columns, unit, days, rows, faults, faultCount);
  }

  void row(CSVRecord record) {
    int before = faultCount;
    int line = (int) record.getRecordNumber();
    String when = cell(record, SetsTable.Field.DATE);
    LocalDate on = days.read(SetsTable.day(when)).orElse(null);
    if (on == null) {
      fault(line, SetsTable.Field.DATE, "\"" + when + "\" is no day as " + SetsTable.words(days));
    }
    String exercise = cell(record, SetsTable.Field.EXERCISE);
    if (exercise.isBlank()) {
      fault(line, SetsTable.Field.EXERCISE, "is empty");
    }
    Double load = load(record, line);
    Double repetitions = number(record, line, SetsTable.Field.REPETITIONS, true);
    if (repetitions != null && Math.rint(repetitions) != repetitions) {
      fault(line, SetsTable.Field.REPETITIONS, "counts whole repetitions");
    }
    Double reserve = number(record, line, SetsTable.Field.RESERVE, false);
    Double exertion = number(record, line, SetsTable.Field.EXERTION, false);
    Double sets = number(record, line, SetsTable.Field.SETS, false);
    if (sets != null && (sets < 1 || sets > SetsTable.MOST_SETS_A_ROW || Math.rint(sets) != sets)) {
      fault(line, SetsTable.Field.SETS, "is 1 to " + SetsTable.MOST_SETS_A_ROW);
    }
    Side side = side(record, line);
    if (faultCount > before || on == null || load == null || repetitions == null) {
      return;
    }
    double left = reserve != null ? reserve : exertion != null ? 10 - exertion : 0;
    SetsTable.Field leftIn =
        exertion != null && reserve == null ? SetsTable.Field.EXERTION : SetsTable.Field.RESERVE;
    try {
      SetRecord set =
          new SetRecord(
              new PerformedSet(load, (int) (double) repetitions, Math.round(2 * left) / 2.0),
              SetRecord.Kind.WORK,
              Optional.empty(),
              side,
              Optional.empty(),
              Optional.empty(),
              Set.of(),
              Optional.empty());
      for (int n = 0; n < (sets == null ? 1 : sets); n++) {
        rows.add(new SetsTable.Row(line, n, on, exercise, set));
      }
    } catch (InvalidInput e) {
      e.faults().forEach(fault -> fault(line, column(fault.field(), leftIn), fault.message()));
    }
  }

  /** The column from which a value of a set came. */
  private static SetsTable.Field column(String field, SetsTable.Field reserveIn) {
    return switch (field) {
      case "repetitions" -> SetsTable.Field.REPETITIONS;
      case "reserve" -> reserveIn;
      default -> SetsTable.Field.LOAD;
    };
  }

  private String cell(CSVRecord record, SetsTable.Field field) {
    Integer c = at.get(field);
    return c == null || c >= record.size() ? "" : Cells.read(record.get(c).strip());
  }

  /**
   * A load with its own unit, its row's, or the table's; nothing, or words for body weight, is
   * none.
   */
  private @Nullable Double load(CSVRecord record, int line) {
    String text = cell(record, SetsTable.Field.LOAD).toLowerCase(Locale.ROOT);
    if (text.isEmpty() || Set.of("bw", "body", "bodyweight", "body weight", "-").contains(text)) {
      return 0.0;
    }
    SetsTable.Unit own =
        text.matches(".*(lb|lbs)$")
            ? SetsTable.Unit.LB
            : text.endsWith("kg")
                ? SetsTable.Unit.KG
                : switch (cell(record, SetsTable.Field.UNIT).toLowerCase(Locale.ROOT)) {
                  case "lb", "lbs", "pounds" -> SetsTable.Unit.LB;
                  case "kg", "kilograms" -> SetsTable.Unit.KG;
                  default -> unit;
                };
    Double value = decimal(text.replaceAll("\\s*(kg|lbs?)$", ""));
    if (value == null) {
      fault(line, SetsTable.Field.LOAD, "\"" + text + "\" is no number");
      return null;
    }
    return Math.round(value * own.kg * 1000) / 1000.0;
  }

  private @Nullable Double number(
      CSVRecord record, int line, SetsTable.Field field, boolean needed) {
    String text = cell(record, field);
    if (text.isEmpty()) {
      if (needed) {
        fault(line, field, "is empty");
      }
      return null;
    }
    Double value = decimal(text);
    if (value == null) {
      fault(line, field, "\"" + text + "\" is no number");
    }
    return value;
  }

  /**
   * With a decimal point or comma; signs between thousands are not taken, so that none is misread.
   */
  private static @Nullable Double decimal(String text) {
    return text.matches("-?\\d+([.,]\\d+)?") ? Double.valueOf(text.replace(',', '.')) : null;
  }

  private Side side(CSVRecord record, int line) {
    String text = cell(record, SetsTable.Field.SIDE).toLowerCase(Locale.ROOT);
    return switch (text) {
      case "", "both", "b", "none", "-" -> Side.NONE;
      case "l", "left", "links" -> Side.LEFT;
      case "r", "right", "rechts" -> Side.RIGHT;
      default -> {
        fault(line, SetsTable.Field.SIDE, "\"" + text + "\" is left, right or both");
        yield Side.NONE;
      }
    };
  }

  private void fault(int line, SetsTable.Field field, String message) {
    faultCount++;
    if (faults.size() < SetsTable.MOST_FAULTS) {
      faults.add(
          new InvalidInput.Fault(
              "line "
                  + line
                  + ", "
                  + (at.containsKey(field)
                      ? columns.get(at.get(field)).header()
                      : field.name().toLowerCase(Locale.ROOT)),
              message));
    }
  }
}
