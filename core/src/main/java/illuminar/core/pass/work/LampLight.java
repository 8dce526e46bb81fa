package illuminar.core.pass.work;

import illuminar.core.colour.Space;
import illuminar.core.pass.Tile;
import illuminar.core.picture.Picture;
import illuminar.core.region.Coverage;

/**
 * The light of lamps in a box of pixels: of the anchor frame where it is clean, else of a darker
 * one; and the brightest lamp beside each pixel.
 *
 * @param gain from the darker frame's exposure to the anchor's
 */
public record LampLight(Relight relight, float gain) {
  /**
   * Display-linear values of the anchor frame up to which its own light is taken, and from which on
   * none of it is.
   */
  private static final float CLEAN = 0.6f;

  private static final float SURE = 0.85f;

  public static float luminance(Picture p, int k) {
    return Math.max(1e-7f, Space.srgbLuminance(p.r()[k], p.g()[k], p.b()[k]));
  }

  /**
   * Which pixels of a box lie in the region with all their neighbours. The others may hold light
   * that is not to be restored here: a pane beside the reveal that burns with it.
   */
  public static boolean[] within(Tile tile, int left, int top, Picture light) {
    int w = light.width();
    int h = light.height();
    Coverage region = tile.region();
    boolean[] out = new boolean[w * h];
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        out[y * w + x] = surrounded(region, x + left, y + top);
      }
    }
    return out;
  }

  private static boolean surrounded(Coverage region, int x, int y) {
    if (region.at(x, y) < 0.5f) {
      return false;
    }
    for (int v = Math.max(0, y - 1); v <= Math.min(region.height() - 1, y + 1); v++) {
      for (int u = Math.max(0, x - 1); u <= Math.min(region.width() - 1, x + 1); u++) {
        if (region.at(u, v) < 0.5f) {
          return false;
        }
      }
    }
    return true;
  }

  /** The greatest luminance in the region within a square round each pixel, at least its own. */
  public static float[] brightest(Picture light, boolean[] within, int reach) {
    int w = light.width();
    int h = light.height();
    float[] own = new float[w * h];
    float[] rows = new float[w * h];
    float[] out = new float[w * h];
    for (int i = 0; i < w * h; i++) {
      out[i] = luminance(light, i);
      own[i] = within[i] ? out[i] : 0;
    }
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        float most = 0;
        for (int u = Math.max(0, x - reach); u <= Math.min(w - 1, x + reach); u++) {
          most = Math.max(most, own[y * w + u]);
        }
        rows[y * w + x] = most;
      }
    }
    for (int y = 0; y < h; y++) {
      for (int v = Math.max(0, y - reach); v <= Math.min(h - 1, y + reach); v++) {
        for (int x = 0; x < w; x++) {
          out[y * w + x] = Math.max(out[y * w + x], rows[v * w + x]);
        }
      }
    }
    return out;
  }

  /** The light of a box; {@code out} is written. */
  public void light(Picture dark, Picture room, int left, int top, Picture out) {
    float[] light = new float[3];
    float[] work = new float[3];
    for (int y = 0; y < out.height(); y++) {
      for (int x = 0; x < out.width(); x++) {
        mixed(dark, room, (y + top) * dark.width() + x + left, light, work);
        int k = y * out.width() + x;
        out.r()[k] = light[0];
        out.g()[k] = light[1];
        out.b()[k] = light[2];
      }
    }
  }

  /**
   * Light at the darker frame's exposure: of the anchor frame, which is cleaner, as far as it is
   * not burnt; else of the darker one.
   */
  private void mixed(Picture dark, Picture room, int i, float[] out, float[] work) {
    float clean = Math.min(1, Math.max(0, (SURE - room.mostAt(i)) / (SURE - CLEAN)));
    if (clean < 1) {
      relight.light(dark, i, out);
    }
    if (clean > 0) {
      relight.light(room, i, work);
      for (int c = 0; c < 3; c++) {
        out[c] += (work[c] / gain - out[c]) * clean;
      }
    }
  }
}
