package illuminar.core.frame;

import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import java.util.Arrays;

/**
 * How a camera turns light into codes, per channel, and back. Light is relative to the frame's own
 * exposure: 1.0 just reaches the highest code. Codes are in [0, 1]. Both ways are monotonic.
 */
public final class Response {
  private final float[][] light;
  private final Curve[] toLight = new Curve[3];
  private final Curve[] toDisplay = new Curve[3];

  private Response(float[][] light) {
    this.light = light;
    for (int c = 0; c < 3; c++) {
      float[] curve = light[c];
      toLight[c] = Curve.of(x -> lightOf(curve, Srgb.encode(x)));
      toDisplay[c] = Curve.of(x -> Srgb.decode(codeOf(curve, x)));
    }
  }

  /**
   * From tables of light for evenly spaced codes.
   *
   * @param light three rows of 256 or more values, rising from at least 0 to 1
   */
  public static Response of(float[][] light) {
    float[][] rising = new float[3][];
    for (int c = 0; c < 3; c++) {
      rising[c] = light[c].clone();
      float top = rising[c][rising[c].length - 1];
      for (int i = 0; i < rising[c].length; i++) {
        float floor = i == 0 ? 0 : rising[c][i - 1] + 1e-7f;
        rising[c][i] = Math.max(floor, rising[c][i] / top);
      }
    }
    return new Response(rising);
  }

  /** The sRGB curve itself, for a single frame about which nothing else is known. */
  public static Response srgb() {
    float[] curve = new float[256];
    for (int i = 0; i < 256; i++) {
      curve[i] = (float) Srgb.decode(i / 255.0);
    }
    return of(new float[][] {curve, curve, curve});
  }

  /**
   * The rendition that linear frames are shown with: a soft toe and shoulder, display = (1 −
   * e^(−k·x^p)) / (1 − e^(−k)), k = 1.9, p = 1.15. Our own choice.
   */
  public static Response standard() {
    int n = 4096;
    float[] curve = new float[n];
    for (int i = 0; i < n; i++) {
      double display = Srgb.decode(i / (n - 1.0));
      double inner = -Math.log(1 - display * (1 - Math.exp(-1.9))) / 1.9;
      curve[i] = (float) Math.pow(Math.max(0, inner), 1 / 1.15);
    }
    return of(new float[][] {curve, curve, curve});
  }

  private static double lightOf(float[] table, double code) {
    double at = Math.max(0, Math.min(1, code)) * (table.length - 1);
    int i = Math.min(table.length - 2, (int) at);
    return table[i] + (table[i + 1] - table[i]) * (at - i);
  }

  private static double codeOf(float[] table, double x) {
    int i = Arrays.binarySearch(table, (float) x);
    if (i >= 0) {
      return i / (table.length - 1.0);
    }
    int next = -i - 1;
    if (next == 0) {
      return 0;
    }
    if (next >= table.length) {
      return 1;
    }
    double low = table[next - 1];
    double part = (x - low) / Math.max(1e-12, table[next] - low);
    return (next - 1 + part) / (table.length - 1.0);
  }

  /** Light of a code in [0, 1], exact. */
  public double lightOfCode(int channel, double code) {
    return lightOf(light[channel], code);
  }

  /** Code of a light in [0, 1], exact. */
  public double codeOfLight(int channel, double amount) {
    return codeOf(light[channel], amount);
  }

  /** Light behind a display-linear value in [0, 1], by table. */
  public float toLight(int channel, float display) {
    return toLight[channel].at(display);
  }

  /** Luminance of the light behind a display-linear colour with sRGB primaries, by table. */
  public float luminance(float r, float g, float b) {
    return Space.srgbLuminance(toLight(0, r), toLight(1, g), toLight(2, b));
  }

  /** From display-linear values to those of the same light times {@code gain}. */
  public Curve exposed(int channel, float gain) {
    return Curve.of(x -> toDisplay(channel, toLight(channel, (float) x) * gain));
  }

  /** Display-linear value of a light, by table; light above 1 is burnt. */
  public float toDisplay(int channel, float amount) {
    return toDisplay[channel].at(amount);
  }

  /** Rows of light for 256 evenly spaced codes, for storing. */
  public float[][] table256() {
    float[][] out = new float[3][256];
    for (int c = 0; c < 3; c++) {
      for (int i = 0; i < 256; i++) {
        out[c][i] = (float) lightOf(light[c], i / 255.0);
      }
    }
    return out;
  }
}
