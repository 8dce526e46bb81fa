package illuminar.scenes.render;

import java.util.function.IntConsumer;

/** From a scene to radiance with lights apart: trace, smooth light, put texture back. */
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
    Gathered g = tracer.gather(crop, samples, progress);
    unit(g.normal);
    Smoothing.smooth(g, g.scattered, 6, 1.0f);
    for (float[][] mirrored : g.mirrored) {
      Smoothing.calm(g, mirrored);
    }
    Smoothing.smooth(g, g.mirrored, 3, 0.8f);
    for (int k = 0; k < g.scattered.length; k++) {
      for (int c = 0; c < 3; c++) {
        float[] light = g.scattered[k][c];
        for (int i = 0; i < light.length; i++) {
          light[i] = light[i] * g.albedo[c][i] + g.mirrored[k][c][i] + g.glow[k][c][i];
          if (k == 0) {
            light[i] += g.view[c][i];
          }
        }
      }
    }
    return new Radiance(
        g.width,
        g.height,
        scene.groups(),
        g.scattered,
        new Truth(
            g.outside,
            g.view,
            g.clear,
            g.transmission,
            g.albedo,
            g.normal,
            g.depth,
            scene.partNames(),
            g.parts));
  }

  private static void unit(float[][] normal) {
    for (int i = 0; i < normal[0].length; i++) {
      float x = normal[0][i];
      float y = normal[1][i];
      float z = normal[2][i];
      float n = (float) Math.sqrt(x * x + y * y + z * z);
      for (int c = 0; c < 3 && n > 0; c++) {
        normal[c][i] /= n;
      }
    }
  }
}
