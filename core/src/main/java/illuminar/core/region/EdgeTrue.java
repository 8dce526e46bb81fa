package illuminar.core.region;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Srgb;
import illuminar.core.filter.Box;
import illuminar.core.filter.ColourGuided;
import illuminar.core.filter.Ease;
import illuminar.core.filter.Guided;
import illuminar.core.picture.Bands;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.List;

/** Makes a region's edge follow the edges of the ground. */
final class EdgeTrue {
  /** Shares this near to nothing and to all are that. */
  private static final float CLEAN = 0.06f;

  /** Weight of a mask where it is not sure at all. */
  private static final float LEAST_TRUST = 0.01f;

  /** Variance of the ground's code below which it counts as flat for edge-true regions. */
  private static final float FLAT = 4e-4f;

  private final Territory territory;
  private final Sources sources;
  private final Mask mask;

  EdgeTrue(Territory territory, Sources sources, Mask mask) {
    this.territory = territory;
    this.sources = sources;
    this.mask = mask;
  }

  /** A region's parts, joined. */
  interface Mask {
    /**
     * Coverage at a raster.
     *
     * @param soft whether parts have their feather
     */
    float[] at(Raster raster, boolean soft);
  }

  /**
   * A mask that is read off the pixels has the picture's edges already: softness of its parts stays
   * where the ground is even, and is taken back where it has an edge. How much of an edge a place
   * has is the slope of a guided filter, variance / (variance + flat).
   *
   * @param hard whether none of its parts is soft
   */
  float[] ofPixels(Raster raster, boolean hard) {
    float[] sharp = mask.at(raster, false);
    if (hard) {
      return sharp;
    }
    Plane edges =
        sources.keepLong(
            List.of(territory, "edges"),
            Plane.class,
            sources.analysis().raster().pixels() * 4L,
            this::edges);
    float[] edge = sources.spread(edges, raster);
    float[] out = mask.at(raster, true);
    for (int i = 0; i < out.length; i++) {
      out[i] += (sharp[i] - out[i]) * edge[i];
    }
    return out;
  }

  /** How much of an edge the ground has within the width, 0 to 1, on the analysis grid. */
  private Plane edges() {
    Raster grid = sources.analysis().raster();
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
  float[] ofLines(Raster raster) {
    Analysis analysis = sources.analysis();
    Raster grid = analysis.raster();
    ColourGuided guided =
        sources.keepLong(
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
    Raster grid = sources.analysis().raster();
    Plane[] guide = guide(grid);
    Plane drawn = new Plane(grid.width(), grid.height(), mask.at(grid, true));
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
    return codes(sources.ground(territory.ground().orElseThrow(), raster));
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
}
