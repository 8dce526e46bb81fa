package illuminar.files;

import illuminar.core.frame.Codes;

/** Turns pixels the way EXIF says the camera was held. Source: EXIF 2.32, tag 274. */
final class Upright {
  private Upright() {}

  static Codes turn(Codes in, int orientation) {
    if (orientation == 1) {
      return in;
    }
    boolean swap = orientation >= 5;
    int w = swap ? in.height() : in.width();
    int h = swap ? in.width() : in.height();
    byte[] eight = new byte[in.eight().length];
    short[] sixteen = new short[in.sixteen().length];
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        int from = source(x, y, in.width(), in.height(), orientation) * 3;
        int to = (y * w + x) * 3;
        for (int c = 0; c < 3; c++) {
          if (in.is8()) {
            eight[to + c] = in.eight()[from + c];
          } else {
            sixteen[to + c] = in.sixteen()[from + c];
          }
        }
      }
    }
    return new Codes(w, h, eight, sixteen, in.linear(), in.wide());
  }

  private static int source(int x, int y, int w, int h, int orientation) {
    return switch (orientation) {
      case 2 -> y * w + w - 1 - x;
      case 3 -> (h - 1 - y) * w + w - 1 - x;
      case 4 -> (h - 1 - y) * w + x;
      case 5 -> x * w + y;
      case 6 -> (h - 1 - x) * w + y;
      case 7 -> (h - 1 - x) * w + w - 1 - y;
      case 8 -> x * w + w - 1 - y;
      default -> y * w + x;
    };
  }
}
