package illuminar.core.pass.work;

import illuminar.core.colour.Space;
import illuminar.core.colour.Stops;
import illuminar.core.pass.PassInput;
import illuminar.core.pass.PreparedPass;
import illuminar.core.pass.Tile;
import illuminar.core.picture.Picture;
import illuminar.core.picture.Raster;
import illuminar.core.region.Coverage;
import illuminar.core.shadow.HardShadow;
import java.util.Optional;

/** A shadow brought up to the light beside it. */
public final class ShadowLift implements PreparedPass.OnLight {
  /** Share of the long edge about a region that is looked at for the lit side. */
  private static final double ABOUT = 0.04;

  private static final String NOTHING =
      "No edge of a shadow is seen here. The region has to hold both sides of it, dark and lit.";

  private final Optional<HardShadow> shadow;
  private final InLight light;
  private final float lift;
  private final float colour;
  private final float wider;
  private final float evenness;

  /** What was looked for. */
  private record Sought(Optional<HardShadow> shadow) {}

  private ShadowLift(
      Optional<HardShadow> shadow,
      InLight light,
      float lift,
      float colour,
      float wider,
      float evenness) {
    this.shadow = shadow;
    this.light = light;
    this.lift = lift;
    this.colour = colour;
    this.wider = wider;
    this.evenness = evenness;
  }

  /**
   * @param lift share of the shadow that is taken away; {@code colour} of its colour
   * @param wider factor on the width of the penumbra
   * @param evenness 0 to 1, see {@link HardShadow#darkens}
   */
  public static ShadowLift of(
      PassInput below, float lift, float colour, float wider, float evenness) {
    Sought sought = below.keep(Sought.class, "", () -> new Sought(sought(below)));
    return new ShadowLift(sought.shadow, light(below), lift, colour, wider, evenness);
  }

  private static InLight light(PassInput below) {
    return new InLight(below.analysis().frames().response());
  }

  private static Optional<HardShadow> sought(PassInput below) {
    Coverage region = below.region();
    int[] box = region.box();
    if (box[0] >= box[2]) {
      return Optional.empty();
    }
    Raster grid = below.analysis().raster();
    double k = grid.width() / (double) region.width();
    int about = (int) Math.ceil(ABOUT * Math.max(grid.width(), grid.height()));
    HardShadow.Window window =
        HardShadow.Window.of(
            grid,
            Math.max(0, (int) (box[0] * k) - about),
            Math.max(0, (int) (box[1] * k) - about),
            Math.min(grid.width(), (int) Math.ceil(box[2] * k) + about),
            Math.min(grid.height(), (int) Math.ceil(box[3] * k) + about));
    Raster at = window.raster();
    Picture light = light(below).of(below.picture(at));
    return HardShadow.of(window, light, below.share(at).copy());
  }

  @Override
  public Optional<String> idle() {
    return shadow.isPresent() ? Optional.empty() : Optional.of(NOTHING);
  }

  private static float pixel(HardShadow s, Raster raster) {
    return (float) (s.raster().scale() / raster.scale());
  }

  private static float x(HardShadow s, Raster raster, int x) {
    return (float) ((raster.fullX(x) + 0.5) * s.raster().scale() - 0.5 - s.raster().x());
  }

  private static float y(HardShadow s, Raster raster, int y) {
    return (float) ((raster.fullY(y) + 0.5) * s.raster().scale() - 0.5 - s.raster().y());
  }

  private static boolean inside(HardShadow s, float x, float y) {
    return x > -1 && y > -1 && x < s.raster().width() && y < s.raster().height();
  }

  @Override
  public void apply(Tile tile, Picture p) {
    if (shadow.isEmpty() || tile.empty()) {
      return;
    }
    HardShadow s = shadow.get();
    float pixel = pixel(s, tile.raster());
    int w = tile.raster().width();
    float[] takes = new float[3];
    float[] out = new float[3];
    tile.each(
        p,
        (i, amount) -> {
          float x = x(s, tile.raster(), i % w);
          float y = y(s, tile.raster(), i / w);
          if (inside(s, x, y) && s.darkens(x, y, pixel, wider, evenness, takes)) {
            lift(p, i, takes, out);
            p.mix(i, out, amount);
          }
        });
  }

  /** The colour of a pixel without the shadow, which takes so many stops of it. */
  private void lift(Picture p, int i, float[] takes, float[] out) {
    light.of(p, i, out);
    float own = Space.srgbLuminance(out[0], out[1], out[2]);
    for (int c = 0; c < 3; c++) {
      takes[c] = 1 + lift * (Stops.light(takes[c]) - 1);
    }
    float grey =
        own > 0
            ? Space.srgbLuminance(out[0] * takes[0], out[1] * takes[1], out[2] * takes[2]) / own
            : 1;
    for (int c = 0; c < 3; c++) {
      out[c] *= grey + colour * (takes[c] - grey);
    }
    light.show(out);
  }
}
