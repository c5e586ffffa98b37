package istmo.app.plans.out;

import istmo.core.drawing.Drawing;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.state.RenderingMode;
import org.apache.pdfbox.util.Matrix;

/**
 * A brush for a page: text that wraps, rules, and figures of the core. Points from the top left
 * corner, y downwards.
 */
final class Page implements AutoCloseable {
  /** Ships inside the PDF library; Latin, Greek and Cyrillic. */
  private static final String FONT = "/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf";

  private static final Set<String> DASHED = Set.of("rail", "cable");

  /** What may run out of a figure's box, so that the figure stays large. */
  private static final Set<String> RUNS_OUT = Set.of("post", "stack");

  private static final float LEADING = 1.2f;
  private static final Map<String, Float> WIDTHS = Map.of("plate", 1.6f, "pad", 2.4f);

  private final PDPageContentStream out;
  private final PDFont font;
  private final float height;

  Page(PDDocument document, PDPageContentStream out, float height, float scale) throws IOException {
    this.out = out;
    this.height = height;
    try (InputStream in = PDDocument.class.getResourceAsStream(FONT)) {
      this.font = PDType0Font.load(document, in);
    }
    if (scale < 1) {
      out.transform(new Matrix(scale, 0, 0, scale, 0, height * (1 - scale)));
    }
  }

  /** Writes text within a width and returns the y below its last line. */
  float text(String text, float x, float y, float width, float size, boolean bold, float grey)
      throws IOException {
    float at = y;
    for (String line : wrapped(text, width, size)) {
      out.beginText();
      out.setFont(font, size);
      out.setNonStrokingColor(grey, grey, grey);
      out.setStrokingColor(grey, grey, grey);
      out.setRenderingMode(bold ? RenderingMode.FILL_STROKE : RenderingMode.FILL);
      out.setLineWidth(0.03f * size);
      out.newLineAtOffset(x, height - at - size);
      out.showText(line);
      out.endText();
      at += LEADING * size;
    }
    return at;
  }

  /** The height that text would take. */
  float heightOf(String text, float width, float size) throws IOException {
    return wrapped(text, width, size).size() * LEADING * size;
  }

  private List<String> wrapped(String text, float width, float size) throws IOException {
    List<String> lines = new ArrayList<>();
    StringBuilder line = new StringBuilder();
    for (String word : writable(text).split(" ")) {
      String longer = line.isEmpty() ? word : line + " " + word;
      if (!line.isEmpty() && font.getStringWidth(longer) / 1000 * size > width) {
        lines.add(line.toString());
        line = new StringBuilder(word);
      } else {
        line = new StringBuilder(longer);
      }
    }
    lines.add(line.toString());
    return lines;
  }

  /** What the font has no sign for becomes a question mark. */
  private String writable(String text) throws IOException {
    StringBuilder builder = new StringBuilder();
    for (int cp : text.codePoints().toArray()) {
      String candidate = new String(Character.toChars(cp));
      try {
        font.encode(candidate);
        builder.append(candidate);
      } catch (IllegalArgumentException e) {
        builder.append('?');
      }
    }
    return builder.toString();
  }

  void rule(float x1, float y1, float x2, float y2, float width, float grey) throws IOException {
    out.setStrokingColor(grey, grey, grey);
    out.setLineWidth(width);
    out.moveTo(x1, height - y1);
    out.lineTo(x2, height - y2);
    out.stroke();
  }

  /** A figure to scale within a box. */
  void figure(Drawing drawing, float x, float y, float boxWidth, float boxHeight)
      throws IOException {
    double[] b = bounds(drawing);
    double scale =
        Math.min(boxWidth / Math.max(0.1, b[2] - b[0]), boxHeight / Math.max(0.1, b[3] - b[1]));
    double left = x + (boxWidth - scale * (b[2] - b[0])) / 2 - scale * b[0];
    double bottom = height - y - boxHeight - scale * b[1];
    out.saveGraphicsState();
    out.addRect(x, height - y - boxHeight, boxWidth, boxHeight);
    out.clip();
    out.setStrokingColor(0.1f, 0.1f, 0.1f);
    out.setNonStrokingColor(1f, 1f, 1f);
    for (Drawing.Line line : drawing.machine()) {
      out.setLineWidth(WIDTHS.getOrDefault(line.role(), 1f));
      out.setLineDashPattern(DASHED.contains(line.role()) ? new float[] {3, 2} : new float[] {}, 0);
      path(line, left, bottom, scale);
      out.stroke();
    }
    out.setLineDashPattern(new float[] {}, 0);
    out.setLineWidth(0.8f);
    for (Drawing.Circle circle : drawing.circles()) {
      if (!circle.role().startsWith("joint")) {
        circle(
            left + scale * circle.centre().x(),
            bottom + scale * circle.centre().y(),
            scale * circle.radius());
        if (circle.role().equals("head")) {
          out.fillAndStroke();
        } else {
          out.stroke();
        }
      }
    }
    // parts grow into one another: every outline first, then every inside
    out.setLineWidth(1.6f);
    for (Drawing.Line part : drawing.body()) {
      path(part, left, bottom, scale);
      out.stroke();
    }
    for (Drawing.Line part : drawing.body()) {
      path(part, left, bottom, scale);
      out.fill();
    }
    out.restoreGraphicsState();
  }

  private void path(Drawing.Line line, double left, double bottom, double scale)
      throws IOException {
    for (int k = 0; k < line.points().size(); k++) {
      float px = (float) (left + scale * line.points().get(k).x());
      float py = (float) (bottom + scale * line.points().get(k).y());
      if (k == 0) {
        out.moveTo(px, py);
      } else {
        out.lineTo(px, py);
      }
    }
    if (line.closed()) {
      out.closePath();
    }
  }

  private void circle(double x, double y, double r) throws IOException {
    float k = (float) (0.5523 * r); // Bezier arc of a quarter circle
    float cx = (float) x;
    float cy = (float) y;
    float q = (float) r;
    out.moveTo(cx + q, cy);
    out.curveTo(cx + q, cy + k, cx + k, cy + q, cx, cy + q);
    out.curveTo(cx - k, cy + q, cx - q, cy + k, cx - q, cy);
    out.curveTo(cx - q, cy - k, cx - k, cy - q, cx, cy - q);
    out.curveTo(cx + k, cy - q, cx + q, cy - k, cx + q, cy);
  }

  private static double[] bounds(Drawing drawing) {
    double[] b = {Double.MAX_VALUE, Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
    drawing.machine().stream()
        .filter(line -> !RUNS_OUT.contains(line.role()))
        .forEach(line -> line.points().forEach(point -> grow(b, point.x(), point.y(), 0)));
    drawing
        .body()
        .forEach(line -> line.points().forEach(point -> grow(b, point.x(), point.y(), 0)));
    drawing
        .circles()
        .forEach(circle -> grow(b, circle.centre().x(), circle.centre().y(), circle.radius()));
    return b;
  }

  private static void grow(double[] b, double x, double y, double r) {
    b[0] = Math.min(b[0], x - r);
    b[1] = Math.min(b[1], y - r);
    b[2] = Math.max(b[2], x + r);
    b[3] = Math.max(b[3], y + r);
  }

  @Override
  public void close() throws IOException {
    out.close();
  }
}
