package illuminar.core.analysis.window;

import illuminar.core.analysis.Analysis;
import illuminar.core.frame.Response;
import illuminar.core.picture.FloodFill;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;

/**
 * Window panes: burnt in the frame that shows the room, well exposed in the window frame. Found on
 * the analysis grid, drawn edge-true at any size.
 *
 * <p>Near an edge the share of view in a pixel follows from the compositing equation in light,
 * share = (W − room) / (view − room), W being the window frame and room and view its light on clean
 * pixels to either side (Porter and Duff 1984; known-background matting, Smith and Blinn 1996).
 */
public final class Panes {
  private static final int BAND = 3;

  private final Analysis analysis;
  private final String windowFrame;
  private final Plane inside;
  private final Plane near;
  private final Plane room;
  private final Plane view;
  private final int count;
  private StraightPanes straight = StraightPanes.NONE;

  private Panes(
      Analysis analysis,
      String windowFrame,
      Plane inside,
      Plane near,
      Plane room,
      Plane view,
      int count) {
    this.analysis = analysis;
    this.windowFrame = windowFrame;
    this.inside = inside;
    this.near = near;
    this.room = room;
    this.view = view;
    this.count = count;
  }

  /** The window panes found in the frames of a view; kept. */
  public static Panes of(Analysis analysis) {
    return analysis.keep(Panes.class, "", 1, () -> PaneFinder.find(analysis));
  }

  /** How many separate panes were found. */
  public int count() {
    return count;
  }

  /** Share of the whole view that panes cover, 0 to 1. */
  public double share() {
    double sum = 0;
    for (float v : inside.data()) {
      sum += v;
    }
    return sum / inside.data().length;
  }

  /**
   * Share of the panes, by area, whose four sides are straight, 0 to 1. What burns of a view is cut
   * off by a frame; a ragged edge is where the view itself goes on, darker.
   */
  public double straightShare() {
    return straight.area() / Math.max(1, share() * inside.data().length);
  }

  /**
   * How ragged the panes' outlines are: perimeter squared over sixteen times the area, mean by
   * area; 1 for squares, 1.3 for two to one, several for what leaves and twigs cut out.
   */
  public double raggedness() {
    int w = inside.width();
    int h = inside.height();
    double sum = 0;
    double all = 1e-9;
    for (int[] piece : FloodFill.all(w, h, false, i -> inside.data()[i] > 0.5f)) {
      double perimeter = 0;
      for (int i : piece) {
        for (int k : PaneFinder.around(i, w, h)) {
          perimeter += k == i || inside.data()[k] <= 0.5f ? 1 : 0;
        }
      }
      sum += perimeter * perimeter / 16;
      all += piece.length;
    }
    return sum / all;
  }

  /** The frame whose view the panes show. */
  public String windowFrame() {
    return windowFrame;
  }

  static Panes of(
      Analysis analysis,
      String window,
      boolean[] mask,
      boolean[] open,
      float[] light,
      int w,
      int h,
      int count) {
    int[] distance = distance(mask, w, h);
    Plane inside = Plane.of(w, h);
    Plane near = Plane.of(w, h);
    Plane room = Plane.of(w, h);
    Plane view = Plane.of(w, h);
    for (int i = 0; i < mask.length; i++) {
      inside.data()[i] = mask[i] ? 1 : 0;
      near.data()[i] = Math.abs(distance[i]) <= BAND ? 1 : 0;
    }
    int reach = BAND + 4;
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        int i = y * w + x;
        if (Math.abs(distance[i]) > BAND + 1) {
          continue;
        }
        double out = 0;
        double outs = 0;
        double in = 0;
        double ins = 0;
        for (int v = Math.max(0, y - reach); v <= Math.min(h - 1, y + reach); v++) {
          for (int u = Math.max(0, x - reach); u <= Math.min(w - 1, x + reach); u++) {
            int k = v * w + u;
            double weight = 1.0 / (1 + (u - x) * (u - x) + (v - y) * (v - y));
            if (distance[k] > 1) {
              in += weight * light[k];
              ins += weight;
            } else if (distance[k] < -1) {
              out += weight * Math.min(light[k], 1);
              outs += weight;
            }
          }
        }
        view.data()[i] = ins > 0 ? (float) (in / ins) : 0;
        room.data()[i] = outs > 0 ? (float) (out / outs) : 0;
      }
    }
    Panes panes = new Panes(analysis, window, inside, near, room, view, count);
    float[] matte = panes.draw(analysis.raster());
    panes.straight = StraightPanes.of(mask, open, matte, w, h);
    panes.straight.scraps().forEach(panes::drop);
    return panes;
  }

  /** Takes out what turned out to be no pane. */
  private void drop(int[] scrap) {
    int w = inside.width();
    for (int i : scrap) {
      for (int y = Math.max(0, i / w - BAND);
          y <= Math.min(inside.height() - 1, i / w + BAND);
          y++) {
        for (int x = Math.max(0, i % w - BAND); x <= Math.min(w - 1, i % w + BAND); x++) {
          inside.data()[y * w + x] = 0;
          near.data()[y * w + x] = 0;
        }
      }
    }
  }

  /** City-block distance to the mask's edge: 1, 2, … inside, −1, −2, … outside, cut at ±12. */
  private static int[] distance(boolean[] mask, int w, int h) {
    int most = 12;
    int[] d = new int[w * h];
    boolean[] now = mask.clone();
    java.util.Arrays.setAll(d, i -> mask[i] ? most : -most);
    for (int ring = 1; ring < most; ring++) {
      for (int i = 0; i < d.length; i++) {
        if (Math.abs(d[i]) != most) {
          continue;
        }
        for (int k : PaneFinder.around(i, w, h)) {
          boolean edge =
              ring == 1 ? now[k] != now[i] : Math.abs(d[k]) == ring - 1 && now[k] == now[i];
          if (edge) {
            d[i] = mask[i] ? ring : -ring;
            break;
          }
        }
      }
    }
    return d;
  }

  /** Whether a straight pane decides about a pixel. */
  private boolean decided(Raster raster, int i, int j) {
    if (straight.none()) {
      return false;
    }
    double x = gridX(raster, i);
    double y = gridY(raster, j);
    int u = (int) Math.max(0, Math.min(inside.width() - 1, x));
    int v = (int) Math.max(0, Math.min(inside.height() - 1, y));
    return straight.decide(v * inside.width() + u, x, y);
  }

  private float straight(Raster raster, int i, int j) {
    double size = (double) inside.width() / analysis.fullWidth() / raster.scale();
    return straight.share(gridX(raster, i), gridY(raster, j), size);
  }

  /** Middle of a column in pixels of the analysis grid. */
  private double gridX(Raster raster, int i) {
    return (raster.fullX(i) + 0.5) * inside.width() / analysis.fullWidth();
  }

  private double gridY(Raster raster, int j) {
    return (raster.fullY(j) + 0.5) * inside.height() / analysis.fullHeight();
  }

  /** Whether any pane, or the edge of one, may lie within a raster. */
  public boolean touch(Raster raster) {
    double kx = (double) inside.width() / analysis.fullWidth();
    double ky = (double) inside.height() / analysis.fullHeight();
    int x0 = (int) Math.max(0, Math.floor(raster.fullX(0) * kx) - 2);
    int x1 = (int) Math.min(inside.width() - 1, Math.ceil(raster.fullX(raster.width()) * kx) + 2);
    int y0 = (int) Math.max(0, Math.floor(raster.fullY(0) * ky) - 2);
    int y1 = (int) Math.min(inside.height() - 1, Math.ceil(raster.fullY(raster.height()) * ky) + 2);
    for (int y = y0; y <= y1; y++) {
      for (int x = x0; x <= x1; x++) {
        if (inside.at(x, y) > 0 || near.at(x, y) > 0) {
          return true;
        }
      }
    }
    return false;
  }

  /** The panes at a raster; share of view in each pixel, 0 to 1. */
  public float[] draw(Raster raster) {
    return draw(raster, analysis.draw(windowFrame, raster));
  }

  /**
   * The same.
   *
   * @param window the window frame drawn at that raster, display-linear
   * @return share of view in each pixel, 0 to 1
   */
  public float[] draw(Raster raster, Picture window) {
    Response response = analysis.frames().response();
    int w = raster.width();
    float[] out = new float[raster.pixels()];
    MapRows[] maps =
        MapRows.of(analysis.fullWidth(), analysis.fullHeight(), raster, inside, near, room, view);
    // The sensor mixes light; a smaller raster has averaged what is displayed.
    boolean averaged = raster.scale() < 0.75;
    float[] in = new float[w];
    float[] edge = new float[w];
    float[] dark = new float[w];
    float[] bright = new float[w];
    for (int j = 0; j < raster.height(); j++) {
      maps[0].row(j, in, 0);
      maps[1].row(j, edge, 0);
      maps[2].row(j, dark, 0);
      maps[3].row(j, bright, 0);
      for (int i = 0; i < w; i++) {
        int at = j * w + i;
        if (decided(raster, i, j)) {
          out[at] = straight(raster, i, j);
          continue;
        }
        if (edge[i] < 0.5f || dark[i] <= 0 || bright[i] < 1.5f * dark[i]) {
          out[at] = in[i];
          continue;
        }
        float share;
        if (averaged) {
          float lo = response.toDisplay(1, dark[i]);
          float hi = response.toDisplay(1, bright[i]);
          float tone =
              0.2126f * window.r()[at] + 0.7152f * window.g()[at] + 0.0722f * window.b()[at];
          share = (tone - lo) / (0.95f * (hi - lo));
        } else {
          float light = response.luminance(window.r()[at], window.g()[at], window.b()[at]);
          share = (light - dark[i]) / (0.9f * (bright[i] - dark[i]));
        }
        out[at] = share < 0.03f ? 0 : share > 1 ? 1 : share;
      }
    }
    return out;
  }
}
