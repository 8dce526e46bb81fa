package illuminar.core.analysis.window;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * Panes that make one window: side by side or one above the other with only a bar between them.
 * Panes that show little light are believed where their sides are in line with others.
 */
final class PaneLattice {
  /** Width of a bar, or of two stiles that meet, as a share of the picture's width. */
  private static final double BAR = 0.026;

  /** Pixels by which sides in line may be apart. */
  private static final double IN_LINE = 3;

  /** Share of the usual pane's width, or height, below which one is no pane. */
  private static final double STRIP = 0.4;

  /** Share of the lesser of two heights, or widths, that must lie beside one another. */
  private static final double BESIDE = 0.5;

  private final double bar;

  PaneLattice(int width) {
    bar = BAR * width;
  }

  /** Windows, each a list of its panes; of those that are weak, only what is in line. */
  List<List<PaneTree.Pane>> windows(List<PaneTree.Pane> panes) {
    int[] group = new int[panes.size()];
    Arrays.fill(group, -1);
    List<List<PaneTree.Pane>> out = new ArrayList<>();
    for (int k = 0; k < group.length; k++) {
      if (group[k] < 0 && panes.get(k).strong()) {
        out.add(withoutStrips(gathered(k, panes, group, out.size())));
      }
    }
    return out;
  }

  /** The window that one pane belongs to, weak or strong. */
  List<PaneTree.Pane> windowOf(PaneTree.Pane pane, List<PaneTree.Pane> panes) {
    int[] group = new int[panes.size()];
    Arrays.fill(group, -1);
    return withoutStrips(gathered(panes.indexOf(pane), panes, group, 0));
  }

  /** Lit reveals, sills and casings beside a window have its sides, but not its panes' size. */
  private static List<PaneTree.Pane> withoutStrips(List<PaneTree.Pane> window) {
    double[] wide = window.stream().mapToDouble(p -> p.quad().wide()).sorted().toArray();
    double[] high = window.stream().mapToDouble(p -> p.quad().high()).sorted().toArray();
    double usualWide = STRIP * wide[wide.length / 2];
    double usualHigh = STRIP * high[high.length / 2];
    return window.stream()
        .filter(p -> p.quad().wide() >= usualWide && p.quad().high() >= usualHigh)
        .toList();
  }

  private List<PaneTree.Pane> gathered(
      int start, List<PaneTree.Pane> panes, int[] group, int name) {
    List<PaneTree.Pane> out = new ArrayList<>();
    List<Integer> open = new ArrayList<>(List.of(start));
    group[start] = name;
    while (!open.isEmpty()) {
      PaneTree.Pane a = panes.get(open.remove(open.size() - 1));
      out.add(a);
      for (int k = 0; k < group.length; k++) {
        PaneTree.Pane b = panes.get(k);
        boolean strict = !a.strong() || !b.strong();
        if (group[k] < 0 && joined(a.quad(), b.quad(), strict)) {
          group[k] = name;
          open.add(k);
        }
      }
    }
    return out;
  }

  private boolean joined(Quad a, Quad b, boolean strict) {
    return beside(a, b, strict)
        || beside(b, a, strict)
        || below(a, b, strict)
        || below(b, a, strict);
  }

  /** Whether {@code b} is the next pane to the right of {@code a}. */
  private boolean beside(Quad a, Quad b, boolean strict) {
    double y = (a.middle()[1] + b.middle()[1]) / 2;
    double right = Quad.at(a.right(), y);
    double left = Quad.at(b.left(), y);
    double x = (right + left) / 2;
    return next(right, left)
        && along(
            new double[] {Quad.at(a.top(), x), Quad.at(a.bottom(), x)},
            new double[] {Quad.at(b.top(), x), Quad.at(b.bottom(), x)},
            strict);
  }

  /** Whether {@code b} is the next pane below {@code a}. */
  private boolean below(Quad a, Quad b, boolean strict) {
    double x = (a.middle()[0] + b.middle()[0]) / 2;
    double bottom = Quad.at(a.bottom(), x);
    double top = Quad.at(b.top(), x);
    double y = (bottom + top) / 2;
    return next(bottom, top)
        && along(
            new double[] {Quad.at(a.left(), y), Quad.at(a.right(), y)},
            new double[] {Quad.at(b.left(), y), Quad.at(b.right(), y)},
            strict);
  }

  private boolean next(double end, double start) {
    return start - end > -2 && start - end < bar;
  }

  private static boolean along(double[] a, double[] b, boolean strict) {
    if (strict) {
      return Math.abs(a[0] - b[0]) < IN_LINE && Math.abs(a[1] - b[1]) < IN_LINE;
    }
    double common = Math.min(a[1], b[1]) - Math.max(a[0], b[0]);
    return common > BESIDE * Math.min(a[1] - a[0], b[1] - b[0]);
  }

  /** The four outermost sides of a window's panes. */
  static Quad outline(List<PaneTree.Pane> window) {
    List<Quad> all = window.stream().map(PaneTree.Pane::quad).toList();
    double x = all.stream().mapToDouble(q -> q.middle()[0]).average().orElse(0);
    double y = all.stream().mapToDouble(q -> q.middle()[1]).average().orElse(0);
    return new Quad(
        outermost(all, Quad::left, Quad::high, y, -1),
        outermost(all, Quad::right, Quad::high, y, 1),
        outermost(all, Quad::top, Quad::wide, x, -1),
        outermost(all, Quad::bottom, Quad::wide, x, 1));
  }

  private interface Side {
    double[] of(Quad q);
  }

  /** Of the sides that lie farthest out, the longest. */
  private static double[] outermost(
      List<Quad> all, Side side, ToDoubleFunction<Quad> length, double at, int outward) {
    double most = all.stream().mapToDouble(q -> outward * Quad.at(side.of(q), at)).max().orElse(0);
    return all.stream()
        .filter(q -> outward * Quad.at(side.of(q), at) > most - IN_LINE)
        .max(Comparator.comparingDouble(length))
        .map(side::of)
        .orElseThrow();
  }
}
