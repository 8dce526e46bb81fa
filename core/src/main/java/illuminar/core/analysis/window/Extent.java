package illuminar.core.analysis.window;

import illuminar.core.picture.Plane;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * How far a window goes on beyond what is bright in it: as its bars and stiles do, and as far as
 * more is seen through it than the wall. Our own rules.
 */
final class Extent {
  /** Light across a stile changes by so many stops, either way. */
  private static final double EDGE = 0.35;

  /** Share of the edges that go on beside what still belongs to the window. */
  private static final double MANY = 0.55;

  /** The same of a window without bars, one side of which may be a sheer curtain's. */
  private static final double HALF = 0.5;

  /** Width of a rail between panes at most, as a share of the grid's long edge. */
  private static final double RAIL = 0.03;

  /** The same of a mullion between two casements; a pier between windows is wider. */
  private static final double MULLION = 0.017;

  /** Stops over the wall and the room that half of each row must stand to be seen through. */
  private static final float SEEN = 0.25f;

  /** Height of what is added over that of the window's panes at least; less is a sill. */
  private static final double ANOTHER = 0.4;

  /** Height of what is added to a window without bars at least, over the window's. */
  private static final double STRIP = 0.05;

  /** Stops over the room from which on light is surely seen through glass. */
  private static final float OUTSIDE = 1.2f;

  /** How far the tops of windows in line lie apart at most, as a share of the long edge. */
  private static final double IN_LINE = 0.01;

  /** How much wider one of them is at most, as a logarithm. */
  private static final double AS_WIDE = 0.3;

  /** Stops by which a row is brighter than what is seen above it, from which on it is floor. */
  private static final float RISE = 1.2f;

  /** Stops within which such a row lies. */
  private static final float EVEN = 0.5f;

  /** Stops by which sheer cloth dims the brightest of a view at least. */
  private static final float SHEER = 0.7f;

  /** Stops below the brightest of a window at which nothing of a row is seen through it. */
  private static final float DEEP = 5;

  /** Share of the picture's height down to which what the floor mirrors reaches. */
  private static final double FLOOR = 0.85;

  /** Stops by which a wall between window and mirror image is darker than both. */
  private static final float DIM = 1.2f;

  /** Share of a window's height that is left above a band of wall at least. */
  private static final double LEFT = 0.15;

  /** Rows in a run that show the edges before they are believed. */
  private static final int RUN = 4;

  /** How far some edges may end from most, as a share of the grid's long edge. */
  private static final double SLANT = 0.008;

  /** Places of a row that are looked at. */
  private static final int ROW = 40;

  /** Which of them, sorted, all but a tenth stay below, and which all but a tenth exceed. */
  private static final int BRIGHT = ROW * 9 / 10;

  private static final int DARK = ROW / 10;

  private final Plane stops;
  private final float wall;
  private final float room;
  private final Bars bars;
  private final int longEdge;

  /**
   * @param stops light, log2
   * @param wall light of what the window stands in, log2
   * @param room median light of the whole picture, log2
   */
  Extent(Plane stops, float wall, float room) {
    this.stops = stops;
    this.wall = wall;
    this.room = room;
    bars = new Bars(stops, wall);
    longEdge = Math.max(stops.width(), stops.height());
  }

  /** The window as far as it goes: downwards, upwards, to the right and to the left. */
  Quad of(Quad window) {
    int w = stops.width();
    int h = stops.height();
    Quad down = downwards(window, false);
    Extent over = turned().mirrored().turned();
    Quad up = over.downwards(down.turned().mirrored(h).turned(), true);
    Quad upright = up.turned().mirrored(h).turned();
    Quad right = turned().downwards(upright.turned(), true).turned();
    Quad left = mirrored().turned().downwards(right.mirrored(w).turned(), true);
    return left.turned().mirrored(w);
  }

  /**
   * The part of a window above a band across it that is even, far darker than what it parts, and
   * too high for a rail, if all reaches down to the floor: below that wall the floor mirrors the
   * window.
   */
  Quad aboveWall(Quad window) {
    double from = Quad.at(window.bottom(), window.middle()[0]);
    if (from < FLOOR * stops.height()) {
      return window;
    }
    float dim = Math.min(0, brightest(window)) - DIM;
    int band = 0;
    double mirror = Float.NEGATIVE_INFINITY;
    for (int below = 0; below > -(1 - LEFT) * window.high(); below--) {
      float[] row = row(window, below);
      mirror = Math.max(mirror, row[BRIGHT]);
      boolean dark = row[BRIGHT] < Math.min(dim, mirror - DIM);
      boolean even = row[BRIGHT] - row[DARK] < 1;
      band = dark && even ? band + 1 : 0;
      if (band > RAIL * longEdge) {
        int top = below;
        while (top > -window.high() && row(window, top - 1)[BRIGHT] < dim) {
          top--;
        }
        double[] bottom = {window.bottom()[0] + top, window.bottom()[1]};
        return new Quad(window.left(), window.right(), window.top(), bottom);
      }
    }
    return window;
  }

  /** The window less what lies far darker along its bottom, as a seat or a sill does. */
  Quad withoutSill(Quad window) {
    float least = brightest(window) - DEEP;
    double up = 0;
    while (up < window.high() / 2 && row(window, -up)[BRIGHT] < least) {
      up++;
    }
    double[] bottom = window.bottom();
    return new Quad(
        window.left(), window.right(), window.top(), new double[] {bottom[0] - up, bottom[1]});
  }

  /** The places of a row so far below a window's bottom, sorted, stops. */
  private float[] row(Quad window, double below) {
    double[] m = window.middle();
    float[] row = new float[ROW];
    for (int k = 0; k < ROW; k++) {
      double x = m[0] + window.wide() * 0.9 * ((k + 0.5) / ROW - 0.5);
      row[k] = stops.sample((float) x, (float) (Quad.at(window.bottom(), x) + below));
    }
    Arrays.sort(row);
    return row;
  }

  /** With rows for columns. */
  private Extent turned() {
    int high = stops.width();
    Plane out = Plane.of(stops.height(), high);
    for (int y = 0; y < stops.height(); y++) {
      for (int x = 0; x < stops.width(); x++) {
        out.data()[x * stops.height() + y] = stops.at(x, y);
      }
    }
    return new Extent(out, wall, room);
  }

  /** With left for right. */
  private Extent mirrored() {
    int w = stops.width();
    Plane out = Plane.of(w, stops.height());
    for (int i = 0; i < out.data().length; i++) {
      out.data()[i] = stops.data()[i - i % w + w - 1 - i % w];
    }
    return new Extent(out, wall, room);
  }

  /**
   * @param sheer whether cloth may hang there, behind which nothing belongs to the window
   */
  private Quad downwards(Quad window, boolean sheer) {
    List<double[]> edges = new ArrayList<>(List.of(window.left(), window.right()));
    edges.addAll(bars.uprightSides(window));
    // without a bar, whatever hangs or stands beside a window would carry it on
    boolean bare = bare(edges);
    if (bare && sheer) {
      return window;
    }
    double from = Quad.at(window.bottom(), window.middle()[0]);
    double end = last(window, edges, from, sheer);
    if (end - from < (bare ? STRIP : ANOTHER) * window.high() / bars.rows(window)) {
      return window;
    }
    return new Quad(window.left(), window.right(), window.top(), ends(window, edges, from, end));
  }

  /** Whether a window has its two sides alone for edges. */
  private static boolean bare(List<double[]> edges) {
    return edges.size() < 4;
  }

  /** The last row at which most of the edges are still there, rails aside. */
  private double last(Quad window, List<double[]> edges, double from, boolean sheer) {
    double last = from;
    double most = from + Math.max(window.high(), window.wide()) * 1.6;
    double rail = (sheer ? MULLION : RAIL) * longEdge;
    int run = 0;
    List<Float> seenAbove = new ArrayList<>();
    for (double up = window.high() / 3; up > RUN; up--) {
      seenAbove.add(row(window, -up)[ROW / 2]);
    }
    for (double y = from + 1; y < Math.min(most, stops.height() - 1) && y - last <= rail; y++) {
      int there = 0;
      int seen = 0;
      for (double[] edge : edges) {
        double row = y - from + Quad.at(window.bottom(), Quad.at(edge, from));
        double at = Quad.at(edge, row);
        if (at > 6 && at < stops.width() - 6 && row < stops.height() - 1) {
          seen++;
          there += Math.abs(across(at, row)) > EDGE ? 1 : 0;
        }
      }
      boolean bare = bare(edges);
      boolean through = bare ? outside(window, y - from) : seenThrough(window, y - from, sheer);
      boolean on = seen > 0 && there >= (bare ? HALF : MANY) * seen && through;
      run = on ? run + 1 : 0;
      if (run >= RUN) {
        float[] row = row(window, y - from);
        float here = row[ROW / 2];
        boolean even = row[BRIGHT] - row[DARK] < EVEN;
        if (!sheer && even && here > lately(seenAbove) + RISE) {
          // what is seen grows darker downwards; the floor that mirrors a sky does not
          break;
        }
        seenAbove.add(here);
        last = y;
      }
    }
    return last;
  }

  /** Median of the last so many tones. */
  private static float lately(List<Float> tones) {
    return tones.subList(Math.max(0, tones.size() - ROW), tones.size()).stream()
        .sorted()
        .skip(Math.min(ROW, tones.size()) / 2)
        .findFirst()
        .orElse(Float.POSITIVE_INFINITY);
  }

  /** The line, level with the window's bottom, at which half of the edges end. */
  private double[] ends(Quad window, List<double[]> edges, double from, double end) {
    double slope = window.bottom()[1];
    double[] ends = new double[edges.size()];
    for (int k = 0; k < ends.length; k++) {
      double[] edge = edges.get(k);
      double flat = end - from + Quad.at(window.bottom(), Quad.at(edge, from));
      double row = Math.min(stops.height() - 2, flat + SLANT * longEdge);
      while (row > flat - SLANT * longEdge && Math.abs(across(Quad.at(edge, row), row)) <= EDGE) {
        row--;
      }
      ends[k] = row - slope * Quad.at(edge, row);
    }
    Arrays.sort(ends);
    return new double[] {ends[ends.length / 2], slope};
  }

  /** Whether nearly all of a row so far below a window's bottom is far brighter than the room. */
  private boolean outside(Quad window, double below) {
    // where a curtain hides half of a window, what counts as its wall is light as well
    return row(window, below)[DARK] > room + OUTSIDE;
  }

  /**
   * The window down to the bottom of another beside it, as wide and with its top in line, if both
   * its sides go on to there and what lies between them stands over wall and room; else as it is.
   */
  Quad asFarAs(Quad other, Quad window) {
    double x = window.middle()[0];
    double top = Quad.at(window.top(), x);
    double bottom = Quad.at(window.bottom(), x);
    double to = Quad.at(other.bottom(), x);
    boolean inLine = Math.abs(Quad.at(other.top(), x) - top) < IN_LINE * longEdge;
    boolean asWide = Math.abs(Math.log(window.wide() / other.wide())) < AS_WIDE;
    if (!inLine || !asWide || to < bottom + RAIL * longEdge || to > stops.height() - 2) {
      return window;
    }
    int on = 0;
    int rows = 0;
    for (double y = bottom + 1; y < to; y++, rows++) {
      boolean sides =
          Math.abs(across(Quad.at(window.left(), y), y)) > EDGE
              && Math.abs(across(Quad.at(window.right(), y), y)) > EDGE;
      on += sides && row(window, y - bottom)[DARK] > Math.max(wall, room) + SEEN ? 1 : 0;
    }
    return on < MANY * rows
        ? window
        : new Quad(window.left(), window.right(), window.top(), other.bottom());
  }

  /**
   * Whether half of a row so far below a window's bottom is brighter than wall and room, and some
   * of it nearly as bright as the window's brightest: behind sheer cloth nothing is.
   */
  private boolean seenThrough(Quad window, double below, boolean sheer) {
    double[] m = window.middle();
    int n = 0;
    int over = 0;
    float most = Float.NEGATIVE_INFINITY;
    for (int k = 0; k < ROW; k++) {
      double x = m[0] + window.wide() * 0.9 * ((k + 0.5) / ROW - 0.5);
      double y = Quad.at(window.bottom(), x) + below;
      double moved = x + (y - m[1]) * (window.left()[1] + window.right()[1]) / 2;
      if (moved > 0 && moved < stops.width() - 1 && y < stops.height() - 1) {
        n++;
        float here = stops.sample((float) moved, (float) y);
        over += here > Math.max(wall, room) + SEEN ? 1 : 0;
        most = Math.max(most, here);
      }
    }
    return over * 2 > n && (!sheer || most > brightest(window) - SHEER);
  }

  /** What all but a tenth of a window stays below, stops. */
  private float brightest(Quad window) {
    double[] m = window.middle();
    float[] found = new float[ROW * ROW];
    for (int k = 0; k < found.length; k++) {
      double x = m[0] + window.wide() * 0.9 * ((k % ROW + 0.5) / ROW - 0.5);
      double y = m[1] + window.high() * 0.9 * ((k / ROW + 0.5) / ROW - 0.5);
      found[k] = stops.sample((float) x, (float) y);
    }
    Arrays.sort(found);
    return found[(int) (0.9 * found.length)];
  }

  /** Stops by which light changes across an edge: the greatest step close to it. */
  private double across(double x, double y) {
    double most = 0;
    for (double d = -2; d <= 2; d++) {
      float at = (float) (x + d);
      double step = stops.sample(at + 1.5f, (float) y) - stops.sample(at - 1.5f, (float) y);
      most = Math.abs(step) > Math.abs(most) ? step : most;
    }
    return most;
  }
}
