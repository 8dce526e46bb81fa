package illuminar.core.analysis.window;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.LightsApart;
import illuminar.core.colour.Burnt;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Response;
import illuminar.core.frame.Role;
import illuminar.core.picture.Picture;
import java.util.Arrays;
import java.util.Comparator;
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

  /** Share of the panes that must be told. */
  private static final double ENOUGH = 0.5;

  /** What is left at least of a pixel's light: nothing is black for what is mirrored in it. */
  private static final float LEAST = 0.02f;

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
    for (MirroredPattern.Pair pair : MirroredPattern.pairs(analysis)) {
      double gain = Math.pow(2, shown.stops() - pair.with().stops());
      MirroredPattern told = MirroredPattern.of(analysis, asked.glass, light, pair, 0, gain);
      if (told.known() >= ENOUGH) {
        return told.reflections(pair.lamps());
      }
    }
    return untold(analysis);
  }

  private static Reflections untold(Analysis analysis) {
    return none(
        MirroredPattern.pairs(analysis).isEmpty()
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
    Optional<MirroredPattern> most =
        MirroredPattern.pairs(analysis).stream()
            .map(pair -> MirroredPattern.of(analysis, place, light, pair, plain, 1))
            .filter(told -> told.known() >= ENOUGH)
            .max(Comparator.comparingDouble(MirroredPattern::explained));
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
    return MirroredPattern.pattern(response, lit, dark, own);
  }

  /**
   * Whether the frame that has the light tells it at a pixel: where it is burnt nothing is known.
   */
  public static boolean tells(Picture lit, int i) {
    return lit.mostAt(i) <= Burnt.NO_SUM;
  }

  /**
   * What is left of a channel's light.
   *
   * @param mirrored there, by {@link #mirrored}
   * @param amount how much of it is taken off, 1 is all
   */
  public float rest(int c, float light, float mirrored, float amount) {
    return Math.max(LEAST * light, light - amount * share[c] * mirrored);
  }

  /** The light that a frame shows, with the camera's primaries. */
  private static Picture light(Analysis analysis, String frame) {
    return LightsApart.difference(
        analysis.frames().response(), analysis.draw(frame, analysis.raster()), Picture.of(0, 0));
  }
}
