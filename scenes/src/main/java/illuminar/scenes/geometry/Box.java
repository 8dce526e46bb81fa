package illuminar.scenes.geometry;

import illuminar.scenes.material.Material;

/**
 * A box with its edges and corners rounded over: six faces, a strip for each edge, a triangle for
 * each corner, with normals that go over from one to the next.
 *
 * @param lo the corner where all coordinates are least, metres; {@code hi} the one opposite
 * @param bevel width that is rounded over, no more than half of any side; 0 for a sharp box
 */
record Box(double[] lo, double[] hi, double bevel) {

  /** Between two corners opposite each other, whichever; no more rounded than it can be. */
  static Box between(double[] a, double[] b, double bevel) {
    double[] lo = new double[3];
    double[] hi = new double[3];
    double e = bevel;
    for (int d = 0; d < 3; d++) {
      lo[d] = Math.min(a[d], b[d]);
      hi[d] = Math.max(a[d], b[d]);
      e = Math.min(e, (hi[d] - lo[d]) / 2);
    }
    return new Box(lo, hi, e);
  }

  void into(Mesh mesh, Material m) {
    for (int axis = 0; axis < 3; axis++) {
      for (int side = -1; side <= 1; side += 2) {
        face(mesh, axis, side, m);
      }
    }
    if (bevel > 0) {
      edges(mesh, m);
      corners(mesh, m);
    }
  }

  private void face(Mesh mesh, int axis, int side, Material m) {
    int u = (axis + 1) % 3;
    int v = (axis + 2) % 3;
    double[] n = new double[3];
    n[axis] = side;
    double[][] corner = new double[4][3];
    for (int k = 0; k < 4; k++) {
      corner[k][axis] = at(axis, side, 0);
      corner[k][u] = at(u, k == 0 || k == 3 ? -1 : 1, bevel);
      corner[k][v] = at(v, k < 2 ? -1 : 1, bevel);
    }
    mesh.quad(corner, new double[][] {n, n, n, n}, m);
  }

  private void edges(Mesh mesh, Material m) {
    for (int axis = 0; axis < 3; axis++) {
      int u = (axis + 1) % 3;
      int v = (axis + 2) % 3;
      for (int su = -1; su <= 1; su += 2) {
        for (int sv = -1; sv <= 1; sv += 2) {
          double[] nu = new double[3];
          double[] nv = new double[3];
          nu[u] = su;
          nv[v] = sv;
          double[][] c = new double[4][3];
          for (int k = 0; k < 4; k++) {
            boolean onU = k == 0 || k == 3;
            c[k][axis] = at(axis, k < 2 ? -1 : 1, bevel);
            c[k][u] = at(u, su, onU ? 0 : bevel);
            c[k][v] = at(v, sv, onU ? bevel : 0);
          }
          mesh.quad(c, new double[][] {nu, nv, nv, nu}, m);
        }
      }
    }
  }

  private void corners(Mesh mesh, Material m) {
    for (int corner = 0; corner < 8; corner++) {
      double[][] p = new double[3][3];
      double[][] n = new double[3][3];
      for (int k = 0; k < 3; k++) {
        for (int d = 0; d < 3; d++) {
          int side = (corner >> d & 1) == 0 ? -1 : 1;
          p[k][d] = at(d, side, d == k ? 0 : bevel);
          n[k][d] = d == k ? side : 0;
        }
      }
      mesh.triangle(p[0], p[1], p[2], n[0], n[1], n[2], m);
    }
  }

  /** A coordinate so far inside of the box's one side or the other. */
  private double at(int axis, int side, double inset) {
    return side < 0 ? lo[axis] + inset : hi[axis] - inset;
  }
}
