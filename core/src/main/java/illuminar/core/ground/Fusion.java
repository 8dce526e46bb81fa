package illuminar.core.ground;

import illuminar.core.picture.Plane;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Blends exposures in pyramids, on a grid of any size. Works on display codes in [0, 1].
 *
 * <p>Source: Mertens, Kautz, Van Reeth, "Exposure fusion", 2007: weights are contrast × saturation
 * × exposedness, pyramids after Burt and Adelson 1983.
 */
public final class Fusion {
  private static final float SIGMA = 0.2f;
  private static final float[] TAPS = {1 / 16f, 4 / 16f, 6 / 16f, 4 / 16f, 1 / 16f};

  private Fusion() {}

  /**
   * How well each exposure shows each pixel; the weights of a pixel sum to 1.
   *
   * @param frames three planes of codes for each exposure, all of one size; not modified
   */
  public static List<Plane> weights(List<Plane[]> frames) {
    List<Plane> weights = frames.stream().parallel().map(Fusion::weight).toList();
    int n = weights.get(0).data().length;
    for (int i = 0; i < n; i++) {
      float sum = 0;
      for (Plane w : weights) {
        sum += w.data()[i];
      }
      for (Plane w : weights) {
        w.data()[i] /= sum;
      }
    }
    return weights;
  }

  private static Plane weight(Plane[] rgb) {
    int w = rgb[0].width();
    int h = rgb[0].height();
    Plane grey = Plane.of(w, h);
    for (int i = 0; i < w * h; i++) {
      grey.data()[i] =
          0.299f * rgb[0].data()[i] + 0.587f * rgb[1].data()[i] + 0.114f * rgb[2].data()[i];
    }
    Plane out = Plane.of(w, h);
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        int i = y * w + x;
        float r = rgb[0].data()[i];
        float g = rgb[1].data()[i];
        float b = rgb[2].data()[i];
        float laplace =
            grey.clamped(x - 1, y)
                + grey.clamped(x + 1, y)
                + grey.clamped(x, y - 1)
                + grey.clamped(x, y + 1)
                - 4 * grey.data()[i];
        float mean = (r + g + b) / 3;
        float spread =
            ((r - mean) * (r - mean) + (g - mean) * (g - mean) + (b - mean) * (b - mean)) / 3;
        double exposed = sq(r - 0.5f) + sq(g - 0.5f) + sq(b - 0.5f);
        out.data()[i] =
            (float)
                    (Math.abs(laplace)
                        * Math.sqrt(spread)
                        * Math.exp(-exposed / (2 * SIGMA * SIGMA)))
                + 1e-6f * (float) Math.exp(-exposed / (2 * SIGMA * SIGMA))
                + 1e-12f;
      }
    }
    return out;
  }

  private static float sq(float x) {
    return x * x;
  }

  /** The blended planes of codes; may leave [0, 1] a little. */
  public static Plane[] blend(List<Plane[]> frames, List<Plane> weights) {
    int levels = levels(frames.get(0)[0]);
    List<List<Plane>> shares = weights.stream().parallel().map(w -> gaussian(w, levels)).toList();
    Plane[] out = new Plane[3];
    IntStream.range(0, 3).parallel().forEach(c -> out[c] = blend(frames, shares, c, levels));
    return out;
  }

  private static Plane blend(List<Plane[]> frames, List<List<Plane>> shares, int c, int levels) {
    List<Plane> sum = new ArrayList<>();
    for (int k = 0; k < frames.size(); k++) {
      List<Plane> g = gaussian(frames.get(k)[c], levels);
      for (int l = 0; l < levels; l++) {
        Plane level = g.get(l);
        float[] detail = level.data();
        if (l + 1 < levels) {
          Plane up = expand(g.get(l + 1), level.width(), level.height());
          for (int i = 0; i < detail.length; i++) {
            up.data()[i] = detail[i] - up.data()[i];
          }
          detail = up.data();
        }
        if (k == 0) {
          sum.add(Plane.of(level.width(), level.height()));
        }
        float[] into = sum.get(l).data();
        float[] share = shares.get(k).get(l).data();
        for (int i = 0; i < into.length; i++) {
          into[i] += share[i] * detail[i];
        }
      }
    }
    Plane out = sum.get(levels - 1);
    for (int l = levels - 2; l >= 0; l--) {
      Plane up = expand(out, sum.get(l).width(), sum.get(l).height());
      for (int i = 0; i < up.data().length; i++) {
        up.data()[i] += sum.get(l).data()[i];
      }
      out = up;
    }
    return out;
  }

  private static int levels(Plane p) {
    return Math.max(1, (int) (Math.log(Math.min(p.width(), p.height())) / Math.log(2)));
  }

  private static List<Plane> gaussian(Plane p, int levels) {
    List<Plane> out = new ArrayList<>();
    out.add(p);
    for (int l = 1; l < levels; l++) {
      out.add(reduce(out.get(l - 1)));
    }
    return out;
  }

  /** Half size after smoothing. */
  static Plane reduce(Plane in) {
    int w = (in.width() + 1) / 2;
    int h = (in.height() + 1) / 2;
    float[] rows = new float[w * in.height()];
    for (int y = 0; y < in.height(); y++) {
      for (int x = 0; x < w; x++) {
        float sum = 0;
        for (int d = -2; d <= 2; d++) {
          sum += TAPS[d + 2] * in.data()[y * in.width() + mirror(2 * x + d, in.width())];
        }
        rows[y * w + x] = sum;
      }
    }
    Plane out = Plane.of(w, h);
    for (int y = 0; y < h; y++) {
      for (int d = -2; d <= 2; d++) {
        int from = mirror(2 * y + d, in.height()) * w;
        float t = TAPS[d + 2];
        for (int x = 0; x < w; x++) {
          out.data()[y * w + x] += t * rows[from + x];
        }
      }
    }
    return out;
  }

  /** Twice the size, smooth. */
  static Plane expand(Plane in, int width, int height) {
    float[] rows = new float[width * in.height()];
    for (int y = 0; y < in.height(); y++) {
      int at = y * in.width();
      for (int x = 0; x < width; x++) {
        int m = x / 2;
        float left = in.data()[at + Math.max(0, m - 1)];
        float mid = in.data()[at + Math.min(in.width() - 1, m)];
        float right = in.data()[at + Math.min(in.width() - 1, m + 1)];
        rows[y * width + x] = (x & 1) == 0 ? (left + 6 * mid + right) / 8 : (mid + right) / 2;
      }
    }
    Plane out = Plane.of(width, height);
    for (int y = 0; y < height; y++) {
      int m = Math.min(in.height() - 1, y / 2);
      int a = Math.max(0, y / 2 - 1) * width;
      int b = m * width;
      int c = Math.min(in.height() - 1, y / 2 + 1) * width;
      for (int x = 0; x < width; x++) {
        out.data()[y * width + x] =
            (y & 1) == 0
                ? (rows[a + x] + 6 * rows[b + x] + rows[c + x]) / 8
                : (rows[b + x] + rows[c + x]) / 2;
      }
    }
    return out;
  }

  private static int mirror(int x, int size) {
    int m = x < 0 ? -x : x;
    m = m >= size ? 2 * size - 2 - m : m;
    return Math.max(0, Math.min(size - 1, m));
  }
}
