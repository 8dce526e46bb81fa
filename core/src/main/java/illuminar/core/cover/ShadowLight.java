package illuminar.core.cover;

import illuminar.core.colour.Space;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Point;

/**
 * How much of the light a shadow of the picture leaves, by channel: the light along a line that is
 * drawn in it beside the brighter of its two sides. Ratios of lit and shadowed light by channel:
 * Finlayson, Hordley, Drew, "Removing shadows from images", 2002.
 *
 * @param left share of red, green and blue light that is left, each 0 to 1
 * @param seen whether there is a shadow along the line; where not, a plain one is taken
 */
record ShadowLight(float[] left, boolean seen) {
  private static final float PLAIN = 0.35f;

  /** A line that is darker than its side by less than this is in no shadow. */
  private static final double LEAST = 0.9;

  /**
   * Skylight is bluer than the sun, but not by more than this; where it seems to be, another thing
   * lies along the line. From memory of clear skies: 6000 against 15 000 K, red to blue 0.5.
   */
  private static final float ALIKE = 0.45f;

  private static final float DARKEST = 0.05f;
  private static final int SAMPLES = 25;

  /** How far beside the line the light is read, as a share of its length. */
  private static final double BESIDE = 0.35;

  /**
   * @param from and {@code to}: the line, as fractions of the picture's long edge
   */
  static ShadowLight along(Picture picture, Point from, Point to) {
    double dx = to.x() - from.x();
    double dy = to.y() - from.y();
    float[] shade = mean(picture, from, dx, dy, 0);
    float[] one = mean(picture, from, dx, dy, BESIDE);
    float[] other = mean(picture, from, dx, dy, -BESIDE);
    float[] lit = light(one) > light(other) ? one : other;
    if (!(light(shade) < LEAST * light(lit))) {
      return plain();
    }
    float[] left = new float[3];
    float least = 1;
    float most = 0;
    for (int c = 0; c < 3; c++) {
      left[c] = Math.max(DARKEST, Math.min(1, shade[c] / Math.max(1e-6f, lit[c])));
      least = Math.min(least, left[c]);
      most = Math.max(most, left[c]);
    }
    return least < ALIKE * most ? plain() : new ShadowLight(left, true);
  }

  private static ShadowLight plain() {
    return new ShadowLight(new float[] {PLAIN, PLAIN, PLAIN}, false);
  }

  private static double light(float[] rgb) {
    return Space.luminance(rgb[0], rgb[1], rgb[2]);
  }

  /** Mean light along the middle of the line, moved to its side by a share of its length. */
  private static float[] mean(Picture picture, Point from, double dx, double dy, double beside) {
    int longEdge = Math.max(picture.width(), picture.height());
    float[] sum = new float[3];
    for (int k = 0; k < SAMPLES; k++) {
      double at = 0.25 + 0.5 * k / (SAMPLES - 1);
      double x = from.x() + at * dx - beside * dy;
      double y = from.y() + at * dy + beside * dx;
      for (int c = 0; c < 3; c++) {
        Plane channel = new Plane(picture.width(), picture.height(), picture.channel(c));
        sum[c] +=
            channel.sample((float) (x * longEdge - 0.5), (float) (y * longEdge - 0.5)) / SAMPLES;
      }
    }
    return sum;
  }
}
