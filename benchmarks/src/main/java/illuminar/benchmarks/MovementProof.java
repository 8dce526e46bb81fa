package illuminar.benchmarks;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Pyramid;
import illuminar.core.ground.Ground;
import illuminar.core.picture.FloodFill;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import illuminar.scenes.camera.Camera;
import illuminar.scenes.camera.Shot;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.views.View;
import java.util.ArrayList;
import java.util.List;

/** Things that moved between the frames, beside the renderings before and after they did. */
final class MovementProof {
  private final View view;
  private final Radiance truth;
  private final Table table;
  private final Analysis analysis;
  private final Raster whole;
  private final String anchor;

  MovementProof(View view, Radiance truth, Table table, Analysis analysis) {
    this.view = view;
    this.truth = truth;
    this.table = table;
    this.analysis = analysis;
    whole = Raster.whole(truth.width(), truth.height(), 1);
    anchor = analysis.frames().anchor();
  }

  /**
   * Each moving thing must look as in one of the two renderings, before or after it moved: the
   * share of the other one in what is seen, by regression over the thing's pixels.
   *
   * @param moved the rendering after something moved
   */
  void movement(Radiance moved) {
    List<String> ids = analysis.frames().ambient().stream().map(Frame::id).toList();
    Ground ground = new Ground.EvenBlend(ids, 1, 1, 1, true, List.of(), 0, anchor);
    Recipe recipe = new Recipe(ground, List.of(), List.of());
    Picture done =
        new PreviewSession(analysis, new RenderCache(200_000_000)).picture(recipe, whole);
    float[] is = lightness(done);
    float[] before = lightness(photographed(truth, recipe));
    float[] after = lightness(photographed(moved, recipe));
    int w = whole.width();
    boolean[] apart = new boolean[is.length];
    for (int i = 0; i < is.length; i++) {
      apart[i] = Math.abs(before[i] - after[i]) > 8;
    }
    boolean[] seen = new boolean[is.length];
    double ghost = 0;
    double all = 0;
    for (int i = 0; i < is.length; i++) {
      if (apart[i] && !seen[i]) {
        int[] thing = FloodFill.of(i, w, whole.height(), true, seen, (from, to) -> apart[to]);
        if (thing.length < 60) {
          continue;
        }
        double[] mean = new double[3];
        for (int k : thing) {
          mean[0] += is[k] / thing.length;
          mean[1] += before[k] / thing.length;
          mean[2] += after[k] / thing.length;
        }
        double along = 0;
        double squares = 1e-9;
        for (int k : thing) {
          double way = after[k] - mean[2] - before[k] + mean[1];
          along += (is[k] - mean[0] - before[k] + mean[1]) * way;
          squares += way * way;
        }
        double share = along / squares;
        ghost += Math.min(Math.abs(share), Math.abs(1 - share)) * squares;
        all += squares;
      }
    }
    table.most(view.title(), "moving things doubled", 100 * ghost / all, "%", 15);
  }

  /** What the product makes of the bracket where nothing moved between its frames. */
  private Picture photographed(Radiance still, Recipe recipe) {
    List<Frame> frames = new ArrayList<>();
    for (int k = 0; k < analysis.frames().all().size(); k++) {
      Frame f = analysis.frames().all().get(k);
      Shot s = DemoView.shot(view, f.id());
      float[] sensor = view.camera().expose(still, s.strengths(), s.exposure(), s.drift(), 60 + k);
      Codes codes = Codes.of8(still.width(), still.height(), Camera.codes8(sensor));
      frames.add(new Frame(f.id(), f.role(), f.stops(), f.toFrame(), Pyramid.of(codes)));
    }
    Analysis same = new Analysis(new Frames(frames, anchor, analysis.frames().response()));
    return new PreviewSession(same, new RenderCache(50_000_000)).picture(recipe, whole);
  }

  private static float[] lightness(Picture p) {
    float[] out = new float[p.r().length];
    for (int i = 0; i < out.length; i++) {
      out[i] = (float) Lab.ofWork(p.r()[i], p.g()[i], p.b()[i]).l();
    }
    return out;
  }
}
