package illuminar.core.render;

import illuminar.core.colour.Stops;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.Tones;
import illuminar.core.picture.Bands;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;

/**
 * A picture on its way through the passes: light × 2^gain. A pass that only brightens and darkens
 * reads the present tone and adds to the gain; the light is multiplied once, when somebody needs
 * it. Arrays are shared and not modified.
 *
 * @param light linear BT.2020, without the gain
 * @param tones tone and gain of each pixel; {@link Tones#NONE} where nothing is pending
 */
record Developing(Picture light, Tones tones) implements PassInput.Below {
  private static final int BAND = 64;

  /** No picture at all. */
  static final Developing NOTHING = of(Picture.of(1, 1));

  static Developing of(Picture light) {
    return new Developing(light, Tones.NONE);
  }

  boolean nothing() {
    return light.r() == NOTHING.light.r();
  }

  boolean pending() {
    return tones.stops().length > 0;
  }

  int width() {
    return light.width();
  }

  int height() {
    return light.height();
  }

  /** The same with another copy of the tones, to be written. */
  Developing metered() {
    return new Developing(light, pending() ? tones.copy() : measured());
  }

  private Tones measured() {
    Tones t = Tones.of(light.r().length);
    Bands.of(
        height(),
        BAND,
        (from, to) -> {
          int at = from * width();
          light.stops(at, (to - from) * width(), t.stops(), at);
        });
    return t;
  }

  @Override
  public Picture picture() {
    return settled();
  }

  @Override
  public Plane stops() {
    return new Plane(width(), height(), pending() ? tones.stops() : measured().stops());
  }

  /** The finished light; not to be modified. */
  Picture settled() {
    if (!pending()) {
      return light;
    }
    Picture out = Picture.of(width(), height());
    Bands.of(
        height(),
        BAND,
        (from, to) -> {
          float[] factor = new float[width()];
          for (int y = from; y < to; y++) {
            Stops.light(tones.gain(), y * width(), factor, width());
            for (int c = 0; c < 3; c++) {
              multiply(light.channel(c), y * width(), factor, out.channel(c));
            }
          }
        });
    return out;
  }

  private static void multiply(float[] in, int at, float[] factor, float[] out) {
    for (int i = 0; i < factor.length; i++) {
      out[at + i] = in[at + i] * factor[i];
    }
  }

  /** The finished light of a piece. */
  Picture settled(Raster whole, Raster part) {
    return settled().part(whole, part);
  }

  long bytes() {
    return light.r().length * (pending() ? 20L : 12L);
  }
}
