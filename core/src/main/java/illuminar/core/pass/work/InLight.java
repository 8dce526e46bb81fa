package illuminar.core.pass.work;

import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.frame.Response;
import illuminar.core.picture.Picture;

/**
 * The light behind a picture, three channels of sRGB's primaries, by the frames' response. Above
 * white, where there is no response, it is as shown.
 */
public record InLight(Response response) {
  private static final float[] TO_SRGB = Space.WORK_TO_SRGB.floats();
  private static final float[] TO_WORK = Space.SRGB_TO_WORK.floats();

  /** Fills in the light behind a pixel. */
  public void of(Picture p, int i, float[] light) {
    Matrix3.apply(TO_SRGB, p.r()[i], p.g()[i], p.b()[i], light);
    for (int k = 0; k < 3; k++) {
      light[k] = light[k] > 1 ? light[k] : response.toLight(k, Math.max(0, light[k]));
    }
  }

  /** The light behind all pixels, in channels of sRGB's primaries. */
  public Picture of(Picture p) {
    Picture out = Picture.of(p.width(), p.height());
    float[] light = new float[3];
    for (int i = 0; i < p.r().length; i++) {
      of(p, i, light);
      out.r()[i] = light[0];
      out.g()[i] = light[1];
      out.b()[i] = light[2];
    }
    return out;
  }

  /** Makes a light the linear BT.2020 colour that shows it. */
  public void show(float[] light) {
    for (int k = 0; k < 3; k++) {
      light[k] = light[k] > 1 ? light[k] : response.toDisplay(k, light[k]);
    }
    Matrix3.apply(TO_WORK, light[0], light[1], light[2], light);
  }
}
