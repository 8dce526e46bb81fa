package illuminar.core.mend;

import illuminar.core.colour.Stops;
import illuminar.core.picture.Plane;

/**
 * How much the pieces in a hole are brightened, so that they meet their surroundings and each
 * other: given on the rim, as even as can be within a piece, and across a seam by what the two
 * sides differ there (Poisson blending: Pérez, Gangnet, Blake 2003; Georgiev 2004 for tones in
 * proportion). In stops, so that texture keeps its contrast.
 *
 * @param left of the planes in the window; {@code top} likewise
 * @param stops red, green and blue
 */
public record Membrane(int left, int top, Plane[] stops) {
  /** Pixels beside the hole whose difference holds the membrane. */
  private static final int RIM = 2;

  /**
   * Pixels about one of the rim over which its difference is averaged, so that no grain is held.
   */
  private static final int EVENED = 2;

  private static final int ROUNDS = 400;

  /** A round that changes nothing by more is the last. */
  private static final float SETTLED = 1e-4f;

  /** Solved for the pieces that a hole is mended with. */
  public static Membrane of(Window window, Pieces pieces) {
    Solver solver = new Solver(window, pieces);
    Plane[] stops = new Plane[3];
    for (int c = 0; c < 3; c++) {
      stops[c] = solver.solved(window.tones()[c]);
    }
    return new Membrane(solver.left, solver.top, stops);
  }

  /**
   * Brightens a source's colour.
   *
   * @param x column of the window, with its fraction; {@code y} likewise
   * @param colour linear; modified
   */
  public void meet(float x, float y, float[] colour) {
    for (int c = 0; c < 3; c++) {
      colour[c] *= Stops.light(stops[c].sample(x - left, y - top));
    }
  }

  private static final class Solver {
    private final Window window;
    private final Pieces pieces;
    private final Pieces.Cells cells;
    private final int left;
    private final int top;
    private final int w;
    private final int h;
    private final boolean[] held;
    private final boolean[] free;
    private final float[] right;
    private final float[] below;

    Solver(Window window, Pieces pieces) {
      this.window = window;
      this.pieces = pieces;
      Hole hole = pieces.hole();
      cells = pieces.cells(window.width(), RIM);
      left = Math.max(0, hole.left() - RIM);
      top = Math.max(0, hole.top() - RIM);
      w = Math.min(window.width(), hole.right() + RIM) - left;
      h = Math.min(window.height(), hole.end() + RIM) - top;
      held = new boolean[w * h];
      free = new boolean[w * h];
      right = new float[w * h];
      below = new float[w * h];
      for (int i : hole.pixels()) {
        free[(i / window.width() - top) * w + i % window.width() - left] = true;
      }
      for (int i : hole.rim(window, RIM)) {
        held[(i / window.width() - top) * w + i % window.width() - left] = true;
      }
    }

    private Plane solved(float[] tones) {
      float[] m = new float[w * h];
      for (int i = 0; i < m.length; i++) {
        if (held[i]) {
          int x = left + i % w;
          int y = top + i / w;
          m[i] = tones[y * window.width() + x] - source(tones, x, y, cells.at(x, y));
        }
      }
      m = evened(m);
      steps(tones);
      settle(m);
      return new Plane(w, h, m);
    }

    /** The tone that a way leads to from a pixel; beyond the window its edge. */
    private float source(float[] tones, int x, int y, int piece) {
      Pieces.Way way = pieces.ways().get(piece);
      return new Plane(window.width(), window.height(), tones)
          .sample((float) (x + way.x()), (float) (y + way.y()));
    }

    /** How much more the right and the lower neighbour of each pixel have to be brightened by. */
    private void steps(float[] tones) {
      for (int i = 0; i < right.length; i++) {
        int x = left + i % w;
        int y = top + i / w;
        int own = cells.at(x, y);
        right[i] = x + 1 < left + w ? step(tones, x, y, 1, 0, own, cells.at(x + 1, y)) : 0;
        below[i] = y + 1 < top + h ? step(tones, x, y, 0, 1, own, cells.at(x, y + 1)) : 0;
      }
    }

    private float step(float[] tones, int x, int y, int dx, int dy, int own, int other) {
      if (own == other) {
        return 0;
      }
      return (source(tones, x, y, own)
              + source(tones, x + dx, y + dy, own)
              - source(tones, x, y, other)
              - source(tones, x + dx, y + dy, other))
          / 2;
    }

    private float[] evened(float[] raw) {
      float[] out = new float[raw.length];
      for (int i = 0; i < raw.length; i++) {
        float sum = 0;
        int n = 0;
        int x = i % w;
        int y = i / w;
        for (int v = Math.max(0, y - EVENED); held[i] && v <= Math.min(h - 1, y + EVENED); v++) {
          for (int u = Math.max(0, x - EVENED); u <= Math.min(w - 1, x + EVENED); u++) {
            if (held[v * w + u]) {
              sum += raw[v * w + u];
              n++;
            }
          }
        }
        out[i] = n == 0 ? 0 : sum / n;
      }
      return out;
    }

    /** By successive over-relaxation, from the mean of what is held. */
    private void settle(float[] m) {
      double sum = 0;
      int n = 0;
      for (int i = 0; i < m.length; i++) {
        if (held[i]) {
          sum += m[i];
          n++;
        }
      }
      for (int i = 0; i < m.length; i++) {
        if (!held[i]) {
          m[i] = n == 0 ? 0 : (float) (sum / n);
        }
      }
      float over = (float) (2 / (1 + Math.PI / Math.max(3, Math.max(w, h))));
      float most = Float.MAX_VALUE;
      for (int round = 0; round < ROUNDS && most > SETTLED; round++) {
        most = 0;
        for (int i = 0; i < m.length; i++) {
          if (free[i]) {
            float change = over * (wanted(m, i) - m[i]);
            m[i] += change;
            most = Math.max(most, Math.abs(change));
          }
        }
      }
    }

    /** By the neighbours that there are: at the picture's edge nothing holds it. */
    private float wanted(float[] m, int i) {
      float sum = 0;
      int n = 0;
      int x = i % w;
      if (x > 0 && there(i - 1)) {
        sum += m[i - 1] + right[i - 1];
        n++;
      }
      if (x < w - 1 && there(i + 1)) {
        sum += m[i + 1] - right[i];
        n++;
      }
      if (i >= w && there(i - w)) {
        sum += m[i - w] + below[i - w];
        n++;
      }
      if (i + w < m.length && there(i + w)) {
        sum += m[i + w] - below[i];
        n++;
      }
      return n == 0 ? m[i] : sum / n;
    }

    private boolean there(int i) {
      return held[i] || free[i];
    }
  }
}
