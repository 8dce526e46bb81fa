package illuminar.benchmarks;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
import illuminar.core.first.FirstVersion;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import illuminar.scenes.camera.Shot;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.views.View;
import illuminar.scenes.views.Views;
import java.nio.file.Path;
import java.util.Arrays;

/**
 * The first version that the product makes by itself, beside the reference library's exposure
 * fusion, both against the truth picture: the view as it would be under even white light, free of
 * haze and noise, with the outside readable.
 *
 * <p>Truth picture: each surface's reflectance under white light whose differences from place to
 * place are drawn together to the power of {@value #EVEN}, as the trade does with flash and
 * blending; its median lightness outside the windows at L* {@value #MIDDLE}. The outside, without
 * haze, stands so that its median is 0.9 stops over the room's. What has no reflectance (lamps, sky
 * of an outdoor view) keeps its own colour in the camera's white and is drawn together likewise.
 * All through the sRGB transfer.
 */
final class FirstProof {
  private static final double EVEN = 0.4;
  private static final double MIDDLE = 62;
  private static final double OVER = 0.9;

  /** Every so many pixels are compared. */
  private static final int STEP = 7;

  private static final double[] LUMINANCE = {0.2126, 0.7152, 0.0722};

  private final View view;
  private final Radiance truth;
  private final Table table;
  private final Analysis analysis;
  private final Raster whole;

  FirstProof(View view, Radiance truth, Table table, Analysis analysis) {
    this.view = view;
    this.truth = truth;
    this.table = table;
    this.analysis = analysis;
    whole = Raster.whole(truth.width(), truth.height(), 1);
  }

  /**
   * @param walls names of white surfaces whose casts the first version is judged by; may be none
   */
  void all(String... walls) {
    long start = System.nanoTime();
    PreviewSession session = new PreviewSession(analysis, new RenderCache(300_000_000));
    Recipe first = FirstVersion.of(session);
    System.out.printf("  first version in %.1f s%n", (System.nanoTime() - start) / 1e9);
    first.passes().forEach(p -> System.out.println("    " + p.move() + " " + p.why()));
    Lab[] should = truthPicture();
    Lab[] ours = sampled(session.picture(first, whole));
    Lab[] theirs = fused();
    double own = difference(should, ours);
    double other = difference(should, theirs);
    System.out.printf(
        "  from the truth picture: first version %.2f, reference fusion %.2f; lightness fitted for"
            + " each: %.2f, %.2f%n",
        own,
        other,
        difference(should, fitted(should, ours)),
        difference(should, fitted(should, theirs)));
    table.most(
        view.title(),
        "first version from the truth picture, less the reference library's",
        own - other,
        "CIEDE2000",
        0);
    if (walls.length > 0) {
      table.most(view.title(), "white walls in the first version", chroma(ours, walls), "C*", 5);
    }
  }

  /** From the card's files to first versions of all views, one after another as the server does. */
  static void shoot(Table table) throws Exception {
    long start = System.nanoTime();
    for (View view : Views.all()) {
      DemoView demo = DemoView.read(view, Path.of("demo/card"), 0);
      Analysis analysis = demo.analysis();
      FirstVersion.of(new PreviewSession(analysis, new RenderCache(100_000_000)));
    }
    table.most(
        "All six views",
        "first versions of the whole shoot, from card",
        (System.nanoTime() - start) / 1e9,
        "s",
        60);
  }

  private Lab[] sampled(Picture p) {
    Lab[] out = new Lab[(p.r().length + STEP - 1) / STEP];
    for (int k = 0; k < out.length; k++) {
      int i = k * STEP;
      out[k] = Lab.ofWork(clip(p.r()[i]), clip(p.g()[i]), clip(p.b()[i]));
    }
    return out;
  }

  private static double clip(double v) {
    return Math.max(0, Math.min(1, v));
  }

  /** The reference library's fusion of the ambient frames, lined up; of one frame, the frame. */
  private Lab[] fused() {
    float[] codes = Reference.fused(analysis);
    Lab[] out = new Lab[(whole.pixels() + STEP - 1) / STEP];
    for (int k = 0; k < out.length; k++) {
      int i = 3 * k * STEP;
      out[k] = Lab.ofSrgb(codes[i], codes[i + 1], codes[i + 2]);
    }
    return out;
  }

  private Lab[] truthPicture() {
    String anchor = analysis.frames().anchor();
    Shot shot = DemoView.shot(view, anchor);
    float[][] light = truth.sum(shot.strengths());
    double[] white = view.camera().white();
    float[][] albedo = truth.truth().albedo();
    int n = (whole.pixels() + STEP - 1) / STEP;
    double[][] colour = new double[n][3];
    double[] lit = new double[n];
    boolean[] out = new boolean[n];
    for (int k = 0; k < n; k++) {
      int i = k * STEP;
      out[k] = truth.truth().outside()[i] > 0.5f;
      double y = 0;
      double a = 0;
      for (int c = 0; c < 3; c++) {
        double seen = (out[k] ? truth.truth().clear()[c][i] : light[c][i]) * white[c];
        colour[k][c] = seen;
        y += LUMINANCE[c] * seen;
        a += LUMINANCE[c] * albedo[c][i];
      }
      boolean surface = !out[k] && a > 0.01;
      lit[k] = Math.max(1e-9, surface ? y / a : y);
      for (int c = 0; c < 3; c++) {
        colour[k][c] = surface ? albedo[c][i] : colour[k][c] / Math.max(1e-9, y);
      }
    }
    double middle = median(lit, out, false);
    double far = median(lit, out, true);
    double[] shown = new double[n];
    for (int k = 0; k < n; k++) {
      double even = out[k] ? lit[k] / far : Math.pow(lit[k] / middle, EVEN);
      double y = 0;
      for (int c = 0; c < 3; c++) {
        colour[k][c] *= even;
        y += LUMINANCE[c] * colour[k][c];
      }
      shown[k] = y;
    }
    double wanted = Math.pow((MIDDLE + 16) / 116, 3);
    double room = wanted / median(shown, out, false);
    double outside = wanted * Math.pow(2, OVER) / Math.max(1e-9, median(shown, out, true));
    Lab[] lab = new Lab[n];
    for (int k = 0; k < n; k++) {
      double gain = out[k] ? outside : room;
      double[] w =
          Space.SRGB_TO_WORK.apply(
              clip(colour[k][0] * gain), clip(colour[k][1] * gain), clip(colour[k][2] * gain));
      lab[k] = Lab.ofWork(w[0], w[1], w[2]);
    }
    return lab;
  }

  private static double median(double[] values, boolean[] out, boolean which) {
    double[] some = new double[values.length];
    int n = 0;
    for (int k = 0; k < values.length; k++) {
      if (out[k] == which) {
        some[n++] = values[k];
      }
    }
    Arrays.sort(some, 0, n);
    return n == 0 ? 1 : some[n / 2];
  }

  private static double difference(Lab[] should, Lab[] is) {
    double sum = 0;
    for (int k = 0; k < should.length; k++) {
      sum += should[k].difference(is[k]);
    }
    return sum / should.length;
  }

  /** The same picture with its mean lightness brought to the truth's. */
  private static Lab[] fitted(Lab[] should, Lab[] is) {
    double by =
        Arrays.stream(should).mapToDouble(Lab::l).average().orElse(0)
            - Arrays.stream(is).mapToDouble(Lab::l).average().orElse(0);
    return Arrays.stream(is)
        .map(l -> new Lab(Math.max(0, Math.min(100, l.l() + by)), l.a(), l.b()))
        .toArray(Lab[]::new);
  }

  private double chroma(Lab[] shown, String... walls) {
    double sum = 0;
    int n = 0;
    for (String wall : walls) {
      float[] share = truth.truth().part(wall);
      for (int k = 0; k < shown.length; k++) {
        if (share[k * STEP] > 0.99f && shown[k].l() > 20 && shown[k].l() < 96) {
          sum += shown[k].chroma();
          n++;
        }
      }
    }
    return sum / Math.max(1, n);
  }
}
