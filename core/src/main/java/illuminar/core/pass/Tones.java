package illuminar.core.pass;

import java.util.Arrays;

/**
 * What passes that only brighten and darken work on, row by row.
 *
 * @param stops present tone of each pixel in stops below white
 * @param gain what has been added so far, in stops
 */
public record Tones(float[] stops, float[] gain) {
  /** Of no pixels. */
  public static final Tones NONE = new Tones(new float[0], new float[0]);

  /**
   * Adds gains to a row of a tile, as far as its region, gate and strength let them.
   *
   * @param gain of the row's columns that the region reaches; modified
   * @param j row of the tile
   * @param at index of the row's first pixel in {@link #stops}
   */
  public void add(float[] gain, Tile tile, int j, int at) {
    int from = tile.region().from(j);
    int to = tile.region().to(j);
    float[] share = tile.region().values();
    int first = tile.region().row(j);
    for (int x = from; x < to; x++) {
      gain[x] *= share[first + x] * tile.strength();
    }
    if (from < to && !tile.gate().all()) {
      tile.gate().limit(stops, at, from, to, gain);
    }
    for (int x = from; x < to; x++) {
      stops[at + x] += gain[x];
      this.gain[at + x] += gain[x];
    }
  }

  /** Of so many black pixels to which nothing was added. */
  public static Tones of(int pixels) {
    return new Tones(new float[pixels], new float[pixels]);
  }

  /** A copy that shares no array. */
  public Tones copy() {
    return new Tones(Arrays.copyOf(stops, stops.length), Arrays.copyOf(gain, gain.length));
  }
}
