package illuminar.core.noise;

import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.Arrays;

/**
 * Takes white or coloured noise of known spectrum out of three planes: all 8 × 8 blocks that lie on
 * a lattice of every few pixels are transformed, what is no more than noise goes, and what a pixel
 * is by all blocks that hold it is averaged.
 *
 * <p>Shrinkage of overlapping cosine blocks: hard threshold first (Coifman, Donoho 1995;
 * Yaroslavsky 1996; Yu, Sapiro 2011), then Wiener's weights with the first result as what is to be
 * (as the second step of Dabov, Foi, Katkovnik, Egiazarian 2007). Blocks in which little was found
 * count more. What is too coarse for a block, blotches above all, is taken out of pixels four times
 * as large in the same way (by scales, as Facciolo, Pierazzo, Morel 2017). The lattice belongs to
 * the whole view, so any tiling gives the same.
 */
public final class Shrinkage {
  /** Pixels beyond which those of one scale do not depend on each other. */
  private static final int REACH = 2 * Cosines.SIDE;

  /** Pixels beyond a tile's edge that its own depend on. */
  public static final int MARGIN = (REACH + 2) * Coarse.SIDE + REACH;

  /** The same where it has to be quick. */
  public static final int QUICK_MARGIN = Cosines.SIDE;

  /** Deviations below which a coefficient counts as noise; within √(2·ln 64) = 2.88. */
  private static final float THRESHOLD = 2.7f;

  /** Pixels from block to block, and where it has to be quick. */
  private static final int STEP = 3;

  private static final int QUICK_STEP = 4;

  private final Deviation deviation;
  private final boolean quick;

  /** How strong noise is. */
  public interface Deviation {
    /**
     * Of each coefficient of each plane; coefficients with 0 stay.
     *
     * @param scale pixels for each pixel of the planes
     */
    float[][] at(double scale);
  }

  /**
   * @param quick whether the first step alone will do, on fewer blocks: where pixels are so small
   *     that little noise is left in them
   */
  public Shrinkage(Deviation deviation, boolean quick) {
    this.deviation = deviation;
    this.quick = quick;
  }

  /** One tile's work at one scale. */
  private static final class Work {
    final float[][] deviation;
    final int w;
    final int h;
    final int[] columns;
    final int[] rows;

    Work(float[][] deviation, int step, int x, int y, int w, int h) {
      this.deviation = deviation;
      this.w = w;
      this.h = h;
      columns = lattice(x, w, step);
      rows = lattice(y, h, step);
    }

    /** In two steps. */
    Picture shrunk(Picture in, Cells cells) {
      return shrunk(in, shrunk(in, null, cells.grown(1)), cells);
    }

    /**
     * @param led what is to be, for Wiener's weights; null for the threshold
     * @param cells where results are wanted
     */
    Picture shrunk(Picture in, Picture led, Cells cells) {
      Picture sum = Picture.of(w, h);
      Picture weight = Picture.of(w, h);
      float[][] blocks = new float[Cosines.VALUES][columns.length];
      float[][] leads = led == null ? blocks : new float[Cosines.VALUES][columns.length];
      float[] share = new float[columns.length];
      int[] lanes = new int[columns.length];
      for (int y : rows) {
        int n = lanes(cells, y, lanes);
        for (int c = 0; n > 0 && c < 3; c++) {
          take(in.channel(c), y, lanes, n, blocks);
          Cosines.forth(blocks, n);
          if (led == null) {
            threshold(blocks, deviation[c], n, share);
          } else {
            take(led.channel(c), y, lanes, n, leads);
            Cosines.forth(leads, n);
            wiener(blocks, leads, deviation[c], n, share);
          }
          Cosines.back(blocks, n);
          give(blocks, share, y, lanes, n, sum.channel(c), weight.channel(c));
        }
      }
      for (int c = 0; c < 3; c++) {
        float[] s = sum.channel(c);
        float[] by = weight.channel(c);
        float[] own = in.channel(c);
        for (int i = 0; i < s.length; i++) {
          s[i] = by[i] > 0 ? s[i] / by[i] : own[i];
        }
      }
      return sum;
    }

    /** The blocks of a row that are needed. */
    private int lanes(Cells cells, int y, int[] out) {
      int n = 0;
      for (int x : columns) {
        if (cells.touchedBy(x, y)) {
          out[n++] = x;
        }
      }
      return n;
    }

    private void take(float[] plane, int y, int[] lanes, int n, float[][] out) {
      for (int k = 0; k < Cosines.VALUES; k++) {
        int at = (y + k / Cosines.SIDE) * w + k % Cosines.SIDE;
        float[] row = out[k];
        for (int i = 0; i < n; i++) {
          row[i] = plane[at + lanes[i]];
        }
      }
    }

    private void give(
        float[][] blocks, float[] share, int y, int[] lanes, int n, float[] sum, float[] weight) {
      for (int k = 0; k < Cosines.VALUES; k++) {
        int at = (y + k / Cosines.SIDE) * w + k % Cosines.SIDE;
        float[] row = blocks[k];
        for (int i = 0; i < n; i++) {
          sum[at + lanes[i]] += row[i] * share[i];
          weight[at + lanes[i]] += share[i];
        }
      }
    }
  }

  /** Where blocks begin: at multiples in the view, and at its end. */
  private static int[] lattice(int origin, int length, int step) {
    int first = Math.floorMod(-origin, step);
    int last = length - Cosines.SIDE;
    int n = last < first ? 0 : (last - first) / step + 1;
    boolean end = n == 0 || first + (n - 1) * step < last;
    int[] at = new int[end ? n + 1 : n];
    for (int i = 0; i < n; i++) {
      at[i] = first + i * step;
    }
    if (end) {
      at[n] = last;
    }
    return at;
  }

  private static void threshold(float[][] blocks, float[] deviation, int n, float[] share) {
    Arrays.fill(share, 0, n, 1);
    for (int k = 1; k < Cosines.VALUES; k++) {
      threshold(blocks[k], THRESHOLD * deviation[k], n, share);
    }
    for (int i = 0; i < n; i++) {
      share[i] = 1 / share[i];
    }
  }

  private static void threshold(float[] row, float least, int n, float[] found) {
    for (int i = 0; i < n; i++) {
      float stays = Math.abs(row[i]) >= least ? 1 : 0;
      row[i] *= stays;
      found[i] += stays;
    }
  }

  private static void wiener(
      float[][] blocks, float[][] leads, float[] deviation, int n, float[] share) {
    Arrays.fill(share, 0, n, 1);
    for (int k = 1; k < Cosines.VALUES; k++) {
      wiener(blocks[k], leads[k], deviation[k] * deviation[k], n, share);
    }
    for (int i = 0; i < n; i++) {
      share[i] = 1 / share[i];
    }
  }

  private static void wiener(float[] row, float[] lead, float noise, int n, float[] found) {
    for (int i = 0; i < n; i++) {
      float power = lead[i] * lead[i] + 1e-12f;
      float gain = power / (power + noise);
      row[i] *= gain;
      found[i] += gain * gain;
    }
  }

  /**
   * What is left without the noise.
   *
   * @param in three planes; not modified
   * @param raster where they lie in the view
   * @param wanted pixels whose result counts; others may be left as they are
   */
  public Picture shrunk(Picture in, Raster raster, boolean[] wanted) {
    int w = in.width();
    int h = in.height();
    if (w < Cosines.SIDE || h < Cosines.SIDE) {
      return in.copy();
    }
    Cells cells = Cells.of(wanted, w);
    if (quick) {
      return new Work(deviation.at(1), QUICK_STEP, raster.x(), raster.y(), w, h)
          .shrunk(in, null, cells);
    }
    Cells wide = cells.grown((REACH + 2) * Coarse.SIDE / Cosines.SIDE);
    Picture out = new Work(deviation.at(1), STEP, raster.x(), raster.y(), w, h).shrunk(in, wide);
    Coarse coarse = Coarse.of(out, raster);
    Picture means = coarse.means();
    if (means.width() >= Cosines.SIDE && means.height() >= Cosines.SIDE) {
      Work work =
          new Work(
              deviation.at(1.0 / Coarse.SIDE),
              STEP,
              coarse.left(),
              coarse.top(),
              means.width(),
              means.height());
      coarse.change(work.shrunk(means, Cells.all(means.width(), means.height())), out);
    }
    return out;
  }
}
