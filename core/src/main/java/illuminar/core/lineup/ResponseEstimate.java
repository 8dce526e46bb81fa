package illuminar.core.lineup;

import illuminar.core.algebra.Cholesky;
import illuminar.core.colour.Srgb;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Response;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.List;

/**
 * The camera's response from a lined-up bracket. Source: Debevec, Malik, "Recovering high dynamic
 * range radiance maps from photographs", 1997; pixels' unknown light is eliminated, so that only
 * the curve is solved for.
 */
public final class ResponseEstimate {
  private static final int NODES = 86;
  private static final int GRID = 320;
  private static final double SMOOTH = 30;

  private ResponseEstimate() {}

  /**
   * Estimates the response.
   *
   * @param bracket ambient frames of 8-bit codes, lined up; two different exposures at least
   * @throws IllegalArgumentException where the frames do not differ in exposure
   */
  public static Response of(List<Frame> bracket, int fullWidth, int fullHeight) {
    double lo = bracket.stream().mapToDouble(Frame::stops).min().orElseThrow();
    double hi = bracket.stream().mapToDouble(Frame::stops).max().orElseThrow();
    if (bracket.size() < 2 || hi - lo < 0.5) {
      throw new IllegalArgumentException("a response needs at least two different exposures");
    }
    Raster raster = Raster.fitted(fullWidth, fullHeight, GRID);
    List<Picture> drawn = bracket.stream().map(f -> f.draw(raster, fullWidth, fullHeight)).toList();
    float[][] light = new float[3][];
    for (int c = 0; c < 3; c++) {
      light[c] = channel(bracket, drawn, raster, c);
    }
    return Response.of(light);
  }

  private static float[] channel(List<Frame> bracket, List<Picture> drawn, Raster raster, int c) {
    int n = NODES;
    double[][] a = new double[n][n];
    double[] b = new double[n];
    double[] phi = new double[n];
    int w = raster.width();
    int used = 0;
    for (int y = 2; y < raster.height() - 2; y++) {
      for (int x = 2; x < w - 2; x++) {
        if (flat(drawn, c, y * w + x, w) && add(bracket, drawn, c, y * w + x, a, b, phi)) {
          used++;
        }
      }
    }
    double smooth = SMOOTH * Math.max(1, used) / 1000.0;
    for (int k = 1; k + 1 < n; k++) {
      double hat = 0.15 + hat(k / (n - 1.0));
      double s = smooth * hat * hat;
      double[] d = {1, -2, 1};
      for (int i = 0; i < 3; i++) {
        for (int j = 0; j < 3; j++) {
          a[k - 1 + i][k - 1 + j] += s * d[i] * d[j];
        }
      }
    }
    a[n / 2][n / 2] += 1000.0 * Math.max(1, used);
    double[] g = Cholesky.solve(a, b);
    return curve(g);
  }

  private static double hat(double z) {
    return Math.max(0, Math.min(1, 2 * Math.min(z, 1 - z) * 1.6));
  }

  private static boolean flat(List<Picture> drawn, int c, int i, int w) {
    for (Picture p : drawn) {
      float[] v = p.channel(c);
      float here = Srgb.encodeFast(v[i]);
      if (Math.abs(Srgb.encodeFast(v[i + 1]) - Srgb.encodeFast(v[i - 1])) > 0.025f
          || Math.abs(Srgb.encodeFast(v[i + w]) - Srgb.encodeFast(v[i - w])) > 0.025f
          || Math.abs(Srgb.encodeFast(v[i + 1]) - here) > 0.02f) {
        return false;
      }
    }
    return true;
  }

  private static boolean add(
      List<Frame> bracket,
      List<Picture> drawn,
      int c,
      int i,
      double[][] a,
      double[] b,
      double[] phi) {
    double total = 0;
    double meanB = 0;
    int from = NODES;
    int to = 0;
    java.util.Arrays.fill(phi, 0);
    int seen = 0;
    for (int k = 0; k < drawn.size(); k++) {
      double z = Srgb.encodeFast(drawn.get(k).channel(c)[i]);
      if (z < 0.012 || z > 0.985) {
        continue;
      }
      double weight = hat(z) * hat(z) + 1e-4;
      double at = z * (NODES - 1);
      int n = Math.min(NODES - 2, (int) at);
      double f = at - n;
      double stops = bracket.get(k).stops() * Math.log(2);
      a[n][n] += weight * (1 - f) * (1 - f);
      a[n][n + 1] += weight * f * (1 - f);
      a[n + 1][n] += weight * f * (1 - f);
      a[n + 1][n + 1] += weight * f * f;
      b[n] += weight * (1 - f) * stops;
      b[n + 1] += weight * f * stops;
      phi[n] += weight * (1 - f);
      phi[n + 1] += weight * f;
      total += weight;
      meanB += weight * stops;
      from = Math.min(from, n);
      to = Math.max(to, n + 1);
      seen++;
    }
    if (total <= 0) {
      return false;
    }
    for (int p = from; p <= to; p++) {
      if (phi[p] == 0) {
        continue;
      }
      for (int q = from; q <= to; q++) {
        a[p][q] -= phi[p] * phi[q] / total;
      }
      b[p] -= phi[p] * meanB / total;
    }
    return seen > 1;
  }

  /** Light at 256 codes from logarithms at the nodes; the deepest codes follow the sRGB curve. */
  private static float[] curve(double[] g) {
    float[] out = new float[256];
    int toe = 9;
    for (int z = toe; z < 256; z++) {
      double at = z / 255.0 * (NODES - 1);
      int n = Math.min(NODES - 2, (int) at);
      out[z] = (float) Math.exp(g[n] + (g[n + 1] - g[n]) * (at - n) - g[NODES - 1]);
    }
    for (int z = 0; z < toe; z++) {
      out[z] = (float) (out[toe] * Srgb.decode(z / 255.0) / Srgb.decode(toe / 255.0));
    }
    return out;
  }
}
