package illuminar.core.region.part;

import illuminar.core.analysis.Analysis;
import illuminar.core.analysis.window.Opening;
import illuminar.core.analysis.window.Openings;
import illuminar.core.control.Control;
import illuminar.core.control.Numbers;
import illuminar.core.filter.Ease;
import illuminar.core.picture.Raster;
import illuminar.core.region.PartKind;
import illuminar.core.region.Shape;
import illuminar.core.region.Sources;
import illuminar.core.region.Territory;
import java.util.List;

/**
 * The glazed openings of a room, each whole within its straight frame, whatever stands before or
 * behind the glass ({@link Openings}).
 *
 * @param grow pixels at full size by which they are widened, −40 to 40
 * @param softness pixels at full size over which their edge fades, half of it outside
 */
@PartKind(id = "glazing", name = "Glazing")
public record Glazing(
    @Control(label = "Grow", unit = "px", from = -40, to = 40, step = 1, defaultValue = 0)
        double grow,
    @Control(label = "Softness", unit = "px", from = 0, to = 60, step = 1, defaultValue = 4)
        double softness)
    implements Shape {
  public Glazing {
    Numbers.check(Glazing.class, "grow", grow);
    Numbers.check(Glazing.class, "softness", softness);
  }

  @Override
  public float[] draw(Raster raster, Territory in, Sources sources) {
    Analysis analysis = sources.analysis();
    return share(Openings.of(analysis), analysis, raster, grow, softness);
  }

  /**
   * How much of each pixel lies within openings, 0 to 1.
   *
   * @param grow pixels at full size by which they are widened
   * @param softness pixels at full size over which their edge fades, half of it outside
   */
  static float[] share(
      List<Opening> openings, Analysis analysis, Raster raster, double grow, double softness) {
    float[] out = new float[raster.pixels()];
    double toGrid = (double) analysis.raster().width() / analysis.fullWidth();
    double soft = Math.max(softness, 1 / raster.scale()) * toGrid;
    for (int j = 0; j < raster.height(); j++) {
      double y = (raster.fullY(j) + 0.5) * toGrid;
      for (int i = 0; i < raster.width(); i++) {
        double x = (raster.fullX(i) + 0.5) * toGrid;
        double depth = Openings.depth(openings, x, y);
        out[j * raster.width() + i] = Ease.between((depth + grow * toGrid) / soft + 0.5);
      }
    }
    return out;
  }
}
