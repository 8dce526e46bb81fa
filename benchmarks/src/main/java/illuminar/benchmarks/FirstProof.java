package illuminar.benchmarks;

import illuminar.benchmarks.cases.ViewJudge;
import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
import illuminar.core.colour.WorkingSpace;
import illuminar.core.first.FirstVersion;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Fault;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import illuminar.core.watch.Watch;
import illuminar.scenes.EvenLight;
import illuminar.scenes.camera.Shot;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.views.View;
import illuminar.scenes.views.Views;
import java.nio.file.Path;
import java.util.List;

/**
 * The first version that the product makes by itself, beside the reference library's exposure
 * fusion, both against the truth picture: the view as it would be under even white light, free of
 * haze and noise, with the outside readable.
 *
 * <p>The truth picture is {@link EvenLight}'s, through the sRGB transfer.
 */
final class FirstProof {
  /** Every so many pixels are compared. */
  private static final int STEP = 7;

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
    Lab[] ours = sampled(session.picture(first, whole));
    if (first.ground() instanceof Ground.RadianceMerge merge && merge.asLit() == 0) {
      table.most(
          view.title(),
          "first version from the camera's frame, lightness fitted",
          ViewJudge.matched(List.of(anchor()), List.of(ours)),
          "CIEDE2000",
          3);
    } else {
      List<Lab> should = List.of(truthPicture());
      double own = ViewJudge.matched(should, List.of(ours));
      double other = ViewJudge.matched(should, List.of(fused()));
      System.out.printf("  from the truth picture: %.2f, reference fusion %.2f%n", own, other);
      table.most(
          view.title(),
          "first version from the truth picture, lightness fitted, less the reference library's",
          own - other,
          "CIEDE2000",
          0);
    }
    int lines =
        (int) Watch.over(session, first).stream().filter(f -> f.kind() == Fault.RIDGE).count();
    table.most(view.title(), "places with lines that no frame has, first version", lines, "", 0);
    if (walls.length > 0) {
      table.most(view.title(), "white walls in the first version", chroma(ours, walls), "C*", 5);
    }
  }

  /** The camera's own middle frame. */
  private Lab[] anchor() {
    Picture p = analysis.draw(analysis.frames().anchor(), whole).copy();
    WorkingSpace.fromSrgb(p.planes());
    return sampled(p);
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
        "The whole shoot",
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
    Shot shot = DemoView.shot(view, analysis.frames().anchor());
    float[][] even = EvenLight.of(truth, shot.strengths(), view.camera().white());
    Lab[] lab = new Lab[(whole.pixels() + STEP - 1) / STEP];
    for (int k = 0; k < lab.length; k++) {
      int i = k * STEP;
      double[] w = Space.SRGB_TO_WORK.apply(even[0][i], even[1][i], even[2][i]);
      lab[k] = Lab.ofWork(w[0], w[1], w[2]);
    }
    return lab;
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
