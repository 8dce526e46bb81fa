package illuminar.core.mend;

import illuminar.core.algebra.Poisson;
import illuminar.core.colour.Stops;
import illuminar.core.filter.Box;
import illuminar.core.picture.Plane;

/**
 * How much the pieces in a hole are brightened, so that they meet their surroundings and each
 * other: given on the rim, as even as can be within a piece, and across a seam by what the two
 * sides differ there (Poisson blending: Pérez, Gangnet, Blake 2003; Georgiev 2004 for tones in
 * proportion). In stops, so that texture keeps its contrast. Forms of a source that nothing about
 * the hole bears out are left away ({@link BorneOut}).
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

  /** Pixels about one over which forms are averaged, so that grain is none. */
  private static final int GRAIN = 1;

  /** Solved for the pieces that a hole is mended with. */
  public static Membrane of(Window window, Pieces pieces) {
    Solver solver = new Solver(window, pieces);
    Plane[] stops = new Plane[3];
    for (int c = 0; c < 3; c++) {
      stops[c] = solver.solved(c);
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
    private final Poisson poisson;
    private final Plane borne;

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
      for (int i : hole.pixels()) {
        free[(i / window.width() - top) * w + i % window.width() - left] = true;
      }
      for (int i : hole.rim(window, RIM)) {
        held[(i / window.width() - top) * w + i % window.width() - left] = true;
      }
      poisson = new Poisson(w, h, free);
      borne = BorneOut.of(window, pieces, left, top, w, h);
    }

    private Plane solved(int c) {
      float[] m = new float[w * h];
      float[] rim = new float[w * h];
      for (int i = 0; i < m.length; i++) {
        if (held[i]) {
          int x = left + i % w;
          int y = top + i / w;
          rim[i] = window.tones()[c][y * window.width() + x];
          m[i] = rim[i] - source(c, x, y, cells.at(x, y));
        }
      }
      m = settled(m, steps(c));
      doubt(c, m, settled(rim, new float[w * h]));
      return new Plane(w, h, m);
    }

    /**
     * Takes of a source's forms what the surroundings do not bear out: as far as those about it are
     * not those about the hole, the hole is as even as its rim lets it be. Grain stays.
     *
     * @param m what the sources are brightened by; modified
     * @param even the hole as its rim alone would have it
     */
    private void doubt(int c, float[] m, float[] even) {
      Plane forms = Plane.of(w, h);
      for (int i = 0; i < m.length; i++) {
        if (free[i]) {
          int x = left + i % w;
          int y = top + i / w;
          forms.data()[i] = source(c, x, y, cells.at(x, y)) + m[i] - even[i];
        }
      }
      float[] broad = Box.mean(forms, GRAIN).data();
      for (int i = 0; i < m.length; i++) {
        if (free[i]) {
          m[i] -= (1 - borne.data()[i]) * broad[i];
        }
      }
    }

    /** The tone that a way leads to from a pixel; beyond the window its edge. */
    private float source(int c, int x, int y, int piece) {
      Pieces.Way way = pieces.ways().get(piece);
      return window.tone(c, x + way.x(), y + way.y());
    }

    /** How much less each pixel has to be brightened by than its neighbours, together. */
    private float[] steps(int c) {
      float[] out = new float[w * h];
      for (int i = 0; i < out.length; i++) {
        int x = left + i % w;
        int y = top + i / w;
        int own = cells.at(x, y);
        if (i % w + 1 < w && (free[i] || free[i + 1])) {
          float more = step(c, x, y, 1, 0, own, cells.at(x + 1, y));
          out[i] -= more;
          out[i + 1] += more;
        }
        if (i + w < out.length && (free[i] || free[i + w])) {
          float more = step(c, x, y, 0, 1, own, cells.at(x, y + 1));
          out[i] -= more;
          out[i + w] += more;
        }
      }
      return out;
    }

    private float step(int c, int x, int y, int dx, int dy, int own, int other) {
      if (own == other) {
        return 0;
      }
      return (source(c, x, y, own)
              + source(c, x + dx, y + dy, own)
              - source(c, x, y, other)
              - source(c, x + dx, y + dy, other))
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

    /** From the mean of what is held there, without its grain. */
    private float[] settled(float[] raw, float[] steps) {
      float[] m = evened(raw);
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
      poisson.solve(m, steps);
      return m;
    }
  }
}
