package illuminar.scenes.geometry;

import illuminar.scenes.material.Material;
import java.util.Arrays;

/**
 * A tree of boxes over triangles for fast ray queries. Sources: Wald 2007 (binned surface-area
 * heuristic), Möller and Trumbore 1997 (ray against triangle). Safe for many threads.
 */
public final class Bvh {
  private static final int BINS = 12;
  private static final int LEAF = 4;

  private float[] tri;
  private float[] normal;
  private int[] material;
  private final Material[] materials;
  private final int[] order;
  private float[] bounds = new float[1 << 12];
  private int[] link = new int[1 << 10];
  private int nodes;

  /** What a ray met. Written by {@link #closest}; reused by its thread. */
  public static final class Hit {
    public float t;
    public float x;
    public float y;
    public float z;

    /** Smooth normal, turned towards the ray's origin. */
    public float nx;

    public float ny;
    public float nz;
    public Material material;
    private final int[] stack = new int[96];
    private int triangle;
    private float u;
    private float v;
  }

  public Bvh(Mesh mesh) {
    tri = mesh.positions();
    normal = mesh.normals();
    material = mesh.materialIndex();
    materials = mesh.materials();
    int n = mesh.triangles();
    order = new int[n];
    float[] centre = new float[n * 3];
    for (int i = 0; i < n; i++) {
      order[i] = i;
      for (int d = 0; d < 3; d++) {
        centre[i * 3 + d] = (tri[i * 9 + d] + tri[i * 9 + 3 + d] + tri[i * 9 + 6 + d]) / 3;
      }
    }
    nodes = 1;
    build(0, 0, n, centre);
    arrange(n);
  }

  /**
   * Lays the triangles out in the order of the leaves, so that a leaf reads one stretch of memory.
   */
  private void arrange(int n) {
    float[] t = new float[n * 9];
    float[] m = new float[n * 9];
    int[] k = new int[n];
    for (int i = 0; i < n; i++) {
      System.arraycopy(tri, order[i] * 9, t, i * 9, 9);
      System.arraycopy(normal, order[i] * 9, m, i * 9, 9);
      k[i] = material[order[i]];
      for (int d = 0; d < 3; d++) {
        t[i * 9 + 3 + d] -= t[i * 9 + d];
        t[i * 9 + 6 + d] -= t[i * 9 + d];
      }
    }
    tri = t;
    normal = m;
    material = k;
  }

  private void build(int node, int from, int to, float[] centre) {
    grow(node);
    float[] box = boxOf(from, to);
    System.arraycopy(box, 0, bounds, node * 6, 6);
    int split = to - from <= LEAF ? -1 : partition(from, to, centre, area(box));
    if (split < 0) {
      link[node * 2] = from;
      link[node * 2 + 1] = -(to - from);
      return;
    }
    int left = nodes;
    nodes += 2;
    link[node * 2] = left;
    build(left, from, split, centre);
    build(left + 1, split, to, centre);
    grow(node);
    link[node * 2] = left;
    link[node * 2 + 1] = 1;
  }

  private void grow(int node) {
    while ((node + 3) * 6 > bounds.length) {
      bounds = Arrays.copyOf(bounds, bounds.length * 2);
    }
    while ((node + 3) * 2 > link.length) {
      link = Arrays.copyOf(link, link.length * 2);
    }
  }

  private int partition(int from, int to, float[] centre, float whole) {
    float best = (to - from) * whole;
    int bestAxis = -1;
    float bestCut = 0;
    for (int axis = 0; axis < 3; axis++) {
      float lo = Float.MAX_VALUE;
      float hi = -Float.MAX_VALUE;
      for (int i = from; i < to; i++) {
        float c = centre[order[i] * 3 + axis];
        lo = Math.min(lo, c);
        hi = Math.max(hi, c);
      }
      if (hi - lo < 1e-6f) {
        continue;
      }
      float[][] box = new float[BINS][];
      int[] count = new int[BINS];
      for (int i = from; i < to; i++) {
        int bin = Math.min(BINS - 1, (int) ((centre[order[i] * 3 + axis] - lo) / (hi - lo) * BINS));
        count[bin]++;
        box[bin] = include(box[bin], order[i]);
      }
      float[] rightCost = new float[BINS];
      float[] right = null;
      int rightCount = 0;
      for (int k = BINS - 1; k > 0; k--) {
        right = union(right, box[k]);
        rightCount += count[k];
        rightCost[k] = right == null ? 0 : area(right) * rightCount;
      }
      float[] left = null;
      int leftCount = 0;
      for (int k = 0; k < BINS - 1; k++) {
        left = union(left, box[k]);
        leftCount += count[k];
        if (leftCount == 0 || leftCount == to - from) {
          continue;
        }
        float cost = area(left) * leftCount + rightCost[k + 1] + whole;
        if (cost < best) {
          best = cost;
          bestAxis = axis;
          bestCut = lo + (hi - lo) * (k + 1) / BINS;
        }
      }
    }
    if (bestAxis < 0) {
      return -1;
    }
    int i = from;
    int j = to - 1;
    while (i <= j) {
      if (centre[order[i] * 3 + bestAxis] < bestCut) {
        i++;
      } else {
        int swap = order[i];
        order[i] = order[j];
        order[j--] = swap;
      }
    }
    return i == from || i == to ? -1 : i;
  }

  private float[] boxOf(int from, int to) {
    float[] box = null;
    for (int i = from; i < to; i++) {
      box = include(box, order[i]);
    }
    return box == null ? new float[6] : box;
  }

  private float[] include(float[] box, int t) {
    float[] b = box;
    if (b == null) {
      b = new float[6];
      Arrays.fill(b, 0, 3, Float.MAX_VALUE);
      Arrays.fill(b, 3, 6, -Float.MAX_VALUE);
    }
    for (int k = 0; k < 9; k++) {
      float p = tri[t * 9 + k];
      b[k % 3] = Math.min(b[k % 3], p);
      b[3 + k % 3] = Math.max(b[3 + k % 3], p);
    }
    return b;
  }

  private static float[] union(float[] a, float[] b) {
    if (a == null || b == null) {
      return a == null ? (b == null ? null : b.clone()) : a;
    }
    for (int d = 0; d < 3; d++) {
      a[d] = Math.min(a[d], b[d]);
      a[3 + d] = Math.max(a[3 + d], b[3 + d]);
    }
    return a;
  }

  private static float area(float[] b) {
    float x = b[3] - b[0];
    float y = b[4] - b[1];
    float z = b[5] - b[2];
    return x * y + y * z + z * x;
  }

  /** The nearest triangle along a ray up to {@code far}; false where there is none. */
  public boolean closest(
      float ox, float oy, float oz, float dx, float dy, float dz, float far, Hit hit) {
    hit.t = far;
    hit.triangle = -1;
    walk(ox, oy, oz, dx, dy, dz, hit, false);
    if (hit.triangle < 0) {
      return false;
    }
    int t = hit.triangle * 9;
    float w = 1 - hit.u - hit.v;
    float nx = normal[t] * w + normal[t + 3] * hit.u + normal[t + 6] * hit.v;
    float ny = normal[t + 1] * w + normal[t + 4] * hit.u + normal[t + 7] * hit.v;
    float nz = normal[t + 2] * w + normal[t + 5] * hit.u + normal[t + 8] * hit.v;
    float length = (float) Math.sqrt(nx * nx + ny * ny + nz * nz);
    if (!(length > 1e-6f)) {
      nx = tri[t + 4] * tri[t + 8] - tri[t + 5] * tri[t + 7];
      ny = tri[t + 5] * tri[t + 6] - tri[t + 3] * tri[t + 8];
      nz = tri[t + 3] * tri[t + 7] - tri[t + 4] * tri[t + 6];
      length = (float) Math.sqrt(nx * nx + ny * ny + nz * nz) + 1e-20f;
    }
    float scale = 1 / length;
    if (nx * dx + ny * dy + nz * dz > 0) {
      scale = -scale;
    }
    hit.nx = nx * scale;
    hit.ny = ny * scale;
    hit.nz = nz * scale;
    hit.x = ox + dx * hit.t;
    hit.y = oy + dy * hit.t;
    hit.z = oz + dz * hit.t;
    hit.material = materials[material[hit.triangle]];
    return true;
  }

  /** Whether anything stands between the origin and {@code far} along the ray. */
  public boolean blocked(
      float ox, float oy, float oz, float dx, float dy, float dz, float far, Hit scratch) {
    scratch.t = far;
    scratch.triangle = -1;
    walk(ox, oy, oz, dx, dy, dz, scratch, true);
    return scratch.triangle >= 0;
  }

  private void walk(
      float ox, float oy, float oz, float dx, float dy, float dz, Hit hit, boolean any) {
    float ix = 1 / dx;
    float iy = 1 / dy;
    float iz = 1 / dz;
    int[] stack = hit.stack;
    int top = 0;
    int node = 0;
    if (enter(0, ox, oy, oz, ix, iy, iz, hit.t) == Float.MAX_VALUE) {
      return;
    }
    while (true) {
      int count = link[node * 2 + 1];
      if (count < 0) {
        int from = link[node * 2];
        for (int i = from; i < from - count; i++) {
          meet(i, ox, oy, oz, dx, dy, dz, hit);
          if (any && hit.triangle >= 0) {
            return;
          }
        }
      } else {
        int left = link[node * 2];
        float tl = enter(left, ox, oy, oz, ix, iy, iz, hit.t);
        float tr = enter(left + 1, ox, oy, oz, ix, iy, iz, hit.t);
        if (tl != Float.MAX_VALUE || tr != Float.MAX_VALUE) {
          if (tl == Float.MAX_VALUE) {
            node = left + 1;
          } else if (tr == Float.MAX_VALUE) {
            node = left;
          } else {
            node = tl <= tr ? left : left + 1;
            stack[top++] = tl <= tr ? left + 1 : left;
          }
          continue;
        }
      }
      if (top == 0) {
        return;
      }
      node = stack[--top];
    }
  }

  private float enter(
      int node, float ox, float oy, float oz, float ix, float iy, float iz, float far) {
    int b = node * 6;
    float x0 = (bounds[b] - ox) * ix;
    float x1 = (bounds[b + 3] - ox) * ix;
    float y0 = (bounds[b + 1] - oy) * iy;
    float y1 = (bounds[b + 4] - oy) * iy;
    float z0 = (bounds[b + 2] - oz) * iz;
    float z1 = (bounds[b + 5] - oz) * iz;
    float near = x0 < x1 ? x0 : x1;
    float exit = x0 < x1 ? x1 : x0;
    float yn = y0 < y1 ? y0 : y1;
    float yf = y0 < y1 ? y1 : y0;
    float zn = z0 < z1 ? z0 : z1;
    float zf = z0 < z1 ? z1 : z0;
    near = yn > near ? yn : near;
    exit = yf < exit ? yf : exit;
    near = zn > near ? zn : near;
    exit = zf < exit ? zf : exit;
    return exit >= near && exit >= 0 && near < far ? near : Float.MAX_VALUE;
  }

  private void meet(
      int triangle, float ox, float oy, float oz, float dx, float dy, float dz, Hit hit) {
    int t = triangle * 9;
    float ax = tri[t];
    float ay = tri[t + 1];
    float az = tri[t + 2];
    float e1x = tri[t + 3];
    float e1y = tri[t + 4];
    float e1z = tri[t + 5];
    float e2x = tri[t + 6];
    float e2y = tri[t + 7];
    float e2z = tri[t + 8];
    float px = dy * e2z - dz * e2y;
    float py = dz * e2x - dx * e2z;
    float pz = dx * e2y - dy * e2x;
    float det = e1x * px + e1y * py + e1z * pz;
    if (det > -1e-12f && det < 1e-12f) {
      return;
    }
    float inv = 1 / det;
    float sx = ox - ax;
    float sy = oy - ay;
    float sz = oz - az;
    float u = (sx * px + sy * py + sz * pz) * inv;
    if (u < 0 || u > 1) {
      return;
    }
    float qx = sy * e1z - sz * e1y;
    float qy = sz * e1x - sx * e1z;
    float qz = sx * e1y - sy * e1x;
    float v = (dx * qx + dy * qy + dz * qz) * inv;
    if (v < 0 || u + v > 1) {
      return;
    }
    float at = (e2x * qx + e2y * qy + e2z * qz) * inv;
    if (at > 2e-4f && at < hit.t) {
      hit.t = at;
      hit.triangle = triangle;
      hit.u = u;
      hit.v = v;
    }
  }
}
