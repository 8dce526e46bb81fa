package illuminar.core.noise;

import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
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
  /** Pixels on a side of a coarse one. */
  private static final int COARSE = 4;

  /** Pixels beyond which those of one scale do not depend on each other. */
  private static final int REACH = 2 * Cosines.SIDE;

  /** Pixels beyond a tile's edge that its own depend on. */
  public static final int MARGIN = (REACH + 2) * COARSE + REACH;

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
    Picture shrunk(Picture in, boolean[] cells) {
      return shrunk(in, shrunk(in, null, grown(cells, across(w), 1)), cells);
    }

    /**
     * @param led what is to be, for Wiener's weights; null for the threshold
     * @param cells where results are wanted, by cells of 8 × 8
     */
    Picture shrunk(Picture in, Picture led, boolean[] cells) {
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

    /** The blocks of a row that touch a cell in which results are wanted. */
    private int lanes(boolean[] cells, int y, int[] out) {
      int across = across(w);
      int n = 0;
      for (int x : columns) {
        boolean wanted = false;
        for (int v = y / Cosines.SIDE; v <= (y + Cosines.SIDE - 1) / Cosines.SIDE; v++) {
          for (int u = x / Cosines.SIDE; u <= (x + Cosines.SIDE - 1) / Cosines.SIDE; u++) {
            wanted |= cells[v * across + u];
          }
        }
        if (wanted) {
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

  private static int across(int width) {
    return (width + Cosines.SIDE - 1) / Cosines.SIDE;
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
    boolean[] cells = cells(wanted, w, h);
    if (quick) {
      return new Work(deviation.at(1), QUICK_STEP, raster.x(), raster.y(), w, h)
          .shrunk(in, null, cells);
    }
    boolean[] all = grown(cells, across(w), (REACH + 2) * COARSE / Cosines.SIDE);
    Picture out = new Work(deviation.at(1), STEP, raster.x(), raster.y(), w, h).shrunk(in, all);
    int left = Math.floorDiv(raster.x(), COARSE);
    int top = Math.floorDiv(raster.y(), COARSE);
    Picture coarse =
        coarse(
            out,
            raster,
            Math.floorDiv(raster.x() + w - 1, COARSE) - left + 1,
            Math.floorDiv(raster.y() + h - 1, COARSE) - top + 1);
    if (coarse.width() < Cosines.SIDE || coarse.height() < Cosines.SIDE) {
      return out;
    }
    boolean[] everywhere = new boolean[across(coarse.width()) * across(coarse.height())];
    Arrays.fill(everywhere, true);
    Picture calm =
        new Work(deviation.at(1.0 / COARSE), STEP, left, top, coarse.width(), coarse.height())
            .shrunk(coarse, everywhere);
    for (int c = 0; c < 3; c++) {
      subtract(calm.channel(c), coarse.channel(c));
      add(new Plane(calm.width(), calm.height(), calm.channel(c)), raster, out.channel(c));
    }
    return out;
  }

  /** The means of the pixels that are one coarse pixel of the view. */
  private static Picture coarse(Picture p, Raster raster, int w, int h) {
    Picture out = Picture.of(w, h);
    int[] count = new int[w * h];
    int dx = Math.floorMod(raster.x(), COARSE);
    int dy = Math.floorMod(raster.y(), COARSE);
    for (int y = 0; y < p.height(); y++) {
      for (int x = 0; x < p.width(); x++) {
        int i = y * p.width() + x;
        int k = (y + dy) / COARSE * w + (x + dx) / COARSE;
        out.r()[k] += p.r()[i];
        out.g()[k] += p.g()[i];
        out.b()[k] += p.b()[i];
        count[k]++;
      }
    }
    for (int k = 0; k < count.length; k++) {
      out.r()[k] /= count[k];
      out.g()[k] /= count[k];
      out.b()[k] /= count[k];
    }
    return out;
  }

  private static void subtract(float[] from, float[] what) {
    for (int k = 0; k < from.length; k++) {
      from[k] -= what[k];
    }
  }

  /** Adds coarse pixels to those that they are made of, between their centres bilinearly. */
  private static void add(Plane coarse, Raster raster, float[] out) {
    int dx = Math.floorMod(raster.x(), COARSE);
    int dy = Math.floorMod(raster.y(), COARSE);
    for (int y = 0; y < raster.height(); y++) {
      float v = (y + dy + 0.5f) / COARSE - 0.5f;
      for (int x = 0; x < raster.width(); x++) {
        out[y * raster.width() + x] += coarse.sample((x + dx + 0.5f) / COARSE - 0.5f, v);
      }
    }
  }

  private static boolean[] cells(boolean[] wanted, int w, int h) {
    boolean[] cells = new boolean[across(w) * across(h)];
    for (int i = 0; i < wanted.length; i++) {
      if (wanted[i]) {
        cells[i / w / Cosines.SIDE * across(w) + i % w / Cosines.SIDE] = true;
      }
    }
    return cells;
  }

  /** With all cells so near. */
  private static boolean[] grown(boolean[] cells, int across, int near) {
    int down = cells.length / across;
    boolean[] wide = new boolean[cells.length];
    boolean[] out = new boolean[cells.length];
    for (int i = 0; i < cells.length; i++) {
      int x = i % across;
      for (int u = Math.max(0, x - near); cells[i] && u <= Math.min(across - 1, x + near); u++) {
        wide[i - x + u] = true;
      }
    }
    for (int i = 0; i < cells.length; i++) {
      int y = i / across;
      for (int v = Math.max(0, y - near); wide[i] && v <= Math.min(down - 1, y + near); v++) {
        out[i + (v - y) * across] = true;
      }
    }
    return out;
  }
}
