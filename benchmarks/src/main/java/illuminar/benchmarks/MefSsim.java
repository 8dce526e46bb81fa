package illuminar.benchmarks;

import illuminar.core.picture.Plane;
import java.util.List;

/**
 * Quality of a blend against its exposures: structural similarity of each patch to the best
 * structure that any exposure has there. Source: Ma, Zeng, Wang, "Perceptual quality assessment for
 * multi-exposure image fusion", 2015 (one scale, 8 × 8 patches, p = 4).
 */
final class MefSsim {
  private static final int PATCH = 8;
  private static final double C = 0.03 * 0.03;

  private MefSsim() {}

  /**
   * Mean quality, 0 to 1.
   *
   * @param exposures grey codes in [0, 1], all of one size
   * @param blend grey codes of the blend
   */
  static double of(List<Plane> exposures, Plane blend) {
    double sum = 0;
    int n = 0;
    for (int y = 0; y + PATCH <= blend.height(); y += 2) {
      for (int x = 0; x + PATCH <= blend.width(); x += 2) {
        sum += patch(exposures, blend, x, y);
        n++;
      }
    }
    return sum / n;
  }

  private static double patch(List<Plane> exposures, Plane blend, int x, int y) {
    int n = PATCH * PATCH;
    double[] total = new double[n];
    double[][] parts = new double[exposures.size()][];
    double contrast = 0;
    double norms = 0;
    for (int k = 0; k < exposures.size(); k++) {
      parts[k] = centred(exposures.get(k), x, y);
      contrast = Math.max(contrast, norm(parts[k]));
      norms += norm(parts[k]);
      for (int i = 0; i < n; i++) {
        total[i] += parts[k][i];
      }
    }
    double agree = Math.min(0.999, norm(total) / (norms + 1e-9));
    double power = Math.min(10, Math.tan(Math.PI * agree / 2));
    double[] wanted = new double[n];
    for (double[] p : parts) {
      double weight = Math.pow(norm(p), power) / (norm(p) + 1e-9);
      for (int i = 0; i < n; i++) {
        wanted[i] += weight * p[i];
      }
    }
    double scale = contrast / (norm(wanted) + 1e-12);
    double[] out = centred(blend, x, y);
    double wo = 0;
    double ww = 0;
    double oo = 0;
    for (int i = 0; i < n; i++) {
      double w = wanted[i] * scale;
      wo += w * out[i];
      ww += w * w;
      oo += out[i] * out[i];
    }
    return (2 * wo / n + C) / (ww / n + oo / n + C);
  }

  private static double[] centred(Plane p, int x, int y) {
    double[] out = new double[PATCH * PATCH];
    double mean = 0;
    for (int j = 0; j < PATCH; j++) {
      for (int i = 0; i < PATCH; i++) {
        out[j * PATCH + i] = p.at(x + i, y + j);
        mean += out[j * PATCH + i] / out.length;
      }
    }
    for (int i = 0; i < out.length; i++) {
      out[i] -= mean;
    }
    return out;
  }

  private static double norm(double[] v) {
    double s = 0;
    for (double x : v) {
      s += x * x;
    }
    return Math.sqrt(s);
  }
}
