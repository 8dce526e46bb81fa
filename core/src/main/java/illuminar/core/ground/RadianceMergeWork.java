package illuminar.core.ground;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.MergedLight;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.Stops;
import illuminar.core.colour.WorkingSpace;
import illuminar.core.filter.Guided;
import illuminar.core.frame.FrameRows;
import illuminar.core.frame.Response;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Function;

/**
 * A radiance merge: of the light that the frames measured together ({@link MergedLight}), the wide
 * differences, found by an edge-keeping base, are compressed towards the middle; the rest is
 * rendered by the camera's own response, or by one soft curve, its colours its own.
 *
 * <p>Sources: base and detail after Durand and Dorsey 2002, the base by the guided filter (He, Sun,
 * Tang 2010).
 */
public final class RadianceMergeWork implements GroundWork {
  private static final float EDGE = 0.45f;

  /** Tone that the middle of the light is shown at as it was lit, stops: L* 58. */
  private static final float MIDDLE = -1.9f;

  /** Tone from which on the light end is drawn together, and which it stays below. */
  private static final float KNEE = -1.3f;

  private static final float TOP = -0.05f;

  /** What frames that a moving thing is not taken from keep there, for where its own burns. */
  private static final float LEFT = 1e-6f;

  /** Share of the picture that is lighter than what a held light end comes to white with. */
  private static final double LIGHTEST = 0.001;

  /** The most stops over what the camera's rendition holds that are drawn together. */
  private static final float MOST = 6;

  private final Ground.RadianceMerge merge;
  private final Analysis analysis;
  private final MergedLight merged;
  private final Base base;

  /**
   * What a merge stands on, found on the analysis grid.
   *
   * @param wide the wide differences of the light, by its tones
   * @param middle of the wide tones
   * @param favoured which frame is favoured where, for each; none where nothing moves
   */
  private record Base(
      Guided wide,
      float middle,
      List<MovingThings.Thing> things,
      List<Plane> favoured,
      LightEnd end) {}

  /** Finds the base on the analysis grid. */
  public RadianceMergeWork(Ground.RadianceMerge merge, Analysis analysis) {
    this.merge = merge;
    this.analysis = analysis;
    merged = MergedLight.of(analysis, merge.frames());
    base = analysis.keepLong(Base.class, merge, Grounds.MOST, this::found);
  }

  private Base found() {
    Raster grid = analysis.raster();
    Plane moving = MovingThings.moving(merge, analysis);
    List<MovingThings.Taken> taken = MovingThings.found(moving, merge, this::measured);
    List<MovingThings.Thing> things = taken.stream().map(MovingThings.Taken::thing).toList();
    List<Plane> favoured = favoured(taken, moving);
    MergedLight.Tones light =
        favoured.isEmpty()
            ? merged.onGrid(analysis)
            : MergedLight.Tones.of(light(grid, id -> analysis.draw(id, grid), favoured));
    Plane stops = Plane.of(grid.width(), grid.height());
    for (int i = 0; i < stops.data().length; i++) {
      stops.data()[i] = Stops.of(light.luminance().data()[i]);
    }
    int radius = Math.max(2, Math.round(grid.width() * 0.02f));
    Guided guided = Guided.of(stops, stops, radius, EDGE);
    float[] wide = guided.on(stops).data();
    float[] sorted = wide.clone();
    Arrays.parallelSort(sorted);
    float middle = sorted[sorted.length / 2];
    LightEnd end = LightEnd.of(lightest(light, wide, middle));
    return new Base(guided, middle, things, favoured, end);
  }

  /** How well a frame measures the light at pixels of the analysis grid, together. */
  private double measured(int k, int[] pixels) {
    return merged.measured(k, analysis.draw(merge.frames().get(k), analysis.raster()), pixels);
  }

  /** A plane of favour for each frame; none where nothing moves. */
  private List<Plane> favoured(List<MovingThings.Taken> taken, Plane moving) {
    List<Plane> out = new ArrayList<>();
    if (taken.isEmpty()) {
      return out;
    }
    for (int k = 0; k < merge.frames().size(); k++) {
      Plane plane = Plane.of(moving.width(), moving.height());
      Arrays.fill(plane.data(), 1);
      out.add(plane);
    }
    taken.forEach(t -> MovingThings.take(t, moving, out));
    for (Plane plane : out) {
      for (int i = 0; i < plane.data().length; i++) {
        plane.data()[i] = Math.max(LEFT, plane.data()[i]);
      }
    }
    return out;
  }

  private Picture light(Raster raster, Function<String, Picture> frames, List<Plane> favoured) {
    return merged.draw(raster, frames, () -> favour(raster, favoured));
  }

  private MergedLight.Favour favour(Raster raster, List<Plane> favoured) {
    if (favoured.isEmpty()) {
      return MergedLight.Favour.NONE;
    }
    MapRows[] rows =
        MapRows.of(
            analysis.fullWidth(), analysis.fullHeight(), raster, favoured.toArray(Plane[]::new));
    return (k, y, out) -> {
      rows[k].row(y, out, 0);
      return true;
    };
  }

  @Override
  public List<MovingThings.Thing> things() {
    return base.things;
  }

  /** Tone that all but the lightest thousandth stay below. */
  private float lightest(MergedLight.Tones light, float[] wide, float middle) {
    float[] tones = new float[wide.length];
    for (int i = 0; i < tones.length; i++) {
      float stops = Stops.of(light.luminance().data()[i]);
      tones[i] = burning(stops, light.most().data()[i]) + exposure(wide[i], middle);
    }
    Arrays.parallelSort(tones);
    return Math.min(MOST, tones[(int) ((1 - LIGHTEST) * (tones.length - 1))]);
  }

  /** Stops by which a place is exposed, its wide light compressed. */
  private float exposure(float wide, float middle) {
    return (float) (merge.exposure() - merge.compression() * (wide - middle));
  }

  private static float tone(Picture light, int i) {
    return Stops.of(Space.srgbLuminance(light.r()[i], light.g()[i], light.b()[i]));
  }

  @Override
  public Picture draw(Raster raster, Function<String, Picture> frames) {
    int w = raster.width();
    Picture light = light(raster, frames, base.favoured);
    MapRows[] maps =
        MapRows.of(
            analysis.fullWidth(),
            analysis.fullHeight(),
            raster,
            base.wide.slope(),
            base.wide.offset());
    FrameRows towards = analysis.rows(merge.towards(), raster);
    float[][] calm = new float[3][w];
    float[] slope = new float[w];
    float[] offset = new float[w];
    float[] shown = new float[3];
    float share = (float) merge.calm();
    for (int j = 0; j < raster.height(); j++) {
      maps[0].row(j, slope, 0);
      maps[1].row(j, offset, 0);
      if (share > 0) {
        towards.codes(j, 0, w, calm[0], calm[1], calm[2]);
      }
      for (int x = 0; x < w; x++) {
        int i = j * w + x;
        float stops = tone(light, i);
        rendered(light, i, stops, exposure(slope[x] * stops + offset[x], base.middle), shown);
        for (int c = 0; c < 3; c++) {
          light.channel(c)[i] = share > 0 ? mixed(shown[c], calm[c][x], share) : shown[c];
        }
      }
    }
    WorkingSpace.fromSrgb(light.planes());
    return light;
  }

  private static float mixed(float shown, float towards, float share) {
    float code = Srgb.encodeWide(Math.min(1, shown));
    return Srgb.decodeWide(code + share * (towards - code));
  }

  /** A pixel as the camera would render it, as it was lit, or between. */
  private void rendered(Picture light, int i, float stops, float exposure, float[] out) {
    float asLit = (float) merge.asLit();
    Response response = analysis.frames().response();
    float camera = asLit < 1 ? Stops.light(exposure + held(light, i, stops, exposure)) : 0;
    float lit = 0;
    if (asLit > 0) {
      float bright = stops + warm(light, i, stops) / 2;
      lit = Stops.light(soft(MIDDLE + exposure + bright - base.middle) - bright);
    }
    for (int c = 0; c < 3; c++) {
      float of = light.channel(c)[i];
      float shown = asLit < 1 ? response.toDisplay(c, Math.min(1, of * camera)) : 0;
      out[c] = shown + asLit * (of * lit - shown);
    }
  }

  /**
   * Stops by which red stands over the tone: half of it holds lamps' colours back before they are
   * too bright to be shown. Blue and green are not held back: a vivid sky would be shown darker
   * than what an edge mixes of it and a dull frame, and that is a line.
   */
  private static float warm(Picture light, int i, float stops) {
    return Math.max(0, Stops.of(light.r()[i]) - stops);
  }

  /** Stops by which a pixel is darker than exposed, so that it does not burn. */
  private float held(Picture light, int i, float stops, float exposure) {
    float tone = burning(stops, light.mostAt(i)) + exposure;
    return (float) merge.held() * (base.end.held(tone) - tone);
  }

  /**
   * Tone by which a pixel is held, half way from its luminance to its brightest channel. By the
   * brightest alone, lamplight would be shown darker than what an edge mixes of it and a white bar.
   */
  private static float burning(float stops, float most) {
    return (stops + Stops.of(most)) / 2;
  }

  /** Draws the light end together below white, as film does. */
  private static float soft(float tone) {
    float over = tone - KNEE;
    return over <= 0 ? tone : KNEE + over * (TOP - KNEE) / (over + TOP - KNEE);
  }
}
