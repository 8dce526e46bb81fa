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
 * Warm colours and cool ones each turned and saturated apart, so that a sunset or lamplight warms
 * and the walls stay white.
 *
 * <p>Hue angle and chroma are those of CIE 1976 L*a*b* (CIE 15:2004). Every colour is partly warm
 * and partly cool, all of one in the middle of its half of the hues (painters' parting of the
 * circle, common practice; orange 55°, azure 235°), and greys are neither.
 *
 * @param warmTurn degrees by which warm hues are turned, up towards yellow
 * @param warmSaturation factor on their C*ab
 * @param coolTurn degrees by which cool hues are turned, up towards violet
 * @param coolSaturation factor on their C*ab
 */
@Kind(
    id = "warm-cool",
    name = "Warm and cool apart",
    stage = Stage.COLOUR,
    help = "A warmer sunset or lamp, a bluer sky, and walls that stay white",
    sentence = "Change warm and cool colours of {region}:",
    says = {
      "warm ones {warmSaturation:more|less} saturated",
      "warm ones {warmTurn:towards yellow|towards red}",
      "cool ones {coolSaturation:more|less} saturated",
      "cool ones {coolTurn:towards violet|towards green}"
    })
public record WarmCool(
    @Control(
            label = "Saturation of warm colours",
            unit = "%",
            from = 0,
            to = 2,
            step = 0.01,
            defaultValue = 1.2,
            neutral = 1)
        double warmSaturation,
    @Control(
            label = "Hue of warm colours",
            unit = "°",
            from = -30,
            to = 30,
            step = 1,
            defaultValue = 0,
            help = "Below 0 towards red, above towards yellow")
        double warmTurn,
    @Control(
            label = "Saturation of cool colours",
            unit = "%",
            from = 0,
            to = 2,
            step = 0.01,
            defaultValue = 1,
            neutral = 1)
        double coolSaturation,
    @Control(
            label = "Hue of cool colours",
            unit = "°",
            from = -30,
            to = 30,
            step = 1,
            defaultValue = 0,
            help = "Below 0 towards green, above towards violet")
        double coolTurn)
    implements Move {

  /** Middle of the warm hues, h*ab in degrees. */
  private static final double WARM = 55;

  private static final float TO_A = (float) Math.cos(Math.toRadians(WARM));
  private static final float TO_B = (float) Math.sin(Math.toRadians(WARM));

  /** Chroma up to which a colour is grey, and from which it is coloured. */
  private static final float GREY = 4;

  private static final float COLOURED = 14;

  public WarmCool {
    Numbers.check(WarmCool.class, "warmTurn", warmTurn);
    Numbers.check(WarmCool.class, "warmSaturation", warmSaturation);
    Numbers.check(WarmCool.class, "coolTurn", coolTurn);
    Numbers.check(WarmCool.class, "coolSaturation", coolSaturation);
  }

  @Override
  public PreparedPass prepare(PassInput below) {
    return new OnLab(this::change);
  }

  /**
   * @param lab L*, a*, b*; modified
   */
  private void change(float[] lab) {
    float chroma = (float) Math.sqrt(lab[1] * lab[1] + lab[2] * lab[2]);
    float coloured = Ease.between((chroma - GREY) / (COLOURED - GREY));
    if (coloured == 0) {
      return;
    }
    float warm = Ease.between(0.5f + (TO_A * lab[1] + TO_B * lab[2]) / chroma);
    double saturation = mixed(coolSaturation, warmSaturation, warm);
    double by = Math.toRadians(mixed(coolTurn, warmTurn, warm) * coloured);
    double s = 1 + (saturation - 1) * coloured;
    double cos = Math.cos(by) * s;
    double sin = Math.sin(by) * s;
    double a = lab[1] * cos - lab[2] * sin;
    double b = lab[1] * sin + lab[2] * cos;
    lab[1] = (float) a;
    lab[2] = (float) b;
  }

  private static double mixed(double cool, double warm, double share) {
    return cool + (warm - cool) * share;
  }
}
