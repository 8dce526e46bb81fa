package illuminar.core.ground;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.movement.Movement;
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

  /** Where the view moves, on the analysis grid; nowhere, if that is not asked for. */
  static Plane moving(Ground.Several ground, Analysis analysis) {
    return ground.oneWhereMoving() && ground.frames().size() > 1
        ? Movement.of(analysis).disagreeing(Movement.CAREFUL)
        : Plane.of(analysis.raster().width(), analysis.raster().height());
  }

  /**
   * A moving thing and the frame that it is taken from.
   *
   * @param pixels where it is, on the grid of the movement
   * @param frame which of the ground's frames
   */
  record Taken(Thing thing, int[] pixels, int frame) {}

  /** How well frames show places. */
  interface Weights {
    /**
     * How well the {@code frame}th of the ground's frames shows pixels of the movement's grid, all
     * of them together.
     */
    double of(int frame, int[] pixels);
  }

  /**
   * Finds every moving thing and the frame for it.
   *
   * @param moving share of movement at each pixel, 0 to 1; not modified
   * @return what was found, largest first
   */
  static List<Taken> found(Plane moving, Ground.Several ground, Weights weights) {
    int w = moving.width();
    int h = moving.height();
    double longEdge = Math.max(w, h);
    List<Taken> things = new ArrayList<>();
    for (int[] pixels : FloodFill.all(w, h, true, i -> moving.data()[i] > 0)) {
      int frame = chosen(pixels, ground, w, longEdge);
      if (frame < 0) {
        frame = best(pixels, ground.frames().size(), weights);
      }
      int middle = middle(pixels, w);
      Thing thing =
          new Thing(
              new Point(middle % w / longEdge, middle / w / longEdge),
              pixels.length / (double) (w * h),
              ground.frames().get(frame));
      things.add(new Taken(thing, pixels, frame));
    }
    things.sort((a, b) -> Double.compare(b.thing.share, a.thing.share));
    return List.copyOf(things);
  }

  /** The ground's frame that was chosen for a thing, or below 0. */
  private static int chosen(int[] pixels, Ground.Several ground, int w, double longEdge) {
    for (Ground.Chosen choice : ground.chosen()) {
      int at =
          (int) Math.round(choice.at().y() * longEdge) * w
              + (int) Math.round(choice.at().x() * longEdge);
      for (int i : pixels) {
        if (i == at) {
          return ground.frames().indexOf(choice.frame());
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

  private static int best(int[] thing, int frames, Weights weights) {
    int best = 0;
    double most = -1;
    for (int k = 0; k < frames; k++) {
      double sum = weights.of(k, thing);
      if (sum > most) {
        most = sum;
        best = k;
      }
    }
    return best;
  }

  /**
   * Takes a thing from its frame alone.
   *
   * @param weights one plane for each frame; modified
   */
  static void take(Taken taken, Plane moving, List<Plane> weights) {
    for (int i : taken.pixels) {
      float share = Math.min(1, 2 * moving.data()[i]);
      for (int k = 0; k < weights.size(); k++) {
        float[] weight = weights.get(k).data();
        weight[i] += ((k == taken.frame ? 1 : 0) - weight[i]) * share;
      }
    }
  }
}
