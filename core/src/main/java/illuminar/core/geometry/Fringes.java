package illuminar.core.geometry;

import illuminar.core.algebra.Cholesky;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Finds by how much a lens draws red and blue larger than green: along edges that lie across the
 * way from the middle of the picture, each channel's shift against green by least squares over its
 * gradient (Lucas and Kanade 1981), as a share of the radius (lateral colour scales with it: Boult
 * and Wolberg 1992); the middle of all.
 */
public final class Fringes {
  /** Pixels along the way from the middle that are compared, on either side. */
  private static final int REACH = 6;

  /** Step of green over the pixels that are compared, sRGB. */
  private static final float LEAST_STEP = 0.08f;

  /** Share of the half diagonal from which on shifts can be told. */
  private static final double LEAST_RADIUS = 0.25;

  /** sRGB from which on a channel is cut off, and its edge lies elsewhere. */
  private static final double BURNT = 0.97;

  /** Share of a channel's variation that green must explain. */
  private static final double ALIKE = 0.95;

  /** Step of a channel over green's, at least, and what it must vary, squares of sRGB. */
  private static final double LEAST_LIKE = 0.2;

  private static final double LEAST_VARIES = 1e-4;

  /** Edges that must be told. */
  private static final int LEAST_EDGES = 150;

  /** Edges that are looked at, at most. */
  private static final int MOST_EDGES = 6000;

  private static final int ROUNDS = 6;

  /** Accuracy of the middle of all, percent of the radius, from which on it counts as found. */
  private static final double SURE = 0.01;

  /**
   * What was found.
   *
   * @param red by how much red lies farther out than green, percent of the radius; {@code blue}
   *     likewise
   * @param edges that tell it
   * @param sure whether they agree
   */
  public record Found(double red, double blue, int edges, boolean sure) {}

  /** A shift of a channel along an edge, percent of the radius. */
  private record Shift(double percent, double weight) {
    static final Shift NONE = new Shift(0, 0);
  }

  private final Plane[] codes;
  private final double middleX;
  private final double middleY;
  private final double corner;

  private Fringes(Picture view) {
    Picture picture = view.through(Space.WORK_TO_SRGB.floats());
    int w = picture.width();
    int h = picture.height();
    codes = new Plane[] {Plane.of(w, h), Plane.of(w, h), Plane.of(w, h)};
    for (int c = 0; c < 3; c++) {
      for (int i = 0; i < w * h; i++) {
        float light = Math.max(0, Math.min(1, picture.channel(c)[i]));
        codes[c].data()[i] = Srgb.encodeFast(light);
      }
    }
    middleX = (w - 1) / 2.0;
    middleY = (h - 1) / 2.0;
    corner = Math.hypot(w, h) / 2;
  }

  /**
   * @param picture of the whole view, as the lens drew it
   */
  public static Found of(Picture picture) {
    Fringes fringes = new Fringes(picture);
    List<int[]> edges = fringes.edges();
    Scale red = fringes.scale(0, edges);
    Scale blue = fringes.scale(2, edges);
    int told = Math.min(red.edges, blue.edges);
    boolean sure = told >= LEAST_EDGES && Math.max(red.error, blue.error) < SURE;
    return new Found(red.percent, blue.percent, told, sure);
  }

  /** Places where green changes most along the way from the middle. */
  private List<int[]> edges() {
    Plane green = codes[1];
    List<int[]> all = new ArrayList<>();
    int margin = REACH + 3;
    for (int y = margin; y < green.height() - margin; y++) {
      for (int x = margin; x < green.width() - margin; x++) {
        double radius = Math.hypot(x - middleX, y - middleY);
        if (radius < LEAST_RADIUS * corner) {
          continue;
        }
        float ux = (float) ((x - middleX) / radius);
        float uy = (float) ((y - middleY) / radius);
        float step = step(green, x, y, ux, uy);
        if (step > LEAST_STEP
            && step >= step(green, x - ux, y - uy, ux, uy)
            && step > step(green, x + ux, y + uy, ux, uy)) {
          all.add(new int[] {x, y});
        }
      }
    }
    if (all.size() <= MOST_EDGES) {
      return all;
    }
    List<int[]> some = new ArrayList<>();
    for (int k = 0; k < MOST_EDGES; k++) {
      some.add(all.get((int) ((long) k * all.size() / MOST_EDGES)));
    }
    return some;
  }

  private static float step(Plane p, float x, float y, float ux, float uy) {
    return Math.abs(p.sample(x + 2 * ux, y + 2 * uy) - p.sample(x - 2 * ux, y - 2 * uy));
  }

  /**
   * @param percent by which a channel is larger than green
   * @param edges that tell it
   * @param error of the percentage
   */
  private record Scale(double percent, int edges, double error) {}

  private Scale scale(int channel, List<int[]> edges) {
    double percent = 0;
    List<Shift> shifts = List.of();
    for (int round = 0; round < ROUNDS; round++) {
      shifts = shifts(channel, edges, percent);
      if (shifts.isEmpty()) {
        return new Scale(0, 0, Double.MAX_VALUE);
      }
      percent += middle(shifts);
    }
    double spread = 0;
    double sum = 0;
    double squares = 0;
    double left = middle(shifts);
    for (Shift s : shifts) {
      double off = Math.min(1, Math.abs(s.percent - left));
      spread += s.weight * off;
      sum += s.weight;
      squares += s.weight * s.weight;
    }
    double counting = sum * sum / squares;
    return new Scale(percent, shifts.size(), 1.25 * spread / sum / Math.sqrt(counting));
  }

  private List<Shift> shifts(int channel, List<int[]> edges, double percent) {
    List<Shift> out = new ArrayList<>();
    for (int[] at : edges) {
      Shift shift = shift(channel, at[0], at[1], percent);
      if (shift.weight > 0) {
        out.add(shift);
      }
    }
    return out;
  }

  /** How much farther out than {@code percent} a channel's edge lies. */
  private Shift shift(int channel, int x, int y, double percent) {
    double radius = Math.hypot(x - middleX, y - middleY);
    double ux = (x - middleX) / radius;
    double uy = (y - middleY) / radius;
    // channel ≈ a + b·green − c·slope of green; the shift is c / b
    double[][] m = new double[3][3];
    double[] with = new double[3];
    double squares = 0;
    double mean = 0;
    double[] row = new double[3];
    int n = 2 * REACH + 1;
    for (int t = -REACH; t <= REACH; t++) {
      double r = radius + t;
      row[0] = 1;
      row[1] = along(1, r, ux, uy);
      row[2] = (along(1, r - 1, ux, uy) - along(1, r + 1, ux, uy)) / 2;
      double own = along(channel, r * (1 + percent / 100), ux, uy);
      if (own > BURNT || row[1] > BURNT) {
        return Shift.NONE;
      }
      for (int i = 0; i < 3; i++) {
        for (int j = 0; j < 3; j++) {
          m[i][j] += row[i] * row[j];
        }
        with[i] += row[i] * own;
      }
      squares += own * own;
      mean += own;
    }
    double slope = m[2][2];
    double[] solved = Cholesky.solve(m, with);
    double varies = squares - mean * mean / n;
    if (solved[1] < LEAST_LIKE || varies < LEAST_VARIES) {
      return Shift.NONE;
    }
    // what is left of the variation, by the normal equations
    double left = squares;
    for (int i = 0; i < 3; i++) {
      left -= solved[i] * with[i];
    }
    double shift = solved[2] / solved[1];
    if (1 - left / varies < ALIKE || Math.abs(shift) > REACH / 2.0) {
      return Shift.NONE;
    }
    return new Shift(100 * shift / radius, slope * radius / corner);
  }

  private float along(int channel, double radius, double ux, double uy) {
    return codes[channel].sample((float) (middleX + radius * ux), (float) (middleY + radius * uy));
  }

  /** Of shifts by their weights. */
  private static double middle(List<Shift> shifts) {
    Shift[] sorted = shifts.toArray(Shift[]::new);
    Arrays.sort(sorted, (a, b) -> Double.compare(a.percent, b.percent));
    double all = 0;
    for (Shift s : sorted) {
      all += s.weight;
    }
    double sum = 0;
    int k = 0;
    while (k < sorted.length - 1 && sum + sorted[k].weight < all / 2) {
      sum += sorted[k++].weight;
    }
    return sorted[k].percent;
  }
}
