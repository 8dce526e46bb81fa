package illuminar.core.shadow;

import illuminar.core.filter.Box;
import illuminar.core.picture.Plane;
import java.util.List;

/**
 * Which surface each place of a shadow belongs to: said where the shadow's edge crosses it, spread
 * from there, and held up where tone or colour change.
 */
final class Shares {
  /** Stops from a pixel to the next that hold it up. */
  private static final float STEP = 0.15f;

  /** How much goes through any change, and into the light. */
  private static final float THROUGH = 2e-4f;

  private static final float OUT = 1e-6f;

  /** Pixels beyond the penumbra at which a surface is told. */
  private static final float WITHIN = 1.5f;

  /** Cost of a way on one surface, at most. */
  private static final float GOES_OVER = 25;

  /** How much a surface counts where another is nearer. */
  private static final float LEAST = 0.02f;

  private Shares() {}

  /**
   * @param tones stops without lines: red, green, blue; on coarse pixels
   * @param distance from the edge on the same, in {@code factor}ths of them
   * @param region share of each pixel; beyond it every surface counts little
   * @return how much each surface counts at each pixel
   */
  static Plane[] of(
      Plane[] tones, Plane distance, List<Surface> surfaces, Plane region, int factor) {
    int w = tones[0].width();
    int h = tones[0].height();
    Spread spread = new Spread(w, h, joined(tones, distance, 1), joined(tones, distance, w));
    int[] said = new int[w * h];
    for (int k = 0; k < surfaces.size(); k++) {
      int[] own = places(surfaces.get(k), k + 1, w, h, factor);
      float[] cost = spread.ways(said).cost();
      for (int i = 0; i < own.length; i++) {
        // what goes over into a larger surface without a step is that one
        if (own[i] != 0 && (k == 0 || cost[i] > GOES_OVER)) {
          said[i] = own[i];
        }
      }
    }
    int[] nearest = spread.ways(said).from();
    Plane[] out = new Plane[surfaces.size()];
    for (int k = 0; k < out.length; k++) {
      Plane own = Plane.of(w, h);
      for (int i = 0; i < w * h; i++) {
        own.data()[i] = (nearest[i] == k + 1 ? 1 : LEAST) * Math.max(LEAST, region.data()[i]);
      }
      out[k] = Box.mean(own, 1);
    }
    return out;
  }

  /** Where a surface is told, beside its edge. */
  private static int[] places(Surface surface, int name, int w, int h, int factor) {
    int[] said = new int[w * h];
    for (Crossing c : surface.edge()) {
      float back = c.half() + WITHIN * factor;
      int x = Math.round((c.x() - back * c.toX() + 0.5f) / factor - 0.5f);
      int y = Math.round((c.y() - back * c.toY() + 0.5f) / factor - 0.5f);
      if (x >= 0 && y >= 0 && x < w && y < h) {
        said[y * w + x] = name;
      }
    }
    return said;
  }

  private static float[] joined(Plane[] tones, Plane distance, int by) {
    float[] out = new float[tones[0].data().length];
    for (int i = 0; i + by < out.length; i++) {
      float square = 0;
      for (Plane p : tones) {
        float step = (p.data()[i + by] - p.data()[i]) / STEP;
        square += step * step / 3;
      }
      boolean within = distance.data()[i] < 0 && distance.data()[i + by] < 0;
      out[i] = within ? (float) Math.exp(-square) + THROUGH : OUT;
    }
    return out;
  }
}
