package illuminar.core.shadow;

import illuminar.core.picture.FloodFill;
import illuminar.core.picture.Plane;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Which side of a shadow's edge each pixel lies on. Every change of light like the shadow's says it
 * of what lies beside it on either hand; from there it spreads, and is held up by such changes and
 * a little by all others.
 */
final class Sides {
  /** How much of what is said goes through a shadow's edge, and through any other. */
  private static final float THROUGH = 0.002f;

  private static final float THROUGH_OTHER = 0.03f;

  /** Stops of a change that holds up as another edge. */
  private static final float OTHER = 0.8f;

  /** What must be said of a place to count as sure at first. */
  private static final float SURE = 0.3f;

  /** Share of the largest piece of shadow below which a piece belongs to what lies about it. */
  private static final double SMALL = 0.02;

  private final int w;
  private final int h;
  private final float[] said;
  private final float[] weight;
  private final float[] open;

  private Sides(int w, int h) {
    this.w = w;
    this.h = h;
    said = new float[w * h];
    weight = new float[w * h];
    open = new float[w * h];
    Arrays.fill(open, 1);
  }

  /**
   * @param common change of light of the shadow
   * @return 1 in the shadow, 0 in the light
   */
  static Plane of(List<Step> steps, int width, int height, float[] common) {
    Sides sides = new Sides(width, height);
    for (Step step : steps) {
      sides.hear(step, Step.likeness(step.stops(), common));
    }
    float[] u = sides.spread();
    swallow(u, sides.w, sides.h, true);
    swallow(u, sides.w, sides.h, false);
    return new Plane(sides.w, sides.h, u);
  }

  /** Turns over pieces of one side that are small beside the largest piece of shadow. */
  private static void swallow(float[] u, int w, int h, boolean shadow) {
    boolean[] seen = new boolean[u.length];
    List<int[]> pieces = new ArrayList<>();
    int most = 0;
    for (int i = 0; i < u.length; i++) {
      if (!seen[i]) {
        boolean side = u[i] > 0.5f;
        int[] piece = FloodFill.of(i, w, h, true, seen, (from, to) -> u[to] > 0.5f == side);
        most = Math.max(most, side ? piece.length : 0);
        if (side == shadow) {
          pieces.add(piece);
        }
      }
    }
    for (int[] piece : pieces) {
      if (piece.length < SMALL * most) {
        for (int i : piece) {
          u[i] = shadow ? 0 : 1;
        }
      }
    }
  }

  private void hear(Step step, float like) {
    float through = 1 - (1 - THROUGH) * like;
    if (step.tone() > OTHER) {
      through = Math.min(through, THROUGH_OTHER);
    }
    int x = Math.round(step.x());
    int y = Math.round(step.y());
    for (int v = Math.max(0, y - 1); v <= Math.min(h - 1, y + 1); v++) {
      for (int u = Math.max(0, x - 1); u <= Math.min(w - 1, x + 1); u++) {
        open[v * w + u] = Math.min(open[v * w + u], through);
      }
    }
    say(step, -1, 1, like);
    say(step, 1, 0, like);
  }

  private void say(Step step, int side, float what, float like) {
    int x = Math.round(step.x() + side * step.reach() * step.toX());
    int y = Math.round(step.y() + side * step.reach() * step.toY());
    if (x >= 0 && y >= 0 && x < w && y < h) {
      said[y * w + x] += like * like * what;
      weight[y * w + x] += like * like;
    }
  }

  private float[] spread() {
    float[] right = new float[open.length];
    float[] below = new float[open.length];
    for (int i = 0; i < open.length; i++) {
      right[i] = Math.min(open[i], open[Math.min(open.length - 1, i + 1)]);
      below[i] = Math.min(open[i], open[Math.min(open.length - 1, i + w)]);
    }
    Spread spread = new Spread(w, h, right, below);
    int[] sure = new int[open.length];
    for (int i = 0; i < sure.length; i++) {
      sure[i] = weight[i] > SURE ? said[i] > 0.5f * weight[i] ? 2 : 1 : 0;
    }
    int[] nearest = spread.ways(sure).from();
    float[] start = new float[open.length];
    for (int i = 0; i < start.length; i++) {
      start[i] = Math.max(0, nearest[i] - 1);
    }
    return spread.of(said, weight, start);
  }
}
