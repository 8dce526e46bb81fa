package illuminar.core.analysis.window;

import illuminar.core.analysis.Analysis;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Response;
import illuminar.core.picture.FloodFill;
import illuminar.core.picture.Picture;
import java.util.ArrayList;
import java.util.List;

/**
 * Finds window panes on the analysis grid: burnt in the frame that shows the room, well exposed in
 * the window frame, and lit like a view.
 */
final class PaneFinder {
  /** Share of the view's typical light below which something burnt is a lit reveal, not a view. */
  private static final float DIM = 0.09f;

  /** The same for what is connected with a pane. */
  private static final float DIMMER = 0.05f;

  /** How deep such spots are filled in, in pixels of the analysis grid. */
  private static final int DEEP = 4;

  private static final int REACH = 8;

  /** How many times brighter a view is than the middle of what lies round it, at least. */
  private static final float STANDS_OUT = 24;

  /** Pixels of the analysis grid that a piece cut off a pane has at least. */
  private static final int SCRAP = 12;

  /** A dim pixel joins where so many of its four neighbours are in: corners fill, edges stay. */
  private static final int BESIDE = 2;

  private PaneFinder() {}

  /** Finds the panes of a view. */
  static Panes find(Analysis analysis) {
    Frame window = analysis.frames().windowFrame();
    Response response = analysis.frames().response();
    String room = roomFrame(analysis);
    Picture bright = analysis.draw(room, analysis.raster());
    Picture brighter = analysis.draw(nextBrighter(analysis, room), analysis.raster());
    Picture dark = analysis.draw(window.id(), analysis.raster());
    int w = dark.width();
    int h = dark.height();
    float[] light = light(dark, response);
    // Dark parts of the view burn only in the next frame up; what is dim for a view is a lit
    // reveal.
    float typical = quantile(burnt(bright), true, light, 0.75, 0);
    boolean[] mask = burnt(brighter);
    boolean[] open = mask.clone();
    boolean[] dim = mask.clone();
    for (int i = 0; i < mask.length; i++) {
      mask[i] &= light[i] > Math.max(0.004f, DIM * typical);
      dim[i] &= light[i] > Math.max(0.004f, DIMMER * typical);
    }
    close(mask, w, h, light);
    reach(mask, dim, w, h);
    Reveals.remove(mask, w, h, dark, response, typical);
    int count = keepPanes(mask, w, h, dark, light, 0.3f * typical, response);
    if (count > 0 && typical < STANDS_OUT * quantile(mask, false, light, 0.5, Float.MAX_VALUE)) {
      // a sunlit wall beside its shade burns as well, but no view stands so little over a room
      java.util.Arrays.fill(mask, false);
      count = 0;
    }
    return Panes.of(analysis, window.id(), mask, open, light, w, h, count);
  }

  /** Adds dim spots connected with a pane, a few pixels deep: stones, bushes, shade. */
  private static void reach(boolean[] mask, boolean[] dim, int w, int h) {
    for (int ring = 0; ring < DEEP; ring++) {
      boolean[] before = mask.clone();
      for (int i = 0; i < mask.length; i++) {
        if (dim[i] && !before[i]) {
          int beside = 0;
          for (int k : around(i, w, h)) {
            beside += k != i && before[k] ? 1 : 0;
          }
          mask[i] = beside >= BESIDE;
        }
      }
    }
  }

  private static boolean[] burnt(Picture p) {
    boolean[] out = new boolean[p.r().length];
    for (int i = 0; i < out.length; i++) {
      out[i] = p.r()[i] > 0.93f && p.g()[i] > 0.93f && p.b()[i] > 0.93f;
    }
    return out;
  }

  private static String nextBrighter(Analysis analysis, String frame) {
    double stops = analysis.frames().find(frame).orElseThrow().stops();
    return analysis.frames().ambient().stream()
        .filter(f -> f.stops() > stops + 0.3)
        .findFirst()
        .map(Frame::id)
        .orElse(frame);
  }

  /**
   * Light that a share of the pixels in, or out of, a mask stay below; {@code none} for no pixel.
   */
  private static float quantile(
      boolean[] mask, boolean inside, float[] light, double share, float none) {
    float[] found = new float[light.length];
    int n = 0;
    for (int i = 0; i < mask.length; i++) {
      if (mask[i] == inside) {
        found[n++] = light[i];
      }
    }
    java.util.Arrays.sort(found, 0, n);
    return n == 0 ? none : found[(int) (n * share)];
  }

  /** The ambient frame that shows the room best: middle tone nearest to mid grey. */
  private static String roomFrame(Analysis analysis) {
    List<Frame> ambient = analysis.frames().ambient();
    String best = analysis.frames().anchor();
    double bestGap = Double.MAX_VALUE;
    for (Frame f : ambient) {
      Picture p = analysis.draw(f.id(), analysis.small());
      float[] y = p.g().clone();
      java.util.Arrays.sort(y);
      double gap = Math.abs(Math.log(Math.max(1e-5, y[y.length / 2]) / 0.22));
      if (gap < bestGap) {
        bestGap = gap;
        best = f.id();
      }
    }
    return best;
  }

  private static float[] light(Picture p, Response response) {
    float[] out = new float[p.r().length];
    for (int i = 0; i < out.length; i++) {
      out[i] = response.luminance(p.r()[i], p.g()[i], p.b()[i]);
    }
    return out;
  }

  /** Adds dark spots of the view that lie wholly within a pane and are lit like the view. */
  private static void close(boolean[] mask, int w, int h, float[] light) {
    boolean[] seen = new boolean[w * h];
    for (int start = 0; start < mask.length; start++) {
      if (mask[start] || seen[start]) {
        continue;
      }
      int[] hole = flood(mask, seen, start, w, h, false);
      if (hole.length > w * h / 2000) {
        continue;
      }
      double sum = 0;
      double rim = 0;
      int rims = 0;
      for (int i : hole) {
        sum += light[i];
        for (int k : around(i, w, h)) {
          if (mask[k]) {
            rim += light[k];
            rims++;
          }
        }
      }
      if (rims > 0 && sum / hole.length > 0.45 * rim / rims) {
        for (int i : hole) {
          mask[i] = true;
        }
      }
    }
  }

  /**
   * Drops what is too small or too dim for a pane or has a lamp's colour; returns how many are
   * left.
   */
  private static int keepPanes(
      boolean[] mask, int w, int h, Picture dark, float[] light, float least, Response response) {
    boolean[] seen = new boolean[w * h];
    List<int[]> scraps = new ArrayList<>();
    int count = 0;
    for (int start = 0; start < mask.length; start++) {
      if (!mask[start] || seen[start]) {
        continue;
      }
      int[] pane = flood(mask, seen, start, w, h, true);
      double red = 0;
      double blue = 0;
      double sum = 0;
      for (int i : pane) {
        sum += light[i];
        red += response.toLight(0, dark.r()[i]);
        blue += response.toLight(2, dark.b()[i]);
      }
      boolean lamp = red > 1.8 * blue;
      boolean view = !lamp && sum >= least * pane.length;
      if (view && pane.length >= w * h / 6000) {
        count++;
        continue;
      }
      if (view && pane.length >= SCRAP) {
        scraps.add(pane);
      }
      set(mask, pane, false);
    }
    // what a plant or a bar cuts off a pane belongs to it
    List<int[]> near = scraps.stream().filter(s -> beside(mask, s, w, h)).toList();
    near.forEach(s -> set(mask, s, true));
    return count;
  }

  private static void set(boolean[] mask, int[] where, boolean to) {
    for (int i : where) {
      mask[i] = to;
    }
  }

  /** Whether some pixel of a scrap lies within {@link #REACH} pixels of the mask. */
  private static boolean beside(boolean[] mask, int[] scrap, int w, int h) {
    for (int i : scrap) {
      int x = i % w;
      int y = i / w;
      for (int v = Math.max(0, y - REACH); v <= Math.min(h - 1, y + REACH); v++) {
        for (int u = Math.max(0, x - REACH); u <= Math.min(w - 1, x + REACH); u++) {
          if (mask[v * w + u]) {
            return true;
          }
        }
      }
    }
    return false;
  }

  private static int[] flood(
      boolean[] mask, boolean[] seen, int start, int w, int h, boolean value) {
    return FloodFill.of(start, w, h, false, seen, (from, to) -> mask[to] == value);
  }

  static int[] around(int i, int w, int h) {
    int x = i % w;
    int y = i / w;
    return new int[] {
      x > 0 ? i - 1 : i, x + 1 < w ? i + 1 : i, y > 0 ? i - w : i, y + 1 < h ? i + w : i
    };
  }
}
