package illuminar.core.analysis.cast;

import illuminar.core.colour.Burnt;
import illuminar.core.filter.Ease;
import illuminar.core.picture.LabPlanes;
import illuminar.core.picture.Picture;

/**
 * The commonest lean of light surfaces, by which most white ones are known. Light leans from warm
 * to cold, along the loci of thermal radiators and daylight, and hardly to green or magenta; paint
 * leans everywhere. So what stands off that line is paint. Our own rule, after the idea that
 * illuminants lie near the Planckian locus (Finlayson, Schaefer 2001).
 *
 * @param red log2 of red over green
 * @param blue log2 of blue over green
 */
record CommonWhite(float red, float blue) {
  /** Cells of the grid on which leans are counted, log2 each. */
  private static final float CELL = 0.06f;

  private static final int CELLS = 60;

  /** Lean to green or magenta of a light at most, log2. */
  private static final float OFF = 0.22f;

  /** Off the common white, towards green or magenta, at which a surface counts less and not. */
  private static final float TINTED = 0.1f;

  private static final float PAINTED = 0.26f;

  /** The same from warm to cold. */
  private static final float MIXED = 0.3f;

  private static final float COLOURED = 0.6f;

  /** Step from one place to the next up to which light goes over, log2; paint begins at once. */
  private static final float STEP = 0.08f;

  /** Warm to cold, and green to magenta: leans of unit length on the two axes. */
  private static final float ALONG = 0.62f;

  private static final float ACROSS = 0.78f;

  /**
   * By the votes of a picture's pixels, each by its lightness and by how much it looks like paint;
   * lean 0 where there are none.
   */
  static CommonWhite of(Picture p, LabPlanes lab, float[] view, float[] paint) {
    LeanVotes grid = new LeanVotes(CELL, CELLS);
    for (int i = 0; i < view.length; i++) {
      float l = lab.l()[i] / 100;
      if (view[i] > 0.02f || l < 0.2f || p.mostAt(i) > Burnt.NO_COLOUR) {
        continue;
      }
      float red = Lean.of(p.r()[i], p.g()[i]);
      float blue = Lean.of(p.b()[i], p.g()[i]);
      if (Math.abs(tint(red, blue)) < OFF && inside(grid, red) && inside(grid, blue)) {
        double weight = l * l * l * l * paint[i];
        grid.add(red, blue, weight, weight);
      }
    }
    double[] votes = grid.votes();
    int best = grid.best();
    if (votes[best] == 0) {
      return new CommonWhite(0, 0);
    }
    // cells with as many votes are one peak
    double u = 0;
    double v = 0;
    int n = 0;
    for (int k = 0; k < votes.length; k++) {
      if (votes[k] >= votes[best]) {
        u += k % CELLS;
        v += k / CELLS;
        n++;
      }
    }
    return new CommonWhite(grid.lean(u / n), grid.lean(v / n));
  }

  /** Whether the cells about a lean lie on the grid as well. */
  private static boolean inside(LeanVotes grid, float lean) {
    int cell = grid.cellOf(lean);
    return cell > 1 && cell < CELLS - 2;
  }

  /** Whether light, not paint, can be what changes from one place to its neighbour. */
  static boolean goesOver(float red, float blue, float nextRed, float nextBlue) {
    return Math.abs(tint(red - nextRed, blue - nextBlue)) < STEP
        && Math.abs(warmth(red - nextRed, blue - nextBlue)) < STEP;
  }

  /** Lean to green or magenta, log2. */
  static float tint(float red, float blue) {
    return ACROSS * red + ALONG * blue;
  }

  private static float warmth(float red, float blue) {
    return ALONG * red - ACROSS * blue;
  }

  /** How much a lean looks like that of a white surface in this room's light, 0 to 1. */
  float alike(float byRed, float byBlue) {
    float across = Math.abs(tint(byRed, byBlue) - tint(red, blue));
    float along = Math.abs(warmth(byRed, byBlue) - warmth(red, blue));
    return Ease.between((PAINTED - across) / (PAINTED - TINTED))
        * Ease.between((COLOURED - along) / (COLOURED - MIXED));
  }
}
