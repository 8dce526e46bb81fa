package illuminar.scenes.rooms;

import illuminar.scenes.geometry.Mesh;
import illuminar.scenes.geometry.Vec;
import illuminar.scenes.light.Bulb;
import illuminar.scenes.light.Light;
import illuminar.scenes.light.Panel;
import illuminar.scenes.light.Tint;
import illuminar.scenes.material.Material;
import illuminar.scenes.material.Materials;
import illuminar.scenes.material.Noise;
import illuminar.scenes.material.OutdoorMaterials;
import illuminar.scenes.material.Textiles;
import illuminar.scenes.outdoors.PlainSky;
import illuminar.scenes.render.Scene;
import java.util.ArrayList;
import java.util.List;

/**
 * The front of the house half an hour after sunset: six wall lamps, warm windows, two bands of
 * glazed tiles some of which were replaced by a paler glaze. The front is z = 0, the camera looks
 * up a little, towards −z.
 */
public final class FrontAtDusk {
  /** How far the camera looks up, degrees. */
  public static final double PITCH = 6;

  private static final double HALF = 6.1;
  private static final double EAVES = 5.05;
  private static final double TILE = 0.15;
  private static final double[] LAMPS = {-5.35, -2.55, -1.05, 1.05, 2.55, 5.35};
  private static final double LAMP_Y = 2.22;
  private static final Joinery.Hole DOOR = new Joinery.Hole(-0.52, 0, 0.52, 2.62);
  private static final Joinery.Hole[] BELOW = {
    new Joinery.Hole(-4.6, 0.98, -3.3, 2.45), DOOR, new Joinery.Hole(3.3, 0.98, 4.6, 2.45)
  };
  private static final double[] ABOVE = {-3.95, 0, 3.95};

  private static final Material WALL = OutdoorMaterials.render(0.60, 0.575, 0.52);
  private static final Material STONE = OutdoorMaterials.render(0.36, 0.34, 0.30);

  /** The old glaze; its reflectance is the reference of the replaced one. */
  private static final Material OLD_TILE = OutdoorMaterials.glaze(0.105, 0.205, 0.195);

  private static final Material NEW_TILE = OutdoorMaterials.glaze(0.135, 0.215, 0.265);
  private static final Material BULB = Materials.lit(14, 0);

  private FrontAtDusk() {}

  /** Builds the front. */
  public static Scene scene() {
    Mesh m = new Mesh();
    front(m);
    tiles(m, 0.30, 3);
    tiles(m, 2.76, 2);
    roof(m);
    for (double x : LAMPS) {
      lantern(m.at(x, LAMP_Y, 0, 0));
    }
    grounds(m);
    float[] lampColour = Tint.planck(2800);
    float[] roomColour = Tint.planck(2700);
    List<Light> lights = new ArrayList<>();
    for (double x : LAMPS) {
      lights.add(new Bulb(1, Vec.of(x, LAMP_Y, 0.19), 0.036f, lampColour, 0.058f));
    }
    for (Joinery.Hole w : new Joinery.Hole[] {BELOW[0], BELOW[2]}) {
      lights.add(pane(w.x0(), w.y0(), w.x1(), w.y1(), roomColour));
    }
    lights.add(pane(DOOR.x0(), 2.22, DOOR.x1(), DOOR.y1(), roomColour));
    lights.add(pane(ABOVE[2] - 0.5, 3.45, ABOVE[2] + 0.5, 4.65, roomColour));
    Scene.Lighting lighting =
        new Scene.Lighting(
            List.of("sky", "wall-lamps", "rooms"),
            lights,
            new Scene.Glow(1, lampColour),
            new Scene.Glow(2, roomColour));
    return Scene.open(
            "front-at-dusk",
            m,
            lighting,
            PlainSky.dusk(),
            new Scene.Eye(Vec.of(-0.9, 1.55, 10.2), 5, PITCH, 62))
        .part("wall", WALL)
        .part("tiles", OLD_TILE)
        .part("replaced-tiles", NEW_TILE)
        .part("lamps", BULB);
  }

  private static Panel pane(double x0, double y0, double x1, double y1, float[] colour) {
    return Panel.lit(
        2, Vec.of(x0, y0, -0.02), Vec.of(x1 - x0, 0, 0), Vec.of(0, y1 - y0, 0), colour, 0.035);
  }

  private static void front(Mesh m) {
    Joinery.wall(m, -HALF, HALF, 3.2, 0.4, WALL, BELOW);
    Mesh upper = m.at(0, 3.2, 0, 0);
    Joinery.Hole[] holes = new Joinery.Hole[3];
    for (int i = 0; i < 3; i++) {
      holes[i] = new Joinery.Hole(ABOVE[i] - 0.5, 0.25, ABOVE[i] + 0.5, 1.45);
    }
    Joinery.wall(upper, -HALF, HALF, EAVES - 3.2, 0.4, WALL, holes);
    for (Joinery.Hole h : holes) {
      window(upper, h, h.equals(holes[2]) ? 5 : -1);
    }
    window(m, BELOW[0], 1);
    window(m, BELOW[2], 2);
    // quoins and plinth
    for (int s = -1; s <= 1; s += 2) {
      for (int i = 0; i < 16; i++) {
        double w = i % 2 == 0 ? 0.42 : 0.28;
        double x = s * HALF;
        m.box(
            x - s * w,
            0.005 + i * 0.315,
            -0.05,
            x + s * 0.02,
            0.31 + i * 0.315,
            0.022,
            0.008,
            STONE);
      }
    }
    m.box(-HALF, -0.1, 0, HALF, 0.27, 0.05, 0.012, STONE);
    door(m);
  }

  private static void window(Mesh m, Joinery.Hole h, int lit) {
    Joinery.sashes(m, h, 3, 4, 0.12, Joinery.WHITE);
    m.box(h.x0() - 0.12, h.y0() - 0.12, -0.1, h.x1() + 0.12, h.y0(), 0.07, 0.01, STONE);
    m.box(h.x0() - 0.16, h.y1(), -0.05, h.x1() + 0.16, h.y1() + 0.2, 0.02, 0.01, STONE);
    m.box(
        h.x0() - 0.1,
        h.y0() - 0.1,
        -0.75,
        h.x1() + 0.1,
        h.y1() + 0.1,
        -0.7,
        lit < 0 ? Materials.paint(0.012, 0.013, 0.016, 0, 1) : inside(h, m.height(), lit));
    if (lit >= 0) {
      Material cloth = Textiles.cloth(0.45, 0.32, 0.2, 400);
      Furniture.curtain(
          m.at(h.x0() - 0.02, h.y1() + 0.02, -0.32, 0), 0.28, h.y1() - h.y0() + 0.1, 4, cloth);
      Furniture.curtain(
          m.at(h.x1() - 0.26, h.y1() + 0.02, -0.32, 0), 0.28, h.y1() - h.y0() + 0.1, 4, cloth);
      if (lit < 5) {
        Furniture.plant(m.at(h.x0() + 0.75, h.y0(), -0.28, 0), 0.6, 18, lit);
      }
    } else {
      glass(m, h);
    }
  }

  /** Panes in which the sky lies. */
  private static void glass(Mesh m, Joinery.Hole h) {
    m.box(
        h.x0() + 0.05,
        h.y0() + 0.05,
        -0.148,
        h.x1() - 0.05,
        h.y1() - 0.05,
        -0.146,
        p -> {
          p.r = p.g = p.b = 0.012f;
          p.gloss = 0.10f;
          p.rough = 0.02f;
          p.bump(0.012f * (Noise.value(p.x * 3, p.y * 3, 1) - 0.5f), 0, 0);
        });
  }

  /** A room as seen through a window in the evening: a lit wall, a lamp, a picture, a shelf. */
  private static Material inside(Joinery.Hole h, double lift, int seed) {
    return p -> {
      p.r = p.g = p.b = 0;
      float u = (float) ((p.x - h.x0()) / (h.x1() - h.x0()));
      float v = (float) ((p.y - lift - h.y0()) / (h.y1() - h.y0()));
      float lampAt = 0.28f + 0.45f * Noise.hash(seed, 2, 3);
      float d = (float) Math.hypot((u - lampAt) * 1.1, v - 0.52);
      float wall = 0.055f / (0.35f + 2.2f * d * d);
      wall *= 0.9f + 0.2f * Noise.fractal(u * 3, v * 3, seed, 3);
      float across = Math.abs(u - lampAt);
      if (v > 0.42f && v < 0.62f && across < 0.055f + 0.06f * (0.62f - v) / 0.2f) {
        wall = 0.42f;
      } else if (v > 0.20f && v <= 0.42f && across < 0.012f) {
        wall = 0.01f;
      } else if (v <= 0.20f) {
        wall *= 0.25f + 0.3f * Noise.value(u * 22, 1, seed);
      } else if (Math.abs(u - (1 - lampAt)) < 0.13f && Math.abs(v - 0.66f) < 0.15f) {
        wall *= 0.35f + 0.4f * Noise.fractal(u * 16, v * 12, seed + 3, 2);
      }
      p.glow = wall * 1.3f;
      p.glowOf = 1;
    };
  }

  private static void door(Mesh m) {
    Material paint = Materials.paint(0.055, 0.09, 0.10, 0.045, 0.2);
    Joinery.door(m.at(DOOR.x0() + 0.06, 0.14, -0.20, 0), 0.92, 2.02, paint);
    m.box(DOOR.x0(), 0, -0.26, DOOR.x0() + 0.06, DOOR.y1(), -0.12, 0.006, Joinery.WHITE);
    m.box(DOOR.x1() - 0.06, 0, -0.26, DOOR.x1(), DOOR.y1(), -0.12, 0.006, Joinery.WHITE);
    m.box(DOOR.x0(), 2.16, -0.26, DOOR.x1(), 2.22, -0.12, 0.006, Joinery.WHITE);
    m.box(DOOR.x0(), DOOR.y1() - 0.05, -0.26, DOOR.x1(), DOOR.y1(), -0.12, 0.006, Joinery.WHITE);
    for (int i = 1; i < 4; i++) {
      double x = DOOR.x0() + 0.06 + 0.23 * i;
      m.box(x - 0.01, 2.22, -0.22, x + 0.01, DOOR.y1(), -0.19, 0.003, Joinery.WHITE);
    }
    m.box(
        DOOR.x0(),
        2.2,
        -0.5,
        DOOR.x1(),
        DOOR.y1(),
        -0.45,
        inside(new Joinery.Hole(-0.5, 1.6, 0.5, 3.2), 0, 4));
    // stone surround, hood and steps
    for (int s = -1; s <= 1; s += 2) {
      m.box(s * 0.52, 0.14, 0, s * 0.72, 2.72, 0.09, 0.012, STONE);
      m.box(s * 0.50, 2.55, 0, s * 0.74, 2.72, 0.16, 0.012, STONE);
    }
    m.box(-0.86, 2.72, -0.05, 0.86, 2.80, 0.30, 0.015, STONE);
    m.box(-0.80, 2.80, -0.05, 0.80, 2.86, 0.22, 0.015, STONE);
    m.box(-0.85, -0.1, -0.2, 0.85, 0.14, 0.42, 0.02, STONE);
    m.box(-1.15, -0.1, 0.40, 1.15, 0.07, 0.78, 0.02, STONE);
  }

  private static void tiles(Mesh m, double y0, int rows) {
    int n = (int) (2 * (HALF - 0.42) / TILE);
    double start = -n * TILE / 2;
    for (int row = 0; row < rows; row++) {
      for (int i = 0; i < n; i++) {
        double x = start + i * TILE;
        double y = y0 + row * TILE;
        if (inHole(x, y)) {
          continue;
        }
        boolean fresh = replaced(i, row + (int) Math.round(y0 * 10));
        m.box(
            x + 0.0025,
            y + 0.0025,
            -0.005,
            x + TILE - 0.0025,
            y + TILE - 0.0025,
            0.011,
            0.003,
            fresh ? NEW_TILE : OLD_TILE);
      }
    }
  }

  private static boolean inHole(double x, double y) {
    for (Joinery.Hole h : BELOW) {
      double side = h.equals(DOOR) ? 0.22 : 0.13;
      if (x + TILE > h.x0() - side
          && x < h.x1() + side
          && y + TILE > h.y0() - 0.12
          && y < h.y1() + 0.21) {
        return true;
      }
    }
    return Math.abs(x + TILE / 2) < 0.95 && y > 2.5 && y < 2.9;
  }

  /** Replaced tiles lie together, as where a wall was mended. */
  private static boolean replaced(int i, int row) {
    return Noise.fractal(i * 0.16f, row * 0.5f, 2, 2) > 0.60f && Noise.hash(i, row, 5) > 0.18f;
  }

  private static void roof(Mesh m) {
    Material slates = OutdoorMaterials.slates();
    Material paint = Materials.paint(0.03, 0.032, 0.035, 0.04, 0.3);
    double rise = 2.1;
    double n = Math.hypot(rise, 4.2);
    double[] up = {0, 4.2 / n, rise / n};
    m.quad(
        new double[][] {
          {-HALF - 0.25, EAVES + 0.05, 0.42},
          {HALF + 0.25, EAVES + 0.05, 0.42},
          {HALF + 0.25, EAVES + 0.05 + rise, -3.78},
          {-HALF - 0.25, EAVES + 0.05 + rise, -3.78}
        },
        new double[][] {up, up, up, up},
        slates);
    m.box(-HALF - 0.2, EAVES - 0.12, -0.4, HALF + 0.2, EAVES, 0.36, 0.01, Joinery.WHITE);
    m.rod(
        new double[] {-HALF - 0.27, EAVES - 0.02, 0.44},
        new double[] {HALF + 0.27, EAVES - 0.02, 0.44},
        0.06,
        18,
        paint);
    Garden.drainpipe(m.at(-HALF + 0.55, 0, 0.02, 0), EAVES - 0.3, paint);
    Garden.drainpipe(m.at(HALF - 0.55, 0, 0.02, 0), EAVES - 0.3, paint);
    for (double x : new double[] {-4.4, 4.6}) {
      m.box(x - 0.42, EAVES + 1.1, -3.2, x + 0.42, EAVES + 3.2, -2.5, 0.02, STONE);
      m.box(x - 0.48, EAVES + 3.2, -3.26, x + 0.48, EAVES + 3.32, -2.44, 0.02, STONE);
      for (double p : new double[] {-0.2, 0.2}) {
        m.at(x + p, EAVES + 3.32, -2.85, 0)
            .lathe(
                new double[] {0.10, 0, 0.12, 0.06, 0.095, 0.34, 0.115, 0.38, 0, 0.38},
                24,
                Materials.clay());
      }
    }
    // the gable ends behind
    m.box(-HALF, -0.1, -7.5, HALF, EAVES, -0.8, WALL);
  }

  /** A lantern on a bracket, without glass: cap, four bars, bulb. */
  private static void lantern(Mesh m) {
    Material iron = Furniture.IRON;
    m.box(-0.05, -0.14, 0, 0.05, 0.16, 0.018, 0.005, iron);
    m.rod(new double[] {0, 0.13, 0.01}, new double[] {0, 0.16, 0.19}, 0.009, 10, iron);
    m.at(0, 0, 0.19, 45)
        .lathe(new double[] {0.115, 0.10, 0.12, 0.105, 0.02, 0.19, 0, 0.19}, 4, iron);
    for (int sx = -1; sx <= 1; sx += 2) {
      for (int sz = -1; sz <= 1; sz += 2) {
        m.rod(
            new double[] {sx * 0.045, -0.13, 0.19 + sz * 0.045},
            new double[] {sx * 0.075, 0.105, 0.19 + sz * 0.075},
            0.0045,
            8,
            iron);
      }
    }
    m.box(-0.05, -0.14, 0.14, 0.05, -0.125, 0.24, 0.004, iron);
    m.rod(new double[] {0, -0.13, 0.19}, new double[] {0, -0.045, 0.19}, 0.012, 12, iron);
    m.ball(0, 0, 0.19, 0.034, 1.2, BULB);
  }

  private static void grounds(Mesh m) {
    m.box(-40, -1, -30, 40, -0.05, 40, OutdoorMaterials.gravel());
    m.box(-1.2, -0.3, 0.6, 1.2, -0.02, 30, 0.01, OutdoorMaterials.slabs(0.6, 0.8));
    for (int s = -1; s <= 1; s += 2) {
      Mesh bed = m.at(s < 0 ? -HALF + 0.9 : 1.75, -0.05, 0.62, 0);
      Garden.hedge(bed, HALF - 2.65, 0.36, 0.42);
      Garden.pot(m.at(s * 1.45, -0.05, 1.0, 0), 1.05);
      Garden.ball(m.at(s * (HALF - 0.35), -0.05, 1.1, 0), 0.55);
      Garden.ball(m.at(s * (HALF + 0.9), -0.05, 0.4, 0), 0.75);
    }
    Garden.tree(m.at(-8.4, 0, -3.5, 30), 8.5, 5);
    Garden.tree(m.at(9.2, 0, -5, 110), 9.5, 11);
    bench(m.at(2.15, -0.05, 1.35, 0));
  }

  private static void bench(Mesh m) {
    Material teak = Materials.wood(0.25, 0.17, 0.10, 0, 0.02, 0.5);
    for (int i = 0; i < 4; i++) {
      m.box(0, 0.42, -0.2 + 0.11 * i, 1.5, 0.445, -0.11 + 0.11 * i, 0.006, teak);
    }
    for (int i = 0; i < 3; i++) {
      m.box(0, 0.58 + 0.13 * i, -0.24, 1.5, 0.66 + 0.13 * i, -0.22, 0.006, teak);
    }
    for (double x : new double[] {0.06, 1.38}) {
      m.box(x, 0, -0.24, x + 0.06, 0.94, -0.18, 0.008, teak);
      m.box(x, 0, 0.16, x + 0.06, 0.64, 0.22, 0.008, teak);
      m.box(x, 0.62, -0.2, x + 0.06, 0.66, 0.24, 0.008, teak);
    }
  }
}
