package illuminar.core.mend;

import illuminar.core.filter.Box;
import illuminar.core.filter.Nearby;
import illuminar.core.picture.Plane;

/**
 * By what places of a window are compared: their tones, with some of the brightness round about
 * taken off, and how lively their surface is. Holes are left out of both.
 */
final class Looks {
  /** Share of the brightness round about that may differ, since pieces are made to meet. */
  private static final float FREE = 0.2f;

  /** Pixels about one over which it is told how lively a surface is. */
  private static final int LIVELY = 3;

  /** Stops from pixel to pixel beyond which nothing is livelier: one edge is no texture. */
  private static final float LIVELIEST = 0.15f;

  private final Window window;
  private final float[][] tones;
  private final float[] lively;
  private final float[] leastLively;

  /**
   * @param thick pixels across the hole that is mended
   * @param about pixels over which brightness is taken off
   */
  Looks(Window window, int thick, int about) {
    this.window = window;
    tones = compared(about);
    lively = masked(liveliness(), LIVELY);
    leastLively = leastNear(lively, thick + LIVELY);
  }

  /** Red, green, blue; not to be modified. */
  float[][] tones() {
    return tones;
  }

  /** How far two pixels are apart, stops. */
  float apart(int a, int b) {
    float d = 0;
    for (float[] t : tones) {
      d += Math.abs(t[a] - t[b]);
    }
    return d / 3;
  }

  /** How much smoother a source is than all that lies about a pixel, stops. */
  float smoother(int source, int pixel) {
    return Math.max(0, leastLively[pixel] - lively[source]);
  }

  /** Tones with some of the brightness round about taken off; colours stay. */
  private float[][] compared(int about) {
    float[][] out = new float[3][window.hole().length];
    float[] bright = new float[window.hole().length];
    for (int i = 0; i < bright.length; i++) {
      for (int c = 0; c < 3; c++) {
        out[c][i] = window.tones()[c][i];
        bright[i] += out[c][i] / 3;
      }
    }
    float[] mean = masked(bright, about);
    for (int i = 0; i < mean.length; i++) {
      for (int c = 0; c < 3; c++) {
        out[c][i] -= FREE * mean[i];
      }
    }
    return out;
  }

  /** Means round about of what lies in no hole; 0 where nothing does. */
  private float[] masked(float[] values, int about) {
    Plane known = Plane.of(window.width(), window.height());
    Plane sum = Plane.of(window.width(), window.height());
    for (int i = 0; i < values.length; i++) {
      known.data()[i] = window.hole()[i] ? 0 : 1;
      sum.data()[i] = known.data()[i] * values[i];
    }
    float[] share = Box.mean(known, about).data();
    float[] out = Box.mean(sum, about).data();
    for (int i = 0; i < out.length; i++) {
      out[i] = share[i] > 1e-6f ? out[i] / share[i] : 0;
    }
    return out;
  }

  /** The least round about of what lies in no hole. */
  private float[] leastNear(float[] values, int about) {
    Plane known = Plane.of(window.width(), window.height());
    for (int i = 0; i < values.length; i++) {
      known.data()[i] = window.hole()[i] ? Float.MAX_VALUE : values[i];
    }
    float[] out = Nearby.least(known, about).data();
    for (int i = 0; i < out.length; i++) {
      out[i] = out[i] == Float.MAX_VALUE ? 0 : out[i];
    }
    return out;
  }

  /** How much tones change from pixel to pixel, stops. */
  private float[] liveliness() {
    int w = window.width();
    float[] out = new float[w * window.height()];
    for (int i = 0; i < out.length; i++) {
      for (int next : new int[] {i % w < w - 1 ? i + 1 : i, i + w < out.length ? i + w : i}) {
        if (!window.hole()[next]) {
          out[i] += Math.min(LIVELIEST, apart(i, next));
        }
      }
    }
    return out;
  }
}
