package illuminar.core.analysis.window;

import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.picture.FloodFill;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Pieces of a picture that are brighter than all about them and have four straight sides, found as
 * the light that counts as bright is lowered step by step. A pane grows over all that is seen
 * through it until light would leak over its bars; its largest straight-sided extent is kept. After
 * the idea of maximally stable extremal regions (Matas, Chum, Urban, Pajdla 2002); our own rules.
 */
final class PaneTree {
  /** Stops from one level to the next. */
  private static final float STEP = 0.25f;

  /** Share of the picture that a pane covers at least, and at most. */
  private static final double LEAST = 0.00025;

  private static final double MOST = 0.35;

  /** Stops over what bounds it, mean of the sides, from which on a piece is a pane by itself. */
  private static final double STRONG = 1.5;

  /** The same for one that lies in line with such a pane. */
  private static final double WEAK = 0.5;

  /** Stops over the middle of the picture that a pane by itself stands. */
  private static final double OVER_ROOM = 1.2;

  /** The same from which on one side may be lost in a curtain or a lit reveal. */
  private static final double FAR_OVER_ROOM = 3;

  /** Red over blue from which on light is a lamp's. */
  private static final double LAMP = 1.7;

  /** Width of a pane over its height, or the other way round, at least. */
  private static final double SLIT = 0.2;

  /** Share of a piece's extent that panes already found in it must cover to be kept instead. */
  private static final double SPLIT = 0.6;

  /** Share of a pane that a piece must have more for that to be looked at. */
  private static final double MUCH_MORE = 0.15;

  /** Stops by which what is seen through a pane lies below its brightest at most. */
  private static final float DEEP = 5;

  /** Stops that an even surface varies by at most. */
  private static final float EVEN = 0.7f;

  /** Stops below what burns in the room's frame from which on light may be a surface's. */
  private static final float BURNT = -0.5f;

  /**
   * Blue over red below which a room is lit by lamps, and how near to it lamplight leans, stops.
   */
  private static final float WARM_ROOM = -0.4f;

  private static final float AS_ROOM = 0.3f;

  private final Plane stops;
  private final Picture colours;
  private final QuadFit fit;
  private final int w;
  private final float[] sorted;
  private final float roomLean;

  /**
   * @param light of the whole view, linear sRGB, 1 where the room's frame burns
   */
  PaneTree(Picture light) {
    colours = light;
    w = light.width();
    stops = Plane.of(w, light.height());
    for (int i = 0; i < stops.data().length; i++) {
      stops.data()[i] = Stops.of(Space.srgbLuminance(light.r()[i], light.g()[i], light.b()[i]));
    }
    fit = new QuadFit(stops);
    sorted = stops.data().clone();
    Arrays.sort(sorted);
    float[] leans = new float[sorted.length];
    for (int i = 0; i < leans.length; i++) {
      leans[i] = lean(i);
    }
    roomLean = at(leans, leans.length, 0.5);
  }

  /**
   * A pane that was found.
   *
   * @param strong whether it stands for itself
   * @param tone median of its light, stops
   * @param sides how many of its sides lie in the picture
   */
  record Pane(Quad quad, boolean strong, float tone, int sides) {}

  /** Median of the whole view's light, stops. */
  float middle() {
    return sorted[sorted.length / 2];
  }

  /** Light of the whole view, stops. */
  Plane stops() {
    return stops;
  }

  /** All panes, no two of them one within the other. */
  List<Pane> panes() {
    float top = sorted[(int) (0.9995 * (sorted.length - 1))];
    float low = sorted[(int) (0.2 * sorted.length)];
    List<Pane> found = new ArrayList<>();
    int[] piece = new int[stops.data().length];
    IntStream.range(0, (int) Math.ceil((top - low) / STEP))
        .parallel()
        .mapToObj(k -> pieces(top - k * STEP))
        .forEachOrdered(
            all -> {
              Arrays.fill(piece, -1);
              all.forEach(p -> add(p, p[0], piece, found));
            });
    return found;
  }

  /** Pieces of the picture that are at least so light, each from its first pixel on. */
  private List<int[]> pieces(float least) {
    int n = stops.data().length;
    return FloodFill.all(w, stops.height(), false, i -> stops.data()[i] >= least).stream()
        .filter(p -> p.length >= LEAST * n && p.length <= MOST * n)
        .toList();
  }

  /** Takes a piece in if it is a pane, in place of the one that it grew from. */
  private void add(int[] all, int name, int[] piece, List<Pane> found) {
    Quad quad = fit.of(all);
    if (quad == null) {
      return;
    }
    for (int i : all) {
      piece[i] = name;
    }
    List<Pane> within = new ArrayList<>();
    double covered = 0;
    for (Pane p : found) {
      double[] m = p.quad.middle();
      int at = ((int) m[1]) * w + ((int) m[0]);
      if (quad.depth(m[0], m[1]) > 0 || at >= 0 && at < piece.length && piece[at] == name) {
        within.add(p);
        covered += p.quad.size();
      }
    }
    if (within.size() > 1 && covered > SPLIT * quad.size()) {
      return;
    }
    if (foreign(all, within)) {
      return;
    }
    Pane pane = judged(quad, all);
    // what stands for itself is never lost in something larger that does not, nor in what has
    // grown to the end of the picture where it did not: that is light on a wall
    if (pane != null
        && within.stream()
            .filter(Pane::strong)
            .allMatch(p -> pane.strong && pane.sides >= p.sides)) {
      found.removeAll(within);
      found.add(pane);
    }
  }

  private Pane judged(Quad quad, int[] all) {
    if (Math.min(quad.wide(), quad.high()) < SLIT * Math.max(quad.wide(), quad.high())) {
      return null;
    }
    double[] contrast = fit.contrast(quad);
    double sum = 0;
    int sides = 0;
    int clear = 0;
    for (double c : contrast) {
      if (!Double.isNaN(c)) {
        sum += c;
        sides++;
        clear += c > WEAK ? 1 : 0;
      }
    }
    if (sides < 2 || clear < sides - 1 || sum / sides < WEAK || warm(all)) {
      return null;
    }
    float[] tones = new float[all.length];
    for (int k = 0; k < tones.length; k++) {
      tones[k] = stops.data()[all[k]];
    }
    Arrays.sort(tones);
    float tone = tones[tones.length / 2];
    boolean enough = clear == sides || tone > middle() + FAR_OVER_ROOM;
    boolean strong = sum / sides >= STRONG && enough && tone > middle() + OVER_ROOM;
    return !strong && lampLit(all, tones) ? null : new Pane(quad, strong, tone, sides);
  }

  /**
   * Whether a piece is an even surface in the light of lamps that light the room too, as a panel
   * below a window is.
   *
   * @param tones of the piece, sorted
   */
  private boolean lampLit(int[] all, float[] tones) {
    float[] leans = new float[all.length];
    for (int k = 0; k < leans.length; k++) {
      leans[k] = lean(all[k]);
    }
    boolean even = at(tones, tones.length, 0.9) - at(tones, tones.length, 0.1) < EVEN;
    boolean asRoom = at(leans, leans.length, 0.5) < roomLean + AS_ROOM;
    return roomLean < WARM_ROOM && asRoom && even && at(tones, tones.length, 0.9) < BURNT;
  }

  /**
   * Whether what a piece has more than panes within it is not seen through them: an even surface in
   * the room's own light, as a panel below the sill, or far darker than their brightest, as a seat.
   */
  private boolean foreign(int[] all, List<Pane> panes) {
    float[] own = new float[all.length];
    float[] more = new float[all.length];
    float[] ownLean = new float[all.length];
    float[] moreLean = new float[all.length];
    int n = 0;
    int m = 0;
    for (int i : all) {
      if (panes.stream().anyMatch(p -> p.quad.depth(i % w + 0.5, i / w + 0.5) > 0)) {
        own[n] = stops.data()[i];
        ownLean[n++] = lean(i);
      } else {
        more[m] = stops.data()[i];
        moreLean[m++] = lean(i);
      }
    }
    if (n == 0 || m < MUCH_MORE * n) {
      return false;
    }
    if (at(more, m, 0.95) < at(own, n, 0.9) - DEEP) {
      return true;
    }
    float leans = at(moreLean, m, 0.5);
    boolean asRoom = Math.abs(leans - roomLean) < Math.abs(leans - at(ownLean, n, 0.5));
    boolean even = at(more, m, 0.9) - at(more, m, 0.1) < EVEN;
    return even && asRoom && at(more, m, 0.9) < BURNT;
  }

  /** What a share of the first so many values stays below; sorts them. */
  private static float at(float[] values, int n, double share) {
    Arrays.sort(values, 0, n);
    return values[(int) (share * (n - 1))];
  }

  /** Blue over red, stops. */
  private float lean(int i) {
    return Stops.of(Math.max(1e-6f, colours.b()[i])) - Stops.of(Math.max(1e-6f, colours.r()[i]));
  }

  private boolean warm(int[] all) {
    double red = 0;
    double blue = 0;
    for (int i : all) {
      red += colours.r()[i];
      blue += colours.b()[i];
    }
    return red > LAMP * blue;
  }
}
