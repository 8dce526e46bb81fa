package illuminar.files;

import illuminar.core.render.OutputSpace;
import java.awt.color.ColorSpace;
import java.awt.color.ICC_Profile;

/**
 * How a picture's codes are written.
 *
 * @param space that they are of
 * @param quality 0 to 1, of formats with loss
 * @param fullChroma whether colour is kept at every pixel (4:4:4) where a format could halve it
 * @param ppi pixels to an inch that a file says, 0 for nothing
 */
public record Written(OutputSpace space, double quality, boolean fullChroma, int ppi) {
  /** sRGB without loss. */
  public static final Written SRGB = new Written(OutputSpace.SRGB, 1, false, 0);

  /** sRGB of a quality. */
  public static Written of(double quality) {
    return new Written(OutputSpace.SRGB, quality, false, 0);
  }

  /** The profile that says what the codes mean. */
  byte[] profile() {
    if (space == OutputSpace.SRGB) {
      return ICC_Profile.getInstance(ColorSpace.CS_sRGB).getData();
    }
    ICC_Profile profile =
        space == OutputSpace.GREY
            ? MatrixProfile.grey(space.transfer(), space.title())
            : MatrixProfile.of(space.primaries(), space.transfer(), space.title());
    return profile.getData();
  }
}
