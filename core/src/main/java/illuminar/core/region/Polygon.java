package illuminar.core.region;

import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import java.util.List;

/** Fills polygons with anti-aliased edges: exact along rows, eight samples down each pixel. */
public final class Polygon {
  private static final int LINES = 8;

  private Polygon() {}

  /** Coverage of a closed outline by the non-zero rule, 0 to 1; {@code longEdge} in full pixels. */
  public static float[] cover(List<Point> points, Raster raster, int longEdge) {
    float[] out = new float[raster.pixels()];
    int n = points.size();
    if (n < 3) {
      return out;
    }
    double[] x = new double[n];
    double[] y = new double[n];
    for (int i = 0; i < n; i++) {
      x[i] = points.get(i).x() * longEdge * raster.scale() - raster.x();
      y[i] = points.get(i).y() * longEdge * raster.scale() - raster.y();
    }
    double[] cross = new double[n];
    int[] turn = new int[n];
    for (int j = 0; j < raster.height(); j++) {
      for (int s = 0; s < LINES; s++) {
        double at = j + (s + 0.5) / LINES;
        int found = crossings(x, y, at, cross, turn);
        spans(cross, turn, found, out, j * raster.width(), raster.width());
      }
    }
    return out;
  }

  private static int crossings(double[] x, double[] y, double at, double[] cross, int[] turn) {
    int found = 0;
    for (int i = 0, k = x.length - 1; i < x.length; k = i++) {
      if (y[i] <= at == y[k] <= at) {
        continue;
      }
      double c = x[k] + (at - y[k]) / (y[i] - y[k]) * (x[i] - x[k]);
      int t = y[i] > y[k] ? 1 : -1;
      int p = found++;
      while (p > 0 && cross[p - 1] > c) {
        cross[p] = cross[p - 1];
        turn[p] = turn[p - 1];
        p--;
      }
      cross[p] = c;
      turn[p] = t;
    }
    return found;
  }

  private static void spans(
      double[] cross, int[] turn, int found, float[] out, int row, int width) {
    int wind = 0;
    for (int i = 0; i + 1 < found; i++) {
      wind += turn[i];
      if (wind != 0) {
        span(cross[i], cross[i + 1], out, row, width);
      }
    }
  }

  private static void span(double from, double to, float[] out, int row, int width) {
    double a = Math.max(0, from);
    double b = Math.min(width, to);
    if (b <= a) {
      return;
    }
    int first = (int) a;
    int last = Math.min(width - 1, (int) b);
    for (int x = first; x <= last; x++) {
      double cover = Math.min(b, x + 1) - Math.max(a, x);
      out[row + x] = Math.min(1, out[row + x] + (float) (cover / LINES));
    }
  }
}
