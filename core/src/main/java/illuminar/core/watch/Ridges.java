package illuminar.core.watch;

import illuminar.core.picture.FloodFill;
import illuminar.core.picture.Plane;
import java.util.ArrayList;
import java.util.List;

/**
 * Thin lines of a picture that the frames do not have. A place lies on a line where it is lighter,
 * or darker, than what lies on both sides of it; by more than the steepest tone curve makes of a
 * line that is there in a frame, or in its light, it is new. New places that touch over {@value
 * #LONG} pixels and are thin make a line. Our own rules, no source.
 */
final class Ridges {
  /** Lightness over both sides from which on a line is seen. */
  static final float SEEN = 1;

  /** Pixels to either side that are compared. */
  private static final int SIDE = 3;

  private static final int LONG = 20;

  /** Pixels of a line over its length at most; more is a patch. */
  private static final double THIN = 4;

  /** Slope of the steepest curve that a camera or a contrast makes. */
  private static final float STEEPEST = 2;

  /** Lightness that a stop makes at white. */
  private static final float OF_A_STOP = 27;

  private static final int[][] ACROSS = {{1, 0}, {0, 1}, {1, 1}, {1, -1}};

  private final Plane shown;
  private final List<There> there;

  private Ridges(Plane shown, List<There> there) {
    this.shown = shown;
    this.there = there;
  }

  /**
   * A plane whose lines the picture may have.
   *
   * @param most lightness that the steepest curve makes of one unit of it
   */
  record There(Plane plane, float most) {
    /** Light, in stops. */
    static There light(Plane stops) {
      return new There(stops, STEEPEST * OF_A_STOP);
    }

    /** A frame as the camera shows it, L*: it has lines against what it burnt, too. */
    static There frame(Plane lightness) {
      return new There(lightness, STEEPEST);
    }
  }

  /** A place on a line, and how far it stands off both sides of it, L*. */
  record Place(int x, int y, int dx, int dy, float amount) {

    /** How far this place stands off its sides in another picture, L*. */
    float in(Plane p) {
      return off(p, x, y, dx, dy);
    }
  }

  /**
   * The places of all new lines.
   *
   * @param shown lightness of the picture, L*
   * @param there the frames and their light, one by one and together
   */
  static List<Place> of(Plane shown, List<There> there) {
    return new Ridges(shown, there).all();
  }

  private List<Place> all() {
    int w = shown.width();
    int h = shown.height();
    Place[] at = new Place[w * h];
    for (int y = SIDE; y < h - SIDE; y++) {
      for (int x = SIDE; x < w - SIDE; x++) {
        at[y * w + x] = place(x, y);
      }
    }
    boolean[] seen = new boolean[at.length];
    List<Place> out = new ArrayList<>();
    for (int i = 0; i < at.length; i++) {
      if (at[i] != null && !seen[i]) {
        int[] line =
            FloodFill.of(
                i, w, h, true, seen, (from, to) -> at[to] != null && same(at[from], at[to]));
        int length = length(line, w);
        if (length > LONG && line.length <= THIN * length) {
          for (int k : line) {
            out.add(at[k]);
          }
        }
      }
    }
    return out;
  }

  private static boolean same(Place a, Place b) {
    return a.amount > 0 == b.amount > 0;
  }

  private static int length(int[] line, int w) {
    int x0 = Integer.MAX_VALUE;
    int x1 = 0;
    int y0 = Integer.MAX_VALUE;
    int y1 = 0;
    for (int i : line) {
      x0 = Math.min(x0, i % w);
      x1 = Math.max(x1, i % w);
      y0 = Math.min(y0, i / w);
      y1 = Math.max(y1, i / w);
    }
    return Math.max(x1 - x0, y1 - y0) + 1;
  }

  /** What is new at a place in the direction in which most is; null where too little is. */
  private Place place(int x, int y) {
    Place best = null;
    for (int[] d : ACROSS) {
      float amount = off(shown, x, y, d[0], d[1]);
      if (Math.abs(amount) <= SEEN) {
        continue;
      }
      float fresh = amount - own(amount, x, y, d);
      boolean more = best == null || Math.abs(fresh) > Math.abs(best.amount);
      if (fresh > 0 == amount > 0 && Math.abs(fresh) > SEEN && more) {
        best = new Place(x, y, d[0], d[1], fresh);
      }
    }
    return best;
  }

  /** The most that the steepest tone curve makes of a line that the frames have, L*. */
  private float own(float amount, int x, int y, int[] d) {
    float most = 0;
    for (There t : there) {
      float own = t.most * off(t.plane, x, y, d[0], d[1]);
      most = amount > 0 ? Math.max(most, own) : Math.min(most, own);
    }
    return most;
  }

  /** How far a place stands off both of its sides; 0 where it lies between them. */
  private static float off(Plane p, int x, int y, int dx, int dy) {
    float c = p.at(x, y);
    float a = c - p.at(x + SIDE * dx, y + SIDE * dy);
    float b = c - p.at(x - SIDE * dx, y - SIDE * dy);
    return a > 0 && b > 0 ? Math.min(a, b) : a < 0 && b < 0 ? Math.max(a, b) : 0;
  }
}
