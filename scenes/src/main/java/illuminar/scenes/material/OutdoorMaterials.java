package illuminar.scenes.material;

import static illuminar.scenes.material.Noise.fractal;
import static illuminar.scenes.material.Noise.hash;
import static illuminar.scenes.material.Noise.step;
import static illuminar.scenes.material.Noise.value;

/**
 * Procedural surfaces of walls, roofs, ground and plants outdoors. Colours as in {@link Materials}.
 */
public final class OutdoorMaterials {
  private OutdoorMaterials() {}

  /** Lime render outdoors: trowelled, weathered, darker towards the ground. */
  public static Material render(double r, double g, double b) {
    return p -> {
      float broad = fractal(p.x * 0.7f, p.y * 0.9f, p.z * 0.7f, 4);
      float damp = step(0.9f, 0.0f, p.y + 0.5f * (fractal(p.x * 1.7f, 2, p.z, 3) - 0.5f));
      float streak = fractal(p.x * 9, p.y * 0.5f, p.z * 9, 3);
      float tone = 0.93f + 0.10f * (broad - 0.5f) - 0.16f * damp + 0.05f * (streak - 0.5f);
      p.colour(r, g * (1 + 0.02 * damp), b * (1 - 0.03 * damp), tone);
      if (!p.detail) {
        return;
      }
      float fine = value(p.x * 210, p.y * 210, p.z * 210);
      float scale = tone * (0.96f + 0.08f * fine);
      p.colour(r, g * (1 + 0.02 * damp), b * (1 - 0.03 * damp), scale);
      float e = 0.006f;
      float h = fractal(p.x * 26, p.y * 26, p.z * 26, 3);
      p.bump(
          1.1f * (fractal((p.x + e) * 26, p.y * 26, p.z * 26, 3) - h),
          1.1f * (fractal(p.x * 26, (p.y + e) * 26, p.z * 26, 3) - h),
          0);
    };
  }

  /** Stone slabs laid in courses on the ground, joints filled with grit and moss. */
  public static Material slabs(double width, double length) {
    return p -> {
      int row = (int) Math.floor(p.z / width);
      double shift = hash(row, 7, 1) * length;
      double along = (p.x + shift) / length;
      int slab = (int) Math.floor(along);
      double edge =
          Math.min(
              Math.min(along - slab, 1 - along + slab) * length,
              Math.min(p.z / width - row, 1 - p.z / width + row) * width);
      float tone = 0.80f + 0.35f * hash(row, slab, 3);
      float warm = hash(row, slab, 9);
      float grain = fractal(p.x * 14, 1, p.z * 14, 4);
      float fine = p.detail ? value(p.x * 190, 0, p.z * 190) : 0.5f;
      double joint = step(0.004f, 0.013f, (float) (edge + 0.004 * (grain - 0.5)));
      double t = tone * (0.72 + 0.42 * grain + 0.14 * fine);
      p.colour(0.33 + 0.03 * warm, 0.315 + 0.01 * warm, 0.28, t);
      p.r = (float) (p.r * joint + 0.07 * (1 - joint));
      p.g = (float) (p.g * joint + 0.08 * (1 - joint));
      p.b = (float) (p.b * joint + 0.05 * (1 - joint));
      if (p.detail) {
        p.bump(
            0.05f * (value(p.x * 60, 1, p.z * 60) - 0.5f),
            0,
            0.05f * (value(p.x * 60, 2, p.z * 60) - 0.5f));
      }
    };
  }

  /** Gravel. */
  public static Material gravel() {
    return p -> {
      float stones = value(p.x * 60, 0, p.z * 60);
      float broad = fractal(p.x * 0.8f, 3, p.z * 0.8f, 3);
      p.colour(0.27, 0.235, 0.185, 0.55 + 0.75 * stones * (0.7 + 0.6 * broad));
      if (p.detail) {
        p.bump(
            0.5f * (value(p.x * 75, 1, p.z * 75) - 0.5f),
            0,
            0.5f * (value(p.x * 75, 2, p.z * 75) - 0.5f));
      }
    };
  }

  /** Clipped evergreen leaves. */
  public static Material hedge() {
    return p -> {
      float t = fractal(p.x * 34, p.y * 34, p.z * 34, 3);
      p.colour(0.045, 0.085, 0.028, 0.35 + 1.5 * t * t);
      if (p.detail) {
        p.bump(
            1.2f * (value(p.x * 48, p.y * 48, p.z * 48) - 0.5f),
            1.2f * (value(p.x * 48, p.y * 48 + 9, p.z * 48) - 0.5f),
            1.2f * (value(p.x * 48, p.y * 48, p.z * 48 + 9) - 0.5f));
      }
    };
  }

  /** Slates in courses on a roof that falls towards +z. */
  public static Material slates() {
    return p -> {
      int row = (int) Math.floor(p.y / 0.14);
      double at = p.x / 0.26 + 0.5 * (row & 1);
      int slate = (int) Math.floor(at);
      double edge = Math.min(at - slate, 1 - at + slate) * 0.26;
      double course = p.y / 0.14 - row;
      float tone = 0.75f + 0.5f * hash(row, slate, 5);
      double dark = (edge < 0.004 ? 0.35 : 1) * (course < 0.07 ? 0.45 : 1);
      p.colour(0.075, 0.08, 0.092, tone * dark * (0.85 + 0.3 * value(p.x * 30, p.y * 30, 0)));
      p.gloss = 0.02f;
      p.rough = 0.5f;
    };
  }

  /** A glazed tile; each takes a little of its own colour from where it sits. */
  public static Material glaze(double r, double g, double b) {
    return p -> {
      float own = 0.94f + 0.12f * hash(Math.round(p.x / 0.15f), Math.round(p.y / 0.15f), 2);
      float pool = 0.95f + 0.1f * fractal(p.x * 38, p.y * 38, 1, 2);
      p.colour(r, g, b, own * pool);
      p.gloss = 0.05f;
      p.rough = 0.1f;
      if (p.detail) {
        p.bump(
            0.03f * (value(p.x * 24, p.y * 24, 4) - 0.5f),
            0.03f * (value(p.x * 24, p.y * 24, 8) - 0.5f),
            0);
      }
    };
  }

  /** Bark. */
  public static Material bark() {
    return p -> {
      float t = fractal(p.x * 40, p.y * 12, p.z * 40, 3);
      p.colour(0.15, 0.12, 0.095, 0.55 + 0.9 * t);
    };
  }

  /** Bricks in stretcher bond with pale joints, on a wall that faces +z. */
  public static Material bricks(double r, double g, double b) {
    return p -> {
      int row = (int) Math.floor(p.y / 0.075);
      double along = p.x / 0.225 + 0.5 * (row & 1);
      int brick = (int) Math.floor(along);
      double edge =
          Math.min(
              Math.min(along - brick, 1 - along + brick) * 0.225,
              Math.min(p.y / 0.075 - row, 1 - p.y / 0.075 + row) * 0.075);
      float tone = 0.72f + 0.5f * hash(row, brick, 4);
      float warm = hash(row, brick, 8) - 0.5f;
      float grain = p.detail ? fractal(p.x * 60, p.y * 60, 1, 2) : 0.5f;
      double joint = step(0.004f, 0.007f, (float) edge);
      double t = tone * (0.88 + 0.24 * grain);
      p.r = (float) (r * t * joint + 0.36 * (1 - joint));
      p.g = (float) (g * t * (1 + 0.15 * warm) * joint + 0.34 * (1 - joint));
      p.b = (float) (b * t * (1 + 0.2 * warm) * joint + 0.30 * (1 - joint));
    };
  }
}
