package illuminar.core.lineup;

import illuminar.core.colour.Stops;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Response;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * Exposures that no file tells, from the frames themselves: by how much lighter the same places are
 * in a frame whose exposure is known already. Without any known exposure the camera's response is
 * not known either, and frames tell both only up to an exponent (Grossberg, Nayar, "Determining the
 * camera response from images: what is knowable?", 2003); then the curve of sRGB is taken for it.
 */
final class ExposureEstimate {
  private static final int GRID = 240;

  /** Codes that tell light well, display-linear: neither noise nor near the top. */
  private static final float LEAST = 0.004f;

  private static final float MOST = 0.72f;

  /** Share of the picture that two frames must both show well. */
  private static final double SHARED = 0.003;

  private final List<Frame> frames;
  private final Response response;
  private final float[][] tones;

  private ExposureEstimate(List<Frame> frames, Response response, Raster raster, int w, int h) {
    this.frames = frames;
    this.response = response;
    tones = new float[frames.size()][];
    for (int i = 0; i < tones.length; i++) {
      tones[i] = tones(frames.get(i).draw(raster, w, h));
    }
  }

  /**
   * Stops of all frames: of those that are known as they are, of the others as they are found;
   * where nothing tells, as they were.
   *
   * @param frames of the same light, lined up
   * @param known which exposures are known; where none is, the {@code anchor}th counts as 0
   */
  static double[] of(
      List<Frame> frames, boolean[] known, int anchor, Response response, int width, int height) {
    Raster raster = Raster.fitted(width, height, GRID);
    return new ExposureEstimate(frames, response, raster, width, height).found(known, anchor);
  }

  /** Tones of green in stops; less than nothing where it tells no light. */
  private float[] tones(Picture p) {
    float[] out = new float[p.g().length];
    for (int i = 0; i < out.length; i++) {
      float v = p.g()[i];
      out[i] = v < LEAST || v > MOST ? Float.NaN : Stops.of(response.toLight(1, v));
    }
    return out;
  }

  private double[] found(boolean[] known, int anchor) {
    double[] stops = frames.stream().mapToDouble(Frame::stops).toArray();
    boolean[] settled = known.clone();
    if (noneOf(known)) {
      stops[anchor] = 0;
      settled[anchor] = true;
    }
    // the pair that shares most comes first: a dark frame is compared with its neighbours
    for (Optional<Pair> next = next(settled); next.isPresent(); next = next(settled)) {
      Pair pair = next.get();
      stops[pair.open] = stops[pair.settled] + pair.lighter;
      settled[pair.open] = true;
    }
    return stops;
  }

  private static boolean noneOf(boolean[] known) {
    for (boolean k : known) {
      if (k) {
        return false;
      }
    }
    return true;
  }

  /**
   * @param lighter by how many stops the open frame is lighter than the settled one
   * @param shared places that both show well
   */
  private record Pair(int open, int settled, double lighter, int shared) {}

  private Optional<Pair> next(boolean[] settled) {
    Pair best = null;
    for (int i = 0; i < settled.length; i++) {
      for (int j = 0; j < settled.length; j++) {
        if (!settled[i] && settled[j]) {
          Pair pair = pair(i, j);
          best = best == null || pair.shared > best.shared ? pair : best;
        }
      }
    }
    return Optional.ofNullable(best).filter(p -> p.shared >= SHARED * tones[0].length);
  }

  private Pair pair(int open, int settled) {
    float[] apart = new float[tones[0].length];
    int n = 0;
    for (int k = 0; k < apart.length; k++) {
      float by = tones[open][k] - tones[settled][k];
      if (!Float.isNaN(by)) {
        apart[n++] = by;
      }
    }
    Arrays.sort(apart, 0, n);
    return new Pair(open, settled, n == 0 ? 0 : apart[n / 2], n);
  }
}
