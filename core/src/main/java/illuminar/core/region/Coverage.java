package illuminar.core.region;

import java.util.Arrays;

/**
 * A region's share at the pixels of a raster, 0 to 1, and between which columns each row is reached
 * at all, so that passes leave the rest alone. Values are shared, not copied, and not to be
 * modified.
 */
public final class Coverage {
  private final float[] values;
  private final int start;
  private final int stride;
  private final int width;
  private final int height;
  private final int[] from;
  private final int[] to;

  private Coverage(
      float[] values, int start, int stride, int width, int height, int[] from, int[] to) {
    this.values = values;
    this.start = start;
    this.stride = stride;
    this.width = width;
    this.height = height;
    this.from = from;
    this.to = to;
  }

  /** Of values row by row; kept, not copied. */
  public static Coverage of(float[] values, int width, int height) {
    int[] from = new int[height];
    int[] to = new int[height];
    for (int y = 0; y < height; y++) {
      int a = y * width;
      int b = a + width;
      while (a < b && !(values[a] > 0)) {
        a++;
      }
      while (b > a && !(values[b - 1] > 0)) {
        b--;
      }
      from[y] = a - y * width;
      to[y] = b - y * width;
    }
    return new Coverage(values, 0, width, width, height, from, to);
  }

  /** 1 at every pixel. */
  public static Coverage everywhere(int width, int height) {
    float[] ones = new float[width];
    Arrays.fill(ones, 1);
    int[] to = new int[height];
    Arrays.fill(to, width);
    return new Coverage(ones, 0, 0, width, height, new int[height], to);
  }

  /** What this leaves. */
  public Coverage outside() {
    float[] rest = new float[width * height];
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        rest[y * width + x] = 1 - values[row(y) + x];
      }
    }
    return of(rest, width, height);
  }

  /** What both leave: the product. */
  public Coverage and(Coverage other) {
    float[] both = new float[width * height];
    for (int y = 0; y < height; y++) {
      int end = Math.min(to[y], other.to[y]);
      for (int x = Math.max(from[y], other.from[y]); x < end; x++) {
        both[y * width + x] = values[row(y) + x] * other.values[other.row(y) + x];
      }
    }
    return of(both, width, height);
  }

  /** A piece of this, sharing its values. */
  public Coverage part(int left, int top, int w, int h) {
    int[] first = new int[h];
    int[] end = new int[h];
    for (int y = 0; y < h; y++) {
      first[y] = Math.max(0, Math.min(w, from[top + y] - left));
      end[y] = Math.max(first[y], Math.min(w, to[top + y] - left));
    }
    return new Coverage(values, start + top * stride + left, stride, w, h, first, end);
  }

  public int width() {
    return width;
  }

  public int height() {
    return height;
  }

  /** All values; those of row {@code y} begin at {@link #row}. */
  public float[] values() {
    return values;
  }

  /** Index of a row's first value. */
  public int row(int y) {
    return start + y * stride;
  }

  /** First column of a row that is reached. */
  public int from(int y) {
    return from[y];
  }

  /** First column after {@link #from} from which on a row is not reached. */
  public int to(int y) {
    return to[y];
  }

  /** Whether any pixel of a rectangle is reached. */
  public boolean reaches(int left, int top, int w, int h) {
    for (int y = top; y < top + h; y++) {
      int end = Math.min(left + w, to[y]);
      for (int x = Math.max(left, from[y]); x < end; x++) {
        if (values[row(y) + x] > 0) {
          return true;
        }
      }
    }
    return false;
  }

  public float at(int x, int y) {
    return values[row(y) + x];
  }

  /** The values row by row, as a new array. */
  public float[] copy() {
    float[] out = new float[width * height];
    for (int y = 0; y < height; y++) {
      System.arraycopy(values, row(y), out, y * width, width);
    }
    return out;
  }

  /** Left, top, right and bottom of all that is reached; right is not beyond left if nothing is. */
  public int[] box() {
    int[] box = {width, height, 0, 0};
    for (int y = 0; y < height; y++) {
      if (from[y] < to[y]) {
        box[0] = Math.min(box[0], from[y]);
        box[1] = Math.min(box[1], y);
        box[2] = Math.max(box[2], to[y]);
        box[3] = y + 1;
      }
    }
    return box;
  }
}
