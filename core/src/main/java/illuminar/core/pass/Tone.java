package illuminar.core.pass;

import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.filter.Guided;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.render.Below;
import illuminar.core.render.Ready;
import illuminar.core.render.Tile;

/**
 * Exposure, contrast, highlights and shadows.
 *
 * <p>All four turn into one gain in stops from the pixel's tone, so hue and saturation stay.
 * Shadows and highlights follow the tone of the surroundings (an edge-keeping base of the picture),
 * so texture stays; contrast bends about mid grey and levels out at both ends. The deepest tones
 * are held when shadows are lifted, which keeps them from turning to mud. Base: guided filter (He,
 * Sun, Tang 2010); the weighting curves are our own.
 */
public record Tone(
    @Control(label = "Exposure", unit = "st", from = -5, to = 5, step = 0.05, careful = 0)
        double exposure,
    @Control(label = "Contrast", unit = "", from = -100, to = 100, step = 1, careful = 0)
        double contrast,
    @Control(
            label = "Highlights",
            unit = "",
            from = -100,
            to = 100,
            step = 1,
            careful = 0,
            help = "Only the light tones; down brings burnt-looking areas back")
        double highlights,
    @Control(
            label = "Shadows",
            unit = "",
            from = -100,
            to = 100,
            step = 1,
            careful = 0,
            help = "Only the dark tones; the deepest are held")
        double shadows)
    implements Move {

  /** Changes nothing. */
  public static final Tone NONE = new Tone(0, 0, 0, 0);

  private static final float MID_GREY = -2.4739f;
  private static final float SPAN = 3f;
  private static final float EDGE = 0.35f;
  private static final float PER_STOP = 32;
  private static final int STEPS = 26 * 32;

  public Tone {
    Catalogue.check(Tone.class, "exposure", exposure);
    Catalogue.check(Tone.class, "contrast", contrast);
    Catalogue.check(Tone.class, "highlights", highlights);
    Catalogue.check(Tone.class, "shadows", shadows);
  }

  /** Gain in stops for a tone and the tone of its surroundings, both in stops below white. */
  public static float gain(Tone tone, float tone2, float base) {
    float gain = (float) tone.exposure;
    if (tone.contrast != 0) {
      float d = (tone2 - MID_GREY) / SPAN;
      gain += (float) (tone.contrast / 100) * 0.4f * SPAN * d / (1 + d * d);
    }
    if (tone.shadows != 0) {
      gain += (float) (tone.shadows / 100) * 1.5f * shadowShare(base);
    }
    if (tone.highlights != 0) {
      gain += (float) (tone.highlights / 100) * 1.2f * ease(-2.6f, 0.2f, base);
    }
    return gain;
  }

  /** 0 from two stops below white up, 1 about five below, falling again in the deepest tones. */
  static float shadowShare(float base) {
    return ease(-1.8f, -5.2f, base) * (1 - 0.75f * ease(-6.5f, -11f, base));
  }

  private static float ease(float from, float to, float x) {
    float t = (x - from) / (to - from);
    t = t < 0 ? 0 : t > 1 ? 1 : t;
    return t * t * (3 - 2 * t);
  }

  /** Finds the base of the picture below. */
  @Override
  public Ready prepare(Below below) {
    boolean needsBase = shadows != 0 || highlights != 0;
    Plane stops = needsBase ? stops(below.picture()) : Plane.of(1, 1);
    int radius = Math.max(2, Math.round(Math.max(stops.width(), stops.height()) * 0.022f));
    int[] box = below.region().box();
    Guided base =
        needsBase && box[0] < box[2]
            ? Guided.within(stops, box, radius, EDGE)
            : new Guided(stops, stops);
    return new Work(
        tables(), base, needsBase, below.analysis().fullWidth(), below.analysis().fullHeight());
  }

  private static Plane stops(Picture p) {
    Plane stops = Plane.of(p.width(), p.height());
    for (int i = 0; i < stops.data().length; i++) {
      stops.data()[i] = Stops.of(p.luminanceAt(i));
    }
    return stops;
  }

  /** Gains by tone and by tone of the surroundings, which add up; 32 entries a stop. */
  private float[][] tables() {
    Tone byTone = new Tone(exposure, contrast, 0, 0);
    Tone byPlace = new Tone(0, 0, highlights, shadows);
    float[][] t = new float[2][STEPS + 2];
    for (int i = 0; i < STEPS + 2; i++) {
      float stops = Stops.BLACK + i / PER_STOP;
      t[0][i] = gain(byTone, stops, stops);
      t[1][i] = gain(byPlace, stops, stops);
    }
    return t;
  }

  private record Work(
      float[][] tables, Guided base, boolean needsBase, int fullWidth, int fullHeight)
      implements Ready {

    @Override
    public int margin(double scale) {
      return 0;
    }

    private static float look(float[] table, float stops) {
      float at = (stops - Stops.BLACK) * PER_STOP;
      at = at < 0 ? 0 : at > STEPS ? STEPS : at;
      int i = (int) at;
      return table[i] + (table[i + 1] - table[i]) * (at - i);
    }

    @Override
    public void apply(Tile tile) {
      Raster raster = tile.raster();
      MapRows rows =
          new MapRows(base.slope().width(), base.slope().height(), fullWidth, fullHeight, raster);
      float[] slope = new float[raster.width()];
      float[] offset = new float[raster.width()];
      for (int j = 0; j < raster.height(); j++) {
        int from = tile.region().from(j);
        int to = tile.region().to(j);
        if (from >= to) {
          continue;
        }
        if (needsBase) {
          rows.row(base.slope().data(), j, from, to, slope, 0);
          rows.row(base.offset().data(), j, from, to, offset, 0);
        }
        line(tile, j, from, to, slope, offset);
      }
    }

    private void line(Tile tile, int j, int from, int to, float[] slope, float[] offset) {
      int at = j * tile.raster().width();
      int share = tile.region().row(j);
      float[] region = tile.region().values();
      float[] r = tile.picture().r();
      float[] g = tile.picture().g();
      float[] b = tile.picture().b();
      boolean gated = !tile.gate().all();
      for (int i = from; i < to; i++) {
        float stops = Stops.of(Space.luminance(r[at + i], g[at + i], b[at + i]));
        float amount = region[share + i] * tile.strength();
        if (gated) {
          amount *= tile.gate().open(stops);
        }
        float gain = look(tables[0], stops);
        if (needsBase) {
          gain += look(tables[1], slope[i] * stops + offset[i]);
        }
        float factor = Stops.light(gain * amount);
        r[at + i] *= factor;
        g[at + i] *= factor;
        b[at + i] *= factor;
      }
    }
  }
}
