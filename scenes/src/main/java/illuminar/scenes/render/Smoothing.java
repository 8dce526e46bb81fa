package illuminar.scenes.render;

import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * Takes render noise out of light, not out of texture: an edge-avoiding wavelet filter led by
 * normals and planes. Source: Dammertz, Sewtz, Hanika, Lensch, "Edge-avoiding À-Trous wavelet
 * transform for fast global illumination filtering", 2010.
 */
final class Smoothing {
  private static final float[] KERNEL = {1 / 16f, 4 / 16f, 6 / 16f, 4 / 16f, 1 / 16f};
  private static final int TAPS = 25;

  private Smoothing() {}

  /**
   * Smooths the light of all groups in place.
   *
   * @param tolerance how far two values may differ, as a share of their size, to be mixed; halves
   *     with each of the {@code levels} after the first two, which mix everything on one surface
   */
  static void smooth(LightField g, float[][][] light, int levels, float tolerance) {
    boolean[] thin = new boolean[g.width * g.height];
    IntStream.range(0, g.height)
        .parallel()
        .forEach(y -> new Row(g, light, light, 1, 0).thin(y, thin));
    for (float[][] of : light) {
      calm(g, of, thin);
    }
    float[][][] to = new float[light.length][3][g.width * g.height];
    for (int level = 0; level < levels; level++) {
      float[][][] from = light;
      float[][][] into = to;
      int reach = 1 << level;
      float tol = level < 2 ? 0 : tolerance / (1 << (level - 2));
      IntStream.range(0, g.height)
          .parallel()
          .forEach(y -> new Row(g, from, into, reach, tol).run(y));
      for (int k = 0; k < light.length; k++) {
        float[][] swap = light[k];
        light[k] = to[k];
        to[k] = swap;
      }
    }
  }

  /** Holds single sparks down to the brightest but one of their neighbours. */
  static void calm(LightField g, float[][] light) {
    boolean[] all = new boolean[g.width * g.height];
    Arrays.fill(all, true);
    calm(g, light, all);
  }

  /**
   * @param where only here; on broad surfaces smoothing does better, and keeps the sum
   */
  private static void calm(LightField g, float[][] light, boolean[] where) {
    for (float[] plane : light) {
      float[] from = plane.clone();
      IntStream.range(1, g.height - 1)
          .parallel()
          .forEach(
              y -> {
                for (int x = 1; x < g.width - 1; x++) {
                  int i = y * g.width + x;
                  if (!where[i]) {
                    continue;
                  }
                  float first = 0;
                  float second = 0;
                  for (int k = 0; k < 9; k++) {
                    float v = k == 4 ? 0 : from[i + (k / 3 - 1) * g.width + k % 3 - 1];
                    second = v > first ? first : Math.max(second, v);
                    first = Math.max(first, v);
                  }
                  plane[i] = Math.min(from[i], second);
                }
              });
    }
  }

  /** One row of one level; how alike two surfaces are is found once for all groups. */
  private static final class Row {
    private final LightField g;
    private final float[][][] from;
    private final float[][][] to;
    private final int reach;
    private final float tolerance;
    private final int[] at = new int[TAPS];
    private final float[] alike = new float[TAPS];

    Row(LightField g, float[][][] from, float[][][] to, int reach, float tolerance) {
      this.g = g;
      this.from = from;
      this.to = to;
      this.reach = reach;
      this.tolerance = tolerance;
    }

    void run(int y) {
      for (int x = 0; x < g.width; x++) {
        int i = y * g.width + x;
        int n = g.depth[i] == 0 ? 0 : surfaces(x, y, i);
        for (int k = 0; k < from.length; k++) {
          mix(from[k], to[k], i, n);
        }
      }
    }

    /** Notes which pixels have hardly any like them around, such as edges. */
    void thin(int y, boolean[] out) {
      for (int x = 0; x < g.width; x++) {
        int n = surfaces(x, y, y * g.width + x);
        float sum = 0;
        for (int k = 0; k < n; k++) {
          sum += alike[k];
        }
        out[y * g.width + x] = sum < 0.6f;
      }
    }

    private int surfaces(int x, int y, int i) {
      float[] nx = g.relief[0];
      float[] ny = g.relief[1];
      float[] nz = g.relief[2];
      float unit = 1 / (0.004f + 0.003f * g.depth[i]);
      int n = 0;
      for (int v = -2; v <= 2; v++) {
        int yy = y + v * reach;
        if (yy < 0 || yy >= g.height) {
          continue;
        }
        for (int u = -2; u <= 2; u++) {
          int xx = x + u * reach;
          int k = yy * g.width + xx;
          if (xx < 0 || xx >= g.width || g.depth[k] == 0) {
            continue;
          }
          float cos = nx[i] * nx[k] + ny[i] * ny[k] + nz[i] * nz[k];
          if (cos < 0.75f) {
            continue;
          }
          float c2 = cos * cos;
          float c8 = c2 * c2 * c2 * c2;
          float dd = off(i, k) * unit;
          at[n] = k;
          alike[n++] = KERNEL[u + 2] * KERNEL[v + 2] * c8 * c8 / (1 + dd * dd * dd * dd);
        }
      }
      return n;
    }

    /** How far a pixel's place lies off the plane of another's surface, metres. */
    private float off(int i, int k) {
      return g.normal[0][i] * (g.place[0][k] - g.place[0][i])
          + g.normal[1][i] * (g.place[1][k] - g.place[1][i])
          + g.normal[2][i] * (g.place[2][k] - g.place[2][i]);
    }

    private void mix(float[][] in, float[][] out, int i, int n) {
      float[] red = in[0];
      float[] green = in[1];
      float[] blue = in[2];
      float r = 0;
      float gr = 0;
      float b = 0;
      float total = 0;
      float centre = red[i] + green[i] + blue[i];
      for (int t = 0; t < n; t++) {
        int k = at[t];
        float w = alike[t];
        if (tolerance > 0) {
          float other = red[k] + green[k] + blue[k];
          float dl = (centre - other) / (tolerance * 0.5f * (centre + other) + 1e-5f);
          w /= 1 + dl * dl;
        }
        r += w * red[k];
        gr += w * green[k];
        b += w * blue[k];
        total += w;
      }
      boolean alone = total <= 0;
      out[0][i] = alone ? red[i] : r / total;
      out[1][i] = alone ? green[i] : gr / total;
      out[2][i] = alone ? blue[i] : b / total;
    }
  }
}
