package illuminar.core.picture;

import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;

/**
 * A picture's L*a*b* by plane, for masks: worked out with the fast logarithm, within 0.02 of {@link
 * Lab}.
 */
public record LabPlanes(int width, int height, float[] l, float[] a, float[] b) {
  private static final int BAND = 64;
  private static final float BEND = 216f / 24389;

  /** Of a linear BT.2020 picture. */
  public static LabPlanes of(Picture p) {
    int n = p.r().length;
    LabPlanes out = new LabPlanes(p.width(), p.height(), new float[n], new float[n], new float[n]);
    float[] m = Space.WORK_TO_XYZ_D50.floats();
    float wx = (float) (1 / Space.D50_X);
    float wz = (float) (1 / Space.D50_Z);
    Bands.of(
        p.height(),
        BAND,
        (from, to) -> {
          for (int i = from * p.width(); i < to * p.width(); i++) {
            float r = p.r()[i];
            float g = p.g()[i];
            float b = p.b()[i];
            float fx = f((m[0] * r + m[1] * g + m[2] * b) * wx);
            float fy = f(m[3] * r + m[4] * g + m[5] * b);
            float fz = f((m[6] * r + m[7] * g + m[8] * b) * wz);
            out.l[i] = 116 * fy - 16;
            out.a[i] = 500 * (fx - fy);
            out.b[i] = 200 * (fy - fz);
          }
        });
    return out;
  }

  /** Lightness of a luminance that is 1 at white, L*. */
  public static float lightness(float luminance) {
    return 116 * f(luminance) - 16;
  }

  /** Luminance, 1 at white, of a lightness L*. */
  public static float luminance(float lightness) {
    float f = (lightness + 16) / 116;
    float cube = f * f * f;
    return cube > BEND ? cube : lightness * (27f / 24389);
  }

  /** Lightness of every pixel of a linear BT.2020 picture, L*. */
  public static Plane lightness(Picture p) {
    Plane l = Plane.of(p.width(), p.height());
    for (int i = 0; i < l.data().length; i++) {
      l.data()[i] = lightness(p.luminanceAt(i));
    }
    return l;
  }

  private static float f(float t) {
    return t > BEND ? Stops.light(Stops.of(t) * (1 / 3f)) : (24389f / 27 * t + 16) / 116;
  }

  /** CIE 1976 difference of a pixel to a colour. */
  public float difference(int i, float otherL, float otherA, float otherB) {
    float dl = l[i] - otherL;
    float da = a[i] - otherA;
    float db = b[i] - otherB;
    return (float) Math.sqrt(dl * dl + da * da + db * db);
  }

  /** L*, a*, b* of the nine pixels round a place, averaged; (0, 0) is the upper left corner. */
  public float[] mean(double x, double y) {
    int cx = (int) Math.max(0, Math.min(width - 1, Math.floor(x)));
    int cy = (int) Math.max(0, Math.min(height - 1, Math.floor(y)));
    float[] sum = new float[3];
    int n = 0;
    for (int v = Math.max(0, cy - 1); v <= Math.min(height - 1, cy + 1); v++) {
      for (int u = Math.max(0, cx - 1); u <= Math.min(width - 1, cx + 1); u++) {
        sum[0] += l[v * width + u];
        sum[1] += a[v * width + u];
        sum[2] += b[v * width + u];
        n++;
      }
    }
    return new float[] {sum[0] / n, sum[1] / n, sum[2] / n};
  }
}
