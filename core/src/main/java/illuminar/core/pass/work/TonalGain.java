package illuminar.core.pass.work;

import illuminar.core.filter.Guided;
import illuminar.core.picture.Plane;

/**
 * What contrast, highlights, midtones and shadows add to a tone, in stops. Short plain arithmetic,
 * so that loops over it are worked out for eight pixels at once.
 */
public final class TonalGain {
  private static final float MID_GREY = -2.4739f;

  /** Stops from mid grey at which a move of the midtones has a quarter of its effect. */
  private static final float MID_SPAN = 1.8f;

  private static final float SPAN = 3f;

  /** Variance of tones, in stops squared, below which they are smoothed away. */
  public static final float EDGE = 0.35f;

  /** Of a picture whose surroundings do not matter. */
  public static final Guided NO_BASE = new Guided(Plane.of(1, 1), Plane.of(1, 1));

  private TonalGain() {}

  /** What contrast adds to a tone. */
  public static float bend(float tone, float contrast) {
    float d = (tone - MID_GREY) * (1 / SPAN);
    return contrast * (0.004f * SPAN) * d / (1 + d * d);
  }

  /** What highlights and shadows add where the surroundings have this tone. */
  public static float lift(float base, float highlights, float shadows) {
    return shadows * 0.015f * dark(base) * held(base) + highlights * 0.012f * light(base);
  }

  /** What one of midtones adds: most at mid grey. */
  public static float middle(float base) {
    float d = (base - MID_GREY) * (1 / MID_SPAN);
    float s = 1 / (1 + d * d);
    return 0.01f * s * s;
  }

  /** 0 from two stops below white up, 1 from about five below down. */
  public static float dark(float base) {
    return ease((-1.8f - base) * (1 / 3.4f));
  }

  /** What is left of a lift in the deepest tones, which turn to mud if they rise as others do. */
  public static float held(float base) {
    return 1 - 0.75f * ease((-6.5f - base) * (1 / 4.5f));
  }

  /** 0 from two and a half stops below white down, 1 at white. */
  public static float light(float base) {
    return ease((base + 2.6f) * (1 / 2.8f));
  }

  private static float ease(float x) {
    // x kept within 0 and 1 without a branch; the compiler makes one vector step of it
    float t = 0.5f + 0.5f * (Math.abs(x) - Math.abs(x - 1));
    return t * t * (3 - 2 * t);
  }

  public static int radius(Plane stops) {
    return Math.max(2, Math.round(Math.max(stops.width(), stops.height()) * 0.022f));
  }

  /** The base of a whole picture, from its tones in stops on the small grid. */
  public static Guided base(Plane stops) {
    return Guided.of(stops, stops, radius(stops), EDGE);
  }
}
