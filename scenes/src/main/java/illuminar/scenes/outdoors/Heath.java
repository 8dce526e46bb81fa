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
  public float[] seen(float x, float y, float z, float dx, float dy, float dz) {
    float t = march(x, y, z, dx, dy, dz);
    if (t < 0) {
      return sky(dx, dy, dz);
    }
    float px = x + dx * t;
    float pz = z + dz * t;
    float[] c = shade(px, pz, t);
    float clear = (float) Math.exp(-haze * t);
    for (int k = 0; k < 3; k++) {
      c[k] = c[k] * clear + AIR[k] * (1 - clear);
    }
    return c;
  }

  private float march(float x, float y, float z, float dx, float dy, float dz) {
    if (dy > 0.25f) {
      return -1;
    }
    float t = 2;
    float last = t;
    for (int i = 0; i < 420 && t < 9000; i++) {
      float gap = y + dy * t - height(x + dx * t, z + dz * t, t);
      if (gap < 0) {
        for (int k = 0; k < 14; k++) {
          float mid = (last + t) / 2;
          if (y + dy * mid < height(x + dx * mid, z + dz * mid, mid)) {
            t = mid;
          } else {
            last = mid;
          }
        }
        return t;
      }
      last = t;
      t += Math.max(0.03f + 0.006f * t, Math.min(gap * 0.35f, 0.05f * t));
    }
    return -1;
  }

  /** Height of the land at a place, finer the nearer it is. */
  private float height(float x, float z, float distance) {
    float d = -z;
    float h = ground - 0.012f * d + 2.6f * (fractal(x * 0.012f, 0, z * 0.012f, 3) - 0.5f) * step(8, 90, d);
    float far = step(350, 2600, d);
    h += far * (300 * fractal(x * 0.00042f + 5.3f, 3, z * 0.00042f, 5) - 62);
    h += step(180, 700, d) * 16 * (fractal(x * 0.004f, 8, z * 0.004f, 4) - 0.42f);
    if (distance < 900) {
      h += bush(x, z, distance) + wall(x, z);
    }
    if (distance < 160) {
      h += 0.16f * fractal(x * 3.1f, 2, z * 3.1f, 3) * (1 - path(x, z));
    }
    return h;
  }

  private float wall(float x, float z) {
    float line = z + 46 + 6 * value(x * 0.03f, 1, 0);
    float top = 0.75f + 0.22f * value(x * 2.3f, 9, 0);
    return Math.abs(line) < 0.35f ? top : 0;
  }

  private float path(float x, float z) {
    float centre = -1.2f + 3.2f * (float) Math.sin(z * 0.055f) - z * 0.05f;
    float half = 0.75f + 0.25f * value(x, 4, z * 0.6f);
    return 1 - step(half * 0.8f, half * 1.35f, Math.abs(x - centre));
  }

  private float bush(float x, float z, float distance) {
    float best = 0;
    float cell = 5.5f;
    int ix = (int) Math.floor(x / cell);
    int iz = (int) Math.floor(z / cell);
    for (int i = -1; i <= 1; i++) {
      for (int k = -1; k <= 1; k++) {
        int cx = ix + i;
        int cz = iz + k;
        if (hash(cx, 1, cz) > 0.42f) {
          continue;
        }
        float bx = (cx + hash(cx, 2, cz)) * cell;
        float bz = (cz + hash(cx, 3, cz)) * cell;
        if (bz > -13 || path(bx, bz) > 0.05f) {
          continue;
        }
        float size = 0.5f + 1.3f * hash(cx, 5, cz);
        float d2 = ((x - bx) * (x - bx) + (z - bz) * (z - bz)) / (size * size);
        if (d2 < 1) {
          float rough = distance < 250 ? 0.72f + 0.56f * value(x * 4.2f, 6, z * 4.2f) : 1;
          best = Math.max(best, size * 0.85f * (float) Math.sqrt(1 - d2) * rough);
        }
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
    float patch = fractal(x * 0.09f, 11, z * 0.09f, 4);
    float fine = t < 400 ? fractal(x * 2.6f, 12, z * 2.6f, 4) : 0.5f;
    float[] c = blend(new float[] {0.115f, 0.105f, 0.035f}, new float[] {0.16f, 0.088f, 0.098f}, step(0.46f, 0.60f, patch));
    c = blend(c, new float[] {0.078f, 0.108f, 0.03f}, step(0.50f, 0.38f, patch));
    float sandy = t < 350 ? path(x, z) : 0;
    c = blend(c, new float[] {0.40f, 0.32f, 0.21f}, sandy * 0.9f);
    if (t < 900 && bush(x, z, t) > 0.12f) {
      float bloom = step(0.60f, 0.74f, value(x * 5.5f, 14, z * 5.5f)) * hash((int) Math.floor(x / 5.5f), 8, (int) Math.floor(z / 5.5f));
      c = blend(new float[] {0.045f, 0.075f, 0.022f}, new float[] {0.42f, 0.31f, 0.02f}, bloom * 0.8f);
    }
    if (t < 300 && wall(x, z) > 0) {
      float stone = hash((int) Math.floor(x * 3.1f), (int) Math.floor(h * 6), 3);
      float grey = 0.075f + 0.09f * stone;
      c = new float[] {grey, grey * 0.97f, grey * 0.88f};
    }
    float tone = 0.62f + 0.76f * fine;
    if (t > 500) {
      tone *= 0.75f + 0.5f * fractal(x * 0.012f, 15, z * 0.012f, 4);
      c = blend(c, new float[] {0.075f, 0.095f, 0.045f}, step(500, 1500, t) * 0.7f);
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
