package illuminar.core.analysis;

import illuminar.core.colour.Lab;
import illuminar.core.colour.LabPlanes;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.Stops;
import illuminar.core.filter.ColourGuided;
import illuminar.core.filter.Gauss;
import illuminar.core.filter.Guided;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Response;
import illuminar.core.ground.EvenBlendWork;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;

/**
 * How far, and in which direction, the light on each surface of the anchor frame leans from
 * neutral: log2 of red over green and of blue over green, display-linear with sRGB primaries, on
 * the analysis grid.
 *
 * <p>With a flash frame, the light that only it has is the reference: one white source shows every
 * surface's own colour, so what the anchor frame shows otherwise is cast (Eisemann and Durand 2004;
 * Hui, Sankaranarayanan, Hadap, "White balance under mixed illumination using flash photography",
 * 2016). Without one, surfaces that are nearly neutral tell the light about them. Both are smoothed
 * along the edges of the frame and carried on to where nothing is known.
 *
 * @param red log2 of red over green
 * @param blue log2 of blue over green
 * @param glow how near each pixel is to a burnt lamp, 0 to 1
 */
public record Casts(Plane red, Plane blue, Plane glow) {

  /** What tells a cast. */
  public enum Source {
    FLASH,
    SURFACES
  }

  /** Flash light below which its colour is noise. */
  private static final float LEAST = 0.004f;

  private static final float BURNT = 0.93f;

  /** Chroma up to which a surface counts as nearly neutral, and from which on not at all. */
  private static final float NEUTRAL = 14;

  private static final float COLOURED = 24;

  /** Greatest lean that is believed, log2. */
  private static final float MOST = 1.6f;

  /** Lightness differences of the guide that count as flat, L* squared. */
  private static final float FLAT = 16;

  /**
   * Finds the casts of a view.
   *
   * @param flash id of the flash frame, for {@link Source#FLASH}
   * @throws IllegalArgumentException if it is not there, or nothing was taken at its settings
   */
  public static Casts of(Analysis analysis, Source source, String flash) {
    String anchor = analysis.frames().anchor();
    Picture p = analysis.draw(anchor, analysis.raster());
    int w = p.width();
    int h = p.height();
    LabPlanes lab = lab(p);
    Plane red = Plane.of(w, h);
    Plane blue = Plane.of(w, h);
    Plane known = Plane.of(w, h);
    if (source == Source.FLASH) {
      byFlash(analysis, flash, p, red, blue, known);
      besides(p, lab, red, blue, known);
    } else {
      bySurfaces(p, lab, red, blue, known);
    }
    int longEdge = Math.max(w, h);
    int radius = Math.max(2, Math.round(longEdge * (source == Source.FLASH ? 0.012f : 0.03f)));
    for (int i = 0; i < known.data().length; i++) {
      known.data()[i] += 1e-4f;
    }
    Plane[] guide = {new Plane(w, h, lab.l()), new Plane(w, h, lab.a()), new Plane(w, h, lab.b())};
    // what is known only far away comes in wide before the edges are followed
    carry(red, known, radius);
    carry(blue, known, radius);
    Plane smoothRed = ColourGuided.of(guide, red, known, radius, FLAT).on(guide);
    Plane smoothBlue = ColourGuided.of(guide, blue, known, radius, FLAT).on(guide);
    for (int i = 0; i < known.data().length; i++) {
      smoothRed.data()[i] = bounded(smoothRed.data()[i]);
      smoothBlue.data()[i] = bounded(smoothBlue.data()[i]);
    }
    return new Casts(smoothRed, smoothBlue, glow(analysis, p));
  }

  /** Lightness at which casts are shown. */
  private static final double SHOWN = 68;

  /** A pixel's cast as a colour of one lightness, twice as strong as it is: 0xRRGGBB. */
  public int shown(int i) {
    double[] work =
        Space.SRGB_TO_WORK.apply(Stops.light(red.data()[i]), 1, Stops.light(blue.data()[i]));
    double y = Space.luminance((float) work[0], (float) work[1], (float) work[2]);
    Lab lean = Lab.ofWork(0.4 * work[0] / y, 0.4 * work[1] / y, 0.4 * work[2] / y);
    double[] out = new Lab(SHOWN, 2 * lean.a(), 2 * lean.b()).work();
    double[] rgb = Space.WORK_TO_SRGB.apply(out[0], out[1], out[2]);
    int packed = 0;
    for (double v : rgb) {
      packed = packed << 8 | (int) Math.round(255 * Srgb.encode(Math.max(0, Math.min(1, v))));
    }
    return packed;
  }

  private static float bounded(float v) {
    return Math.max(-MOST, Math.min(MOST, v));
  }

  private static LabPlanes lab(Picture p) {
    Picture work = p.copy();
    EvenBlendWork.toWork(work);
    return LabPlanes.of(work);
  }

  private static void byFlash(
      Analysis analysis, String flash, Picture p, Plane red, Plane blue, Plane known) {
    if (flash.isEmpty()) {
      throw new IllegalArgumentException("casts told by flash need a flash frame");
    }
    Frame partner = LightsApart.ambientOf(analysis, analysis.frames().get(flash));
    Response r = analysis.frames().response();
    Picture with = analysis.draw(flash, analysis.raster());
    Picture without = analysis.draw(partner.id(), analysis.raster());
    Picture own = LightsApart.difference(r, with, without);
    float[] white = white(own);
    float[] shown = new float[3];
    for (int i = 0; i < known.data().length; i++) {
      float burning = Math.max(with.r()[i], Math.max(with.g()[i], with.b()[i]));
      float most = Math.max(p.r()[i], Math.max(p.g()[i], p.b()[i]));
      float y =
          Space.srgbLuminance(own.r()[i] * white[0], own.g()[i] * white[1], own.b()[i] * white[2]);
      float light = r.luminance(p.r()[i], p.g()[i], p.b()[i]);
      if (burning > BURNT || most > BURNT || y < LEAST || light < LEAST) {
        continue;
      }
      for (int c = 0; c < 3; c++) {
        float f = own.channel(c)[i] * white[c] * light / y;
        shown[c] = Math.max(1e-4f, r.toDisplay(c, Math.min(1, f)));
      }
      red.data()[i] = bounded(lean(p.r()[i], p.g()[i]) - lean(shown[0], shown[1]));
      blue.data()[i] = bounded(lean(p.b()[i], p.g()[i]) - lean(shown[2], shown[1]));
      float sure = Math.min(1, (y - LEAST) / (4 * LEAST));
      known.data()[i] = sure * Math.min(1, (BURNT - burning) * 8);
    }
  }

  /** Where the flash hardly reaches, nearly neutral surfaces tell what they can. */
  private static void besides(Picture p, LabPlanes lab, Plane red, Plane blue, Plane known) {
    Plane otherRed = Plane.of(p.width(), p.height());
    Plane otherBlue = Plane.of(p.width(), p.height());
    Plane other = Plane.of(p.width(), p.height());
    bySurfaces(p, lab, otherRed, otherBlue, other);
    for (int i = 0; i < known.data().length; i++) {
      float own = known.data()[i];
      float more = Math.max(0, 1 - 2 * own) * other.data()[i] * LESS_SURE;
      float sum = own + more;
      if (more > 0) {
        red.data()[i] += (otherRed.data()[i] - red.data()[i]) * more / sum;
        blue.data()[i] += (otherBlue.data()[i] - blue.data()[i]) * more / sum;
        known.data()[i] = sum;
      }
    }
  }

  /** How far a nearly neutral surface is believed beside what the flash shows. */
  private static final float LESS_SURE = 0.6f;

  private static float lean(float a, float b) {
    return Stops.of(Math.max(1e-4f, a)) - Stops.of(Math.max(1e-4f, b));
  }

  /** Cells of the grid on which the commonest lean is looked for, log2 each. */
  private static final float CELL = 0.05f;

  private static final int CELLS = 80;

  /**
   * Factors that make the flash's white neutral: its commonest colour by light, which in rooms is
   * that of walls and ceiling.
   */
  private static float[] white(Picture light) {
    double[] votes = new double[CELLS * CELLS];
    for (int i = 0; i < light.r().length; i++) {
      float y = Space.srgbLuminance(light.r()[i], light.g()[i], light.b()[i]);
      if (y < 2 * LEAST) {
        continue;
      }
      int u = Math.round(lean(light.r()[i], light.g()[i]) / CELL) + CELLS / 2;
      int v = Math.round(lean(light.b()[i], light.g()[i]) / CELL) + CELLS / 2;
      for (int du = -1; du <= 1; du++) {
        for (int dv = -1; dv <= 1; dv++) {
          if (u + du >= 0 && u + du < CELLS && v + dv >= 0 && v + dv < CELLS) {
            votes[(v + dv) * CELLS + u + du] += y * (du == 0 && dv == 0 ? 2 : 1);
          }
        }
      }
    }
    int best = CELLS * CELLS / 2 + CELLS / 2;
    for (int k = 0; k < votes.length; k++) {
      best = votes[k] > votes[best] ? k : best;
    }
    // the mean of the votes about the best cell is finer than the cells
    double sum = 1e-9;
    double sumU = 0;
    double sumV = 0;
    for (int dv = -2; dv <= 2; dv++) {
      for (int du = -2; du <= 2; du++) {
        int x = best % CELLS + du;
        int y = best / CELLS + dv;
        if (x >= 0 && x < CELLS && y >= 0 && y < CELLS) {
          double n = votes[y * CELLS + x];
          sum += n;
          sumU += n * (x - CELLS / 2);
          sumV += n * (y - CELLS / 2);
        }
      }
    }
    float u = (float) (sumU / sum) * CELL;
    float v = (float) (sumV / sum) * CELL;
    return new float[] {Stops.light(-u), 1, Stops.light(-v)};
  }

  private static void bySurfaces(Picture p, LabPlanes lab, Plane red, Plane blue, Plane known) {
    for (int i = 0; i < known.data().length; i++) {
      float most = Math.max(p.r()[i], Math.max(p.g()[i], p.b()[i]));
      if (most > BURNT || lab.l()[i] < 25) {
        continue;
      }
      float chroma = (float) Math.hypot(lab.a()[i], lab.b()[i]);
      red.data()[i] = bounded(lean(p.r()[i], p.g()[i]));
      blue.data()[i] = bounded(lean(p.b()[i], p.g()[i]));
      // light surfaces are walls and ceilings more often than dark ones are
      known.data()[i] =
          Math.max(0, Math.min(1, (COLOURED - chroma) / (COLOURED - NEUTRAL)))
              * Math.min(1, lab.l()[i] / 70);
    }
  }

  /** Fills what is not known with a wide mean of what is. */
  private static void carry(Plane values, Plane known, int radius) {
    Plane sum = Gauss.smooth(Guided.product(values, known), 3 * radius);
    Plane all = Gauss.smooth(known, 3 * radius);
    for (int i = 0; i < values.data().length; i++) {
      float far = sum.data()[i] / Math.max(1e-6f, all.data()[i]);
      float k = Math.min(1, known.data()[i] * 5);
      values.data()[i] = far + (values.data()[i] - far) * k;
    }
  }

  private static Plane glow(Analysis analysis, Picture p) {
    Plane burnt = Plane.of(p.width(), p.height());
    float[] panes = analysis.panes().count() == 0 ? null : panes(analysis);
    for (int i = 0; i < burnt.data().length; i++) {
      float most = Math.max(p.r()[i], Math.max(p.g()[i], p.b()[i]));
      burnt.data()[i] = most > 0.985f ? 1 - (panes == null ? 0 : panes[i]) : 0;
    }
    Plane wide = Gauss.smooth(burnt, 0.03 * Math.max(p.width(), p.height()));
    for (int i = 0; i < wide.data().length; i++) {
      wide.data()[i] = Math.min(1, 12 * wide.data()[i]);
    }
    return wide;
  }

  private static float[] panes(Analysis analysis) {
    return analysis
        .panes()
        .draw(analysis.raster(), analysis.draw(analysis.panes().windowFrame(), analysis.raster()));
  }
}
