package illuminar.core.mend;

import java.util.Arrays;

/**
 * One connected hole in a {@link Window}.
 *
 * @param pixels of it, from above downwards
 * @param left of the rectangle about it; {@code top} likewise; {@code right} and {@code end} are
 *     the first beyond it
 */
public record Hole(int[] pixels, int left, int top, int right, int end) {

  static Hole of(int[] pixels, int width) {
    int left = Arrays.stream(pixels).map(i -> i % width).min().orElseThrow();
    int right = Arrays.stream(pixels).map(i -> i % width).max().orElseThrow() + 1;
    return new Hole(pixels, left, pixels[0] / width, right, pixels[pixels.length - 1] / width + 1);
  }

  /** The same in a part of its window that holds all of it. */
  public Hole in(Window all, Window part) {
    int dx = part.raster().x() - all.raster().x();
    int dy = part.raster().y() - all.raster().y();
    int w = all.width();
    return of(
        Arrays.stream(pixels).map(i -> (i / w - dy) * part.width() + i % w - dx).toArray(),
        part.width());
  }

  /** The same in {@link Window#halved}. */
  Hole halved(Window window) {
    int w = window.width();
    int half = (w + 1) / 2;
    return of(
        Arrays.stream(pixels).map(i -> i / w / 2 * half + i % w / 2).distinct().sorted().toArray(),
        half);
  }

  /** Pixels on the longer side. */
  public int size() {
    return Math.max(right - left, end - top);
  }

  /** Pixels across where it is widest: twice the way from its middle to what is left. */
  public int thickness(Window window) {
    int w = window.width();
    int[] way = new int[window.hole().length];
    int[] line = new int[way.length];
    int count = 0;
    for (int i : rim(window, 1)) {
      way[i] = 1;
      line[count++] = i;
    }
    int widest = 1;
    for (int k = 0; k < count; k++) {
      int i = line[k];
      for (int v = Math.max(top, i / w - 1); v <= Math.min(end - 1, i / w + 1); v++) {
        for (int u = Math.max(left, i % w - 1); u <= Math.min(right - 1, i % w + 1); u++) {
          int next = v * w + u;
          if (way[next] == 0 && window.hole()[next]) {
            way[next] = way[i] + 1;
            widest = Math.max(widest, way[i]);
            line[count++] = next;
          }
        }
      }
    }
    return 2 * widest;
  }

  /** The pixels that lie so near beside it, in none. */
  int[] rim(Window window, int near) {
    int w = window.width();
    int x0 = Math.max(0, left - near);
    int y0 = Math.max(0, top - near);
    int x1 = Math.min(w, right + near);
    int y1 = Math.min(window.height(), end + near);
    boolean[] about = new boolean[window.hole().length];
    for (int i : pixels) {
      for (int v = Math.max(y0, i / w - near); v <= Math.min(y1 - 1, i / w + near); v++) {
        Arrays.fill(
            about,
            v * w + Math.max(x0, i % w - near),
            v * w + Math.min(x1, i % w + near + 1),
            true);
      }
    }
    int[] rim = new int[(x1 - x0) * (y1 - y0)];
    int n = 0;
    for (int y = y0; y < y1; y++) {
      for (int i = y * w + x0; i < y * w + x1; i++) {
        if (about[i] && !window.hole()[i]) {
          rim[n++] = i;
        }
      }
    }
    return Arrays.copyOf(rim, n);
  }
}
