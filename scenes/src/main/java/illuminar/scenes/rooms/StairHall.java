package illuminar.scenes.rooms;

import illuminar.scenes.geometry.Mesh;
import illuminar.scenes.geometry.Vec;
import illuminar.scenes.light.Panel;
import illuminar.scenes.material.Material;
import illuminar.scenes.material.Materials;
import illuminar.scenes.material.OutdoorMaterials;
import illuminar.scenes.material.Textiles;
import illuminar.scenes.outdoors.Backdrop;
import illuminar.scenes.outdoors.Heath;
import illuminar.scenes.outdoors.Outdoors;
import illuminar.scenes.render.Scene;
import java.util.List;

/**
 * The Stair hall: a dark hall with a straight flight of stairs up to a landing with a bright
 * window. The camera looks up a little, towards −z; the landing's window is at z = −2.
 */
public final class StairHall {
  /** How far the camera looks up, degrees. */
  public static final double PITCH = 8;

  private static final double LEFT = -1.35;
  private static final double RIGHT = 1.45;
  private static final double BACK = 6.2;
  private static final double END = -2.0;
  private static final double HIGH = 4.9;
  private static final int STEPS = 13;
  private static final double RISE = 0.176;
  private static final double GOING = 0.245;
  private static final double FOOT = 2.7;
  private static final double STAIR_LEFT = 0.28;
  private static final Joinery.Hole WINDOW = new Joinery.Hole(0.05, 3.0, 1.15, 4.45);

  private static final Material WALL = Materials.plaster(0.66, 0.655, 0.60);
  private static final Material DADO = Materials.paint(0.155, 0.20, 0.185, 0.04, 0.25);
  private static final Material CEILING = Materials.plaster(0.80, 0.795, 0.77);
  private static final Material OAK = Materials.wood(0.26, 0.14, 0.065, 2, 0.04, 0.25);
  private static final Material OAK_UPRIGHT = Materials.wood(0.26, 0.14, 0.065, 1, 0.04, 0.25);
  private static final Material CARPET = Textiles.cloth(0.27, 0.075, 0.06, 260);

  private StairHall() {}

  /** Builds the hall. */
  public static Scene scene() {
    Vec eye = Vec.of(-0.42, 1.45, 5.75);
    Outdoors heath =
        new Backdrop(
            new Heath(-0.9f, 0.0002f), eye.x(), eye.y(), eye.z(), 0.03f, 0.24f, 0.17f, 0.42f, 500);
    Mesh m = new Mesh();
    shell(m);
    stairs(m);
    pieces(m);
    Scene.Lighting lighting =
        new Scene.Lighting(
            List.of("daylight"),
            List.of(
                Panel.opening(
                    0,
                    Vec.of(WINDOW.x0(), WINDOW.y0(), END - 0.22),
                    Vec.of(WINDOW.x1() - WINDOW.x0(), 0, 0),
                    Vec.of(0, WINDOW.y1() - WINDOW.y0(), 0),
                    heath)));
    return Scene.room("stair-hall", m, lighting, heath, new Scene.Eye(eye, 3, PITCH, 66))
        .part("wall", WALL)
        .part("dado", DADO)
        .part("ceiling", CEILING);
  }

  private static void shell(Mesh m) {
    m.box(LEFT, -0.1, END, RIGHT, 0, BACK, OutdoorMaterials.slabs(0.42, 0.42));
    m.box(LEFT - 0.2, HIGH, END - 0.3, RIGHT + 0.2, HIGH + 0.1, BACK + 0.2, CEILING);
    Joinery.wall(m.at(0, 0, END, 0), LEFT, RIGHT, HIGH, 0.24, WALL, WINDOW);
    Joinery.sashes(m.at(0, 0, END, 0), WINDOW, 2, 4, 0.12, Joinery.WHITE);
    Joinery.casing(m.at(0, 0, END, 0), WINDOW, Joinery.WHITE);
    Mesh left = m.at(LEFT, 0, 0, 90);
    Joinery.wall(left, -BACK, -END, HIGH, 0.2, WALL);
    dado(left, -BACK, 2.0);
    Mesh right = m.at(RIGHT, 0, 0, -90);
    Joinery.wall(right, END, BACK, HIGH, 0.2, WALL);
    dado(right, FOOT + 0.2, BACK);
    m.box(LEFT, -0.1, BACK, RIGHT, HIGH, BACK + 0.2, WALL);
    // an upper floor over the near part of the hall
    m.box(LEFT, 2.75, 2.6, STAIR_LEFT - 0.05, 3.0, BACK, CEILING);
    m.box(LEFT, 2.75, 4.4, RIGHT, 3.0, BACK, CEILING);
    Joinery.cornice(left, -BACK, -2.6, 2.75, CEILING);
    // the floor of the landing, carried on to the left
    double top = STEPS * RISE;
    m.box(STAIR_LEFT - 0.1, top - 0.2, END, RIGHT, top, FOOT - STEPS * GOING + 0.02, 0.01, OAK);
    // a door under the landing at the hall's end
    Mesh end = m.at(0, 0, -1.1, 0);
    Joinery.Hole door = new Joinery.Hole(-1.0, 0, -0.12, 2.03);
    Joinery.wall(end, LEFT, STAIR_LEFT, top - 0.2, 0.1, WALL, door);
    Joinery.casing(end, door, Joinery.WHITE);
    Joinery.door(end.at(-1.0, 0, -0.06, 0), 0.88, 2.03, Joinery.WHITE);
    Joinery.skirting(end, LEFT, -1.09, Joinery.WHITE);
  }

  private static void dado(Mesh wall, double x0, double x1) {
    wall.box(x0, 0, 0, x1, 0.98, 0.006, DADO);
    wall.box(x0, 0.98, 0, x1, 1.04, 0.028, 0.01, DADO);
    wall.box(x0, 0, 0, x1, 0.17, 0.02, 0.006, DADO);
    for (double x = x0 + 0.12; x + 0.6 < x1; x += 0.72) {
      double t = 0.02;
      wall.box(x, 0.28, 0, x + 0.6, 0.28 + t, 0.018, 0.005, DADO);
      wall.box(x, 0.86, 0, x + 0.6, 0.86 + t, 0.018, 0.005, DADO);
      wall.box(x, 0.28, 0, x + t, 0.86 + t, 0.018, 0.005, DADO);
      wall.box(x + 0.6 - t, 0.28, 0, x + 0.6, 0.86 + t, 0.018, 0.005, DADO);
    }
  }

  private static void stairs(Mesh m) {
    for (int i = 0; i < STEPS; i++) {
      double z = FOOT - i * GOING;
      double y = (i + 1) * RISE;
      m.box(STAIR_LEFT, y - 0.035, z - GOING - 0.02, RIGHT, y, z + 0.022, 0.010, OAK);
      m.box(STAIR_LEFT, i * RISE - 0.03, z - 0.02, RIGHT, y - 0.02, z, Joinery.WHITE);
      // a runner with brass rods
      m.box(0.52, y - 0.02, z - GOING, 1.22, y + 0.008, z + 0.03, 0.008, CARPET);
      m.box(0.52, i * RISE, z - 0.01, 1.22, y, z + 0.012, 0.004, CARPET);
      m.rod(
          new double[] {0.49, i * RISE + 0.014, z + 0.016},
          new double[] {1.25, i * RISE + 0.014, z + 0.016},
          0.006,
          10,
          Furniture.BRASS);
      for (int k = 0; k < 2; k++) {
        double zz = z - 0.04 - k * GOING / 2;
        double foot = y;
        double head = (FOOT - zz) / GOING * RISE + RISE + 0.80;
        spindle(m.at(STAIR_LEFT + 0.045, foot, zz, 0), head - foot);
      }
    }
    // the string, closed below
    double run = STEPS * GOING;
    double top = STEPS * RISE;
    double[] out = {-1, 0, 0};
    m.quad(
        new double[][] {
          {STAIR_LEFT, 0, FOOT},
          {STAIR_LEFT, 0, FOOT - run},
          {STAIR_LEFT, top - 0.02, FOOT - run},
          {STAIR_LEFT, 0.02, FOOT}
        },
        new double[][] {out, out, out, out},
        Joinery.WHITE);
    Vec up = Vec.of(0, RISE, -GOING).unit();
    double x = STAIR_LEFT + 0.045;
    double[] a = {x, RISE + 0.84 - 0.02, FOOT + 0.03};
    double length = Math.hypot(run, top);
    double[] b = {x, a[1] + up.y() * length, a[2] + up.z() * length};
    m.rod(a, b, 0.031, 24, OAK_UPRIGHT);
    newel(m.at(x, 0, FOOT + 0.05, 0), 1.22);
    newel(m.at(x, top, FOOT - run - 0.03, 0), 1.12);
    m.rod(
        new double[] {x, top + 0.95, FOOT - run},
        new double[] {x, top + 0.95, END},
        0.031,
        24,
        OAK_UPRIGHT);
    for (double z = FOOT - run - 0.15; z > END; z -= 0.125) {
      spindle(m.at(x, top, z, 0), 0.94);
    }
  }

  private static void spindle(Mesh m, double high) {
    m.lathe(
        new double[] {
          0.014,
          0,
          0.014,
          0.12,
          0.009,
          0.15,
          0.016,
          0.24,
          0.010,
          high * 0.55,
          0.013,
          high - 0.14,
          0.009,
          high - 0.1,
          0.012,
          high
        },
        12,
        Joinery.WHITE);
  }

  private static void newel(Mesh m, double high) {
    m.box(-0.05, 0, -0.05, 0.05, 0.42, 0.05, 0.008, OAK_UPRIGHT);
    m.lathe(
        new double[] {0.045, 0.42, 0.03, 0.46, 0.042, 0.6, 0.03, 0.78, 0.045, 0.82, 0, 0.82},
        28,
        OAK_UPRIGHT);
    m.box(-0.05, 0.82, -0.05, 0.05, high - 0.1, 0.05, 0.008, OAK_UPRIGHT);
    m.ball(0, high - 0.04, 0, 0.055, 1, OAK_UPRIGHT);
  }

  private static void pieces(Mesh m) {
    Mesh left = m.at(LEFT, 0, 0, 90);
    Furniture.framed(left.at(-3.3, 1.3, 0.005, 0), 0.6, 0.76, Materials.chart(61, true), OAK);
    Furniture.framed(left.at(-2.3, 1.38, 0.005, 0), 0.44, 0.56, Materials.chart(64, true), OAK);
    Furniture.framed(left.at(-1.2, 1.34, 0.005, 0), 0.5, 0.62, Materials.chart(67, true), OAK);
    // a side table with a bowl and letters, an umbrella stand, coats on hooks
    Mesh table = m.at(LEFT + 0.19, 0, 3.0, 0);
    table.box(-0.17, 0.74, -0.5, 0.17, 0.77, 0.5, 0.01, OAK);
    table.box(-0.15, 0.64, -0.46, 0.15, 0.74, 0.46, 0.004, OAK);
    for (int sx = -1; sx <= 1; sx += 2) {
      for (int sz = -1; sz <= 1; sz += 2) {
        table.rod(
            new double[] {sx * 0.13, 0, sz * 0.44},
            new double[] {sx * 0.135, 0.66, sz * 0.45},
            0.018,
            14,
            OAK_UPRIGHT);
      }
    }
    table
        .at(0, 0.77, -0.2, 0)
        .lathe(
            new double[] {0, 0, 0.05, 0, 0.06, 0.01, 0.12, 0.07, 0.115, 0.07, 0.05, 0.02, 0, 0.02},
            40,
            Materials.paint(0.5, 0.45, 0.36, 0.05, 0.1));
    table
        .at(0.02, 0.77, 0.12, 20)
        .box(-0.08, 0, -0.11, 0.08, 0.012, 0.11, Materials.paint(0.72, 0.70, 0.62, 0.02, 0.4));
    Furniture.plant(table.at(0, 0.77, 0.34, 0), 0.55, 18, 31);
    m.at(LEFT + 0.2, 0, 4.0, 0)
        .lathe(
            new double[] {0, 0, 0.10, 0, 0.105, 0.02, 0.12, 0.5, 0.112, 0.5, 0.1, 0.05, 0, 0.05},
            36,
            Furniture.BRASS);
    double[][] sticks = {{0.03, 0.02}, {-0.04, 0.03}, {0.0, -0.05}};
    for (double[] s : sticks) {
      m.rod(
          new double[] {LEFT + 0.2 + s[0], 0.05, 4.0 + s[1]},
          new double[] {LEFT + 0.2 + 1.8 * s[0], 0.88, 4.0 + 1.8 * s[1]},
          0.012,
          12,
          s[0] > 0 ? OAK_UPRIGHT : Furniture.IRON);
    }
    m.box(
        -0.95, 0, 2.2, -0.05, 0.01, 4.6, 0.004, Textiles.rug(-0.5, 3.4, 0.45, 1.2, Textiles.red()));
    // a lantern that is off
    m.rod(
        new double[] {-0.5, 2.42, 3.6}, new double[] {-0.5, 2.75, 3.6}, 0.006, 10, Furniture.BRASS);
    m.at(-0.5, 2.12, 3.6, 0)
        .lathe(
            new double[] {0, 0, 0.05, 0.01, 0.105, 0.10, 0.10, 0.24, 0.05, 0.30, 0, 0.31},
            36,
            Materials.paint(0.70, 0.68, 0.62, 0.05, 0.15));
    Joinery.lightSwitch(m.at(RIGHT, 0, 0, -90).at(FOOT + 0.65, 1.25, 0, 0));
    Furniture.framed(
        m.at(RIGHT, 0, 0, -90).at(0.9, 2.75, 0, 0), 0.55, 0.7, Materials.chart(71, true), OAK);
  }
}
