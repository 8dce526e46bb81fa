package illuminar.core.pass;

import illuminar.core.colour.Stops;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.region.Coverage;
import java.util.function.Function;
import java.util.function.IntConsumer;

/**
 * Where and how strongly a pass works.
 *
 * @param raster which pixels these are
 * @param region the region's share at each pixel, already turned round where outside is meant
 * @param gate which tones underneath the pass may change
 * @param strength 0 to 1
 * @param frames draws a frame at these pixels, display-linear with sRGB primaries
 * @param below the picture below a pass that reads it far from here, at any raster; not to be
 *     modified
 */
public record Tile(
    Raster raster,
    Coverage region,
    Gate gate,
    float strength,
    Function<String, Picture> frames,
    Function<Raster, Picture> below) {

  /** Of a pass that reads nothing but these pixels. */
  public Tile(
      Raster raster, Coverage region, Gate gate, float strength, Function<String, Picture> frames) {
    this(raster, region, gate, strength, frames, Tile::nothing);
  }

  private static Picture nothing(Raster raster) {
    throw new IllegalStateException("a pass that reads far says so: " + raster);
  }

  /** How strongly the pass works on a pixel by its strength and gate, its region apart. */
  public float amount(Picture below, int i) {
    return gate.all() ? strength : strength * gate.open(Stops.of(below.luminanceAt(i)));
  }

  /** Whether the region reaches none of these pixels. */
  public boolean empty() {
    int[] box = region.box();
    return box[0] >= box[2];
  }

  /** Works on a pixel. */
  public interface Pixel {
    /**
     * @param i index of the pixel in the tile
     * @param amount how strongly the pass works there, above 0
     */
    void at(int i, float amount);
  }

  /** Goes through all pixels that the pass may change, row by row; a pixel's tone is read first. */
  public void each(Picture below, Pixel work) {
    each(below, row -> {}, work);
  }

  /**
   * The same for passes that read maps row by row.
   *
   * @param row told each row that is reached, before its pixels
   */
  public void each(Picture below, IntConsumer row, Pixel work) {
    float[] share = region.values();
    for (int j = 0; j < raster.height(); j++) {
      int first = region.row(j);
      if (region.from(j) < region.to(j)) {
        row.accept(j);
      }
      for (int x = region.from(j); x < region.to(j); x++) {
        float m = share[first + x];
        if (m > 0) {
          int i = j * raster.width() + x;
          m *= amount(below, i);
          if (m > 0) {
            work.at(i, m);
          }
        }
      }
    }
  }

  /** Works on a row of pixels. */
  public interface Row {
    /**
     * @param j row of the tile
     * @param from first column that the region reaches; {@code to} the first that it does not
     * @param amount how strongly the pass works on each column, 0 to 1; may be modified
     */
    void at(int j, int from, int to, float[] amount);
  }

  /** Goes through all rows that the pass may change, for passes that work on whole rows at once. */
  public void rows(Picture below, Row work) {
    float[] share = region.values();
    float[] amount = new float[raster.width()];
    float[] stops = new float[raster.width()];
    for (int j = 0; j < raster.height(); j++) {
      int from = region.from(j);
      int to = region.to(j);
      if (from >= to) {
        continue;
      }
      int first = region.row(j);
      for (int x = from; x < to; x++) {
        amount[x] = share[first + x] * strength;
      }
      if (!gate.all()) {
        below.stops(j * raster.width() + from, to - from, stops, from);
        gate.limit(stops, 0, from, to, amount);
      }
      work.at(j, from, to, amount);
    }
  }

  /** How strongly the pass works on each pixel, 0 to 1; for passes that change pixels by others. */
  public float[] amounts(Picture below) {
    float[] all = new float[raster.pixels()];
    rows(
        below,
        (j, from, to, amount) ->
            System.arraycopy(amount, from, all, j * raster.width() + from, to - from));
    return all;
  }
}
