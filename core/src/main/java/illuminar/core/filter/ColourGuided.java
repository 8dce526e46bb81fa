package illuminar.core.filter;

import illuminar.core.picture.Bands;
import illuminar.core.picture.Plane;

/**
 * The guided filter with a guide in colour: near each pixel, output = slope · guide + offset. Kept
 * as maps, so that those from a small grid can be used with the guide at any size.
 *
 * <p>Source: He, Sun, Tang, "Guided image filtering", 2010, section 3.5; He, Sun, "Fast guided
 * filter", 2015. The weights are our own addition: with all of them 1 it is the published filter.
 *
 * @param maps slope for each of the guide's three channels, then the offset
 */
public record ColourGuided(Plane[] maps) {

  /**
   * Fits the input to the guide in every window by weighted least squares.
   *
   * @param guide three planes; not modified
   * @param input what is to follow the guide's edges; not modified
   * @param weight how far the input is to be believed at each pixel, above 0; not modified
   * @param epsilon variance of the guide below which it counts as flat, in the guide's unit squared
   */
  public static ColourGuided of(
      Plane[] guide, Plane input, Plane weight, int radius, float epsilon) {
    Plane[] weighted = new Plane[4];
    for (int c = 0; c < 4; c++) {
      weighted[c] = Guided.product(c < 3 ? guide[c] : input, weight);
    }
    Plane[] mean =
        Box.means(
            radius,
            weighted[0],
            weighted[1],
            weighted[2],
            Guided.product(guide[0], weighted[0]),
            Guided.product(guide[0], weighted[1]),
            Guided.product(guide[0], weighted[2]),
            Guided.product(guide[1], weighted[1]),
            Guided.product(guide[1], weighted[2]),
            Guided.product(guide[2], weighted[2]),
            weighted[3],
            Guided.product(guide[0], weighted[3]),
            Guided.product(guide[1], weighted[3]),
            Guided.product(guide[2], weighted[3]),
            weight);
    int w = input.width();
    int h = input.height();
    Plane[] maps = {Plane.of(w, h), Plane.of(w, h), Plane.of(w, h), Plane.of(w, h)};
    Bands.of(
        h,
        64,
        (from, to) -> {
          for (int i = from * w; i < to * w; i++) {
            for (int k = 0; k < 13; k++) {
              mean[k].data()[i] /= mean[13].data()[i];
            }
            solve(mean, i, epsilon, maps);
          }
        });
    return new ColourGuided(Box.means(radius, maps));
  }

  /** Slopes from the 3 × 3 covariance of the guide, by its adjugate. */
  private static void solve(Plane[] mean, int i, float epsilon, Plane[] out) {
    float r = mean[0].data()[i];
    float g = mean[1].data()[i];
    float b = mean[2].data()[i];
    float p = mean[9].data()[i];
    double rr = mean[3].data()[i] - r * r + epsilon;
    double rg = mean[4].data()[i] - r * g;
    double rb = mean[5].data()[i] - r * b;
    double gg = mean[6].data()[i] - g * g + epsilon;
    double gb = mean[7].data()[i] - g * b;
    double bb = mean[8].data()[i] - b * b + epsilon;
    double pr = mean[10].data()[i] - r * p;
    double pg = mean[11].data()[i] - g * p;
    double pb = mean[12].data()[i] - b * p;
    double m00 = gg * bb - gb * gb;
    double m01 = rb * gb - rg * bb;
    double m02 = rg * gb - rb * gg;
    double det = 1 / (rr * m00 + rg * m01 + rb * m02);
    double a0 = (m00 * pr + m01 * pg + m02 * pb) * det;
    double a1 = (m01 * pr + (rr * bb - rb * rb) * pg + (rg * rb - rr * gb) * pb) * det;
    double a2 = (m02 * pr + (rg * rb - rr * gb) * pg + (rr * gg - rg * rg) * pb) * det;
    out[0].data()[i] = (float) a0;
    out[1].data()[i] = (float) a1;
    out[2].data()[i] = (float) a2;
    out[3].data()[i] = (float) (p - a0 * r - a1 * g - a2 * b);
  }

  /** The filtered plane on the guide's own grid. */
  public Plane on(Plane[] guide) {
    Plane out = maps[3].copy();
    for (int c = 0; c < 3; c++) {
      for (int i = 0; i < out.data().length; i++) {
        out.data()[i] += maps[c].data()[i] * guide[c].data()[i];
      }
    }
    return out;
  }
}
