package illuminar.core.pass.kinds;

import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.work.OnLab;

/**
 * A wash of one colour over a lamp or a sky: hue and chroma come to it, lightness stays.
 *
 * <p>In CIE 1976 L*a*b* (CIE 15:2004).
 *
 * @param hue h*ab in degrees: red about 30, yellow 90, green 150, blue 270
 * @param saturation C*ab of the wash on a mid tone; less on darks and lights
 * @param amount how far the picture's own colour gives way, 0 to 1
 */
@Kind(
    id = "wash",
    name = "Wash",
    stage = Stage.COLOUR,
    help = "A thin layer of colour, as warm light on a wall; needs a place",
    sentence = "Wash {region} with hue {hue} at saturation {saturation}, by {amount}",
    asksRegion = true)
public record Wash(
    @Control(
            label = "Hue",
            unit = "°",
            from = 0,
            to = 360,
            step = 1,
            defaultValue = 75,
            help = "Red 30, yellow 90, green 150, blue 270")
        double hue,
    @Control(label = "Saturation", unit = "C*", from = 0, to = 80, step = 1, defaultValue = 22)
        double saturation,
    @Control(
            label = "Amount",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 0.4,
            neutral = 0)
        double amount)
    implements Move {
  public Wash {
    Numbers.check(Wash.class, "hue", hue);
    Numbers.check(Wash.class, "saturation", saturation);
    Numbers.check(Wash.class, "amount", amount);
  }

  @Override
  public PreparedPass prepare(PassInput below) {
    float a = (float) (saturation * Math.cos(Math.toRadians(hue)));
    float b = (float) (saturation * Math.sin(Math.toRadians(hue)));
    float share = (float) amount;
    return new OnLab(
        lab -> {
          // neither black nor white can hold colour
          float l = Math.max(0, Math.min(100, lab[0]));
          float holds = Math.min(1, Math.min(l, 100 - l) / 25);
          lab[1] += (a * holds - lab[1]) * share;
          lab[2] += (b * holds - lab[2]) * share;
        });
  }
}
