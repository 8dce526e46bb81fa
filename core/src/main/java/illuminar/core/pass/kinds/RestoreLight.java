package illuminar.core.pass.kinds;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.Burning;
import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Ease;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Response;
import illuminar.core.pass.Fault;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Mends;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.pass.work.LampLight;
import illuminar.core.pass.work.Relight;
import illuminar.core.picture.Picture;
import illuminar.core.region.Coverage;

/**
 * Restores burnt lamps, pendants and specular spots from a darker frame, their glow kept.
 *
 * <p>The darker frame's light, at the anchor's exposure, is drawn down from {@code from} on so that
 * the brightest of it within the region stands at {@code brightest}; what is darker stays the
 * picture below. A pixel that is partly lamp and partly what stands beside it is mixed from both
 * (the compositing equation, Porter and Duff 1984): as light it would be burnt, and the lamp's edge
 * ragged. Nothing becomes lighter than the picture below: a ground that already holds a reveal
 * keeps it. The curve is a straight line in stops above its start; our own.
 *
 * @param frame id of a frame in which the lamps are not burnt
 */
@Kind(
    id = "restore-light",
    name = "Recover burnt areas",
    stage = Stage.WINDOWS,
    help = "Lamps and shades that are plain white get their shape back",
    sentence = "Recover burnt areas in {region} from {frame}",
    says = {"up to {brightest:above|below} white"},
    asksRegion = true,
    mends = {@Mends(fault = Fault.HALO, control = "from")})
public record RestoreLight(
    String frame,
    @Control(
            label = "From",
            unit = "st",
            from = -4,
            to = 0,
            step = 0.05,
            defaultValue = -1.2,
            help = "Stops below burning from which on light is drawn down")
        double from,
    @Control(
            label = "Brightest",
            unit = "st",
            from = -3,
            to = 0,
            step = 0.05,
            defaultValue = -0.1,
            neutral = 0,
            help = "Where the brightest of the lamp stands, below white")
        double brightest)
    implements Move {

  /** Over how many stops the darker frame comes in. */
  private static final double EASE = 1.6;

  /** The brightest is what all but one in so many pixels of the lamps stay below. */
  private static final int SPECKS = 200;

  /**
   * Light of two neighbours up to so many times each other is shading; from twice that on an edge.
   */
  private static final float SHADING = 1.6f;

  /** Pixels of a raster's side that are worked on at once. */
  private static final int SQUARE = 16;

  /** Pixels at full size over which an edge of a lamp is spread by lens and file. */
  private static final double REACH = 2;

  private static final float[] TO_SRGB = Space.WORK_TO_SRGB.floats();
  private static final float[] TO_WORK = Space.SRGB_TO_WORK.floats();

  public RestoreLight {
    Numbers.check(RestoreLight.class, "from", from);
    Numbers.check(RestoreLight.class, "brightest", brightest);
  }

  /**
   * Finds how bright the brightest within the region is.
   *
   * @throws IllegalArgumentException if the frame is not there
   */
  @Override
  public PreparedPass prepare(PassInput below) {
    Analysis analysis = below.analysis();
    Frame dark = analysis.frames().get(frame);
    double gain = Math.pow(2, analysis.frames().anchorFrame().stops() - dark.stops());
    Relight relight = new Relight(analysis.frames().response());
    return new Work(
        frame,
        analysis.frames().anchor(),
        relight,
        curve((float) gain, most(below)),
        new LampLight(relight, (float) gain));
  }

  /** The curve that draws light down. */
  private Down curve(float gain, double most) {
    double top = Math.max(from + 0.01, brightest);
    double slope = most > top ? (top - from) / (most - from) : 1;
    return new Down(gain, (float) from, (float) slope, (float) EASE);
  }

  /** Stops above burning of the brightest light within the region, at least 0. */
  private double most(PassInput below) {
    float[] region = below.region().copy();
    Burning burning = Burning.of(below.analysis(), frame);
    float[] found = new float[burning.at().length];
    int n = 0;
    for (int k = 0; k < found.length; k++) {
      if (region[burning.at()[k]] > 0) {
        found[n++] = burning.luminance()[k];
      }
    }
    return n == 0 ? 0 : log2(found[n / SPECKS]);
  }

  private static float luminance(float[] rgb) {
    return Space.srgbLuminance(rgb[0], rgb[1], rgb[2]);
  }

  private static double log2(double x) {
    return Math.log(x) / Math.log(2);
  }

  /**
   * Draws light down.
   *
   * @param gain from the darker frame's exposure to the anchor's
   * @param from stops from which on
   * @param slope of the line above, 0 to 1
   * @param ease stops over which it comes in
   */
  public record Down(float gain, float from, float slope, float ease) {

    /** How far the darker frame counts where it shows so much luminance, 0 to 1. */
    public float share(float luminance) {
      return Ease.between((Stops.of(luminance * gain) - from) / ease);
    }

    /**
     * Draws one colour down.
     *
     * @param light of the darker frame; modified to what is shown of it, at the anchor's exposure
     */
    public void apply(float[] light) {
      float over = Stops.of(luminance(light) * gain) - from;
      float k = over > 0 ? gain * Stops.light((slope - 1) * over) : gain;
      for (int c = 0; c < 3; c++) {
        light[c] *= k;
      }
    }
  }

  private record Work(String frame, String anchor, Relight relight, Down down, LampLight lamps)
      implements PreparedPass.OnLight {

    /** How far round a pixel the lamp that shines into it is looked for. */
    private static int reach(double scale) {
      return Math.max(1, (int) Math.round(REACH * scale));
    }

    @Override
    public int margin(double scale) {
      return reach(scale) + 1;
    }

    @Override
    public boolean fine() {
      return true;
    }

    /** Works in squares, so that where the region does not reach costs nothing. */
    @Override
    public void apply(Tile tile, Picture below) {
      Picture dark = tile.frames().apply(frame);
      Picture room = tile.frames().apply(anchor);
      for (int top = 0; top < tile.raster().height(); top += SQUARE) {
        for (int left = 0; left < tile.raster().width(); left += SQUARE) {
          int w = Math.min(SQUARE, tile.raster().width() - left);
          int h = Math.min(SQUARE, tile.raster().height() - top);
          if (tile.region().reaches(left, top, w, h)) {
            square(tile, left, top, w, h, dark, room, below);
          }
        }
      }
    }

    private void square(
        Tile tile, int x, int y, int w, int h, Picture dark, Picture room, Picture below) {
      int reach = reach(tile.raster().scale());
      int left = Math.max(0, x - reach);
      int top = Math.max(0, y - reach);
      Picture light =
          Picture.of(
              Math.min(dark.width(), x + w + reach) - left,
              Math.min(dark.height(), y + h + reach) - top);
      lamps.light(dark, room, left, top, light);
      float[] lamp = LampLight.brightest(light, LampLight.within(tile, left, top, light), reach);
      float[][] work = new float[3][3];
      Coverage region = tile.region();
      for (int v = y; v < y + h; v++) {
        int end = Math.min(x + w, region.to(v));
        for (int u = Math.max(x, region.from(v)); u < end; u++) {
          int k = (v - top) * light.width() + u - left;
          if (region.at(u, v) > 0 && down.share(lamp[k]) > 0) {
            int i = v * below.width() + u;
            float m = region.at(u, v) * tile.amount(below, i);
            restore(light, k, lamp[k], below, i, m, work);
          }
        }
      }
    }

    /** One pixel; {@code work} is worked with. */
    private void restore(
        Picture light, int k, float lamp, Picture below, int i, float m, float[][] work) {
      float[] under = work[0];
      float[] colour = work[2];
      Matrix3.apply(TO_SRGB, below.r()[i], below.g()[i], below.b()[i], under);
      restored(light, k, lamp, under, work[1], colour);
      for (int c = 0; c < 3; c++) {
        under[c] += (colour[c] - under[c]) * m;
      }
      Matrix3.apply(TO_WORK, under[0], under[1], under[2], under);
      below.r()[i] = under[0];
      below.g()[i] = under[1];
      below.b()[i] = under[2];
    }

    /**
     * One pixel, display-linear: as far as it is the lamp (its light over the brightest beside it)
     * the darker frame's; for the rest the picture below, drawn down by as much as the light is.
     *
     * @param lamp the brightest light beside the pixel
     * @param own worked with
     * @param out written
     */
    private void restored(
        Picture light, int k, float lamp, float[] below, float[] own, float[] out) {
      Response response = relight.response();
      float y = LampLight.luminance(light, k);
      float part = y / lamp;
      // a lamp's own shading is no edge
      float edge = Ease.between((lamp / y - SHADING) / SHADING);
      for (int c = 0; c < 3; c++) {
        own[c] = light.channel(c)[k];
        out[c] = own[c] * (1 + (1 / part - 1) * edge);
      }
      down.apply(own);
      down.apply(out);
      float share = down.share(y) + (part * down.share(lamp) - down.share(y)) * edge;
      for (int c = 0; c < 3; c++) {
        float before =
            Math.max(1e-4f, response.toDisplay(c, Math.min(1, light.channel(c)[k] * down.gain)));
        float drawn = below[c] * Math.min(1, response.toDisplay(c, Math.min(1, own[c])) / before);
        out[c] = drawn + (response.toDisplay(c, Math.min(1, out[c])) - drawn) * share;
      }
      darken(out, RestoreLight.luminance(below));
    }

    /** Holds a colour below a luminance: where nothing burns, nothing is to be restored. */
    private static void darken(float[] colour, float most) {
      float y = RestoreLight.luminance(colour);
      if (y > most) {
        float k = Math.max(0, most) / y;
        for (int c = 0; c < 3; c++) {
          colour[c] *= k;
        }
      }
    }
  }
}
