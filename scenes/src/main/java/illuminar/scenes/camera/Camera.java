package illuminar.scenes.camera;

import illuminar.core.colour.Srgb;
import illuminar.core.exposure.Exposure;
import illuminar.core.frame.Similarity;
import illuminar.scenes.light.Tint;
import illuminar.scenes.render.Radiance;
import java.util.SplittableRandom;
import java.util.stream.IntStream;

/**
 * A camera: exposure, white balance, drift of the tripod, sensor noise, and the tone curve of its
 * JPEGs. The curve is our own and known, so that a response estimated from its frames can be
 * checked.
 *
 * @param gain codes per kcd/m² at 0 stops exposure
 * @param fullWell electrons at the highest code at ISO 100; sets shot noise
 * @param read read noise in electrons
 * @param white multipliers of red, green, blue
 * @param glare share of the light that the lens spreads over the whole picture, 0.001 to 0.005
 */
public record Camera(double gain, double fullWell, double read, double[] white, double glare) {
  private static final double BEND = 1.9;
  private static final double TOE = 1.15;

  /** Of a clean modern lens, a few tenths of a percent (common practice, no source). */
  private static final double GLARE = 0.002;

  /** Balanced for a daylight temperature. */
  public static Camera daylight(double kelvin, double gain) {
    float[] light = Tint.daylight(kelvin);
    return new Camera(
        gain, 45_000, 3.2, new double[] {1 / light[0], 1 / light[1], 1 / light[2]}, GLARE);
  }

  /** Display-linear value of a light relative to the highest code. */
  public static double curve(double light) {
    double x = Math.max(0, Math.min(1, light));
    return (1 - Math.exp(-BEND * Math.pow(x, TOE))) / (1 - Math.exp(-BEND));
  }

  /** Light of an 8-bit code, the curve's inverse. */
  public static double lightOf(double code) {
    double inner = -Math.log(1 - Srgb.decode(code) * (1 - Math.exp(-BEND))) / BEND;
    return Math.pow(Math.max(0, inner), 1 / TOE);
  }

  /**
   * Light on the sensor, 1.0 at the highest code, interleaved red, green, blue; noise added.
   *
   * @param strengths of each light of the radiance
   * @param drift where points of the undisturbed picture lie in this frame
   * @param seed of the noise
   */
  public float[] expose(
      Radiance radiance, float[] strengths, Exposure exposure, Similarity drift, long seed) {
    int w = radiance.width();
    int h = radiance.height();
    float[][] sum = Glare.over(radiance.sum(strengths), w, h, glare);
    double k = gain * Math.pow(2, exposure.stops());
    double electrons = fullWell * 100 / exposure.iso();
    float[] out = new float[w * h * 3];
    Similarity back = drift.inverse();
    double cx = (w - 1) / 2.0;
    double cy = (h - 1) / 2.0;
    IntStream.range(0, h)
        .parallel()
        .forEach(
            y -> {
              SplittableRandom random = new SplittableRandom(seed * 7919 + y);
              for (int x = 0; x < w; x++) {
                double u = cx + back.a() * (x - cx) - back.b() * (y - cy) + back.dx();
                double v = cy + back.b() * (x - cx) + back.a() * (y - cy) + back.dy();
                for (int c = 0; c < 3; c++) {
                  double light =
                      (drift.isNone() ? sum[c][y * w + x] : cubic(sum[c], w, h, u, v))
                          * k
                          * white[c];
                  double e = Math.max(0, light) * electrons;
                  double noise = Math.sqrt(e + read * read) * gauss(random);
                  out[(y * w + x) * 3 + c] =
                      (float) Math.max(0, Math.min(1, (e + noise) / electrons));
                }
              }
            });
    return out;
  }

  /** What {@link #expose} gives without drift and noise. */
  public float[] quiet(Radiance radiance, float[] strengths, Exposure exposure) {
    float[][] sum = Glare.over(radiance.sum(strengths), radiance.width(), radiance.height(), glare);
    double k = gain * Math.pow(2, exposure.stops());
    float[] out = new float[sum[0].length * 3];
    for (int i = 0; i < out.length; i++) {
      out[i] = (float) Math.max(0, Math.min(1, sum[i % 3][i / 3] * k * white[i % 3]));
    }
    return out;
  }

  private static double gauss(SplittableRandom random) {
    double a = Math.max(1e-12, random.nextDouble());
    return Math.sqrt(-2 * Math.log(a)) * Math.cos(2 * Math.PI * random.nextDouble());
  }

  /**
   * Catmull-Rom interpolation, held between the nearest four values so that bright edges do not
   * ring.
   */
  private static double cubic(float[] p, int w, int h, double x, double y) {
    int x0 = (int) Math.floor(x);
    int y0 = (int) Math.floor(y);
    double fx = x - x0;
    double fy = y - y0;
    double sum = 0;
    double lo = Double.MAX_VALUE;
    double hi = 0;
    for (int j = -1; j <= 2; j++) {
      int yy = Math.max(0, Math.min(h - 1, y0 + j));
      double row = 0;
      for (int i = -1; i <= 2; i++) {
        int xx = Math.max(0, Math.min(w - 1, x0 + i));
        double v = p[yy * w + xx];
        row += v * weight(i - fx);
        if (i >= 0 && i <= 1 && j >= 0 && j <= 1) {
          lo = Math.min(lo, v);
          hi = Math.max(hi, v);
        }
      }
      sum += row * weight(j - fy);
    }
    return Math.max(lo, Math.min(hi, sum));
  }

  private static double weight(double d) {
    double t = Math.abs(d);
    return t < 1 ? (1.5 * t - 2.5) * t * t + 1 : t < 2 ? ((-0.5 * t + 2.5) * t - 4) * t + 2 : 0;
  }

  /** 8-bit codes of a JPEG, interleaved red, green, blue. */
  public static byte[] codes8(float[] sensor) {
    byte[] out = new byte[sensor.length];
    for (int i = 0; i < sensor.length; i += 3) {
      for (int c = 0; c < 3; c++) {
        out[i + c] = (byte) (int) Math.round(255 * Srgb.encode(curve(sensor[i + c])));
      }
    }
    return out;
  }

  /** 16-bit codes proportional to light, interleaved red, green, blue. */
  public static short[] codes16(float[] sensor) {
    short[] out = new short[sensor.length];
    for (int i = 0; i < sensor.length; i++) {
      out[i] = (short) Math.round(65535 * sensor[i]);
    }
    return out;
  }
}
