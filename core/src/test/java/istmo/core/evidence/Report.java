package istmo.core.evidence;

import java.util.Locale;

/** Lines of a report, in the order in which they are said. */
final class Report {
  private final StringBuilder lines = new StringBuilder();

  void say(String format, Object... values) {
    lines.append(String.format(Locale.ROOT, format, values)).append('\n');
  }

  @Override
  public String toString() {
    return lines.toString();
  }
}
