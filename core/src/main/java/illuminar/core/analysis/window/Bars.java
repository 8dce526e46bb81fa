package illuminar.core.analysis.window;

import illuminar.core.picture.Plane;
import java.util.ArrayList;
import java.util.List;

/**
 * The bars of a window: straight dark lines that run from side to side of it, found along most of
 * their length, so that leaves and things before the panes do not hide them. Our own rules.
 */
final class Bars {
  /** Width of a bar at most, as a share of the grid's width. */
  private static final double WIDEST = 0.022;

  /** Stops by which a bar is darker than the mean beside it, on most of its length. */
  private static final float DARKER = 0.3f;

  private static final float ALONG = 0.54f;

  /** The same in the mean over its length, and against what is close to it. */
  private static final float FALL = 0.2f;

  private static final float STANDS = 0.45f;

  /** Pixels that count as close. */
  private static final int CLOSE = 9;

  /** Stops over the wall from which on what is seen would show a bar before it. */
  private static final float SHOWS = 0.5f;

  /** Share of a window that must show so much for bars to be seen in it. */
  private static final double SHOWN = 0.15;

  /** Width of panes beyond a last bar, over the widest, up to which they are none. */
  private static final double STRIP = 0.3;

  private final Plane stops;
  private final float wall;
  private final int widest;

  /**
   * @param stops light, log2
   * @param wall light of what the window stands in, log2
   */
  Bars(Plane stops, float wall) {
    this.stops = stops;
    this.wall = wall;
    widest = Math.max(5, (int) (WIDEST * Math.max(stops.width(), stops.height())));
  }

  /**
   * A bar across a window.
   *
   * @param from where it begins, 0 at the first side and 1 at the last
   */
  private record Bar(double from, double to) {}

  /** A window without the lit reveals and sills beyond its outermost bars. */
  Quad glazed(Quad window) {
    double[] across = ends(found(window, true));
    double[] down = ends(found(window, false));
    return new Quad(
        between(window.left(), window.right(), across[0]),
        between(window.left(), window.right(), across[1]),
        between(window.top(), window.bottom(), down[0]),
        between(window.top(), window.bottom(), down[1]));
  }

  /** Both sides of each upright bar, as lines. */
  List<double[]> uprightSides(Quad window) {
    List<double[]> out = new ArrayList<>();
    for (Bar bar : found(window, true)) {
      out.add(between(window.left(), window.right(), bar.from));
      out.add(between(window.left(), window.right(), bar.to));
    }
    return out;
  }

  /** Rows of panes. */
  int rows(Quad window) {
    return found(window, false).size() + 1;
  }

  /**
   * Where the first pane begins and the last ends, 0 to 1. What lies beyond a last bar and is much
   * narrower than the widest pane is a lit reveal or a sill.
   */
  private static double[] ends(List<Bar> bars) {
    int n = bars.size();
    double widest = 0;
    for (int k = 0; k <= n; k++) {
      widest = Math.max(widest, start(bars, k) - end(bars, k));
    }
    boolean first = start(bars, 0) - end(bars, 0) > STRIP * widest;
    boolean last = start(bars, n) - end(bars, n) > STRIP * widest;
    return new double[] {first ? 0 : bars.get(0).to, last ? 1 : bars.get(n - 1).from};
  }

  /** Where the bar before the k-th pane ends, or the window begins. */
  private static double end(List<Bar> bars, int k) {
    return k == 0 ? 0 : bars.get(k - 1).to;
  }

  /** Where the bar after the k-th pane begins, or the window ends. */
  private static double start(List<Bar> bars, int k) {
    return k == bars.size() ? 1 : bars.get(k).from;
  }

  /** A line between two others; it passes through the point where they meet. */
  private static double[] between(double[] first, double[] last, double s) {
    return new double[] {
      (1 - s) * first[0] + s * last[0], (1 - s) * first[1] + s * last[1],
    };
  }

  private List<Bar> found(Quad window, boolean upright) {
    float[][] seen = straightened(window, upright);
    int n = seen[0].length;
    float[] dark = new float[n];
    float[] fall = new float[n];
    float[] shown = new float[n];
    float[] cover = new float[n];
    float[] beside = new float[n];
    for (float[] row : seen) {
      beside(row, beside);
      for (int u = 0; u < n; u++) {
        if (beside[u] > wall + SHOWS) {
          shown[u]++;
          float depth = beside[u] - row[u];
          dark[u] += depth > DARKER ? 1 : 0;
          fall[u] += Math.max(-1, Math.min(1, depth));
          double bright = Math.pow(2, beside[u]);
          double least = Math.pow(2, Math.min(wall + 0.3, beside[u] - 1));
          double part = (bright - Math.pow(2, row[u])) / (bright - least);
          cover[u] += (float) Math.max(0, Math.min(1, part));
        }
      }
    }
    for (int u = 0; u < n; u++) {
      dark[u] /= Math.max(1, shown[u]);
      fall[u] /= Math.max(1, shown[u]);
      cover[u] /= Math.max(1, shown[u]);
    }
    List<Bar> out = new ArrayList<>();
    for (int u = 1; u < n - 1; u++) {
      int from = u;
      while (u < n - 1 && shown[u] > SHOWN * seen.length && dark[u] > ALONG && fall[u] > FALL) {
        u++;
      }
      if (u > from && u - from <= widest && stands(fall, from, u)) {
        out.add(measured(cover, from, u));
      }
    }
    return out;
  }

  /** Whether a bar is clearly darker than what is close to either side of it. */
  private static boolean stands(float[] fall, int from, int to) {
    float most = Float.NEGATIVE_INFINITY;
    for (int u = from; u < to; u++) {
      most = Math.max(most, fall[u]);
    }
    float before = most;
    float after = most;
    for (int k = 1; k <= CLOSE; k++) {
      before = Math.min(before, fall[Math.max(0, from - k)]);
      after = Math.min(after, fall[Math.min(fall.length - 1, to - 1 + k)]);
    }
    return most - Math.max(before, after) > STANDS;
  }

  /** Begin and end of a bar by how much of each pixel it covers. */
  private static Bar measured(float[] cover, int from, int to) {
    int n = cover.length;
    double sum = 0;
    double moment = 0;
    for (int u = Math.max(0, from - 2); u < Math.min(n, to + 2); u++) {
      sum += cover[u];
      moment += cover[u] * (u + 0.5);
    }
    double middle = moment / sum / n;
    return new Bar(middle - sum / 2 / n, middle + sum / 2 / n);
  }

  /** The lesser of the mean light to either side of each pixel; very dark where there is none. */
  private void beside(float[] row, float[] out) {
    int n = row.length;
    double[] sum = new double[n + 1];
    for (int u = 0; u < n; u++) {
      sum[u + 1] = sum[u] + row[u];
    }
    for (int u = 0; u < n; u++) {
      int near = Math.max(0, u - 2);
      int from = Math.max(0, u - widest);
      int next = Math.min(n, u + 3);
      int to = Math.min(n, u + 1 + widest);
      double left = (sum[near] - sum[from]) / Math.max(1, near - from);
      double right = (sum[to] - sum[next]) / Math.max(1, to - next);
      boolean inside = near > from && to > next;
      out[u] = inside ? (float) Math.min(left, right) : Float.NEGATIVE_INFINITY;
    }
  }

  /** Light within a window, its sides made upright and level: rows along the bars. */
  private float[][] straightened(Quad q, boolean upright) {
    int wide = Math.max(4, (int) Math.round(q.wide()));
    int high = Math.max(4, (int) Math.round(q.high()));
    float[][] out = new float[upright ? high : wide][upright ? wide : high];
    double[] m = q.middle();
    for (int j = 0; j < high; j++) {
      double t = (j + 0.5) / high;
      for (int i = 0; i < wide; i++) {
        double s = (i + 0.5) / wide;
        double x = m[0];
        double y = m[1];
        for (int k = 0; k < 3; k++) {
          y = (1 - t) * Quad.at(q.top(), x) + t * Quad.at(q.bottom(), x);
          x = (1 - s) * Quad.at(q.left(), y) + s * Quad.at(q.right(), y);
        }
        float v = stops.sample((float) x - 0.5f, (float) y - 0.5f);
        if (upright) {
          out[j][i] = v;
        } else {
          out[i][j] = v;
        }
      }
    }
    return out;
  }
}
