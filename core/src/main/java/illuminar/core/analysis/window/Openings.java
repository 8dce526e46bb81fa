package illuminar.core.analysis.window;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.MergedLight;
import illuminar.core.colour.Stops;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * The windows of a room, pane by pane, from the light that all frames measured together. A pane is
 * bright within four straight, nearly upright and level sides ({@link PaneTree}); panes in line
 * make a window ({@link PaneLattice}). What lies wholly on the floor is a mirror image or a patch
 * of sun. Our own rules.
 */
public final class Openings {
  /** Long edge of the grid on which panes are looked for. */
  private static final int LONG_EDGE = 900;

  /** Share of the picture that a window covers at least. */
  private static final double LEAST = 0.0006;

  /** Share of the picture's height below which what begins there lies on the floor. */
  private static final double FLOOR = 0.66;

  /** The same for what is dimmer than another window by so many stops: a mirror image, a gap. */
  private static final double BELOW = 0.5;

  private static final float DIMMER = 0.4f;

  /** Stops by which what is seen stands over the wall beside. */
  private static final float OVER_WALL = 1;

  /**
   * Share of a window that is brighter than half a stop below what burns in the room's frame, at
   * least; a view that is darker needs no help, and may be a lit ceiling.
   */
  private static final double BURNS = 0.03;

  private static final float NEEDS_HELP = -0.5f;

  /** Pixels up to which a box is a click. */
  private static final double CLICK = 4;

  /** Width of a bar at most, as a share of the grid's width. */
  private static final double BAR = 0.02;

  /** Half the box about a click where no pane is found, as a share of the grid's width. */
  private static final double ABOUT = 0.05;

  private Openings() {}

  private record Found(List<Opening> openings) {}

  /** The windows of a view; kept. */
  public static List<Opening> of(Analysis analysis) {
    return analysis.keepLong(Found.class, "", 1, () -> new Found(found(analysis))).openings();
  }

  /**
   * What windows are looked for in; kept.
   *
   * @param small the grid of the tree
   * @param fine light on the analysis grid, stops
   */
  private record Looked(Raster small, PaneTree tree, List<PaneTree.Pane> panes, Plane fine) {
    static Looked at(Analysis analysis) {
      return analysis.keep(
          Looked.class,
          "",
          1,
          () -> {
            Raster small = Raster.fitted(analysis.fullWidth(), analysis.fullHeight(), LONG_EDGE);
            PaneTree tree =
                new PaneTree(MergedLight.of(analysis).draw(small, id -> analysis.draw(id, small)));
            return new Looked(small, tree, tree.panes(), stops(MergedLight.luminance(analysis)));
          });
    }

    private static Plane stops(Plane light) {
      Plane stops = Plane.of(light.width(), light.height());
      for (int i = 0; i < stops.data().length; i++) {
        stops.data()[i] = Stops.of(light.data()[i]);
      }
      return stops;
    }

    /** Pixels of the analysis grid in one of the tree's. */
    double fineness() {
      return (double) fine.width() / small.width();
    }
  }

  private static List<Opening> found(Analysis analysis) {
    Looked in = Looked.at(analysis);
    List<List<PaneTree.Pane>> windows =
        new PaneLattice(in.small.width())
            .windows(in.panes).stream().filter(w -> enough(w, in.small)).toList();
    QuadFit fit = new QuadFit(in.fine);
    List<Opening> out = new ArrayList<>();
    for (List<PaneTree.Pane> window : windows) {
      float wall = wall(quads(window), in.tree.stops());
      float view = view(window);
      if (onFloor(window, windows, in.small) || view < wall + OVER_WALL) {
        continue;
      }
      Quad outline = fit.refined(PaneLattice.outline(window).times(in.fineness()));
      Quad glass = glazed(outline, wall, in);
      if (fit.bounded(glass) && lightest(glass, in.fine, BURNS) > NEEDS_HELP) {
        out.add(new Opening(glass, Stops.light(wall), Stops.light(view)));
      }
    }
    return out.stream().map(o -> asDeep(o, out, in)).toList();
  }

  /** A window as deep as those in line with it. */
  private static Opening asDeep(Opening window, List<Opening> all, Looked in) {
    Foot foot = new Foot(in.fine, Stops.of(window.wall()), in.tree.middle());
    Quad sides = window.sides();
    for (Opening other : all) {
      sides = foot.asFarAs(other.sides(), sides);
    }
    return new Opening(sides, window.wall(), window.view());
  }

  /**
   * The window in a box that somebody drew round it, or clicked into: the panes whose middle lies
   * in the box, or the window whose pane holds the place; the box itself, its sides drawn to edges
   * near them, where no panes are found.
   *
   * @param x0 left of the box in pixels of the analysis grid; {@code x1} right, the same for a
   *     click
   */
  public static Opening in(Analysis analysis, double x0, double y0, double x1, double y1) {
    Looked in = Looked.at(analysis);
    double k = in.fineness();
    QuadFit fit = new QuadFit(in.fine);
    boolean click = x1 - x0 < CLICK || y1 - y0 < CLICK;
    List<PaneTree.Pane> panes =
        click
            ? about(x0 / k, y0 / k, in)
            : in.panes.stream()
                .filter(p -> holds(p.quad(), x0 / k, y0 / k, x1 / k, y1 / k))
                .toList();
    double beside = click ? ABOUT * in.fine.width() : 0;
    Quad box =
        new Quad(
            new double[] {x0 - beside, 0},
            new double[] {x1 + beside, 0},
            new double[] {y0 - beside, 0},
            new double[] {y1 + beside, 0});
    Quad sides = fit.refined(panes.isEmpty() ? box : PaneLattice.outline(panes).times(k));
    float wall = wall(List.of(sides.times(1 / k)), in.tree.stops());
    Quad glass = panes.isEmpty() ? sides : glazed(sides, wall, in);
    return new Opening(glass, Stops.light(wall), Stops.light(lightest(sides, in.fine, 0.1)));
  }

  /** A window as far as its bars and stiles go, less its frame. */
  private static Quad glazed(Quad outline, float wall, Looked in) {
    Foot foot = new Foot(in.fine, wall, in.tree.middle());
    Extent extent = new Extent(in.fine, wall, in.tree.middle());
    Quad whole = new QuadFit(in.fine).refined(extent.of(foot.aboveWall(outline)));
    return foot.withoutSill(new Bars(in.fine, wall).glazed(whole));
  }

  /** The window whose pane holds a place, or lies beside the bar on which it is. */
  private static List<PaneTree.Pane> about(double x, double y, Looked in) {
    double bar = BAR * in.small.width();
    return in.panes.stream()
        .filter(p -> p.quad().depth(x, y) > -bar)
        .max(Comparator.comparingDouble(p -> p.quad().depth(x, y)))
        .map(p -> new PaneLattice(in.small.width()).windowOf(p, in.panes))
        .orElse(List.of());
  }

  private static boolean holds(Quad pane, double x0, double y0, double x1, double y1) {
    double[] m = pane.middle();
    boolean within = m[0] > x0 && m[0] < x1 && m[1] > y0 && m[1] < y1;
    return within || pane.depth(x0, y0) > 0 && pane.depth(x1, y1) > 0;
  }

  /** Light that all but a share of what lies within sides stays below, stops. */
  private static float lightest(Quad sides, Plane stops, double share) {
    float[] found = new float[stops.data().length];
    int n = 0;
    for (int i = 0; i < found.length; i++) {
      if (sides.depth(i % stops.width() + 0.5, i / stops.width() + 0.5) > 0) {
        found[n++] = stops.data()[i];
      }
    }
    Arrays.sort(found, 0, n);
    return n == 0 ? 0 : found[(int) ((1 - share) * (n - 1))];
  }

  private static List<Quad> quads(List<PaneTree.Pane> window) {
    return window.stream().map(PaneTree.Pane::quad).toList();
  }

  /** How far a place lies inside one of the openings, pixels of the grid; negative outside all. */
  public static double depth(List<Opening> openings, double x, double y) {
    double depth = Double.NEGATIVE_INFINITY;
    for (Opening opening : openings) {
      depth = Math.max(depth, opening.depth(x, y));
    }
    return depth;
  }

  private static boolean enough(List<PaneTree.Pane> window, Raster small) {
    return window.stream().mapToDouble(p -> p.quad().size()).sum() > LEAST * small.pixels();
  }

  private static double top(List<PaneTree.Pane> window) {
    return window.stream()
        .mapToDouble(p -> p.quad().middle()[1] - p.quad().high() / 2)
        .min()
        .orElse(0);
  }

  /** Whether a window is a patch of sun on the floor, or the mirror image of another. */
  private static boolean onFloor(
      List<PaneTree.Pane> window, List<List<PaneTree.Pane>> windows, Raster small) {
    double top = top(window);
    return top > FLOOR * small.height()
        || top > BELOW * small.height()
            && windows.stream()
                .anyMatch(other -> top(other) < top && view(other) > view(window) + DIMMER);
  }

  /** Tone of the brightest of the panes, stops. */
  private static float view(List<PaneTree.Pane> window) {
    return (float) window.stream().mapToDouble(PaneTree.Pane::tone).max().orElse(0);
  }

  /** Light about a window beyond its frame and what it lights, stops: a quarter lies below. */
  private static float wall(List<Quad> window, Plane stops) {
    int near = Math.max(3, stops.width() / 60);
    int far = 3 * near;
    float[] found = new float[stops.data().length];
    int n = 0;
    for (int y = 0; y < stops.height(); y++) {
      for (int x = 0; x < stops.width(); x++) {
        double depth = Double.NEGATIVE_INFINITY;
        for (Quad q : window) {
          depth = Math.max(depth, q.depth(x + 0.5, y + 0.5));
        }
        if (depth < -near && depth > -far) {
          found[n++] = stops.at(x, y);
        }
      }
    }
    Arrays.sort(found, 0, n);
    return n == 0 ? -3 : found[n / 4];
  }

  /**
   * Share of the panes' area that burns like a view and was found as {@link Panes}, 0 to 1; what is
   * missing lies in the room's own range.
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
}
