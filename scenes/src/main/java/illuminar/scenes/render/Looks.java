package illuminar.scenes.render;

import illuminar.scenes.geometry.Bvh;
import illuminar.scenes.material.Material;
import java.util.IdentityHashMap;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.IntConsumer;
import java.util.stream.IntStream;

/**
 * Looks at a scene through a lens and pixels that gather light over their whole square: texture and
 * edges by many looks, light from the fields. Repeatable bit for bit.
 */
final class Looks {
  /** Looks at a pixel that shows one plain surface, and at any other. */
  private static final int FEW = 16;

  private static final int MANY = 64;

  /** Standard deviation of the lens's core, pixels. Common practice for a good lens, no source. */
  private static final double CORE = 0.45;

  /** Steps of a sequence that fills the square evenly. Source: Roberts 2018, "R2". */
  private static final double R2_X = 0.7548776662466927;

  private static final double R2_Y = 0.5698402909980532;

  private final PathTracer tracer;
  private final Scene scene;
  private final Lens lens;
  private final PathTracer.Crop crop;
  private final LightField room;
  private final Optional<LightField> cloth;
  private final IdentityHashMap<Material, Integer> parts;
  private final Gathered out;
  private final int values;

  Looks(PathTracer tracer, PathTracer.Crop crop, LightField room, Optional<LightField> cloth) {
    this.tracer = tracer;
    scene = tracer.scene;
    lens = tracer.lens;
    this.crop = crop;
    this.room = room;
    this.cloth = cloth;
    parts = scene.partNumbers();
    values = scene.groups().size() * 3;
    out = new Gathered(crop.width(), crop.height(), values / 3, scene.parts().size());
  }

  /** Looks at all pixels; {@code progress} hears the rows done. */
  Gathered all(IntConsumer progress) {
    AtomicInteger done = new AtomicInteger();
    ThreadLocal<Pixel> pixels = ThreadLocal.withInitial(Pixel::new);
    IntStream.range(0, crop.height())
        .parallel()
        .forEach(
            y -> {
              Pixel pixel = pixels.get();
              for (int x = 0; x < crop.width(); x++) {
                pixel.all(x, y);
              }
              progress.accept(done.incrementAndGet());
            });
    return out;
  }

  /** The looks at one pixel; a thread's own, used for one after another. */
  private final class Pixel {
    private final Transport.Walker walker = tracer.walker();
    private final Bvh.Hit hit = new Bvh.Hit();
    private final Bvh.Hit before = new Bvh.Hit();
    private final float[] d = new float[3];
    private final float[] light = new float[2 * values];
    private final float[] sent = new float[values];
    private final float[] reflectance = new float[3];
    private final float[] normal = new float[3];
    private Material first;
    private float nx;
    private float ny;
    private float nz;
    private float along;
    private boolean plain;

    void all(int x, int y) {
      int px = x + crop.x();
      int py = y + crop.y();
      walker.random = new SplittableRandom(((long) py << 32 | px) * 0x9E3779B97F4A7C15L + 12345);
      double startX = walker.random.nextDouble();
      double startY = walker.random.nextDouble();
      int i = y * crop.width() + x;
      plain = true;
      first = null;
      int n = 0;
      while (n < FEW || n < MANY && !plain) {
        double far = CORE * Math.sqrt(-2 * Math.log(1 - walker.random.nextDouble()));
        double turn = 2 * Math.PI * walker.random.nextDouble();
        double u = (startX + n * R2_X) % 1 + far * Math.cos(turn);
        double v = (startY + n * R2_Y) % 1 + far * Math.sin(turn);
        look(x + u, y + v, i, n++);
      }
      out.settle(i, n);
    }

    private void look(double x, double y, int i, int n) {
      lens.aim(x + crop.x(), y + crop.y(), d);
      boolean inside = lens.closest(tracer.bvh, d, hit);
      float through = 1;
      if (cloth.isPresent()
          && lens.closest(tracer.veil.get(), d, before)
          && (!inside || before.t < hit.t)) {
        plain = false;
        Material.Point p = walker.look(before);
        through = p.through;
        count(before.material, i, 1);
        surface(p, before, cloth.get(), x, y, i, 1 - through);
      }
      if (!inside) {
        plain &= n == 0 || first == null;
        float[] clear = lens.clear(scene.outdoors(), d);
        out.outside(i, scene.outdoors().hazed(clear), clear, through);
        return;
      }
      compare(n);
      count(hit.material, i, through);
      surface(walker.look(hit), hit, room, x, y, i, through);
    }

    private void count(Material material, int i, float share) {
      Integer part = parts.get(material);
      if (part != null) {
        out.part(part, i, share);
      }
    }

    /** Notes whether this look met the same plain surface as the first. */
    private void compare(int n) {
      if (n == 0) {
        first = hit.material;
        nx = hit.nx;
        ny = hit.ny;
        nz = hit.nz;
        along = nx * hit.x + ny * hit.y + nz * hit.z;
        return;
      }
      plain &=
          first == hit.material
              && nx * hit.nx + ny * hit.ny + nz * hit.nz > 0.97f
              && Math.abs(nx * hit.x + ny * hit.y + nz * hit.z - along) < 0.002f * hit.t;
    }

    private void surface(
        Material.Point p, Bvh.Hit at, LightField field, double x, double y, int i, float share) {
      PathTracer.Spot spot = new PathTracer.Spot(at, p, d);
      float most = Math.max(0.05f, Math.max(p.r, Math.max(p.g, p.b)));
      reflectance[0] = p.r * (1 - spot.fresnel());
      reflectance[1] = p.g * (1 - spot.fresnel());
      reflectance[2] = p.b * (1 - spot.fresnel());
      normal[0] = p.nx;
      normal[1] = p.ny;
      normal[2] = p.nz;
      float mirror = spot.fresnel() > 0.004f ? spot.fresnel() : 0;
      float[] tint = {1, 1, 1};
      if (p.metal) {
        tint = new float[] {p.r / most, p.g / most, p.b / most};
      }
      float glow = p.glow;
      int glowOf = p.glowOf;
      if (!field.read(x, y, at, light)) {
        tracer.arriving(walker, d, spot, light);
      }
      for (int k = 0; k < values; k++) {
        sent[k] = light[k] * reflectance[k % 3] + light[values + k] * mirror * tint[k % 3];
      }
      for (int c = 0; c < 3 && glow > 0; c++) {
        sent[3 * scene.glow(glowOf).group() + c] += glow * scene.glow(glowOf).colour()[c];
      }
      out.surface(i, new Gathered.Surface(sent, reflectance, normal, at.t), share);
    }
  }
}
