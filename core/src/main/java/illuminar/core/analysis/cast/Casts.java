package illuminar.core.analysis.cast;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.window.Opening;
import illuminar.core.analysis.window.Openings;
import illuminar.core.analysis.window.Panes;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.Stops;
import illuminar.core.filter.Ease;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.List;

/**
 * How far, and in which direction, the light on each surface of the anchor frame leans from
 * neutral: log2 of red over green and of blue over green, display-linear with sRGB primaries, on
 * the analysis grid.
 *
 * <p>With a flash frame, the light that only it has is the reference: one white source shows every
 * surface's own colour, so what the anchor frame shows otherwise is cast (Eisemann and Durand 2004;
 * Hui, Sankaranarayanan, Hadap, "White balance under mixed illumination using flash photography",
 * 2016). A frame without the lamps is one in the same way, as far as its own light reaches: paint
 * cancels out, and what the lamps add to it is cast. Without either, surfaces that are nearly
 * neutral tell the light about them. All are smoothed along the edges of the frame and carried on
 * to where nothing is known.
 *
 * @param red log2 of red over green
 * @param blue log2 of blue over green
 * @param glow how near each pixel is to a burnt lamp, 0 to 1
 * @param share how much of what each pixel leans by is a cast, 0 to 1: less where light comes from,
 *     and where nothing tells whether it is the light or the thing that is coloured
 */
public record Casts(Plane red, Plane blue, Plane glow, Plane share) {

  /** What tells a cast. */
  public enum Source {
    FLASH,
    /** The light of a frame without the lamps. */
    LIGHTS,
    SURFACES
  }

  private static final int MOST_KEPT = 12;

  /** Distance in log2 from the local light's colour up to which a thing may be grey. */
  private static final float GREY = 0.15f;

  /** The same from which on it surely is coloured. */
  private static final float COLOURED = 0.36f;

  /**
   * How much a thing looks like a grey in the light about it, 0 to 1.
   *
   * @param away distance of its lean from the light's, log2
   */
  public static float grey(float away) {
    return Ease.between((COLOURED - away) * (1 / (COLOURED - GREY)));
  }

  /**
   * The casts of the anchor frame; kept.
   *
   * @param reference id of the flash frame, or of the one without the lamps; empty for {@link
   *     Source#SURFACES}
   * @throws IllegalArgumentException if it is not there or no such frame, or nothing was taken at a
   *     flash frame's settings
   */
  public static Casts of(Analysis analysis, Source source, String reference) {
    return analysis.keepLong(
        Casts.class,
        List.of(source, reference),
        MOST_KEPT,
        () -> found(analysis, source, reference));
  }

  private static Casts found(Analysis analysis, Source source, String reference) {
    String anchor = analysis.frames().anchor();
    Picture p = analysis.draw(anchor, analysis.raster());
    int w = p.width();
    int h = p.height();
    Surfaces surfaces = SurfaceLean.of(analysis, anchor);
    Plane[] lean = {surfaces.red(), surfaces.blue(), Plane.filled(w, h, 1)};
    if (source != Source.SURFACES) {
      LightLean light =
          source == Source.FLASH
              ? LightLean.flash(analysis, reference)
              : LightLean.lampless(analysis, reference);
      lean = light.of(analysis, p, Lean.lab(p), lean);
    }
    OwnLean own = OwnLean.of(analysis, anchor, analysis.raster());
    float[] shining = LightSources.of(analysis, own, surfaces.share());
    for (int i = 0; i < w * h; i++) {
      lean[0].data()[i] = Lean.bounded(lean[0].data()[i]);
      lean[1].data()[i] = Lean.bounded(lean[1].data()[i]);
      lean[2].data()[i] *= 1 - shining[i];
    }
    LitFrames.into(lean, analysis, p);
    return new Casts(lean[0], lean[1], LightSources.glow(analysis, p), lean[2]);
  }

  /** Lightness at which casts are shown. */
  private static final double SHOWN = 68;

  /** A pixel's cast as a colour of one lightness, twice as strong as it is: 0xRRGGBB. */
  public int shown(int i) {
    double[] work =
        Space.SRGB_TO_WORK.apply(
            Stops.light(share.data()[i] * red.data()[i]),
            1,
            Stops.light(share.data()[i] * blue.data()[i]));
    double y = Space.luminance((float) work[0], (float) work[1], (float) work[2]);
    Lab lean = Lab.ofWork(0.4 * work[0] / y, 0.4 * work[1] / y, 0.4 * work[2] / y);
    double[] out = new Lab(SHOWN, 2 * lean.a(), 2 * lean.b()).work();
    double[] rgb = Space.WORK_TO_SRGB.apply(out[0], out[1], out[2]);
    int packed = 0;
    for (double v : rgb) {
      packed = packed << 8 | (int) Math.round(255 * Srgb.encode(Math.max(0, Math.min(1, v))));
    }
    return packed;
  }

  /** Share of the long edge about a window's glass in which its frame and reveals lie. */
  private static final double FRAMES = 0.02;

  /**
   * Windows with their frames and reveals, which the view lights, 0 to 1; burnt panes where no
   * window is found whole.
   */
  static float[] windows(Analysis analysis, Raster raster) {
    List<Opening> openings = Openings.of(analysis);
    if (openings.isEmpty()) {
      return Panes.of(analysis).draw(raster);
    }
    double toGrid = (double) analysis.raster().width() / raster.width();
    double beside = FRAMES * Math.max(analysis.raster().width(), analysis.raster().height());
    float[] out = new float[raster.pixels()];
    for (int i = 0; i < out.length; i++) {
      double x = (i % raster.width() + 0.5) * toGrid;
      double y = (i / raster.width() + 0.5) * toGrid;
      out[i] = Openings.depth(openings, x, y) > -beside ? 1 : 0;
    }
    return out;
  }
}
