package illuminar.core.pass;

import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Ease;
import illuminar.core.filter.Guided;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.render.Below;
import illuminar.core.render.Ready;
import illuminar.core.render.Tile;
import java.util.Arrays;

/**
 * Clears haze from the view, or adds mist.
 *
 * <p>Koschmieder's law: what is seen is object · t + airlight · (1 − t). The sky, which is no
 * object, is told apart and spared; the airlight is that of the haziest land, the transmission t
 * follows from the dark channel, refined along edges (He, Sun, Tang, "Single image haze removal
 * using dark channel prior", 2009; guided filter, 2010). All is looked at within the region alone.
 *
 * @param amount share of the haze that is taken out; below 0 mist is added, −1 to 1
 * @param guard how far the sky is spared, 0 to 1
 * @param saturation colours about their luminance where haze was, 1 leaves them
 */
public record ClearHaze(
    @Control(
            label = "Amount",
            unit = "%",
            from = -1,
            to = 1,
            step = 0.01,
            careful = 0.4,
            help = "Below 0 adds mist")
        double amount,
    @Control(
            label = "Sky guard",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            careful = 1,
            help = "How far the sky is spared")
        double guard,
    @Control(label = "Saturation", unit = "%", from = 0, to = 2, step = 0.01, careful = 1)
        double saturation)
    implements Move {

  /** Share of the haziest land that tells the airlight. */
  private static final double HAZIEST = 0.04;

  /** Least transmission that is believed; below, noise would be raised more than the view. */
  private static final float THINNEST = 0.12f;

  /** Share of the region that a small pixel needs to tell anything. */
  private static final float WHOLE = 0.5f;

  private static final float[] TO_SRGB = Space.WORK_TO_SRGB.floats();
  private static final float[] TO_WORK = Space.SRGB_TO_WORK.floats();

  public ClearHaze {
    Numbers.check(ClearHaze.class, "amount", amount);
    Numbers.check(ClearHaze.class, "guard", guard);
    Numbers.check(ClearHaze.class, "saturation", saturation);
  }

  /** Finds airlight and transmission on the small grid. */
  @Override
  public Ready prepare(Below below) {
    Picture p = below.picture();
    int w = p.width();
    int h = p.height();
    float[] region = below.region().copy();
    float[][] c = new float[3][w * h];
    float[] out = new float[3];
    for (int i = 0; i < w * h; i++) {
      Matrix3.apply(TO_SRGB, p.r()[i], p.g()[i], p.b()[i], out);
      for (int k = 0; k < 3; k++) {
        c[k][i] = Math.max(0, out[k]);
      }
    }
    float[] dark = dark(c, region, w, h);
    float sky = sky(dark, region, w);
    float[] air = air(c, dark, region, sky);
    Plane tone = Plane.of(w, h);
    Plane through = Plane.of(w, h);
    for (int i = 0; i < w * h; i++) {
      tone.data()[i] = Space.srgbLuminance(c[0][i], c[1][i], c[2][i]);
      float haze = 0;
      if (region[i] >= WHOLE) {
        float least = Math.min(c[0][i] / air[0], Math.min(c[1][i] / air[1], c[2][i] / air[2]));
        haze =
            Math.min(1, KEPT * least)
                * (1 - (float) guard * Ease.between((dark[i] - 0.85f * sky) / (0.3f * sky)));
      }
      through.data()[i] = 1 - haze;
    }
    Guided maps = Guided.of(tone, through, 2, 1e-4f);
    return new Work(this, air, maps, below.analysis().fullWidth(), below.analysis().fullHeight());
  }

  /** A little haze stays, as the authors advise: without any, distance is lost. */
  private static final float KEPT = 0.95f;

  /** The darkest of the three channels about each pixel of the region. */
  private static float[] dark(float[][] c, float[] region, int w, int h) {
    float[] out = new float[w * h];
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        float least = 1;
        for (int v = Math.max(0, y - 1); v <= Math.min(h - 1, y + 1); v++) {
          for (int u = Math.max(0, x - 1); u <= Math.min(w - 1, x + 1); u++) {
            int i = v * w + u;
            if (region[i] >= WHOLE) {
              least = Math.min(least, Math.min(c[0][i], Math.min(c[1][i], c[2][i])));
            }
          }
        }
        out[y * w + x] = least;
      }
    }
    return out;
  }

  /**
   * Dark channel from which on a place is sky: of the two thresholds that part the region best into
   * near, far and sky (Otsu 1979) the upper one, where what is brighter lies above; else beyond
   * all.
   */
  private static float sky(float[] dark, float[] region, int w) {
    int[] count = new int[BINS];
    double[] rows = new double[BINS];
    for (int i = 0; i < dark.length; i++) {
      if (region[i] >= WHOLE) {
        int b = bin(dark[i]);
        count[b]++;
        rows[b] += i / w;
      }
    }
    double best = 0;
    int cut = BINS;
    for (int low = 1; low < BINS - 1; low++) {
      for (int high = low + 1; high < BINS; high++) {
        double[] near = part(count, rows, 0, low);
        double[] far = part(count, rows, low, high);
        double[] top = part(count, rows, high, BINS);
        double between = near[1] + far[1] + top[1];
        if (top[0] > 0 && far[0] > 0 && top[2] < far[2] && between > best) {
          best = between;
          cut = high;
        }
      }
    }
    return cut == BINS ? 2 : (float) Srgb.decode((double) cut / BINS);
  }

  private static final int BINS = 64;

  /** Of some bins: how many pixels, their part in the variance between classes, their mean row. */
  private static double[] part(int[] count, double[] rows, int from, int to) {
    double n = 0;
    double sum = 0;
    double row = 0;
    for (int b = from; b < to; b++) {
      n += count[b];
      sum += (double) b * count[b];
      row += rows[b];
    }
    return new double[] {n, n == 0 ? 0 : sum * sum / n, n == 0 ? 0 : row / n};
  }

  private static int bin(float light) {
    return Math.max(0, Math.min(BINS - 1, (int) (BINS * Srgb.encode(light))));
  }

  /** Colour of the air: mean of the haziest land. */
  private static float[] air(float[][] c, float[] dark, float[] region, float sky) {
    float[] land = new float[region.length];
    int n = 0;
    for (int i = 0; i < region.length; i++) {
      if (region[i] >= WHOLE && dark[i] < 0.85f * sky) {
        land[n++] = dark[i];
      }
    }
    if (n == 0) {
      return new float[] {1, 1, 1};
    }
    Arrays.sort(land, 0, n);
    float least = land[Math.max(0, n - 1 - (int) (HAZIEST * n))];
    float[] air = new float[3];
    int used = 0;
    for (int i = 0; i < region.length; i++) {
      if (region[i] >= WHOLE && dark[i] < 0.85f * sky && dark[i] >= least) {
        for (int k = 0; k < 3; k++) {
          air[k] += c[k][i];
        }
        used++;
      }
    }
    for (int k = 0; k < 3; k++) {
      air[k] = Math.max(0.02f, air[k] / used);
    }
    return air;
  }

  private record Work(ClearHaze pass, float[] air, Guided maps, int fullWidth, int fullHeight)
      implements Ready.OnLight {

    @Override
    public void apply(Tile tile, Picture p) {
      if (tile.empty()) {
        return;
      }
      int w = tile.raster().width();
      MapRows[] rows =
          MapRows.of(fullWidth, fullHeight, tile.raster(), maps.slope(), maps.offset());
      float[][] row = new float[2][w];
      float[] c = new float[3];
      tile.each(
          p,
          j -> {
            rows[0].row(j, row[0], 0);
            rows[1].row(j, row[1], 0);
          },
          (i, m) -> {
            int x = i % w;
            Matrix3.apply(TO_SRGB, p.r()[i], p.g()[i], p.b()[i], c);
            float tone = Space.srgbLuminance(c[0], c[1], c[2]);
            clear(c, row[0][x] * tone + row[1][x]);
            Matrix3.apply(TO_WORK, c[0], c[1], c[2], c);
            p.r()[i] += (c[0] - p.r()[i]) * m;
            p.g()[i] += (c[1] - p.g()[i]) * m;
            p.b()[i] += (c[2] - p.b()[i]) * m;
          });
    }

    /**
     * One colour, display-linear.
     *
     * @param through transmission as found
     */
    private void clear(float[] c, float through) {
      float t = Math.max(0.02f, Math.min(1, through));
      float amount = (float) pass.amount;
      float k;
      if (amount >= 0) {
        // object = (seen − air) / t + air, as far as asked for
        k = 1 + amount * (1 / Math.max(t, THINNEST) - 1);
      } else {
        // as much haze again: the transmission to the power of what is added
        k = (float) Math.pow(t, -amount);
      }
      for (int b = 0; b < 3; b++) {
        c[b] = Math.max(0, (c[b] - air[b]) * k + air[b]);
      }
      float s = 1 + ((float) pass.saturation - 1) * (1 - t);
      float y = Space.srgbLuminance(c[0], c[1], c[2]);
      for (int b = 0; b < 3; b++) {
        c[b] = y + (c[b] - y) * s;
      }
    }
  }
}
