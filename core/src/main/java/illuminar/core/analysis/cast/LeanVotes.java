package illuminar.core.analysis.cast;

/**
 * Counts leans on a grid of red and blue, so that the commonest can be found.
 *
 * @param cell width of a cell, log2
 * @param cells cells to a side; lean 0 lies in the middle
 * @param votes row by row, rising with blue; red rises along a row
 */
record LeanVotes(float cell, int cells, double[] votes) {
  LeanVotes(float cell, int cells) {
    this(cell, cells, new double[cells * cells]);
  }

  /** The cell of a lean, along one axis; may lie beyond the grid. */
  int cellOf(float lean) {
    return Math.round(lean / cell) + cells / 2;
  }

  /** Votes for a lean with one weight, for the eight cells about it with another. */
  void add(float red, float blue, double own, double about) {
    int u = cellOf(red);
    int v = cellOf(blue);
    for (int dv = -1; dv <= 1; dv++) {
      for (int du = -1; du <= 1; du++) {
        if (u + du >= 0 && u + du < cells && v + dv >= 0 && v + dv < cells) {
          votes[(v + dv) * cells + u + du] += du == 0 && dv == 0 ? own : about;
        }
      }
    }
  }

  /** The cell with most votes; the middle where there are none. */
  int best() {
    int best = cells * cells / 2 + cells / 2;
    for (int k = 0; k < votes.length; k++) {
      best = votes[k] > votes[best] ? k : best;
    }
    return best;
  }

  /** The lean at a place of the grid along one axis, in cells. */
  float lean(double at) {
    return (float) (at - cells / 2) * cell;
  }
}
