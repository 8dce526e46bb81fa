package illuminar.benchmarks;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.light.FlashTroubles;
import illuminar.core.filter.Box;
import illuminar.core.ground.Ground;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.recipe.Recipe;
import illuminar.core.region.Part;
import illuminar.core.region.Region;
import illuminar.core.region.Shape;
import illuminar.core.region.part.FlashTrouble;
import illuminar.core.render.PreviewSession;
import illuminar.core.render.RenderCache;
import illuminar.scenes.camera.Shot;
import illuminar.scenes.light.Disc;
import illuminar.scenes.light.Light;
import illuminar.scenes.render.DirectLight;
import illuminar.scenes.render.Radiance;
import illuminar.scenes.render.Scene;
import illuminar.scenes.views.View;
import java.util.List;

/** Hot spots and hard shadows of a flash as the product finds them, beside the geometry. */
final class FlashProof {
  /** How far beside a place it still counts as found there: the region is drawn a little wide. */
  private static final int BESIDE = 12;

  /** How many times darker than with the flash's light a hidden place must be. */
  private static final double DEEP = 1.5;

  /** Light thrown back over that of a matt surface from which on the flash is mirrored. */
  private static final double MIRRORED = 2.5;

  /** Stops from which on a trouble counts, as the part has it at first. */
  private static final double LEAST = 0.3;

  /** What is narrower than about so many pixels is no spot and no shadow that anyone would mend. */
  private static final int THIN = 6;

  /** Radius in metres below which a flash is a bare one, whose shadows are hard. */
  private static final float BARE = 0.1f;

  private final View view;
  private final Radiance truth;
  private final Table table;
  private final Analysis analysis;
  private final Raster whole;

  FlashProof(View view, Radiance truth, Table table, Analysis analysis) {
    this.view = view;
    this.truth = truth;
    this.table = table;
    this.analysis = analysis;
    whole = Raster.whole(truth.width(), truth.height(), 1);
  }

  /**
   * Hot spots and hard shadows of a bare flash: what the product finds, beside what geometry says
   * is hidden from the flash, and what the rendering sends back beyond a matt surface.
   */
  void all() {
    Scene scene = view.scene().get();
    for (Light light : scene.lighting().lights()) {
      boolean flash = truth.names().get(light.group()).startsWith("flash");
      int group = flash && light instanceof Disc disc && disc.radius() < BARE ? light.group() : -1;
      for (int k = 0; k < view.shots().size(); k++) {
        if (group >= 0
            && view.shots().get(k).flash()
            && view.shots().get(k).strengths()[group] > 0) {
          DirectLight direct = DirectLight.of(scene, (Disc) light, truth.width(), truth.height());
          troubles("f" + k, direct, group);
        }
      }
    }
  }

  private void troubles(String flash, DirectLight direct, int group) {
    int n = direct.illuminance().length;
    float[] shadow = new float[n];
    float[] unlit = new float[n];
    float[] spot = new float[n];
    float[] gloss = truth.truth().part("gloss");
    for (int i = 0; i < n; i++) {
      double matt = 0;
      double sent = 0;
      double ambient = 0;
      for (int c = 0; c < 3; c++) {
        matt += truth.truth().albedo()[c][i] * direct.illuminance()[i] / Math.PI / 3;
        sent += truth.lights()[group][c][i] / 3;
        ambient += truth.lights()[0][c][i] / 3;
      }
      boolean hidden = direct.hidden()[i];
      unlit[i] = hidden || direct.illuminance()[i] <= 0 ? 1 : 0;
      shadow[i] = hidden && ambient + matt > DEEP * (ambient + sent) ? 1 : 0;
      spot[i] =
          unlit[i] == 0 && gloss[i] > 0.9f && sent > MIRRORED * matt && sent > ambient ? 1 : 0;
    }
    found(flash, FlashTroubles.Trouble.HOT_SPOT, "hot spots", broad(spot), spot);
    found(flash, FlashTroubles.Trouble.HARD_SHADOW, "hard shadows", broad(shadow), unlit);
  }

  /** Without lines and specks, such as the grooves of a panelled door. */
  private float[] broad(float[] places) {
    float[] mean = Box.mean(new Plane(whole.width(), whole.height(), places), THIN).data();
    float[] out = new float[places.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = mean[i] > 0.6f ? places[i] : 0;
    }
    return out;
  }

  /**
   * Shares of the places that are found, and of what is found that is true.
   *
   * @param should places that are to be found
   * @param may places that may be found as well
   */
  private void found(
      String flash, FlashTroubles.Trouble trouble, String name, float[] should, float[] may) {
    Shape shape = new FlashTrouble(flash, trouble, LEAST);
    Region region = new Region("t", "t", List.of(new Part("a", Part.Combine.ADD, shape)), 0, false);
    Recipe recipe = new Recipe(new Ground.OneFrame(flash), List.of(region), List.of());
    float[] is =
        new PreviewSession(analysis, new RenderCache(1 << 20)).coverage(recipe, "t", whole).copy();
    Shot anchor = DemoView.shot(view, analysis.frames().anchor());
    double hit = 0;
    double all = 1e-9;
    double right = 0;
    double claimed = 1e-9;
    float[] near = Box.mean(new Plane(whole.width(), whole.height(), may), BESIDE).data();
    for (int y = 0; y < whole.height(); y++) {
      for (int x = 0; x < whole.width(); x++) {
        // the rendering lies beside the anchor frame as that has drifted
        int u = (int) Math.round(x - anchor.drift().dx());
        int v = (int) Math.round(y - anchor.drift().dy());
        if (u < 0 || v < 0 || u >= whole.width() || v >= whole.height()) {
          continue;
        }
        int i = y * whole.width() + x;
        int k = v * whole.width() + u;
        all += should[k];
        hit += should[k] * is[i];
        claimed += is[i];
        right += near[k] > 0 ? is[i] : 0;
      }
    }
    table.least(view.title(), name + " of the flash that are found", 100 * hit / all, "%", 70);
    table.least(
        view.title(), "of what is found as " + name + ", true", 100 * right / claimed, "%", 70);
  }
}
