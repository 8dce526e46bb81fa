package illuminar.benchmarks;

import illuminar.core.analysis.Analysis;
import illuminar.core.ground.Ground;
import illuminar.core.picture.LabPlanes;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.DrawnLine;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.part.Brush;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.views.View;
import java.util.ArrayList;
import java.util.List;

/** A brush that stops at edges, beside the borders of rendered surfaces. */
final class BrushProof {
  /** Colour difference of two surfaces from which on there is an edge between them. */
  private static final float CLEAR = 25;

  private final View view;
  private final Radiance truth;
  private final Table table;
  private final PreviewSession session;
  private final Raster whole;
  private final String anchor;
  private final BesideAnchor beside;

  BrushProof(View view, Radiance truth, Table table, Analysis analysis) {
    this.view = view;
    this.truth = truth;
    this.table = table;
    session = new PreviewSession(analysis, new RenderCache(200_000_000));
    whole = Raster.whole(truth.width(), truth.height(), 1);
    anchor = analysis.frames().anchor();
    beside = BesideAnchor.of(view, anchor, truth.width());
  }

  /**
   * A brush that stops at edges, drawn along the border of a surface so that half of it lies
   * beyond.
   *
   * @param surface what is painted, by its name in the truth
   */
  void overspray(String surface) {
    float[] mask = truth.truth().part(surface);
    int w = whole.width();
    List<Brush.Stroke> strokes = new ArrayList<>();
    double longEdge = Math.max(w, whole.height());
    int radius = 40;
    LabPlanes seen = LabPlanes.of(session.frame(anchor, whole));
    for (int y = 60; y < whole.height() - 60 && strokes.size() < 60; y += 12) {
      for (int x = 80; x < w - 60; x++) {
        if (border(mask, seen, x, y, radius)) {
          Point at = new Point((x - 24) / longEdge, y / longEdge);
          strokes.add(
              new Brush.Stroke(
                  radius / longEdge, 0.2, 1, false, 12, DrawnLine.write(List.of(at, at))));
          break;
        }
      }
    }
    System.out.printf("  %d strokes along the border of %s%n", strokes.size(), surface);
    if (strokes.isEmpty()) {
      // no border of it is to be seen on which a brush could stop
      return;
    }
    Region painted =
        new Region(
            "p", "p", List.of(new Part("b", Part.Combine.ADD, new Brush(strokes))), 0, false);
    Recipe recipe = new Recipe(new Ground.OneFrame(anchor), List.of(painted), List.of());
    float[] share = session.coverage(recipe, "p", whole).copy();
    double beyond = 0;
    double all = 0;
    for (int y = 8; y < whole.height() - 8; y++) {
      for (int x = 8; x < w - 8; x++) {
        int i = y * w + x;
        all += share[i];
        beyond += share[i] * (1 - beside.at(mask, x, y));
      }
    }
    table.most(
        view.title(), "brush that stops, painted beyond " + surface, 100 * beyond / all, "%", 1);
  }

  /**
   * Whether the surface ends towards the right at a place, in all rows that the brush covers, and
   * an edge is to be seen there.
   */
  private boolean border(float[] mask, LabPlanes seen, int x, int y, int radius) {
    int w = whole.width();
    for (int v = y - radius; v <= y + radius; v += 8) {
      int end = x - 14;
      while (end < x + 14 && mask[v * w + end] > 0.5f) {
        end++;
      }
      if (end <= x - 14 || end >= x + 14) {
        return false;
      }
      for (int u = x - 24 - radius; u <= end - 3; u += 4) {
        if (mask[v * w + u] < 0.99f) {
          return false;
        }
      }
      int here = v * w + end - 6;
      for (int u = end + 4; u <= end + 20; u += 4) {
        int there = v * w + u;
        if (mask[there] > 0.01f
            || seen.difference(there, seen.l()[here], seen.a()[here], seen.b()[here]) < CLEAR) {
          return false;
        }
      }
    }
    return true;
  }
}
