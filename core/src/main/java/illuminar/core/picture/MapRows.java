package illuminar.core.picture;

/**
 * Reads a small map of the whole view row by row at the pixels of a raster, bilinearly. One object
 * serves one thread and one raster.
 */
public final class MapRows {
  private final int mapWidth;
  private final int mapHeight;
  private final int[] left;
  private final float[] share;
  private final double toMapY;
  private final Raster raster;
  private final float[] line;

  /**
   * @param mapWidth width of the maps to be read; all maps handed in must have this size
   * @param fullWidth width of the view at full size, to which the maps belong
   */
  public MapRows(int mapWidth, int mapHeight, int fullWidth, int fullHeight, Raster raster) {
    this.mapWidth = mapWidth;
    this.mapHeight = mapHeight;
    this.raster = raster;
    left = new int[raster.width()];
    share = new float[raster.width()];
    line = new float[mapWidth + 1];
    double toMapX = (double) mapWidth / fullWidth;
    toMapY = (double) mapHeight / fullHeight;
    for (int i = 0; i < left.length; i++) {
      double u = (raster.fullX(i) + 0.5) * toMapX - 0.5;
      double c = Math.max(0, Math.min(mapWidth - 1, u));
      left[i] = Math.min((int) c, mapWidth - 1);
      share[i] = (float) (c - left[i]);
    }
  }

  /** Writes the map's values along row {@code j} of the raster to {@code out[at…]}. */
  public void row(float[] map, int j, float[] out, int at) {
    row(map, j, 0, left.length, out, at);
  }

  /** The same for columns {@code from} up to {@code to}; column 0 would be at {@code out[at]}. */
  public void row(float[] map, int j, int from, int to, float[] out, int at) {
    double v = (raster.fullY(j) + 0.5) * toMapY - 0.5;
    double c = Math.max(0, Math.min(mapHeight - 1, v));
    int top = (int) c;
    float fy = (float) (c - top);
    int a = top * mapWidth;
    int b = Math.min(mapHeight - 1, top + 1) * mapWidth;
    int last = Math.min(mapWidth - 1, left[to - 1] + 1);
    for (int x = left[from]; x <= last; x++) {
      line[x] = map[a + x] + (map[b + x] - map[a + x]) * fy;
    }
    line[mapWidth] = line[mapWidth - 1];
    for (int i = from; i < to; i++) {
      float l = line[left[i]];
      out[at + i] = l + (line[left[i] + 1] - l) * share[i];
    }
  }

  /** Whether a map is other than 0 anywhere that the raster reads. */
  public boolean reach(float[] map) {
    int first = mapRow(0);
    int last = Math.min(mapHeight - 1, mapRow(raster.height() - 1) + 1);
    int end = Math.min(mapWidth - 1, left[left.length - 1] + 1);
    for (int y = first; y <= last; y++) {
      for (int x = left[0]; x <= end; x++) {
        if (map[y * mapWidth + x] != 0) {
          return true;
        }
      }
    }
    return false;
  }

  private int mapRow(int j) {
    return (int) Math.max(0, Math.min(mapHeight - 1, (raster.fullY(j) + 0.5) * toMapY - 0.5));
  }
}
