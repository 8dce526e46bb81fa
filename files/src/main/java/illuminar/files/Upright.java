package illuminar.files;

import illuminar.core.frame.Codes;

/**
 * A picture as it lies in its file, to be turned the way the camera was held. Source: EXIF 2.32,
 * tag 274.
 *
 * @param lying its pixels as they lie
 * @param orientation what EXIF says, 1 to 8
 */
record Upright(Codes lying, int orientation) {
  private boolean swaps() {
    return orientation >= 5;
  }

  /** Pixels across, upright. */
  int width() {
    return swaps() ? lying.height() : lying.width();
  }

  /** Pixels down, upright. */
  int height() {
    return swaps() ? lying.width() : lying.height();
  }

  /** The whole picture, upright. */
  Codes codes() {
    return orientation == 1 ? lying : rows(0, height());
  }

  /**
   * Some rows of the upright picture.
   *
   * @param first the uppermost
   * @param end after the lowest
   */
  Codes rows(int first, int end) {
    int w = width();
    int n = 3 * w * (end - first);
    byte[] eight = new byte[lying.is8() ? n : 0];
    short[] sixteen = new short[lying.is8() ? 0 : n];
    for (int y = first; y < end; y++) {
      for (int x = 0; x < w; x++) {
        int from = source(x, y) * 3;
        int to = ((y - first) * w + x) * 3;
        for (int c = 0; c < 3; c++) {
          if (lying.is8()) {
            eight[to + c] = lying.eight()[from + c];
          } else {
            sixteen[to + c] = lying.sixteen()[from + c];
          }
        }
      }
    }
    return new Codes(w, end - first, eight, sixteen, lying.linear(), lying.wide());
  }

  /** Where a pixel of the upright picture lies. */
  private int source(int x, int y) {
    int w = lying.width();
    int h = lying.height();
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
