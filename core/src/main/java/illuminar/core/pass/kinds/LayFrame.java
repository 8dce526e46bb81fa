package illuminar.core.pass.kinds;

import illuminar.core.colour.Blend;
import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.pass.work.DevelopedFrame;
import illuminar.core.picture.Picture;

/**
 * Lays a frame over the picture, developed on its own and joined by a blend mode.
 *
 * <p>The frame is developed by {@link DevelopedFrame}. Blend modes: W3C, by {@link Blend}.
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
    DevelopedFrame.Settings settings =
        new DevelopedFrame.Settings(warmer, tint, highlights, shadows, contrast, saturation);
    return new Work(
        frame, mode, DevelopedFrame.of(below.analysis(), frame, Math.pow(2, exposure), settings));
  }

  private record Work(String frame, Blend mode, DevelopedFrame developed)
      implements PreparedPass.OnLight {

    private static final float[] TO_SRGB = Space.WORK_TO_SRGB.floats();
    private static final float[] FROM_SRGB = Space.SRGB_TO_WORK.floats();

    @Override
    public void apply(Tile tile, Picture below) {
      if (tile.empty()) {
        return;
      }
      Picture camera = tile.frames().apply(frame);
      DevelopedFrame.Rows rows = developed.rows(tile.raster());
      float[] colour = new float[3];
      float[] under = new float[3];
      tile.each(
          below,
          rows::to,
          (i, m) -> {
            rows.at(camera, i, colour);
            if (mode != Blend.NORMAL) {
              blended(below, i, colour, under);
            }
            below.mix(i, colour, m);
          });
    }

    private void blended(Picture below, int i, float[] colour, float[] under) {
      codes(below.r()[i], below.g()[i], below.b()[i], under);
      codes(colour[0], colour[1], colour[2], colour);
      mode.over(under, colour);
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
