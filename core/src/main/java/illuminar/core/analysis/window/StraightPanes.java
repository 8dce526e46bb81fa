package illuminar.core.analysis.window;

import illuminar.core.picture.FloodFill;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * The panes of a view that have straight sides, and which pixels they decide about. The rest, such
 * as panes behind a plant or a curtain, is left to the matte.
 */
final class StraightPanes {
  static final StraightPanes NONE = new StraightPanes(new boolean[0]);

  /** Pixels about a straight pane that it decides about. */
  private static final int ABOUT = 5;

  /** Pixels that a pane in a joined piece has at least. */
  private static final int LEAST_PART = 60;

  /** Share of a piece from which on it is one pane, not several joined. */
  private static final double MOST_PART = 0.8;

  /** Share of a pane up to which something may stand before it for its sides to be gone on. */
  private static final double COVERED = 0.02;

  /** A scrap is smaller than one in so many of the straight panes' middle size. */
  private static final int SCRAP = 8;

  /** Straight panes from which on scraps apart from them are no panes. */
  private static final int ENOUGH = 4;

  private final List<StraightPane> panes = new ArrayList<>();
  private final int[] whose;
  private final boolean[] open;
  private final List<int[]> scraps = new ArrayList<>();
  private double area;

  private StraightPanes(boolean[] open) {
    this.open = open;
    whose = new int[open.length];
  }

  /**
   * Finds the straight panes of a mask.
   *
   * @param open what burns in the brighter frames, whether it is lit like the view or not
   * @param matte share of view at each pixel
   */
  static StraightPanes of(boolean[] mask, boolean[] open, float[] matte, int w, int h) {
    StraightPanes found = new StraightPanes(open);
    List<int[]> bent = new ArrayList<>();
    List<int[]> own = new ArrayList<>();
    for (int[] piece : FloodFill.all(w, h, false, i -> mask[i])) {
      Optional<StraightPane> pane = StraightPane.of(piece, matte, w, h);
      if (pane.isPresent()) {
        found.panes.add(pane.get());
        own.add(piece);
      } else {
        bent.add(piece);
      }
    }
    found.part(bent, own, matte, w, h);
    found.sort(bent, own, w);
    bent.forEach(piece -> found.claim(piece, 0, w, h));
    for (int k = 0; k < own.size(); k++) {
      found.claim(own.get(k), k + 1, w, h);
      found.area += own.get(k).length;
    }
    return found;
  }

  /**
   * Parts panes that were found in one piece because the bar between them is lit like the view: the
   * sides of the panes above or beside them go on.
   */
  private void part(List<int[]> bent, List<int[]> own, float[] matte, int w, int h) {
    List<StraightPane> known = List.copyOf(panes);
    for (int b = 0; b < bent.size(); b++) {
      int[] piece = bent.get(b);
      int rest = piece.length;
      boolean[] taken = new boolean[w * h];
      for (StraightPane side : known) {
        for (boolean upright : new boolean[] {true, false}) {
          int[] between =
              Arrays.stream(piece)
                  .filter(i -> !taken[i] && side.between(i % w + 0.5, i / w + 0.5, upright))
                  .toArray();
          if (between.length < LEAST_PART) {
            continue;
          }
          boolean whole = between.length > MOST_PART * piece.length;
          Optional<StraightPane> pane =
              StraightPane.of(between, matte, w, h, !upright, upright)
                  .map(p -> p.withSides(side, upright))
                  .filter(p -> !whole || free(p, between, w));
          if (pane.isPresent()) {
            panes.add(pane.get());
            own.add(between);
            for (int i : between) {
              taken[i] = true;
            }
            rest -= between.length;
          }
        }
      }
      if (rest < piece.length) {
        bent.set(b, Arrays.stream(piece).filter(i -> !taken[i]).toArray());
      }
    }
  }

  /** Whether hardly anything stands before a pane. */
  private boolean free(StraightPane pane, int[] piece, int w) {
    int y0 = piece[0] / w;
    int y1 = y0;
    for (int i : piece) {
      y0 = Math.min(y0, i / w);
      y1 = Math.max(y1, i / w);
    }
    int all = 0;
    int covered = 0;
    for (int i = y0 * w; i < (y1 + 1) * w; i++) {
      double x = i % w + 0.5;
      double y = i / w + 0.5;
      if (pane.share(x, y, 1) >= 1 && !pane.decides(x, y, false)) {
        all++;
        covered += open[i] ? 0 : 1;
      }
    }
    return covered <= COVERED * all;
  }

  /** Lays scraps aside that lie apart from the panes: glints on a reveal. */
  private void sort(List<int[]> bent, List<int[]> own, int w) {
    if (own.size() < ENOUGH) {
      return;
    }
    int[] sizes = own.stream().mapToInt(p -> p.length).sorted().toArray();
    int small = sizes[sizes.length / 2] / SCRAP;
    List<int[]> large = bent.stream().filter(p -> p.length >= small).toList();
    for (int[] piece : List.copyOf(bent)) {
      if (piece.length < small && beyond(piece, w) && apart(piece, large, w)) {
        bent.remove(piece);
        scraps.add(piece);
      }
    }
  }

  /** Whether the middle of a piece lies outside all straight panes. */
  private boolean beyond(int[] piece, int w) {
    double x = Arrays.stream(piece).map(i -> i % w).average().orElse(0) + 0.5;
    double y = Arrays.stream(piece).map(i -> i / w).average().orElse(0) + 0.5;
    return share(x, y, 2) == 0;
  }

  /** Whether the middle of a piece lies outside the boxes of all others, a little widened. */
  private static boolean apart(int[] piece, List<int[]> others, int w) {
    double x = Arrays.stream(piece).map(i -> i % w).average().orElse(0);
    double y = Arrays.stream(piece).map(i -> i / w).average().orElse(0);
    for (int[] other : others) {
      int x0 = Arrays.stream(other).map(i -> i % w).min().orElse(0) - ABOUT;
      int x1 = Arrays.stream(other).map(i -> i % w).max().orElse(0) + ABOUT;
      int y0 = Arrays.stream(other).map(i -> i / w).min().orElse(0) - ABOUT;
      int y1 = Arrays.stream(other).map(i -> i / w).max().orElse(0) + ABOUT;
      if (x >= x0 && x <= x1 && y >= y0 && y <= y1) {
        return false;
      }
    }
    return true;
  }

  private void claim(int[] piece, int by, int w, int h) {
    for (int i : piece) {
      for (int y = Math.max(0, i / w - ABOUT); y <= Math.min(h - 1, i / w + ABOUT); y++) {
        for (int x = Math.max(0, i % w - ABOUT); x <= Math.min(w - 1, i % w + ABOUT); x++) {
          whose[y * w + x] = by;
        }
      }
    }
  }

  /** Pixels of the pieces that turned out to be straight panes. */
  double area() {
    return area;
  }

  /** Pieces that turned out to be no panes. */
  List<int[]> scraps() {
    return scraps;
  }

  boolean none() {
    return panes.isEmpty();
  }

  /**
   * Whether a straight pane decides about a place.
   *
   * @param pixel of the analysis grid that it lies in
   */
  boolean decide(int pixel, double x, double y) {
    return whose[pixel] > 0 && panes.get(whose[pixel] - 1).decides(x, y, open[pixel]);
  }

  /**
   * Share that straight panes take of a pixel.
   *
   * @param x its middle in pixels of the analysis grid
   * @param size of it in the same
   */
  float share(double x, double y, double size) {
    float share = 0;
    for (StraightPane pane : panes) {
      share = Math.max(share, pane.share(x, y, size));
    }
    return share;
  }
}
