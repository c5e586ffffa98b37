package istmo.core.resource;

import istmo.core.quantity.Bound;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * The core's own readable resources: comma-separated tables with a header, and files of "key:
 * value" lines. Lines that start with # are comments. Figures in texts are bound to their units.
 */
public final class TextTable {
  private TextTable() {}

  /**
   * One row of a table.
   *
   * @param where file and line, for messages
   */
  public record Row(String where, Map<String, String> cells) {
    /** The cell of a column; throws {@link IllegalStateException} where there is no such column. */
    public String get(String column) {
      String cell = cells.get(column);
      if (cell == null) {
        throw new IllegalStateException(where + ": there is no column " + column);
      }
      return cell;
    }
  }

  /**
   * Rows of a table, each by column name; a row with another number of cells than the header stops
   * with file and line.
   */
  public static List<Row> rows(String resource) {
    return rows(resource, ",");
  }

  /** The same with another separator than the comma, for tables that hold prose. */
  public static List<Row> rows(String resource, String separator) {
    List<Row> rows = new ArrayList<>();
    String[] header = null;
    int lineNumber = 0;
    for (String line : lines(resource)) {
      lineNumber++;
      if (line.isBlank() || line.startsWith("#")) {
        continue;
      }
      String[] cells = line.split(java.util.regex.Pattern.quote(separator), -1);
      if (header == null) {
        header = cells;
        continue;
      }
      if (cells.length != header.length) {
        throw new IllegalStateException(
            resource
                + " line "
                + lineNumber
                + ": "
                + cells.length
                + " cells, the header has "
                + header.length);
      }
      Map<String, String> cellsByColumn = new LinkedHashMap<>();
      for (int i = 0; i < header.length; i++) {
        cellsByColumn.put(header[i].trim(), Bound.quantities(cells[i].trim()));
      }
      rows.add(new Row(resource + " line " + lineNumber, cellsByColumn));
    }
    return List.copyOf(rows);
  }

  /** "key: value" lines in order; a key may come again. */
  public static List<Map.Entry<String, String>> entries(String resource) {
    List<Map.Entry<String, String>> entries = new ArrayList<>();
    int lineNumber = 0;
    for (String line : lines(resource)) {
      lineNumber++;
      if (line.isBlank() || line.startsWith("#")) {
        continue;
      }
      int colon = line.indexOf(':');
      if (colon < 0) {
        throw new IllegalStateException(
            resource + " line " + lineNumber + ": no colon in \"" + line + "\"");
      }
      entries.add(
          Map.entry(
              line.substring(0, colon).trim(), Bound.quantities(line.substring(colon + 1).trim())));
    }
    return List.copyOf(entries);
  }

  /** All lines of a resource of the core, UTF-8. */
  public static List<String> lines(String resource) {
    InputStream stream = TextTable.class.getResourceAsStream("/istmo/core/" + resource);
    if (stream == null) {
      throw new IllegalStateException("resource " + resource + " is missing");
    }
    try (BufferedReader reader =
        new BufferedReader(new InputStreamReader(stream, StandardCharsets.UTF_8))) {
      return reader.lines().toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
