package illuminar.core.mend;

import illuminar.core.colour.Stops;
import illuminar.core.picture.FloodFill;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * A part of the picture in which holes are mended, with what lies about them.
 *
 * @param raster where it lies
 * @param tones red, green and blue in stops, the darkest of them alike
 * @param hole which of its pixels are to be mended
 */
public record Window(Raster raster, float[][] tones, boolean[] hole) {
  /** Light that is added, so that what is nearly black is nearly alike. */
  private static final float DARK = 1f / 200;

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
        tones[c][i] = Stops.of(Math.max(0, picture.channel(c)[i]) + DARK);
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

  /** Bilinear sample of one channel's tones; beyond the window its edge. */
  float tone(int channel, double x, double y) {
    return new Plane(width(), height(), tones[channel]).sample((float) x, (float) y);
  }

  /** What of it lies so near about a hole. */
  public Window about(Hole at, int near) {
    int x0 = Math.max(0, at.left() - near);
    int y0 = Math.max(0, at.top() - near);
    int w = Math.min(width(), at.right() + near) - x0;
    int h = Math.min(height(), at.end() + near) - y0;
    float[][] tone = new float[3][w * h];
    boolean[] in = new boolean[w * h];
    for (int y = 0; y < h; y++) {
      int from = (y0 + y) * width() + x0;
      System.arraycopy(hole, from, in, y * w, w);
      for (int c = 0; c < 3; c++) {
        System.arraycopy(tones[c], from, tone[c], y * w, w);
      }
    }
    return new Window(raster.part(x0, y0, w, h), tone, in);
  }

  /** Its pixels two by two; one that has any of a hole is in it. */
  Window halved() {
    int w = (width() + 1) / 2;
    int h = (height() + 1) / 2;
    float[][] means = new float[3][w * h];
    boolean[] in = new boolean[w * h];
    for (int i = 0; i < in.length; i++) {
      int x1 = Math.min(width(), 2 * (i % w) + 2);
      int y1 = Math.min(height(), 2 * (i / w) + 2);
      int n = 0;
      for (int y = 2 * (i / w); y < y1; y++) {
        for (int x = 2 * (i % w); x < x1; x++, n++) {
          in[i] |= hole[y * width() + x];
          for (int c = 0; c < 3; c++) {
            means[c][i] += tones[c][y * width() + x];
          }
        }
      }
      for (int c = 0; c < 3; c++) {
        means[c][i] /= n;
      }
    }
    return new Window(
        new Raster(raster.scale() / 2, raster.x() / 2, raster.y() / 2, w, h), means, in);
  }

  /** Whether a way leads from a pixel to one of the window that is in no hole. */
  boolean known(int i, int dx, int dy) {
    int x = i % width() + dx;
    int y = i / width() + dy;
    return x >= 0 && y >= 0 && x < width() && y < height() && !hole[y * width() + x];
  }

  /** The holes, each connected in itself. */
  public List<Hole> holes() {
    List<Hole> holes = new ArrayList<>();
    for (int[] pixels : FloodFill.all(width(), height(), true, i -> hole[i])) {
      Arrays.sort(pixels);
      holes.add(Hole.of(pixels, width()));
    }
    return holes;
  }
}
