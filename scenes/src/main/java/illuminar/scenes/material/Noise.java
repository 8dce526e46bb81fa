package illuminar.scenes.material;

/** Repeatable lattice noise for procedural textures. Values in [0, 1]. */
public final class Noise {
  private Noise() {}

  /** A well-mixed value of a lattice point. */
  public static float hash(int x, int y, int z) {
    int h = x * 374761393 + y * 668265263 + z * 1274126177;
    h = (h ^ (h >>> 13)) * 1103515245;
    h ^= h >>> 16;
    h *= 0x7feb352d;
    h ^= h >>> 15;
    return (h >>> 8) / (float) (1 << 24);
  }

  /** Smooth value noise. */
  public static float value(float x, float y, float z) {
    int ix = (int) Math.floor(x);
    int iy = (int) Math.floor(y);
    int iz = (int) Math.floor(z);
    float fx = ease(x - ix);
    float fy = ease(y - iy);
    float fz = ease(z - iz);
    float c00 = mix(hash(ix, iy, iz), hash(ix + 1, iy, iz), fx);
    float c10 = mix(hash(ix, iy + 1, iz), hash(ix + 1, iy + 1, iz), fx);
    float c01 = mix(hash(ix, iy, iz + 1), hash(ix + 1, iy, iz + 1), fx);
    float c11 = mix(hash(ix, iy + 1, iz + 1), hash(ix + 1, iy + 1, iz + 1), fx);
    return mix(mix(c00, c10, fy), mix(c01, c11, fy), fz);
  }

  /** Sum of {@code octaves} noises, each twice as fine and half as strong. */
  public static float fractal(float x, float y, float z, int octaves) {
    float sum = 0;
    float weight = 0.5f;
    float total = 0;
    float px = x;
    float py = y;
    float pz = z;
    for (int i = 0; i < octaves; i++) {
      sum += weight * value(px, py, pz);
      total += weight;
      weight *= 0.5f;
      px = px * 2.03f + 17.1f;
      py = py * 2.03f + 5.7f;
      pz = pz * 2.03f + 9.3f;
    }
    return sum / total;
  }

  public static float mix(float a, float b, float t) {
    return a + (b - a) * t;
  }

  /** 0 below {@code from}, 1 above {@code to}, smooth between. */
  public static float step(float from, float to, float x) {
    float t = Math.max(0, Math.min(1, (x - from) / (to - from)));
    return t * t * (3 - 2 * t);
  }

  private static float ease(float t) {
    return t * t * (3 - 2 * t);
  }
}
