package illuminar.core.analysis.cast;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.LightsApart;
import illuminar.core.colour.Burnt;
import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.filter.ColourGuided;
import illuminar.core.filter.Ease;
import illuminar.core.filter.Gauss;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Response;
import illuminar.core.frame.Role;
import illuminar.core.picture.LabPlanes;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;

/**
 * A light by itself, as the reference of colours, and how the light of a room leans beside it.
 *
 * @param light linear, camera primaries
 * @param burning the brightest channel of the frames that it was told from, display-linear
 * @param there luminance of the light beside which it had to be told
 * @param white factors that make its own white neutral
 * @param lean by how much it leans itself, red and blue; none where it is one white source
 */
record LightLean(Picture light, float[] burning, float[] there, float[] white, Plane[] lean) {
  /** Share of the long edge over which what the flash shows is smoothed along edges. */
  private static final float NEAR = 0.014f;

  /** How far a nearly neutral surface is believed beside what the flash shows. */
  private static final float LESS_SURE = 0.2f;

  /** Mean weight about a place from which on the reference has told of it. */
  private static final float TOLD = 0.3f;

  /** Cells of the grid on which the commonest lean is looked for, log2 each. */
  private static final float CELL = 0.05f;

  private static final int CELLS = 80;

  /**
   * Flash light as a share of the light that was there: below, the camera's response is not known
   * well enough to tell its colour from a difference; from {@code STRONG} on it is.
   */
  private static final float WEAK = 0.2f;

  private static final float STRONG = 0.7f;

  /** Light of the reference below which its colour is noise. */
  private static final float LEAST = 0.002f;

  /** Lightness differences of the guide that count as flat, L* squared. */
  private static final float FLAT = 16;

  float lean(int channel, int i) {
    return lean.length == 0 ? 0 : lean[channel].data()[i];
  }

  static LightLean flash(Analysis analysis, String flash) {
    if (flash.isEmpty()) {
      throw new IllegalArgumentException("casts found by the flash need a flash frame");
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
    return new LightLean(own, most(with), there, white(own), new Plane[0]);
  }

  static LightLean lampless(Analysis analysis, String frame) {
    if (frame.isEmpty() || analysis.frames().get(frame).role() != Role.LAMPS_OFF) {
      throw new IllegalArgumentException(
          "casts found by the lights need a frame with the lamps off");
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
    Surfaces daylight = SurfaceLean.of(analysis, frame);
    Plane[] lean = {daylight.red(), daylight.blue()};
    return new LightLean(own, most(without), there, new float[] {1, 1, 1}, lean);
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
   * @return red and blue lean, and how much of it is believed, 0 to 1
   */
  Plane[] of(Analysis analysis, Picture p, LabPlanes lab, Plane[] about) {
    String anchor = analysis.frames().anchor();
    OwnLean own = OwnLean.of(analysis, anchor, analysis.raster());
    Paint paint = told(analysis, p, own, about).evened(LightSteps.of(analysis, anchor));
    Plane red = own.red().copy();
    Plane blue = own.blue().copy();
    for (int i = 0; i < red.data().length; i++) {
      red.data()[i] = Lean.bounded(red.data()[i] - paint.red().data()[i]);
      blue.data()[i] = Lean.bounded(blue.data()[i] - paint.blue().data()[i]);
    }
    Plane[] guide = {
      new Plane(lab.width(), lab.height(), lab.l()),
      new Plane(lab.width(), lab.height(), lab.a()),
      new Plane(lab.width(), lab.height(), lab.b())
    };
    int radius = Math.max(2, Math.round(Math.max(p.width(), p.height()) * NEAR));
    Plane[] lean = {
      ColourGuided.of(guide, red, paint.weight(), radius, FLAT).on(guide),
      ColourGuided.of(guide, blue, paint.weight(), radius, FLAT).on(guide)
    };
    return new Plane[] {lean[0], lean[1], believed(lean, Gauss.smooth(paint.weight(), radius), p)};
  }

  /** Paint as the reference tells it, or the surfaces about where its light is too weak. */
  private Paint told(Analysis analysis, Picture p, OwnLean own, Plane[] about) {
    Response r = analysis.frames().response();
    float[] shown = new float[3];
    Paint paint =
        new Paint(
            own.red().copy(), own.blue().copy(), Plane.filled(p.width(), p.height(), LESS_SURE));
    for (int i = 0; i < paint.weight().data().length; i++) {
      paint.red().data()[i] -= about[0].data()[i];
      paint.blue().data()[i] -= about[1].data()[i];
      float burning = this.burning[i];
      float most = p.mostAt(i);
      float y =
          Space.srgbLuminance(
              light.r()[i] * white[0], light.g()[i] * white[1], light.b()[i] * white[2]);
      float seen = r.luminance(p.r()[i], p.g()[i], p.b()[i]);
      if (burning > Burnt.NO_COLOUR || most > Burnt.NO_COLOUR || y < LEAST || seen < LEAST) {
        continue;
      }
      for (int c = 0; c < 3; c++) {
        float f = light.channel(c)[i] * white[c] * seen / y;
        shown[c] = Math.max(1e-4f, r.toDisplay(c, Math.min(1, f)));
      }
      float sure =
          Math.min(1, (y - LEAST) / (2 * LEAST))
              * strong(y / Math.max(LEAST, there[i]))
              * Math.min(1, (Burnt.NO_COLOUR - burning) * 8);
      float byRed = Lean.bounded(Lean.of(shown[0], shown[1]) - lean(0, i));
      float byBlue = Lean.bounded(Lean.of(shown[2], shown[1]) - lean(1, i));
      paint.red().data()[i] += (byRed - paint.red().data()[i]) * sure;
      paint.blue().data()[i] += (byBlue - paint.blue().data()[i]) * sure;
      paint.weight().data()[i] += sure;
    }
    return paint;
  }

  /**
   * How much of a pixel's lean is believed to be the light's, 0 to 1. Where the reference hardly
   * reaches, only what stands near the colour of a grey in the light about it is: the rest may be
   * coloured.
   */
  private static Plane believed(Plane[] lean, Plane weight, Picture p) {
    Plane out = Plane.of(weight.width(), weight.height());
    for (int i = 0; i < out.data().length; i++) {
      float sure = Math.min(1, (weight.data()[i] - LESS_SURE) / TOLD);
      float byRed = Lean.of(p.r()[i], p.g()[i]) - lean[0].data()[i];
      float byBlue = Lean.of(p.b()[i], p.g()[i]) - lean[1].data()[i];
      float away = (float) Math.sqrt(byRed * byRed + byBlue * byBlue);
      out.data()[i] = sure + (1 - sure) * Casts.grey(away);
    }
    return out;
  }

  private static float strong(float share) {
    return Ease.between((share - WEAK) / (STRONG - WEAK));
  }

  /**
   * Factors that make a light's white neutral: its commonest colour by light, which in rooms is
   * that of walls and ceiling.
   */
  private static float[] white(Picture light) {
    LeanVotes grid = new LeanVotes(CELL, CELLS);
    for (int i = 0; i < light.r().length; i++) {
      float y = Space.srgbLuminance(light.r()[i], light.g()[i], light.b()[i]);
      if (y >= 2 * LEAST) {
        grid.add(
            Lean.of(light.r()[i], light.g()[i]), Lean.of(light.b()[i], light.g()[i]), 2 * y, y);
      }
    }
    double[] votes = grid.votes();
    int best = grid.best();
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
}
