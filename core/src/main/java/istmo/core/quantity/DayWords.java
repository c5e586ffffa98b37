package istmo.core.quantity;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.Locale;

/** Days in sentences, as a coach reads them. */
public final class DayWords {
  private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM uuuu", Locale.UK);

  private DayWords() {}

  /** A day of the calendar as "21 Oct 2026". */
  public static String of(LocalDate day) {
    return DAY.format(day);
  }
}
