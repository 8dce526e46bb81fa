package illuminar.core.analysis.air;

import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.filter.Ease;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.Arrays;
import java.util.Optional;

/**
 * What a hazy view tells about its air: where the sky is, the colour of the airlight, and how much
 * of the land's light comes through.
 *
 * <p>The airlight is that of the sky at the horizon or of the haziest land; the transmission
 * follows from the darkest channel (He, Sun, Tang, "Single image haze removal using dark channel
 * prior", 2009), or from the rows where the land is level ({@link LevelGround}).
 *
 * @param tone luminance of each small pixel's light
 * @param light of each small pixel, three channels of sRGB primaries, in shares of white
 * @param region share of the region at each small pixel; nothing else is looked at
 * @param sky light from which on a place is sky
 * @param horizon lowest small row of the sky; −1 where there is none
 * @param air colour of the airlight
 * @param land the land as level ground, where it is that
 */
public record HazyView(
    Plane tone,
    float[][] light,
    float[] region,
    float sky,
    int horizon,
    float[] air,
    Optional<LevelGround> land) {

  /** Share of the deviation of the ground as found first that another horizon must stay below. */
  private static final double BETTER = 0.75;

  /** Small rows below the horizon that haze may leave as light as the sky. */
  private static final int HAZY_ROWS = 16;

  /** Share of the region that a small pixel needs to tell anything. */
  static final float WHOLE = 0.5f;

  /** The same where its colour is measured. */
  static final float ALL = 0.999f;

  /** Share of the sky's light from which on a place counts as sky. */
  static final float SKY = 0.85f;

  /** The same above the horizon, where what is far darker is a roof or a tree. */
  private static final float DIM = 0.4f;

  /** A little haze stays, as the authors advise: without any, distance is lost. */
  private static final float KEPT = 0.95f;

  /**
   * @param light as {@link HazyView}; kept, not modified
   * @param region as {@link HazyView}; kept, not modified
   * @param raster the small grid
   */
  public static HazyView of(float[][] light, float[] region, Raster raster) {
    float[] tone = luminance(light, region.length);
    float sky = sky(tone, region, raster.width());
    Distance far = distance(light, tone, region, sky, raster);
    return new HazyView(
        new Plane(raster.width(), raster.height(), tone),
        light,
        region,
        sky,
        far.horizon,
        far.air,
        far.land);
  }

  /**
   * Transmission of each small pixel, 0 to 1, before it is refined along edges.
   *
   * @param guard how far the sky is spared, 0 to 1
   */
  public Plane through(double guard) {
    Plane out = Plane.of(tone.width(), tone.height());
    for (int i = 0; i < region.length; i++) {
      float haze = 0;
      if (region[i] >= WHOLE) {
        float sure = skyShare(tone.data()[i], sky, i / tone.width() < horizon);
        haze = Math.min(1, KEPT * least(light, air, i)) * (1 - (float) guard * sure);
      }
      out.data()[i] = 1 - haze;
    }
    return out;
  }

  /** Luminance of each small pixel's light. */
  private static float[] luminance(float[][] c, int n) {
    float[] out = new float[n];
    for (int i = 0; i < n; i++) {
      out[i] = Space.srgbLuminance(c[0][i], c[1][i], c[2][i]);
    }
    return out;
  }

  /**
   * What shows the haze, from one horizon.
   *
   * @param horizon lowest small row of the sky; −1 where there is none
   * @param air colour of the airlight
   * @param land the land as level ground, where it is that
   */
  private record Distance(int horizon, float[] air, Optional<LevelGround> land) {
    double off() {
      return land.map(LevelGround::off).orElse(1.0);
    }
  }

  /**
   * The horizon is the lowest row that is as light as the sky; but haze may have made the land
   * below it as light, so that a higher row is taken where the land is clearly more level seen from
   * it.
   */
  private static Distance distance(
      float[][] c, float[] tone, float[] region, float sky, Raster raster) {
    int lowest = horizon(tone, region, sky, raster.width());
    Distance first = from(lowest, c, tone, region, sky, raster);
    Distance best = first;
    for (int row = lowest - 1; row >= Math.max(1, lowest - HAZY_ROWS); row--) {
      Distance other = from(row, c, tone, region, sky, raster);
      best = other.off() < best.off() ? other : best;
    }
    return best.off() < BETTER * first.off() ? best : first;
  }

  private static Distance from(
      int horizon, float[][] c, float[] tone, float[] region, float sky, Raster raster) {
    float[] air = Airlight.of(c, tone, region, sky, horizon, raster.width());
    return new Distance(horizon, air, land(c, air, region, horizon, raster));
  }

  /** How far a place is sky: as light as the sky is, or above the horizon and not much darker. */
  private static float skyShare(float tone, float sky, boolean above) {
    float from = above ? DIM * sky : SKY * sky;
    return Ease.between((tone - from) / (0.3f * sky));
  }

  /** The land as level ground, where its rows show it to be that. */
  private static Optional<LevelGround> land(
      float[][] c, float[] air, float[] region, int horizon, Raster raster) {
    int w = raster.width();
    double[] haze = new double[raster.height()];
    int first = Math.max(0, horizon);
    int end = first;
    float[] row = new float[w];
    for (int j = first; j < raster.height(); j++) {
      int n = 0;
      for (int i = j * w; i < (j + 1) * w; i++) {
        if (region[i] >= ALL) {
          row[n++] = least(c, air, i);
        }
      }
      haze[j] = Double.NaN;
      if (n >= LEAST_WIDTH) {
        Arrays.sort(row, 0, n);
        haze[j] = Math.min(1, row[n / DARK_PART]);
        end = j + 1;
      }
    }
    return LevelGround.of(
        Arrays.copyOfRange(haze, first, end), raster.fullY(first), 1 / raster.scale());
  }

  /** Fewest small pixels by which a row can be measured. */
  private static final int LEAST_WIDTH = 8;

  /** A row's haze is that of its darkest pixels, all but one in so many being lighter. */
  private static final int DARK_PART = 10;

  /** Share of the airlight in the channel that has least of it. */
  private static float least(float[][] c, float[] air, int i) {
    return Math.min(c[0][i] / air[0], Math.min(c[1][i] / air[1], c[2][i] / air[2]));
  }

  /**
   * Light from which on a place is sky: of the two thresholds that part the region best into near,
   * far and sky (Otsu 1979) the upper one, where what is brighter lies above; else beyond all.
   */
  private static float sky(float[] tone, float[] region, int w) {
    int[] count = new int[BINS];
    double[] rows = new double[BINS];
    for (int i = 0; i < tone.length; i++) {
      if (region[i] >= WHOLE) {
        int b = bin(tone[i]);
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

  /** The lowest row that is mostly sky; −1 where there is none. */
  private static int horizon(float[] tone, float[] region, float sky, int w) {
    for (int row = tone.length / w - 1; row >= 0; row--) {
      int all = 0;
      int light = 0;
      for (int i = row * w; i < (row + 1) * w; i++) {
        if (region[i] >= ALL) {
          all++;
          light += tone[i] >= SKY * sky ? 1 : 0;
        }
      }
      if (all >= LEAST_WIDTH && light > all / 2) {
        return row;
      }
    }
    return -1;
  }
}
