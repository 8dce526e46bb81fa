package illuminar.core.pass.kinds;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.WhiteShift;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Ease;
import illuminar.core.frame.Response;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.pass.work.Relight;
import illuminar.core.picture.Picture;

/**
 * Mixes flash and ambient light: a share of the flash frame in place of as much ambient light, and
 * the colours of the flash under the brightness of that mixture.
 *
 * <p>The light that only the flash frame has comes from one white source, so its colour is that of
 * the surfaces (colour from flash, light from ambient: Eisemann and Durand, "Flash photography
 * enhancement via intrinsic relighting", 2004). Where the flash hardly reaches, or burns, its
 * colour says nothing and the ambient one stays.
 *
 * @param flash id of the flash frame
 * @param ambient id of the ambient frame at the same settings
 */
@Kind(
    id = "share-flash",
    name = "Mix flash and ambient",
    stage = Stage.LIGHTS,
    relights = true,
    help = "The room's own light with the clean colours of the flash",
    sentence = "Mix {flash} with {ambient} in {region}: {share} flash",
    says = {
      "{colour} of the colour from the flash",
      "{warmer:warmer|cooler}",
      "{tint:towards magenta|towards green}"
    })
public record ShareFlash(
    String flash,
    String ambient,
    @Control(
            label = "Flash",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 0.35,
            help = "Share of the flash frame; the rest is ambient light")
        double share,
    @Control(
            label = "Colour from flash",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 0.5,
            neutral = 0,
            help = "How far colours follow the flash, brightness staying")
        double colour,
    @Control(
            label = "Warmer",
            unit = "mired",
            from = -100,
            to = 100,
            step = 1,
            defaultValue = 0,
            help = "The flash's white along the Planckian locus")
        double warmer,
    @Control(
            label = "Tint",
            unit = "",
            from = -100,
            to = 100,
            step = 1,
            defaultValue = 0,
            help = "Green to magenta")
        double tint)
    implements Move {

  /** Flash light from which on its colour is sure. */
  private static final float SURE = 0.012f;

  /** Display-linear value of the flash frame from which on its colour is no longer sure. */
  private static final float BURNING = 0.9f;

  public ShareFlash {
    Numbers.check(ShareFlash.class, "share", share);
    Numbers.check(ShareFlash.class, "colour", colour);
    Numbers.check(ShareFlash.class, "warmer", warmer);
    Numbers.check(ShareFlash.class, "tint", tint);
  }

  /**
   * @throws IllegalArgumentException if a frame is not there
   */
  @Override
  public PreparedPass prepare(PassInput below) {
    Analysis analysis = below.analysis();
    analysis.frames().get(flash);
    analysis.frames().get(ambient);
    Response response = analysis.frames().response();
    return new Work(this, new Relight(response), WhiteShift.srgb(warmer, tint).floats());
  }

  private record Work(ShareFlash pass, Relight relight, float[] white)
      implements PreparedPass.OnLight {

    @Override
    public void apply(Tile tile, Picture below) {
      if (tile.empty()) {
        return;
      }
      Picture lit = tile.frames().apply(pass.flash);
      Picture base = tile.frames().apply(pass.ambient);
      float[] was = new float[3];
      float[] flash = new float[3];
      float[] will = new float[3];
      tile.each(
          below,
          (i, m) -> {
            relight.light(base, i, was);
            relight.light(lit, i, flash);
            for (int c = 0; c < 3; c++) {
              flash[c] = Math.max(0, flash[c] - was[c]);
            }
            Matrix3.apply(white, flash[0], flash[1], flash[2], flash);
            mixed(was, flash, sure(lit, i), will);
            relight.apply(below, i, was, will, m);
          });
    }

    private void mixed(float[] ambient, float[] flash, float sure, float[] out) {
      float share = (float) pass.share;
      for (int c = 0; c < 3; c++) {
        // (1 − share) · ambient + share · (ambient + flash)
        out[c] = Math.max(Relight.LEAST, ambient[c]) + share * Math.max(0, flash[c]);
      }
      float y = luminance(out);
      float f = luminance(flash);
      float amount = (float) pass.colour * Ease.between(f / SURE) * sure;
      if (amount > 0 && f > 0) {
        for (int c = 0; c < 3; c++) {
          out[c] += (Math.max(0, flash[c]) * (y / f) - out[c]) * amount;
        }
      }
    }

    private static float sure(Picture lit, int i) {
      float most = Math.max(lit.r()[i], Math.max(lit.g()[i], lit.b()[i]));
      return Math.max(0, Math.min(1, (1 - most) / (1 - BURNING)));
    }

    private static float luminance(float[] rgb) {
      return Space.srgbLuminance(rgb[0], rgb[1], rgb[2]);
    }
  }
}
