package illuminar.scenes.rooms;

import illuminar.scenes.geometry.Mesh;
import illuminar.scenes.geometry.Vec;
import illuminar.scenes.light.Disc;
import illuminar.scenes.light.Light;
import illuminar.scenes.light.Panel;
import illuminar.scenes.light.Tint;
import illuminar.scenes.material.Material;
import illuminar.scenes.material.Materials;
import illuminar.scenes.material.Textiles;
import illuminar.scenes.outdoors.Backdrop;
import illuminar.scenes.outdoors.Heath;
import illuminar.scenes.outdoors.Outdoors;
import illuminar.scenes.render.Scene;
import java.util.List;

/**
 * The Dormer room under the roof: a bed, a wardrobe in gloss paint, and hazy hills through the
 * dormer window. A bare flash beside the camera leaves a hot spot on the wardrobe. The curtain
 * hangs elsewhere after the wind has moved it. The window is at z = 0, the camera looks towards −z.
 */
public final class DormerRoom {
  private static final double SIDE = 2.3;
  private static final double BACK = 5.3;
  private static final double HIGH = 2.5;
  private static final double KNEE_Z = 0.62;
  private static final double KNEE = 1.12;
  private static final double SLOPE_END = 2.62;
  private static final double DORMER = 0.92;
  private static final double DORMER_HIGH = 2.24;
  private static final double HAZE = 0.0011;
  private static final Joinery.Hole WINDOW = new Joinery.Hole(-0.78, 0.80, 0.78, 2.08);

  private static final Material WALL = Materials.plaster(0.70, 0.715, 0.70);
  private static final Material KNEE_WALL = Materials.plaster(0.70, 0.715, 0.70);
  private static final Material SLOPE = Materials.plaster(0.80, 0.80, 0.78);
  private static final Material GLOSS = Materials.paint(0.46, 0.50, 0.47, 0.05, 0.13);
  private static final Material PINE = Materials.wood(0.52, 0.33, 0.16, 2, 0.04, 0.3);
  private static final Material PINE_UPRIGHT = Materials.wood(0.52, 0.33, 0.16, 1, 0.04, 0.3);
  private static final Material LINEN = Textiles.cloth(0.66, 0.64, 0.60, 600);
  private static final Material VOILE = Textiles.cloth(0.58, 0.55, 0.47, 700);
  private static final Vec FLASH = Vec.of(-2.0, 1.62, 4.75);

  private DormerRoom() {}

  /**
   * Builds the room.
   *
   * @param wind how far the curtain is blown into the room, metres
   */
  public static Scene scene(double wind) {
    Vec eye = Vec.of(-0.62, 1.42, 4.95);
    Outdoors hills =
        new Backdrop(
            new Heath(-4.6f, (float) HAZE),
            eye.x(),
            eye.y(),
            eye.z(),
            -0.06f,
            0.31f,
            -0.13f,
            0.15f,
            1300);
    Mesh m = new Mesh();
    shell(m);
    dormer(m, wind);
    wardrobe(m.at(-2.22, 0, 2.12, 0));
    bed(m.at(1.72, 0, 0, 0));
    pieces(m);
    float[] flash = Tint.daylight(5500);
    double strength = 190;
    // what mirrors see of the flash; its light comes from just before it
    Vec aim = Vec.of(0.42, -0.12, -0.9).unit();
    m.at(FLASH.x(), FLASH.y(), FLASH.z() + 0.004, 0)
        .sheet(
            (u, v) ->
                new double[] {
                  0.06 * v * Math.cos(2 * Math.PI * u), 0.06 * v * Math.sin(2 * Math.PI * u), 0
                },
            24,
            1,
            Materials.lit(strength, 0));
    List<Light> lights =
        List.of(
            Panel.opening(
                0,
                Vec.of(WINDOW.x0(), WINDOW.y0(), -0.19),
                Vec.of(WINDOW.x1() - WINDOW.x0(), 0, 0),
                Vec.of(0, WINDOW.y1() - WINDOW.y0(), 0),
                hills),
            new Disc(1, FLASH, aim, 0.06f, flash, (float) strength));
    Scene.Lighting lighting =
        new Scene.Lighting(List.of("daylight", "flash"), lights, new Scene.Glow(1, flash));
    return Scene.room("dormer-room", m, lighting, hills, new Scene.Eye(eye, 6, -2, 64))
        .part("wall", WALL, KNEE_WALL)
        .part("slope", SLOPE)
        .part("gloss", GLOSS)
        .part("curtain", VOILE);
  }

  private static double slopeZ(double y) {
    return KNEE_Z + (y - KNEE) / (HIGH - KNEE) * (SLOPE_END - KNEE_Z);
  }

  private static void shell(Mesh m) {
    m.box(-SIDE, -0.1, -0.3, SIDE, 0, BACK, Materials.boards());
    m.box(-SIDE - 0.1, -0.1, -0.3, -SIDE, HIGH + 0.1, BACK, WALL);
    m.box(SIDE, -0.1, -0.3, SIDE + 0.1, HIGH + 0.1, BACK, WALL);
    m.box(-SIDE, -0.1, BACK, SIDE, HIGH, BACK + 0.1, WALL);
    m.box(-SIDE, HIGH, SLOPE_END - 0.4, SIDE, HIGH + 0.1, BACK, SLOPE);
    Mesh knee = m.at(0, 0, KNEE_Z, 0);
    for (int s = -1; s <= 1; s += 2) {
      double x0 = s < 0 ? -SIDE : DORMER;
      double x1 = s < 0 ? -DORMER : SIDE;
      knee.box(x0, -0.1, -0.08, x1, KNEE + 0.05, 0, KNEE_WALL);
      Joinery.skirting(knee, x0, x1, Joinery.WHITE);
      plane(m, x0, KNEE, KNEE_Z, x1, HIGH, SLOPE_END, SLOPE);
    }
    plane(m, -DORMER, DORMER_HIGH, slopeZ(DORMER_HIGH), DORMER, HIGH, SLOPE_END, SLOPE);
    Joinery.skirting(m.at(-SIDE, 0, 0, 90), -BACK, 0, Joinery.WHITE);
    Joinery.skirting(m.at(SIDE, 0, 0, -90), 0, BACK, Joinery.WHITE);
    // a collar beam and purlins, old and dark
    Material beam = Materials.wood(0.15, 0.085, 0.045, 0, 0.02, 0.5);
    m.box(-SIDE, 2.34, 2.42, SIDE, 2.52, 2.60, 0.02, beam);
  }

  private static void plane(
      Mesh m, double x0, double y0, double z0, double x1, double y1, double z1, Material of) {
    double n = Math.hypot(y1 - y0, z1 - z0);
    double[] out = {0, -(z1 - z0) / n, (y1 - y0) / n};
    m.quad(
        new double[][] {{x0, y0, z0}, {x1, y0, z0}, {x1, y1, z1}, {x0, y1, z1}},
        new double[][] {out, out, out, out},
        of);
  }

  private static void dormer(Mesh m, double wind) {
    Joinery.wall(m, -DORMER - 0.05, DORMER + 0.05, DORMER_HIGH + 0.1, 0.2, WALL, WINDOW);
    Joinery.sashes(m, WINDOW, 2, 2, 0.10, Joinery.WHITE);
    Joinery.casing(m, WINDOW, Joinery.WHITE);
    double end = slopeZ(DORMER_HIGH);
    m.box(-DORMER, DORMER_HIGH, -0.2, DORMER, DORMER_HIGH + 0.05, end + 0.02, SLOPE);
    for (int s = -1; s <= 1; s += 2) {
      double x = s * DORMER;
      double[] n = {-s, 0, 0};
      double[][] four = {n, n, n, n};
      m.quad(
          new double[][] {{x, 0, 0}, {x, 0, KNEE_Z}, {x, KNEE, KNEE_Z}, {x, KNEE, 0}}, four, SLOPE);
      m.quad(
          new double[][] {
            {x, KNEE, 0}, {x, KNEE, KNEE_Z}, {x, DORMER_HIGH, end}, {x, DORMER_HIGH, 0}
          },
          four,
          SLOPE);
    }
    // a seat in the dormer with cushions
    m.box(-DORMER, 0.02, 0.02, DORMER, 0.42, 0.52, 0.006, Joinery.WHITE);
    m.box(-DORMER, 0.42, 0.0, DORMER, 0.45, 0.55, 0.01, PINE);
    Furniture.cushion(m, 0, 0.50, 0.28, 0.86, 0.055, 0.24, Textiles.cloth(0.22, 0.27, 0.31, 300));
    Furniture.cushion(
        m.at(-0.6, 0.66, 0.18, 20),
        0,
        0,
        0,
        0.20,
        0.17,
        0.07,
        Textiles.cloth(0.5, 0.33, 0.12, 300));
    Furniture.cushion(
        m.at(0.55, 0.65, 0.2, -14),
        0,
        0,
        0,
        0.19,
        0.16,
        0.07,
        Textiles.cloth(0.42, 0.15, 0.11, 300));
    m.rod(
        new double[] {-DORMER, 2.14, 0.12},
        new double[] {DORMER, 2.14, 0.12},
        0.009,
        16,
        Furniture.IRON);
    curtain(m.at(-0.90, 2.13, 0.12, 0), 0.27, 0.0);
    curtain(m.at(0.62, 2.13, 0.12, 0), 0.27, wind);
  }

  private static void curtain(Mesh m, double width, double wind) {
    m.sheet(
        (u, v) -> {
          double fold = Math.sin(u * 5 * 2 * Math.PI + 0.7 * Math.sin(u * 17));
          double blown = wind * v * v * (0.7 + 0.3 * Math.sin(3 * v + 2 * u));
          return new double[] {
            width * u - 0.55 * blown, -1.50 * v, 0.032 * (0.6 + 0.4 * v) * fold + blown
          };
        },
        70,
        28,
        VOILE);
  }

  /** A painted wardrobe with two panelled doors, its face towards +z. */
  private static void wardrobe(Mesh m) {
    double w = 1.12;
    double h = 1.70;
    m.box(0, 0.06, -0.55, w, h, 0, 0.004, GLOSS);
    m.box(-0.02, h, -0.56, w + 0.02, h + 0.035, 0.03, 0.01, GLOSS);
    m.box(0, 0, -0.55, w, 0.06, -0.02, GLOSS);
    for (int i = 0; i < 2; i++) {
      double x0 = 0.02 + i * (w / 2 - 0.005);
      double x1 = x0 + w / 2 - 0.035;
      m.box(x0, 0.09, 0, x1, h - 0.03, 0.022, 0.004, GLOSS);
      for (double[] row : new double[][] {{0.20, 0.78}, {0.90, h - 0.14}}) {
        double a = x0 + 0.09;
        double b = x1 - 0.09;
        double t = 0.016;
        m.box(a, row[0], 0.021, b, row[0] + t, 0.032, 0.005, GLOSS);
        m.box(a, row[1] - t, 0.021, b, row[1], 0.032, 0.005, GLOSS);
        m.box(a, row[0], 0.021, a + t, row[1], 0.032, 0.005, GLOSS);
        m.box(b - t, row[0], 0.021, b, row[1], 0.032, 0.005, GLOSS);
      }
      m.ball(i == 0 ? x1 - 0.03 : x0 + 0.03, 0.86, 0.05, 0.018, 1, Furniture.BRASS);
    }
  }

  private static Material suitcase() {
    return Materials.paint(0.16, 0.075, 0.035, 0.035, 0.3);
  }

  /** A single bed along z, its head towards the knee wall. */
  private static void bed(Mesh m) {
    double w = 0.5;
    for (double z : new double[] {0.72, 2.78}) {
      double h = z < 1 ? 0.98 : 0.66;
      for (int s = -1; s <= 1; s += 2) {
        m.box(s * w - 0.03, 0, z - 0.03, s * w + 0.03, h, z + 0.03, 0.01, PINE_UPRIGHT);
        m.ball(s * w, h + 0.03, z, 0.036, 1, PINE_UPRIGHT);
      }
      for (double y : new double[] {0.32, h - 0.09}) {
        m.box(-w, y, z - 0.015, w, y + 0.07, z + 0.015, 0.008, PINE);
      }
      for (int i = -3; i <= 3; i++) {
        m.rod(
            new double[] {i * 0.13, 0.36, z},
            new double[] {i * 0.13, h - 0.05, z},
            0.011,
            14,
            PINE_UPRIGHT);
      }
    }
    for (int s = -1; s <= 1; s += 2) {
      m.box(s * w - 0.015, 0.26, 0.72, s * w + 0.015, 0.38, 2.78, 0.008, PINE);
    }
    Furniture.cushion(m, 0, 0.44, 1.75, 0.48, 0.12, 1.0, LINEN);
    Material quilt = Textiles.quilt();
    m.sheet(
        (u, v) -> {
          double x = (u - 0.5) * 1.36;
          double over = Math.max(0, Math.abs(x) - 0.48);
          double flat = Math.signum(x) * Math.min(0.50, Math.abs(x)) + Math.signum(x) * 0.10 * over;
          double y =
              0.575
                  - over * 0.92
                  + 0.012 * Math.sin(9 * u + 4 * v) * Math.sin(7 * v)
                  + 0.02 * Math.sin(14 * v) * over;
          return new double[] {flat + 0.02 * Math.sin(16 * v) * over, y, 1.32 + 1.42 * v};
        },
        60,
        50,
        quilt);
    Furniture.cushion(m.at(-0.02, 0.66, 1.02, 0), 0, 0, 0, 0.33, 0.10, 0.22, LINEN);
    Furniture.cushion(m.at(0.04, 0.80, 0.92, 12), 0, 0, 0, 0.30, 0.16, 0.10, LINEN);
  }

  private static void pieces(Mesh m) {
    m.box(
        -0.95,
        0,
        1.75,
        0.85,
        0.012,
        3.0,
        0.004,
        Textiles.rug(-0.05, 2.37, 0.9, 0.62, Textiles.pale()));
    Furniture.chair(m.at(-0.62, 0, 1.05, 152), PINE_UPRIGHT, Textiles.cloth(0.2, 0.24, 0.2, 400));
    // a night table with a lamp that is off, a book and a glass
    Mesh table = m.at(0.98, 0, 0.92, 0);
    table.box(-0.19, 0.52, -0.19, 0.19, 0.55, 0.19, 0.008, PINE);
    table.box(-0.17, 0.40, -0.17, 0.17, 0.52, 0.17, 0.004, PINE);
    table.ball(0, 0.46, 0.185, 0.013, 1, Furniture.BRASS);
    for (int sx = -1; sx <= 1; sx += 2) {
      for (int sz = -1; sz <= 1; sz += 2) {
        table.rod(
            new double[] {sx * 0.16, 0, sz * 0.16},
            new double[] {sx * 0.155, 0.42, sz * 0.155},
            0.017,
            14,
            PINE_UPRIGHT);
      }
    }
    table
        .at(-0.03, 0.55, -0.04, 0)
        .lathe(
            new double[] {0, 0, 0.06, 0, 0.075, 0.04, 0.06, 0.10, 0.02, 0.15, 0.012, 0.22, 0, 0.22},
            36,
            Materials.paint(0.12, 0.22, 0.25, 0.05, 0.1));
    table
        .at(-0.03, 0.74, -0.04, 0)
        .lathe(new double[] {0.13, 0, 0.085, 0.17}, 48, Textiles.cloth(0.62, 0.58, 0.48, 500));
    table
        .at(0.10, 0.55, 0.09, 20)
        .box(-0.06, 0, -0.08, 0.06, 0.03, 0.08, 0.004, Materials.book(0.23, 0.05, 0.04, 6, 0, 1));
    Furniture.framed(
        m.at(SIDE, 0, 0, -90).at(2.9, 1.2, 0, 0), 0.5, 0.64, Materials.chart(52, true), PINE);
    Joinery.socket(m.at(1.45, 0.25, KNEE_Z, 0));
    Joinery.lightSwitch(m.at(SIDE, 0, 0, -90).at(3.9, 1.25, 0, 0));
    m.at(-1.0, 0.0, 3.35, 24).box(-0.2, 0, -0.13, 0.2, 0.035, 0.13, 0.004, suitcase());
  }
}
