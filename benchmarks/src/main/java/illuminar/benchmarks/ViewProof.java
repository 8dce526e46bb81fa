package illuminar.benchmarks;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.first.FirstVersion;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Response;
import illuminar.core.frame.Similarity;
import illuminar.core.ground.Ground;
import illuminar.core.lineup.LineUp;
import illuminar.core.lineup.LinedUp;
import illuminar.core.measure.Overshoot;
import illuminar.core.pass.Pass;
import illuminar.core.picture.AreaResize;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import illuminar.scenes.camera.Camera;
import illuminar.scenes.camera.Shot;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.views.View;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/**
 * What the product makes of one view of the demo, against the truth that it was photographed from.
 */
final class ViewProof {
  private final View view;
  private final Radiance truth;
  private final Optional<Radiance> moved;
  private final DemoView demo;
  private final Table table;
  private final List<LineUp.Placed> placed;
  private final Analysis analysis;
  private final PreviewSession session;
  private final Recipe recipe;
  private final Picture full;

  ViewProof(DemoView demo, Radiance truth, Optional<Radiance> moved, Table table) {
    this.moved = moved;
    this.demo = demo;
    this.truth = truth;
    this.table = table;
    view = demo.view();
    LinedUp linedUp = demo.linedUp();
    placed = linedUp.placed();
    analysis = new Analysis(linedUp.frames());
    session = new PreviewSession(analysis, new RenderCache(300_000_000));
    recipe =
        FirstVersion.propose("Windows", FirstVersion.evenBlend(analysis.frames()), session)
            .recipe();
    full = session.picture(recipe, Raster.whole(analysis.fullWidth(), analysis.fullHeight(), 1));
  }

  /** Whether windows look out of a room here; lit windows of a front have no view behind them. */
  private boolean hasPanes() {
    return !recipe.regions().isEmpty() && truth.names().contains("daylight");
  }

  /** Everything that can be measured of this view. */
  void all() {
    if (view.shots().size() > 1) {
      lineUp(placed);
      response();
      blend();
    }
    if (view.name().equals("instrument-room")) {
      displaced();
    }
    if (hasPanes()) {
      panes();
      window();
      bars();
    }
    if (view.name().equals("long-table-room")) {
      new LightsProof(view, truth, table, analysis).all();
    }
    new FlashProof(view, truth, table, analysis).all();
    regions();
    colour();
    first();
    preview();
  }

  private void colour() {
    ColourProof colour = new ColourProof(view, truth, table, analysis);
    switch (view.name()) {
      case "long-table-room" ->
          colour.casts("wall-end", "wall-left", "wall-right", "wall-passage", "ceiling");
      case "instrument-room" -> colour.casts("wall-left", "wall-right", "wall-window", "ceiling");
      case "dormer-room" -> colour.haze();
      case "front-at-dusk" -> {
        colour.matching();
        colour.evening();
      }
      default -> {}
    }
  }

  private void first() {
    FirstProof first = new FirstProof(view, truth, table, analysis);
    if (view.name().equals("long-table-room")) {
      first.all("wall-end", "wall-left", "wall-right", "wall-passage", "ceiling");
    } else {
      first.all();
    }
  }

  private void regions() {
    RegionsProof regions = new RegionsProof(demo, truth, table, analysis);
    if (view.shots().size() > 1 && !hasPanes() || view.name().equals("long-table-room")) {
      regions.lamps();
    }
    switch (view.name()) {
      case "instrument-room" -> {
        regions.toneMasks();
        regions.overspray("wall-window");
      }
      case "front-at-dusk" -> regions.overspray("wall");
      default -> moved.ifPresent(regions::movement);
    }
  }

  private static double[] cornerErrors(Similarity found, Similarity truth, int w, int h) {
    double[] e = new double[9];
    for (int k = 0; k < 9; k++) {
      e[k] = found.apart(truth, (k % 3 - 1) * w / 2.0, (k / 3 - 1) * h / 2.0);
    }
    return e;
  }

  private void lineUp(List<LineUp.Placed> placed) {
    List<Double> all = new ArrayList<>();
    for (int i = 0; i < placed.size(); i++) {
      if (i != demo.anchor()) {
        for (double e : cornerErrors(placed.get(i).toFrame(), demo.drift(i), 2400, 1600)) {
          all.add(e);
        }
      }
    }
    put(all, "line-up error, tripod drift");
  }

  private void put(List<Double> errors, String what) {
    table.most(
        view.title(),
        what + ", mean",
        errors.stream().mapToDouble(d -> d).average().orElse(0),
        "px",
        0.25);
    table.most(
        view.title(),
        what + ", worst",
        errors.stream().mapToDouble(d -> d).max().orElse(0),
        "px",
        0.5);
  }

  /** Frames displaced by up to 12 px and 0.5°, photographed anew from the truth. */
  private void displaced() {
    Similarity[] moves = {
      Similarity.of(0.5, 1, 7.3, -4.1),
      Similarity.of(-0.3, 1, -11.2, 3.7),
      Similarity.NONE,
      Similarity.of(0.22, 1, 4.4, 9.8),
      Similarity.of(-0.5, 1, -3.2, -8.7)
    };
    List<Shot> shots = view.shots();
    Camera camera = view.camera();
    List<Pyramid> frames = new ArrayList<>();
    for (int i = 0; i < moves.length; i++) {
      float[] sensor =
          camera.expose(
              truth, shots.get(i).strengths(), shots.get(i).exposure(), moves[i], 100 + i);
      frames.add(Pyramid.of(Codes.of8(truth.width(), truth.height(), Camera.codes8(sensor))));
    }
    List<LineUp.Placed> placed = LineUp.find(frames, 2, n -> {});
    List<Double> all = new ArrayList<>();
    for (int i = 0; i < moves.length; i++) {
      if (i != 2) {
        for (double e :
            cornerErrors(placed.get(i).toFrame(), moves[i], truth.width(), truth.height())) {
          all.add(e);
        }
      }
    }
    put(all, "line-up error, to 12 px and 0.5°");
  }

  private void response() {
    Response r = analysis.frames().response();
    double worst = 0;
    for (int code = 16; code <= 250; code += 6) {
      for (int c = 0; c < 3; c++) {
        double t = Camera.lightOf(code / 255.0);
        worst = Math.max(worst, Math.abs(r.lightOfCode(c, code / 255.0) / t - 1));
      }
    }
    table.most(view.title(), "response error, codes 16 to 250, worst", 100 * worst, "%", 10);
  }

  private void panes() {
    float[] found =
        session
            .coverage(
                recipe,
                recipe.regions().get(0).id(),
                Raster.whole(truth.width(), truth.height(), 1))
            .copy();
    double both = 0;
    double either = 0;
    for (int i = 0; i < found.length; i++) {
      both += Math.min(found[i], truth.truth().outside()[i]);
      either += Math.max(found[i], truth.truth().outside()[i]);
    }
    table.least(view.title(), "panes found, intersection over union", both / either, "", 0.97);
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
    Camera camera = view.camera();
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
    table.most(view.title(), "window colour, mean", sum / used, "CIEDE2000", 3.0);
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
        view.title(),
        "overshoot in the 6 px outside window edges",
        Overshoot.percent(tone, room(), mask, 6, 5),
        "%",
        2.0);
    table.most(
        view.title(),
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
  private Plane room() {
    Response r = analysis.frames().response();
    Camera camera = view.camera();
    double gain = camera.gain() * Math.pow(2, analysis.frames().anchorFrame().stops());
    float[][] sum = truth.sum(view.shots().get(demo.anchor()).strengths());
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

  private void preview() {
    int w = full.width();
    int h = full.height();
    Raster raster = Raster.fitted(w, h, 808);
    Picture shown = session.picture(recipe, raster);
    Plane[] small = new Plane[3];
    for (int c = 0; c < 3; c++) {
      float[] v = full.channel(c).clone();
      for (int i = 0; i < v.length; i++) {
        v[i] = (float) clip(v[i]);
      }
      small[c] = AreaResize.at(new Plane(w, h, v), w, h, raster);
    }
    double[] d = new double[raster.pixels()];
    for (int i = 0; i < d.length; i++) {
      d[i] =
          lab(small[0].data()[i], small[1].data()[i], small[2].data()[i])
              .difference(lab(shown.r()[i], shown.g()[i], shown.b()[i]));
    }
    Arrays.sort(d);
    table.most(
        view.title(),
        "preview against delivery, mean",
        Arrays.stream(d).average().orElse(0),
        "CIEDE2000",
        0.5);
    table.most(
        view.title(),
        "preview against delivery, 99th percentile",
        d[(int) (d.length * 0.99)],
        "CIEDE2000",
        2.0);
  }

  /** The even blend beside the reference library's exposure fusion on the same frames in place. */
  private void blend() {
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
    if (!hasPanes()) {
      return;
    }
    Plane room = room();
    Plane mask = new Plane(w, h, truth.truth().outside());
    double halo = Overshoot.percent(lightness(oursGrey), room, mask, 6, 5);
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
