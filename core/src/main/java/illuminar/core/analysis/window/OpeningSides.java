package illuminar.core.analysis.window;

import illuminar.core.colour.Stops;
import illuminar.core.picture.Plane;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Finds the four straight sides of an opening in the light round about. */
final class OpeningSides {
  /** Pixels to either side between which an upright edge is looked for. */
  private static final int STEP = 3;

  /** Stops by which light changes across an upright edge, on average over the view's height. */
  private static final double UPRIGHT = 0.9;

  /** The same for one row of it. */
  private static final double EDGE = 0.4;

  /** Height of a rail between panes at most, as a share of the grid's height. */
  private static final double RAIL = 0.028;

  /** Share of the upright edges of a window that go on beside each row of its panes. */
  private static final double MANY = 0.4;

  /** Pixels by which some edges may end lower than most. */
  private static final int SLANT = 8;

  private final Plane light;
  private final int w;
  private final int h;
  private final int bar;
  private final float least;

  /**
   * @param light of the whole view
   * @param bar width of a bar at most, in pixels
   * @param least light over which a pixel may be part of the view
   */
  OpeningSides(Plane light, int bar, float least) {
    this.light = light;
    this.bar = bar;
    this.least = least;
    w = light.width();
    h = light.height();
  }

  /** The opening of a box, its sides lines through where rows and columns begin and end. */
  Opening of(GridBox seen, GridBox box, float wall, float view) {
    double[] bottom = bottom(seen, box);
    return new Opening(
        line(box, true, false), line(box, true, true), line(box, false, false), bottom, wall, view);
  }

  /**
   * The lower side: bars and jambs run down beside the glass as far as it goes, and end on the
   * rail; on a sill, a table or a wall nothing goes on at their places.
   *
   * @param seen box of what burns, in which the upright edges are found
   */
  private double[] bottom(GridBox seen, GridBox box) {
    List<Integer> edges = uprightEdges(seen);
    int end = lastRow(edges, seen.bottom() - 1, box.bottom());
    double[] x = new double[edges.size()];
    double[] y = new double[edges.size()];
    for (int k = 0; k < x.length; k++) {
      x[k] = edges.get(k) + 0.5;
      y[k] = 1 + lastBeside(edges.get(k), seen.top(), Math.min(box.bottom(), end + SLANT));
    }
    double[] line = x.length < 4 ? new double[] {Double.NaN, 0} : LineFit.commonest(x, y, x.length);
    if (Double.isNaN(line[0]) || Math.abs(line[1]) > 0.3) {
      double[] sorted = y.clone();
      Arrays.sort(sorted);
      return new double[] {x.length == 0 ? box.bottom() : sorted[x.length / 2], 0};
    }
    return LineFit.weighted(x, y, x.length, line);
  }

  /** Columns at which light changes over most of a box's height: sides of bars and jambs. */
  private List<Integer> uprightEdges(GridBox box) {
    double[] rise = new double[w];
    for (int x = Math.max(STEP, box.left() - STEP);
        x < Math.min(w - STEP, box.right() + STEP);
        x++) {
      for (int y = box.top(); y < box.bottom(); y++) {
        rise[x] += Math.abs(across(x, y)) / (box.bottom() - box.top());
      }
    }
    List<Integer> out = new ArrayList<>();
    for (int x = STEP; x < w - STEP; x++) {
      boolean peak = rise[x] > UPRIGHT;
      for (int k = 1; k <= STEP && peak; k++) {
        peak = rise[x] >= rise[x - k] && rise[x] > rise[x + k];
      }
      if (peak) {
        out.add(x);
      }
    }
    return out;
  }

  /** The last row at which many of the upright edges are still there, rails aside. */
  private int lastRow(List<Integer> edges, int from, int to) {
    int last = from;
    for (int y = from + 1; y < to && y - last <= RAIL * h; y++) {
      int there = 0;
      for (int x : edges) {
        there += Math.abs(across(x, y)) > EDGE ? 1 : 0;
      }
      last = there >= MANY * edges.size() ? y : last;
    }
    return last;
  }

  /** The last row at which one upright edge is there. */
  private int lastBeside(int x, int from, int to) {
    int y = to - 1;
    while (y > from && Math.abs(across(x, y)) <= EDGE) {
      y--;
    }
    return y;
  }

  /** Stops by which light changes from left to right of a column. */
  private float across(int x, int y) {
    return Stops.of(light.at(x + STEP, y)) - Stops.of(light.at(x - STEP, y));
  }

  private double[] line(GridBox box, boolean upright, boolean far) {
    int from = upright ? box.top() : box.left();
    int to = upright ? box.bottom() : box.right();
    double[] at = new double[to - from];
    double[] end = new double[to - from];
    int n = 0;
    for (int k = from; k < to; k++) {
      double found = end(box, k, upright, far);
      if (!Double.isNaN(found)) {
        at[n] = k + 0.5;
        end[n++] = found;
      }
    }
    double flat = upright ? far ? box.right() : box.left() : far ? box.bottom() : box.top();
    double[] line = n < 8 ? new double[] {flat, 0} : LineFit.commonest(at, end, n);
    if (Double.isNaN(line[0]) || Math.abs(line[1]) > 0.3) {
      return new double[] {flat, 0};
    }
    return LineFit.weighted(at, end, n, line);
  }

  /** Where one row, or column, of an opening ends: half way from the frame to the view. */
  private double end(GridBox box, int k, boolean upright, boolean far) {
    int a = upright ? box.left() : box.top();
    int b = upright ? box.right() : box.bottom();
    int slack = bar / 4;
    int limit = upright ? w : h;
    int first = far ? Math.min(limit - 1, b + slack) : Math.max(0, a - slack);
    int step = far ? -1 : 1;
    for (int m = first; far ? m > a : m < b; m += step) {
      float here = light.data()[upright ? k * w + m : m * w + k];
      if (here > least) {
        return far ? m + 1 : m;
      }
    }
    return Double.NaN;
  }
}
