package illuminar.core.watch;

import illuminar.core.filter.Box;
import illuminar.core.filter.Gauss;
import illuminar.core.filter.Guided;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.ArrayList;
import java.util.List;

/**
 * Lifted darks whose texture, over that of the light, has gone flat: the slope of the tone curve in
 * the darks, measured in place.
 *
 * @param light of the scene in stops
 * @param stops tones of the picture above the ground and above each pass
 */
record Mud(Plane light, Raster raster, List<Plane> stops) {
  /** Share of the texture's slope below which lifted darks are mud. */
  static final float SLOPE = 0.6f;

  /** Stops by which darks must be lifted over the picture's middle gain to be looked at. */
  private static final float LIFTED = 0.5f;

  /** Tones of the picture that count as dark, in stops below white. */
  static final float DARKEST = -9;

  private static final float DARK = -3.2f;

  /** Places below which nothing is said of a slope. */
  private static final int FEW = 24;

  /** Deviation of the light's texture in stops below which it is noise. */
  private static final float TEXTURE = 0.06f;

  /** Where there is mud, each laid to the step that makes it. */
  Spots spots() {
    Spots spots = new Spots(raster.width(), raster.height(), stops.size());
    double[] share = new double[stops.size()];
    each(
        (x, y, variance, along) -> {
          double slope = along[along.length - 1] / variance;
          if (slope < SLOPE) {
            share[0] = 1 - along[0] / variance;
            for (int k = 1; k < share.length; k++) {
              share[k] = (along[k - 1] - along[k]) / variance;
            }
            spots.add(x, y, 1 - slope, share);
          }
        });
    return spots;
  }

  /**
   * Slope of the last picture's texture over the light's in all lifted darks: 1 keeps it; NaN where
   * there are hardly any.
   */
  double slope() {
    double[] sums = new double[3];
    each(
        (x, y, variance, along) -> {
          sums[0] += along[along.length - 1];
          sums[1] += variance;
          sums[2]++;
        });
    return sums[2] < FEW ? Double.NaN : sums[0] / sums[1];
  }

  /** Looks at a place in lifted darks. */
  private interface Place {
    /**
     * @param variance of the light's texture about it
     * @param along how far the texture above each step goes along with the light's
     */
    void at(int x, int y, float variance, float[] along);
  }

  private void each(Place look) {
    int radius = 9;
    Plane last = stops.get(stops.size() - 1);
    Plane ground = texture(light);
    Plane variance = Box.mean(Guided.product(ground, ground), radius);
    List<Plane> slopes = new ArrayList<>();
    for (Plane p : stops) {
      slopes.add(Box.mean(Guided.product(texture(p), ground), radius));
    }
    Plane gain = texture(less(last, light));
    Plane cut = Box.mean(Guided.product(gain, gain), radius);
    Plane dark = Box.mean(last, radius);
    float middle = middleGain(last);
    float[] along = new float[stops.size()];
    for (int y = radius; y < raster.height() - radius; y += 2) {
      for (int x = radius; x < raster.width() - radius; x += 2) {
        int i = y * raster.width() + x;
        float v = variance.data()[i];
        float lifted = last.data()[i] - light.data()[i] - middle;
        float tone = dark.data()[i];
        // where a region ends, the gain varies more than any texture that it could flatten
        if (v < TEXTURE * TEXTURE
            || cut.data()[i] > v
            || tone > DARK
            || tone < DARKEST
            || lifted < LIFTED) {
          continue;
        }
        for (int k = 0; k < along.length; k++) {
          along[k] = slopes.get(k).data()[i];
        }
        look.at(x, y, v, along);
      }
    }
  }

  /** Half of the picture is lifted by more than this. */
  private float middleGain(Plane last) {
    float[] gains = new float[last.data().length];
    for (int i = 0; i < gains.length; i++) {
      gains[i] = last.data()[i] - light.data()[i];
    }
    java.util.Arrays.sort(gains);
    return gains[gains.length / 2];
  }

  private static Plane texture(Plane p) {
    Plane smooth = Gauss.smooth(p, 4);
    for (int i = 0; i < smooth.data().length; i++) {
      // what is an edge and no texture is cut off, so that it does not stand for its surroundings
      smooth.data()[i] = Math.max(-0.6f, Math.min(0.6f, p.data()[i] - smooth.data()[i]));
    }
    return smooth;
  }

  private static Plane less(Plane a, Plane b) {
    Plane out = a.copy();
    for (int i = 0; i < out.data().length; i++) {
      out.data()[i] -= b.data()[i];
    }
    return out;
  }
}
