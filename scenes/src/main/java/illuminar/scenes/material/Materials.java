package illuminar.scenes.material;

import static illuminar.scenes.material.Noise.fractal;
import static illuminar.scenes.material.Noise.hash;
import static illuminar.scenes.material.Noise.mix;
import static illuminar.scenes.material.Noise.step;
import static illuminar.scenes.material.Noise.value;

/** Procedural surfaces. Colours are linear sRGB reflectances. */
public final class Materials {
  private Materials() {}

  /** Smooth paint. */
  public static Material paint(double r, double g, double b, double gloss, double rough) {
    return p -> {
      p.colour(r, g, b, 0.985 + 0.03 * value(p.x * 9, p.y * 9, p.z * 9));
      p.gloss = (float) gloss;
      p.rough = (float) rough;
    };
  }

  /** Painted plaster: broad unevenness and fine roller texture. */
  public static Material plaster(double r, double g, double b) {
    return p -> {
      if (!p.detail) {
        p.colour(r, g, b, 1);
        return;
      }
      float broad = fractal(p.x * 1.3f, p.y * 1.3f, p.z * 1.3f, 3);
      float fine = value(p.x * 260, p.y * 260, p.z * 260);
      p.colour(r, g, b, 0.965 + 0.05 * broad + 0.02 * fine);
      float e = 0.004f;
      float s = 0.05f;
      float h = fractal(p.x * 40, p.y * 40, p.z * 40, 2);
      p.bump(
          s * (fractal((p.x + e) * 40, p.y * 40, p.z * 40, 2) - h) * 4,
          s * (fractal(p.x * 40, (p.y + e) * 40, p.z * 40, 2) - h) * 4,
          s * (fractal(p.x * 40, p.y * 40, (p.z + e) * 40, 2) - h) * 4);
    };
  }

  /** Varnished or oiled wood with grain along an axis (0 x, 1 y, 2 z). */
  public static Material wood(double r, double g, double b, int along, double gloss, double rough) {
    return p -> grain(p, p.x, p.y, p.z, along, r, g, b, gloss, rough);
  }

  private static void grain(
      Material.Point p,
      float x,
      float y,
      float z,
      int along,
      double r,
      double g,
      double b,
      double gloss,
      double rough) {
    if (!p.detail) {
      p.colour(r, g, b, 0.97);
      return;
    }
    float a = along == 0 ? x : along == 1 ? y : z;
    float u = along == 0 ? y : x;
    float v = along == 2 ? y : z;
    float warp = fractal(u * 6, v * 6, a * 0.8f, 3);
    float rings = (float) Math.sin((u * 1.0f + v * 1.3f + warp * 0.35f) * 95);
    float fibre = fractal(u * 240, v * 240, a * 5, 2);
    float tone = 0.80f + 0.14f * rings * warp + 0.34f * (fibre - 0.5f) + 0.24f * (warp - 0.5f);
    p.colour(r, g * (0.97 + 0.06 * warp), b * (0.94 + 0.12 * warp), tone + 0.15);
    p.gloss = (float) gloss;
    p.rough = (float) (rough * (0.85 + 0.4 * fibre));
  }

  /** Floor boards along z: each its own piece, with gaps and bevelled edges. */
  public static Material boards() {
    return p -> {
      float width = 0.145f;
      int board = (int) Math.floor(p.x / width);
      float within = p.x / width - board;
      float shift = hash(board, 3, 1) * 2.3f;
      float length = 1.9f;
      int piece = (int) Math.floor((p.z + shift) / length);
      float end = (p.z + shift) / length - piece;
      float tone = 0.80f + 0.36f * hash(board, piece, 7);
      float ox = 11 * hash(board, piece, 5);
      grain(p, p.x + ox, p.y, p.z + ox * 3, 2, 0.43 * tone, 0.255 * tone, 0.125 * tone, 0.04, 0.22);
      float edge = Math.min(Math.min(within, 1 - within) * width, Math.min(end, 1 - end) * length);
      if (edge < 0.0016f) {
        float dark = 0.18f + 0.82f * step(0.0004f, 0.0016f, edge);
        p.r *= dark;
        p.g *= dark;
        p.b *= dark;
        p.gloss *= dark;
      }
      if (p.detail)
        p.bump(
            0.02f * (value(p.x * 14, 0, p.z * 3) - 0.5f),
            0,
            0.02f * (value(p.x * 9, 4, p.z * 5) - 0.5f));
    };
  }

  /** Brushed or cast metal. */
  public static Material metal(double r, double g, double b, double rough) {
    return p -> {
      float dull = fractal(p.x * 24, p.y * 24, p.z * 24, 3);
      p.colour(r, g, b, 0.30);
      p.gloss = 0.85f;
      p.rough = (float) (rough * (0.6 + 0.8 * dull));
      p.metal = true;
    };
  }

  /** A weather chart printed on paper in the plane x = const or z = const. */
  public static Material chart(int seed, boolean sideWall) {
    return p -> {
      float u = sideWall ? p.z : p.x;
      float v = p.y;
      float paper = 0.93f + 0.05f * fractal(u * 40, v * 40, seed, 2);
      double[] c = {0.80, 0.765, 0.66};
      float pressure = fractal(u * 3.1f + seed * 3.7f, v * 3.1f, seed, 3) * 15;
      float line = Math.abs(pressure - Math.round(pressure));
      float land = fractal(u * 4.2f + seed, v * 4.2f + 7, seed + 3, 5);
      if (land > 0.53f) {
        c = new double[] {0.60, 0.63, 0.47};
      }
      if (Math.abs(land - 0.53f) < 0.006f) {
        c = new double[] {0.20, 0.23, 0.22};
      }
      if (line < 0.06f) {
        c = new double[] {0.13, 0.19, 0.33};
      }
      float gu = u * 9 - Math.round(u * 9);
      float gv = v * 9 - Math.round(v * 9);
      if (Math.abs(gu) < 0.012f || Math.abs(gv) < 0.012f) {
        c = new double[] {c[0] * 0.72, c[1] * 0.72, c[2] * 0.75};
      }
      p.colour(c[0], c[1], c[2], paper);
    };
  }

  /** A book's binding with printed bands on its back; {@code top} is where the pages show. */
  public static Material book(double r, double g, double b, int seed, double y0, double y1) {
    return p -> {
      float v = (float) ((p.y - y0) / (y1 - y0));
      float worn = 0.8f + 0.4f * fractal(p.x * 60, p.y * 60, p.z * 60 + seed, 2);
      p.colour(r, g, b, worn);
      p.gloss = 0.03f;
      p.rough = 0.35f;
      float gold = hash(seed, 4, 2);
      if (gold > 0.45f && (Math.abs(v - 0.84f) < 0.012f || Math.abs(v - 0.14f) < 0.012f)
          || gold > 0.3f
              && Math.abs(v - 0.66f) < 0.05f
              && value(p.x * 260, p.y * 260, p.z * 260) > 0.5f) {
        p.colour(0.55, 0.43, 0.20, 1);
      }
      if (v > 0.985f) {
        float page = 0.8f + 0.2f * value(p.x * 900, 0, p.z * 900);
        p.colour(0.74, 0.68, 0.55, page);
      }
    };
  }

  /** An instrument dial facing +z: white face, black scale, one hand. */
  public static Material dial(double cx, double cy, double radius, double hand) {
    return p -> {
      float u = (float) ((p.x - cx) / radius);
      float v = (float) ((p.y - cy) / radius);
      float d = (float) Math.hypot(u, v);
      double angle = Math.atan2(v, u);
      p.colour(0.82, 0.79, 0.70, 1);
      double tick = angle / (2 * Math.PI) * 60;
      boolean major = Math.abs(tick / 5 - Math.round(tick / 5)) < 0.03;
      if (d > 0.72f
          && d < 0.86f
          && (major || Math.abs(tick - Math.round(tick)) < 0.10 && d > 0.79f)) {
        p.colour(0.03, 0.03, 0.03, 1);
      }
      double across = Math.abs(u * Math.sin(hand) - v * Math.cos(hand));
      double forward = u * Math.cos(hand) + v * Math.sin(hand);
      if (across < 0.025 && forward > -0.18 && forward < 0.74 || d < 0.06f) {
        p.colour(0.05, 0.06, 0.10, 1);
      }
      p.gloss = 0.05f;
      p.rough = 0.05f;
    };
  }

  /** Leaves of a house plant. */
  public static Material leaf() {
    return p -> {
      float t = fractal(p.x * 50, p.y * 50, p.z * 50, 2);
      p.colour(mix(0.05f, 0.12f, t), mix(0.16f, 0.26f, t), mix(0.03f, 0.06f, t), 1);
      p.gloss = 0.04f;
      p.rough = 0.35f;
    };
  }

  /** Fired clay. */
  public static Material clay() {
    return p -> {
      float t = fractal(p.x * 30, p.y * 80, p.z * 30, 3);
      p.colour(0.42, 0.19, 0.10, 0.75 + 0.5 * t);
    };
  }

  /** A lamp shade lit from inside, brightest at half height. */
  public static Material shade(double y0, double y1, double glow) {
    return p -> {
      float v = (float) ((p.y - y0) / (y1 - y0));
      float weave = 0.93f + 0.14f * value(p.x * 300, p.y * 500, p.z * 300);
      p.colour(0.72, 0.66, 0.54, weave);
      double middle = Math.exp(-Math.pow((v - 0.48) / 0.42, 2));
      p.glow = (float) (glow * weave * (0.45 + 0.75 * middle));
      if (v < 0.035f || v > 0.965f) {
        p.glow *= 0.35f;
      }
    };
  }

  /**
   * A surface that glows evenly.
   *
   * @param glow kcd/m²
   * @param of which of the scene's glows
   */
  public static Material lit(double glow, int of) {
    return p -> {
      p.colour(0, 0, 0, 1);
      p.glow = (float) glow;
      p.glowOf = of;
    };
  }

  /** White cloth before a source: what it sends out belongs to glow {@code of}. */
  public static Material diffuser(double glow, int of) {
    return p -> {
      p.colour(0.8, 0.8, 0.78, 1);
      p.glow = (float) glow;
      p.glowOf = of;
    };
  }
}
