package illuminar.core.pass.kinds;

import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.WhiteShift;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.picture.Picture;

/**
 * Brings a surface to another brightness, white and saturation: one matrix on light.
 *
 * @param light stops
 * @param warmer mired along the Planckian locus
 * @param tint green to magenta
 * @param saturation colours about their luminance, 1 leaves them
 */
@Kind(
    id = "balance",
    name = "Balance a surface",
    stage = Stage.BALANCE,
    help = "One wall or front matched to another, by eye or by the balance board; needs a place",
    sentence = "Balance {region}:",
    says = {
      "{light:brighter|darker}",
      "{warmer:warmer|cooler}",
      "{tint:towards magenta|towards green}",
      "{saturation:more|less} saturated"
    },
    asksRegion = true)
public record Balance(
    @Control(label = "Light", unit = "st", from = -3, to = 3, step = 0.02, defaultValue = 0)
        double light,
    @Control(
            label = "Warmer",
            unit = "mired",
            from = -100,
            to = 100,
            step = 1,
            defaultValue = 0,
            help = "Moves mostly b*")
        double warmer,
    @Control(
            label = "Tint",
            unit = "",
            from = -100,
            to = 100,
            step = 1,
            defaultValue = 0,
            help = "Green to magenta; moves mostly a*")
        double tint,
    @Control(label = "Saturation", unit = "%", from = 0, to = 2, step = 0.01, defaultValue = 1)
        double saturation)
    implements Move {

  /** Changes nothing. */
  public static final Balance NONE = new Balance(0, 0, 0, 1);

  public Balance {
    Numbers.check(Balance.class, "light", light);
    Numbers.check(Balance.class, "warmer", warmer);
    Numbers.check(Balance.class, "tint", tint);
    Numbers.check(Balance.class, "saturation", saturation);
  }

  /** All of it as one matrix on linear BT.2020. */
  public Matrix3 matrix() {
    double gain = Math.pow(2, light);
    double s = saturation;
    double r = (1 - s) * Space.luminance(1, 0, 0);
    double g = (1 - s) * Space.luminance(0, 1, 0);
    double b = (1 - s) * Space.luminance(0, 0, 1);
    Matrix3 colour = new Matrix3(r + s, g, b, r, g + s, b, r, g, b + s);
    Matrix3 exposed = new Matrix3(gain, 0, 0, 0, gain, 0, 0, 0, gain);
    return exposed.after(colour).after(WhiteShift.work(warmer, tint));
  }

  @Override
  public PreparedPass prepare(PassInput below) {
    return new Work(matrix().floats());
  }

  private record Work(float[] matrix) implements PreparedPass.OnLight {

    @Override
    public void apply(Tile tile, Picture p) {
      int w = tile.raster().width();
      float[][] out = new float[3][w];
      tile.rows(
          p,
          (j, from, to, amount) -> {
            Matrix3.apply(matrix, p.planes(), j * w + from, out, from, to - from);
            p.mix(j * w, out, amount, from, to);
          });
    }
  }
}
