package illuminar.scenes.render;

import illuminar.scenes.geometry.Bvh;
import illuminar.scenes.light.Light;
import illuminar.scenes.material.Material;
import java.util.Arrays;
import java.util.SplittableRandom;
import java.util.function.BiConsumer;
import java.util.stream.IntStream;

/**
 * How light travels: from the sources to a point, and on from surface to surface, every light group
 * apart. Sources: Kajiya, "The rendering equation", 1986, with light sampling at each bounce; for
 * groups of several sources, Talbot, Cline, Egbert, "Importance resampling for global
 * illumination", 2005. Light is radiance leaving a white matt surface, three values for each group.
 */
final class Transport {
  private static final int LONGEST = 64;
  private static final int TRAINING_ROUNDS = 3;
  private static final int TRAINING_PATHS = 220_000;

  /** Metals scatter less than they mirror; in bounces they count for both. */
  private static final float METAL = 2.6f;

  /** A single bounced ray counts for no more than this, kcd/m². */
  private static final float SPARK = 12;

  private final Scene scene;
  private final Bvh bvh;
  private final Bvh withoutCaster;
  private final Light[][] byGroup;
  private final int values;
  private final LightCache cache;

  Transport(Scene scene, Bvh bvh) {
    this.scene = scene;
    this.bvh = bvh;
    int groups = scene.groups().size();
    values = groups * 3;
    byGroup = new Light[groups][];
    for (int g = 0; g < groups; g++) {
      int group = g;
      byGroup[g] = scene.lights().stream().filter(l -> l.group() == group).toArray(Light[]::new);
    }
    withoutCaster = scene.caster().map(c -> new Bvh(scene.mesh().without(c))).orElse(bvh);
    cache = new LightCache(values, scene.cell());
  }

  /** A point on a surface, with its normal, just above it. */
  static final class Place {
    float x;
    float y;
    float z;
    float nx;
    float ny;
    float nz;

    void above(Bvh.Hit hit) {
      set(
          hit.x + hit.nx * 4e-4f,
          hit.y + hit.ny * 4e-4f,
          hit.z + hit.nz * 4e-4f,
          hit.nx,
          hit.ny,
          hit.nz);
    }

    void set(float px, float py, float pz, float mx, float my, float mz) {
      x = px;
      y = py;
      z = pz;
      nx = mx;
      ny = my;
      nz = mz;
    }
  }

  /** A thread's working storage. */
  static final class Walker {
    final Bvh.Hit hit = new Bvh.Hit();
    final Material.Point point = new Material.Point();
    SplittableRandom random;
    private final Bvh.Hit shadow = new Bvh.Hit();
    private final Light.Sample sample = new Light.Sample();
    private final Light.Sample chosen = new Light.Sample();
    private final Place[] places = new Place[LONGEST];
    private final float[][] light;
    private final float[][] tint = new float[LONGEST][3];

    Walker(Scene scene) {
      light = new float[LONGEST][scene.groups().size() * 3];
      Arrays.setAll(places, k -> new Place());
    }

    /** Shades a place that is looked at, with detail; the walker's own, to be read at once. */
    Material.Point look(Bvh.Hit at) {
      point.prepare(at.x, at.y, at.z, at.nx, at.ny, at.nz);
      point.detail = true;
      at.material.shade(point);
      point.detail = false;
      return point;
    }

    /** Shades what the last ray met, without detail; writes how much light it sends on. */
    void shade(float[] sentOn) {
      point.prepare(hit.x, hit.y, hit.z, hit.nx, hit.ny, hit.nz);
      hit.material.shade(point);
      float more = point.metal ? METAL : 1;
      sentOn[0] = point.r * more;
      sentOn[1] = point.g * more;
      sentOn[2] = point.b * more;
    }

    /** Where the next path starts. */
    Place start() {
      return places[0];
    }
  }

  /**
   * Learns where light goes, by paths from all over the picture. Repeatable bit for bit.
   *
   * @param pixels of the picture; a small one needs fewer paths
   */
  void train(int pixels, BiConsumer<Walker, SplittableRandom> firstHit) {
    int paths = Math.min(TRAINING_PATHS, 60_000 + 40 * pixels);
    ThreadLocal<Walker> walkers = ThreadLocal.withInitial(() -> new Walker(scene));
    for (int round = 0; round < TRAINING_ROUNDS; round++) {
      long seed = 7_000_003L * (round + 1);
      IntStream.range(0, paths)
          .parallel()
          .forEach(
              i -> {
                Walker w = walkers.get();
                w.random = new SplittableRandom(seed + i * 0x9E3779B97F4A7C15L);
                firstHit.accept(w, w.random);
                if (w.hit.material != null) {
                  w.start().above(w.hit);
                  follow(w, 2, true);
                }
              });
      cache.settle();
    }
  }

  /** Light that arrives at the walker's start; the walker's own array, to be read at once. */
  float[] arriving(Walker w) {
    return follow(w, 1, false);
  }

  /**
   * Follows one path. {@code cacheFrom} is the first of its points where what others found may be
   * taken instead of going on.
   */
  private float[] follow(Walker w, int cacheFrom, boolean note) {
    int n = 0;
    boolean known = false;
    while (true) {
      Place p = w.places[n];
      float[] e = w.light[n];
      Arrays.fill(e, 0);
      if (n >= cacheFrom && cache.read(p.x, p.y, p.z, p.nx, p.ny, p.nz, w.random, e)) {
        known = true;
        break;
      }
      direct(w, p, e);
      if (n + 1 == LONGEST || !step(w, p, n, e)) {
        break;
      }
      n++;
    }
    for (int k = n - 1; k >= 0; k--) {
      float[] into = w.light[k];
      float[] from = w.light[k + 1];
      float[] tint = w.tint[k + 1];
      for (int i = 0; i < values; i++) {
        float bounced = from[i] * tint[i % 3];
        into[i] += bounced < SPARK ? bounced : SPARK;
      }
    }
    for (int k = 0; note && k < (known ? n : n + 1); k++) {
      Place p = w.places[k];
      cache.note(p.x, p.y, p.z, p.nx, p.ny, p.nz, w.light[k]);
    }
    return w.light[0];
  }

  /** Goes on from the {@code n}-th point in a random direction, cosine-weighted. */
  private boolean step(Walker w, Place p, int n, float[] e) {
    double h = 2 * w.random.nextDouble() - 1;
    double a = 2 * Math.PI * w.random.nextDouble();
    double s = Math.sqrt(Math.max(0, 1 - h * h));
    float dx = p.nx + (float) (s * Math.cos(a));
    float dy = p.ny + (float) h;
    float dz = p.nz + (float) (s * Math.sin(a));
    float norm = (float) Math.sqrt(dx * dx + dy * dy + dz * dz);
    if (norm < 1e-4f) {
      return false;
    }
    dx /= norm;
    dy /= norm;
    dz /= norm;
    if (!bvh.closest(p.x, p.y, p.z, dx, dy, dz, 1e4f, w.hit)) {
      if (scene.open()) {
        float[] sky = scene.outdoors().broad(dx, dy, dz);
        e[0] += sky[0];
        e[1] += sky[1];
        e[2] += sky[2];
      }
      return false;
    }
    float[] tint = w.tint[n + 1];
    w.shade(tint);
    float keep = 1;
    if (n > 0) {
      keep = Math.min(0.95f, Math.max(tint[0], Math.max(tint[1], tint[2])) * 1.1f);
      if (w.random.nextDouble() >= keep) {
        return false;
      }
    }
    tint[0] /= keep;
    tint[1] /= keep;
    tint[2] /= keep;
    w.places[n + 1].above(w.hit);
    return true;
  }

  /** Adds what comes straight from the sources, one shadow ray for each group. */
  private void direct(Walker w, Place p, float[] into) {
    for (int k = 0; k < byGroup.length; k++) {
      float total = 0;
      float chosen = 0;
      for (Light light : byGroup[k]) {
        light.sample(p.x, p.y, p.z, w.random, w.sample);
        Light.Sample s = w.sample;
        float cos = s.dx * p.nx + s.dy * p.ny + s.dz * p.nz;
        if (cos <= 0 || s.far <= 0) {
          continue;
        }
        s.scale(cos / (float) Math.PI);
        float size = s.r + s.g + s.b;
        total += size;
        if (size > 0 && (total == size || w.random.nextDouble() * total < size)) {
          w.chosen.set(s);
          chosen = size;
        }
      }
      if (chosen <= 0 || shaded(w, p, k)) {
        continue;
      }
      float weight = total / chosen;
      into[3 * k] += w.chosen.r * weight;
      into[3 * k + 1] += w.chosen.g * weight;
      into[3 * k + 2] += w.chosen.b * weight;
    }
  }

  private boolean shaded(Walker w, Place p, int group) {
    Light.Sample s = w.chosen;
    boolean stopped = bvh.blocked(p.x, p.y, p.z, s.dx, s.dy, s.dz, s.far, w.shadow);
    if (group != scene.shadedGroup()) {
      return stopped;
    }
    // this group holds what only the caster of the shadow keeps away
    return !stopped || withoutCaster.blocked(p.x, p.y, p.z, s.dx, s.dy, s.dz, s.far, w.shadow);
  }
}
