package illuminar.core.filter;

import illuminar.core.picture.Plane;

/**
 * The guided filter's linear maps: near each pixel, output = slope · guide + offset. Kept apart so
 * that maps from a small grid can be used with the guide at any size.
 *
 * <p>Source: He, Sun, Tang, "Guided image filtering", 2010; He, Sun, "Fast guided filter", 2015.
 */
public record Guided(Plane slope, Plane offset) {

  /**
   * @param guide one value a pixel; not modified
   * @param input what is to follow the guide's edges; not modified; may be the guide itself
   * @param epsilon variance of the guide below which it counts as flat, in the guide's unit squared
   */
  public static Guided of(Plane guide, Plane input, int radius, float epsilon) {
    int n = guide.data().length;
    Plane meanG = Box.mean(guide, radius);
    Plane meanP = guide == input ? meanG : Box.mean(input, radius);
    Plane gg = Plane.of(guide.width(), guide.height());
    Plane gp = Plane.of(guide.width(), guide.height());
    for (int i = 0; i < n; i++) {
      float g = guide.data()[i];
      gg.data()[i] = g * g;
      gp.data()[i] = g * input.data()[i];
    }
    Plane meanGG = Box.mean(gg, radius);
    Plane meanGP = guide == input ? meanGG : Box.mean(gp, radius);
    Plane a = Plane.of(guide.width(), guide.height());
    Plane b = Plane.of(guide.width(), guide.height());
    for (int i = 0; i < n; i++) {
      float mg = meanG.data()[i];
      float mp = meanP.data()[i];
      float variance = Math.max(0, meanGG.data()[i] - mg * mg);
      a.data()[i] = (meanGP.data()[i] - mg * mp) / (variance + epsilon);
      b.data()[i] = mp - a.data()[i] * mg;
    }
    return new Guided(Box.mean(a, radius), Box.mean(b, radius));
  }

  /** The filtered plane on the guide's own grid. */
  public Plane on(Plane guide) {
    Plane out = Plane.of(guide.width(), guide.height());
    for (int i = 0; i < out.data().length; i++) {
      out.data()[i] = slope.data()[i] * guide.data()[i] + offset.data()[i];
    }
    return out;
  }
}
