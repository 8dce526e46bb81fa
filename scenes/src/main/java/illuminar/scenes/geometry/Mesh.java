package illuminar.scenes.geometry;

import illuminar.scenes.material.Material;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.IdentityHashMap;
import java.util.List;

/**
 * Triangles with smooth normals and materials, and the builders a furniture maker needs. Shapes are
 * placed by the current {@link Frame}; {@link #at} gives a mesh that writes into the same triangles
 * with another frame.
 */
public final class Mesh {
  /** Where a shape stands: turned by {@code yaw} radians round the upright, then moved. */
  public record Frame(Vec origin, double yaw) {
    Vec place(double x, double y, double z) {
      Vec p = turn(x, y, z);
      return p.plus(origin);
    }

    Vec turn(double x, double y, double z) {
      double c = Math.cos(yaw);
      double s = Math.sin(yaw);
      return Vec.of(c * x + s * z, y, -s * x + c * z);
    }
  }

  /** Growing storage shared by all frames of one mesh. */
  private static final class Store {
    float[] position = new float[9 * 4096];
    float[] normal = new float[9 * 4096];
    int[] material = new int[4096];
    int count;
    final List<Material> materials = new ArrayList<>();
    final IdentityHashMap<Material, Integer> index = new IdentityHashMap<>();
  }

  private final Store store;
  private final Frame frame;

  public Mesh() {
    this(new Store(), new Frame(Vec.of(0, 0, 0), 0));
  }

  private Mesh(Store store, Frame frame) {
    this.store = store;
    this.frame = frame;
  }

  /** The same triangles, drawn into from a frame at this place inside the current one. */
  public Mesh at(double x, double y, double z, double yawDegrees) {
    return new Mesh(store, new Frame(frame.place(x, y, z), frame.yaw + Math.toRadians(yawDegrees)));
  }

  /** Height of this frame's origin above the room's floor, metres. */
  public double height() {
    return frame.origin.y();
  }

  /** A new mesh of all triangles but those of one material. */
  public Mesh without(Material left) {
    Mesh out = new Mesh();
    for (int t = 0; t < store.count; t++) {
      Material m = store.materials.get(store.material[t]);
      if (m != left) {
        out.triangle(
            corner(store.position, t, 0),
            corner(store.position, t, 1),
            corner(store.position, t, 2),
            corner(store.normal, t, 0),
            corner(store.normal, t, 1),
            corner(store.normal, t, 2),
            m);
      }
    }
    return out;
  }

  private static double[] corner(float[] of, int triangle, int corner) {
    int at = triangle * 9 + corner * 3;
    return new double[] {of[at], of[at + 1], of[at + 2]};
  }

  public int triangles() {
    return store.count;
  }

  public float[] positions() {
    return Arrays.copyOf(store.position, store.count * 9);
  }

  public float[] normals() {
    return Arrays.copyOf(store.normal, store.count * 9);
  }

  public int[] materialIndex() {
    return Arrays.copyOf(store.material, store.count);
  }

  public Material[] materials() {
    return store.materials.toArray(new Material[0]);
  }

  /** A box between two corners, its edges rounded over by {@code bevel} metres. */
  public void box(
      double x0, double y0, double z0, double x1, double y1, double z1, double bevel, Material m) {
    Box.between(new double[] {x0, y0, z0}, new double[] {x1, y1, z1}, bevel).into(this, m);
  }

  /** A sharp box. */
  public void box(double x0, double y0, double z0, double x1, double y1, double z1, Material m) {
    box(x0, y0, z0, x1, y1, z1, 0, m);
  }

  /** A four-cornered sheet; corners in order, one normal for each. */
  public void quad(double[][] p, double[][] n, Material m) {
    triangle(p[0], p[1], p[2], n[0], n[1], n[2], m);
    triangle(p[0], p[2], p[3], n[0], n[2], n[3], m);
  }

  /**
   * A turned shape round the upright axis: {@code profile} lists radius and height in pairs, from
   * the foot to the top.
   */
  public void lathe(double[] profile, int sides, Material m) {
    int rings = profile.length / 2;
    for (int i = 0; i + 1 < rings; i++) {
      double r0 = profile[2 * i];
      double y0 = profile[2 * i + 1];
      double r1 = profile[2 * i + 2];
      double y1 = profile[2 * i + 3];
      double slope = Math.hypot(y1 - y0, r1 - r0);
      double nr = slope == 0 ? 1 : (y1 - y0) / slope;
      double ny = slope == 0 ? 0 : (r0 - r1) / slope;
      for (int k = 0; k < sides; k++) {
        double a = 2 * Math.PI * k / sides;
        double b = 2 * Math.PI * (k + 1) / sides;
        double[][] p = {ring(r0, y0, a), ring(r0, y0, b), ring(r1, y1, b), ring(r1, y1, a)};
        double[][] n = {ring(nr, ny, a), ring(nr, ny, b), ring(nr, ny, b), ring(nr, ny, a)};
        quad(p, n, m);
      }
    }
  }

  private static double[] ring(double radius, double y, double angle) {
    return new double[] {radius * Math.cos(angle), y, radius * Math.sin(angle)};
  }

  /** A round bar from one point to another. */
  public void rod(double[] from, double[] to, double radius, int sides, Material m) {
    bar(from, to, radius, sides, true, m);
  }

  /** A round bar without ends, such as a twig. */
  public void twig(double[] from, double[] to, double radius, int sides, Material m) {
    bar(from, to, radius, sides, false, m);
  }

  private void bar(
      double[] from, double[] to, double radius, int sides, boolean closed, Material m) {
    Vec axis = Vec.of(to[0] - from[0], to[1] - from[1], to[2] - from[2]).unit();
    Vec side = Math.abs(axis.y()) > 0.9 ? Vec.of(1, 0, 0) : Vec.of(0, 1, 0);
    Vec u = axis.cross(side).unit();
    Vec v = axis.cross(u);
    double[] up = {axis.x(), axis.y(), axis.z()};
    double[] down = {-axis.x(), -axis.y(), -axis.z()};
    for (int k = 0; k < sides; k++) {
      Vec a = spoke(u, v, 2 * Math.PI * k / sides);
      Vec b = spoke(u, v, 2 * Math.PI * (k + 1) / sides);
      double[][] p = {
        along(from, a, radius), along(from, b, radius), along(to, b, radius), along(to, a, radius)
      };
      double[] na = {a.x(), a.y(), a.z()};
      double[] nb = {b.x(), b.y(), b.z()};
      quad(p, new double[][] {na, nb, nb, na}, m);
      if (closed) {
        triangle(to, p[3], p[2], up, up, up, m);
        triangle(from, p[0], p[1], down, down, down, m);
      }
    }
  }

  private static Vec spoke(Vec u, Vec v, double angle) {
    return u.times(Math.cos(angle)).plus(v.times(Math.sin(angle)));
  }

  private static double[] along(double[] p, Vec d, double r) {
    return new double[] {p[0] + d.x() * r, p[1] + d.y() * r, p[2] + d.z() * r};
  }

  /** A ball, as seen: {@code squash} flattens it upright. */
  public void ball(double x, double y, double z, double radius, double squash, Material m) {
    int rings = 24;
    double[] profile = new double[2 * (rings + 1)];
    for (int i = 0; i <= rings; i++) {
      double t = Math.PI * i / rings;
      profile[2 * i] = radius * Math.sin(t);
      profile[2 * i + 1] = -radius * squash * Math.cos(t);
    }
    at(x, y, z, 0).lathe(profile, 48, m);
  }

  /** Height of a sheet at (u, v), both 0 to 1, as a point. */
  public interface Sheet {
    double[] point(double u, double v);
  }

  /** A curved sheet of nu × nv patches with smooth normals; seen from both sides. */
  public void sheet(Sheet sheet, int nu, int nv, Material m) {
    double h = 1e-4;
    for (int i = 0; i < nu; i++) {
      for (int j = 0; j < nv; j++) {
        double[][] p = new double[4][];
        double[][] n = new double[4][];
        for (int k = 0; k < 4; k++) {
          double u = (double) (i + (k == 1 || k == 2 ? 1 : 0)) / nu;
          double v = (double) (j + (k >= 2 ? 1 : 0)) / nv;
          p[k] = sheet.point(u, v);
          n[k] =
              normal(
                  sheet.point(u - h, v),
                  sheet.point(u + h, v),
                  sheet.point(u, v - h),
                  sheet.point(u, v + h));
        }
        quad(p, n, m);
      }
    }
  }

  private static double[] normal(double[] u0, double[] u1, double[] v0, double[] v1) {
    Vec a = Vec.of(u1[0] - u0[0], u1[1] - u0[1], u1[2] - u0[2]);
    Vec b = Vec.of(v1[0] - v0[0], v1[1] - v0[1], v1[2] - v0[2]);
    Vec n = a.cross(b).unit();
    return new double[] {n.x(), n.y(), n.z()};
  }

  /** One triangle with a normal at each corner. */
  public void triangle(
      double[] a, double[] b, double[] c, double[] na, double[] nb, double[] nc, Material m) {
    if (store.count * 9 + 9 > store.position.length) {
      store.position = Arrays.copyOf(store.position, store.position.length * 2);
      store.normal = Arrays.copyOf(store.normal, store.normal.length * 2);
      store.material = Arrays.copyOf(store.material, store.material.length * 2);
    }
    int at = store.count * 9;
    double[][] p = {a, b, c};
    double[][] n = {na, nb, nc};
    for (int k = 0; k < 3; k++) {
      put(store.position, at + 3 * k, frame.place(p[k][0], p[k][1], p[k][2]));
      put(store.normal, at + 3 * k, frame.turn(n[k][0], n[k][1], n[k][2]));
    }
    Integer index = store.index.get(m);
    if (index == null) {
      index = store.materials.size();
      store.materials.add(m);
      store.index.put(m, index);
    }
    store.material[store.count++] = index;
  }

  private static void put(float[] into, int at, Vec v) {
    into[at] = v.x();
    into[at + 1] = v.y();
    into[at + 2] = v.z();
  }
}
