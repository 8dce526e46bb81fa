package illuminar.scenes.render;

import java.util.function.IntConsumer;
import java.util.function.Supplier;

/**
 * A scene in which something has moved, seen in a rectangle of the picture only; sides from 0 to 1.
 */
public record Moved(Supplier<Scene> scene, double left, double top, double right, double bottom) {
  private static final int SOFT = 24;

  /** The still picture with the moved piece set in, softly at its rim. */
  public Radiance over(Radiance still, int samples, IntConsumer progress) {
    int x = (int) (left * still.width());
    int y = (int) (top * still.height());
    int w = (int) (right * still.width()) - x;
    int h = (int) (bottom * still.height()) - y;
    Scene moved = scene.get();
    PathTracer tracer = new PathTracer(moved, still.width(), still.height());
    Radiance piece =
        Rendering.render(moved, tracer, new PathTracer.Crop(x, y, w, h), samples, progress);
    float[][][] lights = new float[still.lights().length][3][];
    int soft = Math.max(1, SOFT * still.width() / 2400);
    for (int l = 0; l < lights.length; l++) {
      for (int c = 0; c < 3; c++) {
        lights[l][c] = still.lights()[l][c].clone();
        for (int j = 0; j < h; j++) {
          for (int i = 0; i < w; i++) {
            int rim =
                Math.min(
                    Math.min(x == 0 ? soft : i, x + w == still.width() ? soft : w - 1 - i),
                    Math.min(y == 0 ? soft : j, y + h == still.height() ? soft : h - 1 - j));
            float share = Math.min(1, (rim + 0.5f) / soft);
            int at = (y + j) * still.width() + x + i;
            float under = lights[l][c][at];
            lights[l][c][at] = under + share * (piece.lights()[l][c][j * w + i] - under);
          }
        }
      }
    }
    return new Radiance(still.width(), still.height(), still.names(), lights, still.truth());
  }
}
