package illuminar.core.region.part;

import illuminar.core.colour.Srgb;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.MonotoneCubic;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.region.Look;
import illuminar.core.region.PartKind;
import illuminar.core.region.Shape;
import illuminar.core.region.Sources;
import illuminar.core.region.Territory;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * Some tones, by repeated product of the luminance code v: lights vⁿ, darks (1 − v)ⁿ, midtones what
 * both leave, (1 − vⁿ)(1 − (1 − v)ⁿ), brought to 1 at their most.
 *
 * <p>Tone bands. Sources: repeated products of the luminance as practised with luminosity masks
 * (common practice); the free curve by monotone cubics (Fritsch and Carlson 1980).
 *
 * @param exponent n, 1 to 8
 * @param less exponent of the narrower band of the same kind that is taken away, 0 for none
 * @param curve points of the free curve, tone code to share, both 0 to 1
 * @param black share that becomes 0
 * @param white share that becomes 1, above {@code black}
 */
@PartKind(id = "tone-band", name = "Tone band")
public record ToneBand(
    Look look,
    Tones tones,
    @Control(
            label = "Multiplications",
            unit = "",
            from = 1,
            to = 8,
            step = 0.05,
            defaultValue = 2,
            help = "How often the tones are multiplied by themselves; more is narrower")
        double exponent,
    @Control(
            label = "Minus",
            unit = "",
            from = 0,
            to = 8,
            step = 0.05,
            defaultValue = 0,
            help = "Multiplications of a narrower band that is taken away; below 1 none")
        double less,
    List<Point> curve,
    @Control(
            label = "Black",
            unit = "%",
            from = 0,
            to = 0.99,
            step = 0.01,
            defaultValue = 0,
            under = "white",
            apart = 0.01,
            help = "Mask values below this become black")
        double black,
    @Control(
            label = "White",
            unit = "%",
            from = 0.01,
            to = 1,
            step = 0.01,
            defaultValue = 1,
            help = "Mask values above this become white")
        double white)
    implements Shape {
  private static final int STEPS = 4096;

  public ToneBand {
    curve = List.copyOf(curve);
    Numbers.check(ToneBand.class, "exponent", exponent);
    Numbers.check(ToneBand.class, "less", less);
    if (tones == Tones.CURVE && curve.size() < 2) {
      throw new IllegalArgumentException("a curve over the tones needs at least two points");
    }
    Numbers.check(ToneBand.class, "black", black);
    Numbers.check(ToneBand.class, "white", white);
    Numbers.checkUnder(ToneBand.class, "black", black, white);
  }

  @Override
  public boolean needsGround() {
    return look.from() == Look.From.GROUND;
  }

  @Override
  public boolean readsPixels() {
    return true;
  }

  /** Which tones a tone band holds. */
  public enum Tones {
    LIGHTS,
    DARKS,
    MIDTONES,
    /** By a free curve. */
    CURVE
  }

  @Override
  public Shape foundIn(UnaryOperator<String> frames) {
    return new ToneBand(look.at(frames), tones, exponent, less, curve, black, white);
  }

  @Override
  public float[] draw(Raster raster, Territory in, Sources sources) {
    return draw(this, sources.look(look, in, raster));
  }

  /** {@code picture} is linear BT.2020. */
  private static float[] draw(ToneBand band, Picture picture) {
    float[] table = new float[STEPS + 2];
    for (int i = 0; i < table.length; i++) {
      table[i] = (float) share(band, Math.min(1, i / (double) STEPS));
    }
    float[] out = new float[picture.r().length];
    for (int i = 0; i < out.length; i++) {
      float at = Srgb.encodeFast(picture.luminanceAt(i)) * STEPS;
      int k = (int) at;
      out[i] = table[k] + (table[k + 1] - table[k]) * (at - k);
    }
    return out;
  }

  /** Share of a luminance code. */
  static double share(ToneBand band, double v) {
    double share =
        band.tones() == Tones.CURVE
            ? curve(band.curve(), v)
            : Math.max(
                0,
                product(band.tones(), band.exponent(), v)
                    - (band.less() < 1 ? 0 : product(band.tones(), band.less(), v)));
    return Math.max(0, Math.min(1, (share - band.black()) / (band.white() - band.black())));
  }

  private static double product(Tones tones, double n, double v) {
    return switch (tones) {
      case LIGHTS -> Math.pow(v, n);
      case DARKS -> Math.pow(1 - v, n);
      default -> {
        double most = 1 - Math.pow(0.5, n);
        yield (1 - Math.pow(v, n)) * (1 - Math.pow(1 - v, n)) / (most * most);
      }
    };
  }

  private static double curve(List<Point> points, double v) {
    return new MonotoneCubic(
            points.stream().mapToDouble(Point::x).toArray(),
            points.stream().mapToDouble(Point::y).toArray())
        .at(v);
  }
}
