package illuminar.core.region;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.Stops;
import illuminar.core.filter.Gauss;
import illuminar.core.frame.FrameRows;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.function.Function;
import java.util.function.Supplier;

/** Draws regions at any raster, the same at every tiling. Values are shares from 0 to 1. */
public final class RegionWork {
  /** Feathers softer than this many raster pixels are drawn on a coarser raster. */
  private static final double DIRECT_SIGMA = 6;

  private RegionWork() {}

  /** Draws one frame at a raster, display-linear. */
  public interface Frames extends Function<Raster, Function<String, Picture>> {}

  /** Keeps a region's soft plane of the whole view, which many tiles read. */
  public interface Keep {
    Plane get(Region region, Raster whole, Supplier<Plane> make);

    /** Keeps nothing. */
    Keep NOTHING = (region, whole, make) -> make.get();
  }

  /**
   * The region's share at each pixel of the raster.
   *
   * @param frames draws frames at any raster
   * @param keep keeps what many tiles share
   */
  public static float[] draw(
      Region region, Raster raster, Analysis analysis, Frames frames, Keep keep) {
    double sigma = region.feather() / 2 * raster.scale();
    float[] out;
    if (sigma < 0.05) {
      out = hard(region, raster, analysis, frames);
    } else if (sigma <= DIRECT_SIGMA) {
      out = feathered(region, raster, analysis, frames, sigma);
    } else {
      out = coarse(region, raster, analysis, frames, sigma, keep);
    }
    if (region.invert()) {
      for (int i = 0; i < out.length; i++) {
        out[i] = 1 - out[i];
      }
    }
    return out;
  }

  private static float[] feathered(
      Region region, Raster raster, Analysis analysis, Frames frames, double sigma) {
    Raster wide = raster.grown(Gauss.reach(sigma), analysis.fullWidth(), analysis.fullHeight());
    Plane hard = new Plane(wide.width(), wide.height(), hard(region, wide, analysis, frames));
    if (hard.nowhere()) {
      return new float[raster.pixels()];
    }
    Plane soft = Gauss.smooth(hard, sigma);
    float[] out = new float[raster.pixels()];
    for (int j = 0; j < raster.height(); j++) {
      System.arraycopy(
          soft.data(),
          (j + raster.y() - wide.y()) * wide.width() + raster.x() - wide.x(),
          out,
          j * raster.width(),
          raster.width());
    }
    return out;
  }

  /** A wide feather has no fine detail: drawn for the whole view where sigma is four pixels. */
  private static float[] coarse(
      Region region, Raster raster, Analysis analysis, Frames frames, double sigma, Keep keep) {
    double scale = raster.scale() * 4 / sigma;
    Raster whole = Raster.whole(analysis.fullWidth(), analysis.fullHeight(), scale);
    Plane soft =
        keep.get(
            region,
            whole,
            () ->
                Gauss.smooth(
                    new Plane(whole.width(), whole.height(), hard(region, whole, analysis, frames)),
                    region.feather() / 2 * scale));
    MapRows rows = MapRows.of(analysis.fullWidth(), analysis.fullHeight(), raster, soft)[0];
    float[] out = new float[raster.pixels()];
    if (rows.reach()) {
      for (int j = 0; j < raster.height(); j++) {
        rows.row(j, out, j * raster.width());
      }
    }
    return out;
  }

  private static float[] hard(Region region, Raster raster, Analysis analysis, Frames frames) {
    float[] out = new float[raster.pixels()];
    boolean first = true;
    for (Part part : region.parts()) {
      float[] p = part(part.shape(), raster, analysis, frames);
      Part.Combine how = first ? Part.Combine.ADD : part.combine();
      for (int i = 0; i < out.length; i++) {
        out[i] =
            switch (how) {
              case ADD -> Math.max(out[i], p[i]);
              case TAKE_AWAY -> Math.min(out[i], 1 - p[i]);
              case OVERLAP -> Math.min(out[i], p[i]);
            };
      }
      first = false;
    }
    return out;
  }

  private static float[] part(Shape shape, Raster raster, Analysis analysis, Frames frames) {
    int longEdge = Math.max(analysis.fullWidth(), analysis.fullHeight());
    if (shape instanceof Shape.Outline outline) {
      return OutlineShape.draw(outline.points(), raster, longEdge);
    }
    if (shape instanceof Shape.Brush brush) {
      return BrushShape.draw(brush.strokes(), raster, longEdge);
    }
    if (shape instanceof Shape.WindowFinder finder) {
      return panes(finder, raster, analysis, frames);
    }
    return burnt((Shape.BurntLight) shape, raster, analysis);
  }

  private static float[] panes(
      Shape.WindowFinder finder, Raster raster, Analysis analysis, Frames frames) {
    int grow = (int) Math.round(Math.abs(finder.grow()) * raster.scale());
    Raster wide = raster.grown(grow, analysis.fullWidth(), analysis.fullHeight());
    if (!analysis.panes().touch(wide)) {
      return new float[raster.pixels()];
    }
    float[] found =
        analysis.panes().draw(wide, frames.apply(wide).apply(analysis.panes().windowFrame()));
    if (grow == 0) {
      return found;
    }
    float[] out = new float[raster.pixels()];
    boolean wider = finder.grow() > 0;
    for (int y = 0; y < raster.height(); y++) {
      for (int x = 0; x < raster.width(); x++) {
        out[y * raster.width() + x] =
            extreme(found, wide, x + raster.x() - wide.x(), y + raster.y() - wide.y(), grow, wider);
      }
    }
    return out;
  }

  private static float extreme(float[] m, Raster r, int x, int y, int grow, boolean most) {
    float best = m[y * r.width() + x];
    for (int v = Math.max(0, y - grow); v <= Math.min(r.height() - 1, y + grow); v++) {
      for (int u = Math.max(0, x - grow); u <= Math.min(r.width() - 1, x + grow); u++) {
        if ((u - x) * (u - x) + (v - y) * (v - y) <= grow * grow) {
          best = most ? Math.max(best, m[v * r.width() + u]) : Math.min(best, m[v * r.width() + u]);
        }
      }
    }
    return best;
  }

  private static float[] burnt(Shape.BurntLight burnt, Raster raster, Analysis analysis) {
    float[] out = new float[raster.pixels()];
    float from = (float) -burnt.reach() - 0.06f;
    float to = (float) -burnt.reach() * 0.5f - 0.02f;
    float least = (float) Srgb.encode(Math.pow(2, from));
    FrameRows rows = analysis.rows(burnt.frame(), raster);
    int w = raster.width();
    float[] r = new float[w];
    float[] g = new float[w];
    float[] b = new float[w];
    for (int j = 0; j < raster.height(); j++) {
      rows.codes(j, 0, w, r, g, b);
      for (int i = 0; i < w; i++) {
        float most = Math.max(r[i], Math.max(g[i], b[i]));
        if (most > least) {
          float t = (Stops.of(Srgb.decodeFast(most)) - from) / (to - from);
          t = t < 0 ? 0 : t > 1 ? 1 : t;
          out[j * w + i] = t * t * (3 - 2 * t);
        }
      }
    }
    return out;
  }
}
