package istmo.e2e;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;

/**
 * A made-up picture of a client: the stage's own drawing of a posture, painted like a dull
 * photograph, with the places of its joints in pixels.
 *
 * @param marks by landmark, pixels from the upper left corner
 */
record DrawnPicture(Path file, Map<String, double[]> marks) {
  static final int WIDTH = 900;
  static final int HEIGHT = 1200;
  private static final double PX_PER_M = 700;
  private static final double LEFT_M = 0.62;
  private static final double FLOOR_PX = 1100;

  /** Paints the side view of one posture, as the interface serves it. */
  static DrawnPicture of(Map<?, ?> side, Path file) throws IOException {
    BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
    Graphics2D brush = image.createGraphics();
    brush.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    brush.setColor(new Color(150, 152, 150));
    brush.fillRect(0, 0, WIDTH, HEIGHT);
    brush.setColor(new Color(90, 88, 84));
    brush.fillRect(0, (int) FLOOR_PX, WIDTH, HEIGHT);
    brush.setColor(new Color(60, 66, 70));
    brush.fillRect(780, 120, 26, (int) FLOOR_PX - 120);
    for (Object line : (List<?>) side.get("body")) {
      brush.setColor(new Color(196, 158, 132));
      brush.fill(outline((Map<?, ?>) line));
      brush.setColor(new Color(150, 112, 92));
      brush.setStroke(new BasicStroke(3));
      brush.draw(outline((Map<?, ?>) line));
    }
    brush.dispose();
    ImageIO.write(image, "png", file.toFile());
    return new DrawnPicture(file, marks(side));
  }

  private static Path2D outline(Map<?, ?> line) {
    Path2D outline = new Path2D.Double();
    for (Object point : (List<?>) line.get("points")) {
      double[] at = pixels((Map<?, ?>) point);
      if (outline.getCurrentPoint() == null) {
        outline.moveTo(at[0], at[1]);
      } else {
        outline.lineTo(at[0], at[1]);
      }
    }
    outline.closePath();
    return outline;
  }

  private static Map<String, double[]> marks(Map<?, ?> side) {
    Map<String, double[]> marks = new LinkedHashMap<>();
    List<?> foot = (List<?>) part(side, "lines", "foot").get("points");
    marks.put("heel", pixels((Map<?, ?>) foot.get(0)));
    marks.put("toe", pixels((Map<?, ?>) foot.get(2)));
    marks.put("ankle", centre(side, "joint-ankle"));
    marks.put("knee", centre(side, "joint-knee"));
    marks.put("hip", centre(side, "joint-hip"));
    List<?> trunk = (List<?>) part(side, "lines", "trunk").get("points");
    marks.put("shoulder", pixels((Map<?, ?>) trunk.get(1)));
    marks.put("other ankle", marks.get("ankle"));
    marks.put("foot of a post", new double[] {793, 1090});
    marks.put("top of a post", new double[] {793, 140});
    return marks;
  }

  private static double[] centre(Map<?, ?> side, String role) {
    return pixels((Map<?, ?>) part(side, "circles", role).get("centre"));
  }

  private static Map<?, ?> part(Map<?, ?> side, String kind, String role) {
    for (Object each : (List<?>) side.get(kind)) {
      if (role.equals(((Map<?, ?>) each).get("role"))) {
        return (Map<?, ?>) each;
      }
    }
    throw new IllegalStateException("the drawing has no " + role);
  }

  private static double[] pixels(Map<?, ?> point) {
    double x = ((Number) point.get("x")).doubleValue();
    double y = ((Number) point.get("y")).doubleValue();
    return new double[] {(x + LEFT_M) * PX_PER_M, FLOOR_PX - y * PX_PER_M};
  }
}
