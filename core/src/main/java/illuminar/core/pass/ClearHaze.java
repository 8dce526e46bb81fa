package illuminar.core.pass;

import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Ease;
import illuminar.core.filter.Guided;
import illuminar.core.frame.Response;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.render.Below;
import illuminar.core.render.Ready;
import illuminar.core.render.Tile;
import java.util.Arrays;
import java.util.Optional;

/**
 * Clears haze from the view, or adds mist.
 *
 * <p>Koschmieder's law: what is seen is object · t + airlight · (1 − t). It holds for light, so
 * that the picture is turned back into light by the camera's response first. The sky, which is no
 * object, is told apart and spared; the airlight is that of the sky at the horizon or of the
 * haziest land, the transmission t follows from the darkest channel, refined along edges (He, Sun,
 * Tang, "Single image haze removal using dark channel prior", 2009; guided filter, 2010). Where the
 * land is level, its rows tell the transmission better ({@link LevelGround}): pale land has no dark
 * channel. All is looked at within the region alone.
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

  /**
   * Transmission from which on nothing, and all, of the haze is cleared; where hardly anything
   * comes through, noise would be raised more than the land.
   */
  private static final float NOTHING = 0.1f;

  private static final float THIN = 0.25f;

  /** Share of the deviation of the ground as found first that another horizon must stay below. */
  private static final double BETTER = 0.75;

  /** Small rows below the horizon that haze may leave as light as the sky. */
  private static final int HAZY_ROWS = 16;

  /** Share of the region that a small pixel needs to tell anything. */
  private static final float WHOLE = 0.5f;

  /** The same where its colour is measured. */
  private static final float ALL = 0.999f;

  /** Share of the sky's light from which on a place counts as sky. */
  private static final float SKY = 0.85f;

  /** The same above the horizon, where what is far darker is a roof or a tree. */
  private static final float DIM = 0.4f;

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
    Response response = below.analysis().frames().response();
    float[] region = below.region().copy();
    float[][] c = new float[3][w * h];
    float[] out = new float[3];
    for (int i = 0; i < w * h; i++) {
      Matrix3.apply(TO_SRGB, p.r()[i], p.g()[i], p.b()[i], out);
      for (int k = 0; k < 3; k++) {
        c[k][i] = toLight(response, k, out[k]);
      }
    }
    float[] tone = luminance(c, w * h);
    float sky = sky(tone, region, w);
    Distance far = distance(c, tone, region, sky, below.raster());
    Plane through = Plane.of(w, h);
    for (int i = 0; i < w * h; i++) {
      float haze = 0;
      if (region[i] >= WHOLE) {
        double spared = guard * skyShare(tone[i], sky, i / w < far.horizon);
        haze = Math.min(1, KEPT * least(c, far.air, i)) * (float) (1 - spared);
      }
      through.data()[i] = 1 - haze;
    }
    return new Work(
        this,
        response,
        far.air,
        Guided.of(new Plane(w, h, tone), through, 2, 1e-4f),
        far.land,
        below.analysis().fullWidth(),
        below.analysis().fullHeight());
  }

  /** Light behind a display-linear value; above white, where there is no response, the same. */
  private static float toLight(Response response, int channel, float display) {
    return display > 1 ? display : response.toLight(channel, Math.max(0, display));
  }

  /**
   * What the haze is made out by.
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
    float[] air = air(c, tone, region, sky, horizon, raster.width());
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

  /** Small pixels that a row needs to be told by. */
  private static final int LEAST_WIDTH = 8;

  /** A row's haze is that of its darkest pixels, all but one in so many being lighter. */
  private static final int DARK_PART = 10;

  /** Share of the airlight in the channel that has least of it. */
  private static float least(float[][] c, float[] air, int i) {
    return Math.min(c[0][i] / air[0], Math.min(c[1][i] / air[1], c[2][i] / air[2]));
  }

  /** A little haze stays, as the authors advise: without any, distance is lost. */
  private static final float KEPT = 0.95f;

  /** Luminance of each small pixel's light. */
  private static float[] luminance(float[][] c, int n) {
    float[] out = new float[n];
    for (int i = 0; i < n; i++) {
      out[i] = Space.srgbLuminance(c[0][i], c[1][i], c[2][i]);
    }
    return out;
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

  /**
   * Colour of the air: the sky's at the horizon (Koschmieder's law), where there is a sky; else the
   * mean of the haziest land.
   */
  private static float[] air(
      float[][] c, float[] tone, float[] region, float sky, int horizon, int w) {
    float[] air = new float[3];
    int used = 0;
    for (int i = Math.max(0, horizon - 1) * w; i < (horizon + 1) * w; i++) {
      if (region[i] >= ALL && tone[i] >= SKY * sky) {
        for (int k = 0; k < 3; k++) {
          air[k] += c[k][i];
        }
        used++;
      }
    }
    if (used == 0) {
      return haziest(c, tone, region, sky);
    }
    for (int k = 0; k < 3; k++) {
      air[k] = Math.max(0.02f, air[k] / used);
    }
    return air;
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

  /** Mean colour of the haziest land. */
  private static float[] haziest(float[][] c, float[] tone, float[] region, float sky) {
    float[] land = new float[region.length];
    int n = 0;
    for (int i = 0; i < region.length; i++) {
      if (region[i] >= WHOLE && tone[i] < SKY * sky) {
        land[n++] = tone[i];
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
      if (region[i] >= WHOLE && tone[i] < SKY * sky && tone[i] >= least) {
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

  private record Work(
      ClearHaze pass,
      Response response,
      float[] air,
      Guided maps,
      Optional<LevelGround> land,
      int fullWidth,
      int fullHeight)
      implements Ready.OnLight, Ready.Telling {

    /** Transmission. */
    @Override
    public Plane told(Picture below, Raster raster) {
      Guided.Rows rows = maps.rows(fullWidth, fullHeight, raster);
      int w = raster.width();
      float[] c = new float[3];
      Plane out = Plane.of(w, raster.height());
      for (int i = 0; i < out.data().length; i++) {
        if (i % w == 0) {
          rows.to(i / w);
        }
        Matrix3.apply(TO_SRGB, below.r()[i], below.g()[i], below.b()[i], c);
        toLight(c);
        float found = rows.at(i % w, Space.srgbLuminance(c[0], c[1], c[2]));
        float t = through(found, level(raster, i / w), c);
        out.data()[i] = Math.max(0, Math.min(1, t));
      }
      return out;
    }

    /** Haze is borne out where the land lies level and thins it row by row. */
    @Override
    public boolean sure() {
      return land.isPresent();
    }

    private void toLight(float[] c) {
      for (int k = 0; k < 3; k++) {
        c[k] = ClearHaze.toLight(response, k, c[k]);
      }
    }

    /** Transmission of level ground at a row; 0 where there is none. */
    private float level(Raster raster, int row) {
      return land.map(l -> l.through(raster.fullY(row))).orElse(0f);
    }

    /**
     * Transmission of a pixel: as the level ground has it at its row, but never less than what lets
     * its darkest channel through.
     *
     * @param found by the dark channel alone
     * @param level of the row, 0 where there is none
     */
    private float through(float found, float level, float[] c) {
      if (level <= 0) {
        return found;
      }
      float least = Math.min(c[0] / air[0], Math.min(c[1] / air[1], c[2] / air[2]));
      return Math.max(level, 1 - Math.max(0, least));
    }

    @Override
    public void apply(Tile tile, Picture p) {
      if (tile.empty()) {
        return;
      }
      int w = tile.raster().width();
      Guided.Rows rows = maps.rows(fullWidth, fullHeight, tile.raster());
      float[] c = new float[3];
      float[] level = new float[1];
      tile.each(
          p,
          j -> {
            rows.to(j);
            level[0] = level(tile.raster(), j);
          },
          (i, m) -> {
            Matrix3.apply(TO_SRGB, p.r()[i], p.g()[i], p.b()[i], c);
            toLight(c);
            float tone = Space.srgbLuminance(c[0], c[1], c[2]);
            clear(c, through(rows.at(i % w, tone), level[0], c));
            for (int k = 0; k < 3; k++) {
              c[k] = c[k] > 1 ? c[k] : response.toDisplay(k, c[k]);
            }
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
        float told = Ease.between((t - NOTHING) / (THIN - NOTHING));
        k = 1 + amount * told * (1 / Math.max(t, NOTHING) - 1);
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
