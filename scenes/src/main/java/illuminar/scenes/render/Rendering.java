package illuminar.scenes.render;

import java.util.Optional;
import java.util.function.IntConsumer;

/**
 * From a scene to radiance with lights apart: follow light, smooth it on its surfaces, look at
 * texture and edges by it.
 */
public final class Rendering {
  private Rendering() {}

  /** Renders a scene; {@code progress} hears the rows done of {@code height}. */
  public static Radiance render(
      Scene scene, int width, int height, int samples, IntConsumer progress) {
    PathTracer tracer = new PathTracer(scene, width, height);
    return render(scene, tracer, new PathTracer.Crop(0, 0, width, height), samples, progress);
  }

  /** Receives a finished strip of a large picture. */
  public interface Strip {
    /** {@code top} is the strip's first row; the radiance is as wide as the picture. */
    void rows(int top, Radiance strip);
  }

  private static final int STRIP = 512;

  /** Rows that smoothing reads beside a strip. */
  private static final int BESIDE = 128;

  /** Renders a picture that would not fit into memory with its truth, strip by strip. */
  public static void strips(
      Scene scene, int width, int height, int samples, IntConsumer progress, Strip into) {
    PathTracer tracer = new PathTracer(scene, width, height);
    for (int top = 0; top < height; top += STRIP) {
      int from = Math.max(0, top - BESIDE);
      int rows = Math.min(STRIP, height - top);
      int to = Math.min(height, top + rows + BESIDE);
      Radiance r =
          render(scene, tracer, new PathTracer.Crop(0, from, width, to - from), samples, n -> {});
      into.rows(top, r.rows(top - from, rows));
      progress.accept(top + rows);
    }
  }

  /** Renders a piece of a picture. */
  static Radiance render(
      Scene scene, PathTracer tracer, PathTracer.Crop crop, int samples, IntConsumer progress) {
    LightField room = smooth(scene, tracer.light(crop, samples));
    Optional<LightField> cloth =
        tracer.veil.map(veil -> smooth(scene, tracer.lightOn(veil, crop, 2 * samples)));
    Gathered seen = new Looks(tracer, crop, room, cloth).all(progress);
    return new Radiance(
        seen.width, seen.height, scene.groups(), seen.lights, seen.truth(scene.partNames()));
  }

  /** Light that is kept away is smoothed together with what is left, whose edge it shares. */
  private static LightField smooth(Scene scene, LightField field) {
    scene.cast().ifPresent(c -> field.add(c.group(), c.of(), 1));
    Smoothing.smooth(field, field.scattered, 6, 1.0f);
    for (float[][] mirrored : field.mirrored) {
      Smoothing.calm(field, mirrored);
    }
    Smoothing.smooth(field, field.mirrored, 3, 0.8f);
    scene.cast().ifPresent(c -> field.add(c.group(), c.of(), -1));
    return field;
  }
}
