package illuminar.core.pass.work;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.colour.WhiteShift;
import illuminar.core.filter.Guided;
import illuminar.core.frame.Curve;
import illuminar.core.frame.Response;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;

/**
 * One frame developed for itself. It is turned into light by the camera's response, exposed anew,
 * given another white, and rendered again by the same response; contrast, highlights and shadows
 * bend its tones by {@link TonalGain}; saturation scales colours about their luminance.
 *
 * @param exposed per channel, from the frame's display values to those at the new exposure
 * @param toWork sRGB primaries to BT.2020, in the frame's own white
 * @param base of the frame's own tones as exposed; any where highlights and shadows are 0
 */
public record DevelopedFrame(
    Curve[] exposed,
    float[] toWork,
    Settings settings,
    Guided base,
    int fullWidth,
    int fullHeight) {

  /**
   * How a frame is developed beside its exposure.
   *
   * @param warmer mired along the Planckian locus
   * @param tint green to magenta, −100 to 100
   * @param highlights −100 to 100, as shadows and contrast are
   * @param saturation factor, 1 leaves it
   */
  public record Settings(
      double warmer,
      double tint,
      double highlights,
      double shadows,
      double contrast,
      double saturation) {

    private boolean byPlace() {
      return highlights != 0 || shadows != 0;
    }
  }

  /**
   * Finds the base of the frame's own tones where it is needed.
   *
   * @param frame id of the frame
   * @param gain factor on its light
   */
  public static DevelopedFrame of(Analysis analysis, String frame, double gain, Settings settings) {
    Response response = analysis.frames().response();
    Curve[] exposed = new Curve[3];
    for (int c = 0; c < 3; c++) {
      exposed[c] = response.exposed(c, (float) gain);
    }
    return new DevelopedFrame(
        exposed,
        Space.SRGB_TO_WORK.after(WhiteShift.srgb(settings.warmer, settings.tint)).floats(),
        settings,
        settings.byPlace()
            ? base(analysis.draw(frame, analysis.small()), exposed)
            : TonalGain.NO_BASE,
        analysis.fullWidth(),
        analysis.fullHeight());
  }

  private static Guided base(Picture small, Curve[] exposed) {
    Plane stops = Plane.of(small.width(), small.height());
    for (int i = 0; i < stops.data().length; i++) {
      stops.data()[i] =
          Stops.of(
              Space.srgbLuminance(
                  exposed[0].at(small.r()[i]),
                  exposed[1].at(small.g()[i]),
                  exposed[2].at(small.b()[i])));
    }
    return TonalGain.base(stops);
  }

  /** Reads one raster row by row; for one thread. */
  public Rows rows(Raster raster) {
    return new Rows(this, raster);
  }

  /** A reader of one raster. */
  public static final class Rows {
    private final DevelopedFrame frame;
    private final Guided.Rows base;
    private final float saturation;
    private final boolean bent;
    private final int width;

    private Rows(DevelopedFrame frame, Raster raster) {
      Settings s = frame.settings;
      this.frame = frame;
      width = raster.width();
      base = s.byPlace() ? frame.base.rows(frame.fullWidth, frame.fullHeight, raster) : null;
      saturation = (float) s.saturation;
      bent = base != null || s.contrast != 0;
    }

    /** Goes to a row. */
    public void to(int row) {
      if (base != null) {
        base.to(row);
      }
    }

    /**
     * A pixel of the row as developed.
     *
     * @param camera the frame's pixels, display-linear with sRGB primaries
     * @param i index of the pixel in the raster
     * @param out linear BT.2020
     */
    public void at(Picture camera, int i, float[] out) {
      Matrix3.apply(
          frame.toWork,
          frame.exposed[0].at(camera.r()[i]),
          frame.exposed[1].at(camera.g()[i]),
          frame.exposed[2].at(camera.b()[i]),
          out);
      if (!bent && saturation == 1) {
        return;
      }
      float y = Space.luminance(out[0], out[1], out[2]);
      float gain = 1;
      if (bent) {
        float stops = Stops.of(y);
        float around = base == null ? stops : base.at(i % width, stops);
        Settings s = frame.settings;
        gain =
            Stops.light(
                TonalGain.bend(stops, (float) s.contrast)
                    + TonalGain.lift(around, (float) s.highlights, (float) s.shadows));
      }
      for (int c = 0; c < 3; c++) {
        out[c] = (y + (out[c] - y) * saturation) * gain;
      }
    }
  }
}
