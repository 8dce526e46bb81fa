package illuminar.scenes.render;

import illuminar.scenes.geometry.Bvh;
import illuminar.scenes.light.Light;
import illuminar.scenes.material.Material;
import java.util.SplittableRandom;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntConsumer;
import java.util.stream.IntStream;

/**
 * Path tracing with every light's share kept apart. Source: Kajiya, "The rendering equation", 1986,
 * with light sampling at each bounce; Schlick 1994 for reflection at an angle. Repeatable bit for
 * bit: each pixel has random numbers of its own.
 */
public final class PathTracer {
  private static final int BOUNCES = 5;
  private static final float FIREFLY = 6;

  private static final float BOUNCED_LIMIT = 0.5f;

  /** Of so many looks at a pixel, one is followed for light; all see texture and edges. */
  private static final int LOOKS = 3;

  private final Scene scene;
  private final Bvh bvh;
  private final int groups;
  private final Light[][] byGroup;

  public PathTracer(Scene scene) {
    this.scene = scene;
    bvh = new Bvh(scene.mesh());
    groups = scene.groups().size();
    byGroup = new Light[groups][];
    for (int g = 0; g < groups; g++) {
      int group = g;
      byGroup[g] = scene.lights().stream().filter(l -> l.group() == group).toArray(Light[]::new);
    }
  }

  /** What one pass over the picture gathers, before smoothing. */
  static final class Gathered {
    final int width;
    final int height;
    final float[][][] scattered;
    final float[][][] mirrored;
    final float[][] glow;
    final float[][] albedo;
    final float[][] normal;
    final float[] depth;
    final float[] outside;
    final float[][] view;

    Gathered(int width, int height, int groups) {
      int n = width * height;
      this.width = width;
      this.height = height;
      scattered = new float[groups][3][n];
      mirrored = new float[groups][3][n];
      glow = new float[3][n];
      albedo = new float[3][n];
      normal = new float[3][n];
      depth = new float[n];
      outside = new float[n];
      view = new float[3][n];
    }
  }

  /** A thread's own working storage. */
  private final class Walker {
    final Bvh.Hit hit = new Bvh.Hit();
    final Bvh.Hit shadow = new Bvh.Hit();
    final Material.Point point = new Material.Point();
    final Light.Sample sample = new Light.Sample();
    final float[][] light = new float[groups][3];
    final float[][] mirror = new float[groups][3];
    final float[][] found = new float[groups][3];
    SplittableRandom random;
  }

  /**
   * Renders with {@code samples} paths and three times as many looks a pixel; {@code progress}
   * hears the rows done.
   */
  Gathered gather(int width, int height, int samples, IntConsumer progress) {
    Gathered out = new Gathered(width, height, groups);
    AtomicInteger done = new AtomicInteger();
    ThreadLocal<Walker> walkers = ThreadLocal.withInitial(Walker::new);
    IntStream.range(0, height)
        .parallel()
        .forEach(
            y -> {
              Walker w = walkers.get();
              for (int x = 0; x < width; x++) {
                pixel(w, x, y, samples, out);
              }
              progress.accept(done.incrementAndGet());
            });
    return out;
  }

  private void pixel(Walker w, int x, int y, int samples, Gathered out) {
    w.random = new SplittableRandom(((long) y << 32 | x) * 0x9E3779B97F4A7C15L + 12345);
    int i = y * out.width + x;
    double half = Math.tan(Math.toRadians(scene.eye().wide()) / 2);
    double cy = Math.cos(Math.toRadians(scene.eye().yaw()));
    double sy = Math.sin(Math.toRadians(scene.eye().yaw()));
    double cp = Math.cos(Math.toRadians(scene.eye().pitch()));
    double sp = Math.sin(Math.toRadians(scene.eye().pitch()));
    float ox = scene.eye().place().x();
    float oy = scene.eye().place().y();
    float oz = scene.eye().place().z();
    int lit = 0;
    int looks = samples * LOOKS;
    for (int s = 0; s < looks; s++) {
      double jx = tent(w.random) * 0.9;
      double jy = tent(w.random) * 0.9;
      double u = ((x + 0.5 + jx) / out.width * 2 - 1) * half;
      double v = (1 - (y + 0.5 + jy) / out.height * 2) * half * out.height / out.width;
      double upY = v * cp + sp;
      double back = -cp + v * sp;
      double dx = u * cy - back * sy;
      double dz = back * cy + u * sy;
      double norm = 1 / Math.sqrt(dx * dx + upY * upY + dz * dz);
      float fx = (float) (dx * norm);
      float fy = (float) (upY * norm);
      float fz = (float) (dz * norm);
      if (!bvh.closest(ox, oy, oz, fx, fy, fz, 1e6f, w.hit)) {
        float[] l = scene.outdoors().seen(ox, oy, oz, fx, fy, fz);
        out.outside[i] += 1f / looks;
        for (int c = 0; c < 3; c++) {
          out.view[c][i] += l[c] / looks;
        }
        continue;
      }
      boolean follow = s % LOOKS == 0;
      lit += follow ? 1 : 0;
      surface(w, fx, fy, fz, i, looks, follow, out);
    }
    for (int g = 0; g < groups && lit > 0; g++) {
      for (int c = 0; c < 3; c++) {
        out.scattered[g][c][i] /= lit;
      }
    }
  }

  private static double tent(SplittableRandom random) {
    return random.nextDouble() + random.nextDouble() - 1;
  }

  private void surface(
      Walker w, float fx, float fy, float fz, int i, int looks, boolean follow, Gathered out) {
    Bvh.Hit hit = w.hit;
    w.point.prepare(hit.x, hit.y, hit.z, hit.nx, hit.ny, hit.nz);
    float gx = hit.nx;
    float gy = hit.ny;
    float gz = hit.nz;
    float t = hit.t;
    w.point.detail = true;
    hit.material.shade(w.point);
    w.point.detail = false;
    Material.Point p = w.point;
    float px = p.x + gx * 4e-4f;
    float py = p.y + gy * 4e-4f;
    float pz = p.z + gz * 4e-4f;
    float nx = p.nx;
    float ny = p.ny;
    float nz = p.nz;
    float[] colour = {p.r, p.g, p.b};
    float gloss = p.gloss;
    float rough = p.rough;
    boolean metal = p.metal;
    if (p.glow > 0) {
      for (int c = 0; c < 3; c++) {
        out.glow[c][i] += p.glow * scene.lampColour()[c] / looks;
      }
    }
    float cos = Math.max(0, -(fx * nx + fy * ny + fz * nz));
    float fresnel =
        gloss <= 0 ? 0 : gloss + (1 - gloss) * (float) Math.pow(1 - cos, 5) * (1 - rough);
    float share = 1f / looks;
    for (int c = 0; c < 3; c++) {
      out.albedo[c][i] += colour[c] * (1 - fresnel) * share;
    }
    out.normal[0][i] += nx * share;
    out.normal[1][i] += ny * share;
    out.normal[2][i] += nz * share;
    out.depth[i] += t * share;
    if (!follow) {
      return;
    }
    share *= LOOKS;

    clear(w.light);
    arrive(w, px, py, pz, nx, ny, nz, w.light, 1, 1, 1, 1);
    bounce(w, px, py, pz, nx, ny, nz, w.light, 1, 1, 1, 1);
    for (int g = 0; g < groups; g++) {
      for (int c = 0; c < 3; c++) {
        out.scattered[g][c][i] += Math.min(FIREFLY, w.light[g][c]);
      }
    }
    float chance = Math.min(1, 0.08f + fresnel * 4);
    if (fresnel > 0.004f && w.random.nextDouble() < chance) {
      share /= chance;
      reflect(w, px, py, pz, nx, ny, nz, fx, fy, fz, rough);
      for (int g = 0; g < groups; g++) {
        for (int c = 0; c < 3; c++) {
          float tint =
              metal
                  ? colour[c] / Math.max(0.05f, Math.max(colour[0], Math.max(colour[1], colour[2])))
                  : 1;
          out.mirrored[g][c][i] += fresnel * tint * Math.min(FIREFLY, w.mirror[g][c]) * share;
        }
      }
    }
  }

  private static void clear(float[][] a) {
    for (float[] row : a) {
      row[0] = row[1] = row[2] = 0;
    }
  }

  /**
   * Light that comes straight from the sources, one random point each; with {@code every} = 2 from
   * a random half of the groups, counted double.
   */
  private void arrive(
      Walker w,
      float x,
      float y,
      float z,
      float nx,
      float ny,
      float nz,
      float[][] into,
      float r,
      float g,
      float b,
      int every) {
    int skip = every == 1 ? -1 : w.random.nextInt(every);
    for (int k = 0; k < groups; k++) {
      Light[] of = byGroup[k];
      if (of.length == 0 || skip >= 0 && k % every == skip) {
        continue;
      }
      Light light = of.length == 1 ? of[0] : of[w.random.nextInt(of.length)];
      light.sample(x, y, z, w.random, w.sample);
      Light.Sample s = w.sample;
      float cos = s.dx * nx + s.dy * ny + s.dz * nz;
      if (cos <= 0 || s.far <= 0) {
        continue;
      }
      if (bvh.blocked(x, y, z, s.dx, s.dy, s.dz, s.far, w.shadow)) {
        continue;
      }
      float weight = cos * every * of.length / (float) Math.PI;
      into[k][0] += r * s.r * weight;
      into[k][1] += g * s.g * weight;
      into[k][2] += b * s.b * weight;
    }
  }

  /** Follows scattered light onwards from a point, adding what it finds into {@code into}. */
  private void bounce(
      Walker w,
      float x,
      float y,
      float z,
      float nx,
      float ny,
      float nz,
      float[][] into,
      float r0,
      float g0,
      float b0,
      int depth0) {
    float r = r0;
    float g = g0;
    float b = b0;
    float px = x;
    float py = y;
    float pz = z;
    float mx = nx;
    float my = ny;
    float mz = nz;
    for (int depth = depth0; depth < BOUNCES; depth++) {
      double h = 2 * w.random.nextDouble() - 1;
      double a = 2 * Math.PI * w.random.nextDouble();
      double s = Math.sqrt(Math.max(0, 1 - h * h));
      float dx = mx + (float) (s * Math.cos(a));
      float dy = my + (float) h;
      float dz = mz + (float) (s * Math.sin(a));
      float norm = (float) Math.sqrt(dx * dx + dy * dy + dz * dz);
      if (norm < 1e-4f) {
        return;
      }
      dx /= norm;
      dy /= norm;
      dz /= norm;
      if (!bvh.closest(px, py, pz, dx, dy, dz, 1e4f, w.hit)) {
        return;
      }
      Bvh.Hit hit = w.hit;
      w.point.prepare(hit.x, hit.y, hit.z, hit.nx, hit.ny, hit.nz);
      hit.material.shade(w.point);
      r *= w.point.r;
      g *= w.point.g;
      b *= w.point.b;
      if (w.point.metal) {
        r *= 2.6f;
        g *= 2.6f;
        b *= 2.6f;
      }
      float keep = Math.min(0.95f, Math.max(r, Math.max(g, b)) * 1.1f);
      if (depth > 1) {
        if (w.random.nextDouble() >= keep) {
          return;
        }
        r /= keep;
        g /= keep;
        b /= keep;
      }
      px = hit.x + hit.nx * 4e-4f;
      py = hit.y + hit.ny * 4e-4f;
      pz = hit.z + hit.nz * 4e-4f;
      mx = hit.nx;
      my = hit.ny;
      mz = hit.nz;
      arrive(w, px, py, pz, mx, my, mz, w.found, r, g, b, 2);
      for (int k = 0; k < groups; k++) {
        for (int c = 0; c < 3; c++) {
          into[k][c] += Math.min(BOUNCED_LIMIT, w.found[k][c]);
          w.found[k][c] = 0;
        }
      }
    }
  }

  /** Light seen in a glossy surface, into the walker's mirror. */
  private void reflect(
      Walker w,
      float x,
      float y,
      float z,
      float nx,
      float ny,
      float nz,
      float fx,
      float fy,
      float fz,
      float rough) {
    clear(w.mirror);
    float spread = rough * rough;
    double h = 2 * w.random.nextDouble() - 1;
    double a = 2 * Math.PI * w.random.nextDouble();
    double s = Math.sqrt(1 - h * h);
    double size = spread * Math.sqrt(w.random.nextDouble()) * 0.9;
    float hx = nx + (float) (size * s * Math.cos(a));
    float hy = ny + (float) (size * h);
    float hz = nz + (float) (size * s * Math.sin(a));
    float norm = (float) Math.sqrt(hx * hx + hy * hy + hz * hz);
    hx /= norm;
    hy /= norm;
    hz /= norm;
    float d = 2 * (fx * hx + fy * hy + fz * hz);
    float dx = fx - d * hx;
    float dy = fy - d * hy;
    float dz = fz - d * hz;
    if (dx * nx + dy * ny + dz * nz <= 0) {
      return;
    }
    if (!bvh.closest(x, y, z, dx, dy, dz, 1e4f, w.hit)) {
      float[] l =
          rough < 0.15f
              ? scene.outdoors().seen(x, y, z, dx, dy, dz)
              : scene.outdoors().broad(dx, dy, dz);
      if (dz < 0) {
        System.arraycopy(l, 0, w.mirror[0], 0, 3);
      }
      return;
    }
    Bvh.Hit hit = w.hit;
    w.point.prepare(hit.x, hit.y, hit.z, hit.nx, hit.ny, hit.nz);
    hit.material.shade(w.point);
    float r = w.point.r;
    float g = w.point.g;
    float b = w.point.b;
    if (w.point.glow > 0) {
      for (int c = 0; c < 3; c++) {
        w.mirror[scene.lampGroup()][c] += w.point.glow * scene.lampColour()[c];
      }
    }
    if (w.point.metal) {
      r *= 2.6f;
      g *= 2.6f;
      b *= 2.6f;
    }
    float px = hit.x + hit.nx * 4e-4f;
    float py = hit.y + hit.ny * 4e-4f;
    float pz = hit.z + hit.nz * 4e-4f;
    float qx = hit.nx;
    float qy = hit.ny;
    float qz = hit.nz;
    arrive(w, px, py, pz, qx, qy, qz, w.mirror, r, g, b, 1);
    bounce(w, px, py, pz, qx, qy, qz, w.mirror, r, g, b, BOUNCES - 2);
  }
}
