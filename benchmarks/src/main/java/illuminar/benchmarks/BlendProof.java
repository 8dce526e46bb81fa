package illuminar.benchmarks;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Frame;
import illuminar.core.ground.Ground;
import illuminar.core.measure.Overshoot;
import illuminar.core.pass.Pass;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.views.View;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The even blend beside the reference library's exposure fusion. */
final class BlendProof {
  private final View view;
  private final Radiance truth;
  private final Table table;
  private final Analysis analysis;
  private final Optional<WindowsProof> windows;

  /**
   * @param windows where a view is seen through panes
   */
  BlendProof(
      View view, Radiance truth, Table table, Analysis analysis, Optional<WindowsProof> windows) {
    this.view = view;
    this.truth = truth;
    this.table = table;
    this.analysis = analysis;
    this.windows = windows;
  }

  /** The even blend beside the reference library's exposure fusion on the same frames in place. */
  void all() {
    int w = analysis.fullWidth();
    int h = analysis.fullHeight();
    List<Codes> aligned = new ArrayList<>();
    List<Plane> grey = new ArrayList<>();
    List<String> ids = analysis.frames().ambient().stream().map(Frame::id).toList();
    for (String id : ids) {
      Picture p = analysis.draw(id, Raster.whole(w, h, 1));
      byte[] rgb = new byte[w * h * 3];
      Plane g = Plane.of(w, h);
      for (int i = 0; i < w * h; i++) {
        float[] code = {
          Srgb.encodeFast(p.r()[i]), Srgb.encodeFast(p.g()[i]), Srgb.encodeFast(p.b()[i])
        };
        g.data()[i] = 0.299f * code[0] + 0.587f * code[1] + 0.114f * code[2];
        for (int c = 0; c < 3; c++) {
          rgb[3 * i + c] = (byte) (int) (code[c] * 255 + 0.5f);
        }
      }
      grey.add(g);
      aligned.add(Codes.of8(w, h, rgb));
    }
    Plane theirs = Reference.grey(Reference.fuse(Reference.mats(aligned)));
    Recipe ground =
        new Recipe(
            new Ground.EvenBlend(ids, 0, analysis.frames().anchor()), List.of(), List.<Pass>of());
    Picture ours =
        new PreviewSession(analysis, new RenderCache(1)).picture(ground, Raster.whole(w, h, 1));
    Plane oursGrey = Plane.of(w, h);
    for (int i = 0; i < w * h; i++) {
      double[] s = Space.WORK_TO_SRGB.apply(ours.r()[i], ours.g()[i], ours.b()[i]);
      oursGrey.data()[i] =
          0.299f * Srgb.encodeFast((float) s[0])
              + 0.587f * Srgb.encodeFast((float) s[1])
              + 0.114f * Srgb.encodeFast((float) s[2]);
    }
    double q = MefSsim.of(grey, oursGrey);
    double reference = MefSsim.of(grey, theirs);
    System.out.printf("even blend MEF-SSIM %.4f, reference library %.4f%n", q, reference);
    table.least(
        view.title(),
        "even blend, MEF-SSIM less the reference library's",
        q - reference,
        "",
        -0.005);
    windows.ifPresent(beside -> halos(beside.room(), oursGrey, theirs));
  }

  /** Rims beside the panes, in both. */
  private void halos(Plane room, Plane ours, Plane theirs) {
    Plane mask = new Plane(room.width(), room.height(), truth.truth().outside());
    double halo = Overshoot.percent(lightness(ours), room, mask, 6, 5);
    double theirHalo = Overshoot.percent(lightness(theirs), room, mask, 6, 5);
    System.out.printf("even blend halo %.2f %%, reference library %.2f %%%n", halo, theirHalo);
    table.most(
        view.title(), "even blend, halo less the reference library's", halo - theirHalo, "%", 0);
  }

  private static Plane lightness(Plane grey) {
    Plane out = Plane.of(grey.width(), grey.height());
    for (int i = 0; i < out.data().length; i++) {
      double light = Srgb.decode(grey.data()[i]);
      out.data()[i] = (float) Lab.ofSrgb(light, light, light).l();
    }
    return out;
  }
}
