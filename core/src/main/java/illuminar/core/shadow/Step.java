package illuminar.core.shadow;

import illuminar.core.picture.Plane;

/**
 * A sudden change of light at a place.
 *
 * @param x pixels; {@code y} likewise
 * @param toX direction of the lit side, unit length; {@code toY} likewise
 * @param reach pixels on either side at which it was read
 * @param stops by which the lit side is brighter: red, green, blue
 */
record Step(float x, float y, float toX, float toY, float reach, float[] stops) {
  /** Sameness of two changes: how far brightness may be off, share of it. */
  private static final float TONE = 0.3f;

  /** Of a region that counts as within. */
  private static final float SHARE = 0.25f;

  /** The same of colour, stops between channels. */
  private static final float COLOUR = 0.13f;

  /** Whether both of its sides lie in a region. */
  boolean within(Plane region) {
    return region.sample(x - reach * toX, y - reach * toY) > SHARE
        && region.sample(x + reach * toX, y + reach * toY) > SHARE;
  }

  /** Stops by which it is brighter in all. */
  float tone() {
    return tone(stops);
  }

  private static float tone(float[] stops) {
    return tone(stops[0], stops[1], stops[2]);
  }

  /** One tone of three channels, or of what they change by. */
  static float tone(float red, float green, float blue) {
    return 0.3f * red + 0.6f * green + 0.1f * blue;
  }

  /** How much one change is like another, 0 to 1: of light, whatever lies under it. */
  static float likeness(float[] a, float[] b) {
    float tone = (tone(a) - tone(b)) / (TONE * tone(b));
    float warm = (a[0] - a[1] - b[0] + b[1]) / COLOUR;
    float cool = (a[2] - a[1] - b[2] + b[1]) / COLOUR;
    return (float) Math.exp(-0.5 * (tone * tone + warm * warm + cool * cool));
  }
}
