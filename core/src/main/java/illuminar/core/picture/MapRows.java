package illuminar.core.picture;

/**
 * Reads a small map of the whole view row by row at the pixels of a raster, bilinearly. The map's
 * rows are spread over the raster's columns when they are first asked for, so that neighbouring
 * rows cost little. One object serves one thread.
 */
public final class MapRows {
  private final Plane map;
  private final Columns columns;
  private final Raster raster;
  private final double toMapY;
  private float[] upper;
  private float[] lower;
  private int upperRow = -1;
  private int lowerRow = -1;

  /**
   * Where the columns of a raster lie in maps of one width.
   *
   * @param left the map's column left of each column of the raster
   * @param share how far on the way to the next, 0 to 1
   */
  private record Columns(int[] left, float[] share) {
    static Columns of(int mapWidth, int fullWidth, Raster raster) {
      int[] left = new int[raster.width()];
      float[] share = new float[raster.width()];
      double toMap = (double) mapWidth / fullWidth;
      for (int i = 0; i < left.length; i++) {
        double u = (raster.fullX(i) + 0.5) * toMap - 0.5;
        double c = u < 0 ? 0 : u > mapWidth - 1 ? mapWidth - 1 : u;
        left[i] = (int) c;
        share[i] = (float) (c - left[i]);
      }
      return new Columns(left, share);
    }
  }

  private MapRows(Plane map, Columns columns, int fullHeight, Raster raster) {
    this.map = map;
    this.columns = columns;
    this.raster = raster;
    toMapY = (double) map.height() / fullHeight;
    upper = new float[raster.width()];
    lower = new float[raster.width()];
  }

  /**
   * Readers of maps of one size.
   *
   * @param fullWidth width of the view at full size, to which the maps belong
   */
  public static MapRows[] of(int fullWidth, int fullHeight, Raster raster, Plane... maps) {
    Columns columns = Columns.of(maps[0].width(), fullWidth, raster);
    MapRows[] rows = new MapRows[maps.length];
    for (int i = 0; i < maps.length; i++) {
      if (maps[i].width() != maps[0].width()) {
        throw new IllegalArgumentException("maps of different width");
      }
      rows[i] = new MapRows(maps[i], columns, fullHeight, raster);
    }
    return rows;
  }

  /** A map at all pixels of a raster. */
  public static Plane enlarged(Plane map, int fullWidth, int fullHeight, Raster raster) {
    Plane out = Plane.of(raster.width(), raster.height());
    MapRows rows = of(fullWidth, fullHeight, raster, map)[0];
    for (int y = 0; y < raster.height(); y++) {
      rows.row(y, out.data(), y * raster.width());
    }
    return out;
  }

  /** Writes the map's values along row {@code j} of the raster to {@code out[at…]}. */
  public void row(int j, float[] out, int at) {
    row(j, 0, raster.width(), out, at);
  }

  /** The same for columns {@code from} up to {@code to}; column 0 would be at {@code out[at]}. */
  public void row(int j, int from, int to, float[] out, int at) {
    double v = place(j);
    int top = (int) v;
    float share = (float) (v - top);
    spread(top, Math.min(map.height() - 1, top + 1));
    mix(upper, lower, share, from, to, out, at);
  }

  private static void mix(
      float[] upper, float[] lower, float share, int from, int to, float[] out, int at) {
    for (int i = from; i < to; i++) {
      out[at + i] = upper[i] + (lower[i] - upper[i]) * share;
    }
  }

  private double place(int j) {
    double v = (raster.fullY(j) + 0.5) * toMapY - 0.5;
    return v < 0 ? 0 : v > map.height() - 1 ? map.height() - 1 : v;
  }

  private void spread(int top, int low) {
    if (top == lowerRow) {
      float[] swap = upper;
      upper = lower;
      lower = swap;
      upperRow = lowerRow;
      lowerRow = -1;
    }
    if (upperRow != top) {
      spread(top, upper);
      upperRow = top;
    }
    if (lowerRow != low) {
      spread(low, lower);
      lowerRow = low;
    }
  }

  private void spread(int row, float[] out) {
    float[] data = map.data();
    int[] left = columns.left;
    float[] share = columns.share;
    int at = row * map.width();
    int last = map.width() - 1;
    for (int i = 0; i < out.length; i++) {
      float l = data[at + left[i]];
      out[i] = l + (data[at + Math.min(last, left[i] + 1)] - l) * share[i];
    }
  }

  /** Whether the map is other than 0 anywhere that the raster reads. */
  public boolean reach() {
    int end = Math.min(map.width() - 1, columns.left[columns.left.length - 1] + 1);
    int last = Math.min(map.height() - 1, (int) place(raster.height() - 1) + 1);
    for (int y = (int) place(0); y <= last; y++) {
      for (int x = columns.left[0]; x <= end; x++) {
        if (map.at(x, y) != 0) {
          return true;
        }
      }
    }
    return false;
  }
}
