package illuminar.core.analysis.cast;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.MergedLight;
import illuminar.core.analysis.window.Opening;
import illuminar.core.analysis.window.Openings;
import illuminar.core.analysis.window.Panes;
import illuminar.core.colour.Burnt;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.Stops;
import illuminar.core.filter.Ease;
import illuminar.core.filter.Gauss;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.Arrays;
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
 */
public record Casts(Plane red, Plane blue, Plane glow) {

  /** What tells a cast. */
  public enum Source {
    FLASH,
    /** The light of a frame without the lamps. */
    LIGHTS,
    SURFACES
  }

  private static final int MOST_KEPT = 12;

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
    Plane[] lean = SurfaceLean.of(analysis, anchor);
    if (source != Source.SURFACES) {
      LightLean light =
          source == Source.FLASH
              ? LightLean.flash(analysis, reference)
              : LightLean.lampless(analysis, reference);
      lean = light.of(analysis, p, Lean.lab(p), lean);
    }
    float[] shining = sources(analysis, p, source == Source.SURFACES ? LAMP_ON_WALL : LAMP);
    for (int i = 0; i < w * h; i++) {
      lean[0].data()[i] = Lean.bounded(lean[0].data()[i]) * (1 - shining[i]);
      lean[1].data()[i] = Lean.bounded(lean[1].data()[i]) * (1 - shining[i]);
    }
    LitFrames.into(lean, analysis, p);
    return new Casts(lean[0], lean[1], glow(analysis, p));
  }

  /** Stops over the middle of a room from which on cold light comes through glass or cloth. */
  private static final float THROUGH = 1.4f;

  private static final float SURELY = 2.2f;

  /** The same of any light, from which on it is that of a lamp or its shade. */
  private static final float LAMP = 1.3f;

  /** The same where surfaces tell, to which a bright wall beside a lamp is a surface too. */
  private static final float LAMP_ON_WALL = 1.8f;

  /** Stops over that from which on it surely is. */
  private static final float SURELY_LAMP = 0.8f;

  /**
   * Where light comes from, 0 to 1: daylight through sheer cloth or glass, far over the middle of
   * the room and no warmer than it; lamps, farther over it. What is seen there is no cast on a
   * surface.
   */
  private static float[] sources(Analysis analysis, Picture p, float lamp) {
    Plane light = MergedLight.luminance(analysis);
    float[] sorted = light.data().clone();
    Arrays.sort(sorted);
    float middle = Stops.of(sorted[sorted.length / 2]);
    double red = 0;
    double blue = 0;
    for (int i = 0; i < sorted.length; i++) {
      red += p.r()[i];
      blue += p.b()[i];
    }
    float room = Lean.of((float) red, (float) blue);
    float[] out = new float[sorted.length];
    for (int i = 0; i < out.length; i++) {
      float over = Stops.of(light.data()[i]) - middle;
      float warmer = Lean.of(p.r()[i], p.b()[i]) - room;
      float cold =
          Ease.between((over - THROUGH) / (SURELY - THROUGH))
              * Ease.between((0.5f - warmer) / 0.4f);
      out[i] = Math.max(cold, Ease.between((over - lamp) / SURELY_LAMP));
    }
    return out;
  }

  /** Lightness at which casts are shown. */
  private static final double SHOWN = 68;

  /** A pixel's cast as a colour of one lightness, twice as strong as it is: 0xRRGGBB. */
  public int shown(int i) {
    double[] work =
        Space.SRGB_TO_WORK.apply(Stops.light(red.data()[i]), 1, Stops.light(blue.data()[i]));
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

  private static Plane glow(Analysis analysis, Picture p) {
    Plane burnt = Plane.of(p.width(), p.height());
    float[] windows = windows(analysis, analysis.raster());
    for (int i = 0; i < burnt.data().length; i++) {
      burnt.data()[i] = p.mostAt(i) > Burnt.IN_FILE ? 1 - windows[i] : 0;
    }
    Plane wide = Gauss.smooth(burnt, 0.03 * Math.max(p.width(), p.height()));
    for (int i = 0; i < wide.data().length; i++) {
      wide.data()[i] = Math.min(1, 12 * wide.data()[i]);
    }
    return wide;
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
