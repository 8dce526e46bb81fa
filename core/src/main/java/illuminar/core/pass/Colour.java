package illuminar.core.pass;

import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.render.Below;
import illuminar.core.render.Ready;

/**
 * White and saturation of the picture, brightness staying.
 *
 * @param warmer mired along the Planckian locus
 * @param tint green to magenta
 * @param saturation colours about their luminance, 1 leaves them
 */
public record Colour(
    @Control(
            label = "Warmer",
            unit = "mired",
            from = -100,
            to = 100,
            step = 1,
            careful = 0,
            help = "White along the Planckian locus")
        double warmer,
    @Control(
            label = "Tint",
            unit = "",
            from = -100,
            to = 100,
            step = 1,
            careful = 0,
            help = "Green to magenta")
        double tint,
    @Control(label = "Saturation", unit = "%", from = 0, to = 2, step = 0.01, careful = 1)
        double saturation)
    implements Move {
  public Colour {
    Numbers.check(Colour.class, "warmer", warmer);
    Numbers.check(Colour.class, "tint", tint);
    Numbers.check(Colour.class, "saturation", saturation);
  }

  @Override
  public Ready prepare(Below below) {
    return new Balance(0, warmer, tint, saturation).prepare(below);
  }
}
