package illuminar.core.analysis.window;

import illuminar.core.colour.Stops;
import illuminar.core.frame.Response;
import illuminar.core.picture.FloodFill;
import illuminar.core.picture.Picture;

/**
 * Tells the sky-lit sides of sashes, reveals and sills from the view that they stand beside. All of
 * them burn in the room's frame; in the window frame they are even patches along the pane's edge,
 * much dimmer than the view and of the colour of the light that comes in. Our own rules.
 */
final class Reveals {
  /** Neighbours that differ by less, in stops of light or of a channel's share, are connected. */
  private static final float EVEN = 0.18f;

  /** Stops below the typical view from which on a patch of the window light's colour is joinery. */
  private static final double DIM = 1.55;

  /** Stops below which a patch along the edge is joinery whatever its colour. */
  private static final double VERY_DIM = 2.4;

  /** Share of a patch's rim that lies along the edge of the mask, at least. */
  private static final double ALONG = 0.3;

  /** How much redder or less blue than the window's light white paint may look, twice in stops. */
  private static final double REDDER = 0.25;

  private static final double YELLOWER = 0.15;

  private static final int LEAST = 10;

  private final boolean[] mask;
  private final int w;
  private final int h;
  private final float[][] look;
  private final float typical;
  private final double[] light;

  private Reveals(boolean[] mask, int w, int h, Picture dark, Response response, float typical) {
    this.mask = mask;
    this.w = w;
    this.h = h;
    this.typical = Stops.of(typical);
    look = look(dark, response);
    light = light();
  }

  /**
   * Takes joinery out of a mask of panes.
   *
   * @param mask modified
   * @param dark the window frame at the mask's size, display-linear
   * @param typical light that most of the view reaches
   */
  static void remove(boolean[] mask, int w, int h, Picture dark, Response response, float typical) {
    new Reveals(mask, w, h, dark, response, typical).remove();
  }

  /** Light in stops, and how much redder and bluer than green, twice in stops. */
  private static float[][] look(Picture p, Response response) {
    float[][] out = new float[3][p.r().length];
    for (int i = 0; i < p.r().length; i++) {
      float r = response.toLight(0, p.r()[i]);
      float g = response.toLight(1, p.g()[i]);
      float b = response.toLight(2, p.b()[i]);
      float green = Stops.of(g);
      out[0][i] = Stops.of(0.2126f * r + 0.7152f * g + 0.0722f * b);
      out[1][i] = 2 * (Stops.of(r) - green);
      out[2][i] = 2 * (Stops.of(b) - green);
    }
    return out;
  }

  private float apart(int a, int b) {
    return Math.max(
        Math.abs(look[0][a] - look[0][b]),
        Math.max(Math.abs(look[1][a] - look[1][b]), Math.abs(look[2][a] - look[2][b])));
  }

  private void remove() {
    int[] patch = new int[w * h];
    boolean[] seen = new boolean[w * h];
    boolean[] taken = new boolean[w * h];
    int patches = 0;
    for (int start = 0; start < mask.length; start++) {
      if (mask[start] && !seen[start]) {
        int[] found =
            FloodFill.of(
                start, w, h, false, seen, (from, to) -> mask[to] && apart(from, to) < EVEN);
        patches++;
        for (int i : found) {
          patch[i] = patches;
        }
        if (found.length >= LEAST && joinery(found, patch)) {
          for (int i : found) {
            taken[i] = true;
          }
        }
      }
    }
    takeScraps(patch, taken, patches);
    for (int i = 0; i < mask.length; i++) {
      mask[i] &= !taken[i];
    }
  }

  private boolean joinery(int[] found, int[] patch) {
    double[] mean = new double[3];
    int rim = 0;
    int edge = 0;
    for (int i : found) {
      for (int c = 0; c < 3; c++) {
        mean[c] += look[c][i] / found.length;
      }
      for (int k : PaneFinder.around(i, w, h)) {
        if (patch[k] != patch[i]) {
          rim++;
          edge += onEdge(i, k) ? 1 : 0;
        }
      }
    }
    double under = typical - mean[0];
    boolean windowLit = mean[1] < light[1] + REDDER && mean[2] > light[2] - YELLOWER;
    return edge > ALONG * rim && (under > VERY_DIM || under > DIM && windowLit);
  }

  /** Whether the mask ends within four pixels of a patch, in the direction of a neighbour. */
  private boolean onEdge(int from, int next) {
    int dx = next % w - from % w;
    int dy = next / w - from / w;
    for (int k = 2; k <= 4; k++) {
      int x = from % w + k * dx;
      int y = from / w + k * dy;
      if (x < 0 || y < 0 || x >= w || y >= h) {
        return false;
      }
      if (!mask[y * w + x]) {
        return true;
      }
    }
    return false;
  }

  /** Colour of all the light that comes in through the mask. */
  private double[] light() {
    double[] mean = new double[3];
    double sum = 1e-9;
    for (int i = 0; i < mask.length; i++) {
      if (mask[i]) {
        double l = Stops.light(look[0][i]);
        sum += l;
        mean[1] += l * look[1][i];
        mean[2] += l * look[2][i];
      }
    }
    mean[1] /= sum;
    mean[2] /= sum;
    return mean;
  }

  /** Pieces too small to be classified alone go with the piece taken beside them. */
  private void takeScraps(int[] patch, boolean[] taken, int patches) {
    int[] size = new int[patches + 1];
    for (int p : patch) {
      size[p]++;
    }
    for (int ring = 0; ring < 3; ring++) {
      boolean[] before = taken.clone();
      for (int i = 0; i < mask.length; i++) {
        if (!mask[i] || before[i] || size[patch[i]] >= LEAST || look[0][i] > typical - DIM) {
          continue;
        }
        for (int k : PaneFinder.around(i, w, h)) {
          taken[i] |= before[k];
        }
      }
    }
  }
}
