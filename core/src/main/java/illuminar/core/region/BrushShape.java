package illuminar.core.region;

import illuminar.core.picture.Raster;
import illuminar.core.region.Shape.Stroke;
import java.util.Arrays;
import java.util.List;

/** Draws brush strokes: within a stroke the closest point counts once, strokes build up. */
final class BrushShape {
  private BrushShape() {}

  static float[] draw(List<Stroke> strokes, Raster raster, int longEdge) {
    float[] out = new float[raster.pixels()];
    float[] nearest = new float[0];
    for (Stroke stroke : strokes) {
      double unit = longEdge * raster.scale();
      double r = Math.max(0.5, stroke.radius() * unit);
      int[] box = box(stroke, raster, unit, r);
      if (box[0] >= box[2] || box[1] >= box[3]) {
        continue;
      }
      int size = (box[2] - box[0]) * (box[3] - box[1]);
      if (nearest.length < size) {
        nearest = new float[size];
      }
      Arrays.fill(nearest, 0, size, Float.MAX_VALUE);
      distances(stroke, raster, unit, r, box, nearest);
      lay(stroke, r, box, nearest, out, raster.width());
    }
    return out;
  }

  private static int[] box(Stroke stroke, Raster raster, double unit, double r) {
    double x0 = Double.MAX_VALUE;
    double y0 = Double.MAX_VALUE;
    double x1 = -Double.MAX_VALUE;
    double y1 = -Double.MAX_VALUE;
    for (Point p : stroke.points()) {
      x0 = Math.min(x0, p.x() * unit);
      y0 = Math.min(y0, p.y() * unit);
      x1 = Math.max(x1, p.x() * unit);
      y1 = Math.max(y1, p.y() * unit);
    }
    return new int[] {
      (int) Math.max(0, Math.floor(x0 - r - 1) - raster.x()),
      (int) Math.max(0, Math.floor(y0 - r - 1) - raster.y()),
      (int) Math.min(raster.width(), Math.ceil(x1 + r + 2) - raster.x()),
      (int) Math.min(raster.height(), Math.ceil(y1 + r + 2) - raster.y())
    };
  }

  /** Squared distance of every pixel in the box to the stroke's line. */
  private static void distances(
      Stroke stroke, Raster raster, double unit, double r, int[] box, float[] nearest) {
    List<Point> p = stroke.points();
    for (int k = 0; k < p.size(); k++) {
      Point a = p.get(Math.max(0, k - 1));
      Point b = p.get(k);
      double ax = a.x() * unit - raster.x();
      double ay = a.y() * unit - raster.y();
      double dx = b.x() * unit - raster.x() - ax;
      double dy = b.y() * unit - raster.y() - ay;
      double length = dx * dx + dy * dy;
      int x0 = (int) Math.max(box[0], Math.floor(Math.min(ax, ax + dx) - r - 1));
      int x1 = (int) Math.min(box[2], Math.ceil(Math.max(ax, ax + dx) + r + 2));
      int y0 = (int) Math.max(box[1], Math.floor(Math.min(ay, ay + dy) - r - 1));
      int y1 = (int) Math.min(box[3], Math.ceil(Math.max(ay, ay + dy) + r + 2));
      for (int y = y0; y < y1; y++) {
        for (int x = x0; x < x1; x++) {
          double px = x + 0.5 - ax;
          double py = y + 0.5 - ay;
          double t = length == 0 ? 0 : Math.max(0, Math.min(1, (px * dx + py * dy) / length));
          double ex = px - t * dx;
          double ey = py - t * dy;
          int at = (y - box[1]) * (box[2] - box[0]) + x - box[0];
          nearest[at] = Math.min(nearest[at], (float) (ex * ex + ey * ey));
        }
      }
    }
  }

  private static void lay(
      Stroke stroke, double r, int[] box, float[] nearest, float[] out, int width) {
    double fade = Math.max(1, stroke.softness() * r);
    int at = 0;
    for (int y = box[1]; y < box[3]; y++) {
      for (int x = box[0]; x < box[2]; x++, at++) {
        if (nearest[at] == Float.MAX_VALUE) {
          continue;
        }
        double t = Math.max(0, Math.min(1, (r + 0.5 - Math.sqrt(nearest[at])) / fade));
        float cover = (float) (stroke.flow() * t * t * (3 - 2 * t));
        int i = y * width + x;
        out[i] = stroke.takeAway() ? out[i] * (1 - cover) : out[i] + (1 - out[i]) * cover;
      }
    }
  }
}
