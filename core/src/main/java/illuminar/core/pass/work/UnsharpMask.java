package illuminar.core.pass.work;

import illuminar.core.filter.Gauss;
import illuminar.core.filter.Nearby;
import illuminar.core.pass.Tile;
import illuminar.core.picture.LabPlanes;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;

/**
 * The unsharp mask on lightness: what a pixel's L* has beyond the Gaussian mean about it is added
 * once more, hue and saturation held (common practice). A pixel goes beyond the lightest and the
 * darkest about it by no more than a share of what lies between the two.
 *
 * @param sigma standard deviation of the mean, pixels of the picture it works on
 * @param light what is added on the light side of edges, {@code dark} on the dark one
 * @param limit on the halo, share of the step
 */
public record UnsharpMask(double sigma, double light, double dark, double limit) {
  /** Pixels below which the mean is the pixel itself. */
  private static final double LEAST = 0.25;

  /** Whether it changes nothing. */
  public boolean none() {
    return sigma < LEAST || light == 0 && dark == 0;
  }

  /** How many pixels round a tile it reads. */
  public int margin() {
    return none() ? 0 : Math.max(Gauss.reach(sigma), about());
  }

  /** Pixels within which the lightest and the darkest are looked for. */
  private int about() {
    return Math.max(1, (int) Math.round(sigma));
  }

  /**
   * Sharpens what a tile reaches.
   *
   * @param p linear BT.2020, at the tile's raster; modified
   */
  public void apply(Tile tile, Picture p) {
    if (none() || tile.empty()) {
      return;
    }
    int w = p.width();
    Mask mask = new Mask(p);
    tile.rows(
        p,
        (j, from, to, amount) -> {
          for (int x = from; x < to; x++) {
            amount[x] = mask.gain(p, j * w + x, amount[x]);
          }
          p.multiply(j * w, amount, from, to);
        });
  }

  /**
   * Sharpens all of a picture.
   *
   * @param p linear BT.2020; modified
   */
  public void apply(Picture p) {
    if (none()) {
      return;
    }
    int w = p.width();
    Mask mask = new Mask(p);
    float[] gain = new float[w];
    for (int j = 0; j < p.height(); j++) {
      for (int x = 0; x < w; x++) {
        gain[x] = mask.gain(p, j * w + x, 1);
      }
      p.multiply(j * w, gain, 0, w);
    }
  }

  private final class Mask {
    private final float[] own;
    private final float[] mean;
    private final float[] least;
    private final float[] most;

    Mask(Picture p) {
      Plane lightness = LabPlanes.lightness(p);
      own = lightness.data();
      mean = Gauss.smooth(lightness, sigma).data();
      least = Nearby.least(lightness, about()).data();
      most = Nearby.greatest(lightness, about()).data();
    }

    /** What a pixel is multiplied by at a strength of 0 to 1. */
    float gain(Picture p, int i, float amount) {
      float l = own[i];
      float beyond = l - mean[i];
      float sharp = l + beyond * (float) (beyond > 0 ? light : dark);
      float room = (float) limit * (most[i] - least[i]);
      sharp = Math.max(least[i] - room, Math.min(most[i] + room, sharp));
      float y = p.luminanceAt(i);
      return y > 0 ? 1 + amount * (LabPlanes.luminance(Math.max(0, sharp)) / y - 1) : 1;
    }
  }
}
