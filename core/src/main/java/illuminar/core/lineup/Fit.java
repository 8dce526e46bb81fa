package illuminar.core.lineup;

import illuminar.core.algebra.Cholesky;
import illuminar.core.frame.Similarity;
import illuminar.core.picture.Plane;
import java.util.stream.IntStream;

/**
 * One least-squares fit of a similarity between two feature planes.
 *
 * @param spread standard error of the position at the picture's corner, in the planes' pixels
 * @param shared share of pixels that took part
 */
record Fit(Similarity move, double spread, double shared) {
  private static final double TUKEY = 1.2;
  private static final int SUMS = 18;

  /** Squared gradient below which a pixel says nothing about position. */
  private static final double FLAT = 0.03;

  static Fit run(Features anchor, Features frame, Similarity start, int rounds) {
    Similarity move = start;
    double[] sums = new double[SUMS];
    double[] step = new double[4];
    for (int round = 0; round < rounds; round++) {
      sums = gather(anchor, frame, move);
      step = solve(sums);
      if (sums[15] < 30) {
        return new Fit(move, Double.POSITIVE_INFINITY, 0);
      }
      // inverse compositional update: anchor is moved by the step, so the frame by its inverse
      move = new Similarity(1 + step[0], step[1], step[2], step[3]).inverse().then(move);
      double corner = Math.hypot(anchor.value().width(), anchor.value().height()) / 2;
      if (Math.hypot(step[0], step[1]) * corner + Math.hypot(step[2], step[3]) < 0.002) {
        break;
      }
    }
    double variance = sums[14] / Math.max(1, sums[15] - 4);
    double[] unit = invertDiagonal(sums);
    double corner = Math.hypot(anchor.value().width(), anchor.value().height()) / 2;
    double spread =
        Math.sqrt(variance * ((unit[0] + unit[1]) * corner * corner + unit[2] + unit[3]));
    return new Fit(move, spread, sums[15] / anchor.value().data().length);
  }

  /** Weighted correlation of the two planes where both are trusted, −1 to 1. */
  static double likeness(Features anchor, Features frame, Similarity move) {
    Plane a = anchor.value();
    double cx = (a.width() - 1) / 2.0;
    double cy = (a.height() - 1) / 2.0;
    double fx = (frame.value().width() - 1) / 2.0;
    double fy = (frame.value().height() - 1) / 2.0;
    double ab = 0;
    double aa = 1e-9;
    double bb = 1e-9;
    for (int y = 0; y < a.height(); y++) {
      for (int x = 0; x < a.width(); x++) {
        int i = y * a.width() + x;
        double px = x - cx;
        double py = y - cy;
        float u = (float) (fx + move.a() * px - move.b() * py + move.dx());
        float v = (float) (fy + move.b() * px + move.a() * py + move.dy());
        if (u < 0 || v < 0 || u > frame.value().width() - 1 || v > frame.value().height() - 1) {
          continue;
        }
        double weight = anchor.trust().data()[i] * frame.trust().sample(u, v);
        double p = a.data()[i];
        double q = frame.value().sample(u, v);
        ab += weight * p * q;
        aa += weight * p * p;
        bb += weight * q * q;
      }
    }
    return ab / Math.sqrt(aa * bb);
  }

  /** Sums of the normal equations: 10 of the matrix, 4 of the right side, error, weight. */
  private static double[] gather(Features anchor, Features frame, Similarity move) {
    int h = anchor.value().height();
    double[][] rows = new double[h][];
    IntStream.range(1, h - 1).parallel().forEach(y -> rows[y] = row(anchor, frame, move, y));
    double[] sum = new double[SUMS];
    for (int y = 1; y < h - 1; y++) {
      for (int k = 0; k < SUMS; k++) {
        sum[k] += rows[y][k];
      }
    }
    return sum;
  }

  private static double[] row(Features anchor, Features frame, Similarity move, int y) {
    Plane a = anchor.value();
    int w = a.width();
    double cx = (w - 1) / 2.0;
    double cy = (a.height() - 1) / 2.0;
    double fx = (frame.value().width() - 1) / 2.0;
    double fy = (frame.value().height() - 1) / 2.0;
    int fw = frame.value().width();
    double[] s = new double[SUMS];
    double py = y - cy;
    for (int x = 1; x < w - 1; x++) {
      int i = y * w + x;
      float trust = anchor.trust().data()[i];
      if (trust <= 0.1f) {
        continue;
      }
      double gx = (a.data()[i + 1] - a.data()[i - 1]) * 0.5;
      double gy = (a.data()[i + w] - a.data()[i - w]) * 0.5;
      if (gx * gx + gy * gy < FLAT) {
        continue;
      }
      double px = x - cx;
      double u = fx + move.a() * px - move.b() * py + move.dx();
      double v = fy + move.b() * px + move.a() * py + move.dy();
      if (u < 1 || v < 1 || u > frame.value().width() - 2 || v > frame.value().height() - 2) {
        continue;
      }
      int at = ((int) v) * fw + (int) u;
      float su = (float) (u - (int) u);
      float sv = (float) (v - (int) v);
      float other = between(frame.trust().data(), at, fw, su, sv);
      if (other <= 0.1f) {
        continue;
      }
      double d = between(frame.value().data(), at, fw, su, sv) - a.data()[i];
      double t = d / TUKEY;
      if (t <= -1 || t >= 1) {
        continue;
      }
      double weight = trust * other * (1 - t * t) * (1 - t * t);
      double j0 = gx * px + gy * py;
      double j1 = gy * px - gx * py;
      s[0] += weight * j0 * j0;
      s[1] += weight * j0 * j1;
      s[2] += weight * j0 * gx;
      s[3] += weight * j0 * gy;
      s[4] += weight * j1 * j1;
      s[5] += weight * j1 * gx;
      s[6] += weight * j1 * gy;
      s[7] += weight * gx * gx;
      s[8] += weight * gx * gy;
      s[9] += weight * gy * gy;
      s[10] += weight * j0 * d;
      s[11] += weight * j1 * d;
      s[12] += weight * gx * d;
      s[13] += weight * gy * d;
      s[14] += weight * d * d;
      s[15] += weight;
    }
    return s;
  }

  /** Bilinear between the pixel at an index and its right and lower neighbours. */
  private static float between(float[] data, int at, int width, float x, float y) {
    float top = data[at] + (data[at + 1] - data[at]) * x;
    float low = data[at + width] + (data[at + width + 1] - data[at + width]) * x;
    return top + (low - top) * y;
  }

  private static double[][] matrix(double[] s) {
    return new double[][] {
      {s[0], s[1], s[2], s[3]},
      {s[1], s[4], s[5], s[6]},
      {s[2], s[5], s[7], s[8]},
      {s[3], s[6], s[8], s[9]},
    };
  }

  private static double[] solve(double[] s) {
    return Cholesky.solve(matrix(s), new double[] {s[10], s[11], s[12], s[13]});
  }

  private static double[] invertDiagonal(double[] s) {
    double[] out = new double[4];
    for (int k = 0; k < 4; k++) {
      double[] unit = new double[4];
      unit[k] = 1;
      out[k] = Math.abs(Cholesky.solve(matrix(s), unit)[k]);
    }
    return out;
  }
}
