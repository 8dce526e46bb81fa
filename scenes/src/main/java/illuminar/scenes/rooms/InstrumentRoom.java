package illuminar.scenes.rooms;

import illuminar.scenes.geometry.Mesh;
import illuminar.scenes.geometry.Vec;
import illuminar.scenes.light.Bulb;
import illuminar.scenes.light.Disc;
import illuminar.scenes.light.Light;
import illuminar.scenes.light.Panel;
import illuminar.scenes.light.ShadeGlow;
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
 * The Instrument room of Fennick Weather House: noon daylight from a large north window, a desk
 * lamp of 2700 K, two flash umbrellas behind the camera. Light groups: daylight, lamp, flash left,
 * flash right. Metres; the window wall is z = 0, the camera looks towards −z.
 */
public final class InstrumentRoom {
  private static final double LEFT = -2.5;
  private static final double RIGHT = 2.5;
  private static final double BACK = 5.2;
  private static final double HIGH = 2.72;
  private static final double WIN_L = -1.05;
  private static final double WIN_R = 1.05;
  private static final double SILL = 0.92;
  private static final double HEAD = 2.34;
  private static final double REVEAL = -0.30;

  private static final Material WALL = Materials.plaster(0.735, 0.725, 0.685);
  private static final Material WALL_LEFT = Materials.plaster(0.735, 0.725, 0.685);
  private static final Material WALL_RIGHT = Materials.plaster(0.735, 0.725, 0.685);
  private static final Material SHADE = Materials.shade(0.76 + 0.40, 0.76 + 0.60, 0.42);
  private static final Material CEILING = Materials.plaster(0.83, 0.825, 0.805);
  private static final Material JOINERY = Materials.paint(0.80, 0.795, 0.77, 0.035, 0.3);
  private static final Material OAK = Materials.wood(0.40, 0.235, 0.11, 0, 0.04, 0.3);
  private static final Material OAK_UPRIGHT = Materials.wood(0.40, 0.235, 0.11, 1, 0.04, 0.3);
  private static final Material WALNUT = Materials.wood(0.20, 0.105, 0.05, 0, 0.04, 0.22);
  private static final Material WALNUT_UPRIGHT = Materials.wood(0.20, 0.105, 0.05, 1, 0.04, 0.22);

  private InstrumentRoom() {}

  /** Builds the room. */
  public static Scene scene() {
    Outdoors heath =
        new Backdrop(
            new Heath(-0.9f, 0.00012f), 0.55f, 1.30f, 5.0f, -0.34f, 0.12f, -0.09f, 0.22f, 1400);
    Mesh mesh = new Mesh();
    shell(mesh);
    window(mesh);
    desk(mesh.at(-1.62, 0, 1.02, 0));
    shelves(mesh.at(RIGHT, 0, 0.55, -90));
    pieces(mesh);
    charts(mesh);
    float[] warm = Tint.planck(2700);
    float[] flash = Tint.daylight(5500);
    Vec lamp = LAMP_FOOT;
    List<Light> lights =
        List.of(
            Panel.opening(
                0,
                Vec.of(WIN_L, SILL, REVEAL + 0.01),
                Vec.of(WIN_R - WIN_L, 0, 0),
                Vec.of(0, HEAD - SILL, 0),
                heath),
            new Bulb(1, Vec.of(lamp.x(), lamp.y() + 0.49, lamp.z()), 0.03f, warm, 0.030f),
            new ShadeGlow(
                1, Vec.of(lamp.x(), lamp.y() + 0.40, lamp.z()), 0.165f, 0.095f, 0.20f, warm, 0.42f),
            new Disc(
                2, Vec.of(-1.9, 2.25, 5.0), Vec.of(0.42, -0.28, -0.86).unit(), 0.5f, flash, 0.62f),
            new Disc(
                3,
                Vec.of(1.95, 2.25, 5.0),
                Vec.of(-0.42, -0.25, -0.86).unit(),
                0.5f,
                flash,
                0.62f));
    return Scene.room(
            "instrument-room",
            mesh,
            new Scene.Lighting(
                List.of("daylight", "lamp", "flash-left", "flash-right"),
                lights,
                new Scene.Glow(1, warm)),
            heath,
            new Scene.Eye(Vec.of(0.55, 1.30, 5.0), -7, 0, 74))
        .part("wall-left", WALL_LEFT)
        .part("wall-right", WALL_RIGHT)
        .part("wall-window", WALL)
        .part("ceiling", CEILING)
        .part("lamp", SHADE);
  }

  private static final Vec LAMP_FOOT = Vec.of(-2.02, 0.76, 0.95);

  private static void shell(Mesh m) {
    m.box(LEFT, -0.1, -0.02, RIGHT, 0, BACK, Materials.boards());
    m.box(LEFT, HIGH, -0.4, RIGHT, HIGH + 0.1, BACK, CEILING);
    m.box(LEFT - 0.1, -0.1, -0.4, LEFT, HIGH, BACK, WALL_LEFT);
    m.box(RIGHT, -0.1, -0.4, RIGHT + 0.1, HIGH, BACK, WALL_RIGHT);
    m.box(LEFT, -0.1, BACK, RIGHT, HIGH, BACK + 0.1, WALL);
    // window wall round the opening, as thick as the reveal
    m.box(LEFT, -0.1, REVEAL, WIN_L, HIGH, 0, WALL);
    m.box(WIN_R, -0.1, REVEAL, RIGHT, HIGH, 0, WALL);
    m.box(WIN_L, -0.1, REVEAL, WIN_R, SILL - 0.03, 0, WALL);
    m.box(WIN_L, HEAD, REVEAL, WIN_R, HIGH, 0, WALL);
    skirting(m);
    cornice(m);
  }

  private static void skirting(Mesh m) {
    double h = 0.16;
    m.box(LEFT, 0, 0, RIGHT, h, 0.018, 0.006, JOINERY);
    m.box(LEFT, 0, 0.018, LEFT + 0.018, h, BACK, 0.006, JOINERY);
    m.box(RIGHT - 0.018, 0, 0.018, RIGHT, h, BACK, 0.006, JOINERY);
    m.box(LEFT, 0, 0.018, RIGHT, 0.022, 0.034, 0.008, JOINERY);
    m.box(LEFT + 0.018, 0, 0.018, LEFT + 0.034, 0.022, BACK, 0.008, JOINERY);
    m.box(RIGHT - 0.034, 0, 0.018, RIGHT - 0.018, 0.022, BACK, 0.008, JOINERY);
    // a double socket by the shelves
    m.box(1.52, 0.30, 0, 1.67, 0.385, 0.009, 0.004, Materials.paint(0.78, 0.78, 0.76, 0.04, 0.2));
    for (double x = 1.545; x < 1.64; x += 0.065) {
      m.box(x, 0.32, 0.0085, x + 0.03, 0.35, 0.0102, Materials.paint(0.07, 0.07, 0.07, 0.04, 0.3));
    }
  }

  private static void cornice(Mesh m) {
    double[][] steps = {{0.10, 0.03}, {0.07, 0.06}, {0.04, 0.09}};
    for (double[] s : steps) {
      m.box(LEFT, HIGH - s[0], 0, RIGHT, HIGH, s[1], 0.008, CEILING);
      m.box(LEFT, HIGH - s[0], 0, LEFT + s[1], HIGH, BACK, 0.008, CEILING);
      m.box(RIGHT - s[1], HIGH - s[0], 0, RIGHT, HIGH, BACK, 0.008, CEILING);
    }
  }

  private static void window(Mesh m) {
    double z0 = -0.235;
    double z1 = -0.165;
    double f = 0.062;
    m.box(WIN_L - 0.06, SILL - 0.035, REVEAL, WIN_R + 0.06, SILL, 0.055, 0.008, JOINERY);
    m.box(WIN_L, SILL, z0, WIN_L + f, HEAD, z1, 0.006, JOINERY);
    m.box(WIN_R - f, SILL, z0, WIN_R, HEAD, z1, 0.006, JOINERY);
    m.box(WIN_L, SILL, z0, WIN_R, SILL + f, z1, 0.006, JOINERY);
    m.box(WIN_L, HEAD - f, z0, WIN_R, HEAD, z1, 0.006, JOINERY);
    double w = (WIN_R - WIN_L - 2 * f) / 3;
    for (int i = 1; i < 3; i++) {
      double x = WIN_L + f + i * w;
      m.box(x - 0.042, SILL + f, z0, x + 0.042, HEAD - f, z1, 0.006, JOINERY);
    }
    double bar = 0.0125;
    double rise = HEAD - SILL - 2 * f;
    for (int i = 0; i < 3; i++) {
      double a = WIN_L + f + i * w + (i == 0 ? 0 : 0.042);
      double b = WIN_L + f + (i + 1) * w - (i == 2 ? 0 : 0.042);
      double mid = (a + b) / 2;
      m.box(mid - bar, SILL + f, -0.215, mid + bar, HEAD - f, -0.180, 0.004, JOINERY);
      for (int k = 1; k < 3; k++) {
        double y = SILL + f + rise * k / 3;
        m.box(a, y - bar, -0.215, b, y + bar, -0.180, 0.004, JOINERY);
      }
    }
    // catches
    for (int i = 0; i < 3; i++) {
      double x = WIN_L + f + (i + 0.86) * w;
      m.box(x, 1.52, z1, x + 0.014, 1.64, z1 + 0.02, 0.004, Furniture.BRASS);
    }
    Material linen = Textiles.cloth(0.40, 0.44, 0.43, 700);
    Material pole = Furniture.BRASS;
    m.rod(new double[] {-1.62, 2.47, 0.09}, new double[] {1.62, 2.47, 0.09}, 0.013, 20, pole);
    m.ball(-1.63, 2.47, 0.09, 0.027, 1, pole);
    m.ball(1.63, 2.47, 0.09, 0.027, 1, pole);
    Furniture.curtain(m.at(-1.56, 2.46, 0.09, 0), 0.50, 2.42, 6, linen);
    Furniture.curtain(m.at(1.06, 2.46, 0.09, 0), 0.50, 2.42, 6, linen);
    Furniture.radiator(m.at(-0.72, 0, 0.13, 0), 1.44, 0.68, JOINERY);
    Furniture.plant(m.at(0.74, SILL, -0.05, 0), 0.75, 22, 4);
    m.at(0.30, SILL, -0.05, 30)
        .box(-0.09, 0, -0.06, 0.09, 0.03, 0.06, 0.004, Materials.book(0.24, 0.06, 0.04, 3, 0, 1));
    m.at(0.31, SILL + 0.03, -0.05, 12)
        .box(
            -0.085,
            0,
            -0.058,
            0.085,
            0.022,
            0.058,
            0.004,
            Materials.book(0.05, 0.09, 0.07, 8, 0, 1));
  }

  private static void desk(Mesh m) {
    m.box(-0.78, 0.72, -0.62, 0.62, 0.76, 0.36, 0.012, OAK);
    m.box(-0.74, 0.60, -0.58, 0.58, 0.72, 0.32, 0.004, OAK);
    for (int i = 0; i < 2; i++) {
      double x = -0.64 + i * 0.62;
      m.box(x, 0.615, 0.318, x + 0.54, 0.705, 0.332, 0.006, OAK);
      m.ball(x + 0.27, 0.66, 0.345, 0.014, 1, Furniture.BRASS);
    }
    for (int sx = -1; sx <= 1; sx += 2) {
      for (int sz = -1; sz <= 1; sz += 2) {
        m.at(-0.08 + sx * 0.60, 0, -0.13 + sz * 0.40, 0)
            .lathe(
                new double[] {
                  0, 0, 0.022, 0, 0.03, 0.03, 0.02, 0.07, 0.033, 0.30, 0.024, 0.50, 0.034, 0.54,
                  0.034, 0.62, 0, 0.62
                },
                28,
                OAK_UPRIGHT);
      }
    }
    lamp(m.at(-0.40, 0.76, -0.07, 0));
    // an open log book, a cup, pencils, papers, a glass-less barometer
    Material paper = Materials.paint(0.72, 0.68, 0.57, 0.02, 0.4);
    Mesh log = m.at(0.12, 0.76, 0.08, 8);
    log.sheet(
        (u, v) ->
            new double[] {
              -0.21 * u, 0.012 + 0.018 * Math.sin(Math.PI * Math.pow(u, 0.6)), 0.28 * (v - 0.5)
            },
        16,
        2,
        lined(paper));
    log.sheet(
        (u, v) ->
            new double[] {
              0.21 * u, 0.012 + 0.018 * Math.sin(Math.PI * Math.pow(u, 0.6)), 0.28 * (v - 0.5)
            },
        16,
        2,
        lined(paper));
    log.box(
        -0.222,
        0,
        -0.148,
        0.222,
        0.008,
        0.148,
        0.003,
        Materials.paint(0.06, 0.035, 0.03, 0.03, 0.4));
    m.at(0.44, 0.76, -0.12, 0)
        .lathe(
            new double[] {
              0, 0, 0.036, 0, 0.04, 0.012, 0.04, 0.092, 0.036, 0.092, 0.036, 0.02, 0, 0.02
            },
            36,
            Materials.paint(0.035, 0.085, 0.16, 0.05, 0.08));
    Mesh pens = m.at(0.42, 0.76, -0.36, 0);
    pens.lathe(
        new double[] {0, 0, 0.038, 0, 0.038, 0.10, 0.034, 0.10, 0.034, 0.01, 0, 0.01},
        32,
        Furniture.BRASS);
    double[][] tips = {{0.02, 0.01}, {-0.025, 0.012}, {0.006, -0.024}, {0.028, -0.012}};
    Material[] wood = {
      Materials.paint(0.5, 0.3, 0.04, 0.04, 0.2),
      Materials.paint(0.35, 0.04, 0.03, 0.04, 0.2),
      OAK_UPRIGHT,
      Materials.paint(0.03, 0.10, 0.07, 0.04, 0.2)
    };
    for (int i = 0; i < 4; i++) {
      pens.rod(
          new double[] {-tips[i][0] * 0.6, 0.012, -tips[i][1] * 0.6},
          new double[] {tips[i][0] * 1.5, 0.17 + 0.012 * i, tips[i][1] * 1.5},
          0.0036,
          8,
          wood[i]);
    }
    Instruments.barograph(m.at(0.02, 0.76, -0.38, 6), WALNUT);
    m.at(-0.62, 0.76, 0.18, 14)
        .box(-0.11, 0, -0.15, 0.11, 0.035, 0.15, 0.004, Materials.book(0.04, 0.07, 0.12, 12, 0, 1));
    m.at(-0.61, 0.795, 0.18, 3)
        .box(-0.10, 0, -0.14, 0.10, 0.03, 0.14, 0.004, Materials.book(0.30, 0.19, 0.08, 13, 0, 1));
    m.at(-0.60, 0.825, 0.17, 22)
        .box(
            -0.085,
            0,
            -0.12,
            0.085,
            0.022,
            0.12,
            0.004,
            Materials.book(0.22, 0.05, 0.04, 14, 0, 1));
    Furniture.chair(
        m.at(0.16, 0, 0.66, -14), WALNUT_UPRIGHT, Textiles.cloth(0.16, 0.24, 0.24, 500));
  }

  private static Material lined(Material paper) {
    return p -> {
      paper.shade(p);
      float line = p.z * 110;
      if (Math.abs(line - Math.round(line)) < 0.16f
          && illuminar.scenes.material.Noise.value(p.x * 70, 0, (float) Math.floor(line) * 3)
              > 0.4f) {
        p.r *= 0.45f;
        p.g *= 0.47f;
        p.b *= 0.58f;
      }
    };
  }

  private static void lamp(Mesh m) {
    m.lathe(
        new double[] {
          0, 0, 0.085, 0, 0.085, 0.012, 0.06, 0.025, 0.018, 0.05, 0.013, 0.12, 0.022, 0.15, 0.013,
          0.18, 0.011, 0.42, 0, 0.42
        },
        40,
        Furniture.BRASS);
    m.lathe(new double[] {0.165, 0.40, 0.095, 0.60}, 72, SHADE);
    m.lathe(new double[] {0.0125, 0.42, 0.02, 0.44, 0.02, 0.455, 0, 0.455}, 20, Furniture.BRASS);
  }

  private static void shelves(Mesh m) {
    double w = 2.25;
    double deep = 0.30;
    double high = 2.18;
    m.box(0, 0, 0, w, 0.09, deep - 0.03, OAK);
    for (double x : new double[] {0, w / 2 - 0.012, w - 0.024}) {
      m.box(x, 0.09, 0, x + 0.024, high, deep, 0.003, OAK_UPRIGHT);
    }
    m.box(0, 0.0, 0, w, high, 0.012, OAK_UPRIGHT);
    double[] boards = {0.09, 0.52, 0.88, 1.23, 1.57, 1.88};
    for (double y : boards) {
      m.box(0, y, 0, w, y + 0.024, deep - 0.006, 0.003, OAK);
    }
    m.box(-0.02, high, 0, w + 0.02, high + 0.035, deep + 0.02, 0.008, OAK);
    double bay = w / 2 - 0.036;
    int seed = 1;
    for (int side = 0; side < 2; side++) {
      double x = side == 0 ? 0.028 : w / 2 + 0.016;
      for (int i = 0; i < boards.length; i++) {
        double room = (i + 1 < boards.length ? boards[i + 1] : high) - boards[i] - 0.03;
        double share = (i + side) % 2 == 0 ? bay * 0.56 : bay;
        if (i == 3 && side == 0 || i == 2 && side == 1) {
          share = 0;
        }
        double from = (i % 3 == 1 && share < bay) ? x + bay - share : x;
        Furniture.books(
            m.at(from, boards[i] + 0.024, deep - 0.05, 0), share, Math.min(0.30, room), seed++);
      }
    }
    Instruments.globe(m.at(0.30, 1.254, 0.15, 30), WALNUT);
    Instruments.anemometer(m.at(0.76, 1.254, 0.16, 0), WALNUT);
    Instruments.barograph(m.at(1.48, 0.904, 0.16, 0), WALNUT);
    m.at(1.92, 0.904, 0.15, 0)
        .lathe(
            new double[] {
              0, 0, 0.07, 0, 0.085, 0.05, 0.10, 0.12, 0.06, 0.2, 0.045, 0.24, 0.06, 0.26, 0.052,
              0.26, 0.035, 0.24, 0, 0.2
            },
            44,
            Materials.paint(0.09, 0.17, 0.19, 0.05, 0.1));
    m.at(0.85, 0.114, 0.15, 0)
        .lathe(
            new double[] {0, 0, 0.09, 0, 0.11, 0.08, 0.08, 0.2, 0.07, 0.24, 0.06, 0.24, 0, 0.1},
            44,
            Materials.paint(0.55, 0.46, 0.33, 0.04, 0.25));
    m.at(0.80, 0.91, 0.14, 0)
        .lathe(
            new double[] {
              0, 0, 0.06, 0, 0.06, 0.02, 0.025, 0.04, 0.02, 0.15, 0.05, 0.17, 0.05, 0.2, 0, 0.2
            },
            36,
            Furniture.BRASS);
    m.at(1.95, 1.60, 0.15, 0)
        .lathe(
            new double[] {0, 0, 0.055, 0, 0.07, 0.06, 0.04, 0.14, 0.05, 0.17, 0.042, 0.17, 0, 0.06},
            36,
            Materials.paint(0.32, 0.09, 0.06, 0.05, 0.15));
    m.at(0.5, high + 0.035, 0.15, 10).box(-0.2, 0, -0.1, 0.2, 0.16, 0.1, 0.006, WALNUT);
    m.at(1.2, high + 0.035, 0.15, -8)
        .box(-0.16, 0, -0.1, 0.16, 0.10, 0.1, 0.006, Materials.paint(0.10, 0.15, 0.13, 0.04, 0.3));
    Furniture.plant(m.at(1.95, high + 0.035, 0.16, 0), 0.62, 20, 9);
  }

  private static void pieces(Mesh m) {
    m.box(
        -1.15,
        0,
        1.35,
        1.25,
        0.012,
        3.05,
        0.004,
        Textiles.rug(0.05, 2.2, 1.20, 0.85, Textiles.red()));
    Instruments.telescope(m.at(1.33, 0, 0.62, 148), WALNUT_UPRIGHT);
    armchair(m.at(1.42, 0.012, 1.95, 52));
    // a low chest with a folded blanket, against the left wall
    Mesh chest = m.at(-2.22, 0, 3.05, 0);
    chest.box(-0.24, 0.03, -0.5, 0.24, 0.42, 0.5, 0.012, WALNUT);
    chest.box(-0.26, 0.42, -0.52, 0.26, 0.46, 0.52, 0.014, WALNUT);
    chest.box(0.242, 0.27, -0.05, 0.252, 0.35, 0.05, 0.004, Furniture.BRASS);
    Material wool = Textiles.cloth(0.52, 0.35, 0.13, 300);
    for (int i = 0; i < 3; i++) {
      chest.box(-0.19, 0.46 + i * 0.034, -0.28, 0.19, 0.493 + i * 0.034, 0.16, 0.016, wool);
    }
  }

  private static void armchair(Mesh m) {
    Material cover = Textiles.cloth(0.165, 0.235, 0.255, 260);
    Material legs = WALNUT_UPRIGHT;
    for (int sx = -1; sx <= 1; sx += 2) {
      for (int sz = -1; sz <= 1; sz += 2) {
        m.at(sx * 0.30, 0, sz * 0.30, 0)
            .lathe(new double[] {0, 0, 0.016, 0, 0.026, 0.16, 0, 0.16}, 20, legs);
      }
      Furniture.cushion(m, sx * 0.365, 0.42, 0.0, 0.085, 0.19, 0.40, cover);
    }
    m.box(-0.36, 0.15, -0.36, 0.36, 0.32, 0.36, 0.03, cover);
    Furniture.cushion(m, 0, 0.39, -0.05, 0.29, 0.085, 0.34, cover);
    Mesh back = m.at(0, 0, 0.0, 0);
    back.sheet(
        (u, v) -> {
          double a = 2 * Math.PI * u;
          double x = 0.36 * Furniture.rounded(Math.cos(a), 0.35);
          double y = 0.62 + 0.36 * Furniture.rounded(Math.sin(a), 0.35);
          double puff = 0.105 * Math.pow(Math.sin(Math.PI * v), 0.6) * Math.signum(v - 0.5 + 1e-9);
          double in = v < 0.5 ? v * 2 : (1 - v) * 2;
          double shrink = Math.pow(in, 0.4);
          double lean = 0.32 + 0.16 * (y - 0.4);
          return new double[] {
            x * shrink,
            0.62 + (y - 0.62) * shrink,
            lean
                + (v < 0.5 ? -1 : 1) * 0.09 * Math.sqrt(Math.max(0, 1 - shrink * shrink * 0.96))
                + puff * 0
          };
        },
        72,
        40,
        cover);
    Furniture.cushion(
        m.at(0.02, 0, 0.16, 0),
        0,
        0.60,
        0,
        0.20,
        0.17,
        0.07,
        Textiles.cloth(0.50, 0.33, 0.10, 300));
  }

  private static void charts(Mesh m) {
    Mesh left = m.at(LEFT, 0, 0, 90);
    Furniture.framed(left.at(-2.02, 1.22, 0, 0), 0.78, 0.98, Materials.chart(2, true), WALNUT);
    Furniture.framed(left.at(-3.02, 1.34, 0, 0), 0.66, 0.84, Materials.chart(6, true), WALNUT);
    Furniture.framed(left.at(-3.95, 1.24, 0, 0), 0.62, 0.48, Materials.chart(11, true), OAK);
    Furniture.framed(left.at(-3.95, 1.80, 0, 0), 0.62, 0.42, Materials.chart(15, true), OAK);
    Mesh dial = m.at(-1.92, 1.78, 0, 0);
    round(dial, 0.17, Materials.dial(-1.92, 1.78, 0.14, 2.1));
    Mesh small = m.at(1.83, 1.70, 0, 0);
    round(small, 0.12, Materials.dial(1.83, 1.70, 0.10, 0.9));
    small.box(-0.045, -0.62, 0, 0.045, -0.13, 0.02, 0.008, WALNUT_UPRIGHT);
    small.box(
        -0.018, -0.58, 0.019, 0.018, -0.19, 0.022, Materials.paint(0.80, 0.78, 0.70, 0.04, 0.1));
    small.rod(
        new double[] {0, -0.56, 0.025},
        new double[] {0, -0.22, 0.025},
        0.003,
        8,
        Materials.paint(0.42, 0.03, 0.02, 0.05, 0.1));
  }

  /** A round instrument on a wall that faces +z: turned rim and dial. */
  private static void round(Mesh m, double radius, Material dial) {
    m.sheet(
        (u, v) -> {
          double a = 2 * Math.PI * u;
          double b = Math.PI * v;
          double r = radius * (0.92 - 0.09 * Math.cos(b));
          return new double[] {r * Math.cos(a), r * Math.sin(a), 0.012 + 0.04 * Math.sin(b)};
        },
        72,
        12,
        WALNUT);
    m.sheet(
        (u, v) -> {
          double a = 2 * Math.PI * u;
          double r = radius * 0.86 * v;
          return new double[] {r * Math.cos(a), r * Math.sin(a), 0.018};
        },
        72,
        1,
        dial);
  }
}
