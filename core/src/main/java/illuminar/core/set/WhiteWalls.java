package illuminar.core.set;

import illuminar.core.analysis.Analysis;
import illuminar.core.first.Outdoors;
import illuminar.core.first.Seen;
import illuminar.core.picture.LabPlanes;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * Proposes places on white walls of a room: the middles of the widest pale and even areas at the
 * height of walls, where walls are well lit. Our own rules; whoever is asked moves or removes them.
 */
public final class WhiteWalls {
  private static final int LONG_EDGE = 480;
  private static final int MOST = 3;

  /** Chroma of a white wall under any light that a picture is delivered in. */
  private static final float PALE = 14;

  private static final float DARKEST = 45;
  private static final float LIGHTEST = 97;

  /** L* from pixel to pixel on an even wall. */
  private static final float EVEN = 1;

  /** Share of the height between which walls are looked for; ceilings and floors lie beyond. */
  private static final double FROM = 0.2;

  private static final double TO = 0.72;

  /** Reach of an even area, and how far places lie apart, as shares of the long edge. */
  private static final double REACH = 0.012;

  private static final double APART = 0.12;

  /**
   * The share of what may be wall that is darker than the light that places are looked for in, and
   * how far from it they may lie, L*: neither a glare nor a shade says how light a room's walls
   * are.
   */
  private static final double LIT = 0.9;

  private static final double NEAR = 6;

  private WhiteWalls() {}

  /**
   * A place on a wall.
   *
   * @param x pixels at full size; {@code y} and {@code radius} likewise
   */
  public record Place(double x, double y, double radius) {}

  /**
   * Some places on white walls, from the widest on; none outside, or where there is no such wall.
   */
  public static List<Place> in(PreviewSession session, Recipe recipe) {
    Analysis analysis = session.analysis();
    if (Outdoors.seen(analysis)) {
      return List.of();
    }
    Raster raster = Raster.fitted(analysis.fullWidth(), analysis.fullHeight(), LONG_EDGE);
    Picture picture = session.picture(recipe, raster);
    LabPlanes lab = LabPlanes.of(picture);
    boolean[] wall = even(lab);
    float[] outside = Seen.outside(recipe, session, raster);
    for (int i = 0; i < wall.length; i++) {
      wall[i] &= outside[i] < 0.01f;
    }
    double lit = lit(lab, wall);
    for (int i = 0; i < wall.length; i++) {
      wall[i] &= Math.abs(lab.l()[i] - lit) < NEAR;
    }
    return places(depth(wall, lab.width(), lab.height()), raster);
  }

  /** L* that walls have where they are well lit. */
  private static double lit(LabPlanes lab, boolean[] wall) {
    int w = lab.width();
    double[] all =
        IntStream.range(from(w, lab.height()), to(w, lab.height()))
            .filter(i -> wall[i])
            .mapToDouble(i -> lab.l()[i])
            .sorted()
            .toArray();
    return all.length == 0 ? LIGHTEST : all[(int) (LIT * all.length)];
  }

  private static int from(int w, int h) {
    return w * (int) Math.round(FROM * h);
  }

  private static int to(int w, int h) {
    return w * (int) Math.round(TO * h);
  }

  private static boolean[] even(LabPlanes lab) {
    int w = lab.width();
    int h = lab.height();
    boolean[] out = new boolean[w * h];
    for (int y = 1; y < h - 1; y++) {
      for (int x = 1; x < w - 1; x++) {
        int i = y * w + x;
        float l = lab.l()[i];
        out[i] =
            l > DARKEST
                && l < LIGHTEST
                && Math.hypot(lab.a()[i], lab.b()[i]) < PALE
                && Math.abs(lab.l()[i + 1] - lab.l()[i - 1]) < 2 * EVEN
                && Math.abs(lab.l()[i + w] - lab.l()[i - w]) < 2 * EVEN;
      }
    }
    return out;
  }

  /** City-block distance to what is no wall. */
  private static int[] depth(boolean[] wall, int w, int h) {
    int[] d = new int[w * h];
    for (int i = w; i < d.length; i++) {
      d[i] = wall[i] && i % w > 0 ? 1 + Math.min(d[i - 1], d[i - w]) : 0;
    }
    for (int i = d.length - w - 2; i >= 0; i--) {
      d[i] = wall[i] ? Math.min(d[i], 1 + Math.min(d[i + 1], d[i + w])) : 0;
    }
    return d;
  }

  private static List<Place> places(int[] depth, Raster raster) {
    int w = raster.width();
    int from = from(w, raster.height());
    int to = to(w, raster.height());
    double longEdge = Math.max(w, raster.height());
    List<Integer> found = new ArrayList<>();
    for (int n = 0; n < MOST; n++) {
      int best = -1;
      for (int i = from; i < to; i++) {
        if (depth[i] > REACH * longEdge
            && (best < 0 || depth[i] > depth[best])
            && clear(i, found, w, APART * longEdge)) {
          best = i;
        }
      }
      if (best >= 0) {
        found.add(best);
      }
    }
    return found.stream()
        .map(
            i ->
                new Place(
                    (i % w + 0.5) / raster.scale() - 0.5,
                    (i / w + 0.5) / raster.scale() - 0.5,
                    Math.max(4, 0.4 * depth[i] / raster.scale())))
        .toList();
  }

  private static boolean clear(int i, List<Integer> others, int w, double apart) {
    return others.stream().allMatch(o -> Math.hypot(i % w - o % w, i / w - o / w) > apart);
  }
}
