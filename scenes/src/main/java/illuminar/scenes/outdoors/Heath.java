package illuminar.scenes.outdoors;

import static illuminar.scenes.material.Noise.fractal;
import static illuminar.scenes.material.Noise.hash;
import static illuminar.scenes.material.Noise.mix;
import static illuminar.scenes.material.Noise.step;
import static illuminar.scenes.material.Noise.value;

/**
 * A heath under a summer sky, seen towards −z: heather and gorse with a sandy path and a dry-stone
 * wall, then hills growing pale with distance. Haze follows Koschmieder's law.
 */
public final class Heath implements Outdoors {
  private static final float[] SUN = unit(0.55f, 0.72f, 0.42f);
  private static final float[] AIR = {3.9f, 4.7f, 5.9f};

  private final float ground;
  private final float haze;

  /**
   * @param ground height of the heath near the house, metres
   * @param haze extinction per metre; 0.0002 is a clear day
   */
  public Heath(float ground, float haze) {
    this.ground = ground;
    this.haze = haze;
  }

  @Override
  public float[] broad(float dx, float dy, float dz) {
    if (dy < -0.02f) {
      return new float[] {1.45f, 1.25f, 0.75f};
    }
    return clearSky(dy);
  }

  @Override
  public float[] air() {
    return AIR;
  }

  @Override
  public float[] clear(float x, float y, float z, float dx, float dy, float dz) {
    float flat = (float) Math.sqrt(dx * dx + dz * dz);
    if (flat < 1e-4f) {
      return air(sky(dx, dy, dz), 1);
    }
    return column(x, y, z, dx / flat, dz / flat).clear(dy / flat);
  }

  private static float[] air(float[] c, float through) {
    return new float[] {c[0], c[1], c[2], through};
  }

  @Override
  public Column column(float x, float y, float z, float hx, float hz) {
    return new Land(x, y, z, hx, hz);
  }

  /**
   * The land along one direction: how high it rises before the eye, the farther the more coarsely.
   */
  private final class Land implements Column {
    private static final int MOST = 1300;
    private final float x;
    private final float y;
    private final float z;
    private final float hx;
    private final float hz;
    private final float[] far = new float[MOST];
    private final float[] risen = new float[MOST];
    private int count;

    Land(float x, float y, float z, float hx, float hz) {
      this.x = x;
      this.y = y;
      this.z = z;
      this.hx = hx;
      this.hz = hz;
      float most = -Float.MAX_VALUE;
      for (float d = 2; d < 14000 && count < MOST; d += Math.max(0.02f, 0.008f * d)) {
        most = Math.max(most, slope(d));
        far[count] = d;
        risen[count++] = most;
      }
    }

    private float slope(float d) {
      return (height(x + hx * d, z + hz * d, d) - y) / d;
    }

    @Override
    public float[] clear(float slope) {
      float n = 1 / (float) Math.sqrt(1 + slope * slope);
      int k = first(slope);
      if (k == count) {
        return air(sky(hx * n, slope * n, hz * n), 1);
      }
      float before = k == 0 ? 1 : far[k - 1];
      float d = far[k];
      for (int i = 0; i < 6; i++) {
        float mid = (before + d) / 2;
        if (slope(mid) < slope) {
          before = mid;
        } else {
          d = mid;
        }
      }
      // the sky's own colour holds its air already
      return air(shade(x + hx * d, z + hz * d, d), (float) Math.exp(-haze * d / n));
    }

    /** The first sample where the land has risen as high as a ray. */
    private int first(float slope) {
      int lo = 0;
      int hi = count;
      while (lo < hi) {
        int mid = (lo + hi) / 2;
        if (risen[mid] >= slope) {
          hi = mid;
        } else {
          lo = mid + 1;
        }
      }
      return lo;
    }
  }

  /** Height of the land at a place, finer the nearer it is. */
  private float height(float x, float z, float distance) {
    float d = -z;
    float h =
        ground
            - 0.010f * Math.min(d, 160)
            + 3.4f * (fractal(x * 0.012f, 0, z * 0.012f, 3) - 0.5f) * step(8, 90, d);
    h +=
        d < 110
            ? 0
            : step(110, 420, d) * 26 * (fractal(x * 0.0052f + 2.2f, 8, z * 0.0052f, 4) - 0.30f);
    h +=
        d < 500
            ? 0
            : step(500, 1500, d) * 120 * (fractal(x * 0.0014f + 7.7f, 5, z * 0.0014f, 4) - 0.28f);
    h +=
        d < 1600
            ? 0
            : step(1600, 4200, d)
                * 430
                * (fractal(x * 0.00046f + 5.3f, 3, z * 0.00046f, 5) - 0.22f);
    if (distance < 700) {
      h += bush(x, z, distance) + wall(x, z, distance);
    }
    if (distance < 220) {
      h += 0.22f * fractal(x * 2.3f, 2, z * 2.3f, 4) * (1 - path(x, z));
    }
    return h;
  }

  /** A dry-stone wall that crosses the heath, of rounded stones. */
  private float wall(float x, float z, float distance) {
    if (z > -28 + 0.16f * x || z < -52 + 0.16f * x) {
      return 0;
    }
    float line = z + 38 - 0.16f * x + 5 * value(x * 0.03f, 1, 0);
    float half = 0.30f + (distance < 150 ? 0.06f * value(x * 4, 2, 0) : 0);
    float across = Math.abs(line) / half;
    if (across > 1) {
      return 0;
    }
    float broken = step(0.25f, 0.45f, value(x * 0.045f + 3.1f, 7, 0));
    float top = 0.62f + 0.10f * value(x * 1.9f, 9, 0) + 0.05f * value(x * 7, 4, 1);
    return broken * top * (float) Math.sqrt(Math.max(0, 1 - across * across * across * across));
  }

  private float path(float x, float z) {
    float centre = -1.2f + 3.2f * (float) Math.sin(z * 0.055f) - z * 0.05f;
    float half = 0.75f + 0.25f * value(x, 4, z * 0.6f);
    return 1 - step(half * 0.8f, half * 1.35f, Math.abs(x - centre));
  }

  /** Rounded gorse bushes, two sizes, thicker in patches. */
  private float bush(float x, float z, float distance) {
    return Math.max(bushes(x, z, distance, 6.5f, 1.5f, 0), bushes(x, z, distance, 2.4f, 0.6f, 40));
  }

  private float bushes(float x, float z, float distance, float cell, float most, int seed) {
    float best = 0;
    int ix = (int) Math.floor(x / cell);
    int iz = (int) Math.floor(z / cell);
    for (int i = -1; i <= 1; i++) {
      for (int k = -1; k <= 1; k++) {
        int cx = ix + i;
        int cz = iz + k;
        float bx = (cx + hash(cx, 2 + seed, cz)) * cell;
        float bz = (cz + hash(cx, 3 + seed, cz)) * cell;
        float size = most * (0.45f + 0.55f * hash(cx, 5 + seed, cz));
        float d2 = ((x - bx) * (x - bx) + (z - bz) * (z - bz)) / (size * size);
        if (d2 >= 1.4f || bz > -11) {
          continue;
        }
        float chance = hash(cx, 1 + seed, cz);
        if (chance > 0.85f
            || chance > 0.10f + 0.75f * step(0.44f, 0.62f, fractal(bx * 0.03f, 21, bz * 0.03f, 3))
            || path(bx, bz) > 0.05f) {
          continue;
        }
        float lump = distance < 320 ? 0.55f + 0.9f * fractal(x * 2.6f, 6 + seed, z * 2.6f, 3) : 1;
        best = Math.max(best, size * 0.8f * (float) Math.sqrt(Math.max(0, 1.15f * lump - d2)));
      }
    }
    return best;
  }

  private float[] shade(float x, float z, float t) {
    float e = 0.02f + 0.002f * t;
    float h = height(x, z, t);
    float[] n = unit(h - height(x + e, z, t), e, h - height(x, z + e, t));
    float direct = Math.max(0, n[0] * SUN[0] + n[1] * SUN[1] + n[2] * SUN[2]);
    float cloud = 0.35f + 0.65f * step(0.36f, 0.56f, fractal(x * 0.0022f, 4, z * 0.0022f, 3));
    if (t < 260) {
      direct *= shadow(x, h, z, t);
      cloud = 1;
    }
    float[] a = cover(x, z, t, h);
    float up = 0.35f + 0.65f * n[1];
    return new float[] {
      a[0] * (27.5f * direct * cloud + 3.6f * up),
      a[1] * (25.5f * direct * cloud + 4.3f * up),
      a[2] * (22.0f * direct * cloud + 5.6f * up),
    };
  }

  private float shadow(float x, float h, float z, float t) {
    float lit = 1;
    for (int i = 1; i <= 7; i++) {
      float d = 0.10f * i * i * (0.4f + 0.012f * t);
      float gap = h + 0.04f + SUN[1] * d - height(x + SUN[0] * d, z + SUN[2] * d, t);
      lit = Math.min(lit, 0.15f + step(-0.06f, 0.10f, gap));
    }
    return Math.min(1, lit);
  }

  /** Reflectance of what grows or lies at a place. */
  private float[] cover(float x, float z, float t, float h) {
    float patch = fractal(x * 0.05f, 11, z * 0.05f, 4);
    float fine = t < 500 ? fractal(x * 3.1f, 12, z * 3.1f, 4) : 0.5f;
    float[] grass = {0.105f, 0.098f, 0.038f};
    float[] heather = {0.098f, 0.062f, 0.064f};
    float[] moss = {0.062f, 0.080f, 0.028f};
    float[] c = blend(grass, heather, step(0.47f, 0.60f, patch + 0.12f * (fine - 0.5f)));
    c = blend(c, moss, step(0.48f, 0.36f, patch));
    if (t < 350) {
      c = blend(c, new float[] {0.30f, 0.24f, 0.165f}, path(x, z) * (0.7f + 0.3f * fine));
    }
    if (t < 700 && bush(x, z, t) > 0.10f) {
      float sprig = value(x * 7.5f, 14, z * 7.5f);
      float bloom =
          step(0.62f, 0.80f, sprig) * step(0.45f, 0.65f, fractal(x * 0.21f, 16, z * 0.21f, 2));
      c = blend(new float[] {0.040f, 0.056f, 0.020f}, new float[] {0.075f, 0.095f, 0.030f}, fine);
      c = blend(c, new float[] {0.33f, 0.24f, 0.02f}, bloom * 0.75f);
    }
    if (t < 400 && wall(x, z, t) > 0.08f) {
      float stone =
          hash(
              (int) Math.floor(x * 2.7f + 9 * hash(0, (int) Math.floor(h * 6.5f), 2)),
              (int) Math.floor(h * 6.5f),
              3);
      float joint = fractal(x * 6, h * 9, z * 3, 2);
      float grey = (0.085f + 0.075f * stone) * (0.6f + 0.7f * joint);
      return new float[] {grey, grey * 0.98f, grey * 0.90f};
    }
    float tone = 0.55f + 0.9f * fine;
    if (t > 400) {
      float wood = step(0.50f, 0.60f, fractal(x * 0.006f, 17, z * 0.006f, 4));
      float field = 0.75f + 0.5f * fractal(x * 0.02f, 15, z * 0.02f, 4);
      c = blend(c, new float[] {0.070f, 0.088f, 0.042f}, step(400, 1200, t) * 0.6f);
      c = blend(c, new float[] {0.026f, 0.036f, 0.020f}, wood * 0.85f);
      tone *= field;
    }
    for (int k = 0; k < 3; k++) {
      c[k] *= tone;
    }
    return c;
  }

  private static float[] clearSky(float dy) {
    float up = (float) Math.pow(Math.max(0, dy), 0.55);
    return new float[] {mix(4.6f, 0.85f, up), mix(5.4f, 1.75f, up), mix(6.4f, 4.1f, up)};
  }

  private static float[] sky(float dx, float dy, float dz) {
    float[] c = clearSky(dy);
    float y = Math.max(0.035f, dy + 0.05f);
    float u = dx / y * 0.62f;
    float v = dz / y * 0.62f;
    float body = fractal(u + 3.1f, v + 1.7f, 0.5f, 6);
    float cover = step(0.50f, 0.66f, body) * step(0.0f, 0.06f, dy);
    float thick = step(0.54f, 0.80f, body);
    float lit = fractal(u + 3.25f, v + 1.78f, 0.62f, 5) - body;
    float white = 8.8f - 3.2f * thick + 7 * lit;
    float[] cloud = {white, white * 1.005f, white * 1.03f};
    return blend(c, cloud, cover * 0.94f);
  }

  private static float[] blend(float[] a, float[] b, float t) {
    return new float[] {mix(a[0], b[0], t), mix(a[1], b[1], t), mix(a[2], b[2], t)};
  }

  private static float[] unit(float x, float y, float z) {
    float s = 1 / (float) Math.sqrt(x * x + y * y + z * z);
    return new float[] {x * s, y * s, z * s};
  }
}
