package illuminar.benchmarks;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Response;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.RestoreLight;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Look;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.Shape;
import illuminar.core.region.part.BurntLight;
import illuminar.core.region.part.ToneBand;
import illuminar.core.region.part.WindowFinder;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import illuminar.scenes.camera.Camera;
import illuminar.scenes.camera.Shot;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.views.View;
import java.util.Arrays;
import java.util.List;

/** Burnt light and tone masks beside the rendered truth. */
final class RegionsProof {
  private final View view;
  private final Radiance truth;
  private final Table table;
  private final Analysis analysis;
  private final Raster whole;
  private final String anchor;
  private final BesideAnchor beside;

  RegionsProof(DemoView demo, Radiance truth, Table table, Analysis analysis) {
    this.truth = truth;
    this.table = table;
    this.analysis = analysis;
    view = demo.view();
    whole = Raster.whole(truth.width(), truth.height(), 1);
    anchor = analysis.frames().anchor();
    beside = BesideAnchor.of(view, anchor, truth.width());
  }

  private static Region region(String id, Part... parts) {
    return new Region(id, id, List.of(parts), 0, false);
  }

  private static Part part(String id, Part.Combine combine, Shape shape) {
    return new Part(id, combine, shape);
  }

  private PreviewSession session() {
    return new PreviewSession(analysis, new RenderCache(200_000_000));
  }

  /**
   * Burnt lamps restored from the darkest frame, beside the true light drawn down by the same curve
   * and rendered by the same response.
   */
  void lamps() {
    Frame dark = analysis.frames().ambient().get(0);
    RestoreLight move = new RestoreLight(dark.id(), -1.2, -0.1);
    Region burnt =
        region(
            "burnt",
            part("b", Part.Combine.ADD, new BurntLight(anchor, 0.3, 12)),
            part("w", Part.Combine.TAKE_AWAY, new WindowFinder(6)));
    Pass pass = new Pass("p", true, move, new Where("burnt", false), Gate.ALL, 1, "");
    Recipe recipe = new Recipe(new Ground.OneFrame(anchor), List.of(burnt), List.of(pass));
    Picture done = session().picture(recipe, whole);
    float[] share = session().coverage(recipe, "burnt", whole).copy();
    Camera camera = view.camera();
    double gain = camera.gain() * Math.pow(2, analysis.frames().anchorFrame().stops());
    float[][] light = truth.sum(DemoView.shot(view, anchor).strengths());
    Response response = analysis.frames().response();
    float[] tones = new float[share.length];
    int n = 0;
    for (int i = 0; i < share.length; i++) {
      double y = luminance(light, i, camera, gain);
      if (share[i] > 0.5f && y > 1) {
        tones[n++] = (float) y;
      }
    }
    Arrays.sort(tones, 0, n);
    double most = n == 0 ? 0 : Math.log(tones[n - 1 - n / 200]) / Math.log(2);
    double slope = most > -0.1 ? 1.1 / (most + 1.2) : 1;
    RestoreLight.Down down = new RestoreLight.Down(1, -1.2f, (float) slope, 1.6f);
    double sum = 0;
    int used = 0;
    float[] rgb = new float[3];
    for (int y = 8; y < whole.height() - 8; y++) {
      for (int x = 8; x < whole.width() - 8; x++) {
        int i = y * whole.width() + x;
        if (share[i] < 0.999f || luminance(light, i, camera, gain) < 1) {
          continue;
        }
        for (int c = 0; c < 3; c++) {
          rgb[c] = (float) (beside.at(light[c], x, y) * camera.white()[c] * gain);
        }
        down.apply(rgb);
        for (int c = 0; c < 3; c++) {
          rgb[c] = response.toDisplay(c, Math.min(1, rgb[c]));
        }
        double[] work = Space.SRGB_TO_WORK.apply(rgb[0], rgb[1], rgb[2]);
        Lab should = Lab.ofWork(work[0], work[1], work[2]);
        sum += should.difference(Lab.ofWork(done.r()[i], done.g()[i], done.b()[i]));
        used++;
      }
    }
    if (used > 200) {
      System.out.printf("  %d pixels burnt in the room's frame%n", used);
      table.most(view.title(), "burnt lamps restored", sum / used, "CIEDE2000", 4.0);
    }
  }

  private static double luminance(float[][] light, int i, Camera camera, double gain) {
    return gain
        * (0.2126 * light[0][i] * camera.white()[0]
            + 0.7152 * light[1][i] * camera.white()[1]
            + 0.0722 * light[2][i] * camera.white()[2]);
  }

  /**
   * A tone mask beside that of the same view photographed once more, where that has a sharp edge:
   * as it is, and softened on purpose and made edge-true.
   */
  void toneMasks() {
    float[] sharp = tones(again(), 0, 0);
    boolean[] near = nearEdges(sharp, 6);
    table.most(
        view.title(),
        "tone mask, mean error by edges",
        apart(tones(analysis, 0, 0), sharp, near),
        "",
        0.02);
    System.out.printf(
        "  softened by 2 px and left so: %.3f%n", apart(tones(analysis, 2, 0), sharp, near));
    table.most(
        view.title(),
        "tone mask softened and made edge-true, mean error by edges",
        apart(tones(analysis, 2, 4), sharp, near),
        "",
        0.02);
  }

  private static double apart(float[] a, float[] b, boolean[] where) {
    double sum = 0;
    int n = 0;
    for (int i = 0; i < where.length; i++) {
      if (where[i]) {
        sum += Math.abs(a[i] - b[i]);
        n++;
      }
    }
    return sum / n;
  }

  /** What of the anchor frame is lighter than its mid tones. */
  private float[] tones(Analysis of, double feather, double edge) {
    ToneBand tones =
        new ToneBand(
            new Look(Look.From.FRAME, anchor),
            ToneBand.Tones.CURVE,
            1,
            0,
            List.of(new Point(0, 0), new Point(0.4, 0), new Point(0.5, 1), new Point(1, 1)),
            0,
            1);
    Part band = new Part("t", Part.Combine.ADD, tones, feather, 1, false, false);
    Region region = new Region("r", "r", List.of(band), 0, edge, 0, 1, false);
    Recipe recipe = new Recipe(new Ground.OneFrame(anchor), List.of(region), List.of());
    return new PreviewSession(of, new RenderCache(200_000_000)).coverage(recipe, "r", whole).copy();
  }

  /** The anchor frame photographed once more, with other noise. */
  private Analysis again() {
    Frame f = analysis.frames().anchorFrame();
    Shot s = DemoView.shot(view, anchor);
    float[] sensor = view.camera().expose(truth, s.strengths(), s.exposure(), s.drift(), 90);
    Codes codes = Codes.of8(truth.width(), truth.height(), Camera.codes8(sensor));
    Frame frame = new Frame(f.id(), f.role(), f.stops(), f.toFrame(), Pyramid.of(codes));
    return new Analysis(new Frames(List.of(frame), anchor, analysis.frames().response()));
  }

  /** Pixels within a distance of where a mask changes sharply. */
  private boolean[] nearEdges(float[] mask, int far) {
    int w = whole.width();
    boolean[] near = new boolean[mask.length];
    for (int y = far; y < whole.height() - far; y++) {
      for (int x = far; x < w - far; x++) {
        int i = y * w + x;
        if (Math.abs(mask[i + 1] - mask[i - 1]) > 0.6f
            || Math.abs(mask[i + w] - mask[i - w]) > 0.6f) {
          for (int v = -far; v <= far; v++) {
            for (int u = -far; u <= far; u++) {
              near[i + v * w + u] |= u * u + v * v <= far * far;
            }
          }
        }
      }
    }
    return near;
  }
}
