package illuminar.core.mend;

import illuminar.core.filter.Box;
import illuminar.core.picture.Plane;

/**
 * How far the forms of a source are those of the hole's surroundings: the slope of what is seen
 * about the hole on what is seen about the source, beyond what either is in the mean, of what lies
 * near a place and a little of all. Our own rule, no source.
 */
final class BorneOut {
  /** Pixels beside a hole in which forms are compared. */
  private static final int BESIDE = 5;

  /** Pixels near a place from where they count, and how much all of a rim says there. */
  private static final int NEAR = 4;

  private static final float LITTLE = 0.2f;

  private final Window window;
  private final int[] ring;

  /** Which of the window's pixels are in the ring and have a source that is seen. */
  private final boolean[] in;

  private final float[][] other;

  private BorneOut(Window window, Pieces pieces) {
    this.window = window;
    ring = pieces.hole().rim(window, BESIDE);
    in = new boolean[window.hole().length];
    other = new float[3][in.length];
    int w = window.width();
    Pieces.Cells cells = pieces.cells(w, BESIDE + 1);
    for (int i : ring) {
      Pieces.Way way = pieces.ways().get(cells.at(i % w, i / w));
      in[i] = window.known(i, (int) Math.round(way.x()), (int) Math.round(way.y()));
      for (int c = 0; c < 3 && in[i]; c++) {
        other[c][i] = window.tone(c, i % w + way.x(), i / w + way.y());
      }
    }
  }

  /**
   * @param left of the part of the window that is asked for; {@code top} likewise
   * @return 0 for not at all to 1
   */
  static Plane of(Window window, Pieces pieces, int left, int top, int width, int height) {
    return new BorneOut(window, pieces).slopes(left, top, width, height);
  }

  private Plane slopes(int left, int top, int width, int height) {
    Plane both = Plane.of(width + 2 * BESIDE, height + 2 * BESIDE);
    Plane square = Plane.of(both.width(), both.height());
    double allBoth = 0;
    double allSquare = 0;
    for (int i : ring) {
      int x = i % window.width() - left + BESIDE;
      int y = i / window.width() - top + BESIDE;
      for (int c = 0; c < 3 && in[i]; c++) {
        float own = form(window.tones()[c], i);
        float of = form(other[c], i);
        both.data()[y * both.width() + x] += own * of;
        square.data()[y * both.width() + x] += of * of;
        allBoth += own * of;
        allSquare += of * of;
      }
    }
    float little = LITTLE / both.data().length;
    float[] nearBoth = Box.mean(Box.mean(both, NEAR), NEAR).data();
    float[] nearSquare = Box.mean(Box.mean(square, NEAR), NEAR).data();
    Plane out = Plane.of(width, height);
    for (int i = 0; i < out.data().length; i++) {
      int at = (i / width + BESIDE) * both.width() + i % width + BESIDE;
      double of = nearSquare[at] + little * allSquare;
      double slope = of > 0 ? (nearBoth[at] + little * allBoth) / of : 0;
      out.data()[i] = (float) Math.max(0, Math.min(1, slope));
    }
    return out;
  }

  /** How far a pixel's tone is from the mean of the ring about it. */
  private float form(float[] tones, int i) {
    int w = window.width();
    float sum = 0;
    int n = 0;
    for (int v = Math.max(0, i / w - BESIDE);
        v <= Math.min(window.height() - 1, i / w + BESIDE);
        v++) {
      for (int u = Math.max(0, i % w - BESIDE); u <= Math.min(w - 1, i % w + BESIDE); u++) {
        if (in[v * w + u]) {
          sum += tones[v * w + u];
          n++;
        }
      }
    }
    return tones[i] - sum / n;
  }
}
