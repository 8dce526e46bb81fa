package illuminar.core.region.part;

import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Ease;
import illuminar.core.picture.LabPlanes;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.region.Look;
import illuminar.core.region.PartKind;
import illuminar.core.region.Shape;
import illuminar.core.region.Sources;
import illuminar.core.region.Territory;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * Colours round picked ones.
 *
 * <p>Colour bands: near picked colours in hue angle and in chroma.
 *
 * @param hue degrees to either side, 1 to 180
 * @param chroma C*ab to either side, 1 to 150
 * @param softness share of both over which it fades, 0 to 1
 */
@PartKind(id = "colour-band", name = "Colour band")
public record ColourBand(
    Look look,
    List<Pick> picks,
    @Control(label = "Hue", unit = "°", from = 1, to = 180, step = 1, defaultValue = 25) double hue,
    @Control(label = "Chroma", unit = "", from = 1, to = 150, step = 1, defaultValue = 20)
        double chroma,
    @Control(label = "Softness", unit = "%", from = 0, to = 1, step = 0.01, defaultValue = 0.5)
        double softness)
    implements Shape {
  public ColourBand {
    picks = List.copyOf(picks);
    if (picks.isEmpty() || picks.size() > 20) {
      throw new IllegalArgumentException("a colour band has 1 to 20 picked colours");
    }
    Numbers.check(ColourBand.class, "hue", hue);
    Numbers.check(ColourBand.class, "chroma", chroma);
    Numbers.check(ColourBand.class, "softness", softness);
  }

  @Override
  public boolean needsGround() {
    return look.from() == Look.From.GROUND;
  }

  @Override
  public boolean readsPixels() {
    return true;
  }

  /** A colour by hue angle h*ab in degrees and chroma C*ab, CIE L*a*b* D50. */
  public record Pick(double hue, double chroma) {}

  @Override
  public Shape foundIn(UnaryOperator<String> frames) {
    return new ColourBand(look.at(frames), picks, hue, chroma, softness);
  }

  @Override
  public float[] draw(Raster raster, Territory in, Sources sources) {
    return draw(this, sources.look(look, in, raster));
  }

  /** {@code picture} is linear BT.2020. */
  private static float[] draw(ColourBand band, Picture picture) {
    LabPlanes lab = LabPlanes.of(picture);
    float[] out = new float[picture.r().length];
    for (int i = 0; i < out.length; i++) {
      double chroma = Math.hypot(lab.a()[i], lab.b()[i]);
      double hue = Math.toDegrees(Math.atan2(lab.b()[i], lab.a()[i]));
      for (Pick pick : band.picks()) {
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
