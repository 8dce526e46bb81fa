package illuminar.core.mend;

import illuminar.core.picture.Plane;

/**
 * What a source has to be brightened by in a hole so that it meets what lies about it: given on the
 * rim, as even as can be within (Poisson blending by its membrane: Pérez, Gangnet, Blake 2003;
 * Georgiev 2004 for tones in proportion). In stops, so that texture keeps its contrast.
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

  /** Solved for a way to the source, in pixels of the window. */
  public static Membrane of(Window window, Hole hole, Likeness.Way way) {
    int left = Math.max(0, hole.left() - RIM);
    int top = Math.max(0, hole.top() - RIM);
    int w = Math.min(window.width(), hole.right() + RIM) - left;
    int h = Math.min(window.height(), hole.end() + RIM) - top;
    boolean[] held = new boolean[w * h];
    boolean[] free = new boolean[w * h];
    for (int i : hole.pixels()) {
      free[(i / window.width() - top) * w + i % window.width() - left] = true;
    }
    for (int i : hole.rim(window, RIM)) {
      held[(i / window.width() - top) * w + i % window.width() - left] = true;
    }
    Plane[] stops = new Plane[3];
    for (int c = 0; c < 3; c++) {
      float[] m = differences(window, c, way, left, top, w, held);
      settle(m, w, h, held, free);
      stops[c] = new Plane(w, h, m);
    }
    return new Membrane(left, top, stops);
  }

  private static float[] differences(
      Window window, int channel, Likeness.Way way, int left, int top, int w, boolean[] held) {
    float[] tones = window.tones()[channel];
    float[] raw = new float[held.length];
    for (int i = 0; i < held.length; i++) {
      if (held[i]) {
        int x = i % w + left;
        int y = i / w + top;
        int u = Math.max(0, Math.min(window.width() - 1, x + way.x()));
        int v = Math.max(0, Math.min(window.height() - 1, y + way.y()));
        raw[i] = tones[y * window.width() + x] - tones[v * window.width() + u];
      }
    }
    return evened(raw, w, held);
  }

  private static float[] evened(float[] raw, int w, boolean[] held) {
    float[] out = new float[raw.length];
    int h = raw.length / w;
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

  /** Laplace's equation by successive over-relaxation, from the mean of what is held. */
  private static void settle(float[] m, int w, int h, boolean[] held, boolean[] free) {
    double sum = 0;
    int n = 0;
    boolean[] there = new boolean[m.length];
    for (int i = 0; i < m.length; i++) {
      there[i] = held[i] || free[i];
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
          float change = over * (mean(m, i, w, there) - m[i]);
          m[i] += change;
          most = Math.max(most, Math.abs(change));
        }
      }
    }
  }

  /** Of the neighbours that there are: at the picture's edge nothing holds it. */
  private static float mean(float[] m, int i, int w, boolean[] there) {
    float sum = 0;
    int n = 0;
    int x = i % w;
    if (x > 0 && there[i - 1]) {
      sum += m[i - 1];
      n++;
    }
    if (x < w - 1 && there[i + 1]) {
      sum += m[i + 1];
      n++;
    }
    if (i >= w && there[i - w]) {
      sum += m[i - w];
      n++;
    }
    if (i + w < m.length && there[i + w]) {
      sum += m[i + w];
      n++;
    }
    return n == 0 ? m[i] : sum / n;
  }
}
