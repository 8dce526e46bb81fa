package illuminar.core.balance;

import illuminar.core.colour.Lab;
import illuminar.core.control.Numbers;
import illuminar.core.pass.kinds.Balance;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Finds the brightness, white and saturation that bring colours to a reference, or make them
 * neutral: damped least squares (Levenberg 1944, Marquardt 1963) on L*a*b* differences, within what
 * the controls allow.
 */
public final class Solve {
  /** From this chroma on a pick is hardly a neutral surface. */
  public static final double COLOURED = 25;

  /** Light, warmer, tint and saturation, as far as the controls go. */
  private static final List<Numbers.NumberControl> CONTROLS = Numbers.of(Balance.class);

  private static final double[] LEAST =
      CONTROLS.stream().mapToDouble(Numbers.NumberControl::from).toArray();
  private static final double[] MOST =
      CONTROLS.stream().mapToDouble(Numbers.NumberControl::to).toArray();

  /** Steps in which the controls are felt alike, for damping and differences. */
  private static final double[] STEP = {0.05, 2, 2, 0.02};

  /** How strongly each control is held where nothing asks for it: L*a*b* for each step. */
  private static final double[] HOLD = {0.0005, 0.0005, 0.0005, 0.02};

  private static final int MOST_ROUNDS = 60;

  private Solve() {}

  /**
   * What was found.
   *
   * @param move what brings the colours there
   * @param left mean CIEDE2000 difference that is left
   * @param each difference left of each colour
   * @param said what speaks against it, or empty
   */
  public record Found(Balance move, double left, List<Double> each, String said) {}

  /**
   * Brings the mean colours of one or many places to a reference.
   *
   * @param colours at least one
   */
  public static Found toReference(List<Lab> colours, Lab reference) {
    if (colours.isEmpty()) {
      throw new IllegalArgumentException("nothing to bring to the reference: pin a probe first");
    }
    double[] p = fit(colours, new int[] {0, 1, 2, 3}, (k, lab) -> difference(lab, reference));
    Balance move = move(p);
    List<Double> each = colours.stream().map(c -> after(c, move).difference(reference)).toList();
    double left = mean(each);
    return new Found(move, left, each, said(p, left, colours.size()));
  }

  /**
   * Brings each colour near to its reference by brightness and white alone; saturation stays.
   *
   * @param colours at least one
   * @param references as many
   */
  public static Found toReferences(List<Lab> colours, List<Lab> references) {
    if (colours.isEmpty() || colours.size() != references.size()) {
      throw new IllegalArgumentException("each colour needs a reference");
    }
    double[] p = fit(colours, new int[] {0, 1, 2}, (k, lab) -> difference(lab, references.get(k)));
    Balance move = move(p);
    List<Double> each = new ArrayList<>();
    for (int k = 0; k < colours.size(); k++) {
      each.add(after(colours.get(k), move).difference(references.get(k)));
    }
    double left = mean(each);
    return new Found(move, left, each, said(p, left, colours.size()));
  }

  private static double[] difference(Lab is, Lab wanted) {
    return new double[] {is.l() - wanted.l(), is.a() - wanted.a(), is.b() - wanted.b()};
  }

  /** What is to vanish of a colour, by its number, as it stands after a move. */
  private interface Wanted {
    double[] of(int k, Lab after);
  }

  private static String said(double[] p, double left, int n) {
    if (left < 1) {
      return "";
    }
    for (int k = 0; k < 4; k++) {
      if (p[k] <= LEAST[k] + 1e-6 || p[k] >= MOST[k] - 1e-6) {
        return String.format(
            Locale.ROOT,
            "Comes within %.1f of the reference: %s is at the end of its scale.",
            left,
            CONTROLS.get(k).name());
      }
    }
    return n > 1
        ? String.format(
            Locale.ROOT,
            "Comes within %.1f of the reference: the places differ among themselves.",
            left)
        : String.format(Locale.ROOT, "Comes within %.1f of the reference.", left);
  }

  /**
   * The white under which picked surfaces are as neutral as they can be together; their lightness
   * stays.
   *
   * @param picks at least one
   */
  public static Found neutral(List<Lab> picks) {
    if (picks.isEmpty()) {
      throw new IllegalArgumentException("pick at least one neutral surface");
    }
    double[] p = fit(picks, new int[] {1, 2}, (k, lab) -> new double[] {lab.a(), lab.b()});
    // brightness is not what a neutral pick is about
    Balance move = new Balance(0, p[1], p[2], 1);
    List<Double> each = picks.stream().map(c -> after(c, move).chroma()).toList();
    double most = picks.stream().mapToDouble(Lab::chroma).max().orElse(0);
    String said =
        most > COLOURED
            ? String.format(
                Locale.ROOT,
                "A pick has a chroma of %.0f: it is probably a coloured thing, not a white one.",
                most)
            : mean(each) > 2
                ? String.format(
                    Locale.ROOT,
                    "The picks stand in different light: a chroma of %.1f is left on average.",
                    mean(each))
                : "";
    return new Found(move, mean(each), each, said);
  }

  private static double mean(List<Double> values) {
    return values.stream().mapToDouble(v -> v).average().orElse(0);
  }

  private static Balance move(double[] p) {
    return new Balance(p[0], p[1], p[2], p[3]);
  }

  /** The colour that a move made into this one; the move's saturation must be above 0. */
  public static Lab before(Lab colour, Balance move) {
    double[] work = colour.work();
    double[] out = move.matrix().inverse().apply(work[0], work[1], work[2]);
    return Lab.ofWork(out[0], out[1], out[2]);
  }

  /** A colour after a move. */
  public static Lab after(Lab colour, Balance move) {
    double[] work = colour.work();
    double[] out = move.matrix().apply(work[0], work[1], work[2]);
    return Lab.ofWork(out[0], out[1], out[2]);
  }

  /**
   * @param use which of the four controls may move
   * @param wanted the differences that are to vanish for one colour as it stands after the move
   */
  private static double[] fit(List<Lab> colours, int[] use, Wanted wanted) {
    double[] p = {0, 0, 0, 1};
    double damping = 1e-3;
    double[] r = residuals(colours, p, wanted);
    double cost = squares(r);
    for (int round = 0; round < MOST_ROUNDS && damping < 1e8; round++) {
      double[][] j = new double[use.length][];
      for (int k = 0; k < use.length; k++) {
        double[] q = p.clone();
        double d = STEP[use[k]] * (q[use[k]] + STEP[use[k]] > MOST[use[k]] ? -1 : 1);
        q[use[k]] += d;
        double[] moved = residuals(colours, q, wanted);
        j[k] = new double[r.length];
        for (int i = 0; i < r.length; i++) {
          j[k][i] = (moved[i] - r[i]) / Math.copySign(1, d);
        }
      }
      double[] step = solve(j, r, damping);
      double[] q = p.clone();
      for (int k = 0; k < use.length; k++) {
        int c = use[k];
        q[c] = Math.max(LEAST[c], Math.min(MOST[c], p[c] + step[k] * STEP[c]));
      }
      double[] next = residuals(colours, q, wanted);
      double better = squares(next);
      if (better < cost) {
        boolean done = cost - better < 1e-9 * (1 + cost);
        p = q;
        r = next;
        cost = better;
        damping = Math.max(1e-9, damping / 5);
        if (done) {
          break;
        }
      } else {
        damping *= 4;
      }
    }
    return p;
  }

  private static double[] residuals(List<Lab> colours, double[] p, Wanted wanted) {
    Balance move = move(p);
    List<Double> all = new ArrayList<>();
    for (int i = 0; i < colours.size(); i++) {
      for (double d : wanted.of(i, after(colours.get(i), move))) {
        all.add(d);
      }
    }
    double[] out = new double[all.size() + 4];
    for (int i = 0; i < all.size(); i++) {
      out[i] = all.get(i);
    }
    for (int k = 0; k < 4; k++) {
      out[all.size() + k] = (p[k] - (k == 3 ? 1 : 0)) / STEP[k] * HOLD[k];
    }
    return out;
  }

  private static double squares(double[] r) {
    double sum = 0;
    for (double v : r) {
      sum += v * v;
    }
    return sum;
  }

  /** The step that least squares want, damped; by Gaussian elimination. */
  private static double[] solve(double[][] j, double[] r, double damping) {
    int n = j.length;
    double[][] a = new double[n][n + 1];
    for (int x = 0; x < n; x++) {
      for (int y = 0; y < n; y++) {
        for (int i = 0; i < r.length; i++) {
          a[x][y] += j[x][i] * j[y][i];
        }
      }
      a[x][x] *= 1 + damping;
      a[x][x] += 1e-12;
      for (int i = 0; i < r.length; i++) {
        a[x][n] -= j[x][i] * r[i];
      }
    }
    for (int c = 0; c < n; c++) {
      int pivot = c;
      for (int x = c + 1; x < n; x++) {
        pivot = Math.abs(a[x][c]) > Math.abs(a[pivot][c]) ? x : pivot;
      }
      double[] swap = a[c];
      a[c] = a[pivot];
      a[pivot] = swap;
      for (int x = 0; x < n; x++) {
        if (x != c) {
          double f = a[x][c] / a[c][c];
          for (int y = c; y <= n; y++) {
            a[x][y] -= f * a[c][y];
          }
        }
      }
    }
    double[] out = new double[n];
    for (int c = 0; c < n; c++) {
      out[c] = a[c][n] / a[c][c];
    }
    return out;
  }
}
