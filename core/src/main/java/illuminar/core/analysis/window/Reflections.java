package illuminar.core.analysis.window;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.LightsApart;
import illuminar.core.colour.Burnt;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Response;
import illuminar.core.frame.Role;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import java.util.Arrays;

/**
 * Reflections of the room in the window panes, measured from a pair of frames that differ in one
 * light: light adds up, so the mirrored room is added to the view and goes with the light that made
 * it.
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
 * @param part of the panes' light that it makes up, 0 to 1
 * @param said why nothing tells them
 */
public record Reflections(String with, String without, float[] share, double part, String said) {

  private static Reflections none(String why) {
    return new Reflections("", "", new float[3], 0, why);
  }

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
    boolean pair = false;
    for (Role role : new Role[] {Role.LAMPS_OFF, Role.FLASH}) {
      boolean lamps = role == Role.LAMPS_OFF;
      for (Frame f : LightsApart.paired(analysis, role)) {
        pair = true;
        Frame other = LightsApart.ambientOf(analysis, f);
        Told told = told(analysis, asked.glass, shown, lamps ? other : f, lamps ? f : other);
        if (told.known >= ENOUGH) {
          return told.reflections(lamps);
        }
      }
    }
    return none(
        pair
            ? "the panes are burnt in the frames that could tell what they mirror"
            : "reflections need a lamps-off frame, or a flash frame, and one at the same settings"
                + " without");
  }

  /**
   * @param known share of the panes that is not burnt in the pair
   * @param slope per channel: the gradients of the pattern in those of the frame, over their own
   * @param ratio per channel: light of the pattern over that of the frame
   * @param gain from the pair's exposure to the frame's
   */
  private record Told(
      String with, String without, double known, double[] slope, double[] ratio, double gain) {
    Reflections reflections(boolean exact) {
      float[] share = new float[3];
      double part = 0;
      for (int c = 0; c < 3; c++) {
        double s = exact ? gain : Math.max(0, Math.min(MOST * gain, slope[c]));
        share[c] = (float) s;
        part += Math.min(1, s * ratio[c]) / 3;
      }
      return new Reflections(with, without, share, part, "");
    }
  }

  private static Told told(
      Analysis analysis, float[] glass, Frame shown, Frame with, Frame without) {
    Response response = analysis.frames().response();
    Picture lit = analysis.draw(with.id(), analysis.raster());
    Picture pattern =
        LightsApart.difference(response, lit, analysis.draw(without.id(), analysis.raster()));
    Picture view = analysis.draw(shown.id(), analysis.raster());
    Raster small = analysis.small();
    int w = view.width();
    double known = 0;
    double all = 1e-9;
    double[] cross = new double[3];
    double[] square = new double[3];
    double[] sum = new double[3];
    double[] light = new double[3];
    for (int y = 0; y + 1 < view.height(); y++) {
      int row = y * small.height() / view.height() * small.width();
      for (int i = y * w; i < y * w + w - 1; i++) {
        if (glass[row + (i - y * w) * small.width() / w] < WHOLLY) {
          continue;
        }
        all++;
        if (burnt(lit, i) || burnt(lit, i + 1) || burnt(lit, i + w) || burnt(view, i)) {
          continue;
        }
        known++;
        for (int c = 0; c < 3; c++) {
          float[] f = pattern.channel(c);
          float[] v = view.channel(c);
          double own = response.toLight(c, v[i]);
          double right = response.toLight(c, v[i + 1]) - own;
          double down = response.toLight(c, v[i + w]) - own;
          cross[c] += (f[i + 1] - f[i]) * right + (f[i + w] - f[i]) * down;
          square[c] +=
              (f[i + 1] - f[i]) * (f[i + 1] - f[i]) + (f[i + w] - f[i]) * (f[i + w] - f[i]);
          sum[c] += f[i];
          light[c] += own;
        }
      }
    }
    double gain = Math.pow(2, shown.stops() - with.stops());
    for (int c = 0; c < 3; c++) {
      cross[c] /= Math.max(1e-12, square[c]);
      sum[c] /= Math.max(1e-9, light[c]);
    }
    return new Told(with.id(), without.id(), known / all, cross, sum, gain);
  }

  private static boolean burnt(Picture p, int i) {
    return p.mostAt(i) > Burnt.NO_SUM;
  }
}
