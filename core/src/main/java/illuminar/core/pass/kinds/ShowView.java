package illuminar.core.pass.kinds;

import illuminar.core.analysis.light.MergedLight;
import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.pass.Fault;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Mends;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.pass.work.ViewCurve;
import illuminar.core.picture.Picture;
import java.util.Arrays;

/**
 * Shows the light of all frames in a region by one curve, so that a view is no patchwork of
 * exposures and what stands before it, bars, leaves or a sheer curtain, is shown as it was lit.
 *
 * <p>The curve ({@link ViewCurve}) is the one that comes nearest to the picture below, so that
 * little changes along the region's edge; the light is merged from every frame that holds it
 * ({@link MergedLight}). Hue and saturation are the light's own.
 *
 * @param lighter stops by which all of it is shown lighter
 * @param brightest tone that the brightest channel of the brightest of it stays below, stops below
 *     white
 * @param contrast factor on the rise of tone over light
 * @param saturation of colours about their luminance, 1 leaves them
 */
@Kind(
    id = "show-view",
    name = "Show the view",
    stage = Stage.WINDOWS,
    help = "The windows' view, natural from its darkest to its lightest part; needs a place",
    sentence = "Show the view in {region}, from all frames",
    says = {
      "{lighter:lighter|darker}",
      "contrast {contrast:higher|lower}",
      "{saturation:more|less} saturated"
    },
    asksRegion = true,
    mends = {@Mends(fault = Fault.HALO, control = "contrast")})
public record ShowView(
    @Control(
            label = "Lighter",
            unit = "st",
            from = -3,
            to = 3,
            step = 0.05,
            defaultValue = 0,
            help = "How much lighter than the picture below the view is shown")
        double lighter,
    @Control(
            label = "Brightest",
            unit = "st",
            from = -4,
            to = 0,
            step = 0.05,
            defaultValue = -0.15,
            help = "Where the brightest of the view stands, below white")
        double brightest,
    @Control(
            label = "Contrast",
            unit = "%",
            from = 0.3,
            to = 2.5,
            step = 0.05,
            defaultValue = 1,
            help = "How steeply tone rises with light")
        double contrast,
    @Control(label = "Saturation", unit = "%", from = 0, to = 2, step = 0.01, defaultValue = 1)
        double saturation)
    implements Move {
  private static final float[] TO_WORK = Space.SRGB_TO_WORK.floats();

  /** Share of what the brightest channel exceeds the tone by that is kept below white too. */
  private static final double HELD = 0.5;

  public ShowView {
    Numbers.check(ShowView.class, "lighter", lighter);
    Numbers.check(ShowView.class, "brightest", brightest);
    Numbers.check(ShowView.class, "contrast", contrast);
    Numbers.check(ShowView.class, "saturation", saturation);
  }

  /** Fits the curve on the small grid. */
  @Override
  public PreparedPass prepare(PassInput below) {
    MergedLight merged = MergedLight.of(below.analysis());
    Picture light = merged.draw(below.raster(), id -> below.analysis().draw(id, below.raster()));
    float[] stops = new float[light.r().length];
    for (int i = 0; i < stops.length; i++) {
      stops[i] = Stops.of(Space.srgbLuminance(light.r()[i], light.g()[i], light.b()[i]));
    }
    float[] share = below.region().copy();
    double over = HELD * saturation * over(light, stops, share);
    ViewCurve curve =
        ViewCurve.fitted(stops, below.stops().data(), share, lighter, brightest - over, contrast);
    return new Work(merged, curve, (float) saturation);
  }

  /** Stops by which the brightest channel of the lightest quarter of a view exceeds its tone. */
  private static double over(Picture light, float[] stops, float[] share) {
    float[] inside = new float[stops.length];
    int n = 0;
    for (int i = 0; i < stops.length; i++) {
      if (share[i] > 0.5f) {
        inside[n++] = stops[i];
      }
    }
    Arrays.sort(inside, 0, n);
    float from = n == 0 ? 0 : inside[(int) (0.75 * (n - 1))];
    float[] over = new float[n];
    int m = 0;
    for (int i = 0; i < stops.length; i++) {
      if (share[i] > 0.5f && stops[i] >= from) {
        over[m++] = Stops.of(light.mostAt(i)) - stops[i];
      }
    }
    Arrays.sort(over, 0, m);
    return m == 0 ? 0 : over[m / 2];
  }

  private record Work(MergedLight merged, ViewCurve curve, float saturation)
      implements PreparedPass.OnLight {

    @Override
    public void apply(Tile tile, Picture p) {
      if (tile.empty()) {
        return;
      }
      Picture light = merged.draw(tile.raster(), tile.frames());
      float[] out = new float[3];
      tile.each(
          p,
          (i, m) -> {
            float y = Space.srgbLuminance(light.r()[i], light.g()[i], light.b()[i]);
            float k = curve.gain(y);
            Matrix3.apply(TO_WORK, k * light.r()[i], k * light.g()[i], k * light.b()[i], out);
            float shown = k * y;
            p.r()[i] += (shown + (out[0] - shown) * saturation - p.r()[i]) * m;
            p.g()[i] += (shown + (out[1] - shown) * saturation - p.g()[i]) * m;
            p.b()[i] += (shown + (out[2] - shown) * saturation - p.b()[i]) * m;
          });
    }
  }
}
