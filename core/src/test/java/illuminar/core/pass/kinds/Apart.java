package illuminar.core.pass.kinds;

import illuminar.core.colour.Lab;
import illuminar.core.picture.Picture;

/** How far two pictures of linear BT.2020 are apart. */
final class Apart {
  private Apart() {}

  /**
   * Mean CIEDE2000 within a box, whose right and bottom edges are not part of it.
   *
   * @param step of how many columns and rows one counts
   */
  static double within(Picture a, Picture b, int left, int top, int right, int bottom, int step) {
    double sum = 0;
    int n = 0;
    for (int y = top; y < bottom; y += step) {
      for (int x = left; x < right; x += step) {
        int i = y * a.width() + x;
        sum +=
            Lab.ofWork(a.r()[i], a.g()[i], a.b()[i])
                .difference(Lab.ofWork(b.r()[i], b.g()[i], b.b()[i]));
        n++;
      }
    }
    return sum / n;
  }
}
