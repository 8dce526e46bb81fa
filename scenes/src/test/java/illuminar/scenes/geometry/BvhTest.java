package illuminar.scenes.geometry;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import illuminar.scenes.material.Material;
import illuminar.scenes.material.Materials;
import java.util.Random;
import org.junit.jupiter.api.Test;

/**
 * What rays meet, beside all triangles tried one by one, and beside the closed form for a ball.
 * Source: the equations of plane and sphere.
 */
class BvhTest {
  private static final Material PAINT = Materials.paint(0.5, 0.5, 0.5, 0, 1);

  private static Mesh heap(Random random, int boxes) {
    Mesh mesh = new Mesh();
    for (int k = 0; k < boxes; k++) {
      double x = random.nextDouble() * 8 - 4;
      double y = random.nextDouble() * 8 - 4;
      double z = random.nextDouble() * 8 - 4;
      double s = 0.1 + random.nextDouble() * 0.5;
      mesh.at(x, y, z, random.nextDouble() * 90).box(-s, -s, -s, s, s, s, PAINT);
    }
    return mesh;
  }

  /** Distance to the nearest triangle in double precision; NaN where there is none. */
  private static double nearest(Mesh mesh, double[] o, double[] d) {
    double best = Double.NaN;
    float[] p = mesh.positions();
    for (int t = 0; t < mesh.triangles(); t++) {
      double[] a = {p[9 * t], p[9 * t + 1], p[9 * t + 2]};
      double[] u = {p[9 * t + 3] - a[0], p[9 * t + 4] - a[1], p[9 * t + 5] - a[2]};
      double[] v = {p[9 * t + 6] - a[0], p[9 * t + 7] - a[1], p[9 * t + 8] - a[2]};
      double[] n = cross(u, v);
      double across = dot(n, d);
      if (Math.abs(across) < 1e-12) {
        continue;
      }
      double far = dot(n, minus(a, o)) / across;
      if (far <= 1e-4 || far >= best) {
        continue;
      }
      double[] at = {o[0] + far * d[0] - a[0], o[1] + far * d[1] - a[1], o[2] + far * d[2] - a[2]};
      double nn = dot(n, n);
      double b = dot(cross(at, v), n) / nn;
      double c = dot(cross(u, at), n) / nn;
      if (b >= 0 && c >= 0 && b + c <= 1) {
        best = far;
      }
    }
    return best;
  }

  private static double dot(double[] a, double[] b) {
    return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  }

  private static double[] minus(double[] a, double[] b) {
    return new double[] {a[0] - b[0], a[1] - b[1], a[2] - b[2]};
  }

  private static double[] cross(double[] a, double[] b) {
    return new double[] {
      a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]
    };
  }

  private static double[] direction(Random random) {
    double[] d = {random.nextGaussian(), random.nextGaussian(), random.nextGaussian()};
    double n = Math.sqrt(dot(d, d));
    return new double[] {d[0] / n, d[1] / n, d[2] / n};
  }

  @Test
  void theTreeMeetsWhatTryingAllTrianglesMeets() {
    Random random = new Random(6);
    Mesh mesh = heap(random, 120);
    Bvh tree = new Bvh(mesh);
    Bvh.Hit hit = new Bvh.Hit();
    int met = 0;
    int disagreeing = 0;
    for (int k = 0; k < 3000; k++) {
      double[] o = {
        random.nextDouble() * 10 - 5, random.nextDouble() * 10 - 5, random.nextDouble() * 10 - 5
      };
      double[] d = direction(random);
      double wanted = nearest(mesh, o, d);
      boolean is = ask(tree::closest, o, d, hit);
      met += is ? 1 : 0;
      // a ray along an edge may go either way
      if (is != !Double.isNaN(wanted) || is && Math.abs(hit.t - wanted) > 1e-3) {
        disagreeing++;
      }
      assertThat(ask(tree::blocked, o, d, hit)).isEqualTo(is);
    }
    assertThat(met).isGreaterThan(800);
    assertThat(disagreeing).isLessThan(6);
  }

  /** One of the two questions to a tree. */
  private interface Question {
    boolean ask(float x, float y, float z, float dx, float dy, float dz, float far, Bvh.Hit hit);
  }

  private static boolean ask(Question question, double[] o, double[] d, Bvh.Hit hit) {
    return question.ask(
        (float) o[0],
        (float) o[1],
        (float) o[2],
        (float) d[0],
        (float) d[1],
        (float) d[2],
        1e9f,
        hit);
  }

  /** t = −b − √(b² − c) on a sphere; its normal is the radius. */
  @Test
  void aBallIsMetWhereItsEquationSays() {
    Mesh mesh = new Mesh();
    mesh.ball(0, 0, 0, 1, 1, PAINT);
    Bvh tree = new Bvh(mesh);
    Bvh.Hit hit = new Bvh.Hit();
    Random random = new Random(7);
    int met = 0;
    for (int k = 0; k < 500; k++) {
      double[] from = direction(random);
      double[] o = {3 * from[0], 3 * from[1], 3 * from[2]};
      double[] aim = direction(random);
      double[] d = minus(new double[] {0.8 * aim[0], 0.8 * aim[1], 0.8 * aim[2]}, o);
      double n = Math.sqrt(dot(d, d));
      d = new double[] {d[0] / n, d[1] / n, d[2] / n};
      double b = dot(o, d);
      double wanted = -b - Math.sqrt(b * b - 8);
      if (ask(tree::closest, o, d, hit)) {
        met++;
        assertThat((double) hit.t).isCloseTo(wanted, within(0.06));
        assertThat(hit.nx * hit.x + hit.ny * hit.y + hit.nz * hit.z).isGreaterThan(0.95f);
      }
    }
    assertThat(met).isGreaterThan(480);
  }

  /** What lies beyond the reach of a ray is not met. */
  @Test
  void aRayEndsWhereItIsToldTo() {
    Mesh mesh = new Mesh();
    mesh.box(-1, -1, 4, 1, 1, 5, PAINT);
    Bvh tree = new Bvh(mesh);
    Bvh.Hit hit = new Bvh.Hit();
    assertThat(tree.closest(0, 0, 0, 0, 0, 1, 10, hit)).isTrue();
    assertThat((double) hit.t).isCloseTo(4, within(1e-3));
    assertThat(hit.nz).isCloseTo(-1, within(1e-3f));
    assertThat(tree.closest(0, 0, 0, 0, 0, 1, 3.9f, hit)).isFalse();
    assertThat(tree.blocked(0, 0, 0, 0, 0, 1, 3.9f, hit)).isFalse();
    assertThat(tree.blocked(0, 0, 0, 0, 0, -1, 10, hit)).isFalse();
  }
}
