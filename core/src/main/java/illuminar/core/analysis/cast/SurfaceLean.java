package illuminar.core.analysis.cast;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.MergedLight;
import illuminar.core.colour.Burnt;
import illuminar.core.filter.Ease;
import illuminar.core.filter.Gauss;
import illuminar.core.filter.Guided;
import illuminar.core.picture.FloodFill;
import illuminar.core.picture.LabPlanes;
import illuminar.core.picture.MapRows;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;

/** How the light leans on each place, by the nearly neutral surfaces about it. */
final class SurfaceLean {
  /** Long edge of the grid on which surfaces are looked at: light changes slowly. */
  private static final int COARSE = 320;

  /** Share of the brightness about it from which on a surface may be a white one, and is one. */
  private static final float DULL = 0.64f;

  private static final float WHITE = 0.9f;

  /** Share of the long edge within which the lightest surfaces tell what is white there. */
  private static final double ABOUT = 0.07;

  private static final int POWER = 8;

  /** How much a place counts that looks like no paint at all. */
  private static final float UNLIKELY = 0.02f;

  /** Share of the picture from which on a surface tells of the light. */
  private static final double PATCH = 0.003;

  /** How alike a place must be for light to go over from it. */
  private static final float SURE = 0.7f;

  /** How far, in shares of the long edge, what is known reaches: near first, then ever wider. */
  private static final double[] REACHES = {0.012, 0.04, 0.12, 0.4};

  /** Mean weight from which on a reach is believed rather than the next wider one. */
  private static final float BELIEVED = 0.12f;

  /** Lightness below which colours are not believed, L*. */
  private static final float DARK = 25;

  private SurfaceLean() {}

  /**
   * Red and blue lean of a frame's light on each place by the nearly neutral surfaces about it. The
   * picture's own colour is no guide here: what leans would be taken for light everywhere.
   *
   * @return lean everywhere, and how surely each pixel belongs to a white surface
   */
  static Surfaces of(Analysis analysis, String frame) {
    Raster coarse = Raster.fitted(analysis.fullWidth(), analysis.fullHeight(), COARSE);
    Picture p = analysis.draw(frame, coarse);
    OwnLean own = OwnLean.of(analysis, frame, coarse);
    float[] view = Casts.windows(analysis, coarse);
    LabPlanes lab = Lean.lab(p);
    float[] paint = Grain.paint(p);
    Plane light = bright(lab, paint, view);
    CommonWhite white = CommonWhite.of(p, lab, view, paint);
    Plane known = Plane.of(p.width(), p.height());
    float[] lightest = new float[known.data().length];
    for (int i = 0; i < lightest.length; i++) {
      if (view[i] > 0.02f || own.burnt(i) || lab.l()[i] < DARK) {
        continue;
      }
      // what is burnt is light enough
      lightest[i] =
          p.mostAt(i) > Burnt.NO_COLOUR
              ? 1
              : paint[i] * Ease.between((lab.l()[i] / light.data()[i] - DULL) / (WHITE - DULL));
    }
    float[] alike = alike(white, own.red(), own.blue(), lightest);
    for (int i = 0; i < lightest.length; i++) {
      known.data()[i] = lightest[i] * alike[i];
    }
    // what is too small cannot be told from a smooth place of something else
    Parts.takeOut(known, (from, to) -> true, patch -> patch.length < PATCH * known.data().length);
    double wide = Math.max(p.width(), p.height());
    Plane[] about = spread(own, known, wide);
    Plane red = enlarged(about[0], analysis);
    Plane blue = enlarged(about[1], analysis);
    Raster grid = analysis.raster();
    Surfaces fine =
        Surfaces.of(
            OwnLean.of(analysis, frame, grid),
            LightSteps.of(analysis, frame),
            enlarged(known, analysis),
            Casts.windows(analysis, grid),
            Grain.about(analysis, frame),
            MergedLight.luminance(analysis));
    for (int i = 0; i < red.data().length; i++) {
      float share = fine.share().data()[i];
      fine.red().data()[i] = red.data()[i] + share * (fine.red().data()[i] - red.data()[i]);
      fine.blue().data()[i] = blue.data()[i] + share * (fine.blue().data()[i] - blue.data()[i]);
    }
    return fine;
  }

  /**
   * How much each place looks like a white surface, 0 to 1: by its lean, and wherever light goes
   * over into that of such a place, as it does about a lamp.
   */
  private static float[] alike(CommonWhite white, Plane red, Plane blue, float[] lightest) {
    float[] r = red.data();
    float[] b = blue.data();
    float[] out = new float[lightest.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = lightest[i] > 0 ? white.alike(r[i], b[i]) : 0;
    }
    boolean[] reached =
        FloodFill.reached(
            red.width(),
            red.height(),
            false,
            i -> out[i] > SURE,
            (from, to) -> lightest[to] > 0 && CommonWhite.goesOver(r[from], b[from], r[to], b[to]));
    for (int i = 0; i < out.length; i++) {
      out[i] = reached[i] ? 1 : out[i];
    }
    return out;
  }

  private static Plane enlarged(Plane in, Analysis analysis) {
    return MapRows.enlarged(in, analysis.fullWidth(), analysis.fullHeight(), analysis.raster());
  }

  /**
   * How light the lightest painted surfaces about each pixel are, L*: walls and ceilings are
   * lighter than floors and furniture in the same light (the white patch of Land's retinex, taken
   * locally as a Minkowski mean, Finlayson and Trezzi 2004).
   */
  private static Plane bright(LabPlanes lab, float[] paint, float[] view) {
    Plane raised = Plane.of(lab.width(), lab.height());
    Plane weight = Plane.of(lab.width(), lab.height());
    for (int i = 0; i < raised.data().length; i++) {
      float x = Math.max(0, lab.l()[i]) / 100;
      float x2 = x * x;
      float x4 = x2 * x2;
      weight.data()[i] = view[i] > 0.02f ? 0 : UNLIKELY + paint[i];
      raised.data()[i] = weight.data()[i] * x4 * x4;
    }
    double wide = ABOUT * Math.max(lab.width(), lab.height());
    Plane mean = Gauss.smooth(raised, wide);
    Plane all = Gauss.smooth(weight, wide);
    for (int i = 0; i < mean.data().length; i++) {
      double of = mean.data()[i] / Math.max(1e-6, all.data()[i]);
      mean.data()[i] = (float) (100 * Math.pow(Math.max(1e-9, of), 1.0 / POWER));
    }
    return mean;
  }

  /** Normalised convolution (Knutsson and Westin 1993), wider where little is known. */
  private static Plane[] spread(OwnLean own, Plane known, double longEdge) {
    Plane[] weighted = {Guided.product(own.red(), known), Guided.product(own.blue(), known)};
    Plane[] out = {
      Plane.of(known.width(), known.height()), Plane.of(known.width(), known.height())
    };
    for (int k = REACHES.length - 1; k >= 0; k--) {
      float[] all = Gauss.smooth(known, REACHES[k] * longEdge).data();
      for (int c = 0; c < out.length; c++) {
        float[] sum = Gauss.smooth(weighted[c], REACHES[k] * longEdge).data();
        float[] mean = out[c].data();
        for (int i = 0; i < mean.length; i++) {
          float here = sum[i] / Math.max(1e-6f, all[i]);
          mean[i] += (here - mean[i]) * Math.min(1, all[i] / BELIEVED);
        }
      }
    }
    return out;
  }
}
