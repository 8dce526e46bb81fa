package illuminar.core.pass.kinds;

import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;

/**
 * White and saturation of the picture, brightness staying.
 *
 * @param warmer mired along the Planckian locus
 * @param tint green to magenta
 * @param saturation colours about their luminance, 1 leaves them
 */
@Kind(
    id = "colour",
    name = "White and colour",
    stage = Stage.COLOUR,
    help = "Warmer or cooler, and how strong colours are",
    sentence = "Adjust the colour of {region}:",
    says = {
      "{warmer:warmer|cooler}",
      "{tint:towards magenta|towards green}",
      "{saturation:more|less} saturated"
    })
public record Colour(
    @Control(
            label = "Warmer",
            unit = "mired",
            from = -100,
            to = 100,
            step = 1,
            defaultValue = 0,
            help = "White along the Planckian locus")
        double warmer,
    @Control(
            label = "Tint",
            unit = "",
            from = -100,
            to = 100,
            step = 1,
            defaultValue = 0,
            help = "Green to magenta")
        double tint,
    @Control(label = "Saturation", unit = "%", from = 0, to = 2, step = 0.01, defaultValue = 1)
        double saturation)
    implements Move {
  public Colour {
    Numbers.check(Colour.class, "warmer", warmer);
    Numbers.check(Colour.class, "tint", tint);
    Numbers.check(Colour.class, "saturation", saturation);
  }

  @Override
  public PreparedPass prepare(PassInput below) {
    return new Balance(0, warmer, tint, saturation).prepare(below);
  }
}
