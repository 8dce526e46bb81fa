package illuminar.benchmarks;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.Stops;
import illuminar.core.filter.Box;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.LiftShadow;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Point;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.DrawnLine;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.part.Loop;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import illuminar.scenes.camera.Camera;
import illuminar.scenes.camera.Shot;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.views.View;
import java.util.Arrays;
import java.util.List;

/**
 * The hard shadow of the yard lifted from a frame, with a loop on the wall and one on the paving,
 * beside the yard without what casts it.
 */
final class ShadowProof {
  /**
   * Stops that the light changes by beside the shadow's edge, and in the umbra, at most and least.
   */
  private static final float LIT = 0.3f;

  private static final float UMBRA = 0.9f;

  /** Share of the long edge within which a place lies beside the edge. */
  private static final double BESIDE = 0.02;

  private final View view;
  private final Radiance truth;
  private final Table table;
  private final Analysis analysis;
  private final int w;
  private final int h;

  ShadowProof(View view, Radiance truth, Table table, Analysis analysis) {
    this.view = view;
    this.truth = truth;
    this.table = table;
    this.analysis = analysis;
    w = analysis.fullWidth();
    h = analysis.fullHeight();
  }

  void all() {
    Shot shot = DemoView.shot(view, analysis.frames().anchor());
    float[] every = new float[truth.names().size()];
    Arrays.fill(every, 1);
    Picture sunny = picture(view.camera().quiet(truth, every, shot.exposure()));
    Picture shaded = picture(view.camera().quiet(truth, shot.strengths(), shot.exposure()));
    Picture lifted =
        lifted(
            loop("wall", 0, 0.285, 0.66, 0.285, 0.70, 0.5, 0.70, 0.772, 0, 0.772),
            loop("paving", 0, 0.772, 0.72, 0.772, 0.72, 0.999, 0, 0.999));
    for (String part : List.of("wall", "paving")) {
      measure(part, sunny, shaded, lifted);
    }
  }

  private Region loop(String id, double... at) {
    Point[] points = new Point[at.length / 2];
    for (int k = 0; k < points.length; k++) {
      points[k] = new Point(at[2 * k], at[2 * k + 1] * h / w);
    }
    Part part = new Part("l", Part.Combine.ADD, new Loop(DrawnLine.write(List.of(points))));
    return new Region(id, id, List.of(part), 0, false);
  }

  private Picture lifted(Region... regions) {
    List<Pass> passes =
        Arrays.stream(regions)
            .map(
                r ->
                    new Pass(
                        "p" + r.id(),
                        true,
                        new LiftShadow(1, 1, 1, 1),
                        new Where(r.id(), false),
                        Gate.ALL,
                        1,
                        ""))
            .toList();
    Ground ground = new Ground.OneFrame(analysis.frames().anchor());
    return new PreviewSession(analysis, new RenderCache(600_000_000))
        .picture(new Recipe(ground, List.of(regions), passes), Raster.whole(w, h, 1));
  }

  /** A frame as its file shows it, linear. */
  private Picture picture(float[] sensor) {
    byte[] codes = Camera.codes8(sensor);
    Picture p = Picture.of(w, h);
    for (int i = 0; i < w * h; i++) {
      double[] c = new double[3];
      for (int k = 0; k < 3; k++) {
        c[k] = Srgb.decode((codes[3 * i + k] & 255) / 255.0);
      }
      double[] work = Space.SRGB_TO_WORK.apply(c[0], c[1], c[2]);
      p.r()[i] = (float) work[0];
      p.g()[i] = (float) work[1];
      p.b()[i] = (float) work[2];
    }
    return p;
  }

  private void measure(String part, Picture sunny, Picture shaded, Picture lifted) {
    float[] share = truth.truth().part(part);
    Plane umbra = Plane.of(w, h);
    Plane lit = Plane.of(w, h);
    float deep = deep(share, sunny, shaded);
    for (int i = 0; i < w * h; i++) {
      float stops = tone(sunny, i) - tone(shaded, i);
      umbra.data()[i] = share[i] > 0.99f && stops > UMBRA * deep ? 1 : 0;
      lit.data()[i] = share[i] > 0.99f && stops < LIT ? 1 : 0;
    }
    int near = (int) (BESIDE * w);
    Plane nearUmbra = Box.mean(umbra, near);
    Plane nearLit = Box.mean(lit, near);
    double dark = 0;
    double darks = 0;
    double bright = 0;
    double brights = 0;
    double off = 0;
    double all = 0;
    double own = 0;
    double should = 0;
    for (int i = 3 * w; i < w * (h - 3); i++) {
      float d = tone(lifted, i) - tone(sunny, i);
      if (umbra.data()[i] > 0) {
        off += lab(lifted, i).difference(lab(sunny, i));
        all++;
        own += square(fine(lifted, i));
        should += square(fine(sunny, i));
        if (nearLit.data()[i] > 0.02f) {
          dark += d;
          darks++;
        }
      } else if (lit.data()[i] > 0 && nearUmbra.data()[i] > 0.02f) {
        bright += d;
        brights++;
      }
    }
    double step = Math.pow(2, dark / darks - bright / brights) - 1;
    table.most(view.title(), "shadow, step left on " + part, 100 * Math.abs(step), "%", 3);
    table.most(view.title(), "shadow, colour against truth on " + part, off / all, "CIEDE2000", 2);
    table.most(
        view.title(),
        "shadow, texture of " + part + " off truth",
        100 * Math.abs(Math.sqrt(own / should) - 1),
        "%",
        10);
  }

  /** Stops that the umbra takes of a surface: the middle of what its shadow takes. */
  private float deep(float[] share, Picture sunny, Picture shaded) {
    float[] all = new float[w * h];
    int n = 0;
    for (int i = 0; i < w * h; i++) {
      float stops = tone(sunny, i) - tone(shaded, i);
      if (share[i] > 0.99f && stops > 1) {
        all[n++] = stops;
      }
    }
    Arrays.sort(all, 0, n);
    return all[n / 2];
  }

  private static float tone(Picture p, int i) {
    return Math.max(-8, Stops.of(p.luminanceAt(i)));
  }

  /** What of a pixel's tone its neighbours three pixels away do not have. */
  private float fine(Picture p, int i) {
    return tone(p, i)
        - (tone(p, i - 3) + tone(p, i + 3) + tone(p, i - 3 * w) + tone(p, i + 3 * w)) / 4;
  }

  private static double square(double v) {
    return v * v;
  }

  private static Lab lab(Picture p, int i) {
    return Lab.ofWork(p.r()[i], p.g()[i], p.b()[i]);
  }
}
