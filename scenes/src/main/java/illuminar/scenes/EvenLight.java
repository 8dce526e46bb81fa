package illuminar.scenes;

import illuminar.core.colour.Space;
import illuminar.scenes.render.Radiance;
import java.util.Arrays;

/**
 * The truth picture of a room: each surface's reflectance under white light whose differences from
 * place to place are drawn together to the power of {@value #EVEN}, as the trade does with flash
 * and blending; its median lightness outside the windows at L* {@value #MIDDLE}. The outside,
 * without haze, stands so that its median is {@value #OVER} stops over the room's. What has no
 * reflectance (lamps, sky of an outdoor view) keeps its own colour in the camera's white and is
 * drawn together likewise.
 */
public final class EvenLight {
  private static final double EVEN = 0.4;
  private static final double MIDDLE = 62;
  private static final double OVER = 0.9;

  private final Radiance truth;
  private final float[][] light;
  private final double[] white;
  private final float[] lit;
  private final float[][] out = new float[3][];

  private EvenLight(Radiance truth, float[] strengths, double[] white) {
    this.truth = truth;
    this.white = white;
    light = truth.sum(strengths);
    lit = new float[light[0].length];
    for (int c = 0; c < 3; c++) {
      out[c] = new float[lit.length];
    }
  }

  /**
   * The picture as it would be shown: linear sRGB, three planes, 0 to 1.
   *
   * @param strengths of each light of the view
   * @param white multipliers of red, green, blue in the camera
   */
  public static float[][] of(Radiance truth, float[] strengths, double[] white) {
    EvenLight made = new EvenLight(truth, strengths, white);
    made.colours();
    made.tones();
    return made.out;
  }

  private boolean outside(int i) {
    return truth.truth().outside()[i] > 0.5f;
  }

  /** Reflectances, and how much light falls on each. */
  private void colours() {
    float[][] albedo = truth.truth().albedo();
    for (int i = 0; i < lit.length; i++) {
      for (int c = 0; c < 3; c++) {
        float[] of = outside(i) ? truth.truth().clear()[c] : light[c];
        out[c][i] = (float) (of[i] * white[c]);
      }
      double y = luminance(out, i);
      double a = luminance(albedo, i);
      boolean surface = !outside(i) && a > 0.01;
      lit[i] = (float) Math.max(1e-9, surface ? y / a : y);
      for (int c = 0; c < 3; c++) {
        out[c][i] = surface ? albedo[c][i] : (float) (out[c][i] / Math.max(1e-9, y));
      }
    }
  }

  private void tones() {
    double middle = median(lit, false);
    double far = median(lit, true);
    float[] shown = new float[lit.length];
    for (int i = 0; i < lit.length; i++) {
      double even = outside(i) ? lit[i] / far : Math.pow(lit[i] / middle, EVEN);
      for (int c = 0; c < 3; c++) {
        out[c][i] *= (float) even;
      }
      shown[i] = luminance(out, i);
    }
    double wanted = Math.pow((MIDDLE + 16) / 116, 3);
    double room = wanted / median(shown, false);
    double outside = wanted * Math.pow(2, OVER) / Math.max(1e-9, median(shown, true));
    for (int i = 0; i < lit.length; i++) {
      double gain = outside(i) ? outside : room;
      for (int c = 0; c < 3; c++) {
        out[c][i] = (float) Math.max(0, Math.min(1, out[c][i] * gain));
      }
    }
  }

  private static float luminance(float[][] planes, int i) {
    return Space.srgbLuminance(planes[0][i], planes[1][i], planes[2][i]);
  }

  private double median(float[] values, boolean outside) {
    float[] some = new float[values.length];
    int n = 0;
    for (int i = 0; i < values.length; i++) {
      if (outside(i) == outside) {
        some[n++] = values[i];
      }
    }
    Arrays.sort(some, 0, n);
    return n == 0 ? 1 : some[n / 2];
  }
}
