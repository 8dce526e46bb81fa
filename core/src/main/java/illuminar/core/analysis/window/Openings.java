package illuminar.core.analysis.window;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.MergedLight;
import illuminar.core.picture.FloodFill;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * The glazed openings of a room. What burns like a view ({@link Panes}), or where nothing does,
 * what stands far over the middle of the picture, is where they begin; panes of one window form a
 * lattice, so an opening goes on over bars, and down and aside over whatever stands well over the
 * light of the wall beside it, burnt or not, as far as straight sides hold it. An opening is dark
 * all round: sky over a street and sunlit stone are none. Our own rules.
 */
public final class Openings {
  /** Light over that of the wall beside from which on a pixel may be part of the view. */
  private static final float OVER_WALL = 1.7f;

  /** The same for the brightest of the view; with less, nothing is taken for an opening. */
  private static final float STANDS_OUT = 6;

  /** Light over the middle of a whole picture that only a view, or a lamp, has. */
  private static final float BRIGHT = 14;

  /** Red over blue from which on light is a lamp's. */
  private static final double LAMP = 1.8;

  /** Sides of an opening of four that must be dark. */
  private static final int DARK_SIDES = 3;

  /** Width of a bar at most, as a share of the grid's width. */
  private static final double BAR = 0.022;

  /** Share of a row, or column, of an opening that stands over the wall at least. */
  private static final double FILLED = 0.3;

  /** Share of an opening's size below which a strip beyond a bar is a sill, not a row of panes. */
  private static final double STRIP = 0.18;

  /** Share of the grid that an opening covers at least. */
  private static final double LEAST = 0.0006;

  private final Plane light;
  private final int w;
  private final int h;
  private final boolean[] seeds;
  private final int bar;

  private Openings(Plane light, boolean[] seeds) {
    this.light = light;
    this.seeds = seeds;
    w = light.width();
    h = light.height();
    bar = Math.max(4, (int) (BAR * w));
  }

  /** What was found. */
  public record Found(List<Opening> openings) {}

  /** The openings of a view; kept. */
  public static List<Opening> of(Analysis analysis) {
    return analysis.keep(Found.class, "", 1, () -> new Found(found(analysis))).openings();
  }

  private static List<Opening> found(Analysis analysis) {
    Plane light = MergedLight.luminance(analysis);
    Panes panes = Panes.of(analysis);
    if (panes.count() == 0) {
      return new Openings(light, bright(analysis, light)).all();
    }
    float[] found = panes.draw(analysis.raster());
    boolean[] seeds = new boolean[found.length];
    for (int i = 0; i < seeds.length; i++) {
      seeds[i] = found[i] > 0.5f;
    }
    return new Openings(light, seeds).all();
  }

  /** What stands so far over the middle of a room that it is seen through glass, lamps apart. */
  private static boolean[] bright(Analysis analysis, Plane light) {
    float[] sorted = light.data().clone();
    Arrays.sort(sorted);
    float least = BRIGHT * sorted[sorted.length / 2];
    int w = light.width();
    boolean[] out = new boolean[sorted.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = light.data()[i] > least;
    }
    Picture colours =
        MergedLight.of(analysis)
            .draw(analysis.raster(), id -> analysis.draw(id, analysis.raster()));
    boolean[] seen = new boolean[out.length];
    for (int start = 0; start < out.length; start++) {
      if (out[start] && !seen[start]) {
        int[] piece = FloodFill.of(start, w, light.height(), false, seen, (from, to) -> out[to]);
        double red = 0;
        double blue = 0;
        for (int i : piece) {
          red += colours.r()[i];
          blue += colours.b()[i];
        }
        if (red > LAMP * blue || piece.length < LEAST * out.length / 4) {
          for (int i : piece) {
            out[i] = false;
          }
        }
      }
    }
    return out;
  }

  /**
   * Share of the openings' area that burns like a view and was found as panes, 0 to 1; what is
   * missing are bars, and what of the view lies in the room's own range.
   */
  public static double filled(Analysis analysis) {
    float[] panes = Panes.of(analysis).draw(analysis.raster());
    int w = analysis.raster().width();
    double all = 0;
    double found = 0;
    for (Opening opening : of(analysis)) {
      for (int i = 0; i < panes.length; i++) {
        if (opening.depth(i % w + 0.5, i / w + 0.5) > 0) {
          all++;
          found += panes[i];
        }
      }
    }
    return all == 0 ? 0 : found / all;
  }

  private List<Opening> all() {
    List<Opening> out = new ArrayList<>();
    for (GridBox box : clusters()) {
      float wall = wall(box);
      float view = view(box);
      if (view < STANDS_OUT * wall) {
        continue;
      }
      GridBox whole = grown(box, OVER_WALL * wall, STANDS_OUT * wall);
      if (whole.size() >= LEAST * w * h && darkSides(whole, view) >= DARK_SIDES) {
        out.add(new OpeningSides(light, bar, OVER_WALL * wall).of(box, whole, wall, view));
      }
    }
    return out;
  }

  /** Boxes about pieces of the view; pieces with only a bar between them share one. */
  private List<GridBox> clusters() {
    List<GridBox> boxes = new ArrayList<>();
    boolean[] seen = new boolean[w * h];
    for (int start = 0; start < seeds.length; start++) {
      if (seeds[start] && !seen[start]) {
        int[] piece = FloodFill.of(start, w, h, false, seen, (from, to) -> seeds[to]);
        GridBox box = new GridBox(w, h, 0, 0);
        for (int i : piece) {
          box = box.with(new GridBox(i % w, i / w, i % w + 1, i / w + 1));
        }
        boxes.add(box);
      }
    }
    boolean joined = true;
    while (joined) {
      joined = false;
      for (int a = 0; a < boxes.size() && !joined; a++) {
        for (int b = a + 1; b < boxes.size() && !joined; b++) {
          if (boxes.get(a).near(boxes.get(b), bar)) {
            boxes.set(a, boxes.get(a).with(boxes.remove(b)));
            joined = true;
          }
        }
      }
    }
    return boxes;
  }

  /** Light of what lies left, right and above of a box, beyond its frame. */
  private float wall(GridBox box) {
    float[] sides = {side(box, -1, 0), side(box, 1, 0), side(box, 0, -1)};
    Arrays.sort(sides);
    return Math.max(1e-5f, Float.isNaN(sides[1]) ? sides[0] : sides[1]);
  }

  /** Median light of a strip beside a box; not a number where the picture ends there. */
  private float side(GridBox box, int dx, int dy) {
    int near = bar;
    int far = 4 * bar;
    int x0 = dx < 0 ? box.left() - far : dx > 0 ? box.right() + near : box.left();
    int x1 = dx < 0 ? box.left() - near : dx > 0 ? box.right() + far : box.right();
    int y0 = dy < 0 ? box.top() - far : dy > 0 ? box.bottom() + near : box.top();
    int y1 = dy < 0 ? box.top() - near : dy > 0 ? box.bottom() + far : box.bottom();
    float[] found = new float[Math.max(0, (x1 - x0) * (y1 - y0))];
    int n = 0;
    for (int y = Math.max(0, y0); y < Math.min(h, y1); y++) {
      for (int x = Math.max(0, x0); x < Math.min(w, x1); x++) {
        if (!seeds[y * w + x]) {
          found[n++] = light.at(x, y);
        }
      }
    }
    Arrays.sort(found, 0, n);
    return n < bar * bar / 2 ? Float.NaN : found[n / 2];
  }

  /** Light that three quarters of the view in a box stay below. */
  private float view(GridBox box) {
    float[] found = new float[box.size()];
    int n = 0;
    for (int y = box.top(); y < box.bottom(); y++) {
      for (int x = box.left(); x < box.right(); x++) {
        if (seeds[y * w + x]) {
          found[n++] = light.at(x, y);
        }
      }
    }
    Arrays.sort(found, 0, n);
    return n == 0 ? 0 : found[(int) Math.min(n - 1, 0.75 * n)];
  }

  private int darkSides(GridBox box, float view) {
    int dark = 0;
    for (int[] d : new int[][] {{-1, 0}, {1, 0}, {0, -1}, {0, 1}}) {
      float side = side(box, d[0], d[1]);
      dark += side * STANDS_OUT < view ? 1 : 0;
    }
    return dark;
  }

  /** A box grown over bars while rows and columns stand over the wall. */
  private GridBox grown(GridBox box, float least, float bright) {
    GridBox now = box;
    for (int round = 0; round < 3; round++) {
      GridBox before = now;
      int bottom = reach(now.bottom() - 1, 1, now.left(), now.right(), least, false);
      int top = reach(now.top(), -1, now.left(), now.right(), bright, false);
      now = new GridBox(now.left(), top, now.right(), bottom + 1);
      int right = reach(now.right() - 1, 1, now.top(), now.bottom(), bright, true);
      int left = reach(now.left(), -1, now.top(), now.bottom(), bright, true);
      now = new GridBox(left, now.top(), right + 1, now.bottom());
      if (now.equals(before)) {
        break;
      }
    }
    return now;
  }

  /**
   * The last row, or column, that belongs to an opening.
   *
   * @param from the last that is known to
   * @param step 1 or −1
   * @param least light over which a pixel counts
   */
  private int reach(int from, int step, int a, int b, float least, boolean columns) {
    int end = columns ? w : h;
    int last = from;
    int gap = 0;
    int most = Math.max(8, b - a);
    for (int k = from + step; k >= 0 && k < end && Math.abs(k - from) < most; k += step) {
      if (filled(k, a, b, least, columns)) {
        gap = 0;
        last = k;
      } else if (++gap > bar) {
        break;
      }
    }
    return trimmed(from, step, last, a, b, least, columns);
  }

  /** Leaves out a last strip beyond a bar that is too narrow to be a row of panes. */
  private int trimmed(int from, int step, int last, int a, int b, float least, boolean columns) {
    int k = last;
    while (k != from && filled(k, a, b, least, columns)) {
      k -= step;
    }
    boolean strip = k != from && Math.abs(last - k) < STRIP * (b - a);
    if (!strip) {
      return last;
    }
    while (k != from && !filled(k, a, b, least, columns)) {
      k -= step;
    }
    return k;
  }

  private boolean filled(int k, int a, int b, float least, boolean columns) {
    int over = 0;
    for (int m = a; m < b; m++) {
      over += light.data()[columns ? m * w + k : k * w + m] > least ? 1 : 0;
    }
    return over >= FILLED * (b - a);
  }
}
