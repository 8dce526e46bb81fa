package illuminar.core.noise;

import java.util.Arrays;

/**
 * Where in a picture results are wanted, by cells as large as a block.
 *
 * @param across cells in a row
 */
record Cells(int across, boolean[] wanted) {

  /** Those that hold a wanted pixel. */
  static Cells of(boolean[] pixels, int w) {
    Cells cells = none(w, pixels.length / w);
    for (int i = 0; i < pixels.length; i++) {
      if (pixels[i]) {
        cells.wanted[i / w / Cosines.SIDE * cells.across + i % w / Cosines.SIDE] = true;
      }
    }
    return cells;
  }

  /** All of a picture. */
  static Cells all(int w, int h) {
    Cells cells = none(w, h);
    Arrays.fill(cells.wanted, true);
    return cells;
  }

  private static Cells none(int w, int h) {
    int across = (w + Cosines.SIDE - 1) / Cosines.SIDE;
    return new Cells(across, new boolean[across * ((h + Cosines.SIDE - 1) / Cosines.SIDE)]);
  }

  /** Whether a block touches one of them. */
  boolean touchedBy(int x, int y) {
    for (int v = y / Cosines.SIDE; v <= (y + Cosines.SIDE - 1) / Cosines.SIDE; v++) {
      for (int u = x / Cosines.SIDE; u <= (x + Cosines.SIDE - 1) / Cosines.SIDE; u++) {
        if (wanted[v * across + u]) {
          return true;
        }
      }
    }
    return false;
  }

  /** With all cells so near. */
  Cells grown(int near) {
    int down = wanted.length / across;
    boolean[] wide = new boolean[wanted.length];
    boolean[] out = new boolean[wanted.length];
    for (int i = 0; i < wanted.length; i++) {
      int x = i % across;
      for (int u = Math.max(0, x - near); wanted[i] && u <= Math.min(across - 1, x + near); u++) {
        wide[i - x + u] = true;
      }
    }
    for (int i = 0; i < wanted.length; i++) {
      int y = i / across;
      for (int v = Math.max(0, y - near); wide[i] && v <= Math.min(down - 1, y + near); v++) {
        out[i + (v - y) * across] = true;
      }
    }
    return new Cells(across, out);
  }
}
