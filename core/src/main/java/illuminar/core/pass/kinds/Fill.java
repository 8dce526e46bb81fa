package illuminar.core.pass.kinds;

import illuminar.core.colour.Stops;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Ease;
import illuminar.core.filter.Guided;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.pass.work.Surroundings;
import illuminar.core.picture.Picture;

/**
 * Fill light: lifts the darkest areas only, the deepest tones held, with local contrast and
 * saturation for the lifted areas.
 *
 * <p>The lift follows the tone of the surroundings ({@link Surroundings}), so the texture of a dark
 * corner rises with it. Curves our own; amounts and limits as in the trade (common practice, no
 * source).
 *
 * @param amount how much, 100 lifts the darkest area by two stops
 * @param upTo tone of the surroundings up to which areas are lifted, stops
 * @param contrast of detail within what is lifted
 * @param saturation of what is lifted, 1 leaves it
 */
@Kind(
    id = "fill",
    name = "Fill",
    stage = Stage.TONE,
    help = "Dark corners lifted, with their texture",
    sentence = "Fill the darks of {region} below {upTo} by {amount}",
    says = {"local contrast {contrast:higher|lower}", "{saturation:more|less} saturated"})
public record Fill(
    @Control(
            label = "Amount",
            unit = "",
            from = 0,
            to = 100,
            step = 1,
            defaultValue = 40,
            neutral = 0)
        double amount,
    @Control(
            label = "Up to",
            unit = "st",
            from = -9,
            to = -1,
            step = 0.1,
            defaultValue = -3.5,
            help = "Areas lighter than this stay")
        double upTo,
    @Control(
            label = "Local contrast",
            unit = "",
            from = -100,
            to = 100,
            step = 1,
            defaultValue = 20,
            neutral = 0)
        double contrast,
    @Control(
            label = "Saturation",
            unit = "%",
            from = 0,
            to = 2,
            step = 0.01,
            defaultValue = 0.9,
            neutral = 1)
        double saturation)
    implements Move {
  private static final double MOST = 2;

  /** Stops over which the lift comes in below its limit. */
  private static final float SHOULDER = 3.4f;

  public Fill {
    Numbers.check(Fill.class, "amount", amount);
    Numbers.check(Fill.class, "upTo", upTo);
    Numbers.check(Fill.class, "contrast", contrast);
    Numbers.check(Fill.class, "saturation", saturation);
  }

  /** How far surroundings of a tone are lifted, 0 to 1. */
  public float share(float base) {
    float dark = Ease.between(((float) upTo - base) * (1 / SHOULDER));
    float held = 1 - 0.75f * Ease.between((-7.5f - base) * (1 / 4f));
    return dark * held;
  }

  /** Finds the base of the picture below. */
  @Override
  public PreparedPass prepare(PassInput below) {
    return new Work(this, Surroundings.of(below, 0.022, 0.35f));
  }

  private record Work(Fill fill, Surroundings surroundings) implements PreparedPass.OnLight {

    @Override
    public void apply(Tile tile, Picture p) {
      if (tile.empty()) {
        return;
      }
      Guided.Rows rows = surroundings.rows(tile);
      int w = tile.raster().width();
      float lift = (float) (MOST * fill.amount / 100);
      float detail = (float) (fill.contrast / 100);
      float colour = (float) fill.saturation - 1;
      float[] stops = new float[w];
      float[] gain = new float[w];
      tile.rows(
          p,
          (j, from, to, amount) -> {
            rows.to(j);
            p.stops(j * w + from, to - from, stops, from);
            for (int x = from; x < to; x++) {
              float base = rows.at(x, stops[x]);
              amount[x] *= fill.share(base);
              gain[x] = amount[x] * (lift + detail * Detail.soft(stops[x] - base));
            }
            saturate(p, j * w, from, to, colour, amount);
            Stops.light(gain, from, gain, from, to - from);
            p.multiply(j * w, gain, from, to);
          });
    }

    /** Colours about their luminance, more or less by {@code colour} as far as {@code share}. */
    private static void saturate(Picture p, int at, int from, int to, float colour, float[] share) {
      for (int x = from; x < to; x++) {
        int i = at + x;
        float y = p.luminanceAt(i);
        float s = 1 + share[x] * colour;
        p.r()[i] = y + (p.r()[i] - y) * s;
        p.g()[i] = y + (p.g()[i] - y) * s;
        p.b()[i] = y + (p.b()[i] - y) * s;
      }
    }
  }
}
