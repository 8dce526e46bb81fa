package illuminar.core.first;

import illuminar.core.pass.Channels;
import illuminar.core.pass.kinds.ToneCurve;
import illuminar.core.picture.Point;
import java.util.ArrayList;
import java.util.List;

/**
 * The curve that brings white surfaces in their light to where paint looks white: middle tones are
 * exposed, the light end is drawn together below paper white as film does, the deepest tones stay.
 * One curve for all of the room, so that nothing is evened or haloed by its surroundings.
 */
final class WhiteCurve {
  /** Tone from which on the light end is drawn together. */
  private static final double KNEE = -1.2;

  /** Tone that the lightest come to. */
  static final double TOP = -0.04;

  /** Tone of L* 12, which is kept, and stops above it over which exposure comes in. */
  private static final double DEEP = -6.1;

  private static final double EASED = 2;

  private static final double[] AT = {
    -8, -6.1, -5.1, -4.1, -3.4, -2.8, -2.3, -1.8, -1.4, -1, -0.7, -0.4, -0.1, 0.3
  };

  private WhiteCurve() {}

  /**
   * Makes the curve.
   *
   * @param on what the curve works on
   * @param exposure stops by which middle tones are exposed
   * @param top tone of the lightest of the room, stops
   */
  static ToneCurve of(Channels on, double exposure, double top) {
    return of(on, exposure, top, TOP);
  }

  /**
   * Makes the curve.
   *
   * @param white tone that the lightest come to
   */
  static ToneCurve of(Channels on, double exposure, double top, double white) {
    List<Point> points = new ArrayList<>();
    for (double x : AT) {
      double y = Math.max(-12, Math.min(1, shown(x, exposure, top, white)));
      points.add(new Point(x, Math.round(y * 100) / 100.0));
    }
    return new ToneCurve(on, points);
  }

  /**
   * Stops by which middle tones are to be exposed.
   *
   * @param lit tone of white surfaces in their light, stops
   * @param wanted tone that they come to
   * @param top tone of the lightest of the room
   */
  static double exposure(double lit, double wanted, double top) {
    double low = -1;
    double high = 2.5;
    for (int k = 0; k < 40; k++) {
      double middle = (low + high) / 2;
      if (shown(lit, middle, top, TOP) < wanted) {
        low = middle;
      } else {
        high = middle;
      }
    }
    return (low + high) / 2;
  }

  private static double shown(double x, double exposure, double top, double white) {
    double share = Math.max(0, Math.min(1, (x - DEEP) / EASED));
    double t = x + exposure * share;
    double over = top + exposure - KNEE;
    double room = white - KNEE;
    if (t <= KNEE || over <= room) {
      return t;
    }
    double bend = over * room / (over - room);
    double d = t - KNEE;
    return KNEE + d / (1 + d / bend);
  }
}
