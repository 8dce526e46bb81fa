package illuminar.core.pass.work;

import illuminar.core.pass.Tile;
import illuminar.core.picture.Picture;

/**
 * Lays a view into a region whose edge parts it from the room. Along the edge each pixel is a
 * mixture of both sides that no mask alone can part; there the room's colour is continued inwards
 * and the view's outwards from clean pixels, and the two are mixed by the mask (the compositing
 * equation, Porter and Duff 1984), so neither a bright rim nor a dark double edge stays; beside it
 * the halo of the blend below is taken off ({@link BesidePanes}).
 *
 * @param anchor id of the frame that the room's tones beside the edge are continued by
 * @param edge pixels at full size along the edge in which room and view are kept apart, above 0
 */
public record Parted(String anchor, float edge) {
  /** Share of the edge's width into which a pane spills. */
  private static final double SPILL = 0.25;

  /** Widths of the edge beside it on which a blend's halo is looked for. */
  private static final double HALO = 2;

  /** What is laid in. */
  public interface View {
    /**
     * The view, linear BT.2020, the size of the tile, where the region has any share within a box;
     * anything elsewhere.
     */
    Picture rendered(float[] region, int[] box);
  }

  private int radius(double scale) {
    return Math.max(1, (int) Math.round(edge * scale));
  }

  private BesidePanes beside(double scale) {
    return new BesidePanes(Math.max(1, (int) Math.round(HALO * edge * scale)));
  }

  /** Pixels beyond the edge into which lens and file spill the burnt pane. */
  private int spill(double scale) {
    return (int) (SPILL * edge * scale);
  }

  /** Pixels about a tile that are read. */
  public int margin(double scale) {
    return radius(scale) + spill(scale) + 1 + beside(scale).margin();
  }

  /** Lays the view into the picture below, which is modified; the region reaches the tile. */
  public void lay(Tile tile, Picture below, View laid) {
    int[] reached = tile.region().box();
    int w = tile.raster().width();
    int h = tile.raster().height();
    double scale = tile.raster().scale();
    BesidePanes beside = beside(scale);
    int around = radius(scale) + spill(scale) + 1 + beside.margin();
    int[] box = {
      Math.max(0, reached[0] - around),
      Math.max(0, reached[1] - around),
      Math.min(w, reached[2] + around),
      Math.min(h, reached[3] + around)
    };
    float[] region = tile.region().copy();
    Picture view = laid.rendered(region, box);
    EdgeBand edges = EdgeBand.of(region, w, h, box).outwards(spill(scale));
    boolean[] band = edges.in();
    float[][] clean = new float[6][];
    if (!edges.nowhere()) {
      beside.mend(below, tile.frames().apply(anchor), edges, i -> tile.amount(below, i));
      clean = edges.clean(below, view, radius(scale));
    }
    for (int y = box[1]; y < box[3]; y++) {
      for (int i = y * w + box[0]; i < y * w + box[2]; i++) {
        float m = region[i];
        if (m <= 0 && !band[i]) {
          continue;
        }
        float share = tile.amount(below, i);
        for (int c = 0; c < 3; c++) {
          float[] out = below.channel(c);
          float outside = band[i] ? clean[c][i] : out[i];
          float inside = band[i] ? clean[3 + c][i] : view.channel(c)[i];
          out[i] += (outside + (inside - outside) * m - out[i]) * share;
        }
      }
    }
  }
}
