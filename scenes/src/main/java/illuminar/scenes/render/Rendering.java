package illuminar.scenes.render;

import java.util.function.IntConsumer;

/** From a scene to radiance with lights apart: trace, smooth light, put texture back. */
public final class Rendering {
  private Rendering() {}

  /** Renders a scene; {@code progress} hears the rows done of {@code height}. */
  public static Radiance render(
      Scene scene, int width, int height, int samples, IntConsumer progress) {
    PathTracer.Gathered g = new PathTracer(scene).gather(width, height, samples, progress);
    int groups = scene.groups().size();
    for (int i = 0; i < width * height; i++) {
      float n =
          (float)
              Math.sqrt(
                  g.normal[0][i] * g.normal[0][i]
                      + g.normal[1][i] * g.normal[1][i]
                      + g.normal[2][i] * g.normal[2][i]);
      if (n > 0) {
        g.normal[0][i] /= n;
        g.normal[1][i] /= n;
        g.normal[2][i] /= n;
      }
    }
    float[][][] lights = new float[groups][][];
    for (int k = 0; k < groups; k++) {
      Smoothing.calm(g, g.scattered[k]);
      Smoothing.calm(g, g.mirrored[k]);
      Smoothing.smooth(g, g.scattered[k], 6, 1.0f);
      Smoothing.smooth(g, g.mirrored[k], 3, 0.8f);
      lights[k] = new float[3][width * height];
      for (int c = 0; c < 3; c++) {
        for (int i = 0; i < width * height; i++) {
          float l = g.scattered[k][c][i] * g.albedo[c][i] + g.mirrored[k][c][i];
          if (k == 0) {
            l += g.view[c][i];
          }
          if (k == scene.lampGroup()) {
            l += g.glow[c][i];
          }
          lights[k][c][i] = l;
        }
      }
    }
    return new Radiance(width, height, scene.groups(), lights, g.outside, g.view, g.albedo);
  }
}
