package illuminar.core.set;

import illuminar.core.colour.Lab;
import illuminar.core.picture.Bands;
import illuminar.core.picture.Picture;

/**
 * How far two pictures of one size lie apart, pixel by pixel: CIEDE2000 (CIE 142-2001).
 *
 * @param each difference of each pixel
 */
public record Difference(float[] each) {
  private static final int BAND = 32;

  /** Difference that is shown black. */
  public static final float BLACK = 10;

  /**
   * @param one linear BT.2020; {@code other} of the same size
   */
  public static Difference of(Picture one, Picture other) {
    float[] each = new float[one.r().length];
    int w = one.width();
    Bands.of(
        one.height(),
        BAND,
        (from, to) -> {
          for (int i = from * w; i < to * w; i++) {
            each[i] = (float) lab(one, i).difference(lab(other, i));
          }
        });
    return new Difference(each);
  }

  private static Lab lab(Picture p, int i) {
    return Lab.ofWork(p.r()[i], p.g()[i], p.b()[i]);
  }

  public double mean() {
    double sum = 0;
    for (float d : each) {
      sum += d;
    }
    return sum / Math.max(1, each.length);
  }

  public double most() {
    float most = 0;
    for (float d : each) {
      most = Math.max(most, d);
    }
    return most;
  }

  /** 8-bit greys: white where the pictures are the same, black from {@link #BLACK} on. */
  public byte[] shown() {
    byte[] out = new byte[each.length];
    for (int i = 0; i < each.length; i++) {
      out[i] = (byte) Math.round(255 * (1 - Math.min(1, each[i] / BLACK)));
    }
    return out;
  }
}
