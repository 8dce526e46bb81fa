package illuminar.core.analysis.window;

import static illuminar.core.analysis.window.WindowLight.BRIGHT;
import static illuminar.core.analysis.window.WindowLight.DARK;
import static illuminar.core.analysis.window.WindowLight.MIDDLE;
import static illuminar.core.analysis.window.WindowLight.ROW;

import illuminar.core.picture.Plane;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * How far a window goes on beyond what is bright in it: as its bars and stiles do, and as far as
 * more is seen through it than the wall. Our own rules.
 */
final class Extent {
  /** Share of the edges that go on beside what still belongs to the window. */
  static final double MANY = 0.55;

  /** The same of a window without bars, one side of which may be a sheer curtain's. */
  private static final double HALF = 0.5;

  /** The same of a mullion between two casements; a pier between windows is wider. */
  private static final double MULLION = 0.017;

  /** Stops over the wall and the room that half of each row must stand to be seen through. */
  static final float SEEN = 0.25f;

  /** Height of what is added over that of the window's panes at least; less is a sill. */
  private static final double ANOTHER = 0.4;

  /** Height of what is added to a window without bars at least, over the window's. */
  private static final double STRIP = 0.05;

  /** Stops over the room from which on light is surely seen through glass. */
  private static final float OUTSIDE = 1.2f;

  /** Stops by which a row is brighter than what is seen above it, from which on it is floor. */
  private static final float RISE = 1.2f;

  /** Stops within which such a row lies. */
  private static final float EVEN = 0.5f;

  /** Stops by which sheer cloth dims the brightest of a view at least. */
  private static final float SHEER = 0.7f;

  /** Rows in a run that show the edges before they are believed. */
  private static final int RUN = 4;

  /** How far some edges may end from most, as a share of the grid's long edge. */
  private static final double SLANT = 0.008;

  private final WindowLight light;
  private final float wall;
  private final float room;
  private final Bars bars;

  /**
   * @param stops light, log2
   * @param wall light of what the window stands in, log2
   * @param room median light of the whole picture, log2
   */
  Extent(Plane stops, float wall, float room) {
    this(new WindowLight(stops), wall, room);
  }

  private Extent(WindowLight light, float wall, float room) {
    this.light = light;
    this.wall = wall;
    this.room = room;
    bars = new Bars(light.stops(), wall);
  }

  /** The window as far as it goes: downwards, upwards, to the right and to the left. */
  Quad of(Quad window) {
    int w = light.width();
    int h = light.height();
    Quad down = downwards(window, false);
    Extent over = on(light.turned().mirrored().turned());
    Quad up = over.downwards(down.turned().mirrored(h).turned(), true);
    Quad upright = up.turned().mirrored(h).turned();
    Quad right = on(light.turned()).downwards(upright.turned(), true).turned();
    Quad left = on(light.mirrored().turned()).downwards(right.mirrored(w).turned(), true);
    return left.turned().mirrored(w);
  }

  /** The same for the picture turned or in a mirror. */
  private Extent on(WindowLight seen) {
    return new Extent(seen, wall, room);
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
    double rail = sheer ? MULLION * light.longEdge() : light.rail();
    int run = 0;
    List<Float> seenAbove = sheer ? List.of() : lowerThird(window);
    for (double y = from + 1; y < Math.min(most, light.height() - 1) && y - last <= rail; y++) {
      int there = 0;
      int seen = 0;
      for (double[] edge : edges) {
        double row = y - from + Quad.at(window.bottom(), Quad.at(edge, from));
        double at = Quad.at(edge, row);
        if (at > 6 && at < light.width() - 6 && row < light.height() - 1) {
          seen++;
          there += light.edge(at, row) ? 1 : 0;
        }
      }
      boolean bare = bare(edges);
      boolean through = bare ? outside(window, y - from) : seenThrough(window, y - from, sheer);
      boolean on = seen > 0 && there >= (bare ? HALF : MANY) * seen && through;
      run = on ? run + 1 : 0;
      if (run >= RUN) {
        if (!sheer) {
          float[] row = light.row(window, y - from);
          if (mirrors(row, seenAbove)) {
            break;
          }
          seenAbove.add(row[MIDDLE]);
        }
        last = y;
      }
    }
    return last;
  }

  /** Tones of the rows of a window's lower third, downwards. */
  private List<Float> lowerThird(Quad window) {
    List<Float> tones = new ArrayList<>();
    for (double up = window.high() / 3; up > RUN; up--) {
      tones.add(light.row(window, -up)[MIDDLE]);
    }
    return tones;
  }

  /**
   * Whether a row is the floor that mirrors a sky: what is seen through a window grows darker
   * downwards, or is uneven.
   */
  private static boolean mirrors(float[] row, List<Float> seenAbove) {
    return row[BRIGHT] - row[DARK] < EVEN && row[MIDDLE] > lately(seenAbove) + RISE;
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
      double row = Math.min(light.height() - 2, flat + SLANT * light.longEdge());
      while (row > flat - SLANT * light.longEdge() && !light.edge(Quad.at(edge, row), row)) {
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
    return light.row(window, below)[DARK] > room + OUTSIDE;
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
      if (moved > 0 && moved < light.width() - 1 && y < light.height() - 1) {
        n++;
        float here = light.stops().sample((float) moved, (float) y);
        over += here > Math.max(wall, room) + SEEN ? 1 : 0;
        most = Math.max(most, here);
      }
    }
    return over * 2 > n && (!sheer || most > light.brightest(window) - SHEER);
  }
}
