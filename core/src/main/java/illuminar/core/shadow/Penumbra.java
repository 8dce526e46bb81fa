package illuminar.core.shadow;

/**
 * How much of a light comes past a straight edge: what is seen of its disc (an even disc such as
 * the sun's; the penumbra's profile in Arbel and Hel-Or 2011 is fitted freely, here it has a place
 * and a width).
 */
final class Penumbra {
  private Penumbra() {}

  /**
   * @param t from −1, nothing, to 1, all
   */
  static float seen(float t) {
    if (t <= -1) {
      return 0;
    }
    if (t >= 1) {
      return 1;
    }
    return (float) (0.5 + (t * Math.sqrt(1 - t * t) + Math.asin(t)) / Math.PI);
  }
}
