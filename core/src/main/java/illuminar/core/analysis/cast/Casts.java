package illuminar.core.analysis.cast;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.LightsApart;
import illuminar.core.analysis.window.Panes;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.Stops;
import illuminar.core.colour.WorkingSpace;
import illuminar.core.filter.ColourGuided;
import illuminar.core.filter.Ease;
import illuminar.core.filter.Gauss;
import illuminar.core.filter.Guided;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Response;
import illuminar.core.frame.Role;
import illuminar.core.picture.LabPlanes;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/**
 * How far, and in which direction, the light on each surface of the anchor frame leans from
 * neutral: log2 of red over green and of blue over green, display-linear with sRGB primaries, on
 * the analysis grid.
 *
 * <p>With a flash frame, the light that only it has is the reference: one white source shows every
 * surface's own colour, so what the anchor frame shows otherwise is cast (Eisemann and Durand 2004;
 * Hui, Sankaranarayanan, Hadap, "White balance under mixed illumination using flash photography",
 * 2016). A frame without the lamps is one in the same way, as far as its own light reaches: paint
 * cancels out, and what the lamps add to it is cast. Without either, surfaces that are nearly
 * neutral tell the light about them. All are smoothed along the edges of the frame and carried on
 * to where nothing is known.
 *
 * @param red log2 of red over green
 * @param blue log2 of blue over green
 * @param glow how near each pixel is to a burnt lamp, 0 to 1
 */
public record Casts(Plane red, Plane blue, Plane glow) {

  /** What tells a cast. */
  public enum Source {
    FLASH,
    /** The light of a frame without the lamps. */
    LIGHTS,
    SURFACES
  }

  /** Light of the reference below which its colour is noise. */
  private static final float LEAST = 0.002f;

  /**
   * Flash light as a share of the light that was there: below, the camera's response is not known
   * well enough to tell its colour from a difference; from {@code STRONG} on it is.
   */
  private static final float WEAK = 0.2f;

  private static final float STRONG = 0.7f;

  private static final float BURNT = 0.93f;

  private static final int MOST_KEPT = 12;

  /** Chroma up to which a surface counts as nearly neutral, and from which on not at all. */
  private static final float NEUTRAL = 14;

  private static final float COLOURED = 24;

  /** Greatest lean that is believed, log2. */
  private static final float MOST = 1.6f;

  /** Lightness differences of the guide that count as flat, L* squared. */
  private static final float FLAT = 16;

  /**
   * The casts of the anchor frame; kept.
   *
   * @param reference id of the flash frame, or of the one without the lamps; empty for {@link
   *     Source#SURFACES}
   * @throws IllegalArgumentException if it is not there or no such frame, or nothing was taken at a
   *     flash frame's settings
   */
  public static Casts of(Analysis analysis, Source source, String reference) {
    return analysis.keep(
        Casts.class,
        List.of(source, reference),
        MOST_KEPT,
        () -> found(analysis, source, reference));
  }

  private static Casts found(Analysis analysis, Source source, String reference) {
    String anchor = analysis.frames().anchor();
    Picture p = analysis.draw(anchor, analysis.raster());
    int w = p.width();
    int h = p.height();
    LabPlanes lab = lab(p);
    Plane[] lean = bySurfaces(analysis, anchor);
    if (source != Source.SURFACES) {
      Alone own =
          source == Source.FLASH ? flash(analysis, reference) : lampless(analysis, reference);
      lean = byLight(analysis, own, p, lab, lean);
    }
    for (int i = 0; i < w * h; i++) {
      lean[0].data()[i] = bounded(lean[0].data()[i]);
      lean[1].data()[i] = bounded(lean[1].data()[i]);
    }
    return new Casts(lean[0], lean[1], glow(analysis, p));
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
    WorkingSpace.fromSrgb(work.planes());
    return LabPlanes.of(work);
  }

  /**
   * A light by itself, as the reference of colours.
   *
   * @param light linear, camera primaries
   * @param burning the brightest channel of the frames that it was told from, display-linear
   * @param there luminance of the light beside which it had to be told
   * @param white factors that make its own white neutral
   * @param lean by how much it leans itself, red and blue; none where it is one white source
   */
  private record Alone(Picture light, float[] burning, float[] there, float[] white, Plane[] lean) {
    float lean(int channel, int i) {
      return lean.length == 0 ? 0 : lean[channel].data()[i];
    }
  }

  private static Alone flash(Analysis analysis, String flash) {
    if (flash.isEmpty()) {
      throw new IllegalArgumentException("casts told by flash need a flash frame");
    }
    Frame partner = LightsApart.ambientOf(analysis, analysis.frames().get(flash));
    Response r = analysis.frames().response();
    Picture with = analysis.draw(flash, analysis.raster());
    Picture without = analysis.draw(partner.id(), analysis.raster());
    float[] there = new float[with.r().length];
    for (int i = 0; i < there.length; i++) {
      there[i] = r.luminance(without.r()[i], without.g()[i], without.b()[i]);
    }
    Picture own = LightsApart.difference(r, with, without);
    return new Alone(own, most(with), there, white(own), new Plane[0]);
  }

  private static Alone lampless(Analysis analysis, String frame) {
    if (frame.isEmpty() || analysis.frames().get(frame).role() != Role.LAMPS_OFF) {
      throw new IllegalArgumentException("casts told by lights need a frame with the lamps off");
    }
    Frame partner = LightsApart.ambientOf(analysis, analysis.frames().get(frame));
    Response r = analysis.frames().response();
    Picture without = analysis.draw(frame, analysis.raster());
    Picture own = LightsApart.difference(r, without, Picture.of(0, 0));
    Picture lamps =
        LightsApart.difference(r, analysis.draw(partner.id(), analysis.raster()), without);
    float[] there = new float[own.r().length];
    for (int i = 0; i < there.length; i++) {
      there[i] = Space.srgbLuminance(lamps.r()[i], lamps.g()[i], lamps.b()[i]);
    }
    // daylight is many lights: sky, sun, what lawn and floor throw back
    Plane[] lean = bySurfaces(analysis, frame);
    return new Alone(own, most(without), there, new float[] {1, 1, 1}, lean);
  }

  private static float[] most(Picture p) {
    float[] most = new float[p.r().length];
    for (int i = 0; i < most.length; i++) {
      most[i] = p.mostAt(i);
    }
    return most;
  }

  /**
   * @param about red and blue lean by surfaces, for where the reference hardly reaches
   */
  private static Plane[] byLight(
      Analysis analysis, Alone reference, Picture p, LabPlanes lab, Plane[] about) {
    Response r = analysis.frames().response();
    Picture own = reference.light;
    float[] white = reference.white;
    float[] shown = new float[3];
    Plane red = about[0].copy();
    Plane blue = about[1].copy();
    Plane weight = Plane.of(p.width(), p.height());
    Arrays.fill(weight.data(), LESS_SURE);
    for (int i = 0; i < weight.data().length; i++) {
      float burning = reference.burning[i];
      float most = p.mostAt(i);
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
      float sure =
          Math.min(1, (y - LEAST) / (2 * LEAST))
              * strong(y / Math.max(LEAST, reference.there[i]))
              * Math.min(1, (BURNT - burning) * 8);
      float byRed = lean(p.r()[i], p.g()[i]) - lean(shown[0], shown[1]);
      float byBlue = lean(p.b()[i], p.g()[i]) - lean(shown[2], shown[1]);
      byRed = bounded(byRed + reference.lean(0, i));
      byBlue = bounded(byBlue + reference.lean(1, i));
      red.data()[i] += (byRed - red.data()[i]) * sure;
      blue.data()[i] += (byBlue - blue.data()[i]) * sure;
      weight.data()[i] += sure;
    }
    Plane[] guide = {
      new Plane(lab.width(), lab.height(), lab.l()),
      new Plane(lab.width(), lab.height(), lab.a()),
      new Plane(lab.width(), lab.height(), lab.b())
    };
    int radius = Math.max(2, Math.round(Math.max(p.width(), p.height()) * NEAR));
    return new Plane[] {
      ColourGuided.of(guide, red, weight, radius, FLAT).on(guide),
      ColourGuided.of(guide, blue, weight, radius, FLAT).on(guide)
    };
  }

  private static float strong(float share) {
    return Ease.between((share - WEAK) / (STRONG - WEAK));
  }

  /** Share of the long edge over which what the flash shows is smoothed along edges. */
  private static final float NEAR = 0.014f;

  /** How far a nearly neutral surface is believed beside what the flash shows. */
  private static final float LESS_SURE = 0.2f;

  private static float lean(float a, float b) {
    return Stops.of(Math.max(1e-4f, a)) - Stops.of(Math.max(1e-4f, b));
  }

  /** Cells of the grid on which the commonest lean is looked for, log2 each. */
  private static final float CELL = 0.05f;

  private static final int CELLS = 80;

  /**
   * Factors that make a light's white neutral: its commonest colour by light, which in rooms is
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

  /**
   * Red and blue lean of a frame's light on each place by the nearly neutral surfaces about it. The
   * picture's own colour is no guide here: what leans would be taken for light everywhere.
   */
  private static Plane[] bySurfaces(Analysis analysis, String frame) {
    Raster coarse = Raster.fitted(analysis.fullWidth(), analysis.fullHeight(), COARSE);
    Picture p = analysis.draw(frame, coarse);
    Frame own = analysis.frames().get(frame);
    List<Picture> darker =
        analysis.frames().ambient().stream()
            .filter(f -> own.role() == Role.AMBIENT && f.stops() < own.stops())
            .sorted(Comparator.comparingDouble(Frame::stops).reversed())
            .map(f -> analysis.draw(f.id(), coarse))
            .toList();
    float[] view = Panes.of(analysis).draw(coarse);
    LabPlanes lab = lab(p);
    Plane red = Plane.of(p.width(), p.height());
    Plane blue = Plane.of(p.width(), p.height());
    Plane known = Plane.of(p.width(), p.height());
    Plane light = bright(lab);
    for (int i = 0; i < known.data().length; i++) {
      if (view[i] > 0.02f) {
        continue;
      }
      Picture shows = clear(p, darker, i);
      Lab colour = shows == p ? new Lab(lab.l()[i], lab.a()[i], lab.b()[i]) : lab(shows, i);
      if (shows.mostAt(i) > BURNT || colour.l() < 25) {
        continue;
      }
      red.data()[i] = bounded(lean(shows.r()[i], shows.g()[i]));
      blue.data()[i] = bounded(lean(shows.b()[i], shows.g()[i]));
      // what is burnt is light enough
      float white =
          shows == p ? Ease.between((lab.l()[i] / light.data()[i] - DULL) / (WHITE - DULL)) : 1;
      known.data()[i] =
          (float) Math.max(0, Math.min(1, (COLOURED - colour.chroma()) / (COLOURED - NEUTRAL)))
              * white;
    }
    double wide = Math.max(p.width(), p.height());
    return new Plane[] {
      enlarged(spread(red, known, wide), analysis), enlarged(spread(blue, known, wide), analysis)
    };
  }

  /** The anchor's picture, or of the darker frames' the lightest that is not burnt at a pixel. */
  private static Picture clear(Picture anchor, List<Picture> darker, int i) {
    Picture shows = anchor;
    for (int k = 0; k < darker.size() && shows.mostAt(i) > BURNT; k++) {
      shows = darker.get(k);
    }
    return shows;
  }

  private static Lab lab(Picture p, int i) {
    double[] work = Space.SRGB_TO_WORK.apply(p.r()[i], p.g()[i], p.b()[i]);
    return Lab.ofWork(work[0], work[1], work[2]);
  }

  /** Long edge of the grid on which surfaces are looked at: light changes slowly. */
  private static final int COARSE = 320;

  private static Plane enlarged(Plane in, Analysis analysis) {
    Raster raster = analysis.raster();
    Plane out = Plane.of(raster.width(), raster.height());
    MapRows rows = MapRows.of(analysis.fullWidth(), analysis.fullHeight(), raster, in)[0];
    for (int y = 0; y < raster.height(); y++) {
      rows.row(y, out.data(), y * raster.width());
    }
    return out;
  }

  /** Share of the brightness about it from which on a surface may be a white one, and is one. */
  private static final float DULL = 0.72f;

  private static final float WHITE = 0.95f;

  /** Share of the long edge within which the lightest surfaces tell what is white there. */
  private static final double ABOUT = 0.07;

  private static final int POWER = 8;

  /**
   * How light the lightest surfaces about each pixel are, L*: walls and ceilings are lighter than
   * floors and furniture in the same light (the white patch of Land's retinex, taken locally as a
   * Minkowski mean, Finlayson and Trezzi 2004).
   */
  private static Plane bright(LabPlanes lab) {
    Plane raised = Plane.of(lab.width(), lab.height());
    for (int i = 0; i < raised.data().length; i++) {
      float x = Math.max(0, lab.l()[i]) / 100;
      float x2 = x * x;
      float x4 = x2 * x2;
      raised.data()[i] = x4 * x4;
    }
    Plane mean = Gauss.smooth(raised, ABOUT * Math.max(lab.width(), lab.height()));
    for (int i = 0; i < mean.data().length; i++) {
      mean.data()[i] = (float) (100 * Math.pow(Math.max(1e-9, mean.data()[i]), 1.0 / POWER));
    }
    return mean;
  }

  /** How far, in shares of the long edge, what is known reaches: near first, then ever wider. */
  private static final double[] REACHES = {0.012, 0.04, 0.12, 0.4};

  /** Mean weight from which on a reach is believed rather than the next wider one. */
  private static final float BELIEVED = 0.12f;

  /** Normalised convolution (Knutsson and Westin 1993), wider where little is known. */
  private static Plane spread(Plane values, Plane known, double longEdge) {
    Plane weighted = Guided.product(values, known);
    Plane out = Plane.of(values.width(), values.height());
    for (int k = REACHES.length - 1; k >= 0; k--) {
      Plane sum = Gauss.smooth(weighted, REACHES[k] * longEdge);
      Plane all = Gauss.smooth(known, REACHES[k] * longEdge);
      for (int i = 0; i < out.data().length; i++) {
        float share = Math.min(1, all.data()[i] / BELIEVED);
        float here = sum.data()[i] / Math.max(1e-6f, all.data()[i]);
        out.data()[i] += (here - out.data()[i]) * share;
      }
    }
    return out;
  }

  private static Plane glow(Analysis analysis, Picture p) {
    Plane burnt = Plane.of(p.width(), p.height());
    float[] panes = Panes.of(analysis).draw(analysis.raster());
    for (int i = 0; i < burnt.data().length; i++) {
      burnt.data()[i] = p.mostAt(i) > 0.985f ? 1 - panes[i] : 0;
    }
    Plane wide = Gauss.smooth(burnt, 0.03 * Math.max(p.width(), p.height()));
    for (int i = 0; i < wide.data().length; i++) {
      wide.data()[i] = Math.min(1, 12 * wide.data()[i]);
    }
    return wide;
  }
}
