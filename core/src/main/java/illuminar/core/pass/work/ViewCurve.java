package illuminar.core.pass.work;

import illuminar.core.colour.Stops;
import illuminar.core.filter.MonotoneCubic;
import java.util.Arrays;

/**
 * The one curve by which light is shown that comes nearest to a picture: medians of its tones over
 * bins of light, made monotone by pooling neighbours (Ayer and others 1955), nowhere flatter than
 * {@value #FLATTEST}, and drawn together at its light end to stay below a tone.
 */
public final class ViewCurve {
  /** Stops of light that one point of the curve stands for. */
  private static final double BIN = 0.5;

  /** Rise of tone over light, both in stops, that clouds and leaves need to be told apart. */
  private static final double FLATTEST = 0.35;

  /** Stops below the brightest tone from which on the light end is drawn together. */
  private static final double KNEE = 1.2;

  private static final float DARKEST = -13;

  private final MonotoneCubic curve;
  private final double from;
  private final double to;

  private ViewCurve(double[] x, double[] y) {
    curve = new MonotoneCubic(x, y);
    from = x[0];
    to = x[x.length - 1];
  }

  /**
   * Fits a curve.
   *
   * @param light stops of the light at each place
   * @param tone stops of the picture there, 0 at white
   * @param share how much each place counts
   * @param lighter stops by which all is shown lighter
   * @param brightest tone that the brightest light stays below, stops
   * @param contrast factor on the curve's rise, about the middle of what is seen
   */
  public static ViewCurve fitted(
      float[] light,
      float[] tone,
      float[] share,
      double lighter,
      double brightest,
      double contrast) {
    double least = Double.MAX_VALUE;
    double most = -Double.MAX_VALUE;
    for (int i = 0; i < light.length; i++) {
      if (share[i] > 0.05f) {
        least = Math.min(least, Math.max(DARKEST, light[i]));
        most = Math.max(most, Math.max(DARKEST, light[i]));
      }
    }
    if (least > most) {
      return new ViewCurve(new double[] {-1, 0}, new double[] {-1, 0});
    }
    int n = Math.max(2, (int) Math.ceil((most - least) / BIN) + 1);
    double[] x = new double[n];
    double[] y = new double[n];
    double[] weight = new double[n];
    for (int k = 0; k < n; k++) {
      x[k] = least + k * BIN;
      weight[k] = median(light, tone, share, x[k], y, k);
    }
    fill(y, weight);
    pool(y, weight);
    double middle = middle(y, weight);
    steepen(y, middle);
    for (int k = 0; k < n; k++) {
      y[k] = middle + (y[k] - middle) * contrast + lighter;
    }
    drawTogether(y, brightest);
    return new ViewCurve(x, y);
  }

  /** Draws the light end of a curve together so that it stays below a tone. */
  private static void drawTogether(double[] y, double brightest) {
    double top = y[y.length - 1];
    double knee = brightest - KNEE;
    for (int k = 0; k < y.length && top > brightest; k++) {
      if (y[k] > knee) {
        y[k] = knee + (y[k] - knee) * KNEE / (top - knee);
      }
    }
  }

  /** Factor on the light at a place. */
  public float gain(float luminance) {
    double stops = Math.max(DARKEST, Stops.of(luminance));
    double inside = Math.max(from, Math.min(to, stops));
    double beyond = stops < from ? stops - from : 0;
    return (float) Math.pow(2, curve.at(inside) + beyond - stops);
  }

  /** Puts the median tone of one bin into {@code y}; its weight. */
  private static double median(
      float[] light, float[] tone, float[] share, double x, double[] y, int k) {
    long[] found = new long[light.length];
    int n = 0;
    double all = 0;
    for (int i = 0; i < light.length; i++) {
      double off = Math.abs(Math.max(DARKEST, light[i]) - x) / BIN;
      if (share[i] > 0.05f && off < 1) {
        // tones are below 8; sorted as whole numbers with their place
        found[n++] = (long) ((tone[i] + 64) * 1e6) << 24 | i;
        all += share[i] * (1 - off);
      }
    }
    Arrays.sort(found, 0, n);
    double sum = 0;
    for (int m = 0; m < n; m++) {
      int i = (int) (found[m] & 0xffffff);
      sum += share[i] * (1 - Math.abs(Math.max(DARKEST, light[i]) - x) / BIN);
      if (sum >= all / 2) {
        y[k] = tone[i];
        break;
      }
    }
    return all;
  }

  /** Empty bins take the tone between their neighbours. */
  private static void fill(double[] y, double[] weight) {
    int last = -1;
    for (int k = 0; k < y.length; k++) {
      if (weight[k] > 0) {
        for (int m = last + 1; m < k; m++) {
          y[m] =
              last < 0
                  ? y[k] - (k - m) * BIN
                  : y[last] + (y[k] - y[last]) * (m - last) / (k - last);
        }
        last = k;
      }
    }
    for (int m = last + 1; m < y.length; m++) {
      y[m] = y[last];
    }
  }

  /** Makes tones rise with light: neighbours that fall are pooled to their mean. */
  private static void pool(double[] y, double[] weight) {
    int n = y.length;
    double[] value = new double[n];
    double[] mass = new double[n];
    int[] count = new int[n];
    int blocks = 0;
    for (int k = 0; k < n; k++) {
      value[blocks] = y[k];
      mass[blocks] = Math.max(1e-3, weight[k]);
      count[blocks++] = 1;
      while (blocks > 1 && value[blocks - 2] > value[blocks - 1]) {
        blocks--;
        double sum = mass[blocks - 1] + mass[blocks];
        value[blocks - 1] =
            (value[blocks - 1] * mass[blocks - 1] + value[blocks] * mass[blocks]) / sum;
        mass[blocks - 1] = sum;
        count[blocks - 1] += count[blocks];
      }
    }
    int k = 0;
    for (int b = 0; b < blocks; b++) {
      Arrays.fill(y, k, k + count[b], value[b]);
      k += count[b];
    }
  }

  private static double middle(double[] y, double[] weight) {
    double sum = 0;
    double all = 1e-9;
    for (int k = 0; k < y.length; k++) {
      sum += weight[k] * y[k];
      all += weight[k];
    }
    return sum / all;
  }

  /** Gives the curve its least rise, upwards and downwards from its middle. */
  private static void steepen(double[] y, double middle) {
    int m = 0;
    while (m < y.length - 1 && y[m] < middle) {
      m++;
    }
    for (int k = m + 1; k < y.length; k++) {
      y[k] = Math.max(y[k], y[k - 1] + FLATTEST * BIN);
    }
    for (int k = m - 1; k >= 0; k--) {
      y[k] = Math.min(y[k], y[k + 1] - FLATTEST * BIN);
    }
  }
}
