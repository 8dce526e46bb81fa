package illuminar.core.lineup;

import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Similarity;
import java.util.List;
import java.util.function.IntConsumer;
import java.util.stream.IntStream;

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
  /** Pictures that are compared, from the coarsest to the finest, each of twice the size. */
  private static final int LEVELS = 5;

  /** Long edge that the finest does not exceed. */
  private static final int LONGEST = 2100;

  private static final int COARSE = 0;

  /** Level at which the pairs that share most are found. */
  private static final int PAIRS = 1;

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
    List<Features[]> features = features(frames);
    Placed[] placed = new Placed[frames.size()];
    placed[anchor] = new Placed(Similarity.NONE, 0, 1, true);
    double long0 = Math.max(frames.get(anchor).width(), frames.get(anchor).height());
    double[] units = units(frames.get(anchor));
    for (int done = 1; done < frames.size(); done++) {
      progress.accept(done);
      int[] next = nextPair(features, placed);
      Placed reference = placed[next[0]];
      Placed step = pair(features.get(next[0]), features.get(next[1]), Similarity.NONE, units);
      Similarity guess = reference.toFrame.then(step.toFrame);
      Placed found =
          new Placed(
              guess,
              Math.hypot(reference.spread, step.spread),
              step.shared,
              step.sure && reference.sure);
      if (next[0] != anchor && found.sure) {
        Placed direct = fine(features.get(anchor), features.get(next[1]), guess, units, LEVELS - 1);
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

  /** Size of each level against full size. */
  private static double[] units(Pyramid frame) {
    double[] units = new double[LEVELS];
    for (int level = 0; level < LEVELS; level++) {
      units[level] = Math.scalb(1.0, -power(frame, level));
    }
    return units;
  }

  /** How often a frame is halved for the finest level. */
  static int finest(Pyramid frame) {
    return power(frame, LEVELS - 1);
  }

  /** How often a frame is halved for a level. */
  private static int power(Pyramid frame, int level) {
    int finest = 0;
    while (Math.max(frame.width(), frame.height()) > LONGEST << finest) {
      finest++;
    }
    return Math.min(frame.halvings(), finest + LEVELS - 1 - level);
  }

  private static List<Features[]> features(List<Pyramid> frames) {
    List<Features[]> out = frames.stream().map(f -> new Features[LEVELS]).toList();
    IntStream.range(0, frames.size() * LEVELS)
        .parallel()
        .forEach(
            k -> {
              int level = LEVELS - 1 - k / frames.size();
              Pyramid f = frames.get(k % frames.size());
              out.get(k % frames.size())[level] = Features.of(f, power(f, level));
            });
    return out;
  }

  /** The placed and the unplaced frame that share most. */
  private static int[] nextPair(List<Features[]> features, Placed[] placed) {
    int[] best = {0, 0};
    double most = -1;
    for (int a = 0; a < placed.length; a++) {
      for (int b = 0; b < placed.length; b++) {
        if (placed[a] == null || placed[b] != null) {
          continue;
        }
        double s =
            shared(features.get(a)[PAIRS], features.get(b)[PAIRS]) * (placed[a].sure ? 1 : 0.01);
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

  private static Placed pair(Features[] a, Features[] b, Similarity start, double[] units) {
    // Bitmaps may mislead between a dark and a bright frame, so standing still is tried as well,
    // from
    // the coarsest level and from the level at which the best is chosen.
    Similarity shifted = coarse(a[COARSE], b[COARSE], units[COARSE]);
    Features fa = a[CHOOSE];
    Features fb = b[CHOOSE];
    double unit = units[CHOOSE];
    List<Placed> starts =
        List.of(
            climb(a, b, shifted, units, COARSE, CHOOSE),
            climb(a, b, start, units, COARSE, CHOOSE),
            climb(a, b, start, units, CHOOSE, CHOOSE));
    Placed best = starts.get(0);
    double most = -2;
    for (Placed p : starts) {
      double like = p.sure ? Fit.likeness(fa, fb, p.toFrame.sized(unit)) : -1;
      best = like > most ? p : best;
      most = Math.max(most, like);
    }
    return climb(a, b, best.toFrame, units, CHOOSE + 1, LEVELS - 1);
  }

  private static Placed climb(
      Features[] a, Features[] b, Similarity start, double[] units, int from, int to) {
    Placed placed = new Placed(start, 1e9, 0, false);
    for (int level = from; level <= to; level++) {
      placed = fine(a, b, placed.toFrame, units, level);
    }
    return placed;
  }

  private static Placed fine(
      Features[] a, Features[] b, Similarity start, double[] units, int level) {
    double unit = units[level];
    Features one = a[level].beside(b[level]);
    Features other = b[level].beside(a[level]);
    Fit fit = Fit.run(one, other, start.sized(unit), level == LEVELS - 1 ? 6 : 12);
    boolean sure =
        fit.shared() > 0.004
            && Double.isFinite(fit.spread())
            && Math.abs(fit.move().scale() - 1) < 0.05;
    return new Placed(fit.move().sized(1 / unit), fit.spread() / unit, fit.shared(), sure);
  }

  /** Whole-pixel shift at which the threshold bitmaps differ least. */
  private static Similarity coarse(Features a, Features b, double unit) {
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
    return new Similarity(1, 0, bx / unit, by / unit);
  }
}
