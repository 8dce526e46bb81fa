package illuminar.core.analysis.light;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Burnt;
import illuminar.core.colour.Stops;
import illuminar.core.colour.WorkingSpace;
import illuminar.core.filter.Box;
import illuminar.core.filter.ColourGuided;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Response;
import illuminar.core.picture.LabPlanes;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import java.util.Comparator;

/**
 * Where a flash makes hot spots or throws hard shadows, found from the flash frame and the ambient
 * one nearest in exposure.
 *
 * <p>A hot spot stands out of a ring round it both in the light that only the flash frame has and
 * in that light's relation to the ambient light of the same pixel: the first alone would take a
 * white cup for one, the second a place that daylight does not reach. A shadow gets less light in
 * the flash frame than what looks alike in the ambient frame gets near by. After the flash shadow
 * and highlight masks of Petschnigg et al., "Digital photography with flash and no-flash image
 * pairs", 2004; both comparisons are our own.
 */
public final class FlashTroubles {

  /** What a flash may do wrong. */
  public enum Trouble {
    HOT_SPOT,
    HARD_SHADOW
  }

  /** Light below which a relation is mostly noise. */
  private static final float LEAST = 0.004f;

  /** Radius of the surroundings, as a share of the long edge. */
  private static final double AROUND = 0.07;

  /**
   * Radius of the ring round a spot, as a share of the long edge; a spot is less than that wide.
   */
  private static final double RING = 0.03;

  /** Places of the ring that are looked at. */
  private static final int DIRECTIONS = 16;

  /** Pixels each way over which a place of the ring is averaged. */
  private static final int CALM = 4;

  /** A pixel that falls short by more stops counts no more when the rest is judged again. */
  private static final float STRAY = 0.12f;

  private static final int ROUNDS = 4;

  /** A stop of the ambient frame counts as so much of a* or b*. */
  private static final float STOP = 12;

  /** Differences of the ambient frame that count as alike, a* or b* squared. */
  private static final float ALIKE = 16;

  /** Stops between a flash and an ambient frame up to which they can be compared. */
  private static final double FAR = 2.5;

  private FlashTroubles() {}

  /**
   * How far the flash stands out, in stops on the analysis grid: above 0 where there is trouble.
   *
   * @param flash id of the flash frame
   * @throws IllegalArgumentException if it is not there, or no ambient frame was taken within
   *     {@value #FAR} stops of its exposure
   */
  public static Plane of(Analysis analysis, String flash, Trouble trouble) {
    Frame own = analysis.frames().get(flash);
    Frame ambient = nearest(analysis, own);
    float gain = (float) Math.pow(2, own.stops() - ambient.stops());
    Picture lit = analysis.draw(flash, analysis.raster());
    Picture dark = analysis.draw(ambient.id(), analysis.raster());
    int w = lit.width();
    int h = lit.height();
    Plane light = Plane.of(w, h);
    Plane shown = Plane.of(w, h);
    Plane relation = Plane.of(w, h);
    Plane known = Plane.of(w, h);
    Response r = analysis.frames().response();
    for (int i = 0; i < w * h; i++) {
      float a = gain * r.luminance(dark.r()[i], dark.g()[i], dark.b()[i]);
      if (a > LEAST && dark.mostAt(i) < Burnt.NO_FLASH) {
        float f = Math.max(0, r.luminance(lit.r()[i], lit.g()[i], lit.b()[i]) - a);
        light.data()[i] = Stops.of(f + LEAST);
        shown.data()[i] = Stops.of(f + a);
        relation.data()[i] = Stops.of((f + LEAST) / (a + LEAST));
        known.data()[i] = 1;
      }
    }
    Plane out =
        trouble == Trouble.HOT_SPOT
            ? least(above(light, known), above(relation, known))
            : below(shown, known, dark);
    // single pixels of noise and of edges that are lined up a little beside each other
    return Box.mean(out, 2);
  }

  /**
   * How far values stand above the brightest place on a ring round them: a mirrored flash is a
   * spot, while a surface that faces the flash goes on to some side. 0 if not known.
   */
  private static Plane above(Plane values, Plane known) {
    int w = values.width();
    int h = values.height();
    Plane calm = Box.mean(values, CALM);
    double radius = RING * Math.max(w, h);
    int[] across = new int[DIRECTIONS];
    int[] down = new int[DIRECTIONS];
    for (int k = 0; k < DIRECTIONS; k++) {
      across[k] = (int) Math.round(radius * Math.cos(2 * Math.PI * k / DIRECTIONS));
      down[k] = (int) Math.round(radius * Math.sin(2 * Math.PI * k / DIRECTIONS));
    }
    Plane out = Plane.of(w, h);
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        if (known.data()[y * w + x] > 0) {
          float most = Stops.BLACK;
          for (int k = 0; k < DIRECTIONS; k++) {
            int u = x + across[k];
            int v = y + down[k];
            if (u >= 0 && v >= 0 && u < w && v < h && known.at(u, v) > 0) {
              most = Math.max(most, calm.at(u, v));
            }
          }
          out.data()[y * w + x] = most > Stops.BLACK ? values.at(x, y) - most : 0;
        }
      }
    }
    return out;
  }

  private static Plane least(Plane a, Plane b) {
    Plane out = Plane.of(a.width(), a.height());
    for (int i = 0; i < out.data().length; i++) {
      out.data()[i] = Math.min(a.data()[i], b.data()[i]);
    }
    return out;
  }

  /**
   * How far the flash frame's light falls below what surfaces that look alike get near by. What
   * looks alike is read from the ambient frame (guided filter in colour); what falls below is left
   * out of the next round, so that the lit side of a shadow's edge tells. 0 if not known.
   */
  private static Plane below(Plane light, Plane known, Picture ambient) {
    Picture work = ambient.copy();
    WorkingSpace.fromSrgb(work.planes());
    LabPlanes lab = LabPlanes.of(work);
    int w = lab.width();
    int h = lab.height();
    Plane tone = work.luminance();
    for (int i = 0; i < w * h; i++) {
      tone.data()[i] = STOP * Stops.of(tone.data()[i]);
    }
    Plane[] guide = {tone, new Plane(w, h, lab.a()), new Plane(w, h, lab.b())};
    int radius = Math.max(3, (int) Math.round(AROUND * Math.max(w, h)));
    Plane weight = known.copy();
    Plane out = Plane.of(w, h);
    for (int round = 0; round < ROUNDS; round++) {
      Plane expected = ColourGuided.of(guide, light, weight, radius, ALIKE).on(guide);
      for (int i = 0; i < w * h; i++) {
        float missing = expected.data()[i] - light.data()[i];
        out.data()[i] = missing * known.data()[i];
        weight.data()[i] = missing > STRAY ? 0 : known.data()[i];
      }
    }
    return out;
  }

  /** The ambient frame nearest in exposure; its light stands for that of the flash frame. */
  private static Frame nearest(Analysis analysis, Frame flash) {
    return analysis.frames().ambient().stream()
        .filter(f -> Math.abs(f.stops() - flash.stops()) <= FAR)
        .min(Comparator.comparingDouble(f -> Math.abs(f.stops() - flash.stops())))
        .orElseThrow(
            () ->
                new IllegalArgumentException(
                    "no ambient frame was taken near the flash frame's settings"));
  }
}
