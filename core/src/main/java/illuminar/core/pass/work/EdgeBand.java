package illuminar.core.pass.work;

import illuminar.core.picture.Picture;
import java.util.Arrays;

/**
 * The pixels along a region's sharp edge, mixtures of both sides that no mask alone can part, and
 * what either side is there without the other: continued from clean pixels near by.
 *
 * @param in which pixels belong to it, by index in the picture
 * @param box left, top, right and bottom of where it was looked for
 */
public record EdgeBand(boolean[] in, float[] region, int width, int height, int[] box) {
  /** Shares of a region that differ by less are no edge. */
  private static final float STEP = 0.02f;

  /** How much a pixel of the band tells about a side, beside a clean one. */
  private static final float MIXED = 0.002f;

  /** Weight that a side needs to be told. */
  private static final float LEAST = 1e-4f;

  /**
   * Finds the pixels in whose neighbourhood of three the region differs clearly.
   *
   * @param region share of each pixel; kept, not modified
   */
  public static EdgeBand of(float[] region, int w, int h, int[] box) {
    boolean[] band = new boolean[w * h];
    float[] lo = new float[w];
    float[] hi = new float[w];
    for (int y = box[1]; y < box[3]; y++) {
      int up = Math.max(0, y - 1) * w;
      int mid = y * w;
      int down = Math.min(h - 1, y + 1) * w;
      for (int x = Math.max(0, box[0] - 1); x < Math.min(w, box[2] + 1); x++) {
        float a = region[up + x];
        float b = region[mid + x];
        float c = region[down + x];
        float least = a < b ? a : b;
        float most = a < b ? b : a;
        lo[x] = c < least ? c : least;
        hi[x] = c > most ? c : most;
      }
      for (int x = box[0]; x < box[2]; x++) {
        int l = Math.max(0, x - 1);
        int r = Math.min(w - 1, x + 1);
        float most = Math.max(hi[x], Math.max(hi[l], hi[r]));
        if (most > STEP) {
          band[mid + x] = most - Math.min(lo[x], Math.min(lo[l], lo[r])) > STEP;
        }
      }
    }
    return new EdgeBand(band, region, w, h, box);
  }

  /** Whether there is no edge. */
  public boolean nowhere() {
    for (boolean edge : in) {
      if (edge) {
        return false;
      }
    }
    return true;
  }

  /** The band widened by so many pixels outside the region. */
  public EdgeBand outwards(int pixels) {
    EdgeBand out = this;
    for (int k = 0; k < pixels; k++) {
      out = out.outwards();
    }
    return out;
  }

  private EdgeBand outwards() {
    boolean[] out = in.clone();
    for (int y = box[1] + 1; y < box[3] - 1; y++) {
      for (int i = y * width + box[0] + 1; i < y * width + box[2] - 1; i++) {
        if (region[i] < STEP) {
          out[i] |= in[i - 1] || in[i + 1] || in[i - width] || in[i + width];
        }
      }
    }
    return new EdgeBand(out, region, width, height, box);
  }

  /**
   * Colours of both sides for the pixels of the band, from clean pixels near them. Where there is
   * nothing clean near, the pixel's own colour.
   *
   * @param outside the picture outside the region
   * @param inside the picture inside it, the same size
   * @param radius pixels within which clean ones are looked for
   * @return three planes of the outside, three of the inside; anything beyond the band
   */
  public float[][] clean(Picture outside, Picture inside, int radius) {
    float[][] out = new float[6][width * height];
    float reach = 1f / (radius * radius + 1);
    float[] sum = new float[8];
    for (int y = box[1]; y < box[3]; y++) {
      for (int x = box[0]; x < box[2]; x++) {
        int i = y * width + x;
        if (!in[i]) {
          continue;
        }
        Arrays.fill(sum, 0);
        for (int v = Math.max(0, y - radius); v <= Math.min(height - 1, y + radius); v++) {
          for (int u = Math.max(0, x - radius); u <= Math.min(width - 1, x + radius); u++) {
            float near = 1 - ((u - x) * (u - x) + (v - y) * (v - y)) * reach;
            if (near > 0) {
              gather(sum, outside, inside, near * near, v * width + u);
            }
          }
        }
        for (int c = 0; c < 3; c++) {
          out[c][i] = sum[6] > LEAST ? sum[c] / sum[6] : outside.channel(c)[i];
          out[3 + c][i] = sum[7] > LEAST ? sum[3 + c] / sum[7] : inside.channel(c)[i];
        }
      }
    }
    return out;
  }

  private void gather(float[] sum, Picture outside, Picture inside, float near, int k) {
    float trust = near * (in[k] ? MIXED : 1);
    float m = region[k];
    float room = trust * (1 - m) * (1 - m) * (1 - m) * (1 - m);
    float pane = trust * m * m * m * m;
    for (int c = 0; c < 3; c++) {
      sum[c] += room * outside.channel(c)[k];
      sum[3 + c] += pane * inside.channel(c)[k];
    }
    sum[6] += room;
    sum[7] += pane;
  }
}
