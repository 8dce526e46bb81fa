package illuminar.core.filter;

import illuminar.core.picture.Bands;
import illuminar.core.picture.Plane;
import java.util.Arrays;

/**
 * Means over all that is near a pixel without crossing an edge: the recursive filter in the
 * transformed domain (Gastal and Oliveira, "Domain transform for edge-aware image and video
 * processing", 2011), over ways that the caller measures.
 *
 * @param across way from each pixel to the next of its row, in pixels, 1 at least
 * @param down way to the next of its column
 * @param reach standard deviation of the means where no edge is near, pixels
 */
public record WithinEdges(Plane across, Plane down, double reach) {
  private static final int ROUNDS = 3;

  /** The means about each pixel of some planes. */
  public Plane[] mean(Plane... planes) {
    Plane[] out = Arrays.stream(planes).map(Plane::copy).toArray(Plane[]::new);
    for (int round = 1; round <= ROUNDS; round++) {
      double sigma =
          reach * Math.sqrt(3) * Math.pow(2, ROUNDS - round) / Math.sqrt(Math.pow(4, ROUNDS) - 1);
      float log = (float) (-Math.sqrt(2) / sigma);
      Plane rows = shares(across, log);
      Plane columns = shares(down, log);
      for (Plane p : out) {
        Bands.of(p.height(), 32, (from, to) -> along(p, rows, from, to));
      }
      Arrays.stream(out).parallel().forEach(p -> upright(p, columns));
    }
    return out;
  }

  /** How much of a pixel's mean its neighbour hears, 0 to 1. */
  private static Plane shares(Plane ways, float log) {
    Plane out = Plane.of(ways.width(), ways.height());
    Bands.of(
        ways.height(),
        32,
        (from, to) -> {
          for (int i = from * ways.width(); i < to * ways.width(); i++) {
            out.data()[i] = (float) Math.exp(log * ways.data()[i]);
          }
        });
    return out;
  }

  private static void along(Plane p, Plane shares, int from, int to) {
    int w = p.width();
    float[] v = p.data();
    float[] a = shares.data();
    for (int y = from; y < to; y++) {
      for (int i = y * w + 1; i < (y + 1) * w; i++) {
        v[i] += a[i - 1] * (v[i - 1] - v[i]);
      }
      for (int i = (y + 1) * w - 2; i >= y * w; i--) {
        v[i] += a[i] * (v[i + 1] - v[i]);
      }
    }
  }

  private static void upright(Plane p, Plane shares) {
    int w = p.width();
    float[] v = p.data();
    float[] a = shares.data();
    for (int i = w; i < v.length; i++) {
      v[i] += a[i - w] * (v[i - w] - v[i]);
    }
    for (int i = v.length - w - 1; i >= 0; i--) {
      v[i] += a[i] * (v[i + w] - v[i]);
    }
  }
}
