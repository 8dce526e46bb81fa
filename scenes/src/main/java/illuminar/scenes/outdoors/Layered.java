package illuminar.scenes.outdoors;

import static illuminar.scenes.material.Noise.fractal;
import static illuminar.scenes.material.Noise.hash;
import static illuminar.scenes.material.Noise.mix;
import static illuminar.scenes.material.Noise.step;
import static illuminar.scenes.material.Noise.value;

import java.util.Comparator;
import java.util.List;

/**
 * A world of things that stand upright at distances all round, before a sky and on a lawn: hedges,
 * trees, houses, fences, hills. Radiance in kcd/m².
 *
 * @param layers what stands there
 * @param ground height of the lawn against the room's floor, metres
 * @param lit light of the sun and sky on what faces the camera, as radiance of a white surface
 * @param haze share of light lost a metre
 */
public record Layered(List<Layer> layers, PlainSky sky, float ground, float lit, float haze)
    implements Outdoors {

  public Layered {
    layers = layers.stream().sorted(Comparator.comparing(Layer::far)).toList();
  }

  /** What can stand there. */
  public enum Kind {
    HEDGE,
    TREES,
    HOUSES,
    FENCE,
    HILLS
  }

  /**
   * One ring of things.
   *
   * @param far metres from the camera
   * @param high metres
   */
  public record Layer(Kind kind, float far, float high, int seed) {
    /** Reflectance at a place of the ring, or false where one sees past. */
    boolean at(float u, float y, float[] out) {
      return switch (kind) {
        case HEDGE -> hedge(u, y, out);
        case TREES -> trees(u, y, out);
        case HOUSES -> houses(u, y, out);
        case FENCE -> fence(u, y, out);
        case HILLS -> hills(u, y, out);
      };
    }

    private boolean hedge(float u, float y, float[] out) {
      float top =
          high * (0.93f + 0.1f * fractal(u * 1.1f, seed, 0, 3)) + 0.12f * value(u * 9, y, 2);
      if (y > top) {
        return false;
      }
      float t = fractal(u * 11, y * 11, seed, 4);
      return set(out, 0.045f, 0.085f, 0.025f, 0.3f + 2.2f * t * t);
    }

    /** Crowns with ragged leaves and gaps over trunks. */
    private boolean trees(float u, float y, float[] out) {
      float apart = high * 0.8f;
      int cell = (int) Math.floor(u / apart);
      for (int c = cell - 1; c <= cell + 1; c++) {
        float middle = (c + 0.2f + 0.6f * hash(c, seed, 1)) * apart;
        float tall = high * (0.65f + 0.35f * hash(c, seed, 2));
        float wide = tall * (0.26f + 0.14f * hash(c, seed, 3));
        float du = (u - middle) / wide;
        float dy = (y - tall * 0.62f) / (tall * 0.38f);
        float rag = fractal(u * 2.3f, y * 2.3f, seed + c, 4);
        if (du * du + dy * dy < 0.55f + 0.9f * rag && value(u * 14, y * 14, seed) > 0.22f) {
          float t = fractal(u * 6, y * 6, seed + 5, 4);
          float sunny = 0.55f + 0.6f * step(-0.8f, 0.9f, dy + 0.4f * du);
          return set(out, 0.06f, 0.10f, 0.022f, sunny * (0.35f + 1.5f * t));
        }
        float trunk = 0.03f * tall;
        if (y < tall * 0.5f && Math.abs(u - middle) < trunk * (1.2f - y / tall)) {
          return set(out, 0.10f, 0.08f, 0.06f, 0.5f + fractal(u * 20, y * 5, seed, 2));
        }
      }
      return false;
    }

    private boolean houses(float u, float y, float[] out) {
      float apart = high * 1.9f;
      int cell = (int) Math.floor(u / apart);
      float in = u / apart - cell;
      float wide = 0.45f + 0.35f * hash(cell, seed, 1);
      float eaves = high * (0.55f + 0.1f * hash(cell, seed, 2));
      float across = Math.abs(in - 0.5f) * 2;
      if (across > wide) {
        return false;
      }
      if (y > eaves) {
        float roof = eaves + (high - eaves) * (1 - across / wide) * 1.2f;
        return y < Math.min(high, roof)
            && set(out, 0.14f, 0.075f, 0.055f, 0.8f + 0.4f * value(u * 4, y * 5, seed));
      }
      float wu = (in * apart / 2.1f) % 1;
      float wy = (y / 2.7f) % 1;
      if (wu > 0.3f && wu < 0.7f && wy > 0.33f && wy < 0.8f) {
        boolean frame = wu < 0.34f || wu > 0.66f || Math.abs(wy - 0.56f) < 0.02f;
        return frame ? set(out, 0.7f, 0.7f, 0.68f, 1) : set(out, 0.05f, 0.06f, 0.075f, 1);
      }
      float tone = 0.85f + 0.2f * fractal(u * 2, y * 2, seed, 3);
      float warm = hash(cell, seed, 4);
      return set(out, mix(0.6f, 0.32f, warm), mix(0.57f, 0.15f, warm), mix(0.5f, 0.1f, warm), tone);
    }

    private boolean fence(float u, float y, float[] out) {
      if (y > high || (u / 0.15f) % 1 > 0.94f) {
        return false;
      }
      int board = (int) Math.floor(u / 0.15f);
      return set(out, 0.23f, 0.16f, 0.10f, 0.7f + 0.5f * hash(board, seed, 1));
    }

    private boolean hills(float u, float y, float[] out) {
      float top = high * fractal(u / far * 3, seed, 1, 4);
      if (y > top) {
        return false;
      }
      float t = fractal(u / far * 40, y / far * 90, seed, 3);
      return set(out, 0.09f, 0.11f, 0.06f, 0.6f + 0.8f * t);
    }

    private static boolean set(float[] out, float r, float g, float b, float by) {
      out[0] = r * by;
      out[1] = g * by;
      out[2] = b * by;
      return true;
    }
  }

  @Override
  public float[] clear(float x, float y, float z, float dx, float dy, float dz) {
    float flat = (float) Math.hypot(dx, dz);
    float slope = dy / Math.max(1e-4f, flat);
    // far enough round that no ring begins anew in sight
    float round = (float) Math.atan2(dx, -dz) + 20;
    float down = slope < 0 ? (y - ground) / -slope : Float.MAX_VALUE;
    float[] c = new float[4];
    for (Layer l : layers) {
      if (down < l.far) {
        break;
      }
      if (l.at(round * l.far, y + slope * l.far - ground, c)) {
        return shown(c, l.far);
      }
    }
    if (slope < 0) {
      float gx = x + dx / flat * down;
      float gz = z + dz / flat * down;
      float t = 0.6f * fractal(gx * 0.5f, 1, gz * 0.5f, 3) + 0.4f * value(gx * 24, 2, gz * 24);
      c[0] = 0.07f * (0.6f + 0.8f * t);
      c[1] = 0.115f * (0.6f + 0.8f * t);
      c[2] = 0.03f * (0.6f + 0.8f * t);
      return shown(c, Math.min(2000, down));
    }
    return sky.clear(x, y, z, dx, dy, dz);
  }

  private float[] shown(float[] c, float far) {
    c[0] *= lit;
    c[1] *= lit;
    c[2] *= lit;
    c[3] = (float) Math.exp(-haze * far);
    return c;
  }

  @Override
  public float[] broad(float dx, float dy, float dz) {
    float flat = (float) Math.hypot(dx, dz);
    float slope = dy / Math.max(1e-4f, flat);
    float top = 0;
    for (Layer l : layers) {
      top = Math.max(top, 0.6f * (l.high + ground - 1.5f) / l.far);
    }
    if (slope > top) {
      return sky.broad(dx, dy, dz);
    }
    return new float[] {0.06f * lit, 0.085f * lit, 0.03f * lit};
  }

  @Override
  public float[] air() {
    return sky.air();
  }
}
