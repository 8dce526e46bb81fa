package illuminar.core.mend;

import illuminar.core.picture.Raster;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * The pieces that a hole is mended with, and where each is copied from.
 *
 * @param hole that is mended
 * @param of which of the ways each of the hole's pixels goes, in their order
 * @param ways from a pixel to its source, in pixels of the window; not always whole ones
 */
public record Pieces(Hole hole, int[] of, List<Way> ways) {

  /** A way from a pixel to its source, in pixels of some raster. */
  public record Way(double x, double y) {
    public Way times(double k) {
      return new Way(x * k, y * k);
    }
  }

  /** All of a hole from one place. */
  public static Pieces whole(Hole hole, Way way) {
    return new Pieces(hole, new int[hole.pixels().length], List.of(way));
  }

  /**
   * Which way the pixels in and about a hole go, each as the nearest of the hole's.
   *
   * @param left of them in the window; {@code top} likewise
   * @param of which way, row by row
   */
  public record Cells(int left, int top, int width, int height, int[] of) {
    /** Of a pixel of the window, or of the nearest there is. */
    public int at(int x, int y) {
      int u = Math.max(0, Math.min(width - 1, x - left));
      int v = Math.max(0, Math.min(height - 1, y - top));
      return of[v * width + u];
    }
  }

  /**
   * @param windowWidth of the window that the hole is in
   * @param about pixels about the hole
   */
  public Cells cells(int windowWidth, int about) {
    int left = hole.left() - about;
    int top = hole.top() - about;
    int w = hole.right() - hole.left() + 2 * about;
    int h = hole.end() - hole.top() + 2 * about;
    int[] cells = new int[w * h];
    Arrays.fill(cells, -1);
    int[] line = new int[w * h];
    int count = 0;
    for (int k = 0; k < of.length; k++) {
      int i = hole.pixels()[k];
      int c = (i / windowWidth - top) * w + i % windowWidth - left;
      cells[c] = of[k];
      line[count++] = c;
    }
    for (int k = 0; k < count; k++) {
      int c = line[k];
      for (int next :
          new int[] {c - w, c % w > 0 ? c - 1 : -1, c % w < w - 1 ? c + 1 : -1, c + w}) {
        if (next >= 0 && next < cells.length && cells[next] < 0) {
          cells[next] = cells[c];
          line[count++] = next;
        }
      }
    }
    return new Cells(left, top, w, h, cells);
  }

  /**
   * The part of a window in which the hole and all that its pieces come from lie.
   *
   * @param about pixels about either
   */
  public Raster touched(Window window, int about) {
    int x0 = hole.left() - about;
    int y0 = hole.top() - about;
    int x1 = hole.right() + about;
    int y1 = hole.end() + about;
    for (Way way : ways) {
      x0 = Math.min(x0, (int) Math.floor(hole.left() + way.x()) - about);
      y0 = Math.min(y0, (int) Math.floor(hole.top() + way.y()) - about);
      x1 = Math.max(x1, (int) Math.ceil(hole.right() + way.x()) + about);
      y1 = Math.max(y1, (int) Math.ceil(hole.end() + way.y()) + about);
    }
    x0 = Math.max(0, x0);
    y0 = Math.max(0, y0);
    x1 = Math.min(window.width(), x1);
    y1 = Math.min(window.height(), y1);
    return window.raster().part(x0, y0, x1 - x0, y1 - y0);
  }

  /** The same pieces by other ways. */
  public Pieces by(List<Way> others) {
    return new Pieces(hole, of, others);
  }

  /** Without ways that nothing goes. */
  Pieces used() {
    int[] used = IntStream.of(of).distinct().sorted().toArray();
    int[] renamed = new int[ways.size()];
    for (int k = 0; k < used.length; k++) {
      renamed[used[k]] = k;
    }
    int[] then = IntStream.of(of).map(k -> renamed[k]).toArray();
    return new Pieces(hole, then, IntStream.of(used).mapToObj(ways::get).toList());
  }
}
