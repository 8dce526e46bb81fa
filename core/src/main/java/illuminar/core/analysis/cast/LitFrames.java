package illuminar.core.analysis.cast;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.MergedLight;
import illuminar.core.analysis.window.Opening;
import illuminar.core.analysis.window.Openings;
import illuminar.core.colour.Burnt;
import illuminar.core.colour.Stops;
import illuminar.core.filter.Ease;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.Arrays;
import java.util.List;

/**
 * The frames, reveals and sills of windows: white paint that stands in the light from outside,
 * bluer than the room's and brighter. The light on the wall beside is no guide for them; their own
 * colour is. What of a window's surroundings is nearer to the colour of the wall's light keeps that
 * light. Our own rules, no source.
 */
final class LitFrames {
  /** How far about the glass frames and reveals reach, as a share of the grid's long edge. */
  private static final double REACH = 0.045;

  /** Pixels inside of the glass up to which a frame may reach. */
  private static final double WITHIN = 4;

  /** Stops over the wall from which on light from outside falls on a place, and surely does. */
  private static final float LIT = 0.3f;

  private static final float SURELY = 0.8f;

  /** How much bluer than the light about it a place must be, log2 of blue over green. */
  private static final float BLUER = 0.06f;

  /** Lean to green or magenta of white paint in the light from outside at most, log2. */
  private static final float TINTED = 0.3f;

  /** How far a place may lean from its window's light, log2. */
  private static final float NEAR = 0.2f;

  /** Over which difference of distances one light gives way to the other. */
  private static final float SOFT = 0.2f;

  /** Places that tell the light of a window, as a share of the grid's long edge. */
  private static final double ENOUGH = 0.03;

  private final Raster grid;
  private final Plane light;
  private final Plane[] own;
  private final Plane[] lean;
  private final int longEdge;

  private LitFrames(Analysis analysis, Picture anchor, Plane[] lean) {
    grid = analysis.raster();
    light = MergedLight.luminance(analysis);
    own = own(analysis, anchor);
    this.lean = lean;
    longEdge = Math.max(grid.width(), grid.height());
  }

  /**
   * Puts the light from outside where it falls on windows' frames.
   *
   * @param anchor the anchor frame on the analysis grid
   * @param lean red and blue lean of the room's light there, and how much of it is cast; modified
   */
  static void into(Plane[] lean, Analysis analysis, Picture anchor) {
    List<Opening> openings = Openings.of(analysis);
    if (!openings.isEmpty()) {
      LitFrames frames = new LitFrames(analysis, anchor, lean);
      openings.forEach(frames::about);
    }
  }

  /** Each pixel's own lean: in the anchor, or where that burns in the light of all frames. */
  private static Plane[] own(Analysis analysis, Picture anchor) {
    Raster grid = analysis.raster();
    Picture merged = MergedLight.of(analysis).draw(grid, id -> analysis.draw(id, grid));
    Plane red = Plane.of(grid.width(), grid.height());
    Plane blue = Plane.of(grid.width(), grid.height());
    for (int i = 0; i < red.data().length; i++) {
      Picture p = anchor.mostAt(i) > Burnt.NO_COLOUR ? merged : anchor;
      red.data()[i] = Lean.bounded(Lean.of(p.r()[i], p.g()[i]));
      blue.data()[i] = Lean.bounded(Lean.of(p.b()[i], p.g()[i]));
    }
    return new Plane[] {red, blue};
  }

  private void about(Opening opening) {
    int w = grid.width();
    float[] red = new float[grid.pixels()];
    float[] blue = new float[grid.pixels()];
    int n = 0;
    for (int i = 0; i < red.length; i++) {
      double depth = opening.depth(i % w + 0.5, i / w + 0.5);
      if (depth < 0 && depth > -REACH * longEdge && tells(i, opening)) {
        red[n] = own[0].data()[i];
        blue[n++] = own[1].data()[i];
      }
    }
    if (n < ENOUGH * longEdge) {
      return;
    }
    Arrays.sort(red, 0, n);
    Arrays.sort(blue, 0, n);
    put(opening, red[n / 2], blue[n / 2]);
  }

  private boolean tells(int i, Opening opening) {
    float u = own[0].data()[i];
    float v = own[1].data()[i];
    return over(i, opening) > SURELY
        && v > lean[1].data()[i] + BLUER
        && Math.abs(CommonWhite.tint(u, v)) < TINTED;
  }

  /** Stops over the wall that the window stands in. */
  private float over(int i, Opening opening) {
    return Stops.of(light.data()[i]) - Stops.of(opening.wall());
  }

  private void put(Opening opening, float red, float blue) {
    int w = grid.width();
    double reach = REACH * longEdge;
    for (int i = 0; i < grid.pixels(); i++) {
      double depth = opening.depth(i % w + 0.5, i / w + 0.5);
      if (depth > -reach && depth < WITHIN) {
        float u = own[0].data()[i];
        float v = own[1].data()[i];
        float room = apart(u, v, lean[0].data()[i], lean[1].data()[i]);
        float share =
            Ease.between((room - apart(u, v, red, blue)) / SOFT + 0.5f)
                * Ease.between((over(i, opening) - LIT) / (SURELY - LIT))
                * Ease.between((float) ((reach + depth) / (0.2 * reach)));
        lean[0].data()[i] += share * (near(u, red) - lean[0].data()[i]);
        lean[1].data()[i] += share * (near(v, blue) - lean[1].data()[i]);
        lean[2].data()[i] += share * (1 - lean[2].data()[i]);
      }
    }
  }

  private static float near(float own, float light) {
    return Math.max(light - NEAR, Math.min(light + NEAR, own));
  }

  private static float apart(float u, float v, float red, float blue) {
    return (float) Math.hypot(u - red, v - blue);
  }
}
