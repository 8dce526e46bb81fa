package illuminar.core.algebra;

import java.util.Arrays;

/**
 * Poisson's equation on some of a grid's pixels, by multigrid (Brandt, "Multi-level adaptive
 * solutions to boundary-value problems", 1977): V-cycles of red-black rounds, coarse grids of cells
 * two by two, bilinear interpolation. Beyond the grid's edge nothing holds a pixel.
 */
public final class Poisson {
  /** Rounds before and after what the coarser grid adds. */
  private static final int ROUNDS = 2;

  /** Rounds on the coarsest grid. */
  private static final int ROUNDS_OF_FEW = 16;

  private static final int MOST_CYCLES = 30;

  /** A cycle whose last round changes nothing by more is the last. */
  private static final float SETTLED = 3e-4f;

  /** Of the grid with a pixel more on each side. */
  private final int stride;

  private final int height;

  /** Runs of sought pixels: the first of each and the one after its last, row by row. */
  private final int[] runs;

  /** What is sought and given, and the right-hand side. */
  private final float[] v;

  private final float[] b;

  /**
   * The next coarser grid, on which what this one is off by is sought; null where there is none.
   */
  private final Poisson coarse;

  /**
   * Of a grid.
   *
   * @param sought which pixels are sought; all others are given
   */
  public Poisson(int width, int height, boolean[] sought) {
    stride = width + 2;
    this.height = height;
    int[] found = new int[sought.length + 2];
    int n = 0;
    for (int i = 0; i < sought.length; i++) {
      int at = padded(i, width);
      if (sought[i] && (i % width == 0 || !sought[i - 1])) {
        found[n++] = at;
      }
      if (sought[i] && (i % width == width - 1 || !sought[i + 1])) {
        found[n++] = at + 1;
      }
    }
    runs = Arrays.copyOf(found, n);
    coarse = halved(width, sought);
    v = new float[stride * (height + 2)];
    b = new float[v.length];
  }

  private static int padded(int i, int width) {
    return (i / width + 1) * (width + 2) + i % width + 1;
  }

  /** A cell is sought there where all that is of it is sought here; null where none is. */
  private static Poisson halved(int width, boolean[] sought) {
    int height = sought.length / width;
    int w = (width + 1) / 2;
    boolean[] cells = new boolean[w * ((height + 1) / 2)];
    Arrays.fill(cells, true);
    for (int i = 0; i < sought.length; i++) {
      cells[i / width / 2 * w + i % width / 2] &= sought[i];
    }
    boolean any = false;
    for (boolean cell : cells) {
      any |= cell;
    }
    return any && cells.length < sought.length ? new Poisson(w, (height + 1) / 2, cells) : null;
  }

  /**
   * Solves: what a pixel's neighbours are more than it, together, is the right-hand side with its
   * sign changed.
   *
   * @param values of all pixels; a first guess where they are sought; modified
   * @param right right-hand side where they are sought
   */
  public void solve(float[] values, float[] right) {
    int width = stride - 2;
    for (int i = 0; i < values.length; i++) {
      v[padded(i, width)] = values[i];
      b[padded(i, width)] = right[i];
    }
    for (int k = 0; k < MOST_CYCLES && cycle() > SETTLED; k++) {}
    for (int i = 0; i < values.length; i++) {
      values[i] = v[padded(i, width)];
    }
  }

  private float cycle() {
    if (coarse == null) {
      return rounds(ROUNDS_OF_FEW);
    }
    rounds(ROUNDS);
    restrict();
    coarse.cycle();
    interpolate();
    return rounds(ROUNDS);
  }

  /** So many rounds; how much the last changes at most. */
  private float rounds(int count) {
    float most = 0;
    for (int k = 0; k < count; k++) {
      mirror();
      most = Math.max(round(0), round(1));
    }
    return most;
  }

  /** Beyond the edge all is as at it. */
  private void mirror() {
    for (int y = 1; y <= height; y++) {
      v[y * stride] = v[y * stride + 1];
      v[y * stride + stride - 1] = v[y * stride + stride - 2];
    }
    System.arraycopy(v, stride, v, 0, stride);
    System.arraycopy(v, height * stride, v, (height + 1) * stride, stride);
  }

  private float round(int colour) {
    float most = 0;
    for (int k = 0; k < runs.length; k += 2) {
      int from = runs[k];
      from += from / stride + from % stride + colour & 1;
      for (int i = from; i < runs[k + 1]; i += 2) {
        float sum = v[i - 1] + v[i + 1] + v[i - stride] + v[i + stride] + b[i];
        float change = 0.25f * sum - v[i];
        v[i] += change;
        most = Math.max(most, Math.abs(change));
      }
    }
    return most;
  }

  /** Asks the coarser grid for what is left of the right-hand side, together for each cell. */
  private void restrict() {
    Arrays.fill(coarse.v, 0);
    Arrays.fill(coarse.b, 0);
    mirror();
    for (int k = 0; k < runs.length; k += 2) {
      int y = runs[k] / stride;
      int row = (y + 1) / 2 * coarse.stride;
      for (int i = runs[k], x = i - y * stride; i < runs[k + 1]; i++, x++) {
        coarse.b[row + (x + 1) / 2] +=
            v[i - 1] + v[i + 1] + v[i - stride] + v[i + stride] + b[i] - 4 * v[i];
      }
    }
  }

  private void interpolate() {
    coarse.mirror();
    float[] error = coarse.v;
    for (int k = 0; k < runs.length; k += 2) {
      int y = runs[k] / stride;
      int near = (y + 1) / 2 * coarse.stride;
      int far = near + (y % 2 == 1 ? -coarse.stride : coarse.stride);
      for (int i = runs[k], x = i - y * stride; i < runs[k + 1]; i++, x++) {
        int u = (x + 1) / 2;
        int beside = x % 2 == 1 ? u - 1 : u + 1;
        v[i] +=
            0.5625f * error[near + u]
                + 0.1875f * (error[near + beside] + error[far + u])
                + 0.0625f * error[far + beside];
      }
    }
  }
}
