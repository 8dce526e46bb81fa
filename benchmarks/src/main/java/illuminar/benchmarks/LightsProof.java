package illuminar.benchmarks;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.LightsApart;
import illuminar.core.colour.Lab;
import illuminar.core.colour.Space;
import illuminar.core.colour.WhiteShift;
import illuminar.core.frame.Codes;
import illuminar.core.frame.Frame;
import illuminar.core.frame.Frames;
import illuminar.core.frame.Pyramid;
import illuminar.core.frame.Response;
import illuminar.core.ground.Ground;
import illuminar.core.pass.Gate;
import illuminar.core.pass.Pass;
import illuminar.core.pass.Where;
import illuminar.core.pass.kinds.MixLight;
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

/** Single lights as the product takes them apart, beside the rendered ones. */
final class LightsProof {
  /** Pixels each way over which light is averaged, well above the tripod's drift. */
  private static final int BLOCK = 8;

  /** Display-linear value from which a pixel counts as burnt. */
  private static final float BURNT = 0.9f;

  private final View view;
  private final Radiance truth;
  private final Table table;
  private final Analysis eight;
  private final Analysis sixteen;
  private final Raster whole;

  LightsProof(View view, Radiance truth, Table table, Analysis eight) {
    this.view = view;
    this.truth = truth;
    this.table = table;
    this.eight = eight;
    whole = Raster.whole(truth.width(), truth.height(), 1);
    sixteen = sixteen();
  }

  /** The same frames, lined up alike, photographed to 16-bit linear files. */
  private Analysis sixteen() {
    List<Frame> frames = new ArrayList<>();
    for (int i = 0; i < eight.frames().all().size(); i++) {
      Frame f = eight.frames().all().get(i);
      Shot s = view.shots().get(i);
      float[] sensor = view.camera().expose(truth, s.strengths(), s.exposure(), s.drift(), 40 + i);
      Codes codes = Codes.of16(truth.width(), truth.height(), Camera.codes16(sensor), true);
      frames.add(new Frame(f.id(), f.role(), f.stops(), f.toFrame(), Pyramid.of(codes)));
    }
    return new Analysis(new Frames(frames, eight.frames().anchor(), Response.standard()));
  }

  void all() {
    for (LightsApart.Offer offer : LightsApart.of(eight)) {
      if (offer.usable()) {
        table.most(
            view.title(),
            offer.name() + " apart, RMS, 16 bit",
            100 * error(offer, sixteen),
            "%",
            3);
        System.out.printf("  from 8 bit: %.2f %%%n", 100 * error(offer, eight));
        if (offer.name().equals("Lamps")) {
          recoloured(offer);
        }
      }
    }
  }

  private float[] strengths(LightsApart.Offer offer) {
    float[] with = DemoView.shot(view, offer.with()).strengths().clone();
    if (!offer.without().isEmpty()) {
      float[] without = DemoView.shot(view, offer.without()).strengths();
      for (int k = 0; k < with.length; k++) {
        with[k] -= without[k];
      }
    }
    return with;
  }

  /** Root of the mean squared difference over that of the true light, where nothing is burnt. */
  private double error(LightsApart.Offer offer, Analysis analysis) {
    Picture with = analysis.draw(offer.with(), whole);
    Picture without =
        offer.without().isEmpty() ? Picture.of(0, 0) : analysis.draw(offer.without(), whole);
    Picture found = LightsApart.difference(analysis.frames().response(), with, without);
    float[][] real = truth.sum(strengths(offer));
    double gain =
        view.camera().gain() * Math.pow(2, DemoView.shot(view, offer.with()).exposure().stops());
    double off = 0;
    double all = 0;
    for (int y = 0; y + BLOCK <= whole.height(); y += BLOCK) {
      for (int x = 0; x + BLOCK <= whole.width(); x += BLOCK) {
        if (burnt(with, x, y)) {
          continue;
        }
        for (int c = 0; c < 3; c++) {
          double is = mean(found.channel(c), x, y);
          double should = still(real[c], x, y) * view.camera().white()[c] * gain;
          off += (is - should) * (is - should);
          all += should * should;
        }
      }
    }
    return Math.sqrt(off / all);
  }

  /** Whether something in a block, or within a block of it, is burnt: resampling spreads that. */
  private boolean burnt(Picture p, int x, int y) {
    for (int v = Math.max(0, y - BLOCK); v < Math.min(whole.height(), y + 2 * BLOCK); v++) {
      for (int u = Math.max(0, x - BLOCK); u < Math.min(whole.width(), x + 2 * BLOCK); u++) {
        int i = v * whole.width() + u;
        if (Math.max(p.r()[i], Math.max(p.g()[i], p.b()[i])) > BURNT) {
          return true;
        }
      }
    }
    return false;
  }

  private double mean(float[] plane, int x, int y) {
    double sum = 0;
    for (int v = y; v < y + BLOCK; v++) {
      for (int u = x; u < x + BLOCK; u++) {
        sum += plane[v * whole.width() + u];
      }
    }
    return sum / (BLOCK * BLOCK);
  }

  /** The same of the rendering, moved as the anchor frame lies beside it. */
  private double still(float[] plane, int x, int y) {
    Shot anchor = DemoView.shot(view, eight.frames().anchor());
    double left = Math.max(0, Math.min(whole.width() - BLOCK - 1, x - anchor.drift().dx()));
    double top = Math.max(0, Math.min(whole.height() - BLOCK - 1, y - anchor.drift().dy()));
    int u = (int) left;
    int v = (int) top;
    double upper = mean(plane, u, v) + (mean(plane, u + 1, v) - mean(plane, u, v)) * (left - u);
    double lower =
        mean(plane, u, v + 1) + (mean(plane, u + 1, v + 1) - mean(plane, u, v + 1)) * (left - u);
    return upper + (lower - upper) * (top - v);
  }

  /** The lamps made cooler: by the product, and in the rendering. */
  private void recoloured(LightsApart.Offer offer) {
    int cooler = -60;
    MixLight move = new MixLight(offer.with(), offer.without(), 0, cooler, 0);
    Pass pass = new Pass("lamps", true, move, Where.EVERYWHERE, Gate.ALL, 1, "");
    Recipe recipe = new Recipe(new Ground.OneFrame(offer.with()), List.of(), List.of(pass));
    Picture done = new PreviewSession(sixteen, new RenderCache(1 << 20)).picture(recipe, whole);
    Picture with = sixteen.draw(offer.with(), whole);
    Response response = sixteen.frames().response();
    float[] white = WhiteShift.srgb(cooler, 0).floats();
    float[][] all = truth.sum(DemoView.shot(view, offer.with()).strengths());
    float[][] lamps = truth.sum(strengths(offer));
    double gain =
        view.camera().gain() * Math.pow(2, DemoView.shot(view, offer.with()).exposure().stops());
    double sum = 0;
    int n = 0;
    for (int y = 0; y + BLOCK <= whole.height(); y += BLOCK) {
      for (int x = 0; x + BLOCK <= whole.width(); x += BLOCK) {
        if (burnt(with, x, y)) {
          continue;
        }
        double[] lamp = new double[3];
        for (int c = 0; c < 3; c++) {
          lamp[c] = still(lamps[c], x, y) * view.camera().white()[c] * gain;
        }
        double[] shown = new double[3];
        for (int c = 0; c < 3; c++) {
          double other = still(all[c], x, y) * view.camera().white()[c] * gain - lamp[c];
          double is =
              other
                  + white[3 * c] * lamp[0]
                  + white[3 * c + 1] * lamp[1]
                  + white[3 * c + 2] * lamp[2];
          shown[c] = response.toDisplay(c, (float) Math.max(0, Math.min(1, is)));
        }
        double[] work = Space.SRGB_TO_WORK.apply(shown[0], shown[1], shown[2]);
        Lab should = Lab.ofWork(work[0], work[1], work[2]);
        Lab is = Lab.ofWork(mean(done.r(), x, y), mean(done.g(), x, y), mean(done.b(), x, y));
        sum += should.difference(is);
        n++;
      }
    }
    table.most(view.title(), "lamps made cooler, against the truth", sum / n, "CIEDE2000", 2.0);
  }
}
