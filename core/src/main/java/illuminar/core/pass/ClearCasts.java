package illuminar.core.pass;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.Casts;
import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Ease;
import illuminar.core.filter.Gauss;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.render.Below;
import illuminar.core.render.Ready;
import illuminar.core.render.Tile;

/**
 * Takes the casts of mixed light off the surfaces; their luminance stays.
 *
 * <p>The casts of the anchor frame are those of {@link Casts}; what passes below have done to
 * colours since is measured on the small grid and counted in. Told by surfaces alone, only what
 * stands near the local light's colour is cleared, so that coloured things keep theirs.
 *
 * @param flash id of the flash frame; empty where surfaces tell
 * @param amount share of the cast that is taken out, 0 to 1
 * @param warmth share of the lamps' warmth near them that is kept, 0 to 1
 */
public record ClearCasts(
    Casts.Source source,
    String flash,
    @Control(label = "Amount", unit = "%", from = 0, to = 1, step = 0.01, careful = 0.85)
        double amount,
    @Control(
            label = "Warmth kept",
            unit = "%",
            from = 0,
            to = 1,
            step = 0.01,
            careful = 0.5,
            help = "How much of their warm light lamps keep about them")
        double warmth)
    implements Move {

  /** Distance in log2 from the local light's colour at which a thing counts as coloured. */
  private static final float NEAR = 0.15f;

  private static final float FAR = 0.36f;

  public ClearCasts {
    Numbers.check(ClearCasts.class, "amount", amount);
    Numbers.check(ClearCasts.class, "warmth", warmth);
  }

  /**
   * @throws IllegalArgumentException if the flash frame is not there, or cannot tell
   */
  @Override
  public Ready prepare(Below below) {
    Analysis analysis = below.analysis();
    Casts casts = analysis.casts(source, flash);
    Picture now = below.picture();
    Picture then = analysis.draw(analysis.frames().anchor(), analysis.small());
    Plane red = Plane.of(now.width(), now.height());
    Plane blue = Plane.of(now.width(), now.height());
    float[] toSrgb = Space.WORK_TO_SRGB.floats();
    float[] c = new float[3];
    for (int i = 0; i < red.data().length; i++) {
      Matrix3.apply(toSrgb, now.r()[i], now.g()[i], now.b()[i], c);
      red.data()[i] = changed(c[0], c[1], then.r()[i], then.g()[i]);
      blue.data()[i] = changed(c[2], c[1], then.b()[i], then.g()[i]);
    }
    Plane[] maps = {casts.red(), casts.blue(), casts.glow()};
    Plane[] since = {Gauss.smooth(red, 1.5), Gauss.smooth(blue, 1.5)};
    return new Work(this, maps, since, analysis.fullWidth(), analysis.fullHeight());
  }

  /** How a lean changed since the frame; burnt and black places tell nothing. */
  private static float changed(float a, float b, float oldA, float oldB) {
    if (Math.max(oldA, oldB) > 0.95f || Math.min(oldA, oldB) < 0.004f || Math.min(a, b) < 0.002f) {
      return 0;
    }
    float d = Stops.of(a) - Stops.of(b) - Stops.of(oldA) + Stops.of(oldB);
    return Math.max(-1.5f, Math.min(1.5f, d));
  }

  private record Work(ClearCasts pass, Plane[] casts, Plane[] since, int fullWidth, int fullHeight)
      implements Ready.OnLight {
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
      float[][] row = new float[5][w];
      float[] c = new float[3];
      tile.each(
          p,
          j -> {
            for (int k = 0; k < 5; k++) {
              (k < 3 ? fine[k] : coarse[k - 3]).row(j, row[k], 0);
            }
          },
          (i, m) -> {
            int x = i % w;
            clear(p, i, row[0][x] + row[3][x], row[1][x] + row[4][x], row[2][x], m, c);
          });
    }

    private void clear(Picture p, int i, float red, float blue, float glow, float m, float[] c) {
      Matrix3.apply(TO_SRGB, p.r()[i], p.g()[i], p.b()[i], c);
      float amount = (float) pass.amount * m;
      if (red > blue) {
        amount *= 1 - (float) pass.warmth * glow;
      }
      if (pass.source == Casts.Source.SURFACES) {
        amount *= near(c, red, blue);
      }
      float y = Math.max(1e-6f, Space.luminance(p.r()[i], p.g()[i], p.b()[i]));
      float r = c[0] * Stops.light(-amount * red);
      float b = c[2] * Stops.light(-amount * blue);
      Matrix3.apply(TO_WORK, r, c[1], b, c);
      float k = y / Math.max(1e-6f, Space.luminance(c[0], c[1], c[2]));
      p.r()[i] = c[0] * k;
      p.g()[i] = c[1] * k;
      p.b()[i] = c[2] * k;
    }

    /** How near a colour stands to that of a grey in the local light, 0 to 1. */
    private static float near(float[] c, float red, float blue) {
      float g = Stops.of(Math.max(1e-4f, c[1]));
      float u = Stops.of(Math.max(1e-4f, c[0])) - g - red;
      float v = Stops.of(Math.max(1e-4f, c[2])) - g - blue;
      float d = (float) Math.sqrt(u * u + v * v);
      return Ease.between((FAR - d) / (FAR - NEAR));
    }
  }
}
