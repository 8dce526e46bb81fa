package illuminar.core.analysis.cast;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.filter.Box;
import illuminar.core.filter.Ease;
import illuminar.core.filter.Gauss;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.Arrays;

/**
 * How much grain a surface shows, in stops: the median distance of the tones about a place from the
 * smooth surface, of the second order, that fits them best. Paint is smooth, whatever light falls
 * on it; boards, stone and cloth are not, and what is warm about them is their own. Our own rule,
 * no source.
 */
final class Grain {
  /** Stops up to which a surface is smooth as paint is, and from which on it is not paint. */
  private static final float PAINT = 0.01f;

  private static final float GRAINY = 0.022f;

  /** Pixels to each side of a place that are looked at. */
  private static final int REACH = 2;

  /** Grain over this is an edge, and tells nothing more. */
  private static final float MOST = 0.05f;

  private static final float DARK = 1e-3f;

  /**
   * Long edge of the grid on which boards and cloth are looked for: strips of wall may be narrow.
   */
  private static final int LONG_EDGE = 640;

  /** Pixels of that grid about a place, and share of paint there below which it is grainy. */
  private static final int ABOUT = 6;

  private static final float LEAST_PAINT = 0.25f;

  /** Share of the picture from which on grainy places are no edges of other things. */
  private static final double LARGE = 0.03;

  private static final float[][] SHAPES = shapes();

  private Grain() {}

  /** How much each place of a small picture looks like paint, 0 to 1. */
  static float[] paint(Picture p) {
    int w = p.width();
    int h = p.height();
    float[] tones = new float[w * h];
    for (int i = 0; i < tones.length; i++) {
      tones[i] = Stops.of(Math.max(DARK, Space.srgbLuminance(p.r()[i], p.g()[i], p.b()[i])));
    }
    Plane grain = Plane.of(w, h);
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        grain.data()[y * w + x] = Math.min(MOST, at(tones, w, h, x, y));
      }
    }
    float[] out = Gauss.smooth(grain, REACH).data();
    for (int i = 0; i < out.length; i++) {
      out[i] = Ease.between((GRAINY - out[i]) / (GRAINY - PAINT));
    }
    return out;
  }

  /** What is grainy all about, as boards and cloth are, on the analysis grid. */
  static boolean[] about(Analysis analysis, String frame) {
    Raster grid = Raster.fitted(analysis.fullWidth(), analysis.fullHeight(), LONG_EDGE);
    Plane paint = new Plane(grid.width(), grid.height(), paint(analysis.draw(frame, grid)));
    float[] about = Box.mean(paint, ABOUT).data();
    Plane grainy = Plane.of(grid.width(), grid.height());
    for (int i = 0; i < about.length; i++) {
      grainy.data()[i] = about[i] < LEAST_PAINT ? 1 : 0;
    }
    Parts.takeOut(grainy, (from, to) -> true, part -> part.length < LARGE * about.length);
    float[] large =
        MapRows.enlarged(grainy, analysis.fullWidth(), analysis.fullHeight(), analysis.raster())
            .data();
    boolean[] out = new boolean[large.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = large[i] > 0.5f;
    }
    return out;
  }

  private static float at(float[] tones, int w, int h, int x, int y) {
    int side = 2 * REACH + 1;
    float[] here = new float[side * side];
    for (int k = 0; k < here.length; k++) {
      int cx = Math.max(0, Math.min(w - 1, x + k % side - REACH));
      int cy = Math.max(0, Math.min(h - 1, y + k / side - REACH));
      here[k] = tones[cy * w + cx];
    }
    for (float[] shape : SHAPES) {
      float amount = 0;
      for (int k = 0; k < here.length; k++) {
        amount += shape[k] * here[k];
      }
      for (int k = 0; k < here.length; k++) {
        here[k] -= amount * shape[k];
      }
    }
    for (int k = 0; k < here.length; k++) {
      here[k] = Math.abs(here[k]);
    }
    Arrays.sort(here);
    return here[here.length / 2];
  }

  /** Level, slopes and bends of light on a square of places, each of unit length. */
  private static float[][] shapes() {
    int side = 2 * REACH + 1;
    double bend = REACH * (REACH + 1) / 3.0;
    float[][] out = new float[6][side * side];
    for (int k = 0; k < side * side; k++) {
      double u = k % side - REACH;
      double v = (double) (k / side) - REACH;
      double[] at = {1, u, v, u * u - bend, v * v - bend, u * v};
      for (int n = 0; n < at.length; n++) {
        out[n][k] = (float) at[n];
      }
    }
    for (float[] shape : out) {
      double sum = 0;
      for (float v : shape) {
        sum += v * v;
      }
      for (int k = 0; k < shape.length; k++) {
        shape[k] /= (float) Math.sqrt(sum);
      }
    }
    return out;
  }
}
