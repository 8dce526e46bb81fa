package illuminar.core.measure;

import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.picture.Picture;

/**
 * How a picture's tones are spread, in stops below white.
 *
 * @param light counts of luminance from {@link #FROM} stops to white, {@link #BINS} of them
 * @param red counts of the red channel, likewise green and blue
 * @param burnt share of burnt pixels, see {@link Clipping}; likewise blocked
 */
public record Histogram(
    int[] light, int[] red, int[] green, int[] blue, double burnt, double blocked) {
  public static final int BINS = 120;
  public static final double FROM = -10;
  private static final int SAMPLES = 60_000;

  /** The bin of each light that is the same in its first 16 bits: 128 to a stop. */
  private static final byte[] BIN = new byte[1 << 15];

  static {
    for (int i = 0; i < BIN.length; i++) {
      float light = Float.intBitsToFloat(i << 16 | 0x8000);
      double at = light <= 1 ? (Stops.of(light) - FROM) / -FROM * BINS : BINS;
      BIN[i] = (byte) Math.max(0, Math.min(BINS - 1, at));
    }
  }

  /** Counts a picture of linear BT.2020; of a large one every so many pixels. */
  public static Histogram of(Picture p) {
    int[][] bins = new int[4][BINS];
    int burnt = 0;
    int blocked = 0;
    int step = 1 + p.r().length / SAMPLES;
    int n = (p.r().length + step - 1) / step;
    for (int i = 0; i < p.r().length; i += step) {
      float r = p.r()[i];
      float g = p.g()[i];
      float b = p.b()[i];
      float y = Space.luminance(r, g, b);
      bins[0][bin(y)]++;
      bins[1][bin(r)]++;
      bins[2][bin(g)]++;
      bins[3][bin(b)]++;
      float most = Clipping.mostOfWork(r, g, b);
      burnt += Clipping.burnt(most) ? 1 : 0;
      blocked += Clipping.blocked(most) ? 1 : 0;
    }
    return new Histogram(
        bins[0], bins[1], bins[2], bins[3], (double) burnt / n, (double) blocked / n);
  }

  private static int bin(float light) {
    return light > 0 ? BIN[Float.floatToRawIntBits(light) >> 16] : 0;
  }
}
