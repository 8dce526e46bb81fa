package illuminar.server.typeface;

import illuminar.core.picture.Plane;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;

/** How much of each pixel outlines cover. */
public final class Ink {
  private Ink() {}

  /**
   * Coverage, 0 to 1.
   *
   * @param outlines in pixels
   */
  public static Plane of(Path2D outlines, int width, int height) {
    BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    g.setColor(Color.WHITE);
    g.fill(outlines);
    g.dispose();
    Plane out = Plane.of(width, height);
    int[] row = new int[width];
    for (int y = 0; y < height; y++) {
      image.getRGB(0, y, width, 1, row, 0, width);
      for (int x = 0; x < width; x++) {
        out.data()[y * width + x] = (row[x] >>> 24) / 255f;
      }
    }
    return out;
  }
}
