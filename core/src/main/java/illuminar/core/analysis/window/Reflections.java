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
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Reflections on glass and gloss, measured from a pair of frames that differ in one light: light
 * adds up, so what is mirrored is added to what lies behind and goes with the light that made it.
 *
 * <p>Lamps on and off at the same settings give the reflection of the lamp-lit room itself. A flash
 * frame and its ambient partner give the room as the flash shows it; how much of that pattern lies
 * over the view is found from their gradients, since the view's own edges have nothing to do with
 * the mirrored ones (Agrawal, Raskar, Nayar, Li, "Removing photography artifacts using gradient
 * projection and flash-exposure sampling", 2005, with one factor for each channel).
 *
 * @param with id of the frame that has the light; empty where nothing tells the reflections
 * @param without id of the frame that lacks it
 * @param share per channel, from that light at the pair's settings to what the frame in question
 *     has of it at its own
 * @param own per channel: the part of that light, over the light of the other frame, that lies on a
 *     surface rather than in it; 0 on glass
 * @param part of the panes' light that it makes up, 0 to 1
 * @param said why nothing tells them
 */
public record Reflections(
    String with, String without, float[] share, float[] own, double part, String said) {

  private static Reflections none(String why) {
    return new Reflections("", "", new float[3], new float[3], 0, why);
  }

  /** What a light is mirrored in. */
  public enum Surface {
    /** It takes no light itself: all that a light adds to it is mirrored. */
    GLASS,

    /**
     * It takes light as well as mirroring it. What a light adds to its own colour everywhere is no
     * reflection: the least that it adds over most of the place, in shares of the other light.
     */
    GLOSS
  }

  /** Share of a glossy place that may be lit without being mirrored in. */
  private static final double PLAIN = 0.25;

  /** Part of a picture's edges that a mirrored pattern explains where it is there at all. */
  private static final double EXPLAINED = 0.02;

  private static final int MOST_KEPT = 12;

  /** Whether a pair of frames tells the reflections. */
  public boolean told() {
    return !with.isEmpty();
  }

  /** Share of a cell from which on it is nothing but glass. */
  private static final float WHOLLY = 0.99f;

  /** Share of the panes that must be told. */
  private static final double ENOUGH = 0.5;

  /** How far a mirrored pattern can be stronger than the one that the flash shows, per channel. */
  private static final double MOST = 8;

  /**
   * What is asked for.
   *
   * @param frame that shows the view
   * @param glass where, on the small grid; what is not wholly glass does not count
   */
  private record Asked(String frame, float[] glass) {
    @Override
    public boolean equals(Object other) {
      return other instanceof Asked asked
          && frame.equals(asked.frame)
          && Arrays.equals(glass, asked.glass);
    }

    @Override
    public int hashCode() {
      return 31 * frame.hashCode() + Arrays.hashCode(glass);
    }
  }

  /**
   * What glass mirrors of the room in a frame; kept.
   *
   * @param glass where it is, on the small grid; not modified
   * @throws IllegalArgumentException if the frame is not there
   */
  public static Reflections of(Analysis analysis, String frame, float[] glass) {
    Asked asked = new Asked(frame, glass.clone());
    return analysis.keepLong(Reflections.class, asked, MOST_KEPT, () -> found(analysis, asked));
  }

  /**
   * The reflections in a frame.
   *
   * @throws IllegalArgumentException if the frame is not there
   */
  private static Reflections found(Analysis analysis, Asked asked) {
    Frame shown = analysis.frames().get(asked.frame);
    if (shown.role() == Role.LAMPS_OFF) {
      return none("this frame was taken with the lamps off: none of them is mirrored");
    }
    Picture light = light(analysis, shown.id());
    for (Pair pair : pairs(analysis)) {
      double gain = Math.pow(2, shown.stops() - pair.with.stops());
      Told told = told(analysis, asked.glass, light, pair, 0, gain);
      if (told.known >= ENOUGH) {
        return told.reflections(pair.lamps);
      }
    }
    return untold(analysis);
  }

  /**
   * Two frames at the same settings of which one lacks a light.
   *
   * @param lamps whether it is that of the lamps, the flash's otherwise
   */
  private record Pair(Frame with, Frame without, boolean lamps) {}

  /** The pairs of a view, those that tell more first. */
  private static List<Pair> pairs(Analysis analysis) {
    List<Pair> pairs = new ArrayList<>();
    for (Frame off : LightsApart.paired(analysis, Role.LAMPS_OFF)) {
      pairs.add(new Pair(LightsApart.ambientOf(analysis, off), off, true));
    }
    for (Frame flash : LightsApart.paired(analysis, Role.FLASH)) {
      pairs.add(new Pair(flash, LightsApart.ambientOf(analysis, flash), false));
    }
    return pairs;
  }

  private static Reflections untold(Analysis analysis) {
    return none(
        pairs(analysis).isEmpty()
            ? "reflections need a lamps-off frame, or a flash frame, and one at the same settings"
                + " without"
            : "the frames that could tell what is mirrored are burnt there");
  }

  /**
   * What is mirrored in a finished picture, by the pair of frames whose pattern explains most of
   * it. How the picture was made of the frames does not matter: how much of the pattern it has is
   * found from its own edges.
   *
   * @param light behind the picture, with the camera's primaries, on the analysis raster
   * @param place on the small grid; what is not wholly of it does not count
   */
  public static Reflections over(Analysis analysis, Picture light, float[] place, Surface surface) {
    double plain = surface == Surface.GLOSS ? PLAIN : 0;
    Optional<Told> most =
        pairs(analysis).stream()
            .map(pair -> told(analysis, place, light, pair, plain, 1))
            .filter(told -> told.known >= ENOUGH)
            .max(Comparator.comparingDouble(Told::explained));
    if (most.isEmpty()) {
      return untold(analysis);
    }
    return most.get().explained() < EXPLAINED
        ? none("nothing that a lamps-off or a flash frame tells is mirrored here")
        : most.get().reflections(false);
  }

  /**
   * The mirrored light at the pair's settings, with the camera's primaries.
   *
   * @param lit the frame that has the light, display-linear; {@code dark} the one that lacks it
   */
  public Picture mirrored(Response response, Picture lit, Picture dark) {
    return pattern(response, lit, dark, own);
  }

  private static Picture pattern(Response response, Picture lit, Picture dark, float[] own) {
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

  /**
   * @param pair that tells it; {@code known} share of the place that is not burnt in it
   * @param own as {@link Reflections#own}
   * @param cross per channel: the gradients of the pattern times those of the picture
   * @param square per channel: of the pattern alone
   * @param edges of the picture alone, all channels
   * @param ratio per channel: light of the pattern over that of the picture
   * @param gain from the pair's exposure to the picture's
   */
  private record Told(
      Pair pair,
      double known,
      float[] own,
      double[] cross,
      double[] square,
      double edges,
      double[] ratio,
      double gain) {

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
  }

  /**
   * @param view light with the camera's primaries, on the analysis raster
   * @param plain share of the place that may be lit without being mirrored in
   */
  private static Told told(
      Analysis analysis, float[] glass, Picture view, Pair pair, double plain, double gain) {
    Response response = analysis.frames().response();
    Picture lit = analysis.draw(pair.with.id(), analysis.raster());
    Picture dark = analysis.draw(pair.without.id(), analysis.raster());
    int w = view.width();
    float cutOff = response.toLight(1, Burnt.NO_SUM);
    BitSet within = within(analysis, glass, w, view.height());
    int all = within.cardinality();
    within.stream()
        .filter(
            i -> burnt(lit, i) || burnt(lit, i + 1) || burnt(lit, i + w) || view.mostAt(i) > cutOff)
        .forEach(within::clear);
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
    return new Told(pair, known, own, cross, square, edges, ratio, gain);
  }

  /** The light that a frame shows, with the camera's primaries. */
  private static Picture light(Analysis analysis, String frame) {
    return LightsApart.difference(
        analysis.frames().response(), analysis.draw(frame, analysis.raster()), Picture.of(0, 0));
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
