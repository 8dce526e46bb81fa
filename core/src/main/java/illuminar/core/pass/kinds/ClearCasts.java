package illuminar.core.pass.kinds;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.cast.Casts;
import illuminar.core.analysis.cast.OwnLean;
import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Gauss;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;

/**
 * Takes the casts of mixed light off the surfaces; their luminance stays.
 *
 * <p>The casts of the anchor frame are those of {@link Casts}; what passes below have done to
 * colours since is measured on the small grid and counted in. Told by surfaces alone, only what
 * stands near the local light's colour is cleared, so that coloured things keep theirs.
 *
 * @param reference id of the flash frame or of the one with the lamps off; empty where surfaces
 *     tell
 * @param amount share of the cast that is taken out, 0 to 1
 * @param warmth share of the lamps' warmth near them that is kept, 0 to 1
 */
@Kind(
    id = "clear-casts",
    name = "Remove colour casts",
    stage = Stage.COLOUR,
    help = "White walls without the colour of lamps or of daylight",
    sentence = "Remove {amount} of the colour cast in {region}, measured by {source}",
    says = {"{warmth} of the lamps' warmth kept"})
public record ClearCasts(
    Casts.Source source,
    String reference,
    @Control(
            label = "Amount",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 0.85,
            neutral = 0)
        double amount,
    @Control(
            label = "Warmth kept",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 0.5,
            neutral = 0,
            help = "How much of their warm light lamps keep about them")
        double warmth)
    implements Move {

  public ClearCasts {
    Numbers.check(ClearCasts.class, "amount", amount);
    Numbers.check(ClearCasts.class, "warmth", warmth);
  }

  /**
   * @throws IllegalArgumentException if the reference is not there, or cannot tell
   */
  @Override
  public PreparedPass prepare(PassInput below) {
    Analysis analysis = below.analysis();
    Casts casts = Casts.of(analysis, source, reference);
    Picture now = below.picture();
    OwnLean then = OwnLean.of(analysis, analysis.frames().anchor(), analysis.small());
    Plane red = Plane.of(now.width(), now.height());
    Plane blue = Plane.of(now.width(), now.height());
    float[] toSrgb = Space.WORK_TO_SRGB.floats();
    float[] c = new float[3];
    for (int i = 0; i < red.data().length; i++) {
      Matrix3.apply(toSrgb, now.r()[i], now.g()[i], now.b()[i], c);
      red.data()[i] = changed(c[0], c[1], then.red().data()[i]);
      blue.data()[i] = changed(c[2], c[1], then.blue().data()[i]);
    }
    Plane[] maps = {casts.red(), casts.blue(), casts.glow(), casts.share()};
    Plane[] since = Gauss.smooth(1.5, red, blue);
    return new Work(this, maps, since, analysis.fullWidth(), analysis.fullHeight());
  }

  /** How a lean changed since the frame; black places tell nothing. */
  private static float changed(float a, float b, float then) {
    if (Math.min(a, b) < 0.002f) {
      return 0;
    }
    float d = Stops.of(a) - Stops.of(b) - then;
    return Math.max(-1.5f, Math.min(1.5f, d));
  }

  private record Work(ClearCasts pass, Plane[] casts, Plane[] since, int fullWidth, int fullHeight)
      implements PreparedPass.OnLight {
    private static final float[] TO_SRGB = Space.WORK_TO_SRGB.floats();
    private static final float[] TO_WORK = Space.SRGB_TO_WORK.floats();

    @Override
    public void apply(Tile tile, Picture p) {
      if (tile.empty()) {
        return;
      }
      Raster raster = tile.raster();
      MapRows[] fine = MapRows.of(fullWidth, fullHeight, raster, casts);
      MapRows[] coarse = MapRows.of(fullWidth, fullHeight, raster, since);
      int w = raster.width();
      Row row = new Row(w);
      tile.rows(
          p,
          (j, from, to, amount) -> {
            fine[0].row(j, from, to, row.red, 0);
            fine[1].row(j, from, to, row.blue, 0);
            fine[2].row(j, from, to, row.glow, 0);
            fine[3].row(j, from, to, row.share, 0);
            coarse[0].row(j, from, to, row.work, 0);
            add(row.work, row.red, from, to);
            coarse[1].row(j, from, to, row.work, 0);
            add(row.work, row.blue, from, to);
            clear(p, j * w, from, to, amount, row);
          });
    }

    // The loops below are short and plain, so that the compiler works on eight pixels at once.

    private static void add(float[] more, float[] sum, int from, int to) {
      for (int x = from; x < to; x++) {
        sum[x] += more[x];
      }
    }

    /** One row; {@code amount} is modified. */
    private void clear(Picture p, int at, int from, int to, float[] amount, Row row) {
      int n = to - from;
      float[][] c = row.colour;
      Matrix3.apply(TO_SRGB, p.planes(), at + from, c, from, n);
      times((float) pass.amount, row.share, amount, from, to);
      keepWarmth(row, from, to, amount);
      if (pass.source == Casts.Source.SURFACES) {
        nearOnly(row, from, to, amount);
      }
      out(row.red, amount, from, to, row.work, c[0]);
      out(row.blue, amount, from, to, row.work, c[2]);
      Matrix3.apply(TO_WORK, c, from, row.cleared, from, n);
      luminance(p.planes(), at, from, to, row.work);
      luminance(row.cleared, 0, from, to, row.red);
      for (int k = 0; k < 3; k++) {
        scaled(row.cleared[k], row.work, row.red, from, to, p.channel(k), at);
      }
    }

    private static void times(float k, float[] share, float[] amount, int from, int to) {
      for (int x = from; x < to; x++) {
        amount[x] *= k * share[x];
      }
    }

    private void keepWarmth(Row row, int from, int to, float[] amount) {
      float warmth = (float) pass.warmth;
      for (int x = from; x < to; x++) {
        if (row.red[x] > row.blue[x]) {
          amount[x] *= 1 - warmth * row.glow[x];
        }
      }
    }

    /** Takes the cast out of one channel; {@code work} is written. */
    private static void out(
        float[] cast, float[] amount, int from, int to, float[] work, float[] channel) {
      for (int x = from; x < to; x++) {
        work[x] = -amount[x] * cast[x];
      }
      Stops.light(work, from, work, from, to - from);
      for (int x = from; x < to; x++) {
        channel[x] *= work[x];
      }
    }

    private static void luminance(float[][] c, int at, int from, int to, float[] out) {
      float[] r = c[0];
      float[] g = c[1];
      float[] b = c[2];
      for (int x = from; x < to; x++) {
        out[x] = Math.max(1e-6f, Space.luminance(r[at + x], g[at + x], b[at + x]));
      }
    }

    private static void scaled(
        float[] in, float[] should, float[] is, int from, int to, float[] out, int at) {
      for (int x = from; x < to; x++) {
        out[at + x] = in[x] * should[x] / is[x];
      }
    }

    /** Leaves out what stands far from the colour of a grey in the local light. */
    private static void nearOnly(Row row, int from, int to, float[] amount) {
      Stops.light(row.red, from, row.work, from, to - from);
      lean(row.colour[0], row.colour[1], row.work, from, to, row.away[0]);
      Stops.light(row.blue, from, row.work, from, to - from);
      lean(row.colour[2], row.colour[1], row.work, from, to, row.away[1]);
      float[] u = row.away[0];
      float[] v = row.away[1];
      for (int x = from; x < to; x++) {
        float d = (float) Math.sqrt(u[x] * u[x] + v[x] * v[x]);
        amount[x] *= Casts.grey(d);
      }
    }

    /**
     * log2 of a channel over green times the local lean, by 2 atanh(z) / ln 2 to its third term:
     * exact to a millionth where it is near 0, and large where it is large.
     */
    private static void lean(
        float[] channel, float[] green, float[] lean, int from, int to, float[] out) {
      for (int x = from; x < to; x++) {
        float a = Math.max(1e-4f, channel[x]);
        float b = Math.max(1e-4f, green[x]) * lean[x];
        float z = (a - b) / (a + b);
        float z2 = z * z;
        out[x] = 2.8853901f * z * (1 + z2 * (1 / 3f + z2 * (1 / 5f)));
      }
    }
  }

  /** Work storage for one row. */
  private static final class Row {
    final float[] red;
    final float[] blue;
    final float[] glow;
    final float[] share;
    final float[] work;
    final float[][] away;
    final float[][] colour;
    final float[][] cleared;

    Row(int width) {
      red = new float[width];
      blue = new float[width];
      glow = new float[width];
      share = new float[width];
      work = new float[width];
      away = new float[2][width];
      colour = new float[3][width];
      cleared = new float[3][width];
    }
  }
}
