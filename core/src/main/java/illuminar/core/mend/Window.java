package illuminar.core.mend;

import illuminar.core.colour.Stops;
import illuminar.core.picture.FloodFill;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A part of the picture in which holes are mended, with what lies about them.
 *
 * @param raster where it lies
 * @param tones red, green and blue in stops
 * @param hole which of its pixels are to be mended
 */
public record Window(Raster raster, float[][] tones, boolean[] hole) {
  /** Share of a pixel from which on it belongs to a hole. */
  private static final float SHARE = 1f / 512;

  /**
   * @param picture linear BT.2020, at the raster
   * @param share of each pixel that is to be mended
   */
  public static Window of(Raster raster, Picture picture, float[] share) {
    float[][] tones = new float[3][raster.pixels()];
    boolean[] hole = new boolean[raster.pixels()];
    for (int i = 0; i < hole.length; i++) {
      for (int c = 0; c < 3; c++) {
        tones[c][i] = Stops.of(picture.channel(c)[i]);
      }
      hole[i] = share[i] > SHARE;
    }
    return new Window(raster, tones, hole);
  }

  public int width() {
    return raster.width();
  }

  public int height() {
    return raster.height();
  }

  /** The holes, each connected in itself. */
  public List<Hole> holes() {
    boolean[] seen = new boolean[hole.length];
    List<Hole> holes = new ArrayList<>();
    for (int i = 0; i < hole.length; i++) {
      if (hole[i] && !seen[i]) {
        int[] pixels = FloodFill.of(i, width(), height(), true, seen, (from, to) -> hole[to]);
        Arrays.sort(pixels);
        holes.add(Hole.of(pixels, width()));
      }
    }
    return holes;
  }
}
