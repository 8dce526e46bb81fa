package illuminar.core.ground;

import illuminar.core.picture.FloodFill;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Point;
import java.util.ArrayList;
import java.util.List;

/**
 * Takes every moving thing from one frame alone: from the one that shows all of it best, or the one
 * that was chosen by hand.
 *
 * <p>Source: Pece and Kautz, "Bitmap movement detection: HDR for dynamic scenes", 2010: one
 * exposure for each connected cluster of movement, the pyramids blend it in.
 */
public final class MovingThings {
  private MovingThings() {}

  /**
   * One moving thing.
   *
   * @param at a place within it, as a fraction of the view's long edge
   * @param share of the picture that it takes, 0 to 1
   * @param frame id of the frame that it is taken from
   */
  public record Thing(Point at, double share, String frame) {}

  /**
   * @param moving share of movement at each pixel, 0 to 1; not modified
   * @param weights one plane for each frame, summing to 1; modified
   * @return what was found, largest first
   */
  static List<Thing> takeOneFrame(Plane moving, Ground.EvenBlend blend, List<Plane> weights) {
    int w = moving.width();
    int h = moving.height();
    double longEdge = Math.max(w, h);
    boolean[] seen = new boolean[w * h];
    List<Thing> things = new ArrayList<>();
    for (int start = 0; start < seen.length; start++) {
      if (!seen[start] && moving.data()[start] > 0) {
        int[] pixels = FloodFill.of(start, w, h, true, seen, (from, to) -> moving.data()[to] > 0);
        int frame = chosen(pixels, blend, w, longEdge);
        if (frame < 0) {
          frame = best(pixels, weights);
        }
        take(pixels, frame, moving, weights);
        int middle = middle(pixels, w);
        things.add(
            new Thing(
                new Point(middle % w / longEdge, middle / w / longEdge),
                pixels.length / (double) (w * h),
                blend.frames().get(frame)));
      }
    }
    things.sort((a, b) -> Double.compare(b.share, a.share));
    return List.copyOf(things);
  }

  /** The blend's frame that was chosen for a thing, or below 0. */
  private static int chosen(int[] pixels, Ground.EvenBlend blend, int w, double longEdge) {
    for (Ground.Chosen choice : blend.chosen()) {
      int at =
          (int) Math.round(choice.at().y() * longEdge) * w
              + (int) Math.round(choice.at().x() * longEdge);
      for (int i : pixels) {
        if (i == at) {
          return blend.frames().indexOf(choice.frame());
        }
      }
    }
    return -1;
  }

  /** The thing's own pixel nearest to its centre of mass. */
  private static int middle(int[] pixels, int w) {
    double x = 0;
    double y = 0;
    for (int i : pixels) {
      x += i % w;
      y += i / w;
    }
    x /= pixels.length;
    y /= pixels.length;
    int best = pixels[0];
    double least = Double.MAX_VALUE;
    for (int i : pixels) {
      double d = Math.hypot(i % w - x, i / w - y);
      if (d < least) {
        least = d;
        best = i;
      }
    }
    return best;
  }

  private static int best(int[] thing, List<Plane> weights) {
    int best = 0;
    double most = -1;
    for (int k = 0; k < weights.size(); k++) {
      double sum = 0;
      for (int i : thing) {
        sum += weights.get(k).data()[i];
      }
      if (sum > most) {
        most = sum;
        best = k;
      }
    }
    return best;
  }

  private static void take(int[] thing, int frame, Plane moving, List<Plane> weights) {
    for (int i : thing) {
      float share = Math.min(1, 2 * moving.data()[i]);
      for (int k = 0; k < weights.size(); k++) {
        float[] weight = weights.get(k).data();
        weight[i] += ((k == frame ? 1 : 0) - weight[i]) * share;
      }
    }
  }
}
