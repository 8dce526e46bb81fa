package illuminar.core.shadow;

import illuminar.core.picture.Plane;

/** Tones without lines, dark or light, such as the joints of paving: a closing and an opening. */
final class Broad {
  /** Half the width of a line, pixels. */
  private static final int LINE = 2;

  private Broad() {}

  static Plane[] of(Plane[] tones) {
    Plane[] out = new Plane[tones.length];
    for (int c = 0; c < out.length; c++) {
      Plane closed = extreme(extreme(tones[c], 1), -1);
      out[c] = extreme(extreme(closed, -1), 1);
    }
    return out;
  }

  /** The greatest, or with −1 the least, near by. */
  private static Plane extreme(Plane in, int side) {
    int w = in.width();
    Plane across = Plane.of(w, in.height());
    Plane out = Plane.of(w, in.height());
    for (int i = 0; i < in.data().length; i++) {
      float most = in.data()[i] * side;
      for (int d = -LINE; d <= LINE; d++) {
        most = Math.max(most, in.clamped(i % w + d, i / w) * side);
      }
      across.data()[i] = most;
    }
    for (int i = 0; i < in.data().length; i++) {
      float most = across.data()[i];
      for (int d = -LINE; d <= LINE; d++) {
        most = Math.max(most, across.clamped(i % w, i / w + d));
      }
      out.data()[i] = most * side;
    }
    return out;
  }
}
