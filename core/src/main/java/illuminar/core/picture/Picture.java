package illuminar.core.picture;

import illuminar.core.colour.Space;

/** Three planes of linear BT.2020 light, 1.0 at display white, unbounded. Arrays are shared. */
public record Picture(int width, int height, float[] r, float[] g, float[] b) {

  public static Picture of(int width, int height) {
    int n = width * height;
    return new Picture(width, height, new float[n], new float[n], new float[n]);
  }

  public float[] channel(int c) {
    return c == 0 ? r : c == 1 ? g : b;
  }

  /** Luminance Y of every pixel, as a new plane. */
  public Plane luminance() {
    Plane y = Plane.of(width, height);
    for (int i = 0; i < r.length; i++) {
      y.data()[i] = Space.luminance(r[i], g[i], b[i]);
    }
    return y;
  }

  public Picture copy() {
    return new Picture(width, height, r.clone(), g.clone(), b.clone());
  }
}
