package illuminar.core.lineup;

import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.filter.Box;
import illuminar.core.filter.Gauss;
import illuminar.core.frame.Pyramid;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;

/**
 * What line-up compares: grey codes with their local mean taken out and their local contrast
 * evened, so that exposure and the camera's curve drop out, and how far each pixel can be trusted.
 *
 * @param value local contrast, about −3 to 3
 * @param trust 0 where burnt, black or flat, else up to 1
 * @param apart the same with what lies beside burnt pixels left out
 * @param burnt share of burnt pixels
 * @param bits 1 above the median, 0 below, −1 too near to it (Ward 2003)
 */
record Features(Plane value, Plane trust, Plane apart, double burnt, byte[] bits) {
  private static final float FLAT = 0.012f;

  /**
   * Share of the long edge about burnt pixels that is not trusted: an edge beside them lies farther
   * out the brighter the frame is.
   */
  private static final float BLOOM = 1 / 150f;

  /** Pixels by which pictures exposed alike are softened. */
  private static final double SOFT = 1;

  /** Difference in burnt shares below which two frames are of one exposure. */
  private static final double ALIKE = 0.004;

  /** Of a frame halved {@code power} times. */
  static Features of(Pyramid pixels, int power) {
    return of(pixels.halved(power), false);
  }

  /** Of a picture that is compared with one exposed like it: what burns in both tells as well. */
  static Features exposedAlike(Picture p) {
    return of(p, true);
  }

  /** Pixels about each within which contrast is measured. */
  static int radius(int width, int height) {
    return Math.max(2, Math.max(width, height) / 128);
  }

  private static Features of(Picture p, boolean burntTells) {
    int n = p.r().length;
    Plane grey = Plane.of(p.width(), p.height());
    for (int i = 0; i < n; i++) {
      grey.data()[i] = Srgb.encodeFast(Space.srgbLuminance(p.r()[i], p.g()[i], p.b()[i]));
    }
    if (burntTells) {
      // clipping makes edges so sharp that a fit between whole pixels finds no fraction of one
      grey = Gauss.smooth(grey, SOFT);
    }
    float median = median(grey.data());
    int radius = radius(p.width(), p.height());
    Plane mean = Box.mean(grey, radius);
    Plane square = Plane.of(p.width(), p.height());
    Plane bad = Plane.of(p.width(), p.height());
    for (int i = 0; i < n; i++) {
      float d = grey.data()[i] - mean.data()[i];
      square.data()[i] = d * d;
      float most = Math.max(p.r()[i], Math.max(p.g()[i], p.b()[i]));
      bad.data()[i] = most > 0.95f ? 1 : 0;
    }
    Plane spread = Box.mean(square, radius);
    double burnt = 0;
    for (float b : bad.data()) {
      burnt += b / n;
    }
    Plane near = Box.mean(bad, 1);
    int beside = Math.max(1, Math.round(Math.max(p.width(), p.height()) * BLOOM));
    Plane wide = Box.mean(bad, beside);
    byte[] bits = new byte[n];
    for (int i = 0; i < n; i++) {
      float s = (float) Math.sqrt(Math.max(0, spread.data()[i]));
      square.data()[i] = (grey.data()[i] - mean.data()[i]) / (s + FLAT);
      float trust = s / (s + FLAT);
      bad.data()[i] = near.data()[i] > 0 && !burntTells ? 0 : trust;
      wide.data()[i] = wide.data()[i] > 0 && !burntTells ? 0 : trust;
      float d = grey.data()[i] - median;
      bits[i] = (byte) (Math.abs(d) < 0.016f ? -1 : d > 0 ? 1 : 0);
    }
    return new Features(square, bad, wide, burnt, bits);
  }

  /** These, as far as they can be trusted beside those of another frame. */
  Features beside(Features other) {
    return Math.abs(burnt - other.burnt) < ALIKE
        ? this
        : new Features(value, apart, apart, burnt, bits);
  }

  /** These, each pixel trusted by so much less. */
  Features trustedBy(Plane share) {
    Plane less = trust.copy();
    for (int i = 0; i < less.data().length; i++) {
      less.data()[i] *= share.data()[i];
    }
    return new Features(value, less, less, burnt, bits);
  }

  /** The middle of values in [0, 1], to 1/4096. */
  private static float median(float[] values) {
    int[] bins = new int[4097];
    for (float v : values) {
      bins[(int) (v * 4096)]++;
    }
    int bin = 0;
    for (int below = bins[0]; below <= values.length / 2; below += bins[bin]) {
      bin++;
    }
    return (bin + 0.5f) / 4096;
  }
}
