package illuminar.core.noise;

/**
 * The noise of a picture: how much at which light, and how it is spread over the frequencies.
 *
 * @param deviation standard deviation of red, green and blue, linear BT.2020, each at {@link
 *     #KNOTS} lights from black upwards, one channel after the other
 * @param spectrum standard deviation of the cosine coefficients of 8 × 8 blocks in the {@link
 *     Steady} planes, 64 values a plane; all 1 for white noise
 */
public record Noise(float[] deviation, float[] spectrum) {
  /** Lights at which noise is known. */
  static final int KNOTS = 24;

  /** Light at the last of them. */
  static final float TOP = 2;

  /** Where a light lies among the knots, which are even in its cube root. */
  static double place(double light) {
    return Math.cbrt(Math.max(0, light) / TOP) * (KNOTS - 1);
  }

  /** The light at a knot. */
  static double light(int knot) {
    return TOP * Math.pow(knot / (KNOTS - 1.0), 3);
  }

  /** Standard deviation of a channel at a light. */
  public double at(int channel, double light) {
    double place = Math.min(KNOTS - 1.001, place(light));
    int k = (int) place;
    double low = deviation[channel * KNOTS + k];
    return low + (deviation[channel * KNOTS + k + 1] - low) * (place - k);
  }

  /**
   * The spectrum of a plane in a picture of another scale: pixels that are means of many hold less
   * noise, and of that the low frequencies.
   *
   * @param scale pixels for each pixel at which it was measured
   */
  public float[] spectrum(int plane, double scale) {
    float[] out = new float[Cosines.VALUES];
    for (int k = 0; k < out.length; k++) {
      double u = k % Cosines.SIDE * scale;
      double v = k / Cosines.SIDE * scale;
      out[k] = (float) (scale * between(plane * Cosines.VALUES, u, v));
    }
    return out;
  }

  private double between(int at, double u, double v) {
    int last = Cosines.SIDE - 1;
    if (u > last || v > last) {
      return 0;
    }
    int x = Math.min(last - 1, (int) u);
    int y = Math.min(last - 1, (int) v);
    int i = at + y * Cosines.SIDE + x;
    double top = spectrum[i] + (spectrum[i + 1] - spectrum[i]) * (u - x);
    int j = i + Cosines.SIDE;
    double low = spectrum[j] + (spectrum[j + 1] - spectrum[j]) * (u - x);
    return top + (low - top) * (v - y);
  }
}
