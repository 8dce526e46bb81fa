package illuminar.core.measure;

import illuminar.core.colour.Burnt;
import illuminar.core.colour.Space;
import illuminar.core.picture.Picture;

/**
 * Where a picture shows no tone any more: one rule wherever it is said, of a frame and of what is
 * made of frames. Burnt is a pixel with a channel at one of the two highest 8-bit codes of sRGB,
 * blocked one without a channel above the third lowest. Common practice, no source.
 */
public final class Clipping {
  /** Display-linear; between the codes 2 and 3 of 255 (IEC 61966-2-1). */
  private static final float DARKEST = 0.0009f;

  private static final float[] M = Space.WORK_TO_SRGB.floats();

  private Clipping() {}

  /**
   * @param burnt share of pixels, from 0 to 1
   */
  public record Shares(double burnt, double blocked) {}

  /** Of a display-linear picture of sRGB. */
  public static Shares ofSrgb(Picture p) {
    return shares(p.r().length, i -> Math.max(p.r()[i], Math.max(p.g()[i], p.b()[i])));
  }

  /** Of a picture in working light. */
  public static Shares ofWork(Picture p) {
    return shares(p.r().length, i -> mostOfWork(p.r()[i], p.g()[i], p.b()[i]));
  }

  private interface Most {
    float at(int i);
  }

  private static Shares shares(int n, Most most) {
    int burnt = 0;
    int blocked = 0;
    for (int i = 0; i < n; i++) {
      float greatest = most.at(i);
      burnt += burnt(greatest) ? 1 : 0;
      blocked += blocked(greatest) ? 1 : 0;
    }
    return new Shares((double) burnt / n, (double) blocked / n);
  }

  /** The highest sRGB channel of linear BT.2020. */
  static float mostOfWork(float r, float g, float b) {
    return Math.max(
        M[0] * r + M[1] * g + M[2] * b,
        Math.max(M[3] * r + M[4] * g + M[5] * b, M[6] * r + M[7] * g + M[8] * b));
  }

  static boolean burnt(float most) {
    return most > Burnt.IN_FILE;
  }

  static boolean blocked(float most) {
    return most < DARKEST;
  }
}
