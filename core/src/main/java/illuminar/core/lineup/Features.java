package illuminar.core.lineup;

import illuminar.core.colour.Srgb;
import illuminar.core.filter.Box;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Similarity;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;

/**
 * What line-up compares: grey codes with their local mean taken out and their local contrast
 * evened, so that exposure and the camera's curve drop out, and how far each pixel can be trusted.
 *
 * @param value local contrast, about −3 to 3
 * @param trust 0 where burnt, black or flat, else up to 1
 * @param bits 1 above the median, 0 below, −1 too near to it (Ward 2003)
 */
record Features(Plane value, Plane trust, byte[] bits) {
  private static final float FLAT = 0.012f;

  static Features of(Pyramid pixels, int longEdge) {
    Raster raster = Raster.fitted(pixels.width(), pixels.height(), longEdge);
    Picture p = pixels.draw(raster, Similarity.NONE, pixels.width(), pixels.height());
    int n = raster.pixels();
    Plane grey = Plane.of(raster.width(), raster.height());
    float[] sorted = new float[n];
    for (int i = 0; i < n; i++) {
      grey.data()[i] =
          Srgb.encodeFast(0.2126f * p.r()[i] + 0.7152f * p.g()[i] + 0.0722f * p.b()[i]);
      sorted[i] = grey.data()[i];
    }
    java.util.Arrays.sort(sorted);
    float median = sorted[n / 2];
    int radius = Math.max(2, longEdge / 128);
    Plane mean = Box.mean(grey, radius);
    Plane square = Plane.of(raster.width(), raster.height());
    Plane bad = Plane.of(raster.width(), raster.height());
    for (int i = 0; i < n; i++) {
      float d = grey.data()[i] - mean.data()[i];
      square.data()[i] = d * d;
      float most = Math.max(p.r()[i], Math.max(p.g()[i], p.b()[i]));
      bad.data()[i] = most > 0.95f ? 1 : 0;
    }
    Plane spread = Box.mean(square, radius);
    Plane near = Box.mean(bad, 1);
    byte[] bits = new byte[n];
    for (int i = 0; i < n; i++) {
      float s = (float) Math.sqrt(spread.data()[i]);
      square.data()[i] = (grey.data()[i] - mean.data()[i]) / (s + FLAT);
      bad.data()[i] = near.data()[i] > 0 ? 0 : s / (s + FLAT);
      float d = grey.data()[i] - median;
      bits[i] = (byte) (Math.abs(d) < 0.016f ? -1 : d > 0 ? 1 : 0);
    }
    return new Features(square, bad, bits);
  }
}
