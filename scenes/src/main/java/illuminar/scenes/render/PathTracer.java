package illuminar.scenes.render;

import illuminar.scenes.geometry.Bvh;
import illuminar.scenes.material.Material;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.IntStream;

/**
 * Follows light to the surfaces that the middles of the pixels show. Repeatable bit for bit: each
 * pixel has random numbers of its own.
 */
final class PathTracer {
  private static final float MIRRORED_LIMIT = 60;

  final Scene scene;
  final Lens lens;
  final Bvh bvh;

  /** Sheer cloth, which light and looks pass in part. */
  final Optional<Bvh> veil;

  private final Transport transport;
  private final int groups;

  /** Pixels {@code x, y} to {@code x + width, y + height} of a picture. */
  record Crop(int x, int y, int width, int height) {}

  /** Learns where light goes in a scene, for a picture of so many pixels. */
  PathTracer(Scene scene, int width, int height) {
    this.scene = scene;
    bvh = new Bvh(scene.mesh());
    veil = scene.veil().map(Bvh::new);
    transport = new Transport(scene, bvh);
    groups = scene.groups().size();
    lens = new Lens(scene.eye(), width, height);
    train();
  }

  private void train() {
    transport.train(
        lens.width() * lens.height(),
        (w, random) -> {
          float[] d = new float[3];
          lens.aim(random.nextDouble() * lens.width(), random.nextDouble() * lens.height(), d);
          if (!lens.closest(bvh, d, w.hit)) {
            w.hit.material = null;
          }
        });
  }

  Transport.Walker walker() {
    return new Transport.Walker(scene);
  }

  /** Light on the room's surfaces, {@code samples} paths for each pixel; not smoothed yet. */
  LightField light(Crop crop, int samples) {
    return light(bvh, crop, samples, false);
  }

  /** The same on sheer cloth, which is lit from both its sides. */
  LightField lightOn(Bvh cloth, Crop crop, int samples) {
    return light(cloth, crop, samples, true);
  }

  private LightField light(Bvh of, Crop crop, int samples, boolean bothSides) {
    LightField out = new LightField(crop.width, crop.height, groups);
    ThreadLocal<Transport.Walker> walkers = ThreadLocal.withInitial(this::walker);
    IntStream.range(0, crop.height)
        .parallel()
        .forEach(
            y -> {
              Transport.Walker w = walkers.get();
              Bvh.Hit hit = new Bvh.Hit();
              float[] d = new float[3];
              for (int x = 0; x < crop.width; x++) {
                int px = x + crop.x;
                int py = y + crop.y;
                w.random = new SplittableRandom(((long) py << 32 | px) * 0x9E3779B97F4A7C15L + 1);
                lens.aim(px + 0.5, py + 0.5, d);
                if (lens.closest(of, d, hit)) {
                  field(w, d, hit, samples, bothSides, y * crop.width + x, out);
                }
              }
            });
    return out;
  }

  private void field(
      Transport.Walker w,
      float[] d,
      Bvh.Hit hit,
      int samples,
      boolean bothSides,
      int i,
      LightField out) {
    Material.Point p = w.look(hit);
    out.depth[i] = hit.t;
    set(out.place, i, hit.x, hit.y, hit.z);
    set(out.normal, i, hit.nx, hit.ny, hit.nz);
    set(out.relief, i, p.nx, p.ny, p.nz);
    Spot spot = new Spot(hit, p, d);
    float[] sum = new float[groups * 6];
    for (int s = 0; s < samples; s++) {
      arriving(w, d, bothSides && s % 2 == 1 ? spot.behind() : spot, sum);
    }
    for (int k = 0; k < groups * 3; k++) {
      out.scattered[k / 3][k % 3][i] = sum[k] / samples;
      out.mirrored[k / 3][k % 3][i] = sum[groups * 3 + k] / samples;
    }
  }

  private static void set(float[][] planes, int i, float x, float y, float z) {
    planes[0][i] = x;
    planes[1][i] = y;
    planes[2][i] = z;
  }

  /**
   * A place on a surface as it is seen.
   *
   * @param fresnel share of light mirrored towards the eye; source: Schlick 1994
   */
  record Spot(float x, float y, float z, float nx, float ny, float nz, float fresnel, float rough) {
    Spot(Bvh.Hit hit, Material.Point p, float[] d) {
      this(
          hit.x + hit.nx * 4e-4f,
          hit.y + hit.ny * 4e-4f,
          hit.z + hit.nz * 4e-4f,
          p.nx,
          p.ny,
          p.nz,
          fresnel(p, d),
          p.rough);
    }

    private static float fresnel(Material.Point p, float[] d) {
      float cos = Math.max(0, -(d[0] * p.nx + d[1] * p.ny + d[2] * p.nz));
      return p.gloss <= 0
          ? 0
          : p.gloss + (1 - p.gloss) * (float) Math.pow(1 - cos, 5) * (1 - p.rough);
    }

    Spot behind() {
      return new Spot(x - nx * 9e-4f, y - ny * 9e-4f, z - nz * 9e-4f, -nx, -ny, -nz, 0, rough);
    }
  }

  /** Adds one path's light: scattered as if white, then mirrored as if by a perfect mirror. */
  void arriving(Transport.Walker w, float[] eye, Spot spot, float[] into) {
    w.start().set(spot.x, spot.y, spot.z, spot.nx, spot.ny, spot.nz);
    float[] light = transport.arriving(w);
    int values = groups * 3;
    for (int k = 0; k < values; k++) {
      into[k] += light[k];
    }
    float chance = Math.min(1, 0.08f + spot.fresnel * 4);
    if (spot.fresnel > 0.004f && w.random.nextDouble() < chance) {
      w.start().set(spot.x, spot.y, spot.z, spot.nx, spot.ny, spot.nz);
      float[] mirror = reflected(w, eye, spot.rough);
      for (int k = 0; k < values; k++) {
        into[values + k] += Math.min(MIRRORED_LIMIT, mirror[k]) / chance;
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
