package illuminar.core.pass.kinds;

import illuminar.core.colour.Srgb;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.pass.Channels;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.work.ByTone;

/**
 * White point, black point and gamma.
 *
 * <p>The levels formula on codes of the sRGB transfer: out = ((in − black) / (white − black)) to
 * the power of 1 / gamma (common practice, no source; transfer of IEC 61966-2-1).
 *
 * @param on what it works on
 * @param white code that becomes white, 0.2 to 1
 * @param black code that becomes black, 0 to 0.5, at least 0.05 below {@code white}
 * @param gamma of what lies between
 */
@Kind(
    id = "levels",
    name = "White and black point",
    stage = Stage.TONE,
    help = "How bright the brightest and how dark the darkest is",
    sentence = "Set the levels of {region} by {on}:",
    says = {"white at {white}", "black at {black}", "gamma {gamma}"})
public record Levels(
    Channels on,
    @Control(
            label = "White point",
            unit = "%",
            from = 0.2,
            to = 1,
            step = 0.005,
            defaultValue = 1,
            help = "Code from which on all is white; what burns shows while it moves")
        double white,
    @Control(
            label = "Black point",
            unit = "%",
            from = 0,
            to = 0.5,
            step = 0.005,
            defaultValue = 0,
            under = "white",
            apart = 0.05,
            help = "Code up to which all is black; what is blocked shows while it moves")
        double black,
    @Control(label = "Gamma", unit = "", from = 0.2, to = 4, step = 0.01, defaultValue = 1)
        double gamma)
    implements Move {
  public Levels {
    Numbers.check(Levels.class, "white", white);
    Numbers.check(Levels.class, "black", black);
    Numbers.check(Levels.class, "gamma", gamma);
    Numbers.checkUnder(Levels.class, "black", black, white);
  }

  /** The code that a code becomes; above 1 where it burns. */
  public double code(double in) {
    return Math.pow(Math.max(0, (in - black) / (white - black)), 1 / gamma);
  }

  @Override
  public PreparedPass prepare(PassInput below) {
    return new ByTone(
            stops -> {
              double light = Srgb.decode(code(Srgb.encode(Math.pow(2, stops))));
              return Math.log(Math.max(1e-9, light)) / Math.log(2);
            })
        .on(on, below);
  }
}
