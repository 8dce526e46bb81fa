package illuminar.core.pass.work;

import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.frame.Response;
import illuminar.core.picture.Picture;

/**
 * Multiplies a picture by what the camera would have shown in another light over what it showed:
 * response(will) / response(was), per channel. All that was done to the picture before stays. Safe
 * for many threads.
 *
 * @param response of the camera
 */
public record Relight(Response response) {
  private static final float[] TO_SRGB = Space.WORK_TO_SRGB.floats();
  private static final float[] FROM_SRGB = Space.SRGB_TO_WORK.floats();

  /** Light of a frame below which it says nothing, against the noise of its darkest codes. */
  public static final float LEAST = 4e-4f;

  /**
   * Relights one pixel in place.
   *
   * @param p linear BT.2020; modified
   * @param was light of the frame that stands for the picture, camera primaries, 1 where burnt
   * @param will light wanted; worked with
   * @param m how much of it, 0 to 1
   */
  public void apply(Picture p, int i, float[] was, float[] will, float m) {
    for (int c = 0; c < 3; c++) {
      float is = Math.max(LEAST, was[c]);
      float shown = Math.max(1e-5f, response.toDisplay(c, is));
      float ratio = response.toDisplay(c, Math.min(1, Math.max(0, will[c]))) / shown;
      will[c] = 1 + (ratio - 1) * m;
    }
    float red = will[0];
    float green = will[1];
    float blue = will[2];
    Matrix3.apply(TO_SRGB, p.r()[i], p.g()[i], p.b()[i], will);
    Matrix3.apply(FROM_SRGB, will[0] * red, will[1] * green, will[2] * blue, will);
    p.r()[i] = will[0];
    p.g()[i] = will[1];
    p.b()[i] = will[2];
  }

  /** Light of a frame's pixel. */
  public void light(Picture frame, int i, float[] out) {
    out[0] = response.toLight(0, frame.r()[i]);
    out[1] = response.toLight(1, frame.g()[i]);
    out[2] = response.toLight(2, frame.b()[i]);
  }
}
