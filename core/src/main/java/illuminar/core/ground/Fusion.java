package illuminar.core.ground;

import illuminar.core.colour.Stops;
import illuminar.core.picture.Bands;
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
  /** Pixels that one thread works on at a time. */
  private static final int BAND = 200_000;

  private static final float SIGMA = 0.2f;
  private static final float LOG2_E = 1.4426950f;
  private static final float[] TAPS = {1 / 16f, 4 / 16f, 6 / 16f, 4 / 16f, 1 / 16f};

  private Fusion() {}

  /**
   * How well each exposure shows each pixel; the weights of a pixel sum to 1.
   *
   * @param frames three planes of codes for each exposure, all of one size; not modified
   */
  public static List<Plane> weights(List<Plane[]> frames) {
    return weights(frames, 1, 1, 1);
  }

  /**
   * The same with exponents for contrast, saturation and exposedness, as in the paper's equation 3.
   */
  public static List<Plane> weights(
      List<Plane[]> frames, double contrast, double saturation, double exposedness) {
    List<Plane> weights =
        frames.stream()
            .parallel()
            .map(f -> weight(f, (float) contrast, (float) saturation, (float) exposedness))
            .toList();
    int n = weights.get(0).data().length;
    Bands.of(
        n,
        BAND,
        (from, to) -> {
          for (int i = from; i < to; i++) {
            float sum = 0;
            for (Plane w : weights) {
              sum += w.data()[i];
            }
            for (Plane w : weights) {
              w.data()[i] /= sum;
            }
          }
        });
    return weights;
  }

  private static Plane weight(Plane[] rgb, float contrast, float saturation, float exposedness) {
    boolean published = contrast == 1 && saturation == 1;
    int w = rgb[0].width();
    int h = rgb[0].height();
    Plane grey = Plane.of(w, h);
    for (int i = 0; i < w * h; i++) {
      grey.data()[i] =
          0.299f * rgb[0].data()[i] + 0.587f * rgb[1].data()[i] + 0.114f * rgb[2].data()[i];
    }
    float[] v = grey.data();
    Plane out = Plane.of(w, h);
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        int i = y * w + x;
        float r = rgb[0].data()[i];
        float g = rgb[1].data()[i];
        float b = rgb[2].data()[i];
        float laplace =
            v[x > 0 ? i - 1 : i]
                + v[x + 1 < w ? i + 1 : i]
                + v[y > 0 ? i - w : i]
                + v[y + 1 < h ? i + w : i]
                - 4 * v[i];
        float mean = (r + g + b) / 3;
        float spread =
            ((r - mean) * (r - mean) + (g - mean) * (g - mean) + (b - mean) * (b - mean)) / 3;
        float exposed = sq(r - 0.5f) + sq(g - 0.5f) + sq(b - 0.5f);
        float shown = Stops.light(-exposedness * exposed * LOG2_E / (2 * SIGMA * SIGMA));
        float detail = Math.abs(laplace);
        float colour = (float) Math.sqrt(spread);
        float both =
            published ? detail * colour : power(detail, contrast) * power(colour, saturation);
        out.data()[i] = (both + 1e-6f) * shown + 1e-12f;
      }
    }
    return out;
  }

  private static float power(float x, float exponent) {
    return exponent == 0 ? 1 : (float) Math.pow(x, exponent);
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
    float[] v = in.data();
    float[] rows = new float[w * in.height()];
    Bands.of(
        in.height(),
        1 + BAND / in.width(),
        (from, to) -> {
          for (int y = from; y < to; y++) {
            reduceRow(v, y * in.width(), in.width(), rows, y * w, w);
          }
        });
    Plane out = Plane.of(w, h);
    Bands.of(
        h,
        1 + BAND / w,
        (from, to) -> {
          for (int y = from; y < to; y++) {
            for (int d = -2; d <= 2; d++) {
              int row = mirror(2 * y + d, in.height()) * w;
              float t = TAPS[d + 2];
              for (int x = 0; x < w; x++) {
                out.data()[y * w + x] += t * rows[row + x];
              }
            }
          }
        });
    return out;
  }

  private static void reduceRow(float[] v, int at, int width, float[] rows, int to, int w) {
    for (int x = 0; x < w; x++) {
      int c = at + 2 * x;
      boolean inner = x > 0 && 2 * x + 2 < width;
      float a2 = inner ? v[c - 2] : v[at + mirror(2 * x - 2, width)];
      float a1 = inner ? v[c - 1] : v[at + mirror(2 * x - 1, width)];
      float b1 = inner ? v[c + 1] : v[at + mirror(2 * x + 1, width)];
      float b2 = inner ? v[c + 2] : v[at + mirror(2 * x + 2, width)];
      rows[to + x] = (a2 + b2 + 4 * (a1 + b1) + 6 * v[c]) * (1 / 16f);
    }
  }

  /** Twice the size, smooth. */
  static Plane expand(Plane in, int width, int height) {
    float[] rows = new float[width * in.height()];
    Bands.of(
        in.height(),
        1 + BAND / width,
        (from, to) -> {
          for (int y = from; y < to; y++) {
            expandRow(in.data(), y * in.width(), in.width(), rows, y * width, width);
          }
        });
    Plane out = Plane.of(width, height);
    Bands.of(
        height,
        1 + BAND / width,
        (from, to) -> {
          for (int y = from; y < to; y++) {
            int a = Math.max(0, y / 2 - 1) * width;
            int b = Math.min(in.height() - 1, y / 2) * width;
            int c = Math.min(in.height() - 1, y / 2 + 1) * width;
            float outer = (y & 1) == 0 ? 1 / 8f : 0;
            float middle = (y & 1) == 0 ? 6 / 8f : 1 / 2f;
            float next = (y & 1) == 0 ? 1 / 8f : 1 / 2f;
            for (int x = 0; x < width; x++) {
              out.data()[y * width + x] =
                  rows[a + x] * outer + rows[b + x] * middle + rows[c + x] * next;
            }
          }
        });
    return out;
  }

  private static void expandRow(float[] in, int at, int size, float[] rows, int to, int width) {
    for (int x = 0; x < width; x++) {
      int m = x / 2;
      float left = in[at + Math.max(0, m - 1)];
      float mid = in[at + Math.min(size - 1, m)];
      float right = in[at + Math.min(size - 1, m + 1)];
      rows[to + x] = (x & 1) == 0 ? (left + 6 * mid + right) / 8 : (mid + right) / 2;
    }
  }

  private static int mirror(int x, int size) {
    int m = x < 0 ? -x : x;
    m = m >= size ? 2 * size - 2 - m : m;
    return Math.max(0, Math.min(size - 1, m));
  }
}
