package illuminar.core.analysis.window;

import java.util.Arrays;
import java.util.Optional;

/**
 * A pane with four straight sides, in pixels of the analysis grid (pixel i spans i to i + 1).
 *
 * <p>Where bars are lit like the view behind them, no single pixel tells where the pane ends; its
 * whole side does. Each side is a line through where the rows, or columns, of the matte end, by
 * consensus (Fischler and Bolles 1981) and Tukey's weights (Beaton and Tukey 1974).
 *
 * @param left x at y = 0, and its rise per row; {@code right} likewise
 * @param top y at x = 0, and its rise per column; {@code bottom} likewise
 */
record StraightPane(double[] left, double[] right, double[] top, double[] bottom) {
  /** Share of a side left out at both ends, where corners are round. */
  private static final double ENDS = 0.12;

  /** Pixels beyond the mask to which the matte is followed. */
  private static final int BEYOND = 4;

  /** Overlap with what was found from which on a pane is taken for a straight one. */
  private static final double LIKE = 0.88;

  private static final int LEAST_SIDE = 8;

  private static final float RISE = 0.05f;

  /**
   * Pixels by which the matte reaches beyond a side: it is all view a little before it should be.
   */
  private static final double INSET = 0.2;

  /**
   * The straight pane that a piece of the mask is, if it is one.
   *
   * @param piece pixels
   * @param matte share of view at each pixel of the grid
   */
  static Optional<StraightPane> of(int[] piece, float[] matte, int w, int h) {
    return of(piece, matte, w, h, true, true);
  }

  /**
   * The same where some sides are known from elsewhere.
   *
   * @param upright whether the left and right sides must show
   * @param level whether top and bottom must
   */
  static Optional<StraightPane> of(
      int[] piece, float[] matte, int w, int h, boolean upright, boolean level) {
    int[] box = {w, h, 0, 0};
    for (int i : piece) {
      box[0] = Math.min(box[0], i % w);
      box[1] = Math.min(box[1], i / w);
      box[2] = Math.max(box[2], i % w + 1);
      box[3] = Math.max(box[3], i / w + 1);
    }
    int across = box[2] - box[0];
    int down = box[3] - box[1];
    if (across < LEAST_SIDE || down < LEAST_SIDE) {
      return Optional.empty();
    }
    boolean[] in = new boolean[w * h];
    for (int i : piece) {
      in[i] = true;
    }
    if (barred(in, box, w, false) || barred(in, box, w, true)) {
      return Optional.empty();
    }
    double[][] rows = new double[down][];
    for (int y = box[1]; y < box[3]; y++) {
      rows[y - box[1]] = ends(in, matte, y * w, 1, box[0], box[2], w);
    }
    double[][] columns = new double[across][];
    for (int x = box[0]; x < box[2]; x++) {
      columns[x - box[0]] = ends(in, matte, x, w, box[1], box[3], h);
    }
    Side left = side(rows, 0, box[1]);
    Side right = side(rows, 1, box[1]);
    Side top = side(columns, 0, box[0]);
    Side bottom = side(columns, 1, box[0]);
    double least = upright && level ? SUPPORT : PART;
    if (upright && !alike(left, right, least) || level && !alike(top, bottom, least)) {
      return Optional.empty();
    }
    StraightPane pane = new StraightPane(left.line, right.line, top.line, bottom.line);
    return pane.like(piece, box, w) >= LIKE ? Optional.of(pane) : Optional.empty();
  }

  /**
   * A side as found.
   *
   * @param support share of the rows that end on it
   */
  private record Side(double[] line, double support) {}

  /** Share of its rows that must end on a side. */
  private static final double SUPPORT = 0.85;

  /** The same where the other two sides are known from elsewhere. */
  private static final double PART = 0.4;

  /** Slopes by which opposite sides may differ by perspective. */
  private static final double SKEW = 0.14;

  private static boolean alike(Side one, Side other, double least) {
    return one.support >= least
        && other.support >= least
        && Math.abs(one.line[1] - other.line[1]) < SKEW;
  }

  /**
   * Whether a bar crosses a piece from side to side: a row, or column, that is mostly none of it.
   */
  private static boolean barred(boolean[] in, int[] box, int w, boolean columns) {
    int from = columns ? box[0] : box[1];
    int to = columns ? box[2] : box[3];
    int[] counts = new int[to - from];
    for (int line = from; line < to; line++) {
      for (int k = columns ? box[1] : box[0]; k < (columns ? box[3] : box[2]); k++) {
        counts[line - from] += in[columns ? k * w + line : line * w + k] ? 1 : 0;
      }
    }
    int[] sorted = counts.clone();
    Arrays.sort(sorted);
    int skip = (int) Math.round(BAR_APART * counts.length);
    for (int k = skip; k < counts.length - skip; k++) {
      if (counts[k] < 0.5 * sorted[counts.length / 2]) {
        return true;
      }
    }
    return false;
  }

  /** Share of a piece at its ends where slanted sides leave rows short. */
  private static final double BAR_APART = 0.2;

  /**
   * Where the matte of one row, or column, begins and ends.
   *
   * @param start index of its first pixel
   * @param step from pixel to pixel
   */
  private static double[] ends(
      boolean[] in, float[] matte, int start, int step, int from, int to, int n) {
    int first = from;
    while (first < to && !in[start + first * step]) {
      first++;
    }
    int last = to - 1;
    while (last > first && !in[start + last * step]) {
      last--;
    }
    if (first >= last) {
      return new double[] {Double.NaN, Double.NaN};
    }
    int middle = (first + last + 1) / 2;
    double before = 0;
    for (int k = middle - 1; k >= Math.max(0, first - BEYOND); k--) {
      // where it rises again the next pane begins
      if (k < first && matte[start + k * step] > matte[start + (k + 1) * step] + RISE) {
        break;
      }
      before += matte[start + k * step];
    }
    double after = 0;
    for (int k = middle; k < Math.min(n, last + 1 + BEYOND); k++) {
      if (k > last && matte[start + k * step] > matte[start + (k - 1) * step] + RISE) {
        break;
      }
      after += matte[start + k * step];
    }
    return new double[] {middle - before, middle + after};
  }

  /** The line through the ends of rows, robustly: its place at 0 and its slope. */
  private static Side side(double[][] ends, int side, int first) {
    int skip = (int) Math.round(ENDS * ends.length);
    double[] x = new double[ends.length];
    double[] y = new double[ends.length];
    int n = 0;
    for (int k = skip; k < ends.length - skip; k++) {
      if (!Double.isNaN(ends[k][side])) {
        x[n] = first + k + 0.5;
        y[n++] = ends[k][side];
      }
    }
    double[] line = LineFit.commonest(x, y, n);
    for (int round = 0; round < 6; round++) {
      line = LineFit.weighted(x, y, n, line);
    }
    int on = 0;
    for (int i = 0; i < n; i++) {
      on += Math.abs(y[i] - line[0] - line[1] * x[i]) < 1 ? 1 : 0;
    }
    return new Side(line, on / (double) Math.max(1, n));
  }

  /** Intersection over union with a piece of the mask. */
  private double like(int[] piece, int[] box, int w) {
    double own = 0;
    for (int y = box[1] - 2; y < box[3] + 2; y++) {
      for (int x = box[0] - 2; x < box[2] + 2; x++) {
        own += share(x + 0.5, y + 0.5, 1);
      }
    }
    double both = 0;
    for (int i : piece) {
      both += share(i % w + 0.5, i / w + 0.5, 1);
    }
    return both / Math.max(1, own + piece.length - both);
  }

  /** Whether a place lies between the left and right sides, gone on; or between top and bottom. */
  boolean between(double x, double y, boolean upright) {
    return upright
        ? x > left[0] + left[1] * y && x < right[0] + right[1] * y
        : y > top[0] + top[1] * x && y < bottom[0] + bottom[1] * x;
  }

  /** The same pane with the left and right sides of another, or with its top and bottom. */
  StraightPane withSides(StraightPane other, boolean upright) {
    return upright
        ? new StraightPane(other.left, other.right, top, bottom)
        : new StraightPane(left, right, other.top, other.bottom);
  }

  /**
   * Share of a square pixel that the pane takes.
   *
   * @param size of the pixel in pixels of the grid
   */
  float share(double x, double y, double size) {
    double a = inside(x - left[0] - left[1] * y, left[1], size);
    double b = inside(right[0] + right[1] * y - x, right[1], size);
    double c = inside(y - top[0] - top[1] * x, top[1], size);
    double d = inside(bottom[0] + bottom[1] * x - y, bottom[1], size);
    return (float) (a * b * c * d);
  }

  /**
   * Whether the sides decide about a place: outside, and inside near one of them. Farther in, a
   * handle or a plant before the glass is in the matte.
   *
   * @param open whether the place burns as a view does in the brighter frames
   */
  boolean decides(double x, double y, boolean open) {
    double least =
        Math.min(
            Math.min(x - left[0] - left[1] * y, right[0] + right[1] * y - x),
            Math.min(y - top[0] - top[1] * x, bottom[0] + bottom[1] * x - y));
    return least < (open ? INWARDS : RIM);
  }

  /** The same where something not lit by the sky stands before the glass. */
  private static final double RIM = 1.5;

  /** Pixels inside of a side within which it decides rather than the matte. */
  private static final double INWARDS = 7;

  /** How much of a pixel lies on the inner side of a line; not a number counts as none. */
  private static double inside(double off, double slope, double size) {
    double d = (off / Math.sqrt(1 + slope * slope) - INSET) / size + 0.5;
    return d >= 1 ? 1 : d > 0 ? d : 0;
  }
}
