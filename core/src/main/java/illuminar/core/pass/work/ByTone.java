package illuminar.core.pass.work;

import illuminar.core.colour.Matrix3;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.pass.Channels;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Tile;
import illuminar.core.pass.Tones;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.function.DoubleUnaryOperator;

/** A gain in stops that follows from a tone alone, as a table over the tones. */
public final class ByTone {
  private static final float FROM = Stops.BLACK;
  private static final float TO = 4;
  private static final int STEP = 64;

  private static final float[] TO_SRGB = Space.WORK_TO_SRGB.floats();
  private static final float[] TO_WORK = Space.SRGB_TO_WORK.floats();

  private final float[] gain = new float[(int) ((TO - FROM) * STEP) + 2];

  /**
   * @param curve stops out for stops in
   */
  public ByTone(DoubleUnaryOperator curve) {
    for (int i = 0; i < gain.length; i++) {
      double s = FROM + (double) i / STEP;
      gain[i] = (float) (Math.max(Stops.BLACK, curve.applyAsDouble(s)) - s);
    }
  }

  /** Stops to add to a tone. */
  public float gain(float stops) {
    float at = (stops - FROM) * STEP;
    at = at < 0 ? 0 : at > gain.length - 2 ? gain.length - 2 : at;
    int i = (int) at;
    return gain[i] + (gain[i + 1] - gain[i]) * (at - i);
  }

  /** Ready to work on the channels of the picture below. */
  public PreparedPass on(Channels channels, PassInput below) {
    return switch (channels) {
      case LIGHTNESS -> new OnLightness(this);
      case BRIGHTNESS -> new ByBrightness(this, below);
      default -> new OnChannels(this, channels);
    };
  }

  private record OnLightness(ByTone table) implements PreparedPass.OnTones {

    @Override
    public void apply(Tile tile, Tones tones, int start) {
      Raster raster = tile.raster();
      float[] row = new float[raster.width()];
      for (int j = 0; j < raster.height(); j++) {
        int from = tile.region().from(j);
        int to = tile.region().to(j);
        int at = start + j * raster.width();
        for (int x = from; x < to; x++) {
          row[x] = table.gain(tones.stops()[at + x]);
        }
        tones.add(row, tile, j, at);
      }
    }
  }

  /** On linear channels with sRGB primaries. */
  private record OnChannels(ByTone table, Channels channels) implements PreparedPass.OnLight {

    @Override
    public void apply(Tile tile, Picture p) {
      float[] c = new float[3];
      tile.each(
          p,
          (i, m) -> {
            Matrix3.apply(TO_SRGB, p.r()[i], p.g()[i], p.b()[i], c);
            for (int k = 0; k < 3; k++) {
              if (channels.has(k) && c[k] > 0) {
                c[k] *= Stops.light(table.gain(Stops.of(c[k])));
              }
            }
            Matrix3.apply(TO_WORK, c[0], c[1], c[2], c);
            p.mix(i, c, m);
          });
    }
  }
}
