package illuminar.core.pass.kinds;

import illuminar.core.analysis.air.HazyView;
import illuminar.core.analysis.air.LevelGround;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Ease;
import illuminar.core.filter.Guided;
import illuminar.core.pass.Kind;
import illuminar.core.pass.Move;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Stage;
import illuminar.core.pass.Tile;
import illuminar.core.pass.work.InLight;
import illuminar.core.pass.work.Surroundings;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.Optional;

/**
 * Clears haze from the view, or adds mist.
 *
 * <p>Koschmieder's law: what is seen is object · t + airlight · (1 − t). It holds for light, so
 * that the picture is turned back into light by the camera's response first. Airlight, sky and
 * transmission ({@link HazyView}) are estimated within the region and refined along edges (guided
 * filter, He, Sun, Tang 2010).
 *
 * <p>Clearing deepens colours and hardens clouds and trees; two controls, saturation and local
 * contrast, hold against it as far as haze was there (common practice, no source).
 *
 * @param amount share of the haze that is taken out; below 0 mist is added, −1 to 1
 * @param guard how far the sky is spared, 0 to 1
 * @param saturation colours about their luminance where haze was, 1 leaves them
 * @param contrast of detail about the edge-keeping base of what is cleared, where haze was; 0
 *     leaves it
 */
@Kind(
    id = "clear-haze",
    name = "Clear haze",
    stage = Stage.AIR,
    help = "A clear view through hazy air; below 0 adds mist. Needs a place",
    sentence = "{amount?Remove|Add} {amount} {amount?of the haze from|haze to} {region}",
    says = {"{saturation:more|less} saturated", "local contrast {contrast:higher|lower}"},
    asksRegion = true)
public record ClearHaze(
    @Control(
            label = "Amount",
            unit = "%",
            from = -1,
            to = 1,
            step = 0.01,
            defaultValue = 0.4,
            neutral = 0,
            help = "Below 0 adds mist")
        double amount,
    @Control(
            label = "Protect the sky",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            defaultValue = 1,
            help = "How far the sky is spared")
        double guard,
    @Control(
            label = "Saturation",
            unit = "%",
            from = 0,
            to = 2,
            step = 0.01,
            defaultValue = 0.95,
            neutral = 1)
        double saturation,
    @Control(
            label = "Local contrast",
            unit = "",
            from = -100,
            to = 100,
            step = 1,
            defaultValue = -10,
            neutral = 0,
            help = "Below 0 keeps clouds and trees soft")
        double contrast)
    implements Move {

  /**
   * Transmission from which on nothing, and all, of the haze is cleared; where hardly anything
   * comes through, noise would be raised more than the land.
   */
  private static final float NOTHING = 0.1f;

  private static final float THIN = 0.25f;

  /** Share of the long edge within which what is cleared counts as one surrounding. */
  private static final double REACH = 0.022;

  /** Variance of its tones, in stops squared, below which they are smoothed away. */
  private static final float FLAT = 0.25f;

  public ClearHaze {
    Numbers.check(ClearHaze.class, "amount", amount);
    Numbers.check(ClearHaze.class, "guard", guard);
    Numbers.check(ClearHaze.class, "saturation", saturation);
    Numbers.check(ClearHaze.class, "contrast", contrast);
  }

  /** Finds airlight and transmission on the small grid. */
  @Override
  public PreparedPass prepare(PassInput below) {
    Picture small = below.picture();
    InLight light = new InLight(below.analysis().frames().response());
    HazyView view = HazyView.of(light.of(small).planes(), below.region().copy(), below.raster());
    Work work =
        new Work(
            this,
            light,
            view.air(),
            Guided.of(view.tone(), view.through(guard), 2, 1e-4f),
            view.land(),
            Optional.empty(),
            below.analysis().fullWidth(),
            below.analysis().fullHeight());
    if (contrast == 0) {
      return work;
    }
    Picture cleared = small.copy();
    work.apply(below.tile(), cleared);
    Plane stops = Plane.of(small.width(), small.height());
    cleared.stops(0, stops.data().length, stops.data(), 0);
    return work.about(Surroundings.of(stops, below.analysis(), REACH, FLAT));
  }

  private record Work(
      ClearHaze pass,
      InLight light,
      float[] air,
      Guided maps,
      Optional<LevelGround> land,
      Optional<Surroundings> cleared,
      int fullWidth,
      int fullHeight)
      implements PreparedPass.OnLight, PreparedPass.Mapped {

    /** The same, with the base of what it cleared. */
    Work about(Surroundings base) {
      return new Work(pass, light, air, maps, land, Optional.of(base), fullWidth, fullHeight);
    }

    /** Transmission. */
    @Override
    public Plane map(Picture below, Raster raster) {
      Guided.Rows rows = maps.rows(fullWidth, fullHeight, raster);
      int w = raster.width();
      float[] c = new float[3];
      Plane out = Plane.of(w, raster.height());
      for (int i = 0; i < out.data().length; i++) {
        if (i % w == 0) {
          rows.to(i / w);
        }
        light.of(below, i, c);
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
      Optional<Guided.Rows> base = cleared.map(s -> s.rows(tile));
      float[] c = new float[3];
      float[] level = new float[1];
      tile.each(
          p,
          j -> {
            rows.to(j);
            base.ifPresent(b -> b.to(j));
            level[0] = level(tile.raster(), j);
          },
          (i, m) -> {
            light.of(p, i, c);
            float tone = Space.srgbLuminance(c[0], c[1], c[2]);
            float t = through(rows.at(i % w, tone), level[0], c);
            clear(c, t);
            light.show(c);
            base.ifPresent(b -> detail(c, t, b, i % w));
            p.mix(i, c, m);
          });
    }

    /** More or less of what a cleared colour has beyond its surroundings, where haze was. */
    private void detail(float[] c, float through, Guided.Rows base, int x) {
      float stops = Stops.of(Space.luminance(c[0], c[1], c[2]));
      float more = Detail.soft(stops - base.at(x, stops));
      float gain = Stops.light((float) (pass.contrast / 100) * (1 - through) * more);
      for (int k = 0; k < 3; k++) {
        c[k] *= gain;
      }
    }

    /**
     * One colour of light.
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
