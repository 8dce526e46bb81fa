package illuminar.core.noise;

import illuminar.core.picture.Picture;
import java.util.Random;

/**
 * Pictures with the noise of a sensor: shot noise grows with the root of the light, read noise is
 * the same everywhere (Foi, Trimeche, Katkovnik, Egiazarian 2008).
 */
final class Noisy {
  static final double SHOT = 4e-4;
  static final double READ = 2e-6;

  private Noisy() {}

  /** Light at a place. */
  interface Light {
    double at(int x, int y, int channel);
  }

  static double deviation(double light) {
    return Math.sqrt(SHOT * Math.max(0, light) + READ);
  }

  static Picture clean(int w, int h, Light light) {
    return picture(w, h, light, 0, 0);
  }

  static Picture noisy(int w, int h, Light light, int seed) {
    return picture(w, h, light, 1, seed);
  }

  private static Picture picture(int w, int h, Light light, double noise, int seed) {
    Random random = new Random(seed);
    Picture p = Picture.of(w, h);
    for (int i = 0; i < w * h; i++) {
      for (int c = 0; c < 3; c++) {
        double l = light.at(i % w, i / w, c);
        p.channel(c)[i] = (float) (l + noise * deviation(l) * random.nextGaussian());
      }
    }
    return p;
  }

  /** Root of the mean square of what lies between two pictures. */
  static double apart(Picture a, Picture b) {
    double sum = 0;
    for (int c = 0; c < 3; c++) {
      for (int i = 0; i < a.r().length; i++) {
        double d = a.channel(c)[i] - b.channel(c)[i];
        sum += d * d;
      }
    }
    return Math.sqrt(sum / a.r().length / 3);
  }
}
