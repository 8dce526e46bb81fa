package illuminar.core.pass.work;

import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.filter.Ease;
import illuminar.core.filter.Guided;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Tile;
import illuminar.core.pass.Tones;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;

/**
 * A gain that follows from the mean, in stops, of luminance and the brightest channel with sRGB
 * primaries; warm light, as lamps give, is held back so far that its red can still be shown. By how
 * much a channel exceeds luminance is smoothed about each pixel, along the edges of luminance
 * ({@link Guided}): taken pixel by pixel it would draw lines where colours meet, since cameras keep
 * colour more coarsely than luminance. Our own rules.
 */
final class ByBrightness implements PreparedPass.OnTones {
  private static final float[] TO_SRGB = Space.WORK_TO_SRGB.floats();

  /** Most that a brightest channel exceeds luminance by, blue's at full saturation; stops. */
  private static final float MOST = 3.8f;

  private static final int RADIUS = 2;

  /** Variance of tones, in stops squared, below which they count as flat. */
  private static final float FLAT = 0.1f;

  /** Stops below white from which on red is held back in warm light. */
  private static final float KNEE = -0.3f;

  /** How softly that begins, stops, and how much of what lies above goes. */
  private static final float SOFT = 0.15f;

  private static final float HELD = 0.5f;

  /** Stops by which red exceeds luminance where light begins to be warm, and where it is. */
  private static final float WARM = 0.3f;

  private static final float WARMEST = 0.6f;

  private final ByTone table;
  private final int fullWidth;
  private final int fullHeight;

  /** By how much the brightest channel exceeds luminance, stops. */
  private final Guided over;

  /** The same of red. */
  private final Guided red;

  /** Finds out how colours exceed their luminance in the picture below. */
  ByBrightness(ByTone table, PassInput below) {
    this.table = table;
    fullWidth = below.analysis().fullWidth();
    fullHeight = below.analysis().fullHeight();
    Picture p = below.picture();
    Plane most = Plane.of(p.width(), p.height());
    Plane warm = Plane.of(p.width(), p.height());
    float[] c = new float[3];
    for (int i = 0; i < most.data().length; i++) {
      Matrix3.apply(TO_SRGB, p.r()[i], p.g()[i], p.b()[i], c);
      float tone = below.stops().data()[i];
      most.data()[i] = bounded(Stops.of(Math.max(c[0], Math.max(c[1], c[2]))) - tone);
      warm.data()[i] = bounded(Stops.of(c[0]) - tone);
    }
    over = Guided.of(below.stops(), most, RADIUS, FLAT);
    red = Guided.of(below.stops(), warm, RADIUS, FLAT);
  }

  private static float bounded(float over) {
    return Math.max(0, Math.min(MOST, over));
  }

  @Override
  public void apply(Tile tile, Tones tones, int start) {
    Raster raster = tile.raster();
    Guided.Rows over = this.over.rows(fullWidth, fullHeight, raster);
    Guided.Rows red = this.red.rows(fullWidth, fullHeight, raster);
    float[] gain = new float[raster.width()];
    for (int j = 0; j < raster.height(); j++) {
      int from = tile.region().from(j);
      int to = tile.region().to(j);
      if (from >= to) {
        continue;
      }
      int at = start + j * raster.width();
      over.to(j);
      red.to(j);
      for (int x = from; x < to; x++) {
        float tone = tones.stops()[at + x];
        gain[x] = gain(tone, bounded(over.at(x, tone)), bounded(red.at(x, tone)));
      }
      tones.add(gain, tile, j, at);
    }
  }

  /** Stops to add to a tone that its brightest channel and red exceed by so many. */
  private float gain(float tone, float over, float red) {
    float gain = table.gain(tone + over / 2);
    return gain - held(tone + red + gain, red);
  }

  /** Stops that warm light gives up whose red would come to a tone. */
  private static float held(float tone, float red) {
    float above = tone - KNEE;
    if (above <= 0 || red <= WARM) {
      return 0;
    }
    float share = Ease.between((red - WARM) / (WARMEST - WARM));
    return share * HELD * above * above / (above + SOFT);
  }
}
