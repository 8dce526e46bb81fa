package illuminar.core.analysis.cast;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.MergedLight;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.filter.Ease;
import illuminar.core.picture.FloodFill;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.Arrays;

/**
 * Lit shades and globes: small places that stand brighter and warmer than what is about them, all
 * along their border. A sunlit spot that lies alone on a wall is one too, and keeps its warmth.
 * Found as components of ever lower brightness, as extremal regions are (Matas and others 2002);
 * the limits are our own.
 */
final class LitShades {
  /** Long edge of the grid on which they are looked for. */
  private static final int COARSE = 320;

  /** Shares of the picture that a shade takes at least and at most. */
  private static final double SMALLEST = 0.0004;

  private static final double LARGEST = 0.025;

  /** Stops from one level of brightness to the next. */
  private static final float LEVEL = 0.2f;

  /**
   * Stops by which a shade's rim stands over what is beside its border. Light that a lamp throws on
   * a wall fades into it.
   */
  private static final float OVER = 0.5f;

  /** Share of the border along which it does. */
  private static final double ROUND = 0.85;

  /** By how much it is warmer than what is beside, log2 of red over blue. */
  private static final float WARMER = 0.12f;

  /** Pixels of the grid on either side of a border in which light goes over. */
  private static final int BORDER = 2;

  /** Stops over which a shade ends. */
  private static final float SOFT = 0.3f;

  private final int width;
  private final int height;
  private final float[] stops;
  private final float[] warm;

  /** Tone between a shade and what is beside; none where there is no shade. */
  private final float[] middle;

  private LitShades(Picture light) {
    width = light.width();
    height = light.height();
    stops = new float[width * height];
    warm = new float[stops.length];
    for (int i = 0; i < stops.length; i++) {
      stops[i] = Stops.of(Space.srgbLuminance(light.r()[i], light.g()[i], light.b()[i]));
      warm[i] = Lean.of(light.r()[i], light.b()[i]);
    }
    middle = new float[stops.length];
    Arrays.fill(middle, Float.POSITIVE_INFINITY);
  }

  /** Where shades are lit in a view, on the analysis grid, 0 to 1. */
  static Plane of(Analysis analysis) {
    Raster coarse = Raster.fitted(analysis.fullWidth(), analysis.fullHeight(), COARSE);
    Picture light = MergedLight.of(analysis).draw(coarse, id -> analysis.draw(id, coarse));
    return of(light, MergedLight.luminance(analysis));
  }

  /**
   * Where shades are lit, 0 to 1.
   *
   * @param coarse light with sRGB primaries on a small grid, on which they are looked for
   * @param fine luminance of the same light on the grid that is asked for
   */
  static Plane of(Picture coarse, Plane fine) {
    LitShades shades = new LitShades(coarse);
    float[] sorted = shades.stops.clone();
    Arrays.sort(sorted);
    float most = sorted[sorted.length - 1];
    for (float level = most - LEVEL; level > sorted[sorted.length / 2]; level -= LEVEL) {
      shades.look(level);
    }
    return shades.drawn(fine);
  }

  private void look(float level) {
    for (int[] part : FloodFill.all(width, height, true, i -> stops[i] > level)) {
      if (part.length > SMALLEST * stops.length && part.length < LARGEST * stops.length) {
        judge(part);
      }
    }
  }

  private void judge(int[] part) {
    boolean[] in = new boolean[stops.length];
    for (int i : part) {
      in[i] = true;
    }
    boolean[] shade = in.clone();
    int[] about = grown(part, in, BORDER);
    int[] beside = grown(about, in, 1);
    Mean own = mean(part, 0);
    Mean other = mean(beside, about.length);
    int below = 0;
    for (int k = about.length; k < beside.length; k++) {
      below += rim(beside[k], shade) - stops[beside[k]] > OVER ? 1 : 0;
    }
    if (below > ROUND * (beside.length - about.length) && own.warm - other.warm > WARMER) {
      for (int i : beside) {
        middle[i] = (float) ((own.stops + other.stops) / 2);
      }
    }
  }

  /** Stops of the part's brightest pixel just within its border. */
  private float rim(int i, boolean[] shade) {
    float most = Float.NEGATIVE_INFINITY;
    int near = BORDER + 2;
    for (int v = Math.max(0, i / width - near); v <= Math.min(height - 1, i / width + near); v++) {
      for (int u = Math.max(0, i % width - near); u <= Math.min(width - 1, i % width + near); u++) {
        if (shade[v * width + u]) {
          most = Math.max(most, stops[v * width + u]);
        }
      }
    }
    return most;
  }

  private record Mean(double stops, double warm) {}

  /** Of pixels from one of their list on. */
  private Mean mean(int[] pixels, int from) {
    double tone = 0;
    double lean = 0;
    for (int k = from; k < pixels.length; k++) {
      tone += stops[pixels[k]];
      lean += warm[pixels[k]];
    }
    int n = pixels.length - from;
    return new Mean(tone / n, lean / n);
  }

  /**
   * A part and the pixels about it, these last.
   *
   * @param in which pixels are in it; modified
   */
  private int[] grown(int[] part, boolean[] in, int by) {
    int[] out = part;
    for (int k = 0; k < by; k++) {
      int[] more = Arrays.copyOf(out, 9 * out.length);
      int n = out.length;
      for (int i : out) {
        for (int v = Math.max(0, i / width - 1); v <= Math.min(height - 1, i / width + 1); v++) {
          for (int u = Math.max(0, i % width - 1); u <= Math.min(width - 1, i % width + 1); u++) {
            if (!in[v * width + u]) {
              in[v * width + u] = true;
              more[n++] = v * width + u;
            }
          }
        }
      }
      out = Arrays.copyOf(more, n);
    }
    return out;
  }

  private Plane drawn(Plane light) {
    Plane out = Plane.of(light.width(), light.height());
    for (int i = 0; i < out.data().length; i++) {
      int x = i % light.width() * width / light.width();
      int y = i / light.width() * height / light.height();
      float from = middle[y * width + x];
      if (from < Float.POSITIVE_INFINITY) {
        float over = Stops.of(light.data()[i]) - from;
        out.data()[i] = Ease.between(over / SOFT + 0.5f);
      }
    }
    return out;
  }
}
