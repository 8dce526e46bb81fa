package illuminar.core.analysis.window;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.LightsApart;
import illuminar.core.colour.Burnt;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Response;
import illuminar.core.frame.Role;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;

/**
 * The light that one frame of a pair has more than the other, held against a picture: how much of
 * the picture's edges are those of that pattern. See {@link Reflections}.
 *
 * @param pair that tells it
 * @param known share of the place that is not burnt in the pair
 * @param own as {@link Reflections#own}
 * @param cross per channel: the gradients of the pattern times those of the picture
 * @param square per channel: of the pattern alone
 * @param edges of the picture alone, all channels
 * @param ratio per channel: light of the pattern over that of the picture
 * @param gain from the pair's exposure to the picture's
 */
record MirroredPattern(
    Pair pair,
    double known,
    float[] own,
    double[] cross,
    double[] square,
    double edges,
    double[] ratio,
    double gain) {

  /** Share of a cell from which on it is nothing but the place. */
  private static final float WHOLLY = 0.99f;

  /** How far a mirrored pattern can be stronger than the one that the flash shows, per channel. */
  private static final double MOST = 8;

  /**
   * Two frames at the same settings of which one lacks a light.
   *
   * @param lamps whether it is that of the lamps, the flash's otherwise
   */
  record Pair(Frame with, Frame without, boolean lamps) {}

  /** The pairs of a view, those that tell more first. */
  static List<Pair> pairs(Analysis analysis) {
    List<Pair> pairs = new ArrayList<>();
    for (Frame off : LightsApart.paired(analysis, Role.LAMPS_OFF)) {
      pairs.add(new Pair(LightsApart.ambientOf(analysis, off), off, true));
    }
    for (Frame flash : LightsApart.paired(analysis, Role.FLASH)) {
      pairs.add(new Pair(flash, LightsApart.ambientOf(analysis, flash), false));
    }
    return pairs;
  }

  /**
   * Holds a pair's pattern against a picture.
   *
   * @param place on the small grid; what is not wholly of it does not count
   * @param view light with the camera's primaries, on the analysis raster
   * @param plain share of the place that may be lit without being mirrored in
   */
  static MirroredPattern of(
      Analysis analysis, float[] place, Picture view, Pair pair, double plain, double gain) {
    Response response = analysis.frames().response();
    Picture lit = analysis.draw(pair.with.id(), analysis.raster());
    Picture dark = analysis.draw(pair.without.id(), analysis.raster());
    int w = view.width();
    float cutOff = response.toLight(1, Burnt.NO_SUM);
    BitSet within = within(analysis, place, w, view.height());
    int all = within.cardinality();
    for (int i = within.nextSetBit(0); i >= 0; i = within.nextSetBit(i + 1)) {
      if (burnt(lit, i) || burnt(lit, i + 1) || burnt(lit, i + w) || view.mostAt(i) > cutOff) {
        within.clear(i);
      }
    }
    float[] own = own(response, lit, dark, within, plain);
    Picture pattern = pattern(response, lit, dark, own);
    double[] cross = new double[3];
    double[] square = new double[3];
    double[] ratio = new double[3];
    double edges = 0;
    for (int c = 0; c < 3; c++) {
      float[] f = pattern.channel(c);
      float[] v = view.channel(c);
      double sum = 0;
      double light = 1e-9;
      for (int i = within.nextSetBit(0); i >= 0; i = within.nextSetBit(i + 1)) {
        double here = v[i];
        double right = v[i + 1] - here;
        double down = v[i + w] - here;
        double across = f[i + 1] - f[i];
        double along = f[i + w] - f[i];
        cross[c] += across * right + along * down;
        square[c] += across * across + along * along;
        edges += right * right + down * down;
        sum += f[i];
        light += here;
      }
      ratio[c] = sum / light;
    }
    double known = within.cardinality() / Math.max(1e-9, all);
    return new MirroredPattern(pair, known, own, cross, square, edges, ratio, gain);
  }

  /** The light that the pair tells apart, with the camera's primaries, less a surface's own. */
  static Picture pattern(Response response, Picture lit, Picture dark, float[] own) {
    Picture light = LightsApart.difference(response, lit, dark);
    for (int c = 0; c < 3; c++) {
      float[] of = light.channel(c);
      float[] other = dark.channel(c);
      for (int i = 0; own[c] > 0 && i < of.length; i++) {
        of[i] = Math.max(0, of[i] - own[c] * response.toLight(c, other[i]));
      }
    }
    return light;
  }

  double slope(int c) {
    return cross[c] / Math.max(1e-12, square[c]);
  }

  /** Part of the picture's edges that are those of the pattern. */
  double explained() {
    double sum = 0;
    for (int c = 0; c < 3; c++) {
      sum += Math.max(0, slope(c)) * Math.max(0, cross[c]);
    }
    return sum / Math.max(1e-12, edges);
  }

  /** As reflections. {@code exact}: whether the pair has just the light that the picture has. */
  Reflections reflections(boolean exact) {
    float[] share = new float[3];
    double part = 0;
    for (int c = 0; c < 3; c++) {
      double s = exact ? gain : Math.max(0, Math.min(MOST * gain, slope(c)));
      share[c] = (float) s;
      part += Math.min(1, s * ratio[c]) / 3;
    }
    return new Reflections(pair.with.id(), pair.without.id(), share, own, part, "");
  }

  /** Pixels of the analysis raster that lie wholly in a place on the small grid. */
  private static BitSet within(Analysis analysis, float[] place, int w, int h) {
    Raster small = analysis.small();
    BitSet out = new BitSet(w * h);
    for (int y = 0; y + 1 < h; y++) {
      int row = y * small.height() / h * small.width();
      for (int x = 0; x + 1 < w; x++) {
        out.set(y * w + x, place[row + x * small.width() / w] >= WHOLLY);
      }
    }
    return out;
  }

  /** Per channel, what a light adds to a surface itself over the light that is there without it. */
  private static float[] own(
      Response response, Picture lit, Picture dark, BitSet within, double plain) {
    float[] own = new float[3];
    for (int c = 0; plain > 0 && !within.isEmpty() && c < 3; c++) {
      float[] a = lit.channel(c);
      float[] b = dark.channel(c);
      int channel = c;
      double[] over =
          within.stream()
              .mapToDouble(
                  i -> {
                    double without = response.toLight(channel, b[i]);
                    return response.toLight(channel, a[i]) / Math.max(1e-5, without) - 1;
                  })
              .sorted()
              .toArray();
      own[c] = (float) Math.max(0, over[(int) (plain * over.length)]);
    }
    return own;
  }

  private static boolean burnt(Picture p, int i) {
    return p.mostAt(i) > Burnt.NO_SUM;
  }
}
