package illuminar.core.region;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Srgb;
import illuminar.core.filter.Box;
import illuminar.core.filter.ColourGuided;
import illuminar.core.filter.Ease;
import illuminar.core.filter.Gauss;
import illuminar.core.filter.Guided;
import illuminar.core.picture.Bands;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.List;
import java.util.stream.Stream;

/**
 * Draws a region at any raster, the same at every tiling. Values are shares from 0 to 1. Each shape
 * is drawn by a class of its own; here they are joined, grown, made edge-true and softened.
 */
public final class RegionWork {
  /** Feathers softer than this many raster pixels are drawn on a coarser raster. */
  private static final double DIRECT_SIGMA = 6;

  /** Variance of the ground's code below which it counts as flat for edge-true regions. */
  private static final float FLAT = 4e-4f;

  /** Weight of a mask where it is not sure at all. */
  private static final float LEAST_TRUST = 0.01f;

  /** Shares this near to nothing and to all are that. */
  private static final float CLEAN = 0.06f;

  private final Territory territory;
  private final Sight sight;

  private RegionWork(Territory territory, Sight sight) {
    this.territory = territory;
    this.sight = sight;
  }

  /** The region's share at each pixel of the raster. */
  public static float[] draw(Territory territory, Raster raster, Sight sight) {
    return new RegionWork(territory, sight).whole(raster);
  }

  /** Something that can be drawn at any raster. */
  private interface Drawn {
    float[] at(Raster raster);
  }

  private float[] whole(Raster raster) {
    Region region = territory.region();
    float[] out = softened(region.feather(), raster, "whole", this::firm);
    float density = (float) region.density();
    for (int i = 0; i < out.length; i++) {
      float share = out[i] * density;
      out[i] = region.invert() ? 1 - share : share;
    }
    return out;
  }

  /** Softens what is drawn; {@code what} names it among all that this region keeps. */
  private float[] softened(double feather, Raster raster, String what, Drawn drawn) {
    double sigma = feather / 2 * raster.scale();
    if (sigma < 0.05) {
      return drawn.at(raster);
    }
    return sigma <= DIRECT_SIGMA || territory.live()
        ? feathered(sigma, raster, drawn)
        : coarse(feather, sigma, raster, what, drawn);
  }

  private float[] feathered(double sigma, Raster raster, Drawn drawn) {
    Raster wide = grown(raster, Gauss.reach(sigma));
    Plane hard = new Plane(wide.width(), wide.height(), drawn.at(wide));
    if (hard.nowhere()) {
      return new float[raster.pixels()];
    }
    return cut(Gauss.smooth(hard, sigma).data(), wide, raster);
  }

  /** A wide feather has no fine detail: drawn for the whole view where sigma is four pixels. */
  private float[] coarse(double feather, double sigma, Raster raster, String what, Drawn drawn) {
    double scale = raster.scale() * 4 / sigma;
    Analysis analysis = sight.analysis();
    Raster whole = Raster.whole(analysis.fullWidth(), analysis.fullHeight(), scale);
    Plane soft =
        sight.keep(
            List.of(territory, what, whole),
            Plane.class,
            whole.pixels() * 4L,
            () ->
                Gauss.smooth(
                    new Plane(whole.width(), whole.height(), drawn.at(whole)),
                    feather / 2 * scale));
    return sight.spread(soft, raster);
  }

  private Raster grown(Raster raster, int margin) {
    Raster wide = raster.grown(margin, sight.analysis().fullWidth(), sight.analysis().fullHeight());
    return territory.live() ? sight.seen(wide) : wide;
  }

  static float[] cut(float[] values, Raster wide, Raster raster) {
    if (wide.equals(raster)) {
      return values;
    }
    float[] out = new float[raster.pixels()];
    for (int j = 0; j < raster.height(); j++) {
      System.arraycopy(
          values,
          (j + raster.y() - wide.y()) * wide.width() + raster.x() - wide.x(),
          out,
          j * raster.width(),
          raster.width());
    }
    return out;
  }

  /** Before it is softened. */
  private float[] firm(Raster raster) {
    if (territory.region().edge() == 0) {
      return sized(raster, true);
    }
    return used().allMatch(p -> p.shape().readsPixels()) ? pixelTrue(raster) : edgeTrue(raster);
  }

  private Stream<Part> used() {
    return territory.region().parts().stream().filter(p -> !p.off());
  }

  /**
   * A mask that is read off the pixels has the picture's edges already: softness of its parts stays
   * where the ground is even, and is taken back where it has an edge. How much of an edge a place
   * has is the slope of a guided filter, variance / (variance + flat).
   */
  private float[] pixelTrue(Raster raster) {
    float[] sharp = sized(raster, false);
    if (used().allMatch(p -> p.feather() == 0)) {
      return sharp;
    }
    Plane edges =
        sight.keep(
            List.of(territory, "edges"),
            Plane.class,
            sight.analysis().raster().pixels() * 4L,
            this::edges);
    float[] edge = sight.spread(edges, raster);
    float[] out = sized(raster, true);
    for (int i = 0; i < out.length; i++) {
      out[i] += (sharp[i] - out[i]) * edge[i];
    }
    return out;
  }

  /** How much of an edge the ground has within the width, 0 to 1, on the analysis grid. */
  private Plane edges() {
    Raster grid = sight.analysis().raster();
    int reach = reach(grid);
    Plane out = Plane.of(grid.width(), grid.height());
    for (Plane code : guide(grid)) {
      Plane[] means = Box.means(reach, code, Guided.product(code, code));
      for (int i = 0; i < out.data().length; i++) {
        float mean = means[0].data()[i];
        float variance = Math.max(0, means[1].data()[i] - mean * mean);
        out.data()[i] = Math.max(out.data()[i], variance / (variance + FLAT));
      }
    }
    return out;
  }

  /**
   * The edge made to follow the ground's: near it, the share is what the ground's colour says, as
   * learnt from where the mask is sure to either side. Guided filter maps from the analysis grid,
   * read with the ground at this raster (He, Sun, Tang 2010; He, Sun 2015).
   */
  private float[] edgeTrue(Raster raster) {
    Analysis analysis = sight.analysis();
    Raster grid = analysis.raster();
    ColourGuided guided =
        sight.keep(
            List.of(territory, "edge"), ColourGuided.class, grid.pixels() * 16L, this::followed);
    MapRows[] maps = MapRows.of(analysis.fullWidth(), analysis.fullHeight(), raster, guided.maps());
    Plane[] guide = guide(raster);
    int w = raster.width();
    float[] out = new float[raster.pixels()];
    float[] slope = new float[w];
    for (int j = 0; j < raster.height(); j++) {
      maps[3].row(j, out, j * w);
      for (int c = 0; c < 3; c++) {
        maps[c].row(j, slope, 0);
        for (int i = 0; i < w; i++) {
          out[j * w + i] += slope[i] * guide[c].data()[j * w + i];
        }
      }
      for (int i = j * w; i < j * w + w; i++) {
        out[i] = Math.max(0, Math.min(1, (out[i] - CLEAN) / (1 - 2 * CLEAN)));
      }
    }
    return out;
  }

  /**
   * Twice: wide windows find which side each pixel is on, narrow ones then tell by what is near.
   */
  private ColourGuided followed() {
    Raster grid = sight.analysis().raster();
    Plane[] guide = guide(grid);
    Plane drawn = new Plane(grid.width(), grid.height(), sized(grid, true));
    int reach = reach(grid);
    Plane change = change(drawn, grid, reach);
    ColourGuided wide = ColourGuided.of(guide, drawn, trust(change), 2 * reach, FLAT);
    Plane sided = wide.on(guide);
    for (int i = 0; i < sided.data().length; i++) {
      // only what was drawn with a hard edge gets one
      float hard = Ease.between((change.data()[i] - 0.5) / 0.4);
      float q = sided.data()[i];
      float cut = Math.max(0, Math.min(1, (q - 0.25f) * 2));
      sided.data()[i] = Math.max(0, Math.min(1, q + (cut - q) * hard));
    }
    int near = Math.max(1, reach / 4);
    return ColourGuided.of(guide, sided, trust(change(sided, grid, near)), 2 * near + 1, FLAT);
  }

  /** By how much a mask changes within so many pixels. */
  private static Plane change(Plane mask, Raster grid, int reach) {
    float[] most = Grow.by(mask.data(), grid, grid, reach, true);
    float[] least = Grow.by(mask.data(), grid, grid, reach, false);
    for (int i = 0; i < most.length; i++) {
      most[i] -= least[i];
    }
    return new Plane(mask.width(), mask.height(), most);
  }

  /** How far a mask is to be believed: little where it changes. */
  private static Plane trust(Plane change) {
    Plane out = Plane.of(change.width(), change.height());
    for (int i = 0; i < out.data().length; i++) {
      float sure = 1 - change.data()[i];
      out.data()[i] = Math.max(LEAST_TRUST, sure * sure);
    }
    return out;
  }

  /** Pixels of a raster within which the edge follows the ground's. */
  private int reach(Raster raster) {
    return (int) Math.max(1, Math.round(territory.region().edge() * raster.scale()));
  }

  /** Codes of the ground, whose edges are followed. */
  private Plane[] guide(Raster raster) {
    return codes(sight.ground(territory.ground().orElseThrow(), raster));
  }

  private static Plane[] codes(Picture p) {
    Plane[] out = new Plane[3];
    for (int c = 0; c < 3; c++) {
      float[] in = p.channel(c);
      float[] code = new float[in.length];
      Bands.of(
          p.height(),
          64,
          (from, to) -> {
            for (int i = from * p.width(); i < to * p.width(); i++) {
              code[i] = Srgb.encodeFast(in[i]);
            }
          });
      out[c] = new Plane(p.width(), p.height(), code);
    }
    return out;
  }

  /**
   * @param soft whether parts have their feather
   */
  private float[] sized(Raster raster, boolean soft) {
    double grow = territory.region().grow();
    int by = (int) Math.round(Math.abs(grow) * raster.scale());
    if (by == 0) {
      return joined(raster, soft);
    }
    Raster wide = grown(raster, by);
    return Grow.by(joined(wide, soft), wide, raster, by, grow > 0);
  }

  private float[] joined(Raster raster, boolean soft) {
    float[] out = new float[raster.pixels()];
    boolean first = true;
    for (Part part : used().toList()) {
      double feather = soft ? part.feather() : 0;
      float[] p = softened(feather, raster, "part " + part.id(), r -> shape(part.shape(), r));
      float strength = (float) part.strength();
      Part.Combine how = first ? Part.Combine.ADD : part.combine();
      for (int i = 0; i < out.length; i++) {
        float m = part.invert() ? 1 - p[i] : p[i];
        out[i] =
            switch (how) {
              case ADD -> Math.max(out[i], m * strength);
              case TAKE_AWAY -> Math.min(out[i], 1 - m * strength);
              case OVERLAP -> out[i] + (Math.min(out[i], m) - out[i]) * strength;
            };
      }
      first = false;
    }
    return out;
  }

  private float[] shape(Shape shape, Raster raster) {
    Analysis analysis = sight.analysis();
    int longEdge = Math.max(analysis.fullWidth(), analysis.fullHeight());
    if (shape instanceof Shape.Outline outline) {
      return OutlineShape.draw(outline, raster, longEdge);
    } else if (shape instanceof Shape.Loop loop) {
      return OutlineShape.draw(DrawnLine.read(loop.path()).points(), raster, longEdge);
    } else if (shape instanceof Shape.Ramp ramp) {
      return RampShape.draw(ramp, raster, longEdge);
    } else if (shape instanceof Shape.Ellipse ellipse) {
      return EllipseShape.draw(ellipse, raster, longEdge);
    } else if (shape instanceof Shape.Panel panel) {
      return PanelShape.draw(panel, raster, longEdge);
    } else if (shape instanceof Shape.Brush brush) {
      return BrushShape.draw(brush, raster, territory, sight);
    } else if (shape instanceof Shape.ToneBand band) {
      return ToneShape.draw(band, sight.look(band.look(), territory, raster));
    } else if (shape instanceof Shape.ColourBand band) {
      return ColourShape.draw(band, sight.look(band.look(), territory, raster));
    } else if (shape instanceof Shape.SimilarColour similar) {
      return SimilarShape.draw(similar, raster, territory, sight);
    } else if (shape instanceof Shape.WindowFinder finder) {
      return panes(finder, raster);
    } else if (shape instanceof Shape.BurntLight burnt) {
      return BurntShape.draw(burnt, raster, sight);
    } else if (shape instanceof Shape.Moving moving) {
      return sight.spread(analysis.movement().disagreeing(moving.least()), raster);
    } else if (shape instanceof Shape.FlashTrouble trouble) {
      return FlashTroubleShape.draw(trouble, raster, sight);
    }
    return draw(territory.other(((Shape.OtherRegion) shape).region()), raster, sight);
  }

  private float[] panes(Shape.WindowFinder finder, Raster raster) {
    Analysis analysis = sight.analysis();
    int by = (int) Math.round(Math.abs(finder.grow()) * raster.scale());
    Raster wide = grown(raster, by);
    if (!analysis.panes().touch(wide)) {
      return new float[raster.pixels()];
    }
    float[] found = analysis.panes().draw(wide, sight.frame(analysis.panes().windowFrame(), wide));
    return by == 0 ? found : Grow.by(found, wide, raster, by, finder.grow() > 0);
  }
}
