package illuminar.benchmarks;

import illuminar.benchmarks.cases.ViewJudge;
import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
import illuminar.core.frame.Response;
import illuminar.core.measure.Overshoot;
import illuminar.core.pass.kinds.BringFrame;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.scenes.camera.Camera;
import illuminar.scenes.render.Radiance;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** What is seen through the windows of a demo view, beside the light that was truly there. */
final class WindowsProof {
  private final DemoView demo;
  private final Radiance truth;
  private final Table table;
  private final PreviewSession session;
  private final Analysis analysis;
  private final Recipe recipe;
  private final Picture full;

  /**
   * @param recipe with the windows' passes
   * @param full its picture at full size
   */
  WindowsProof(
      DemoView demo,
      Radiance truth,
      Table table,
      PreviewSession session,
      Recipe recipe,
      Picture full) {
    this.demo = demo;
    this.truth = truth;
    this.table = table;
    this.session = session;
    this.recipe = recipe;
    analysis = session.analysis();
    this.full = full;
  }

  private Raster whole() {
    return Raster.whole(truth.width(), truth.height(), 1);
  }

  /** Panes that were brought in from one frame by their edges; a view that has a curve, by that. */
  void all() {
    if (recipe.passes().stream().anyMatch(p -> p.move() instanceof BringFrame)) {
      panes();
      window();
      bars();
    } else {
      curve();
    }
  }

  /** The measures of {@link ViewJudge} on what is wholly outside. */
  private void curve() {
    Camera camera = demo.view().camera();
    boolean[] inside = inside(3);
    List<ViewJudge.Pair> pairs = new ArrayList<>();
    for (int i = 0; i < inside.length; i += 3) {
      if (inside[i]) {
        double[] shown = Space.WORK_TO_SRGB.apply(full.r()[i], full.g()[i], full.b()[i]);
        float[] light = new float[3];
        float[] seen = new float[3];
        for (int c = 0; c < 3; c++) {
          seen[c] = (float) clip(shown[c]);
          light[c] = (float) (truth.truth().view()[c][i] * camera.white()[c] * camera.gain());
        }
        pairs.add(new ViewJudge.Pair(seen, light));
      }
    }
    ViewJudge.Found found = ViewJudge.judge(pairs);
    table.most(
        demo.view().title(), "view, unevenness from one curve", found.uneven(), "stops", 0.08);
    table.most(demo.view().title(), "view by one curve", found.difference(), "CIEDE2000", 2.5);
  }

  private void panes() {
    float[] found = session.coverage(recipe, recipe.regions().get(0).id(), whole()).copy();
    double both = 0;
    double either = 0;
    for (int i = 0; i < found.length; i++) {
      both += Math.min(found[i], truth.truth().outside()[i]);
      either += Math.max(found[i], truth.truth().outside()[i]);
    }
    table.least(
        demo.view().title(), "panes found, intersection over union", both / either, "", 0.97);
  }

  private static Lab lab(double r, double g, double b) {
    return Lab.ofWork(clip(r), clip(g), clip(b));
  }

  private static double clip(double v) {
    return Math.max(0, Math.min(1, v));
  }

  /**
   * The true light put through the product's own response at the brightness that the pass chose.
   */
  private void window() {
    Response r = analysis.frames().response();
    Camera camera = demo.view().camera();
    int n = full.r().length;
    boolean[] inside = inside(3);
    double[] gains = new double[n];
    int count = 0;
    for (int i = 0; i < n; i++) {
      if (inside[i]) {
        double[] srgb = Space.WORK_TO_SRGB.apply(full.r()[i], full.g()[i], full.b()[i]);
        if (srgb[1] > 0.02 && srgb[1] < 0.9) {
          double light = r.toLight(1, (float) srgb[1]);
          gains[count++] = light / (truth.truth().view()[1][i] * camera.white()[1]);
        }
      }
    }
    Arrays.sort(gains, 0, count);
    double gain = gains[count / 2];
    double sum = 0;
    int used = 0;
    for (int i = 0; i < n; i++) {
      if (!inside[i]) {
        continue;
      }
      double[] d = new double[3];
      for (int c = 0; c < 3; c++) {
        d[c] = r.toDisplay(c, (float) (truth.truth().view()[c][i] * camera.white()[c] * gain));
      }
      double[] work = Space.SRGB_TO_WORK.apply(d[0], d[1], d[2]);
      sum += lab(work[0], work[1], work[2]).difference(lab(full.r()[i], full.g()[i], full.b()[i]));
      used++;
    }
    table.most(demo.view().title(), "window colour, mean", sum / used, "CIEDE2000", 3.0);
  }

  /** Pixels wholly outside the house, {@code far} pixels from any edge. */
  private boolean[] inside(int far) {
    int w = truth.width();
    boolean[] in = new boolean[w * truth.height()];
    for (int y = far; y < truth.height() - far; y++) {
      for (int x = far; x < w - far; x++) {
        boolean all = true;
        for (int v = -far; v <= far && all; v++) {
          for (int u = -far; u <= far && all; u++) {
            all = truth.truth().outside()[(y + v) * w + x + u] > 0.999f;
          }
        }
        in[y * w + x] = all;
      }
    }
    return in;
  }

  /** Rim beside the panes, and bars against the frame that they belong to. */
  private void bars() {
    Plane tone = Plane.of(full.width(), full.height());
    for (int i = 0; i < tone.data().length; i++) {
      tone.data()[i] = (float) lab(full.r()[i], full.g()[i], full.b()[i]).l();
    }
    Plane mask = new Plane(full.width(), full.height(), truth.truth().outside());
    table.most(
        demo.view().title(),
        "overshoot in the 6 px outside window edges",
        Overshoot.percent(tone, room(), mask, 6, 5),
        "%",
        2.0);
    table.most(
        demo.view().title(),
        "glazing bars lighter than the frame beside them",
        barsOver(tone, room(), mask),
        "%",
        2.0);
  }

  private static final int BAR = 14;

  /**
   * How much lighter bars between two panes stand against the frame at the panes' outer sides than
   * the room without the view has them, as a share of the step from bar to view.
   */
  private static double barsOver(Plane tone, Plane room, Plane mask) {
    double[] bar = new double[2];
    double[] frame = new double[2];
    double[] view = new double[2];
    double barTone = 0;
    for (int y = BAR; y < tone.height() - BAR; y++) {
      for (int x = BAR; x < tone.width() - BAR; x++) {
        int i = y * tone.width() + x;
        if (mask.data()[i] > 0.98f) {
          view[0] += tone.data()[i];
          view[1]++;
        } else if (mask.data()[i] < 0.02f) {
          boolean left = pane(mask, x, y, -1, 0);
          boolean right = pane(mask, x, y, 1, 0);
          boolean up = pane(mask, x, y, 0, -1);
          boolean down = pane(mask, x, y, 0, 1);
          double over = tone.data()[i] - room.data()[i];
          if (left && right || up && down) {
            bar[0] += over;
            bar[1]++;
            barTone += tone.data()[i];
          } else if (left || right || up || down) {
            frame[0] += over;
            frame[1]++;
          }
        }
      }
    }
    double step = Math.max(Overshoot.LEAST_STEP, Math.abs(view[0] / view[1] - barTone / bar[1]));
    return 100 * (bar[0] / bar[1] - frame[0] / frame[1]) / step;
  }

  private static boolean pane(Plane mask, int x, int y, int dx, int dy) {
    for (int k = 1; k <= BAR; k++) {
      if (mask.at(x + k * dx, y + k * dy) > 0.9f) {
        return true;
      }
    }
    return false;
  }

  /** Lightness of the room alone, without the view, as the anchor frame's exposure renders it. */
  Plane room() {
    Response r = analysis.frames().response();
    Camera camera = demo.view().camera();
    double gain = camera.gain() * Math.pow(2, analysis.frames().anchorFrame().stops());
    float[][] sum = truth.sum(demo.view().shots().get(demo.anchor()).strengths());
    Plane out = Plane.of(truth.width(), truth.height());
    for (int i = 0; i < out.data().length; i++) {
      double share = Math.max(0.1, 1 - truth.truth().outside()[i]);
      double[] d = new double[3];
      for (int c = 0; c < 3; c++) {
        double light =
            Math.max(0, sum[c][i] - truth.truth().view()[c][i]) / share * camera.white()[c] * gain;
        d[c] = r.toDisplay(c, (float) light);
      }
      double[] work = Space.SRGB_TO_WORK.apply(d[0], d[1], d[2]);
      out.data()[i] = (float) lab(work[0], work[1], work[2]).l();
    }
    return out;
  }
}
