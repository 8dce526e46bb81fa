package illuminar.core.analysis.movement;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Stops;
import illuminar.core.filter.Box;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Response;
import illuminar.core.picture.Bands;
import illuminar.core.picture.Once;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Where the ambient frames show different things, exposure apart: every two frames that follow each
 * other by exposure are compared as light, where both are well exposed. Light within what its eight
 * neighbours show in the other frame agrees, so that edges that are lined up a little beside each
 * other do not count. After the disagreement masks of Gallo et al., "Artifact-free high dynamic
 * range imaging", 2009.
 */
public final class Movement {
  /**
   * Disagreement in stops that no careful line-up leaves: a shadow of leaves on a wall that moved
   * is hardly more.
   */
  public static final double CAREFUL = 0.18;

  /** Codes that tell light well, display-linear. */
  private static final float LEAST = 0.01f;

  private static final float MOST = 0.85f;
  private static final int SOFT = 2;

  private final Plane apart;
  private final Map<Double, Once<Plane>> found = new ConcurrentHashMap<>();

  private Movement(Plane apart) {
    this.apart = apart;
  }

  /** Where the frames of a view show different things; kept. */
  public static Movement of(Analysis analysis) {
    return analysis.keep(Movement.class, "", 1, () -> found(analysis));
  }

  private static Movement found(Analysis analysis) {
    List<Frame> frames = analysis.frames().ambient();
    int w = analysis.raster().width();
    int h = analysis.raster().height();
    float[] most = new float[w * h];
    float[] below = new float[0];
    for (int k = 0; k < frames.size(); k++) {
      float[] here = light(analysis, frames.get(k));
      if (k > 0) {
        compare(below, here, most, w, h);
      }
      below = here;
    }
    return new Movement(new Plane(w, h, most));
  }

  /** Light in stops, the same scale for all frames; NaN where a frame does not tell it well. */
  private static float[] light(Analysis analysis, Frame frame) {
    Picture p = analysis.draw(frame.id(), analysis.raster());
    Response response = analysis.frames().response();
    float[] out = new float[p.r().length];
    Bands.of(
        p.height(),
        64,
        (from, to) -> {
          for (int i = from * p.width(); i < to * p.width(); i++) {
            float most = Math.max(p.r()[i], Math.max(p.g()[i], p.b()[i]));
            float tone = 0.2126f * p.r()[i] + 0.7152f * p.g()[i] + 0.0722f * p.b()[i];
            out[i] =
                most > MOST || tone < LEAST
                    ? Float.NaN
                    : Stops.of(response.luminance(p.r()[i], p.g()[i], p.b()[i]))
                        - (float) frame.stops();
          }
        });
    return out;
  }

  private static void compare(float[] a, float[] b, float[] most, int w, int h) {
    Bands.of(
        h,
        32,
        (from, to) -> {
          for (int y = Math.max(1, from); y < Math.min(h - 1, to); y++) {
            for (int x = 1; x < w - 1; x++) {
              int i = y * w + x;
              // a comparison with NaN is never greater
              float d = Math.min(beside(a[i], b, i, w), beside(b[i], a, i, w));
              if (d > most[i]) {
                most[i] = d;
              }
            }
          }
        });
  }

  /** How far a light lies outside what nine pixels of the other frame show. */
  private static float beside(float light, float[] other, int i, int w) {
    float lo = other[i];
    float hi = other[i];
    for (int v = -w; v <= w; v += w) {
      for (int u = -1; u <= 1; u++) {
        float o = other[i + v + u];
        lo = o < lo ? o : lo;
        hi = o > hi ? o : hi;
      }
    }
    return light > hi ? light - hi : light < lo ? lo - light : Float.isNaN(light) ? Float.NaN : 0;
  }

  /** Disagreement in stops at each pixel of the analysis grid; not to be modified. */
  public Plane apart() {
    return apart;
  }

  /**
   * Where frames disagree by so many stops, closed and widened a little, with a soft edge; kept,
   * not to be modified.
   */
  public Plane disagreeing(double least) {
    return found.computeIfAbsent(least, l -> new Once<>(() -> find(l.floatValue()))).get();
  }

  private Plane find(float least) {
    Plane over = Plane.of(apart.width(), apart.height());
    for (int i = 0; i < over.data().length; i++) {
      over.data()[i] = apart.data()[i] > least ? 1 : 0;
    }
    // single pixels are noise; a moving thing fills a good part of its neighbourhood
    Plane dense = Box.mean(over, SOFT);
    for (int i = 0; i < dense.data().length; i++) {
      dense.data()[i] = dense.data()[i] > 0.3f ? 1 : 0;
    }
    Plane wide = Box.mean(dense, 2 * SOFT);
    for (int i = 0; i < wide.data().length; i++) {
      wide.data()[i] = wide.data()[i] > 0.02f ? 1 : 0;
    }
    return Box.mean(wide, SOFT);
  }
}
