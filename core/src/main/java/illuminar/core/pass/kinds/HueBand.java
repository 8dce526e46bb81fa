package illuminar.core.pass.kinds;

import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Ease;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.work.OnLab;

/**
 * Saturation, lightness and hue of one band of hues, such as greens and the yellow inside them.
 *
 * <p>Hue angle and chroma are those of CIE 1976 L*a*b* (CIE 15:2004). Greys have no hue and stay.
 *
 * @param hue middle of the band, h*ab in degrees: red about 30, yellow 90, green 150, blue 270
 * @param width degrees to either side; the outer half fades
 * @param saturation factor on C*ab
 * @param lightness L* added
 * @param turn degrees by which the hue is turned
 */
@Kind(
    id = "hue-band",
    name = "Hue band",
    stage = Stage.COLOUR,
    help = "One colour and no other: greens calmer, a carpet less red",
    sentence = "Change hues within {width} of {hue} in {region}:",
    says = {"{saturation:more|less} saturated", "{lightness:lighter|darker}", "shifted by {turn}"})
public record HueBand(
    @Control(
            label = "Hue",
            unit = "°",
            from = 0,
            to = 360,
            step = 1,
            defaultValue = 120,
            help = "Red 30, yellow 90, green 150, blue 270")
        double hue,
    @Control(label = "Width", unit = "°", from = 5, to = 180, step = 1, defaultValue = 45)
        double width,
    @Control(
            label = "Saturation",
            unit = "%",
            from = 0,
            to = 2,
            step = 0.01,
            defaultValue = 0.6,
            neutral = 1)
        double saturation,
    @Control(
            label = "Lightness",
            unit = "L*",
            from = -30,
            to = 30,
            step = 0.5,
            defaultValue = -3,
            neutral = 0)
        double lightness,
    @Control(label = "Turn", unit = "°", from = -60, to = 60, step = 1, defaultValue = 0)
        double turn)
    implements Move {

  /** Chroma below which a colour has no hue that could be told. */
  private static final float GREY = 4;

  private static final float COLOURED = 12;

  public HueBand {
    Numbers.check(HueBand.class, "hue", hue);
    Numbers.check(HueBand.class, "width", width);
    Numbers.check(HueBand.class, "saturation", saturation);
    Numbers.check(HueBand.class, "lightness", lightness);
    Numbers.check(HueBand.class, "turn", turn);
  }

  /** How far a colour belongs to the band, 0 to 1. */
  public float share(double a, double b) {
    return new Band(this).share((float) a, (float) b);
  }

  /** The band with what is the same for all pixels worked out. */
  private record Band(float a, float b, float least, float width) {

    Band(HueBand of) {
      this(
          (float) Math.cos(Math.toRadians(of.hue)),
          (float) Math.sin(Math.toRadians(of.hue)),
          (float) Math.cos(Math.toRadians(of.width)),
          (float) of.width);
    }

    float share(float la, float lb) {
      float chroma2 = la * la + lb * lb;
      if (chroma2 <= GREY * GREY) {
        return 0;
      }
      float chroma = (float) Math.sqrt(chroma2);
      float cos = (a * la + b * lb) / chroma;
      if (cos <= least) {
        return 0;
      }
      double away = Math.toDegrees(Math.acos(Math.min(1, cos)));
      return Ease.within(away / width, 0.5) * Ease.between((chroma - GREY) / (COLOURED - GREY));
    }
  }

  @Override
  public PreparedPass prepare(PassInput below) {
    Band band = new Band(this);
    return new OnLab(
        lab -> {
          float share = band.share(lab[1], lab[2]);
          if (share > 0) {
            double s = 1 + (saturation - 1) * share;
            double by = Math.toRadians(turn * share);
            double cos = Math.cos(by) * s;
            double sin = Math.sin(by) * s;
            double a = lab[1] * cos - lab[2] * sin;
            double b = lab[1] * sin + lab[2] * cos;
            lab[0] += (float) (lightness * share);
            lab[1] = (float) a;
            lab[2] = (float) b;
          }
        });
  }
}
