package illuminar.core.colour;

/**
 * How a source colour joins a backdrop. Colours are sRGB codes in [0, 1].
 *
 * <p>Source: W3C, "Compositing and Blending Level 1", sections 10.1 and 10.2.
 */
public enum Blend {
  NORMAL,
  LIGHTEN,
  DARKEN,
  MULTIPLY,
  SCREEN,
  SOFT_LIGHT,
  LUMINOSITY,
  COLOUR;

  /**
   * @param backdrop three codes; the result is written here
   * @param source three codes; not modified
   */
  public void over(float[] backdrop, float[] source) {
    switch (this) {
      case LUMINOSITY -> withLum(backdrop.clone(), lum(source), backdrop);
      case COLOUR -> withLum(source, lum(backdrop), backdrop);
      default -> {
        for (int c = 0; c < 3; c++) {
          backdrop[c] = channel(backdrop[c], source[c]);
        }
      }
    }
  }

  private float channel(float b, float s) {
    return switch (this) {
      case LIGHTEN -> Math.max(b, s);
      case DARKEN -> Math.min(b, s);
      case MULTIPLY -> b * s;
      case SCREEN -> b + s - b * s;
      case SOFT_LIGHT -> softLight(b, s);
      default -> s;
    };
  }

  private static float softLight(float b, float s) {
    if (s <= 0.5f) {
      return b - (1 - 2 * s) * b * (1 - b);
    }
    float d = b <= 0.25f ? ((16 * b - 12) * b + 4) * b : (float) Math.sqrt(b);
    return b + (2 * s - 1) * (d - b);
  }

  static float lum(float[] c) {
    return 0.3f * c[0] + 0.59f * c[1] + 0.11f * c[2];
  }

  /** SetLum with ClipColor. */
  private static void withLum(float[] c, float lum, float[] out) {
    float d = lum - lum(c);
    float least = Float.MAX_VALUE;
    float most = -Float.MAX_VALUE;
    for (int k = 0; k < 3; k++) {
      out[k] = c[k] + d;
      least = Math.min(least, out[k]);
      most = Math.max(most, out[k]);
    }
    for (int k = 0; k < 3; k++) {
      if (least < 0) {
        out[k] = lum + (out[k] - lum) * lum / (lum - least);
      }
      if (most > 1) {
        out[k] = lum + (out[k] - lum) * (1 - lum) / (most - lum);
      }
    }
  }
}
