package illuminar.core.filter;

import illuminar.core.picture.Plane;

/** The least and the greatest of the values within a square window, row by row and then down. */
public final class Nearby {
  private Nearby() {}

  /** The least of the part of the (2·radius + 1)² window inside the plane. */
  public static Plane least(Plane in, int radius) {
    Plane turned = Plane.of(in.width(), in.height());
    for (int i = 0; i < turned.data().length; i++) {
      turned.data()[i] = -in.data()[i];
    }
    Plane out = greatest(turned, radius);
    for (int i = 0; i < out.data().length; i++) {
      out.data()[i] = -out.data()[i];
    }
    return out;
  }

  /** The greatest of it. */
  public static Plane greatest(Plane in, int radius) {
    int w = in.width();
    int h = in.height();
    float[] rows = new float[w * h];
    for (int y = 0; y < h; y++) {
      System.arraycopy(in.data(), y * w, rows, y * w, w);
      for (int d = 1; d <= Math.min(radius, w - 1); d++) {
        raise(in.data(), y * w + d, rows, y * w, w - d);
        raise(in.data(), y * w, rows, y * w + d, w - d);
      }
    }
    Plane out = Plane.of(w, h);
    for (int y = 0; y < h; y++) {
      System.arraycopy(rows, y * w, out.data(), y * w, w);
      for (int v = Math.max(0, y - radius); v <= Math.min(h - 1, y + radius); v++) {
        raise(rows, v * w, out.data(), y * w, w);
      }
    }
    return out;
  }

  private static void raise(float[] by, int from, float[] out, int at, int n) {
    for (int i = 0; i < n; i++) {
      out[at + i] = Math.max(out[at + i], by[from + i]);
    }
  }
}
