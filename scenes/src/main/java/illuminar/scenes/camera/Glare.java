package illuminar.scenes.camera;

/** Light that a lens spreads far over the picture, which lifts the darks beside bright windows. */
final class Glare {
  /** Edge of the cells that spread light is reckoned in, as a share of the picture's width. */
  private static final int CELLS = 48;

  /** Cells over which light falls off by 1/e. */
  private static final double REACH = 8;

  private Glare() {}

  /** The planes of a picture with {@code share} of their light spread out; new arrays. */
  static float[][] over(float[][] planes, int w, int h, double share) {
    float[][] out = new float[planes.length][];
    for (int c = 0; c < out.length; c++) {
      out[c] = over(planes[c], w, h, share);
    }
    return out;
  }

  private static float[] over(float[] plane, int w, int h, double share) {
    int size = Math.max(1, w / CELLS);
    int cw = (w + size - 1) / size;
    int ch = (h + size - 1) / size;
    double[] cell = new double[cw * ch];
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        cell[y / size * cw + x / size] += plane[y * w + x];
      }
    }
    double[] spread = spread(cell, cw, ch, size);
    float[] out = new float[plane.length];
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        double far = between(spread, cw, ch, (x + 0.5) / size - 0.5, (y + 0.5) / size - 0.5);
        out[y * w + x] = (float) ((1 - share) * plane[y * w + x] + share * far);
      }
    }
    return out;
  }

  /** Every cell's light over all cells, falling off with distance; its sum is kept. */
  private static double[] spread(double[] cell, int cw, int ch, int size) {
    double[] fall = new double[cw * ch];
    for (int i = 0; i < fall.length; i++) {
      fall[i] = Math.exp(-Math.hypot(i % cw, i / cw) / REACH);
    }
    double[] out = new double[cell.length];
    for (int from = 0; from < cell.length; from++) {
      double all = 0;
      for (int to = 0; to < cell.length; to++) {
        all += fall[apart(from, to, cw)];
      }
      for (int to = 0; to < cell.length; to++) {
        out[to] += cell[from] * fall[apart(from, to, cw)] / (all * size * size);
      }
    }
    return out;
  }

  private static int apart(int from, int to, int cw) {
    return Math.abs(from / cw - to / cw) * cw + Math.abs(from % cw - to % cw);
  }

  private static double between(double[] of, int cw, int ch, double x, double y) {
    double u = Math.max(0, Math.min(cw - 1, x));
    double v = Math.max(0, Math.min(ch - 1, y));
    int x0 = (int) u;
    int y0 = (int) v;
    int x1 = Math.min(cw - 1, x0 + 1);
    int y1 = Math.min(ch - 1, y0 + 1);
    double top = of[y0 * cw + x0] + (of[y0 * cw + x1] - of[y0 * cw + x0]) * (u - x0);
    double low = of[y1 * cw + x0] + (of[y1 * cw + x1] - of[y1 * cw + x0]) * (u - x0);
    return top + (low - top) * (v - y0);
  }
}
