package illuminar.core.mend;

import java.util.Optional;

/**
 * Finds where a hole can be mended from: of all places near by that are no hole, the one whose rim
 * is most like the hole's, brightness and colour as a whole apart, since those are made to meet. A
 * place that holds something which its rim does not show counts less, and so does one far away.
 */
public final class Likeness {
  /** Pixels beside the hole that are compared. */
  private static final int RIM = 4;

  /** Pixels of a rim, and of what is within, that are looked at. */
  private static final int MOST_LOOKED_AT = 400;

  /**
   * Square of the stops by which a whole place may be off at the cost of one by which it varies.
   */
  private static final float AS_A_WHOLE = 0.1f;

  /** What is within may vary as much as its rim; beyond that it costs so much. */
  private static final float WITHIN = 1;

  /** Cost of a way as long as the window, stops squared. */
  private static final float FAR = 2e-3f;

  private final Window window;
  private final Hole hole;
  private final int[] rim;
  private final int[] within;

  private Likeness(Window window, Hole hole) {
    this.window = window;
    this.hole = hole;
    rim = some(hole.rim(window, RIM));
    within = some(hole.pixels());
  }

  /** A way from a hole to its source, in pixels of the window. */
  public record Way(int x, int y) {}

  /** Nothing where there is no whole place beside the hole. */
  public static Optional<Way> of(Window window, Hole hole) {
    return new Likeness(window, hole).best();
  }

  private static int[] some(int[] pixels) {
    if (pixels.length <= MOST_LOOKED_AT) {
      return pixels;
    }
    int[] some = new int[MOST_LOOKED_AT];
    for (int k = 0; k < some.length; k++) {
      some[k] = pixels[(int) ((long) k * pixels.length / some.length)];
    }
    return some;
  }

  private Optional<Way> best() {
    if (rim.length == 0) {
      return Optional.empty();
    }
    int stride = Math.max(1, hole.size() / 10);
    Way best = null;
    double least = Double.MAX_VALUE;
    for (int y = -hole.top(); y <= window.height() - hole.end(); y += stride) {
      for (int x = -hole.left(); x <= window.width() - hole.right(); x += stride) {
        double cost = cost(x, y, least);
        if (cost < least) {
          least = cost;
          best = new Way(x, y);
        }
      }
    }
    return Optional.ofNullable(best).map(b -> refined(b, stride));
  }

  private Way refined(Way coarse, int stride) {
    Way best = coarse;
    double least = cost(best.x, best.y, Double.MAX_VALUE);
    for (int y = coarse.y - stride; y <= coarse.y + stride; y++) {
      for (int x = coarse.x - stride; x <= coarse.x + stride; x++) {
        double cost = cost(x, y, least);
        if (cost < least) {
          least = cost;
          best = new Way(x, y);
        }
      }
    }
    return best;
  }

  /** Whether all of the hole lies within the window and in no hole, a way from here. */
  private boolean free(int dx, int dy) {
    if (hole.left() + dx < 0
        || hole.top() + dy < 0
        || hole.right() + dx > window.width()
        || hole.end() + dy > window.height()) {
      return false;
    }
    int by = dy * window.width() + dx;
    for (int i : hole.pixels()) {
      if (window.hole()[i + by]) {
        return false;
      }
    }
    return true;
  }

  private double cost(int dx, int dy, double least) {
    double way = FAR * Math.hypot(dx, dy) / Math.max(window.width(), window.height());
    if (way >= least || !free(dx, dy)) {
      return Double.MAX_VALUE;
    }
    double cost = way;
    int by = dy * window.width() + dx;
    for (float[] tones : window.tones()) {
      double sum = 0;
      double squares = 0;
      double own = 0;
      double ownSquares = 0;
      int n = 0;
      for (int i : rim) {
        if (window.known(i, dx, dy)) {
          double source = tones[i + by];
          double d = tones[i] - source;
          sum += d;
          squares += d * d;
          own += source;
          ownSquares += source * source;
          n++;
        }
      }
      if (n * 2 < rim.length) {
        return Double.MAX_VALUE;
      }
      double mean = sum / n;
      double rimMean = own / n;
      double inside = 0;
      for (int i : within) {
        double d = tones[i + by] - rimMean;
        inside += d * d;
      }
      double more = inside / within.length - (ownSquares / n - rimMean * rimMean);
      cost += squares / n - mean * mean + AS_A_WHOLE * mean * mean + WITHIN * Math.max(0, more);
      if (cost >= least) {
        return Double.MAX_VALUE;
      }
    }
    return cost;
  }
}
