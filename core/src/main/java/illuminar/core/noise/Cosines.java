package illuminar.core.noise;

/**
 * The orthonormal cosine transform of 8 × 8 blocks (DCT-II; Ahmed, Natarajan, Rao 1974), of many
 * blocks side by side: value {@code k = 8·v + u} of block {@code i} is {@code blocks[k][i]}, so
 * that the compiler works on eight blocks at once.
 */
final class Cosines {
  /** Values on a side of a block. */
  static final int SIDE = 8;

  static final int VALUES = SIDE * SIDE;

  private static final float C1 = cos(1);
  private static final float C2 = cos(2);
  private static final float C3 = cos(3);
  private static final float C4 = cos(4);
  private static final float C5 = cos(5);
  private static final float C6 = cos(6);
  private static final float C7 = cos(7);

  private Cosines() {}

  /** Half a cosine of so many sixteenths of π: the weights of an orthonormal transform of eight. */
  private static float cos(int sixteenths) {
    return (float) (Math.cos(sixteenths * Math.PI / 16) / 2);
  }

  /** From values to coefficients, in place. */
  static void forth(float[][] blocks, int n) {
    for (int v = 0; v < SIDE; v++) {
      forth(blocks, SIDE * v, 1, n);
    }
    for (int u = 0; u < SIDE; u++) {
      forth(blocks, u, SIDE, n);
    }
  }

  /** From coefficients to values, in place. */
  static void back(float[][] blocks, int n) {
    for (int u = 0; u < SIDE; u++) {
      back(blocks, u, SIDE, n);
    }
    for (int v = 0; v < SIDE; v++) {
      back(blocks, SIDE * v, 1, n);
    }
  }

  private static void forth(float[][] b, int at, int step, int n) {
    forth(
        b[at],
        b[at + step],
        b[at + 2 * step],
        b[at + 3 * step],
        b[at + 4 * step],
        b[at + 5 * step],
        b[at + 6 * step],
        b[at + 7 * step],
        n);
  }

  private static void back(float[][] b, int at, int step, int n) {
    back(
        b[at],
        b[at + step],
        b[at + 2 * step],
        b[at + 3 * step],
        b[at + 4 * step],
        b[at + 5 * step],
        b[at + 6 * step],
        b[at + 7 * step],
        n);
  }

  private static void forth(
      float[] x0,
      float[] x1,
      float[] x2,
      float[] x3,
      float[] x4,
      float[] x5,
      float[] x6,
      float[] x7,
      int n) {
    for (int i = 0; i < n; i++) {
      float s0 = x0[i] + x7[i];
      float s1 = x1[i] + x6[i];
      float s2 = x2[i] + x5[i];
      float s3 = x3[i] + x4[i];
      float d0 = x0[i] - x7[i];
      float d1 = x1[i] - x6[i];
      float d2 = x2[i] - x5[i];
      float d3 = x3[i] - x4[i];
      x0[i] = C4 * ((s0 + s3) + (s1 + s2));
      x4[i] = C4 * ((s0 + s3) - (s1 + s2));
      x2[i] = C2 * (s0 - s3) + C6 * (s1 - s2);
      x6[i] = C6 * (s0 - s3) - C2 * (s1 - s2);
      x1[i] = C1 * d0 + C3 * d1 + C5 * d2 + C7 * d3;
      x3[i] = C3 * d0 - C7 * d1 - C1 * d2 - C5 * d3;
      x5[i] = C5 * d0 - C1 * d1 + C7 * d2 + C3 * d3;
      x7[i] = C7 * d0 - C5 * d1 + C3 * d2 - C1 * d3;
    }
  }

  private static void back(
      float[] x0,
      float[] x1,
      float[] x2,
      float[] x3,
      float[] x4,
      float[] x5,
      float[] x6,
      float[] x7,
      int n) {
    for (int i = 0; i < n; i++) {
      float p = C4 * (x0[i] + x4[i]);
      float q = C4 * (x0[i] - x4[i]);
      float r = C2 * x2[i] + C6 * x6[i];
      float s = C6 * x2[i] - C2 * x6[i];
      float e0 = C1 * x1[i] + C3 * x3[i] + C5 * x5[i] + C7 * x7[i];
      float e1 = C3 * x1[i] - C7 * x3[i] - C1 * x5[i] - C5 * x7[i];
      float e2 = C5 * x1[i] - C1 * x3[i] + C7 * x5[i] + C3 * x7[i];
      float e3 = C7 * x1[i] - C5 * x3[i] + C3 * x5[i] - C1 * x7[i];
      x0[i] = p + r + e0;
      x7[i] = p + r - e0;
      x1[i] = q + s + e1;
      x6[i] = q + s - e1;
      x2[i] = q - s + e2;
      x5[i] = q - s - e2;
      x3[i] = p - r + e3;
      x4[i] = p - r - e3;
    }
  }
}
