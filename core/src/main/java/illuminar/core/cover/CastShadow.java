package illuminar.core.cover;

import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Gauss;
import illuminar.core.picture.Bands;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Point;

/**
 * The shadow that lettering throws as the scene's sun does. Somebody marks a shadow in the picture:
 * the foot of what throws it, the tip of its shadow, and its top. On the ground a place as high as
 * the thing throws its shadow from below itself as far and in the direction of foot to tip (similar
 * triangles); on a wall behind, the whole lettering is thrown that way at once. The page is taken
 * for flat: parallel shadows stay parallel, which holds for lettering that is small beside its
 * distance.
 *
 * @param foot where what throws the marked shadow stands, as fractions of the page's long edge
 * @param tip of the marked shadow
 * @param top of what throws it
 * @param ground whether the shadow falls on the ground or on a wall behind
 * @param length of the shadow, as a factor of what the sun gives
 * @param softness of its edge, 0 to 1; on the ground it grows with the height of what throws it
 * @param depth 0 for no shadow, 1 as dark as the marked one
 */
public record CastShadow(
    Point foot,
    Point tip,
    Point top,
    boolean ground,
    @Control(label = "Length", unit = "%", from = 0, to = 3, step = 0.05, defaultValue = 1)
        double length,
    @Control(label = "Softness", unit = "%", from = 0, to = 1, step = 0.01, defaultValue = 0.3)
        double softness,
    @Control(label = "Depth", unit = "%", from = 0, to = 1, step = 0.01, defaultValue = 1)
        double depth) {

  /** The softest edge, as a share of the lettering's size. */
  private static final double SOFTEST = 0.25;

  /** A shadow that lies flatter than this is thrown as if it lay so. */
  private static final double FLATTEST = 0.03;

  /** Edges between which those of all softnesses are mixed. */
  private static final int LEVELS = 4;

  public CastShadow {
    Numbers.check(CastShadow.class, "length", length);
    Numbers.check(CastShadow.class, "softness", softness);
    Numbers.check(CastShadow.class, "depth", depth);
    if (Math.hypot(tip.x() - foot.x(), tip.y() - foot.y()) < 1e-4
        || Math.hypot(top.x() - foot.x(), top.y() - foot.y()) < 1e-4) {
      throw new IllegalArgumentException("draw the shadow longer: from its foot to its tip");
    }
  }

  /**
   * How much of the light is taken at each place, 0 to 1; not yet as deep as {@link #depth}.
   *
   * @param letters coverage of the lettering; not modified
   * @param baseline row on which the lettering stands, in pixels
   * @param size of the lettering, in pixels
   */
  Plane of(Plane letters, double baseline, double size) {
    int longEdge = Math.max(letters.width(), letters.height());
    double dx = length * (tip.x() - foot.x());
    double dy = length * (tip.y() - foot.y());
    double widest = softness * SOFTEST * size;
    if (!ground) {
      return Gauss.smooth(moved(letters, dx * longEdge, dy * longEdge), Math.max(0.3, widest));
    }
    double high = Math.hypot(top.x() - foot.x(), top.y() - foot.y());
    double across = dx / high;
    double down = Math.copySign(Math.max(Math.abs(dy / high), FLATTEST), dy);
    Plane sharp = thrown(letters, baseline, across, down);
    return softened(sharp, baseline, down, size, widest);
  }

  private static Plane moved(Plane in, double dx, double dy) {
    Plane out = Plane.of(in.width(), in.height());
    Bands.of(
        in.height(),
        32,
        (from, to) -> {
          for (int y = from; y < to; y++) {
            for (int x = 0; x < in.width(); x++) {
              out.data()[y * in.width() + x] = inside(in, x - dx, y - dy);
            }
          }
        });
    return out;
  }

  /**
   * Every place of the ground, and the place of the lettering that stands between it and the sun.
   */
  private static Plane thrown(Plane letters, double baseline, double across, double down) {
    Plane out = Plane.of(letters.width(), letters.height());
    Bands.of(
        letters.height(),
        32,
        (from, to) -> {
          for (int y = from; y < to; y++) {
            double high = (y - baseline) / down;
            for (int x = 0; high >= 0 && x < letters.width(); x++) {
              out.data()[y * letters.width() + x] =
                  inside(letters, x - high * across, baseline - high);
            }
          }
        });
    return out;
  }

  private static float inside(Plane in, double x, double y) {
    boolean there = x > -1 && y > -1 && x < in.width() && y < in.height();
    return there ? in.sample((float) x, (float) y) : 0;
  }

  /** The sun is a disc: the farther the shadow is from what throws it, the softer it is. */
  private static Plane softened(
      Plane sharp, double baseline, double down, double size, double widest) {
    Plane[] levels = new Plane[LEVELS + 1];
    for (int k = 0; k <= LEVELS; k++) {
      levels[k] = Gauss.smooth(sharp, Math.max(0.3, widest * k / LEVELS));
    }
    Plane out = Plane.of(sharp.width(), sharp.height());
    for (int y = 0; y < sharp.height(); y++) {
      double high = Math.max(0, Math.min(1, (y - baseline) / down / size));
      int low = (int) Math.min(LEVELS - 1, Math.floor(high * LEVELS));
      float mix = (float) (high * LEVELS - low);
      for (int x = 0; x < sharp.width(); x++) {
        int i = y * sharp.width() + x;
        float a = levels[low].data()[i];
        out.data()[i] = a + mix * (levels[low + 1].data()[i] - a);
      }
    }
    return out;
  }
}
