package illuminar.core.region.part;

import illuminar.core.analysis.Analysis;
import illuminar.core.colour.Srgb;
import illuminar.core.colour.Stops;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Ease;
import illuminar.core.filter.Gauss;
import illuminar.core.frame.FrameRows;
import illuminar.core.picture.Plane;
import illuminar.core.picture.Raster;
import illuminar.core.region.Grow;
import illuminar.core.region.PartKind;
import illuminar.core.region.Shape;
import illuminar.core.region.Sources;
import illuminar.core.region.Territory;
import java.util.List;
import java.util.function.UnaryOperator;

/**
 * Where a frame is burnt or nearly so.
 *
 * <p>Burnt light, and the bloom round it.
 *
 * @param frame id of the frame
 * @param reach stops below the highest code at which the part begins, 0 to 3
 * @param bloom pixels at full size over which the glow round it belongs to it, 0 to 400
 */
@PartKind(id = "burnt-light", name = "Burnt light")
public record BurntLight(
    String frame,
    @Control(
            label = "Reach",
            unit = "st",
            from = 0,
            to = 3,
            step = 0.05,
            defaultValue = 0.4,
            help = "Stops below the highest code at which it begins")
        double reach,
    @Control(
            label = "Bloom",
            unit = "px",
            from = 0,
            to = 400,
            step = 1,
            defaultValue = 0,
            help = "How far the glow round it belongs to it")
        double bloom)
    implements Shape {
  public BurntLight {
    Numbers.check(BurntLight.class, "reach", reach);
    Numbers.check(BurntLight.class, "bloom", bloom);
  }

  /** Without the glow round it. */
  public BurntLight(String frame, double reach) {
    this(frame, reach, 0);
  }

  @Override
  public List<String> frames() {
    return List.of(frame);
  }

  @Override
  public Shape foundIn(UnaryOperator<String> frames) {
    return new BurntLight(frames.apply(frame), reach, bloom);
  }

  @Override
  public float[] draw(Raster raster, Territory in, Sources sources) {
    return draw(this, raster, sources);
  }

  private static float[] draw(BurntLight burnt, Raster raster, Sources sources) {
    Analysis analysis = sources.analysis();
    float[] out = burnt(burnt, raster, analysis);
    if (burnt.bloom() == 0) {
      return out;
    }
    Raster grid = analysis.raster();
    Plane bloom =
        sources.keep(
            List.of("bloom", burnt),
            Plane.class,
            grid.pixels() * 4L,
            () -> bloom(burnt, grid, analysis));
    float[] share = sources.spread(bloom, raster);
    for (int i = 0; i < out.length; i++) {
      out[i] = Math.max(out[i], share[i]);
    }
    return out;
  }

  /** Widened by the bloom, fading over it. */
  private static Plane bloom(BurntLight burnt, Raster grid, Analysis analysis) {
    double sigma = Math.max(0.5, burnt.bloom() * grid.scale() / 3);
    int by = (int) Math.round(sigma);
    float[] wide = Grow.by(burnt(burnt, grid, analysis), grid, grid, by, true);
    return Gauss.smooth(new Plane(grid.width(), grid.height(), wide), sigma);
  }

  private static float[] burnt(BurntLight burnt, Raster raster, Analysis analysis) {
    float[] out = new float[raster.pixels()];
    float from = (float) -burnt.reach() - 0.06f;
    float to = (float) -burnt.reach() * 0.5f - 0.02f;
    float least = (float) Srgb.encode(Math.pow(2, from));
    FrameRows rows = analysis.rows(burnt.frame(), raster);
    int w = raster.width();
    float[] r = new float[w];
    float[] g = new float[w];
    float[] b = new float[w];
    for (int j = 0; j < raster.height(); j++) {
      rows.codes(j, 0, w, r, g, b);
      for (int i = 0; i < w; i++) {
        float most = Math.max(r[i], Math.max(g[i], b[i]));
        if (most > least) {
          out[j * w + i] = Ease.between((Stops.of(Srgb.decodeFast(most)) - from) / (to - from));
        }
      }
    }
    return out;
  }
}
