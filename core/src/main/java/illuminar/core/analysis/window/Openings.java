package illuminar.core.analysis.window;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.MergedLight;
import illuminar.core.colour.Stops;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.ArrayList;
import java.util.Arrays;
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

  private Openings() {}

  private record Found(List<Opening> openings) {}

  /** The windows of a view; kept. */
  public static List<Opening> of(Analysis analysis) {
    return analysis.keep(Found.class, "", 1, () -> new Found(found(analysis))).openings();
  }

  private static List<Opening> found(Analysis analysis) {
    Raster small = Raster.fitted(analysis.fullWidth(), analysis.fullHeight(), LONG_EDGE);
    Picture light = MergedLight.of(analysis).draw(small, id -> analysis.draw(id, small));
    PaneTree tree = new PaneTree(light);
    List<List<PaneTree.Pane>> windows =
        new PaneLattice(small.width())
            .windows(tree.panes()).stream().filter(w -> enough(w, small)).toList();
    Plane fine = fine(analysis);
    double k = (double) fine.width() / small.width();
    QuadFit fit = new QuadFit(fine);
    List<Opening> out = new ArrayList<>();
    for (List<PaneTree.Pane> window : windows) {
      float wall = wall(window, tree.stops());
      float view = view(window);
      if (onFloor(window, windows, small) || view < wall + OVER_WALL) {
        continue;
      }
      Quad outline = fit.refined(PaneLattice.outline(window).times(k));
      Quad whole = fit.refined(new Extent(fine, wall, tree.middle()).of(outline));
      Quad glass = new Bars(fine, wall).glazed(whole);
      out.add(new Opening(glass, Stops.light(wall), Stops.light(view)));
    }
    return out;
  }

  private static Plane fine(Analysis analysis) {
    Plane light = MergedLight.luminance(analysis);
    Plane stops = Plane.of(light.width(), light.height());
    for (int i = 0; i < stops.data().length; i++) {
      stops.data()[i] = Stops.of(light.data()[i]);
    }
    return stops;
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
  private static float wall(List<PaneTree.Pane> window, Plane stops) {
    int near = Math.max(3, stops.width() / 60);
    int far = 3 * near;
    float[] found = new float[stops.data().length];
    int n = 0;
    for (int y = 0; y < stops.height(); y++) {
      for (int x = 0; x < stops.width(); x++) {
        double depth = Double.NEGATIVE_INFINITY;
        for (PaneTree.Pane p : window) {
          depth = Math.max(depth, p.quad().depth(x + 0.5, y + 0.5));
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
