package illuminar.core.region;

import illuminar.core.colour.LabPlanes;
import illuminar.core.filter.Ease;
import illuminar.core.picture.Picture;

/** Colour bands: near picked colours in hue angle and in chroma. */
final class ColourShape {
  private ColourShape() {}

  /** {@code picture} is linear BT.2020. */
  static float[] draw(Shape.ColourBand band, Picture picture) {
    LabPlanes lab = LabPlanes.of(picture);
    float[] out = new float[picture.r().length];
    for (int i = 0; i < out.length; i++) {
      double chroma = Math.hypot(lab.a()[i], lab.b()[i]);
      double hue = Math.toDegrees(Math.atan2(lab.b()[i], lab.a()[i]));
      for (Shape.Pick pick : band.picks()) {
        double apart = Math.abs(hue - pick.hue()) % 360;
        double turn = Math.min(apart, 360 - apart) / band.hue();
        double away = Math.abs(chroma - pick.chroma()) / band.chroma();
        if (turn < 1 && away < 1) {
          out[i] =
              Math.max(
                  out[i], Ease.within(turn, band.softness()) * Ease.within(away, band.softness()));
        }
      }
    }
    return out;
  }
}
