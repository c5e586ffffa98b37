package istmo.app.platform;

/**
 * Text in a table for spreadsheets. A cell that begins like a formula would be computed by the
 * program that opens it, so it gets an apostrophe in front, which is taken away when it is read.
 */
public final class Cells {
  private Cells() {}

  /** As it is written. */
  public static String written(String text) {
    return beginsLikeAFormula(text) ? "'" + text : text;
  }

  /** As it was before it was written. */
  public static String read(String cell) {
    return cell.startsWith("'") && beginsLikeAFormula(cell.substring(1)) ? cell.substring(1) : cell;
  }

  private static boolean beginsLikeAFormula(String text) {
    return !text.isEmpty() && "=+-@\t\r".indexOf(text.charAt(0)) >= 0;
  }
}
