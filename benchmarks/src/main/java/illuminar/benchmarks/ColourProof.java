package illuminar.benchmarks;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.cast.Casts;
import illuminar.core.analysis.light.LightsApart;
import illuminar.core.analysis.window.Panes;
import illuminar.core.balance.Solve;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
import illuminar.core.frame.Response;
import illuminar.core.frame.Role;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Move;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.BringFrame;
import illuminar.core.pass.kinds.ClearCasts;
import illuminar.core.pass.kinds.ClearHaze;
import illuminar.core.pass.kinds.EvenOut;
import illuminar.core.picture.LabPlanes;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.Shape;
import illuminar.core.region.part.Outline;
import illuminar.core.region.part.WindowFinder;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.views.View;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Casts, haze, matching and evening out beside the rendered truth. */
final class ColourProof {
  /** Chroma of a surface under white light from which on it is a coloured thing. */
  private static final double COLOURED = 30;

  /** From which on it is one whose colour is easily taken for a cast: wood, linen, pale cloth. */
  private static final double DULL = 10;

  private final View view;
  private final Radiance truth;
  private final Table table;
  private final Analysis analysis;
  private final Raster whole;
  private final String anchor;

  ColourProof(View view, Radiance truth, Table table, Analysis analysis) {
    this.view = view;
    this.truth = truth;
    this.table = table;
    this.analysis = analysis;
    whole = Raster.whole(truth.width(), truth.height(), 1);
    anchor = analysis.frames().anchor();
  }

  private static Pass pass(Move move, String region) {
    return new Pass("p" + move.hashCode(), true, move, new Where(region, false), Gate.ALL, 1, "");
  }

  private Picture picture(Recipe recipe) {
    return new PreviewSession(analysis, new RenderCache(200_000_000)).picture(recipe, whole);
  }

  private Picture picture(List<Region> regions, Pass... passes) {
    return picture(new Recipe(new Ground.OneFrame(anchor), regions, List.of(passes)));
  }

  private double exposure() {
    return view.camera().gain() * Math.pow(2, analysis.frames().anchorFrame().stops());
  }

  /** White surfaces after the casts are cleared, and how coloured things come out of it. */
  void casts(String... walls) {
    Picture before = picture(List.of());
    for (Told by :
        List.of(
            new Told("by flash", Casts.Source.FLASH, paired(Role.FLASH)),
            new Told("by lights", Casts.Source.LIGHTS, paired(Role.LAMPS_OFF)),
            new Told("by surfaces", Casts.Source.SURFACES, Optional.of("")))) {
      if (by.reference.isPresent()) {
        ClearCasts clear = new ClearCasts(by.source, by.reference.get(), 1, 0);
        after(by.how, picture(List.of(), pass(clear, "")), before, walls);
      }
    }
  }

  private record Told(String how, Casts.Source source, Optional<String> reference) {}

  /** A frame in a role that has an ambient one at its settings. */
  private Optional<String> paired(Role role) {
    return LightsApart.paired(analysis, role).stream().map(f -> f.id()).findFirst();
  }

  private void after(String how, Picture done, Picture before, String... walls) {
    double was = 0;
    double is = 0;
    double n = 0;
    for (String wall : walls) {
      float[] share = truth.truth().part(wall);
      for (int i = 0; i < share.length; i += 3) {
        if (share[i] > 0.99f && told(before, i)) {
          was += lab(before, i).chroma();
          is += lab(done, i).chroma();
          n++;
        }
      }
    }
    System.out.printf("  white walls before: C* %.2f%n", was / n);
    table.most(view.title(), "white walls, casts cleared " + how, is / n, "C*", 3);
    double changed = 0;
    double own = 0;
    int used = 0;
    double[] dull = new double[3];
    float[][] albedo = truth.truth().albedo();
    float[][] light = truth.sum(DemoView.shot(view, anchor).strengths());
    Response r = analysis.frames().response();
    double[] white = view.camera().white();
    for (int i = 0; i < albedo[0].length; i += 7) {
      double y = 0;
      double a = 0;
      for (int c = 0; c < 3; c++) {
        y += LUMINANCE[c] * light[c][i] * white[c] * exposure();
        a += LUMINANCE[c] * albedo[c][i];
      }
      if (a < 0.02 || y < 0.02 || !told(before, i) || truth.truth().outside()[i] > 0) {
        continue;
      }
      double[] shown = new double[3];
      for (int c = 0; c < 3; c++) {
        shown[c] = r.toDisplay(c, (float) Math.min(1, albedo[c][i] * y / a));
      }
      double[] work = Space.SRGB_TO_WORK.apply(shown[0], shown[1], shown[2]);
      Lab should = Lab.ofWork(work[0], work[1], work[2]);
      if (should.chroma() > DULL && should.chroma() <= COLOURED) {
        dull[0] += should.difference(lab(before, i));
        dull[1] += should.difference(lab(done, i));
        dull[2]++;
      }
      if (should.chroma() > COLOURED) {
        changed += should.difference(lab(done, i));
        own += should.difference(lab(before, i));
        used++;
      }
    }
    System.out.printf(
        "  coloured things from their colour under white: before %.2f, after %.2f%n",
        own / used, changed / used);
    table.most(
        view.title(),
        "dull coloured things, casts cleared " + how + ", beyond before",
        (dull[1] - dull[0]) / Math.max(1, dull[2]),
        "CIEDE2000",
        2);
    table.most(
        view.title(),
        "coloured things, casts cleared " + how + ", beyond before",
        (changed - own) / used,
        "CIEDE2000",
        2);
  }

  private static final double[] LUMINANCE = {0.2126, 0.7152, 0.0722};

  private static boolean told(Picture p, int i) {
    float most = Math.max(p.r()[i], Math.max(p.g()[i], p.b()[i]));
    return most < 0.9f && p.luminanceAt(i) > 0.02f;
  }

  private static Lab lab(Picture p, int i) {
    return Lab.ofWork(p.r()[i], p.g()[i], p.b()[i]);
  }

  /**
   * Haze in the view. Where less than a fifth of the light comes through, an 8-bit frame holds a
   * few codes of the land: with the true transmission and airlight 29 % of the error of the whole
   * view was removed, so that the share without these places is shown as well.
   */
  void haze() {
    Region panes =
        new Region(
            "w", "w", List.of(new Part("w", Part.Combine.ADD, new WindowFinder(0))), 0, false);
    String window = Panes.of(analysis).windowFrame();
    Pass bring = pass(new BringFrame(window, 0, 4), "w");
    Picture hazy = picture(List.of(panes), bring);
    Picture clear = picture(List.of(panes), bring, pass(new ClearHaze(1, 1, 1, 0), "w"));
    // the exposure at which the window stands, from pixels that are hardly hazed
    double gain = gain(hazy);
    double was = 0;
    double is = 0;
    double outside = 0;
    int n = 0;
    int m = 0;
    double wasTold = 0;
    double isTold = 0;
    for (int i = 0; i < hazy.r().length; i++) {
      float out = truth.truth().outside()[i];
      if (out > 0.999f && inner(i)) {
        Lab should = rendered(truth.truth().clear(), i, gain);
        double before = should.difference(lab(hazy, i));
        double after = should.difference(lab(clear, i));
        was += before;
        is += after;
        n++;
        float through = truth.truth().transmission()[i];
        if (through > TOLD && through < HAZY) {
          wasTold += before;
          isTold += after;
        }
      } else if (out == 0) {
        outside = Math.max(outside, lab(hazy, i).difference(lab(clear, i)));
        m++;
      }
    }
    System.out.printf(
        "  from the clear view: hazy %.2f, cleared %.2f, %d pixels%n", was / n, is / n, n);
    table.least(view.title(), "haze error removed", 100 * (1 - is / was), "%", 60);
    table.least(
        view.title(),
        "haze error removed where a fifth of the light comes through",
        100 * (1 - isTold / wasTold),
        "%",
        60);
    System.out.printf("  greatest change outside the panes: %.2f of %d%n", outside, m);
  }

  private boolean inner(int i) {
    int w = whole.width();
    for (int d = -4; d <= 4; d += 4) {
      if (truth.truth().outside()[Math.max(0, i + d)] < 0.999f
          || truth.truth().outside()[Math.max(0, Math.min(whole.pixels() - 1, i + d * w))]
              < 0.999f) {
        return false;
      }
    }
    return true;
  }

  /** Transmission between which haze is to be seen and to be told. */
  private static final float TOLD = 0.2f;

  private static final float HAZY = 0.98f;

  private double gain(Picture shown) {
    Response r = analysis.frames().response();
    List<Double> gains = new ArrayList<>();
    for (int i = 0; i < shown.r().length; i += 5) {
      if (truth.truth().outside()[i] > 0.999f) {
        double[] srgb = Space.WORK_TO_SRGB.apply(shown.r()[i], shown.g()[i], shown.b()[i]);
        if (srgb[1] > 0.02 && srgb[1] < 0.9) {
          gains.add(
              r.toLight(1, (float) srgb[1])
                  / (truth.truth().view()[1][i] * view.camera().white()[1]));
        }
      }
    }
    gains.sort(Double::compare);
    return gains.get(gains.size() / 2);
  }

  private Lab rendered(float[][] light, int i, double gain) {
    Response r = analysis.frames().response();
    double[] d = new double[3];
    for (int c = 0; c < 3; c++) {
      d[c] = r.toDisplay(c, (float) Math.min(1, light[c][i] * view.camera().white()[c] * gain));
    }
    double[] work = Space.SRGB_TO_WORK.apply(d[0], d[1], d[2]);
    return Lab.ofWork(work[0], work[1], work[2]);
  }

  /** Replaced tiles brought to their neighbours, by probes on both. */
  void matching() {
    Picture p = picture(List.of());
    Lab old = mean(p, truth.truth().part("tiles"));
    Lab replaced = mean(p, truth.truth().part("replaced-tiles"));
    Solve.Found found = Solve.toReference(List.of(replaced), old);
    System.out.printf("  tiles differ by %.2f before%n", old.difference(replaced));
    Region tiles = painted("replaced-tiles");
    Picture done = picture(List.of(tiles), pass(found.move(), "r"));
    table.most(
        view.title(),
        "replaced tiles brought to the reference",
        mean(done, truth.truth().part("replaced-tiles"))
            .difference(mean(done, truth.truth().part("tiles"))),
        "CIEDE2000",
        1);
  }

  private Lab mean(Picture p, float[] share) {
    double[] sum = new double[3];
    double n = 0;
    for (int i = 0; i < share.length; i++) {
      if (share[i] > 0.99f) {
        for (int c = 0; c < 3; c++) {
          sum[c] += Math.max(0, Math.min(1, p.channel(c)[i]));
        }
        n++;
      }
    }
    return Lab.ofWork(sum[0] / n, sum[1] / n, sum[2] / n);
  }

  /** A region that follows a surface of the truth row by row, as a careful hand would draw it. */
  private Region painted(String name) {
    float[] share = truth.truth().part(name);
    int w = whole.width();
    double longEdge = Math.max(w, whole.height());
    List<Part> parts = new ArrayList<>();
    boolean[] seen = new boolean[share.length];
    for (int i = 0; i < share.length && parts.size() < 90; i++) {
      if (!seen[i] && share[i] > 0.5f) {
        int[] piece =
            illuminar.core.picture.FloodFill.of(
                i, w, whole.height(), false, seen, (from, to) -> share[to] > 0.5f);
        if (piece.length > 40) {
          parts.add(new Part("o" + parts.size(), Part.Combine.ADD, hull(piece, w, longEdge)));
        }
      }
    }
    return new Region("r", name, parts, 0, false);
  }

  /** The piece's left and right ends row by row. */
  private static Shape hull(int[] piece, int w, double longEdge) {
    java.util.TreeMap<Integer, int[]> rows = new java.util.TreeMap<>();
    for (int i : piece) {
      int[] ends = rows.computeIfAbsent(i / w, y -> new int[] {i % w, i % w});
      ends[0] = Math.min(ends[0], i % w);
      ends[1] = Math.max(ends[1], i % w);
    }
    List<Point> line = new ArrayList<>();
    int step = Math.max(1, rows.size() / 400);
    int k = 0;
    for (var row : rows.entrySet()) {
      if (k++ % step == 0) {
        line.add(new Point((row.getValue()[1] + 1) / longEdge, (row.getKey() + 0.5) / longEdge));
      }
    }
    k = 0;
    for (var row : rows.descendingMap().entrySet()) {
      if (k++ % step == 0) {
        line.add(new Point(row.getValue()[0] / longEdge, (row.getKey() + 0.5) / longEdge));
      }
    }
    return new Outline(line);
  }

  /** The fall-off of the lamps along the facade, and what evening it out does to texture. */
  void evening() {
    float[] wall = truth.truth().part("wall");
    Region region = painted("wall");
    Picture before = picture(List.of());
    Picture after = picture(List.of(region), pass(new EvenOut(1, 0.01), "r"));
    table.least(
        view.title(),
        "fall-off along the wall removed",
        100 * (1 - falloff(after, wall) / falloff(before, wall)),
        "%",
        80);
    double texture = texture(after, wall) / texture(before, wall);
    table.most(
        view.title(), "texture of the wall changed by it", 100 * Math.abs(texture - 1), "%", 5);
  }

  private static final int BLOCK = 64;

  /** Deviation of the wall's lightness from block to block. */
  private double falloff(Picture p, float[] wall) {
    LabPlanes lab = LabPlanes.of(p);
    List<Double> means = new ArrayList<>();
    for (int y = 0; y + BLOCK <= whole.height(); y += BLOCK) {
      for (int x = 0; x + BLOCK <= whole.width(); x += BLOCK) {
        double sum = 0;
        int n = 0;
        for (int v = y; v < y + BLOCK; v++) {
          for (int u = x; u < x + BLOCK; u++) {
            int i = v * whole.width() + u;
            if (wall[i] > 0.99f) {
              sum += lab.l()[i];
              n++;
            }
          }
        }
        if (n > BLOCK * BLOCK / 2) {
          means.add(sum / n);
        }
      }
    }
    double mean = means.stream().mapToDouble(d -> d).average().orElse(0);
    return Math.sqrt(means.stream().mapToDouble(d -> (d - mean) * (d - mean)).sum() / means.size());
  }

  /** Deviation of neighbouring pixels' tones on the wall. */
  private double texture(Picture p, float[] wall) {
    double sum = 0;
    int n = 0;
    int w = whole.width();
    for (int y = 4; y < whole.height() - 4; y++) {
      for (int x = 4; x < w - 4; x++) {
        int i = y * w + x;
        if (wall[i] > 0.99f && wall[i - 4] > 0.99f && wall[i + 4] > 0.99f) {
          double d =
              Math.log(p.luminanceAt(i) + 1e-4)
                  - 0.5
                      * (Math.log(p.luminanceAt(i - 4) + 1e-4)
                          + Math.log(p.luminanceAt(i + 4) + 1e-4));
          sum += d * d;
          n++;
        }
      }
    }
    return Math.sqrt(sum / n);
  }
}
