package illuminar.core.lineup;

import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Similarity;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntConsumer;

/**
 * Finds how each frame of a view is shifted, turned and scaled against the anchor, to a fraction of
 * a pixel and whatever the exposure.
 *
 * <p>Coarse step: median threshold bitmaps (Ward, "Fast, robust image registration for compositing
 * high dynamic range photographs from handheld exposures", 2003). Fine step: weighted least squares
 * on locally normalised tones from coarse to fine (Lucas, Kanade 1981; parametric form after
 * Evangelidis, Psarakis 2008), with Tukey's weights against what moved. Frames far apart in
 * exposure are reached over the frames between them: always the pair that shares most well exposed
 * texture comes next.
 */
public final class LineUp {
  private static final int[] EDGES = {96, 192, 384, 768, 1536};
  private static final int COARSE = 0;

  /** Level at which the better of two starts is chosen. */
  private static final int CHOOSE = 2;

  private LineUp() {}

  /**
   * How one frame was found to lie.
   *
   * @param toFrame where points of the anchor lie in the frame, pixels at full size
   * @param spread standard error of the fit at the corner of the picture, full-size pixels
   * @param shared share of the picture that both frames show well
   * @param sure whether enough is shared and the fit is close; otherwise the frame is left where it
   *     is
   */
  public record Placed(Similarity toFrame, double spread, double shared, boolean sure) {}

  /**
   * Lines up all frames.
   *
   * @param frames pyramids of equal size
   * @param anchor index of the frame that stays
   * @param progress hears the number of frames done
   */
  public static List<Placed> find(List<Pyramid> frames, int anchor, IntConsumer progress) {
    List<Map<Integer, Features>> features =
        frames.stream()
            .parallel()
            .map(
                f -> {
                  Map<Integer, Features> byEdge = new HashMap<>();
                  for (int edge : EDGES) {
                    byEdge.put(edge, Features.of(f, edge));
                  }
                  return byEdge;
                })
            .toList();
    Placed[] placed = new Placed[frames.size()];
    placed[anchor] = new Placed(Similarity.NONE, 0, 1, true);
    double long0 = Math.max(frames.get(anchor).width(), frames.get(anchor).height());
    for (int done = 1; done < frames.size(); done++) {
      progress.accept(done);
      int[] next = nextPair(features, placed);
      Placed reference = placed[next[0]];
      Placed step = pair(features.get(next[0]), features.get(next[1]), Similarity.NONE, long0);
      Similarity guess = reference.toFrame.then(step.toFrame);
      Placed found =
          new Placed(
              guess,
              Math.hypot(reference.spread, step.spread),
              step.shared,
              step.sure && reference.sure);
      if (next[0] != anchor && found.sure) {
        Placed direct =
            fine(features.get(anchor), features.get(next[1]), guess, long0, EDGES.length - 1);
        boolean better =
            direct.sure
                && direct.spread < found.spread
                && direct.toFrame.apart(guess, long0 / 2, long0 / 3) < 1.5 * long0 / 1536;
        found = better ? direct : found;
      }
      placed[next[1]] =
          found.sure ? found : new Placed(Similarity.NONE, found.spread, found.shared, false);
    }
    progress.accept(frames.size());
    return List.of(placed);
  }

  /** The placed and the unplaced frame that share most. */
  private static int[] nextPair(List<Map<Integer, Features>> features, Placed[] placed) {
    int[] best = {0, 0};
    double most = -1;
    for (int a = 0; a < placed.length; a++) {
      for (int b = 0; b < placed.length; b++) {
        if (placed[a] == null || placed[b] != null) {
          continue;
        }
        double s =
            shared(features.get(a).get(192), features.get(b).get(192))
                * (placed[a].sure ? 1 : 0.01);
        if (s > most) {
          most = s;
          best = new int[] {a, b};
        }
      }
    }
    return best;
  }

  private static double shared(Features a, Features b) {
    float[] x = a.trust().data();
    float[] y = b.trust().data();
    double sum = 0;
    for (int i = 0; i < Math.min(x.length, y.length); i++) {
      sum += Math.sqrt(x[i] * y[i]);
    }
    return sum / x.length;
  }

  private static Placed pair(
      Map<Integer, Features> a, Map<Integer, Features> b, Similarity start, double long0) {
    // Bitmaps may mislead between a dark and a bright frame, so standing still is tried as well,
    // from
    // the coarsest level and from the level at which the best is chosen.
    Similarity shifted = coarse(a.get(EDGES[COARSE]), b.get(EDGES[COARSE]), long0);
    Features fa = a.get(EDGES[CHOOSE]);
    Features fb = b.get(EDGES[CHOOSE]);
    double unit = Math.min(1, EDGES[CHOOSE] / long0);
    List<Placed> starts =
        List.of(
            climb(a, b, shifted, long0, COARSE, CHOOSE),
            climb(a, b, start, long0, COARSE, CHOOSE),
            climb(a, b, start, long0, CHOOSE, CHOOSE));
    Placed best = starts.get(0);
    double most = -2;
    for (Placed p : starts) {
      double like = p.sure ? Fit.likeness(fa, fb, p.toFrame.sized(unit)) : -1;
      best = like > most ? p : best;
      most = Math.max(most, like);
    }
    return climb(a, b, best.toFrame, long0, CHOOSE + 1, EDGES.length - 1);
  }

  private static Placed climb(
      Map<Integer, Features> a,
      Map<Integer, Features> b,
      Similarity start,
      double long0,
      int from,
      int to) {
    Placed placed = new Placed(start, 1e9, 0, false);
    for (int level = from; level <= to; level++) {
      placed = fine(a, b, placed.toFrame, long0, level);
    }
    return placed;
  }

  private static Placed fine(
      Map<Integer, Features> a,
      Map<Integer, Features> b,
      Similarity start,
      double long0,
      int level) {
    double unit = EDGES[level] / long0 > 1 ? 1 : EDGES[level] / long0;
    Fit fit =
        Fit.run(
            a.get(EDGES[level]),
            b.get(EDGES[level]),
            start.sized(unit),
            level == EDGES.length - 1 ? 6 : 12);
    boolean sure =
        fit.shared() > 0.004
            && Double.isFinite(fit.spread())
            && Math.abs(fit.move().scale() - 1) < 0.05;
    return new Placed(fit.move().sized(1 / unit), fit.spread() / unit, fit.shared(), sure);
  }

  /** Whole-pixel shift at which the threshold bitmaps differ least. */
  private static Similarity coarse(Features a, Features b, double long0) {
    int w = a.value().width();
    int h = a.value().height();
    int best = Integer.MAX_VALUE;
    int bx = 0;
    int by = 0;
    for (int dy = -5; dy <= 5; dy++) {
      for (int dx = -5; dx <= 5; dx++) {
        int wrong = 0;
        for (int y = 5; y < h - 5; y++) {
          for (int x = 5; x < w - 5; x++) {
            byte p = a.bits()[y * w + x];
            byte q = b.bits()[(y + dy) * w + x + dx];
            wrong += p >= 0 && q >= 0 && p != q ? 1 : 0;
          }
        }
        wrong += (Math.abs(dx) + Math.abs(dy)) * 2;
        if (wrong < best) {
          best = wrong;
          bx = dx;
          by = dy;
        }
      }
    }
    double unit = Math.max(w, h) / long0;
    return new Similarity(1, 0, bx / unit, by / unit);
  }
}
