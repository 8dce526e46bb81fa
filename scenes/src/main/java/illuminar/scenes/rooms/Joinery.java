package illuminar.scenes.rooms;

import illuminar.scenes.geometry.Mesh;
import illuminar.scenes.material.Material;
import illuminar.scenes.material.Materials;

/**
 * What is built into walls. A wall is built in a mesh of its own: x along it, y up, z out of it
 * towards the room.
 */
public final class Joinery {
  /** White oil paint. */
  static final Material WHITE = white();

  private Joinery() {}

  /** White oil paint of its own, so that what is painted with it can be a named part. */
  public static Material white() {
    return Materials.paint(0.80, 0.795, 0.77, 0.035, 0.3);
  }

  /** A hole in a wall, metres. */
  public record Hole(double x0, double y0, double x1, double y1) {
    public double wide() {
      return x1 - x0;
    }

    public double high() {
      return y1 - y0;
    }
  }

  /** A wall from x0 to x1 behind z = 0, with holes that do not lie above one another. */
  public static void wall(
      Mesh m, double x0, double x1, double high, double thick, Material of, Hole... holes) {
    double x = x0;
    for (Hole h : holes) {
      m.box(x, -0.1, -thick, h.x0, high, 0, of);
      if (h.y0 > 0) {
        m.box(h.x0, -0.1, -thick, h.x1, h.y0, 0, of);
      }
      m.box(h.x0, h.y1, -thick, h.x1, high, 0, of);
      x = h.x1;
    }
    m.box(x, -0.1, -thick, x1, high, 0, of);
  }

  /** A moulded skirting board. */
  static void skirting(Mesh m, double x0, double x1, Material of) {
    m.box(x0, 0, 0, x1, 0.14, 0.018, 0.005, of);
    m.box(x0, 0.135, 0, x1, 0.155, 0.012, 0.005, of);
    m.box(x0, 0, 0.016, x1, 0.02, 0.032, 0.008, of);
  }

  /** A moulding under the ceiling. */
  public static void cornice(Mesh m, double x0, double x1, double high, Material of) {
    m.box(x0, high - 0.09, 0, x1, high, 0.03, 0.008, of);
    m.box(x0, high - 0.06, 0, x1, high, 0.06, 0.008, of);
    m.box(x0, high - 0.03, 0, x1, high, 0.09, 0.008, of);
  }

  /** A casing round three sides of a door hole, or four of a window's. */
  public static void casing(Mesh m, Hole h, Material of) {
    double w = 0.085;
    for (double[] step : new double[][] {{w, 0.018}, {w * 0.6, 0.028}}) {
      m.box(h.x0 - step[0], h.y0, 0, h.x0, h.y1 + step[0], step[1], 0.006, of);
      m.box(h.x1, h.y0, 0, h.x1 + step[0], h.y1 + step[0], step[1], 0.006, of);
      m.box(h.x0, h.y1, 0, h.x1, h.y1 + step[0], step[1], 0.006, of);
    }
  }

  /** Sashes with glazing bars in a hole, {@code back} metres behind the wall's face, and a sill. */
  public static void sashes(Mesh m, Hole h, int across, int down, double back, Material of) {
    double f = 0.055;
    double z0 = -back - 0.05;
    double z1 = -back;
    m.box(h.x0, h.y0, z0, h.x0 + f, h.y1, z1, 0.006, of);
    m.box(h.x1 - f, h.y0, z0, h.x1, h.y1, z1, 0.006, of);
    m.box(h.x0, h.y0, z0, h.x1, h.y0 + f, z1, 0.006, of);
    m.box(h.x0, h.y1 - f, z0, h.x1, h.y1, z1, 0.006, of);
    double middle = (h.y0 + h.y1) / 2;
    m.box(h.x0, middle - 0.022, z0, h.x1, middle + 0.022, z1 + 0.006, 0.006, of);
    double bar = 0.011;
    for (int i = 1; i < across; i++) {
      double x = h.x0 + f + (h.x1 - h.x0 - 2 * f) * i / across;
      m.box(x - bar, h.y0 + f, z0 + 0.012, x + bar, h.y1 - f, z1 - 0.01, 0.004, of);
    }
    for (int k = 1; k < down; k++) {
      double y = h.y0 + f + (h.y1 - h.y0 - 2 * f) * k / down;
      if (2 * k != down) {
        m.box(h.x0 + f, y - bar, z0 + 0.012, h.x1 - f, y + bar, z1 - 0.01, 0.004, of);
      }
    }
    m.box(h.x0 - 0.05, h.y0 - 0.035, -back - 0.06, h.x1 + 0.05, h.y0, 0.045, 0.008, of);
  }

  /** A six-panelled door leaf from x = 0 to {@code w}, its face at z = 0.04. */
  public static void door(Mesh m, double w, double h, Material of) {
    m.box(0, 0.005, 0, w, h, 0.04, 0.003, of);
    double[] rows = {0.20, 0.78, 0.98, 1.52, 1.62, h - 0.12};
    double side = 0.11;
    double mid = w / 2;
    for (int r = 0; r < 6; r += 2) {
      for (int k = 0; k < 2; k++) {
        double x0 = k == 0 ? side : mid + 0.05;
        double x1 = k == 0 ? mid - 0.05 : w - side;
        frame(m, x0, rows[r], x1, rows[r + 1], of);
      }
    }
    m.ball(w - 0.06, 1.0, 0.085, 0.027, 1, Furniture.BRASS);
    m.rod(
        new double[] {w - 0.06, 1.0, 0.04},
        new double[] {w - 0.06, 1.0, 0.085},
        0.009,
        16,
        Furniture.BRASS);
    m.box(w - 0.085, 0.90, 0.039, w - 0.035, 1.06, 0.043, 0.002, Furniture.BRASS);
  }

  private static void frame(Mesh m, double x0, double y0, double x1, double y1, Material of) {
    double t = 0.014;
    m.box(x0, y0, 0.038, x1, y0 + t, 0.05, 0.004, of);
    m.box(x0, y1 - t, 0.038, x1, y1, 0.05, 0.004, of);
    m.box(x0, y0, 0.038, x0 + t, y1, 0.05, 0.004, of);
    m.box(x1 - t, y0, 0.038, x1, y1, 0.05, 0.004, of);
    m.box(x0 + 0.05, y0 + 0.05, 0.036, x1 - 0.05, y1 - 0.05, 0.046, 0.006, of);
  }

  /** A double socket, its lower left corner at the origin. */
  static void socket(Mesh m) {
    m.box(0, 0, 0, 0.146, 0.086, 0.009, 0.004, Materials.paint(0.78, 0.78, 0.76, 0.04, 0.2));
    for (double x = 0.026; x < 0.12; x += 0.065) {
      m.box(x, 0.022, 0.0085, x + 0.03, 0.05, 0.0102, Furniture.IRON);
    }
  }

  /** A light switch, its centre at the origin. */
  static void lightSwitch(Mesh m) {
    m.box(
        -0.043, -0.043, 0, 0.043, 0.043, 0.008, 0.004, Materials.paint(0.8, 0.8, 0.78, 0.04, 0.2));
    m.box(-0.008, -0.015, 0.006, 0.008, 0.015, 0.014, 0.003, WHITE);
  }
}
