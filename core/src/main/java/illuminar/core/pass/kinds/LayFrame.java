package illuminar.core.pass.kinds;

import illuminar.core.colour.Blend;
import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.Stops;
import illuminar.core.colour.WhiteShift;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Guided;
import illuminar.core.frame.Curve;
import illuminar.core.frame.Response;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.pass.work.TonalGain;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;

/**
 * Lays a frame over the picture, developed on its own and joined by a blend mode.
 *
 * <p>The frame is turned into light by the response, exposed anew, given another white, and
 * rendered again; contrast, highlights and shadows bend its tones as {@link Tone} does; saturation
 * scales colours about their luminance. Blend modes: W3C, by {@link Blend}.
 *
 * @param frame id of the frame
 */
@Kind(
    id = "lay-frame",
    name = "Lay a frame over",
    stage = Stage.LIGHTS,
    help = "A place taken from another frame, developed for itself; needs a place",
    sentence = "Lay {frame} over {region} as {mode}",
    says = {
      "{exposure:brighter|darker}",
      "{warmer:warmer|cooler}",
      "{tint:towards magenta|towards green}",
      "highlights {highlights:higher|lower}",
      "shadows {shadows:higher|lower}",
      "contrast {contrast:higher|lower}",
      "{saturation:more|less} saturated"
    },
    asksRegion = true)
public record LayFrame(
    String frame,
    Blend mode,
    @Control(label = "Exposure", unit = "st", from = -5, to = 5, step = 0.05, defaultValue = 0)
        double exposure,
    @Control(
            label = "Warmer",
            unit = "mired",
            from = -100,
            to = 100,
            step = 1,
            defaultValue = 0,
            help = "The frame's white along the Planckian locus")
        double warmer,
    @Control(
            label = "Tint",
            unit = "",
            from = -100,
            to = 100,
            step = 1,
            defaultValue = 0,
            help = "Green to magenta")
        double tint,
    @Control(label = "Highlights", unit = "", from = -100, to = 100, step = 1, defaultValue = 0)
        double highlights,
    @Control(label = "Shadows", unit = "", from = -100, to = 100, step = 1, defaultValue = 0)
        double shadows,
    @Control(label = "Contrast", unit = "", from = -100, to = 100, step = 1, defaultValue = 0)
        double contrast,
    @Control(label = "Saturation", unit = "%", from = 0, to = 2, step = 0.01, defaultValue = 1)
        double saturation)
    implements Move {

  public LayFrame {
    Numbers.check(LayFrame.class, "exposure", exposure);
    Numbers.check(LayFrame.class, "warmer", warmer);
    Numbers.check(LayFrame.class, "tint", tint);
    Numbers.check(LayFrame.class, "highlights", highlights);
    Numbers.check(LayFrame.class, "shadows", shadows);
    Numbers.check(LayFrame.class, "contrast", contrast);
    Numbers.check(LayFrame.class, "saturation", saturation);
  }

  /** Finds the base of the frame's own tones. */
  @Override
  public PreparedPass prepare(PassInput below) {
    Response response = below.analysis().frames().response();
    Curve[] exposed = new Curve[3];
    for (int c = 0; c < 3; c++) {
      exposed[c] = response.exposed(c, (float) Math.pow(2, exposure));
    }
    Tone tone = new Tone(0, contrast, highlights, shadows);
    Matrix3 toWork = Space.SRGB_TO_WORK.after(WhiteShift.srgb(warmer, tint));
    Guided base = TonalGain.NO_BASE;
    if (highlights != 0 || shadows != 0) {
      Picture small = below.analysis().draw(frame, below.analysis().small());
      Plane stops = Plane.of(small.width(), small.height());
      for (int i = 0; i < stops.data().length; i++) {
        stops.data()[i] =
            Stops.of(
                Space.srgbLuminance(
                    exposed[0].at(small.r()[i]),
                    exposed[1].at(small.g()[i]),
                    exposed[2].at(small.b()[i])));
      }
      base = TonalGain.base(stops);
    }
    return new Work(
        this,
        exposed,
        toWork.floats(),
        tone,
        base,
        below.analysis().fullWidth(),
        below.analysis().fullHeight());
  }

  private record Work(
      LayFrame lay,
      Curve[] exposed,
      float[] toWork,
      Tone tone,
      Guided base,
      int fullWidth,
      int fullHeight)
      implements PreparedPass.OnLight {

    private static final float[] TO_SRGB = Space.WORK_TO_SRGB.floats();
    private static final float[] FROM_SRGB = Space.SRGB_TO_WORK.floats();

    @Override
    public void apply(Tile tile, Picture below) {
      int[] box = tile.region().box();
      if (box[0] >= box[2]) {
        return;
      }
      Picture camera = tile.frames().apply(lay.frame);
      Raster raster = tile.raster();
      boolean byPlace = lay.highlights != 0 || lay.shadows != 0;
      MapRows[] maps =
          byPlace
              ? MapRows.of(fullWidth, fullHeight, raster, base.slope(), base.offset())
              : new MapRows[0];
      float[] slope = new float[raster.width()];
      float[] offset = new float[raster.width()];
      float[] share = tile.region().values();
      float[] colour = new float[3];
      float[] under = new float[3];
      for (int j = box[1]; j < box[3]; j++) {
        if (byPlace) {
          maps[0].row(j, slope, 0);
          maps[1].row(j, offset, 0);
        }
        int first = tile.region().row(j);
        for (int x = tile.region().from(j); x < tile.region().to(j); x++) {
          int i = j * raster.width() + x;
          float m = share[first + x];
          if (m <= 0) {
            continue;
          }
          m *= tile.amount(below, i);
          develop(camera, i, slope[x], offset[x], byPlace, colour);
          if (lay.mode != Blend.NORMAL) {
            blended(below, i, colour, under);
          }
          below.r()[i] += (colour[0] - below.r()[i]) * m;
          below.g()[i] += (colour[1] - below.g()[i]) * m;
          below.b()[i] += (colour[2] - below.b()[i]) * m;
        }
      }
    }

    /** The frame's pixel as developed, linear BT.2020. */
    private void develop(
        Picture camera, int i, float slope, float offset, boolean byPlace, float[] out) {
      Matrix3.apply(
          toWork,
          exposed[0].at(camera.r()[i]),
          exposed[1].at(camera.g()[i]),
          exposed[2].at(camera.b()[i]),
          out);
      float y = Space.luminance(out[0], out[1], out[2]);
      float gain = 1;
      if (byPlace || lay.contrast != 0) {
        float stops = Stops.of(y);
        gain = Stops.light(Tone.gain(tone, stops, byPlace ? slope * stops + offset : stops));
      }
      float s = (float) lay.saturation;
      for (int c = 0; c < 3; c++) {
        out[c] = (y + (out[c] - y) * s) * gain;
      }
    }

    private void blended(Picture below, int i, float[] colour, float[] under) {
      codes(below.r()[i], below.g()[i], below.b()[i], under);
      float r = colour[0];
      float g = colour[1];
      codes(r, g, colour[2], colour);
      lay.mode.over(under, colour);
      Matrix3.apply(
          FROM_SRGB,
          Srgb.decodeFast(under[0]),
          Srgb.decodeFast(under[1]),
          Srgb.decodeFast(under[2]),
          colour);
    }

    private static void codes(float r, float g, float b, float[] out) {
      Matrix3.apply(TO_SRGB, r, g, b, out);
      for (int c = 0; c < 3; c++) {
        out[c] = Srgb.encodeFast(out[c]);
      }
    }
  }
}
