package illuminar.benchmarks;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.first.FirstVersion;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Response;
import illuminar.core.frame.Similarity;
import illuminar.core.lineup.LineUp;
import illuminar.core.lineup.LinedUp;
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
    Optional<WindowsProof> windows =
        hasPanes()
            ? Optional.of(new WindowsProof(demo, truth, table, session, recipe, full))
            : Optional.empty();
    if (view.shots().size() > 1) {
      lineUp(placed);
      response();
      new BlendProof(view, truth, table, analysis, windows).all();
    }
    if (view.name().equals("instrument-room")) {
      displaced();
    }
    windows.ifPresent(WindowsProof::all);
    if (view.name().equals("long-table-room")) {
      new LightsProof(view, truth, table, analysis).all();
    }
    new FlashProof(view, truth, table, analysis).all();
    new NoiseProof(view, truth, table, analysis).all();
    if (view.name().equals("yard-wall")) {
      new ShadowProof(view, truth, table, analysis).all();
    }
    new MendProof(view.title(), demo.anchorCodes(), table).all();
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
    BrushProof brush = new BrushProof(view, truth, table, analysis);
    if (view.shots().size() > 1 && !hasPanes() || view.name().equals("long-table-room")) {
      regions.lamps();
    }
    switch (view.name()) {
      case "instrument-room" -> {
        regions.toneMasks();
        brush.overspray("wall-window");
      }
      case "front-at-dusk" -> brush.overspray("wall");
      default -> moved.ifPresent(new MovementProof(view, truth, table, analysis)::movement);
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

  private static Lab lab(double r, double g, double b) {
    return Lab.ofWork(clip(r), clip(g), clip(b));
  }

  private static double clip(double v) {
    return Math.max(0, Math.min(1, v));
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
}
