package illuminar.core.noise;

import illuminar.core.colour.Srgb;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Measures the noise of a picture in places all over it. In blocks that show nothing but light that
 * changes slowly, what high frequencies hold is noise (median absolute deviation: Donoho, Johnstone
 * 1994); at each light the quieter of them count, since what looks flat may still have a texture.
 */
public final class NoiseMeter {
  private static final int ACROSS = 16;
  private static final int DOWN = 12;

  /** Pixels on a side of a place. */
  private static final int SIDE = 32;

  /** Median of a normal distribution's absolute values. */
  private static final double MEDIAN = 0.6745;

  /** Sum of a coefficient's two orders from which on its frequency is high. */
  private static final int HIGH = 6;

  /** The sum up to which it is low. */
  private static final int LOW = 2;

  /** Lower frequencies hold at most so many times the power of high ones where nothing is seen. */
  private static final double FLAT = 6;

  /** The power of noise in high frequencies over that by their median; of a texture it is more. */
  private static final double EVEN = 4;

  /** The share of the flat blocks of a light that is quieter than what counts as its noise. */
  private static final double QUIET = 0.3;

  /** Deviation of noise over that of the quieter blocks. */
  private static final double OF_QUIET = 1.07;

  /** Blocks of a light from which its noise can be told. */
  private static final int ENOUGH = 6;

  /** Flat blocks that hold no more than so many times what the quiet ones do have no texture. */
  private static final double PLAIN = 1.3;

  /** A deviation below that of rounding to so many parts of a code of 255 is none. */
  private static final double ROUNDING = 0.3;

  private NoiseMeter() {}

  /** What one flat block of a channel shows. */
  private record Seen(int channel, double light, double high) {}

  /**
   * @param at the picture at any raster, linear BT.2020
   */
  public static Noise of(Function<Raster, Picture> at, int fullWidth, int fullHeight) {
    List<Picture> places =
        places(fullWidth, fullHeight).stream().parallel().map(at).map(Picture::copy).toList();
    float[] deviation = new float[3 * Noise.KNOTS];
    List<Seen> seen = places.stream().flatMap(NoiseMeter::seen).toList();
    for (int c = 0; c < 3; c++) {
      deviation(c, seen, deviation);
    }
    float[] white = new float[3 * Cosines.VALUES];
    Arrays.fill(white, 1);
    return new Noise(deviation, spectrum(places, new Noise(deviation, white)));
  }

  private static List<Raster> places(int width, int height) {
    Raster whole = Raster.whole(width, height, 1);
    int w = Math.min(SIDE, width / Cosines.SIDE * Cosines.SIDE);
    int h = Math.min(SIDE, height / Cosines.SIDE * Cosines.SIDE);
    if (w == 0 || h == 0) {
      return List.of();
    }
    return IntStream.range(0, ACROSS * DOWN)
        .mapToObj(
            k ->
                whole.part(
                    (width - w) * (k % ACROSS) / (ACROSS - 1),
                    (height - h) * (k / ACROSS) / (DOWN - 1),
                    w,
                    h))
        .distinct()
        .toList();
  }

  /** The coefficients of all blocks of a plane. */
  private static float[][] blocks(float[] plane, int w) {
    int across = w / Cosines.SIDE;
    int n = across * (plane.length / w / Cosines.SIDE);
    float[][] blocks = new float[Cosines.VALUES][n];
    for (int i = 0; i < n; i++) {
      int left = i % across * Cosines.SIDE;
      int top = i / across * Cosines.SIDE;
      for (int k = 0; k < Cosines.VALUES; k++) {
        blocks[k][i] = plane[(top + k / Cosines.SIDE) * w + left + k % Cosines.SIDE];
      }
    }
    Cosines.forth(blocks, n);
    return blocks;
  }

  private static int order(int k) {
    return k / Cosines.SIDE + k % Cosines.SIDE;
  }

  /** Light and noise of the flat blocks of a place. */
  private static Stream<Seen> seen(Picture place) {
    float[][] grey = blocks(place.luminance().data(), place.width());
    List<Seen> out = new ArrayList<>();
    for (int c = 0; c < 3; c++) {
      float[][] blocks = blocks(place.channel(c), place.width());
      for (int i = 0; i < grey[0].length; i++) {
        if (flat(grey, i)) {
          out.add(new Seen(c, blocks[0][i] / Cosines.SIDE, high(blocks, i)));
        }
      }
    }
    return out.stream();
  }

  /** Deviation of noise by what the high frequencies of a block hold. */
  private static double high(float[][] blocks, int i) {
    double[] high = new double[Cosines.VALUES];
    int n = 0;
    for (int k = 1; k < Cosines.VALUES; k++) {
      if (order(k) >= HIGH) {
        high[n++] = Math.abs(blocks[k][i]);
      }
    }
    return median(high, n) / MEDIAN;
  }

  /** Whether a block shows nothing but noise. */
  private static boolean flat(float[][] grey, int i) {
    double high = high(grey, i);
    return high > 0
        && power(grey, i, 1, LOW) <= FLAT * high * high
        && power(grey, i, LOW + 1, HIGH - 1) <= FLAT * high * high
        && power(grey, i, HIGH, 2 * Cosines.SIDE) <= EVEN * high * high;
  }

  /** Mean square of the coefficients of some orders. */
  private static double power(float[][] block, int i, int from, int to) {
    double sum = 0;
    int n = 0;
    for (int k = 1; k < Cosines.VALUES; k++) {
      if (order(k) >= from && order(k) <= to) {
        sum += block[k][i] * block[k][i];
        n++;
      }
    }
    return sum / n;
  }

  private static double median(double[] values, int n) {
    Arrays.sort(values, 0, n);
    return n == 0 ? 0 : values[n / 2];
  }

  /** What is known of some lights, carried on to the others. */
  private static void deviation(int channel, List<Seen> seen, float[] out) {
    double[] known = new double[Noise.KNOTS];
    boolean[] is = new boolean[Noise.KNOTS];
    for (int k = 0; k < Noise.KNOTS; k++) {
      int knot = k;
      double[] high =
          seen.stream()
              .filter(s -> s.channel == channel)
              .filter(s -> Math.round(Noise.place(s.light)) == knot)
              .mapToDouble(Seen::high)
              .sorted()
              .toArray();
      is[k] = high.length >= ENOUGH;
      known[k] = is[k] ? OF_QUIET * high[(int) (QUIET * (high.length - 1))] : 0;
    }
    for (int k = 0; k < Noise.KNOTS; k++) {
      double v = between(known, is, k);
      out[channel * Noise.KNOTS + k] = (float) Math.max(v, rounding(Noise.light(k)));
    }
  }

  private static double between(double[] known, boolean[] is, int k) {
    int low = k;
    while (low >= 0 && !is[low]) {
      low--;
    }
    int high = k;
    while (high < known.length && !is[high]) {
      high++;
    }
    if (low < 0) {
      return high == known.length ? 0 : known[high];
    }
    if (high == known.length || high == low) {
      return known[low];
    }
    return known[low] + (known[high] - known[low]) * (k - low) / (high - low);
  }

  /** The light of {@link #ROUNDING} of a code at a light. */
  private static double rounding(double light) {
    double code = Srgb.encode(Math.min(1, light));
    return ROUNDING * (Srgb.decode(code + 1 / 255.0) - Srgb.decode(code));
  }

  /** What lies between two blocks beside each other that show nothing. */
  private record Pair(double high, float[] apart) {}

  /**
   * The spectrum by the quieter of the pairs of blocks that show nothing: light that changes slowly
   * does so alike in both.
   */
  private static float[] spectrum(List<Picture> places, Noise noise) {
    Steady steady = new Steady(noise);
    List<Pair> pairs = new ArrayList<>();
    for (Picture place : places) {
      steady.forth(place);
      float[][][] planes = new float[3][][];
      for (int plane = 0; plane < 3; plane++) {
        planes[plane] = blocks(place.channel(plane), place.width());
      }
      int across = place.width() / Cosines.SIDE;
      for (int i = 0; i + 1 < planes[0][0].length; i++) {
        if ((i + 1) % across > 0 && flat(planes[0], i) && flat(planes[0], i + 1)) {
          double high = Math.max(high(planes[0], i), high(planes[0], i + 1));
          pairs.add(new Pair(high, apart(planes, i)));
        }
      }
    }
    double[] high = pairs.stream().mapToDouble(Pair::high).sorted().toArray();
    double quiet = high.length == 0 ? 0 : high[(int) (QUIET * (high.length - 1))];
    return spectrum(pairs.stream().filter(p -> p.high <= PLAIN * quiet).map(Pair::apart).toList());
  }

  /** What lies between the coefficients of a block and the next, of three planes; deviation 1. */
  private static float[] apart(float[][][] planes, int block) {
    float[] out = new float[3 * Cosines.VALUES];
    for (int k = 0; k < out.length; k++) {
      float[] row = planes[k / Cosines.VALUES][k % Cosines.VALUES];
      out[k] = (float) (Math.abs(row[block] - row[block + 1]) * Math.sqrt(0.5));
    }
    return out;
  }

  private static float[] spectrum(List<float[]> blocks) {
    float[] out = new float[3 * Cosines.VALUES];
    double[] values = new double[blocks.size()];
    for (int k = 0; k < out.length; k++) {
      for (int i = 0; i < values.length; i++) {
        values[i] = blocks.get(i)[k];
      }
      out[k] = values.length < ENOUGH ? 1 : (float) (median(values, values.length) / MEDIAN);
    }
    for (int at = 0; at < out.length; at += Cosines.VALUES) {
      out[at] = (out[at + 1] + out[at + Cosines.SIDE]) / 2;
    }
    return out;
  }
}
