package illuminar.core.mend;

import illuminar.core.algebra.Cut;
import illuminar.core.picture.Bands;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * A hole put together from pieces of what lies about it. Ways by which the surroundings repeat
 * themselves ({@link Offsets}) are offered to each pixel; which goes which is chosen so that pieces
 * meet what is left and each other where it is seen least (He, Sun 2012; alpha expansion by cuts:
 * Boykov, Veksler, Zabih 2001). Lines and edges that run into the hole go on in it, since they
 * repeat along themselves.
 */
public final class Assembly {
  /** Pixels of a hole that are decided one by one; a larger one is decided on coarser pixels. */
  private static final int MOST_PIXELS = 4000;

  private static final int MOST_WAYS = 48;

  /** Ways that are offered in any case: so many times as long as the hole is thick. */
  private static final double[] ROUND_ABOUT = {1.1, 1.6, 2.4, 3.6};

  private static final int DIRECTIONS = 16;

  /** Rounds over all ways; the first that changes nothing is the last. */
  private static final int ROUNDS = 3;

  /** Costs are thousandths of stops. */
  private static final float UNIT = 1000;

  /** What a source that is smoother than all that lies about costs, of the difference. */
  private static final float SMOOTH = 2;

  /** Of a seam, however well its sides meet. */
  private static final int SEAM = 30;

  /** Of a pixel whose way leads into a hole or out of the window. */
  private static final int NOWHERE = 3_000_000;

  /** Of a neighbour that cannot be compared. */
  private static final int UNKNOWN = 1000;

  /** Pixels about one of the hole that it is compared by, where they are in none. */
  private static final int RIM = 2;

  private final Window window;
  private final Hole hole;
  private final Looks looks;
  private final int[] pixels;
  private final int[] right;
  private final int[] below;
  private final List<Likeness.Way> ways;
  private final int[][] rim;

  /** Thousandths of stops that each way shows at each pixel: red, green, blue in turn. */
  private final int[][] shown;

  private final int[] of;

  private Assembly(Window window, Hole hole) {
    this.window = window;
    this.hole = hole;
    pixels = hole.pixels();
    int[] index = new int[window.hole().length];
    Arrays.fill(index, -1);
    for (int k = 0; k < pixels.length; k++) {
      index[pixels[k]] = k;
    }
    int w = window.width();
    right = new int[pixels.length];
    below = new int[pixels.length];
    for (int k = 0; k < pixels.length; k++) {
      int i = pixels[k];
      right[k] = i % w < w - 1 ? index[i + 1] : -1;
      below[k] = i + w < index.length ? index[i + w] : -1;
    }
    int thick = hole.thickness(window) + 1;
    looks = new Looks(window, thick, Math.max(6, hole.size() / 8));
    ways = offered(thick);
    rim = new int[ways.size()][];
    shown = new int[ways.size()][];
    Bands.of(
        ways.size(),
        4,
        (from, to) -> {
          for (int a = from; a < to; a++) {
            rim[a] = rim(ways.get(a));
            shown[a] = shown(ways.get(a));
          }
        });
    of = new int[pixels.length];
  }

  /** Nothing where no whole place about the hole serves some of it. */
  public static Optional<Pieces> of(Window window, Hole hole) {
    if (hole.pixels().length > MOST_PIXELS && Math.min(window.width(), window.height()) > 16) {
      return of(window.halved(), hole.halved(window)).map(p -> finer(p, window, hole));
    }
    return new Assembly(window, hole).pieces();
  }

  /** Pieces decided on pixels twice as large. */
  private static Pieces finer(Pieces coarse, Window window, Hole hole) {
    int w = window.width();
    int half = (w + 1) / 2;
    int[] there = new int[half * ((window.height() + 1) / 2)];
    for (int k = 0; k < coarse.of().length; k++) {
      there[coarse.hole().pixels()[k]] = coarse.of()[k];
    }
    int[] of = new int[hole.pixels().length];
    for (int k = 0; k < of.length; k++) {
      int i = hole.pixels()[k];
      of[k] = there[i / w / 2 * half + i % w / 2];
    }
    return new Pieces(hole, of, coarse.ways().stream().map(v -> v.times(2)).toList());
  }

  /**
   * The ways to choose from: how the surroundings repeat, the place most alike, and round about.
   */
  private List<Likeness.Way> offered(int thick) {
    List<Likeness.Way> all = new ArrayList<>();
    Likeness.of(window, hole).ifPresent(all::add);
    all.addAll(Offsets.of(window, looks.tones(), thick, MOST_WAYS));
    for (double far : ROUND_ABOUT) {
      for (int k = 0; k < DIRECTIONS; k++) {
        double turn = 2 * Math.PI * k / DIRECTIONS;
        all.add(
            new Likeness.Way(
                (int) Math.round(far * thick * Math.cos(turn)),
                (int) Math.round(far * thick * Math.sin(turn))));
      }
    }
    return all.stream().distinct().filter(this::serves).toList();
  }

  private boolean serves(Likeness.Way way) {
    return Arrays.stream(pixels).anyMatch(i -> window.known(i, way.x(), way.y()));
  }

  private int delta(Likeness.Way way) {
    return way.y() * window.width() + way.x();
  }

  /** What a way costs each pixel by itself: where it leads, and how the rim beside it is met. */
  private int[] rim(Likeness.Way way) {
    int w = window.width();
    int by = delta(way);
    int[] cost = new int[pixels.length];
    for (int k = 0; k < cost.length; k++) {
      int i = pixels[k];
      if (!window.known(i, way.x(), way.y())) {
        cost[k] = NOWHERE;
        continue;
      }
      // it would meet any texture half
      cost[k] = (int) (SMOOTH * UNIT * looks.smoother(i + by, i));
      for (int v = Math.max(0, i / w - RIM); v <= Math.min(window.height() - 1, i / w + RIM); v++) {
        for (int u = Math.max(0, i % w - RIM); u <= Math.min(w - 1, i % w + RIM); u++) {
          int q = v * w + u;
          if (!window.hole()[q]) {
            cost[k] += window.known(q, way.x(), way.y()) ? apart(q, q + by) : UNKNOWN;
          }
        }
      }
    }
    return cost;
  }

  private int[] shown(Likeness.Way way) {
    int by = delta(way);
    int[] out = new int[3 * pixels.length];
    for (int k = 0; k < pixels.length; k++) {
      if (window.known(pixels[k], way.x(), way.y())) {
        for (int c = 0; c < 3; c++) {
          out[3 * k + c] = Math.round(UNIT * looks.tones()[c][pixels[k] + by]);
        }
      }
    }
    return out;
  }

  private int apart(int a, int b) {
    return (int) (UNIT * looks.apart(a, b));
  }

  /** What it costs that neighbours go different ways. */
  private int seam(int p, int q, int a, int b) {
    return a == b ? 0 : SEAM + beside(p, a, b) + beside(q, a, b);
  }

  private int beside(int p, int a, int b) {
    if (rim[a][p] >= NOWHERE || rim[b][p] >= NOWHERE) {
      return UNKNOWN;
    }
    int apart = 0;
    for (int k = 3 * p; k < 3 * p + 3; k++) {
      apart += Math.abs(shown[a][k] - shown[b][k]);
    }
    return apart / 3;
  }

  private Optional<Pieces> pieces() {
    if (ways.isEmpty()) {
      return Optional.empty();
    }
    begin();
    boolean changed = true;
    int[] open = IntStream.range(0, ways.size()).toArray();
    for (int round = 0; round < ROUNDS && changed; round++) {
      changed = false;
      for (int a : open) {
        changed |= expand(a);
      }
      // what nothing wanted at first is hardly wanted later
      open = Arrays.stream(of).distinct().sorted().toArray();
    }
    for (int k = 0; k < of.length; k++) {
      if (rim[of[k]][k] >= NOWHERE) {
        return Optional.empty();
      }
    }
    List<Pieces.Way> to = ways.stream().map(v -> new Pieces.Way(v.x(), v.y())).toList();
    return Optional.of(new Pieces(hole, of, to).used());
  }

  /** Each pixel the way that costs it least by itself. */
  private void begin() {
    for (int k = 0; k < of.length; k++) {
      for (int a = 1; a < ways.size(); a++) {
        if (rim[a][k] < rim[of[k]][k]) {
          of[k] = a;
        }
      }
    }
  }

  /** Lets every pixel change to one way, as many as together make it cheaper. */
  private boolean expand(int a) {
    Cut cut = new Cut(pixels.length);
    int[] far = new int[pixels.length];
    for (int p = 0; p < pixels.length; p++) {
      far[p] += rim[a][p] - rim[of[p]][p];
      pair(cut, far, p, right[p], a);
      pair(cut, far, p, below[p], a);
    }
    for (int p = 0; p < pixels.length; p++) {
      cut.far(p, far[p]);
    }
    boolean[] changes = cut.farSide();
    boolean changed = false;
    for (int p = 0; p < changes.length; p++) {
      if (changes[p] && of[p] != a) {
        of[p] = a;
        changed = true;
      }
    }
    return changed;
  }

  private void pair(Cut cut, int[] far, int p, int q, int a) {
    if (q < 0) {
      return;
    }
    int stay = seam(p, q, of[p], of[q]);
    int second = seam(p, q, of[p], a);
    int first = seam(p, q, a, of[q]);
    far[p] += first - stay;
    far[q] -= first;
    cut.between(p, q, Math.max(0, first + second - stay), 0);
  }
}
