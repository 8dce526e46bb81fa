package illuminar.core.ground;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.WorkingSpace;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.function.Function;

/** Grounds of several frames made ready on the analysis grid, and kept there. */
public final class Grounds {
  /** Grounds that are kept of a view. */
  static final int MOST = 4;

  private Grounds() {}

  /** An even blend made ready; kept. */
  public static EvenBlendWork of(Ground.EvenBlend blend, Analysis analysis) {
    return analysis.keep(
        EvenBlendWork.class, blend, MOST, () -> new EvenBlendWork(blend, analysis));
  }

  /** A radiance merge made ready; what it stands on is kept. */
  public static RadianceMergeWork of(Ground.RadianceMerge merge, Analysis analysis) {
    return new RadianceMergeWork(merge, analysis);
  }

  /**
   * A ground at a raster, linear BT.2020; a new picture.
   *
   * @param frames draws a frame at the raster, display-linear with sRGB primaries
   */
  public static Picture draw(
      Ground ground, Analysis analysis, Raster raster, Function<String, Picture> frames) {
    if (ground instanceof Ground.OneFrame one) {
      Picture p = frames.apply(one.frame()).copy();
      WorkingSpace.fromSrgb(p.planes());
      return p;
    }
    return of(ground, analysis).draw(raster, frames);
  }

  /**
   * A ground of several frames made ready; kept.
   *
   * @throws IllegalArgumentException for a ground of one frame, which needs nothing made ready
   */
  public static GroundWork of(Ground ground, Analysis analysis) {
    if (ground instanceof Ground.EvenBlend blend) {
      return of(blend, analysis);
    }
    if (ground instanceof Ground.RadianceMerge merge) {
      return of(merge, analysis);
    }
    throw new IllegalArgumentException("one frame needs nothing made ready");
  }
}
