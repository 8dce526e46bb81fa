package illuminar.core.pass.kinds;

import illuminar.core.colour.Stops;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Guided;
import illuminar.core.pass.Fault;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Mends;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.pass.Tones;
import illuminar.core.pass.work.TonalGain;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.Arrays;

/**
 * Exposure, contrast, highlights, shadows and midtones.
 *
 * <p>All of them turn into one gain in stops from the pixel's tone, so hue and saturation stay,
 * unless saturation is to follow: then each channel has, as far as asked for, the gain for that
 * channel. Shadows, midtones and highlights follow the tone of the surroundings (an edge-keeping
 * base of the picture), so texture stays; contrast bends about mid grey and levels out at both
 * ends. The deepest tones are held when shadows are lifted, which keeps them from turning to mud.
 * Base: guided filter (He, Sun, Tang 2010); the weighting curves are our own.
 */
@Kind(
    id = "tone",
    name = "Tone",
    stage = Stage.TONE,
    help = "Brighter or darker, in all tones or only the light or the dark ones",
    sentence = "Adjust the tones of {region}:",
    says = {
      "{exposure:brighter|darker}",
      "contrast {contrast:higher|lower}",
      "highlights {highlights:higher|lower}",
      "midtones {midtones:higher|lower}",
      "shadows {shadows:higher|lower}",
      "saturation rising with contrast by {follow}"
    },
    mends = {
      @Mends(
          fault = Fault.HALO,
          everywhereOnly = true,
          control = "highlights",
          side = Mends.Side.OFF),
      @Mends(fault = Fault.HALO, everywhereOnly = true, control = "shadows", side = Mends.Side.OFF),
      @Mends(fault = Fault.MUD, control = "shadows", side = Mends.Side.ABOVE),
      @Mends(fault = Fault.MUD, control = "contrast", side = Mends.Side.BELOW)
    })
public record Tone(
    @Control(label = "Exposure", unit = "st", from = -5, to = 5, step = 0.05, defaultValue = 0)
        double exposure,
    @Control(label = "Contrast", unit = "", from = -100, to = 100, step = 1, defaultValue = 0)
        double contrast,
    @Control(
            label = "Highlights",
            unit = "",
            from = -100,
            to = 100,
            step = 1,
            defaultValue = 0,
            help = "Only the light tones; down brings burnt-looking areas back")
        double highlights,
    @Control(
            label = "Shadows",
            unit = "",
            from = -100,
            to = 100,
            step = 1,
            defaultValue = 0,
            help = "Only the dark tones; the deepest are held")
        double shadows,
    @Control(
            label = "Midtones",
            unit = "",
            from = -100,
            to = 100,
            step = 1,
            defaultValue = 0,
            help = "About mid grey; both ends stay")
        double midtones,
    @Control(
            label = "Saturation rises with contrast",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 0,
            help = "0 holds it; 100 % changes it as a curve on each channel does")
        double follow)
    implements Move {

  /** Changes nothing. */
  public static final Tone NONE = new Tone(0, 0, 0, 0, 0);

  public Tone {
    Numbers.check(Tone.class, "exposure", exposure);
    Numbers.check(Tone.class, "contrast", contrast);
    Numbers.check(Tone.class, "highlights", highlights);
    Numbers.check(Tone.class, "shadows", shadows);
    Numbers.check(Tone.class, "midtones", midtones);
    Numbers.check(Tone.class, "follow", follow);
  }

  /** Saturation held. */
  public Tone(
      double exposure, double contrast, double highlights, double shadows, double midtones) {
    this(exposure, contrast, highlights, shadows, midtones, 0);
  }

  /** Midtones left alone. */
  public Tone(double exposure, double contrast, double highlights, double shadows) {
    this(exposure, contrast, highlights, shadows, 0);
  }

  /** Whether the tone of the surroundings counts. */
  private boolean byPlace() {
    return highlights != 0 || shadows != 0 || midtones != 0;
  }

  /** Gain in stops for a tone and the tone of its surroundings, both in stops below white. */
  public static float gain(Tone tone, float tone2, float base) {
    return (float) tone.exposure
        + TonalGain.bend(tone2, (float) tone.contrast)
        + TonalGain.lift(base, (float) tone.highlights, (float) tone.shadows)
        + (float) tone.midtones * TonalGain.middle(base);
  }

  /** Finds the base of the picture below. */
  @Override
  public PreparedPass prepare(PassInput below) {
    Plane stops = byPlace() ? below.stops() : Plane.of(1, 1);
    int[] box = below.region().box();
    Guided maps =
        stops.width() > 1 && box[0] < box[2]
            ? Guided.within(stops, box, TonalGain.radius(stops), TonalGain.EDGE)
            : TonalGain.NO_BASE;
    int width = below.analysis().fullWidth();
    int height = below.analysis().fullHeight();
    return follow == 0
        ? new Work(this, maps, width, height)
        : new ByChannel(this, maps, width, height);
  }

  /** Gains of each channel's own tone. */
  private record ByChannel(Tone tone, Guided maps, int fullWidth, int fullHeight)
      implements PreparedPass.OnLight {

    @Override
    public void apply(Tile tile, Picture p) {
      if (tile.empty()) {
        return;
      }
      int w = tile.raster().width();
      Guided.Rows rows = maps.rows(fullWidth, fullHeight, tile.raster());
      tile.each(
          p,
          rows::to,
          (i, m) -> {
            float own = Stops.of(p.luminanceAt(i));
            float base = rows.at(i % w, own);
            float gain = gain(tone, own, base);
            for (int c = 0; c < 3; c++) {
              float[] light = p.channel(c);
              float channel = Stops.of(light[i]);
              float alone = gain(tone, channel, base + channel - own);
              light[i] *= Stops.light(m * (gain + (alone - gain) * (float) tone.follow));
            }
          });
    }
  }

  private record Work(Tone tone, Guided maps, int fullWidth, int fullHeight)
      implements PreparedPass.OnTones {

    @Override
    public void apply(Tile tile, Tones tones, int start) {
      Raster raster = tile.raster();
      int w = raster.width();
      boolean byPlace = tone.byPlace();
      MapRows[] maps =
          byPlace
              ? MapRows.of(fullWidth, fullHeight, raster, this.maps.slope(), this.maps.offset())
              : new MapRows[0];
      float[] base = new float[w];
      float[] work = new float[w];
      float[] gain = new float[w];
      for (int j = 0; j < raster.height(); j++) {
        int from = tile.region().from(j);
        int to = tile.region().to(j);
        if (from >= to) {
          continue;
        }
        int at = start + j * w;
        Arrays.fill(gain, from, to, (float) tone.exposure);
        if (tone.contrast != 0) {
          addBend(tones.stops(), at, from, to, (float) tone.contrast, gain);
        }
        if (byPlace) {
          base(maps, j, tones.stops(), at, from, to, work, base);
          addLift(base, from, to, (float) tone.highlights, (float) tone.shadows, work, gain);
          addMiddle(base, from, to, (float) tone.midtones, gain);
        }
        limit(tile, j, at, from, to, tones.stops(), gain);
        add(gain, at, from, to, tones);
      }
    }

    // The loops below are short and plain, so that the compiler works on eight pixels at once; a
    // longer one it would leave alone.

    private static void addBend(
        float[] stops, int at, int from, int to, float contrast, float[] gain) {
      for (int i = from; i < to; i++) {
        gain[i] += TonalGain.bend(stops[at + i], contrast);
      }
    }

    /** Tone of each pixel's surroundings. */
    private static void base(
        MapRows[] maps, int j, float[] stops, int at, int from, int to, float[] work, float[] out) {
      maps[0].row(j, from, to, work, 0);
      maps[1].row(j, from, to, out, 0);
      for (int i = from; i < to; i++) {
        out[i] += work[i] * stops[at + i];
      }
    }

    private static void addLift(
        float[] base,
        int from,
        int to,
        float highlights,
        float shadows,
        float[] work,
        float[] gain) {
      if (shadows != 0) {
        for (int i = from; i < to; i++) {
          work[i] = shadows * 0.015f * TonalGain.dark(base[i]);
        }
        for (int i = from; i < to; i++) {
          gain[i] += work[i] * TonalGain.held(base[i]);
        }
      }
      if (highlights != 0) {
        for (int i = from; i < to; i++) {
          gain[i] += highlights * 0.012f * TonalGain.light(base[i]);
        }
      }
    }

    private static void addMiddle(float[] base, int from, int to, float midtones, float[] gain) {
      if (midtones != 0) {
        for (int i = from; i < to; i++) {
          gain[i] += midtones * TonalGain.middle(base[i]);
        }
      }
    }

    private static void limit(
        Tile tile, int j, int at, int from, int to, float[] stops, float[] gain) {
      float[] share = tile.region().values();
      int first = tile.region().row(j);
      float strength = tile.strength();
      for (int i = from; i < to; i++) {
        gain[i] *= share[first + i] * strength;
      }
      if (!tile.gate().all()) {
        tile.gate().limit(stops, at, from, to, gain);
      }
    }

    private static void add(float[] gain, int at, int from, int to, Tones tones) {
      float[] stops = tones.stops();
      float[] sum = tones.gain();
      for (int i = from; i < to; i++) {
        stops[at + i] += gain[i];
      }
      for (int i = from; i < to; i++) {
        sum[at + i] += gain[i];
      }
    }
  }
}
