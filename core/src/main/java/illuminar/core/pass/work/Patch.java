package illuminar.core.pass.work;

import illuminar.core.mend.Hole;
import illuminar.core.mend.Membrane;
import illuminar.core.mend.Pieces;
import illuminar.core.pass.Tile;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * One hole and what it is mended with. Where pieces meet, one fades into the other within a pixel
 * of the grid that they were chosen on.
 *
 * @param window where the hole's window lies
 * @param ways to the sources, pixels at full size
 * @param cells which of them is for which pixel of the window
 * @param membrane what the sources are brightened by; nothing for one that stays as it is
 */
record Patch(
    Raster window,
    Hole hole,
    List<Pieces.Way> ways,
    Pieces.Cells cells,
    Optional<Membrane> membrane) {
  /** Pixels of the analysis grid about a hole in which its region may still show. */
  static final int EDGE = 3;

  /** The pixels of a raster in which its hole lies, and some about it. */
  Optional<Raster> within(Raster raster) {
    double k = raster.scale() / window.scale();
    int x0 = (int) Math.floor((window.x() + hole.left() - EDGE) * k) - raster.x();
    int y0 = (int) Math.floor((window.y() + hole.top() - EDGE) * k) - raster.y();
    int x1 = (int) Math.ceil((window.x() + hole.right() + EDGE) * k) - raster.x();
    int y1 = (int) Math.ceil((window.y() + hole.end() + EDGE) * k) - raster.y();
    x0 = Math.max(0, x0);
    y0 = Math.max(0, y0);
    x1 = Math.min(raster.width(), x1);
    y1 = Math.min(raster.height(), y1);
    return x0 < x1 && y0 < y1
        ? Optional.of(raster.part(x0, y0, x1 - x0, y1 - y0))
        : Optional.empty();
  }

  /** Column of the window, with its fraction, at a pixel of a raster. */
  private float column(Raster at, int x) {
    return (float) ((at.fullX(x) + 0.5) * window.scale() - 0.5 - window.x());
  }

  private float row(Raster at, int y) {
    return (float) ((at.fullY(y) + 0.5) * window.scale() - 0.5 - window.y());
  }

  /**
   * Mends what of the hole lies in a part of a tile.
   *
   * @param amounts of the tile's pixels
   * @param p the tile's picture; modified
   * @param all the whole view at the tile's scale
   */
  void mend(Raster at, Tile tile, float[] amounts, Picture p, Raster all) {
    FarSource[] sources = sources(at, tile, all);
    Raster raster = tile.raster();
    float[] colour = new float[3];
    float[] sum = new float[3];
    for (int y = 0; y < at.height(); y++) {
      float v = row(at, y);
      for (int x = 0; x < at.width(); x++) {
        int i = (y + at.y() - raster.y()) * raster.width() + x + at.x() - raster.x();
        if (amounts[i] > 0) {
          read(sources, x, y, column(at, x), v, colour, sum);
          p.mix(i, sum, amounts[i]);
        }
      }
    }
  }

  /** The sources that are read in a part, each as far as it is read. */
  private FarSource[] sources(Raster at, Tile tile, Raster all) {
    int[][] box = new int[ways.size()][];
    for (int y = 0; y < at.height(); y++) {
      int v = (int) Math.floor(row(at, y));
      for (int x = 0; x < at.width(); x++) {
        int u = (int) Math.floor(column(at, x));
        for (int k = 0; k < 4; k++) {
          int way = cells.at(u + k % 2, v + k / 2);
          box[way] = grown(box[way], x, y);
        }
      }
    }
    FarSource[] sources = new FarSource[box.length];
    for (int k = 0; k < box.length; k++) {
      if (box[k] != null) {
        int[] b = box[k];
        Raster part = at.part(b[0], b[1], b[2] - b[0] + 1, b[3] - b[1] + 1);
        Pieces.Way way = ways.get(k);
        sources[k] =
            FarSource.of(tile.below(), part, way.x() * at.scale(), way.y() * at.scale(), all)
                .from(b[0], b[1]);
      }
    }
    return sources;
  }

  private static int[] grown(int[] box, int x, int y) {
    if (box == null) {
      return new int[] {x, y, x, y};
    }
    box[0] = Math.min(box[0], x);
    box[2] = Math.max(box[2], x);
    box[3] = y;
    return box;
  }

  /** The colour that the pieces about a pixel show together. */
  private void read(
      FarSource[] sources, int x, int y, float u, float v, float[] colour, float[] sum) {
    int u0 = (int) Math.floor(u);
    int v0 = (int) Math.floor(v);
    int first = cells.at(u0, v0);
    if (first == cells.at(u0 + 1, v0)
        && first == cells.at(u0, v0 + 1)
        && first == cells.at(u0 + 1, v0 + 1)) {
      sources[first].read(x, y, sum);
      membrane.ifPresent(m -> m.meet(u, v, sum));
      return;
    }
    Arrays.fill(sum, 0);
    for (int k = 0; k < 4; k++) {
      int column = u0 + k % 2;
      int line = v0 + k / 2;
      float share = (1 - Math.abs(u - column)) * (1 - Math.abs(v - line));
      sources[cells.at(column, line)].read(x, y, colour);
      membrane.ifPresent(m -> m.meet(column, line, colour));
      for (int c = 0; c < 3; c++) {
        sum[c] += share * colour[c];
      }
    }
  }
}
