package illuminar.core.shadow;

import illuminar.core.filter.Box;
import illuminar.core.filter.Gauss;
import illuminar.core.picture.Plane;
import java.util.ArrayList;
import java.util.List;

/**
 * Finds sudden changes of light, and which of them a shadow makes: light that is kept away changes
 * all surfaces alike in the logarithm, and by another colour than paint does (Finlayson, Hordley,
 * Drew 2002).
 */
final class Steps {
  /** Pixels on either side at which a change is read: of sharp and of soft edges. */
  private static final float[] REACHES = {3, 6};

  /** Pixels along an edge over which it is read, on either side. */
  private static final int ALONG = 4;

  /** Changes by less are no hard shadow, stops. */
  private static final float LEAST = 0.4f;

  /** Changes by more leave nothing to bring back. */
  private static final float MOST = 6;

  /** Changes that vote, at most. */
  private static final int VOTERS = 2500;

  private Steps() {}

  /**
   * All changes of a picture, where they are greatest across themselves.
   *
   * @param tones red, green, blue in stops
   */
  static List<Step> of(Plane[] tones) {
    Plane[] even = Box.means(1, tones);
    Plane tone = Plane.of(tones[0].width(), tones[0].height());
    for (int i = 0; i < tone.data().length; i++) {
      tone.data()[i] = Step.tone(tones[0].data()[i], tones[1].data()[i], tones[2].data()[i]);
    }
    Plane smooth = Gauss.smooth(tone, 1.2);
    List<Step> all = new ArrayList<>();
    for (int y = 1; y < smooth.height() - 1; y++) {
      for (int x = 1; x < smooth.width() - 1; x++) {
        float dx = (smooth.at(x + 1, y) - smooth.at(x - 1, y)) / 2;
        float dy = (smooth.at(x, y + 1) - smooth.at(x, y - 1)) / 2;
        float slope = (float) Math.hypot(dx, dy);
        if (slope > LEAST / 12 && steepest(smooth, x, y, dx / slope, dy / slope, slope)) {
          for (float reach : REACHES) {
            add(even, x, y, dx / slope, dy / slope, reach, all);
          }
        }
      }
    }
    return all;
  }

  private static boolean steepest(Plane p, int x, int y, float ux, float uy, float slope) {
    for (int side = -1; side <= 1; side += 2) {
      float u = x + side * ux;
      float v = y + side * uy;
      float dx = (p.sample(u + 1, v) - p.sample(u - 1, v)) / 2;
      float dy = (p.sample(u, v + 1) - p.sample(u, v - 1)) / 2;
      if (dx * ux + dy * uy > slope) {
        return false;
      }
    }
    return true;
  }

  private static void add(
      Plane[] even, int x, int y, float ux, float uy, float reach, List<Step> all) {
    float[] stops = new float[3];
    for (int c = 0; c < 3; c++) {
      for (int along = -ALONG; along <= ALONG; along += 2) {
        float u = x - along * uy;
        float v = y + along * ux;
        stops[c] +=
            (even[c].sample(u + reach * ux, v + reach * uy)
                    - even[c].sample(u - reach * ux, v - reach * uy))
                / (ALONG + 1);
      }
    }
    Step step = new Step(x, y, ux, uy, reach, stops);
    if (step.tone() > LEAST && step.tone() < MOST) {
      all.add(step);
    }
  }

  /**
   * The change that most of them show, the greater the more it counts; null where there is none.
   */
  static float[] commonest(List<Step> steps) {
    int stride = Math.max(1, steps.size() / VOTERS);
    float[] best = null;
    double most = 0;
    for (int k = 0; k < steps.size(); k += stride) {
      double sum = 0;
      for (int j = 0; j < steps.size(); j += stride) {
        sum += weight(steps.get(j), steps.get(k).stops());
      }
      if (sum > most) {
        most = sum;
        best = steps.get(k).stops();
      }
    }
    return best == null ? null : mean(steps, best);
  }

  private static float weight(Step step, float[] about) {
    return step.tone() * step.tone() * Step.likeness(step.stops(), about);
  }

  private static float[] mean(List<Step> steps, float[] about) {
    float[] mean = new float[3];
    double sum = 0;
    for (Step step : steps) {
      float weight = weight(step, about);
      sum += weight;
      for (int c = 0; c < 3; c++) {
        mean[c] += weight * step.stops()[c];
      }
    }
    for (int c = 0; c < 3; c++) {
      mean[c] /= (float) sum;
    }
    return mean;
  }
}
