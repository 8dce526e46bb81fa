package illuminar.scenes.render;

import illuminar.scenes.geometry.Bvh;
import illuminar.scenes.material.Material;
import java.util.IdentityHashMap;
import java.util.SplittableRandom;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntConsumer;
import java.util.stream.IntStream;

/**
 * Looks at a scene through every pixel: surfaces, texture, reflections, light of each group apart.
 * Source: Schlick 1994 for reflection at an angle. Repeatable bit for bit: each pixel has random
 * numbers of its own.
 */
final class PathTracer {
  /** Of so many looks at a pixel, one is followed for light; all see texture and edges. */
  private static final int LOOKS = 3;

  private static final float MIRRORED_LIMIT = 60;

  private final Scene scene;
  private final Bvh bvh;
  private final Transport transport;
  private final IdentityHashMap<Material, Integer> parts;
  private final int groups;
  private final Lens lens;

  /** Pixels {@code x, y} to {@code x + width, y + height} of a picture. */
  record Crop(int x, int y, int width, int height) {}

  /** Learns where light goes in a scene, for a picture of so many pixels. */
  PathTracer(Scene scene, int width, int height) {
    this.scene = scene;
    bvh = new Bvh(scene.mesh());
    transport = new Transport(scene, bvh);
    groups = scene.groups().size();
    parts = scene.partNumbers();
    lens = new Lens(scene.eye(), width, height);
    train();
  }

  private void train() {
    float ex = scene.eye().place().x();
    float ey = scene.eye().place().y();
    float ez = scene.eye().place().z();
    transport.train(
        lens.width() * lens.height(),
        (w, random) -> {
          float[] d = new float[3];
          lens.aim(random.nextDouble() * lens.width(), random.nextDouble() * lens.height(), d);
          if (!bvh.closest(ex, ey, ez, d[0], d[1], d[2], 1e6f, w.hit)) {
            w.hit.material = null;
          }
        });
  }

  /**
   * Renders a piece with {@code samples} paths and three times as many looks a pixel; {@code
   * progress} hears the rows done.
   */
  Gathered gather(Crop crop, int samples, IntConsumer progress) {
    Gathered out = new Gathered(crop.width, crop.height, groups, scene.parts().size());
    AtomicInteger done = new AtomicInteger();
    ThreadLocal<Transport.Walker> walkers =
        ThreadLocal.withInitial(() -> new Transport.Walker(scene));
    IntStream.range(0, crop.height)
        .parallel()
        .forEach(
            y -> {
              Transport.Walker w = walkers.get();
              for (int x = 0; x < crop.width; x++) {
                pixel(w, x, y, crop, samples, out);
              }
              progress.accept(done.incrementAndGet());
            });
    return out;
  }

  private void pixel(Transport.Walker w, int x, int y, Crop crop, int samples, Gathered out) {
    int px = x + crop.x;
    int py = y + crop.y;
    w.random = new SplittableRandom(((long) py << 32 | px) * 0x9E3779B97F4A7C15L + 12345);
    int i = y * out.width + x;
    float ex = scene.eye().place().x();
    float ey = scene.eye().place().y();
    float ez = scene.eye().place().z();
    float[] d = new float[3];
    int lit = 0;
    int looks = samples * LOOKS;
    for (int s = 0; s < looks; s++) {
      lens.aim(px + 0.5 + tent(w.random) * 0.9, py + 0.5 + tent(w.random) * 0.9, d);
      if (!bvh.closest(ex, ey, ez, d[0], d[1], d[2], 1e6f, w.hit)) {
        outside(d, i, 1f / looks, out);
        continue;
      }
      boolean follow = s % LOOKS == 0;
      lit += follow ? 1 : 0;
      surface(w, d, i, looks, follow, out);
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

  private void outside(float[] d, int i, float share, Gathered out) {
    float ex = scene.eye().place().x();
    float ey = scene.eye().place().y();
    float ez = scene.eye().place().z();
    float[] clear = scene.outdoors().clear(ex, ey, ez, d[0], d[1], d[2]);
    float[] seen = scene.outdoors().hazed(clear);
    out.outside[i] += share;
    out.transmission[i] += clear[3] * share;
    for (int c = 0; c < 3; c++) {
      out.view[c][i] += seen[c] * share;
      out.clear[c][i] += clear[c] * share;
    }
  }

  private void surface(
      Transport.Walker w, float[] d, int i, int looks, boolean follow, Gathered out) {
    Bvh.Hit hit = w.hit;
    float share = 1f / looks;
    Integer part = parts.get(hit.material);
    if (part != null) {
      out.parts[part][i] += share;
    }
    Material.Point p = w.point;
    p.prepare(hit.x, hit.y, hit.z, hit.nx, hit.ny, hit.nz);
    float t = hit.t;
    p.detail = true;
    hit.material.shade(p);
    p.detail = false;
    Transport.Place start = w.start();
    start.set(p.x + hit.nx * 4e-4f, p.y + hit.ny * 4e-4f, p.z + hit.nz * 4e-4f, p.nx, p.ny, p.nz);
    float x = start.x;
    float y = start.y;
    float z = start.z;
    float nx = p.nx;
    float ny = p.ny;
    float nz = p.nz;
    float[] colour = {p.r, p.g, p.b};
    float gloss = p.gloss;
    float rough = p.rough;
    boolean metal = p.metal;
    for (int c = 0; c < 3 && p.glow > 0; c++) {
      out.glow[scene.glow(p.glowOf).group()][c][i] +=
          p.glow * scene.glow(p.glowOf).colour()[c] * share;
    }
    float cos = Math.max(0, -(d[0] * nx + d[1] * ny + d[2] * nz));
    float fresnel =
        gloss <= 0 ? 0 : gloss + (1 - gloss) * (float) Math.pow(1 - cos, 5) * (1 - rough);
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
    float[] light = transport.arriving(w);
    for (int g = 0; g < groups; g++) {
      for (int c = 0; c < 3; c++) {
        out.scattered[g][c][i] += light[3 * g + c];
      }
    }
    float chance = Math.min(1, 0.08f + fresnel * 4);
    if (fresnel > 0.004f && w.random.nextDouble() < chance) {
      start.set(x, y, z, nx, ny, nz);
      float[] mirror = reflected(w, d, rough);
      float weight = fresnel * share * LOOKS / chance;
      float most = Math.max(0.05f, Math.max(colour[0], Math.max(colour[1], colour[2])));
      for (int k = 0; k < groups * 3; k++) {
        float tint = metal ? colour[k % 3] / most : 1;
        out.mirrored[k / 3][k % 3][i] += weight * tint * Math.min(MIRRORED_LIMIT, mirror[k]);
      }
    }
  }

  /** Light seen in a glossy surface at the walker's start. */
  private float[] reflected(Transport.Walker w, float[] eye, float rough) {
    float[] out = new float[groups * 3];
    Transport.Place p = w.start();
    float spread = rough * rough;
    double h = 2 * w.random.nextDouble() - 1;
    double a = 2 * Math.PI * w.random.nextDouble();
    double s = Math.sqrt(1 - h * h);
    double size = spread * Math.sqrt(w.random.nextDouble()) * 0.9;
    float hx = p.nx + (float) (size * s * Math.cos(a));
    float hy = p.ny + (float) (size * h);
    float hz = p.nz + (float) (size * s * Math.sin(a));
    float norm = (float) Math.sqrt(hx * hx + hy * hy + hz * hz);
    hx /= norm;
    hy /= norm;
    hz /= norm;
    float d = 2 * (eye[0] * hx + eye[1] * hy + eye[2] * hz);
    float dx = eye[0] - d * hx;
    float dy = eye[1] - d * hy;
    float dz = eye[2] - d * hz;
    if (dx * p.nx + dy * p.ny + dz * p.nz <= 0) {
      return out;
    }
    if (!bvh.closest(p.x, p.y, p.z, dx, dy, dz, 1e4f, w.hit)) {
      if (dz < 0 || scene.open()) {
        float[] l =
            rough < 0.15f
                ? scene.outdoors().seen(p.x, p.y, p.z, dx, dy, dz)
                : scene.outdoors().broad(dx, dy, dz);
        System.arraycopy(l, 0, out, 0, 3);
      }
      return out;
    }
    float[] colour = new float[3];
    w.shade(colour);
    float glow = w.point.glow;
    int glowOf = w.point.glowOf;
    p.above(w.hit);
    float[] light = transport.arriving(w);
    for (int k = 0; k < out.length; k++) {
      out[k] = light[k] * colour[k % 3];
    }
    for (int c = 0; c < 3 && glow > 0; c++) {
      out[3 * scene.glow(glowOf).group() + c] += glow * scene.glow(glowOf).colour()[c];
    }
    return out;
  }
}
